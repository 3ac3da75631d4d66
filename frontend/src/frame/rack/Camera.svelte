<script lang="ts">
  /** A picture taken with this device's camera: seen first, then put on the page. */
  import { onMount, untrack } from 'svelte'
  import { DeviceError, whyOff } from '../../call/devices'
  import { cameras, madeUpCamera, openCamera, type CameraPicture } from '../../lesson/camera'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  let dialog: ReturnType<typeof Dialog>
  let video = $state<HTMLVideoElement>()
  let picture = $state.raw<CameraPicture | null>(null)
  let devices = $state.raw<MediaDeviceInfo[]>([])
  let device = $state('')
  let why = $state('')
  let taken = $state.raw<Blob | null>(null)
  let paper = $state(true)
  let gone = false
  const takenAddress = $derived(taken ? URL.createObjectURL(taken) : '')
  $effect(() => {
    const address = takenAddress
    return () => URL.revokeObjectURL(address)
  })

  onMount(() => {
    void open()
    return () => {
      gone = true
      untrack(() => picture)?.close()
    }
  })
  $effect(() => {
    if (video && picture) video.srcObject = picture.stream
  })

  async function open(madeUp = false) {
    picture?.close()
    try {
      const opened = madeUp ? madeUpCamera() : await openCamera(device)
      if (gone) return opened.close()
      // Another one may have been opened meanwhile.
      picture?.close()
      picture = opened
      why = ''
      if (!madeUp) devices = await cameras()
    } catch (error) {
      why = error instanceof DeviceError && error.why !== 'none' ? whyOff('face', error) : t('camera-none')
    }
  }

  function take() {
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [video!.videoWidth, video!.videoHeight]
    if (!canvas.width) return
    canvas.getContext('2d')!.drawImage(video!, 0, 0)
    canvas.toBlob((blob) => (taken = blob), 'image/jpeg', 0.92)
  }

  async function use() {
    const blob = taken!
    dialog.close()
    const [made] = await session.pictures.put([blob])
    if (made && paper) session.pictures.cutting = { id: made, sheet: true }
  }
</script>

<Dialog bind:this={dialog} title={t('camera')} width={760} shut={false} {onclose} data-testid="camera">
  {#if why}
    <p role="alert">{why}</p>
    <div class="row">
      <Button onclick={() => open()}>{t('camera-again')}</Button>
      <Button onclick={() => open(true)}>{t('camera-made-up')}</Button>
      <Button kind="quiet" onclick={() => dialog.close()}>{t('cancel')}</Button>
    </div>
  {:else}
    <div class="seen">
      {#if taken}<img src={takenAddress} alt="" />{/if}
      <!-- svelte-ignore a11y_media_has_caption -->
      <video bind:this={video} autoplay playsinline muted class:hidden={taken}></video>
    </div>
    {#if picture?.madeUp}<p>{t('camera-is-made-up')}</p>{/if}
    <div class="row">
      {#if taken}
        <label class="paper"><input type="checkbox" bind:checked={paper} /> {t('camera-paper')}</label>
        <Button onclick={() => (taken = null)}>{t('camera-again')}</Button>
        <Button kind="go" onclick={use}>{t('camera-use')}</Button>
      {:else}
        {#if devices.length > 1}
          <select aria-label={t('camera-which')} bind:value={device} onchange={() => open()}>
            {#each devices as { deviceId, label }, i (deviceId)}
              <option value={deviceId}>{label || t('camera-number', { number: i + 1 })}</option>
            {/each}
          </select>
        {/if}
        <Button kind="quiet" onclick={() => dialog.close()}>{t('cancel')}</Button>
        <Button kind="go" disabled={!picture} onclick={take}>{t('camera-take')}</Button>
      {/if}
    </div>
  {/if}
</Dialog>

<style>
  p {
    margin: 0;
    color: var(--muted);
  }
  .seen {
    display: grid;
    place-items: center;
    min-height: 200px;
    border-radius: var(--radius);
    background: #17352f;
    overflow: hidden;
  }
  video,
  img {
    max-width: 100%;
    max-height: 56dvh;
    grid-area: 1 / 1;
  }
  .hidden {
    visibility: hidden;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
    align-items: center;
    gap: 8px;
  }
  .paper {
    margin-inline-end: auto;
    min-height: 40px;
    display: flex;
    align-items: center;
    gap: 8px;
  }
  select {
    min-height: 40px;
    margin-inline-end: auto;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
  }
</style>
