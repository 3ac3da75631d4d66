<script lang="ts">
  /** What students may do with the room's boards between lessons. */
  import type { RoomHome } from '../wire/generated'
  import { t } from '../words/words.svelte'

  type Between = RoomHome['between']
  interface Props {
    between: Between
    /** Ends when it is so, or has been refused. */
    onchange: (wanted: Between) => Promise<unknown>
    disabled?: boolean
  }
  let { between, onchange, disabled = false }: Props = $props()
  let whole: HTMLElement
  const CHOICES = $derived<{ value: Between; label: string }[]>([
    { value: 'view', label: t('students-can-look') },
    { value: 'write', label: t('students-can-write') },
    { value: 'closed', label: t('closed') },
  ])

  async function take(wanted: Between) {
    await onchange(wanted)
    // What was refused is not shown as taken.
    for (const button of whole.querySelectorAll('input')) button.checked = button.value === between
  }
</script>

<div role="radiogroup" aria-label={t('between-lessons')} bind:this={whole}>
  {#each CHOICES as { value, label } (value)}
    <label>
      <input
        type="radio"
        name="between"
        {value}
        {disabled}
        checked={between === value}
        onchange={() => take(value)}
      />
      {label}
    </label>
  {/each}
</div>

<style>
  label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 34px;
  }
  input {
    width: 18px;
    height: 18px;
    margin: 0;
  }
  @media (pointer: coarse) {
    label {
      min-height: 44px;
    }
  }
</style>
