<script lang="ts">
  import type { RoomHome } from '../wire/generated'
  import { clockTime, longDay } from '../words/time'
  import { t } from '../words/words.svelte'

  let { home }: { home: RoomHome } = $props()

  function title(): string {
    const { title, at_ms } = home.plan
    if (home.lesson_open) return t('the-lesson-is-on')
    if (title) return t('next-lesson', { lesson: title })
    return at_ms ? t('next-lesson-untitled') : t('state-between')
  }

  function about(): string {
    const { at_ms, minutes } = home.plan
    if (home.lesson_open) return t('students-who-open-the-link')
    if (!at_ms) return t('open-a-board-to-prepare')
    const values = { day: longDay(at_ms), time: clockTime(at_ms) }
    return minutes ? t('planned-for-minutes', { ...values, minutes }) : t('planned-for', values)
  }
</script>

<section>
  <div>
    <h2>{title()}</h2>
    <p>{about()}</p>
  </div>
  {#if home.boards[0]}
    <a href="/rooms/{home.link}/boards/{home.boards[0].id}{home.lesson_open ? '' : '?open'}">
      {home.lesson_open ? t('go-to-the-lesson') : t('open-lesson')}
    </a>
  {/if}
</section>

<style>
  section {
    margin: 20px 0 26px;
    padding: 16px 18px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-left: 6px solid var(--sun);
    border-radius: var(--radius);
    display: flex;
    align-items: center;
    justify-content: space-between;
    gap: 16px;
    flex-wrap: wrap;
  }
  h2 {
    font-size: 16px;
  }
  p {
    color: var(--muted);
    font-size: 14px;
  }
  a {
    background: var(--leaf);
    color: #fff;
    font-weight: 600;
    padding: 11px 16px;
    border-radius: var(--radius);
    text-decoration: none;
  }
  a:hover {
    background: var(--leaf-dark);
  }
</style>
