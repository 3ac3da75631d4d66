<script lang="ts">
  /** Whose voice is being recorded: there for everybody for as long as it is, and ended here by whoever it is. */
  import type { Session } from '../../lesson/session.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { t } from '../../words/words.svelte'

  interface Props {
    session: Session
    short?: boolean
    /** There is room for the sign alone, on the screen of whoever is recorded: the others are told in words. */
    bare?: boolean
  }
  let { session, short = false, bare = false }: Props = $props()
  const { recorder } = $derived(session.call)
  const mine = $derived(recorder.on && recorder.now?.seat === session.rights.seat)
  const words = $derived(
    short
      ? t('recorded-short')
      : mine
        ? t('recorded-you')
        : t('recorded-now', { name: recorder.now?.name ?? '' }),
  )
  /** Less than this is on its way as it should be. */
  const WAITS_MS = 8_000

  /** What is not sent yet would be lost with the page. */
  function onbeforeunload(event: BeforeUnloadEvent) {
    if (mine || recorder.waitingMs > 0) event.preventDefault()
  }
</script>

<svelte:window {onbeforeunload} />

{#snippet face()}
  <i class:still={recorder.paused}></i><span class:unseen={bare && mine}>{words}</span
  >{#if recorder.waitingMs > WAITS_MS}
    · {t('recording-waits', { seconds: Math.round(recorder.waitingMs / 1000) })}{/if}
{/snippet}

{#if recorder.now && mine}
  <Popover label={t('recorded-you')} side="right" below dark {face}>
    {#snippet children(close)}
      <div class="panel">
        <p>{t('record-voice-hint')}</p>
        <MenuButton onclick={() => recorder.pause(!recorder.paused)}
          >{recorder.paused ? t('record-go-on') : t('record-pause')}</MenuButton
        >
        <MenuButton onclick={() => (close(), recorder.stop())}>{t('record-stop')}</MenuButton>
      </div>
    {/snippet}
  </Popover>
{:else if recorder.now}
  <span
    class="mark"
    role="status"
    title={t('recorded-hint', { name: recorder.now.name })}
    data-testid="recorded">{@render face()}</span
  >
{/if}

<style>
  .mark {
    display: flex;
    align-items: center;
    gap: 7px;
    font-size: 14px;
    font-weight: 600;
    white-space: nowrap;
  }
  /* A ring with a bar through it, as a needle over a meter: told by its shape alone. */
  i {
    flex: none;
    width: 14px;
    height: 14px;
    border: 2px solid var(--sun);
    border-radius: 50%;
    background: linear-gradient(var(--sun), var(--sun)) center / 2px 100% no-repeat;
  }
  i.still {
    background: none;
    border-style: dashed;
  }
  .panel {
    display: grid;
    gap: 4px;
    width: 280px;
    max-width: 100%;
    color: var(--ink);
  }
  p {
    font-size: 14px;
    color: var(--muted);
    padding: 0 10px;
  }
</style>
