<script lang="ts">
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import Icon from '../ui/Icon.svelte'
  import { clockTime, elapsed } from '../ui/time'
  import BoardTabs from './BoardTabs.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import { kitName } from '../people/kits'
  import KitPanel from './KitPanel.svelte'
  import PensControl from './PensControl.svelte'
  import type { Session } from './session.svelte'

  interface Props {
    session: Session
    link: string
    onboard: (board: string) => void
  }
  let { session, link, onboard }: Props = $props()
  let now = $state(Date.now())

  $effect(() => {
    const timer = setInterval(() => (now = session.nowMs()), 1_000)
    return () => clearInterval(timer)
  })

  const lesson = $derived(session.lesson)
  const WORDS = [
    ['stuck', 'I am stuck'],
    ['answer', 'I have an answer'],
    ['done', 'I am done'],
  ] as const
  const handUp = $derived(lesson?.hands.includes(session.me) ?? false)
  const kept = $derived.by(() => {
    if (session.line !== 'open') {
      return session.waiting ? `No line · ${session.waiting} waiting` : 'No line, coming back'
    }
    if (session.trouble) return 'Not kept yet'
    if (session.waiting) return 'Keeping'
    return session.keptMs ? `Kept ${clockTime(session.keptMs)}` : 'Kept'
  })
  const uneasy = $derived(session.line !== 'open' || Boolean(session.trouble))
  const standingWords = $derived.by(() => {
    if (!lesson || session.tutorSide) return ''
    if (session.role === 'onlooker') return 'You are looking on'
    if (!lesson.facts.open) return 'No lesson is on'
    if (session.may('add_ink')) {
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
    {#if session.tutorSide && lesson?.facts.open}
      <PensControl {session} />
      <Popover label="What pens may do" below bare>
        {#snippet face()}<span class="kit">{kitName(lesson.facts.kit) || 'own kit'}</span>{/snippet}
        {#snippet children()}<KitPanel {session} />{/snippet}
      </Popover>
    {:else if session.tutorSide && lesson}
      <Button kind="cream" onclick={() => session.tell({ command: 'open_lesson' })}>Open the lesson</Button>
    {:else if standingWords}
      <span class="state" data-testid="pens-state"
        ><i class:full={session.may('add_ink')}></i>{standingWords}</span
      >
    {/if}
  </div>
  {#if lesson?.started_ms && lesson.facts.open}
    <span class="clock" title="Since the first student came in">{elapsed(now - lesson.started_ms)}</span>
  {/if}
  <span class="kept" class:uneasy data-testid="kept" role="status">{kept}</span>
  {#if session.role === 'student' && lesson?.facts.open}
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
  {#if session.welcome}
    <a
      class="save"
      href="/boards/{session.welcome.board.id}/board.pdf"
      download
      title="Save the board as a PDF"
    >
      <Icon name="save" size={18} />Save PDF
    </a>
  {/if}
  {#if session.welcome?.role === 'tutor' && lesson?.facts.open}
    <Button kind="cream" onclick={() => session.tell({ command: 'end_lesson' })}>End lesson</Button>
  {/if}
</header>

<style>
  header {
    grid-area: header;
    display: flex;
    align-items: center;
    gap: 14px;
    padding: 0 14px 0 16px;
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
    flex: 1;
    display: flex;
    align-items: center;
    gap: 8px;
    justify-content: center;
    min-width: 0;
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
  }
  .words {
    display: grid;
    min-width: 190px;
    color: var(--ink);
  }
  .clock,
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
    .clock {
      display: none;
    }
  }
</style>
