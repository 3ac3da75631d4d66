import fc from 'fast-check'
import { expect, test } from 'vitest'
import { Page } from '../src/board/page'
import { TileLayer } from '../src/board/tiles'
import { MAX_SCALE, MIN_SCALE, View } from '../src/board/view.svelte'

/** A canvas on which everything is drawn and nothing is seen. */
function canvas(): HTMLCanvasElement {
  const context: unknown = new Proxy(() => {}, { get: () => () => ({}), set: () => true })
  return { getContext: () => context, width: 0, height: 0 } as unknown as HTMLCanvasElement
}

const head = {
  id: 'page-one',
  title: '',
  paper: { kind: 'endless', ruling: 'plain', width: 0, height: 0, spacing: 32, colour: '', picture: '' },
}

test('whatever is zoomed and panned, a frame makes no more tiles than the screen is large', () => {
  const moves = fc.array(
    fc.record({
      factor: fc.double({ min: MIN_SCALE / MAX_SCALE, max: MAX_SCALE / MIN_SCALE, noNaN: true }),
      dx: fc.integer({ min: -5_000, max: 5_000 }),
      settled: fc.boolean(),
    }),
    { maxLength: 30 },
  )
  fc.assert(
    fc.property(moves, (list) => {
      const page = new Page(head as unknown as Page['head'])
      page.finish()
      let made = 0
      const layer = new TileLayer(page, () => {
        made++
        return canvas()
      })
      const context = canvas().getContext('2d')!
      const view = new View()
      view.width = 1280
      view.height = 800
      for (const { factor, dx, settled } of list) {
        view.zoom(factor)
        view.pan(dx, 0)
        made = 0
        layer.draw(context, view.box(), view.scale, settled)
        expect(made).toBeLessThanOrEqual(4 * 3)
        expect(layer.count).toBeLessThanOrEqual(160 + 12)
      }
      // When all is still the screen is drawn sharp.
      for (let frame = 0; frame < 50; frame++) if (layer.draw(context, view.box(), view.scale, true)) return
      expect.fail('the page is never complete')
    }),
    { numRuns: 100 },
  )
})
