<script lang="ts">
  import type { Reaction } from '../lesson/classroom.svelte'
  import type { Session } from '../lesson/session.svelte'
  import SignPicture from './SignPicture.svelte'
  import { SIGNS } from './signs'

  let { session }: { session: Session } = $props()
</script>

{#if session.rights.may('react')}
  <div role="group" aria-label="Show a sign">
    {#each Object.entries(SIGNS) as [kind, { label }] (kind)}
      <button aria-label={label} title={label} onclick={() => session.classroom.react(kind as Reaction)}
        ><SignPicture kind={kind as Reaction} /></button
      >
    {/each}
  </div>
{/if}

<style>
  div {
    display: flex;
    justify-content: space-between;
    padding: 4px 10px;
    border-top: 1px solid var(--sand-line);
    flex: none;
  }
  button {
    width: 34px;
    height: 34px;
    padding: 0;
    border: 0;
    border-radius: 3px;
    background: none;
    color: var(--muted);
    display: grid;
    place-items: center;
  }
  button:hover {
    background: var(--sand-2);
    color: var(--ink);
  }
  @media (max-width: 900px) {
    div {
      display: none;
    }
  }
</style>
