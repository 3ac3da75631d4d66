/** One person in one lesson: its parts, the line to the room, and who hears what comes on it. */
import { showPicturesOf } from '../board/pictures'
import { inParts, newId } from '../wire/codec'
import { WIRE } from '../wire/generated'
import type {
  BoardCard,
  Command,
  Frame,
  Goodbye,
  Lead,
  Lesson,
  Logged,
  PageHead,
  Paper,
  Person,
  ReadyPage,
  Recorded,
  Redo,
  Request,
  Sentence,
  ToBrowser,
  Undo,
  Welcome,
} from '../wire/generated'
import { Line, type LineState } from '../wire/socket'
import { Call } from '../call/call.svelte'
import { AsYouGo } from './as-you-go.svelte'
import { Attention } from './attention.svelte'
import { BoardCopy } from './board-copy.svelte'
import { Cards } from './cards.svelte'
import { Formulas } from './formulas.svelte'
import { Charts } from './charts.svelte'
import { Graphs } from './graphs.svelte'
import { Chosen } from './chosen'
import { Classroom } from './classroom.svelte'
import { Desks } from './desks.svelte'
import { handOut, heardOfDesk } from './handed'
import { Documents } from './documents.svelte'
import type { Editing } from './editing.svelte'
import type { Door, Inside, SurfaceEvents } from './inside'
import { Pages } from './pages.svelte'
import { newHead } from './papers'
import { pageOf } from './places'
import { People } from './people.svelte'
import { Pictures } from './pictures.svelte'
import { Rights } from './rights.svelte'
import { Selection } from './selection.svelte'
import { Sounds } from './sounds'
import { t, told } from '../words/words.svelte'
import { Tools, type Tool } from './tools.svelte'

const NOTICE_MS = 6_000
/** More than this is not read one by one. */
const MOST_WARNINGS = 3

export class Session implements Inside {
  readonly door: Door
  readonly tools = new Tools()
  readonly rights = new Rights()
  readonly people = new People(this.rights)
  readonly board: BoardCopy
  readonly pages: Pages
  readonly sounds = new Sounds(() => this.call.speaking.size > 0)
  readonly selection = new Selection(this)
  readonly pictures = new Pictures(this)
  readonly documents = new Documents(this, this.pictures)
  readonly chosen = new Chosen(this, this.selection, this.pictures, (editing) => (this.editing = editing))
  readonly attention = new Attention(this)
  readonly classroom = new Classroom(this, this.sounds, {
    letIn: () => this.join(),
    seeing: () => this.take('pen'),
  })
  readonly cards = new Cards(this)
  readonly formulas = new Formulas(this)
  readonly charts = new Charts(this)
  readonly desks = new Desks(this, this.selection, this.formulas)
  readonly graphs = new Graphs(this)
  readonly call: Call
  readonly asYouGo = new AsYouGo(this, this.selection, this.chosen)

  welcome = $state.raw<Welcome | null>(null)
  line = $state.raw<LineState>('joining')
  goodbye = $state.raw<Goodbye | null>(null)
  lesson = $state.raw<Lesson | null>(null)
  boards = $state.raw<BoardCard[]>([])
  /** Difference of the server's clock to ours. */
  clockSkewMs = $state.raw(0)
  keptMs = $state.raw(0)
  /** All desks are being looked at, or the working on them. */
  roundShown = $state(false)
  desksShown = $state(false)
  /** Ready pages are being looked through. */
  readying = $state.raw(false)
  /** What is looked at of times gone by: a board's moments, how a page was made, or the lesson with its voice. */
  past = $state.raw<{ board: BoardCard } | { page: PageHead } | 'voice' | null>(null)
  trouble = $state.raw<Sentence | null>(null)
  /** Words being typed on the board. */
  editing = $state.raw<Editing | null>(null)
  /** What is said for a while. */
  notice = $state.raw('')
  /** What was lost or refused, until it has been read. */
  warnings = $state.raw<string[]>([])

  surface: SurfaceEvents | null = null
  #path: string
  #board: string
  #line: Line | null = null
  #noticeTimer: ReturnType<typeof setTimeout> | undefined
  /** What was said last. */
  #said = { id: '', text: '' }
  /** A view to go to as soon as the board is there. */
  #called: Lead | null
  /** Whether the board here was shown to the tutor side, which sees its hidden pages too. */
  #shownAs: boolean | null = null

  /** ``call`` goes on from the board that was looked at before. */
  constructor(door: Door, link: string, board: string, called: Lead | null = null, call = new Call()) {
    this.door = door
    this.call = call
    call.attach({
      send: (message) => this.send(message),
      may: (kind) => this.rights.own?.allowed.includes(kind === 'voice' ? 'speak' : 'show_face') ?? true,
      say: (sentence) => this.say(sentence),
      name: () => this.people.nameOf(this.rights.seat),
    })
    call.recorder.attach({
      send: (message) => this.send(message),
      nowMs: () => this.nowMs(),
      at: () => ({ board: this.boardId, page: this.pages.id }),
      warn: (sentence) => this.warn(sentence),
    })
    this.#called = called
    this.#path = `/live/${door}/${link}`
    this.#board = board
    this.board = new BoardCopy({
      changed: () => this.#boardChanged(),
      landed: (logged) => this.#landed(logged),
      send: (id, request) => this.#line?.send({ type: 'do', id, request }),
      gap: () => this.#reopen(),
    })
    this.pages = new Pages(this.board.replica, {
      turning: () => {
        this.takeWords()
        this.surface?.turning()
      },
      turned: (along) => {
        this.selection.choose([])
        this.send({ type: 'look', page: this.pages.id, along })
        this.call.recorder.turned()
        this.surface?.changed()
      },
    })
    this.#open()
    addEventListener('pagehide', this.#hide)
    addEventListener('pageshow', this.#show)
  }

  get boardId(): string {
    return this.welcome?.board.id ?? ''
  }

  /** The room's, by the door through which this person came. */
  get link(): string {
    return this.#path.split('/').at(-1)!
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

  do(request: Request): string {
    if (this.#looksOnly()) return ''
    return inParts(request)
      .map((part) => this.board.replica.do(part))
      .at(-1)!
  }

  /** Through a student's eyes everything is seen and nothing done. */
  #looksOnly(): boolean {
    const { as } = this.rights
    if (as) this.say(t('looking-as', { name: this.people.nameOf(as.seat) }))
    return as !== null
  }

  undo(): void {
    if (this.board.mayUndo) this.#goBack({ step: 'undo' })
  }

  redo(): void {
    if (this.board.redos > 0) this.#goBack({ step: 'redo' })
  }

  /** What would come back cannot be shown without the server: presses made meanwhile would all count later. */
  #goBack(request: Undo | Redo): void {
    if (this.line === 'open') this.do(request)
    else this.say(t('no-line-undo'))
  }

  tell(command: Command): boolean {
    if (this.#looksOnly()) return false
    const sent = this.send({ type: 'tell', id: newId(), command })
    if (!sent) this.say(t('no-line-tell'))
    return sent
  }

  /** Ask everybody; false when there is no line to ask on. */
  ask(question: string, options: string[]): boolean {
    const id = newId()
    const asked = this.tell({ command: 'ask_check', id, question: question.trim(), options })
    if (asked) this.classroom.asking = { id, question }
    return asked
  }

  /** Say something in the chat; false when there is no line to say it on. */
  saySomething(text: string, to: string): boolean {
    const said = { id: newId(), text }
    const sent = this.send({ type: 'say', ...said, to })
    if (!sent) this.say(t('no-line-words'))
    else this.#said = said
    return sent
  }

  send(message: Parameters<Line['send']>[0]): boolean {
    return this.#line?.send(message) ?? false
  }

  /** A new page behind the one that is looked at; its id. */
  addPage(title: string, paper: Paper): string {
    const index = this.pages.heads.findIndex(({ id }) => id === this.pages.id) + 1
    const head = newHead(title, paper)
    this.do({ step: 'add_page', head, index, items: [] })
    return head.id
  }

  /** A desk with this page for each student who has none. */
  handOut(head: PageHead): void {
    // Who is here is not known without the server.
    if (this.line !== 'open') return this.say(t('no-line-tell'))
    const count = handOut(this, head)
    if (count) this.say(t('handed-out', { count }))
  }

  /** A ready page behind the one that is looked at; what lies on it is its background. */
  addReady({ title, paper, items }: ReadyPage): void {
    const page = this.addPage(title, paper)
    const things = items.map((item) => ({ ...item, id: newId(), by: this.rights.me }))
    this.do({ step: 'add_items', page, items: things })
    if (this.rights.mayOnOthers('lock'))
      this.do({ step: 'arrange_items', page, ids: things.map(({ id }) => id), how: 'pin', id: '' })
  }

  /** Put a page ``by`` places further on in the order. */
  movePage(page: string, by: number): void {
    const index = this.pages.placeOf(page, by)
    if (index !== null) this.do({ step: 'move_page', page, index })
  }

  /** Words that are being typed go on the board. */
  takeWords(): void {
    this.editing?.take()
    this.editing = null
  }

  /** Take a tool; only the one for choosing keeps what is chosen. */
  take(tool: Tool): void {
    this.tools.tool = tool
    if (tool !== 'select' && this.selection.ids.size) this.selection.choose([])
    this.surface?.changed()
  }

  chooseMade(ids: string[], page?: string): void {
    this.selection.chooseMade(ids, page)
  }

  /** A sentence for a while on the sill. */
  say(sentence: string): void {
    this.notice = sentence
    clearTimeout(this.#noticeTimer)
    this.#noticeTimer = setTimeout(() => (this.notice = ''), NOTICE_MS)
  }

  /** A sentence that stays until it was read. */
  warn(sentence: string): void {
    this.warnings = [...this.warnings.filter((other) => other !== sentence), sentence].slice(-MOST_WARNINGS)
  }

  read(sentence: string): void {
    this.warnings = this.warnings.filter((other) => other !== sentence)
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
      tooLarge: (message) => {
        // What it waits among is being gone through.
        if (message.type === 'do')
          queueMicrotask(() => this.#refused(message.id, 'too_large', { key: 'that-message-is-larger-than' }))
      },
    })
  }

  /** Ask to be let in; ``code`` when the door asks for one. */
  join(code = ''): void {
    const { replica } = this.board
    this.send({
      type: 'join',
      board: this.#board,
      have_seq: replica.whole && this.#shownAs !== null ? replica.seq : -1,
      page: this.pages.id,
      code,
      wire: WIRE,
    })
  }

  #reopen(): void {
    this.#line?.close()
    this.#open()
  }

  #hear(message: ToBrowser): void {
    if (this.classroom.hear(message) || this.call.hear(message)) return
    const { replica } = this.board
    switch (message.type) {
      case 'welcome':
        return this.#welcomed(message)
      case 'page_items':
        return replica.pageItems(message.page, message.items, message.last)
      case 'frame':
        return this.#frame(message)
      case 'answered':
        return replica.answered(message.id)
      case 'refused':
        return this.#refused(message.id, message.reason, message.sentence)
      case 'you':
        this.rights.own = message.standing
        return this.classroom.seeAgain()
      case 'lead':
        return this.attention.called(message)
      case 'play':
        return this.cards.hear(message)
      case 'recorded':
        return this.#recorded(message)
      case 'along':
        return this.pages.turnTo(message.page, true)
      case 'viewed':
        return this.attention.viewed(message)
      case 'readings':
        if (!this.desks.hear(message) && !this.asYouGo.hear(message)) this.selection.hear(message)
        return
      case 'goodbye':
        this.goodbye = message
        if (!message.again) this.#line?.close()
        return
    }
  }

  #welcomed(welcome: Welcome): void {
    const { replica } = this.board
    this.goodbye = null
    this.welcome = welcome
    this.rights.seat = welcome.seat
    this.#board = welcome.board.id
    showPicturesOf(welcome.board.id)
    this.lesson = welcome.lesson
    this.people.cameAs = welcome.role
    this.people.list = welcome.people
    if (welcome.pages) this.#shownAs = this.people.tutorSide
    this.boards = welcome.boards
    this.classroom.porch = null
    this.classroom.chat = welcome.chat
    this.classroom.heardCheck(welcome.lesson.check)
    this.clockSkewMs = welcome.now_ms - Date.now()
    this.keptMs = welcome.kept_ms
    this.cards.hear(welcome.play)
    this.call.joined()
    this.call.recorder.joined(welcome.recorded)
    this.call.heard(welcome.callers)
    this.line = 'open'
    this.board.welcome(welcome)
    if (!this.pages.now) {
      const last = pageOf(welcome.board.id)
      this.pages.id = replica.pages.has(last) ? last : (replica.order[0] ?? '')
    }
    this.send({ type: 'look', page: this.pages.id, along: true })
    this.call.recorder.turned()
    replica.resend()
    document.title = `${welcome.room} · Sun Room`
    this.surface?.changed()
    this.surface?.pointing(welcome.arrows)
    this.surface?.cameIn(welcome.laid)
    const lead = this.#called ?? welcome.lead
    this.#called = null
    this.#sideChanged()
    if (lead && !this.attention.keeping) this.attention.called(lead)
    if (this.attention.following) this.attention.follow(this.attention.following)
  }

  #frame(frame: Frame): void {
    if (frame.lesson) {
      if (this.people.tutorSide && frame.lesson.hands.length > (this.lesson?.hands.length ?? 0))
        this.sounds.play('hand')
      this.lesson = frame.lesson
      this.classroom.heardCheck(this.lesson.check)
    }
    if (frame.people) this.#hearPeople(frame.people)
    if (frame.boards) this.boards = frame.boards
    if (frame.trouble) this.trouble = frame.trouble.key ? frame.trouble : null
    if (frame.link) this.#relinked(frame.link)
    if (frame.kept_ms) this.keptMs = frame.kept_ms
    this.board.replica.frame(frame)
    if (frame.wet) {
      this.surface?.wet(frame.wet)
      this.classroom.wrote(frame.wet.filter(({ wet }) => !wet.over).map(({ seat }) => seat))
    }
    if (frame.pointing) this.surface?.pointing(frame.pointing)
    if (frame.laid) this.surface?.laid(frame.laid)
    if (frame.sliding) this.surface?.slid(frame.sliding)
  }

  /** Everybody hears that somebody takes down their voice, and sees it for as long as that lasts. */
  #recorded(message: Recorded): void {
    const { recorder } = this.call
    const name = message.name || recorder.now?.name
    const news = Boolean(message.seat) !== Boolean(recorder.now)
    recorder.hear(message)
    if (news && name && !recorder.on)
      this.say(message.seat ? t('recording-begun', { name }) : t('recording-over', { name }))
  }

  /** The room has another link: this page stays in, and comes back by the new one. */
  #relinked(link: string): void {
    const old = this.link
    this.#path = `/live/${this.door}/${link}`
    this.#line?.follow(this.#path)
    history.replaceState(history.state, '', location.href.replace(`/${old}`, `/${link}`))
    this.say(t('link-changed'))
  }

  /** Who comes to the tutor side, or leaves it, is shown the board anew: hidden pages are that side's alone. */
  #sideChanged(): void {
    if (this.#shownAs === null || this.#shownAs === this.people.tutorSide) return
    this.#shownAs = null
    this.#reopen()
  }

  /** The tutor side hears who comes and goes. */
  #hearPeople(people: Person[]): void {
    const before = this.people.here
    this.people.list = people
    this.#sideChanged()
    if (!this.people.tutorSide) return
    if (this.people.here > before) this.sounds.play('came')
    else if (this.people.here < before) this.sounds.play('went')
  }

  #refused(id: string, reason: string, sentence: Sentence): void {
    // Words that nobody has heard stand where they were written, unless there are others by now.
    if (id === this.#said.id) this.classroom.saying ||= this.#said.text
    const request = this.board.replica.refused(id, reason, sentence)
    // What somebody else has erased meanwhile is no news to the one who erases it too.
    if (request?.step === 'remove_items' && reason === 'items_gone') return
    if (request && !this.board.replica.setAside.some((aside) => aside.id === id)) this.warn(told(sentence))
    else this.say(told(sentence))
    if (!id) this.call.recorder.refused()
  }

  #landed(logged: Logged): void {
    this.surface?.landed(logged)
    heardOfDesk(this, logged, this.attention.held !== null)
    if (logged.by !== this.rights.seat) return
    const { step, how } = logged
    this.board.count(how)
    if (how !== 'do') this.#goWhere(logged)
    else if (step.step === 'add_page') {
      // Who hands desks out goes on with the class.
      if (!this.documents.later.delete(step.head.id) && !step.head.desk_of) this.pages.turnNext(step.head.id)
    } else if (step.step === 'add_items') {
      const [item, ...more] = step.items
      if (item?.kind === 'ink' && item.nib !== 'highlighter' && !more.length) this.asYouGo.wrote(item.id)
    }
    // What a conversion made, or brought back, is chosen next; who writes on goes on writing.
    if (step.step === 'replace_items' && step.page === this.pages.id && this.tools.tool === 'select') {
      const made = new Set(step.items.map((item) => item.id))
      // A chart that only follows its table is not what was meant.
      const meant = step.items.filter((item) => item.kind !== 'chart' || !made.has(item.table))
      const ids = meant.map((item) => item.id)
      queueMicrotask(() => this.selection.choose(ids))
    }
  }

  /** What is undone or redone is seen: on another page we turn there and say so. */
  #goWhere({ step, how }: Logged): void {
    if (step.step === 'remove_page' || step.step === 'move_page') return
    const page = 'head' in step ? step.head.id : step.page
    if (page === this.pages.id || this.rights.as) return
    this.pages.turnNext(page)
    const number = this.board.replica.order.indexOf(page) + 1
    this.say(how === 'undo' ? t('undone-on', { number }) : t('redone-on', { number }))
  }

  #boardChanged(): void {
    if (!this.pages.changed()) this.say(t('page-was-taken'))
    this.selection.dropGone()
    this.surface?.changed()
  }

  /** A page that the browser puts aside is not in the room any more. */
  #hide = (): void => {
    this.call.recorder.stop()
    this.call.end()
    this.#line?.close()
  }

  #show = (event: PageTransitionEvent): void => {
    if (event.persisted) this.#reopen()
  }
}
