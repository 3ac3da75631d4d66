<script lang="ts">
  /** The question that everybody is asked, as a band over the sill; it can be folded to a line. */
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  /** The answer that this browser gave: nobody else's is told before it is shared. */
  let own = $state<{ id: string; option: number } | null>(null)
  let folded = $state('')
  let named = $state(false)
  const check = $derived(session.lesson?.check ?? null)
  const known = $derived(
    session.people.tutorSide && session.classroom.answers?.id === check?.id
      ? session.classroom.answers!.answers
      : (check?.answers ?? []),
  )
  /** Shown as given once the room has one of theirs. */
  const mine = $derived(
    check && own?.id === check.id && check.answered.includes(session.rights.me) ? own.option : -1,
  )
  const students = $derived(
    session.people.list.filter(({ role, tabs }) => role === 'student' && tabs > 0).length,
  )
  const shown = $derived(Boolean(check && (session.people.tutorSide || check.shared)))
  const open = $derived(check !== null && folded !== check.id)

  function answer(option: number) {
    if (session.tell({ command: 'answer_check', id: check!.id, option })) own = { id: check!.id, option }
  }

  function count(option: number): number {
    return known.filter(([, chosen]) => chosen === option).length
  }

  function names(option: number): string {
    return known
      .flatMap(([seat, chosen]) => (chosen === option && seat ? [session.people.nameOf(seat)] : []))
      .join(', ')
  }
</script>

{#if check}
  <section aria-label={t('question')}>
    <div class="head">
      <h2>{check.question || t('what-do-you-say')}</h2>
      <span>{t('answered', { count: check.answered.length, students })}</span>
      {#if session.people.tutorSide}
        <Button onclick={() => session.tell({ command: 'share_check', shared: !check.shared })}
          >{check.shared ? t('hide-answers') : t('show-answers')}</Button
        >
        <Button aria-pressed={named} onclick={() => (named = !named)}>{t('who-said-what')}</Button>
        <Button onclick={() => session.tell({ command: 'end_check' })}>{t('put-away')}</Button>
      {/if}
      <button
        class="fold"
        aria-expanded={open}
        aria-label={open ? t('fold-question') : t('unfold-question')}
        title={open ? t('fold-question') : t('unfold-question')}
        onclick={() => (folded = open ? check.id : '')}><Icon name={open ? 'down' : 'up'} size={18} /></button
      >
    </div>
    {#if open}
      <div class="options" role="group" aria-label={t('answers')}>
        {#each check.options as option, i (i)}
          <button
            aria-pressed={mine === i}
            disabled={session.people.role !== 'student'}
            onclick={() => answer(i)}
          >
            <span>{option}</span>
            {#if shown}
              <b>{count(i)}</b>
              <i style:width="{(100 * count(i)) / Math.max(known.length, 1)}%"></i>
            {/if}
            {#if named && names(i)}<small>{names(i)}</small>{/if}
          </button>
        {/each}
      </div>
      {#if mine >= 0}<p>{t('may-change-answer')}</p>{/if}
    {/if}
  </section>
{/if}

<style>
  section {
    grid-area: question;
    background: var(--glass);
    border-top: 4px solid var(--sun);
    padding: 6px 12px;
    display: grid;
    gap: 6px;
    max-height: 40dvh;
    overflow-y: auto;
    color: var(--ink);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    font-size: 14px;
    color: var(--muted);
  }
  h2 {
    font: 600 18px/1.25 var(--title);
    color: var(--ink);
    overflow-wrap: anywhere;
    margin-inline-end: auto;
  }
  .options {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .options button {
    position: relative;
    flex: 1 1 120px;
    min-height: 44px;
    padding: 4px 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: none;
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 2px 10px;
    text-align: start;
    overflow: hidden;
    color: inherit;
  }
  .options button[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 2px var(--leaf);
  }
  .options button:disabled {
    cursor: default;
  }
  .options b {
    margin-inline-start: auto;
  }
  small {
    flex-basis: 100%;
    color: var(--muted);
  }
  i {
    position: absolute;
    inset-inline-start: 0;
    bottom: 0;
    height: 5px;
    background: var(--sun);
  }
  .fold {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
  }
  p {
    font-size: 13px;
    color: var(--muted);
  }
</style>
