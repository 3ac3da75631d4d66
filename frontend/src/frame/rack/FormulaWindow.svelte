<script lang="ts">
  /** A formula as it is typed, how it will look, and signs that are on no keyboard. */
  import { tick } from 'svelte'
  import { MAX_FORMULA, MAX_NUMBER, type FormulaSet } from '../../wire/generated'
  import { mathmlIn, type FormulaTyping } from '../../lesson/formulas.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { t } from '../../words/words.svelte'
  import { SIGN_GROUPS } from './signs'
  import FormulaPicture from '../sill/FormulaPicture.svelte'

  let { session, typing }: { session: Session; typing: FormulaTyping } = $props()
  // What it is opened for stays, while it closes too.
  // svelte-ignore state_referenced_locally
  const { item, at, ink } = typing
  let formula = $state(item?.formula ?? ink?.formula ?? '')
  let number = $state(item?.number ?? '')
  let made = $state.raw<FormulaSet | null>(null)
  let problem = $state('')
  let group = $state(0)
  let field: HTMLTextAreaElement
  let dialog: Dialog
  let copied = $state(false)
  let keeping = false

  /** Typing goes on while the last state is being set; what comes late is not shown. */
  const PAUSE_MS = 60
  const there = $derived(session.line === 'open')
  $effect(() => {
    // Asked again when the server is back.
    void there
    const now = formula
    const as = number.trim()
    copied = false
    if (!now.trim()) {
      made = null
      problem = ''
      return
    }
    const asking = new AbortController()
    const later = setTimeout(() => {
      session.formulas.preview(now, as, asking.signal).then(
        (found) => {
          made = found
          problem = ''
        },
        (error: Error) => {
          if (!asking.signal.aborted) problem = error.message
        },
      )
    }, PAUSE_MS)
    return () => {
      clearTimeout(later)
      asking.abort()
    }
  })

  async function type(typed: string) {
    const { selectionStart: start, selectionEnd: end } = field
    const chosen = formula.slice(start, end)
    const at = typed.indexOf('|')
    // What was chosen goes to where the caret would.
    const text = at < 0 ? typed : typed.slice(0, at) + chosen + typed.slice(at + 1)
    formula = formula.slice(0, start) + text + formula.slice(end)
    const caret = start + (at < 0 ? text.length : at + chosen.length)
    await tick()
    field.focus()
    field.setSelectionRange(caret, caret)
  }

  async function keep(event?: Event) {
    event?.preventDefault()
    if (keeping || !formula.trim()) return
    keeping = true
    try {
      const found = await session.formulas.preview(formula, number.trim())
      if (item) session.formulas.edit(item, formula, number.trim())
      else if (ink) session.chosen.setMaths({ formula, lines: ink.lines }, ink.ids)
      else session.formulas.put(formula, found.look, at, number.trim())
      dialog.close()
    } catch (error) {
      keeping = false
      problem = (error as Error).message
      field.focus()
    }
  }

  function keyed(event: KeyboardEvent) {
    // Enter puts it on the board; with Shift it begins another line.
    if (event.key !== 'Enter' || event.shiftKey || event.isComposing) return
    void keep(event)
  }

  /** MathML from another program becomes what would be typed here. */
  async function pasted(event: ClipboardEvent) {
    const mathml = event.clipboardData ? mathmlIn(event.clipboardData) : ''
    if (!mathml) return
    event.preventDefault()
    try {
      await type(await session.formulas.fromMathml(mathml))
    } catch (error) {
      problem = (error as Error).message
    }
  }

  async function copy(text: string) {
    await navigator.clipboard.writeText(text)
    copied = true
  }
</script>

<Dialog
  bind:this={dialog}
  title={t(item ? 'formula-change' : 'formula-new')}
  width={640}
  onclose={() => (session.formulas.typing = null)}
>
  <form onsubmit={keep}>
    <label>
      <span>{t('formula-typed')}</span>
      <!-- svelte-ignore a11y_autofocus -->
      <textarea
        bind:this={field}
        bind:value={formula}
        rows="2"
        maxlength={MAX_FORMULA}
        autofocus
        spellcheck="false"
        autocapitalize="off"
        autocomplete="off"
        aria-invalid={Boolean(problem)}
        aria-describedby="formula-problem"
        data-testid="formula-field"
        onkeydown={keyed}
        onpaste={pasted}></textarea>
    </label>
    <div
      class="preview"
      class:stale={Boolean(problem)}
      role="img"
      aria-label={made?.spoken ?? t('formula-preview')}
    >
      {#if made}
        <FormulaPicture look={made.look} px={34} />
      {/if}
    </div>
    <p class="problem" id="formula-problem" aria-live="polite">{problem}</p>
    {#if !ink}
      <div class="number">
        <label
          ><span>{t('formula-number')}</span><input
            bind:value={number}
            maxlength={MAX_NUMBER}
            size="6"
            autocomplete="off"
            data-testid="formula-number"
          /></label
        >
        {#if !number}
          <Button kind="quiet" onclick={() => (number = session.formulas.nextNumber)}
            >{t('formula-number-next', { number: session.formulas.nextNumber })}</Button
          >
        {/if}
      </div>
    {/if}
    <div class="groups" role="group" aria-label={t('formula-signs')}>
      {#each SIGN_GROUPS as { word }, at (word)}
        <button type="button" aria-pressed={group === at} onclick={() => (group = at)}>{t(word)}</button>
      {/each}
    </div>
    <div class="signs" role="group" aria-label={t(SIGN_GROUPS[group]!.word)}>
      {#each SIGN_GROUPS[group]!.signs as [shown, typed] (shown + typed)}
        <button type="button" onclick={() => type(typed)}>{shown}</button>
      {/each}
    </div>
    <p class="hint">{t('formula-hint')}</p>
    <div class="row">
      {#if made && !problem}
        <Button kind="quiet" onclick={() => copy(made!.latex)}>{t('formula-copy-latex')}</Button>
        <Button kind="quiet" onclick={() => copy(made!.mathml)}>{t('formula-copy-mathml')}</Button>
        {#if copied}<span role="status">{t('formula-copied')}</span>{/if}
      {/if}
      <span class="spring"></span>
      <Button kind="go" type="submit" disabled={!formula.trim()}>{t(item ? 'keep-it' : 'formula-put')}</Button
      >
    </div>
  </form>
</Dialog>

<style>
  form {
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
    min-width: 0;
  }
  label {
    display: grid;
    gap: 4px;
    font-size: 13px;
    color: var(--muted);
  }
  .number {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 44px;
  }
  .number label {
    grid-template-columns: auto auto;
    align-items: center;
    gap: 8px;
  }
  .number input {
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--sand-line);
    border-radius: 4px;
    background: var(--field);
    color: var(--ink);
    font: inherit;
    font-size: 16px;
  }
  textarea {
    font:
      17px/1.4 'mono',
      monospace;
    color: var(--ink);
    background: var(--field);
    border: 1px solid var(--sand-line);
    border-radius: 4px;
    padding: 8px 10px;
    resize: vertical;
  }
  .preview {
    display: grid;
    place-items: center;
    min-height: 116px;
    max-height: 260px;
    overflow: auto;
    background: var(--field);
    border-bottom: 2px solid var(--sand-line);
    padding: 10px;
  }
  .stale :global(svg) {
    opacity: 0.35;
  }
  .problem {
    min-height: 1.3em;
    margin: 0;
    color: var(--clay);
    font-size: 14px;
  }
  .groups,
  .signs {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
  }
  .groups button {
    border: 0;
    border-bottom: 2px solid transparent;
    background: none;
    padding: 6px 8px;
    font-size: 13px;
    color: var(--muted);
  }
  .groups button[aria-pressed='true'] {
    border-bottom-color: var(--leaf);
    color: var(--ink);
    font-weight: 600;
  }
  .signs button {
    min-width: 44px;
    min-height: 40px;
    border: 1px solid var(--sand-line);
    border-radius: 4px;
    background: var(--field);
    font-size: 17px;
    color: var(--ink);
  }
  .signs button:hover {
    background: var(--sand);
  }
  .hint {
    margin: 0;
    color: var(--muted);
    font-size: 13px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .spring {
    flex: 1;
  }
</style>
