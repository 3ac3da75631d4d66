/** Files that are chosen, dropped or pasted: each becomes what it holds; of what cannot be opened it is said. */
import type { Point } from '../board/place'
import type { Session } from '../lesson/session.svelte'
import { t } from '../words/words.svelte'
import type { Surface } from './board/surface.svelte'
import { drawnPicture } from './drawn-picture'

/** More at once would hold up the line. */
const MOST_AT_ONCE = 12
const THINGS = /\.(txt|md|markdown|csv|tsv|inkml)$/i
/** What has pages; of office programs only where the server can make PDFs of it, which it says itself. */
const DOCUMENT = /\.(pdf|od[tps]|docx?|pptx?|xlsx?|rtf)$/i
/** What browsers play. */
const MEDIUM = /\.(mp3|m4a|aac|wav|ogg|oga|flac|mp4|m4v|webm|ogv)$/i
/** What a file field offers to choose from. */
export const ACCEPTED =
  'image/*,audio/*,video/*,.heic,.heif,application/pdf,.txt,.md,.markdown,.csv,.tsv,.inkml,.odt,.odp,.ods,.doc,.docx,.ppt,.pptx,.xls,.xlsx,.rtf'

/** ``dropped``: the place where they were dropped. */
export function bringFiles(files: File[], session: Session, surface: Surface, dropped?: Point): void {
  const at = dropped ?? surface.looking.middle()
  const pictures = files.filter(({ type, name }) => type.startsWith('image/') || /\.hei[cf]$/i.test(name))
  const document = files.find(({ type, name }) => type === 'application/pdf' || DOCUMENT.test(name))
  const things = files.find(({ name }) => THINGS.test(name))
  const medium = files.find(({ type, name }) => /^(audio|video)\//.test(type) || MEDIUM.test(name))
  const known = [...pictures, document, things, medium]
  const other = files.find((file) => !known.includes(file))
  if (medium) void session.cards.bring(medium, at)
  if (document) void session.documents.open(document)
  const { height, scale } = surface.view
  if (things) void session.documents.openThings(things, [at[0], at[1] - (0.35 * height) / scale])
  if (other) session.warn(t('cannot-bring', { name: other.name }))
  if (pictures.length > MOST_AT_ONCE) session.warn(t('too-many-pictures', { count: MOST_AT_ONCE }))
  if (pictures.length)
    void Promise.all(pictures.slice(0, MOST_AT_ONCE).map(drawnPicture)).then((drawn) =>
      session.pictures.put(drawn, dropped),
    )
}
