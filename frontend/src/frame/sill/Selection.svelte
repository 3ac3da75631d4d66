<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import ArrangePanel from './ArrangePanel.svelte'
  import { nameOf } from '../../lesson/figure-names'
  import LookPanel from './LookPanel.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import ReadingPanel from './ReadingPanel.svelte'
  import TablePanel from './TablePanel.svelte'
  import TracePanel from './TracePanel.svelte'

  let { session }: { session: Session } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items() : [])
  const ink = $derived(items.filter((item) => item.kind === 'ink' && item.nib !== 'highlighter'))
  const converted = $derived(items.filter((item) => 'ink' in item && item.ink.length))
  const mine = $derived(items.every((item) => item.by === session.rights.me))
  const mayConvert = $derived(session.selection.items('convert').length > 0)
  const texts = $derived(session.selection.readings?.readings ?? [])
  const figures = $derived(session.selection.readings?.figures ?? [])
  const changeable = $derived(session.board.version >= 0 && session.selection.items('change').length > 0)
  const locked = $derived(items.some((item) => item.locked))
  const NOUNS = {
    ink: 'stroke',
    text: 'text',
    shape: 'figure',
    note: 'note',
    table: 'table',
    picture: 'picture',
  }
  const table = $derived(items.length === 1 && items[0]!.kind === 'table' ? items[0]! : null)
  const sketch = $derived(session.selection.readings?.sketch ?? [])
  const even = $derived(session.selection.readings?.even ?? [])
  const map = $derived(session.selection.readings?.mind_map)
  const figureFirst = $derived(session.selection.readings?.figure_first ?? false)

  function wordOf(id: string): string {
    const item = session.pages.now?.entries.get(id)?.item
    return item && 'text' in item ? item.text : ''
  }

  function whatIsSelected(): string {
    const count = items.length
    const kinds = new Set(items.map((item) => item.kind))
    const [kind] = kinds
    const noun = kinds.size > 1 || !kind ? 'thing' : NOUNS[kind]
    return `${count} ${noun}${count === 1 ? '' : 's'}${mine ? ' of yours' : ''}`
  }
</script>

<div class="what">{whatIsSelected()}</div>
<div class="choices" data-testid="conversions">
  {#snippet asText()}
    {#if texts[0]}
      <button
        class="choice"
        class:first={!figureFirst && (!map || map.of)}
        data-testid="typeset"
        onclick={() => session.chosen.typeset(texts[0]!.text)}
      >
        <b>Typeset</b><span>“{texts[0].text}”</span>
      </button>
      <Popover label="Words">
        {#snippet face()}Words{/snippet}
        {#snippet children(close)}<ReadingPanel {session} onclose={close} />{/snippet}
      </Popover>
      {#if texts.length > 1}
        <div class="rivals" aria-label="Other readings">
          {#each texts.slice(1, 4) as rival (rival.text)}
            <button data-testid="rival" onclick={() => session.chosen.typeset(rival.text)}
              >“{rival.text}”</button
            >
          {/each}
        </div>
      {/if}
    {/if}
  {/snippet}
  {#snippet asMap()}
    {#if map}
      <button
        class="choice"
        class:first={!map.of && !figureFirst}
        data-testid="mind-map"
        onclick={() => session.chosen.toMindMap(map)}
      >
        {#if map.of}
          <b>Branch</b><span>of “{wordOf(map.of)}”</span>
        {:else}
          <b>Mind map</b><span>{map.labels.length} words</span>
        {/if}
      </button>
    {/if}
  {/snippet}
  {#snippet asFigure()}
    {#if sketch.length > 1}
      <button class="choice" data-testid="true-up-all" onclick={() => session.chosen.trueUpAll(sketch)}>
        <b>True up all</b><span>{sketch.length} figures</span>
      </button>
      {#if even.length}
        <button class="choice" data-testid="true-up-even" onclick={() => session.chosen.trueUpAll(even)}>
          <b>True up all</b><span>made even</span>
        </button>
      {/if}
    {/if}
    {#each figures.slice(0, 3) as figure, i (nameOf(figure))}
      <button
        class="choice"
        class:first={figureFirst && i === 0}
        data-testid="true-up"
        onclick={() => session.chosen.trueUp(figure)}
      >
        <b>True up</b><span>{nameOf(figure)}</span>
      </button>
    {:else}
      {#if session.selection.readings && sketch.length < 2}
        <span class="none"><b>True up</b><span>no figure seen</span></span>
      {/if}
    {/each}
  {/snippet}
  {#if ink.length && mayConvert}
    {#if session.selection.reading}
      <span class="none"><b>Reading</b><span>the ink stays as it is</span></span>
    {:else if session.selection.readings?.problem}
      <span class="none"><b>{session.selection.readings.problem}</b><span>the ink stays as it is</span></span>
    {:else if figureFirst}
      {@render asFigure()}{@render asMap()}{@render asText()}
    {:else}
      {@render asMap()}{@render asText()}{@render asFigure()}
    {/if}
  {/if}
  {#if converted.length && mayConvert}
    <button class="choice" data-testid="as-written" onclick={() => session.chosen.asWritten()}>
      <b>As written</b><span>back to the ink</span>
    </button>
  {/if}
  {#if session.board.version >= 0 && session.chosen.withWords()}
    <Button onclick={() => session.chosen.editWords()}>Edit words</Button>
  {/if}
  {#if changeable}
    <Popover label="Look">
      {#snippet face()}Look{/snippet}
      {#snippet children()}<LookPanel {session} />{/snippet}
    </Popover>
  {/if}
  {#if table && changeable}
    <Popover label="Rows and columns">
      {#snippet face()}Rows and columns{/snippet}
      {#snippet children()}<TablePanel {session} {table} />{/snippet}
    </Popover>
  {/if}
  {#if changeable || session.rights.mayOnOthers('lock')}
    <Popover label="Arrange">
      {#snippet face()}Arrange{/snippet}
      {#snippet children(close)}<ArrangePanel {session} onclose={close} />{/snippet}
    </Popover>
  {/if}
  {#if items.length === 1 && session.people.role !== 'onlooker'}
    <Popover label="Who made this">
      {#snippet face()}Who{/snippet}
      {#snippet children()}<TracePanel {session} id={items[0]!.id} />{/snippet}
    </Popover>
  {/if}
  {#if session.rights.may('add_ink')}
    <Button onclick={() => session.chosen.copy().length && session.say('Copied. Ctrl V pastes it.')}
      >Copy</Button
    >
    <Button onclick={() => session.chosen.duplicate()}>Duplicate</Button>
  {/if}
  {#if locked}<span class="none"><b>Locked</b><span>stays in its place</span></span>{/if}
  {#if session.selection.items('remove').length}
    <Button kind="stop" onclick={() => session.chosen.remove()}>Remove</Button>
  {/if}
  <Button kind="quiet" aria-label="Select nothing" onclick={() => session.selection.choose([])}
    ><Icon name="close" size={18} /></Button
  >
</div>

<style>
  .what {
    width: 74px;
    flex: none;
    color: var(--muted);
    font-size: 13px;
    line-height: 1.25;
  }
  .choices {
    display: flex;
    gap: 6px;
    align-items: center;
    min-width: 0;
    overflow-x: auto;
    flex: 1;
  }
  .choice,
  .none {
    min-height: 46px;
    padding: 4px 13px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    text-align: left;
    display: grid;
    align-content: center;
    line-height: 1.25;
    max-width: 300px;
    flex: none;
    white-space: nowrap;
  }
  .choice:hover {
    border-color: var(--leaf);
  }
  .choice span,
  .none span {
    font-size: 13px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .none {
    border-color: transparent;
    background: none;
    color: var(--muted);
  }
  .first {
    background: var(--leaf);
    border-color: var(--leaf);
    color: #fff;
  }
  .first:hover {
    background: var(--leaf-dark);
  }
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
  .rivals button:hover {
    border-color: var(--leaf);
  }
</style>
