import { afterEach, expect, test, vi } from 'vitest'
import { FakeSocket, welcome } from './stub'
import { Overlay } from '../src/board/overlay'
import { pictureOf } from '../src/board/pictures'
import { Session } from '../src/lesson/session.svelte'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

test('a picture that did not come is asked for again, later each time', () => {
  vi.useFakeTimers()
  const asked: string[] = []
  class FakeImage {
    complete = false
    naturalWidth = 0
    onload: () => void = () => {}
    onerror: () => void = () => {}
    set src(address: string) {
      asked.push(address)
      setTimeout(() => this.onerror(), 1)
    }
  }
  vi.stubGlobal('Image', FakeImage)
  expect(pictureOf('sundial')).toBeNull()
  vi.advanceTimersByTime(2_500)
  expect(asked).toHaveLength(2)
  vi.advanceTimersByTime(4_500)
  expect(asked).toHaveLength(3)
  expect(pictureOf('sundial')).toBeNull()
  expect(asked).toHaveLength(3)
})

test('a rub that waits for its answer makes one canvas, however many frames it is shown for', () => {
  const context = (): CanvasRenderingContext2D =>
    new Proxy(
      { canvas: { width: 9, height: 9 } },
      { get: (known, name) => (name === 'canvas' ? known.canvas : () => {}), set: () => true },
    ) as never
  const createElement = vi.fn(() => ({ getContext: context, width: 0, height: 0 }))
  vi.stubGlobal('document', { createElement })
  const picture = { kind: 'picture', id: 'gone', map: [1, 0, 0, 1], x: 0, y: 0, width: 9, height: 9 } as never
  vi.stubGlobal('Image', class {})
  for (let frame = 0; frame < 5; frame++) new Overlay(context(), 1).rubbed([picture], [[0, 0, 5]])
  expect(createElement).toHaveBeenCalledTimes(1)
})

test('what is read while somebody writes is asked for beside the selection, whose answer still counts', () => {
  const session = new Session('tutor', 'link', '')
  const socket = FakeSocket.last
  socket.open()
  socket.hear(welcome())
  const selected = session.selection.askAbout(['stroke-1'])
  session.selection.askAbout(['stroke-2'], true)
  const reads = socket.sent.filter((message) => message.type === 'read')
  expect(reads.map(({ unasked, ref }) => [unasked, ref])).toEqual([
    [false, selected],
    [true, selected + 1],
  ])
  session.close()
})
