/** What goes on in the lesson besides the board: the door, the chat, signs, the question, another's eyes. */
import type { AtPorch, Check, CheckAnswers, Knock, Reacted, Said, ToBrowser, Trace } from '../wire/generated'
import { t } from '../words/words.svelte'
import type { Inside } from './inside'
import type { Sounds } from './sounds'

const REACTION_MS = 8_000
const MOST_REACTIONS = 300
/** Somebody counts as writing for so long after the last ink. */
const WRITING_MS = 1_500
export type Reaction = Reacted['kind']

export interface ClassroomEvents {
  /** The door is open to this person now. */
  letIn(): void
  /** Another's eyes will be looked through: what is in hand is put down. */
  seeing(): void
}

export class Classroom {
  /** What the door asks for, until this person is in. */
  porch = $state.raw<AtPorch | null>(null)
  knocks = $state.raw<Knock[]>([])
  /** The code that lets people in, to the tutor side. */
  code = $state.raw('')
  chat = $state.raw<Said[]>([])
  /** Lines of the chat that this person has not seen yet. */
  unread = $state.raw(0)
  answers = $state.raw<CheckAnswers | null>(null)
  reactions = $state.raw<{ key: number; seat: string; kind: Reaction }[]>([])
  /** Seats of those whose pen is on the paper just now. */
  writing = $state.raw<ReadonlySet<string>>(new Set())
  traces = $state.raw<Trace[] | null>(null)
  /** Each thing bears its writer's name; with a seat, all others' things are pale. */
  writersShown = $state.raw(false)
  onlyBy = $state.raw('')
  /** A question that is being written: it stays when something else is done meanwhile. */
  draft = $state.raw({ question: '', options: '' })
  /** The question that was asked last: its words stay written until everybody sees it, as the line may break meanwhile. */
  asking = { id: '', question: '' }
  /** Words of the chat that are being written. */
  saying = $state('')
  /** When each person's pen was on the paper last, in ms of this page. */
  readonly lastStroke = new Map<string, number>()
  #inside: Inside
  #sounds: Sounds
  #events: ClassroomEvents
  #keys = 0
  #traceRef = 0

  constructor(inside: Inside, sounds: Sounds, events: ClassroomEvents) {
    this.draft = { question: '', options: `${t('answer-yes')}\n${t('answer-no')}` }
    this.#inside = inside
    this.#sounds = sounds
    this.#events = events
  }

  /** Take a message that is about this; false when it is about something else. */
  hear(message: ToBrowser): boolean {
    switch (message.type) {
      case 'at_porch':
        this.porch = message
        return true
      case 'let_in':
        this.#events.letIn()
        return true
      case 'at_door':
        if (message.knocks.length > this.knocks.length) this.#sounds.play('knock')
        this.knocks = message.knocks
        this.code = message.code
        return true
      case 'heard':
        this.chat = [...this.chat, message.line]
        if (message.line.seat !== this.#inside.rights.me) this.unread++
        return true
      case 'check_answers':
        this.answers = message
        return true
      case 'reacted':
        this.#show(message)
        return true
      case 'seen_as':
        if (this.#inside.rights.as || this.#asked === message.seat) this.#inside.rights.as = message
        return true
      case 'inspected':
        if (message.ref === this.#traceRef) this.traces = message.traces
        return true
    }
    return false
  }

  /** What everybody is asked now. */
  heardCheck(check: Check | null): void {
    const { id, question } = this.asking
    if (check?.id === id && this.draft.question === question) this.draft = { ...this.draft, question: '' }
  }

  #show({ seat, kind }: Reacted): void {
    const key = ++this.#keys
    this.reactions = [...this.reactions, { key, seat, kind }]
    // To the tutor side they stay, counted, until they were seen.
    if (!this.#inside.people.tutorSide)
      setTimeout(() => (this.reactions = this.reactions.filter((other) => other.key !== key)), REACTION_MS)
    else this.reactions = this.reactions.slice(-MOST_REACTIONS)
  }

  signsSeen(): void {
    this.reactions = []
  }

  #wroteAt = new Map<string, number>()
  #writingTimer: ReturnType<typeof setTimeout> | undefined

  /** Ink of these people is on its way. */
  wrote(seats: string[]): void {
    const now = performance.now()
    for (const seat of seats) {
      this.#wroteAt.set(seat, now)
      this.lastStroke.set(seat, now)
    }
    this.#whoWrites()
  }

  #whoWrites(): void {
    const since = performance.now() - WRITING_MS
    for (const [seat, at] of this.#wroteAt) if (at < since) this.#wroteAt.delete(seat)
    const writing = [...this.#wroteAt.keys()]
    if (writing.length !== this.writing.size || writing.some((seat) => !this.writing.has(seat)))
      this.writing = new Set(writing)
    clearTimeout(this.#writingTimer)
    if (writing.length) this.#writingTimer = setTimeout(() => this.#whoWrites(), WRITING_MS)
  }

  #asked = ''

  /** Look at the lesson as a student does, until ``stopSeeing``. */
  seeAs(seat: string): void {
    this.#asked = seat
    this.#events.seeing()
    this.#inside.send({ type: 'see_as', seat })
  }

  /** The page or the rules have changed: ask again. */
  seeAgain(): void {
    const { as } = this.#inside.rights
    if (as) this.#inside.send({ type: 'see_as', seat: as.seat })
  }

  stopSeeing(): void {
    this.#asked = ''
    this.#inside.rights.as = null
  }

  /** The lines of the chat that are shown here: as a student, only what that student hears. */
  get heardHere(): Said[] {
    const seat = this.#inside.rights.as?.seat
    if (!seat) return this.chat
    return this.chat.filter((line) => line.to === 'all' || line.seat === seat || line.to === seat)
  }

  readChat(): void {
    this.unread = 0
  }

  inspect(id: string): void {
    this.traces = null
    this.#inside.send({ type: 'inspect', ref: ++this.#traceRef, page: this.#inside.pages.id, id })
  }

  react(kind: Reaction): void {
    this.#inside.send({ type: 'react', kind })
  }
}
