<script lang="ts">
  /** Play and pause, and where in time a playing is. */
  import Button from '../../ui/Button.svelte'
  import { elapsed } from '../../words/time'
  import { t } from '../../words/words.svelte'

  interface Props {
    playing: boolean
    /** In ms. */
    at: number
    length: number
    disabled?: boolean
    ontoggle: () => void
  }
  let { playing, at = $bindable(), length, disabled = false, ontoggle }: Props = $props()
  const told = $derived(t('time-of', { at: elapsed(at), all: elapsed(length) }))
</script>

<div class="row">
  <Button kind="go" {disabled} onclick={ontoggle}>{playing ? t('pause') : t('play')}</Button>
  <input
    type="range"
    aria-label={t('place-in-time')}
    aria-valuetext={told}
    min="0"
    max={length}
    step="any"
    bind:value={at}
  />
  <span>{told}</span>
</div>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
  input {
    flex: 1;
    min-width: 120px;
    min-height: 40px;
    accent-color: var(--leaf);
  }
  span {
    font-variant-numeric: tabular-nums;
    color: var(--muted);
    font-size: 14px;
  }
</style>
