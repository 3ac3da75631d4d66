<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Me } from '../wire/generated'
  import { ask } from '../wire/api'
  import { t } from '../words/words.svelte'

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
  let busy = $state(false)

  async function submit(event: SubmitEvent) {
    event.preventDefault()
    await tried(async () =>
      onsigned(
        making
          ? await ask<Me>('POST', '/api/account', { username, password, name, mail, invitation })
          : await ask<Me>('POST', '/api/sign-in', { username, password }),
      ),
    )
  }

  async function recover(event: SubmitEvent) {
    event.preventDefault()
    await tried(async () => {
      await ask('POST', '/api/account/forgot', { who: username })
      sent = true
    })
  }

  async function tried(what: () => Promise<void>) {
    problem = ''
    busy = true
    try {
      await what()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

{#if forgotten}
  <h2>{t('a-new-password')}</h2>
  {#if sent}
    <p class="told" role="status">
      {t('if-there-is-such-an')}
    </p>
    <Button kind="quiet" onclick={() => ((forgotten = false), (sent = false))}
      >{t('back-to-signing-in')}</Button
    >
  {:else}
    <form onsubmit={recover}>
      <Field label={t('user-name-or-mail-address')} bind:value={username} autocomplete="username" required />
      {#if problem}<p role="alert">{problem}</p>{/if}
      <Button type="submit" kind="go" disabled={busy}>{t('send-me-a-link')}</Button>
      <Button kind="quiet" onclick={() => ((forgotten = false), (problem = ''))}
        >{t('back-to-signing-in')}</Button
      >
    </form>
  {/if}
{:else}
  <h2>{making ? t('make-an-account') : t('sign-in')}</h2>
  <form onsubmit={submit}>
    {#if making}
      <Field label={t('your-name')} bind:value={name} autocomplete="name" maxlength={40} />
      <Field
        label={t('mail-address-for-a-forgotten')}
        type="email"
        bind:value={mail}
        autocomplete="email"
        maxlength={254}
      />
    {/if}
    <Field label={t('user-name')} bind:value={username} autocomplete="username" required />
    <Field
      label={t('password')}
      type="password"
      bind:value={password}
      autocomplete={making ? 'new-password' : 'current-password'}
      required
    />
    {#if problem}<p role="alert">{problem}</p>{/if}
    <Button type="submit" kind="go" disabled={busy}>{making ? t('make-the-account') : t('sign-in')}</Button>
    <Button kind="quiet" onclick={() => ((making = !making), (problem = ''))}>
      {making ? t('i-have-an-account') : t('make-an-account-instead')}
    </Button>
    {#if !making}
      <Button kind="quiet" onclick={() => ((forgotten = true), (problem = ''))}
        >{t('i-have-forgotten-the-password')}</Button
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
