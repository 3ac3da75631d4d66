<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { Session } from './session.svelte'

  let { session }: { session: Session } = $props()
  const count = $derived(session.setAside.count)
</script>

{#if count}
  <div class="aside" data-testid="set-aside">
    <div>
      <b>{count === 1 ? '1 stroke' : `${count} strokes`} not on the board yet</b>
      <small>{session.setAside.sentence}</small>
    </div>
    <Button disabled={!session.may('add_ink')} onclick={() => session.retrySetAside()}
      >Put on the board</Button
    >
    <Button kind="stop" onclick={() => session.throwSetAside()}>Throw away</Button>
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
</style>
