<script lang="ts">
  /** The end of a lesson: what there is of it, and the question whether it is over. */
  import Button from '../../ui/Button.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'
  import TakeAway from './TakeAway.svelte'

  let { session, link, onclose }: { session: Session; link: string; onclose: () => void } = $props()
  const lesson = $derived(session.lesson!)
  const students = $derived(session.people.list.filter(({ role, tabs }) => role === 'student' && tabs > 0))
  const ran = $derived(
    lesson.started_ms
      ? Math.floor(((lesson.paused_ms ?? session.nowMs()) - lesson.started_ms - lesson.rested_ms) / 60_000)
      : 0,
  )
  const after = $derived(
    { view: t('after-view'), write: t('after-write'), closed: t('after-closed') }[lesson.facts.between],
  )
</script>

<div class="panel">
  <h3>{t('wrap-up')}</h3>
  <p>
    {t('wrap-up-facts', { minutes: ran, students: students.length, pages: session.pages.heads.length })}
    {session.board.waiting || session.trouble ? t('wrap-up-not-kept') : t('wrap-up-kept')}
  </p>
  <TakeAway {session} />
  <a href="/rooms/{link}/wrap-up" target="_blank">{t('wrap-up-page')}</a>
  <p class="muted">{after}</p>
  <div class="row">
    <Button
      kind="go"
      onclick={() => {
        session.tell({ command: 'end_lesson' })
        onclose()
      }}>{t('end-lesson')}</Button
    >
    <Button kind="quiet" onclick={onclose}>{t('teach-on')}</Button>
  </div>
</div>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 340px;
    max-width: 100%;
    color: var(--ink);
  }
  h3 {
    font: 600 20px/1.2 var(--title);
  }
  a {
    min-height: 40px;
    display: grid;
    align-items: center;
    color: var(--leaf-dark);
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
</style>
