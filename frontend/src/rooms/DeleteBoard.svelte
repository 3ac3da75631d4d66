<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { HomeBoard } from '../wire/generated'
  import { ask } from '../wire/api'

  let { link, board, ondeleted }: { link: string; board: HomeBoard; ondeleted: () => Promise<void> } =
    $props()
  let sure = $state(false)
  let problem = $state('')

  async function deleteBoard() {
    problem = ''
    try {
      await ask('DELETE', `/api/rooms/${link}/boards/${board.id}`)
      await ondeleted()
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

{#if sure}
  <p>“{board.title}” and all that was ever on it go for good. Save it as a package first, if in doubt.</p>
  <div>
    <Button kind="stop" onclick={deleteBoard}>Delete it</Button>
    <Button onclick={() => (sure = false)}>Keep it</Button>
  </div>
{:else}
  <Button kind="quiet" aria-label="Delete {board.title}" onclick={() => (sure = true)}>Delete</Button>
{/if}
{#if problem}<p role="alert">{problem}</p>{/if}

<style>
  p {
    font-size: 14px;
    padding: 4px 12px;
  }
  div {
    display: flex;
    gap: 8px;
  }
</style>
