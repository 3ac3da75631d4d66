/** What the interface says: sentences by key and values, from one catalogue for each language. */
import { FluentBundle, FluentResource, type FluentVariable } from '@fluent/bundle'
import type { Words } from './generated'
import { keepHere } from './here'

export type Key = keyof Words
/** Keys of sentences with nothing to fill in. */
export type Plain = { [K in Key]: Words[K] extends null ? K : never }[Key]
export type Values = Record<string, string | number>
/** A sentence that is said somewhere else than where it is thought of. */
export interface Sentence {
  key: string
  values?: Values
}

/** Every language by its own name. */
export const LANGUAGES = { en: 'English', de: 'Deutsch', fr: 'Français', es: 'Español' } as const
/** Languages of nobody, for looking at the frame: longer words, and written from right to left. */
export const PSEUDO = { longer: 'Lōngēr wōrds', mirrored: 'Mirrored' } as const
export type Language = keyof typeof LANGUAGES | keyof typeof PSEUDO

const KEPT_AS = 'sunroom-language'
const CATALOGUES = import.meta.glob<string>('../../../sunroom/words/*.ftl', {
  query: '?raw',
  import: 'default',
})
const FIRST_STRONG = String.fromCharCode(0x2068)
const ISOLATE_END = String.fromCharCode(0x2069)
const RIGHT_TO_LEFT = /[\u0590-\u08ff\ufb1d-\ufefc]/

class Speech {
  language = $state.raw<Language>('en')
  #bundle = $state.raw<FluentBundle | null>(null)

  /** The language of dates and numbers, and of the page for whoever reads it out. */
  get locale(): string {
    if (this.language === 'mirrored') return 'ar-u-nu-latn'
    return this.language === 'en' || this.language === 'longer' ? 'en-GB' : this.language
  }

  get mirrored(): boolean {
    return this.language === 'mirrored'
  }

  /** Speak ``language`` from now on; what is on the screen changes with it. */
  async speak(language: Language): Promise<void> {
    const file = language in PSEUDO ? 'en' : language
    this.take(language, await CATALOGUES[`../../../sunroom/words/${file}.ftl`]!())
  }

  /** Speak ``language`` by the catalogue ``text``. */
  take(language: Language, text: string): void {
    const file = language in PSEUDO ? 'en' : language
    const bundle = new FluentBundle(file === 'en' ? 'en-GB' : file, {
      useIsolating: false,
      transform: language in PSEUDO ? stretched : undefined,
    })
    bundle.addResource(new FluentResource(text))
    this.language = language
    this.#bundle = bundle
    if (typeof document !== 'undefined') {
      // For what the server writes itself: mails, files, the titles of new boards.
      document.cookie = `${KEPT_AS}=${file}; path=/; samesite=lax; max-age=31536000`
      document.documentElement.lang = this.locale
      document.documentElement.dir = this.mirrored ? 'rtl' : 'ltr'
    }
  }

  /** The person's own choice, else the browser's first language that there is a catalogue of. */
  async begin(): Promise<void> {
    const kept = localStorage.getItem(KEPT_AS) ?? ''
    const wanted = [kept, ...navigator.languages.map((language) => language.slice(0, 2))]
    const all: Record<string, string> = { ...LANGUAGES, ...PSEUDO }
    await this.speak((wanted.find((language) => language in all) ?? 'en') as Language)
  }

  /** Speak ``language`` now and the next time. */
  async choose(language: Language): Promise<void> {
    keepHere(KEPT_AS, language)
    await this.speak(language)
  }

  say(key: string, values: Values = {}): string {
    const pattern = this.#bundle?.getMessage(key)?.value
    if (!pattern) return key
    const isolated = Object.entries(values).map(([name, value]) => [name, this.#isolated(value)])
    return this.#bundle!.formatPattern(
      pattern,
      Object.fromEntries(isolated) as Record<string, FluentVariable>,
    )
  }

  /** A name written the other way must not turn the words around it. */
  #isolated(value: string | number): string | number {
    if (typeof value === 'number' || this.mirrored === RIGHT_TO_LEFT.test(value)) return value
    return FIRST_STRONG + value + ISOLATE_END
  }
}

export const speech = new Speech()

/** The words of ``key`` in the language that is spoken. */
export function t<K extends Key>(key: K, ...values: Words[K] extends null ? [] : [Words[K]]): string {
  return speech.say(key as string, values[0] as Values | undefined)
}

/** A sentence of the server's, or one that was kept for later. */
export function told({ key, values }: Sentence): string {
  return speech.say(key, values)
}

const LONGER: Record<string, string> = { a: 'āa', e: 'ēe', i: 'ī', o: 'ōo', u: 'ūu', n: 'ñ', c: 'ç', s: 'š' }

/** Words half as long again, still readable: what they break is seen. */
function stretched(text: string): string {
  return text.replace(/[aeiouncs]/g, (letter) => LONGER[letter] ?? letter)
}
