<script lang="ts">
  import { onMount } from 'svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import type { HandSample, OwnHandSamples } from '../wire/generated'
  import { byText, isLine, lines, rows, type SampleRow } from './samples'
  import SignBox from './SignBox.svelte'
  import { t } from '../words/words.svelte'

  interface Props {
    /** Where this person's hand is asked for. */
    door: string
    link: string
    onclose: () => void
  }
  let { door, link, onclose }: Props = $props()
  const path = $derived(`/api/doors/${door}/${link}/hand`)
  let language = $state.raw('en')
  const all = $derived(rows(language))
  const needed = $derived(all.filter((row) => row.needed).flatMap(({ characters }) => characters))

  let dialog: HTMLDialogElement
  let input: HTMLInputElement
  let samples = $state.raw<HandSample[] | null>(null)
  let problem = $state('')
  let here = $state('')
  let penSeen = false
  let sure = $state(false)

  const practised = $derived(byText(samples?.filter(({ taught }) => !taught)))
  const taught = $derived(byText(samples?.filter(({ taught }) => taught)))
  const done = $derived(needed.filter((character) => practised.has(character)).length)

  onMount(() => {
    dialog.showModal()
    void change('GET')
  })

  /** One change at a time: the first of all makes the hand that the next ones are samples of. */
  function change(method: 'GET' | 'POST' | 'DELETE', body?: object, to = path): Promise<boolean> {
    return (last = last.then(() => request(method, to, body)))
  }
  let last: Promise<boolean> = Promise.resolve(true)

  async function request(method: 'GET' | 'POST' | 'DELETE', to: string, body?: object): Promise<boolean> {
    try {
      ;({ samples, language } = await ask<OwnHandSamples>(method, to, body))
      problem = ''
      return true
    } catch (error) {
      problem = (error as Error).message
      return false
    }
  }

  /** The pen has come down in a box; false when that is only the palm beside a pen. */
  function begin(text: string, touch: boolean): boolean {
    if (touch && penSeen) return false
    penSeen ||= !touch
    here = text
    return samples !== null
  }

  function bringIn() {
    const [file] = input.files ?? []
    input.value = ''
    if (file) void change('POST', file, `${path}.inkml`)
  }

  const written = (text: string, strokes: SampleRow[][]) => change('POST', { text, strokes })
</script>

{#snippet boxes(texts: string[], kept: Map<string, HandSample[]>, practise: boolean)}
  <div class="row" class:of-lines={texts.some(isLine)}>
    {#each texts as text (text)}
      <SignBox
        {text}
        samples={kept.get(text) ?? []}
        here={practise && here === text}
        onbegin={(touch) => practise && begin(text, touch)}
        onwritten={practise ? written : undefined}
        onthrow={(id) => change('DELETE', { id })}
      />
    {/each}
  </div>
{/snippet}

<dialog bind:this={dialog} {onclose} aria-labelledby="hand-title">
  <header>
    <div>
      <h2 id="hand-title">{t('your-hand')}</h2>
      <p>
        {t('write-each-sign-in-its')}
      </p>
    </div>
    <div class="progress">
      <progress max={needed.length} value={done} aria-label={t('letters-and-digits-written')}></progress>
      <span role="status">{t('of-letters-and-digits', { done, count: needed.length })}</span>
    </div>
  </header>
  {#if problem}<p role="alert" class="problem">{problem}</p>{/if}
  <div class="rows">
    {#each all as row (row.name)}
      <h3>{row.name}</h3>
      {@render boxes(row.characters, practised, true)}
    {/each}
    <h3>{t('hand-lines')}</h3>
    {@render boxes(lines(language), practised, true)}
    {#if taught.size}
      <h3>{t('learned-from-corrected-readings')}</h3>
      {@render boxes(
        [...taught.keys()].filter((text) => !isLine(text)),
        taught,
        false,
      )}
      {@render boxes([...taught.keys()].filter(isLine), taught, false)}
    {/if}
  </div>
  <footer>
    {#if samples?.length}
      <a href="{path}.inkml" download>{t('take-it-along-inkml')}</a>
    {/if}
    <Button kind="quiet" title={t('a-hand-that-was-taken')} onclick={() => input.click()}
      >{t('bring-one-in')}</Button
    >
    <input
      bind:this={input}
      type="file"
      accept=".inkml"
      aria-label={t('file-of-a-hand')}
      onchange={bringIn}
    />
    {#if samples?.length}
      <Button
        kind="stop"
        onclick={async () => {
          if (sure) await change('DELETE', {})
          sure = !sure
        }}>{sure ? t('yes-throw-it-all-away') : t('throw-it-away')}</Button
      >
      {#if sure}<Button kind="quiet" onclick={() => (sure = false)}>{t('keep-it')}</Button>{/if}
    {/if}
    <span></span>
    <Button kind="go" onclick={() => dialog.close()}>{done === needed.length ? t('done') : t('close')}</Button
    >
  </footer>
</dialog>

<style>
  dialog {
    width: min(980px, calc(100vw - 24px));
    max-height: calc(100vh - 24px);
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: 6px;
    color: var(--ink);
    background: var(--glass);
  }
  dialog[open] {
    display: flex;
    flex-direction: column;
  }
  dialog::backdrop {
    background: rgb(23 53 47 / 60%);
  }
  header {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 28px;
    align-items: end;
    justify-content: space-between;
    padding: 16px 22px 12px;
    border-bottom: 1px solid var(--sand-line);
  }
  header > div:first-child {
    flex: 1 1 380px;
  }
  h2 {
    font: 600 24px/1.2 var(--title);
  }
  h3 {
    margin: 8px 0 4px;
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  p {
    font-size: 14px;
    color: var(--muted);
    max-width: 660px;
  }
  .progress {
    display: grid;
    gap: 3px;
    font-size: 13px;
  }
  progress {
    width: 230px;
    height: 10px;
    accent-color: var(--leaf);
  }
  .problem {
    padding: 8px 22px;
    color: var(--clay);
  }
  .rows {
    padding: 2px 22px 14px;
    overflow-y: auto;
  }
  .row {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(62px, 1fr));
    gap: 5px;
  }
  .of-lines {
    grid-template-columns: repeat(auto-fill, minmax(min(300px, 100%), 1fr));
  }
  footer {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
    padding: 10px 22px;
    border-top: 1px solid var(--sand-line);
  }
  footer span {
    flex: 1;
  }
  input {
    display: none;
  }
  a {
    color: var(--leaf-dark);
  }
</style>
