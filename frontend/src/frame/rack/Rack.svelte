<script lang="ts">
  import type { Session } from '../../lesson/session.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import { t } from '../../words/words.svelte'
  import type { Surface } from '../board/surface.svelte'
  import { isUsable, takeTool, TOOLS } from '../tools'
  import AllTools from './AllTools.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  const TOOL_PX = 44
  const PHONE_TOOL_PX = 74
  let room = $state({ width: 0, height: 0 })
  const tools = $derived(session.tools)
  const offered = $derived(TOOLS.filter(({ tutorSide }) => !tutorSide || session.people.tutorSide))
  const onRack = $derived(tools.rack.flatMap((tool) => offered.find((facts) => facts.tool === tool) ?? []))
  const slots = $derived(
    screen.phone
      ? Math.max(2, Math.floor(room.width / PHONE_TOOL_PX)) - 1
      : Math.max(1, Math.floor((room.height + 2) / (TOOL_PX + 2)) - 1),
  )
  const shown = $derived(onRack.slice(0, slots))
  const inHand = $derived(offered.find(({ tool }) => tool === tools.tool)!)
  const elsewhere = $derived(!shown.includes(inHand))
</script>

<nav aria-label={t('tools')}>
  <div class="room" bind:clientWidth={room.width} bind:clientHeight={room.height}>
    {#each shown as facts (facts.tool)}
      <button
        class="tool"
        aria-pressed={tools.tool === facts.tool}
        class:dim={!isUsable(facts, session)}
        title="{t(facts.word)} ({facts.key.toUpperCase()})"
        onclick={() => takeTool(facts, session, surface)}
      >
        <Icon name={facts.icon} /><span>{t(facts.word)}</span>
      </button>
    {/each}
    <div class="all" class:elsewhere>
      <Popover label={t('all-tools')} now={elsewhere ? t(inHand.word) : undefined} bare dark>
        {#snippet face()}
          <span class="tool">
            <Icon name={elsewhere ? inHand.icon : 'more'} size={elsewhere ? 22 : 16} /><span
              >{elsewhere ? t(inHand.word) : t('all-tools')}</span
            >
          </span>
        {/snippet}
        {#snippet children(close)}
          <AllTools
            {session}
            tools={offered}
            onchoose={(facts) => {
              takeTool(facts, session, surface)
              close()
            }}
          />
        {/snippet}
      </Popover>
    </div>
  </div>
</nav>

<style>
  nav {
    grid-area: tools;
    background: var(--frame-2);
    width: 84px;
    padding: 6px;
    min-height: 0;
    display: grid;
  }
  .room {
    display: flex;
    flex-direction: column;
    gap: 2px;
    min-height: 0;
    min-width: 0;
    overflow: hidden;
  }
  .tool {
    flex: none;
    width: 72px;
    min-height: 44px;
    padding: 0;
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
    font-weight: 400;
    line-height: 1.15;
  }
  .tool span {
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .all .tool span {
    white-space: normal;
    line-height: 1.05;
  }
  .tool:hover:not([aria-pressed='true']) {
    background: var(--frame-3);
  }
  .tool[aria-pressed='true'],
  .elsewhere .tool {
    background: var(--on-frame);
    color: var(--on-cream);
    font-weight: 700;
  }
  .dim {
    color: var(--on-frame-dim);
  }
  .all {
    margin-top: auto;
    border-radius: var(--radius);
    outline: 1px dashed var(--frame-3);
    outline-offset: -1px;
  }
  @media (max-width: 600px) {
    nav {
      width: auto;
      padding: 0;
      height: 56px;
    }
    .room {
      flex-direction: row;
      gap: 0;
    }
    .tool,
    .all {
      flex: 1;
      min-width: 0;
      height: 56px;
      margin: 0;
      border-radius: 0;
      outline: 0;
    }
  }
</style>
