<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import Chat from './Chat.svelte'
  import PersonRow from './PersonRow.svelte'

  let { session }: { session: Session } = $props()

  const hands = $derived(session.lesson?.hands ?? [])
  /** The tutor side, then hands in the order of raising, then by name. */
  const people = $derived(session.people.toSorted((a, b) => rank(a.seat, a.role) - rank(b.seat, b.role)))
  const me = $derived(session.people.find((person) => person.seat === session.me))

  function rank(seat: string, role: string): number {
    if (role === 'tutor') return -2
    if (role === 'helper') return -1
    const hand = hands.indexOf(seat)
    return hand >= 0 ? hand : hands.length
  }
</script>

<aside aria-label="People">
  <div class="top">
    <b>Here now · {session.people.length}</b>
    {#if session.tutorSide}
      <span>{hands.length ? `${hands.length} ${hands.length === 1 ? 'hand' : 'hands'} up` : ''}</span>
    {:else if me}
      <span>you are <b>{me.name}</b></span>
    {/if}
  </div>
  {#if session.tutorSide && session.people.length > 1}
    <div class="hands">
      <button onclick={() => session.attention.lead(session.attention.keeping)}>Look here</button>
      <button
        aria-pressed={session.attention.keeping}
        onclick={() => (session.attention.keeping ? session.attention.letGo() : session.attention.lead(true))}
        >{session.attention.keeping ? 'Let everyone go' : 'Keep together'}</button
      >
    </div>
  {/if}
  {#if session.tutorSide && hands.length && session.lesson?.facts.open}
    <div class="hands">
      <button onclick={() => session.tell({ command: 'pass_to_next' })}>Pass to next</button>
      <button onclick={() => session.tell({ command: 'lower_hands' })}>Lower all</button>
    </div>
  {/if}
  <ul>
    {#each people as person (person.seat)}
      <PersonRow {session} {person} hand={hands.indexOf(person.seat)} />
    {/each}
  </ul>
  {#if session.tutorSide && session.people.length < 2}
    <p>Nobody else is here yet. Students come in by the link on the room's home.</p>
  {/if}
  {#if me && me.tabs > 1}
    <p role="status">You have this room open in {me.tabs} tabs. Both write as {me.name}.</p>
  {/if}
  {#if session.role && session.role !== 'onlooker'}<Chat {session} />{/if}
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
  }
  .hands {
    display: flex;
    gap: 6px;
    padding: 0 12px 8px;
  }
  .hands button[aria-pressed='true'] {
    background: var(--sun);
  }
  .hands button {
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
  .top {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    padding: 0 12px 8px;
    font-size: 13px;
    color: var(--muted);
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    overflow-y: auto;
    flex: 1;
  }
  p {
    padding: 12px;
    font-size: 14px;
    color: var(--muted);
  }
  @media (max-width: 900px) {
    aside {
      border-left: 0;
      padding: 4px 0;
      max-height: 132px;
    }
    ul {
      display: flex;
      overflow-x: auto;
    }
    .top {
      padding-bottom: 2px;
    }
    p {
      display: none;
    }
  }
  @media (max-width: 600px) {
    .top {
      display: none;
    }
  }
</style>
