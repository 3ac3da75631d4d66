<script lang="ts">
  import { UNIT_FIGURES, type FigureKind } from '../../wire/generated'

  let { kind }: { kind: FigureKind } = $props()

  const path = $derived.by(() => {
    const { points, parts, closed, curved } = UNIT_FIGURES[kind]
    let at = 0
    const lines = parts.length ? parts.map((count) => points.slice(at, (at += count))) : [points]
    return lines
      .map((line) => `M${line[0]}${curved ? 'C' : 'L'}${line.slice(1).join(' ')}${closed ? 'Z' : ''}`)
      .join('')
  })
</script>

<svg viewBox="-8 -8 116 116" width="26" height="26" aria-hidden="true">
  <path
    d={path}
    fill="none"
    stroke="currentColor"
    stroke-width="7"
    stroke-linecap="round"
    stroke-linejoin="round"
  />
</svg>
