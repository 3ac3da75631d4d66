<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
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
  <Radios
    label="Pen kit"
    options={KITS}
    name={(kit) => kit.name}
    taken={(kit) => name === kit.name}
    ontake={(kit) => set(kit.rights)}
    look="rows"
  >
    {#snippet face(kit)}<b>{kit.name}</b><span>{kit.hint}</span>{/snippet}
  </Radios>
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
