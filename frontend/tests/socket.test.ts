import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { FakeSocket } from './stub'
import { Line, type LineState } from '../src/wire/socket'

let states: LineState[]
let line: Line

beforeEach(() => {
  vi.useFakeTimers()
  FakeSocket.all = []
  states = []
  line = new Line('/live/tutor/link', {
    opened: () => {},
    message: () => {},
    state: (state) => states.push(state),
    tooLarge: () => {},
  })
  FakeSocket.last.open()
})

afterEach(() => {
  line.close()
  vi.useRealTimers()
})

test('a line that answers is alive, also where a hidden page asks but once a minute', () => {
  line.close()
  FakeSocket.all = []
  const { setInterval } = globalThis
  vi.stubGlobal('setInterval', (act: () => void) => setInterval(act, 60_000))
  line = new Line('/live/tutor/link', {
    opened: () => {},
    message: () => {},
    state: (s) => states.push(s),
    tooLarge: () => {},
  })
  vi.unstubAllGlobals()
  FakeSocket.last.open()
  states = []
  for (let minute = 0; minute < 5; minute++) {
    vi.advanceTimersByTime(60_000)
    FakeSocket.last.hear({ type: 'pong', at: performance.now() })
  }
  expect(states).toEqual([])
  expect(FakeSocket.all).toHaveLength(1)
})

test('a line that does not answer is opened anew', () => {
  vi.advanceTimersByTime(25_000)
  expect(states.slice(0, 2)).toEqual(['joining', 'lost'])
  expect(FakeSocket.all.length).toBeGreaterThan(1)
})

test('a line that never opens is tried again', () => {
  FakeSocket.last.close()
  vi.advanceTimersByTime(600)
  expect(FakeSocket.all).toHaveLength(2)
  vi.advanceTimersByTime(20_000)
  expect(FakeSocket.all.length).toBeGreaterThan(2)
})
