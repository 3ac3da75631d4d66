/** Files that are chosen, dropped or pasted: pictures are put on the page, a PDF is opened, of all else it is said. */
import type { Point } from '../board/place'
import type { Session } from '../lesson/session.svelte'
import { t } from '../words/words.svelte'
import type { Surface } from './board/surface.svelte'

/** More at once would hold up the line. */
const MOST_AT_ONCE = 12

export function bringFiles(files: File[], session: Session, surface: Surface, at: Point): void {
  const pictures = files.filter(({ type }) => type.startsWith('image/'))
  const document = files.find(({ type, name }) => type === 'application/pdf' || /\.pdf$/i.test(name))
  const other = files.find((file) => !pictures.includes(file) && file !== document)
  if (document) void session.documents.open(document)
  if (other) session.warn(t('cannot-bring', { name: other.name }))
  if (pictures.length > MOST_AT_ONCE) session.warn(t('too-many-pictures', { count: MOST_AT_ONCE }))
  const { width, height, scale } = surface.view
  if (pictures.length)
    void session.pictures.put(pictures.slice(0, MOST_AT_ONCE), at, [width / scale, height / scale])
}
