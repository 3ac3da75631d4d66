/** As much of a browser as a session asks for, and a server's end of its line. */
import { decode } from '@msgpack/msgpack'
import 'fake-indexeddb/auto'
import type { FromBrowser, PageHead, ToBrowser } from '../src/wire/generated'
import { encodeMessage } from '../src/wire/codec'

export class FakeSocket extends EventTarget {
  static readonly OPEN = 1
  static all: FakeSocket[] = []
  binaryType = ''
  readyState = 0
  sent: FromBrowser[] = []
  onopen: (() => void) | null = null
  onmessage: ((event: { data: ArrayBuffer }) => void) | null = null
  onclose: (() => void) | null = null

  constructor(readonly url: string) {
    super()
    FakeSocket.all.push(this)
  }

  static get last(): FakeSocket {
    return this.all.at(-1)!
  }

  open(): void {
    this.readyState = 1
    this.onopen?.()
  }

  send(bytes: Uint8Array): void {
    this.sent.push(decode(bytes) as FromBrowser)
  }

  /** What the server says. */
  hear(message: object): void {
    const bytes = encodeMessage(message as FromBrowser)
    this.onmessage?.({ data: bytes.slice().buffer as ArrayBuffer })
  }

  close(): void {
    this.readyState = 3
    this.onclose?.()
  }
}

const kept = new Map<string, string>()
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
}

Object.assign(globalThis, {
  WebSocket: FakeSocket,
  localStorage: storage,
  sessionStorage: storage,
  location: { protocol: 'http:', host: 'sunroom.test', href: 'http://sunroom.test/r/link' },
  document: Object.assign(new EventTarget(), { hidden: false, title: '' }),
  addEventListener: () => {},
  removeEventListener: () => {},
})

export const PAGE = 'page-one'

export function head(id = PAGE): PageHead {
  const paper = { kind: 'endless', ruling: 'plain', width: 900, height: 600, spacing: 32, colour: '#fffefa' }
  return {
    id,
    title: '',
    paper: { ...paper, picture: '', each: 1, unit: '' },
    writers: 'lesson',
    desk_of: '',
    desk_from: '',
    bays: [],
    by: '',
    hidden: false,
  } as PageHead
}

export function welcome(more: object = {}): ToBrowser {
  return {
    type: 'welcome',
    seat: 'seat-a',
    role: 'tutor',
    room: 'Shadows and sundials',
    board: { id: 'board-1', title: 'Shadows' },
    boards: [],
    people: [{ seat: 'seat-a', name: 'Imani', role: 'tutor', tabs: 1 }],
    lesson: { hands: [], plan: { pages: [] } },
    chat: [],
    arrows: [],
    lead: null,
    callers: [],
    recorded: { type: 'recorded', seat: '', name: '', id: '' },
    pages: [head(), head('page-two')],
    missed: [],
    seq: 0,
    now_ms: Date.now(),
    kept_ms: 0,
    undos: 0,
    redos: 0,
    ...more,
  } as unknown as ToBrowser
}
