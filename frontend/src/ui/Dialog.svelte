<script lang="ts">
  /** A window over the window: its title, what stands beside that, and its parts one below the other. */
  import { onMount, type Snippet } from 'svelte'
  import type { HTMLDialogAttributes } from 'svelte/elements'
  import { t } from '../words/words.svelte'
  import Button from './Button.svelte'

  interface Props extends HTMLDialogAttributes {
    title: string
    /** At most so wide, in px. */
    width: number
    /** As high as the window allows, whatever is in it. */
    tall?: boolean
    /** Whether it has a button to close it beside its title; without, its parts have one. */
    shut?: boolean
    /** Stands beside the title. */
    beside?: Snippet
    children: Snippet
  }
  let { title, width, tall = false, shut = true, beside, children, ...rest }: Props = $props()
  const id = $props.id()
  let dialog: HTMLDialogElement

  onMount(() => dialog.showModal())

  export function close() {
    dialog.close()
  }
</script>

<dialog bind:this={dialog} aria-labelledby={id} class:tall style:--wide="{width}px" {...rest}>
  <div class="head">
    <h2 {id}>{title}</h2>
    {@render beside?.()}
    {#if shut}<Button kind="quiet" onclick={close}>{t('close')}</Button>{/if}
  </div>
  {@render children()}
</dialog>

<style>
  dialog {
    width: min(var(--wide), calc(100vw - 16px));
    max-height: calc(100dvh - 24px);
    border: 1px solid var(--sand-line);
    border-radius: 6px;
    padding: 16px 18px;
    color: var(--ink);
    background: var(--glass);
  }
  dialog[open] {
    display: flex;
    flex-direction: column;
    gap: 12px;
  }
  .tall {
    height: calc(100dvh - 24px);
  }
  dialog::backdrop {
    background: rgb(23 53 47 / 60%);
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
  }
  h2 {
    font: 600 21px/1.2 var(--title);
    margin-inline-end: auto;
    overflow-wrap: anywhere;
  }
</style>
