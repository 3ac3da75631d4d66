<script lang="ts">
  import type { Surface } from '../board/surface.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Offer from './Offer.svelte'
  import PageStrip from '../pages/PageStrip.svelte'
  import Selection from './Selection.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import SetAside from './SetAside.svelte'
  import TextSettings from './TextSettings.svelte'
  import ToolSettings from './ToolSettings.svelte'

  interface Props {
    session: Session
    surface: Surface | null
    onkeys: () => void
  }
  let { session, surface, onkeys }: Props = $props()
  const writing = $derived(session.rights.may('add_ink'))
</script>

<section class="sill" aria-label="Sill">
  <div class="left">
    {#if session.trouble}
      <p class="trouble" role="alert">{session.trouble}</p>
    {:else if session.editing}
      <TextSettings {session} />
    {:else if session.selection.ids.size}
      <Selection {session} />
    {:else if session.asYouGo.offer}
      <Offer {session} />
    {:else if session.board.setAside.length}
      <SetAside {session} />
    {:else if session.notice}
      <p class="say" role="status" data-testid="say">{session.notice}</p>
    {:else if session.rights.standing && !writing}
      <p class="say" data-testid="say">
        <Icon name="nopen" size={24} />{session.rights.standing.writing.sentence}
      </p>
    {:else if session.rights.standing}
      <ToolSettings {session} {surface} />
    {:else}
      <p class="say">Fetching the board.</p>
    {/if}
  </div>
  <PageStrip {session} />
  <button class="keys" onclick={onkeys} aria-label="Keys" title="Keys">?</button>
</section>

<style>
  .sill {
    grid-area: sill;
    min-height: 68px;
    background: var(--sand);
    border-top: 4px solid var(--sand-2);
    display: flex;
    align-items: stretch;
    min-width: 0;
  }
  .left {
    flex: 1;
    min-width: 0;
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 6px 12px;
  }
  .say,
  .trouble {
    display: flex;
    align-items: center;
    gap: 14px;
    flex: 1;
    min-width: 0;
  }
  .trouble {
    color: var(--clay);
    font-weight: 600;
  }
  .keys {
    width: 40px;
    border: 0;
    border-left: 1px solid var(--sand-line);
    background: none;
    font-weight: 700;
    color: var(--muted);
  }
  @media (max-width: 900px) {
    .sill {
      flex-wrap: wrap;
    }
    .left {
      flex-basis: 100%;
    }
    .keys {
      display: none;
    }
  }
</style>
