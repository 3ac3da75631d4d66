<script lang="ts">
  /** A set formula, ``px`` high at size 1; who does not see it hears its words from what is around it. */
  import { FORMULA_UNITS, type FormulaLook } from '../../wire/generated'

  let { look, px }: { look: FormulaLook; px: number } = $props()
</script>

<svg
  viewBox="0 0 {look.width * FORMULA_UNITS} {look.height * FORMULA_UNITS}"
  style:width="{look.width * px}px"
  aria-hidden="true"
>
  <path d={look.outline} />
</svg>

<style>
  svg {
    flex: none;
    max-width: 100%;
    max-height: 230px;
    fill: currentcolor;
  }
</style>
