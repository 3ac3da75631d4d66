<script lang="ts">
  /** A sound or a video of a card: to everybody, as the tutor leads it, or to this person alone. */
  import { onDestroy, untrack } from 'svelte'
  import type { Heard } from '../../lesson/cards.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import { t } from '../../words/words.svelte'

  let { session, heard }: { session: Session; heard: Heard } = $props()
  let medium = $state.raw<HTMLMediaElement | null>(null)
  let place = $state(0)
  let length = $state(0)
  let going = $state(false)
  let failed = $state(false)
  /** The browser plays nothing by itself before somebody has pressed something. */
  let asks = $state(false)
  let large = $state(false)
  /** What everybody hears need not be heard here. */
  let quiet = $state(false)

  /** Further apart than this from the others, and one is put where they are. */
  const APART_S = 0.7
  const CHECK_MS = 2_000

  const leads = $derived(heard.play !== null && session.cards.leads)
  const alone = $derived(heard.play === null)
  const mine = $derived(leads || alone)

  /** Where everybody is, so is this. */
  function fall() {
    const { play } = heard
    if (!medium || !play) return
    const wanted = session.cards.placeNow(play, session.nowMs())
    if (medium.duration && wanted >= medium.duration) return medium.pause()
    if (Math.abs(medium.currentTime - wanted) > APART_S) medium.currentTime = wanted
    if (play.going && medium.paused) void start()
    else if (!play.going && !medium.paused) medium.pause()
  }

  async function start() {
    try {
      await medium?.play()
      asks = false
    } catch (error) {
      if ((error as Error).name === 'NotAllowedError') asks = true
    }
  }

  $effect(() => {
    if (heard.play && medium) untrack(fall)
  })
  $effect(() => {
    if (alone && medium) untrack(() => void start())
  })
  const timer = setInterval(fall, CHECK_MS)
  onDestroy(() => clearInterval(timer))

  function toggle() {
    if (!medium) return
    if (heard.play) {
      const over = medium.ended || (length > 0 && place >= length - 0.05)
      session.cards.lead(heard.play, !heard.play.going || over, over ? 0 : medium.currentTime)
    } else if (medium.paused) void start()
    else medium.pause()
  }

  function goTo(seconds: number) {
    if (!medium) return
    place = seconds
    if (heard.play) session.cards.lead(heard.play, heard.play.going, seconds)
    else medium.currentTime = seconds
  }

  function told(seconds: number): string {
    const whole = Math.floor(seconds)
    return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
  }
</script>

<section class:large aria-label={t('player', { title: heard.title })} data-testid="player">
  <svelte:element
    this={heard.of === 'video' ? 'video' : 'audio'}
    bind:this={medium}
    src={session.cards.source(heard.file)}
    muted={quiet}
    ontimeupdate={() => (place = medium?.currentTime ?? 0)}
    ondurationchange={() => (length = medium?.duration ?? 0)}
    onplay={() => (going = true)}
    onpause={() => (going = false)}
    onerror={() => (failed = true)}
    onloadedmetadata={fall}
    playsinline
  ></svelte:element>
  <div class="head">
    <b>{heard.title}</b>
    <span
      >{alone
        ? t('player-alone')
        : leads
          ? t('player-for-all')
          : t('player-led', { name: heard.play!.name })}</span
    >
  </div>
  {#if failed}
    <p role="alert">{t('player-failed')}</p>
  {:else if asks}
    <Button kind="go" onclick={() => void start().then(fall)}>{t('player-listen')}</Button>
  {:else}
    <div class="row">
      {#if mine}
        <Button kind="go" onclick={toggle}>{going ? t('pause') : t('play')}</Button>
      {/if}
      <input
        type="range"
        min="0"
        max={Number.isFinite(length) ? length : 0}
        step="0.1"
        value={place}
        disabled={!mine}
        aria-label={t('player-place')}
        aria-valuetext={told(place)}
        onchange={(event) => goTo(event.currentTarget.valueAsNumber)}
      />
      <output>{told(place)} / {told(Number.isFinite(length) ? length : 0)}</output>
    </div>
  {/if}
  <div class="row ends">
    {#if heard.of === 'video'}
      <Button kind="quiet" onclick={() => (large = !large)}
        >{t(large ? 'player-small' : 'player-large')}</Button
      >
    {/if}
    {#if !alone}
      <Button kind="quiet" aria-pressed={quiet} onclick={() => (quiet = !quiet)}
        >{t(quiet ? 'player-loud' : 'player-quiet')}</Button
      >
    {/if}
    {#if mine}<Button kind="quiet" onclick={() => session.cards.end()}
        >{t(alone ? 'close' : 'player-end')}</Button
      >{/if}
  </div>
</section>

<style>
  section {
    position: absolute;
    right: 12px;
    bottom: 12px;
    width: min(340px, calc(100% - 24px));
    padding: 12px;
    display: grid;
    gap: 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    box-shadow: 0 6px 22px rgb(23 53 47 / 24%);
  }
  .large {
    width: min(760px, calc(100% - 24px));
  }
  section :global(video) {
    width: 100%;
    max-height: 60vh;
    border-radius: 4px;
    background: #16222b;
  }
  .head {
    display: grid;
    overflow-wrap: anywhere;
  }
  .head span,
  output {
    color: var(--muted);
    font-size: 13px;
    font-variant-numeric: tabular-nums;
  }
  .row {
    display: flex;
    align-items: center;
    gap: 8px;
  }
  .ends {
    justify-content: flex-end;
  }
  input {
    flex: 1;
    min-width: 0;
  }
</style>
