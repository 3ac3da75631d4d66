<script lang="ts">
  import { onDestroy, onMount, untrack } from 'svelte'
  import BoardPane from './board/BoardPane.svelte'
  import type { Surface } from './board/surface.svelte'
  import CallBar from '../people/CallBar.svelte'
  import Captions from '../people/Captions.svelte'
  import CallSound from '../people/CallSound.svelte'
  import Faces from '../people/Faces.svelte'
  import LargeFace from '../people/LargeFace.svelte'
  import People from '../people/People.svelte'
  import Shown from '../people/Shown.svelte'
  import Waiting from '../porch/Waiting.svelte'
  import { ownByKey } from '../wire/api'
  import Brand from '../ui/Brand.svelte'
  import Later from '../ui/Later.svelte'
  import Button from '../ui/Button.svelte'
  import Icon from '../ui/Icon.svelte'
  import { looks } from '../ui/looks.svelte'
  import { screen } from '../ui/screen.svelte'
  import { speech, t, told } from '../words/words.svelte'
  import type { Lead } from '../wire/generated'
  import Header from './header/Header.svelte'
  import KeysSheet from './KeysSheet.svelte'
  import { fetchParts, parts } from './parts'
  import { handleClipboard, handleKey } from './keys'
  import { addPlannedPages } from '../lesson/planned'
  import type { Door } from '../lesson/inside'
  import { Session } from '../lesson/session.svelte'
  import Sill from './sill/Sill.svelte'
  import SayLine from './sill/SayLine.svelte'
  import Question from './sill/Question.svelte'
  import CutPicture from './sill/CutPicture.svelte'
  import DocumentPages from './rack/DocumentPages.svelte'
  import Rack from './rack/Rack.svelte'

  interface Props {
    door: Door
    link: string
    board: string
    /** The board alone, for a wall: it looks where the tutor looks. */
    projector?: boolean
    /** Into the call as soon as the door is open. */
    calls?: boolean
  }
  let { door, link, board, projector = false, calls = false }: Props = $props()
  let session = $state.raw(untrack(() => new Session(door, link, board)))
  let surface = $state.raw<Surface | null>(null)
  let keysShown = $state(false)
  let peopleShown = $state(false)
  let triedKey = false

  onMount(() => (door === 'onlooker' ? undefined : fetchParts()))

  onDestroy(() => {
    session.call.recorder.stop()
    session.call.end()
    session.close()
  })

  $effect(() => {
    // A tutor without a session may still have the room's key in this browser.
    if (session.goodbye?.reason !== 'no_seat' || door !== 'tutor' || triedKey) return
    triedKey = true
    void ownByKey(link).then((owned) => {
      if (owned) session = new Session(door, link, board)
    })
  })

  let called = false
  $effect(() => {
    if (!calls || called || !session.welcome || !session.rights.own) return
    called = true
    untrack(() => void session.call.begin())
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
      if (!session.lesson?.facts.open) session.tell({ command: 'open_lesson', again: false })
      untrack(() => addPlannedPages(session))
    }
    if (wanted.has('page')) untrack(() => session.pages.turnTo(wanted.get('page') ?? ''))
    if (location.search) history.replaceState(null, '', location.pathname)
  })

  /** Another board of the room, in the place of this one. */
  function openBoard(id: string, called: Lead | null = null) {
    session.surface?.turning()
    session.close()
    session = new Session(door, link, id, called, session.call)
    if (door === 'tutor') history.replaceState(null, '', `/rooms/${link}/boards/${id}`)
  }

  $effect(() => {
    // The board here was put away or deleted: the lesson goes on with another one.
    const bye = session.goodbye
    if (!session.welcome || (bye?.reason !== 'board_gone' && bye?.reason !== 'no_board')) return
    untrack(() => {
      const other = session.boards.find(({ id }) => id !== session.boardId)
      openBoard(door === 'tutor' && other ? other.id : '')
      session.warn(told(bye.sentence))
    })
  })

  const tutorSeat = $derived(
    session.people.list.find(({ role, tabs }) => role === 'tutor' && tabs)?.seat ?? '',
  )
  $effect(() => {
    if (projector && session.line === 'open' && tutorSeat) untrack(() => session.attention.follow(tutorSeat))
  })

  const callAtFoot = $derived(
    (screen.sheets || looks.boardOnly) && session.call.callers.length > 0 && door !== 'onlooker',
  )
  const facesInStrip = $derived(
    looks.facesAt === 'strip' ||
      (looks.facesAt === 'column' && (screen.sheets || screen.narrow || looks.folded)),
  )
  /** The picture that is being worked on; it may be on its way, or have been taken off. */
  const cutting = $derived.by(() => {
    const id = session.board.version >= 0 ? session.pictures.cutting?.id : undefined
    const item = id && session.pages.now?.entries.get(id)?.item
    return item && item.kind === 'picture' ? item : null
  })
  const out = $derived(Boolean(session.goodbye && !session.goodbye.again))

  function putStill(still: Blob) {
    void session.pictures.put([still])
  }

  /** The microphone that was on only while a key was held. */
  function onkeyup(event: KeyboardEvent) {
    if (event.key.toLowerCase() === 'v') session.call.letGo()
  }

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

<svelte:window
  {onkeydown}
  {onkeyup}
  onblur={() => session.call.letGo()}
  oncopy={onclipboard}
  oncut={onclipboard}
  onpaste={onclipboard}
/>

{#if session.classroom.porch && !session.welcome}
  <Waiting {session} />
{:else if session.goodbye && !session.welcome}
  <div class="shut">
    <Brand />
    <h1>{session.goodbye.reason === 'between_closed' ? t('room-closed') : t('no-way-in')}</h1>
    <p role="alert">{told(session.goodbye.sentence)}</p>
    {#if session.goodbye.again}<p class="muted">{t('lets-you-in')}</p>{/if}
    {#if door === 'student' && session.goodbye.reason === 'between_closed'}
      <p><a href="/r/{link}/found">{t('found-link')}</a></p>
    {/if}
    {#if door === 'tutor'}<p><a href="/rooms/{link}">{t('sign-in-to-room')}</a></p>{/if}
    {#if session.goodbye.reason === 'to_porch'}
      <Button kind="cream" onclick={() => location.reload()}>{t('knock')}</Button>
    {/if}
  </div>
{:else}
  <div
    class="lesson"
    class:projector
    class:bare={looks.boardOnly && !projector}
    class:low={screen.low && !screen.phone}
  >
    {#key speech.language}
      {#if !projector && !looks.boardOnly}
        <Header
          {session}
          {link}
          onboard={(id) => openBoard(id)}
          onkeys={() => (keysShown = true)}
          onpeople={() => (peopleShown = true)}
        />
      {/if}
      {#if door !== 'onlooker' && !looks.boardOnly && (session.rights.makes || !screen.phone)}
        <Rack {session} {surface} />
      {/if}
    {/key}
    {#key session}
      <BoardPane {session} onready={(ready) => (surface = ready)} />
    {/key}
    {#if callAtFoot}
      <div class="call"><CallBar {session} bare /></div>
    {/if}
    <Captions {session} higher={callAtFoot} />
    {#if session.call.on}
      <CallSound {session} />
      <LargeFace {session} />
      {#each session.call.shown as caller (caller.id)}
        <Shown {session} {caller} ontake={putStill} lower={facesInStrip} />
      {/each}
      {#if looks.facesAt === 'big'}
        <Faces {session} look="big" />
      {:else if facesInStrip}
        <Faces {session} look="strip" />
      {/if}
    {/if}
    {#if looks.boardOnly && !projector}
      <button class="out" onclick={() => (looks.boardOnly = false)}
        ><Icon name="close" size={16} />{t('board-only-end')}</button
      >
    {/if}
    {#if !projector}
      {#key speech.language}
        <Question {session} />
        <SayLine {session} />
        <Sill {session} {surface} alone={screen.sheets || looks.folded || looks.boardOnly} />
        {#if !screen.sheets && !looks.boardOnly}
          <People
            {session}
            {link}
            strip={screen.narrow ? 'across' : looks.folded ? 'down' : null}
            onall={() => (peopleShown = true)}
          />
        {/if}
        {#if peopleShown && (screen.sheets || screen.narrow || looks.boardOnly)}
          <div class="people"><People {session} {link} onclose={() => (peopleShown = false)} /></div>
        {/if}
      {/key}
    {/if}
    {#if out}
      <!-- Who is out does not see the board any more. -->
      <div class="over" role="alertdialog" aria-label={t('out-of-room')}>
        <div>
          <h1>{t('out-of-room')}</h1>
          <p>{told(session.goodbye!.sentence)}</p>
          {#if session.goodbye!.reason === 'to_porch'}
            <Button kind="go" onclick={() => location.reload()}>{t('knock')}</Button>
          {/if}
        </div>
      </div>
    {/if}
  </div>
  {#if session.documents.opened}{#key session.documents.opened.id}<DocumentPages {session} />{/key}{/if}
  {#if session.cards.writing !== undefined && surface}
    <Later
      load={parts.card}
      onclose={() => (session.cards.writing = undefined)}
      props={{ session, card: session.cards.writing, at: () => surface!.looking.middle() }}
    />
  {/if}
  {#if session.formulas.typing}
    <Later
      load={parts.formula}
      onclose={() => (session.formulas.typing = null)}
      props={{ session, typing: session.formulas.typing }}
    />
  {/if}
  {#if session.past === 'voice'}
    <Later load={parts.again} props={{ session, onclose: () => (session.past = null) }} />
  {:else if session.past && 'board' in session.past}
    <Later
      load={parts.moments}
      props={{ session, board: session.past.board, onclose: () => (session.past = null) }}
    />
  {:else if session.past}
    <Later
      load={parts.replay}
      props={{ session, head: session.past.page, onclose: () => (session.past = null) }}
    />
  {/if}
  {#if session.roundShown}
    <Later load={parts.round} props={{ session, onclose: () => (session.roundShown = false) }} />
  {/if}
  {#if session.desksShown}
    <Later load={parts.desks} props={{ session, onclose: () => (session.desksShown = false) }} />
  {/if}
  {#if session.readying}
    <Later load={parts.templates} props={{ session, onclose: () => (session.readying = false) }} />
  {/if}
  {#if cutting}<CutPicture {session} picture={cutting} sheet={session.pictures.cutting!.sheet} />{/if}
  {#if session.pictures.printed}
    <Later
      load={parts.printed}
      onclose={() => (session.pictures.printed = null)}
      props={{ session, surface }}
    />
  {/if}
  {#if keysShown}<KeysSheet tutorSide={session.people.tutorSide} onclose={() => (keysShown = false)} />{/if}
{/if}

<style>
  .lesson {
    height: 100dvh;
    display: grid;
    grid-template: 52px minmax(0, 1fr) auto auto auto / auto minmax(0, 1fr) auto;
    grid-template-areas:
      'header header header' 'tools board people' 'question question question' 'says says says'
      'sill sill sill';
    background: var(--frame);
    overflow: hidden;
    position: relative;
  }
  .lesson.projector {
    grid-template: minmax(0, 1fr) / minmax(0, 1fr);
    grid-template-areas: 'board';
  }
  .lesson.bare {
    grid-template-rows: 0 minmax(0, 1fr) auto auto auto;
  }
  .people {
    position: absolute;
    inset: auto 0 0;
    z-index: 4;
    display: grid;
    border-top: 4px solid var(--sun);
  }
  .call {
    grid-area: board;
    place-self: end start;
    z-index: 2;
    margin: 6px;
    padding: 4px;
    border-radius: var(--radius);
    background: var(--sand);
    box-shadow: 0 1px 5px rgb(0 0 0 / 30%);
  }
  .out {
    position: absolute;
    inset-inline-end: 8px;
    inset-block-start: 8px;
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    background: var(--frame);
    color: var(--on-frame);
    display: flex;
    align-items: center;
    gap: 8px;
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
    position: absolute;
    inset: 52px 0 0;
    z-index: 6;
    background: var(--sand);
    display: grid;
    place-items: center;
    padding: 24px;
    text-align: center;
  }
  .over h1 {
    font: 600 28px/1.15 var(--title);
    margin-bottom: 12px;
  }
  .over p {
    margin-bottom: 18px;
  }
  @media (max-width: 1000px) {
    .lesson:not(.projector) {
      grid-template: 52px auto minmax(0, 1fr) auto auto auto / auto minmax(0, 1fr);
      grid-template-areas: 'header header' 'people people' 'tools board' 'question question' 'says says' 'sill sill';
    }
    .lesson.bare {
      grid-template-rows: 0 0 minmax(0, 1fr) auto auto auto;
    }
  }
  @media (max-width: 600px) {
    .lesson:not(.projector) {
      grid-template: 48px minmax(0, 1fr) auto auto auto auto / minmax(0, 1fr);
      grid-template-areas: 'header' 'board' 'question' 'says' 'sill' 'tools';
    }
  }
</style>
