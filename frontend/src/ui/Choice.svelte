<script lang="ts" generics="T extends string | number">
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

<div role="radiogroup" aria-label={label}>
  <span class="label">{label}</span>
  {#each options as option (option.value)}
    <button role="radio" aria-checked={value === option.value} onclick={() => choose(option.value)}>
      {#if option.dot}<i style:width="{option.dot}px" style:height="{option.dot}px"></i>{/if}{option.label}
    </button>
  {/each}
</div>

<style>
  div {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  .label {
    color: var(--muted);
    font-size: 13px;
    width: 74px;
    line-height: 1.2;
  }
  button {
    min-height: 42px;
    min-width: 42px;
    padding: 0 13px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-weight: 600;
    display: flex;
    align-items: center;
    gap: 9px;
    white-space: nowrap;
  }
  button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  i {
    background: currentColor;
    border-radius: 50%;
    max-width: 22px;
    max-height: 22px;
  }
</style>
