<script lang="ts">
  /** Lines of working, each with whether it follows from the one before; marks are set beside them when wished. */
  import type { Session } from '../../lesson/session.svelte'
  import { lineMarks } from '../../lesson/line-marks'
  import type { Working } from '../../lesson/working'
  import type { LineChecked } from '../../wire/generated'
  import Button from '../../ui/Button.svelte'
  import { t } from '../../words/words.svelte'
  import CheckedLine from './CheckedLine.svelte'

  let { session, working, onclose }: { session: Session; working: Working[]; onclose: () => void } = $props()
  let checked = $state.raw<LineChecked[] | null>(null)
  let problem = $state('')
  /** As one value: what others write meanwhile makes no other lines of it, and nothing is asked again. */
  const typed = $derived(
    JSON.stringify(working.map(({ formula, words, beside }) => ({ formula, words, beside }))),
  )

  $effect(() => {
    const asking = new AbortController()
    checked = null
    problem = ''
    session.formulas.check(JSON.parse(typed) as Omit<Working, 'size' | 'endOf'>[], asking.signal).then(
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
      {#each checked as line, at (at)}<li><CheckedLine {line} /></li>{/each}
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
  .row {
    display: flex;
    justify-content: flex-end;
  }
</style>
