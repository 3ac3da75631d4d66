<script lang="ts">
  import { onMount } from 'svelte'
  import DoorFrame from '../porch/DoorFrame.svelte'
  import { ask } from '../wire/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Invited, Paired } from '../wire/generated'

  let { given }: { given: string } = $props()
  let code = $state('')
  let problem = $state('')
  let invited = $state.raw<Invited | null>(null)

  onMount(() => {
    document.title = 'Pair a device · Sun Room'
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

<DoorFrame title="Pair this device">
  {#if invited}
    <p>This device will sit in the seat of <b>{invited.name}</b> in “{invited.room}”.</p>
    {#if invited.now && invited.now !== invited.name}
      <p role="alert">This browser sits there as <b>{invited.now}</b> now, and will not any more.</p>
    {/if}
    {#if problem}<p role="alert">{problem}</p>{/if}
    <div class="row">
      <Button kind="go" onclick={() => pair(code)}>Sit there</Button>
      <Button onclick={() => (invited = null)}>Leave it</Button>
    </div>
  {:else}
    <p>
      On the device that you are in the lesson with, open “You” and press “Pair a device”. It shows a code.
    </p>
    <form
      onsubmit={(event) => {
        event.preventDefault()
        void look(code)
      }}
    >
      <Field label="Code" bind:value={code} {problem} autocomplete="off" autocapitalize="off" />
      <Button kind="go" type="submit">Pair</Button>
    </form>
  {/if}
</DoorFrame>

<style>
  .row {
    display: flex;
    gap: 10px;
  }
</style>
