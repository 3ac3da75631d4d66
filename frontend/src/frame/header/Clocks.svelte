<script lang="ts">
  import { elapsed } from '../../words/time'
  import { t } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session, short = false }: { session: Session; short?: boolean } = $props()
  const lesson = $derived(session.lesson)
  const countdown = $derived(lesson?.countdown ?? null)
  const planned = $derived(lesson?.plan.minutes ?? null)
  /** The planned end is told so long before. */
  const WARN_MINUTES = 5
  let now = $state(0)
  let rung = 0
  const running = $derived(Boolean(lesson?.started_ms && lesson.facts.open))
  /** Time that the lesson has run: a pause does not count. */
  const ranMs = $derived(
    lesson?.started_ms ? (lesson.paused_ms ?? now) - lesson.started_ms - lesson.rested_ms : 0,
  )
  const minutes = $derived(Math.max(0, Math.floor(ranMs / 60_000)))
  const left = $derived(planned === null ? null : planned - minutes)

  $effect(() => {
    const tick = () => (now = session.nowMs())
    tick()
    const timer = setInterval(tick, 1_000)
    return () => clearInterval(timer)
  })

  $effect(() => {
    if (countdown && now >= countdown.until_ms && rung !== countdown.until_ms) {
      rung = countdown.until_ms
      if (now - countdown.until_ms < 3_000) session.sounds.play('time')
    }
  })

  const clock = $derived.by(() => {
    if (lesson?.facts.paused) return t('clock-paused', { minutes })
    if (left !== null && left <= 0) return t('clock-over', { minutes: -left })
    if (left !== null && left <= WARN_MINUTES) return t('clock-ends', { minutes: left })
    return planned && !short ? t('clock-of', { minutes, planned }) : t('clock', { minutes })
  })
</script>

{#if countdown}
  <span class="task" class:over={now >= countdown.until_ms} role="timer">
    {now >= countdown.until_ms
      ? t('task-over', { what: countdown.label || t('task') })
      : t('task-left', { what: countdown.label || t('task'), time: elapsed(countdown.until_ms - now + 999) })}
  </span>
{/if}
{#if running}
  <span
    class="clock"
    class:late={lesson!.facts.paused || (left !== null && left <= WARN_MINUTES)}
    title={t('clock-hint', { time: elapsed(ranMs) })}>{clock}</span
  >
{/if}

<style>
  span {
    font-size: 14px;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .task {
    padding: 4px 10px;
    border: 1px solid var(--sun);
    border-radius: 3px;
    font-weight: 600;
    flex: 0 1 auto;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 190px;
  }
  .over,
  .late {
    background: var(--sun);
    color: var(--on-sun);
    padding: 3px 8px;
    border-radius: 3px;
    font-weight: 600;
  }
</style>
