<script lang="ts" generics="T extends string | number">
  import Radios from './Radios.svelte'

  interface Option {
    value: T
    label: string
    /** Diameter in px of a dot that shows the width. */
    dot?: number
  }
  interface Props {
    label: string
    options: Option[]
    value: T
    onchange?: () => void
  }
  let { label, options, value = $bindable(), onchange }: Props = $props()

  function choose(chosen: T) {
    value = chosen
    onchange?.()
  }
</script>

<div>
  <span>{label}</span>
  <Radios
    {label}
    {options}
    name={(option) => option.label}
    taken={(option) => option.value === value}
    ontake={(option) => choose(option.value)}
    look="buttons"
  >
    {#snippet face({ dot, label })}
      {#if dot}<i style:width="{dot}px" style:height="{dot}px"></i>{/if}{label}
    {/snippet}
  </Radios>
</div>

<style>
  div {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  span {
    color: var(--muted);
    font-size: 13px;
    width: 74px;
    flex: none;
    line-height: 1.2;
  }
  i {
    background: currentColor;
    border-radius: 50%;
    max-width: 22px;
    max-height: 22px;
  }
</style>
