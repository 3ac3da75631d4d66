<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import { LINK } from '../ui/address'
  import { t } from '../words/words.svelte'
  import { clockTime } from '../words/time'

  let { session }: { session: Session } = $props()
  let to = $state('all')
  let list: HTMLOListElement
  const others = $derived(
    session.people.list.filter(({ seat, role }) => seat !== session.rights.me && role !== 'onlooker'),
  )
  const mayAll = $derived(session.rights.may('chat_all'))
  const mayTutor = $derived(session.rights.may('chat_tutor'))
  /** So near the end the newest line is looked at, and the next one too. */
  const NEAR_PX = 40
  let atEnd = true

  $effect(() => {
    const own = session.classroom.chat.at(-1)?.seat === session.rights.me
    if (own || atEnd) list.scrollTop = list.scrollHeight
    // On a narrow screen the chat is read when it is opened.
    if (list.offsetParent) session.classroom.readChat()
  })

  // Never the other way: what is meant for the tutor is not for everyone.
  $effect(() => {
    if (to === 'all' && !mayAll && mayTutor) to = 'tutor_side'
  })

  function say(event: SubmitEvent) {
    event.preventDefault()
    const text = session.classroom.saying
    if (!text.trim()) return
    if (session.saySomething(text, to)) session.classroom.saying = ''
  }

  function towards(line: { to: string; seat: string }): string {
    if (line.to === 'all') return ''
    if (line.to === 'tutor_side') return session.people.tutorSide ? t('said-to-you') : t('said-to-tutor')
    if (line.to === session.rights.me) return t('said-to-you')
    return t('said-to', { name: session.people.nameOf(line.to) })
  }
</script>

<section aria-label={t('chat')}>
  <ol
    bind:this={list}
    aria-live="polite"
    onscroll={() => (atEnd = list.scrollHeight - list.scrollTop - list.clientHeight < NEAR_PX)}
  >
    {#each session.classroom.heardHere as line, i (i)}
      <li>
        <b>{line.name}</b>
        {#if towards(line)}<em>{towards(line)}</em>{/if}
        <time>{clockTime(line.at_ms)}</time>
        <p>
          {#each line.text.split(LINK) as part, n (n)}{#if n % 2}<a
                href={part}
                target="_blank"
                rel="noopener noreferrer">{part}</a
              >{:else}{part}{/if}{/each}
        </p>
      </li>
    {:else}
      <li class="empty">{t('nothing-has-been-said-yet')}</li>
    {/each}
  </ol>
  {#if mayAll || mayTutor}
    <form onsubmit={say}>
      <select bind:value={to} aria-label={t('say-it-to')}>
        {#if mayAll}<option value="all">{t('to-everyone')}</option>{/if}
        {#if mayTutor && !session.people.tutorSide}<option value="tutor_side">{t('to-the-tutor')}</option
          >{/if}
        {#if session.people.tutorSide}
          {#each others as { seat, name } (seat)}<option value={seat}>{t('to-name', { name })}</option>{/each}
        {/if}
      </select>
      <input
        bind:value={session.classroom.saying}
        maxlength="1000"
        placeholder={t('say-something')}
        aria-label={t('say-something')}
      />
    </form>
  {/if}
</section>

<style>
  section {
    display: grid;
    grid-template-rows: minmax(0, 1fr) auto;
    min-height: 0;
    min-width: 0;
  }
  ol {
    list-style: none;
    margin: 0;
    padding: 8px 12px;
    overflow-y: auto;
    display: grid;
    align-content: start;
    gap: 6px;
    font-size: 14px;
  }
  p {
    overflow-wrap: anywhere;
    white-space: pre-wrap;
  }
  time,
  em,
  .empty {
    color: var(--muted);
    font-size: 12px;
  }
  form {
    display: grid;
    gap: 4px;
    padding: 0 12px 10px;
  }
  select,
  input {
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    min-width: 0;
  }
  select {
    border-color: transparent;
    background: none;
    font-size: 13px;
    color: var(--muted);
    padding: 0;
  }
</style>
