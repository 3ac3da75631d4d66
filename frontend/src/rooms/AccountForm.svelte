<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Me } from '../wire/generated'
  import { ask } from './api'

  let { onsigned }: { onsigned: (me: Me) => void } = $props()
  let making = $state(false)
  let username = $state('')
  let password = $state('')
  let name = $state('')
  let problem = $state('')

  async function submit(event: SubmitEvent) {
    event.preventDefault()
    problem = ''
    try {
      onsigned(
        making
          ? await ask<Me>('POST', '/api/account', { username, password, name })
          : await ask<Me>('POST', '/api/sign-in', { username, password }),
      )
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<h2>{making ? 'Make an account' : 'Sign in'}</h2>
<form onsubmit={submit}>
  {#if making}
    <Field label="Your name" bind:value={name} autocomplete="name" maxlength={40} />
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
</form>

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
</style>
