<script lang="ts">
  import { onMount } from 'svelte'
  import Brand from '../ui/Brand.svelte'
  import TextLink from '../ui/TextLink.svelte'
  import { longDay } from '../words/time'
  import type { Me, RoomHome } from '../wire/generated'
  import AccountForm from './AccountForm.svelte'
  import { ask, ownByKey, Problem } from '../wire/api'
  import Boards from './Boards.svelte'
  import LastLesson from './LastLesson.svelte'
  import LessonBanner from './LessonBanner.svelte'
  import PlanForm from './PlanForm.svelte'
  import RoomSide, { type Changes } from './RoomSide.svelte'
  import Voices from './Voices.svelte'
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

  async function claim(signed: Me) {
    me = signed
    await tried(async () => {
      me = await ask<Me>('POST', `/api/rooms/${link}/claim`)
      await load()
    })
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
        <LessonBanner {home} />
        {#if !home.lesson_open}<PlanForm plan={home.plan} onchange={(plan) => change({ plan })} />{/if}
        <Boards {home} {busy} {tried} onchanged={() => load()} />
        <LastLesson {home} />
        {#if home.boards[0]}<Voices board={home.boards[0].id} owner />{/if}
        <p><TextLink href="/rooms/{link}/wrap-up">{t('wrap-up-page')}</TextLink></p>
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
  @media (max-width: 560px) {
    header {
      flex-wrap: wrap;
      gap: 0 18px;
      padding-top: 10px;
    }
    nav {
      order: 1;
      flex-basis: 100%;
    }
  }
  @media (max-width: 860px) {
    main {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
