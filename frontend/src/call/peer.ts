/** The way to one other browser in the call: WebRTC, negotiated so that both may begin (W3C WebRTC, perfect negotiation). */
import type { IceServer, Signal } from '../wire/generated'

/** A way that was lost is looked for anew after this, and so often. */
const LOST_MS = 3_000
const MOST_TRIES = 5
const ADAPT_MS = 4_000
/** Of packets lost: more, and the picture gets smaller; less for some while, and it grows again. */
const [MUCH_LOST, LITTLE_LOST] = [0.06, 0.015]
/** How high a picture is at most, in px, and how many bits and pictures a second are sent at most. */
const SIZES = [
  { height: 480, maxBitrate: 700_000, maxFramerate: 15 },
  { height: 240, maxBitrate: 200_000, maxFramerate: 10 },
  { height: 120, maxBitrate: 60_000, maxFramerate: 10 },
] as const
/** A voice and a picture: to whoever offers more than these, as many would be sent. */
const MOST_MEDIA = 2
const LOW = { height: 120, maxBitrate: 60_000, maxFramerate: 5 }

export interface PeerEvents {
  signal(kind: Signal['kind'], data: string): void
  /** Sound or picture of the other has come. */
  came(track: MediaStreamTrack, receiver: RTCRtpReceiver): void
  /** A way was found, lost for a while, or not found at all. */
  way(state: 'there' | 'lost' | 'none'): void
}

export interface Sent {
  voice: MediaStreamTrack | null
  face: MediaStreamTrack | null
  /** Pictures are to be small, as there are many of them. */
  small: boolean
  low: boolean
}

export class Peer {
  #line: RTCPeerConnection
  #polite: boolean
  #events: PeerEvents
  #offering = false
  #ignoring = false
  #tries = 0
  #timer: ReturnType<typeof setTimeout> | undefined
  #adapting: ReturnType<typeof setInterval>
  #size = 0
  #calm = 0
  #sent: Sent = { voice: null, face: null, small: false, low: false }

  /** ``first``: this browser makes the first offer, and the other gives way when both make one. */
  constructor(first: boolean, servers: readonly IceServer[], sent: Sent, events: PeerEvents) {
    this.#polite = !first
    this.#events = events
    this.#sent = sent
    this.#line = new RTCPeerConnection({
      iceServers: servers.map(({ urls, username, credential }) =>
        username ? { urls, username, credential } : { urls },
      ),
    })
    this.#line.onnegotiationneeded = () => void this.#offer()
    this.#line.onicecandidate = ({ candidate }) => {
      if (candidate) events.signal('candidate', JSON.stringify(candidate))
    }
    this.#line.ontrack = ({ track, receiver }) => events.came(track, receiver)
    this.#line.onconnectionstatechange = () => this.#changed()
    this.#adapting = setInterval(() => void this.#adapt(), ADAPT_MS)
    if (first) {
      this.#line.addTransceiver('audio')
      this.#line.addTransceiver('video')
      this.#apply()
    }
  }

  get connected(): boolean {
    return this.#line.connectionState === 'connected'
  }

  /** Send these from now on; nothing needs to be negotiated for that. */
  send(sent: Sent): void {
    this.#sent = sent
    this.#apply()
  }

  async hear(kind: Signal['kind'], data: string): Promise<void> {
    const line = this.#line
    try {
      if (kind === 'candidate') {
        await line.addIceCandidate(JSON.parse(data) as RTCIceCandidateInit)
        return
      }
      const description = JSON.parse(data) as RTCSessionDescriptionInit
      const media = description.sdp?.match(/^m=/gm)?.length ?? 0
      if (description.type !== kind || media > MOST_MEDIA) return
      const collides = kind === 'offer' && (this.#offering || line.signalingState !== 'stable')
      this.#ignoring = !this.#polite && collides
      if (this.#ignoring) return
      await line.setRemoteDescription(description)
      if (kind !== 'offer') return
      for (const transceiver of line.getTransceivers()) transceiver.direction = 'sendrecv'
      this.#apply()
      await line.setLocalDescription()
      this.#events.signal('answer', JSON.stringify(line.localDescription))
    } catch (error) {
      // What was said to an offer that was passed over, or a description that is none: the way stays as it is.
      if (!this.#ignoring) console.info('A signal of the call:', (error as Error).message)
    }
  }

  close(): void {
    clearTimeout(this.#timer)
    clearInterval(this.#adapting)
    this.#line.onconnectionstatechange = null
    this.#line.close()
  }

  async #offer(): Promise<void> {
    try {
      this.#offering = true
      await this.#line.setLocalDescription()
      this.#events.signal('offer', JSON.stringify(this.#line.localDescription))
    } finally {
      this.#offering = false
    }
  }

  #changed(): void {
    const state = this.#line.connectionState
    clearTimeout(this.#timer)
    if (state === 'connected') {
      this.#tries = 0
      this.#events.way('there')
    } else if (state === 'failed' || state === 'disconnected') {
      const wait = state === 'failed' ? 0 : LOST_MS
      this.#timer = setTimeout(() => this.#again(), wait)
      this.#events.way(this.#tries < MOST_TRIES ? 'lost' : 'none')
    }
  }

  #again(): void {
    if (this.#tries++ >= MOST_TRIES) return this.#events.way('none')
    this.#line.restartIce()
  }

  #apply(): void {
    const { voice, face } = this.#sent
    for (const { sender, receiver } of this.#line.getTransceivers()) {
      const track = receiver.track.kind === 'audio' ? voice : face
      if (sender.track !== track) void sender.replaceTrack(track).catch(() => {})
      if (receiver.track.kind === 'video') void this.#limit(sender)
    }
  }

  async #limit(sender: RTCRtpSender): Promise<void> {
    const wanted = sender.getParameters()
    if (!wanted.encodings.length) return
    const least = this.#sent.small ? 1 : 0
    const { height, ...most } = this.#sent.low ? LOW : SIZES[Math.max(this.#size, least)]!
    const taken = sender.track?.getSettings().height ?? SIZES[0].height
    Object.assign(wanted.encodings[0]!, most, { scaleResolutionDownBy: Math.max(1, taken / height) })
    await sender.setParameters(wanted).catch(() => {})
  }

  /** The picture gets smaller before the sound suffers. */
  async #adapt(): Promise<void> {
    let lost = 0
    for (const report of (await this.#line.getStats()).values() as Iterable<{
      type: string
      fractionLost?: number
    }>)
      if (report.type === 'remote-inbound-rtp') lost = Math.max(lost, report.fractionLost ?? 0)
    this.#calm = lost < LITTLE_LOST ? this.#calm + 1 : 0
    const before = this.#size
    if (lost > MUCH_LOST) this.#size = Math.min(this.#size + 1, SIZES.length - 1)
    else if (this.#calm >= 5) {
      this.#size = Math.max(0, this.#size - 1)
      this.#calm = 0
    }
    if (this.#size !== before) this.#apply()
  }
}
