<script lang="ts">
  /** A graph's formulas, its letters as sliders, and which numbers it shows. */
  import { numberOf, typedAs } from '../../lesson/counted'
  import { GRAPH_COLOURS, type GraphChange } from '../../lesson/graphs.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import {
    MAX_GRAPH_LINES,
    type Counted,
    type GraphItem,
    type GraphLetter,
    type GraphLine,
    type Ranges,
  } from '../../wire/generated'
  import CurvePanel from './CurvePanel.svelte'
  import GraphPicture from './GraphPicture.svelte'
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Radios from '../../ui/Radios.svelte'
  import { t, told, type Plain } from '../../words/words.svelte'

  let { session, graph }: { session: Session; graph: GraphItem } = $props()
  let typed = $state('')
  let problem = $state('')
  /** The graph while a letter is moved. */
  let moving = $state.raw<GraphItem | null>(null)
  let asking = false
  let next: GraphChange | null = null

  /** What else is understood. */
  const ALSO = ['(cos t, sin t)', 'y < x', '(1, 2), (3, 5)', 'y = x^2 for x < 1; y = 1 for x >= 1']
  const COUNTED: Counted[] = ['numbers', 'pi', 'degrees']
  const NAMES: Record<Counted, Plain> = {
    numbers: 'graph-numbers',
    pi: 'graph-pi',
    degrees: 'graph-degrees',
  }
  const ENDS = [
    ['x0', 'graph-x-from'],
    ['x1', 'graph-x-to'],
    ['y0', 'graph-y-from'],
    ['y1', 'graph-y-to'],
  ] as const

  /** Changed once it can be drawn; otherwise it is said why not. ``formula`` is the number of one that was typed. */
  async function change(what: GraphChange, formula = -1) {
    problem = ''
    try {
      const drawn = await session.graphs.preview(graph, what)
      if (!drawn) return false
      const wrong = drawn.drawn?.problems[formula]
      if (wrong) {
        problem = told(wrong)
        return false
      }
      session.graphs.change(graph, what)
      return true
    } catch (error) {
      problem = (error as Error).message
      return false
    }
  }

  /** The formula of which more is told. */
  let opened = $state(-1)

  async function put(formula: string): Promise<boolean> {
    const colour =
      GRAPH_COLOURS.find((one) => !graph.lines.some((line) => line.colour === one)) ?? GRAPH_COLOURS[0]!
    const line = { formula, colour, width: 3, shown: true, fit: 0 }
    return change({ lines: [...graph.lines, line] }, graph.lines.length)
  }

  function lineAt(at: number, what: Partial<GraphLine>): GraphLine[] {
    return graph.lines.map((line, n) => (n === at ? { ...line, ...what } : line))
  }

  /** Another formula in place of one, in its colour. */
  function write(at: number, box: HTMLInputElement) {
    const formula = box.value.trim()
    const stood = graph.lines[at]!.formula
    if (formula && formula !== stood) void change({ lines: lineAt(at, { formula }) }, at)
    else box.value = stood
  }

  async function add(event: SubmitEvent) {
    event.preventDefault()
    if (typed.trim() && (await put(typed))) typed = ''
  }

  function withLetter(name: string, value: Partial<GraphLetter>): GraphLetter[] {
    return graph.letters.map((letter) => (letter.name === name ? { ...letter, ...value } : letter))
  }

  /** While it is moved it is seen, one picture after the other, here and by everybody. */
  async function move(what: GraphChange) {
    next = what
    if (asking) return
    asking = true
    while (next) {
      const now = next
      next = null
      const drawn = await session.graphs.preview(graph, now).catch(() => null)
      if (!drawn) continue
      moving = drawn
      session.graphs.moved(drawn)
    }
    asking = false
  }

  function letGo(what: GraphChange) {
    void change(what).then(() => (moving = null))
  }

  /** As it stands while it is moved. */
  function valueOf({ name, value }: GraphLetter): string {
    return typedAs(+(moving?.letters.find((letter) => letter.name === name)?.value ?? value).toFixed(4))
  }

  function zoom(factor: number) {
    const { x0, x1, y0, y1 } = graph.ranges
    const about = (low: number, high: number): [number, number] => {
      const [middle, half] = [(low + high) / 2, ((high - low) / 2) * factor]
      return [middle - half, middle + half]
    }
    const [[a, b], [c, d]] = [about(x0, x1), about(y0, y1)]
    void change({ ranges: { x0: a, x1: b, y0: c, y1: d } })
  }

  /** Another number that was typed in a field, carried out; if it cannot be, what stood there stands there again. */
  async function typedIn(
    box: HTMLInputElement,
    stood: number,
    counted: Counted,
    carryOut: (value: number) => Promise<boolean>,
  ) {
    const value = numberOf(box.value, counted)
    problem = value === null ? t('graph-no-number', { typed: box.value }) : ''
    if (value === null || value === stood || !(await carryOut(value))) box.value = typedAs(stood, counted)
  }

  function inOrder(first: number, last: number): boolean {
    if (first >= last) problem = t('graph-first-smaller')
    return first < last
  }

  function countedOf(end: keyof Ranges): Counted {
    return end.startsWith('x') ? graph.counted : 'numbers'
  }

  function setEnd(end: keyof Ranges, box: HTMLInputElement) {
    void typedIn(box, graph.ranges[end], countedOf(end), async (value) => {
      const ranges = { ...graph.ranges, [end]: value }
      return inOrder(ranges.x0, ranges.x1) && inOrder(ranges.y0, ranges.y1) && change({ ranges })
    })
  }

  /** A letter is what was typed; its slider reaches as far. */
  function setLetter(letter: GraphLetter, which: 'value' | 'low' | 'high', box: HTMLInputElement) {
    void typedIn(box, letter[which], 'numbers', async (value) => {
      const whole = { ...letter, [which]: value }
      if (which === 'value') {
        whole.low = Math.min(whole.low, value)
        whole.high = Math.max(whole.high, value)
      } else whole.value = Math.min(Math.max(whole.value, whole.low), whole.high)
      return inOrder(whole.low, whole.high) && change({ letters: withLetter(letter.name, whole) })
    })
  }
</script>

{#snippet number(label: string, value: string, set: (box: HTMLInputElement) => void)}
  <input aria-label={label} {value} autocomplete="off" onchange={(event) => set(event.currentTarget)} />
{/snippet}

<div class="graph" data-testid="graph-panel">
  <ul>
    {#each graph.lines as line, at (at)}
      <li>
        <button
          class="dot"
          class:off={!line.shown}
          style:background={line.colour}
          aria-pressed={line.shown}
          aria-label={t('graph-show', { formula: line.formula })}
          onclick={() => change({ lines: lineAt(at, { shown: !line.shown }) })}
        ></button>
        <button
          class="formula"
          aria-expanded={opened === at}
          onclick={() => (opened = opened === at ? -1 : at)}><code>{line.formula}</code></button
        >
        <Button
          kind="quiet"
          aria-label={t('graph-take-off', { formula: line.formula })}
          onclick={() => change({ lines: graph.lines.filter((_, n) => n !== at) })}
          ><Icon name="close" size={16} /></Button
        >
      </li>
      {#if opened === at}
        <li class="more">
          <input
            value={line.formula}
            aria-label={t('graph-other-formula')}
            autocapitalize="off"
            autocomplete="off"
            spellcheck="false"
            onchange={(event) => write(at, event.currentTarget)}
          />
          <CurvePanel
            {session}
            {graph}
            line={at}
            onfit={(fit) => change({ lines: lineAt(at, { fit }) })}
            onadd={(formula) => put(formula)}
          />
        </li>
      {/if}
    {/each}
  </ul>
  {#if graph.lines.length < MAX_GRAPH_LINES}
    <form onsubmit={add}>
      <input
        bind:value={typed}
        placeholder="y = x^2"
        aria-label={t('graph-add')}
        autocapitalize="off"
        autocomplete="off"
        spellcheck="false"
      />
      <Button type="submit">{t('graph-add')}</Button>
    </form>
  {/if}
  <p class="also">
    {t('graph-also')}
    {#each ALSO as example (example)}<code>{example}</code>{/each}
  </p>
  {#if problem}<p class="problem" role="status">{problem}</p>{/if}
  <GraphPicture
    graph={moving ?? graph}
    ondrag={(ranges, done) => (done ? letGo({ ranges }) : move({ ranges }))}
    onzoom={zoom}
  />
  {#each graph.letters as letter (letter.name)}
    {@const name = letter.name.replace('\\', '')}
    <div class="letter" role="group" aria-label={name}>
      <span>{name} =</span>
      {@render number(name, valueOf(letter), (box) => setLetter(letter, 'value', box))}
      {@render number(t('graph-letter-from', { name }), typedAs(letter.low), (box) =>
        setLetter(letter, 'low', box),
      )}
      <input
        type="range"
        min={letter.low}
        max={letter.high}
        step={(letter.high - letter.low) / 100}
        value={letter.value}
        aria-label={t('graph-slider', { name })}
        oninput={(event) =>
          move({ letters: withLetter(letter.name, { value: event.currentTarget.valueAsNumber }) })}
        onchange={(event) =>
          letGo({
            letters: withLetter(letter.name, { value: +event.currentTarget.valueAsNumber.toFixed(4) }),
          })}
      />
      {@render number(t('graph-letter-to', { name }), typedAs(letter.high), (box) =>
        setLetter(letter, 'high', box),
      )}
    </div>
  {/each}
  <div class="ends">
    {#each ENDS as [end, word] (end)}
      {@const label = t(end.endsWith('0') ? 'graph-letter-from' : 'graph-letter-to', { name: end[0]! })}
      {@const counted = countedOf(end)}
      <label>
        {t(word)}
        {@render number(label, typedAs(graph.ranges[end], counted), (box) => setEnd(end, box))}
      </label>
    {/each}
  </div>
  <div class="row">
    <Button onclick={() => zoom(0.5)}>{t('graph-nearer')}</Button>
    <Button onclick={() => zoom(2)}>{t('graph-further')}</Button>
  </div>
  <Radios
    look="buttons"
    label={t('graph-counted')}
    options={COUNTED}
    name={(counted) => t(NAMES[counted])}
    taken={(counted) => counted === graph.counted}
    ontake={(counted) => change({ counted })}
  />
</div>

<style>
  .graph {
    display: grid;
    gap: 10px;
    width: min(360px, calc(100vw - 40px));
    max-height: min(66dvh, 560px);
    overflow: auto;
  }
  ul {
    display: grid;
    gap: 4px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  li {
    display: grid;
    grid-template-columns: 40px 1fr auto;
    align-items: center;
    gap: 6px;
  }
  .dot {
    width: 26px;
    height: 26px;
    border: 2px solid var(--field);
    border-radius: 50%;
    outline: 1px solid var(--sand-line);
  }
  .more {
    display: block;
  }
  .formula {
    min-height: 40px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    text-align: left;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .off {
    opacity: 0.25;
  }
  code {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
    font-size: 15px;
  }
  form,
  .row {
    display: flex;
    gap: 6px;
  }
  input:not([type='range']) {
    min-width: 0;
    width: 100%;
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
    font-size: 15px;
  }
  .letter {
    display: grid;
    grid-template-columns: auto 64px 52px 1fr 52px;
    align-items: center;
    gap: 6px;
    min-height: 40px;
  }
  .ends {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 6px;
    font-size: 13px;
    color: var(--muted);
  }
  .also {
    margin: 0;
    color: var(--muted);
    font-size: 13px;
  }
  .also code {
    margin-right: 8px;
    font-size: 13px;
    white-space: normal;
  }
  .problem {
    margin: 0;
    color: var(--clay);
    font-size: 14px;
  }
</style>
