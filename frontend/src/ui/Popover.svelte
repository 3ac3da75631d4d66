<script lang="ts">
  import type { Snippet } from 'svelte'

  interface Props {
    label: string
    /** What the button shows. */
    face: Snippet
    children: Snippet<[() => void]>
    /** Which edge of the button the panel keeps to. */
    side?: 'left' | 'right'
    pressed?: boolean
    /** Without a frame of its own, among other buttons. */
    bare?: boolean
    /** Opens downwards, from buttons in the upper part of the window. */
    below?: boolean
  }
  let { label, face, children, side = 'left', pressed = false, bare = false, below = false }: Props = $props()
  let open = $state(false)
  let whole = $state<HTMLElement>()
  let button = $state<HTMLButtonElement>()
  let place = $state('')

  let panel = $state<HTMLElement>()
  const close = () => (open = false)

  $effect(() => {
    // A panel wider than what is left of the window moves inwards.
    const box = panel?.getBoundingClientRect()
    if (box && box.right > innerWidth - 8) panel!.style.left = `${Math.max(8, innerWidth - 8 - box.width)}px`
  })

  function toggle() {
    open = !open
    // The sill scrolls its contents: the panel lies over the window, above its button.
    const { left, right, top, bottom } = button!.getBoundingClientRect()
    const edge =
      side === 'left' ? `left:${Math.max(8, left)}px` : `right:${Math.max(8, innerWidth - right)}px`
    const upright = below
      ? `top:${bottom + 8}px; max-height:${innerHeight - bottom - 24}px`
      : `bottom:${innerHeight - top + 10}px; max-height:${top - 24}px`
    place = `${edge}; ${upright}`
  }

  function outside(event: PointerEvent) {
    if (open && !whole?.contains(event.target as Node)) close()
  }

  function onkeydown(event: KeyboardEvent) {
    if (!open || event.key !== 'Escape') return
    event.stopPropagation()
    close()
    button?.focus()
  }
</script>

<svelte:window onpointerdowncapture={outside} onresize={close} />

<div class="whole" bind:this={whole} {onkeydown} role="presentation">
  <button
    class="face"
    class:bare
    aria-label={label}
    title={label}
    aria-expanded={open}
    aria-pressed={pressed}
    bind:this={button}
    onclick={toggle}>{@render face()}</button
  >
  {#if open}
    <div class="panel" bind:this={panel} role="dialog" aria-label={label} style={place}>
      {@render children(close)}
    </div>
  {/if}
</div>

<style>
  .whole {
    flex: none;
  }
  .face {
    min-width: 42px;
    min-height: 42px;
    padding: 0 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
    font-weight: 600;
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
  }
  .face[aria-expanded='true'],
  .face[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  .face.bare {
    min-width: 40px;
    min-height: 40px;
    padding: 0;
    border: 0;
    box-shadow: none;
    background: none;
    color: var(--muted);
    justify-content: center;
  }
  .panel {
    position: fixed;
    z-index: 6;
    background: var(--glass);
    color: var(--ink);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    padding: 14px;
    overflow: auto;
    max-width: calc(100vw - 16px);
  }
</style>
