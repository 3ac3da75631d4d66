<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import Popover from '../ui/Popover.svelte'
  import { elapsed } from '../ui/time'
  import type { Person } from '../wire/generated'
  import PersonPanel from './PersonPanel.svelte'
  import PersonMark from './PersonMark.svelte'
  import SignPicture from './SignPicture.svelte'
  import { SIGNS } from './signs'

  interface Props {
    session: Session
    person: Person
    hand: number
    /** Whether this person is among the chosen; null when nobody is being chosen. */
    picked?: boolean | null
    onpick?: () => void
  }
  let { session, person, hand, picked = null, onpick }: Props = $props()
  let now = $state(0)

  const facts = $derived(session.lesson?.facts)
  const passed = $derived(facts?.passed.find((pen) => pen.seat === person.seat))
  const hasPen = $derived(
    Boolean(
      facts?.open &&
      person.role === 'student' &&
      (facts.mode === 'up' ? !facts.withheld.includes(person.seat) : facts.mode === 'passed' && passed),
    ),
  )
  const signs = $derived(session.classroom.reactions.filter(({ seat }) => seat === person.seat).slice(-2))
  const word = $derived(session.lesson?.words.find(([seat]) => seat === person.seat)?.[1] ?? '')
  const doing = $derived.by(() => {
    const parts: string[] = []
    if (person.role !== 'student') parts.push(person.role)
    if (session.classroom.writing.has(person.seat)) parts.push('writing')
    if (hand >= 0)
      parts.push((hand === 0 ? 'hand up, first' : `hand up, number ${hand + 1}`) + (word ? `: ${word}` : ''))
    if (hasPen && passed?.until_ms) parts.push(`pen for ${elapsed(passed.until_ms - now)}`)
    else if (hasPen) parts.push('has a pen')
    const page = session.pages.heads.findIndex((head) => head.id === person.page) + 1
    const board = session.boards.find(({ id }) => id === person.board)
    if (board && board.id !== session.welcome?.board.id) parts.push(`on “${board.title}”`)
    else if (page && person.page !== session.pages.id) parts.push(`on page ${page}`)
    if (session.attention.following === person.seat) parts.push('you follow')
    if (person.travel === 'flooding') parts.push('sends too much')
    else if (person.travel !== 'good') parts.push(`${person.travel} line`)
    return parts.join(' · ') || 'here'
  })

  $effect(() => {
    if (!passed?.until_ms) return
    const tick = () => (now = session.nowMs())
    tick()
    const timer = setInterval(tick, 1_000)
    return () => clearInterval(timer)
  })

  function passOrTake() {
    session.tell(
      hasPen
        ? { command: 'take_pen', seat: person.seat }
        : { command: 'pass_pen', seat: person.seat, minutes: null },
    )
  }
</script>

<li class:hand={hand >= 0} data-testid="person" data-name={person.name}>
  {#if picked !== null}
    <input type="checkbox" checked={picked} onchange={onpick} aria-label="Choose {person.name}" />
  {/if}
  <PersonMark seat={person.seat} name={person.name} />
  {#each signs as { key, kind } (key)}
    <span class="sign" role="img" aria-label={SIGNS[kind].label}><SignPicture {kind} size={20} /></span>
  {/each}
  <div class="who">
    <b>{person.name}</b>
    <small>{doing}</small>
  </div>
  {#if person.role === 'student'}
    {#if session.people.tutorSide && facts?.open}
      <button
        class="pen"
        class:full={hasPen}
        aria-pressed={hasPen}
        aria-label={hasPen ? `Take the pen back from ${person.name}` : `Pass a pen to ${person.name}`}
        title={hasPen ? 'Take the pen back' : 'Pass a pen'}
        onclick={passOrTake}><Icon name="pen" size={18} /></button
      >
    {:else if hasPen}
      <span class="pen full" role="img" aria-label="has a pen"><Icon name="pen" size={18} /></span>
    {/if}
  {/if}
  {#if session.people.tutorSide && person.role !== 'tutor' && person.role !== 'onlooker' && person.seat !== session.rights.me}
    <Popover label="More about {person.name}" side="right" below bare>
      {#snippet face()}<Icon name="more" size={18} />{/snippet}
      {#snippet children(close)}<PersonPanel {session} {person} onclose={close} />{/snippet}
    </Popover>
  {/if}
</li>

<style>
  li {
    display: flex;
    align-items: center;
    gap: 9px;
    padding: 5px 4px 5px 9px;
    border-left: 3px solid transparent;
    min-width: 0;
  }
  .hand {
    background: var(--sun-pale);
    border-color: var(--sun);
  }
  input {
    width: 20px;
    height: 20px;
    margin: 0;
    flex: none;
  }
  .sign {
    flex: none;
    color: var(--leaf-dark);
    animation: fade 5s forwards;
  }
  @keyframes fade {
    70% {
      opacity: 1;
    }
    100% {
      opacity: 0;
    }
  }
  .who {
    flex: 1;
    min-width: 0;
    display: grid;
    line-height: 1.25;
  }
  b {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  small {
    font-size: 12.5px;
    color: var(--muted);
  }
  .pen {
    width: 40px;
    height: 40px;
    flex: none;
    border-radius: 50%;
    border: 1.5px solid #a59a80;
    background: none;
    color: #6f6650;
    display: grid;
    place-items: center;
    padding: 0;
  }
  .pen.full {
    background: var(--sun);
    border-color: #8a5d05;
    color: var(--ink);
  }
  @media (max-width: 900px) {
    li {
      min-width: 190px;
    }
  }
</style>
