<script lang="ts">
  import type { SetPens } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const facts = $derived(session.lesson!.facts)

  const choices = $derived<{ mode: SetPens['mode']; label: string; hint: string }[]>([
    { mode: 'down', label: 'Pens down', hint: 'Only the tutor side writes' },
    {
      mode: 'passed',
      label: facts.mode === 'passed' ? `Passed · ${facts.passed.length}` : 'Passed',
      hint: 'Those who hold a pen write; pass one beside a name',
    },
    { mode: 'up', label: 'Pens up', hint: 'All students write' },
  ])
</script>

<div role="radiogroup" aria-label="Who may write">
  {#each choices as { mode, label, hint } (mode)}
    <button
      role="radio"
      aria-checked={facts.mode === mode}
      title={hint}
      onclick={() => session.tell({ command: 'set_pens', mode })}>{label}</button
    >
  {/each}
</div>

<style>
  div {
    display: flex;
    background: #102722;
    border-radius: 5px;
    padding: 3px;
  }
  button {
    border: 0;
    background: none;
    color: var(--on-frame);
    font-weight: 600;
    min-height: 34px;
    padding: 0 13px;
    border-radius: var(--radius);
    white-space: nowrap;
  }
  button[aria-checked='true'] {
    background: var(--sun);
    color: var(--ink);
  }
  @media (max-width: 900px) {
    button {
      padding: 0 10px;
    }
  }
</style>
