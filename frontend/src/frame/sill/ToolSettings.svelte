<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Hint from '../../ui/Hint.svelte'
  import type { Surface } from '../board/surface.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Button from '../../ui/Button.svelte'
  import Slider from '../../ui/Slider.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import Popover from '../../ui/Popover.svelte'
  import BaySettings from './BaySettings.svelte'
  import BringIn from '../rack/BringIn.svelte'
  import ChoosePanel from './ChoosePanel.svelte'
  import PenSettings from './PenSettings.svelte'
  import ShapeSettings from './ShapeSettings.svelte'
  import StampSettings from './StampSettings.svelte'
  import TextSettings from './TextSettings.svelte'
  import { HIGHLIGHT_NIBS, NOTE_COLOURS } from '../../lesson/tools.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const tools = $derived(session.tools)
</script>

{#if tools.tool === 'pen'}
  <PenSettings {session} />
{:else if tools.tool === 'highlight'}
  <Choice
    label="Highlighter"
    options={HIGHLIGHT_NIBS.map((nib) => ({ value: nib.width, label: nib.name, dot: nib.width * 0.6 }))}
    bind:value={tools.highlightNib}
    onchange={() => tools.keep()}
  />
  <label class="check">
    <input type="checkbox" bind:checked={tools.straightHighlight} onchange={() => tools.keep()} /> Keep level
  </label>
{:else if tools.tool === 'shape'}
  <ShapeSettings {session} />
{:else if tools.tool === 'text'}
  <TextSettings {session} />
{:else if tools.tool === 'note'}
  <Radios
    label="Note colour"
    options={NOTE_COLOURS}
    name={({ name }) => name}
    colour={({ colour }) => colour}
    taken={({ colour }) => tools.noteColour === colour}
    ontake={({ colour }) => {
      tools.noteColour = colour
      tools.keep()
    }}
    look="wells"
  />
  <Hint>Press on the board and type. Your name goes on it.</Hint>
{:else if tools.tool === 'table'}
  <Hint>Press where it is to stand. Rows pasted from a spreadsheet become a table too.</Hint>
{:else if tools.tool === 'bring'}
  <BringIn {session} {surface} />
{:else if tools.tool === 'bay'}
  <BaySettings {session} {surface} />
{:else if tools.tool === 'stamp'}
  <StampSettings {session} />
{:else if tools.tool === 'select'}
  <Choice
    label="Select by"
    options={[
      { value: 'box', label: 'Box' },
      { value: 'lasso', label: 'Lasso' },
    ]}
    bind:value={tools.selectBy}
  />
  <Popover label="Choose">
    {#snippet face()}Choose{/snippet}
    {#snippet children(close)}<ChoosePanel {session} onclose={close} />{/snippet}
  </Popover>
  <label class="check">
    <input type="checkbox" bind:checked={tools.snap} onchange={() => tools.keep()} /> Catch at edges and lines
  </label>
  <Hint>Shift adds.</Hint>
{:else if tools.tool === 'eraser'}
  <Choice
    label="Eraser takes"
    options={[
      { value: 'stroke', label: 'Whole strokes' },
      { value: 'rub', label: 'What it touches' },
    ]}
    bind:value={tools.eraseBy}
    onchange={() => tools.keep()}
  />
  <Hint>It grows with speed.</Hint>
{:else if tools.tool === 'ruler'}
  <Button onclick={() => surface?.toggleRuler()}
    >{surface?.ruler.on ? 'Take the ruler away' : 'Lay the ruler down'}</Button
  >
  {#if surface?.ruler.on}
    <Slider
      label="Length"
      value={surface.ruler.length}
      least={160}
      most={1600}
      step={10}
      onchange={(length) => {
        surface!.ruler.length = length
        surface!.redrawOver()
      }}
    />
    <Hint>Turn it by an end, the wheel or the arrow keys.</Hint>
  {/if}
{:else if tools.tool === 'pointer'}
  <Choice
    label="Point with"
    options={[
      { value: 'light', label: 'A light that fades' },
      { value: 'arrow', label: 'An arrow that stays' },
    ]}
    bind:value={tools.pointWith}
    onchange={() => tools.keep()}
  />
  {#if surface?.traces.hasArrows}
    <Button onclick={() => session.send({ type: 'clear_pointers', everyone: false })}>Take mine away</Button>
    {#if session.people.tutorSide}
      <Button onclick={() => session.send({ type: 'clear_pointers', everyone: true })}>Clear pointers</Button>
    {/if}
  {/if}
{:else}
  <Hint>Drag the paper. Two fingers or Ctrl and the wheel zoom.</Hint>
  <Button onclick={() => surface?.fitPage()}>Whole page</Button>
{/if}

<style>
  .check {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
    white-space: nowrap;
  }
</style>
