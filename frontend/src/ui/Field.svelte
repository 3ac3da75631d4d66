<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements'

  interface Props extends HTMLInputAttributes {
    label: string
    value: string
    problem?: string
  }
  let { label, value = $bindable(), problem = '', ...rest }: Props = $props()
  const id = $props.id()
</script>

<div class="field">
  <label for={id}>{label}</label>
  <input
    {id}
    bind:value
    aria-invalid={problem ? true : undefined}
    aria-describedby={problem ? `${id}-problem` : undefined}
    {...rest}
  />
  {#if problem}<p id="{id}-problem" role="alert">{problem}</p>{/if}
</div>

<style>
  .field {
    display: grid;
    gap: 6px;
  }
  label {
    font-weight: 600;
  }
  input {
    height: 44px;
    padding: 0 12px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  input[aria-invalid] {
    border-color: var(--clay);
  }
  p {
    color: var(--clay);
    font-size: 14px;
  }
</style>
