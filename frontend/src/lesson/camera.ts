/** A camera's picture; and a made-up one for where there is none. */
import { deviceError, isGone } from '../call/devices'

export interface CameraPicture {
  stream: MediaStream
  madeUp: boolean
  close(): void
}

/** The picture of a camera, the one at the back when none is named; rejects with DeviceError. */
export async function openCamera(deviceId = ''): Promise<CameraPicture> {
  const wanted = deviceId ? { deviceId: { exact: deviceId } } : { facingMode: 'environment' }
  try {
    const stream = await navigator.mediaDevices.getUserMedia({
      video: { ...wanted, width: { ideal: 2560 }, height: { ideal: 1920 } },
    })
    return { stream, madeUp: false, close: () => stream.getTracks().forEach((track) => track.stop()) }
  } catch (error) {
    if (isGone(deviceId, error)) return openCamera()
    throw deviceError(error)
  }
}

export async function cameras(): Promise<MediaDeviceInfo[]> {
  const devices = await navigator.mediaDevices.enumerateDevices()
  return devices.filter(({ kind, deviceId }) => kind === 'videoinput' && deviceId)
}

/** What a window shows just now, which the browser lets be chosen; rejects when none is. */
export async function screenPicture(): Promise<Blob> {
  const stream = await navigator.mediaDevices.getDisplayMedia({ video: true })
  try {
    const video = document.createElement('video')
    video.srcObject = stream
    video.muted = true
    await video.play()
    const canvas = document.createElement('canvas')
    ;[canvas.width, canvas.height] = [video.videoWidth, video.videoHeight]
    canvas.getContext('2d')!.drawImage(video, 0, 0)
    return await new Promise<Blob>((done, failed) =>
      canvas.toBlob((blob) => (blob ? done(blob) : failed(new Error())), 'image/png'),
    )
  } finally {
    stream.getTracks().forEach((track) => track.stop())
  }
}

const [WIDE, HIGH] = [1600, 1200]
/** The made-up sheet's corners as a camera sees A4, clockwise from the upper left, in parts of the picture. */
const SHEET = [
  [0.3217, 0.0841],
  [0.7332, 0.1477],
  [0.6456, 0.8082],
  [0.3003, 0.8242],
] as const
/** Written on it: lines of points in parts of the sheet, each in a colour. */
const WRITTEN: [string, [number, number][]][] = [
  ['#1f2d3a', wave(0.12, 0.7, 9)],
  ['#1f2d3a', wave(0.2, 0.82, 11)],
  ['#b3312c', [...arc(0.3, 0.42, 0.14), [0.44, 0.42]]],
  ['#1d4f91', [[0.55, 0.55], [0.55, 0.32], [0.85, 0.55], [0.55, 0.55]]],
  ['#1f2d3a', wave(0.68, 0.75, 10)],
  ['#1f2d3a', wave(0.76, 0.6, 8)],
  ['#1d4f91', [[0.12, 0.84], [0.62, 0.84]]],
] // prettier-ignore

function wave(y: number, until: number, bumps: number): [number, number][] {
  return Array.from({ length: 160 }, (_, i) => {
    const x = 0.12 + ((until - 0.12) * i) / 159
    return [x, y + 0.012 * Math.sin((bumps * 2 * Math.PI * i) / 159) * (1 + 0.5 * Math.sin(i))]
  })
}

function arc(x: number, y: number, radius: number): [number, number][] {
  return Array.from({ length: 60 }, (_, i) => [
    x + radius * Math.cos((2 * Math.PI * i) / 59),
    y + radius * 0.7 * Math.sin((2 * Math.PI * i) / 59),
  ])
}

/** A sheet on a desk, seen askew, in the light of one lamp. */
export function madeUpCamera(): CameraPicture {
  const canvas = document.createElement('canvas')
  ;[canvas.width, canvas.height] = [WIDE, HIGH]
  const context = canvas.getContext('2d')!
  paint(context)
  const stream = canvas.captureStream(10)
  // A canvas sends a picture only when it is painted.
  const timer = setInterval(() => paint(context), 200)
  return {
    stream,
    madeUp: true,
    close: () => {
      clearInterval(timer)
      stream.getTracks().forEach((track) => track.stop())
    },
  }
}

function paint(context: CanvasRenderingContext2D): void {
  context.fillStyle = '#8a6642'
  context.fillRect(0, 0, WIDE, HIGH)
  const at = ([u, v]: readonly [number, number]): [number, number] => {
    const [a, b, c, d] = SHEET
    const x = (1 - v) * ((1 - u) * a[0] + u * b[0]) + v * ((1 - u) * d[0] + u * c[0])
    const y = (1 - v) * ((1 - u) * a[1] + u * b[1]) + v * ((1 - u) * d[1] + u * c[1])
    return [x * WIDE, y * HIGH]
  }
  const line = (points: readonly (readonly [number, number])[]) => {
    context.beginPath()
    for (const point of points) context.lineTo(...at(point))
  }
  line([
    [0, 0],
    [1, 0],
    [1, 1],
    [0, 1],
  ])
  context.closePath()
  context.fillStyle = '#f3efe6'
  context.fill()
  context.lineWidth = 5
  context.lineJoin = context.lineCap = 'round'
  for (const [colour, points] of WRITTEN) {
    context.strokeStyle = colour
    line(points)
    context.stroke()
  }
  const lamp = context.createRadialGradient(0.3 * WIDE, 0.2 * HIGH, 60, 0.4 * WIDE, 0.4 * HIGH, WIDE)
  lamp.addColorStop(0, 'rgb(40 25 0 / 0%)')
  lamp.addColorStop(1, 'rgb(40 25 0 / 55%)')
  context.fillStyle = lamp
  context.fillRect(0, 0, WIDE, HIGH)
}
