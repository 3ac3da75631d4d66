<script lang="ts">
  /** More of one of a graph's curves: its named places, what it is at one, its tangent there, an area; of points a line of best fit. */
  import { untrack } from 'svelte'
  import { numberOf, typedAs } from '../../lesson/counted'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import type { GraphItem, NamedPlace, PlacesFound } from '../../wire/generated'
  import { t, type Plain } from '../../words/words.svelte'

  interface Props {
    session: Session
    graph: GraphItem
    line: number
    onfit: (degree: number) => void
    onadd: (formula: string) => void
  }
  let { session, graph, line, onfit, onadd }: Props = $props()
  const formula = $derived(graph.lines[line]!.formula)
  const points = $derived(/^\s*\(\s*[-+−]?[\d.]+\s*[,;]/.test(formula))
  let at = $state(untrack(() => (graph.ranges.x0 + graph.ranges.x1) / 2))
  /** Between which the area is, as typed; of what is no number there is none. */
  let from = $state('0')
  let to = $state(untrack(() => ({ numbers: '1', pi: 'π', degrees: '180°' })[graph.counted]))
  const low = $derived(numberOf(from, graph.counted))
  const high = $derived(numberOf(to, graph.counted))
  let found = $state.raw<PlacesFound | null>(null)
  let problem = $state('')
  const NAMES: Record<NamedPlace['kind'], Plain> = {
    zero: 'place-zero',
    start: 'place-start',
    highest: 'place-highest',
    lowest: 'place-lowest',
    meets: 'place-meets',
  }

  $effect(() => {
    if (points) return
    let current = true
    session.graphs.places(graph, line, at, low ?? 0, high ?? 0).then(
      (answer) => {
        if (current) [found, problem] = [answer, '']
      },
      (error: Error) => {
        if (current) [found, problem] = [null, error.message]
      },
    )
    return () => (current = false)
  })

  /** What nobody sees beside what the graph shows is 0. */
  function near(value: number): number {
    return Math.abs(value) < 1e-9 * (graph.ranges.y1 - graph.ranges.y0) ? 0 : value
  }

  function digits(value: number): string {
    return typedAs(near(value), 'numbers', 5)
  }

  /** Where along the level axis, as that is counted. */
  function along(x: number): string {
    return typedAs(near(x), graph.counted, 5)
  }

  function plain(value: number): string {
    return String(+value.toPrecision(7))
  }

  function tangent() {
    const { x, y, slope } = found!.at!
    onadd(`y = ${plain(slope!)}(x - (${plain(x)})) + (${plain(y!)})`)
  }
</script>

{#if points}
  <Choice
    label={t('graph-fit')}
    options={[
      { value: 0, label: t('graph-fit-none') },
      { value: 1, label: t('graph-fit-line') },
      { value: 2, label: t('graph-fit-parabola') },
      { value: 3, label: t('graph-fit-cubic') },
    ]}
    bind:value={() => graph.lines[line]!.fit, (degree) => onfit(degree)}
  />
{:else if problem}
  <p role="status">{problem}</p>
{:else if found}
  <ul>
    {#each found.places as place (`${place.kind} ${place.x} ${place.other}`)}
      <li>
        <span
          >{t(NAMES[place.kind])}
          {place.kind === 'meets' ? graph.lines[place.other]?.formula : ''} ({along(place.x)}, {digits(
            place.y,
          )})</span
        >
        <Button kind="quiet" onclick={() => onadd(`(${plain(place.x)}, ${plain(place.y)})`)}
          >{t('place-mark')}</Button
        >
      </li>
    {:else}
      <li>{t('place-none')}</li>
    {/each}
  </ul>
  <label class="at">
    <span>x = {along(at)}</span>
    <input
      type="range"
      min={graph.ranges.x0}
      max={graph.ranges.x1}
      step={(graph.ranges.x1 - graph.ranges.x0) / 200}
      bind:value={at}
      aria-label={t('place-trace')}
    />
  </label>
  <p>
    {#if found.at?.y !== null && found.at}y = {digits(found.at.y!)}{#if found.at.slope !== null}
        {' · '}{t('place-slope', { slope: digits(found.at.slope) })}{/if}{:else}{t('place-undefined')}{/if}
  </p>
  {#if found.at?.y !== null && found.at?.slope !== null}
    <Button onclick={tangent}>{t('place-tangent')}</Button>
  {/if}
  <div class="area">
    <label>{t('place-from')}<input bind:value={from} /></label>
    <label>{t('place-to')}<input bind:value={to} /></label>
    <output>
      {#if low !== null && high !== null}
        {found.area === null ? t('place-undefined') : t('place-area', { area: digits(found.area) })}
      {/if}
    </output>
  </div>
{/if}

<style>
  ul {
    display: grid;
    gap: 2px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: flex;
    justify-content: space-between;
    align-items: center;
    gap: 8px;
    font-size: 14px;
  }
  .at {
    display: grid;
    grid-template-columns: 90px 1fr;
    align-items: center;
    min-height: 40px;
  }
  .area {
    display: grid;
    grid-template-columns: 1fr 1fr 1.4fr;
    align-items: end;
    gap: 6px;
    font-size: 13px;
    margin-top: 8px;
  }
  .area input {
    width: 100%;
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
  }
  output {
    align-self: center;
    font-size: 14px;
  }
  p {
    margin: 0 0 6px;
    font-size: 14px;
  }
</style>
