<script lang="ts">
  /** A copy of the room with made-up students, to try a lesson alone. */
  import Button from '../ui/Button.svelte'
  import Radios from '../ui/Radios.svelte'
  import { ask, keepOwnerKey } from '../wire/api'
  import type { RehearsalStarted } from '../wire/generated'
  import { t } from '../words/words.svelte'

  let { link }: { link: string } = $props()
  const COUNTS = [3, 10, 30]
  let students = $state(COUNTS[0]!)
  let waiting = $state(false)
  let problem = $state('')

  async function start() {
    waiting = true
    problem = ''
    try {
      const made = await ask<RehearsalStarted>('POST', `/api/rooms/${link}/rehearsals`, { students })
      if (made.owner_key) keepOwnerKey(made.link, made.owner_key)
      location.href = `/rooms/${made.link}/boards/${made.board}`
    } catch (error) {
      problem = (error as Error).message
      waiting = false
    }
  }
</script>

<h2>{t('rehearse')}</h2>
<p>{t('rehearse-what')}</p>
<Radios
  look="buttons"
  label={t('rehearse-students')}
  options={COUNTS}
  name={(count) => String(count)}
  taken={(count) => count === students}
  ontake={(count) => (students = count)}
/>
<div>
  <Button onclick={start} disabled={waiting}>{waiting ? t('one-moment') : t('rehearse-start')}</Button>
</div>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
  h2 {
    margin-top: 12px;
    font-size: 16px;
    font-weight: 700;
  }
  p {
    color: var(--muted);
    font-size: 14px;
  }
  .problem {
    color: var(--clay);
  }
</style>
