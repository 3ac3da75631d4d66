<script lang="ts">
  /** Who is here and what they do: a column beside the board, a strip of marks, or a sheet over a small window. */
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import { looks } from '../ui/looks.svelte'
  import { has } from '../ui/search'
  import { t } from '../words/words.svelte'
  import CallBar from './CallBar.svelte'
  import Chat from './Chat.svelte'
  import ChatDrawer from './ChatDrawer.svelte'
  import ClassActions from './ClassActions.svelte'
  import Faces from './Faces.svelte'
  import Gone from './Gone.svelte'
  import HandButton from './HandButton.svelte'
  import Invite from './Invite.svelte'
  import Knocks from './Knocks.svelte'
  import { shortNames } from './names'
  import PersonRow from './PersonRow.svelte'
  import { ranked, SORTS, unmoved, type Sort } from './sort'
  import { Stillness } from './stillness.svelte'
  import Signs from './Signs.svelte'
  import SignCounts from './SignCounts.svelte'
  import SomePanel from './SomePanel.svelte'

  interface Props {
    session: Session
    link: string
    /** As a strip of marks: down beside the board, or across over it. */
    strip?: 'down' | 'across' | null
    /** As a sheet, which can be closed. */
    onclose?: () => void
    /** Show everybody: a strip has room for some. */
    onall?: () => void
  }
  let { session, link, strip = null, onclose, onall }: Props = $props()
  let wanted = $state('')
  let picked = $state<string[]>([])
  let picking = $state(false)
  let chatting = $state(false)
  let sort = $state<Sort>('hand')
  /** With more people than this, rows are of one line, and there is a field to look one up. */
  const MANY = 8

  const hands = $derived(session.lesson?.hands ?? [])
  const here = $derived(session.people.list.filter(({ tabs }) => tabs > 0))
  const me = $derived(session.people.of(session.rights.me))
  const many = $derived(here.length > MANY)
  const students = $derived(here.filter(({ role }) => role === 'student').map(({ seat }) => seat))
  const chosen = $derived(picked.filter((seat) => students.includes(seat)))
  const short = $derived(shortNames(here.map(({ name }) => name)))
  const stillness = new Stillness()
  $effect(() => () => stillness.stop())
  let order: string[] = []
  const people = $derived.by(() => {
    const now = ranked(
      here.filter(({ name }) => has(name, wanted)),
      sort,
      session,
    )
    const rows = stillness.still ? unmoved(now, order) : now
    order = rows.map(({ seat }) => seat)
    return rows
  })
  /** Width in px of one person in the strip over the board. */
  const MARK_PX = 92
  let wide = $state(0)
  const shown = $derived(
    strip === 'across' ? people.slice(0, Math.max(1, Math.floor((wide - 60) / MARK_PX))) : people,
  )

  function pick(seat: string) {
    picked = picked.includes(seat) ? picked.filter((other) => other !== seat) : [...picked, seat]
  }
</script>

<aside
  aria-label={t('people')}
  class:sheet={onclose}
  class:down={strip === 'down'}
  class:across={strip === 'across'}
>
  <div class="top">
    {#if strip === 'down'}
      <button
        class="plain"
        aria-label={t('unfold')}
        title={t('unfold')}
        onclick={() => looks.set({ folded: false })}><Icon name="back" size={18} /></button
      >
    {:else}
      <b>{t('here-now', { count: here.length })}</b>
      {#if session.people.tutorSide}
        {#if hands.length}
          <span
            class="hands"
            role="img"
            aria-label={t('hands-up', { count: hands.length })}
            title={t('hands-up', { count: hands.length })}
            ><Icon name="raised" size={16} />{hands.length}</span
          >
        {/if}
      {:else if me && !strip}
        <span class="you">{t('you-are', { name: me.name })}</span>
      {/if}
      {#if session.people.tutorSide}
        <Invite {session} {link} />
        {#if !strip}<ClassActions {session} look="rest" {many} />{/if}
      {/if}
      {#if strip === 'across'}
        {#if session.people.tutorSide && session.people.accompanied}<ClassActions
            {session}
            look="menu"
          />{/if}
        {#if session.rights.makes}<HandButton {session} /><Signs {session} />{/if}
        {#if session.people.role !== 'onlooker'}<CallBar {session} bare />{/if}
        <ChatDrawer {session} />
      {:else if onclose}
        <button class="plain" aria-label={t('close')} onclick={onclose}
          ><Icon name="close" size={18} /></button
        >
      {:else}
        <button
          class="plain"
          aria-label={t('fold')}
          title={t('fold')}
          onclick={() => looks.set({ folded: true })}><Icon name="forth" size={18} /></button
        >
      {/if}
    {/if}
  </div>
  {#if !strip && session.people.role !== 'onlooker' && (session.call.on || !many || !session.people.tutorSide)}
    <CallBar {session} />
    {#if session.call.on && looks.facesAt === 'column'}<Faces {session} look="column" />{/if}
  {/if}
  {#if session.people.tutorSide && !strip}<Knocks {session} waiting={stillness.pointed} />{/if}
  {#if session.people.tutorSide && session.people.accompanied && strip !== 'across'}
    <ClassActions {session} look={strip ? 'menu' : 'acts'} />
  {/if}
  {#if session.people.tutorSide && !strip}<SignCounts {session} />{/if}
  {#if !strip && session.people.role === 'student' && session.rights.makes}
    <div class="own"><HandButton {session} /><Signs {session} /></div>
  {/if}
  {#if !strip && (many || wanted || (session.people.tutorSide && students.length > 1))}
    <div class="find">
      {#if many || wanted}
        <input type="search" bind:value={wanted} placeholder={t('find-name')} aria-label={t('find-name')} />
      {/if}
      {#if session.people.tutorSide && students.length > 1}
        {#if many}
          <select bind:value={sort} aria-label={t('sort-by')} title={t('sort-by')}>
            {#each SORTS as { value, word } (value)}<option {value}>{t(word)}</option>{/each}
          </select>
        {/if}
        <button
          class="some"
          aria-pressed={picking}
          onclick={() => ((picking = !picking), (picked = []))}
          aria-label={picking || !many ? null : t('choose-some')}
          >{picking ? t('done-choosing') : t(many ? 'choose' : 'choose-some')}</button
        >
      {/if}
    </div>
    {#if picking}
      <SomePanel
        {session}
        {students}
        {chosen}
        onpick={(seats) => (picked = seats)}
        ondone={() => ((picking = false), (picked = []))}
      />
    {/if}
  {/if}
  <ul
    bind:clientWidth={wide}
    onpointermove={(event) => stillness.keep(event.currentTarget)}
    onpointerdown={(event) => stillness.keep(event.currentTarget)}
    onfocusin={(event) => stillness.keep(event.currentTarget)}
  >
    {#each shown as person (person.seat)}
      <PersonRow
        {session}
        {person}
        name={short.get(person.name) ?? person.name}
        hand={hands.indexOf(person.seat)}
        compact={many}
        mark={strip !== null}
        picked={picking && person.role === 'student' ? chosen.includes(person.seat) : null}
        onpick={() => pick(person.seat)}
      />
    {/each}
    {#if shown.length < people.length || (strip === 'across' && session.people.tutorSide)}
      <li>
        <button class="back" onclick={onall}>{t('people-count', { count: people.length })}</button>
      </li>
    {/if}
    {#if session.people.tutorSide && !wanted && !strip}<Gone {session} />{/if}
    {#if session.people.tutorSide && here.length < 2 && !strip}
      <li class="empty">{t('nobody-else')}</li>
    {/if}
    {#if me && me.tabs > 1 && !strip}
      <li class="empty" role="status">{t('here-often', { count: me.tabs, name: me.name })}</li>
    {/if}
  </ul>
  {#if session.people.role && session.people.role !== 'onlooker' && strip !== 'across'}
    {#if strip === 'down'}
      <ChatDrawer {session} />
    {:else}
      <button
        class="talk"
        aria-expanded={chatting}
        onclick={() => {
          chatting = !chatting
          if (chatting) session.classroom.readChat()
        }}
        ><b>{t('chat')}</b>
        {#if session.classroom.unread}<span
            class="unread"
            aria-label={t('unread', { count: session.classroom.unread })}>{session.classroom.unread}</span
          >{/if}
        <Icon name={chatting ? 'down' : 'up'} size={16} /></button
      >
      {#if chatting}<div class="chat"><Chat {session} /></div>{/if}
    {/if}
  {/if}
</aside>

<style>
  aside {
    grid-area: people;
    width: 248px;
    background: var(--sand);
    border-inline-start: 4px solid var(--sand-2);
    display: flex;
    flex-direction: column;
    overflow: hidden;
    min-width: 0;
    min-height: 0;
  }
  .top {
    display: flex;
    align-items: center;
    gap: 6px;
    min-height: 42px;
    padding: 1px 4px 1px 12px;
    font-size: 13px;
    color: var(--muted);
    flex: none;
  }
  .top b {
    white-space: nowrap;
    margin-inline-end: auto;
  }
  .hands {
    display: flex;
    align-items: center;
    gap: 2px;
    font-weight: 600;
  }
  .you {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .plain {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--muted);
    display: grid;
    place-items: center;
    flex: none;
  }
  /* A mouse needs less room than the words here. */
  @media not (pointer: coarse) {
    .top .plain {
      width: 32px;
    }
    .top :global(.face.bare) {
      min-width: 32px;
    }
  }
  :global([dir='rtl']) .plain :global(svg) {
    scale: -1 1;
  }
  .own {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    padding: 0 10px 8px;
  }
  .find {
    display: flex;
    gap: 6px;
    padding: 0 10px 6px;
    flex: none;
  }
  .find input {
    flex: 1 1 60px;
  }
  .find select {
    flex: 0 1 84px;
  }
  input,
  select,
  .some {
    height: 40px;
    padding: 0 6px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    min-width: 0;
    font-size: 13px;
  }
  .some {
    flex: 1 0 auto;
  }
  .some[aria-pressed='true'] {
    background: var(--sun);
    color: var(--on-sun);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    overflow-y: auto;
    flex: 1;
    min-height: 0;
  }
  .back {
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
  }
  .empty {
    padding: 12px;
    font-size: 14px;
    color: var(--muted);
  }
  .talk {
    flex: none;
    min-height: 40px;
    padding: 0 12px;
    border: 0;
    border-top: 1px solid var(--sand-line);
    background: none;
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .talk b {
    margin-inline-end: auto;
  }
  .unread {
    min-width: 24px;
    padding: 1px 7px;
    border-radius: 11px;
    background: var(--clay);
    color: #fff;
    font-size: 13px;
    text-align: center;
  }
  .chat {
    flex: none;
    height: 44%;
    min-height: 150px;
    display: grid;
    grid-template-rows: minmax(0, 1fr);
  }
  .sheet {
    width: auto;
    border: 0;
    max-height: 78dvh;
  }
  .down {
    width: 60px;
    align-items: center;
  }
  .down .top {
    padding: 2px;
  }
  .down :global(.face) {
    padding: 0 4px;
    font-size: 12px;
    min-width: 46px;
  }
  .across {
    width: auto;
    border: 0;
    flex-direction: row;
    align-items: center;
    min-height: 56px;
  }
  .across .top {
    order: 2;
    flex: none;
  }
  .across .top b {
    display: none;
  }
  .across ul {
    display: flex;
    align-items: center;
    overflow: hidden;
    padding-inline: 8px;
  }
</style>
