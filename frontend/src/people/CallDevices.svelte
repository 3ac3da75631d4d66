<script lang="ts">
  /** Which microphone, camera and loudspeaker. */
  import { onMount } from 'svelte'
  import type { Call } from '../call/call.svelte'
  import { devicesOf, MADE_UP, type Found } from '../call/devices'
  import { t } from '../words/words.svelte'

  let { call }: { call: Call } = $props()
  let found = $state.raw<Record<string, Found[]>>({})
  const KINDS = [
    { kept: 'voice', kind: 'audioinput', word: 'device-microphone', madeUp: 'device-made-up-voice' },
    { kept: 'face', kind: 'videoinput', word: 'device-camera', madeUp: 'device-made-up-face' },
    { kept: 'speaker', kind: 'audiooutput', word: 'device-speaker', madeUp: null },
  ] as const

  async function look() {
    const lists = await Promise.all(KINDS.map(({ kind }) => devicesOf(kind)))
    found = Object.fromEntries(KINDS.map(({ kept }, n) => [kept, lists[n]!]))
  }

  onMount(() => {
    void look()
    navigator.mediaDevices?.addEventListener('devicechange', look)
    return () => navigator.mediaDevices?.removeEventListener('devicechange', look)
  })
</script>

{#each KINDS as { kept, word, madeUp } (kept)}
  <label>
    <span>{t(word)}</span>
    <select
      value={call.kept[kept]}
      onchange={(event) => void call.choose({ [kept]: event.currentTarget.value })}
    >
      <option value="">{t('device-usual')}</option>
      {#each found[kept] ?? [] as { id, label }, n (id)}
        <option value={id}>{label || t('device-number', { number: n + 1 })}</option>
      {/each}
      {#if madeUp}<option value={MADE_UP}>{t(madeUp)}</option>{/if}
    </select>
  </label>
{/each}

<style>
  label {
    display: grid;
    gap: 2px;
    font-size: 13px;
    color: var(--muted);
    min-width: 0;
  }
  select {
    min-height: 40px;
    width: 100%;
    min-width: 0;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    font-size: 14px;
    color: var(--ink);
  }
</style>
