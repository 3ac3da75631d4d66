<script lang="ts">
  import { onMount } from 'svelte'
  import AccountForm from '../rooms/AccountForm.svelte'
  import { ask } from '../wire/api'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import { when } from '../ui/time'
  import type { AccountPage, Me } from '../wire/generated'

  let page = $state.raw<AccountPage | null>(null)
  let unknown = $state(false)
  let name = $state('')
  let mail = $state('')
  let old = $state('')
  let fresh = $state('')
  let ending = $state(false)
  let password = $state('')
  let done = $state('')
  let problem = $state('')

  onMount(() => {
    document.title = 'Your account · Sun Room'
    void load()
  })

  async function load() {
    unknown = false
    try {
      show(await ask<AccountPage>('GET', '/api/account'))
    } catch {
      unknown = true
    }
  }

  function show(found: AccountPage) {
    page = found
    name = found.name
    mail = found.mail
  }

  /** Do something to the account and say how it went. */
  async function carryOut(what: () => Promise<AccountPage>, sentence: string) {
    done = problem = ''
    try {
      show(await what())
      done = sentence
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function change(event: SubmitEvent) {
    event.preventDefault()
    void carryOut(() => ask<AccountPage>('PATCH', '/api/account', { name, mail }), 'Your details are kept.')
  }

  async function changePassword(event: SubmitEvent) {
    event.preventDefault()
    await carryOut(
      () => ask<AccountPage>('POST', '/api/account/password', { old, new: fresh }),
      'The password is changed. All other browsers are signed out.',
    )
    if (done) old = fresh = ''
  }

  function end(id: number | null) {
    void carryOut(
      () => ask<AccountPage>('POST', '/api/account/browsers', { id }),
      id === null ? 'All other browsers are signed out.' : 'That browser is signed out.',
    )
  }

  async function deleteAccount(event: SubmitEvent) {
    event.preventDefault()
    problem = ''
    try {
      await ask<Me>('DELETE', '/api/account', { password })
      location.href = '/'
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<div class="frame">
  <header><Brand /><a href="/">Your rooms</a></header>
  <main>
    {#if unknown}
      <AccountForm onsigned={load} />
    {:else if page}
      <h1>Your account</h1>
      <p class="muted">You sign in as <b>{page.username}</b>.</p>
      <p class="done" role="status">{done}</p>
      {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
      <section>
        <h2>Details</h2>
        <form onsubmit={change}>
          <Field label="Your name, as students see it" bind:value={name} autocomplete="name" maxlength={40} />
          <Field label="Mail address" type="email" bind:value={mail} autocomplete="email" maxlength={254} />
          <p class="muted">
            The mail address is only for a new password, when you have forgotten the old one.
          </p>
          <div><Button type="submit" kind="go">Keep these</Button></div>
        </form>
      </section>
      <section>
        <h2>Password</h2>
        <form onsubmit={changePassword}>
          <Field
            label="Old password"
            type="password"
            bind:value={old}
            autocomplete="current-password"
            required
          />
          <Field
            label="New password"
            type="password"
            bind:value={fresh}
            autocomplete="new-password"
            required
          />
          <div><Button type="submit">Change the password</Button></div>
        </form>
      </section>
      <section>
        <h2>Signed in on</h2>
        <ul>
          {#each page.browsers as browser (browser.id)}
            <li>
              <span>{browser.name}</span>
              <span class="muted">{browser.this ? 'this browser' : `last used ${when(browser.seen_ms)}`}</span
              >
              {#if !browser.this}
                <Button kind="quiet" aria-label="Sign out {browser.name}" onclick={() => end(browser.id)}
                  >Sign out</Button
                >
              {/if}
            </li>
          {/each}
        </ul>
        {#if page.browsers.length > 1}
          <div><Button onclick={() => end(null)}>Sign out all others</Button></div>
        {/if}
      </section>
      <section>
        <h2>Delete the account</h2>
        <p class="muted">
          {page.rooms === 0
            ? 'You own no room.'
            : page.rooms === 1
              ? 'Your room goes with it: its boards, pictures, chat, record and all seats.'
              : `Your ${page.rooms} rooms go with it: their boards, pictures, chats, records and all seats.`}
          Your own hand goes too. Nothing of it can be brought back; take your rooms along first.
        </p>
        {#if ending}
          <form onsubmit={deleteAccount}>
            <Field
              label="Your password"
              type="password"
              bind:value={password}
              autocomplete="current-password"
              required
            />
            <div class="row">
              <Button type="submit" kind="stop">Delete everything of mine</Button>
              <Button onclick={() => (ending = false)}>Keep the account</Button>
            </div>
          </form>
        {:else}
          <div><Button kind="stop" onclick={() => (ending = true)}>Delete the account</Button></div>
        {/if}
      </section>
    {:else}
      <p class="muted">Opening your account.</p>
    {/if}
  </main>
</div>

<style>
  .frame {
    min-height: 100dvh;
    background: var(--sand);
  }
  header {
    min-height: 52px;
    background: var(--frame);
    display: flex;
    align-items: center;
    gap: 34px;
    padding: 0 18px;
  }
  header a {
    color: var(--on-frame);
  }
  main {
    max-width: 620px;
    margin: 0 auto;
    padding: 40px 20px 80px;
  }
  h1 {
    font: 600 32px/1.2 var(--title);
  }
  h2 {
    font-size: 16px;
    margin-bottom: 10px;
  }
  section {
    margin-top: 26px;
    padding-top: 20px;
    border-top: 1px solid var(--sand-line);
    display: grid;
    gap: 10px;
  }
  form {
    display: grid;
    gap: 12px;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
  }
  li {
    min-height: 44px;
    display: flex;
    gap: 12px;
    align-items: center;
  }
  li .muted {
    margin-left: auto;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 10px;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .done {
    color: var(--leaf-dark);
    min-height: 1.5em;
  }
  .problem {
    color: var(--clay);
  }
</style>
