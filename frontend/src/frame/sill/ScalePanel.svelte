<script lang="ts">
  /** What one square of the page stands for when it is measured. */
  import { untrack } from 'svelte'
  import Button from '../../ui/Button.svelte'
  import Field from '../../ui/Field.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const head = $derived(session.pages.now!.head)
  let each = $state(untrack(() => String(head.paper.each)))
  let unit = $state(untrack(() => head.paper.unit))
  const value = $derived(Number(each.replace(',', '.')))
  const right = $derived(value >= 1e-6 && value <= 1e6)
  const READY = ['cm', 'm', 'km', 'mm']

  function set(name: string) {
    session.do({
      step: 'edit_page',
      page: head.id,
      paper: { ...head.paper, each: name ? value : 1, unit: name },
    })
    // What shows its measures shows them in the new scale.
    const measured = [...session.pages.now!.entries.values()].flatMap(({ item }) =>
      item.kind === 'shape' && item.measured.length && session.rights.may('change', item) ? [item.id] : [],
    )
    if (measured.length) session.do({ step: 'measure_items', page: head.id, ids: measured })
    onclose()
  }
</script>

<form
  class="stack"
  onsubmit={(event) => {
    event.preventDefault()
    if (right && unit.trim()) set(unit.trim())
  }}
>
  <p>{t('scale-what')}</p>
  <div class="row">
    <Field label={t('scale-each')} bind:value={each} inputmode="decimal" maxlength={12} />
    <Field label={t('scale-unit')} bind:value={unit} maxlength={12} list="scale-units" />
    <datalist id="scale-units">
      {#each READY as ready (ready)}<option value={ready}></option>{/each}
      <option value={t('scale-units')}></option>
    </datalist>
  </div>
  {#if !right}<p class="wrong" role="alert">{t('scale-number')}</p>{/if}
  <div class="row">
    <Button kind="go" type="submit" disabled={!right || !unit.trim()}>{t('scale-set')}</Button>
    {#if head.paper.unit}<Button onclick={() => set('')}>{t('scale-paper')}</Button>{/if}
  </div>
</form>

<style>
  .stack {
    display: grid;
    gap: 10px;
    width: min(320px, 80vw);
  }
  .row {
    display: flex;
    gap: 8px;
    align-items: end;
  }
  p {
    margin: 0;
  }
  .wrong {
    color: var(--clay);
  }
</style>
