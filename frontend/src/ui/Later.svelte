<script lang="ts" generics="P extends Record<string, unknown>">
  /** A part of the application that is loaded when it is wanted. */
  import type { Component } from 'svelte'
  import Button from './Button.svelte'
  import { t } from '../words/words.svelte'

  let { load, props }: { load: () => Promise<{ default: Component<P> }>; props: P } = $props()
  const part = $derived(load())
</script>

{#await part}
  <p role="status">{t('one-moment')}</p>
{:then { default: Part }}
  <Part {...props} />
{:catch}
  <div role="alert">
    <p>{t('this-part-of-sun-room')}</p>
    <Button onclick={() => location.reload()}>{t('try-again')}</Button>
  </div>
{/await}

<style>
  p,
  div {
    padding: 24px;
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
