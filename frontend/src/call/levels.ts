/** How loud voices are, measured a few times a second. */

const EVERY_MS = 120
/** Nothing of it is heard: few large pieces cost less than many small ones. */
const UNHURRIED: AudioContextOptions = { latencyHint: 'playback' }
/** Louder than this, as a part of full, is speaking; it lasts a little beyond the last word. */
const SPEAKS = 0.015
const LASTS_MS = 500
/** A microphone that is on is never as quiet as this. */
const DEAD = 1e-5

interface Voice {
  measure(): number
  end(): void
  level: number
  spokeAt: number
  heardAt: number
}

export class Levels {
  #context: AudioContext | null = null
  #voices = new Map<string, Voice>()
  #samples = new Float32Array(512)
  #timer: ReturnType<typeof setInterval> | undefined
  #told: () => void

  /** ``told`` after each measuring. */
  constructor(told: () => void) {
    this.#told = told
  }

  /** A voice of this browser's own, by its sound. */
  listen(id: string, track: MediaStreamTrack): void {
    this.#context ??= new AudioContext(UNHURRIED)
    // Before the first press in the page a browser may hold it back.
    void this.#context.resume()
    const source = this.#context.createMediaStreamSource(new MediaStream([track]))
    const analyser = this.#context.createAnalyser()
    analyser.fftSize = 512
    source.connect(analyser)
    const measure = () => {
      analyser.getFloatTimeDomainData(this.#samples)
      return Math.sqrt(this.#samples.reduce((sum, sample) => sum + sample * sample, 0) / this.#samples.length)
    }
    this.#add(id, measure, () => source.disconnect())
  }

  /** Somebody else's, by what its packets say of themselves (RFC 6464): that costs next to nothing. */
  follow(id: string, receiver: RTCRtpReceiver): void {
    const measure = () => receiver.getSynchronizationSources()[0]?.audioLevel ?? 0
    this.#add(id, measure, () => {})
  }

  #add(id: string, measure: () => number, end: () => void): void {
    this.forget(id)
    this.#voices.set(id, { measure, end, level: 0, spokeAt: -Infinity, heardAt: performance.now() })
    this.#timer ??= setInterval(() => this.#measure(), EVERY_MS)
  }

  forget(id: string): void {
    this.#voices.get(id)?.end()
    this.#voices.delete(id)
    if (this.#voices.size) return
    clearInterval(this.#timer)
    this.#timer = undefined
  }

  /** From 0 to about 1. */
  of(id: string): number {
    return this.#voices.get(id)?.level ?? 0
  }

  speaks(id: string): boolean {
    return performance.now() - (this.#voices.get(id)?.spokeAt ?? -Infinity) < LASTS_MS
  }

  /** For how many ms nothing at all has come. */
  silentMs(id: string): number {
    const voice = this.#voices.get(id)
    return voice ? performance.now() - voice.heardAt : 0
  }

  close(): void {
    for (const id of [...this.#voices.keys()]) this.forget(id)
    void this.#context?.close()
    this.#context = null
  }

  #measure(): void {
    const now = performance.now()
    for (const voice of this.#voices.values()) {
      voice.level = voice.measure()
      if (voice.level > SPEAKS) voice.spokeAt = now
      if (voice.level > DEAD) voice.heardAt = now
    }
    this.#told()
  }
}
