<script lang="ts">
  /** The page that is looked at, handed in for a homework as it is now. */
  import { onMount } from 'svelte'
  import { ask } from '../../wire/api'
  import type { Afterwards, Task } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  let tasks = $state.raw<Task[]>([])
  let said = $state('')
  let busy = $state(false)
  const path = $derived(`/api/found/${session.link}`)

  onMount(async () => {
    // Without homework, or without a seat of their own, there is nothing to be handed in.
    tasks = (await ask<Afterwards>('GET', path).catch(() => null))?.homework ?? []
  })

  async function hand(task: Task) {
    busy = true
    try {
      const page = { board: session.boardId, page: session.pages.id }
      tasks = (await ask<Afterwards>('POST', `${path}/homework/${task.id}/pages`, page)).homework
      said = t('page-handed-in')
    } catch (error) {
      said = (error as Error).message
    }
    busy = false
  }
</script>

{#if tasks.length}
  <section>
    <h3>{t('hand-in-page')}</h3>
    {#each tasks as task (task.id)}
      <Button disabled={busy} onclick={() => hand(task)}><span>{task.text}</span></Button>
    {/each}
    <p role="status">{said}</p>
  </section>
{/if}

<style>
  section {
    display: grid;
    gap: 6px;
    padding: 8px 10px 0;
    border-top: 1px solid var(--sand-line);
  }
  h3 {
    font-size: 13px;
    font-weight: 400;
    color: var(--muted);
  }
  span {
    display: block;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
    max-width: 280px;
  }
  p {
    margin: 0;
    font-size: 14px;
  }
</style>
