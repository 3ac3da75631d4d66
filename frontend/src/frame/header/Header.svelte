<script lang="ts">
  import Brand from '../../ui/Brand.svelte'
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Later from '../../ui/Later.svelte'
  import { clockTime } from '../../ui/time'
  import BoardTabs from './BoardTabs.svelte'
  import ClassPanel from './ClassPanel.svelte'
  import Clocks from './Clocks.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { kitName } from '../../people/kits'
  import KitPanel from './KitPanel.svelte'
  import PensControl from './PensControl.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import YouPanel from './YouPanel.svelte'

  interface Props {
    session: Session
    link: string
    onboard: (board: string) => void
  }
  let { session, link, onboard }: Props = $props()
  let practising = $state(false)
  const lesson = $derived(session.lesson)
  const me = $derived(session.people.list.find(({ seat }) => seat === session.rights.me))
  const WORDS = [
    ['stuck', 'I am stuck'],
    ['answer', 'I have an answer'],
    ['done', 'I am done'],
  ] as const
  const handUp = $derived(lesson?.hands.includes(session.rights.me) ?? false)
  const kept = $derived.by(() => {
    if (session.goodbye && !session.goodbye.again) return 'Out'
    if (session.line !== 'open') {
      return session.board.waiting ? `No line · ${session.board.waiting} waiting` : 'No line, coming back'
    }
    if (session.trouble) return 'Not kept yet'
    if (session.board.waiting) return 'Keeping'
    return session.keptMs ? `Kept ${clockTime(session.keptMs)}` : 'Kept'
  })
  const uneasy = $derived(session.line !== 'open' || Boolean(session.trouble))
  const standingWords = $derived.by(() => {
    if (!lesson || session.people.tutorSide) return ''
    if (session.people.role === 'onlooker') return 'You are looking on'
    if (!lesson.facts.open) return 'No lesson is on'
    if (lesson.facts.paused) return 'The lesson is paused'
    if (session.rights.may('add_ink')) {
      if (session.rights.standing?.writing.reason.startsWith('bay')) return 'You can write in your bay'
      if (/^(page|desk)/.test(session.rights.standing?.writing.reason ?? ''))
        return 'You can write on this page'
      return lesson.facts.mode === 'up' ? 'Pens are up · you can write' : 'You have a pen'
    }
    return lesson.facts.mode === 'down'
      ? `Pens are down · ${lesson.facts.writer} is writing`
      : 'You have no pen just now'
  })
</script>

<header>
  <Brand href={session.door === 'tutor' ? `/rooms/${link}` : '#'} />
  {#if session.boards.length < 2 && session.welcome?.role !== 'tutor'}
    <span class="title">{session.welcome?.room ?? ''}</span>
  {/if}
  <BoardTabs {session} {link} onopen={onboard} />
  <div class="middle">
    {#if session.people.tutorSide && lesson?.facts.open}
      <PensControl {session} />
      <Popover label="What pens may do" below bare>
        {#snippet face()}<span class="kit">{kitName(lesson.facts.kit) || 'own kit'}</span>{/snippet}
        {#snippet children()}<KitPanel {session} />{/snippet}
      </Popover>
      <Popover label="Class" below bare>
        {#snippet face()}<span class="kit">Class</span>{/snippet}
        {#snippet children(close)}<ClassPanel {session} onclose={close} />{/snippet}
      </Popover>
    {:else if session.people.tutorSide && lesson}
      <Button kind="cream" onclick={() => session.tell({ command: 'open_lesson' })}>Open the lesson</Button>
    {:else if standingWords}
      <span class="state" data-testid="pens-state"
        ><i class:full={session.rights.may('add_ink')}></i>{standingWords}</span
      >
    {/if}
  </div>
  <Clocks {session} />
  <span class="kept" class:uneasy data-testid="kept" role="status">{kept}</span>
  {#if session.people.role === 'student' && lesson?.facts.open}
    {#if handUp}
      <Popover label="Your hand" side="right" below>
        {#snippet face()}<Icon name="raised" size={18} />Hand is up{/snippet}
        {#snippet children(close)}
          <div class="words">
            {#each WORDS as [word, label] (word)}
              <MenuButton onclick={() => (session.tell({ command: 'raise_hand', word }), close())}
                >{label}</MenuButton
              >
            {/each}
            <MenuButton onclick={() => (session.tell({ command: 'lower_hand', seat: '' }), close())}
              >Hand down</MenuButton
            >
          </div>
        {/snippet}
      </Popover>
    {:else}
      <Button kind="cream" onclick={() => session.tell({ command: 'raise_hand', word: '' })}>
        <Icon name="raised" size={18} />Put hand up
      </Button>
    {/if}
  {/if}
  {#if session.welcome && session.people.role !== 'onlooker'}
    <Popover label="You" side="right" below bare>
      {#snippet face()}<span class="kit">You</span>{/snippet}
      {#snippet children(close)}
        <YouPanel {session} {link} onpractise={() => ((practising = true), close())} />
      {/snippet}
    </Popover>
  {/if}
  {#if session.welcome}
    <a
      class="save"
      href="/boards/{session.welcome.board.id}/board.pdf"
      download
      title="Save the board as a PDF"
    >
      <Icon name="save" size={18} />PDF
    </a>
  {/if}
  {#if session.people.role === 'helper' && me?.owner}
    <Button kind="cream" onclick={() => session.tell({ command: 'hand_over', seat: '' })}
      >Take the room back</Button
    >
  {/if}
  {#if session.people.role === 'tutor' && lesson?.facts.open}
    <Button kind="cream" onclick={() => session.tell({ command: 'end_lesson' })}>End</Button>
  {/if}
</header>
{#if practising}
  <Later
    load={() => import('../../hand/PracticePage.svelte')}
    props={{ door: session.door, link, onclose: () => (practising = false) }}
  />
{/if}

<style>
  header {
    grid-area: header;
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 0 12px 0 16px;
    color: var(--on-frame);
    min-width: 0;
  }
  .title {
    padding-left: 12px;
    border-left: 1px solid var(--frame-3);
    color: var(--on-frame-muted);
    font-size: 14px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    min-width: 0;
  }
  .middle {
    flex: 1 0 auto;
    display: flex;
    align-items: center;
    gap: 4px;
    justify-content: center;
  }
  .state {
    display: flex;
    align-items: center;
    gap: 9px;
    font-weight: 600;
  }
  .state i {
    width: 12px;
    height: 12px;
    border: 2px solid currentColor;
    border-radius: 50%;
  }
  .state i.full {
    background: var(--sun);
    border-color: var(--sun);
  }
  .kit {
    color: var(--on-frame-muted);
    font-weight: 400;
    font-size: 13px;
    padding: 0 4px;
  }
  .words {
    display: grid;
    min-width: 190px;
    color: var(--ink);
  }
  .kept {
    font-size: 14px;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .uneasy {
    background: var(--sun);
    color: var(--ink);
    font-weight: 600;
    padding: 3px 8px;
    border-radius: 3px;
  }
  .save {
    display: inline-flex;
    align-items: center;
    gap: 6px;
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    color: var(--on-frame);
    font-weight: 600;
    text-decoration: none;
    white-space: nowrap;
  }
  .save:hover {
    background: var(--frame-2);
  }
  @media (max-width: 900px) {
    .title {
      display: none;
    }
    header {
      gap: 10px;
    }
  }
  @media (max-width: 600px) {
    header {
      flex-wrap: wrap;
      padding: 6px 10px;
    }
    .middle {
      order: 3;
      flex-basis: 100%;
    }
  }
</style>
