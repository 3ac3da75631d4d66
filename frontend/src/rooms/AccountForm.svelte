<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Me } from '../wire/generated'
  import { ask } from '../wire/api'

  let { onsigned }: { onsigned: (me: Me) => void } = $props()
  let making = $state(location.search.includes('invitation='))
  let username = $state('')
  let password = $state('')
  let name = $state('')
  let mail = $state('')
  let forgotten = $state(false)
  let sent = $state(false)
  /** Accounts may be by invitation; its code is in the address that was sent. */
  const invitation = new URLSearchParams(location.search).get('invitation') ?? ''
  let problem = $state('')

  async function submit(event: SubmitEvent) {
    event.preventDefault()
    problem = ''
    try {
      onsigned(
        making
          ? await ask<Me>('POST', '/api/account', { username, password, name, mail, invitation })
          : await ask<Me>('POST', '/api/sign-in', { username, password }),
      )
    } catch (error) {
      problem = (error as Error).message
    }
  }

  async function recover(event: SubmitEvent) {
    event.preventDefault()
    problem = ''
    try {
      await ask('POST', '/api/account/forgot', { who: username })
      sent = true
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

{#if forgotten}
  <h2>A new password</h2>
  {#if sent}
    <p class="told" role="status">
      If there is such an account and it has a mail address, a link is on its way. It is good for three days.
    </p>
    <Button kind="quiet" onclick={() => ((forgotten = false), (sent = false))}>Back to signing in</Button>
  {:else}
    <form onsubmit={recover}>
      <Field label="User name or mail address" bind:value={username} autocomplete="username" required />
      {#if problem}<p role="alert">{problem}</p>{/if}
      <Button type="submit" kind="go">Send me a link</Button>
      <Button kind="quiet" onclick={() => ((forgotten = false), (problem = ''))}>Back to signing in</Button>
    </form>
  {/if}
{:else}
  <h2>{making ? 'Make an account' : 'Sign in'}</h2>
  <form onsubmit={submit}>
    {#if making}
      <Field label="Your name" bind:value={name} autocomplete="name" maxlength={40} />
      <Field
        label="Mail address, for a forgotten password"
        type="email"
        bind:value={mail}
        autocomplete="email"
        maxlength={254}
      />
    {/if}
    <Field label="User name" bind:value={username} autocomplete="username" required />
    <Field
      label="Password"
      type="password"
      bind:value={password}
      autocomplete={making ? 'new-password' : 'current-password'}
      required
    />
    {#if problem}<p role="alert">{problem}</p>{/if}
    <Button type="submit" kind="go">{making ? 'Make the account' : 'Sign in'}</Button>
    <Button kind="quiet" onclick={() => ((making = !making), (problem = ''))}>
      {making ? 'I have an account' : 'Make an account instead'}
    </Button>
    {#if !making}
      <Button kind="quiet" onclick={() => ((forgotten = true), (problem = ''))}
        >I have forgotten the password</Button
      >
    {/if}
  </form>
{/if}

<style>
  h2 {
    font-size: 16px;
    margin: 0 0 12px;
  }
  form {
    display: grid;
    gap: 12px;
  }
  p {
    color: var(--clay);
  }
  .told {
    color: var(--ink);
  }
</style>
