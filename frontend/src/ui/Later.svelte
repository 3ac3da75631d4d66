<script lang="ts" generics="P extends Record<string, unknown>">
  /** A part of the application that is loaded when it is wanted. */
  import type { Component } from 'svelte'
  import Button from './Button.svelte'
  import { t } from '../words/words.svelte'

  interface Props {
    load: () => Promise<{ default: Component<P> }>
    props: P
    /** What it is closed by; of a part that has none itself. */
    onclose?: () => void
  }
  let { load, props, onclose = props.onclose as Props['onclose'] }: Props = $props()
  let part = $derived(load())
  let trying = $state(false)

  /** Some browsers never ask again for what did not come once: then the page is opened anew, but not without a server. */
  async function again() {
    trying = true
    const there = await fetch(location.href).then(
      ({ ok }) => ok,
      () => false,
    )
    trying = false
    if (!there) return
    const now = load()
    now.then(
      () => (part = now),
      () => location.reload(),
    )
  }
</script>

{#await part}
  <p role="status">{t('one-moment')}</p>
{:then { default: Part }}
  <Part {...props} />
{:catch}
  <div role="alert">
    <p>{t('this-part-of-sun-room')}</p>
    <Button disabled={trying} onclick={again}>{t('try-again')}</Button>
    {#if onclose}<Button kind="quiet" onclick={onclose}>{t('close')}</Button>{/if}
  </div>
{/await}

<style>
  p[role='status'],
  div {
    padding: 24px;
  }
  /* Over the board, which is there for all that. */
  div {
    position: fixed;
    inset: 0;
    z-index: 8;
    margin: auto;
    width: min(420px, calc(100vw - 32px));
    height: fit-content;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
    box-shadow: 0 2px 12px rgb(0 0 0 / 30%);
  }
  div p {
    margin-bottom: 14px;
  }
  /* What comes at once needs no word. */
  p[role='status'] {
    animation: appear 0s 0.4s both;
  }
  @keyframes appear {
    from {
      visibility: hidden;
    }
  }
</style>
