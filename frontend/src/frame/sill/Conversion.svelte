<script lang="ts">
  /** One of the things that chosen ink may become, with how it was read. */
  import type { Conversion } from '../../lesson/conversions'
  import { nameOf } from '../../lesson/figure-names'
  import type { Session } from '../../lesson/session.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { SURE_TEXT, type Pieces, type Readings } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import FormulaPicture from './FormulaPicture.svelte'
  import MathsPanel from './MathsPanel.svelte'
  import OfferButton from './OfferButton.svelte'
  import ReadingPanel from './ReadingPanel.svelte'

  interface Props {
    session: Session
    readings: Readings
    kind: Conversion
    /** Whether what each part of the ink is comes before all else. */
    eachFirst: boolean
  }
  let { session, readings, kind, eachFirst }: Props = $props()

  const texts = $derived(readings.readings)
  /** Right less than nine times of ten: what else it may be is as easy to take. */
  const unsure = $derived(texts.length > 1 && texts[0]!.score < SURE_TEXT)
  const map = $derived(readings.mind_map)
  /** The figure that stands beside writing, when there is but one. */
  const single = $derived(readings.sketch.length === 1 ? readings.sketch[0]!.figure : null)

  function wordOf(id: string): string {
    const item = session.pages.now?.entries.get(id)?.item
    return item && 'text' in item ? item.text : ''
  }

  function whatOf({ texts, formulas, figures }: Pieces): string {
    const among = texts.flat().flatMap(({ parts }) => parts.filter(({ formula }) => formula))
    const maths = formulas.length + among.length
    const counted = [
      texts.length && t('text-count', { count: texts.length }),
      maths && t('formula-count', { count: maths }),
      figures.length && t('figure-count', { count: figures.length }),
    ]
    return counted.filter(Boolean).join(' · ')
  }
</script>

{#if kind === 'asEach' && readings.pieces}
  <OfferButton
    name={t('each-as-it-is')}
    first={eachFirst}
    data-testid="convert-each"
    onclick={() => session.chosen.toEach(readings.pieces!)}
    ><span>{whatOf(readings.pieces)}</span></OfferButton
  >
{:else if kind === 'asText'}
  <OfferButton
    name={unsure ? t('typeset-unsure') : t('typeset')}
    first={!eachFirst &&
      !readings.figure_first &&
      !readings.maths_first &&
      !unsure &&
      (!map || map.of !== '')}
    {unsure}
    data-testid="typeset"
    onclick={() => session.chosen.typeset(texts[0]!.text)}
    ><span>{t('quoted', { words: texts[0]!.text })}</span></OfferButton
  >
{:else if kind === 'words'}
  <Popover label={t('words')}>
    {#snippet children(close)}<ReadingPanel {session} onclose={close} />{/snippet}
  </Popover>
{:else if kind === 'rivals'}
  <div class="rivals" class:unsure role="group" aria-label={t('other-readings')}>
    {#each texts.slice(1, 4) as rival (rival.text)}
      <button data-testid="rival" onclick={() => session.chosen.typeset(rival.text)}
        >{t('quoted', { words: rival.text })}</button
      >
    {/each}
  </div>
{:else if kind === 'asMaths'}
  {@const [best] = readings.formulas}
  <OfferButton
    name={t('set-as-maths')}
    first={!eachFirst && readings.maths_first}
    data-testid="set-maths"
    aria-label="{t('set-as-maths')}: {session.formulas.inWords(best!.formula)}"
    onclick={() => session.chosen.setMaths(best!)}
    ><FormulaPicture look={best!} px={16} most={26} /></OfferButton
  >
{:else if kind === 'otherMaths'}
  <Popover label={t('other-formulas')} now={t('other-formulas-short')}>
    {#snippet children(close)}<MathsPanel {session} onclose={close} />{/snippet}
  </Popover>
{:else if kind === 'asMap' && map}
  <OfferButton
    name={map.of ? t('branch') : t('mind-map')}
    first={!eachFirst && !map.of && !readings.figure_first}
    data-testid="mind-map"
    onclick={() => session.chosen.toMindMap(map)}
    ><span
      >{map.of
        ? t('branch-of', { words: wordOf(map.of) })
        : t('word-count', { count: map.labels.length })}</span
    ></OfferButton
  >
{:else if kind === 'asSketch'}
  <OfferButton
    name={t(single ? 'true-up' : 'true-up-all')}
    data-testid="true-up-all"
    onclick={() => session.chosen.trueUpAll(readings.sketch)}
    ><span>{single ? nameOf(single) : t('figure-count', { count: readings.sketch.length })}</span
    ></OfferButton
  >
  {#if readings.even.length}
    <OfferButton
      name={t(single ? 'true-up' : 'true-up-all')}
      data-testid="true-up-even"
      onclick={() => session.chosen.trueUpAll(readings.even)}><span>{t('made-even')}</span></OfferButton
    >
  {/if}
{:else if kind === 'asFigure'}
  {#each readings.figures.slice(0, 3) as figure, i (nameOf(figure))}
    <OfferButton
      name={t('true-up')}
      first={!eachFirst && readings.figure_first && i === 0}
      data-testid="true-up"
      onclick={() => session.chosen.trueUp(figure)}><span>{nameOf(figure)}</span></OfferButton
    >
  {:else}
    <OfferButton name={t('true-up')}><span>{t('no-figure-seen')}</span></OfferButton>
  {/each}
{/if}

<style>
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
  .rivals button:hover {
    border-color: var(--leaf);
  }
</style>
