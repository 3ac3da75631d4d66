import fc from 'fast-check'
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest'
import './stub'
import { Call } from '../src/call/call.svelte'
import type { Kind } from '../src/call/devices'
import type { Call as CallMessage, Caller, Caption, Signal } from '../src/wire/generated'

/** A way to another browser that never leaves this one. */
class FakeLine {
  static all: FakeLine[] = []
  connectionState = 'new'
  signalingState = 'stable'
  localDescription: object | null = null
  onconnectionstatechange: (() => void) | null = null
  onnegotiationneeded: (() => void) | null = null
  heard: string[] = []
  restarts = 0
  #transceivers: {
    sender: { track: unknown; encoding: Record<string, number> }
    receiver: { track: { kind: string } }
  }[] = []

  constructor() {
    FakeLine.all.push(this)
  }

  addTransceiver(kind: string) {
    const sender = {
      track: null as unknown,
      replaceTrack: async (track: unknown) => void (sender.track = track),
      encoding: {} as Record<string, number>,
      getParameters: () => ({ encodings: [{}] }),
      setParameters: async (wanted: { encodings: Record<string, number>[] }) =>
        void (sender.encoding = wanted.encodings[0]!),
    }
    this.#transceivers.push({ sender, receiver: { track: { kind } } })
    queueMicrotask(() => this.onnegotiationneeded?.())
  }

  getTransceivers = () => this.#transceivers
  async setLocalDescription() {
    this.localDescription = {
      type: this.signalingState === 'have-remote-offer' ? 'answer' : 'offer',
      sdp: '',
    }
    this.signalingState = this.signalingState === 'have-remote-offer' ? 'stable' : 'have-local-offer'
  }
  async setRemoteDescription({ type }: { type: string }) {
    this.heard.push(type)
    if (type === 'offer' && !this.#transceivers.length)
      for (const kind of ['audio', 'video']) this.addTransceiver(kind)
    this.signalingState = type === 'offer' ? 'have-remote-offer' : 'stable'
  }
  async addIceCandidate() {
    this.heard.push('candidate')
  }
  async getStats() {
    return new Map()
  }
  restartIce() {
    this.restarts++
  }
  close() {
    this.connectionState = 'closed'
  }
  become(state: string) {
    this.connectionState = state
    this.onconnectionstatechange?.()
  }
  /** How the picture goes there. */
  get encoding(): Record<string, number> {
    return this.#transceivers.find(({ receiver }) => receiver.track.kind === 'video')!.sender.encoding
  }
  get sent(): unknown[] {
    return this.#transceivers.map(({ sender }) => sender.track).filter(Boolean)
  }
}

class FakeTrack extends EventTarget {
  stopped = false
  constructor(readonly kind: string) {
    super()
  }
  stop() {
    this.stopped = true
  }
  getSettings = () => ({ height: 480 })
}

let call: Call
let sent: (CallMessage | Signal | Caption)[]
let said: string[]
let tracks: FakeTrack[]
let opens: (() => void)[]

function caller(id: string, more: Partial<Caller> = {}): Caller {
  const rest = {
    voice: true,
    face: true,
    may_voice: true,
    may_face: true,
    trouble: '',
    shows: false,
  } as const
  return { id, seat: `seat-${id}`, ...rest, ...more } as Caller
}

const me = (more: Partial<Caller> = {}) => caller(call.id, more)
const told = (callers: Caller[], gone: string[] = []) => call.hear({ type: 'callers', callers, gone })
const open = () => FakeLine.all.filter(({ connectionState }) => connectionState !== 'closed')
const settled = () => new Promise((resolve) => setTimeout(resolve))

beforeEach(() => {
  ;[FakeLine.all, sent, said, tracks, opens] = [[], [], [], [], []]
  vi.stubGlobal('RTCPeerConnection', FakeLine)
  vi.stubGlobal(
    'MediaStream',
    class {
      constructor(readonly tracks: unknown[]) {}
      getVideoTracks = () => this.tracks
    },
  )
  vi.stubGlobal(
    'AudioContext',
    class {
      resume = async () => {}
      close = async () => {}
      createMediaStreamSource = () => ({ connect: () => {}, disconnect: () => {} })
      createAnalyser = () => ({ getFloatTimeDomainData: () => {} })
    },
  )
  vi.stubGlobal('navigator', {
    mediaDevices: {
      getUserMedia: async ({ audio }: { audio?: unknown }) => {
        const track = new FakeTrack(audio ? 'audio' : 'video')
        tracks.push(track)
        await new Promise<void>((resolve) => opens.push(resolve))
        return { getTracks: () => [track] }
      },
    },
  })
  call = new Call()
  call.attach({
    send: (message) => Boolean(sent.push(message)),
    may: () => true,
    say: (sentence) => void said.push(sentence),
    name: () => 'Noor',
  })
})

afterEach(() => {
  call.end()
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

describe('ways to the others', () => {
  test('there is one to each who is named, from when this browser is in the call', async () => {
    told([caller('aaaa'), caller('zzzz')])
    expect(FakeLine.all).toEqual([])
    await call.begin(false, false)
    told([caller('aaaa'), caller('zzzz')])
    expect(FakeLine.all).toEqual([])
    told([caller('aaaa'), caller('zzzz'), me()])
    expect(open().length).toBe(2)
    await settled()
    // Of two one begins: whose id comes later.
    const offers = sent.filter((message) => message.type === 'signal').map(({ to }) => to)
    expect([...new Set(offers)]).toEqual(['aaaa', 'zzzz'].filter((id) => call.id > id))
  })

  test('who has gone is let go at once, who only lost their line after a while', async () => {
    vi.useFakeTimers()
    await call.begin(false, false)
    told([caller('one-1111'), caller('two-2222'), caller('six-6666'), me()])
    FakeLine.all[0]!.become('connected')
    FakeLine.all[1]!.become('connected')
    told([caller('one-1111'), me()], ['two-2222'])
    expect(FakeLine.all.map(({ connectionState }) => connectionState)).toEqual([
      'connected',
      'closed',
      'closed',
    ])
    told([me()])
    expect(call.others.map(({ id }) => id)).toEqual(['one-1111'])
    vi.advanceTimersByTime(10_000)
    told([caller('one-1111'), me()])
    vi.advanceTimersByTime(60_000)
    expect(open().length).toBe(1)
    told([me()])
    vi.advanceTimersByTime(60_000)
    expect(open()).toEqual([])
    expect(call.others).toEqual([])
  })

  test('whatever lists come, in the end there is one way to each who is named last', async () => {
    const ids = fc.subarray(['one-1111', 'two-2222', 'six-6666', 'ten-aaaa'])
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ ids, gone: ids, mine: fc.boolean() }), { maxLength: 12 }),
        async (lists) => {
          FakeLine.all = []
          await call.begin(false, false)
          for (const { ids, gone, mine } of lists) {
            const there = ids.filter((id) => !gone.includes(id))
            told([...there.map((id) => caller(id)), ...(mine ? [me()] : [])], gone)
          }
          told([...ids_of(lists).map((id) => caller(id)), me()])
          expect(open().length).toBe(ids_of(lists).length)
          call.end()
          expect(open()).toEqual([])
        },
      ),
      { numRuns: 60 },
    )
  })

  test('a signal goes to the way between the two whom it names', async () => {
    await call.begin(false, false)
    told([caller('one-1111'), caller('two-2222'), me()])
    // Where this browser is the first to offer, it has.
    await settled()
    const offer = JSON.stringify({ type: 'offer', sdp: '' })
    call.hear({ type: 'signal', to: call.id, by: 'two-2222', kind: 'offer', data: offer })
    call.hear({ type: 'signal', to: call.id, by: 'nobody-1', kind: 'offer', data: offer })
    call.hear({ type: 'signal', to: call.id, by: 'one-1111', kind: 'candidate', data: '{}' })
    call.hear({ type: 'signal', to: call.id, by: 'one-1111', kind: 'offer', data: 'no JSON' })
    call.hear({ type: 'signal', to: call.id, by: 'one-1111', kind: 'answer', data: offer })
    await settled()
    expect(FakeLine.all.map(({ heard }) => heard.filter((kind) => kind !== 'answer'))).toEqual([
      ['candidate'],
      call.id > 'two-2222' ? [] : ['offer'],
    ])
  })

  test('an offer of more than a voice and a picture is let fall: as many would be sent', async () => {
    // No id comes after that one: the first offer is its own.
    await call.begin(false, false)
    told([caller('zzzzzzzz'), me()])
    const offer = (...media: string[]) => {
      const sdp = ['v=0', ...media.map((kind) => `m=${kind} 9 UDP/TLS/RTP/SAVPF 96`), ''].join('\r\n')
      const data = JSON.stringify({ type: 'offer', sdp })
      call.hear({ type: 'signal', to: call.id, by: 'zzzzzzzz', kind: 'offer', data })
    }
    offer('audio', 'video', 'video')
    await settled()
    expect(FakeLine.all[0]!.heard).toEqual([])
    offer('audio', 'video')
    await settled()
    expect(FakeLine.all[0]!.heard).toEqual(['offer'])
  })

  test('a way that failed is looked for anew', async () => {
    vi.useFakeTimers()
    await call.begin(false, false)
    told([caller('one-1111'), me()])
    FakeLine.all[0]!.become('failed')
    vi.advanceTimersByTime(10)
    expect([FakeLine.all[0]!.restarts, call.lost.has('one-1111')]).toEqual([1, true])
    FakeLine.all[0]!.become('connected')
    expect(call.lost.has('one-1111')).toBe(false)
  })
})

describe('microphone and camera', () => {
  const press = async (kind: Kind, on: boolean) => {
    const done = call.set(kind, on)
    await settled()
    for (const go of opens.splice(0)) go()
    await done
  }

  test('what is on is on each way, and nothing else', async () => {
    await call.begin(false, false)
    told([caller('one-1111'), caller('two-2222'), me()])
    for (const line of FakeLine.all)
      if (!line.getTransceivers().length) await line.setRemoteDescription({ type: 'offer' })
    await press('voice', true)
    for (const line of FakeLine.all) expect(line.sent).toEqual([tracks[0]])
    await press('voice', false)
    for (const line of FakeLine.all) expect(line.sent).toEqual([])
    expect(tracks[0]!.stopped).toBe(true)
  })

  test('among four a picture is 240 px high, and with few data less; never more than the camera takes', async () => {
    const here = ['one-1111', 'two-2222', 'six-6666']
    await call.begin(false, false)
    for (const [others, low, wanted] of [
      [2, false, { scaleResolutionDownBy: 1, maxFramerate: 15 }],
      [3, false, { scaleResolutionDownBy: 2, maxFramerate: 10 }],
      [3, true, { scaleResolutionDownBy: 4, maxFramerate: 5 }],
    ] as const) {
      told([...here.slice(0, others).map((id) => caller(id)), me()])
      for (const line of FakeLine.all)
        if (!line.getTransceivers().length) await line.setRemoteDescription({ type: 'offer' })
      if (!call.face) await press('face', true)
      await call.choose({ low })
      await settled()
      for (const line of FakeLine.all) expect(line.encoding).toMatchObject(wanted)
    }
    tracks[0]!.getSettings = () => ({ height: 120 })
    await call.choose({ low: false })
    for (const line of FakeLine.all) expect(line.encoding.scaleResolutionDownBy).toBe(1)
  })

  test('who may not speak is switched off, says so, and is not switched on again', async () => {
    await call.begin(false, false)
    told([me()])
    await press('voice', true)
    told([me({ may_voice: false, no_voice: { key: 'reason-muted', values: {} } })])
    expect([call.voice, tracks[0]!.stopped, said.length]).toEqual([false, true, 1])
    await press('voice', true)
    expect([call.voice, said.length, said[0]]).toEqual([false, 2, said[1]])
    told([me()])
    expect(call.voice).toBe(false)
  })

  test('a microphone that comes after its key was let go is closed again', async () => {
    await call.begin(false, false)
    told([me()])
    call.hold()
    await settled()
    call.letGo()
    for (const go of opens.splice(0)) go()
    await settled()
    expect([call.voice, tracks[0]!.stopped]).toEqual([false, true])
  })

  test('one that is unplugged is off, and told', async () => {
    await call.begin(false, false)
    told([me()])
    await press('face', true)
    tracks[0]!.dispatchEvent(new Event('ended'))
    await settled()
    expect([call.face, said.length]).toEqual([false, 1])
    expect(sent.at(-1)).toMatchObject({ type: 'call', face: false })
  })
})

test('what is shown goes to the people in the call and to nothing that they show', async () => {
  await call.begin(false, false)
  const closed: string[] = []
  call.show(new FakeTrack('video') as unknown as MediaStreamTrack, () => closed.push('camera'))
  const theirs = [caller('one-1111'), caller('one-shown', { shows: true })]
  told([...theirs, me(), caller(call.showId, { shows: true })])
  expect(open().length).toBe(3)
  expect(call.people.length).toBe(2)
  call.stopShowing()
  expect([closed, sent.at(-1)]).toMatchObject([['camera'], { id: call.showId, on: false, shows: true }])
  told([...theirs, me()], [call.showId])
  expect(open().length).toBe(2)
})

function ids_of(lists: { ids: string[] }[]): string[] {
  return lists.at(-1)?.ids ?? []
}
