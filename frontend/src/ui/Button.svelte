<script lang="ts">
  import type { Snippet } from 'svelte'
  import type { HTMLButtonAttributes } from 'svelte/elements'

  interface Props extends HTMLButtonAttributes {
    kind?: 'plain' | 'go' | 'quiet' | 'stop' | 'cream'
    children: Snippet
  }
  let { kind = 'plain', children, type = 'button', ...rest }: Props = $props()
</script>

<button {type} class={kind} {...rest}>{@render children()}</button>

<style>
  button {
    min-height: 40px;
    padding: 0 14px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-weight: 600;
    white-space: nowrap;
    display: inline-flex;
    align-items: center;
    justify-content: center;
    gap: 8px;
  }
  button:hover:not(:disabled) {
    border-color: var(--muted);
  }
  .go {
    background: var(--leaf);
    border-color: var(--leaf);
    color: #fff;
  }
  .go:hover:not(:disabled) {
    background: var(--leaf-dark);
  }
  .quiet {
    background: transparent;
    border-color: transparent;
    color: var(--leaf-dark);
  }
  .stop {
    color: var(--clay);
  }
  .cream {
    background: #f6efe0;
    border-color: #f6efe0;
    color: var(--on-cream);
  }
  button[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  button:disabled {
    opacity: 0.5;
    cursor: default;
  }
</style>
