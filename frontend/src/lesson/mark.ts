/** A steady colour and shape for each seat: nobody is told apart by colour alone. */
const COLOURS = ['#7a5786', '#3d6d8e', '#8f5640', '#54733f', '#245a4f', '#8a4a66', '#5b5f94', '#7a6320']
/** Outlines of the marks, as CSS clip paths. */
const SHAPES = [
  'none',
  'circle(50%)',
  'polygon(50% 0, 100% 50%, 50% 100%, 0 50%)',
  'polygon(25% 0, 75% 0, 100% 50%, 75% 100%, 25% 100%, 0 50%)',
  'polygon(0 0, 100% 0, 100% 70%, 50% 100%, 0 70%)',
  'polygon(50% 0, 100% 38%, 82% 100%, 18% 100%, 0 38%)',
  'inset(12% 0 12% 0 round 40%)',
]

function numberOf(seat: string): number {
  let sum = 0
  for (const character of seat) sum = (sum * 31 + character.codePointAt(0)!) >>> 0
  return sum
}

/** The room's colour ``number``, or for somebody who is not in it the seat's own. White letters on it have 4.5:1 or more. */
export function personColour(seat: string, number = numberOf(seat)): string {
  return COLOURS[number % COLOURS.length]!
}

export function personShape(seat: string): string {
  return SHAPES[(numberOf(seat) >>> 5) % SHAPES.length]!
}

/** First letter of a name, as it stands in a mark. */
export function letterOf(name: string): string {
  return ([...name.trim()][0] ?? '').toLocaleUpperCase()
}
