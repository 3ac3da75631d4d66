<script lang="ts">
  import type { Snippet } from 'svelte'
  import Brand from '../ui/Brand.svelte'

  /** What stands before a room: the name of the house, a heading, and one thing to do. */
  let { title = '', children }: { title?: string; children: Snippet } = $props()
</script>

<div class="frame">
  <header><Brand /></header>
  <main>
    {#if title}<h1>{title}</h1>{/if}
    {@render children()}
  </main>
</div>

<style>
  .frame {
    min-height: 100dvh;
    background: var(--sand);
  }
  header {
    height: 52px;
    background: var(--frame);
    display: flex;
    align-items: center;
    padding: 0 18px;
  }
  main {
    max-width: 460px;
    margin: 0 auto;
    padding: 12vh 20px 40px;
    display: grid;
    gap: 14px;
  }
  h1 {
    font: 600 34px/1.15 var(--title);
    overflow-wrap: anywhere;
  }
  main :global(form) {
    margin: 10px 0 4px;
    padding: 22px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-left: 6px solid var(--sun);
    border-radius: var(--radius);
    display: grid;
    gap: 14px;
  }
  main :global(.muted) {
    color: var(--muted);
  }
</style>
