<script lang="ts">
  /** A student's own hand: up with a word or without, in one press, and down again. */
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import MenuButton from '../ui/MenuButton.svelte'
  import Popover from '../ui/Popover.svelte'
  import { t } from '../words/words.svelte'
  import { HAND_WORDS } from './hands'

  let { session }: { session: Session } = $props()
  const up = $derived(session.lesson?.hands.includes(session.rights.me) ?? false)
  const word = $derived(session.lesson?.words.find(([seat]) => seat === session.rights.me)?.[1] ?? '')
  const place = $derived((session.lesson?.hands.indexOf(session.rights.me) ?? -1) + 1)
</script>

{#if session.lesson?.facts.open && session.people.role === 'student'}
  <span class="hand" class:up>
    {#if up}
      <button class="main" onclick={() => session.tell({ command: 'lower_hand', seat: '' })}
        ><Icon name="raised" size={18} /><span
          >{t('hand-down')}<small>{word ? t(HAND_WORDS[word]) : t('hand-place', { place })}</small></span
        ></button
      >
    {:else}
      <button class="main" onclick={() => session.tell({ command: 'raise_hand', word: '' })}
        ><Icon name="raised" size={18} />{t('hand-up')}</button
      >
    {/if}
    <Popover label={t('your-hand-word')} bare>
      {#snippet face()}<Icon name="open" size={16} />{/snippet}
      {#snippet children(close)}
        <div class="words">
          {#each Object.entries(HAND_WORDS) as [said, name] (said)}
            {@const key = said as keyof typeof HAND_WORDS}
            <MenuButton onclick={() => (session.tell({ command: 'raise_hand', word: key }), close())}
              >{t(name)}</MenuButton
            >
          {/each}
        </div>
      {/snippet}
    </Popover>
  </span>
{/if}

<style>
  .hand {
    display: flex;
    flex: none;
    background: var(--leaf);
    color: #fff;
    border-radius: var(--radius);
  }
  .hand.up {
    background: var(--sun);
    color: var(--on-sun);
  }
  .hand :global(.face) {
    color: inherit !important;
  }
  .main {
    min-height: 44px;
    padding: 0 6px 0 14px;
    border: 0;
    background: none;
    color: inherit;
    font-weight: 600;
    display: flex;
    align-items: center;
    gap: 8px;
    white-space: nowrap;
    text-align: start;
    line-height: 1.15;
  }
  small {
    display: block;
    font-weight: 400;
    font-size: 12px;
  }
  .words {
    display: grid;
    min-width: 190px;
  }
</style>
