<script lang="ts">
  import type { Reaction } from '../lesson/classroom.svelte'
  import { SIGNS } from './signs'

  let { kind, size = 22 }: { kind: Reaction; size?: number } = $props()
</script>

<svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true"><path d={SIGNS[kind].path} /></svg>

<style>
  svg {
    fill: none;
    stroke: currentColor;
    stroke-width: 2;
    stroke-linecap: round;
    stroke-linejoin: round;
    flex: none;
  }
</style>
