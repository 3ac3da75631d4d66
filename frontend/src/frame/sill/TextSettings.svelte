<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Popover from '../../ui/Popover.svelte'
  import type { Align, Family, Listing } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { addressOf } from '../../ui/address'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const editing = $derived(session.editing)
  const FAMILIES: { value: Family; label: string }[] = [
    { value: 'sans', label: t('family-plain') },
    { value: 'serif', label: t('family-book') },
    { value: 'hand', label: t('family-hand') },
    { value: 'mono', label: t('family-even') },
  ]
  const ALIGN: { value: Align; label: string }[] = [
    { value: 'left', label: t('align-left') },
    { value: 'centre', label: t('centre') },
    { value: 'right', label: t('align-right') },
  ]
  const LISTS: { value: Listing; label: string }[] = [
    { value: 'none', label: t('no-list') },
    { value: 'bullets', label: t('bullets') },
    { value: 'numbers', label: t('numbers') },
  ]
  let link = $state('')
  let wrongLink = $state(false)

  /** A button must not take the typing away. */
  const stay = (event: PointerEvent) => event.preventDefault()

  function setFamily(family: Family) {
    tools.textFamily = family
    tools.keep()
    if (editing) editing.family = family
  }

  function setSize(size: number) {
    const within = Math.min(400, Math.max(4, Math.round(size) || tools.textSize))
    tools.textSize = within
    tools.keep()
    if (editing) editing.size = within
  }

  function setLink() {
    const address = addressOf(link)
    wrongLink = !address && link.trim() !== ''
    if (!wrongLink) editing?.restyle({ link: address })
  }
  const size = $derived(editing?.size ?? tools.textSize)
</script>

<div class="row" role="group" aria-label={t('text-settings')}>
  <Popover
    label={t('family')}
    now={FAMILIES.find(({ value }) => value === (editing?.family ?? tools.textFamily))!.label}
  >
    {#snippet face()}{FAMILIES.find(({ value }) => value === (editing?.family ?? tools.textFamily))!
        .label}{/snippet}
    {#snippet children()}
      <Choice
        label={t('family')}
        options={FAMILIES}
        bind:value={() => editing?.family ?? tools.textFamily, setFamily}
      />
    {/snippet}
  </Popover>
  <button aria-label={t('smaller')} onpointerdown={stay} onclick={() => setSize(size / 1.15)}>−</button>
  <input
    type="number"
    aria-label={t('text-size')}
    min="4"
    max="400"
    value={size}
    onchange={(event) => setSize(event.currentTarget.valueAsNumber)}
  />
  <button aria-label={t('larger')} onpointerdown={stay} onclick={() => setSize(size * 1.15)}>+</button>
  {#if editing?.kind === 'text'}
    <button
      aria-label={t('bold')}
      aria-pressed={editing.has((s) => !!s.bold)}
      onpointerdown={stay}
      onclick={() => editing.toggle('bold')}><b>B</b></button
    >
    <button
      aria-label={t('italic')}
      aria-pressed={editing.has((s) => !!s.italic)}
      onpointerdown={stay}
      onclick={() => editing.toggle('italic')}><i>I</i></button
    >
    <button
      aria-label={t('underline')}
      aria-pressed={editing.has((s) => !!s.underline)}
      onpointerdown={stay}
      onclick={() => editing.toggle('underline')}><u>U</u></button
    >
    <button
      aria-label={t('strike-through')}
      aria-pressed={editing.has((s) => !!s.strike)}
      onpointerdown={stay}
      onclick={() => editing.toggle('strike')}><s>S</s></button
    >
    <button
      aria-label={t('subscript')}
      aria-pressed={editing.has((s) => s.script === 'sub')}
      onpointerdown={stay}
      onclick={() => editing.script('sub')}>x<sub>2</sub></button
    >
    <button
      aria-label={t('superscript')}
      aria-pressed={editing.has((s) => s.script === 'sup')}
      onpointerdown={stay}
      onclick={() => editing.script('sup')}>x<sup>2</sup></button
    >
    <button
      aria-label={t('formula-in-the-text')}
      title={t('formula-in-the-text-hint')}
      aria-pressed={editing.has((s) => !!s.maths)}
      onpointerdown={stay}
      onclick={() => editing.toggle('maths')}>√x</button
    >
    <Popover label={t('lines-and-links')} now={t('lines')}>
      {#snippet children()}
        <div class="stack">
          <Choice
            label={t('align')}
            options={ALIGN}
            bind:value={() => editing.align, (align) => (editing.align = align)}
          />
          <Choice
            label={t('list')}
            options={LISTS}
            bind:value={() => editing.listing, (list) => (editing.listing = list)}
          />
          <label>
            <span>{t('link')}</span>
            <input bind:value={link} placeholder="https://" aria-invalid={wrongLink} onchange={setLink} />
          </label>
          {#if wrongLink}<p role="alert">
              {t('a-link-begins-with-http')}
            </p>{/if}
        </div>
      {/snippet}
    </Popover>
  {:else if !editing}
    <Hint>{t('press-on-the-board-and')}</Hint>
  {/if}
</div>

<style>
  .row {
    display: flex;
    align-items: center;
    gap: 5px;
    /* On a narrow screen it is drawn along, so that no control lies under its neighbours. */
    min-width: 0;
    overflow-x: auto;
    padding-block: 4px;
  }
  .row > :global(*) {
    flex: none;
  }
  button,
  input {
    min-width: 40px;
    height: 42px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    padding: 0 8px;
  }
  input {
    width: 62px;
    background: var(--field);
    border-color: var(--muted);
  }
  button[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  .stack {
    display: grid;
    gap: 8px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  label span {
    width: 74px;
    color: var(--muted);
    font-size: 13px;
  }
  label input {
    flex: 1;
    width: 260px;
  }
  p {
    color: var(--clay);
    font-size: 13px;
  }
  sub,
  sup {
    font-size: 10px;
  }
</style>
