<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Choice from '../../ui/Choice.svelte'
  import ColourField from '../../ui/ColourField.svelte'
  import Popover from '../../ui/Popover.svelte'
  import Slider from '../../ui/Slider.svelte'
  import Tiles from '../../ui/Tiles.svelte'
  import PenPicture from './PenPicture.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { NIB_NAMES, PEN_WIDTHS, type ReadyPen } from '../../lesson/tools.svelte'

  let { session }: { session: Session } = $props()
  const tools = $derived(session.tools)
  const pen = $derived(tools.inHand)
  const paper = $derived(
    session.pages.heads.find((head) => head.id === session.pages.id)?.paper.colour ?? '#ffffff',
  )
  const KINDS = Object.entries(NIB_NAMES).map(([value, label]) => ({
    value: value as ReadyPen['nib'],
    label,
  }))
  const ENDS = [
    { value: 'none' as const, label: 'Plain' },
    { value: 'arrow' as const, label: 'Arrow' },
    { value: 'arrows' as const, label: 'Two arrows' },
  ]
  const percent = (value: number) => `${Math.round(value * 100)} %`

  function take(index: number) {
    tools.pen = index
    tools.keep()
  }

  function colour(chosen: string) {
    tools.setPen({ colour: chosen })
    tools.mixed(chosen)
  }
</script>

<Tiles
  label="Pens"
  options={tools.pens}
  taken={tools.pen}
  name={(ready) => `${NIB_NAMES[ready.nib]}, ${ready.width} wide`}
  ontake={take}
  width={74}
>
  {#snippet picture(ready)}<PenPicture pen={ready} />{/snippet}
</Tiles>
<Popover label="Change this pen">
  {#snippet face()}Change{/snippet}
  {#snippet children()}
    <div class="panel">
      <div class="side">
        <Choice label="Kind" options={KINDS} bind:value={() => pen.nib, (nib) => tools.setPen({ nib })} />
        <Slider
          label="Width"
          value={pen.width}
          least={PEN_WIDTHS.least}
          most={PEN_WIDTHS.most}
          step={0.1}
          onchange={(width) => tools.setPen({ width })}
        />
        <Slider
          label="Opacity"
          value={pen.opacity}
          least={0.1}
          most={1}
          step={0.05}
          show={percent}
          onchange={(opacity) => tools.setPen({ opacity })}
        />
        <Slider
          label="Steadiness"
          value={pen.steady}
          least={0}
          most={1}
          step={0.05}
          show={percent}
          onchange={(steady) => tools.setPen({ steady })}
        />
        <Choice label="Ends" options={ENDS} bind:value={() => pen.ends, (ends) => tools.setPen({ ends })} />
        <label class="check">
          <input
            type="checkbox"
            checked={pen.speed}
            onchange={(event) => tools.setPen({ speed: event.currentTarget.checked })}
          />
          With a mouse or finger, haste thins the line
        </label>
      </div>
      <ColourField label="Colour" value={pen.colour} {paper} recent={tools.recent} onchoose={colour} />
    </div>
  {/snippet}
</Popover>
<Hint>Shift draws straight.</Hint>

<style>
  .panel {
    display: flex;
    flex-wrap: wrap;
    gap: 18px 26px;
  }
  .side {
    display: grid;
    gap: 8px;
    width: 372px;
    max-width: 100%;
  }
  .check {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 36px;
    font-size: 14px;
  }
</style>
