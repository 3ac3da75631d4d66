<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Tiles from '../../ui/Tiles.svelte'
  import StampPicture from './StampPicture.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { STAMPS } from '../../lesson/stamps'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const all = $derived([...STAMPS, ...tools.ownStamps])
</script>

<Tiles
  label={t('stamps')}
  options={all}
  taken={tools.stamp}
  name={(stamp) => (stamp.word ? t(stamp.word) : stamp.name)}
  ontake={(index) => (tools.stamp = index)}
>
  {#snippet picture(stamp)}<StampPicture {stamp} />{/snippet}
</Tiles>
{#if tools.stamp >= STAMPS.length}
  <button class="away" onclick={() => tools.dropStamp(tools.stamp - STAMPS.length)}
    >{t('throw-this-one-away')}</button
  >
{:else if !tools.ownStamps.length}
  <Hint>{t('own-ones-select-things-arrange')}</Hint>
{/if}

<style>
  .away {
    min-height: 42px;
    border: 0;
    background: none;
    color: var(--clay);
  }
</style>
