<script lang="ts">
  import { untrack } from 'svelte'
  import Button from '../ui/Button.svelte'
  import type { Plan, SetPlan } from '../wire/generated'
  import { t } from '../words/words.svelte'

  let { plan, onchange }: { plan: Plan; onchange: (plan: SetPlan) => Promise<boolean> } = $props()
  let title = $state(untrack(() => plan.title))
  let at = $state(untrack(() => (plan.at_ms ? local(plan.at_ms) : '')))
  let minutes = $state<number | null>(untrack(() => plan.minutes))
  let pages = $state(untrack(() => plan.pages.join('\n')))
  let kept = $state(false)

  /** A moment as the field for date and time wants it, by this browser's clock. */
  function local(ms: number): string {
    const moment = new Date(ms)
    return new Date(ms - moment.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
  }

  async function keep(event: SubmitEvent) {
    event.preventDefault()
    kept = await onchange({
      command: 'set_plan',
      title: title.trim(),
      at_ms: at ? new Date(at).getTime() : null,
      minutes: minutes || null,
      pages: pages
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean),
    })
    setTimeout(() => (kept = false), 2_000)
  }
</script>

<form onsubmit={keep} aria-label={t('plan-of-the-next-lesson')}>
  <label class="wide">{t('what-it-is-about')} <input bind:value={title} maxlength="80" /></label>
  <label>{t('when')} <input type="datetime-local" bind:value={at} /></label>
  <label
    >{t('minutes-planned')}
    <input class="few" type="number" min="5" max="600" step="5" bind:value={minutes} /></label
  >
  <label class="all">
    {t('pages-it-needs-one-to')}
    <textarea bind:value={pages} rows="2" maxlength="1200" placeholder={t('warm-up')}></textarea>
    <span>{t('those-that-the-board-has')}</span>
  </label>
  <Button type="submit">{kept ? t('kept') : t('keep-the-plan')}</Button>
</form>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: end;
    gap: 10px 14px;
    margin: -12px 0 26px;
  }
  label {
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
  }
  .wide {
    flex: 1;
    min-width: 200px;
  }
  .all {
    flex: 1 1 calc(100% - 180px);
  }
  textarea {
    padding: 8px 10px;
    resize: vertical;
  }
  input {
    height: 40px;
    padding: 0 10px;
  }
  input,
  textarea {
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    min-width: 0;
    color: var(--ink);
  }
  .few {
    width: 84px;
  }
</style>
