<script lang="ts">
  /** What somebody shows to everybody, live over the board; its still is put on the page to be written on. */
  import type { Session } from '../lesson/session.svelte'
  import Button from '../ui/Button.svelte'
  import type { Caller } from '../wire/generated'
  import { t } from '../words/words.svelte'

  interface Props {
    session: Session
    caller: Caller
    /** Put a picture on the page, in the middle of what is seen. */
    ontake: (still: Blob) => void
    /** Below the strip of faces. */
    lower: boolean
  }
  let { session, caller, ontake, lower }: Props = $props()
  const { call } = $derived(session)
  const own = $derived(caller.id === call.showId)
  const stream = $derived(own ? call.showing : (call.faces.get(caller.id) ?? null))
  const name = $derived(session.people.nameOf(caller.seat))
  let video = $state<HTMLVideoElement>()
  let small = $state(false)
  /** A picture has come: there is something of which to take a still. */
  let seen = $state(false)

  function take() {
    if (!video) return
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [video.videoWidth, video.videoHeight]
    canvas.getContext('2d')!.drawImage(video, 0, 0)
    canvas.toBlob((blob) => blob && ontake(blob), 'image/png')
  }
</script>

{#if stream}
  <section aria-label={t('shown-by', { name })} class:small class:lower>
    <header>
      <b>{own ? t('shown-by-you') : t('shown-by', { name })}</b>
      <button onclick={() => (small = !small)}>{small ? t('show-larger') : t('show-smaller')}</button>
      {#if own}<button onclick={() => call.stopShowing()}>{t('show-stop')}</button>{/if}
    </header>
    {#key stream}
      <!-- svelte-ignore a11y_media_has_caption -->
      <video
        bind:this={video}
        autoplay
        playsinline
        muted
        onloadeddata={() => (seen = true)}
        {@attach (it) => {
          seen = false
          it.srcObject = stream
        }}
      ></video>
    {/key}
    {#if session.pictures.bringing}
      <span class="bringing" role="status">{t('bringing-the-picture-in')}</span>
      <Button kind="cream" onclick={() => session.pictures.bringing?.abort()}>{t('give-up')}</Button>
    {:else if session.rights.may('add_picture')}
      <Button kind="go" disabled={!seen} onclick={take}>{t('show-still')}</Button>
    {/if}
  </section>
{/if}

<style>
  section {
    grid-area: board;
    place-self: start;
    z-index: 2;
    margin: 10px;
    width: min(560px, calc(100% - 20px));
    display: grid;
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
    padding: 4px;
    background: var(--frame);
    color: var(--on-frame);
    border-radius: var(--radius);
    box-shadow: 0 3px 14px rgb(0 0 0 / 40%);
  }
  .small {
    width: 300px;
  }
  .lower {
    margin-top: 112px;
  }
  @media (max-width: 600px) {
    .lower {
      margin-top: 86px;
    }
  }
  header {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 6px;
    min-height: 40px;
    padding-inline-start: 8px;
  }
  header b {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .bringing {
    padding: 8px;
  }
  header button {
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    background: none;
    color: inherit;
    font: inherit;
    font-size: 14px;
  }
  video {
    width: 100%;
    max-height: 56vh;
    background: #000;
  }
</style>
