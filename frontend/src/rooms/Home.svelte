<script lang="ts">
  import { onMount } from 'svelte'
  import { personColour } from '../people/colours'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import { clockTime, longDay, when } from '../ui/time'
  import type { BoardId, Me, RoomHome } from '../wire/generated'
  import AccountForm from './AccountForm.svelte'
  import { ask, ownByKey, Problem } from './api'
  import CopyLink from './CopyLink.svelte'

  let { link }: { link: string } = $props()
  let home = $state.raw<RoomHome | null>(null)
  let me = $state.raw<Me | null>(null)
  let problem = $state('')
  let keeping = $state(false)

  const BETWEEN = [
    { value: 'view', label: 'Students can look' },
    { value: 'write', label: 'Students can write' },
    { value: 'closed', label: 'Closed' },
  ] as const

  onMount(load)

  async function load() {
    try {
      me = await ask<Me>('GET', '/api/me')
      home = await ask<RoomHome>('GET', `/api/rooms/${link}`)
      document.title = `${home.title} · Sun Room`
    } catch (error) {
      if (error instanceof Problem && error.status === 403 && (await ownByKey(link))) return load()
      problem = (error as Error).message
    }
  }

  async function change(wanted: Partial<Pick<RoomHome, 'title' | 'between'>>) {
    problem = ''
    try {
      home = await ask<RoomHome>('PATCH', `/api/rooms/${link}`, wanted)
    } catch (error) {
      problem = (error as Error).message
    }
  }

  async function newBoard() {
    const board = await ask<BoardId>('POST', `/api/rooms/${link}/boards`, {})
    location.href = `/rooms/${link}/boards/${board.id}`
  }

  async function claim(signed: Me) {
    me = signed
    try {
      me = await ask<Me>('POST', `/api/rooms/${link}/claim`)
      keeping = false
      await load()
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function summary(room: RoomHome): string {
    const count = room.people.length
    const people =
      count === 0
        ? 'Nobody has been in yet.'
        : count === 1
          ? 'One person has a seat.'
          : `${count} people have seats.`
    if (room.lesson_open || !room.ended_ms) return people
    const minutes = Math.round(
      (room.ended_ms - (room.started_ms ?? room.opened_ms ?? room.ended_ms)) / 60_000,
    )
    return `${people} Last lesson ${longDay(room.ended_ms)}, ${minutes} minutes.`
  }
</script>

<div class="frame">
  <header>
    <Brand />
    <nav aria-label="Your rooms">
      {#each me?.rooms ?? [] as room (room.link)}
        <a href="/rooms/{room.link}" aria-current={room.link === link ? 'page' : undefined}>{room.title}</a>
      {/each}
      <a href="/">+ Room</a>
    </nav>
    <span class="who">{me?.name ?? home?.tutor ?? ''}</span>
  </header>
  {#if home}
    <main>
      <section class="boards">
        <h1>{home.title}</h1>
        <p class="muted">{summary(home)}</p>
        {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
        <div class="banner">
          <div>
            <h2>{home.lesson_open ? 'The lesson is on' : 'No lesson is on'}</h2>
            <p class="muted">
              {home.lesson_open
                ? 'Students who open the link are in at once.'
                : 'Open a board to prepare it, and the lesson when you are ready.'}
            </p>
          </div>
          {#if home.boards[0]}
            <a class="go" href="/rooms/{link}/boards/{home.boards[0].id}{home.lesson_open ? '' : '?open'}">
              {home.lesson_open ? 'Go to the lesson' : 'Open the lesson'}
            </a>
          {/if}
        </div>
        <div class="line">
          <h2>Boards</h2>
          <span class="muted">kept all the time</span>
        </div>
        <ul>
          {#each home.boards as board (board.id)}
            <li>
              <a class="board" href="/rooms/{link}/boards/{board.id}">
                <img
                  src="/boards/{board.id}/picture.png?{board.seq}"
                  alt="First page of {board.title}"
                  loading="lazy"
                />
                <b>{board.title}</b>
                <span class="muted"
                  >{board.pages === 1 ? '1 page' : `${board.pages} pages`}, {when(board.changed_ms)}</span
                >
              </a>
            </li>
          {/each}
          <li><button class="new" onclick={newBoard}>New board</button></li>
        </ul>
        {#if home.attendance.length}
          <div class="line attended"><h2>{home.lesson_open ? 'Here so far' : 'At the last lesson'}</h2></div>
          <dl>
            {#each home.attendance as { name, minutes } (name)}
              <dt>{name}</dt>
              <dd>
                {minutes < 1 ? 'less than a minute' : minutes === 1 ? '1 minute' : `${minutes} minutes`}
              </dd>
            {/each}
          </dl>
        {/if}
        {#if home.record.length}
          <details>
            <summary>Who changed what in {home.lesson_open ? 'this' : 'the last'} lesson</summary>
            <ol>
              {#each home.record as entry, i (i)}
                <li><time>{clockTime(entry.at_ms)}</time> {entry.name} {entry.text}.</li>
              {/each}
            </ol>
          </details>
        {/if}
      </section>
      <aside>
        <h2>Send this to students</h2>
        <CopyLink path="/r/{home.link}" />
        <p class="muted">They type a name; no account.</p>
        <h2>For onlookers</h2>
        <CopyLink path="/watch/{home.onlooker_link}" />
        <p class="muted">A parent or a screen in a room: sees the board, never writes.</p>
        <fieldset disabled={home.lesson_open}>
          <legend>Between lessons</legend>
          {#each BETWEEN as choice (choice.value)}
            <label>
              <input
                type="radio"
                name="between"
                value={choice.value}
                checked={home.between === choice.value}
                onchange={() => change({ between: choice.value })}
              />
              {choice.label}
            </label>
          {/each}
          {#if home.lesson_open}<p class="muted">A lesson is on: this counts once it has ended.</p>{/if}
        </fieldset>
        <div class="line">
          <h2>People</h2>
          <span class="muted">{home.people.length}</span>
        </div>
        {#each home.people as person (person.seat)}
          <div class="person">
            <span class="initial" style:background={personColour(person.seat)}>{person.name[0]}</span
            >{person.name}<span class="muted">{person.role}</span>
          </div>
        {:else}
          <p class="muted">Whoever comes in by the link is listed here.</p>
        {/each}
        {#if !home.claimed}
          <h2>Keep this room</h2>
          <p class="muted">This browser has the only key. With an account the room opens from anywhere.</p>
          {#if me?.name}
            <Button onclick={() => claim(me!)}>Keep it as {me.name}</Button>
          {:else if keeping}
            <AccountForm onsigned={claim} />
          {:else}
            <Button onclick={() => (keeping = true)}>Keep it with an account</Button>
          {/if}
        {/if}
      </aside>
    </main>
  {:else if problem}
    <main class="alone">
      <p role="alert">{problem}</p>
      <AccountForm onsigned={() => ((problem = ''), load())} />
    </main>
  {:else}
    <main class="alone"><p class="muted">Opening the room.</p></main>
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
    justify-content: space-between;
    align-items: baseline;
    margin-bottom: 10px;
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
  aside {
    background: var(--sand-2);
    padding: 26px 22px;
    display: grid;
    gap: 8px;
    align-content: start;
  }
  aside h2,
  legend {
    font-weight: 700;
    font-size: 16px;
    margin-top: 12px;
    padding: 0;
  }
  fieldset {
    border: 0;
    margin: 8px 0 0;
    padding: 0;
  }
  label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 34px;
  }
  input[type='radio'] {
    width: 18px;
    height: 18px;
    margin: 0;
  }
  .person {
    display: flex;
    align-items: center;
    gap: 11px;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .person .muted {
    margin-left: auto;
  }
  .attended {
    margin-top: 28px;
  }
  dl {
    display: grid;
    grid-template-columns: max-content 1fr;
    gap: 4px 18px;
    margin: 0;
  }
  dd {
    margin: 0;
    color: var(--muted);
  }
  details {
    margin-top: 18px;
  }
  summary {
    cursor: pointer;
    font-weight: 600;
    min-height: 40px;
  }
  details ol {
    list-style: none;
    margin: 0;
    padding: 0;
    display: block;
  }
  time {
    color: var(--muted);
    font-variant-numeric: tabular-nums;
    margin-right: 8px;
  }
  .initial {
    width: 28px;
    height: 28px;
    flex: none;
    display: grid;
    place-items: center;
    color: #fff;
    font-weight: 700;
    font-size: 13px;
    border-radius: 3px;
  }
  @media (max-width: 860px) {
    main {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
