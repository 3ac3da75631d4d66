<script lang="ts">
  /** Before coming in: does the camera, the microphone, the loudspeaker, the pen, the line work, and if not, what to do. */
  import { onDestroy, onMount, untrack } from 'svelte'
  import type { Call } from '../call/call.svelte'
  import { openDevice, whyOff, type Device, type Kind } from '../call/devices'
  import { Levels } from '../call/levels'
  import Button from '../ui/Button.svelte'
  import { t, type Plain } from '../words/words.svelte'
  import CallDevices from './CallDevices.svelte'

  let { call, name }: { call: Call; name: string } = $props()
  const TRIES = 5
  const SLOW_MS = 250
  const FELT: Record<string, Plain> = { touch: 'felt-finger', mouse: 'felt-mouse' }
  /** What this browser lacks for a call. */
  const lacks: Plain | null =
    typeof RTCPeerConnection === 'undefined'
      ? 'browser-has-no-call'
      : navigator.mediaDevices
        ? null
        : 'browser-needs-https'

  let trying = $state(false)
  let problems = $state<Partial<Record<Kind, string>>>({})
  let face = $state.raw<MediaStream | null>(null)
  let level = $state(0)
  let heard = $state(false)
  let felt = $state('')
  let line = $state('')
  let canvas = $state<HTMLCanvasElement>()
  const devices: Partial<Record<Kind, Device>> = {}
  /** What comes after another was chosen, or after this was shut, is closed at once: no light stays on. */
  const turns = { voice: 0, face: 0 }
  const levels = new Levels(() => {
    level = Math.min(1, levels.of('own') * 6)
    if (levels.speaks('own')) heard = true
  })

  onMount(() => void measureLine())
  onDestroy(() => {
    turns.voice++
    turns.face++
    for (const device of Object.values(devices)) device.close()
    levels.close()
  })

  const voice = $derived(call.kept.voice)
  const camera = $derived(call.kept.face)
  $effect(() => follow('voice', voice))
  $effect(() => follow('face', camera))

  /** Another device may have been chosen. */
  function follow(kind: Kind, id: string) {
    if (trying) void untrack(() => open(kind, id))
  }

  async function open(kind: Kind, id: string) {
    const turn = ++turns[kind]
    devices[kind]?.close()
    delete devices[kind]
    try {
      const device = await openDevice(kind, id, name)
      if (turn !== turns[kind]) return device.close()
      devices[kind] = device
      problems = { ...problems, [kind]: '' }
      if (kind === 'face') face = new MediaStream([device.track])
      else levels.listen('own', device.track)
    } catch (error) {
      if (turn !== turns[kind]) return
      problems = { ...problems, [kind]: whyOff(kind, error) }
      if (kind === 'face') face = null
      else levels.forget('own')
    }
  }

  function sound() {
    const context = new AudioContext()
    for (const [n, pitch] of [523, 659, 784].entries()) {
      const tone = context.createOscillator()
      const loudness = context.createGain()
      loudness.gain.value = 0.12
      tone.frequency.value = pitch
      tone.connect(loudness).connect(context.destination)
      tone.start(context.currentTime + n * 0.25)
      tone.stop(context.currentTime + n * 0.25 + 0.2)
    }
    setTimeout(() => void context.close(), 1_500)
  }

  /** How long an answer takes, and how many of some do not come. */
  async function measureLine() {
    const took: number[] = []
    for (let n = 0; n < TRIES; n++) {
      const began = performance.now()
      const answer = await fetch('/health', { cache: 'no-store' }).catch(() => null)
      if (answer?.ok) took.push(performance.now() - began)
    }
    const ms = Math.round(took.toSorted((a, b) => a - b)[Math.floor(took.length / 2)] ?? 0)
    if (!took.length) line = t('line-check-none')
    else if (took.length < TRIES) line = t('line-check-loses', { lost: TRIES - took.length, of: TRIES })
    else line = ms > SLOW_MS ? t('line-check-slow', { ms }) : t('line-check-good', { ms })
  }

  function scribble(event: PointerEvent) {
    if (event.type === 'pointerdown') {
      ;(event.currentTarget as HTMLElement).setPointerCapture(event.pointerId)
      const context = canvas!.getContext('2d')!
      context.clearRect(0, 0, canvas!.width, canvas!.height)
      context.beginPath()
    }
    if (!event.buttons) return
    const context = canvas!.getContext('2d')!
    context.lineWidth = event.pointerType === 'pen' ? 1 + 5 * event.pressure : 3
    context.lineCap = 'round'
    context.strokeStyle = '#1f5fa8'
    const scale = canvas!.width / canvas!.clientWidth
    context.lineTo(event.offsetX * scale, event.offsetY * scale)
    context.stroke()
    context.beginPath()
    context.moveTo(event.offsetX * scale, event.offsetY * scale)
    if (event.pointerType !== 'pen') felt = t(FELT[event.pointerType] ?? 'felt-mouse')
    // A pen without pressure says one half, always.
    else if (event.pressure !== 0.5 && event.pressure > 0) felt = t('felt-pen')
    else felt ||= t('felt-pen-flat')
  }
</script>

<div class="checks">
  {#if lacks}
    <p class="problem">{t(lacks)}</p>
  {:else if !trying}
    <Button onclick={() => (trying = true)}>{t('check-try')}</Button>
    <small>{t('check-try-hint')}</small>
  {:else}
    <div class="both">
      <div class="face">
        {#if face}
          {#key face}
            <!-- svelte-ignore a11y_media_has_caption -->
            <video autoplay playsinline muted {@attach (video) => void (video.srcObject = face)}></video>
          {/key}
        {/if}
      </div>
      <div class="devices"><CallDevices {call} /></div>
    </div>
    <p class:problem={problems.face} role="status">
      <b>{t('device-camera')}</b>
      {problems.face || (face ? t('works') : t('check-asking'))}
    </p>
    <p class:problem={problems.voice} role="status">
      <b>{t('device-microphone')}</b>
      {problems.voice || (heard ? t('works') : t('check-say-something'))}
      <meter min="0" max="1" value={level} aria-hidden="true"></meter>
    </p>
    <label
      ><input
        type="checkbox"
        checked={call.kept.withVoice}
        onchange={(event) => void call.choose({ withVoice: event.currentTarget.checked })}
      />{t('come-in-with-voice')}</label
    >
    <label
      ><input
        type="checkbox"
        checked={call.kept.withFace}
        onchange={(event) => void call.choose({ withFace: event.currentTarget.checked })}
      />{t('come-in-with-face')}</label
    >
  {/if}
  <p>
    <b>{t('device-speaker')}</b>
    <Button onclick={sound}>{t('check-sound')}</Button>
  </p>
  <p role="status"><b>{t('check-line')}</b> {line || t('check-asking')}</p>
  <p role="status"><b>{t('check-pen')}</b> {felt || t('check-scribble')}</p>
  <canvas
    bind:this={canvas}
    width="800"
    height="160"
    aria-label={t('check-scribble')}
    onpointerdown={scribble}
    onpointermove={scribble}
  ></canvas>
</div>

<style>
  .checks {
    display: grid;
    gap: 8px;
  }
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 12px;
  }
  .face {
    aspect-ratio: 4 / 3;
    align-self: start;
    background: #24413b;
    border-radius: var(--radius);
    overflow: hidden;
  }
  video {
    width: 100%;
    height: 100%;
    object-fit: cover;
    transform: scaleX(-1);
  }
  .devices {
    display: grid;
    gap: 6px;
    align-content: start;
  }
  p {
    margin: 0;
    display: flex;
    flex-wrap: wrap;
    gap: 4px 10px;
    align-items: center;
    font-size: 14px;
  }
  b {
    min-width: 108px;
  }
  .problem {
    color: var(--clay);
  }
  meter {
    width: 120px;
    height: 12px;
  }
  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
    font-size: 14px;
  }
  small {
    color: var(--muted);
    font-size: 13px;
  }
  canvas {
    width: 100%;
    height: 80px;
    background: #fffefa;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    touch-action: none;
  }
  @media (width <= 460px) {
    .both {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
