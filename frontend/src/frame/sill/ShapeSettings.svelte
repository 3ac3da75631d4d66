<script lang="ts">
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
    <div class="figures" role="radiogroup" aria-label="Figures">
      {#each KINDS as kind (kind)}
        <button
          role="radio"
          aria-checked={shape.figure === kind}
          onclick={() => {
            set({ figure: kind })
            close()
          }}><FigurePicture {kind} /><span>{FIGURE_NAMES[kind]}</span></button
        >
      {/each}
    </div>
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
  .figures {
    display: grid;
    grid-template-columns: repeat(6, 92px);
    gap: 4px;
  }
  .figures button {
    min-height: 62px;
    border: 1px solid transparent;
    border-radius: var(--radius);
    background: none;
    display: grid;
    justify-items: center;
    align-content: center;
    gap: 3px;
    font-size: 12px;
    padding: 4px 2px;
  }
  .figures button:hover {
    background: var(--sand);
  }
  .figures button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1px var(--leaf);
  }
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
  @media (max-width: 600px) {
    .figures {
      grid-template-columns: repeat(3, 1fr);
    }
  }
</style>
