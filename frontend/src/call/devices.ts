/** Microphones, cameras and loudspeakers; and made-up ones for where there are none, or for trying alone. */

import { t } from '../words/words.svelte'
import { keepHere } from '../words/here'

export type Kind = 'voice' | 'face'
/** What a browser says of a device that was asked for by its name and is there no more. */
const GONE = ['OverconstrainedError', 'NotFoundError']
export const MADE_UP = 'made-up'

export class DeviceError extends Error {
  constructor(readonly why: 'none' | 'refused' | 'busy') {
    super(why)
  }
}

/** Why the browser did not open a device. */
export function deviceError(error: unknown): DeviceError {
  const { name } = error as Error
  return new DeviceError(
    name === 'NotAllowedError' ? 'refused' : name === 'NotReadableError' ? 'busy' : 'none',
  )
}

/** Whether another device may do, as the one that was chosen before is gone. */
export function isGone(id: string, error: unknown): boolean {
  return id !== '' && GONE.includes((error as Error).name)
}

/** What is said of a device that is not on: there is none, it is not allowed, in use elsewhere, or was unplugged. */
export const OFF = {
  voice: {
    none: 'no-microphone',
    refused: 'microphone-refused',
    busy: 'microphone-busy',
    gone: 'microphone-gone',
  },
  face: {
    none: 'no-camera-there',
    refused: 'camera-was-refused',
    busy: 'camera-busy',
    gone: 'camera-gone',
  },
} as const

/** Why a device could not be opened, in words. */
export function whyOff(kind: Kind, error: unknown): string {
  return t(OFF[kind][error instanceof DeviceError ? error.why : 'none'])
}

export interface Device {
  track: MediaStreamTrack
  madeUp: boolean
  close(): void
}

export interface Found {
  id: string
  label: string
}

/** What was chosen last time, in this browser. */
export interface Kept {
  voice: string
  face: string
  speaker: string
  /** Come in with microphone and camera on. */
  withVoice: boolean
  withFace: boolean
  /** Few data: a small picture, seldom. */
  low: boolean
}

const KEPT_AS = 'sunroom-call'
const SMALL = { width: { ideal: 640 }, height: { ideal: 480 }, frameRate: { ideal: 15 } }

export function keptChoices(): Kept {
  const first: Kept = { voice: '', face: '', speaker: '', withVoice: true, withFace: true, low: false }
  try {
    return { ...first, ...(JSON.parse(localStorage.getItem(KEPT_AS) ?? '{}') as Partial<Kept>) }
  } catch {
    return first
  }
}

export function keepChoices(kept: Kept): void {
  keepHere(KEPT_AS, JSON.stringify(kept))
}

/** Open a device, the browser's own choice when none is named; rejects with DeviceError. */
export async function openDevice(kind: Kind, id: string, name: string): Promise<Device> {
  if (id === MADE_UP) return kind === 'voice' ? madeUpVoice() : madeUpFace(name)
  const which = id ? { deviceId: { exact: id } } : {}
  const wanted =
    kind === 'voice'
      ? { audio: { ...which, echoCancellation: true, noiseSuppression: true, autoGainControl: true } }
      : { video: { ...which, ...SMALL } }
  try {
    const stream = await navigator.mediaDevices.getUserMedia(wanted)
    const [track] = stream.getTracks()
    return { track: track!, madeUp: false, close: () => track!.stop() }
  } catch (error) {
    if (isGone(id, error)) return openDevice(kind, '', name)
    throw deviceError(error)
  }
}

export async function devicesOf(kind: MediaDeviceKind): Promise<Found[]> {
  const all = (await navigator.mediaDevices?.enumerateDevices().catch(() => [])) ?? []
  return all
    .filter((device) => device.kind === kind && device.deviceId)
    .map(({ deviceId, label }) => ({ id: deviceId, label }))
}

const [WIDE, HIGH, FRAMES_PER_S] = [320, 240, 10]

/** A moving picture with a name: a sun that goes round a sundial. */
export function madeUpFace(name: string): Device {
  const canvas = document.createElement('canvas')
  ;[canvas.width, canvas.height] = [WIDE, HIGH]
  const context = canvas.getContext('2d')!
  const began = performance.now()
  const paint = () => {
    const turn = ((performance.now() - began) / 6_000) * 2 * Math.PI
    context.fillStyle = '#e9dfc8'
    context.fillRect(0, 0, WIDE, HIGH)
    context.fillStyle = '#e2a32b'
    context.beginPath()
    context.arc(WIDE / 2 + 100 * Math.cos(turn), 70 + 40 * Math.sin(turn), 22, 0, 2 * Math.PI)
    context.fill()
    context.strokeStyle = '#1d5c5f'
    context.lineWidth = 8
    context.beginPath()
    context.moveTo(WIDE / 2, 130)
    context.lineTo(WIDE / 2 - 60 * Math.cos(turn), 130 - 20 * Math.sin(turn))
    context.stroke()
    context.fillStyle = '#16222b'
    context.font = '600 34px sans-serif'
    context.textAlign = 'center'
    context.fillText(name.slice(0, 16), WIDE / 2, 190)
  }
  paint()
  const [track] = canvas.captureStream(FRAMES_PER_S).getTracks()
  // A canvas sends a picture only when it is painted.
  const timer = setInterval(paint, 1_000 / FRAMES_PER_S)
  const close = () => {
    clearInterval(timer)
    track!.stop()
  }
  return { track: track!, madeUp: true, close }
}

/** A soft tone that comes and goes, as somebody does who speaks. */
export function madeUpVoice(): Device {
  const context = new AudioContext()
  void context.resume()
  const tone = context.createOscillator()
  tone.frequency.value = 220
  const loudness = context.createGain()
  const swell = context.createOscillator()
  swell.frequency.value = 0.5
  const depth = context.createGain()
  depth.gain.value = 0.08
  loudness.gain.value = 0.08
  swell.connect(depth).connect(loudness.gain)
  const out = context.createMediaStreamDestination()
  tone.connect(loudness).connect(out)
  tone.start()
  swell.start()
  const [track] = out.stream.getTracks()
  const close = () => {
    track!.stop()
    void context.close()
  }
  return { track: track!, madeUp: true, close }
}
