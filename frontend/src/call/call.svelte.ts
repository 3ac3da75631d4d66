/** The call of a lesson: who is in it, and sound and pictures between the browsers. The room's line carries its signals. */
import { SvelteMap, SvelteSet } from 'svelte/reactivity'
import type { Call as CallMessage, Caller, Caption, IceServer, Signal, ToBrowser } from '../wire/generated'
import { newId } from '../wire/codec'
import { t, told } from '../words/words.svelte'
import {
  OFF,
  keepChoices,
  keptChoices,
  openDevice,
  whyOff,
  type Device,
  type Kept,
  type Kind,
} from './devices'
import { Captions } from './captions.svelte'
import { Levels } from './levels'
import { Peer, type Sent } from './peer'
import { Recorder } from './recorder.svelte'

/** One that the room does not name any more, but whose way is there, may only have lost its line. */
const GRACE_MS = 20_000
/** A microphone from which nothing comes for so long does not work. */
const SILENT_MS = 8_000
/** The other end of what goes to a media server (sunroom/live/work/media_server.py). */
const MEDIA = 'media-server'
/** With more others than this pictures are small. */
const MANY = 2

export type Trouble = CallMessage['trouble']
/** What the call needs of the lesson. */
export interface Around {
  send(message: CallMessage | Signal | Caption): boolean
  may(kind: Kind): boolean
  /** Why a device could not be switched on, or was switched off. */
  say(sentence: string): void
  name(): string
}

export class Call {
  readonly id = newId()
  /** The second place in the call, of what this browser shows beside its person. */
  readonly showId = newId()
  on = $state.raw(false)
  /** What this person has switched on. */
  voice = $state.raw(false)
  face = $state.raw(false)
  callers = $state.raw<Caller[]>([])
  kept = $state.raw<Kept>(keptChoices())
  /** One's own picture is not shown to oneself. */
  hidesOwn = $state.raw(false)
  /** Somebody's picture that is looked at closely. */
  large = $state.raw('')
  trouble = $state.raw<Trouble>('')
  readonly voices = new SvelteMap<string, MediaStream>()
  readonly faces = new SvelteMap<string, MediaStream>()
  readonly speaking = new SvelteSet<string>()
  readonly lost = new SvelteSet<string>()
  own = $state.raw<MediaStream | null>(null)
  /** What this browser shows to everybody. */
  showing = $state.raw<MediaStream | null>(null)
  /** The microphone is on only while a key is held. */
  #held = false
  readonly captions = new Captions((message) => this.#around?.send(message) ?? false)
  /** Takes this person's voice down, in the call or without one. */
  readonly recorder = new Recorder(() => (this.on ? (this.#devices.voice?.track ?? null) : undefined))
  /** What was pressed last: a device may come later than it is wanted. */
  #wanted: Record<Kind, boolean> = { voice: false, face: false }
  #around: Around | null = null
  #servers: readonly IceServer[] = []
  /** The media server's call by which everybody is met; "" when each browser meets each other. */
  #media = ''
  /** Those whom the room names just now. */
  #named: ReadonlySet<string> = new Set()
  /** By this browser's id and the other's. */
  #peers = new Map<string, Peer>()
  #closeShown: (() => void) | null = null
  #missing = new Map<string, ReturnType<typeof setTimeout>>()
  #devices: Partial<Record<Kind, Device>> = {}
  #levels = new Levels(() => this.#measured())

  /** The lesson that the call belongs to from now on: another board of the same room has another one. */
  attach(around: Around): void {
    this.#around = around
  }

  /** The line is there, again or for the first time. */
  joined(): void {
    if (this.on) this.#tell()
    if (this.showing) this.#tellShown(true)
  }

  /** Everybody else in the call. */
  get others(): Caller[] {
    return this.people.filter(({ id }) => id !== this.id)
  }

  get people(): Caller[] {
    return this.callers.filter(({ shows }) => !shows)
  }

  /** What somebody shows just now, and may. */
  get shown(): Caller[] {
    return this.callers.filter(({ shows, may_face }) => shows && may_face)
  }

  get mine(): Caller | undefined {
    return this.callers.find(({ id }) => id === this.id)
  }

  /** What the rule book says, and before this browser is in the call, what the lesson said last. */
  may(kind: Kind): boolean {
    const { mine } = this
    if (mine) return kind === 'voice' ? mine.may_voice : mine.may_face
    return this.#around?.may(kind) ?? false
  }

  /** Come in, with what was on last time as far as it may be. */
  async begin(withVoice = this.kept.withVoice, withFace = this.kept.withFace): Promise<void> {
    if (this.on) return
    this.on = true
    this.#tell()
    void this.recorder.follow()
    await Promise.all([
      withVoice && this.may('voice') ? this.set('voice', true) : null,
      withFace && this.may('face') ? this.set('face', true) : null,
    ])
  }

  end(): void {
    if (!this.on) return
    this.on = false
    this.#tell()
    this.callers = this.callers.filter(({ id }) => this.#named.has(id) && id !== this.id)
    this.#drop([...this.#peers.keys()])
    this.stopShowing()
    this.#shut('voice')
    this.#shut('face')
    void this.recorder.follow()
    this.#levels.close()
    this.speaking.clear()
    this.large = ''
  }

  /** Show a picture to everybody beside one's own; ``close`` when that has ended. */
  show(track: MediaStreamTrack, close: () => void): void {
    this.stopShowing()
    this.showing = new MediaStream([track])
    this.#closeShown = close
    track.addEventListener('ended', () => this.stopShowing())
    this.#tellShown(true)
  }

  stopShowing(): void {
    if (!this.showing) return
    this.showing = null
    this.#closeShown?.()
    this.#closeShown = null
    this.#tellShown(false)
    this.#drop([...this.#peers.keys()].filter((key) => key.startsWith(this.showId)))
  }

  #tellShown(on: boolean): void {
    const rest = { voice: false, face: true, trouble: '', shows: true } as const
    this.#around?.send({ type: 'call', id: this.showId, on, ...rest })
  }

  /** Switch microphone or camera on or off. */
  async set(kind: Kind, on: boolean): Promise<void> {
    if (on && !this.may(kind)) return this.#sayRule(kind)
    this.#wanted[kind] = on
    if (!on) this.#shut(kind)
    else {
      try {
        const device = await openDevice(kind, this.kept[kind], this.#around?.name() ?? '')
        // The call may have ended, the rule changed, or the key been let go, while the browser asked.
        if (!this.on || !this.may(kind) || !this.#wanted[kind]) return device.close()
        this.#take(kind, device)
      } catch (error) {
        this.trouble = kind === 'voice' ? 'no_voice' : 'no_face'
        this.#around?.say(whyOff(kind, error))
      }
    }
    this.#sendAll()
    this.#tell()
    if (kind === 'voice') void this.recorder.follow()
  }

  /** Speak for as long as a key is held. */
  hold(): void {
    if (!this.on || this.voice || this.#held) return
    this.#held = true
    void this.set('voice', true)
  }

  letGo(): void {
    if (!this.#held) return
    this.#held = false
    void this.set('voice', false)
  }

  /** Another device from now on, and next time. */
  async choose(changes: Partial<Kept>): Promise<void> {
    this.kept = { ...this.kept, ...changes }
    keepChoices(this.kept)
    for (const kind of ['voice', 'face'] as const)
      if (changes[kind] !== undefined && this[kind]) {
        this.#shut(kind)
        await this.set(kind, true)
      }
    this.#sendAll()
  }

  /** Take a message that is about the call; false when it is about something else. */
  hear(message: ToBrowser): boolean {
    switch (message.type) {
      case 'callers':
        this.callers = this.callers.filter(({ id }) => !message.gone.includes(id))
        this.#drop([...this.#peers.keys()].filter((key) => message.gone.includes(key.split(' ')[1]!)))
        this.heard(message.callers)
        return true
      case 'call_ways':
        this.#servers = message.servers
        // Another call there knows nothing of the ways of before.
        if (message.media !== this.#media) this.#drop([...this.#peers.keys()], true)
        this.#media = message.media
        this.#meet()
        return true
      case 'signal':
        void this.#peers.get(`${message.to} ${message.by}`)?.hear(message.kind, message.data)
        return true
      case 'captioned':
        this.captions.hear(message.text)
        return true
      case 'goodbye':
        // Who is out is out of the call, too.
        if (!message.again) this.end()
        return false
      default:
        return false
    }
  }

  /** Who is in the call, and what they may do there. */
  heard(callers: Caller[]): void {
    this.#named = new Set(callers.map(({ id }) => id))
    // Whoever has lost only their line is still seen and heard.
    const still = (id: string) => id === this.id || this.#peers.get(`${this.id} ${id}`)?.connected
    const others = this.on ? this.callers.filter(({ id }) => !this.#named.has(id) && still(id)) : []
    this.callers = [...callers, ...others]
    const mine = this.mine
    if (mine && this.on) {
      for (const kind of ['voice', 'face'] as const)
        if (this[kind] && !this.may(kind)) {
          this.#sayRule(kind)
          void this.set(kind, false)
        }
    }
    this.#meet()
  }

  /** A way to each of the others, and what they show; and from what is shown here to each of them. */
  #meet(): void {
    if (!this.on || !this.mine) return
    const theirs = this.callers.filter(
      ({ id }) => this.#named.has(id) && id !== this.id && id !== this.showId,
    )
    const named = new Set(theirs.map(({ id }) => `${this.id} ${id}`))
    const shows = this.showing && this.callers.some(({ id }) => id === this.showId)
    if (this.#media) {
      named.add(`${this.id} ${MEDIA}`)
      if (shows) named.add(`${this.showId} ${MEDIA}`)
    } else if (shows) for (const { id, shows } of theirs) if (!shows) named.add(`${this.showId} ${id}`)
    for (const key of named) {
      clearTimeout(this.#missing.get(key))
      this.#missing.delete(key)
      if (!this.#peers.has(key)) this.#peers.set(key, this.#peer(key))
    }
    for (const [key, peer] of this.#peers) {
      if (named.has(key) || this.#missing.has(key)) continue
      if (peer.connected)
        this.#missing.set(
          key,
          setTimeout(() => this.#drop([key]), GRACE_MS),
        )
      else this.#drop([key])
    }
    this.#sendAll()
  }

  #peer(key: string): Peer {
    const [own, id] = key.split(' ') as [string, string]
    // What is sent to a media server is offered to it; what comes from there is offered by it.
    const first = this.#media ? id === MEDIA : own > id
    return new Peer(first, this.#servers, this.#sent(key), {
      signal: (kind, data) => this.#around?.send({ type: 'signal', to: id, kind, data, by: own }),
      came: (track, receiver) => {
        if (own !== this.id) return
        const streams = track.kind === 'audio' ? this.voices : this.faces
        streams.set(id, new MediaStream([track]))
        if (track.kind === 'audio') this.#levels.follow(id, receiver)
      },
      way: (state) => {
        if (state === 'there') this.lost.delete(id)
        else this.lost.add(id)
        const trouble = state === 'none' ? 'no_way' : this.trouble === 'no_way' ? '' : this.trouble
        if (trouble !== this.trouble) {
          this.trouble = trouble
          this.#tell()
        }
      },
    })
  }

  /** End ways; ``again`` when others to the same browsers are looked for at once. */
  #drop(keys: string[], again = false): void {
    for (const key of keys) {
      const [own, id] = key.split(' ') as [string, string]
      clearTimeout(this.#missing.get(key))
      this.#missing.delete(key)
      this.#peers.get(key)?.close()
      this.#peers.delete(key)
      if (own !== this.id) continue
      this.#levels.forget(id)
      for (const gone of [this.voices, this.faces, this.lost, this.speaking]) gone.delete(id)
      if (this.large === id) this.large = ''
      if (!again && !this.#named.has(id)) this.callers = this.callers.filter((caller) => caller.id !== id)
    }
  }

  #take(kind: Kind, device: Device): void {
    this.#shut(kind)
    this.#devices[kind] = device
    this[kind] = true
    if (this.trouble === (kind === 'voice' ? 'no_voice' : 'no_face')) this.trouble = ''
    if (kind === 'voice') this.#levels.listen(this.id, device.track)
    else this.own = new MediaStream([device.track])
    device.track.addEventListener('ended', () => {
      if (this.#devices[kind] !== device) return
      this.#around?.say(t(OFF[kind].gone))
      void this.set(kind, false)
    })
  }

  #shut(kind: Kind): void {
    this.#devices[kind]?.close()
    delete this.#devices[kind]
    this[kind] = false
    if (kind === 'face') this.own = null
    else {
      this.#levels.forget(this.id)
      if (this.trouble === 'silent') this.trouble = ''
    }
  }

  /** What goes to another browser: of what is shown here its picture, to what is shown there nothing. */
  #sent(key: string): Sent {
    const [own, id] = key.split(' ')
    const rest = { small: false, low: this.kept.low }
    if (this.#media && id !== MEDIA) return { ...rest, voice: null, face: null }
    if (own === this.showId) return { ...rest, voice: null, face: this.showing?.getVideoTracks()[0] ?? null }
    const listens = !this.callers.find((caller) => caller.id === id)?.shows
    return {
      voice: (listens && this.#devices.voice?.track) || null,
      face: (listens && this.#devices.face?.track) || null,
      small: this.others.length > MANY,
      low: this.kept.low,
    }
  }

  #sendAll(): void {
    for (const [key, peer] of this.#peers) peer.send(this.#sent(key))
  }

  #sayRule(kind: Kind): void {
    const why = kind === 'voice' ? this.mine?.no_voice : this.mine?.no_face
    if (why) this.#around?.say(told(why))
  }

  #tell(): void {
    const { id, on, voice, face, trouble } = this
    this.#around?.send({ type: 'call', id, on, voice, face, trouble, shows: false })
  }

  #measured(): void {
    for (const { id } of this.callers) {
      if (this.#levels.speaks(id)) this.speaking.add(id)
      else this.speaking.delete(id)
    }
    const silent = this.voice && this.#levels.silentMs(this.id) > SILENT_MS
    if (silent === (this.trouble === 'silent') || (this.trouble && this.trouble !== 'silent')) return
    this.trouble = silent ? 'silent' : ''
    this.#tell()
  }
}
