<script lang="ts">
  import { onMount } from 'svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import Later from '../ui/Later.svelte'
  import type { DoorSign } from '../wire/generated'
  import { Call } from '../call/call.svelte'
  import DeviceCheck from '../people/DeviceCheck.svelte'
  import DoorFrame from './DoorFrame.svelte'
  import { t } from '../words/words.svelte'

  let { door, link }: { door: 'student' | 'onlooker'; link: string } = $props()
  const WHILE_TYPING_MS = 600
  const lesson = () => import('../frame/Lesson.svelte')
  /** A screen in a classroom: the board alone, as the tutor sees it. */
  const projector = location.search === '?projector'
  let sign = $state.raw<DoorSign | null>(null)
  let name = $state('')
  let problem = $state('')
  let inside = $state(false)
  let busy = $state(false)

  /** What was chosen here goes along into the lesson. */
  const call = new Call()
  /** Whoever tried camera and microphone here comes into the call with the lesson. */
  let checking = $state(false)

  /** The one thing to do on this page. */
  const focus = (element: HTMLElement) => element.focus()

  onMount(async () => {
    try {
      sign = await ask<DoorSign>('GET', `/api/doors/${door}/${link}`)
      document.title = t('title-of-window', { title: sign.title })
      // After a reload it is the same seat, without asking again.
      if (sign.name) inside = true
      else if (door === 'onlooker') await enter(t('onlooker'))
    } catch (error) {
      problem = (error as Error).message
    }
    // It comes while the name is typed, and does not hold up the field for that.
    setTimeout(() => void lesson().catch(() => {}), WHILE_TYPING_MS)
  })

  async function enter(as: string) {
    busy = true
    problem = ''
    try {
      sign = await ask<DoorSign>('POST', `/api/doors/${door}/${link}`, { name: as })
      inside = true
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

{#if inside}
  <Later load={lesson} props={{ door, link, board: '', projector, calls: checking }} />
{:else}
  <DoorFrame title={sign?.title ?? (problem ? t('no-way-in') : '')}>
    {#if sign && (door === 'student' || !problem)}
      <p class="muted">{t('a-lesson-with', { tutor: sign.tutor })}</p>
      {#if door === 'student'}
        <form
          onsubmit={(event) => {
            event.preventDefault()
            void enter(name)
          }}
        >
          <Field
            label={t('your-name')}
            bind:value={name}
            {problem}
            autocomplete="given-name"
            {@attach focus}
          />
          <Button kind="go" type="submit" disabled={busy}>{t('come-in')}</Button>
        </form>
        <p class="muted">{t('the-others-in-the-lesson')}</p>
        {#if sign.outside_call}
          <p>
            {t('outside-call-is-at')}
            <a href={sign.outside_call} target="_blank" rel="noreferrer noopener">{t('outside-call-open')}</a>
          </p>
        {/if}
        <details bind:open={checking}>
          <summary>{t('check-devices')}</summary>
          {#if checking}<DeviceCheck {call} {name} />{/if}
        </details>
      {/if}
    {:else if problem}
      <p role="alert">{problem}</p>
      <Button onclick={() => location.reload()}>{t('try-again')}</Button>
    {:else}
      <p class="muted">{t('finding-the-room')}</p>
    {/if}
  </DoorFrame>
{/if}

<style>
  a {
    color: var(--leaf-dark);
  }
  details {
    padding: 4px 16px 12px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  summary {
    min-height: 40px;
    display: list-item;
    align-content: center;
    font-weight: 600;
    cursor: pointer;
  }
</style>
