// Made by ./run types from the wire's structs in Python. Do not edit.

export type Action = 'add_ink' | 'add_text' | 'add_note' | 'add_picture' | 'add_shape' | 'add_formula' | 'change' | 'remove' | 'convert' | 'lock' | 'add_page' | 'change_page' | 'remove_page' | 'point' | 'hand' | 'chat_all' | 'chat_tutor' | 'lead_view' | 'set_pens' | 'pass_pen' | 'set_rights' | 'set_role' | 'send_away' | 'set_between' | 'end_lesson' | 'hand_over' | 'admit' | 'count_down' | 'ask_check' | 'answer_check' | 'react' | 'rename_self' | 'speak' | 'show_face' | 'record_voice' | 'caption'
export type Align = 'left' | 'centre' | 'right'
export type Dash = 'solid' | 'dashed' | 'dotted'
export type Ends = 'none' | 'arrow' | 'arrows'
export type Family = 'sans' | 'serif' | 'hand' | 'mono'
export type InstrumentKind = 'ruler' | 'protractor' | 'square_45' | 'square_60' | 'compasses'
export type FigureKind = 'line' | 'rectangle' | 'square' | 'rounded' | 'ellipse' | 'circle' | 'triangle' | 'right_triangle' | 'parallelogram' | 'rhombus' | 'trapezium' | 'pentagon' | 'hexagon' | 'polygon' | 'star' | 'heart' | 'arc' | 'brace' | 'axis' | 'axes' | 'number_line' | 'tick' | 'cross' | 'elbow' | 'curve' | 'polyline'
export type Arrangement = 'left' | 'centre' | 'right' | 'top' | 'middle' | 'bottom' | 'spread_across' | 'spread_down' | 'front' | 'forward' | 'backward' | 'back' | 'group' | 'ungroup' | 'lock' | 'unlock' | 'pin' | 'unpin'
export type Listing = 'none' | 'bullets' | 'numbers'
export type ChartForm = 'bars' | 'stacked' | 'lines' | 'scatter' | 'pie' | 'histogram' | 'box' | 'stems'
export type Construction = 'midpoint' | 'perpendicular' | 'parallel' | 'bisector'
export type Counted = 'numbers' | 'pi' | 'degrees'
export type Measured = 'sides' | 'angles' | 'area' | 'around'
export type OfferKind = 'value' | 'decimal' | 'simplified' | 'expanded' | 'factored' | 'solved' | 'steps' | 'derived' | 'integrated' | 'quantity' | 'balanced' | 'mass' | 'said'
export type LineVerdict = 'first' | 'follows' | 'does_not' | 'cannot_tell' | 'right' | 'wrong'
export type Nib = 'pencil' | 'pen' | 'brush' | 'highlighter'
export type Right = 'write' | 'note' | 'text' | 'shape' | 'maths' | 'bring_in' | 'stamp' | 'move_own' | 'change_others' | 'erase_others' | 'convert' | 'add_page' | 'point' | 'chat_all' | 'chat_tutor' | 'comment'
export type Item = InkItem | TextItem | ShapeItem | NoteItem | TableItem | PictureItem | CardItem | FormulaItem | GraphItem | ChartItem
export type Step = AddItems | RemoveItems | MoveItems | ChangeItems | ReplaceItems | AddPage | RemovePage | MovePage | ChangePage
export type Request = AddItems | DrawFigure | RemoveItems | RubItems | MoveItems | TransformItems | MoveEnds | StyleItems | ArrangeItems | EditText | EditCard | EditFormula | SetGraph | SetTable | SetCell | ChangeTable | Typeset | SetMaths | TrueUp | TrueUpAll | ConvertEach | AsWritten | ToMindMap | AddPage | RemovePage | MovePage | ChangePage | CopyPage | EditPage | PutBay | DropBay | CropPicture | SwapPicture | SetChart | PlotTable | Throw | PutChance | PutNumberLine | MeasureItems | Construct | Undo | Redo
export type Command = SetPens | PassPen | TakePen | SetRights | SetPointing | SetVoices | SetCaller | PassToNext | RaiseHand | LowerHand | LowerHands | SetBetween | SetDoor | SetPlan | SetCountdown | AskCheck | AnswerCheck | ShareCheck | EndCheck | PauseLesson | OpenLesson | EndLesson | SetRole | SendAway | Rename | Admit | TurnAway | ToPorch | HandOver | Forget | LetBack
export type FromBrowser = Join | Do | Wet | Point | Lay | Slide | ClearPointers | Say | Lead | Play | Look | Tell | Read | Teach | Ping | React | Follow | View | SeeAs | Inspect | Call | Signal | SetRecording | Caption
export type ToBrowser = Welcome | PageItems | Frame | Answered | Refused | You | Readings | Heard | Lead | Play | AtPorch | LetIn | AtDoor | CheckAnswers | Reacted | Viewed | Along | SeenAs | Inspected | Callers | CallWays | Signal | Recorded | Captioned | Pong | Goodbye
export const UNIT_FIGURES: Record<FigureKind, Outline> = {"line":{"points":[[0.0,0.0],[100.0,100.0]],"parts":[],"closed":false,"curved":false},"rectangle":{"points":[[0.0,0.0],[100.0,0.0],[100.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"square":{"points":[[0.0,0.0],[100.0,0.0],[100.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"rounded":{"points":[[18.0,0.0],[39.333,0.0],[60.667,0.0],[82.0,0.0],[91.941,0.0],[100.0,8.059],[100.0,18.0],[100.0,39.333],[100.0,60.667],[100.0,82.0],[100.0,91.941],[91.941,100.0],[82.0,100.0],[60.667,100.0],[39.333,100.0],[18.0,100.0],[8.059,100.0],[0.0,91.941],[0.0,82.0],[0.0,60.667],[0.0,39.333],[0.0,18.0],[0.0,8.059],[8.059,0.0],[18.0,0.0]],"parts":[],"closed":true,"curved":true},"ellipse":{"points":[[100.0,50.0],[100.0,77.614],[77.614,100.0],[50.0,100.0],[22.386,100.0],[0.0,77.614],[0.0,50.0],[0.0,22.386],[22.386,0.0],[50.0,0.0],[77.614,0.0],[100.0,22.386],[100.0,50.0]],"parts":[],"closed":true,"curved":true},"circle":{"points":[[100.0,50.0],[100.0,77.614],[77.614,100.0],[50.0,100.0],[22.386,100.0],[0.0,77.614],[0.0,50.0],[0.0,22.386],[22.386,0.0],[50.0,0.0],[77.614,0.0],[100.0,22.386],[100.0,50.0]],"parts":[],"closed":true,"curved":true},"triangle":{"points":[[50.0,0.0],[100.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"right_triangle":{"points":[[0.0,0.0],[100.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"parallelogram":{"points":[[25.0,0.0],[100.0,0.0],[75.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"rhombus":{"points":[[50.0,0.0],[100.0,50.0],[50.0,100.0],[0.0,50.0]],"parts":[],"closed":true,"curved":false},"trapezium":{"points":[[22.0,0.0],[78.0,0.0],[100.0,100.0],[0.0,100.0]],"parts":[],"closed":true,"curved":false},"pentagon":{"points":[[50.0,0.0],[100.0,38.197],[80.902,100.0],[19.098,100.0],[0.0,38.197]],"parts":[],"closed":true,"curved":false},"hexagon":{"points":[[50.0,0.0],[100.0,25.0],[100.0,75.0],[50.0,100.0],[0.0,75.0],[0.0,25.0]],"parts":[],"closed":true,"curved":false},"polygon":{"points":[[50.0,0.0],[85.355,14.645],[100.0,50.0],[85.355,85.355],[50.0,100.0],[14.645,85.355],[0.0,50.0],[14.645,14.645]],"parts":[],"closed":true,"curved":false},"star":{"points":[[50.0,0.0],[61.804,38.195],[100.0,38.197],[69.1,61.804],[80.902,100.0],[50.0,76.395],[19.098,100.0],[30.9,61.804],[0.0,38.197],[38.196,38.195]],"parts":[],"closed":true,"curved":false},"heart":{"points":[[50.0,100.0],[36.0,84.0],[0.0,60.0],[0.0,28.0],[0.0,8.0],[16.0,0.0],[27.0,0.0],[38.0,0.0],[47.0,8.0],[50.0,20.0],[53.0,8.0],[62.0,0.0],[73.0,0.0],[84.0,0.0],[100.0,8.0],[100.0,28.0],[100.0,60.0],[64.0,84.0],[50.0,100.0]],"parts":[],"closed":true,"curved":true},"arc":{"points":[[0.0,100.0],[0.0,44.772],[22.386,0.0],[50.0,0.0],[77.614,0.0],[100.0,44.772],[100.0,100.0]],"parts":[],"closed":false,"curved":true},"brace":{"points":[[0.0,66.0],[0.0,50.0],[0.0,50.0],[16.0,50.0],[22.0,50.0],[28.0,50.0],[34.0,50.0],[50.0,50.0],[50.0,50.0],[50.0,34.0],[50.0,50.0],[50.0,50.0],[66.0,50.0],[72.0,50.0],[78.0,50.0],[84.0,50.0],[100.0,50.0],[100.0,50.0],[100.0,66.0]],"parts":[],"closed":false,"curved":true},"axis":{"points":[[0.0,50.0],[100.0,50.0],[88.0,56.6],[100.0,50.0],[88.0,43.4]],"parts":[2,3],"closed":false,"curved":false},"axes":{"points":[[0.0,50.0],[100.0,50.0],[88.0,56.6],[100.0,50.0],[88.0,43.4],[50.0,100.0],[50.0,0.0],[43.4,12.0],[50.0,0.0],[56.6,12.0]],"parts":[2,3,2,3],"closed":false,"curved":false},"number_line":{"points":[[0.0,50.0],[100.0,50.0],[88.0,56.6],[100.0,50.0],[88.0,43.4],[30.0,43.0],[30.0,57.0],[70.0,43.0],[70.0,57.0],[12.0,43.4],[0.0,50.0],[12.0,56.6]],"parts":[2,3,2,2,3],"closed":false,"curved":false},"tick":{"points":[[0.0,55.0],[35.0,100.0],[100.0,0.0]],"parts":[],"closed":false,"curved":false},"cross":{"points":[[0.0,0.0],[100.0,100.0],[100.0,0.0],[0.0,100.0]],"parts":[2,2],"closed":false,"curved":false},"elbow":{"points":[[0.0,0.0],[50.0,0.0],[50.0,100.0],[100.0,100.0]],"parts":[],"closed":false,"curved":false},"curve":{"points":[[0.0,0.0],[50.0,0.0],[50.0,100.0],[100.0,100.0]],"parts":[],"closed":false,"curved":true},"polyline":{"points":[[0.0,0.0],[33.333,100.0],[66.667,0.0],[100.0,100.0]],"parts":[],"closed":false,"curved":false}}
export const READY_KITS: Record<string, Right[]> = {"full pen":["add_page","bring_in","chat_all","chat_tutor","comment","convert","maths","move_own","note","point","shape","stamp","text","write"],"ink only":["chat_all","chat_tutor","move_own","point","write"],"notes only":["chat_all","chat_tutor","move_own","note","point"],"cards only":["change_others","chat_all","chat_tutor","move_own"],"pointer only":["chat_all","chat_tutor","point"]}
export const ELEMENTS: [symbol: string, number: number, weight: string, column: number, row: number][] = [["H", 1, "1.008", 1, 1], ["He", 2, "4.003", 18, 1], ["Li", 3, "6.94", 1, 2], ["Be", 4, "9.012", 2, 2], ["B", 5, "10.81", 13, 2], ["C", 6, "12.011", 14, 2], ["N", 7, "14.007", 15, 2], ["O", 8, "15.999", 16, 2], ["F", 9, "18.998", 17, 2], ["Ne", 10, "20.18", 18, 2], ["Na", 11, "22.99", 1, 3], ["Mg", 12, "24.305", 2, 3], ["Al", 13, "26.982", 13, 3], ["Si", 14, "28.085", 14, 3], ["P", 15, "30.974", 15, 3], ["S", 16, "32.06", 16, 3], ["Cl", 17, "35.45", 17, 3], ["Ar", 18, "39.95", 18, 3], ["K", 19, "39.098", 1, 4], ["Ca", 20, "40.078", 2, 4], ["Sc", 21, "44.956", 3, 4], ["Ti", 22, "47.867", 4, 4], ["V", 23, "50.942", 5, 4], ["Cr", 24, "51.996", 6, 4], ["Mn", 25, "54.938", 7, 4], ["Fe", 26, "55.845", 8, 4], ["Co", 27, "58.933", 9, 4], ["Ni", 28, "58.693", 10, 4], ["Cu", 29, "63.546", 11, 4], ["Zn", 30, "65.38", 12, 4], ["Ga", 31, "69.723", 13, 4], ["Ge", 32, "72.63", 14, 4], ["As", 33, "74.922", 15, 4], ["Se", 34, "78.971", 16, 4], ["Br", 35, "79.904", 17, 4], ["Kr", 36, "83.798", 18, 4], ["Rb", 37, "85.468", 1, 5], ["Sr", 38, "87.62", 2, 5], ["Y", 39, "88.906", 3, 5], ["Zr", 40, "91.224", 4, 5], ["Nb", 41, "92.906", 5, 5], ["Mo", 42, "95.95", 6, 5], ["Tc", 43, "[97]", 7, 5], ["Ru", 44, "101.07", 8, 5], ["Rh", 45, "102.91", 9, 5], ["Pd", 46, "106.42", 10, 5], ["Ag", 47, "107.87", 11, 5], ["Cd", 48, "112.41", 12, 5], ["In", 49, "114.82", 13, 5], ["Sn", 50, "118.71", 14, 5], ["Sb", 51, "121.76", 15, 5], ["Te", 52, "127.6", 16, 5], ["I", 53, "126.9", 17, 5], ["Xe", 54, "131.29", 18, 5], ["Cs", 55, "132.91", 1, 6], ["Ba", 56, "137.33", 2, 6], ["La", 57, "138.91", 3, 9], ["Ce", 58, "140.12", 4, 9], ["Pr", 59, "140.91", 5, 9], ["Nd", 60, "144.24", 6, 9], ["Pm", 61, "[145]", 7, 9], ["Sm", 62, "150.36", 8, 9], ["Eu", 63, "151.96", 9, 9], ["Gd", 64, "157.25", 10, 9], ["Tb", 65, "158.93", 11, 9], ["Dy", 66, "162.5", 12, 9], ["Ho", 67, "164.93", 13, 9], ["Er", 68, "167.26", 14, 9], ["Tm", 69, "168.93", 15, 9], ["Yb", 70, "173.05", 16, 9], ["Lu", 71, "174.97", 17, 9], ["Hf", 72, "178.49", 4, 6], ["Ta", 73, "180.95", 5, 6], ["W", 74, "183.84", 6, 6], ["Re", 75, "186.21", 7, 6], ["Os", 76, "190.23", 8, 6], ["Ir", 77, "192.22", 9, 6], ["Pt", 78, "195.08", 10, 6], ["Au", 79, "196.97", 11, 6], ["Hg", 80, "200.59", 12, 6], ["Tl", 81, "204.38", 13, 6], ["Pb", 82, "207.2", 14, 6], ["Bi", 83, "208.98", 15, 6], ["Po", 84, "[209]", 16, 6], ["At", 85, "[210]", 17, 6], ["Rn", 86, "[222]", 18, 6], ["Fr", 87, "[223]", 1, 7], ["Ra", 88, "[226]", 2, 7], ["Ac", 89, "[227]", 3, 10], ["Th", 90, "232.04", 4, 10], ["Pa", 91, "231.04", 5, 10], ["U", 92, "238.03", 6, 10], ["Np", 93, "[237]", 7, 10], ["Pu", 94, "[244]", 8, 10], ["Am", 95, "[243]", 9, 10], ["Cm", 96, "[247]", 10, 10], ["Bk", 97, "[247]", 11, 10], ["Cf", 98, "[251]", 12, 10], ["Es", 99, "[252]", 13, 10], ["Fm", 100, "[257]", 14, 10], ["Md", 101, "[258]", 15, 10], ["No", 102, "[259]", 16, 10], ["Lr", 103, "[262]", 17, 10], ["Rf", 104, "[267]", 4, 7], ["Db", 105, "[270]", 5, 7], ["Sg", 106, "[269]", 6, 7], ["Bh", 107, "[270]", 7, 7], ["Hs", 108, "[270]", 8, 7], ["Mt", 109, "[278]", 9, 7], ["Ds", 110, "[281]", 10, 7], ["Rg", 111, "[281]", 11, 7], ["Cn", 112, "[285]", 12, 7], ["Nh", 113, "[286]", 13, 7], ["Fl", 114, "[289]", 14, 7], ["Mc", 115, "[289]", 15, 7], ["Lv", 116, "[293]", 16, 7], ["Ts", 117, "[293]", 17, 7], ["Og", 118, "[294]", 18, 7]]
export const WIRE = 9
export const LINE_HEIGHT = 1.3
export const FORMULA_UNITS = 1000
export const PATH_UNITS = 10
export const GRAPH_LABEL = 13.0
export const GRAPH_GRID = "#d5dee2"
export const GRAPH_AXIS = 1.6
export const AREA_OPACITY = 0.6
export const MAX_GRAPH_LINES = 8
export const MAX_FORMULA = 1000
export const MAX_CAPTION = 200
export const MAX_WORDS = 200
export const FEWEST_ANSWERS = 2
export const MOST_ANSWERS = 6
export const MAX_NUMBER = 8
export const UNDERLINE = 0.12
export const STRIKE = 0.27
export const RULE = 0.06
export const HIGHLIGHT_OPACITY = 0.4
export const LABEL_PAD = 8.0
export const NOTE_PAD = 14.0
export const CELL_PAD = 8.0
export const CARD_PAD = 14.0
export const CARD_SIGN = 64.0
export const CARD_SIGNS = {"link":[[[23,6],[34,6],[34,17]],[[34,6],[18,22]],[[27,21],[27,34],[6,34],[6,13],[19,13]]],"sound":[[[5,15],[12,15],[21,7],[21,33],[12,25],[5,25],[5,15]],[[27,14],[30,20],[27,26]],[[32,9],[36.5,20],[32,31]]],"video":[[[4,8],[36,8],[36,32],[4,32],[4,8]],[[16,14],[26,20],[16,26],[16,14]]]}
export const MAX_CARD_TITLE = 120
export const MAX_TABLE_SIDE = 40
export const MAX_LABEL = 500
export const MAX_TEXT = 5000
export const MAX_NOTE = 1000
export const MAX_TITLE = 80
export const MAX_CELL = 500
export const TABLE_ROW = 40.0
export const TABLE_COLUMN = 120.0
export const LEAST_BAY = 40.0
export const PAPER_COLOUR = "#fffefa"
export const MAX_RUB_POINTS = 600
export const MAX_MESSAGE = 2500000
export const MAX_READ = 600
export const SURE_TEXT = 0.7

export interface AccountPage {
  username: string
  name: string
  mail: string
  rooms: number
  browsers: SignedInBrowser[]
}

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

export interface Admit {
  command: 'admit'
  seat: string
}

export type Affine = [a: number, b: number, c: number, d: number, e: number, f: number]

export interface Afterwards {
  title: string
  tutor: string
  name: string
  open: boolean
  lesson_open: boolean
  plan: Plan
  boards: HomeBoard[]
  homework: Task[]
}

export interface Along {
  type: 'along'
  page: string
}

export interface AnswerCheck {
  command: 'answer_check'
  id: string
  option: number
}

export interface Answered {
  type: 'answered'
  id: string
  seq: number
}

export interface ArrangeItems {
  step: 'arrange_items'
  page: string
  ids: string[]
  how: Arrangement
  id: string
}

export interface AsWritten {
  step: 'as_written'
  page: string
  ids: string[]
}

export interface AskCheck {
  command: 'ask_check'
  id: string
  question: string
  options: string[]
}

export interface AtDoor {
  type: 'at_door'
  knocks: Knock[]
  code: string
}

export interface AtPlace {
  x: number
  y: number | null
  slope: number | null
}

export interface AtPorch {
  type: 'at_porch'
  needs: 'code' | 'knock'
  tutor: string
  wrong: boolean
  away: boolean
}

export interface Attended {
  name: string
  minutes: number
}

export type AxisNumber = [text: string, x: number, y: number]

export interface Bay {
  id: string
  x: number
  y: number
  width: number
  height: number
  title: string
  rule: 'open' | 'page' | 'people' | 'tutor_side'
  people: string[]
  prints: 'no' | 'own' | 'page'
}

export interface BayStanding {
  bay: string
  writing: Verdict
}

export interface BoardCard {
  id: string
  title: string
}

export interface BoardId {
  id: string
}

export type Box = [x0: number, y0: number, x1: number, y1: number]

export interface BroughtIn {
  id: string
  width: number
  height: number
}

export interface Call {
  type: 'call'
  id: string
  on: boolean
  voice: boolean
  face: boolean
  trouble: '' | 'no_face' | 'no_voice' | 'no_way' | 'silent'
  shows: boolean
}

export interface CallWays {
  type: 'call_ways'
  servers: IceServer[]
  media: string
}

export interface Caller {
  id: string
  seat: string
  voice: boolean
  face: boolean
  may_voice: boolean
  may_face: boolean
  trouble: '' | 'no_face' | 'no_voice' | 'no_way' | 'silent'
  shows: boolean
  no_voice: Sentence | null
  no_face: Sentence | null
}

export interface Callers {
  type: 'callers'
  callers: Caller[]
  gone: string[]
}

export interface Caption {
  type: 'caption'
  text: string
}

export interface Captioned {
  type: 'captioned'
  text: string
}

export interface CardItem {
  kind: 'card'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  of: 'link' | 'sound' | 'video'
  title: string
  address: string
  file: string
  width: number
  height: number
  size: number
  lines: Line[]
}

export interface Chance {
  kind: 'coin' | 'dice' | 'numbers' | 'spinner'
  names: string[]
  dice: number
  sides: number
  low: number
  high: number
}

export interface Change {
  colour?: string
  width?: number
  opacity?: number
  fill?: string
  dash?: Dash
  ends?: Ends
  size?: number
  id: string
  x?: number
  y?: number
  map?: [number, number, number, number]
  z?: number
  group?: string
  locked?: boolean
  pinned?: boolean
  lines?: Line[]
  height?: number
  drawn?: GraphPaths
  chart?: Drawn
  measured?: Measured[]
  measures?: Drawn | null
  points?: ([number, number])[]
  holds?: [string, string]
}

export interface ChangeItems {
  step: 'change_items'
  page: string
  changes: Change[]
}

export interface ChangePage {
  step: 'change_page'
  head: PageHead
}

export interface ChangeTable {
  step: 'change_table'
  page: string
  id: string
  rows?: number
  columns?: number
  side?: Side
  head?: boolean
  at?: number
}

export interface ChartItem {
  kind: 'chart'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  form: ChartForm
  width: number
  height: number
  columns: number
  cells: string[]
  table: string
  title: string
  by_rows: boolean
  fit: boolean
  colour: string
  chart: Drawn | null
}

export interface Check {
  id: string
  question: string
  options: string[]
  shared: boolean
  answers: ([string, number])[]
  answered: string[]
}

export interface CheckAnswers {
  type: 'check_answers'
  id: string
  answers: ([string, number])[]
}

export interface ChosenSign {
  ids: string[]
  name: string
}

export interface ClearPointers {
  type: 'clear_pointers'
  everyone: boolean
}

export interface Construct {
  step: 'construct'
  page: string
  ids: string[]
  what: Construction
  id: string
}

export interface ConvertEach {
  step: 'convert_each'
  page: string
  texts: Typeset[]
  formulas: SetMaths[]
  sketch: TrueUpAll | null
}

export interface CopyPage {
  step: 'copy_page'
  page: string
  id: string
  title: string
  desk_of: string
}

export interface Countdown {
  until_ms: number
  label: string
}

export interface CreatedRoom {
  link: string
  owner_key: string
}

export interface CropPicture {
  step: 'crop_picture'
  page: string
  id: string
  crop: [number, number, number, number]
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
  outside_call: string
}

export interface DrawFigure {
  step: 'draw_figure'
  page: string
  id: string
  figure: FigureKind
  x: number
  y: number
  width: number
  height: number
  colour: string
  line_width: number
  sides: number
  fill: string
  dash: Dash
  ends: Ends
  opacity: number
  holds: [string, string]
}

export interface DrawingParts {
  side: number
  items: Item[]
}

export interface DrawingSubject {
  name: string
  drawings: string[]
}

export interface Drawn {
  patches: Patch[]
  labels: DrawnText[]
  problem: Sentence | null
}

export type DrawnText = [text: string, x: number, y: number, size: number, colour: string]

export interface DropBay {
  step: 'drop_bay'
  page: string
  bay: string
}

export interface EditCard {
  step: 'edit_card'
  page: string
  id: string
  title: string
  address: string
}

export interface EditFormula {
  step: 'edit_formula'
  page: string
  id: string
  formula: string
  number: string
}

export interface EditPage {
  step: 'edit_page'
  page: string
  title?: string
  paper?: Paper
  writers?: 'desk' | 'lesson' | 'open' | 'tutor_side'
  desk_of?: string
  hidden?: boolean
}

export interface EditText {
  step: 'edit_text'
  page: string
  id: string
  text: string
  spans: Span[]
  family: Family
  align: Align
  listing: Listing
}

export interface EndCheck {
  command: 'end_check'
}

export interface EndLesson {
  command: 'end_lesson'
}

export interface Entry {
  at_ms: number
  seat: string
  name: string
  what: 'came' | 'did' | 'went'
  said: Sentence
}

export interface Facts {
  open: boolean
  paused: boolean
  mode: 'down' | 'passed' | 'up'
  passed: PassedPen[]
  withheld: string[]
  kit: Right[]
  kits: ([string, Right[]])[]
  room_kit: Right[]
  down_at_ms: number
  between: 'closed' | 'view' | 'write'
  writer: string
  pointing: boolean
  voices: 'all' | 'pens' | 'tutor_side'
  faces: 'all' | 'pens' | 'tutor_side'
  muted: string[]
  unseen: string[]
  called: string[]
}

export interface Figure {
  kind: 'arc' | 'arrow' | 'axes' | 'brace' | 'circle' | 'cross' | 'double_arrow' | 'elbow' | 'ellipse' | 'hexagon' | 'line' | 'number_line' | 'parallelogram' | 'pentagon' | 'polyline' | 'rectangle' | 'rhombus' | 'square' | 'star' | 'tick' | 'trapezium' | 'triangle'
  score: number
  points: ([number, number])[]
  closed: boolean
  curved: boolean
  figure: FigureKind
  parts: number[]
  ends: Ends
  form: '' | 'equilateral' | 'isosceles' | 'right' | 'same-size'
}

export interface Flatten {
  corners: ([number, number])[]
  whiten: boolean
  keep: boolean
}

export interface Follow {
  type: 'follow'
  seat: string
}

export interface Forget {
  command: 'forget'
  seat: string
}

export interface FormulaInText {
  start: number
  end: number
  ids: string[]
}

export interface FormulaItem {
  kind: 'formula'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  formula: string
  size: number
  colour: string
  number: string
  outline: string
  width: number
  height: number
  baseline: number
  ink: InkItem[]
}

export interface FormulaLook {
  outline: string
  width: number
  height: number
  baseline: number
}

export interface FormulaPiece {
  read: FormulaRead
  ids: string[]
  box: Box
}

export interface FormulaRead {
  formula: string
  score: number
  outline: string
  width: number
  height: number
  baseline: number
  signs: SignRead[]
  lines: string[][]
}

export interface FormulaSet {
  look: FormulaLook
  latex: string
  mathml: string
  spoken: string
}

export interface FormulaTyped {
  formula: string
  number: string
}

export interface Found {
  board: string
  title: string
  page: string
  number: number
  how: 'typed' | 'written'
  text: string
}

export interface FoundWords {
  found: Found[]
  unread: number
}

export interface Frame {
  type: 'frame'
  steps?: Logged[]
  passed?: number[]
  wet?: WetInk[]
  pointing?: Pointing[]
  laid?: Laid[]
  sliding?: Sliding[]
  lesson?: Lesson | null
  people?: Person[] | null
  boards?: BoardCard[] | null
  kept_ms?: number
  trouble?: Sentence | null
  link?: string | null
}

export interface Goodbye {
  type: 'goodbye'
  reason: string
  sentence: Sentence
  again: boolean
}

export interface GraphItem {
  kind: 'graph'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  width: number
  height: number
  ranges: Ranges
  lines: GraphLine[]
  letters: GraphLetter[]
  counted: Counted
  colour: string
  drawn: GraphPaths | null
}

export interface GraphLetter {
  name: string
  value: number
  low: number
  high: number
}

export interface GraphLine {
  formula: string
  colour: string
  width: number
  shown: boolean
  fit: number
}

export interface GraphPaths {
  grid: string
  axes: string
  labels: AxisNumber[]
  curves: string[]
  problems: (Sentence | null)[]
  areas: string[]
}

export interface HandOver {
  command: 'hand_over'
  seat: string
}

export interface HandSample {
  id: number
  text: string
  taught: boolean
  strokes: (([number, number, number, number])[])[]
}

export interface Handed {
  id: string
  seat: string
  kind: string
  name: string
  at_ms: number
}

export interface Heard {
  type: 'heard'
  line: Said
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
  role: 'helper' | 'onlooker' | 'student' | 'tutor'
}

export interface IceServer {
  urls: string
  username: string
  credential: string
}

export interface InkItem {
  kind: 'ink'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  nib: Nib
  colour: string
  width: number
  samples: Uint8Array
  opacity: number
  ends: Ends
}

export interface Inspect {
  type: 'inspect'
  ref: number
  page: string
  id: string
}

export interface Inspected {
  type: 'inspected'
  ref: number
  traces: Trace[]
}

export interface Instrument {
  kind: InstrumentKind
  x: number
  y: number
  angle: number
  size: number
  arm: number
}

export interface Invitation {
  code: string
}

export interface Invited {
  name: string
  room: string
  now: string
}

export interface Join {
  type: 'join'
  board: string
  have_seq: number
  page: string
  code: string
  wire: number
}

export interface Knock {
  seat: string
  name: string
  at_ms: number
}

export interface Label {
  ids: string[]
  id: string
  text: string
}

export interface Laid {
  connection: string
  seat: string
  lay: Lay
}

export interface Lay {
  type: 'lay'
  page: string
  instruments: Instrument[]
}

export interface Lead {
  type: 'lead'
  page: string
  box: Box
  hold: boolean
  board: string
  name: string
}

export interface Lesson {
  facts: Facts
  hands: string[]
  words: ([string, '' | 'answer' | 'done' | 'stuck'])[]
  opened_ms: number | null
  started_ms: number | null
  ended_ms: number | null
  paused_ms: number | null
  rested_ms: number
  door: 'code' | 'knock' | 'open'
  code: string
  plan: Plan
  countdown: Countdown | null
  check: Check | null
}

export interface LetBack {
  command: 'let_back'
  seat: string
}

export interface LetIn {
  type: 'let_in'
}

export interface Letter {
  at_ms: number
  to: string
  subject: string
  text: string
  files: string[]
  problem: string
}

export interface Lifted {
  samples: string
  width: number
  colour: string
}

export interface LiftedInk {
  width: number
  height: number
  strokes: Lifted[]
}

export type Line = [runs: Run[], baseline: number, width: number]

export interface LineChecked {
  formula: number
  line: number
  lines: number
  look: FormulaLook
  verdict: LineVerdict
  sentence: Sentence | null
}

export interface LinePart {
  text: string
  formula: FormulaRead | null
  ids: string[]
}

export interface LineRead {
  rivals: Reading[]
  ids: string[]
  box: Box
  angle_rad: number
  parts: LinePart[]
}

export interface LineTaught {
  ids: string[]
  text: string
}

export interface Link {
  ids: string[]
  id: string
  ends: [string, string]
}

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
  along: boolean
}

export interface LostThing {
  ids: string[]
  x: number
  y: number
  width: number
  height: number
  name: string
  words: string
}

export interface LowerHand {
  command: 'lower_hand'
  seat: string
}

export interface LowerHands {
  command: 'lower_hands'
}

export interface MadePage {
  board: string
  board_title: string
  page: string
  title: string
  number: number
  hidden: boolean
  seq: number
}

export interface Making {
  steps: Logged[]
  names: Record<string, string>
  after: number
  whole: boolean
}

export interface MapLabel {
  ids: string[]
  text: string
}

export interface MapLine {
  ids: string[]
  ends: [number, number]
}

export interface Marked {
  page: string
}

export interface Me {
  name: string | null
  rooms: RoomCard[]
}

export interface MeasureItems {
  step: 'measure_items'
  page: string
  ids: string[]
  what?: Measured[]
}

export interface MediumTaken {
  id: string
  of: 'link' | 'sound' | 'video'
}

export interface MindMap {
  labels: MapLabel[]
  lines: MapLine[]
  centre: number
  of: string
}

export interface MomentCard {
  id: string
  kind: string
  title: string
  at_ms: number
  changed: boolean
}

export interface Moments {
  moments: MomentCard[]
}

export interface MoveEnds {
  step: 'move_ends'
  page: string
  id: string
  start: [number, number]
  end: [number, number]
  holds: [string, string]
  inner: ([number, number])[]
}

export interface MoveItems {
  step: 'move_items'
  page: string
  ids: string[]
  dx: number
  dy: number
}

export interface MovePage {
  step: 'move_page'
  page: string
  index: number
}

export interface NamedPlace {
  kind: 'highest' | 'lowest' | 'meets' | 'start' | 'zero'
  x: number
  y: number
  other: number
}

export interface NoteItem {
  kind: 'note'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  text: string
  colour: string
  name: string
  width: number
  height: number
  size: number
  lines: Line[]
}

export interface OpenLesson {
  command: 'open_lesson'
  again: boolean
}

export interface Opened {
  id: string
  sizes: ([number, number])[]
}

export interface Outline {
  points: ([number, number])[]
  parts: number[]
  closed: boolean
  curved: boolean
}

export interface OwnHandSamples {
  language: string
  samples: HandSample[]
}

export interface PageHead {
  id: string
  title: string
  paper: Paper
  writers: 'desk' | 'lesson' | 'open' | 'tutor_side'
  desk_of: string
  bays: Bay[]
  by: string
  hidden: boolean
  desk_from: string
}

export interface PageItems {
  type: 'page_items'
  page: string
  items: Item[]
  last: boolean
}

export interface Paired {
  path: string
}

export interface Paper {
  kind: 'endless' | 'roll' | 'sheet'
  ruling: 'dots' | 'graph' | 'handwriting' | 'isometric' | 'lines' | 'plain' | 'polar' | 'squares'
  width: number
  height: number
  spacing: number
  colour: string
  picture: string
  each: number
  unit: string
}

export interface Parts {
  paper: boolean
  ruling: boolean
  notes: boolean
  names: boolean
}

export interface PassPen {
  command: 'pass_pen'
  seat: string
  minutes: number | null
}

export interface PassToNext {
  command: 'pass_to_next'
}

export interface PassedPen {
  seat: string
  until_ms: number | null
}

export type Patch = [path: string, fill: string, line: string, width: number]

export interface PauseLesson {
  command: 'pause_lesson'
  paused: boolean
}

export interface Person {
  seat: string
  name: string
  role: 'helper' | 'onlooker' | 'student' | 'tutor'
  tabs: number
  page: string
  board: string
  travel: 'flooding' | 'good' | 'poor' | 'slow'
  seen_ms: number
  owner: boolean
  colour: number
  sent_away: boolean
}

export interface PictureItem {
  kind: 'picture'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  picture: string
  width: number
  height: number
  opacity: number
  text: string
  crop: [number, number, number, number]
}

export interface Pieces {
  texts: LineRead[][]
  formulas: FormulaPiece[]
  figures: SketchPart[]
}

export interface Ping {
  type: 'ping'
  at: number
  took_ms: number
}

export interface PlacesAsked {
  graph: GraphItem
  line: number
  at: number | null
  low: number
  high: number
}

export interface PlacesFound {
  places: NamedPlace[]
  at: AtPlace | null
  area: number | null
}

export interface Plan {
  title: string
  at_ms: number | null
  minutes: number | null
  pages: string[]
}

export interface Play {
  type: 'play'
  page: string
  item: string
  going: boolean
  at_s: number
  board: string
  at_ms: number
  name: string
}

export interface PlotTable {
  step: 'plot_table'
  page: string
  id: string
  table: string
  colour: string
}

export interface Point {
  type: 'point'
  page: string
  x: number
  y: number
  on: boolean
  stay: boolean
}

export interface Pointing {
  seat: string
  point: Point
}

export interface Pong {
  type: 'pong'
  at: number
}

export interface PrintedLine {
  x: number
  y: number
  width: number
  height: number
  text: string
}

export interface PrintedWords {
  lines: PrintedLine[]
}

export interface PutBay {
  step: 'put_bay'
  page: string
  bay: Bay
}

export interface PutChance {
  step: 'put_chance'
  page: string
  id: string
  x: number
  y: number
  chance: Chance
  word: string
}

export interface PutNumberLine {
  step: 'put_number_line'
  page: string
  formula: string
  id: string
}

export interface RaiseHand {
  command: 'raise_hand'
  word: '' | 'answer' | 'done' | 'stuck'
}

export interface Ranges {
  x0: number
  x1: number
  y0: number
  y1: number
}

export interface Reachable {
  seat: string
  name: string
  mail: string
}

export interface React {
  type: 'react'
  kind: 'bravo' | 'lost' | 'no' | 'slower' | 'wow' | 'yes'
}

export interface Reacted {
  type: 'reacted'
  seat: string
  kind: 'bravo' | 'lost' | 'no' | 'slower' | 'wow' | 'yes'
}

export interface Read {
  type: 'read'
  ref: number
  page: string
  ids: string[]
  unasked: boolean
  chosen: ChosenSign[]
}

export interface Reading {
  text: string
  score: number
}

export interface ReadingLink {
  board: string
  token: string
  until_ms: number
}

export interface Readings {
  type: 'readings'
  ref: number
  readings: Reading[]
  lines: LineRead[]
  figures: Figure[]
  sketch: SketchPart[]
  even: SketchPart[]
  figure_first: boolean
  formulas: FormulaRead[]
  maths_first: boolean
  mind_map: MindMap | null
  pieces: Pieces | null
  pieces_first: boolean
  problem: Sentence | null
  unasked: '' | 'true_up' | 'typeset'
}

export interface ReadyPage {
  title: string
  paper: Paper
  items: Item[]
}

export interface Recorded {
  type: 'recorded'
  seat: string
  name: string
  id: string
}

export interface RecordingBegun {
  id: string
}

export interface RecordingCard {
  id: string
  name: string
  begun_ms: number
  length_ms: number
  ended: boolean
  heard: boolean
  turns: RecordingTurn[]
}

export interface RecordingTurn {
  at_ms: number
  board: string
  page: string
  title: string
}

export interface Recordings {
  recordings: RecordingCard[]
}

export interface Redo {
  step: 'redo'
}

export interface Refused {
  type: 'refused'
  id: string
  reason: string
  sentence: Sentence
}

export interface RehearsalOver {
  link: string
}

export interface RehearsalStarted {
  link: string
  board: string
  owner_key: string
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

export interface Rename {
  command: 'rename'
  seat: string
  name: string
}

export interface ReplaceItems {
  step: 'replace_items'
  page: string
  ids: string[]
  items: Item[]
}

export interface RoomBroughtIn {
  link: string
  owner_key: string
  boards: number
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
  language: string
  outside_call: string
  plan: Plan
  opened_ms: number | null
  started_ms: number | null
  ended_ms: number | null
  boards: HomeBoard[]
  away: HomeBoard[]
  used_mb: number
  most_mb: number
  people: HomePerson[]
  attendance: Attended[]
  record: Entry[]
}

export interface RoomLinks {
  link: string
  onlooker_link: string
}

export interface RubItems {
  step: 'rub_items'
  page: string
  ids: string[]
  id: string
  path: ([number, number, number])[]
}

export type Run = [face: string, text: string, x: number, width: number, size: number, rise: number, underline: boolean, strike: boolean, link: string, outline: string, above: number]

export interface Said {
  at_ms: number
  seat: string
  name: string
  to: string
  text: string
}

export interface Say {
  type: 'say'
  id: string
  text: string
  to: string
}

export interface SeeAs {
  type: 'see_as'
  seat: string
}

export interface SeenAs {
  type: 'seen_as'
  seat: string
  page: string
  standing: Standing
}

export interface SendAway {
  command: 'send_away'
  seat: string
  knock: boolean
}

export interface Sent {
  went: number
  of: number
}

export interface Sentence {
  key: string
  values?: Record<string, string | number>
}

export interface SetBetween {
  command: 'set_between'
  between: 'closed' | 'view' | 'write'
}

export interface SetCaller {
  command: 'set_caller'
  seat: string
  muted: boolean
  unseen: boolean
  called: boolean
}

export interface SetCell {
  step: 'set_cell'
  page: string
  id: string
  row: number
  column: number
  text: string
}

export interface SetChart {
  step: 'set_chart'
  page: string
  id: string
  form: ChartForm
  title: string
  by_rows: boolean
  fit: boolean
}

export interface SetCountdown {
  command: 'set_countdown'
  seconds: number
  label: string
}

export interface SetDoor {
  command: 'set_door'
  door: 'code' | 'knock' | 'open'
  code: string
}

export interface SetGraph {
  step: 'set_graph'
  page: string
  id: string
  ranges: Ranges
  lines: GraphLine[]
  letters: GraphLetter[]
  counted: Counted
}

export interface SetMaths {
  step: 'set_maths'
  page: string
  ids: string[]
  id: string
  formula: string
  more: string[]
  lines: string[][]
}

export interface SetPens {
  command: 'set_pens'
  mode: 'down' | 'passed' | 'up'
}

export interface SetPlan {
  command: 'set_plan'
  title: string
  at_ms: number | null
  minutes: number | null
  pages: string[]
}

export interface SetPointing {
  command: 'set_pointing'
  on: boolean
}

export interface SetRecording {
  type: 'set_recording'
  on: boolean
  id: string
}

export interface SetRights {
  command: 'set_rights'
  rights: Right[] | null
  seat: string
  room: boolean
}

export interface SetRole {
  command: 'set_role'
  seat: string
  role: 'helper' | 'student'
}

export interface SetTable {
  step: 'set_table'
  page: string
  id: string
  columns: number[]
  rows: number[]
  cells: string[]
  head: boolean
}

export interface SetVoices {
  command: 'set_voices'
  who: 'all' | 'pens' | 'tutor_side'
  faces: boolean
}

export interface ShapeItem {
  kind: 'shape'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  figure: FigureKind
  points: ([number, number])[]
  closed: boolean
  curved: boolean
  colour: string
  width: number
  parts: number[]
  fill: string
  dash: Dash
  ends: Ends
  opacity: number
  text: string
  size: number
  lines: Line[]
  holds: [string, string]
  ink: InkItem[]
  measured: Measured[]
  measures: Drawn | null
}

export interface ShareCheck {
  command: 'share_check'
  shared: boolean
}

export interface Sheet {
  corners: ([number, number])[]
}

export interface Shelf {
  things: ShelfCard[]
  may_share: boolean
}

export interface ShelfCard {
  id: string
  kind: string
  title: string
  folder: string
  mine: boolean
  shared: boolean
  away: boolean
}

export interface Side {
  across: boolean
  index: number
  units: number
}

export interface SignName {
  name: string
  shown: string
}

export interface SignRead {
  sign: SignName
  ids: string[]
  line: number
  rivals: SignName[]
}

export interface Signal {
  type: 'signal'
  to: string
  kind: 'answer' | 'candidate' | 'offer'
  data: string
  by: string
}

export interface SignedInBrowser {
  id: number
  name: string
  seen_ms: number
  this: boolean
}

export interface SketchPart {
  figure: Figure
  ids: string[]
  holds: [number, number]
}

export interface Slide {
  type: 'slide'
  page: string
  id: string
  ranges: Ranges
  letters: GraphLetter[]
  drawn: GraphPaths
}

export interface Sliding {
  connection: string
  slide: Slide
}

export interface Span {
  start: number
  end: number
  bold?: boolean
  italic?: boolean
  underline?: boolean
  strike?: boolean
  script?: '' | 'sub' | 'sup'
  link?: string
  maths?: boolean
}

export interface Standing {
  allowed: Action[]
  on_others: Action[]
  writing: Verdict
  bays: BayStanding[]
  until_ms: number | null
}

export interface Style {
  colour?: string
  width?: number
  opacity?: number
  fill?: string
  dash?: Dash
  ends?: Ends
  size?: number
}

export interface StyleItems {
  step: 'style_items'
  page: string
  ids: string[]
  style: Style
}

export interface Subject {
  name: string
  templates: string[]
}

export interface SwapPicture {
  step: 'swap_picture'
  page: string
  id: string
  picture: string
  ratio: number
}

export interface TableItem {
  kind: 'table'
  id: string
  x: number
  y: number
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  columns: number[]
  rows: number[]
  cells: string[]
  colour: string
  size: number
  head: boolean
  lines: Line[][]
  chance: Chance | null
}

export interface TakePen {
  command: 'take_pen'
  seat: string
}

export interface Task {
  id: string
  text: string
  due_ms: number | null
  board: string
  page: string
  handed_in: string[]
  files: Handed[]
}

export interface Teach {
  type: 'teach'
  page: string
  lines: LineTaught[]
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
  map: [number, number, number, number]
  z: number
  group: string
  by: string
  at_ms: number
  locked: boolean
  pinned: boolean
  text: string
  size: number
  colour: string
  wrap_width: number | null
  family: Family
  align: Align
  listing: Listing
  spans: Span[]
  lines: Line[]
  ink: InkItem[]
  pitch: number
}

export interface Then {
  pages: ThenPage[]
}

export interface ThenPage {
  page: string
  title: string
  number: number
  gone: boolean
  changed: boolean
  lost: LostThing[]
}

export interface Throw {
  step: 'throw'
  page: string
  id: string
  times: number
}

export interface ToMindMap {
  step: 'to_mind_map'
  page: string
  labels: Label[]
  links: Link[]
  centre: string
}

export interface ToPorch {
  command: 'to_porch'
  seat: string
}

export interface Trace {
  at_ms: number
  seat: string
  name: string
  what: string
}

export interface TransformItems {
  step: 'transform_items'
  page: string
  ids: string[]
  matrix: Affine
}

export interface TrueUp {
  step: 'true_up'
  page: string
  ids: string[]
  id: string
  figure: FigureKind
  points: ([number, number])[]
  closed: boolean
  curved: boolean
  parts: number[]
  ends: Ends
}

export interface TrueUpAll {
  step: 'true_up_all'
  page: string
  figures: TrueUp[]
  holds: ([string, string])[]
}

export interface TurnAway {
  command: 'turn_away'
  seat: string
}

export interface Typeset {
  step: 'typeset'
  page: string
  ids: string[]
  id: string
  text: string
  angle_rad: number
  more: string[]
  lines: string[][]
  formulas: FormulaInText[]
}

export interface Undo {
  step: 'undo'
}

export interface Used {
  page: string
  picture: BroughtIn | null
  document: Opened | null
}

export interface Verdict {
  allowed: boolean
  reason: string
  sentence: Sentence
}

export interface View {
  type: 'view'
  page: string
  box: Box
}

export interface Viewed {
  type: 'viewed'
  seat: string
  board: string
  page: string
  box: Box
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
  boards: BoardCard[]
  arrows: Pointing[]
  laid: Laid[]
  chat: Said[]
  lead: Lead | null
  play: Play | null
  callers: Caller[]
  rehearsal: boolean
  recorded: Recorded
}

export interface Wet {
  type: 'wet'
  id: string
  page: string
  nib: Nib
  colour: string
  width: number
  begin: number
  samples: Uint8Array
  over: boolean
  opacity: number
  ends: Ends
}

export interface WetInk {
  connection: string
  seat: string
  wet: Wet
}

export interface WorkedOffer {
  kind: OfferKind
  formula: string
  look: FormulaLook | null
  sentence: Sentence | null
}

export interface WrapUp {
  pages: MadePage[]
  homework: Task[]
  links: ReadingLink[]
  outbox: Letter[]
  people: Reachable[]
}

export interface Writing {
  lines: WrittenLine[]
  unread: boolean
}

export interface WrittenLine {
  by: string
  x: number
  y: number
  texts: string[]
}

export interface You {
  type: 'you'
  page: string
  standing: Standing
}
