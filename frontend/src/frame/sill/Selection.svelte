<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import ArrangePanel from './ArrangePanel.svelte'
  import LookPanel from './LookPanel.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import MeasurePanel from './MeasurePanel.svelte'
  import OfferButton from './OfferButton.svelte'
  import TracePanel from './TracePanel.svelte'
  import CheckPanel from './CheckPanel.svelte'
  import Conversion from './Conversion.svelte'
  import KindAction from './KindAction.svelte'
  import { conversionsOf, type Conversion as Kind } from '../../lesson/conversions'
  import { actionsOf, type KindAction as Action } from '../../lesson/kind-actions'
  import { hasLines, workingOf } from '../../lesson/working'
  import InkWells from './InkWells.svelte'
  import { t, told } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items() : [])
  const ink = $derived(items.filter((item) => item.kind === 'ink' && item.nib !== 'highlighter'))
  const converted = $derived(items.filter((item) => 'ink' in item && item.ink.length))
  const mine = $derived(items.every((item) => item.by === session.rights.me))
  const mayConvert = $derived(session.selection.items('convert').length > 0)
  const changeable = $derived(session.board.version >= 0 && session.selection.items('change').length > 0)
  const locked = $derived(items.some((item) => item.locked))
  const card = $derived(items.length === 1 && items[0]!.kind === 'card')
  /** The lines of working that are chosen: typed, set or still ink. */
  const working = $derived(
    workingOf(items, ink.length ? session.selection.readings : null, (id) =>
      [session.pages.now?.entries.get(id) ?? []].flat(),
    ),
  )
  /** A graph and a table together: its numbers become points. */
  const plotted = $derived.by(() => {
    const [one, other, more] = items.toSorted((a, b) => a.kind.localeCompare(b.kind))
    return one?.kind === 'graph' && other?.kind === 'table' && !more ? { graph: one, table: other } : null
  })
  const figuresOnly = $derived(
    items.length > 0 && items.every((item) => item.kind === 'shape' && !item.parts.length),
  )

  const maySet = $derived(session.rights.may('add_formula'))
  const asked = $derived(ink.length > 0 && mayConvert)
  const conversions = $derived.by(() => {
    const { readings, reading } = session.selection
    return asked && readings && !reading
      ? conversionsOf(readings, { maths: maySet, lines: hasLines(working) })
      : []
  })
  const actions = $derived.by(() => {
    const [item, ...more] = items
    if (!item || more.length) return []
    const { rights, cards } = session
    const may = { formula: maySet, text: rights.may('add_text'), leads: cards.leads, change: changeable }
    return actionsOf(item, may)
  })
  const coloured = $derived(
    changeable && items.every(({ kind }) => ['ink', 'shape', 'text', 'formula'].includes(kind)),
  )

  function whatIsSelected(): string {
    const kinds = new Set(items.map((item) => item.kind))
    const [kind] = kinds
    const what = kinds.size > 1 || !kind ? 'thing' : kind
    const count = items.length
    return mine ? t('chosen-yours', { count, what }) : t('chosen', { count, what })
  }
</script>

{#snippet conversion(kind: string)}
  {#if kind === 'checks'}
    {@render checks()}
  {:else if session.selection.readings}
    <Conversion
      {session}
      readings={session.selection.readings}
      kind={kind as Kind}
      eachFirst={conversions[0] === 'asEach'}
    />
  {/if}
{/snippet}
{#snippet ofKind(action: string)}<KindAction {session} item={items[0]!} action={action as Action} />{/snippet}
{#snippet what()}<div class="what">{whatIsSelected()}</div>{/snippet}
{#snippet waiting()}
  <OfferButton name={session.selection.reading ? t('reading') : told(session.selection.readings!.problem!)}
    ><span>{t('ink-stays')}</span></OfferButton
  >
{/snippet}
{#snippet asWritten()}
  <OfferButton name={t('as-written')} data-testid="as-written" onclick={() => session.chosen.asWritten()}
    ><span>{t('as-written-hint')}</span></OfferButton
  >
{/snippet}
{#snippet edit()}<Button onclick={() => session.chosen.editWords()}>{t('edit-words')}</Button>{/snippet}
{#snippet look()}
  <Popover label={t('look')}><LookPanel {session} /></Popover>
{/snippet}
{#snippet inks()}<InkWells {session} />{/snippet}
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
{#snippet checks()}
  <Popover label={t('check-the-working')}>
    {#snippet children(close)}<CheckPanel {session} {working} onclose={close} />{/snippet}
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
{#snippet lock()}<OfferButton name={t('locked')}><span>{t('locked-hint')}</span></OfferButton>{/snippet}
{#snippet remove()}
  <!-- The second of two quick presses was meant for what stood here before. -->
  <Button kind="stop" onclick={({ detail }) => detail < 2 && session.chosen.remove()}>{t('remove')}</Button>
{/snippet}
{#snippet nothing()}
  <Button kind="quiet" aria-label={t('select-nothing')} onclick={() => session.selection.choose([])}
    ><Icon name="close" size={18} /></Button
  >
{/snippet}

<!-- Conversions first, each with its reading. -->
<div class="choices" data-testid="conversions">
  <Fitting
    parts={[
      !screen.phone && { key: 'what', part: what, hint: true },
      asked &&
        Boolean(session.selection.reading || session.selection.readings?.problem) && {
          key: 'waiting',
          part: waiting,
        },
      ...conversions.map((key) => ({ key, part: conversion })),
      converted.length > 0 && mayConvert && { key: 'as-written', part: asWritten },
      session.board.version >= 0 && session.chosen.withWords() && { key: 'edit', part: edit },
      ...actions.map((key) => ({ key, part: ofKind })),
      !asked && hasLines(working) && { key: 'checks', part: checks },
      figuresOnly && changeable && { key: 'measures', part: measures },
      plotted && changeable && { key: 'plots', part: plots },
      changeable && !card && { key: 'look', part: look },
      session.selection.items('remove').length > 0 && { key: 'remove', part: remove },
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
</style>
