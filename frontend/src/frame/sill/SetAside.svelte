<script lang="ts">
  import Button from '../../ui/Button.svelte'
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
  const words = $derived(last && 'text' in last.request ? last.request.text : '')
  const noun = $derived(`${strokes ? 'stroke' : 'thing'}${count === 1 ? '' : 's'}`)
</script>

{#if count}
  <div class="aside" data-testid="set-aside">
    <div>
      <b>{count} {noun} not on the board yet</b>
      {#if words}<small class="words">“{words}”</small>{/if}
      <small>{last?.sentence}</small>
    </div>
    <Button disabled={!session.rights.may('add_ink')} onclick={() => session.board.replica.retrySetAside()}
      >Put on the board</Button
    >
    <Button kind="stop" onclick={() => session.board.replica.throwSetAside()}>Throw away</Button>
  </div>
{/if}

<style>
  .aside {
    display: flex;
    align-items: center;
    gap: 8px;
    background: var(--glass);
    border: 1px dashed var(--clay);
    border-radius: var(--radius);
    padding: 4px 8px 4px 12px;
    min-width: 0;
  }
  .aside div {
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
