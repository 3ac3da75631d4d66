<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Icon from '../../ui/Icon.svelte'
  import { screen } from '../../ui/screen.svelte'
  import ChatDrawer from '../../people/ChatDrawer.svelte'
  import HandButton from '../../people/HandButton.svelte'
  import Signs from '../../people/Signs.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'
  import type { Surface } from '../board/surface.svelte'
  import PageSwitch from '../pages/PageSwitch.svelte'
  import Offer from './Offer.svelte'
  import Selection from './Selection.svelte'
  import TextSettings from './TextSettings.svelte'
  import ToolSettings from './ToolSettings.svelte'
  import Zoom from './Zoom.svelte'

  interface Props {
    session: Session
    surface: Surface | null
    /** No column of people stands beside the board. */
    alone: boolean
  }
  let { session, surface, alone }: Props = $props()
  const onlooker = $derived(session.people.role === 'onlooker')
  const making = $derived(session.rights.makes)
  const student = $derived(session.people.role === 'student')
  /** Whoever writes in the chat when a pen comes goes on until it is closed. */
  let talking = $state(false)
  $effect(() => {
    if (!alone) talking = false
  })
  /** What is chosen is on the page, and not still being made. */
  const there = $derived(session.board.version >= 0 && session.selection.items().length > 0)
</script>

<section class="sill" aria-label={t('sill')}>
  {#if !onlooker && making}
    <div class="back">
      <button
        disabled={!session.board.mayUndo}
        aria-label={t('undo')}
        title={t('undo')}
        onclick={() => session.undo()}><Icon name="undo" /></button
      >
      <button
        disabled={!session.board.redos}
        aria-label={t('redo')}
        title={t('redo')}
        onclick={() => session.redo()}><Icon name="redo" /></button
      >
    </div>
  {/if}
  <div class="middle">
    {#if student && (!making || talking)}
      {#snippet hand()}<HandButton {session} />{/snippet}
      {#snippet chat()}<ChatDrawer {session} bind:open={talking} />{/snippet}
      {#snippet signs()}<Signs {session} />{/snippet}
      <Fitting
        parts={[
          { key: 'hand', part: hand },
          alone && { key: 'chat', part: chat },
          { key: 'signs', part: signs },
        ]}
      />
    {:else if session.editing}
      <TextSettings {session} />
    {:else if session.selection.ids.size && !there && session.board.waiting}
      <Hint>{t('keeping')}</Hint>
    {:else if session.selection.ids.size}
      <Selection {session} />
    {:else if session.asYouGo.offer}
      <Offer {session} />
    {:else if !session.rights.standing}
      <Hint>{t('fetching-board')}</Hint>
    {:else if !onlooker}
      <ToolSettings {session} {surface} />
    {/if}
  </div>
  <!-- On a phone what is chosen has the room: what it may become is rather wanted than another page. -->
  {#if !(screen.phone && there)}
    <div class="right">
      <PageSwitch {session} />
      {#if surface && !screen.phone}<Zoom {surface} />{/if}
    </div>
  {/if}
</section>

<style>
  .sill {
    grid-area: sill;
    min-height: 68px;
    background: var(--sand);
    border-top: 1px solid var(--sand-line);
    display: flex;
    align-items: center;
    gap: 12px;
    padding: 6px 10px;
    min-width: 0;
  }
  .back,
  .right {
    display: flex;
    align-items: center;
    gap: 6px;
    flex: none;
  }
  .middle {
    flex: 1;
    min-width: 0;
    display: flex;
    align-items: center;
    gap: 8px;
    border-inline: 1px solid var(--sand-line);
    padding-inline: 12px;
    align-self: stretch;
  }
  .back button {
    width: 44px;
    height: 46px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: grid;
    place-items: center;
    padding: 0;
  }
  .back button:disabled {
    color: var(--disabled);
    background: none;
  }
  @media (max-width: 600px) {
    .sill {
      min-height: 54px;
      padding: 4px 6px;
      gap: 6px;
    }
    .middle {
      padding-inline: 6px;
    }
  }
</style>
