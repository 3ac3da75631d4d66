/** What can be done with one thing because of the kind that it is, and in which order that is offered. */
import type { Item } from '../wire/generated'

export type KindAction =
  | 'plays'
  | 'opens'
  | 'recard'
  | 'works'
  | 'graphs'
  | 'lined'
  | 'reformula'
  | 'throws'
  | 'charts'
  | 'rows'
  | 'regraph'
  | 'rechart'
  | 'shows'

/** An inequality, typed or in LaTeX: it has a place on a number line. */
const UNEQUAL = /[<>≤≥]|\\[lg]eq?(?![a-z])/

/** ``leads``: what is heard may be played for all. */
export function actionsOf(
  item: Item,
  may: { change: boolean; formula: boolean; text: boolean; leads: boolean },
): KindAction[] {
  switch (item.kind) {
    case 'card':
      return those([item.file !== '' && may.leads, 'plays'], [true, 'opens'], [may.change, 'recard'])
    case 'formula':
      return those(
        [may.formula, 'works'],
        [may.formula, 'graphs'],
        [may.formula && UNEQUAL.test(item.formula), 'lined'],
        [may.change, 'reformula'],
      )
    case 'table':
      return those([may.change && item.chance !== null, 'throws'], [may.text, 'charts'], [may.change, 'rows'])
    case 'graph':
      return those([may.change, 'regraph'])
    case 'chart':
      return those([may.change, 'rechart'])
    case 'picture':
      return those([may.change, 'shows'])
    default:
      return []
  }
}

function those(...offered: [boolean, KindAction][]): KindAction[] {
  return offered.flatMap(([may, action]) => (may ? [action] : []))
}
