<script lang="ts">
  import { onMount } from 'svelte'
  import Button from '../ui/Button.svelte'
  import { KEYS } from './keys'

  let { onclose }: { onclose: () => void } = $props()
  let dialog: HTMLDialogElement

  onMount(() => dialog.showModal())
</script>

<dialog bind:this={dialog} {onclose} aria-labelledby="keys-title">
  <h2 id="keys-title">Keys</h2>
  <dl>
    {#each KEYS as [keys, what] (keys)}
      <dt><kbd>{keys}</kbd></dt>
      <dd>{what}</dd>
    {/each}
  </dl>
  <Button onclick={() => dialog.close()}>Close</Button>
</dialog>

<style>
  dialog {
    border: 1px solid var(--sand-line);
    border-radius: 6px;
    padding: 24px;
    color: var(--ink);
    background: var(--glass);
  }
  dialog::backdrop {
    background: rgb(23 53 47 / 60%);
  }
  h2 {
    font: 600 24px/1.2 var(--title);
    margin-bottom: 14px;
  }
  dl {
    display: grid;
    grid-template-columns: auto auto;
    gap: 7px 20px;
    margin: 0 0 18px;
  }
  dd {
    margin: 0;
  }
  kbd {
    font: inherit;
    font-weight: 600;
  }
</style>
