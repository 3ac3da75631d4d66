<script lang="ts">
  interface Props {
    label: string
    value: number
    least: number
    most: number
    step: number
    /** How a value is read out, such as “40 %”. */
    show?: (value: number) => string
    onchange: (value: number) => void
  }
  let { label, value, least, most, step, show = String, onchange }: Props = $props()
</script>

<label>
  <span>{label}</span>
  <input
    type="range"
    min={least}
    max={most}
    {step}
    {value}
    aria-valuetext={show(value)}
    oninput={(event) => onchange(event.currentTarget.valueAsNumber)}
  />
  <output>{show(value)}</output>
</label>

<style>
  label {
    display: grid;
    grid-template-columns: 84px 1fr 52px;
    align-items: center;
    gap: 8px;
    min-height: 36px;
  }
  span {
    color: var(--muted);
    font-size: 13px;
  }
  output {
    font-variant-numeric: tabular-nums;
    font-size: 13px;
    text-align: right;
  }
</style>
