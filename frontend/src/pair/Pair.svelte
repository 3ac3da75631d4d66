<script lang="ts">
  import { onMount } from 'svelte'
  import DoorFrame from '../porch/DoorFrame.svelte'
  import { ask } from '../rooms/api'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Paired } from '../wire/generated'

  let { given }: { given: string } = $props()
  let code = $state('')
  let problem = $state('')

  onMount(() => {
    document.title = 'Pair a device · Sun Room'
    if (given) void pair(given)
  })

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
  <p>On the device that you are in the lesson with, open “You” and press “Pair a device”. It shows a code.</p>
  <form
    onsubmit={(event) => {
      event.preventDefault()
      void pair(code)
    }}
  >
    <Field label="Code" bind:value={code} {problem} autocomplete="off" autocapitalize="off" />
    <Button kind="go" type="submit">Pair</Button>
  </form>
</DoorFrame>
