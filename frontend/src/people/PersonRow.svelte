<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import Popover from '../ui/Popover.svelte'
  import type { Person } from '../wire/generated'
  import { t } from '../words/words.svelte'
  import { doing, holdsPen } from './doing'
  import PersonPanel from './PersonPanel.svelte'
  import PersonMark from './PersonMark.svelte'
  import SignPicture from './SignPicture.svelte'
  import { SIGNS } from './signs'

  interface Props {
    session: Session
    person: Person
    /** The name as it fits into a row. */
    name?: string
    hand: number
    /** One line for each. */
    compact?: boolean
    /** The mark and the pen alone. */
    mark?: boolean
    /** Whether this person is among the chosen; null when nobody is being chosen. */
    picked?: boolean | null
    onpick?: () => void
  }
  let { session, person, name, hand, compact = false, mark = false, picked = null, onpick }: Props = $props()
  let now = $state(0)

  const passed = $derived(session.lesson?.facts.passed.find((pen) => pen.seat === person.seat))
  const hasPen = $derived(holdsPen(session, person))
  const sign = $derived(session.classroom.reactions.findLast(({ seat }) => seat === person.seat))
  const does = $derived(doing(session, person, now))
  const tutorSide = $derived(session.people.tutorSide)
  const menu = $derived(tutorSide && person.role !== 'tutor' && person.seat !== session.rights.me)

  /** A student looks where somebody of the tutor side looks. */
  const leads = $derived(
    session.people.role === 'student' && (person.role === 'tutor' || person.role === 'helper'),
  )
  const following = $derived(session.attention.following === person.seat)

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

<li
  class:up={hand >= 0}
  class:compact
  class:mark
  data-testid="person"
  data-name={person.name}
  title="{person.name}: {does}"
>
  {#if picked !== null}
    <input
      type="checkbox"
      checked={picked}
      onchange={onpick}
      aria-label={t('choose-person', { name: person.name })}
    />
  {/if}
  <PersonMark
    seat={person.seat}
    name={person.name}
    colour={session.people.colourOf(person.seat)}
    size={compact || mark ? 26 : 36}
  />
  {#if !mark}
    <div class="who">
      <b>{name ?? person.name}</b>
      <small
        >{#if sign}<span class="sign"
            ><SignPicture kind={sign.kind} size={14} />{t(SIGNS[sign.kind].word)}</span
          >{:else}{does}{/if}</small
      >
    </div>
  {/if}
  {#if hand >= 0 && tutorSide}
    <button
      class="round hand"
      aria-label={t('lower-hand-of', { name: person.name })}
      title={t('lower-hand-of', { name: person.name })}
      onclick={() => session.tell({ command: 'lower_hand', seat: person.seat })}
      ><Icon name="raised" size={16} />{#if hand > 0}<sup>{hand + 1}</sup>{/if}</button
    >
  {/if}
  {#if person.role === 'student'}
    {#if tutorSide && session.lesson?.facts.open}
      <button
        class="round"
        class:full={hasPen}
        aria-pressed={hasPen}
        aria-label={hasPen
          ? t('take-pen-from', { name: person.name })
          : t('pass-pen-to', { name: person.name })}
        title={hasPen ? t('take-pen-from', { name: person.name }) : t('pass-pen-to', { name: person.name })}
        onclick={passOrTake}><Icon name="pen" size={17} /></button
      >
    {:else if hasPen}
      <span class="round full" role="img" aria-label={t('has-a-pen')}><Icon name="pen" size={17} /></span>
    {/if}
  {/if}
  {#if leads}
    <button
      class="round"
      class:full={following}
      aria-pressed={following}
      aria-label={t('follow', { name: person.name })}
      title={t('follow', { name: person.name })}
      onclick={() => session.attention.follow(following ? '' : person.seat)}
      ><Icon name="look" size={17} /></button
    >
  {/if}
  {#if menu && !mark}
    <Popover label={t('more-about', { name: person.name })} side="right" below bare>
      {#snippet face()}<Icon name="more" size={18} />{/snippet}
      {#snippet children(close)}<PersonPanel {session} {person} onclose={close} />{/snippet}
    </Popover>
  {/if}
</li>

<style>
  li {
    display: flex;
    align-items: center;
    gap: 4px;
    min-height: 48px;
    padding-inline: 8px 2px;
    border-inline-start: 3px solid transparent;
    min-width: 0;
  }
  .compact {
    min-height: 34px;
    padding-inline-end: 0;
  }
  @media (pointer: coarse) {
    .compact {
      min-height: 41px;
    }
  }
  .up {
    background: var(--sun-pale);
    color: var(--on-pale);
    border-color: var(--sun);
  }
  input {
    width: 20px;
    height: 20px;
    margin: 0;
    flex: none;
  }
  .who {
    flex: 1;
    min-width: 0;
    margin-inline-start: 4px;
    display: grid;
    line-height: 1.25;
  }
  .compact .who {
    display: flex;
    align-items: baseline;
    gap: 6px;
  }
  b {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .compact b {
    flex: 0 1 auto;
    font-size: 14px;
  }
  small {
    font-size: 12.5px;
    color: var(--muted);
    display: -webkit-box;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
    line-clamp: 2;
    overflow: hidden;
  }
  .compact small {
    display: block;
    align-self: center;
    text-overflow: ellipsis;
    white-space: nowrap;
    flex: 1 1 0;
    font-size: 12px;
    min-width: 0;
  }
  .up small {
    color: inherit;
  }
  .sign {
    display: flex;
    align-items: center;
    gap: 4px;
    font-weight: 600;
    color: var(--leaf-dark);
  }
  li:not(.mark) > .round:last-child {
    margin-inline-end: 8px;
  }
  .round {
    position: relative;
    width: 40px;
    height: 40px;
    flex: none;
    border-radius: 50%;
    border: 1.5px solid var(--pen-line);
    background: none;
    color: var(--pen-ink);
    display: grid;
    place-items: center;
    padding: 0;
  }
  .compact .round {
    width: 32px;
    height: 32px;
  }
  @media (pointer: coarse) {
    .compact .round {
      width: 40px;
      height: 40px;
    }
  }
  .compact :global(.face.bare) {
    min-width: 30px;
    min-height: 32px;
  }
  @media (pointer: coarse) {
    .compact :global(.face.bare) {
      min-width: 40px;
      min-height: 40px;
    }
  }
  .full {
    background: var(--sun);
    border-color: #8a5d05;
    color: var(--on-sun);
  }
  .hand {
    border-color: transparent;
    color: inherit;
  }
  /* A mouse needs less room than a name. */
  @media not (pointer: coarse) {
    .hand {
      width: 26px;
      margin-inline-end: -2px;
    }
    li :global(.face.bare) {
      min-width: 28px;
    }
  }
  sup {
    position: absolute;
    right: 1px;
    top: 1px;
    font-size: 11px;
    font-weight: 700;
  }
  .mark {
    padding: 2px 4px;
    flex-wrap: wrap;
    justify-content: center;
    gap: 4px;
  }
</style>
