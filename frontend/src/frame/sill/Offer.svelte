<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import { nameOf } from '../../lesson/figure-names'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const readings = $derived(session.asYouGo.offer!.readings)
  const text = $derived(readings.readings[0])
  const figure = $derived(readings.figures[0])
  const map = $derived(readings.mind_map)
</script>

<div class="offer" role="group" aria-label={t('what-was-written-last')}>
  {#if readings.figure_first && figure}
    <Button onclick={() => session.asYouGo.trueUp()}>{t('true-up-as', { figure: nameOf(figure) })}</Button>
  {/if}
  {#if map?.of}
    <Button
      onclick={() => {
        session.chosen.toMindMap(map)
        session.asYouGo.drop()
      }}>{t('add-as-a-branch')}</Button
    >
  {/if}
  {#if text}
    <Button onclick={() => session.asYouGo.typeset()}>{t('typeset-as', { text: text.text })}</Button>
  {/if}
  <Button
    kind="quiet"
    onclick={() => {
      const { ids } = session.asYouGo.offer!
      session.asYouGo.drop()
      session.take('select')
      session.selection.choose(ids)
    }}>{t('more')}</Button
  >
  <Button kind="quiet" aria-label={t('leave-it-as-it-is')} onclick={() => session.asYouGo.drop()}
    >{t('leave-it')}</Button
  >
</div>

<style>
  .offer {
    display: flex;
    align-items: center;
    gap: 8px;
    min-width: 0;
    overflow-x: auto;
  }
</style>
