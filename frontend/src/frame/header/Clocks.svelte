<script lang="ts">
  import { elapsed } from '../../ui/time'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const lesson = $derived(session.lesson)
  const countdown = $derived(lesson?.countdown ?? null)
  const endsMs = $derived(
    lesson?.facts.open && lesson.started_ms && lesson.plan.minutes
      ? lesson.started_ms + lesson.plan.minutes * 60_000
      : null,
  )
  /** The planned end is told so long before. */
  const WARN_MS = 5 * 60_000
  let now = $state(0)
  let rung = 0

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
</script>

{#if countdown}
  <span class="task" class:over={now >= countdown.until_ms} role="timer">
    {countdown.label ? `${countdown.label} ` : ''}{now >= countdown.until_ms
      ? 'Time is up'
      : elapsed(countdown.until_ms - now + 999)}
  </span>
{/if}
{#if lesson?.started_ms && lesson.facts.open}
  <span class="clock" class:late={endsMs && now > endsMs - WARN_MS} title="Since the first student came in">
    {elapsed(now - lesson.started_ms)}{#if endsMs && now > endsMs - WARN_MS}
      <small>{now < endsMs ? `ends in ${Math.ceil((endsMs - now) / 60_000)} min` : 'over time'}</small>
    {/if}
  </span>
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
    flex: none;
    overflow: hidden;
    text-overflow: ellipsis;
    max-width: 170px;
  }
  .over,
  .late {
    background: var(--sun);
    color: var(--ink);
    padding: 3px 8px;
    border-radius: 3px;
    font-weight: 600;
  }
  @media (max-width: 600px) {
    .clock:not(.late) {
      display: none;
    }
  }
</style>
