<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import { asks } from '../../ui/ticks'
  import { KITS, kitOf, RIGHT_NAMES } from '../../people/kits'
  import type { Right } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const rights = $derived(session.lesson!.facts.kit as Right[])
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
  <h3>{t('what-pens-may')}</h3>
  <Radios
    label={t('pen-kit')}
    options={KITS}
    name={({ word }) => t(word)}
    taken={(kit) => kitOf(rights)?.name === kit.name}
    ontake={(kit) => set(kit.rights)}
    look="rows"
  >
    {#snippet face({ word, hint })}<b>{t(word)}</b><span>{t(hint)}</span>{/snippet}
  </Radios>
  <div class="rights">
    {#each RIGHT_NAMES as [right, word] (right)}
      <label
        ><input type="checkbox" checked={rights.includes(right)} onchange={asks(() => toggle(right))} />{t(
          word,
        )}</label
      >
    {/each}
  </div>
  <label
    ><input
      type="checkbox"
      checked={session.lesson!.facts.pointing}
      onchange={asks((on) => session.tell({ command: 'set_pointing', on }))}
    />{t('all-may-point')}</label
  >
  {#if session.people.role === 'tutor'}
    <label
      ><input type="checkbox" bind:checked={forRoom} onchange={() => set(rights)} />{t('kit-for-room')}</label
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
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  b {
    min-width: 92px;
    flex: none;
  }
  span {
    color: var(--muted);
    font-size: 13px;
  }
  .rights {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
    gap: 2px 12px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
    font-size: 14px;
  }
</style>
