<script lang="ts">
  /**
   * What is to be known, over the sill: seen whatever is chosen, and read out. What was lost or refused stays until it
   * was read; what is so for the time being stands as long as it is so.
   */
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import { allowedWords } from '../../people/kits'
  import { elapsed } from '../../words/time'
  import { t, told } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { ask } from '../../wire/api'
  import type { RehearsalOver } from '../../wire/generated'
  import SetAside from './SetAside.svelte'

  let { session }: { session: Session } = $props()
  const standing = $derived(session.rights.standing)
  const student = $derived(session.people.role === 'student')
  const writing = $derived(session.rights.may('add_ink'))
  /** What may be done all the same while ink may not be written. */
  const besides = $derived(!writing && standing ? allowedWords(standing.allowed) : '')
  const as = $derived(session.rights.as)
  const following = $derived(session.door === 'onlooker' ? '' : session.attention.following)
  let now = $state(0)
  /** The rehearsal has been kept as a room. */
  let over = $state(false)

  /** Keep a rehearsal as a room of its own, or end it without a trace. */
  async function finish(how: 'POST' | 'DELETE') {
    try {
      const { link } = await ask<RehearsalOver>(how, `/api/rooms/${session.link}/rehearsal`)
      over = true
      if (how === 'DELETE') location.href = `/rooms/${link}`
      else session.say(t('rehearsal-kept'))
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  $effect(() => {
    if (!standing?.until_ms) return
    const tick = () => (now = session.nowMs())
    tick()
    const timer = setInterval(tick, 1_000)
    return () => clearInterval(timer)
  })
</script>

<div class="says">
  <div role="alert">
    {#if session.trouble}<p class="trouble">{told(session.trouble)}</p>{/if}
    {#each session.warnings as warning (warning)}
      <p class="warning" data-testid="warning">
        <span>{warning}</span>
        <button aria-label={t('read-it')} title={t('read-it')} onclick={() => session.read(warning)}
          ><Icon name="close" size={18} /></button
        >
      </p>
    {/each}
  </div>
  {#if session.board.setAside.length}<SetAside {session} />{/if}
  {#if session.welcome?.rehearsal && session.people.role === 'tutor' && !over}
    <p class="mode" role="status" data-testid="rehearsal">
      <span>{t('rehearsal-on')}</span>
      <Button onclick={() => finish('POST')}>{t('rehearsal-keep')}</Button>
      <Button onclick={() => finish('DELETE')}>{t('rehearsal-end')}</Button>
    </p>
  {/if}
  {#if as}
    <p class="mode" role="status">
      <span>{t('seeing-as', { name: session.people.nameOf(as.seat) })}</span>
      <Button onclick={() => session.classroom.stopSeeing()}>{t('back-to-own-view')}</Button>
    </p>
  {:else if following}
    <p class="mode" role="status">
      <span>{t('you-follow', { name: session.people.nameOf(following) })}</span>
      <Button onclick={() => session.attention.follow('')}>{t('stop-following')}</Button>
    </p>
  {/if}
  <div role="status" data-testid="say">
    {#if session.notice}
      <p>{session.notice}</p>
    {:else if session.attention.held}
      <p><Icon name="together" size={20} />{t('kept-together', { name: session.attention.held.name })}</p>
    {:else if standing && !writing}
      <p>
        <Icon name="nopen" size={20} /><span
          >{besides ? `${t('you-may', { what: besides })} ` : ''}{told(standing.writing.sentence)}</span
        >
      </p>
    {:else if student && standing?.until_ms}
      <p><Icon name="pen" size={20} />{t('pen-for', { time: elapsed(standing.until_ms - now) })}</p>
    {/if}
  </div>
</div>

<style>
  .says {
    grid-area: says;
    background: var(--sand);
    border-top: 4px solid var(--sand-2);
    min-width: 0;
  }
  p {
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 36px;
    padding: 4px 14px;
    font-size: 14px;
  }
  p span {
    flex: 1;
    min-width: 0;
  }
  .trouble {
    color: var(--clay);
    font-weight: 600;
  }
  .warning {
    color: var(--clay);
    font-weight: 600;
    border-bottom: 1px solid var(--sand-line);
    padding-block: 0;
  }
  .warning button {
    width: 40px;
    height: 40px;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
    padding: 0;
  }
  .mode {
    background: var(--sun-pale);
    color: var(--on-pale);
    border-bottom: 1px solid var(--sun);
  }
</style>
