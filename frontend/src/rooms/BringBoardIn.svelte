<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { BoardId } from '../wire/generated'
  import { ask } from '../wire/api'

  let { link, onbrought }: { link: string; onbrought: () => Promise<void> } = $props()
  let input: HTMLInputElement
  /** A package on its way to the server; aborting gives it up. */
  let bringing = $state.raw<AbortController | null>(null)
  let problem = $state('')

  async function take() {
    const [file] = input.files ?? []
    input.value = ''
    if (!file) return
    problem = ''
    bringing = new AbortController()
    try {
      await ask<BoardId>('POST', `/api/rooms/${link}/packages`, file, bringing.signal)
      await onbrought()
    } catch (error) {
      problem = (error as Error).message
    } finally {
      bringing = null
    }
  }
</script>

{#if bringing}
  <span class="row">
    <span role="status">Bringing the board in.</span>
    <Button onclick={() => bringing?.abort()}>Give up</Button>
  </span>
{:else}
  <Button
    kind="quiet"
    title="A board that was saved as a package, here or in another room"
    onclick={() => input.click()}>Bring a board in</Button
  >
{/if}
<input
  bind:this={input}
  type="file"
  accept=".zip,application/zip"
  aria-label="File of a saved board"
  onchange={take}
/>
{#if problem}<p role="alert">{problem}</p>{/if}

<style>
  .row {
    display: flex;
    gap: 10px;
    align-items: center;
  }
  input {
    display: none;
  }
  p {
    color: var(--clay);
    flex-basis: 100%;
  }
</style>
