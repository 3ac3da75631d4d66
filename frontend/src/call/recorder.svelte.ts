/** The tutor's voice, taken down in this browser and sent up in pieces; the room tells everybody for as long as it is. */
import { ask, Problem } from '../wire/api'
import type { Recorded, RecordingBegun, SetRecording } from '../wire/generated'
import { newId } from '../wire/codec'
import { t } from '../words/words.svelte'
import { keptChoices, openDevice, whyOff, type Device } from './devices'

const PIECE_MS = 5_000
const BITS_PER_S = 32_000
/** A recording that is further than this from the lesson's clock, as after sleep, ends, and another begins. */
const APART_MS = 2_000
/** Sound is in a recording so much later than it was made: microphone, browser and recorder take their time (measured). */
const SOUND_LATE_MS = 60
const RETRY_MS = [1_000, 2_000, 5_000, 10_000]
const KINDS = ['audio/webm;codecs=opus', 'audio/mp4']

/** What a recorder needs of the lesson. */
export interface AroundRecorder {
  send(message: SetRecording): boolean
  nowMs(): number
  /** The page that is looked at. */
  at(): { board: string; page: string }
  warn(sentence: string): void
}

interface Piece {
  of: Sending
  path: string
  data: Blob | object | null
  lasts: number
}
/** One recording on its way to the server; ``lost`` when that takes no more of it. */
interface Sending {
  id: string
  lost: boolean
}

export class Recorder {
  /** As the room tells it: whose voice is recorded. */
  now = $state.raw<Recorded | null>(null)
  /** This browser takes its person's voice down, or is about to. */
  on = $state.raw(false)
  paused = $state.raw(false)
  /** Milliseconds of sound that the server does not have yet. */
  waitingMs = $state.raw(0)
  #around: AroundRecorder | null = null
  #context: AudioContext | null = null
  #into: MediaStreamAudioDestinationNode | null = null
  #source: MediaStreamAudioSourceNode | null = null
  #sourceTrack: MediaStreamTrack | null = null
  #own: Device | null = null
  #recorder: MediaRecorder | null = null
  #queue: Piece[] = []
  #sending = false
  #turns: { at: number; board: string; page: string }[] = []
  #begunMs = 0
  #id = ''
  /** What the call hears of this person; null when it hears nothing, undefined when there is no call. */
  #callVoice: () => MediaStreamTrack | null | undefined

  constructor(callVoice: () => MediaStreamTrack | null | undefined) {
    this.#callVoice = callVoice
  }

  attach(around: AroundRecorder): void {
    this.#around = around
    this.turned()
  }

  /** Ask for the microphone, then have everybody told: nothing is taken down before they are. */
  async start(): Promise<void> {
    if (this.on) return
    if (!('MediaRecorder' in globalThis) || !KINDS.some((kind) => MediaRecorder.isTypeSupported(kind)))
      return this.#around?.warn(t('recording-cannot'))
    this.on = true
    this.#id = newId()
    this.paused = false
    if (await this.#hearOwn()) this.#tell(true)
    else this.#shut()
  }

  /** End it; what was not sent yet is sent. */
  stop(): void {
    if (!this.on) return
    this.#tell(false)
    this.#shut()
  }

  /** The line is there, again or for the first time. */
  joined(now: Recorded): void {
    this.now = now.seat ? now : null
    if (this.on) this.#tell(true)
  }

  #tell(on: boolean): void {
    this.#around?.send({ type: 'set_recording', on, id: this.#id })
  }

  /** What the room says about it. */
  hear(message: Recorded): void {
    this.now = message.seat ? message : null
    if (!this.on) return
    if (message.id !== this.#id) return this.#shut()
    if (!this.#recorder) this.#begin()
  }

  /** It was not allowed: nothing has begun. */
  refused(): void {
    if (this.on && !this.#recorder) this.#shut()
  }

  pause(paused: boolean): void {
    this.paused = paused
    void this.follow()
  }

  /** Another page is looked at. */
  turned(): void {
    if (!this.#recorder || !this.#around) return
    const { board, page } = this.#around.at()
    const last = this.#turns.at(-1)
    if (board && page && (last?.board !== board || last.page !== page))
      this.#turns.push({ at: Math.max(0, Math.round(this.#around.nowMs() - this.#begunMs)), board, page })
  }

  /** Take down what the call hears; without a call, this browser's own microphone. */
  async follow(): Promise<void> {
    if (!this.on) return
    const heard = this.#callVoice()
    if (heard === undefined && !this.paused) {
      if (!(await this.#hearOwn())) this.stop()
      return
    }
    this.#own?.close()
    this.#own = null
    this.#listen(this.paused ? null : (heard ?? null))
  }

  async #hearOwn(): Promise<boolean> {
    const heard = this.#callVoice()
    if (heard !== undefined) {
      this.#listen(heard)
      return true
    }
    if (this.#own) return true
    try {
      const device = await openDevice('voice', keptChoices().voice, '')
      if (!this.on || this.#callVoice() !== undefined) device.close()
      else {
        this.#own = device
        this.#listen(device.track)
        device.track.addEventListener('ended', () => {
          if (this.#own !== device) return
          this.#around?.warn(t('microphone-gone'))
          this.stop()
        })
      }
      return true
    } catch (error) {
      this.#around?.warn(whyOff('voice', error))
      return false
    }
  }

  #listen(track: MediaStreamTrack | null): void {
    if (!this.#context) {
      this.#context = new AudioContext()
      this.#into = this.#context.createMediaStreamDestination()
      this.#into.channelCount = 1
      // Something must always sound, and be it nothing: the recording goes on through silence.
      const silence = this.#context.createConstantSource()
      silence.offset.value = 0
      silence.connect(this.#into)
      silence.start()
    }
    void this.#context.resume()
    if (track === this.#sourceTrack) return
    this.#source?.disconnect()
    this.#sourceTrack = track
    this.#source = track ? this.#context.createMediaStreamSource(new MediaStream([track])) : null
    this.#source?.connect(this.#into!)
  }

  /** A recording of its own, from now on. */
  #begin(): void {
    const around = this.#around!
    const mimeType = KINDS.find((kind) => MediaRecorder.isTypeSupported(kind))!
    const recorder = new MediaRecorder(this.#into!.stream, { mimeType, audioBitsPerSecond: BITS_PER_S })
    this.#recorder = recorder
    let [number, until, clock] = [0, 0, 0]
    const of: Sending = { id: '', lost: false }
    recorder.onstart = () => {
      clock = performance.now()
      this.#begunMs = around.nowMs() - SOUND_LATE_MS
      this.#turns = []
      this.turned()
      const begin = { mime: mimeType.split(';')[0]!, begun_ms: Math.round(this.#begunMs) }
      this.#put(of, `/api/boards/${around.at().board}/recordings`, begin)
    }
    recorder.ondataavailable = ({ data }) => {
      // Its sound goes by this clock: what a busy machine did not take down is a hole in it, and not left out.
      const length = Math.round(performance.now() - clock)
      const turns = this.#turns.splice(0).map(({ at, board, page }) => `${at}:${board}:${page}`)
      if (data.size) {
        const query = new URLSearchParams({ until: String(length), turns: turns.join(' ') })
        this.#put(of, `/pieces/${number++}?${query}`, data, length - until)
        until = length
      }
      const apart = Math.abs(around.nowMs() - SOUND_LATE_MS - this.#begunMs - length) > APART_MS
      if (recorder.state === 'recording' && apart) {
        recorder.stop()
        if (this.on) this.#begin()
      }
    }
    recorder.onerror = () => this.stop()
    recorder.onstop = () => this.#put(of, '/end')
    recorder.start(PIECE_MS)
  }

  #shut(): void {
    this.on = false
    this.paused = false
    if (this.#recorder?.state === 'recording') this.#recorder.stop()
    this.#recorder = null
    this.#own?.close()
    this.#own = null
    this.#source?.disconnect()
    this.#source = this.#sourceTrack = null
    const context = this.#context
    this.#context = null
    this.#into = null
    // The last piece is still on its way out of it.
    setTimeout(() => void context?.close(), 2_000)
  }

  #put(of: Sending, path: string, data: Piece['data'] = null, lasts = 0): void {
    if (of.lost) return
    this.#queue.push({ of, path, data, lasts })
    this.waitingMs += lasts
    if (!this.#sending) void this.#send()
  }

  /** One after the other, each until the server has it; what it can never take is told. */
  async #send(): Promise<void> {
    this.#sending = true
    let tries = 0
    for (let piece; (piece = this.#queue[0]);) {
      const { of, path, data, lasts } = piece
      try {
        if (of.id) await ask('POST', `/api/recordings/${of.id}${path}`, data ?? undefined)
        else of.id = (await ask<RecordingBegun>('POST', path, data)).id
        this.#queue.shift()
        this.waitingMs -= lasts
        tries = 0
      } catch (error) {
        const { status, message } = error as Problem
        if (status && status !== 429 && status < 500) this.#lost(of, message)
        else {
          const wait = RETRY_MS[Math.min(tries++, RETRY_MS.length - 1)]!
          await new Promise((resolve) => setTimeout(resolve, wait))
        }
      }
    }
    this.#sending = false
  }

  /** The server takes no more of this recording. */
  #lost(of: Sending, why: string): void {
    of.lost = true
    const gone = this.#queue.filter((piece) => piece.of === of)
    this.#queue = this.#queue.filter((piece) => piece.of !== of)
    const lostMs = gone.reduce((sum, { lasts }) => sum + lasts, 0)
    this.waitingMs -= lostMs
    this.#around?.warn(t('recording-lost', { seconds: Math.ceil(lostMs / 1000), why }))
    this.stop()
  }
}
