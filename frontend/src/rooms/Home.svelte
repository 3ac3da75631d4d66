<script lang="ts">
  import { onMount } from 'svelte'
  import Brand from '../ui/Brand.svelte'
  import Icon from '../ui/Icon.svelte'
  import { clockTime, longDay, when } from '../words/time'
  import type { BoardId, Me, RoomHome } from '../wire/generated'
  import Button from '../ui/Button.svelte'
  import AccountForm from './AccountForm.svelte'
  import { ask, ownByKey, Problem } from '../wire/api'
  import DeleteBoard from './DeleteBoard.svelte'
  import BringFileIn from './BringFileIn.svelte'
  import LastLesson from './LastLesson.svelte'
  import PlanForm from './PlanForm.svelte'
  import RoomSide, { type Changes } from './RoomSide.svelte'
  import Voices from './Voices.svelte'
  import WordSearch from './WordSearch.svelte'
  import { t } from '../words/words.svelte'

  let { link }: { link: string } = $props()
  let home = $state.raw<RoomHome | null>(null)
  let me = $state.raw<Me | null>(null)
  let problem = $state('')
  let busy = $state(false)

  onMount(load)

  async function load(owned = false) {
    try {
      me = await ask<Me>('GET', '/api/me')
      home = await ask<RoomHome>('GET', `/api/rooms/${link}`)
      document.title = t('title-of-window', { title: home.title })
    } catch (error) {
      const refused = error instanceof Problem && error.status === 403
      // Once: a browser that keeps no cookies owns nothing afterwards either.
      if (refused && !owned && (await ownByKey(link))) return load(true)
      problem = (error as Error).message
    }
  }

  /** Whether it could be done; why not is said. */
  async function tried(what: () => Promise<void>): Promise<boolean> {
    problem = ''
    busy = true
    try {
      await what()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
    return !problem
  }

  const change = (wanted: Changes) =>
    tried(async () => {
      home = await ask<RoomHome>('PATCH', `/api/rooms/${link}`, wanted)
    })

  const putAway = (board: string, away: boolean) =>
    tried(async () => {
      await ask('PATCH', `/api/rooms/${link}/boards/${board}`, { away })
      await load()
    })

  const newBoard = () =>
    tried(async () => {
      const board = await ask<BoardId>('POST', `/api/rooms/${link}/boards`, {})
      location.href = `/rooms/${link}/boards/${board.id}`
    })

  async function claim(signed: Me) {
    me = signed
    await tried(async () => {
      me = await ask<Me>('POST', `/api/rooms/${link}/claim`)
      await load()
    })
  }

  function planned(at: number, minutes: number | null): string {
    const values = { day: longDay(at), time: clockTime(at) }
    return minutes ? t('planned-for-minutes', { ...values, minutes }) : t('planned-for', values)
  }

  function summary(room: RoomHome): string {
    const count = room.people.length
    const people = t('people-have-seats', { count })
    if (room.lesson_open || !room.ended_ms) return people
    const minutes = Math.round(
      (room.ended_ms - (room.started_ms ?? room.opened_ms ?? room.ended_ms)) / 60_000,
    )
    return `${people} ${t('last-lesson-minutes', { day: longDay(room.ended_ms), minutes })}`
  }
</script>

<div class="frame">
  <header>
    <Brand />
    <nav aria-label={t('your-rooms')}>
      {#each me?.rooms ?? [] as room (room.link)}
        <a href="/rooms/{room.link}" aria-current={room.link === link ? 'page' : undefined}>{room.title}</a>
      {/each}
      <a href="/">{t('another-room')}</a>
    </nav>
    {#if me?.name}<a class="who" href="/account">{me.name}</a>{:else}<span class="who"
        >{home?.tutor ?? ''}</span
      >{/if}
  </header>
  {#if home}
    <main>
      <section class="boards">
        <h1>{home.title}</h1>
        <p class="muted">{summary(home)}</p>
        {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
        <div class="banner">
          <div>
            <h2>
              {home.lesson_open
                ? t('the-lesson-is-on')
                : home.plan.title || home.plan.at_ms
                  ? home.plan.title
                    ? t('next-lesson', { lesson: home.plan.title })
                    : t('next-lesson-untitled')
                  : t('state-between')}
            </h2>
            <p class="muted">
              {home.lesson_open
                ? t('students-who-open-the-link')
                : home.plan.at_ms
                  ? planned(home.plan.at_ms, home.plan.minutes)
                  : t('open-a-board-to-prepare')}
            </p>
          </div>
          {#if home.boards[0]}
            <a class="go" href="/rooms/{link}/boards/{home.boards[0].id}{home.lesson_open ? '' : '?open'}">
              {home.lesson_open ? t('go-to-the-lesson') : t('open-lesson')}
            </a>
          {/if}
        </div>
        {#if !home.lesson_open}<PlanForm plan={home.plan} onchange={(plan) => change({ plan })} />{/if}
        <div class="line">
          <h2>{t('boards')}</h2>
          <span class="muted">{t('kept-all-the-time')}</span>
          <BringFileIn
            to="/api/rooms/{link}/packages"
            what="board"
            label={t('bring-a-board-in')}
            hint={t('a-board-that-was-saved')}
            onbrought={() => load()}
          />
        </div>
        <WordSearch {link} />
        <ul>
          {#each home.boards as board (board.id)}
            <li>
              <a class="board" href="/rooms/{link}/boards/{board.id}">
                <img
                  src="/boards/{board.id}/picture.png?{board.seq}"
                  alt={t('first-page-of', { title: board.title })}
                  loading="lazy"
                />
                <b>{board.title}</b>
                <span class="muted"
                  >{t('board-facts', { count: board.pages, when: when(board.changed_ms) })}</span
                >
              </a>
              <div class="does">
                <a
                  class="take"
                  href="/boards/{board.id}/board.zip"
                  download
                  title={t('save-as-a-file-that', { title: board.title })}
                  ><Icon name="save" size={16} />{t('save-as-a-package')}</a
                >
                {#if home.boards.length > 1}
                  <Button
                    kind="quiet"
                    aria-label={t('put-away-named', { title: board.title })}
                    onclick={() => putAway(board.id, true)}>{t('put-away')}</Button
                  >
                {/if}
              </div>
            </li>
          {/each}
          <li><button class="new" disabled={busy} onclick={newBoard}>{t('new-board')}</button></li>
        </ul>
        {#if home.away.length}
          <details>
            <summary>{t('boards-put-away', { count: home.away.length })}</summary>
            <ul class="away">
              {#each home.away as board (board.id)}
                <li>
                  <span>{board.title}</span>
                  <Button onclick={() => putAway(board.id, false)}>{t('bring-back')}</Button>
                  <DeleteBoard {link} {board} ondeleted={load} />
                </li>
              {/each}
            </ul>
          </details>
        {/if}
        <LastLesson {home} />
        {#if home.boards[0]}<Voices board={home.boards[0].id} owner />{/if}
        <p><a class="take" href="/rooms/{link}/wrap-up">{t('wrap-up-page')}</a></p>
      </section>
      <RoomSide {home} {me} onchange={change} onclaim={claim} />
    </main>
  {:else if problem}
    <main class="alone">
      <p role="alert">{problem}</p>
      <AccountForm onsigned={() => ((problem = ''), load())} />
    </main>
  {:else}
    <main class="alone"><p class="muted">{t('opening-the-room')}</p></main>
  {/if}
</div>

<style>
  .away {
    list-style: none;
    padding: 0;
    display: grid;
    gap: 6px;
  }
  .away li {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .away span {
    margin-inline-end: auto;
  }
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
  nav {
    display: flex;
    gap: 20px;
    overflow-x: auto;
    min-width: 0;
  }
  nav a {
    color: var(--on-frame-muted);
    text-decoration: none;
    white-space: nowrap;
    padding: 14px 0 11px;
    border-bottom: 3px solid transparent;
  }
  nav a[aria-current] {
    color: #fff;
    font-weight: 600;
    border-color: var(--sun);
  }
  .who {
    color: inherit;
    margin-left: auto;
    white-space: nowrap;
  }
  main {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 340px;
    min-height: calc(100vh - 52px);
  }
  .alone {
    display: block;
    max-width: 420px;
    margin: 0 auto;
    padding: 60px 20px;
  }
  .alone p {
    margin-bottom: 24px;
  }
  .boards {
    padding: 28px 30px;
  }
  h1 {
    font: 600 32px/1.2 var(--title);
    overflow-wrap: anywhere;
  }
  h2 {
    font-size: 16px;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .problem {
    color: var(--clay);
    margin-top: 10px;
    /* Wherever on the page it happened. */
    position: sticky;
    top: 0;
    z-index: 1;
    background: var(--sand);
    padding-block: 8px;
  }
  .banner {
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
  .go {
    background: var(--leaf);
    color: #fff;
    font-weight: 600;
    padding: 11px 16px;
    border-radius: var(--radius);
    text-decoration: none;
  }
  .go:hover {
    background: var(--leaf-dark);
  }
  .line {
    display: flex;
    flex-wrap: wrap;
    gap: 4px 14px;
    align-items: baseline;
    margin-bottom: 10px;
  }
  .line > :global(:last-child) {
    margin-left: auto;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
    gap: 14px;
  }
  .board {
    display: grid;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    overflow: hidden;
    color: var(--ink);
    text-decoration: none;
  }
  .board:hover {
    border-color: var(--leaf);
  }
  .board img {
    width: 100%;
    aspect-ratio: 16 / 9;
    object-fit: cover;
    object-position: top left;
    border-bottom: 1px solid var(--sand-line);
    background: var(--glass);
  }
  .board b {
    padding: 10px 12px 0;
    overflow-wrap: anywhere;
  }
  .board .muted {
    padding: 0 12px 10px;
  }
  .does {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    justify-content: space-between;
    font-size: 14px;
  }
  /* As far in as the words on the card. */
  .does > :global(*) {
    padding: 0 12px;
  }
  .take {
    min-height: 40px;
    display: flex;
    gap: 8px;
    align-items: center;
    color: var(--leaf-dark);
    font-weight: 600;
    text-decoration: none;
  }
  .take:hover {
    text-decoration: underline;
  }
  .new {
    width: 100%;
    height: 100%;
    min-height: 170px;
    border: 1px dashed var(--sand-line);
    border-radius: var(--radius);
    background: transparent;
    color: var(--leaf-dark);
    font-weight: 600;
  }
  @media (max-width: 860px) {
    main {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
