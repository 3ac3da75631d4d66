<script lang="ts" generics="T extends string">
  /** One of several, from a list that opens; its label stands over it, or is only heard. */
  interface Props {
    label: string
    options: readonly { value: T; label: string }[]
    value: T
    /** The label is not seen. */
    bare?: boolean
  }
  let { label, options, value = $bindable(), bare = false }: Props = $props()
</script>

<label>
  {#if !bare}<span>{label}</span>{/if}
  <select bind:value aria-label={bare ? label : undefined}>
    {#each options as option (option.value)}<option value={option.value}>{option.label}</option>{/each}
  </select>
</label>

<style>
  label {
    display: grid;
    gap: 2px;
    min-width: 0;
    font-size: 13px;
    color: var(--muted);
  }
  select {
    width: 100%;
    min-width: 0;
    min-height: 40px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    font-size: 14px;
    color: var(--ink);
  }
</style>
