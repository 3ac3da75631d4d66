<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import ArrangePanel from './ArrangePanel.svelte'
  import { nameOf } from '../../lesson/figure-names'
  import LookPanel from './LookPanel.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import MeasurePanel from './MeasurePanel.svelte'
  import PicturePanel from './PicturePanel.svelte'
  import ReadingPanel from './ReadingPanel.svelte'
  import TablePanel from './TablePanel.svelte'
  import TracePanel from './TracePanel.svelte'
  import FormulaPicture from './FormulaPicture.svelte'
  import ChartForms from './ChartForms.svelte'
  import ChartPanel from './ChartPanel.svelte'
  import GraphPanel from './GraphPanel.svelte'
  import WorkPanel from './WorkPanel.svelte'
  import CheckPanel from './CheckPanel.svelte'
  import MathsPanel from './MathsPanel.svelte'
  import { conversionsOf } from '../../lesson/conversions'
  import { hasLines, workingOf, writtenWorking } from '../../lesson/working'
  import InkWells from './InkWells.svelte'
  import { newId } from '../../wire/codec'
  import { SURE_TEXT } from '../../wire/generated'
  import { t, told } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items() : [])
  const ink = $derived(items.filter((item) => item.kind === 'ink' && item.nib !== 'highlighter'))
  const converted = $derived(items.filter((item) => 'ink' in item && item.ink.length))
  const mine = $derived(items.every((item) => item.by === session.rights.me))
  const mayConvert = $derived(session.selection.items('convert').length > 0)
  const texts = $derived(session.selection.readings?.readings ?? [])
  /** Right less than nine times of ten: what else it may be is as easy to take. */
  const unsure = $derived(texts.length > 1 && texts[0]!.score < SURE_TEXT)
  const figures = $derived(session.selection.readings?.figures ?? [])
  const changeable = $derived(session.board.version >= 0 && session.selection.items('change').length > 0)
  const locked = $derived(items.some((item) => item.locked))
  const table = $derived(items.length === 1 && items[0]!.kind === 'table' ? items[0]! : null)
  const picture = $derived(items.length === 1 && items[0]!.kind === 'picture' ? items[0]! : null)
  const formula = $derived(items.length === 1 && items[0]!.kind === 'formula' ? items[0]! : null)
  const formulas = $derived(items.filter((item) => item.kind === 'formula'))
  /** The lines of working that are chosen, set or still ink; none when something else is among it. */
  const working = $derived.by(() => {
    const { readings } = session.selection
    const [read] = readings?.maths_first ? readings.formulas : []
    if (formulas.length + (read ? ink.length : 0) < items.length) return []
    const entries = session.pages.now?.entries
    const written = read && ink.length ? writtenWorking(read, (id) => [entries?.get(id) ?? []].flat()) : null
    return [...formulas.map(workingOf), ...(written ? [written] : [])].toSorted((a, b) => a.top - b.top)
  })
  const graph = $derived(items.length === 1 && items[0]!.kind === 'graph' ? items[0]! : null)
  /** A graph and a table together: its numbers become points. */
  const plotted = $derived.by(() => {
    const [one, other, more] = items.toSorted((a, b) => a.kind.localeCompare(b.kind))
    return one?.kind === 'graph' && other?.kind === 'table' && !more ? { graph: one, table: other } : null
  })
  const unequal = $derived(formula !== null && /[<>≤≥]|\\[lg]eq?(?![a-z])/.test(formula.formula))
  const figuresOnly = $derived(
    items.length > 0 && items.every((item) => item.kind === 'shape' && !item.parts.length),
  )
  const chart = $derived(items.length === 1 && items[0]!.kind === 'chart' ? items[0]! : null)
  const card = $derived(items.length === 1 && items[0]!.kind === 'card' ? items[0]! : null)
  const sketch = $derived(session.selection.readings?.sketch ?? [])
  const even = $derived(session.selection.readings?.even ?? [])
  const map = $derived(session.selection.readings?.mind_map)
  const figureFirst = $derived(session.selection.readings?.figure_first ?? false)

  const maySet = $derived(session.rights.may('add_formula'))
  const asked = $derived(ink.length > 0 && mayConvert)
  const conversions = $derived.by(() => {
    const { readings, reading } = session.selection
    return asked && readings && !reading
      ? conversionsOf(readings, { maths: maySet, lines: hasLines(working) })
      : []
  })
  const coloured = $derived(
    changeable && items.every(({ kind }) => ['ink', 'shape', 'text', 'formula'].includes(kind)),
  )

  function wordOf(id: string): string {
    const item = session.pages.now?.entries.get(id)?.item
    return item && 'text' in item ? item.text : ''
  }

  /** Below a formula, where its graph is put. */
  function besideFormula(): [number, number] {
    const { x, y, width, height, size } = formula!
    return [x + Math.max((width * size) / 2, 260), y + height * size + 230]
  }

  function whatIsSelected(): string {
    const kinds = new Set(items.map((item) => item.kind))
    const [kind] = kinds
    const what = kinds.size > 1 || !kind ? 'thing' : kind
    const count = items.length
    return mine ? t('chosen-yours', { count, what }) : t('chosen', { count, what })
  }
</script>

{#snippet what()}<div class="what">{whatIsSelected()}</div>{/snippet}
{#snippet asText()}
  <button
    class="choice"
    class:first={!figureFirst && !unsure && (!map || map.of)}
    class:unsure
    data-testid="typeset"
    onclick={() => session.chosen.typeset(texts[0]!.text)}
  >
    <b>{unsure ? t('typeset-unsure') : t('typeset')}</b><span>{t('quoted', { words: texts[0]!.text })}</span>
  </button>
{/snippet}
{#snippet words()}
  <Popover label={t('words')}>
    {#snippet children(close)}<ReadingPanel {session} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet rivals()}
  <div class="rivals" class:unsure role="group" aria-label={t('other-readings')}>
    {#each texts.slice(1, 4) as rival (rival.text)}
      <button data-testid="rival" onclick={() => session.chosen.typeset(rival.text)}
        >{t('quoted', { words: rival.text })}</button
      >
    {/each}
  </div>
{/snippet}
{#snippet asMaths()}
  {@const [best] = session.selection.readings!.formulas}
  <button
    class="choice"
    class:first={session.selection.readings!.maths_first}
    data-testid="set-maths"
    aria-label="{t('set-as-maths')}: {session.formulas.inWords(best!.formula)}"
    onclick={() => session.chosen.setMaths(best!)}
  >
    <b>{t('set-as-maths')}</b><FormulaPicture look={best!} px={16} most={26} />
  </button>
{/snippet}
{#snippet otherMaths()}
  <Popover label={t('other-formulas')} now={t('other-formulas-short')}>
    {#snippet children(close)}<MathsPanel {session} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet asMap()}
  <button
    class="choice"
    class:first={!map!.of && !figureFirst}
    data-testid="mind-map"
    onclick={() => session.chosen.toMindMap(map!)}
  >
    {#if map!.of}
      <b>{t('branch')}</b><span>{t('branch-of', { words: wordOf(map!.of) })}</span>
    {:else}
      <b>{t('mind-map')}</b><span>{t('word-count', { count: map!.labels.length })}</span>
    {/if}
  </button>
{/snippet}
{#snippet asSketch()}
  <button class="choice" data-testid="true-up-all" onclick={() => session.chosen.trueUpAll(sketch)}>
    <b>{t('true-up-all')}</b><span>{t('figure-count', { count: sketch.length })}</span>
  </button>
  {#if even.length}
    <button class="choice" data-testid="true-up-even" onclick={() => session.chosen.trueUpAll(even)}>
      <b>{t('true-up-all')}</b><span>{t('made-even')}</span>
    </button>
  {/if}
{/snippet}
{#snippet asFigure()}
  {#each figures.slice(0, 3) as figure, i (nameOf(figure))}
    <button
      class="choice"
      class:first={figureFirst && i === 0}
      data-testid="true-up"
      onclick={() => session.chosen.trueUp(figure)}
    >
      <b>{t('true-up')}</b><span>{nameOf(figure)}</span>
    </button>
  {:else}
    <span class="none"><b>{t('true-up')}</b><span>{t('no-figure-seen')}</span></span>
  {/each}
{/snippet}
{#snippet waiting()}
  <span class="none"
    ><b>{session.selection.reading ? t('reading') : told(session.selection.readings!.problem!)}</b><span
      >{t('ink-stays')}</span
    ></span
  >
{/snippet}
{#snippet asWritten()}
  <button class="choice" data-testid="as-written" onclick={() => session.chosen.asWritten()}>
    <b>{t('as-written')}</b><span>{t('as-written-hint')}</span>
  </button>
{/snippet}
{#snippet edit()}<Button onclick={() => session.chosen.editWords()}>{t('edit-words')}</Button>{/snippet}
{#snippet look()}
  <Popover label={t('look')}><LookPanel {session} /></Popover>
{/snippet}
{#snippet inks()}<InkWells {session} />{/snippet}
{#snippet rows()}
  <Popover label={t('rows-and-columns')}><TablePanel {session} table={table!} /></Popover>
{/snippet}
{#snippet opens()}
  <Button onclick={() => session.cards.open(card!)}>{t(card!.address ? 'card-open' : 'card-listen')}</Button>
{/snippet}
{#snippet plays()}
  <Button kind="go" onclick={() => session.cards.lead({ page: session.pages.id, item: card!.id }, true, 0)}
    >{t('card-play-all')}</Button
  >
{/snippet}
{#snippet graphs()}
  <Button onclick={() => session.graphs.put([formula!.formula], besideFormula())}>{t('graph-draw')}</Button>
{/snippet}
{#snippet regraph()}
  <Popover label={t('graph-panel')}><GraphPanel {session} graph={graph!} /></Popover>
{/snippet}
{#snippet plots()}
  <Button onclick={() => session.graphs.takeTable(plotted!.graph, plotted!.table)}
    >{t('graph-from-table')}</Button
  >
{/snippet}
{#snippet measures()}
  <Popover label={t('measure')}>
    {#snippet children(close)}<MeasurePanel {session} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet throws()}
  <div class="rivals" role="group" aria-label={t('chance-throw')}>
    {#each [1, 10, 100] as times (times)}
      <Button
        kind={times === 1 ? 'go' : 'plain'}
        onclick={() => session.do({ step: 'throw', page: session.pages.id, id: table!.id, times })}
        >{times === 1 ? t('chance-throw') : t('chance-times', { times })}</Button
      >
    {/each}
  </div>
{/snippet}
{#snippet charts()}
  <Popover label={t('chart')}>
    {#snippet children(close)}
      <ChartForms
        label={t('chart-forms')}
        ontake={(form) => {
          session.charts.put(table!, form)
          close()
        }}
      />
    {/snippet}
  </Popover>
{/snippet}
{#snippet rechart()}
  <Popover label={t('chart-panel')}><ChartPanel {session} chart={chart!} /></Popover>
{/snippet}
{#snippet lined()}
  <Button
    onclick={() =>
      session.do({ step: 'put_number_line', page: session.pages.id, formula: formula!.id, id: newId() })}
    >{t('number-line-put')}</Button
  >
{/snippet}
{#snippet works()}
  <Popover label={t('work-it-out')}>
    {#snippet children(close)}<WorkPanel {session} formula={formula!} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet checks()}
  <Popover label={t('check-the-working')}>
    {#snippet children(close)}<CheckPanel {session} {working} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet reformula()}<Button
    onclick={() => (session.formulas.typing = { item: formula, at: [formula!.x, formula!.y] })}
    >{t('formula-change')}</Button
  >{/snippet}
{#snippet recard()}<Button onclick={() => (session.cards.writing = card)}
    >{t(card!.file ? 'card-title' : 'card-change')}</Button
  >{/snippet}
{#snippet shows()}
  <Popover label={t('picture-panel')}>
    {#snippet children(close)}<PicturePanel {session} picture={picture!} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet arrange()}
  <Popover label={t('arrange')}>
    {#snippet children(close)}<ArrangePanel {session} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet who()}
  <Popover label={t('who-made-this')} now={t('who')}><TracePanel {session} id={items[0]!.id} /></Popover>
{/snippet}
{#snippet copy()}
  <Button onclick={() => session.chosen.copy().length && session.say(t('copied-to-paste'))}
    >{t('copy')}</Button
  >
{/snippet}
{#snippet duplicate()}<Button onclick={() => session.chosen.duplicate()}>{t('duplicate')}</Button>{/snippet}
{#snippet lock()}<span class="none"><b>{t('locked')}</b><span>{t('locked-hint')}</span></span>{/snippet}
{#snippet remove()}<Button kind="stop" onclick={() => session.chosen.remove()}>{t('remove')}</Button
  >{/snippet}
{#snippet nothing()}
  <Button kind="quiet" aria-label={t('select-nothing')} onclick={() => session.selection.choose([])}
    ><Icon name="close" size={18} /></Button
  >
{/snippet}

<!-- Conversions first, each with its reading. -->
<div class="choices" data-testid="conversions">
  <Fitting
    parts={[
      { key: 'what', part: what, hint: true },
      asked &&
        Boolean(session.selection.reading || session.selection.readings?.problem) && {
          key: 'waiting',
          part: waiting,
        },
      ...conversions.map((kind) => ({
        key: kind,
        part: { asText, words, rivals, asMap, asSketch, asFigure, asMaths, otherMaths, checks }[kind],
      })),
      converted.length > 0 && mayConvert && { key: 'as-written', part: asWritten },
      session.board.version >= 0 && session.chosen.withWords() && { key: 'edit', part: edit },
      Boolean(card?.file) && session.cards.leads && { key: 'plays', part: plays },
      card && { key: 'opens', part: opens },
      card && changeable && { key: 'recard', part: recard },
      formula && session.rights.may('add_formula') && { key: 'works', part: works },
      !asked && hasLines(working) && { key: 'checks', part: checks },
      formula && session.rights.may('add_formula') && { key: 'graphs', part: graphs },
      figuresOnly && changeable && { key: 'measures', part: measures },
      plotted && changeable && { key: 'plots', part: plots },
      graph && changeable && { key: 'regraph', part: regraph },
      chart && changeable && { key: 'rechart', part: rechart },
      table?.chance && changeable && { key: 'throws', part: throws },
      table && session.rights.may('add_text') && { key: 'charts', part: charts },
      unequal && session.rights.may('add_formula') && { key: 'lined', part: lined },
      formula && changeable && { key: 'reformula', part: reformula },
      changeable && !card && { key: 'look', part: look },
      session.selection.items('remove').length > 0 && { key: 'remove', part: remove },
      picture && changeable && { key: 'shows', part: shows },
      table && changeable && { key: 'rows', part: rows },
      (changeable || session.rights.mayOnOthers('lock')) && { key: 'arrange', part: arrange },
      session.rights.may('add_ink') && { key: 'copy', part: copy },
      session.rights.may('add_ink') && { key: 'duplicate', part: duplicate },
      coloured && { key: 'inks', part: inks },
      locked && { key: 'locked', part: lock },
      items.length === 1 && session.people.role !== 'onlooker' && { key: 'who', part: who },
      { key: 'nothing', part: nothing },
    ]}
  />
</div>

<style>
  .what {
    max-width: 96px;
    color: var(--muted);
    font-size: 13px;
    line-height: 1.25;
  }
  .choices {
    display: flex;
    min-width: 0;
    flex: 1;
  }
  .choice,
  .none {
    min-height: 46px;
    padding: 4px 13px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    text-align: left;
    display: grid;
    align-content: center;
    line-height: 1.25;
    max-width: 300px;
    flex: none;
    white-space: nowrap;
  }
  .choice:hover {
    border-color: var(--leaf);
  }
  .choice span,
  .none span {
    font-size: 13px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .none {
    border-color: transparent;
    background: none;
    color: var(--muted);
  }
  .first {
    background: var(--leaf);
    border-color: var(--leaf);
    color: #fff;
  }
  .first:hover {
    background: var(--leaf-dark);
  }
  .rivals {
    display: flex;
    flex: none;
    gap: 4px;
  }
  .rivals button {
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    font-size: 13px;
    max-width: 150px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .rivals.unsure button {
    max-width: 240px;
    border-color: var(--muted);
    font-size: 16px;
  }
  .choice.unsure {
    border-style: dashed;
  }
  .rivals button:hover {
    border-color: var(--leaf);
  }
</style>
