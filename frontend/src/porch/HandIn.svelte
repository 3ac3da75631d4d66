<script lang="ts">
  /** Files handed in for one homework: chosen, photographed, and taken back. */
  import Button from '../ui/Button.svelte'
  import { Sending } from '../wire/sending.svelte'
  import { ask } from '../wire/api'
  import type { Afterwards, Task } from '../wire/generated'
  import { t } from '../words/words.svelte'

  let { link, task, onchange }: { link: string; task: Task; onchange: (found: Afterwards) => void } = $props()
  const path = $derived(`/api/found/${link}/homework/${task.id}/files`)
  let input: HTMLInputElement
  const sending = new Sending()

  function send() {
    const files = [...(input.files ?? [])]
    input.value = ''
    void sending.send(files, async (file, signal) => {
      const name = encodeURIComponent([...file.name].slice(0, 80).join(''))
      onchange(await ask<Afterwards>('POST', `${path}?name=${name}`, file, signal))
    })
  }

  async function takeBack(id: string) {
    sending.problems = []
    try {
      onchange(await ask<Afterwards>('DELETE', `${path}/${id}`))
    } catch (error) {
      sending.problems = [(error as Error).message]
    }
  }
</script>

{#if task.files.length}
  <ul>
    {#each task.files as { id, name } (id)}
      <li>
        <a href="/rooms/{link}/handed/{id}" download
          ><img src="/rooms/{link}/handed/{id}.png" alt="" loading="lazy" />{name}</a
        >
        <Button kind="quiet" aria-label={t('take-file-back', { name })} onclick={() => takeBack(id)}
          >{t('take-back')}</Button
        >
      </li>
    {/each}
  </ul>
{/if}
<div class="row">
  {#if sending.now}
    <span role="status">{sending.now}</span>
    <Button onclick={() => sending.giveUp()}>{t('give-up')}</Button>
  {:else}
    <Button onclick={() => input.click()}>{t('hand-in-file')}</Button>
    <span class="muted">{t('hand-in-hint')}</span>
  {/if}
</div>
{#each sending.problems as told, at (at)}<p role="alert">{told}</p>{/each}
<input
  bind:this={input}
  type="file"
  multiple
  accept="image/*,application/pdf"
  aria-label={t('hand-in-file')}
  onchange={send}
/>

<style>
  input {
    display: none;
  }
  ul {
    list-style: none;
    margin: 6px 0;
    padding: 0;
    display: grid;
    gap: 6px;
  }
  li,
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px 12px;
  }
  a {
    display: flex;
    align-items: center;
    gap: 10px;
    min-height: 44px;
    color: var(--leaf-dark);
    overflow-wrap: anywhere;
  }
  img {
    width: 54px;
    height: 44px;
    object-fit: cover;
    object-position: top;
    border: 1px solid var(--sand-line);
    background: #fff;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  [role='alert'] {
    color: var(--clay);
  }
</style>
