<script lang="ts">
  import type { Session } from '../../lesson/session.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Radios from '../../ui/Radios.svelte'
  import { has } from '../../ui/search'
  import { t } from '../../words/words.svelte'
  import { isUsable, RACKS, TOOLS, type ToolFacts } from '../tools'

  interface Props {
    session: Session
    tools: ToolFacts[]
    onchoose: (facts: ToolFacts) => void
  }
  let { session, tools, onchoose }: Props = $props()
  let wanted = $state('')
  let arranging = $state(false)
  const found = $derived(tools.filter(({ word }) => has(t(word), wanted)))
  const onRack = $derived(session.tools.rack)

  function same(rack: readonly string[]): boolean {
    return rack.length === onRack.length && rack.every((tool, i) => tool === onRack[i])
  }

  /** A tool that comes onto the rack takes its usual place. */
  function toggle({ tool }: ToolFacts) {
    const wantedOn = onRack.includes(tool) ? onRack.filter((other) => other !== tool) : [...onRack, tool]
    session.tools.rack = TOOLS.map((facts) => facts.tool).filter((other) => wantedOn.includes(other))
    session.tools.keep()
  }
</script>

<div class="panel">
  <input
    type="search"
    bind:value={wanted}
    placeholder={t('find-tool')}
    aria-label={t('find-tool')}
    onkeydown={(event) => event.key === 'Enter' && found[0] && onchoose(found[0])}
  />
  <div class="tools">
    {#each found as facts (facts.tool)}
      {#if arranging}
        <label>
          <input type="checkbox" checked={onRack.includes(facts.tool)} onchange={() => toggle(facts)} />
          <Icon name={facts.icon} />{t(facts.word)}
        </label>
      {:else}
        <button
          class:dim={!isUsable(facts, session)}
          aria-pressed={session.tools.tool === facts.tool}
          onclick={() => onchoose(facts)}
        >
          <Icon name={facts.icon} /><span>{t(facts.word)}</span><kbd>{facts.key.toUpperCase()}</kbd>
        </button>
      {/if}
    {:else}
      <p>{t('no-such-tool')}</p>
    {/each}
  </div>
  {#if arranging}
    <Radios
      label={t('ready-racks')}
      options={RACKS}
      name={({ word }) => t(word)}
      taken={({ tools }) => same(tools)}
      ontake={({ tools }) => {
        session.tools.rack = tools
        session.tools.keep()
      }}
      look="buttons"
    />
  {/if}
  <button class="arrange" aria-pressed={arranging} onclick={() => (arranging = !arranging)}
    >{arranging ? t('done') : t('choose-rack')}</button
  >
</div>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 400px;
    max-width: 100%;
  }
  input[type='search'] {
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  .tools {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
    gap: 2px;
  }
  button,
  label {
    min-height: 42px;
    padding: 0 8px;
    border: 0;
    border-radius: 3px;
    background: none;
    display: flex;
    align-items: center;
    gap: 9px;
    text-align: start;
    min-width: 0;
  }
  button:hover {
    background: var(--sand);
  }
  button[aria-pressed='true'] {
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  span {
    flex: 1;
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  kbd {
    font: inherit;
    font-size: 13px;
    color: var(--muted);
  }
  .dim {
    color: var(--muted);
  }
  .arrange {
    justify-content: center;
    border: 1px solid var(--sand-line);
    font-weight: 600;
  }
  p {
    color: var(--muted);
    padding: 8px;
  }
</style>
