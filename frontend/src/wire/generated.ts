// Made by ./run types from the wire's structs in Python. Do not edit.

export type Right = 'write' | 'note' | 'text' | 'shape' | 'maths' | 'bring_in' | 'stamp' | 'move_own' | 'change_others' | 'erase_others' | 'convert' | 'add_page' | 'point' | 'chat_all' | 'chat_tutor' | 'comment'
export type Item = InkItem | TextItem | ShapeItem
export type Step = AddItems | RemoveItems | MoveItems | ReplaceItems | AddPage | RemovePage | ChangePage
export type Request = AddItems | RemoveItems | MoveItems | AddPage | RemovePage | ChangePage | Typeset | TrueUp | AsWritten | EditText | Undo | Redo
export type Command = SetPens | PassPen | TakePen | RaiseHand | LowerHand | SetBetween | OpenLesson | EndLesson
export type FromBrowser = Join | Do | Wet | Point | Look | Tell | Read | Ping
export type ToBrowser = Welcome | PageItems | Frame | Answered | Refused | You | Readings | Pong | Goodbye

export interface AddItems {
  step: 'add_items'
  page: string
  items: Item[]
}

export interface AddPage {
  step: 'add_page'
  head: PageHead
  index: number
  items: Item[]
}

export interface Answered {
  type: 'answered'
  id: string
  seq: number
}

export interface AsWritten {
  step: 'as_written'
  page: string
  ids: string[]
}

export interface BoardCard {
  id: string
  title: string
}

export interface BoardId {
  id: string
}

export interface ChangePage {
  step: 'change_page'
  head: PageHead
}

export interface CreatedRoom {
  link: string
  owner_key: string
}

export interface Do {
  type: 'do'
  id: string
  request: Request
}

export interface DoorSign {
  title: string
  tutor: string
  name: string | null
}

export interface EditText {
  step: 'edit_text'
  page: string
  id: string
  text: string
}

export interface EndLesson {
  command: 'end_lesson'
}

export interface Facts {
  open: boolean
  mode: 'down' | 'passed' | 'up'
  passed: PassedPen[]
  withheld: string[]
  kit: ('add_page' | 'bring_in' | 'change_others' | 'chat_all' | 'chat_tutor' | 'comment' | 'convert' | 'erase_others' | 'maths' | 'move_own' | 'note' | 'point' | 'shape' | 'stamp' | 'text' | 'write')[]
  kits: ([string, ('add_page' | 'bring_in' | 'change_others' | 'chat_all' | 'chat_tutor' | 'comment' | 'convert' | 'erase_others' | 'maths' | 'move_own' | 'note' | 'point' | 'shape' | 'stamp' | 'text' | 'write')[]])[]
  down_at_ms: number
  between: 'closed' | 'view' | 'write'
  writer: string
}

export interface Figure {
  kind: 'circle' | 'ellipse' | 'line' | 'rectangle' | 'square' | 'triangle'
  score: number
  points: ([number, number])[]
  closed: boolean
  curved: boolean
}

export interface Frame {
  type: 'frame'
  steps?: Logged[]
  wet?: WetInk[]
  pointing?: Pointing[]
  lesson?: Lesson | null
  people?: Person[] | null
  kept_ms?: number
  trouble?: string | null
}

export interface Goodbye {
  type: 'goodbye'
  reason: string
  sentence: string
  again: boolean
}

export interface HomeBoard {
  id: string
  title: string
  pages: number
  changed_ms: number
  seq: number
}

export interface HomePerson {
  seat: string
  name: string
  role: string
}

export interface InkItem {
  kind: 'ink'
  id: string
  x: number
  y: number
  z: number
  by: string
  at_ms: number
  locked: boolean
  nib: 'highlighter' | 'pen'
  colour: string
  width: number
  samples: Uint8Array
}

export interface Join {
  type: 'join'
  board: string
  have_seq: number
  page: string
}

export interface Lesson {
  facts: Facts
  hands: string[]
  opened_ms: number | null
  started_ms: number | null
  ended_ms: number | null
}

export type Line = [runs: Run[], baseline: number, width: number]

export interface Logged {
  seq: number
  id: string
  by: string
  at_ms: number
  how: 'do' | 'redo' | 'undo'
  of: number
  step: Step
}

export interface Look {
  type: 'look'
  page: string
}

export interface LowerHand {
  command: 'lower_hand'
  seat: string
}

export interface Me {
  name: string | null
  rooms: RoomCard[]
}

export interface MoveItems {
  step: 'move_items'
  page: string
  ids: string[]
  dx: number
  dy: number
}

export interface OpenLesson {
  command: 'open_lesson'
}

export interface PageHead {
  id: string
  title: string
  paper: Paper
  writers: 'lesson' | 'open' | 'tutor_side'
}

export interface PageItems {
  type: 'page_items'
  page: string
  items: Item[]
  last: boolean
}

export interface Paper {
  kind: 'endless' | 'sheet'
  ruling: 'plain' | 'squares'
  width: number
  height: number
}

export interface PassPen {
  command: 'pass_pen'
  seat: string
  minutes: number | null
}

export interface PassedPen {
  seat: string
  until_ms: number | null
}

export interface Person {
  seat: string
  name: string
  role: 'helper' | 'onlooker' | 'student' | 'tutor'
  tabs: number
  page: string
}

export interface Ping {
  type: 'ping'
  at: number
}

export interface Point {
  type: 'point'
  page: string
  x: number
  y: number
  on: boolean
}

export interface Pointing {
  seat: string
  point: Point
}

export interface Pong {
  type: 'pong'
  at: number
}

export interface RaiseHand {
  command: 'raise_hand'
}

export interface Read {
  type: 'read'
  ref: number
  page: string
  ids: string[]
}

export interface Reading {
  text: string
  score: number
}

export interface Readings {
  type: 'readings'
  ref: number
  readings: Reading[]
  figures: Figure[]
  problem: string
}

export interface Redo {
  step: 'redo'
}

export interface Refused {
  type: 'refused'
  id: string
  reason: string
  sentence: string
}

export interface RemoveItems {
  step: 'remove_items'
  page: string
  ids: string[]
}

export interface RemovePage {
  step: 'remove_page'
  page: string
}

export interface ReplaceItems {
  step: 'replace_items'
  page: string
  ids: string[]
  items: Item[]
}

export interface RoomCard {
  title: string
  link: string
  claimed: boolean
}

export interface RoomHome {
  title: string
  link: string
  onlooker_link: string
  claimed: boolean
  tutor: string
  lesson_open: boolean
  between: 'closed' | 'view' | 'write'
  opened_ms: number | null
  started_ms: number | null
  ended_ms: number | null
  boards: HomeBoard[]
  people: HomePerson[]
}

export type Run = [face: string, text: string, x: number, width: number]

export interface SetBetween {
  command: 'set_between'
  between: 'closed' | 'view' | 'write'
}

export interface SetPens {
  command: 'set_pens'
  mode: 'down' | 'passed' | 'up'
}

export interface ShapeItem {
  kind: 'shape'
  id: string
  x: number
  y: number
  z: number
  by: string
  at_ms: number
  locked: boolean
  figure: 'circle' | 'ellipse' | 'line' | 'rectangle' | 'square' | 'triangle'
  points: ([number, number])[]
  closed: boolean
  curved: boolean
  colour: string
  width: number
  ink: InkItem[]
}

export interface Standing {
  allowed: ('add_ink' | 'add_page' | 'add_shape' | 'add_text' | 'change' | 'change_page' | 'convert' | 'end_lesson' | 'hand' | 'pass_pen' | 'point' | 'remove' | 'remove_page' | 'set_between' | 'set_pens')[]
  on_others: ('add_ink' | 'add_page' | 'add_shape' | 'add_text' | 'change' | 'change_page' | 'convert' | 'end_lesson' | 'hand' | 'pass_pen' | 'point' | 'remove' | 'remove_page' | 'set_between' | 'set_pens')[]
  writing: Verdict
  until_ms: number | null
}

export interface TakePen {
  command: 'take_pen'
  seat: string
}

export interface Tell {
  type: 'tell'
  id: string
  command: Command
}

export interface TextItem {
  kind: 'text'
  id: string
  x: number
  y: number
  z: number
  by: string
  at_ms: number
  locked: boolean
  text: string
  size: number
  colour: string
  wrap_width: number | null
  lines: Line[]
  ink: InkItem[]
}

export interface TrueUp {
  step: 'true_up'
  page: string
  ids: string[]
  id: string
  figure: 'circle' | 'ellipse' | 'line' | 'rectangle' | 'square' | 'triangle'
  points: ([number, number])[]
  closed: boolean
  curved: boolean
}

export interface Typeset {
  step: 'typeset'
  page: string
  ids: string[]
  id: string
  text: string
}

export interface Undo {
  step: 'undo'
}

export interface Verdict {
  allowed: boolean
  reason: string
  sentence: string
}

export interface Welcome {
  type: 'welcome'
  seat: string
  connection: string
  role: 'helper' | 'onlooker' | 'student' | 'tutor'
  room: string
  link: string
  board: BoardCard
  now_ms: number
  lesson: Lesson
  people: Person[]
  seq: number
  kept_ms: number
  undos: number
  redos: number
  pages: PageHead[] | null
  missed: Logged[]
}

export interface Wet {
  type: 'wet'
  id: string
  page: string
  nib: string
  colour: string
  width: number
  begin: number
  samples: Uint8Array
  over: boolean
}

export interface WetInk {
  connection: string
  seat: string
  wet: Wet
}

export interface You {
  type: 'you'
  page: string
  standing: Standing
}
