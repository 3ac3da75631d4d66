<script lang="ts">
  /** A chart's form and title, and what its series are. */
  import { untrack } from 'svelte'
  import Field from '../../ui/Field.svelte'
  import type { ChartItem } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t, told } from '../../words/words.svelte'
  import ChartForms from './ChartForms.svelte'

  let { session, chart }: { session: Session; chart: ChartItem } = $props()
  let title = $state(untrack(() => chart.title))
  const follows = $derived(session.pages.now?.entries.has(chart.table) ?? false)
  const TITLED = 120
</script>

<div class="stack">
  {#if chart.chart?.problem}<p role="status">{told(chart.chart.problem)}</p>{/if}
  <ChartForms
    label={t('chart-forms')}
    form={chart.form}
    ontake={(form) => session.charts.change(chart, { form })}
  />
  <Field
    label={t('title')}
    bind:value={title}
    maxlength={TITLED}
    onchange={() => session.charts.change(chart, { title: title.trim() })}
  />
  <label class="check">
    <input
      type="checkbox"
      checked={chart.by_rows}
      onchange={() => session.charts.change(chart, { by_rows: !chart.by_rows })}
    />
    {t('chart-by-rows')}
  </label>
  {#if chart.form === 'scatter'}
    <label class="check">
      <input
        type="checkbox"
        checked={chart.fit}
        onchange={() => session.charts.change(chart, { fit: !chart.fit })}
      />
      {t('chart-fit')}
    </label>
  {/if}
  <p>{follows ? t('chart-follows') : t('chart-alone')}</p>
</div>

<style>
  .stack {
    display: grid;
    gap: 10px;
    width: 400px;
    max-width: 100%;
  }
  .check {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
  }
  p {
    margin: 0;
    color: var(--muted);
    font-size: 13px;
  }
</style>
