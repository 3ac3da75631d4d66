<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import type { Surface } from '../board/surface.svelte'
  import Button from '../../ui/Button.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  let input: HTMLInputElement

  function take() {
    const [file] = input.files ?? []
    if (file && surface)
      void session.pictures.put(file, surface.middle(), surface.view.width / surface.view.scale)
    input.value = ''
  }
</script>

{#if session.pictures.bringing}
  <span role="status">Bringing the picture in.</span>
  <Button onclick={() => session.pictures.bringing?.abort()}>Give up</Button>
{:else}
  <Button onclick={() => input.click()}>Choose a picture</Button>
  <Hint>Or drop one on the board, or paste it.</Hint>
{/if}
<input bind:this={input} type="file" accept="image/*" aria-label="Picture file" onchange={take} />

<style>
  input {
    display: none;
  }
</style>
