<script lang="ts">
  /** Written maths before it is set: each sign may be another, the whole may be another, or it is typed. */
  import type { Session } from '../../lesson/session.svelte'
  import type { FormulaRead, SignRead } from '../../wire/generated'
  import Button from '../../ui/Button.svelte'
  import { t } from '../../words/words.svelte'
  import FormulaPicture from './FormulaPicture.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const formulas = $derived(session.selection.readings?.formulas ?? [])
  const best = $derived(formulas[0])
  const lines = $derived.by(() => {
    const signs = best?.signs ?? []
    return [...new Set(signs.map(({ line }) => line))].map((at) => signs.filter(({ line }) => line === at))
  })

  function set(formula: FormulaRead) {
    session.chosen.setMaths(formula)
    onclose()
  }

  function type() {
    const ink = { ids: session.selection.ink(), formula: best!.formula, lines: best!.lines }
    session.formulas.typing = { item: null, at: [0, 0], ink }
    onclose()
  }

  function correct(sign: SignRead, event: Event & { currentTarget: HTMLSelectElement }) {
    session.selection.correct({ ids: sign.ids, name: event.currentTarget.value })
  }
</script>

{#if best}
  <div class="maths">
    <button
      class="best"
      disabled={session.selection.rereading}
      onclick={() => set(best)}
      aria-label="{t('set-as-maths')}: {session.formulas.inWords(best.formula)}"
      data-testid="maths-best"
    >
      <FormulaPicture look={best} px={26} />
    </button>
    {#each lines as signs, line (line)}
      <div class="signs" role="group" aria-label={t('signs-of-line', { line: line + 1 })}>
        {#each signs as each, at (each.ids.join())}
          <select
            aria-label={t('sign-of-formula', { number: at + 1 })}
            data-testid="written-sign"
            class:corrected={session.selection.isCorrected(each.ids)}
            value={each.sign.name}
            onchange={(event) => correct(each, event)}
          >
            <option value={each.sign.name}>{each.sign.shown}</option>
            {#each each.rivals as rival (rival.name)}<option value={rival.name}>{rival.shown}</option>{/each}
          </select>
        {/each}
      </div>
    {/each}
    <small>{t('signs-hint')}</small>
    {#if formulas.length > 1}
      <div class="others" role="group" aria-label={t('other-formulas')}>
        {#each formulas.slice(1) as other (other.formula)}
          <button
            aria-label={session.formulas.inWords(other.formula)}
            data-testid="maths-rival"
            onclick={() => set(other)}><FormulaPicture look={other} px={20} /></button
          >
        {/each}
      </div>
    {/if}
    <div class="row">
      <Button onclick={type}>{t('type-the-formula')}</Button>
      <Button kind="go" disabled={session.selection.rereading} onclick={() => set(best)}
        >{t('set-as-maths')}</Button
      >
    </div>
  </div>
{/if}

<style>
  .maths {
    display: grid;
    gap: 8px;
    width: min(480px, calc(100vw - 40px));
    max-height: min(62dvh, 480px);
    overflow: auto;
    padding: 3px; /* room for the ring around what has the focus */
  }
  .best,
  .others button {
    min-height: 44px;
    padding: 6px 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    display: grid;
    justify-content: start;
    align-content: center;
  }
  .signs,
  .others,
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 4px;
  }
  select {
    min-width: 44px;
    height: 44px;
    padding: 0 2px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    font-size: 18px;
    text-align: center;
    appearance: none;
  }
  .corrected {
    border-bottom: 3px solid var(--leaf);
  }
  small {
    color: var(--muted);
  }
  .row {
    justify-content: flex-end;
  }
</style>
