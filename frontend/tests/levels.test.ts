import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { Levels } from '../src/call/levels'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** The end of a way on which sound of this loudness comes, or none. */
const receiver = (levels: (number | undefined)[]) =>
  ({
    getSynchronizationSources: () => (levels.length ? [{ audioLevel: levels[0] }] : []),
  }) as unknown as RTCRtpReceiver

test('who speaks is known by what comes with the sound, and for a moment after', () => {
  let told = 0
  const [loud, quiet] = [[0.2], [0.001]]
  const levels = new Levels(() => told++)
  levels.follow('loud', receiver(loud))
  levels.follow('quiet', receiver(quiet))
  levels.follow('none', receiver([]))
  vi.advanceTimersByTime(300)
  expect(told).toBe(2)
  expect(['loud', 'quiet', 'none'].map((id) => levels.speaks(id))).toEqual([true, false, false])
  expect([levels.of('loud'), levels.of('none'), levels.of('nobody')]).toEqual([0.2, 0, 0])
  loud[0] = 0
  vi.advanceTimersByTime(400)
  expect(levels.speaks('loud')).toBe(true)
  vi.advanceTimersByTime(400)
  expect(levels.speaks('loud')).toBe(false)
  levels.close()
  vi.advanceTimersByTime(1_000)
  expect([told, levels.speaks('loud')]).toEqual([9, false])
})

test('nothing at all from a voice is not the same as little of it', () => {
  const levels = new Levels(() => {})
  levels.follow('quiet', receiver([0.0001]))
  levels.follow('dead', receiver([0]))
  vi.advanceTimersByTime(5_000)
  expect(levels.silentMs('quiet')).toBeLessThan(200)
  expect(levels.silentMs('dead')).toBe(5_000)
  levels.forget('dead')
  expect(levels.silentMs('dead')).toBe(0)
  levels.close()
})
