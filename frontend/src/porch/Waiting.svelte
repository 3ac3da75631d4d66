<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import DoorFrame from './DoorFrame.svelte'

  let { session }: { session: Session } = $props()
  const porch = $derived(session.classroom.porch!)
  let code = $state('')
  const focus = (element: HTMLElement) => element.focus()

  function tryCode(event: SubmitEvent) {
    event.preventDefault()
    if (code.trim()) session.join(code)
  }
</script>

{#if porch.needs === 'code'}
  <DoorFrame title="The door has a code">
    <form onsubmit={tryCode}>
      <Field
        label="Code"
        bind:value={code}
        problem={porch.wrong ? 'That is not the code. Ask your tutor for it.' : ''}
        autocomplete="off"
        {@attach focus}
      />
      <Button kind="go" type="submit">Come in</Button>
    </form>
  </DoorFrame>
{:else if porch.away}
  <DoorFrame title="Not just now">
    <p role="alert">{porch.tutor} has not let you in. You can knock again in a moment.</p>
    <p><Button kind="go" onclick={() => session.join()}>Knock again</Button></p>
  </DoorFrame>
{:else}
  <DoorFrame title="You have knocked">
    <p role="status">{porch.tutor} sees your name and will let you in. Stay on this page.</p>
    <div class="dots" aria-hidden="true"><i></i><i></i><i></i></div>
  </DoorFrame>
{/if}

<style>
  .dots {
    display: flex;
    gap: 10px;
    margin-top: 12px;
  }
  i {
    width: 12px;
    height: 12px;
    border-radius: 50%;
    background: var(--sun);
    animation: wait 1.4s infinite;
  }
  i:nth-child(2) {
    animation-delay: 0.25s;
  }
  i:nth-child(3) {
    animation-delay: 0.5s;
  }
  @keyframes wait {
    50% {
      opacity: 0.25;
    }
  }
</style>
