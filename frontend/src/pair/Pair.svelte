<script lang="ts">
  import { onMount } from 'svelte'
  import DoorFrame from '../porch/DoorFrame.svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Invited, Paired } from '../wire/generated'
  import { t } from '../words/words.svelte'

  let { given }: { given: string } = $props()
  let code = $state('')
  let problem = $state('')
  let invited = $state.raw<Invited | null>(null)

  onMount(() => {
    document.title = t('pair-a-device-sun-room')
    if (given) void look(given)
  })

  /** Whose seat the code is for: this browser may have one of its own, which it would lose. */
  async function look(wanted: string) {
    problem = ''
    try {
      invited = await ask<Invited>('POST', '/api/devices/invited', { code: wanted })
      code = wanted
    } catch (error) {
      problem = (error as Error).message
    }
  }

  async function pair(wanted: string) {
    problem = ''
    try {
      const { path } = await ask<Paired>('POST', '/api/devices', { code: wanted })
      location.replace(path)
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<DoorFrame title={t('pair-this-device')}>
  {#if invited}
    <p>{t('this-device-will-sit', { name: invited.name, room: invited.room })}</p>
    {#if invited.now && invited.now !== invited.name}
      <p role="alert">{t('this-browser-sat', { name: invited.now })}</p>
    {/if}
    {#if problem}<p role="alert">{problem}</p>{/if}
    <div class="row">
      <Button kind="go" onclick={() => pair(code)}>{t('sit-there')}</Button>
      <Button onclick={() => (invited = null)}>{t('leave-it')}</Button>
    </div>
  {:else}
    <p>
      {t('on-the-device-that-you')}
    </p>
    <form
      onsubmit={(event) => {
        event.preventDefault()
        void look(code)
      }}
    >
      <Field label={t('code')} bind:value={code} {problem} autocomplete="off" autocapitalize="off" />
      <Button kind="go" type="submit">{t('pair')}</Button>
    </form>
  {/if}
</DoorFrame>

<style>
  .row {
    display: flex;
    gap: 10px;
  }
</style>
