<script lang="ts">
  import { onMount } from 'svelte'
  import Button from '../ui/Button.svelte'
  import Icon from '../ui/Icon.svelte'
  import { t } from '../words/words.svelte'
  import { KEYS } from './keys'
  import { TOOLS } from './tools'

  let { tutorSide, onclose }: { tutorSide: boolean; onclose: () => void } = $props()
  let dialog: HTMLDialogElement

  onMount(() => dialog.showModal())
</script>

<dialog bind:this={dialog} {onclose} aria-labelledby="keys-title">
  <h2 id="keys-title">{t('keys')}</h2>
  <div>
    <dl>
      {#each TOOLS.filter((facts) => tutorSide || !facts.tutorSide) as { tool, word, icon, key } (tool)}
        <dt><kbd>{key.toUpperCase()}</kbd></dt>
        <dd><Icon name={icon} size={18} />{t(word)}</dd>
      {/each}
    </dl>
    <dl>
      {#each KEYS.filter((row) => tutorSide || !row.tutorSide) as { keys, word } (keys)}
        <dt><kbd>{keys}</kbd></dt>
        <dd>{t(word)}</dd>
      {/each}
    </dl>
  </div>
  <Button onclick={() => dialog.close()}>{t('close')}</Button>
</dialog>

<style>
  dialog {
    border: 1px solid var(--sand-line);
    border-radius: 6px;
    padding: 20px;
    color: var(--ink);
    background: var(--glass);
    max-width: calc(100vw - 16px);
  }
  dialog::backdrop {
    background: rgb(23 53 47 / 60%);
  }
  h2 {
    font: 600 24px/1.2 var(--title);
    margin-bottom: 14px;
  }
  div {
    display: flex;
    flex-wrap: wrap;
    gap: 0 36px;
  }
  dl {
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 5px 16px;
    margin: 0 0 18px;
    align-content: start;
    font-size: 14px;
  }
  dd {
    margin: 0;
    display: flex;
    align-items: center;
    gap: 8px;
  }
  kbd {
    font: inherit;
    font-weight: 600;
    white-space: nowrap;
  }
</style>
