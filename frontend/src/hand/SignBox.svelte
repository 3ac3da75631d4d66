<script lang="ts">
  import { onDestroy } from 'svelte'
  import type { HandSample } from '../wire/generated'
  import type { SampleRow } from './samples'
  import { t } from '../words/words.svelte'
  import { isLine } from './samples'
  import Icon from '../ui/Icon.svelte'

  interface Props {
    /** A character, or a line of several. */
    text: string
    /** Those of the practice page, the oldest first. */
    samples: HandSample[]
    /** Whether the pen is in this box, as the page knows it. */
    here: boolean
    onbegin: (touch: boolean) => boolean
    /** Without it the box only shows what was learned. */
    onwritten?: (text: string, strokes: SampleRow[][]) => Promise<boolean>
    onthrow: (id: number) => void
  }
  let { text, samples, here, onbegin, onwritten, onthrow }: Props = $props()

  const PAUSE_MS = 900
  const HEIGHT = 74
  const line = $derived(isLine(text))
  const width = $derived(line ? 268 : 66)

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
  // Whoever closes the page has done with what stands in its boxes.
  onDestroy(() => void send())

  /** A press counts when nothing was written meanwhile: a palm lies on these buttons while its pen writes. */
  let pressed: SampleRow[][] = []
  function press(event: MouseEvent, then: () => void) {
    if (pointer < 0 && (event.detail === 0 || pressed === strokes)) then()
  }

  const rounded = (value: number) => Math.round(value * 1000) / 1000

  function add(event: PointerEvent) {
    const box = (event.currentTarget as Element).getBoundingClientRect()
    const batch = event.getCoalescedEvents?.() ?? []
    const rows = (batch.length ? batch : [event]).map((at): SampleRow => [
      rounded(((at.clientX - box.left) * width) / box.width),
      rounded(((at.clientY - box.top) * HEIGHT) / box.height),
      rounded(at.pressure || 0.5),
      Math.round(Math.max(0, at.timeStamp - began)),
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
    // A line has pauses between its words: it is done when its writer says so, goes on elsewhere, or closes the page.
    if (!line) timer = setTimeout(send, PAUSE_MS)
  }

  async function send() {
    clearTimeout(timer)
    if (sending || !strokes.length) return
    sending = true
    // What could not be sent stays in its box, and goes when it is written in again.
    if (await onwritten?.(text, strokes)) strokes = []
    sending = false
  }
</script>

<div class="box" class:written={newest} class:line={line && onwritten}>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
  <svg
    viewBox="0 0 {width} {HEIGHT}"
    role="img"
    tabindex="0"
    aria-label="{text}, {samples.length
      ? t('written-times', { count: samples.length })
      : t('not-written-yet')}"
    data-sign={text}
    onpointerdown={down}
    onpointermove={(event) => event.pointerId === pointer && add(event)}
    onpointerup={up}
    onpointercancel={up}
    onkeydown={(event) => {
      if (newest && ['Delete', 'Backspace'].includes(event.key)) onthrow(newest.id)
    }}
  >
    <line x1="6" x2={width - 6} y1="52" y2="52" />
    <text x="6" y="15">{text}</text>
    {#each shown as stroke, i (i)}
      <polyline points={stroke.map(([x, y]) => `${x},${y}`).join(' ')} />
    {/each}
  </svg>
  {#if line && onwritten}
    <!-- Always there: ink does not move while it is written. -->
    <!-- svelte-ignore a11y_no_static_element_interactions -->
    <div class="of-line" onpointerdown={() => (pressed = pointer < 0 ? strokes : [])}>
      <button
        type="button"
        aria-label={t('keep-this-line')}
        title={t('keep-this-line')}
        disabled={!strokes.length}
        onclick={(event) => press(event, () => void send())}><Icon name="check" size={20} /></button
      >
      <button
        type="button"
        aria-label={t('write-it-again')}
        title={t('write-it-again')}
        disabled={!strokes.length}
        onclick={(event) => press(event, () => (strokes = []))}><Icon name="undo" size={20} /></button
      >
    </div>
  {/if}
  {#if newest && !(line && strokes.length)}
    {#if samples.length > 1}<span class="count" aria-hidden="true">{samples.length}</span>{/if}
    <button
      type="button"
      class="throw"
      aria-label={t('throw-away-the-last', { character: text })}
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
  .line {
    display: flex;
  }
  .of-line {
    display: grid;
    border-left: 1px solid var(--sand-2);
  }
  .of-line button {
    width: 40px;
    border: 0;
    background: none;
    color: var(--leaf-dark);
  }
  .of-line button:disabled {
    color: var(--sand-line);
  }
  .count {
    position: absolute;
    left: 6px;
    bottom: 1px;
    font-size: 11px;
    color: var(--muted);
  }
  .throw {
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
  .line .throw {
    right: 41px;
  }
  .box:hover .throw,
  .throw:focus-visible,
  svg:focus-visible ~ .throw {
    opacity: 1;
  }
  @media (hover: none) {
    .throw {
      opacity: 1;
    }
  }
</style>
