<script lang="ts">
  import Button from '../ui/Button.svelte'
  import type { Session } from '../lesson/session.svelte'
  import { t } from '../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  let label = $state('')
  let own = $state(3)
  const MINUTES = [1, 2, 5, 10, 20]

  function countDown(minutes: number) {
    if (session.tell({ command: 'set_countdown', seconds: Math.round(60 * minutes), label })) onclose()
  }
</script>

<div class="panel">
  <h3>{t('time-for-task')}</h3>
  <input bind:value={label} maxlength="80" placeholder={t('time-what-for')} aria-label={t('time-what-for')} />
  <div class="row">
    {#each MINUTES as minutes (minutes)}
      <Button onclick={() => countDown(minutes)}>{t('minutes', { count: minutes })}</Button>
    {/each}
  </div>
  <form
    class="row"
    onsubmit={(event) => {
      event.preventDefault()
      countDown(own)
    }}
  >
    <input
      type="number"
      required
      min="0.5"
      max="240"
      step="0.5"
      bind:value={own}
      aria-label={t('minutes-of-task')}
    />
    <Button type="submit">{t('start-time')}</Button>
    {#if session.lesson?.countdown}<Button kind="stop" onclick={() => countDown(0)}>{t('stop')}</Button>{/if}
  </form>
</div>

<style>
  .panel {
    display: grid;
    gap: 8px;
    width: 340px;
    max-width: 100%;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  input {
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  .row input {
    width: 90px;
  }
</style>
