<script lang="ts">
  /** The chat behind a button, where it has no drawer of its own. */
  import type { Session } from '../lesson/session.svelte'
  import Popover from '../ui/Popover.svelte'
  import { t } from '../words/words.svelte'
  import Chat from './Chat.svelte'

  let { session, open = $bindable(false) }: { session: Session; open?: boolean } = $props()
</script>

{#if session.people.role !== 'onlooker'}
  <Popover
    label={t('chat')}
    now={session.classroom.unread ? String(session.classroom.unread) : undefined}
    side="right"
    bind:open
  >
    {#snippet face()}{t('chat')}{#if session.classroom.unread}<b class="unread">{session.classroom.unread}</b
        >{/if}{/snippet}
    {#snippet children()}<div class="chat"><Chat {session} /></div>{/snippet}
  </Popover>
{/if}

<style>
  .chat {
    width: 340px;
    max-width: 100%;
    height: 50dvh;
    display: grid;
    grid-template-rows: minmax(0, 1fr);
  }
  .unread {
    min-width: 20px;
    padding: 0 6px;
    border-radius: 10px;
    background: var(--clay);
    color: #fff;
    font-size: 13px;
  }
</style>
