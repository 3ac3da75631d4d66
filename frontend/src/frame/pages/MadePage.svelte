<script lang="ts">
  /** A page as it was at some time of its making: all of it that is ever written on, as large as it goes. */
  import { union } from '../../board/box'
  import { drawItem, drawItems } from '../../board/draw'
  import { drawPaper } from '../../board/draw-paper'
  import type { Making } from '../../board/making'
  import { inOrder } from '../../board/order'
  import type { PageHead } from '../../wire/generated'

  interface Props {
    making: Making
    head: PageHead
    /** Steps of the making that are there. */
    count: number
    /** Where in the playing, in ms. */
    clock: number
    /** Long pauses are shortened. */
    short?: boolean
    /** Only what this person made; "" for everybody. */
    person?: string
  }
  let { making, head, count, clock, short = false, person = '' }: Props = $props()
  const LEAST = { minX: 0, minY: 0, maxX: 1000, maxY: 640 }
  let under = $state<HTMLCanvasElement>()
  let over = $state<HTMLCanvasElement>()

  /** What the canvas shows already, so that what only comes on top is drawn alone. */
  let drawn = { making: null as Making | null, step: -1, person: '', width: 0, height: 0 }

  $effect(() => {
    if (!under || !over || count < 0) return
    const step = making.stepAt(clock, short)
    const [width, height] = [under.clientWidth, under.clientHeight]
    const ratio = devicePixelRatio || 1
    const context = under.getContext('2d')!
    const same =
      drawn.making === making && drawn.person === person && drawn.width === width && drawn.height === height
    const fresh = same && step >= drawn.step ? making.goOn(step) : null
    if (!fresh) making.seek(step)
    if (drawn.width !== width || drawn.height !== height) {
      for (const canvas of [under, over]) [canvas.width, canvas.height] = [width * ratio, height * ratio]
    }
    drawn = { making, step, person, width, height }
    const { scale, left, top } = view(width, height)
    const shown = (by: string) => !person || by === person
    const onto = [scale * ratio, 0, 0, scale * ratio, -left * scale * ratio, -top * scale * ratio] as const
    context.setTransform(...onto)
    if (fresh) {
      drawItems(
        context,
        fresh.filter(({ by }) => shown(by)),
        scale,
      )
    } else {
      const seen = { minX: left, minY: top, maxX: left + width / scale, maxY: top + height / scale }
      context.clearRect(left, top, width / scale, height / scale)
      drawPaper(context, head.paper, making.page.sheet, seen, scale)
      const entries = [...making.page.entries.values()].sort(inOrder)
      drawItems(
        context,
        entries.map(({ item }) => item).filter(({ by }) => shown(by)),
        scale,
      )
    }
    const front = over.getContext('2d')!
    front.setTransform(1, 0, 0, 1, 0, 0)
    front.clearRect(0, 0, over.width, over.height)
    const growing = making.growing(clock, short)
    if (growing && shown(growing.by)) {
      front.setTransform(...onto)
      drawItem(front, growing)
    }
  })

  /** All of the page that is ever written on, as large as it goes. */
  function view(width: number, height: number) {
    const box = head.paper.kind === 'endless' ? union([making.reach, LEAST])! : (making.whole.sheet ?? LEAST)
    const scale = Math.min(width / (box.maxX - box.minX), height / (box.maxY - box.minY))
    const left = (box.minX + box.maxX - width / scale) / 2
    return { scale, left, top: (box.minY + box.maxY - height / scale) / 2 }
  }
</script>

<div class="seen"><canvas bind:this={under}></canvas><canvas bind:this={over}></canvas></div>

<style>
  .seen {
    flex: 1;
    display: grid;
    min-height: 0;
    background: var(--sand);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    overflow: hidden;
  }
  canvas {
    grid-area: 1 / 1;
    width: 100%;
    height: 100%;
    min-height: 0;
  }
</style>
