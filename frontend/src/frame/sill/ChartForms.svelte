<script lang="ts">
  /** The forms of charts, each with a small picture of it. */
  import Radios from '../../ui/Radios.svelte'
  import type { ChartForm } from '../../wire/generated'
  import { t, type Plain } from '../../words/words.svelte'

  let { label, form, ontake }: { label: string; form?: ChartForm; ontake: (form: ChartForm) => void } =
    $props()

  /** On a grid of 24 by 24. */
  const FORMS: { form: ChartForm; word: Plain; path: string }[] = [
    { form: 'bars', word: 'chart-bars', path: 'M4 20h16M6 20v-8h3v8M11 20V6h3v14M16 20v-5h3v5' },
    { form: 'stacked', word: 'chart-stacked', path: 'M4 20h16M6 20v-9h4v9M6 15h4M14 20V5h4v15M14 13h4' },
    { form: 'lines', word: 'chart-lines', path: 'M4 4v16h16M6 16l4-5 4 3 5-8' },
    { form: 'scatter', word: 'chart-scatter', path: 'M4 4v16h16M8 16h.1M10 12h.1M13 13h.1M15 8h.1M18 7h.1' },
    { form: 'pie', word: 'chart-pie', path: 'M12 4a8 8 0 1 0 8 8h-8zM15 3a7 7 0 0 1 6 6h-6z' },
    {
      form: 'histogram',
      word: 'chart-histogram',
      path: 'M4 20h16M5 20v-5h4v5M9 15V6h4v14M13 10h4v10M17 16h3v4',
    },
    { form: 'box', word: 'chart-box', path: 'M3 12h4M17 12h4M7 8h10v8H7zM11 8v8M3 10v4M21 10v4' },
    { form: 'stems', word: 'chart-stems', path: 'M9 4v16M5 7h1M5 12h1M5 17h1M12 7h7M12 12h5M12 17h3' },
  ]
</script>

<div>
  <Radios
    {label}
    options={FORMS}
    name={({ word }) => t(word)}
    taken={(each) => each.form === form}
    ontake={(each) => ontake(each.form)}
    look="pictures"
  >
    {#snippet face({ word, path })}
      <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"><path d={path} /></svg>
      <span>{t(word)}</span>
    {/snippet}
  </Radios>
</div>

<style>
  div {
    --columns: 4;
  }
  path {
    fill: none;
    stroke: currentColor;
    stroke-width: 1.7;
    stroke-linecap: round;
    stroke-linejoin: round;
  }
</style>
