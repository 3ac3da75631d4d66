<script lang="ts">
  /** Instruments that are laid down and taken away, the size of the one in hand, and what a square of the page stands for. */
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Hint from '../../ui/Hint.svelte'
  import Popover from '../../ui/Popover.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { FORMS } from '../../board/instruments/forms'
  import { lengthText } from '../../board/instruments/measure'
  import type { Session } from '../../lesson/session.svelte'
  import type { InstrumentKind } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import type { Surface } from '../board/surface.svelte'
  import InkWells from './InkWells.svelte'
  import ScalePanel from './ScalePanel.svelte'

  let { session, surface }: { session: Session; surface: Surface } = $props()
  const { instruments } = $derived(surface)
  const inHand = $derived(instruments.inHand)
  /** Set squares are one instrument of two forms. */
  const squares: InstrumentKind[] = ['square_45', 'square_60']
  const square = $derived(squares.find((kind) => instruments.has(kind)))
  const kinds = $derived<InstrumentKind[]>(['ruler', 'protractor', square ?? 'square_45', 'compasses'])
  const paper = $derived(session.pages.now?.head.paper)

  const tools = $derived(session.tools)

  function setMeasuring(what: typeof tools.measuring) {
    tools.measuring = what
    tools.measuringAt = []
    surface.redrawOver()
  }

  function set(change: () => void) {
    change()
    instruments.changed()
    surface.redrawOver()
  }
</script>

{#snippet lay()}
  <div class="row" role="group" aria-label={t('instruments')}>
    {#each kinds as kind (kind)}
      <Button aria-pressed={instruments.has(kind)} onclick={() => surface.toggle(kind)}
        >{t(FORMS[kind].word)}</Button
      >
    {/each}
  </div>
{/snippet}
{#snippet corners()}
  <Choice
    label={t('instrument-corners')}
    options={squares.map((kind) => ({ value: kind, label: kind === 'square_45' ? '45°' : '60°' }))}
    bind:value={() => inHand!.kind, (kind) => set(() => instruments.change(inHand!, kind))}
  />
{/snippet}
{#snippet measure()}
  <Choice
    label={t('measure')}
    options={[
      { value: '', label: t('measure-nothing') },
      { value: 'distance', label: t('measure-distance') },
      { value: 'angle', label: t('measure-angle') },
    ]}
    bind:value={() => tools.measuring, (what) => setMeasuring(what)}
  />
{/snippet}
{#snippet inks()}<InkWells {session} />{/snippet}
{#snippet size()}
  <Slider
    label={t(inHand!.kind === 'compasses' ? 'instrument-open' : 'size')}
    value={Math.round(inHand!.size)}
    least={inHand!.form.least}
    most={inHand!.form.most}
    step={1}
    show={(value) => lengthText(value, surface.measure)}
    onchange={(value) => set(() => inHand!.resize(value))}
  />
{/snippet}
{#snippet scale()}
  <Popover
    label={t('scale')}
    now={paper?.unit ? t('square-is', { each: paper.each, unit: paper.unit }) : t('scale-paper')}
  >
    {#snippet face()}{paper?.unit
        ? t('square-is', { each: paper.each, unit: paper.unit })
        : t('scale')}{/snippet}
    {#snippet children(close)}<ScalePanel {session} onclose={close} />{/snippet}
  </Popover>
{/snippet}
{#snippet how()}<Hint
    >{t(
      tools.measuring === 'angle'
        ? 'measure-angle-how'
        : tools.measuring
          ? 'measure-distance-how'
          : 'instrument-how',
    )}</Hint
  >{/snippet}

<Fitting
  parts={[
    { key: 'lay', part: lay },
    inHand && squares.includes(inHand.kind) && { key: 'corners', part: corners },
    inHand && { key: 'size', part: size },
    session.rights.may('add_shape') && { key: 'measure', part: measure },
    session.rights.may('change_page') && { key: 'scale', part: scale },
    { key: 'inks', part: inks },
    Boolean(inHand || tools.measuring) && { key: 'how', part: how, hint: true },
  ]}
/>

<style>
  .row {
    display: flex;
    gap: 6px;
  }
</style>
