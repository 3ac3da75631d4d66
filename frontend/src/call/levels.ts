/** How loud voices are, measured a few times a second. */

const EVERY_MS = 120
/** Nothing of it is heard: few large pieces cost less than many small ones, and where a browser knows how, no output is kept open. */
const UNHEARD = { latencyHint: 'playback', sinkId: { type: 'none' } } as AudioContextOptions
/** Within so many turns each voice of others is looked at: each time the browser counts all that came. */
const TURNS = 4
/** Louder than this, as a part of full, is speaking; it lasts until a voice was looked at again, and a little beyond. */
const SPEAKS = 0.015
const LASTS_MS = TURNS * EVERY_MS + 300
/** A microphone that is on is never as quiet as this. */
const DEAD = 1e-5

interface Voice {
  own: boolean
  measure(): number | Promise<number>
  end(): void
  /** Its loudness is asked for, and the answer has not come. */
  asked: boolean
  level: number
  spokeAt: number
  heardAt: number
}

export class Levels {
  #context: AudioContext | null = null
  #voices = new Map<string, Voice>()
  #samples = new Float32Array(512)
  #turn = 0
  #timer: ReturnType<typeof setInterval> | undefined
  #told: () => void

  /** ``told`` after each measuring. */
  constructor(told: () => void) {
    this.#told = told
  }

  /** A voice of this browser's own, by its sound. */
  listen(id: string, track: MediaStreamTrack): void {
    this.#context ??= new AudioContext(UNHEARD)
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
    this.#add(id, true, measure, () => source.disconnect())
  }

  /** Somebody else's, by what came of it. The answer is waited for: to be told at once, the page would stand still. */
  follow(id: string, receiver: RTCRtpReceiver): void {
    const measure = async () => {
      for (const report of (await receiver.getStats()).values() as Iterable<RTCInboundRtpStreamStats>)
        if (report.audioLevel !== undefined) return report.audioLevel
      // Not every browser counts it.
      return receiver.getSynchronizationSources()[0]?.audioLevel ?? 0
    }
    this.#add(id, false, measure, () => {})
  }

  #add(id: string, own: boolean, measure: Voice['measure'], end: () => void): void {
    this.forget(id)
    this.#voices.set(id, {
      own,
      measure,
      end,
      asked: false,
      level: 0,
      spokeAt: -Infinity,
      heardAt: performance.now(),
    })
    this.#timer ??= setInterval(() => this.#measureAll(), EVERY_MS)
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

  #measureAll(): void {
    this.#turn = (this.#turn + 1) % TURNS
    for (const [number, voice] of [...this.#voices.values()].entries())
      if (voice.own || number % TURNS === this.#turn) void this.#measure(voice)
    this.#told()
  }

  async #measure(voice: Voice): Promise<void> {
    if (voice.asked) return
    voice.asked = true
    // A way that has ended says nothing more.
    voice.level = await Promise.resolve(voice.measure()).catch(() => 0)
    voice.asked = false
    const now = performance.now()
    if (voice.level > SPEAKS) voice.spokeAt = now
    if (voice.level > DEAD) voice.heardAt = now
  }
}
