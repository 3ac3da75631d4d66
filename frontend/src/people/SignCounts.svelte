<script lang="ts">
  /** The signs that came since the tutor looked last, counted. */
  import type { Reaction } from '../lesson/classroom.svelte'
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import { t } from '../words/words.svelte'
  import SignPicture from './SignPicture.svelte'
  import { SIGNS } from './signs'

  let { session }: { session: Session } = $props()
  const counts = $derived(
    Object.entries(SIGNS)
      .map(([kind, { word }]) => ({
        kind: kind as Reaction,
        word,
        count: session.classroom.reactions.filter((sign) => sign.kind === kind).length,
      }))
      .filter(({ count }) => count > 0),
  )
  /** More kinds than this stand without their words, so that people keep their room. */
  const MOST_WORDS = 2
</script>

<div role="status">
  <div class="counts">
    {#each counts as { kind, word, count } (kind)}
      {@const told = t('sign-count', { sign: t(word), count })}
      {#if counts.length > MOST_WORDS}
        <span title={told}
          ><SignPicture {kind} size={16} /><b aria-hidden="true">{count}</b><i class="unseen">{told}</i></span
        >
      {:else}
        <span><SignPicture {kind} size={16} />{told}</span>
      {/if}
    {/each}
  </div>
  {#if counts.length}
    <button aria-label={t('signs-seen')} title={t('signs-seen')} onclick={() => session.classroom.signsSeen()}
      ><Icon name="check" size={18} /></button
    >
  {/if}
</div>

<style>
  div {
    display: flex;
    align-items: center;
    gap: 4px;
  }
  [role='status'] {
    padding: 0 10px;
  }
  .counts {
    flex: 1;
    flex-wrap: wrap;
  }
  span {
    display: flex;
    align-items: center;
    gap: 4px;
    padding: 3px 7px;
    background: var(--sun-pale);
    color: var(--on-pale);
    border-radius: 3px;
    font-size: 13px;
  }
  button {
    width: 40px;
    height: 40px;
    padding: 0;
    border: 0;
    background: none;
    display: grid;
    place-items: center;
    flex: none;
  }
</style>
