<script lang="ts">
  import { tick } from 'svelte'
  import type { Session } from '../lesson/session.svelte'
  import { KITS, kitOf } from './kits'
  import type { Person, Right } from '../wire/generated'
  import { t } from '../words/words.svelte'

  let { session, person, onclose }: { session: Session; person: Person; onclose: () => void } = $props()
  let sure = $state(false)
  let panel: HTMLElement

  /** What the question says is read before it is answered. */
  async function askFirst() {
    sure = true
    await tick()
    panel.scrollIntoView({ block: 'end' })
  }

  let knock = $state(true)
  let renaming = $state(false)
  let newName = $state('')
  const following = $derived(session.attention.following === person.seat)
  const facts = $derived(session.lesson!.facts)
  const own = $derived(facts.kits.find(([seat]) => seat === person.seat)?.[1] as Right[] | undefined)
  const MINUTES = [1, 3, 5, 10]
  const tutor = $derived(session.people.role === 'tutor')

  function then(act: () => void) {
    act()
    onclose()
  }

  function pass(minutes: number | null) {
    then(() => session.tell({ command: 'pass_pen', seat: person.seat, minutes }))
  }

  function caller(how: { muted?: boolean; unseen?: boolean; called?: boolean }) {
    const rest = { muted: false, unseen: false, called: false }
    session.tell({ command: 'set_caller', seat: person.seat, ...rest, ...how })
  }

  function setKit(rights: Right[] | null) {
    session.tell({ command: 'set_rights', seat: person.seat, rights, room: false })
  }
</script>

<div class="panel" bind:this={panel}>
  {#if person.role === 'student' && facts.open}
    <h3>{t('pass-a-pen-for')}</h3>
    <div class="row">
      {#each MINUTES as minutes (minutes)}
        <button class="small" onclick={() => pass(minutes)}>{t('clock', { minutes })}</button>
      {/each}
      <button class="small" onclick={() => pass(null)}>{t('until-taken-back')}</button>
    </div>
    <h3>{t('pen-of-may', { name: person.name })}</h3>
    <div class="row">
      <button class="small" aria-pressed={!own} onclick={() => setKit(null)}>{t('as-everyones')}</button>
      {#each KITS as kit (kit.name)}
        <button
          class="small"
          aria-pressed={own && kitOf(own)?.name === kit.name}
          onclick={() => setKit(kit.rights)}>{t(kit.word)}</button
        >
      {/each}
    </div>
  {/if}
  {#if person.role === 'student' && facts.open}
    {@const [muted, unseen, called] = [facts.muted, facts.unseen, facts.called].map((seats) =>
      seats.includes(person.seat),
    )}
    <h3>{t('call-of', { name: person.name })}</h3>
    <div class="row">
      <button class="small" aria-pressed={muted} onclick={() => caller({ muted: !muted, unseen })}
        >{t('call-mute')}</button
      >
      <button class="small" aria-pressed={unseen} onclick={() => caller({ muted, unseen: !unseen })}
        >{t('call-hide')}</button
      >
      <button class="small" aria-pressed={called} onclick={() => caller({ called: !called })}
        >{t('call-up')}</button
      >
    </div>
  {/if}
  <button onclick={() => then(() => session.attention.follow(following ? '' : person.seat))}
    >{following ? t('stop-following') : t('follow', { name: person.name })}</button
  >
  {#if person.role === 'student'}
    <button onclick={() => then(() => session.classroom.seeAs(person.seat))}
      >{t('see-as-does', { name: person.name })}</button
    >
  {/if}
  {#if renaming}
    <form
      onsubmit={(event) => {
        event.preventDefault()
        then(() => session.tell({ command: 'rename', seat: person.seat, name: newName }))
      }}
    >
      <input bind:value={newName} maxlength="40" aria-label={t('new-name')} />
      <button class="small">{t('rename')}</button>
    </form>
  {:else}
    <button onclick={() => ((newName = person.name), (renaming = true))}
      >{t('rename-name', { name: person.name })}</button
    >
  {/if}
  {#if tutor && person.role === 'student'}
    <button
      onclick={() => then(() => session.tell({ command: 'set_role', seat: person.seat, role: 'helper' }))}
      >{t('make-a-helper', { name: person.name })}</button
    >
  {:else if tutor && person.role === 'helper' && !person.owner}
    <button
      onclick={() => then(() => session.tell({ command: 'set_role', seat: person.seat, role: 'student' }))}
      >{t('make-a-student-again', { name: person.name })}</button
    >
  {/if}
  {#if tutor && person.role === 'helper'}
    <button onclick={() => then(() => session.tell({ command: 'hand_over', seat: person.seat }))}
      >{t('hand-the-room-over-to', { name: person.name })}</button
    >
  {/if}
  {#if person.role !== 'tutor' && !person.owner}
    <button onclick={() => then(() => session.tell({ command: 'to_porch', seat: person.seat }))}
      >{t('send-to-the-porch', { name: person.name })}</button
    >
    {#if sure}
      <p>{t('stays-out-of-this-room', { name: person.name })}</p>
      {#if session.lesson?.door === 'open'}
        <label>
          <input type="checkbox" bind:checked={knock} />
          {t('from-now-on-everybody-new', { name: person.name })}
        </label>
      {/if}
      <button
        class="stop"
        onclick={() => then(() => session.tell({ command: 'send_away', seat: person.seat, knock }))}
        >{t('yes-send-away-name', { name: person.name })}</button
      >
    {:else}
      <button class="stop" onclick={askFirst}>{t('send-away-name', { name: person.name })}</button>
    {/if}
  {/if}
</div>

<style>
  .panel {
    display: grid;
    width: 300px;
    max-width: 100%;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
    margin: 6px 0 4px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 5px;
    margin-bottom: 6px;
  }
  button {
    min-height: 40px;
    padding: 0 8px;
    border: 0;
    border-radius: 3px;
    background: none;
    text-align: left;
  }
  button:hover {
    background: var(--sand);
  }
  .small {
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    padding: 0 10px;
  }
  .small[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  form {
    display: flex;
    gap: 6px;
    padding: 4px 8px;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
  }
  .stop {
    color: var(--clay);
  }
  p,
  label {
    font-size: 13px;
    padding: 4px 8px;
  }
  label {
    display: flex;
    gap: 8px;
    min-height: 40px;
    align-items: start;
  }
  label input {
    flex: none;
    width: 18px;
    height: 18px;
    margin: 2px 0 0;
  }
</style>
