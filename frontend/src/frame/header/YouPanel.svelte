<script lang="ts">
  import { ask } from '../../wire/api'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import type { Invitation } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { SOUNDS, type Sound } from '../../lesson/sounds'

  interface Props {
    session: Session
    link: string
    onpractise: () => void
  }
  let { session, link, onpractise }: Props = $props()
  let name = $state('')
  let invited = $state.raw<Invitation | null>(null)
  let problem = $state('')
  let heard = $state(0)
  const me = $derived(session.people.list.find(({ seat }) => seat === session.rights.me))

  async function request(what: 'invite' | 'end') {
    problem = ''
    try {
      invited = await ask<Invitation>('POST', `/api/devices/${session.door}/${link}/${what}`)
      if (what === 'end') {
        invited = null
        session.say('No other device is paired with your seat now.')
      }
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<div class="panel">
  <h3>Your name</h3>
  <form
    onsubmit={(event) => {
      event.preventDefault()
      if (name.trim()) session.tell({ command: 'rename', seat: session.rights.me, name })
      name = ''
    }}
  >
    <input bind:value={name} maxlength="40" placeholder={me?.name} aria-label="Your new name" />
    <Button type="submit">Change</Button>
  </form>
  <Choice
    label="Read as I write"
    options={[
      { value: 'off', label: 'No' },
      { value: 'offer', label: 'Offer' },
      { value: 'always', label: 'Always take' },
    ]}
    bind:value={() => session.asYouGo.mode, (mode) => session.asYouGo.set(mode)}
  />
  <h3>Your hand</h3>
  <p>Write a short practice page, and your ink is read better.</p>
  <div class="row"><Button onclick={onpractise}>Practice page</Button></div>
  <h3>Pen on another device</h3>
  {#if invited}
    <div class="pair">
      <img src="/api/devices/{invited.code}.svg" alt="QR code of the address" />
      <p>
        Scan this with the tablet, or open <b>{location.host}/pair</b> there and type
        <b class="code">{invited.code}</b>. It is good for ten minutes.
      </p>
    </div>
  {:else}
    <p>A tablet sits in your own seat: write there, call here. Undo is shared.</p>
  {/if}
  <div class="row">
    <Button onclick={() => request('invite')}>{invited ? 'Another code' : 'Pair a device'}</Button>
    <Button kind="quiet" onclick={() => request('end')}>End all pairings</Button>
  </div>
  {#if problem}<p role="alert" class="problem">{problem}</p>{/if}
  {#if session.people.tutorSide}
    <h3>Sounds</h3>
    {#key heard}
      {#each Object.entries(SOUNDS) as [sound, { label }] (sound)}
        <label
          ><input
            type="checkbox"
            checked={session.sounds.isOn(sound as Sound)}
            onchange={(event) => {
              session.sounds.set(sound as Sound, event.currentTarget.checked)
              heard++
            }}
          />{label}</label
        >
      {/each}
    {/key}
  {/if}
</div>

<style>
  .panel {
    display: grid;
    gap: 8px;
    width: 320px;
    max-width: 100%;
    color: var(--ink);
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
    margin-top: 4px;
  }
  form,
  .row {
    display: flex;
    gap: 6px;
  }
  input:not([type='checkbox']) {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: #fff;
  }
  .pair {
    display: grid;
    grid-template-columns: 130px 1fr;
    gap: 12px;
    align-items: center;
  }
  img {
    width: 130px;
    height: 130px;
    background: #fff;
  }
  p {
    font-size: 14px;
  }
  .code {
    font-size: 20px;
    letter-spacing: 0.08em;
  }
  .problem {
    color: var(--clay);
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 32px;
    font-size: 14px;
  }
</style>
