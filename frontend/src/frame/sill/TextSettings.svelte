<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Popover from '../../ui/Popover.svelte'
  import type { Align, Family, Listing } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const editing = $derived(session.editing)
  const FAMILIES: { value: Family; label: string }[] = [
    { value: 'sans', label: 'Plain' },
    { value: 'serif', label: 'Book' },
    { value: 'hand', label: 'Hand' },
    { value: 'mono', label: 'Even' },
  ]
  const ALIGN: { value: Align; label: string }[] = [
    { value: 'left', label: 'Left' },
    { value: 'centre', label: 'Centre' },
    { value: 'right', label: 'Right' },
  ]
  const LISTS: { value: Listing; label: string }[] = [
    { value: 'none', label: 'No list' },
    { value: 'bullets', label: 'Bullets' },
    { value: 'numbers', label: 'Numbers' },
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
    const address = link.trim()
    wrongLink = address !== '' && !/^(https?:\/\/|mailto:)[^\s<>"'\\]+$/i.test(address)
    if (!wrongLink) editing?.restyle({ link: address })
  }
  const size = $derived(editing?.size ?? tools.textSize)
</script>

<div class="row" role="group" aria-label="Text settings">
  <Popover label="Family">
    {#snippet face()}{FAMILIES.find(({ value }) => value === (editing?.family ?? tools.textFamily))!
        .label}{/snippet}
    {#snippet children()}
      <Choice
        label="Family"
        options={FAMILIES}
        bind:value={() => editing?.family ?? tools.textFamily, setFamily}
      />
    {/snippet}
  </Popover>
  <button aria-label="Smaller" onpointerdown={stay} onclick={() => setSize(size / 1.15)}>−</button>
  <input
    type="number"
    aria-label="Text size"
    min="4"
    max="400"
    value={size}
    onchange={(event) => setSize(event.currentTarget.valueAsNumber)}
  />
  <button aria-label="Larger" onpointerdown={stay} onclick={() => setSize(size * 1.15)}>+</button>
  {#if editing?.kind === 'text'}
    <button
      aria-label="Bold"
      aria-pressed={editing.has((s) => !!s.bold)}
      onpointerdown={stay}
      onclick={() => editing.toggle('bold')}><b>B</b></button
    >
    <button
      aria-label="Italic"
      aria-pressed={editing.has((s) => !!s.italic)}
      onpointerdown={stay}
      onclick={() => editing.toggle('italic')}><i>I</i></button
    >
    <button
      aria-label="Underline"
      aria-pressed={editing.has((s) => !!s.underline)}
      onpointerdown={stay}
      onclick={() => editing.toggle('underline')}><u>U</u></button
    >
    <button
      aria-label="Strike through"
      aria-pressed={editing.has((s) => !!s.strike)}
      onpointerdown={stay}
      onclick={() => editing.toggle('strike')}><s>S</s></button
    >
    <button
      aria-label="Subscript"
      aria-pressed={editing.has((s) => s.script === 'sub')}
      onpointerdown={stay}
      onclick={() => editing.script('sub')}>x<sub>2</sub></button
    >
    <button
      aria-label="Superscript"
      aria-pressed={editing.has((s) => s.script === 'sup')}
      onpointerdown={stay}
      onclick={() => editing.script('sup')}>x<sup>2</sup></button
    >
    <Popover label="Lines and links">
      {#snippet face()}Lines{/snippet}
      {#snippet children()}
        <div class="stack">
          <Choice
            label="Align"
            options={ALIGN}
            bind:value={() => editing.align, (align) => (editing.align = align)}
          />
          <Choice
            label="List"
            options={LISTS}
            bind:value={() => editing.listing, (list) => (editing.listing = list)}
          />
          <label>
            <span>Link</span>
            <input bind:value={link} placeholder="https://" aria-invalid={wrongLink} onchange={setLink} />
          </label>
          {#if wrongLink}<p role="alert">
              A link begins with http://, https:// or mailto: and has no spaces.
            </p>{/if}
        </div>
      {/snippet}
    </Popover>
  {:else if !editing}
    <Hint>Press on the board and type.</Hint>
  {/if}
</div>

<style>
  .row {
    display: flex;
    align-items: center;
    gap: 5px;
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
    background: #fff;
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
