<script lang="ts">
  /** What a student finds of a room without a lesson: boards to read, homework, and when the next lesson is. */
  import { onMount } from 'svelte'
  import Brand from '../ui/Brand.svelte'
  import { asks } from '../ui/ticks'
  import { ask } from '../wire/api'
  import type { Afterwards, Task } from '../wire/generated'
  import HandIn from './HandIn.svelte'
  import Voices from '../rooms/Voices.svelte'
  import { clockTime, longDay } from '../words/time'
  import { t } from '../words/words.svelte'

  let { link }: { link: string } = $props()
  let found = $state.raw<Afterwards | null>(null)
  let problem = $state('')

  onMount(async () => {
    try {
      found = await ask<Afterwards>('GET', `/api/found/${link}`)
      document.title = t('title-of-window', { title: found.title })
    } catch (error) {
      problem = (error as Error).message
    }
  })

  async function hand({ id }: Task, done: boolean) {
    problem = ''
    try {
      found = await ask<Afterwards>('POST', `/api/found/${link}/homework/${id}`, { done })
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function next({ at_ms, minutes }: Afterwards['plan']): string {
    const values = { day: longDay(at_ms!), time: clockTime(at_ms!) }
    return minutes ? t('planned-for-minutes', { ...values, minutes }) : t('planned-for', values)
  }
</script>

<div class="frame">
  <header><Brand /></header>
  <main>
    {#if found}
      <h1>{found.title}</h1>
      <p class="muted">{t('found-for', { name: found.name, tutor: found.tutor })}</p>
      <a class="go" href="/r/{link}">{found.lesson_open ? t('go-to-the-lesson') : t('found-to-board')}</a>
      {#if found.plan.at_ms}
        <section>
          <h2>
            {found.plan.title ? t('next-lesson', { lesson: found.plan.title }) : t('next-lesson-untitled')}
          </h2>
          <p>{next(found.plan)}</p>
          <a class="take" href="/rooms/{link}/lesson.ics" download>{t('take-calendar')}</a>
        </section>
      {/if}
      {#if found.homework.length}
        <section>
          <h2>{t('homework')}</h2>
          <ul>
            {#each found.homework as task (task.id)}
              <li>
                <label>
                  <input
                    type="checkbox"
                    checked={task.handed_in.length > 0}
                    onchange={asks((done) => void hand(task, done))}
                  />
                  <span class="text">{task.text}</span>
                </label>
                <p class="muted">
                  {[
                    task.due_ms ? t('until-day', { day: longDay(task.due_ms) }) : '',
                    found.boards.find(({ id }) => id === task.board)?.title ?? '',
                    task.handed_in.length ? t('handed-in') : '',
                  ]
                    .filter(Boolean)
                    .join(' · ')}
                </p>
                <HandIn {link} {task} onchange={(changed) => (found = changed)} />
              </li>
            {/each}
          </ul>
        </section>
      {/if}
      <section>
        <h2>{t('boards')}</h2>
        {#if found.open}
          <ul class="boards">
            {#each found.boards as board (board.id)}
              <li>
                <img src="/boards/{board.id}/picture.png?{board.seq}" alt="" loading="lazy" />
                <b>{board.title}</b>
                <a class="take" href="/boards/{board.id}/board.pdf" download>{t('take-pdf')}</a>
                <a class="take" href="/boards/{board.id}/board.html" download>{t('take-web-page')}</a>
              </li>
            {/each}
          </ul>
        {:else}
          <p class="muted">{t('found-closed')}</p>
        {/if}
        {#if found.open && found.boards[0]}<Voices board={found.boards[0].id} />{/if}
      </section>
    {:else if !problem}
      <p class="muted">{t('finding-the-room')}</p>
    {/if}
    {#if problem}<p role="alert">{problem} <a href="/r/{link}">{t('come-in')}</a></p>{/if}
  </main>
</div>

<style>
  .frame {
    min-height: 100dvh;
    background: var(--sand);
  }
  header {
    height: 52px;
    background: var(--frame);
    display: flex;
    align-items: center;
    padding: 0 18px;
  }
  main {
    max-width: 760px;
    margin: 0 auto;
    padding: 28px 20px 60px;
  }
  h1 {
    font: 600 32px/1.2 var(--title);
    overflow-wrap: anywhere;
  }
  h2 {
    font: 600 18px/1.3 var(--title);
    margin-bottom: 8px;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .go {
    display: inline-grid;
    align-items: center;
    min-height: 44px;
    margin-top: 12px;
    padding: 0 16px;
    border-radius: var(--radius);
    background: var(--leaf);
    color: #fff;
    font-weight: 600;
    text-decoration: none;
  }
  section {
    margin-top: 20px;
    padding: 16px 18px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 12px;
  }
  label {
    display: flex;
    gap: 10px;
    align-items: start;
    min-height: 40px;
  }
  input {
    width: 22px;
    height: 22px;
    margin: 2px 0 0;
    flex: none;
  }
  .text {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
  p {
    margin: 4px 0;
  }
  .boards {
    grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  }
  .boards li {
    display: grid;
  }
  .boards img {
    width: 100%;
    aspect-ratio: 16 / 9;
    object-fit: cover;
    object-position: top left;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: #fff;
  }
  .take {
    min-height: 40px;
    display: inline-grid;
    align-items: center;
    color: var(--leaf-dark);
  }
</style>
