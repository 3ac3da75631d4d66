<script lang="ts">
  /** What the tutor side does with the whole class. */
  import { deskless } from '../lesson/handed'
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import { t } from '../words/words.svelte'
  import AskPanel from './AskPanel.svelte'
  import DoorPanel from './DoorPanel.svelte'
  import TimePanel from './TimePanel.svelte'

  interface Props {
    session: Session
    /** The four with their words, the rest behind a button, or all of it behind one. */
    look: 'acts' | 'rest' | 'menu'
    /** There are so many people that each row of the column is wanted for them. */
    many?: boolean
  }
  let { session, look, many = false }: Props = $props()
  const lesson = $derived(session.lesson)
  const open = $derived(Boolean(lesson?.facts.open))
  const keeping = $derived(session.attention.keeping)
  const hands = $derived(lesson?.hands.length ?? 0)

  const page = $derived(session.pages.heads.find(({ id }) => id === session.pages.id))
  const without = $derived(page ? deskless(session, page.id) : [])

  function together() {
    if (keeping) session.attention.letGo()
    else session.attention.lead(true)
  }

  function showWriters() {
    session.classroom.writersShown = !session.classroom.writersShown
    session.classroom.onlyBy = ''
    session.surface?.changed()
  }
</script>

{#snippet rest(close: () => void)}
  {@const then = (act: () => void) => () => (act(), close())}
  <div class="rest">
    {#if look === 'menu'}
      <MenuButton onclick={then(() => session.attention.lead(keeping))}>{t('look-here')}</MenuButton>
      <MenuButton onclick={then(together)}>{keeping ? t('let-go') : t('keep-together')}</MenuButton>
      {#if open}
        <details><summary>{t('ask')}</summary><AskPanel {session} onclose={close} /></details>
        <details><summary>{t('time')}</summary><TimePanel {session} onclose={close} /></details>
      {/if}
    {/if}
    {#if open}
      <MenuButton disabled={!hands} onclick={then(() => session.tell({ command: 'pass_to_next' }))}
        >{t('pass-to-next')}</MenuButton
      >
      <MenuButton disabled={!hands} onclick={then(() => session.tell({ command: 'lower_hands' }))}
        >{t('lower-all')}</MenuButton
      >
      <MenuButton
        onclick={then(() => session.tell({ command: 'pause_lesson', paused: !lesson!.facts.paused }))}
        >{lesson!.facts.paused ? t('go-on-with-lesson') : t('pause-lesson')}</MenuButton
      >
    {/if}
    {#if many && !session.call.on}
      <MenuButton onclick={then(() => void session.call.begin())}>{t('call-join')}</MenuButton>
    {/if}
    {#if page && !page.desk_of && without.length && session.rights.may('set_pens')}
      <MenuButton onclick={then(() => session.handOut(page))}
        >{t('hand-page-out', { count: without.length })}</MenuButton
      >
    {/if}
    {#if session.desks.heads.length}
      <MenuButton onclick={then(() => (session.roundShown = true))}>{t('desk-round')}</MenuButton>
      <MenuButton onclick={then(() => (session.desksShown = true))}>{t('check-desks')}</MenuButton>
    {/if}
    <MenuButton aria-pressed={session.classroom.writersShown} onclick={then(showWriters)}
      >{session.classroom.writersShown ? t('hide-writers') : t('show-writers')}</MenuButton
    >
    <MenuButton onclick={then(() => session.send({ type: 'clear_pointers', everyone: true }))}
      >{t('clear-pointers')}</MenuButton
    >
    {#if session.people.role === 'tutor' && lesson}<DoorPanel {session} />{/if}
  </div>
{/snippet}

{#if look !== 'acts'}
  <Popover label={t('class')} side="right" below={look === 'rest'} bare={look === 'rest'}>
    {#snippet face()}{#if look === 'rest'}<Icon name="more" size={18} />{:else}{t('class')}{/if}{/snippet}
    {#snippet children(close)}{@render rest(close)}{/snippet}
  </Popover>
{:else}
  <div class="acts">
    <button onclick={() => session.attention.lead(keeping)}
      ><Icon name="look" size={20} /><span>{t('look-here')}</span></button
    >
    <button aria-pressed={keeping} onclick={together}
      ><Icon name="together" size={20} /><span>{keeping ? t('let-go') : t('class-together')}</span></button
    >
    <div class="act">
      <Popover label={t('ask')} side="right" below bare>
        {#snippet face()}<Icon name="ask" size={20} /><span>{t('ask')}</span>{/snippet}
        {#snippet children(close)}<AskPanel {session} onclose={close} />{/snippet}
      </Popover>
    </div>
    <div class="act">
      <Popover label={t('time')} side="right" below bare>
        {#snippet face()}<Icon name="time" size={20} /><span>{t('time')}</span>{/snippet}
        {#snippet children(close)}<TimePanel {session} onclose={close} />{/snippet}
      </Popover>
    </div>
  </div>
{/if}

<style>
  .acts {
    display: flex;
    gap: 4px;
    padding: 0 10px 6px;
    flex: none;
  }
  .acts > button,
  .act {
    flex: 1 1 0;
    min-width: 0;
    min-height: 48px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
  }
  .acts > button,
  .act :global(.face) {
    padding: 3px 1px;
    width: 100%;
    min-height: 46px;
    font-size: 12px;
    font-weight: 400;
    line-height: 1.1;
    color: var(--ink);
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 2px;
    white-space: normal;
    overflow-wrap: anywhere;
  }
  .act :global(.whole) {
    display: grid;
  }
  .acts > button[aria-pressed='true'] {
    background: var(--sun);
    color: var(--on-sun);
  }
  .rest {
    display: grid;
    width: 300px;
    max-width: 100%;
  }
  summary {
    min-height: 40px;
    padding: 9px 10px;
    cursor: pointer;
  }
</style>
