<script lang="ts">
  import DoorFrame from '../porch/DoorFrame.svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'

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

<DoorFrame title="A new password">
  {#if done}
    <p role="status">The password is changed, and every browser is signed out.</p>
    <p><a href="/">Sign in with it</a></p>
  {:else}
    <form onsubmit={reset}>
      <Field
        label="New password"
        type="password"
        bind:value={password}
        {problem}
        autocomplete="new-password"
        required
      />
      <Button kind="go" type="submit">Change the password</Button>
    </form>
  {/if}
</DoorFrame>
