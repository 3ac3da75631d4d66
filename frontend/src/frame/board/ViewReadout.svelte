<script lang="ts">
  import Icon from '../../ui/Icon.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import type { Surface } from './surface.svelte'

  let { surface }: { surface: Surface } = $props()
  const percent = $derived(Math.round(surface.view.scale * 100))
  const chosen = $derived(surface.session.selection.ids.size > 0)
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
  <button aria-label="Half a page down" title="Half a page down (N)" onclick={() => surface.halfPage()}
    ><Icon name="down" size={16} /></button
  >
  <Popover label="View" side="right" bare>
    {#snippet face()}<Icon name="more" size={16} />{/snippet}
    {#snippet children(close)}
      {@const then = (act: () => void) => () => (act(), close())}
      <div class="menu">
        <label
          >Zoom <input
            type="number"
            min="5"
            max="1600"
            value={percent}
            onchange={(event) => surface.zoomTo(event.currentTarget.valueAsNumber / 100)}
          /> %</label
        >
        <MenuButton onclick={then(() => surface.fitPage())}>Whole page</MenuButton>
        <MenuButton onclick={then(() => surface.fitWidth())}>Width of the page</MenuButton>
        <MenuButton disabled={!chosen} onclick={then(() => surface.fitSelection())}
          >What is selected</MenuButton
        >
        <MenuButton onclick={then(() => surface.zoomTo(1))}>True size</MenuButton>
        <MenuButton disabled={!surface.canGoBack} onclick={then(() => surface.goBack())}
          >Back to where I was</MenuButton
        >
      </div>
    {/snippet}
  </Popover>
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
  .readout > button {
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
  .readout > .figure {
    padding: 0 4px;
  }
  .readout > button:hover {
    color: var(--ink);
  }
  .menu {
    display: grid;
    width: 210px;
  }
  label {
    padding: 0 8px 8px;
    color: var(--muted);
  }
  input {
    width: 84px;
    height: 36px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: #fff;
  }
</style>
