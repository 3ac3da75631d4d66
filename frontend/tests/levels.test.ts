import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { Levels } from '../src/call/levels'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

/** The end of a way on which sound of this loudness comes, or none; in a browser that counts it, or not. */
const receiver = (levels: (number | undefined)[], counts = true) =>
  ({
    getStats: async () =>
      new Map<string, object>([
        ['codec', { type: 'codec' }],
        ...(levels.length && counts ? [['in', { type: 'inbound-rtp', audioLevel: levels[0] }] as const] : []),
      ]),
    getSynchronizationSources: () => (levels.length ? [{ audioLevel: levels[0] }] : []),
  }) as unknown as RTCRtpReceiver

test('who speaks is known by what comes with the sound, and for a moment after', async () => {
  let told = 0
  const [loud, quiet] = [[0.2], [0.001]]
  const levels = new Levels(() => told++)
  levels.follow('loud', receiver(loud))
  levels.follow('quiet', receiver(quiet))
  levels.follow('none', receiver([]))
  levels.follow('uncounted', receiver([0.3], false))
  await vi.advanceTimersByTimeAsync(500)
  expect(told).toBe(4)
  expect(['loud', 'quiet', 'none'].map((id) => levels.speaks(id))).toEqual([true, false, false])
  expect(['loud', 'none', 'nobody', 'uncounted'].map((id) => levels.of(id))).toEqual([0.2, 0, 0, 0.3])
  loud[0] = 0
  await vi.advanceTimersByTimeAsync(400)
  expect(levels.speaks('loud')).toBe(true)
  await vi.advanceTimersByTimeAsync(700)
  expect(levels.speaks('loud')).toBe(false)
  levels.close()
  await vi.advanceTimersByTimeAsync(1_000)
  expect([told, levels.speaks('loud')]).toEqual([13, false])
})

test('nothing at all from a voice is not the same as little of it', async () => {
  const levels = new Levels(() => {})
  levels.follow('quiet', receiver([0.0001]))
  levels.follow('dead', receiver([0]))
  await vi.advanceTimersByTimeAsync(5_000)
  expect(levels.silentMs('quiet')).toBeLessThan(500)
  expect(levels.silentMs('dead')).toBe(5_000)
  levels.forget('dead')
  expect(levels.silentMs('dead')).toBe(0)
  levels.close()
})

test('a voice whose way has ended, or does not answer, is quiet, and asked no more than once at a time', async () => {
  const levels = new Levels(() => {})
  let asked = 0
  const silent = { getStats: () => (asked++, new Promise(() => {})) } as unknown as RTCRtpReceiver
  const ended = { getStats: () => Promise.reject(new Error('closed')) } as unknown as RTCRtpReceiver
  levels.follow('silent', silent)
  levels.follow('ended', ended)
  await vi.advanceTimersByTimeAsync(5_000)
  expect([asked, levels.of('silent'), levels.of('ended'), levels.speaks('ended')]).toEqual([1, 0, 0, false])
  levels.close()
})

test('who goes on speaking is not quiet between two answers, though these take their time', async () => {
  const levels = new Levels(() => {})
  let late = 0
  const wait = () => new Promise((done) => setTimeout(done, (late = 200 - late)))
  const slow = { getStats: () => wait().then(() => new Map([['in', { audioLevel: 0.2 }]])) }
  levels.follow('loud', slow as unknown as RTCRtpReceiver)
  await vi.advanceTimersByTimeAsync(1_000)
  for (let ms = 0; ms < 3_000; ms += 20) {
    expect(levels.speaks('loud')).toBe(true)
    await vi.advanceTimersByTimeAsync(20)
  }
  levels.close()
})
