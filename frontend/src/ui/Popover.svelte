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
  const id = $props.id()
  let open = $state(false)
  let button: HTMLButtonElement
  let panel: HTMLElement
  let place = $state('')

  const close = () => panel.hidePopover()

  $effect(() => {
    // A panel wider than what is left of the window moves inwards.
    if (!open) return
    const box = panel.getBoundingClientRect()
    if (box.right > innerWidth - 8) panel.style.left = `${Math.max(8, innerWidth - 8 - box.width)}px`
  })

  /** The sill scrolls its contents: the panel lies over the window, beside its button. */
  function put() {
    const { left, right, top, bottom } = button.getBoundingClientRect()
    const edge =
      side === 'left' ? `left:${Math.max(8, left)}px` : `right:${Math.max(8, innerWidth - right)}px`
    const upright = below
      ? `top:${bottom + 8}px; max-height:${innerHeight - bottom - 24}px`
      : `bottom:${innerHeight - top + 10}px; max-height:${top - 24}px`
    place = `${edge}; ${upright}`
  }

  /** Escape closes the panel, and means nothing to what lies under it. */
  function onkeydown(event: KeyboardEvent) {
    if (open && event.key === 'Escape') event.stopPropagation()
  }
</script>

<svelte:window onresize={() => open && close()} />

<div class="whole" {onkeydown} role="presentation">
  <button
    class="face"
    class:bare
    aria-label={label}
    title={label}
    aria-expanded={open}
    aria-pressed={pressed}
    popovertarget={id}
    bind:this={button}>{@render face()}</button
  >
  <div
    class="panel"
    {id}
    popover="auto"
    role={open ? 'dialog' : undefined}
    aria-label={open ? label : undefined}
    style={place}
    bind:this={panel}
    onbeforetoggle={(event) => event.newState === 'open' && put()}
    ontoggle={(event) => (open = event.newState === 'open')}
  >
    {#if open}{@render children(close)}{/if}
  </div>
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
    inset: auto;
    margin: 0;
    background: var(--glass);
    color: var(--ink);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    padding: 14px;
    overflow: auto;
    max-width: calc(100vw - 16px);
  }
</style>
