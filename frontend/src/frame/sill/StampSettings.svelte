<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Hint from '../../ui/Hint.svelte'
  import Tiles from '../../ui/Tiles.svelte'
  import StampPicture from './StampPicture.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { STAMPS, type Stamp } from '../../lesson/stamps'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const all = $derived([...STAMPS, ...tools.ownStamps])
  /** The one that was thrown away last: it can be had back while this is open. */
  let away = $state.raw<Stamp | null>(null)

  function throwAway() {
    away = tools.ownStamps[tools.stamp - STAMPS.length] ?? null
    tools.dropStamp(tools.stamp - STAMPS.length)
  }
  function bringBack() {
    if (away && tools.addStamp(away)) away = null
  }
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
  <Button kind="stop" onclick={throwAway}>{t('throw-this-one-away')}</Button>
{:else if away}
  <Button onclick={bringBack}>{t('bring-back')}</Button>
{:else if !tools.ownStamps.length}
  <Hint>{t('own-ones-select-things-arrange')}</Hint>
{/if}
