/** Parts of pages of documents, drawn finer by the server than their picture is: fetched where they are looked at closely. */
import { addressOf, arrivals } from './pictures'

type Crop = readonly [number, number, number, number]

/** As the core has them: levels, each of twice as many parts a side as the one before. */
const LEVELS = 3
/** From how many device pixels for one of the picture finer parts are wanted. */
const CLOSE = 1.15
/** About 100 MB of pictures at most. */
const MAX_PARTS = 24
const MAX_ASKED = 6
const AGAIN_MS = 4_000
const TOGETHER_MS = 60

const parts = new Map<string, ImageBitmap>()
const asked = new Set<string>()
/** Pictures that are no pages of documents. */
const plain = new Set<string>()
let telling = false

/** Draw a picture, or of it the part within ``crop``, into a box of the page: as finely as it is looked at. */
export function drawFinely(
  context: CanvasRenderingContext2D,
  id: string,
  image: HTMLImageElement,
  [left, upper, right, lower]: Crop,
  [x, y, width, height]: readonly [number, number, number, number],
): void {
  const { naturalWidth: wide, naturalHeight: high } = image
  const part = [left * wide, upper * high, (right - left) * wide, (lower - upper) * high] as const
  context.drawImage(image, ...part, x, y, width, height)
  const onto = context.getTransform()
  const close = (Math.hypot(onto.a, onto.b) * width) / part[2]
  // What shows through would show through twice.
  if (close < CLOSE || plain.has(id) || context.globalAlpha < 1) return
  const level = Math.min(LEVELS, Math.ceil(Math.log2(close)))
  const count = 2 ** (level + 1)
  // The whole picture's box, and what of it is on the canvas, in parts of its sides.
  const [w, h] = [width / (right - left), height / (lower - upper)]
  const [x0, y0] = [x - left * w, y - upper * h]
  const back = onto.inverse()
  const { width: px, height: py } = context.canvas
  const corners = [
    [0, 0],
    [px, 0],
    [0, py],
    [px, py],
  ].map(([cx, cy]) => back.transformPoint(new DOMPoint(cx, cy)))
  const [us, vs] = [corners.map((at) => (at.x - x0) / w), corners.map((at) => (at.y - y0) / h)]
  const from = (seen: number[], edge: number) => Math.floor(Math.max(Math.min(...seen), edge) * count)
  const to = (seen: number[], edge: number) => Math.ceil(Math.min(Math.max(...seen), edge) * count)
  context.save()
  context.beginPath()
  context.rect(x, y, width, height)
  context.clip()
  for (let row = from(vs, upper); row < to(vs, lower); row++) {
    for (let column = from(us, left); column < to(us, right); column++) {
      const finer = partOf(id, level, column, row)
      if (finer)
        context.drawImage(finer, x0 + (column * w) / count, y0 + (row * h) / count, w / count, h / count)
    }
  }
  context.restore()
}

function partOf(id: string, level: number, column: number, row: number): ImageBitmap | null {
  const address = `${addressOf(id)}/${level}/${column}/${row}.png`
  const there = parts.get(address)
  if (!there) {
    if (!asked.has(address) && asked.size < MAX_ASKED) void fetchPart(id, address)
    return null
  }
  // The one used last is forgotten last.
  parts.delete(address)
  parts.set(address, there)
  return there
}

async function fetchPart(id: string, address: string): Promise<void> {
  asked.add(address)
  try {
    const response = await fetch(address)
    if (response.status === 204) plain.add(id)
    else if (response.ok) {
      parts.set(address, await createImageBitmap(await response.blob()))
      for (const [oldest, bitmap] of parts) {
        if (parts.size <= MAX_PARTS) break
        parts.delete(oldest)
        bitmap.close()
      }
    } else throw new Error(response.statusText)
    asked.delete(address)
  } catch {
    // The picture itself is there; its finer parts are asked for again when it is drawn then.
    setTimeout(() => asked.delete(address), AGAIN_MS)
  }
  tell()
}

/** What is seen is drawn again, once for all parts that come together. */
function tell(): void {
  if (telling) return
  telling = true
  setTimeout(() => {
    telling = false
    arrivals.dispatchEvent(new Event('picture'))
  }, TOGETHER_MS)
}
