<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { RoomBroughtIn } from '../wire/generated'
  import { ask, keepOwnerKey } from '../wire/api'

  let input: HTMLInputElement
  /** A room's file on its way to the server; aborting gives it up. */
  let bringing = $state.raw<AbortController | null>(null)
  let problem = $state('')

  async function take() {
    const [file] = input.files ?? []
    input.value = ''
    if (!file) return
    problem = ''
    bringing = new AbortController()
    try {
      const room = await ask<RoomBroughtIn>('POST', '/api/whole-rooms', file, bringing.signal)
      if (room.owner_key) keepOwnerKey(room.link, room.owner_key)
      location.href = `/rooms/${room.link}`
    } catch (error) {
      problem = (error as Error).message
    } finally {
      bringing = null
    }
  }
</script>

<div>
  {#if bringing}
    <span role="status">Bringing the room in.</span>
    <Button onclick={() => bringing?.abort()}>Give up</Button>
  {:else}
    <Button kind="quiet" onclick={() => input.click()}>Bring a room in that was taken along</Button>
  {/if}
  <input
    bind:this={input}
    type="file"
    accept=".zip,application/zip"
    aria-label="File of a whole room"
    onchange={take}
  />
  {#if problem}<p role="alert">{problem}</p>{/if}
</div>

<style>
  div {
    margin-bottom: 24px;
    display: flex;
    flex-wrap: wrap;
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
