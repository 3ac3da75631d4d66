<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import { nameOf } from '../../lesson/figure-names'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const readings = $derived(session.asYouGo.offer!.readings)
  const text = $derived(readings.readings[0])
  const figure = $derived(readings.figures[0])
  const map = $derived(readings.mind_map)
</script>

<div class="offer" role="group" aria-label="What was written last">
  {#if readings.figure_first && figure}
    <Button onclick={() => session.asYouGo.trueUp()}>True up: {nameOf(figure)}</Button>
  {/if}
  {#if map?.of}
    <Button
      onclick={() => {
        session.chosen.toMindMap(map)
        session.asYouGo.drop()
      }}>Add as a branch</Button
    >
  {/if}
  {#if text}
    <Button onclick={() => session.asYouGo.typeset()}>Typeset “{text.text}”</Button>
  {/if}
  <Button
    kind="quiet"
    onclick={() => {
      const { ids } = session.asYouGo.offer!
      session.asYouGo.drop()
      session.take('select')
      session.selection.choose(ids)
    }}>More</Button
  >
  <Button kind="quiet" aria-label="Leave it as it is" onclick={() => session.asYouGo.drop()}>Leave it</Button>
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
