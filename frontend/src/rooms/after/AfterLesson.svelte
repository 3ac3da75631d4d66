<script lang="ts">
  /** One page at the end of a lesson: what was made, who was there, what comes next, and sending it. */
  import { onMount } from 'svelte'
  import Brand from '../../ui/Brand.svelte'
  import { ask, ownByKey, Problem } from '../../wire/api'
  import type { RoomHome, WrapUp } from '../../wire/generated'
  import { clockTime, longDay } from '../../words/time'
  import { t } from '../../words/words.svelte'
  import Between from '../Between.svelte'
  import LastLesson from '../LastLesson.svelte'
  import Voices from '../Voices.svelte'
  import PlanForm from '../PlanForm.svelte'
  import type { Changes } from '../RoomSide.svelte'
  import Homework from './Homework.svelte'
  import Outbox from './Outbox.svelte'
  import ReadLinks from './ReadLinks.svelte'
  import SendForm from './SendForm.svelte'

  let { link }: { link: string } = $props()
  let home = $state.raw<RoomHome | null>(null)
  let after = $state.raw<WrapUp | null>(null)
  let problem = $state('')

  onMount(load)

  async function load(owned = false) {
    try {
      ;[home, after] = await Promise.all([
        ask<RoomHome>('GET', `/api/rooms/${link}`),
        ask<WrapUp>('GET', `/api/rooms/${link}/wrap-up`),
      ])
      document.title = t('title-of-window', { title: home.title })
    } catch (error) {
      const refused = error instanceof Problem && error.status === 403
      // Once: a browser that keeps no cookies owns nothing afterwards either.
      if (refused && !owned && (await ownByKey(link))) return load(true)
      problem = (error as Error).message
    }
  }

  /** Whether it is so now; why not is said. */
  async function change(wanted: Changes): Promise<boolean> {
    problem = ''
    try {
      home = await ask<RoomHome>('PATCH', `/api/rooms/${link}`, wanted)
    } catch (error) {
      problem = (error as Error).message
    }
    return !problem
  }

  function facts(room: RoomHome): string {
    const begun = room.started_ms ?? room.opened_ms
    if (!begun) return t('no-lesson-yet')
    const until = room.ended_ms ?? Date.now()
    return t('lesson-from-to', { day: longDay(begun), from: clockTime(begun), to: clockTime(until) })
  }
</script>

<div class="frame">
  <header>
    <Brand />
    <a href="/rooms/{link}">{home?.title ?? ''}</a>
  </header>
  {#if home && after}
    <main>
      <h1>{t('after-the-lesson')}</h1>
      <p class="muted">{facts(home)}</p>
      {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
      <div class="columns">
        <div>
          <section>
            <h2>{t('what-was-made')}</h2>
            {#if after.pages.length}
              <ul class="pages">
                {#each after.pages as { board, board_title, page, title, number, hidden, seq } (page)}
                  {@const name = title || t('page-number', { number })}
                  <li>
                    <a href="/rooms/{link}/boards/{board}?page={page}">
                      <img
                        src="/boards/{board}/pages/{page}/page.png?width=360&{seq}"
                        alt=""
                        loading="lazy"
                      />
                      <b>{name}</b>
                      <span>{hidden ? t('only-tutor-side-sees') : board_title}</span>
                    </a>
                  </li>
                {/each}
              </ul>
            {/if}
            <div class="row">
              {#each home.boards as board (board.id)}
                <a class="take" href="/boards/{board.id}/board.pdf" download
                  >{t('take-pdf-of', { title: board.title })}</a
                >
              {/each}
              <a class="take" href="/rooms/{link}/room.zip" download>{t('take-everything')}</a>
            </div>
          </section>
          <section>
            <h2>{t('homework')}</h2>
            <Homework {link} {after} boards={home.boards} onchange={(changed) => (after = changed)} />
          </section>
          <section>
            <h2>{t('next-lesson-untitled')}</h2>
            <PlanForm plan={home.plan} onchange={(plan) => change({ plan })} />
            {#if home.plan.at_ms}<a class="take" href="/rooms/{link}/lesson.ics" download
                >{t('take-calendar')}</a
              >{/if}
          </section>
          <section>
            <h2>{t('until-the-next-lesson')}</h2>
            <Between between={home.between} onchange={(between) => change({ between })} />
          </section>
          <section class="last">
            <LastLesson {home} />
            {#if home.boards[0]}<Voices board={home.boards[0].id} owner />{/if}
          </section>
        </div>
        <div>
          <section>
            <h2>{t('send-boards')}</h2>
            <SendForm {link} {home} {after} onsent={load} />
          </section>
          <section>
            <h2>{t('links-to-read')}</h2>
            <ReadLinks {link} {after} boards={home.boards} onchange={(changed) => (after = changed)} />
          </section>
          {#if after.outbox.length}
            <section>
              <h2>{t('outbox')}</h2>
              <Outbox letters={after.outbox} />
            </section>
          {/if}
        </div>
      </div>
    </main>
  {:else if problem}
    <main><p role="alert">{problem}</p></main>
  {:else}
    <main><p class="muted">{t('opening-the-room')}</p></main>
  {/if}
</div>

<style>
  .frame {
    min-height: 100%;
    background: var(--sand);
  }
  header {
    min-height: 52px;
    background: var(--frame);
    color: var(--on-frame);
    display: flex;
    align-items: center;
    gap: 34px;
    padding: 0 18px;
  }
  header a {
    color: inherit;
    min-height: 44px;
    display: grid;
    align-items: center;
  }
  main {
    max-width: 1240px;
    margin: 0 auto;
    padding: 26px 24px 60px;
  }
  h1 {
    font: 600 32px/1.2 var(--title);
  }
  h2 {
    font: 600 18px/1.3 var(--title);
    margin-bottom: 10px;
  }
  .muted {
    color: var(--muted);
  }
  .problem {
    color: var(--clay);
    /* Wherever on the page it happened. */
    position: sticky;
    top: 0;
    z-index: 1;
    background: var(--sand);
    padding-block: 8px;
  }
  .columns {
    display: grid;
    grid-template-columns: minmax(0, 1.5fr) minmax(320px, 1fr);
    gap: 0 26px;
    align-items: start;
  }
  section {
    margin-top: 20px;
    padding: 16px 18px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  section:empty,
  .last:not(:has(h2)) {
    display: none;
  }
  .last :global(h2) {
    margin-top: 0;
  }
  section :global(form[aria-label]) {
    margin: 0 0 8px;
  }
  .pages {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 12px;
    max-height: 420px;
    overflow-y: auto;
  }
  .pages a {
    display: grid;
    color: var(--ink);
    text-decoration: none;
    font-size: 14px;
  }
  .pages img {
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    object-position: top;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: #fff;
  }
  .pages a:hover img {
    border-color: var(--leaf);
  }
  .pages b,
  .pages span {
    overflow-wrap: anywhere;
  }
  .pages span {
    color: var(--muted);
    font-size: 13px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 18px;
    margin-top: 8px;
  }
  .take {
    min-height: 40px;
    display: inline-grid;
    align-items: center;
    color: var(--leaf-dark);
  }
  @media (width <= 860px) {
    .columns {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
