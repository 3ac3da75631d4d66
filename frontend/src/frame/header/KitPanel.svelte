<script lang="ts">
  import { KITS, kitName, RIGHT_NAMES } from '../../people/kits'
  import type { Right } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const rights = $derived(session.lesson!.facts.kit as Right[])
  const name = $derived(kitName(rights))
  /** Later lessons begin with these rights too. */
  let forRoom = $state(false)

  function set(wanted: Right[]) {
    session.tell({ command: 'set_rights', seat: '', rights: wanted, room: forRoom })
  }

  function toggle(right: Right) {
    set(rights.includes(right) ? rights.filter((other) => other !== right) : [...rights, right])
  }
</script>

<div class="panel">
  <div class="row" role="radiogroup" aria-label="Pen kit">
    {#each KITS as kit (kit.name)}
      <button role="radio" aria-checked={name === kit.name} onclick={() => set(kit.rights)}
        ><b>{kit.name}</b><span>{kit.hint}</span></button
      >
    {/each}
  </div>
  <div class="rights">
    {#each RIGHT_NAMES as [right, label] (right)}
      <label
        ><input
          type="checkbox"
          checked={rights.includes(right)}
          onchange={() => toggle(right)}
        />{label}</label
      >
    {/each}
  </div>
  {#if session.people.role === 'tutor'}
    <label
      ><input type="checkbox" bind:checked={forRoom} onchange={() => set(rights)} />Also in later lessons of
      this room</label
    >
  {/if}
</div>

<style>
  .panel {
    display: grid;
    gap: 12px;
    width: 470px;
    max-width: 100%;
    color: var(--ink);
  }
  .row {
    display: grid;
    gap: 4px;
  }
  button {
    min-height: 42px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: none;
    text-align: left;
    padding: 0 10px;
    display: flex;
    gap: 10px;
    align-items: center;
  }
  button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  b {
    width: 92px;
    flex: none;
  }
  span {
    color: var(--muted);
    font-size: 13px;
  }
  .rights {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 12px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 32px;
    font-size: 14px;
  }
</style>
