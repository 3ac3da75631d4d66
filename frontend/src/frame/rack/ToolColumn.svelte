<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import type { Surface } from '../board/surface.svelte'
  import Icon from '../../ui/Icon.svelte'
  import type { IconName } from '../../ui/icons'
  import type { Action } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { HIGHLIGHTS, INKS, type Tool } from '../../lesson/tools.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const tools = $derived(session.tools)

  const TOOLS: { tool: Tool; label: string; icon: IconName; needs: Action | null }[] = [
    { tool: 'select', label: 'Select', icon: 'select', needs: 'change' },
    { tool: 'pen', label: 'Pen', icon: 'pen', needs: 'add_ink' },
    { tool: 'highlight', label: 'Highlight', icon: 'highlight', needs: 'add_ink' },
    { tool: 'eraser', label: 'Eraser', icon: 'eraser', needs: 'remove' },
    { tool: 'ruler', label: 'Ruler', icon: 'ruler', needs: 'add_ink' },
    { tool: 'shape', label: 'Shape', icon: 'shape', needs: 'add_shape' },
    { tool: 'text', label: 'Text', icon: 'text', needs: 'add_text' },
    { tool: 'note', label: 'Note', icon: 'note', needs: 'add_note' },
    { tool: 'table', label: 'Table', icon: 'table', needs: 'add_text' },
    { tool: 'stamp', label: 'Stamp', icon: 'stamp', needs: 'add_shape' },
    { tool: 'bring', label: 'Bring in', icon: 'bring', needs: 'add_picture' },
    { tool: 'bay', label: 'Bay', icon: 'bay', needs: 'set_pens' },
    { tool: 'pointer', label: 'Pointer', icon: 'pointer', needs: 'point' },
    { tool: 'hand', label: 'Move', icon: 'hand', needs: null },
  ]
  const writing = $derived(session.rights.may('add_ink'))
  const highlighting = $derived(tools.tool === 'highlight')
  const wells = $derived(highlighting ? HIGHLIGHTS : INKS)
  const chosen = $derived(highlighting ? tools.highlight : tools.ink)

  function choose(tool: Tool, usable: boolean) {
    if (!usable) session.say(session.rights.standing?.writing.sentence ?? '')
    // The ruler is laid down with its tool, and taken away with it.
    if (tool === 'ruler' && (tools.tool === 'ruler' || !surface?.ruler.on)) surface?.toggleRuler()
    session.take(tool)
  }

  function dip(colour: string) {
    if (highlighting) tools.highlight = colour
    else tools.setPen({ colour })
    tools.keep()
    if (!['highlight', 'text', 'shape'].includes(tools.tool)) session.take('pen')
  }
</script>

<nav aria-label="Tools">
  <div class="tools">
    {#each TOOLS.filter(({ tool }) => tool !== 'bay' || session.people.tutorSide) as { tool, label, icon, needs } (tool)}
      {@const usable = needs === null || session.rights.may(needs)}
      <button
        class="tool"
        aria-pressed={tools.tool === tool}
        class:dim={!usable}
        onclick={() => choose(tool, usable)}
      >
        <Icon name={icon} /><span>{label}</span>
      </button>
    {/each}
  </div>
  <div class="back">
    <button class="tool" disabled={!session.board.undos} onclick={() => session.undo()}
      ><Icon name="undo" /><span>Undo</span></button
    >
    <button class="tool" disabled={!session.board.redos} onclick={() => session.redo()}
      ><Icon name="redo" /><span>Redo</span></button
    >
  </div>
  <div class="wells" class:dim={!writing}>
    <Radios
      label={highlighting ? 'Highlighter colour' : 'Ink'}
      options={wells}
      name={({ name }) => name}
      colour={({ colour }) => colour}
      taken={({ colour }) => chosen === colour}
      ontake={({ colour }) => dip(colour)}
      look="inks"
    />
  </div>
</nav>

<style>
  nav {
    grid-area: tools;
    background: var(--frame-2);
    display: flex;
    flex-direction: column;
    padding: 8px;
    gap: 6px;
    min-height: 0;
    overflow-y: auto;
  }
  .tools {
    display: grid;
    gap: 2px;
  }
  .tool {
    width: 100%;
    min-height: clamp(33px, 4.4dvh, 40px);
    border: 0;
    border-radius: var(--radius);
    background: none;
    color: var(--on-frame);
    display: flex;
    flex-direction: column;
    align-items: center;
    justify-content: center;
    gap: 1px;
    font-size: 12px;
    line-height: 1.15;
  }
  .tool:hover:not(:disabled, [aria-pressed='true']) {
    background: var(--frame-3);
  }
  .tool[aria-pressed='true'] {
    background: #f6efe0;
    color: var(--ink);
    font-weight: 700;
  }
  .dim,
  .tool:disabled {
    opacity: 0.42;
  }
  .back {
    margin-top: auto;
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px;
  }
  .wells {
    display: flex;
    flex-wrap: wrap;
    gap: 0;
    border-top: 1px solid var(--frame-3);
    padding-top: 8px;
    justify-content: center;
  }
  @media (max-width: 900px) {
    .back {
      grid-template-columns: 1fr;
    }
  }
  @media (max-width: 600px) {
    nav {
      flex-direction: row;
      overflow-x: auto;
      align-items: center;
    }
    .tools,
    .back,
    .wells {
      display: flex;
      flex-wrap: nowrap;
      border: 0;
      padding: 0;
      margin: 0;
    }
    .tool {
      min-width: 58px;
    }
  }
</style>
