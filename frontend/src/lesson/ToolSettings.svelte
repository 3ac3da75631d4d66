<script lang="ts">
  import type { Surface } from '../board/surface'
  import Choice from '../ui/Choice.svelte'
  import Button from '../ui/Button.svelte'
  import type { Session } from './session.svelte'
  import { HIGHLIGHT_NIBS, NIBS, TEXT_SIZES } from './tools.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const tools = $derived(session.tools)
</script>

{#if tools.tool === 'pen'}
  <Choice
    label="Pen"
    options={NIBS.map((nib) => ({ value: nib.width, label: nib.name, dot: nib.width }))}
    bind:value={tools.nib}
    onchange={() => tools.keep()}
  />
{:else if tools.tool === 'highlight'}
  <Choice
    label="Highlighter"
    options={HIGHLIGHT_NIBS.map((nib) => ({ value: nib.width, label: nib.name, dot: nib.width * 0.6 }))}
    bind:value={tools.highlightNib}
  />
{:else if tools.tool === 'text'}
  <Choice
    label="Text"
    options={TEXT_SIZES.map((size) => ({ value: size.size, label: size.name }))}
    bind:value={tools.textSize}
  />
  <span class="hint">Press on the board and type.</span>
{:else if tools.tool === 'select'}
  <Choice
    label="Select by"
    options={[
      { value: 'box', label: 'Box' },
      { value: 'lasso', label: 'Lasso' },
    ]}
    bind:value={tools.selectBy}
  />
  <span class="hint">Press a thing, or draw around several. Shift adds.</span>
{:else if tools.tool === 'eraser'}
  <span class="hint">Rub across a stroke to take it off. Undo brings it back.</span>
{:else if tools.tool === 'pointer'}
  <span class="hint">Press and move: everyone sees where, and it fades.</span>
{:else}
  <span class="hint">Drag the paper. Two fingers or Ctrl and the wheel zoom.</span>
  <Button onclick={() => surface?.fitPage()}>Whole page</Button>
{/if}

<style>
  .hint {
    color: var(--muted);
  }
</style>
