<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import { t, told } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const count = $derived(session.board.setAside.length)
  const last = $derived(session.board.setAside.at(-1))
  const strokes = $derived(
    session.board.setAside.every(
      ({ request }) => request.step === 'add_items' && request.items.every(({ kind }) => kind === 'ink'),
    ),
  )
  /** Words that were refused can be read here, and taken from here. */
  const words = $derived.by(() => {
    const request = last?.request
    if (request?.step === 'edit_formula') return request.formula
    if (request?.step === 'edit_card') return `${request.title} ${request.address}`.trim()
    return request && 'text' in request ? request.text : ''
  })
</script>

{#if count}
  <div class="aside" data-testid="set-aside">
    <div>
      <b>{strokes ? t('strokes-aside', { count }) : t('things-aside', { count })}</b>
      {#if words}<small class="words">“{words}”</small>{/if}
      <small>{last?.sentence ? told(last.sentence) : ''}</small>
    </div>
    <Button disabled={!session.rights.may('add_ink')} onclick={() => session.board.replica.retrySetAside()}
      >{t('put-on-the-board')}</Button
    >
    <Button kind="stop" onclick={() => session.board.replica.throwSetAside()}>{t('throw-away')}</Button>
  </div>
{/if}

<style>
  .aside {
    display: flex;
    align-items: center;
    gap: 8px;
    flex-wrap: wrap;
    border-bottom: 1px solid var(--sand-line);
    padding: 4px 14px;
    min-width: 0;
  }
  .aside div {
    flex: 1 1 200px;
    display: grid;
    min-width: 0;
    line-height: 1.25;
  }
  small {
    font-size: 12px;
    color: var(--muted);
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .words {
    color: var(--ink);
    user-select: text;
  }
</style>
