<script lang="ts">
  import type { HandSample } from '../wire/generated'
  import type { SampleRow } from './samples'
  import { t } from '../words/words.svelte'

  interface Props {
    character: string
    /** Those of the practice page, the oldest first. */
    samples: HandSample[]
    /** Whether the pen is in this box, as the page knows it. */
    here: boolean
    onbegin: (touch: boolean) => boolean
    onwritten: (character: string, strokes: SampleRow[][]) => Promise<boolean>
    onthrow: (id: number) => void
  }
  let { character, samples, here, onbegin, onwritten, onthrow }: Props = $props()

  const PAUSE_MS = 900
  const WIDTH = 66
  const HEIGHT = 74

  let strokes = $state.raw<SampleRow[][]>([])
  let pointer = -1
  let began = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  let sending = false
  const newest = $derived(samples.at(-1))
  const shown = $derived(strokes.length ? strokes : (newest?.strokes ?? []))

  $effect(() => {
    if (!here && strokes.length && pointer < 0) void send()
  })

  function add(event: PointerEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect()
    const batch = event.getCoalescedEvents?.() ?? []
    const rows = (batch.length ? batch : [event]).map((at): SampleRow => [
      ((at.clientX - box.left) * WIDTH) / box.width,
      ((at.clientY - box.top) * HEIGHT) / box.height,
      at.pressure || 0.5,
      Math.max(0, at.timeStamp - began),
    ])
    strokes = [...strokes.slice(0, -1), [...strokes.at(-1)!, ...rows]]
  }

  function down(event: PointerEvent) {
    if (event.button !== 0 || pointer >= 0 || sending || !onbegin(event.pointerType === 'touch')) return
    ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
    clearTimeout(timer)
    pointer = event.pointerId
    if (!strokes.length) began = event.timeStamp
    strokes = [...strokes, []]
    add(event)
  }

  function up(event: PointerEvent) {
    if (event.pointerId !== pointer) return
    pointer = -1
    timer = setTimeout(send, PAUSE_MS)
  }

  async function send() {
    clearTimeout(timer)
    if (sending || !strokes.length) return
    sending = true
    // What could not be sent stays in its box, and goes when it is written in again.
    if (await onwritten(character, strokes)) strokes = []
    sending = false
  }
</script>

<div class="box" class:written={newest}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    viewBox="0 0 {WIDTH} {HEIGHT}"
    role="img"
    tabindex="0"
    aria-label="{character}, {samples.length
      ? t('written-times', { count: samples.length })
      : t('not-written-yet')}"
    data-sign={character}
    onpointerdown={down}
    onpointermove={(event) => event.pointerId === pointer && add(event)}
    onpointerup={up}
    onpointercancel={up}
    onkeydown={(event) => {
      if (newest && ['Delete', 'Backspace'].includes(event.key)) onthrow(newest.id)
    }}
  >
    <line x1="6" x2={WIDTH - 6} y1="52" y2="52" />
    <text x="6" y="15">{character}</text>
    {#each shown as stroke, i (i)}
      <polyline points={stroke.map(([x, y]) => `${x},${y}`).join(' ')} />
    {/each}
  </svg>
  {#if newest}
    {#if samples.length > 1}<span class="count" aria-hidden="true">{samples.length}</span>{/if}
    <button
      type="button"
      aria-label={t('throw-away-the-last', { character })}
      title={t('throw-away')}
      onclick={() => onthrow(newest.id)}>×</button
    >
  {/if}
</div>

<style>
  .box {
    position: relative;
    background: #fff;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  .written {
    border-color: var(--leaf);
  }
  svg {
    display: block;
    width: 100%;
    touch-action: none;
    cursor: crosshair;
  }
  svg:focus {
    outline: none;
  }
  .box:has(svg:focus-visible) {
    outline: 3px solid var(--sun);
  }
  line {
    stroke: var(--sand-2);
  }
  text {
    font-size: 13px;
    fill: var(--muted);
    pointer-events: none;
    user-select: none;
  }
  polyline {
    fill: none;
    stroke: var(--ink);
    stroke-width: 2.4;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
  .count {
    position: absolute;
    left: 6px;
    bottom: 1px;
    font-size: 11px;
    color: var(--muted);
  }
  button {
    position: absolute;
    top: 0;
    right: 0;
    width: 24px;
    height: 24px;
    border: 0;
    background: none;
    color: var(--muted);
    opacity: 0;
  }
  .box:hover button,
  button:focus-visible,
  svg:focus-visible + button {
    opacity: 1;
  }
  @media (hover: none) {
    button {
      opacity: 1;
    }
  }
</style>
