<script lang="ts">
  import { onMount } from 'svelte'
  import AccountForm from '../rooms/AccountForm.svelte'
  import { ask, Problem } from '../wire/api'
  import Brand from '../ui/Brand.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import { when } from '../words/time'
  import type { AccountPage, Me } from '../wire/generated'
  import { t } from '../words/words.svelte'

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
    document.title = t('your-account-sun-room')
    void load()
  })

  async function load() {
    unknown = false
    problem = ''
    try {
      page = await ask<AccountPage>('GET', '/api/account')
      ;({ name, mail } = page)
    } catch (error) {
      unknown = error instanceof Problem && error.status === 403
      if (!unknown) problem = (error as Error).message
    }
  }

  /** Do something to the account and say how it went. */
  async function carryOut(what: () => Promise<AccountPage>, sentence: string) {
    done = problem = ''
    try {
      page = await what()
      done = sentence
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function change(event: SubmitEvent) {
    event.preventDefault()
    void carryOut(async () => {
      const kept = await ask<AccountPage>('PATCH', '/api/account', { name, mail })
      ;({ name, mail } = kept)
      return kept
    }, t('your-details-are-kept'))
  }

  async function changePassword(event: SubmitEvent) {
    event.preventDefault()
    await carryOut(
      () => ask<AccountPage>('POST', '/api/account/password', { old, new: fresh }),
      t('the-password-is-changed-all'),
    )
    if (done) old = fresh = ''
  }

  function end(id: number | null) {
    void carryOut(
      () => ask<AccountPage>('POST', '/api/account/browsers', { id }),
      id === null ? t('all-other-browsers-are-signed') : t('that-browser-is-signed-out'),
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
  <header><Brand /><a href="/">{t('your-rooms')}</a></header>
  <main>
    {#if unknown}
      <AccountForm onsigned={load} />
    {:else if page}
      <h1>{t('your-account')}</h1>
      <p class="muted">{t('you-sign-in-as', { name: page.username })}</p>
      <p class="done" role="status">{done}</p>
      {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
      <section>
        <h2>{t('details')}</h2>
        <form onsubmit={change}>
          <Field
            label={t('your-name-as-students-see')}
            bind:value={name}
            autocomplete="name"
            maxlength={40}
          />
          <Field
            label={t('mail-address')}
            type="email"
            bind:value={mail}
            autocomplete="email"
            maxlength={254}
          />
          <p class="muted">
            {t('the-mail-address-is-only')}
          </p>
          <div><Button type="submit" kind="go">{t('keep-these')}</Button></div>
        </form>
      </section>
      <section>
        <h2>{t('password')}</h2>
        <form onsubmit={changePassword}>
          <Field
            label={t('old-password')}
            type="password"
            bind:value={old}
            autocomplete="current-password"
            required
          />
          <Field
            label={t('new-password')}
            type="password"
            bind:value={fresh}
            autocomplete="new-password"
            required
          />
          <div><Button type="submit">{t('change-the-password')}</Button></div>
        </form>
      </section>
      <section>
        <h2>{t('signed-in-on')}</h2>
        <ul>
          {#each page.browsers as browser (browser.id)}
            <li>
              <span>{browser.name}</span>
              <span class="muted"
                >{browser.this ? t('this-browser') : t('last-used', { when: when(browser.seen_ms) })}</span
              >
              {#if !browser.this}
                <Button
                  kind="quiet"
                  aria-label={t('sign-out-browser', { name: browser.name })}
                  onclick={() => end(browser.id)}>{t('sign-out')}</Button
                >
              {/if}
            </li>
          {/each}
        </ul>
        {#if page.browsers.length > 1}
          <div><Button onclick={() => end(null)}>{t('sign-out-all-others')}</Button></div>
        {/if}
      </section>
      <section>
        <h2>{t('delete-the-account')}</h2>
        <p class="muted">
          {t('account-goes', { rooms: page.rooms })}
        </p>
        {#if ending}
          <form onsubmit={deleteAccount}>
            <Field
              label={t('your-password')}
              type="password"
              bind:value={password}
              autocomplete="current-password"
              required
            />
            <div class="row">
              <Button type="submit" kind="stop">{t('delete-everything-of-mine')}</Button>
              <Button onclick={() => (ending = false)}>{t('keep-the-account')}</Button>
            </div>
          </form>
        {:else}
          <div><Button kind="stop" onclick={() => (ending = true)}>{t('delete-the-account')}</Button></div>
        {/if}
      </section>
    {:else if problem}
      <p class="problem" role="alert">{problem}</p>
      <div><Button onclick={load}>{t('try-again')}</Button></div>
    {:else}
      <p class="muted">{t('opening-your-account')}</p>
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
