<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { HomeBoard } from '../wire/generated'
  import { ask } from '../wire/api'
  import { t } from '../words/words.svelte'

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
  <p>{t('and-all-that-was-ever', { title: board.title })}</p>
  <div>
    <Button kind="stop" onclick={deleteBoard}>{t('delete-it')}</Button>
    <Button onclick={() => (sure = false)}>{t('keep-it')}</Button>
  </div>
{:else}
  <Button kind="quiet" aria-label={t('delete-named', { title: board.title })} onclick={() => (sure = true)}
    >{t('delete')}</Button
  >
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
