<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const as = $derived(session.rights.as)
</script>

{#if as}
  <p role="status">
    <span>You see the lesson as <b>{session.people.nameOf(as.seat)}</b> does, and can do nothing here.</span>
    <Button onclick={() => session.classroom.stopSeeing()}>Back to my own view</Button>
  </p>
{:else if session.attention.following && session.door !== 'onlooker'}
  <p role="status">
    <span>You follow <b>{session.people.nameOf(session.attention.following)}</b>.</span>
    <Button onclick={() => session.attention.follow('')}>Stop following</Button>
  </p>
{/if}

<style>
  p {
    position: absolute;
    z-index: 3;
    top: 10px;
    left: 50%;
    translate: -50%;
    display: flex;
    align-items: center;
    gap: 14px;
    max-width: calc(100% - 20px);
    padding: 6px 6px 6px 14px;
    background: var(--sun-pale);
    border: 2px solid var(--sun);
    border-radius: var(--radius);
    font-size: 14px;
  }
</style>
