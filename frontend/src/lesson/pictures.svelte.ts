/** Pictures being brought in: put on the page, or under it as its paper. */
import { freeNear } from '../board/beside'
import type { Page } from '../board/page'
import { bringIn, flatSheet, pictureOf, printedWords, work } from '../board/pictures'
import { unpackSamples } from '../ink/samples'
import { newId } from '../wire/codec'
import type {
  Affine,
  BroughtIn,
  Flatten,
  InkItem,
  LiftedInk,
  PageHead,
  PictureItem,
  PrintedLine,
  Sheet,
} from '../wire/generated'
import { after, placement, type Point } from '../board/place'
import { t } from '../words/words.svelte'
import type { Inside } from './inside'

/** A picture takes at most this part of what is seen. */
const PICTURE_PART = 0.7
/** Between two that are brought in together, in board units. */
const GAP = 16
/** What the server takes as the width of a nib, in units. */
const [LEAST_WIDTH, MOST_WIDTH] = [0.25, 60]

type Corners = Pick<Flatten, 'corners' | 'whiten'>

/** A page of a document: its width by its height, and its words. */
export interface Printed {
  id: string
  aspect: number
  lines: PrintedLine[]
}

const MOST_PRINTED = 12

export class Pictures {
  /** A picture on its way to the server; aborting gives it up. */
  bringing = $state.raw<AbortController | null>(null)
  /** The picture that is being cropped, or whose sheet of paper is made flat. */
  cutting = $state.raw<{ id: string; sheet: boolean } | null>(null)
  /** Pages of documents whose words are being picked. */
  printed = $state.raw<Printed[] | null>(null)
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Those of some pictures that are pages with printed words; at most ``MOST_PRINTED``. */
  async printedIn(ids: readonly string[]): Promise<Printed[]> {
    const found = await Promise.all(
      ids.slice(0, MOST_PRINTED).map(async (id) => {
        const image = pictureOf(id)
        const lines = image ? await printedWords(id).catch(() => []) : []
        return { id, aspect: image ? image.naturalWidth / image.naturalHeight : 1, lines }
      }),
    )
    return found.filter(({ lines }) => lines.length)
  }

  /** The pictures of a page, its paper first. */
  ofPage(page: Page): string[] {
    const items = [...page.entries.values()].map(({ item }) => item)
    const shown = items.filter((item) => item.kind === 'picture').map(({ picture }) => picture)
    return [...new Set([page.head.paper.picture, ...shown])].filter(Boolean)
  }

  /**
   * Bring pictures in and put them side by side, so that they fit into what is seen: about a place, or where there is
   * room; their ids.
   */
  async put(files: readonly Blob[], at: Point | null = null): Promise<string[]> {
    const page = this.#inside.pages.now
    const seen = this.#inside.surface!.looking.seen()
    const taken = (await Promise.all(files.map((file) => this.take(file)))).filter((one) => one !== null)
    return taken.length ? this.putTaken(taken, at, page, seen) : []
  }

  /** As ``put``, pictures that the room has already. */
  putTaken(
    taken: readonly BroughtIn[],
    at: Point | null = null,
    page = this.#inside.pages.now,
    [minX, minY, maxX, maxY] = this.#inside.surface!.looking.seen(),
  ): string[] {
    if (!page) return []
    const [wide, high] = [maxX - minX, maxY - minY]
    const room = (PICTURE_PART * wide - GAP * (taken.length - 1)) / taken.length
    const sizes = taken.map(({ width, height }) => {
      const scale = Math.min(1, room / width, (PICTURE_PART * high) / height)
      return [width * scale, height * scale] as const
    })
    const all = sizes.reduce((sum, [width]) => sum + width, GAP * (taken.length - 1))
    const tall = Math.max(...sizes.map(([, height]) => height))
    const [x, y] = at ?? [(minX + maxX) / 2, (minY + maxY) / 2]
    const corner: Point = [x - all / 2, y - tall / 2]
    let [left, top] = at ? corner : freeNear(page, corner, [all, tall], GAP)
    const items = taken.map(({ id }, i) => {
      const [width, height] = sizes[i]!
      const item = this.item(id, left, top + (tall - height) / 2, width, height)
      left += width + GAP
      return item
    })
    this.#inside.do({ step: 'add_items', page: page.head.id, items })
    const ids = items.map(({ id }) => id)
    this.#inside.chooseMade(ids, page.head.id)
    return ids
  }

  /** A picture on the page, as a new thing of ours. */
  item(picture: string, x: number, y: number, width: number, height: number): PictureItem {
    return {
      ...this.#placed(x, y),
      kind: 'picture',
      picture,
      width,
      height,
      opacity: 1,
      text: '',
      crop: [0, 0, 1, 1],
    }
  }

  /** Show another part of a picture. */
  crop({ id }: PictureItem, crop: PictureItem['crop']): void {
    this.#inside.do({ step: 'crop_picture', page: this.#inside.pages.id, id, crop })
  }

  /** The corners of the sheet of paper in a picture; none when none is seen. */
  async sheetOf({ picture }: PictureItem): Promise<[number, number][]> {
    return work<Sheet>(picture, 'sheet').then(
      ({ corners }) => corners,
      () => [],
    )
  }

  /** Address of the sheet as it would be, to be revoked. */
  async flatPreview({ picture }: PictureItem, wanted: Corners, signal: AbortSignal): Promise<string> {
    return URL.createObjectURL(await flatSheet(picture, { ...wanted, keep: false }, signal))
  }

  /** Put the flat sheet in the picture's place; false when that could not be done, which has been said. */
  async flatten({ id, picture }: PictureItem, wanted: Corners): Promise<boolean> {
    const page = this.#inside.pages.id
    try {
      const made = await work<BroughtIn>(picture, 'flat', { ...wanted, keep: true })
      const ratio = made.height / made.width
      return this.#inside.do({ step: 'swap_picture', page, id, picture: made.id, ratio }) !== ''
    } catch (error) {
      this.#inside.warn((error as Error).message)
      return false
    }
  }

  /** Put the ink of a picture where it is seen in it, and take the picture off. */
  async liftInk(item: PictureItem): Promise<void> {
    const page = this.#inside.pages.id
    this.#inside.say(t('lifting-ink'))
    try {
      const { width, height, strokes } = await work<LiftedInk>(item.picture, 'ink')
      const shown = strokes.filter(({ samples }) => isShown(item.crop, bytesOf(samples), width, height))
      if (!shown.length) return this.#inside.warn(t('no-ink-seen'))
      const [a, b, c, d, x, y] = wholePlace(item, width, height)
      const items = shown.map(({ samples, width: line, colour }): InkItem => ({
        ...this.#placed(x, y),
        kind: 'ink',
        map: [a, b, c, d],
        nib: 'pencil',
        colour,
        width: Math.min(MOST_WIDTH, Math.max(LEAST_WIDTH, line)),
        opacity: 1,
        samples: bytesOf(samples),
        ends: 'none',
      }))
      this.#inside.do({ step: 'add_items', page, items })
      this.#inside.do({ step: 'remove_items', page, ids: [item.id] })
      this.#inside.chooseMade(
        items.map(({ id }) => id),
        page,
      )
    } catch (error) {
      this.#inside.warn((error as Error).message)
    }
  }

  /** Bring a picture in as the paper of a page. */
  async asPaper(file: Blob, head: PageHead): Promise<void> {
    const taken = await this.take(file)
    if (taken)
      this.#inside.do({
        step: 'edit_page',
        page: head.id,
        paper: { ...head.paper, picture: taken.id },
      })
  }

  /** Send a picture to the server; null when it was not taken, which has been said. */
  async take(file: Blob): Promise<BroughtIn | null> {
    if (!this.#inside.rights.may('add_picture')) {
      this.#inside.say(this.#inside.rights.reason)
      return null
    }
    const bringing = (this.bringing ??= new AbortController())
    try {
      return await bringIn(file, bringing.signal)
    } catch (error) {
      if ((error as Error).message) this.#inside.warn((error as Error).message)
      return null
    } finally {
      if (this.bringing === bringing) this.bringing = null
    }
  }

  /** What every new thing of ours has. */
  #placed(
    x: number,
    y: number,
  ): Omit<PictureItem, 'kind' | 'picture' | 'width' | 'height' | 'opacity' | 'text' | 'crop'> {
    return {
      id: newId(),
      x,
      y,
      map: [1, 0, 0, 1],
      z: 0,
      group: '',
      by: this.#inside.rights.me,
      at_ms: 0,
      locked: false,
      pinned: false,
    }
  }
}

/** From the pixels of a picture, ``width`` by ``height``, to the page. */
function wholePlace(item: PictureItem, width: number, height: number): Affine {
  const [left, upper, right, lower] = item.crop
  const [wide, high] = [item.width / (right - left), item.height / (lower - upper)]
  return after(placement(item), [wide / width, 0, 0, high / height, -left * wide, -upper * high])
}

/** A stroke begins in the part of its picture that is shown. */
function isShown(
  [left, upper, right, lower]: PictureItem['crop'],
  samples: Uint8Array,
  width: number,
  height: number,
): boolean {
  const [x, y] = unpackSamples(samples)
  return x! >= left * width && x! <= right * width && y! >= upper * height && y! <= lower * height
}

function bytesOf(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (character) => character.charCodeAt(0))
}
