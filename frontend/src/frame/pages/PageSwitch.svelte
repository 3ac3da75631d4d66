<script lang="ts">
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'
  import AddPage from './AddPage.svelte'
  import Film from './Film.svelte'

  let { session }: { session: Session } = $props()
  const heads = $derived(session.pages.heads)
  const at = $derived(heads.findIndex((head) => head.id === session.pages.id))
  const head = $derived(heads[at])
</script>

<nav aria-label={t('pages')}>
  <div class="switch">
    <button
      class="turn"
      disabled={at <= 0}
      aria-label={t('page-before')}
      title={t('page-before')}
      onclick={() => session.pages.turnBy(-1)}><Icon name="back" size={18} /></button
    >
    <Popover
      label={t('all-pages')}
      now={[
        at < 0 ? '…' : t('page-of', { number: at + 1, count: heads.length }),
        screen.phone ? '' : head?.title,
        head?.hidden ? t('page-hidden') : '',
      ]
        .filter(Boolean)
        .join(' ')}
      title={head?.title || t('all-pages')}
      side="right"
      bare
      broad
    >
      {#snippet face()}
        <span class="now">
          <b>{at < 0 ? '…' : t('page-of', { number: at + 1, count: heads.length })}</b>
          {#if head?.hidden}<small class="hidden">{t('page-hidden')}</small>
          {:else if head?.title && !screen.phone}<small>{head.title}</small>{/if}
        </span>
      {/snippet}
      {#snippet children(close)}<Film {session} onclose={close} />{/snippet}
    </Popover>
    <button
      class="turn"
      disabled={at < 0 || at >= heads.length - 1}
      aria-label={t('page-after')}
      title={t('page-after')}
      onclick={() => session.pages.turnBy(1)}><Icon name="forth" size={18} /></button
    >
  </div>
  {#if head?.desk_of && session.people.tutorSide}
    <button
      class="round"
      aria-label={t('desk-round')}
      title={t('desk-round')}
      onclick={() => (session.roundShown = true)}><Icon name="desks" size={20} /></button
    >
  {:else if session.rights.may('add_page') && !screen.phone}
    <Popover label={t('add-page')} side="right">
      {#snippet face()}<Icon name="plus" size={20} />{/snippet}
      {#snippet children(close)}<AddPage {session} onclose={close} />{/snippet}
    </Popover>
  {/if}
</nav>

<style>
  nav {
    display: flex;
    align-items: center;
    gap: 6px;
  }
  .switch {
    display: flex;
    align-items: center;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    height: 46px;
  }
  .turn {
    width: 40px;
    height: 44px;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
    padding: 0;
  }
  .turn:disabled {
    color: var(--disabled);
  }
  :global([dir='rtl']) .turn {
    scale: -1 1;
  }
  .round {
    width: 46px;
    height: 46px;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: grid;
    place-items: center;
  }
  .now {
    display: grid;
    justify-items: center;
    line-height: 1.2;
    max-width: 130px;
    color: var(--ink);
    padding: 0 4px;
  }
  small {
    font-size: 12px;
    font-weight: 400;
    max-width: 100%;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .hidden {
    padding: 0 5px;
    background: var(--sun-pale);
    color: var(--on-pale);
  }
</style>
