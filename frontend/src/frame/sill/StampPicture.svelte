<script lang="ts">
  import { itemBox, union } from '../../board/box'
  import { drawItem } from '../../board/draw'
  import type { Stamp } from '../../lesson/stamps'

  let { stamp }: { stamp: Stamp } = $props()
  let canvas: HTMLCanvasElement
  const SIDE = 80
  const MARGIN = 8

  $effect(() => {
    const context = canvas.getContext('2d')!
    const box = union(stamp.items.map(itemBox))!
    const [width, height] = [box.maxX - box.minX, box.maxY - box.minY]
    const scale = (SIDE - 2 * MARGIN) / Math.max(width, height, 1)
    context.setTransform(1, 0, 0, 1, 0, 0)
    context.clearRect(0, 0, SIDE, SIDE)
    context.setTransform(
      scale,
      0,
      0,
      scale,
      SIDE / 2 - (scale * (box.minX + box.maxX)) / 2,
      SIDE / 2 - (scale * (box.minY + box.maxY)) / 2,
    )
    for (const item of stamp.items) drawItem(context, item)
  })
</script>

<canvas bind:this={canvas} width={SIDE} height={SIDE} aria-hidden="true"></canvas>

<style>
  canvas {
    width: 40px;
    height: 40px;
  }
</style>
