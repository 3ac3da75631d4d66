<script lang="ts">
  import { onDestroy, untrack } from 'svelte'
  import BoardPane from './board/BoardPane.svelte'
  import type { Surface } from './board/surface.svelte'
  import People from '../people/People.svelte'
  import Waiting from '../porch/Waiting.svelte'
  import { ownByKey } from '../wire/api'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import type { Lead } from '../wire/generated'
  import Header from './header/Header.svelte'
  import KeysSheet from './KeysSheet.svelte'
  import { handleClipboard, handleKey } from './keys'
  import { addPlannedPages } from '../lesson/planned'
  import type { Door } from '../lesson/inside'
  import { Session } from '../lesson/session.svelte'
  import Sill from './sill/Sill.svelte'
  import ToolColumn from './rack/ToolColumn.svelte'

  interface Props {
    door: Door
    link: string
    board: string
    /** The board alone, for a wall: it looks where the tutor looks. */
    projector?: boolean
  }
  let { door, link, board, projector = false }: Props = $props()
  let session = $state.raw(untrack(() => new Session(door, link, board)))
  let surface = $state.raw<Surface | null>(null)
  let keysShown = $state(false)
  let triedKey = false

  onDestroy(() => session.close())

  $effect(() => {
    // A tutor without a session may still have the room's key in this browser.
    if (session.goodbye?.reason !== 'no_seat' || door !== 'tutor' || triedKey) return
    triedKey = true
    void ownByKey(link).then((owned) => {
      if (owned) session = new Session(door, link, board)
    })
  })

  $effect(() => {
    // “Open the lesson” and words that were found, on the room's home, lead here.
    // What is on the pages must be here first: an empty page is otherwise not told from one on its way.
    if (
      !session.welcome ||
      !session.people.tutorSide ||
      session.board.version < 0 ||
      !session.board.replica.whole
    )
      return
    const wanted = new URLSearchParams(location.search)
    if (wanted.has('open')) {
      if (!session.lesson?.facts.open) session.tell({ command: 'open_lesson' })
      untrack(() => addPlannedPages(session))
    }
    if (wanted.has('page')) untrack(() => session.pages.turnTo(wanted.get('page') ?? ''))
    if (location.search) history.replaceState(null, '', location.pathname)
  })

  /** Another board of the room, in the place of this one. */
  function openBoard(id: string, called: Lead | null = null) {
    session.close()
    session = new Session(door, link, id, called)
    if (door === 'tutor') history.replaceState(null, '', `/rooms/${link}/boards/${id}`)
  }

  const tutorSeat = $derived(
    session.people.list.find(({ role, tabs }) => role === 'tutor' && tabs)?.seat ?? '',
  )
  $effect(() => {
    if (projector && session.line === 'open' && tutorSeat) untrack(() => session.attention.follow(tutorSeat))
  })

  function onclipboard(event: ClipboardEvent) {
    if (surface) handleClipboard(event, session, surface)
  }

  $effect(() => {
    // “Look here” may be on another board.
    if (session.attention.calledTo) openBoard(session.attention.calledTo.board, session.attention.calledTo)
  })

  function onkeydown(event: KeyboardEvent) {
    if (event.key === '?' && !(event.target as HTMLElement).closest('input, textarea, [contenteditable]'))
      keysShown = !keysShown
    else if (surface) handleKey(event, session, surface)
  }
</script>

<svelte:window {onkeydown} oncopy={onclipboard} oncut={onclipboard} onpaste={onclipboard} />

{#if session.classroom.porch && !session.welcome}
  <Waiting {session} />
{:else if session.goodbye && !session.welcome}
  <div class="shut">
    <Brand />
    <h1>{session.goodbye.reason === 'between_closed' ? 'The room is closed' : 'No way in here'}</h1>
    <p role="alert">{session.goodbye.sentence}</p>
    {#if session.goodbye.again}<p class="muted">This page lets you in by itself when it opens.</p>{/if}
    {#if door === 'tutor'}<p><a href="/rooms/{link}">Sign in to the room</a></p>{/if}
    {#if session.goodbye.reason === 'to_porch'}
      <Button kind="cream" onclick={() => location.reload()}>Knock</Button>
    {/if}
  </div>
{:else}
  <div class="lesson" class:onlooker={door === 'onlooker'} class:projector>
    {#if !projector}<Header {session} {link} onboard={(id) => openBoard(id)} />{/if}
    {#if door !== 'onlooker'}<ToolColumn {session} {surface} />{/if}
    {#key session}
      <BoardPane {session} onready={(ready) => (surface = ready)} />
    {/key}
    {#if !projector}
      <Sill {session} {surface} onkeys={() => (keysShown = true)} />
      <People {session} />
    {/if}
  </div>
  {#if session.goodbye}
    <div class="over" role="alertdialog" aria-label="The line is closed">
      <p>{session.goodbye.sentence}</p>
      {#if session.goodbye.reason === 'to_porch'}
        <Button onclick={() => location.reload()}>Knock</Button>
      {/if}
    </div>
  {/if}
  {#if keysShown}<KeysSheet onclose={() => (keysShown = false)} />{/if}
{/if}

<style>
  .lesson {
    height: 100dvh;
    display: grid;
    grid-template: 52px minmax(0, 1fr) auto / 96px minmax(0, 1fr) 240px;
    grid-template-areas: 'header header header' 'tools board people' 'sill sill people';
    background: var(--frame);
    overflow: hidden;
  }
  .onlooker {
    grid-template-columns: 0 minmax(0, 1fr) 240px;
  }
  .lesson.projector {
    grid-template: minmax(0, 1fr) / minmax(0, 1fr);
    grid-template-areas: 'board';
  }
  .shut {
    min-height: 100dvh;
    background: var(--frame);
    color: var(--on-frame);
    padding: 12vh max(24px, calc(50vw - 260px));
  }
  .shut h1 {
    font: 600 34px/1.15 var(--title);
    margin: 40px 0 12px;
  }
  .shut a {
    color: var(--sun);
  }
  .muted {
    color: var(--on-frame-muted);
    margin-top: 12px;
  }
  .over {
    position: fixed;
    inset: auto 0 0;
    background: var(--sun-pale);
    border-top: 3px solid var(--sun);
    padding: 18px;
    text-align: center;
    font-weight: 600;
  }
  @media (max-width: 900px) {
    .lesson {
      grid-template: 52px auto minmax(0, 1fr) auto / 76px minmax(0, 1fr);
      grid-template-areas: 'header header' 'people people' 'tools board' 'sill sill';
    }
    .onlooker {
      grid-template-columns: 0 minmax(0, 1fr);
    }
  }
  @media (max-width: 600px) {
    .lesson {
      grid-template: auto auto minmax(0, 1fr) auto auto / minmax(0, 1fr);
      grid-template-areas: 'header' 'people' 'board' 'sill' 'tools';
    }
  }
</style>
