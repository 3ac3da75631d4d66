<script lang="ts" generics="T">
  import type { Snippet } from 'svelte'

  interface Props {
    label: string
    options: T[]
    /** Index of the one that is taken. */
    taken: number
    name: (option: T) => string
    ontake: (index: number) => void
    /** Width of a tile in px. */
    width?: number
    picture: Snippet<[T]>
  }
  let { label, options, taken, name, ontake, width = 46, picture }: Props = $props()
</script>

<div role="radiogroup" aria-label={label}>
  {#each options as option, i (i)}
    <button
      role="radio"
      aria-checked={taken === i}
      aria-label={name(option)}
      title={name(option)}
      style:width="{width}px"
      onclick={() => ontake(i)}>{@render picture(option)}</button
    >
  {/each}
</div>

<style>
  div {
    display: flex;
    gap: 5px;
  }
  button {
    height: 46px;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: grid;
    place-items: center;
  }
  button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
</style>
