<script lang="ts">
  /** The page in words, beside the canvas, for those who listen to it. */
  import { onDestroy, untrack } from 'svelte'
  import { PageWords } from '../../lesson/page-words.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { looks } from '../../ui/looks.svelte'
  import { t } from '../../words/words.svelte'
  import { standingWords } from '../header/standing'

  let { session }: { session: Session } = $props()
  const words = new PageWords(untrack(() => session))
  onDestroy(() => words.close())

  $effect(() => {
    void [session.board.version, session.pages.id, session.formulas.told]
    words.changed(looks.readsInk)
  })
</script>

<button class="asks" aria-pressed={looks.readsInk} onclick={() => looks.set({ readsInk: !looks.readsInk })}
  >{t('ink-as-words')}</button
>
<section class="unseen" aria-label={t('page-in-words')}>
  <ul>
    {#each words.lines as line, i (i)}<li>{line}</li>{/each}
  </ul>
</section>
<div class="unseen" role="status" aria-live="polite">{words.news}</div>
<!-- Whether one may write is told at once. -->
<div class="unseen" role="alert" data-testid="heard-pens">{standingWords(session)}</div>

<style>
  /* Seen by those who come to it by keys. */
  .asks {
    position: absolute;
    inset-block-start: 8px;
    inset-inline-start: 8px;
    height: 40px;
    padding: 0 12px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
  }
  .asks:not(:focus-visible) {
    width: 1px;
    height: 1px;
    padding: 0;
    clip-path: inset(50%);
  }
</style>
