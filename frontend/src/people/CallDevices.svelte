<script lang="ts">
  /** Which microphone, camera and loudspeaker. */
  import { onMount } from 'svelte'
  import type { Call } from '../call/call.svelte'
  import { devicesOf, MADE_UP, type Found } from '../call/devices'
  import Select from '../ui/Select.svelte'
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
  <Select
    label={t(word)}
    options={[
      { value: '', label: t('device-usual') },
      ...(found[kept] ?? []).map(({ id, label }, n) => ({
        value: id,
        label: label || t('device-number', { number: n + 1 }),
      })),
      ...(madeUp ? [{ value: MADE_UP, label: t(madeUp) }] : []),
    ]}
    bind:value={() => call.kept[kept], (id) => void call.choose({ [kept]: id })}
  />
{/each}
