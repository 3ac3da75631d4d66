<script lang="ts">
  /** A link that stands by itself, and looks like a quiet button. */
  import type { Snippet } from 'svelte'
  import type { HTMLAnchorAttributes } from 'svelte/elements'

  let { children, ...rest }: HTMLAnchorAttributes & { children: Snippet } = $props()
</script>

<a {...rest}>{@render children()}</a>

<style>
  a {
    min-height: 40px;
    display: inline-flex;
    gap: 8px;
    align-items: center;
    color: var(--leaf-dark);
    font-weight: 600;
    text-decoration: none;
  }
  a:hover {
    text-decoration: underline;
  }
</style>
