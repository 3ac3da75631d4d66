<script lang="ts">
  import { tick } from 'svelte'
  import Brand from '../../ui/Brand.svelte'
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import { clockTime } from '../../words/time'
  import { speech, t } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import BoardTabs from './BoardTabs.svelte'
  import Clocks from './Clocks.svelte'
  import OwnMenu from './OwnMenu.svelte'
  import PensControl from './PensControl.svelte'
  import RecordingMark from './RecordingMark.svelte'
  import { standingWords } from './standing'
  import TakeAway from './TakeAway.svelte'
  import WrapUp from './WrapUp.svelte'

  interface Props {
    session: Session
    link: string
    onboard: (board: string) => void
    onkeys: () => void
    onpeople: () => void
  }
  let { session, link, onboard, onkeys, onpeople }: Props = $props()
  const lesson = $derived(session.lesson)
  const me = $derived(session.people.of(session.rights.me))
  /** So long after its end a lesson can be gone on with. */
  const GO_ON_MS = 30 * 60_000
  const ended = $derived(
    Boolean(lesson && !lesson.facts.open && lesson.ended_ms && session.nowMs() - lesson.ended_ms < GO_ON_MS),
  )
  const out = $derived(session.goodbye && !session.goodbye.again)
  const kept = $derived.by(() => {
    if (out) return t('kept-out')
    if (session.line !== 'open')
      return session.board.waiting ? t('no-line-waiting', { count: session.board.waiting }) : t('no-line')
    if (session.trouble) return t('not-kept')
    if (session.board.waiting) return t('keeping')
    return t('kept')
  })
  const uneasy = $derived(session.line !== 'open' || Boolean(session.trouble))

  let header: HTMLElement
  /** How much is left out for want of room: words first, then buttons, which stand in the own menu then. */
  let level = $state(0)
  const MOST = 5
  let width = $state(0)

  async function fit() {
    level = screen.phone ? MOST : 0
    await tick()
    while (level < MOST && header.scrollWidth > header.clientWidth + 1) {
      level++
      await tick()
    }
  }

  $effect(() => {
    void [
      width,
      speech.language,
      lesson?.facts.open,
      lesson?.facts.paused,
      lesson?.countdown,
      lesson?.started_ms,
    ]
    void [session.boards, session.people.role, uneasy, standingWords(session), lesson?.facts.kit, ended]
    void session.call.recorder.now
    void fit()
  })
</script>

<header bind:this={header} bind:clientWidth={width}>
  {#if !screen.phone}<Brand href={session.door === 'tutor' ? `/rooms/${link}` : '#'} mark />{/if}
  <BoardTabs {session} {link} list={level >= 2} onopen={onboard} />
  <div class="middle">
    {#if out}
      <span class="state" data-testid="pens-state">{t('state-out')}</span>
    {:else if session.people.tutorSide && lesson?.facts.open}
      <PensControl {session} small={level >= 4} short={level >= 1} />
    {:else if session.people.tutorSide && lesson}
      <Button kind="cream" onclick={() => session.tell({ command: 'open_lesson', again: ended })}
        >{ended ? t('go-on-with-lesson') : t('open-lesson')}</Button
      >
    {:else if standingWords(session) && !screen.phone}
      <span class="state" data-testid="pens-state"
        ><i class:full={session.rights.may('add_ink')}></i>{standingWords(session)}</span
      >
    {/if}
  </div>
  <RecordingMark {session} short={level >= 1} bare={level >= MOST} />
  {#if level < MOST || !session.call.recorder.on}<Clocks {session} short={level >= 3} />{/if}
  <span
    class="kept"
    class:uneasy
    title={session.keptMs ? t('kept-at', { time: clockTime(session.keptMs) }) : kept}
    data-testid="kept"
  >
    {#if !uneasy}<Icon name="check" size={16} />{/if}<span class:unseen={level >= 1 && !uneasy}>{kept}</span>
  </span>
  {#if session.people.role === 'helper' && me?.owner && level < 3}
    <Button kind="cream" onclick={() => session.tell({ command: 'hand_over', seat: '' })}
      >{t('take-room-back')}</Button
    >
  {/if}
  {#if session.welcome && level < 3}
    <Popover label={t('take-away')} side="right" below dark>
      {#snippet face()}<Icon name="save" size={18} />{t('take-away')}{/snippet}
      {#snippet children()}<TakeAway {session} />{/snippet}
    </Popover>
  {/if}
  {#if session.people.role === 'tutor' && lesson?.facts.open && level < 3}
    <Popover label={t('wrap-up')} side="right" below>
      {#snippet children(close)}<WrapUp {session} {link} onclose={close} />{/snippet}
    </Popover>
  {/if}
  {#if session.welcome}
    <OwnMenu {session} {link} more={level >= 3} {onkeys} {onpeople} />
  {/if}
</header>

<style>
  header {
    grid-area: header;
    display: flex;
    align-items: center;
    gap: 10px;
    padding: 0 10px 0 14px;
    color: var(--on-frame);
    min-width: 0;
    overflow: hidden;
    height: 52px;
  }
  .middle {
    flex: 0 0 auto;
    margin-inline-start: auto;
    display: flex;
    align-items: center;
    gap: 8px;
    justify-content: center;
  }
  .state {
    display: flex;
    align-items: center;
    gap: 9px;
    font-weight: 600;
    white-space: nowrap;
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
  .kept {
    display: flex;
    gap: 5px;
    align-items: center;
    font-size: 14px;
    white-space: nowrap;
    font-variant-numeric: tabular-nums;
  }
  .uneasy {
    background: var(--sun);
    color: var(--on-sun);
    font-weight: 600;
    padding: 3px 8px;
    border-radius: 3px;
  }
</style>
