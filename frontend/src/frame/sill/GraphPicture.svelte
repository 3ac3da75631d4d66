<script lang="ts">
  /** A graph as it would look, small. */
  import { GRAPH_AXIS, GRAPH_GRID, PATH_UNITS, type GraphItem } from '../../wire/generated'

  let { graph }: { graph: GraphItem } = $props()
</script>

<svg viewBox="0 0 {graph.width * PATH_UNITS} {graph.height * PATH_UNITS}" aria-hidden="true">
  {#if graph.drawn}
    <path d={graph.drawn.grid} stroke={GRAPH_GRID} stroke-width={PATH_UNITS} />
    {#each graph.drawn.curves as curve, at (at)}
      <path
        d={curve}
        stroke={graph.lines[at]?.colour}
        stroke-width={(graph.lines[at]?.width ?? 3) * PATH_UNITS}
      />
    {/each}
    <path d={graph.drawn.axes} stroke={graph.colour} stroke-width={GRAPH_AXIS * PATH_UNITS} />
  {/if}
</svg>

<style>
  svg {
    width: 100%;
    background: var(--field);
  }
  path {
    fill: none;
    stroke-linejoin: round;
    stroke-linecap: round;
  }
</style>
