<script lang="ts">
  /** Somebody's picture over the board's edge, to see a hand or an experiment; it is dragged to where it is in nobody's way. */
  import type { Session } from '../lesson/session.svelte'
  import { t } from '../words/words.svelte'
  import FaceTile from './FaceTile.svelte'

  let { session }: { session: Session } = $props()
  const caller = $derived(session.call.callers.find(({ id }) => id === session.call.large))
  let [x, y, width] = $state([100, 66, 360])
  let frame = $state<HTMLElement>()
  let held: { x: number; y: number } | null = null

  function ondown(event: PointerEvent) {
    held = { x: event.clientX - x, y: event.clientY - y }
    ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
  }

  function onmove(event: PointerEvent) {
    if (!held) return
    x = Math.max(0, event.clientX - held.x)
    y = Math.max(0, event.clientY - held.y)
  }

  /** In a small window of its own, that stays over others: while another window is in front. */
  function apart() {
    const video = frame?.querySelector('video')
    if (video) void video.requestPictureInPicture().catch(() => session.say(t('call-no-window')))
  }

  function onkey(event: KeyboardEvent) {
    const [dx, dy] = { ArrowLeft: [-20, 0], ArrowRight: [20, 0], ArrowUp: [0, -20], ArrowDown: [0, 20] }[
      event.key
    ] ?? [0, 0]
    if (event.key === '+' || event.key === '-')
      width = Math.min(900, Math.max(160, width + (event.key === '+' ? 60 : -60)))
    else if (!dx && !dy) return
    x = Math.max(0, x + dx!)
    y = Math.max(0, y + dy!)
    event.preventDefault()
    event.stopPropagation()
  }
</script>

{#if caller}
  <div class="large" bind:this={frame} style:left="{x}px" style:top="{y}px" style:width="{width}px">
    <!-- svelte-ignore a11y_no_noninteractive_element_interactions, a11y_no_noninteractive_tabindex -->
    <div
      class="grip"
      role="group"
      tabindex="0"
      aria-label={t('call-move-picture')}
      onpointerdown={ondown}
      onpointermove={onmove}
      onpointerup={() => (held = null)}
      onpointercancel={() => (held = null)}
      onkeydown={onkey}
    ></div>
    {#if document.pictureInPictureEnabled && caller.face}
      <button class="apart" onclick={apart}>{t('call-own-window')}</button>
    {/if}
    <div class="face"><FaceTile {session} {caller} mark={96} /></div>
  </div>
{/if}

<style>
  .large {
    position: absolute;
    z-index: 3;
    display: grid;
    max-width: calc(100% - 32px);
    box-shadow: 0 3px 14px rgb(0 0 0 / 40%);
    resize: horizontal;
    overflow: hidden;
  }
  .grip {
    height: 24px;
    background: var(--frame);
    cursor: move;
    touch-action: none;
    border-bottom: 3px dotted var(--frame-3);
  }
  .apart {
    min-height: 36px;
    border: 0;
    background: var(--frame);
    color: var(--on-frame);
    font: inherit;
    font-size: 13px;
  }
  .face {
    aspect-ratio: 4 / 3;
  }
</style>
