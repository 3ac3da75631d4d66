/** The line to the room: opens, keeps asking whether it is alive, and comes back by itself. */
import { decodeMessage, encodeMessage } from './codec'
import { MAX_MESSAGE } from './generated'
import type { FromBrowser, ToBrowser } from './generated'

const FIRST_RETRY_MS = 300
const LAST_RETRY_MS = 5_000
const PING_MS = 5_000
/** No sign of life for this long, and the line counts as dead. */
const SILENCE_MS = 12_000

export type LineState = 'joining' | 'open' | 'lost' | 'closed'

export interface LineEvents {
  opened(): void
  message(message: ToBrowser): void
  state(state: LineState): void
  /** A message is more than the server takes: it would end the line, and again each time that it is sent. */
  tooLarge(message: FromBrowser): void
}

function address(path: string): string {
  return `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}${path}`
}

export class Line {
  #url: string
  #events: LineEvents
  #socket: WebSocket | null = null
  #retryMs = FIRST_RETRY_MS
  #retry: ReturnType<typeof setTimeout> | undefined
  #ping: ReturnType<typeof setInterval> | undefined
  /** When a ping went out that nothing has come after; 0: none waits. */
  #pingedAt = 0
  /** How long the last answer to a ping took. */
  #tookMs = -1
  #closed = false

  constructor(path: string, events: LineEvents) {
    this.#url = address(path)
    this.#events = events
    addEventListener('online', this.#now)
    document.addEventListener('visibilitychange', this.#now)
    this.#connect()
  }

  /** Come back by another path from now on. */
  follow(path: string): void {
    this.#url = address(path)
  }

  get open(): boolean {
    return this.#socket?.readyState === WebSocket.OPEN
  }

  /** Send now, or not at all: what must not be lost is kept by the caller and sent again. */
  send(message: FromBrowser): boolean {
    if (!this.open) return false
    const bytes = encodeMessage(message) as Uint8Array<ArrayBuffer>
    if (bytes.length > MAX_MESSAGE) {
      this.#events.tooLarge(message)
      return false
    }
    this.#socket!.send(bytes)
    return true
  }

  close(): void {
    this.#closed = true
    removeEventListener('online', this.#now)
    document.removeEventListener('visibilitychange', this.#now)
    clearTimeout(this.#retry)
    clearInterval(this.#ping)
    this.#socket?.close()
    this.#events.state('closed')
  }

  #now = () => {
    if (this.#closed || this.#socket || document.hidden) return
    clearTimeout(this.#retry)
    this.#connect()
  }

  #connect(): void {
    this.#events.state('joining')
    const socket = new WebSocket(this.#url)
    socket.binaryType = 'arraybuffer'
    this.#socket = socket
    this.#pingedAt = 0
    const begunAt = performance.now()
    socket.onopen = () => this.#events.opened()
    socket.onmessage = (event: MessageEvent<ArrayBuffer>) => {
      this.#pingedAt = 0
      const message = decodeMessage(event.data)
      if (message.type === 'welcome') this.#retryMs = FIRST_RETRY_MS
      if (message.type === 'pong') this.#tookMs = performance.now() - message.at
      this.#events.message(message)
    }
    socket.onclose = () => this.#lost(socket)
    clearInterval(this.#ping)
    this.#ping = setInterval(() => {
      // A hidden page's clock comes round once a minute: only a ping without an answer says that a line is dead.
      const now = performance.now()
      const waitsSince = this.open ? this.#pingedAt : begunAt
      if (waitsSince && now - waitsSince > SILENCE_MS) {
        socket.close()
        this.#lost(socket) // a dead net never confirms the close
      } else if (this.open) {
        this.#pingedAt ||= now
        this.send({ type: 'ping', at: now, took_ms: this.#tookMs })
      }
    }, PING_MS)
  }

  #lost(socket: WebSocket): void {
    if (this.#socket !== socket || this.#closed) return
    this.#socket = null
    clearInterval(this.#ping)
    this.#events.state('lost')
    // A class of thirty should not come back in the same instant.
    const jitter = 0.7 + 0.6 * Math.random()
    this.#retry = setTimeout(() => this.#connect(), this.#retryMs * jitter)
    this.#retryMs = Math.min(this.#retryMs * 1.7, LAST_RETRY_MS)
  }
}
