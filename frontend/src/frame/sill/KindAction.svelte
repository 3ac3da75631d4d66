<script lang="ts">
  /** One of the things that can be done with ``item`` because of its kind. */
  import type { KindAction } from '../../lesson/kind-actions'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { newId } from '../../wire/codec'
  import type { Item } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import ChartForms from './ChartForms.svelte'
  import ChartPanel from './ChartPanel.svelte'
  import GraphPanel from './GraphPanel.svelte'
  import PicturePanel from './PicturePanel.svelte'
  import TablePanel from './TablePanel.svelte'
  import WorkPanel from './WorkPanel.svelte'

  let { session, item, action }: { session: Session; item: Item; action: KindAction } = $props()
  const page = $derived(session.pages.id)
</script>

{#if item.kind === 'card'}
  {#if action === 'plays'}
    <Button kind="go" onclick={() => session.cards.lead({ page, item: item.id }, true, 0)}
      >{t('card-play-all')}</Button
    >
  {:else if action === 'opens'}
    <Button onclick={() => session.cards.open(item)}>{t(item.address ? 'card-open' : 'card-listen')}</Button>
  {:else}
    <Button onclick={() => (session.cards.writing = item)}
      >{t(item.file ? 'card-title' : 'card-change')}</Button
    >
  {/if}
{:else if item.kind === 'formula'}
  {#if action === 'works'}
    <Popover label={t('work-it-out')}>
      {#snippet children(close)}<WorkPanel {session} formula={item} onclose={close} />{/snippet}
    </Popover>
  {:else if action === 'graphs'}
    <Button onclick={() => session.graphs.putBeside(item)}>{t('graph-draw')}</Button>
  {:else if action === 'lined'}
    <Button onclick={() => session.do({ step: 'put_number_line', page, formula: item.id, id: newId() })}
      >{t('number-line-put')}</Button
    >
  {:else}
    <Button onclick={() => (session.formulas.typing = { item, at: [item.x, item.y] })}
      >{t('formula-change')}</Button
    >
  {/if}
{:else if item.kind === 'table'}
  {#if action === 'throws'}
    <div role="group" aria-label={t('chance-throw')}>
      {#each [1, 10, 100] as times (times)}
        <Button
          kind={times === 1 ? 'go' : 'plain'}
          onclick={() => session.do({ step: 'throw', page, id: item.id, times })}
          >{times === 1 ? t('chance-throw') : t('chance-times', { times })}</Button
        >
      {/each}
    </div>
  {:else if action === 'charts'}
    <Popover label={t('chart')}>
      {#snippet children(close)}
        <ChartForms
          label={t('chart-forms')}
          ontake={(form) => {
            session.charts.put(item, form)
            close()
          }}
        />
      {/snippet}
    </Popover>
  {:else}
    <Popover label={t('rows-and-columns')}><TablePanel {session} table={item} /></Popover>
  {/if}
{:else if item.kind === 'graph'}
  <Popover label={t('graph-panel')}><GraphPanel {session} graph={item} /></Popover>
{:else if item.kind === 'chart'}
  <Popover label={t('chart-panel')}><ChartPanel {session} chart={item} /></Popover>
{:else if item.kind === 'picture'}
  <Popover label={t('picture-panel')}>
    {#snippet children(close)}<PicturePanel {session} picture={item} onclose={close} />{/snippet}
  </Popover>
{/if}

<style>
  div {
    display: flex;
    gap: 4px;
  }
</style>
