/** One person in one lesson: the line, the board's replica, the lesson's state, and what is chosen. */
import { Replica, type SetAside } from '../board/replica'
import type { Editing } from '../board/editing.svelte'
import type { Page } from '../board/page'
import { showPicturesOf } from '../board/pictures'
import { newId } from '../wire/codec'
import { WIRE } from '../wire/generated'
import type {
  Action,
  BoardCard,
  Command,
  Frame,
  Goodbye,
  Lead,
  Lesson,
  Logged,
  PageHead,
  Person,
  Pointing,
  Redo,
  Request,
  Standing,
  ToBrowser,
  Undo,
  Welcome,
  WetInk,
} from '../wire/generated'
import { Line, type LineState } from '../wire/socket'
import { Unsent } from '../wire/unsent'
import { AsYouGo } from './as-you-go.svelte'
import { Attention } from './attention.svelte'
import { Chosen } from './chosen'
import { Classroom } from './classroom.svelte'
import { Pictures } from './pictures.svelte'
import { Selection } from './selection.svelte'
import { Sounds } from './sounds'
import { Tools, type Tool } from './tools.svelte'

export type Door = 'tutor' | 'student' | 'onlooker'

const NOTICE_MS = 5_000

/** What the board's surface wants to hear of. */
export interface SurfaceEvents {
  wet(wet: WetInk[]): void
  pointing(pointing: Pointing[]): void
  landed(logged: Logged): void
  changed(): void
  /** Show this part of the page. */
  lead(box: Lead['box']): void
  /** The part of the page that is seen. */
  seen(): Lead['box']
}

export class Session {
  readonly door: Door
  readonly tools = new Tools()
  readonly replica: Replica
  readonly selection = new Selection(this)
  readonly chosen = new Chosen(this)
  readonly pictures = new Pictures(this)
  readonly attention = new Attention(this)
  readonly classroom = new Classroom(this)
  readonly asYouGo = new AsYouGo(this)
  readonly sounds = new Sounds()

  welcome = $state.raw<Welcome | null>(null)
  line = $state.raw<LineState>('joining')
  goodbye = $state.raw<Goodbye | null>(null)
  lesson = $state.raw<Lesson | null>(null)
  people = $state.raw<Person[]>([])
  #standing = $state.raw<Standing | null>(null)
  /** Difference of the server's clock to ours. */
  clockSkewMs = $state.raw(0)
  keptMs = $state.raw(0)
  trouble = $state.raw('')
  waiting = $state.raw(0)
  setAside = $state.raw<SetAside[]>([])
  heads = $state.raw<PageHead[]>([])
  boards = $state.raw<BoardCard[]>([])
  pageId = $state.raw('')
  /** The bay that was chosen or stepped to last. */
  bay = $state.raw('')
  undos = $state.raw(0)
  redos = $state.raw(0)
  /** Words being typed on the board. */
  editing = $state.raw<Editing | null>(null)
  notice = $state.raw('')
  /** Counts changes of the board, for what is drawn from it outside the surface. */
  version = $state.raw(0)

  surface: SurfaceEvents | null = null
  #path: string
  /** A page of our own adding, to be turned to once it is there. */
  #turnAfter = ''
  #board: string
  #line: Line | null = null
  #noticeTimer: ReturnType<typeof setTimeout> | undefined
  #unsent: Unsent | null = null

  /** A view to go to as soon as the board is there. */
  #called: Lead | null

  constructor(door: Door, link: string, board: string, called: Lead | null = null) {
    this.door = door
    this.#called = called
    this.#path = `/live/${door}/${link}`
    this.#board = board
    this.replica = new Replica({
      changed: () => this.#boardChanged(),
      landed: (logged) => this.#landed(logged),
      send: (id, request) => this.#line?.send({ type: 'do', id, request }),
      waits: (id, request, sentence) => void this.#unsent?.put({ id, request, sentence }),
      settled: (id) => void this.#unsent?.drop(id),
      gap: () => this.#reopen(),
    })
    this.#open()
    addEventListener('pagehide', this.#hide)
    addEventListener('pageshow', this.#show)
  }

  /** The seat that is looked from: our own, or that of the student whose eyes are looked through. */
  get me(): string {
    return this.classroom.as?.seat ?? this.#seat
  }

  get #seat(): string {
    return this.welcome?.seat ?? ''
  }

  /** What may be done on this page: by this person, or by the student whose eyes are looked through. */
  get standing(): Standing | null {
    return this.classroom.as?.standing ?? this.#standing
  }

  /** What this person is at the moment: the tutor may change it. */
  get role(): Person['role'] | undefined {
    return this.people.find(({ seat }) => seat === this.me)?.role ?? this.welcome?.role
  }

  get tutorSide(): boolean {
    return this.role === 'tutor' || this.role === 'helper'
  }

  get page(): Page | undefined {
    return this.replica.pages.get(this.pageId)
  }

  may(action: Action, onOthers = false): boolean {
    return (onOthers ? this.standing?.on_others : this.standing?.allowed)?.includes(action) ?? false
  }

  nowMs(): number {
    return Date.now() + this.clockSkewMs
  }

  close(): void {
    removeEventListener('pagehide', this.#hide)
    removeEventListener('pageshow', this.#show)
    this.#line?.close()
  }

  // Steps and commands

  /** Take a step; its id, "" when nothing may be done just now. */
  do(request: Request): string {
    return this.#looksOnly() ? '' : this.replica.do(request)
  }

  /** Through a student's eyes everything is seen and nothing done. */
  #looksOnly(): boolean {
    const { as } = this.classroom
    if (as) this.say(`You are looking as ${this.nameOf(as.seat)}. Go back to your own view to do that.`)
    return as !== null
  }

  nameOf(seat: string): string {
    return this.people.find((person) => person.seat === seat)?.name ?? 'somebody'
  }

  undo(): void {
    if (this.undos > 0) this.#goBack({ step: 'undo' })
  }

  redo(): void {
    if (this.redos > 0) this.#goBack({ step: 'redo' })
  }

  /** What would come back cannot be shown without the server: presses made meanwhile would all count later. */
  #goBack(request: Undo | Redo): void {
    if (this.line === 'open') this.do(request)
    else this.say('There is no line to the server just now. Undo works again when it is back.')
  }

  tell(command: Command): void {
    if (this.#looksOnly()) return
    if (!this.#line?.send({ type: 'tell', id: newId(), command })) {
      this.say('There is no line to the server just now. Try again when it is back.')
    }
  }

  /** Say something in the chat; false when there is no line to say it on. */
  saySomething(text: string, to: string): boolean {
    const sent = this.#line?.send({ type: 'say', id: newId(), text, to }) ?? false
    if (!sent) this.say('There is no line to the server just now. Your words are still in the field.')
    return sent
  }

  send(message: Parameters<Line['send']>[0]): void {
    this.#line?.send(message)
  }

  turnTo(pageId: string): void {
    this.takeWords()
    if (pageId === this.pageId || !this.replica.pages.has(pageId)) return
    this.pageId = pageId
    this.selection.choose([])
    this.send({ type: 'look', page: pageId })
    this.surface?.changed()
  }

  /** Words that are being typed go on the board. */
  takeWords(): void {
    this.editing?.take()
    this.editing = null
  }

  /** Turn to a page of our own making when it is there. */
  turnNext(pageId: string): void {
    this.#turnAfter = pageId
  }

  /** Put a page ``by`` places further on in the order. */
  movePage(pageId: string, by: number): void {
    const at = this.heads.findIndex((head) => head.id === pageId)
    const index = Math.min(Math.max(at + by, 0), this.heads.length - 1)
    if (at >= 0 && index !== at) this.do({ step: 'move_page', page: pageId, index })
  }

  /** The page ``step`` places further, if there is one. */
  turnBy(step: number): void {
    const at = this.heads.findIndex((head) => head.id === this.pageId)
    const next = this.heads[at + step]
    if (next) this.turnTo(next.id)
  }

  /** Take a tool; only the one for choosing keeps what is chosen. */
  take(tool: Tool): void {
    this.tools.tool = tool
    if (tool !== 'select' && this.selection.ids.size) this.selection.choose([])
    this.surface?.changed()
  }

  /** A sentence for a while on the sill. */
  say(sentence: string): void {
    this.notice = sentence
    clearTimeout(this.#noticeTimer)
    this.#noticeTimer = setTimeout(() => (this.notice = ''), NOTICE_MS)
  }

  retrySetAside(): void {
    this.replica.retrySetAside()
  }

  throwSetAside(): void {
    this.replica.throwSetAside()
  }

  // The line

  #open(): void {
    this.#line = new Line(this.#path, {
      opened: () => this.join(),
      message: (message) => this.#hear(message),
      state: (state) => {
        this.line = state
        if (state === 'lost') this.selection.reading = false
      },
    })
  }

  /** Ask to be let in; ``code`` when the door asks for one. */
  join(code = ''): void {
    this.#line?.send({
      type: 'join',
      board: this.#board,
      have_seq: this.replica.whole ? this.replica.seq : -1,
      page: this.pageId,
      code,
      wire: WIRE,
    })
  }

  #reopen(): void {
    this.#line?.close()
    this.#open()
  }

  #hear(message: ToBrowser): void {
    if (this.classroom.hear(message)) return
    switch (message.type) {
      case 'welcome':
        return this.#welcomed(message)
      case 'page_items':
        this.replica.pageItems(message.page, message.items, message.last)
        return
      case 'frame':
        return this.#frame(message)
      case 'answered':
        return this.replica.answered(message.id)
      case 'refused':
        return this.#refused(message.id, message.reason, message.sentence)
      case 'you':
        this.#standing = message.standing
        this.classroom.seeAgain()
        return
      case 'lead':
        return this.attention.called(message)
      case 'viewed':
        return this.attention.viewed(message)
      case 'readings':
        if (!this.asYouGo.hear(message)) this.selection.hear(message)
        return
      case 'goodbye':
        this.goodbye = message
        if (!message.again) this.#line?.close()
        return
    }
  }

  #welcomed(welcome: Welcome): void {
    const first = this.welcome === null
    this.goodbye = null
    this.welcome = welcome
    this.#board = welcome.board.id
    showPicturesOf(welcome.board.id)
    this.lesson = welcome.lesson
    this.people = welcome.people
    this.boards = welcome.boards
    this.classroom.porch = null
    this.classroom.chat = welcome.chat
    this.clockSkewMs = welcome.now_ms - Date.now()
    this.keptMs = welcome.kept_ms
    this.line = 'open'
    this.replica.welcome(welcome)
    // Steps that were missed are counted in these already.
    this.undos = welcome.undos
    this.redos = welcome.redos
    if (first) void this.#remember(welcome.board.id, welcome.seat)
    if (!this.replica.pages.has(this.pageId)) this.pageId = this.replica.order[0] ?? ''
    this.send({ type: 'look', page: this.pageId })
    this.replica.resend()
    document.title = `${welcome.room} · Sun Room`
    this.surface?.changed()
    this.surface?.pointing(welcome.arrows)
    const lead = this.#called ?? welcome.lead
    this.#called = null
    if (lead && !this.attention.keeping) this.attention.called(lead)
    if (this.attention.following) this.attention.follow(this.attention.following)
  }

  /** What an earlier visit, or a tab that was closed, could not send. */
  async #remember(board: string, seat: string): Promise<void> {
    this.#unsent = new Unsent(board, seat)
    this.replica.remember(await this.#unsent.all())
  }

  #frame(frame: Frame): void {
    if (frame.lesson) {
      if (this.tutorSide && frame.lesson.hands.length > (this.lesson?.hands.length ?? 0))
        this.sounds.play('hand')
      this.lesson = frame.lesson
    }
    if (frame.people) {
      this.#hearPeople(frame.people)
      this.people = frame.people
    }
    if (frame.boards) this.boards = frame.boards
    if (frame.trouble !== undefined && frame.trouble !== null) this.trouble = frame.trouble
    if (frame.link) this.#relinked(frame.link)
    if (frame.kept_ms) this.keptMs = frame.kept_ms
    this.replica.frame(frame)
    if (frame.wet) {
      this.surface?.wet(frame.wet)
      this.classroom.wrote(frame.wet.filter(({ wet }) => !wet.over).map(({ seat }) => seat))
    }
    if (frame.pointing) this.surface?.pointing(frame.pointing)
  }

  /** The room has another link: this page stays in, and comes back by the new one. */
  #relinked(link: string): void {
    const old = this.#path.split('/').at(-1)!
    this.#path = `/live/${this.door}/${link}`
    this.#line?.follow(this.#path)
    history.replaceState(history.state, '', location.href.replace(`/${old}`, `/${link}`))
    this.say('The room has another link now. You stay in; send the new one to the others.')
  }

  /** The tutor side hears who comes and goes. */
  #hearPeople(people: Person[]): void {
    if (!this.tutorSide) return
    const here = (list: Person[]) => list.filter(({ tabs }) => tabs > 0).length
    if (here(people) > here(this.people)) this.sounds.play('came')
    else if (here(people) < here(this.people)) this.sounds.play('went')
  }

  #refused(id: string, reason: string, sentence: string): void {
    const request = this.replica.refused(id, reason, sentence)
    // What somebody else has erased meanwhile is no news to the one who erases it too.
    if (!(request?.step === 'remove_items' && reason === 'items_gone')) this.say(sentence)
  }

  #landed(logged: Logged): void {
    this.surface?.landed(logged)
    const step = logged.step
    if (logged.by === this.#seat) {
      if (logged.how === 'do') [this.undos, this.redos] = [this.undos + 1, 0]
      else if (logged.how === 'undo') [this.undos, this.redos] = [this.undos - 1, this.redos + 1]
      else [this.undos, this.redos] = [this.undos + 1, this.redos - 1]
      if (step.step === 'add_page' && logged.how === 'do') this.turnNext(step.head.id)
      if (logged.how !== 'do') this.#goWhere(logged)
      if (step.step === 'add_items' && logged.how === 'do') {
        const [item, ...more] = step.items
        if (item?.kind === 'ink' && item.nib !== 'highlighter' && !more.length) this.asYouGo.wrote(item.id)
      }
      // What a conversion made, or brought back, is chosen next; who writes on goes on writing.
      if (step.step === 'replace_items' && step.page === this.pageId && this.tools.tool === 'select') {
        const ids = step.items.map((item) => item.id)
        queueMicrotask(() => this.selection.choose(ids))
      }
    }
  }

  /** What is undone or redone is seen: on another page we turn there and say so. */
  #goWhere({ step, how }: Logged): void {
    if (step.step === 'remove_page' || step.step === 'move_page') return
    const page = 'head' in step ? step.head.id : step.page
    if (page === this.pageId || this.classroom.as) return
    this.turnNext(page)
    const number = this.replica.order.indexOf(page) + 1
    this.say(`${how === 'undo' ? 'Undone' : 'Redone'} on page ${number}.`)
  }

  #boardChanged(): void {
    this.heads = this.replica.inOrder().map((page) => page.head)
    this.waiting = this.replica.unconfirmed.length
    this.setAside = this.replica.setAside
    if (this.replica.pages.has(this.#turnAfter)) {
      const page = this.#turnAfter
      this.#turnAfter = ''
      this.turnTo(page)
    }
    if (this.pageId && !this.replica.pages.has(this.pageId) && this.replica.order.length) {
      this.turnTo(this.replica.order[0]!)
      this.say('That page was taken off the board.')
    }
    this.selection.dropGone()
    this.version++
    this.surface?.changed()
  }

  /** A page that the browser puts aside is not in the room any more. */
  #hide = (): void => {
    this.#line?.close()
  }

  #show = (event: PageTransitionEvent): void => {
    if (event.persisted) this.#reopen()
  }
}
