<script lang="ts">
  /** What can be done for some students at once. */
  import type { Session } from '../lesson/session.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import Button from '../ui/Button.svelte'
  import { t } from '../words/words.svelte'
  import { KITS } from './kits'

  interface Props {
    session: Session
    students: string[]
    chosen: string[]
    onpick: (seats: string[]) => void
    ondone: () => void
  }
  let { session, students, chosen, onpick, ondone }: Props = $props()
  let message = $state('')
  let sure = $state(false)

  function each(act: (seat: string) => void) {
    for (const seat of chosen) act(seat)
    ondone()
  }

  function write(event: SubmitEvent) {
    event.preventDefault()
    if (message.trim() && chosen.every((seat) => session.saySomething(message, seat))) ondone()
  }
</script>

<div class="some" role="group" aria-label={t('for-chosen', { count: chosen.length })}>
  <button onclick={() => onpick(chosen.length === students.length ? [] : students)}
    >{chosen.length === students.length ? t('choose-none') : t('choose-all')}</button
  >
  {#if chosen.length}
    <button onclick={() => each((seat) => session.tell({ command: 'pass_pen', seat, minutes: null }))}
      >{t('pass-pens')}</button
    >
    <button onclick={() => each((seat) => session.tell({ command: 'take_pen', seat }))}
      >{t('take-pens-back')}</button
    >
    <Popover label={t('more-for-chosen')} now={t('more')} side="right" below>
      {#snippet children()}
        <div class="panel">
          <MenuButton onclick={() => each((seat) => session.tell({ command: 'lower_hand', seat }))}
            >{t('lower-hands')}</MenuButton
          >
          <h3>{t('their-pens-may')}</h3>
          {#each KITS as kit (kit.name)}
            <MenuButton
              onclick={() =>
                each((seat) =>
                  session.tell({ command: 'set_rights', seat, rights: kit.rights, room: false }),
                )}>{t(kit.word)}</MenuButton
            >
          {/each}
          <h3>{t('say-to-them')}</h3>
          <form onsubmit={write}>
            <input bind:value={message} maxlength="1000" aria-label={t('say-to-them')} />
            <Button type="submit">{t('say')}</Button>
          </form>
          {#if session.people.role === 'tutor'}
            {#if sure}
              <p>{t('send-some-away-sure', { count: chosen.length })}</p>
              <MenuButton
                onclick={() => each((seat) => session.tell({ command: 'send_away', seat, knock: false }))}
                ><span class="stop">{t('yes-send-them')}</span></MenuButton
              >
            {:else}
              <MenuButton onclick={() => (sure = true)}
                ><span class="stop">{t('send-them-away')}</span></MenuButton
              >
            {/if}
          {/if}
        </div>
      {/snippet}
    </Popover>
  {/if}
</div>

<style>
  .some {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
    padding: 0 10px 6px;
    flex: none;
  }
  .some > button {
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-size: 13px;
  }
  .panel {
    display: grid;
    width: 280px;
    max-width: 100%;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
    padding: 6px 10px 2px;
  }
  form {
    display: flex;
    gap: 6px;
    padding: 0 8px;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  p {
    font-size: 13px;
    padding: 6px 10px;
  }
  .stop {
    color: var(--clay);
  }
</style>
