<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { HTMLButtonAttributes } from 'svelte/elements'

  let { children, ...rest }: HTMLButtonAttributes & { children: Snippet } = $props()
</script>

<button {...rest}>{@render children()}</button>

<style>
  button {
    min-height: 40px;
    padding: 0 10px;
    border: 0;
    border-radius: 3px;
    background: none;
    text-align: left;
    white-space: nowrap;
  }
  button:hover:not(:disabled) {
    background: var(--sand);
  }
  button:disabled {
    color: var(--muted);
  }
</style>
