<script lang="ts" generics="T">
  import type { Snippet } from 'svelte'
  import Radios from './Radios.svelte'

  interface Props {
    label: string
    options: T[]
    /** Index of the one that is taken. */
    taken: number
    name: (option: T) => string
    ontake: (index: number) => void
    /** Width of a tile in px. */
    width?: number
    picture: Snippet<[T]>
  }
  let { label, options, taken, name, ontake, width = 46, picture }: Props = $props()
</script>

<Radios
  {label}
  {options}
  {name}
  {width}
  taken={(option) => options.indexOf(option) === taken}
  ontake={(option) => ontake(options.indexOf(option))}
  look="tiles"
  face={picture}
/>
