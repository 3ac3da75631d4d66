<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import ColourField from '../../ui/ColourField.svelte'
  import Popover from '../../ui/Popover.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { UNIT_FIGURES, type FigureKind } from '../../wire/generated'
  import FigurePicture from './FigurePicture.svelte'
  import { FIGURE_NAMES } from '../../lesson/figure-names'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const shape = $derived(tools.shape)
  const open = $derived(!UNIT_FIGURES[shape.figure].closed)
  const KINDS = (Object.keys(FIGURE_NAMES) as FigureKind[]).filter((kind) => kind !== 'polyline')
  const DASHES = [
    { value: 'solid' as const, label: 'Solid' },
    { value: 'dashed' as const, label: 'Dashed' },
    { value: 'dotted' as const, label: 'Dotted' },
  ]
  const ENDS = [
    { value: 'none' as const, label: 'Plain' },
    { value: 'arrow' as const, label: 'Arrow' },
    { value: 'arrows' as const, label: 'Two arrows' },
  ]

  function set(changes: Partial<typeof shape>) {
    Object.assign(tools.shape, changes)
    tools.keep()
  }
</script>

<Popover label="Figure">
  {#snippet face()}<FigurePicture kind={shape.figure} />{FIGURE_NAMES[shape.figure]}{/snippet}
  {#snippet children(close)}
    <Radios
      label="Figures"
      options={KINDS}
      name={(kind) => FIGURE_NAMES[kind]}
      taken={(kind) => shape.figure === kind}
      ontake={(figure) => {
        set({ figure })
        close()
      }}
      look="pictures"
    >
      {#snippet face(kind)}<FigurePicture {kind} /><span>{FIGURE_NAMES[kind]}</span>{/snippet}
    </Radios>
  {/snippet}
</Popover>
<Popover label="Line">
  {#snippet face()}Line {shape.width}{/snippet}
  {#snippet children()}
    <div class="stack">
      <Slider
        label="Width"
        value={shape.width}
        least={0.5}
        most={40}
        step={0.5}
        onchange={(width) => set({ width })}
      />
      <Choice label="Dashes" options={DASHES} bind:value={() => shape.dash, (dash) => set({ dash })} />
      {#if open}
        <Choice label="Ends" options={ENDS} bind:value={() => shape.ends, (ends) => set({ ends })} />
      {/if}
      {#if shape.figure === 'polygon' || shape.figure === 'star'}
        <Slider
          label="Corners"
          value={shape.sides}
          least={3}
          most={16}
          step={1}
          onchange={(sides) => set({ sides })}
        />
      {/if}
    </div>
  {/snippet}
</Popover>
{#if !open}
  <Popover label="Fill">
    {#snippet face()}<i class="well" style:background={shape.fill || 'none'}></i>Fill{/snippet}
    {#snippet children()}
      <ColourField
        label="Fill"
        value={shape.fill}
        paper="#16222b"
        recent={tools.recent}
        none
        onchoose={(fill) => set({ fill })}
      />
    {/snippet}
  </Popover>
{/if}
<Hint>Drag on the board. Shift keeps sides equal.</Hint>

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
</style>
