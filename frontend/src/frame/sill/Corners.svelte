<script lang="ts">
  /** A picture with four corners that are dragged, or moved by the arrow keys: of a sheet, or of the part to be shown. */
  import { t } from '../../words/words.svelte'

  export type Corner = [number, number]
  interface Props {
    source: string
    /** Clockwise from the upper left, in parts of the picture's sides. */
    corners: Corner[]
    /** The sides stay upright and level. */
    straight: boolean
    onchange: (corners: Corner[]) => void
  }
  let { source, corners, straight, onchange }: Props = $props()

  const STEP = 0.005
  const NAMES = [
    'corner-upper-left',
    'corner-upper-right',
    'corner-lower-right',
    'corner-lower-left',
  ] as const
  const KEYS: Record<string, Corner> = {
    ArrowLeft: [-STEP, 0],
    ArrowRight: [STEP, 0],
    ArrowUp: [0, -STEP],
    ArrowDown: [0, STEP],
  }
  let field: HTMLElement
  let held: number | null = $state(null)

  function put(index: number, [x, y]: Corner) {
    const at: Corner = [Math.min(1, Math.max(0, x)), Math.min(1, Math.max(0, y))]
    const besides = straight ? { x: [3, 2, 1, 0][index], y: [1, 0, 3, 2][index] } : {}
    onchange(
      corners.map(([cx, cy], i) =>
        i === index ? at : [i === besides.x ? at[0] : cx, i === besides.y ? at[1] : cy],
      ),
    )
  }

  function drag(event: PointerEvent) {
    if (held === null) return
    const box = field.getBoundingClientRect()
    put(held, [(event.clientX - box.left) / box.width, (event.clientY - box.top) / box.height])
  }

  function key(event: KeyboardEvent, index: number) {
    const step = KEYS[event.key]
    if (!step) return
    event.preventDefault()
    const times = event.shiftKey ? 0.2 : 1
    const [x, y] = corners[index]!
    put(index, [x + step[0] * times, y + step[1] * times])
  }
</script>

<div class="field" bind:this={field}>
  <img src={source} alt="" draggable="false" />
  <svg viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
    <path class="out" d="M0 0H1V1H0ZM{corners.map((at) => at.join(' ')).join('L')}Z" />
    <polygon points={corners.map((at) => at.join(',')).join(' ')} />
  </svg>
  {#each corners as [x, y], i (i)}
    <button
      aria-label={t(NAMES[i]!)}
      style:left="{x * 100}%"
      style:top="{y * 100}%"
      class:held={held === i}
      onkeydown={(event) => key(event, i)}
      onpointerdown={(event) => {
        held = i
        event.currentTarget.setPointerCapture(event.pointerId)
      }}
      onpointermove={drag}
      onpointerup={() => (held = null)}
      onpointercancel={() => (held = null)}
    ></button>
  {/each}
</div>

<style>
  .field {
    position: relative;
    justify-self: center;
    align-self: center;
    width: fit-content;
    touch-action: none;
  }
  img {
    display: block;
    max-width: 100%;
    max-height: min(52dvh, 480px);
    user-select: none;
  }
  svg {
    position: absolute;
    inset: 0;
    width: 100%;
    height: 100%;
  }
  .out {
    fill: rgb(23 53 47 / 45%);
    fill-rule: evenodd;
  }
  polygon {
    fill: none;
    stroke: var(--leaf);
    stroke-width: 2.5px;
    vector-effect: non-scaling-stroke;
  }
  button {
    position: absolute;
    width: 44px;
    height: 44px;
    margin: -22px;
    border: 0;
    border-radius: 50%;
    background: none;
    touch-action: none;
    cursor: move;
  }
  button::after {
    content: '';
    position: absolute;
    inset: 13px;
    border: 3px solid var(--leaf);
    border-radius: 50%;
    background: #fff;
  }
  button.held::after {
    inset: 9px;
    background: none;
  }
</style>
