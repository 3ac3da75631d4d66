<script lang="ts">
  import { outline, strokeWidth } from '../../ink/outline'
  import type { Samples } from '../../ink/samples'
  import type { ReadyPen } from '../../lesson/tools.svelte'

  let { pen }: { pen: ReadyPen } = $props()

  /** A wave with a swelling press, in a box of 60 by 30. */
  const WAVE = Float32Array.from(
    Array.from({ length: 24 }, (_, i) => {
      const t = i / 23
      return [6 + 48 * t, 15 - 7 * Math.sin(2 * Math.PI * t), 0.15 + 0.75 * Math.sin(Math.PI * t), 8 * i]
    }).flat(),
  ) as Samples
  const MOST = 15
  const width = $derived(Math.min(MOST, pen.width))
  const path = $derived(
    outline(pen.nib, WAVE, width)
      .map((polygon) => `M${polygon.map((value) => value.toFixed(1)).join(' ')}Z`)
      .join(''),
  )
  const head = $derived(strokeWidth(pen.nib, width, 0.5))
</script>

<svg viewBox="0 0 60 30" width="60" height="30" aria-hidden="true" opacity={pen.opacity}>
  <path d={path} fill={pen.colour} />
  {#if pen.ends !== 'none'}
    <path d="M48 8L55 14L47 18" fill="none" stroke={pen.colour} stroke-width={Math.max(1, head / 2)} />
  {/if}
</svg>
