<script lang="ts">
  /** A question to everybody: written now, or prepared before. What is half written stays. */
  import Button from '../ui/Button.svelte'
  import Icon from '../ui/Icon.svelte'
  import { FEWEST_ANSWERS, MAX_WORDS, MOST_ANSWERS } from '../wire/generated'
  import type { Session } from '../lesson/session.svelte'
  import { keepPrepared, prepared, type Question } from '../lesson/questions'
  import { t } from '../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const draft = $derived(session.classroom.draft)
  let kept = $state.raw(prepared())
  const given = $derived([
    ...new Set(
      draft.options
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean),
    ),
  ])
  const problem = $derived(
    given.length > MOST_ANSWERS
      ? t('a-question-has-to-different', { options: FEWEST_ANSWERS, options2: MOST_ANSWERS })
      : given.some((answer) => answer.length > MAX_WORDS)
        ? t('that-is-longer-than-characters', { words: MAX_WORDS })
        : '',
  )
  const whole = $derived(given.length >= FEWEST_ANSWERS && !problem)

  function ask({ question, options }: Question) {
    if (session.ask(question, options)) onclose()
  }

  function keep() {
    kept = [...kept, { question: draft.question.trim(), options: given }]
    keepPrepared(kept)
    session.classroom.draft = { question: '', options: draft.options }
  }

  function drop(index: number) {
    kept = kept.filter((_, i) => i !== index)
    keepPrepared(kept)
  }
</script>

<div class="panel">
  <h3>{t('ask-everybody')}</h3>
  <input
    value={draft.question}
    oninput={(event) => (session.classroom.draft = { ...draft, question: event.currentTarget.value })}
    maxlength={MAX_WORDS}
    placeholder={t('the-question')}
    aria-label={t('the-question')}
  />
  <textarea
    value={draft.options}
    oninput={(event) => (session.classroom.draft = { ...draft, options: event.currentTarget.value })}
    rows="4"
    aria-label={t('answers-by-line')}
    aria-invalid={Boolean(problem)}></textarea>
  {#if problem}<p role="alert">{problem}</p>{/if}
  <div class="row">
    <Button kind="go" disabled={!whole} onclick={() => ask({ question: draft.question, options: given })}
      >{t('ask-it')}</Button
    >
    <Button disabled={!whole || !draft.question.trim()} onclick={keep}>{t('prepare')}</Button>
    <Button kind="quiet" onclick={() => (session.classroom.draft = { ...draft, options: 'A\nB\nC\nD' })}
      >{t('a-to-d')}</Button
    >
    <Button
      kind="quiet"
      onclick={() =>
        (session.classroom.draft = { ...draft, options: `${t('answer-yes')}\n${t('answer-no')}` })}
      >{t('yes-or-no')}</Button
    >
  </div>
  {#if kept.length}
    <h3>{t('prepared')}</h3>
    <ul>
      {#each kept as question, i (i)}
        <li>
          <span>{question.question}<small>{question.options.join(' · ')}</small></span>
          <Button onclick={() => ask(question)}>{t('ask-it')}</Button>
          <button aria-label={t('drop-question')} title={t('drop-question')} onclick={() => drop(i)}
            ><Icon name="close" size={16} /></button
          >
        </li>
      {/each}
    </ul>
  {/if}
</div>

<style>
  .panel {
    display: grid;
    gap: 8px;
    width: 380px;
    max-width: 100%;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  input,
  textarea {
    min-height: 40px;
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    gap: 4px;
  }
  li {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  span {
    flex: 1;
    min-width: 0;
    overflow-wrap: anywhere;
    line-height: 1.25;
  }
  small {
    display: block;
    color: var(--muted);
  }
  li button {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
  }
</style>
