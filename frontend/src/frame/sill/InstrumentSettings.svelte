<script lang="ts">
  /** Instruments that are laid down and taken away, the size of the one in hand, and what a square of the page stands for. */
  import Button from '../../ui/Button.svelte'
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
  const kinds = Object.keys(FORMS) as InstrumentKind[]
  const paper = $derived(session.pages.now?.head.paper)

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
{#snippet how()}<Hint>{t('instrument-how')}</Hint>{/snippet}

<Fitting
  parts={[
    { key: 'lay', part: lay },
    inHand && { key: 'size', part: size },
    session.rights.may('change_page') && { key: 'scale', part: scale },
    { key: 'inks', part: inks },
    inHand && { key: 'how', part: how, hint: true },
  ]}
/>

<style>
  .row {
    display: flex;
    gap: 6px;
  }
</style>
