<script lang="ts" generics="T">
  /** One of some things to take: the platform's radio buttons, in several looks. */
  import { tick, type Snippet } from 'svelte'

  interface Props {
    label: string
    options: readonly T[]
    name: (option: T) => string
    taken: (option: T) => boolean
    ontake: (option: T) => void
    look: 'buttons' | 'tiles' | 'pictures' | 'wells' | 'inks' | 'rows' | 'bar'
    hint?: (option: T) => string
    colour?: (option: T) => string
    /** What an option shows instead of its name. */
    face?: Snippet<[T]>
    /** Width of a tile in px. */
    width?: number
  }
  let { label, options, name, taken, ontake, look, hint, colour, face, width }: Props = $props()
  const group = $props.id()
  let whole: HTMLElement | null

  // A press of the pointer leaves the arrow keys to the board; who comes by the keyboard stays among the buttons.
  async function take(option: T) {
    ontake(option)
    await tick()
    // What is not granted, or not yet, is not shown as taken.
    // What was taken may have closed the panel that they stood in.
    for (const [i, input] of whole?.querySelectorAll('input').entries() ?? [])
      input.checked = taken(options[i]!)
  }
</script>

<div class={look} role="radiogroup" aria-label={label} bind:this={whole}>
  {#each options as option (name(option))}
    <label
      title={hint?.(option) ?? (look === 'buttons' || look === 'rows' ? undefined : name(option))}
      style:--well={colour?.(option)}
      style:width={width ? `${width}px` : undefined}
    >
      <input
        type="radio"
        name={group}
        value={name(option)}
        aria-label={name(option)}
        checked={taken(option)}
        onchange={() => take(option)}
        onclick={(event) => event.detail && event.currentTarget.blur()}
      />
      {#if face}{@render face(option)}{:else if !colour}{name(option)}{/if}
    </label>
  {/each}
</div>

<style>
  div {
    display: flex;
    gap: 6px;
  }
  label {
    position: relative;
    cursor: pointer;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: flex;
    align-items: center;
  }
  /* The button itself lies unseen over all of its face. */
  input {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
    margin: 0;
    opacity: 0;
    cursor: pointer;
  }
  label:has(:checked) {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  label:has(:focus-visible) {
    outline: 3px solid var(--sun);
    outline-offset: 2px;
  }
  .buttons,
  .rows {
    flex-wrap: wrap;
  }
  .buttons label {
    min-height: 42px;
    min-width: 42px;
    padding: 0 13px;
    font-weight: 600;
    gap: 9px;
    white-space: nowrap;
  }
  .tiles {
    gap: 5px;
  }
  /* What is shown in a tile lies on paper, by day and in the evening. */
  .tiles label {
    background: #fffefa;
    color: #16222b;
    height: 46px;
    justify-content: center;
  }
  .pictures {
    display: grid;
    grid-template-columns: repeat(var(--columns, 6), 92px);
    gap: 4px;
  }
  .pictures label {
    min-height: 62px;
    border-color: transparent;
    background: none;
    flex-direction: column;
    justify-content: center;
    gap: 3px;
    font-size: 12px;
    padding: 4px 2px;
  }
  .pictures label:hover {
    background: var(--sand);
  }
  .pictures label:has(:checked) {
    border-color: var(--leaf);
  }
  .wells label {
    width: 44px;
    height: 42px;
    background: var(--well);
  }
  .wells label:has(:checked) {
    outline: 2.5px solid var(--leaf);
    outline-offset: 1px;
  }
  .inks {
    gap: 0;
  }
  .inks label {
    width: 26px;
    height: 34px;
    border: 0;
    background: none;
    box-shadow: none;
    justify-content: center;
  }
  .inks label::before {
    content: '';
    width: 20px;
    height: 20px;
    border-radius: 50%;
    background: var(--well);
    box-shadow: inset 0 0 0 1.5px rgb(255 255 255 / 55%);
  }
  .inks label:has(:checked)::before {
    outline: 2.5px solid var(--sun);
    outline-offset: 2px;
  }
  .rows {
    display: grid;
    gap: 4px;
  }
  .rows label {
    min-height: 42px;
    background: none;
    padding: 0 10px;
    gap: 10px;
  }
  .bar {
    gap: 0;
    background: #102722;
    border-radius: 5px;
    padding: 3px;
  }
  .bar label {
    border: 0;
    background: none;
    box-shadow: none;
    color: var(--on-frame);
    font-weight: 600;
    min-height: 34px;
    padding: 0 13px;
    white-space: nowrap;
  }
  .bar label:has(:checked) {
    background: var(--sun);
    color: var(--on-sun);
  }
  @media (pointer: coarse) {
    .inks label {
      width: 40px;
      height: 42px;
    }
    .bar label {
      min-height: 40px;
    }
  }
  @media (max-width: 900px) {
    .bar label {
      padding: 0 10px;
    }
  }
  @media (max-width: 600px) {
    .pictures {
      grid-template-columns: repeat(3, 1fr);
    }
  }
</style>
