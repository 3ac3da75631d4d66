<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import { clockTime } from '../ui/time'
  import Chat from './Chat.svelte'
  import Knocks from './Knocks.svelte'
  import PersonRow from './PersonRow.svelte'
  import Signs from './Signs.svelte'

  let { session }: { session: Session } = $props()
  let wanted = $state('')
  let picked = $state<string[]>([])
  let picking = $state(false)
  let chatting = $state(false)
  /** With more people than this there is a field to look one up. */
  const MANY = 8

  const hands = $derived(session.lesson?.hands ?? [])
  const here = $derived(session.people.list.filter(({ tabs }) => tabs > 0))
  const gone = $derived(session.people.list.filter(({ tabs }) => tabs === 0))
  const me = $derived(session.people.list.find((person) => person.seat === session.rights.me))
  const students = $derived(here.filter(({ role }) => role === 'student').map(({ seat }) => seat))
  const chosen = $derived(picked.filter((seat) => students.includes(seat)))
  /** The tutor side, then hands in the order of raising, then who writes, then by name. */
  const people = $derived(
    here
      .filter(({ name }) => name.toLocaleLowerCase().includes(wanted.trim().toLocaleLowerCase()))
      .toSorted((a, b) => rank(a.seat, a.role) - rank(b.seat, b.role)),
  )

  function rank(seat: string, role: string): number {
    if (role === 'tutor') return -2
    if (role === 'helper') return -1
    if (role === 'onlooker') return hands.length + 1
    const hand = hands.indexOf(seat)
    return hand >= 0 ? hand : hands.length
  }

  function pick(seat: string) {
    picked = picked.includes(seat) ? picked.filter((other) => other !== seat) : [...picked, seat]
  }

  function each(act: (seat: string) => void) {
    for (const seat of chosen) act(seat)
    picked = []
    picking = false
  }
</script>

<aside aria-label="People">
  <div class="top">
    <b>Here now · {here.length}</b>
    {#if session.people.tutorSide}
      <span>{hands.length ? `${hands.length} ${hands.length === 1 ? 'hand' : 'hands'} up` : ''}</span>
    {:else if me}
      <span>you are <b>{me.name}</b></span>
    {/if}
    {#if session.people.role !== 'onlooker'}
      <button class="talk" aria-expanded={chatting} onclick={() => (chatting = !chatting)}
        >Chat{session.classroom.unread ? ` · ${session.classroom.unread}` : ''}</button
      >
    {/if}
  </div>
  {#if session.people.tutorSide}<Knocks {session} />{/if}
  {#if session.people.tutorSide && here.length > 1}
    <div class="acts">
      <button onclick={() => session.attention.lead(session.attention.keeping)}>Look here</button>
      <button
        aria-pressed={session.attention.keeping}
        onclick={() => (session.attention.keeping ? session.attention.letGo() : session.attention.lead(true))}
        >{session.attention.keeping ? 'Let everyone go' : 'Keep together'}</button
      >
    </div>
  {/if}
  {#if session.people.tutorSide && hands.length && session.lesson?.facts.open}
    <div class="acts">
      <button onclick={() => session.tell({ command: 'pass_to_next' })}>Pass to next</button>
      <button onclick={() => session.tell({ command: 'lower_hands' })}>Lower all</button>
    </div>
  {/if}
  {#if here.length > MANY || wanted}
    <input
      class="find"
      type="search"
      bind:value={wanted}
      placeholder="Find a name"
      aria-label="Find a name"
    />
  {/if}
  {#if session.people.tutorSide && students.length > 1}
    <div class="acts some">
      <button aria-pressed={picking} onclick={() => ((picking = !picking), (picked = []))}
        >{picking ? 'Done choosing' : 'Choose some'}</button
      >
      {#if picking}
        <button onclick={() => (picked = chosen.length === students.length ? [] : students)}
          >{chosen.length === students.length ? 'None' : 'All'}</button
        >
      {/if}
    </div>
    {#if picking && chosen.length}
      <div class="acts" role="group" aria-label="For the {chosen.length} chosen">
        <button onclick={() => each((seat) => session.tell({ command: 'pass_pen', seat, minutes: null }))}
          >Pass pens</button
        >
        <button onclick={() => each((seat) => session.tell({ command: 'take_pen', seat }))}>Take back</button>
        <button onclick={() => each((seat) => session.tell({ command: 'lower_hand', seat }))}>Lower</button>
      </div>
    {/if}
  {/if}
  <ul>
    {#each people as person (person.seat)}
      <PersonRow
        {session}
        {person}
        hand={hands.indexOf(person.seat)}
        picked={picking && person.role === 'student' ? chosen.includes(person.seat) : null}
        onpick={() => pick(person.seat)}
      />
    {/each}
    {#if session.people.tutorSide && gone.length && !wanted}
      <li class="gone">
        <b>Not here</b>
        {#each gone as { seat, name, seen_ms } (seat)}
          <span>{name}<small>since {clockTime(seen_ms)}</small></span>
        {/each}
      </li>
    {/if}
  </ul>
  {#if session.people.tutorSide && here.length < 2}
    <p>Nobody else is here yet. Students come in by the link on the room’s home.</p>
  {/if}
  {#if me && me.tabs > 1}
    <p role="status">
      You are here {me.tabs} times: in other tabs or on other devices. All write as {me.name}.
    </p>
  {/if}
  {#if session.people.role && session.people.role !== 'onlooker'}
    <Signs {session} />
    <div class="chat" class:chatting><Chat {session} /></div>
  {/if}
</aside>

<style>
  aside {
    grid-area: people;
    background: var(--sand);
    border-left: 4px solid var(--sand-2);
    padding: 10px 0 0;
    display: flex;
    flex-direction: column;
    overflow: hidden;
    min-width: 0;
    position: relative;
  }
  .acts {
    display: flex;
    gap: 6px;
    padding: 0 12px 8px;
  }
  .acts button {
    min-height: 40px;
    flex: 1;
    padding: 0 2px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-weight: 600;
    font-size: 14px;
    white-space: nowrap;
  }
  .acts button[aria-pressed='true'] {
    background: var(--sun);
  }
  .some button {
    min-height: 34px;
    font-weight: 400;
    font-size: 13px;
  }
  .find {
    margin: 0 12px 8px;
    height: 36px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    min-width: 0;
  }
  .top {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding: 0 12px 8px;
    font-size: 13px;
    color: var(--muted);
  }
  .talk {
    display: none;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    overflow-y: auto;
    flex: 1;
  }
  .gone {
    padding: 10px 12px;
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
  }
  .gone span {
    display: flex;
    justify-content: space-between;
  }
  p {
    padding: 12px;
    font-size: 14px;
    color: var(--muted);
  }
  .chat {
    display: contents;
  }
  @media (max-width: 900px) {
    aside {
      border-left: 0;
      padding: 4px 0;
      overflow: visible;
    }
    ul {
      display: flex;
      overflow-x: auto;
      flex: none;
    }
    .top {
      padding-bottom: 2px;
      align-items: center;
    }
    .talk {
      display: block;
      min-height: 36px;
      padding: 0 12px;
      border: 1px solid var(--sand-line);
      border-radius: var(--radius);
      background: var(--glass);
      font-weight: 600;
      color: var(--ink);
    }
    .some,
    .gone,
    p {
      display: none;
    }
    .chat {
      display: none;
    }
    .chat.chatting {
      display: block;
      position: absolute;
      z-index: 5;
      top: 100%;
      right: 8px;
      width: min(340px, calc(100vw - 16px));
      background: var(--sand);
      border: 1px solid var(--sand-line);
      border-radius: var(--radius);
    }
  }
</style>
