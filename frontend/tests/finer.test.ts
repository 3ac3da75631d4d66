import { beforeEach, expect, test, vi } from 'vitest'
import './stub'

const IMAGE = { naturalWidth: 1_697, naturalHeight: 2_400 } as HTMLImageElement
const WHOLE = [0, 0, 1, 1] as const

let asked: string[]
let answers: Map<string, number>
let drawFinely: typeof import('../src/board/finer').drawFinely

/** A canvas of 512 px a side that shows the page from (x, y) on, so many px for each unit. */
function canvas(scale: number, x = 0, y = 0, alpha = 1) {
  const drawn: number[][] = []
  const matrix = { a: scale, b: 0, c: 0, d: scale, e: -x * scale, f: -y * scale }
  return {
    canvas: { width: 512, height: 512 },
    globalAlpha: alpha,
    drawn,
    drawImage: (_: unknown, ...at: number[]) => void drawn.push(at),
    getTransform: () => ({
      ...matrix,
      inverse: () => ({
        transformPoint: (at: { x: number; y: number }) => ({ x: at.x / scale + x, y: at.y / scale + y }),
      }),
    }),
    ...Object.fromEntries(['save', 'restore', 'beginPath', 'rect', 'clip'].map((name) => [name, () => {}])),
  }
}

/** Draw the page, 800 units wide, into a canvas. */
function draw(
  on: ReturnType<typeof canvas>,
  id = 'picture-1',
  crop: readonly [number, number, number, number] = WHOLE,
) {
  drawFinely(on as unknown as CanvasRenderingContext2D, id, IMAGE, crop, [0, 0, 800, (800 * 2_400) / 1_697])
  return on.drawn.length - 1
}

const settled = () => new Promise((resolve) => setTimeout(resolve, 5))

beforeEach(async () => {
  asked = []
  answers = new Map()
  vi.resetModules()
  vi.stubGlobal(
    'DOMPoint',
    class {
      constructor(
        readonly x: number,
        readonly y: number,
      ) {}
    },
  )
  vi.stubGlobal('createImageBitmap', async () => ({ close: () => {} }))
  vi.stubGlobal('fetch', async (address: string) => {
    asked.push(address)
    const status = answers.get(address.split('/')[4] ?? '') ?? 200
    return { status, ok: status < 300, statusText: 'no', blob: async () => ({}) }
  })
  ;({ drawFinely } = await import('../src/board/finer'))
})

test('from afar the picture itself is enough', async () => {
  draw(canvas(1))
  draw(canvas(2))
  await settled()
  expect(asked).toEqual([])
})

test('from near the parts that are seen are fetched once, and drawn when they have come', async () => {
  expect(draw(canvas(8))).toBe(0)
  draw(canvas(8))
  await settled()
  expect(asked).toEqual(['/boards//pictures/picture-1/2/0/0.png'])
  expect(draw(canvas(8))).toBe(1)
  // Another place of the page has other parts; nothing beyond its edge is asked for.
  draw(canvas(8, 780, 1_110))
  await settled()
  expect(asked.slice(1)).toEqual(['/boards//pictures/picture-1/2/7/7.png'])
})

test('the nearer, the finer, up to the finest', async () => {
  for (const scale of [3, 6, 12, 60]) draw(canvas(scale), `picture-${scale}`)
  await settled()
  expect(asked.map((address) => address.split('/')[5])).toEqual(['1', '2', '3', '3'])
})

test('what is no page of a document is asked for once', async () => {
  answers.set('photo-one', 204)
  draw(canvas(8), 'photo-one')
  await settled()
  draw(canvas(8, 300, 300), 'photo-one')
  draw(canvas(12), 'photo-one')
  await settled()
  expect(asked.length).toBe(1)
})

test('a part that did not come is no reason to ask at each drawing', async () => {
  answers.set('picture-1', 503)
  for (let n = 0; n < 5; n++) {
    draw(canvas(8))
    await settled()
  }
  expect(asked.length).toBe(1)
})

test('what shows through is not drawn twice, and of a cut picture only what is shown is fetched', async () => {
  draw(canvas(8, 0, 0, 0.5))
  await settled()
  expect(asked).toEqual([])
  draw(canvas(2, 0, 0), 'picture-2', [0.5, 0.5, 0.75, 0.75])
  await settled()
  const columns = asked.map((address) => address.split('/').slice(5, 7).map(Number))
  for (const [level, column] of columns) {
    expect(column! / 2 ** (level! + 1)).toBeGreaterThanOrEqual(0.49)
    expect((column! + 1) / 2 ** (level! + 1)).toBeLessThanOrEqual(0.76)
  }
  expect(columns.length).toBeGreaterThan(0)
})
