/** The call of a lesson: who is in it, and sound and pictures between the browsers. The room's line carries its signals. */
import { SvelteMap, SvelteSet } from 'svelte/reactivity'
import type { Call as CallMessage, Caller, IceServer, Signal, ToBrowser } from '../wire/generated'
import { newId } from '../wire/codec'
import {
  DeviceError,
  keepChoices,
  keptChoices,
  openDevice,
  type Device,
  type Kept,
  type Kind,
} from './devices'
import { Levels } from './levels'
import { Peer, type Sent } from './peer'

/** One that the room does not name any more, but whose way is there, may only have lost its line. */
const GRACE_MS = 20_000
/** A microphone from which nothing comes for so long does not work. */
const SILENT_MS = 8_000
/** With more than this pictures are small. */
const MANY = 3

export type Trouble = CallMessage['trouble']
/** Why a device is not on: the browser's reason, the lesson's rule, or it went away. */
export type Why = 'none' | 'refused' | 'busy' | 'rule' | 'gone'

/** What the call needs of the lesson. */
export interface Around {
  send(message: CallMessage | Signal): boolean
  may(kind: Kind): boolean
  /** A device could not be switched on, or was switched off. */
  off(kind: Kind, why: Why): void
  name(): string
}

export class Call {
  readonly id = newId()
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
  /** The microphone is on only while a key is held. */
  #held = false
  /** What was pressed last: a device may come later than it is wanted. */
  #wanted: Record<Kind, boolean> = { voice: false, face: false }
  #around: Around | null = null
  #servers: readonly IceServer[] = []
  #peers = new Map<string, Peer>()
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
  }

  get others(): Caller[] {
    return this.callers.filter(({ id }) => id !== this.id)
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

  level(id: string): number {
    return this.#levels.of(id)
  }

  /** Come in, with what was on last time as far as it may be. */
  async begin(withVoice = this.kept.withVoice, withFace = this.kept.withFace): Promise<void> {
    if (this.on) return
    this.on = true
    this.#tell()
    await Promise.all([
      withVoice && this.may('voice') ? this.set('voice', true) : null,
      withFace && this.may('face') ? this.set('face', true) : null,
    ])
  }

  end(): void {
    if (!this.on) return
    this.on = false
    this.#tell()
    for (const id of [...this.#peers.keys()]) this.#drop(id)
    this.#shut('voice')
    this.#shut('face')
    this.#levels.close()
    this.speaking.clear()
    this.large = ''
  }

  /** Switch microphone or camera on or off. */
  async set(kind: Kind, on: boolean): Promise<void> {
    if (on && !this.may(kind)) return this.#around?.off(kind, 'rule')
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
        this.#around?.off(kind, error instanceof DeviceError ? error.why : 'none')
      }
    }
    this.#sendAll()
    this.#tell()
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
        for (const id of message.gone) this.#drop(id)
        this.heard(message.callers)
        return true
      case 'call_ways':
        this.#servers = message.servers
        this.#meet()
        return true
      case 'signal':
        void this.#peers.get(message.by)?.hear(message.kind, message.data)
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
    this.callers = callers
    const mine = this.mine
    if (mine && this.on) {
      for (const kind of ['voice', 'face'] as const)
        if (this[kind] && !this.may(kind)) {
          this.#around?.off(kind, 'rule')
          void this.set(kind, false)
        }
    }
    this.#meet()
  }

  /** A way to each of the others. */
  #meet(): void {
    if (!this.on || !this.mine) return
    const named = new Set(this.others.map(({ id }) => id))
    for (const id of named) {
      clearTimeout(this.#missing.get(id))
      this.#missing.delete(id)
      if (!this.#peers.has(id)) this.#peers.set(id, this.#peer(id))
    }
    for (const [id, peer] of this.#peers) {
      if (named.has(id) || this.#missing.has(id)) continue
      if (peer.connected)
        this.#missing.set(
          id,
          setTimeout(() => this.#drop(id), GRACE_MS),
        )
      else this.#drop(id)
    }
    this.#sendAll()
  }

  #peer(id: string): Peer {
    return new Peer(this.id > id, this.#servers, this.#sent(), {
      signal: (kind, data) => this.#around?.send({ type: 'signal', to: id, kind, data, by: '' }),
      came: (track) => {
        const streams = track.kind === 'audio' ? this.voices : this.faces
        streams.set(id, new MediaStream([track]))
        if (track.kind === 'audio') this.#levels.listen(id, track)
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

  #drop(id: string): void {
    clearTimeout(this.#missing.get(id))
    this.#missing.delete(id)
    this.#peers.get(id)?.close()
    this.#peers.delete(id)
    this.#levels.forget(id)
    for (const gone of [this.voices, this.faces, this.lost, this.speaking]) gone.delete(id)
    if (this.large === id) this.large = ''
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
      this.#around?.off(kind, 'gone')
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

  #sent(): Sent {
    return {
      voice: this.#devices.voice?.track ?? null,
      face: this.#devices.face?.track ?? null,
      small: this.others.length > MANY,
      low: this.kept.low,
    }
  }

  #sendAll(): void {
    const sent = this.#sent()
    for (const peer of this.#peers.values()) peer.send(sent)
  }

  #tell(): void {
    const { id, on, voice, face, trouble } = this
    this.#around?.send({ type: 'call', id, on, voice, face, trouble })
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
