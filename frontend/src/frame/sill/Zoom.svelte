<script lang="ts">
  import Icon from '../../ui/Icon.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { percent } from '../../words/time'
  import { t } from '../../words/words.svelte'
  import type { Surface } from '../board/surface.svelte'

  let { surface }: { surface: Surface } = $props()
  const chosen = $derived(surface.session.selection.ids.size > 0)
</script>

<Popover label={t('view')} now={percent(Math.round(surface.view.scale * 100) / 100)} side="right">
  {#snippet face()}<span class="figure" data-testid="zoom"
      >{percent(Math.round(surface.view.scale * 100) / 100)}</span
    ><Icon name="open" size={14} />{/snippet}
  {#snippet children(close)}
    {@const then = (act: () => void) => () => (act(), close())}
    <div class="menu">
      <div class="row">
        <button aria-label={t('zoom-out')} title={t('zoom-out')} onclick={() => surface.looking.zoom(0.8)}
          ><Icon name="minus" size={18} /></button
        >
        <label
          ><input
            type="number"
            min="5"
            max="1600"
            aria-label={t('zoom')}
            value={Math.round(surface.view.scale * 100)}
            onchange={(event) => surface.looking.zoomTo(event.currentTarget.valueAsNumber / 100)}
          /> %</label
        >
        <button aria-label={t('zoom-in')} title={t('zoom-in')} onclick={() => surface.looking.zoom(1.25)}
          ><Icon name="plus" size={18} /></button
        >
      </div>
      <MenuButton onclick={then(() => surface.looking.fitPage())}>{t('whole-page')}</MenuButton>
      <MenuButton onclick={then(() => surface.looking.fitWidth())}>{t('page-width')}</MenuButton>
      <MenuButton disabled={!chosen} onclick={then(() => surface.looking.fitSelection())}
        >{t('what-is-selected')}</MenuButton
      >
      <MenuButton onclick={then(() => surface.looking.zoomTo(1))}>{t('true-size')}</MenuButton>
      <MenuButton onclick={() => surface.looking.halfPage()}>{t('half-page-down')}</MenuButton>
      <MenuButton disabled={!surface.looking.canGoBack} onclick={then(() => surface.looking.goBack())}
        >{t('back-to-place')}</MenuButton
      >
    </div>
  {/snippet}
</Popover>

<style>
  .figure {
    font-weight: 400;
    font-variant-numeric: tabular-nums;
    min-width: 44px;
    text-align: end;
  }
  .menu {
    display: grid;
    width: 230px;
  }
  .row {
    display: flex;
    justify-content: space-between;
    align-items: center;
    padding-bottom: 6px;
  }
  .row button {
    width: 44px;
    height: 42px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: none;
    display: grid;
    place-items: center;
    padding: 0;
  }
  input {
    width: 84px;
    height: 42px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
</style>
