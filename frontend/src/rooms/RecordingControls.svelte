<script lang="ts">
  /** What the owner does with a recording: who may listen, taking it along, removing it. */
  import Button from '../ui/Button.svelte'
  import { asks } from '../ui/ticks'
  import { ask } from '../wire/api'
  import type { RecordingCard, Recordings } from '../wire/generated'
  import { t } from '../words/words.svelte'

  interface Props {
    card: RecordingCard
    onchange: (cards: RecordingCard[]) => void
    onproblem: (problem: string) => void
  }
  let { card, onchange, onproblem }: Props = $props()
  const path = $derived(`/api/recordings/${card.id}`)

  async function change(method: 'PATCH' | 'DELETE', wanted?: { heard: boolean }) {
    try {
      onchange((await ask<Recordings>(method, path, wanted)).recordings)
    } catch (error) {
      onproblem((error as Error).message)
    }
  }
</script>

<label
  ><input type="checkbox" checked={card.heard} onchange={asks((heard) => void change('PATCH', { heard }))} />
  {t('students-may-listen')}</label
>
<a href="/recordings/{card.id}/voice?kept" download>{t('take-recording')}</a>
<a href="/recordings/{card.id}/chapters.vtt" download>{t('take-chapters')}</a>
<Button onclick={() => void change('DELETE')}>{t('remove-recording')}</Button>

<style>
  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
  a {
    color: var(--leaf-dark);
    min-height: 40px;
    display: inline-grid;
    align-items: center;
  }
</style>
