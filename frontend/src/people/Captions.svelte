<script lang="ts">
  /** What is being said, in words at the foot of the board; and for whoever writes it down, the line for that. */
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import { looks } from '../ui/looks.svelte'
  import { MAX_CAPTION } from '../wire/generated'
  import { t } from '../words/words.svelte'

  /** ``higher``: the call's own bar is at the foot of the board. */
  let { session, higher }: { session: Session; higher: boolean } = $props()
  const { captions } = $derived(session.call)
  const writes = $derived(captions.writing && session.people.tutorSide)
  const shown = $derived(looks.captions || writes ? captions.lines : [])
  let text = $state('')

  function say() {
    if (text.trim() && captions.say(text)) text = ''
  }

  function onkeydown(event: KeyboardEvent) {
    if (event.key === 'Escape') captions.writing = false
  }
</script>

<section class:empty={!shown.length && !writes} class:higher aria-label={t('captions')}>
  <div class="lines" role="log" lang="" data-testid="captions">
    {#each shown as line, at (at)}<p>{line}</p>{/each}
  </div>
  {#if writes}
    <form onsubmit={(event) => (event.preventDefault(), say())}>
      <!-- svelte-ignore a11y_autofocus -->
      <input
        bind:value={text}
        maxlength={MAX_CAPTION}
        placeholder={t('caption-hint')}
        aria-label={t('caption-hint')}
        autocomplete="off"
        autofocus
        {onkeydown}
      />
      <button type="submit">{t('caption-show')}</button>
    </form>
  {/if}
  {#if shown.length || writes}
    <button
      class="away"
      aria-label={writes ? t('captions-stop') : t('captions-hide')}
      title={writes ? t('captions-stop') : t('captions-hide')}
      onclick={() => (writes ? (captions.writing = false) : looks.set({ captions: false }))}
      ><Icon name="close" size={18} /></button
    >
  {/if}
</section>

<style>
  section {
    grid-area: board;
    place-self: end center;
    z-index: 2;
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 4px 8px;
    width: min(760px, calc(100% - 24px));
    margin: 0 12px 8px;
    padding: 6px 6px 6px 14px;
    border-radius: var(--radius);
    background: var(--frame);
    color: var(--on-frame);
    font-size: 17px;
    line-height: 1.3;
  }
  .higher {
    margin-bottom: 64px;
  }
  .empty {
    background: none;
    padding: 0;
    pointer-events: none;
  }
  .lines {
    grid-column: 1;
    align-self: center;
    overflow-wrap: anywhere;
  }
  form {
    grid-area: 2 / 1;
    display: flex;
    gap: 6px;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
    font: inherit;
    font-size: 16px;
  }
  button {
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    background: none;
    color: inherit;
    font: inherit;
    font-size: 14px;
  }
  .away {
    grid-area: 1 / 2;
    width: 40px;
    padding: 0;
    display: grid;
    place-items: center;
    border: 0;
  }
</style>
