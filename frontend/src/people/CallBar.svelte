<script lang="ts">
  /** Into the call and out of it, microphone and camera, and all that is set about it. */
  import type { Session } from '../lesson/session.svelte'
  import { DeviceError, whyOff } from '../call/devices'
  import { madeUpCamera, openCamera, type CameraPicture } from '../lesson/camera'
  import Icon from '../ui/Icon.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import Select from '../ui/Select.svelte'
  import { looks } from '../ui/looks.svelte'
  import type { Facts } from '../wire/generated'
  import { t } from '../words/words.svelte'
  import CallDevices from './CallDevices.svelte'

  let { session, bare = false }: { session: Session; bare?: boolean } = $props()
  const { call } = $derived(session)
  const facts = $derived(session.lesson?.facts)

  /** A window that is chosen in the browser's own dialog, live and for everybody. */
  async function showWindow() {
    const stream = await navigator.mediaDevices?.getDisplayMedia({ video: true }).catch(() => null)
    const track = stream?.getVideoTracks()[0]
    if (track) call.show(track, () => track.stop())
    else session.warn(t('screen-refused'))
  }

  /** A camera over a sheet of paper; a made-up one where there is none. */
  async function showCamera() {
    let camera: CameraPicture
    try {
      camera = await openCamera()
    } catch (error) {
      if (!(error instanceof DeviceError) || error.why !== 'none') return session.warn(whyOff('face', error))
      camera = madeUpCamera()
      session.say(t('show-made-up'))
    }
    call.show(camera.stream.getVideoTracks()[0]!, camera.close)
  }

  const AT = [
    { value: 'column', label: t('faces-column') },
    { value: 'strip', label: t('faces-strip') },
    { value: 'big', label: t('faces-big') },
    { value: 'nowhere', label: t('faces-nowhere') },
  ] as const
  const WHO: { value: Facts['voices']; label: string }[] = [
    { value: 'all', label: t('everybody') },
    { value: 'pens', label: t('call-those-with-a-pen') },
    { value: 'tutor_side', label: t('tutor-side') },
  ]
</script>

<div class="bar" class:bare role="group" aria-label={t('call')}>
  {#if call.on}
    <button
      class:off={!call.voice}
      aria-pressed={call.voice}
      aria-label={t('device-microphone')}
      title={call.voice ? t('microphone-off') : t('microphone-on')}
      onclick={() => void call.set('voice', !call.voice)}
      ><Icon name={call.voice ? 'mic' : 'nomic'} size={20} /></button
    >
    <button
      class:off={!call.face}
      aria-pressed={call.face}
      aria-label={t('device-camera')}
      title={call.face ? t('camera-off') : t('camera-on')}
      onclick={() => void call.set('face', !call.face)}
      ><Icon name={call.face ? 'film' : 'nofilm'} size={20} /></button
    >
    <Popover label={t('call-settings')} side="right" below>
      {#snippet face()}<Icon name="more" size={18} />{/snippet}
      {#snippet children(close)}
        <div class="panel">
          <Select
            label={t('faces-where')}
            options={AT}
            bind:value={() => looks.facesAt, (facesAt) => looks.set({ facesAt })}
          />
          {#if session.people.tutorSide && facts}
            <Select
              label={t('call-who-speaks')}
              options={WHO}
              bind:value={
                () => facts.voices, (who) => session.tell({ command: 'set_voices', who, faces: false })
              }
            />
            <Select
              label={t('call-who-is-seen')}
              options={WHO}
              bind:value={
                () => facts.faces, (who) => session.tell({ command: 'set_voices', who, faces: true })
              }
            />
          {/if}
          <CallDevices {call} />
          <label
            ><input type="checkbox" bind:checked={() => call.hidesOwn, (hides) => (call.hidesOwn = hides)} />
            {t('call-hide-own')}</label
          >
          <label
            ><input type="checkbox" bind:checked={() => call.kept.low, (low) => void call.choose({ low })} />
            {t('call-low-data')}</label
          >
          {#if call.showing}
            <MenuButton onclick={() => (close(), call.stopShowing())}>{t('show-stop')}</MenuButton>
          {:else if session.rights.may('add_picture')}
            <MenuButton onclick={() => (close(), void showWindow())}>{t('show-window')}</MenuButton>
            <MenuButton onclick={() => (close(), void showCamera())}>{t('show-camera')}</MenuButton>
          {/if}
          <MenuButton onclick={() => (close(), call.end())}>{t('call-leave')}</MenuButton>
        </div>
      {/snippet}
    </Popover>
  {:else}
    <button class="join" onclick={() => void call.begin()}
      ><Icon name="voices" size={18} />{call.people.length
        ? t('call-join-with', { count: call.people.length })
        : t('call-join')}</button
    >
  {/if}
</div>

<style>
  .bar {
    display: flex;
    gap: 4px;
    padding: 0 10px 6px;
    flex: none;
  }
  .bare {
    padding: 0;
  }
  .bar > button {
    min-height: 40px;
    min-width: 44px;
    display: flex;
    align-items: center;
    justify-content: center;
    gap: 6px;
    padding: 0 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
    font: inherit;
    font-size: 14px;
    font-weight: 600;
  }
  .bar > button:not(.join) {
    flex: 1;
  }
  .bare > button:not(.join) {
    flex: none;
  }
  .join {
    flex: 1;
  }
  .off {
    color: var(--clay);
  }
  .panel {
    display: grid;
    gap: 10px;
    width: 320px;
    max-width: 100%;
  }
  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
    font-size: 14px;
  }
</style>
