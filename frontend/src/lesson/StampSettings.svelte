<script lang="ts">
  import Hint from '../ui/Hint.svelte'
  import StampPicture from './StampPicture.svelte'
  import type { Session } from './session.svelte'
  import { STAMPS } from './stamps'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const all = $derived([...STAMPS, ...tools.ownStamps])
</script>

<div class="row" role="radiogroup" aria-label="Stamps">
  {#each all as stamp, i (i)}
    <button
      role="radio"
      aria-checked={tools.stamp === i}
      aria-label={stamp.name}
      title={stamp.name}
      onclick={() => (tools.stamp = i)}><StampPicture {stamp} /></button
    >
  {/each}
</div>
{#if tools.stamp >= STAMPS.length}
  <button class="away" onclick={() => tools.dropStamp(tools.stamp - STAMPS.length)}
    >Throw this one away</button
  >
{:else if !tools.ownStamps.length}
  <Hint>Own ones: select things, Arrange, Make a stamp.</Hint>
{/if}

<style>
  .row {
    display: flex;
    gap: 5px;
  }
  .row button {
    width: 46px;
    height: 46px;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: grid;
    place-items: center;
  }
  .row button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  .away {
    min-height: 42px;
    border: 0;
    background: none;
    color: var(--clay);
  }
</style>
