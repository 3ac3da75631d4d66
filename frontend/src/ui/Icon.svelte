<script lang="ts">
  import { ICONS, type IconName } from './icons'

  let { name, size = 22 }: { name: IconName; size?: number } = $props()
</script>

<svg width={size} height={size} viewBox="0 0 24 24" aria-hidden="true"><path d={ICONS[name]} /></svg>

<style>
  svg {
    fill: none;
    stroke: currentColor;
    stroke-width: 1.7;
    stroke-linecap: round;
    stroke-linejoin: round;
    flex: none;
  }
</style>
