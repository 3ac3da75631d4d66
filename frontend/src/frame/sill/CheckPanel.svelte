<script lang="ts">
  /** Lines of working, each with whether it follows from the one before; marks are set beside them when wished. */
  import type { Session } from '../../lesson/session.svelte'
  import { lineMarks, type Working } from '../../lesson/working'
  import type { LineChecked, LineVerdict } from '../../wire/generated'
  import Button from '../../ui/Button.svelte'
  import { t, told, type Plain } from '../../words/words.svelte'
  import FormulaPicture from './FormulaPicture.svelte'

  let { session, working, onclose }: { session: Session; working: Working[]; onclose: () => void } = $props()
  let checked = $state.raw<LineChecked[] | null>(null)
  let problem = $state('')
  /** As one value: what others write meanwhile makes no other lines of it, and nothing is asked again. */
  const typed = $derived(JSON.stringify(working.map(({ formula }) => formula)))

  const NAMES: Record<LineVerdict, Plain> = {
    first: 'line-first',
    follows: 'line-follows',
    does_not: 'line-does-not',
    cannot_tell: 'line-cannot-tell',
  }
  const SIGNS: Record<LineVerdict, string> = { first: '', follows: '✓', does_not: '✗', cannot_tell: '?' }

  $effect(() => {
    const asking = new AbortController()
    checked = null
    problem = ''
    session.formulas.check(JSON.parse(typed) as string[], asking.signal).then(
      (found) => (checked = found),
      (error: Error) => {
        if (!asking.signal.aborted) problem = error.message
      },
    )
    return () => asking.abort()
  })

  function mark() {
    const items = lineMarks(session.rights.me, working, checked!)
    if (items.length) session.do({ step: 'add_items', page: session.pages.id, items })
    onclose()
  }
</script>

<div class="check" aria-busy={!checked && !problem} data-testid="checked">
  {#if problem}
    <p role="status">{problem}</p>
  {:else if !checked}
    <p role="status">{t('checking-the-lines')}</p>
  {:else}
    <ol>
      {#each checked as { verdict, sentence, look }, at (at)}
        <li data-verdict={verdict}>
          <b aria-hidden="true">{SIGNS[verdict]}</b>
          <div>
            <FormulaPicture {look} px={20} />
            <span>{t(NAMES[verdict])}{sentence ? ` ${told(sentence)}` : ''}</span>
          </div>
        </li>
      {/each}
    </ol>
    {#if session.rights.may('add_shape')}
      <div class="row"><Button onclick={mark}>{t('set-the-marks')}</Button></div>
    {/if}
  {/if}
</div>

<style>
  .check {
    display: grid;
    gap: 8px;
    min-width: min(300px, calc(100vw - 40px));
    max-width: min(520px, calc(100vw - 40px));
    max-height: min(60dvh, 480px);
    overflow: auto;
  }
  p {
    margin: 4px 6px;
  }
  ol {
    display: grid;
    gap: 10px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 26px 1fr;
    align-items: start;
    gap: 6px;
  }
  b {
    font-size: 20px;
    line-height: 1.2;
  }
  [data-verdict='follows'] b {
    color: var(--leaf);
  }
  [data-verdict='does_not'] b {
    color: var(--clay);
  }
  div > span {
    display: block;
    color: var(--muted);
    font-size: 13px;
  }
  [data-verdict='does_not'] span {
    color: var(--clay);
  }
  .row {
    display: flex;
    justify-content: flex-end;
  }
</style>
