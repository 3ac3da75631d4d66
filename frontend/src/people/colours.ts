/** A steady colour for each seat; white letters on it have a contrast of 4.5:1 or more. */
const COLOURS = ['#7a5786', '#3d6d8e', '#8f5640', '#54733f', '#245a4f', '#8a4a66', '#5b5f94', '#7a6320']

export function personColour(seat: string): string {
  let sum = 0
  for (const character of seat) sum = (sum * 31 + character.codePointAt(0)!) >>> 0
  return COLOURS[sum % COLOURS.length]!
}
