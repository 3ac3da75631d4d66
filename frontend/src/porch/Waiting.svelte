<script lang="ts">
  import type { Session } from '../lesson/session.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import DoorFrame from './DoorFrame.svelte'
  import { t } from '../words/words.svelte'

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
  <DoorFrame title={t('the-door-has-a-code')}>
    <form onsubmit={tryCode}>
      <Field
        label={t('code')}
        bind:value={code}
        problem={porch.wrong ? t('that-is-not-the-code') : ''}
        autocomplete="off"
        {@attach focus}
      />
      <Button kind="go" type="submit">{t('come-in')}</Button>
    </form>
  </DoorFrame>
{:else if porch.away}
  <DoorFrame title={t('not-just-now')}>
    <p role="alert">{t('has-not-let-you-in', { tutor: porch.tutor })}</p>
    <p><Button kind="go" onclick={() => session.join()}>{t('knock-again')}</Button></p>
  </DoorFrame>
{:else}
  <DoorFrame title={t('you-have-knocked')}>
    <p role="status">{t('sees-your-name-and-will', { tutor: porch.tutor })}</p>
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
