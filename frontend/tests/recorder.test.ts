import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import './stub'
import { Recorder } from '../src/call/recorder.svelte'

/** A recorder of the browser's that says when it is told to. */
class FakeMediaRecorder {
  static all: FakeMediaRecorder[] = []
  static isTypeSupported = (kind: string) => kind.startsWith('audio/webm')
  state = 'inactive'
  onstart: (() => void) | null = null
  ondataavailable: ((event: { data: Blob }) => void) | null = null
  onstop: (() => void) | null = null
  onerror: (() => void) | null = null

  constructor(
    readonly stream: unknown,
    readonly options: { mimeType: string },
  ) {
    FakeMediaRecorder.all.push(this)
  }

  start(): void {
    this.state = 'recording'
    this.onstart?.()
  }

  /** So many ms later it has a piece. */
  piece(ms: number, size = 8): void {
    vi.advanceTimersByTime(ms)
    this.ondataavailable?.({ data: new Blob(['s'.repeat(size)]) })
  }

  stop(): void {
    this.state = 'inactive'
    this.ondataavailable?.({ data: new Blob(['end']) })
    this.onstop?.()
  }
}

type Answer = { status: number; body: unknown } | 'silent'

let asked: { path: string; size: number }[]
let answer: (path: string) => Answer
let said: string[]
let told: { on: boolean; id: string }[]
let microphones: { track: EventTarget & { stop(): void }; stopped: boolean }[]
let clockAhead: number
let page: string
let voice: MediaStreamTrack | null | undefined
let recorder: Recorder

const made = (): Answer => ({ status: 200, body: { id: `rec-${begun().length}` } })
const begun = () => asked.filter(({ path }) => path.endsWith('/recordings')).map(({ path }) => path)
const paths = () => asked.map(({ path }) => path.replace(/\?.*/, ''))
const begin = async () => {
  await recorder.start()
  recorder.hear({ type: 'recorded', seat: 'seat-a', name: 'Imani', id: told.at(-1)!.id })
  return FakeMediaRecorder.all.at(-1)!
}
/** What waits for answers goes on. */
const settled = async (ms = 0) => void (await vi.advanceTimersByTimeAsync(ms))

beforeEach(() => {
  vi.useFakeTimers()
  FakeMediaRecorder.all = []
  ;[asked, said, told, microphones] = [[], [], [], []]
  ;[clockAhead, page, voice] = [0, 'page-one', undefined]
  answer = made
  vi.stubGlobal('MediaRecorder', FakeMediaRecorder)
  vi.stubGlobal('MediaStream', class {})
  const node = { connect: () => {}, disconnect: () => {}, start: () => {}, offset: { value: 1 } }
  vi.stubGlobal(
    'AudioContext',
    class {
      resume = async () => {}
      close = async () => {}
      createMediaStreamDestination = () => ({ ...node, stream: {} })
      createConstantSource = () => node
      createMediaStreamSource = () => node
    },
  )
  vi.stubGlobal('navigator', {
    mediaDevices: {
      getUserMedia: async () => {
        const one = { track: Object.assign(new EventTarget(), { stop: () => {} }), stopped: false }
        one.track.stop = () => void (one.stopped = true)
        microphones.push(one)
        return { getTracks: () => [one.track] }
      },
    },
  })
  vi.stubGlobal('document', { cookie: '' })
  vi.stubGlobal('fetch', async (path: string, { body }: { body?: Blob | string }) => {
    asked.push({ path, size: body instanceof Blob ? body.size : 0 })
    const given = answer(path)
    if (given === 'silent') throw new TypeError('no net')
    return new Response(JSON.stringify(given.body), { status: given.status })
  })
  recorder = new Recorder(() => voice)
  recorder.attach({
    send: ({ on, id }) => (told.push({ on, id }), true),
    nowMs: () => Date.now() + clockAhead,
    at: () => ({ board: 'board-1', page }),
    warn: (sentence) => void said.push(sentence),
  })
})

afterEach(() => {
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('a recording', () => {
  test('begins when everybody was told, and not before', async () => {
    await recorder.start()
    expect(told).toEqual([{ on: true, id: told[0]!.id }])
    expect(FakeMediaRecorder.all).toEqual([])
    recorder.hear({ type: 'recorded', seat: 'seat-a', name: 'Imani', id: told[0]!.id })
    expect(FakeMediaRecorder.all[0]!.state).toBe('recording')
  })

  test('goes up in pieces, in their order, and ends', async () => {
    const made = await begin()
    made.piece(5_000)
    made.piece(5_000)
    recorder.stop()
    await settled()
    expect(paths()).toEqual([
      '/api/boards/board-1/recordings',
      '/api/recordings/rec-1/pieces/0',
      '/api/recordings/rec-1/pieces/1',
      '/api/recordings/rec-1/pieces/2',
      '/api/recordings/rec-1/end',
    ])
    expect(asked[2]!.path).toContain('until=10000')
    expect(recorder.waitingMs).toBe(0)
    expect(told.at(-1)!.on).toBe(false)
    expect(microphones[0]!.stopped).toBe(true)
  })

  test('says at which moment which page was looked at, each once', async () => {
    const made = await begin()
    vi.advanceTimersByTime(1_500)
    page = 'page-two'
    recorder.turned()
    recorder.turned()
    made.piece(3_500)
    made.piece(5_000)
    await settled()
    const turns = asked
      .map(({ path }) => new URLSearchParams(path.split('?')[1]).get('turns'))
      .filter((one) => one !== null)
    expect(turns).toEqual(['60:board-1:page-one 1560:board-1:page-two', ''])
  })

  test('loses nothing while the net is gone: a piece is sent until the server has it', async () => {
    const made = await begin()
    await settled()
    answer = () => 'silent'
    made.piece(5_000)
    made.piece(5_000)
    await settled(60_000)
    expect(recorder.waitingMs).toBe(10_000)
    expect(new Set(paths().slice(1))).toEqual(new Set(['/api/recordings/rec-1/pieces/0']))
    const tries = asked.length
    expect(tries).toBeLessThan(12)
    answer = () => ({ status: 200, body: {} })
    await settled(10_000)
    expect(paths().slice(tries)).toEqual(['/api/recordings/rec-1/pieces/0', '/api/recordings/rec-1/pieces/1'])
    expect(recorder.waitingMs).toBe(0)
    expect(said).toEqual([])
  })

  test.each([429, 500, 503])('waits while the server answers %i, and goes on', async (status) => {
    const made = await begin()
    await settled()
    answer = () => ({ status, body: null })
    made.piece(5_000)
    await settled(1_000)
    expect(recorder.waitingMs).toBe(5_000)
    answer = () => ({ status: 200, body: {} })
    await settled(2_000)
    expect(recorder.waitingMs).toBe(0)
    expect(recorder.on).toBe(true)
  })

  test('that the server takes no more of ends, with a sentence, and sends nothing more', async () => {
    const made = await begin()
    await settled()
    answer = () => 'silent'
    made.piece(5_000)
    made.piece(5_000)
    answer = (path) => (path.includes('/pieces/') ? { status: 413, body: null } : { status: 200, body: {} })
    await settled(5_000)
    expect(recorder.on).toBe(false)
    expect(recorder.waitingMs).toBe(0)
    expect(said).toHaveLength(1)
    const count = asked.length
    await settled(60_000)
    expect(asked).toHaveLength(count)
  })

  test('whose clock slept is ended, and another begins', async () => {
    const first = await begin()
    first.piece(5_000)
    clockAhead = 600_000
    first.piece(5_000)
    expect(first.state).toBe('inactive')
    const second = FakeMediaRecorder.all.at(-1)!
    expect(second).not.toBe(first)
    second.piece(5_000)
    await settled()
    expect(begun()).toHaveLength(2)
    expect(paths().filter((path) => path.endsWith('/end'))).toEqual(['/api/recordings/rec-1/end'])
    expect(paths().at(-1)).toBe('/api/recordings/rec-2/pieces/0')
  })

  test('of another device ends this one', async () => {
    const made = await begin()
    recorder.hear({ type: 'recorded', seat: 'seat-a', name: 'Imani', id: 'that of the phone' })
    expect([recorder.on, made.state]).toEqual([false, 'inactive'])
    expect(recorder.now!.id).toBe('that of the phone')
  })

  test('that is refused takes nothing down; one that runs is not touched by an old refusal', async () => {
    await recorder.start()
    recorder.refused()
    expect([recorder.on, microphones[0]!.stopped]).toEqual([false, true])
    await begin()
    recorder.refused()
    expect(recorder.on).toBe(true)
  })

  test('is told again when the line is back', async () => {
    await begin()
    const { id } = told[0]!
    recorder.joined({ type: 'recorded', seat: '', name: '', id: '' })
    expect(told).toEqual([
      { on: true, id },
      { on: true, id },
    ])
    expect(recorder.now).toBeNull()
  })
})

describe('what is heard', () => {
  test('is what the call hears, when there is one: no microphone of its own is opened', async () => {
    voice = new EventTarget() as MediaStreamTrack
    await begin()
    expect(microphones).toEqual([])
    // The call ends: the recording goes on by itself.
    voice = undefined
    await recorder.follow()
    expect(microphones).toHaveLength(1)
    expect(recorder.on).toBe(true)
    // And comes again: one microphone is enough.
    voice = new EventTarget() as MediaStreamTrack
    await recorder.follow()
    expect(microphones[0]!.stopped).toBe(true)
  })

  test('is nothing in a pause, whose microphone is let go', async () => {
    await begin()
    recorder.pause(true)
    expect(microphones[0]!.stopped).toBe(true)
    recorder.pause(false)
    await settled()
    expect(microphones).toHaveLength(2)
    expect(microphones[1]!.stopped).toBe(false)
    expect(recorder.on).toBe(true)
  })

  test('ends with the microphone that is pulled out, in a sentence', async () => {
    const made = await begin()
    microphones[0]!.track.dispatchEvent(new Event('ended'))
    expect([recorder.on, made.state, said.length]).toEqual([false, 'inactive', 1])
  })

  test('needs a microphone and a browser that records', async () => {
    vi.stubGlobal('navigator', {
      mediaDevices: { getUserMedia: () => Promise.reject(new DOMException('', 'NotAllowedError')) },
    })
    await recorder.start()
    expect([recorder.on, told, said.length]).toEqual([false, [], 1])
    vi.stubGlobal('MediaRecorder', class {})
    Object.assign(globalThis.MediaRecorder, { isTypeSupported: () => false })
    await recorder.start()
    expect([recorder.on, told, said.length]).toEqual([false, [], 2])
  })
})
