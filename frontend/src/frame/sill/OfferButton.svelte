<script lang="ts">
  /** What may be made of what is chosen, above what would come of it; without ``onclick`` it is only told. */
  import type { Snippet } from 'svelte'
  import type { HTMLButtonAttributes } from 'svelte/elements'

  interface Props extends HTMLButtonAttributes {
    name: string
    /** The likeliest. */
    first?: boolean
    unsure?: boolean
    children: Snippet
  }
  let { name, first = false, unsure = false, children, onclick, ...rest }: Props = $props()
</script>

{#if onclick}
  <button type="button" class="offer" class:first class:unsure {onclick} {...rest}>
    <b>{name}</b>{@render children()}
  </button>
{:else}
  <span class="offer told"><b>{name}</b>{@render children()}</span>
{/if}

<style>
  .offer {
    min-height: 46px;
    padding: 4px 13px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    text-align: left;
    display: grid;
    align-content: center;
    line-height: 1.25;
    max-width: 300px;
    flex: none;
    white-space: nowrap;
  }
  .offer:hover {
    border-color: var(--leaf);
  }
  .offer > :global(span) {
    font-size: 13px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .first {
    background: var(--leaf);
    border-color: var(--leaf);
    color: #fff;
  }
  .first:hover {
    background: var(--leaf-dark);
  }
  .unsure {
    border-style: dashed;
  }
  @media (max-width: 600px) {
    .offer {
      max-width: 196px;
      padding-inline: 10px;
    }
  }
  .told,
  .told:hover {
    border-color: transparent;
    background: none;
    color: var(--muted);
  }
</style>
