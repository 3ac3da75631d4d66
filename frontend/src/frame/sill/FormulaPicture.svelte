<script lang="ts">
  /** A set formula of a size, at most ``most`` px high; who does not see it hears it from what is around it. */
  import { FORMULA_UNITS, type FormulaLook } from '../../wire/generated'

  interface Props {
    look: Pick<FormulaLook, 'outline' | 'width' | 'height'>
    px: number
    most?: number
  }
  let { look, px, most = 220 }: Props = $props()
  const size = $derived(Math.min(px, most / look.height))
</script>

<svg
  viewBox="0 0 {look.width * FORMULA_UNITS} {look.height * FORMULA_UNITS}"
  style:width="{look.width * size}px"
  aria-hidden="true"
>
  <path d={look.outline} />
</svg>

<style>
  svg {
    flex: none;
    max-width: 100%;
    fill: currentcolor;
  }
</style>
