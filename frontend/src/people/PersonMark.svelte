<script lang="ts">
  import { letterOf, personColour, personShape } from '../lesson/mark'

  interface Props {
    seat: string
    name: string
    colour?: string
    size?: number
  }
  let { seat, name, colour = personColour(seat), size = 40 }: Props = $props()
</script>

<span
  style:width="{size}px"
  style:height="{size}px"
  style:font-size="{size * 0.42}px"
  style:background={colour}
  style:clip-path={personShape(seat)}
  aria-hidden="true">{letterOf(name)}</span
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
