<script lang="ts">
  /** Everybody in the call: the tutor larger, the others smaller; in the column, in a strip, or large. */
  import type { Session } from '../lesson/session.svelte'
  import Icon from '../ui/Icon.svelte'
  import { looks } from '../ui/looks.svelte'
  import { t } from '../words/words.svelte'
  import FaceTile from './FaceTile.svelte'

  let { session, look }: { session: Session; look: 'column' | 'strip' | 'big' } = $props()
  const { call } = $derived(session)
  const rank = (seat: string) => {
    const role = session.people.of(seat)?.role
    return role === 'tutor' ? 0 : role === 'helper' ? 1 : 2
  }
  const callers = $derived(
    call.people.toSorted(
      (a, b) => rank(a.seat) - rank(b.seat) || Number(a.id === call.id) - Number(b.id === call.id),
    ),
  )
  /** In large pictures the fewest columns that let all be seen. */
  const columns = $derived(Math.max(1, Math.ceil(Math.sqrt(callers.length))))
</script>

<section class={look} aria-label={t('call-faces')} style:--columns={columns}>
  {#each callers as caller (caller.id)}
    <div class:first={rank(caller.seat) === 0 && caller.id !== call.id}>
      <FaceTile {session} {caller} mark={look === 'big' ? 96 : 44} />
    </div>
  {/each}
  {#if look === 'big'}
    <button class="back" onclick={() => looks.set({ facesAt: 'column' })}
      ><Icon name="close" size={18} />{t('call-back-to-board')}</button
    >
  {/if}
</section>

<style>
  section {
    display: grid;
    gap: 4px;
  }
  .column {
    grid-template-columns: 1fr 1fr;
    padding: 0 8px 8px;
    flex: none;
    max-height: 44%;
    overflow-y: auto;
  }
  .column div {
    aspect-ratio: 4 / 3;
  }
  .column .first {
    grid-column: 1 / -1;
  }
  .strip {
    grid-area: board;
    place-self: start end;
    z-index: 2;
    display: flex;
    max-width: 100%;
    padding: 6px;
    overflow-x: auto;
    pointer-events: none;
  }
  .strip div {
    flex: none;
    width: 128px;
    aspect-ratio: 4 / 3;
    pointer-events: auto;
    box-shadow: 0 1px 5px rgb(0 0 0 / 35%);
  }
  @media (max-width: 600px) {
    .strip div {
      width: 92px;
    }
  }
  .big {
    grid-area: board;
    z-index: 3;
    grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
    grid-auto-rows: minmax(0, 1fr);
    padding: 8px 8px 56px;
    background: var(--frame);
    position: relative;
    min-height: 0;
  }
  .back {
    position: absolute;
    inset: auto 8px 8px auto;
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
    padding: 0 14px;
    border: 1px solid var(--frame-3);
    border-radius: var(--radius);
    background: none;
    color: var(--on-frame);
  }
</style>
