<script lang="ts" generics="P extends Record<string, unknown>">
  /** A part of the application that is loaded when it is wanted. */
  import type { Component } from 'svelte'
  import Button from './Button.svelte'

  let { load, props }: { load: () => Promise<{ default: Component<P> }>; props: P } = $props()
  const part = $derived(load())
</script>

{#await part}
  <p role="status">One moment</p>
{:then { default: Part }}
  <Part {...props} />
{:catch}
  <div role="alert">
    <p>This part of Sun Room could not be loaded. Is there a line to the server?</p>
    <Button onclick={() => location.reload()}>Try again</Button>
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
