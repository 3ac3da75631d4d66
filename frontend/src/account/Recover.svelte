<script lang="ts">
  import DoorFrame from '../porch/DoorFrame.svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import { t } from '../words/words.svelte'

  /** The end of a mailed link. */
  let { uid, token }: { uid: string; token: string } = $props()
  let password = $state('')
  let problem = $state('')
  let done = $state(false)

  async function reset(event: SubmitEvent) {
    event.preventDefault()
    problem = ''
    try {
      await ask('POST', '/api/account/reset', { uid, token, password })
      done = true
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<DoorFrame title={t('a-new-password')}>
  {#if done}
    <p role="status">{t('the-password-is-changed-and')}</p>
    <p><a href="/">{t('sign-in-with-it')}</a></p>
  {:else}
    <form onsubmit={reset}>
      <Field
        label={t('new-password')}
        type="password"
        bind:value={password}
        {problem}
        autocomplete="new-password"
        required
      />
      <Button kind="go" type="submit">{t('change-the-password')}</Button>
    </form>
  {/if}
</DoorFrame>
