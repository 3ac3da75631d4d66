<script lang="ts">
  import { onDestroy } from 'svelte'
  import { union } from '../../board/box'
  import { drawItems } from '../../board/draw'
  import { drawPaper } from '../../board/draw-paper'
  import { inOrder } from '../../board/order'
  import type { Page } from '../../board/page'
  import type { Session } from '../../lesson/session.svelte'

  let { session, pageId, width = 340 }: { session: Session; pageId: string; width?: number } = $props()
  let canvas: HTMLCanvasElement
  const height = $derived((width * 12) / 17)
  const LEAST = { minX: 0, minY: 0, maxX: 1000, maxY: 640 }
  /** A picture need not follow every stroke at once. */
  const WAIT_MS = 500
  /** More than this cannot be told apart on so small a picture, and would hold up the pen. */
  const MAX_ITEMS = 1_500

  /** What is drawn: the page may be another one after a reconnect. */
  let drawn: { page: Page; revision: number } | null = null
  let timer: ReturnType<typeof setTimeout> | undefined
  onDestroy(() => clearTimeout(timer))

  $effect(() => {
    void session.board.version
    const page = session.board.replica.pages.get(pageId)
    if (!page || timer || (drawn?.page === page && drawn.revision === page.revision)) return
    timer = setTimeout(draw, drawn ? WAIT_MS : 0)
  })

  function draw() {
    timer = undefined
    const page = session.board.replica.pages.get(pageId)
    const context = canvas.getContext('2d')
    if (!page || !context) return
    drawn = { page, revision: page.revision }
    const { paper } = page.head
    const whole = paper.kind === 'endless' ? union([...page.entries.values(), LEAST])! : page.sheet!
    // A roll shows its beginning: all of it would be a thread.
    const box =
      paper.kind === 'roll' ? { ...whole, maxY: whole.minY + (paper.width * height) / width } : whole
    const scale = Math.min(width / (box.maxX - box.minX), height / (box.maxY - box.minY))
    const left = (box.minX + box.maxX - width / scale) / 2
    context.setTransform(scale, 0, 0, scale, -left * scale, -box.minY * scale)
    const seen = { minX: left, minY: box.minY, maxX: left + width / scale, maxY: box.minY + height / scale }
    drawPaper(context, paper, page.sheet, seen, scale)
    const items = [...page.entries.values()].sort(inOrder).slice(0, MAX_ITEMS)
    drawItems(
      context,
      items.map(({ item }) => item),
      scale,
    )
  }
</script>

<canvas bind:this={canvas} {width} {height} aria-hidden="true"></canvas>

<style>
  canvas {
    width: 100%;
    height: 100%;
    display: block;
  }
</style>
