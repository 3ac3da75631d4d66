<script lang="ts">
  /** A graph as it would look, small; its window is dragged, and made nearer and further by the wheel. */
  import {
    AREA_OPACITY,
    GRAPH_AXIS,
    GRAPH_GRID,
    GRAPH_LABEL,
    PATH_UNITS,
    type GraphItem,
  } from '../../wire/generated'
  import { t } from '../../words/words.svelte'

  interface Props {
    graph: GraphItem
    /** The window while it is dragged, and when it is let go. */
    ondrag: (ranges: GraphItem['ranges'], done: boolean) => void
    onzoom: (factor: number) => void
  }
  let { graph, ondrag, onzoom }: Props = $props()
  let picture: SVGElement
  let taken: { x: number; y: number; ranges: GraphItem['ranges'] } | null = null
  const STEP = 0.1

  /** The window moved by parts of its width and height. */
  function shifted({ x0, x1, y0, y1 }: GraphItem['ranges'], across: number, up: number): GraphItem['ranges'] {
    const [dx, dy] = [(x1 - x0) * across, (y1 - y0) * up]
    return { x0: x0 + dx, x1: x1 + dx, y0: y0 + dy, y1: y1 + dy }
  }

  function drag(event: PointerEvent, done: boolean) {
    if (!taken) return
    const { width, height } = picture.getBoundingClientRect()
    ondrag(shifted(taken.ranges, (taken.x - event.clientX) / width, (event.clientY - taken.y) / height), done)
    if (done) taken = null
  }

  const ARROWS: Record<string, [number, number]> = {
    ArrowLeft: [-STEP, 0],
    ArrowRight: [STEP, 0],
    ArrowUp: [0, STEP],
    ArrowDown: [0, -STEP],
  }

  function key(event: KeyboardEvent) {
    const arrow = ARROWS[event.key]
    if (!arrow) return
    event.preventDefault()
    event.stopPropagation()
    ondrag(shifted(graph.ranges, ...arrow), true)
  }
</script>

<!-- svelte-ignore a11y_no_noninteractive_tabindex, a11y_no_noninteractive_element_interactions -->
<svg
  bind:this={picture}
  viewBox="0 0 {graph.width * PATH_UNITS} {graph.height * PATH_UNITS}"
  role="application"
  aria-label={t('graph-window')}
  tabindex="0"
  onpointerdown={(event) => {
    event.currentTarget.setPointerCapture(event.pointerId)
    taken = { x: event.clientX, y: event.clientY, ranges: graph.ranges }
  }}
  onpointermove={(event) => drag(event, false)}
  onpointerup={(event) => drag(event, true)}
  onpointercancel={() => (taken = null)}
  onwheel={(event) => {
    event.preventDefault()
    onzoom(event.deltaY > 0 ? 1.25 : 0.8)
  }}
  onkeydown={key}
>
  {#if graph.drawn}
    <path d={graph.drawn.grid} stroke={GRAPH_GRID} stroke-width={PATH_UNITS} />
    {#each graph.drawn.areas as area, at (at)}
      <path d={area} stroke={graph.lines[at]?.colour} stroke-width={PATH_UNITS} opacity={AREA_OPACITY} />
    {/each}
    {#each graph.drawn.curves as curve, at (at)}
      <path
        d={curve}
        stroke={graph.lines[at]?.colour}
        stroke-width={(graph.lines[at]?.width ?? 3) * PATH_UNITS}
      />
    {/each}
    <path d={graph.drawn.axes} stroke={graph.colour} stroke-width={GRAPH_AXIS * PATH_UNITS} />
    {#each graph.drawn.labels as [text, x, y], at (at)}
      <text x={x * PATH_UNITS} y={y * PATH_UNITS} font-size={GRAPH_LABEL * PATH_UNITS}>{text}</text>
    {/each}
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    background: #fffefa;
    cursor: grab;
    touch-action: none;
  }
  path {
    fill: none;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
  text {
    fill: #16222b;
    user-select: none;
  }
</style>
