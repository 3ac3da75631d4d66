<script lang="ts">
  import type { Snippet } from 'svelte'
  import { t } from '../words/words.svelte'
  import { screen } from './screen.svelte'

  interface Props {
    label: string
    /** What the button shows; without it, ``now`` or the label. */
    face?: Snippet
    children: Snippet<[() => void]>
    /** Which edge of the button the panel keeps to. */
    side?: 'left' | 'right'
    pressed?: boolean
    /** Without a frame of its own, among other buttons. */
    bare?: boolean
    /** Opens downwards, from buttons in the upper part of the window. */
    below?: boolean
    /** Dark, among the frame's own buttons. */
    dark?: boolean
    /** As wide as the window. */
    broad?: boolean
    /** What is said of the button when its face says less. */
    title?: string
    /** What the face says beyond the label, for whoever hears it: “85 %”. */
    now?: string
    onopen?: () => void
    /** Whether it is open; only to be read. */
    open?: boolean
  }
  let {
    label,
    face,
    children,
    side = 'left',
    pressed = false,
    bare = false,
    below = false,
    dark = false,
    broad = false,
    title,
    now,
    onopen,
    open = $bindable(false),
  }: Props = $props()
  const id = $props.id()
  let button: HTMLButtonElement
  let panel: HTMLElement
  let place = $state('')

  const close = () => panel.hidePopover()

  $effect(() => {
    // A panel wider than what is left of the window moves inwards.
    if (!open || !place || screen.sheets || broad) return
    const box = panel.getBoundingClientRect()
    if (box.right > innerWidth - 8) panel.style.left = `${Math.max(8, innerWidth - 8 - box.width)}px`
    if (box.left < 8) Object.assign(panel.style, { left: '8px', right: 'auto' })
  })

  /** The panel lies over the window, beside its button. */
  function put() {
    if (screen.sheets || broad) {
      // On a small window one sheet at a time, within a thumb's reach; what is broad leaves its button free.
      const over = broad && !screen.sheets ? innerHeight - button.getBoundingClientRect().top + 10 : 0
      place = `left:0; right:0; width:100%; bottom:${over}px; max-height:${(innerHeight - over) * (over ? 0.86 : 0.82)}px; max-width:none`
      return
    }
    const { left, right, top, bottom } = button.getBoundingClientRect()
    const mirrored = getComputedStyle(button).direction === 'rtl'
    const edge =
      (side === 'left') !== mirrored
        ? `left:${Math.max(8, left)}px`
        : `right:${Math.max(8, innerWidth - right)}px`
    const upright = below
      ? `top:${bottom + 8}px; max-height:${innerHeight - bottom - 24}px`
      : `bottom:${innerHeight - top + 10}px; max-height:${top - 24}px`
    place = `${edge}; ${upright}`
  }

  /** A keyboard on the screen makes some windows smaller: what is being written in the panel must stay in sight. */
  function stay() {
    if (button.getClientRects().length) put()
    else close()
  }

  /** Escape closes the panel, and means nothing to what lies under it; ``open`` is told later than the next key may come. */
  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape' && panel.matches(':popover-open')) event.stopPropagation()
  }
</script>

<svelte:window onresize={() => open && stay()} />

<div class="whole" {onkeydown} role="presentation">
  <button
    class="face"
    class:bare
    class:dark
    aria-label={now ? t('named-now', { label, now }) : label}
    title={title ?? label}
    aria-expanded={open}
    aria-pressed={pressed}
    popovertarget={id}
    bind:this={button}
    >{#if face}{@render face()}{:else}{now ?? label}{/if}</button
  >
  <div
    class="panel"
    {id}
    popover="auto"
    role={open ? 'dialog' : undefined}
    aria-label={open ? label : undefined}
    style={place}
    bind:this={panel}
    onbeforetoggle={(event) => {
      if (event.newState !== 'open') return
      put()
      onopen?.()
    }}
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
  .face.dark {
    border-color: var(--frame-3);
    background: none;
    color: var(--on-frame);
  }
  .face.dark.bare {
    color: var(--on-frame);
  }
  .face.dark:hover {
    background: var(--frame-2);
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
