<script lang="ts">
  import Icon from '../ui/Icon.svelte'
  import type { Surface } from './surface'

  let { surface }: { surface: Surface } = $props()
  const percent = $derived(Math.round(surface.view.scale * 100))
</script>

<div class="readout">
  <button aria-label="Zoom out" title="Zoom out" onclick={() => surface.zoom(0.8)}
    ><Icon name="minus" size={16} /></button
  >
  <button class="figure" title="Show the whole page" onclick={() => surface.fitPage()}>
    {surface.view.whole ? 'Whole page · ' : ''}{percent}%
  </button>
  <button aria-label="Zoom in" title="Zoom in" onclick={() => surface.zoom(1.25)}
    ><Icon name="plus" size={16} /></button
  >
</div>

<style>
  .readout {
    position: absolute;
    right: 12px;
    bottom: 12px;
    display: flex;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  button {
    min-width: 40px;
    height: 40px;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
    color: var(--muted);
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .figure {
    padding: 0 4px;
  }
  button:hover {
    color: var(--ink);
  }
</style>
