<script lang="ts">
  import { onMount } from 'svelte'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { BoardId, CreatedRoom, Me, RoomBroughtIn } from '../wire/generated'
  import AccountForm from './AccountForm.svelte'
  import BringFileIn from './BringFileIn.svelte'
  import { ask, keepOwnerKey, ownByKey, ownerKeys } from '../wire/api'
  import { t } from '../words/words.svelte'

  let me = $state<Me | null>(null)
  let title = $state('')
  let name = $state('')
  let problem = $state('')
  let busy = $state(false)

  onMount(async () => {
    document.title = 'Sun Room'
    try {
      me = await ask<Me>('GET', '/api/me')
      const lost = Object.keys(ownerKeys()).filter((link) => !me!.rooms.some((room) => room.link === link))
      if (lost.length) {
        await Promise.all(lost.map(ownByKey))
        me = await ask<Me>('GET', '/api/me')
      }
    } catch (error) {
      problem = (error as Error).message
    }
  })

  async function start(event: SubmitEvent) {
    event.preventDefault()
    busy = true
    problem = ''
    try {
      const room = await ask<CreatedRoom>('POST', '/api/rooms', { title, name })
      if (room.owner_key) keepOwnerKey(room.link, room.owner_key)
      const board = await ask<BoardId>('POST', `/api/rooms/${room.link}/boards`, {})
      location.href = `/rooms/${room.link}/boards/${board.id}`
    } catch (error) {
      problem = (error as Error).message
      busy = false
    }
  }

  function openRoom(room: RoomBroughtIn) {
    if (room.owner_key) keepOwnerKey(room.link, room.owner_key)
    location.href = `/rooms/${room.link}`
  }

  async function signOut() {
    problem = ''
    try {
      me = await ask<Me>('POST', '/api/sign-out')
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<div class="frame">
  <header>
    <Brand />
    {#if me?.name}
      <a class="who" href="/account">{me.name}</a>
      <Button kind="cream" onclick={signOut}>{t('sign-out')}</Button>
    {/if}
  </header>
  <main>
    <section class="start">
      <h1>{t('a-bright-board-for-a')}</h1>
      <p>
        {t('write-with-a-pen-turn')}
      </p>
      <form onsubmit={start}>
        <Field
          label={t('what-is-the-lesson-about')}
          bind:value={title}
          placeholder={t('shadows-and-sundials')}
          required
          maxlength={80}
        />
        {#if !me?.name}
          <Field
            label={t('your-name-as-students-see')}
            bind:value={name}
            autocomplete="name"
            required
            maxlength={40}
          />
        {/if}
        {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
        <Button kind="go" type="submit" disabled={busy}
          >{busy ? t('opening-the-room') : t('open-a-room-now')}</Button
        >
      </form>
      <p class="small">
        {t('no-account-is-needed-this')}
      </p>
    </section>
    <section class="side">
      {#if me?.rooms.length}
        <h2>{t('your-rooms')}</h2>
        <ul>
          {#each me.rooms as room (room.link)}
            <li><a href="/rooms/{room.link}">{room.title}</a></li>
          {/each}
        </ul>
      {/if}
      <div class="bring">
        <BringFileIn
          to="/api/whole-rooms"
          what="room"
          label={t('bring-a-room-in-that')}
          onbrought={openRoom}
        />
      </div>
      {#if me && !me.name}
        <AccountForm onsigned={(signed) => (me = signed)} />
      {/if}
    </section>
  </main>
</div>

<style>
  .bring {
    margin-bottom: 24px;
  }
  .frame {
    min-height: 100%;
    background: var(--sand);
  }
  header {
    height: 52px;
    background: var(--frame);
    display: flex;
    align-items: center;
    gap: 16px;
    padding: 0 18px;
  }
  .who {
    margin-left: auto;
    color: var(--on-frame);
  }
  main {
    display: grid;
    grid-template-columns: minmax(0, 1fr) 360px;
    min-height: calc(100vh - 52px);
  }
  .start {
    padding: 8vh clamp(24px, 7vw, 110px);
    max-width: 860px;
  }
  h1 {
    font: 600 clamp(30px, 4vw, 44px) / 1.15 var(--title);
    margin-bottom: 14px;
  }
  .start > p:first-of-type {
    font-size: 17px;
    max-width: 34em;
    color: var(--muted);
  }
  form {
    margin: 32px 0 18px;
    padding: 24px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-left: 6px solid var(--sun);
    border-radius: var(--radius);
    display: grid;
    gap: 16px;
    max-width: 520px;
  }
  .small {
    color: var(--muted);
    max-width: 36em;
  }
  .side {
    background: var(--sand-2);
    padding: 28px 24px;
  }
  h2 {
    font-size: 16px;
    margin-bottom: 10px;
  }
  ul {
    list-style: none;
    margin: 0 0 32px;
    padding: 0;
    display: grid;
    gap: 6px;
  }
  li a {
    display: block;
    padding: 11px 12px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    color: var(--ink);
    font-weight: 600;
    text-decoration: none;
    overflow-wrap: anywhere;
  }
  .problem {
    color: var(--clay);
  }
  @media (max-width: 820px) {
    main {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
