<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import ColourField from '../../ui/ColourField.svelte'
  import Button from '../../ui/Button.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import InkWells from './InkWells.svelte'
  import Popover from '../../ui/Popover.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { UNIT_FIGURES, type FigureKind } from '../../wire/generated'
  import FigurePicture from './FigurePicture.svelte'
  import { FIGURE_NAMES } from '../../lesson/figure-names'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const shape = $derived(tools.shape)
  const cornered = $derived(shape.figure === 'polygon' || shape.figure === 'star')
  const open = $derived(!UNIT_FIGURES[shape.figure].closed)
  const KINDS = (Object.keys(FIGURE_NAMES) as FigureKind[]).filter((kind) => kind !== 'polyline')
  const DASHES = [
    { value: 'solid' as const, label: t('solid') },
    { value: 'dashed' as const, label: t('dashed') },
    { value: 'dotted' as const, label: t('dotted') },
  ]
  const ENDS = [
    { value: 'none' as const, label: t('family-plain') },
    { value: 'arrow' as const, label: t('arrow') },
    { value: 'arrows' as const, label: t('two-arrows') },
  ]

  function set(changes: Partial<typeof shape>) {
    Object.assign(tools.shape, changes)
    tools.keep()
  }
</script>

{#snippet figure()}
  <Popover label={t('figure')} now={t(FIGURE_NAMES[shape.figure])}>
    {#snippet face()}<FigurePicture kind={shape.figure} />{t(FIGURE_NAMES[shape.figure])}{/snippet}
    {#snippet children(close)}
      <Radios
        label={t('figures')}
        options={KINDS}
        name={(kind) => t(FIGURE_NAMES[kind])}
        taken={(kind) => shape.figure === kind}
        ontake={(figure) => {
          set({ figure })
          close()
        }}
        look="pictures"
      >
        {#snippet face(kind)}<FigurePicture {kind} /><span>{t(FIGURE_NAMES[kind])}</span>{/snippet}
      </Radios>
    {/snippet}
  </Popover>
{/snippet}
{#snippet arrow()}
  <Button
    aria-pressed={shape.figure === 'line' && shape.ends === 'arrow'}
    onclick={() => set({ figure: 'line', ends: 'arrow' })}>{t('found-arrow')}</Button
  >
{/snippet}
{#snippet corners()}
  <Slider
    label={t('corners')}
    value={shape.sides}
    least={3}
    most={16}
    step={1}
    onchange={(sides) => set({ sides })}
  />
{/snippet}
{#snippet line()}
  <Popover label={t('line')} now={t('line-width', { width: shape.width })}>
    {#snippet children()}
      <div class="stack">
        <Slider
          label={t('width')}
          value={shape.width}
          least={0.5}
          most={40}
          step={0.5}
          onchange={(width) => set({ width })}
        />
        <Choice label={t('dashes')} options={DASHES} bind:value={() => shape.dash, (dash) => set({ dash })} />
        {#if open}
          <Choice label={t('ends')} options={ENDS} bind:value={() => shape.ends, (ends) => set({ ends })} />
        {/if}
      </div>
    {/snippet}
  </Popover>
{/snippet}
{#snippet fill()}
  <Popover label={t('fill')}>
    {#snippet face()}<i class="well" style:background={shape.fill || 'none'}></i>{t('fill')}{/snippet}
    {#snippet children()}
      <ColourField
        label={t('fill')}
        value={shape.fill}
        paper="#16222b"
        recent={tools.recent}
        none
        onchoose={(fill) => set({ fill })}
      />
    {/snippet}
  </Popover>
{/snippet}
{#snippet inks()}<InkWells {session} />{/snippet}
{#snippet several()}
  <label class="check">
    <input type="checkbox" bind:checked={tools.drawsOn} onchange={() => tools.keep()} />
    {t('draw-several')}
  </label>
{/snippet}
{#snippet how()}<Hint>{t('drag-on-the-board-shift')}</Hint>{/snippet}
<Fitting
  parts={[
    { key: 'figure', part: figure },
    { key: 'arrow', part: arrow },
    cornered && { key: 'corners', part: corners },
    { key: 'inks', part: inks },
    { key: 'line', part: line },
    !open && { key: 'fill', part: fill },
    { key: 'several', part: several },
    { key: 'how', part: how, hint: true },
  ]}
/>

<style>
  .stack {
    display: grid;
    gap: 8px;
    width: 372px;
    max-width: 100%;
  }
  .well {
    width: 16px;
    height: 16px;
    border: 1.5px solid var(--muted);
    border-radius: 3px;
  }
  .check {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
    white-space: nowrap;
  }
</style>
