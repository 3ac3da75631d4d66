/** Soft sounds, made on the spot: two or three short notes each, none of them recorded. */
import { keepHere } from '../words/here'

export const SOUNDS = {
  came: { word: 'sound-came', notes: [523, 659] },
  went: { word: 'sound-went', notes: [659, 523] },
  hand: { word: 'sound-hand', notes: [784] },
  knock: { word: 'sound-knock', notes: [196, 196, 196] },
  time: { word: 'sound-time', notes: [659, 659, 880] },
} as const
export type Sound = keyof typeof SOUNDS

const KEPT = 'sunroom-sounds-off'
const NOTE_S = 0.16
const LOUDNESS = 0.06

export class Sounds {
  #off: Set<string>
  #context: AudioContext | null = null

  #hushed: () => boolean

  /** Nothing sounds while it is ``hushed``: somebody speaks. */
  constructor(hushed: () => boolean) {
    this.#hushed = hushed
    try {
      this.#off = new Set(JSON.parse(localStorage.getItem(KEPT) ?? '[]') as string[])
    } catch {
      this.#off = new Set()
    }
  }

  isOn(sound: Sound): boolean {
    return !this.#off.has(sound)
  }

  set(sound: Sound, on: boolean): void {
    if (on) this.#off.delete(sound)
    else this.#off.add(sound)
    keepHere(KEPT, JSON.stringify([...this.#off]))
    if (on) this.play(sound)
  }

  play(sound: Sound): void {
    // Before the first press in the page a browser lets nothing sound.
    if (!this.isOn(sound) || this.#hushed() || !navigator.userActivation.hasBeenActive) return
    this.#context ??= new AudioContext()
    const start = this.#context.currentTime
    for (const [i, pitch] of SOUNDS[sound].notes.entries()) this.#note(pitch, start + i * NOTE_S)
  }

  #note(pitch: number, at: number): void {
    const context = this.#context!
    const tone = context.createOscillator()
    const loudness = context.createGain()
    tone.type = 'sine'
    tone.frequency.value = pitch
    loudness.gain.setValueAtTime(0, at)
    loudness.gain.linearRampToValueAtTime(LOUDNESS, at + 0.02)
    loudness.gain.exponentialRampToValueAtTime(0.0001, at + NOTE_S * 1.6)
    tone.connect(loudness).connect(context.destination)
    tone.start(at)
    tone.stop(at + NOTE_S * 1.7)
  }
}
