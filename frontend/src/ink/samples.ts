/** The samples of a stroke as numbers and as bytes; twin of sunroom/core/ink/samples.py. */

import type { InkItem } from '../wire/generated'

/** Four numbers a sample, one after the other: x, y (board units), pressure 0–1, time in ms. */
export type Samples = Float32Array

export const SAMPLE_BYTES = 11
const LITTLE = true
const LITTLE_ENDIAN = new Uint8Array(new Uint16Array([1]).buffer)[0] === 1

export function packSamples(samples: ArrayLike<number>): Uint8Array {
  const count = samples.length / 4
  const bytes = new Uint8Array(count * SAMPLE_BYTES)
  const view = new DataView(bytes.buffer)
  for (let i = 0; i < count; i++) {
    view.setFloat32(8 * i, samples[4 * i]!, LITTLE)
    view.setFloat32(8 * i + 4, samples[4 * i + 1]!, LITTLE)
    view.setUint8(8 * count + i, Math.round(Math.min(1, Math.max(0, samples[4 * i + 2]!)) * 255))
    view.setUint16(9 * count + 2 * i, Math.min(65_535, Math.round(samples[4 * i + 3]!)), LITTLE)
  }
  return bytes
}

export function unpackSamples(bytes: Uint8Array): Samples {
  const count = Math.floor(bytes.length / SAMPLE_BYTES)
  const samples = new Float32Array(count * 4)
  // A copy starts at a whole number of words; where numbers lie the other way round they are read singly.
  const copy = new Uint8Array(bytes.subarray(0, count * SAMPLE_BYTES)).buffer
  const places = LITTLE_ENDIAN ? new Float32Array(copy, 0, 2 * count) : null
  const view = new DataView(copy)
  for (let i = 0; i < count; i++) {
    samples[4 * i] = places ? places[2 * i]! : view.getFloat32(8 * i, LITTLE)
    samples[4 * i + 1] = places ? places[2 * i + 1]! : view.getFloat32(8 * i + 4, LITTLE)
    samples[4 * i + 2] = bytes[8 * count + i]! / 255
    samples[4 * i + 3] = view.getUint16(9 * count + 2 * i, LITTLE)
  }
  return samples
}

const unpacked = new WeakMap<Uint8Array, Samples>()

/** The samples of a stroke, relative to its place; unpacked once. */
export function samplesOf(item: InkItem): Samples {
  let samples = unpacked.get(item.samples)
  if (!samples) unpacked.set(item.samples, (samples = unpackSamples(item.samples)))
  return samples
}
