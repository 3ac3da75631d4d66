<script lang="ts">
  import { personColour, personShape } from './mark'

  let { seat, name, size = 40 }: { seat: string; name: string; size?: number } = $props()
</script>

<span
  style:width="{size}px"
  style:height="{size}px"
  style:font-size="{size * 0.4}px"
  style:background={personColour(seat)}
  style:clip-path={personShape(seat)}
  aria-hidden="true">{[...name][0]}</span
>

<style>
  span {
    flex: none;
    color: #fff;
    font-weight: 700;
    display: grid;
    place-items: center;
    border-radius: 3px;
  }
</style>
