<script lang="ts">
  /** What a formula can be worked out to: each is taken by a press, and stands below it then. */
  import type { Session } from '../../lesson/session.svelte'
  import type { FormulaItem, OfferKind, WorkedOffer } from '../../wire/generated'
  import { t, told, type Plain } from '../../words/words.svelte'
  import FormulaPicture from './FormulaPicture.svelte'

  let { session, formula, onclose }: { session: Session; formula: FormulaItem; onclose: () => void } =
    $props()
  let offers = $state.raw<WorkedOffer[] | null>(null)
  let problem = $state('')

  const NAMES: Record<OfferKind, Plain> = {
    value: 'offer-value',
    decimal: 'offer-decimal',
    simplified: 'offer-simplified',
    expanded: 'offer-expanded',
    factored: 'offer-factored',
    solved: 'offer-solved',
    steps: 'offer-steps',
    derived: 'offer-derived',
    integrated: 'offer-integrated',
    quantity: 'offer-quantity',
    balanced: 'offer-balanced',
    mass: 'offer-mass',
    said: 'offer-said',
  }

  $effect(() => {
    const asking = new AbortController()
    offers = null
    problem = ''
    session.formulas.workOut(formula.formula, asking.signal).then(
      (found) => (offers = found),
      (error: Error) => {
        if (!asking.signal.aborted) problem = error.message
      },
    )
    return () => asking.abort()
  })

  function take(offer: WorkedOffer) {
    session.formulas.putBeside(formula, offer.formula, offer.look!)
    onclose()
  }
</script>

<div class="work" aria-busy={!offers && !problem} data-testid="worked-out">
  {#if problem}
    <p role="status">{problem}</p>
  {:else if !offers}
    <p role="status">{t('working-it-out')}</p>
  {:else}
    {#each offers as offer, at (at)}
      {#if offer.look}
        <button onclick={() => take(offer)} aria-label="{t(NAMES[offer.kind])}: {offer.formula}">
          <span>{t(NAMES[offer.kind])}</span><FormulaPicture look={offer.look} px={22} />
        </button>
      {:else if offer.sentence}
        <p>{told(offer.sentence)}</p>
      {/if}
    {/each}
  {/if}
</div>

<style>
  .work {
    display: grid;
    gap: 8px;
    min-width: min(300px, calc(100vw - 40px));
    max-width: min(520px, calc(100vw - 40px));
    max-height: min(60dvh, 480px);
    overflow: auto;
  }
  p {
    margin: 4px 6px;
  }
  button {
    display: grid;
    gap: 4px;
    justify-items: start;
    padding: 8px 10px;
    border: 1px solid var(--sand-line);
    border-radius: 4px;
    background: var(--field);
    color: var(--ink);
    text-align: start;
  }
  button:hover {
    border-color: var(--leaf);
  }
  span {
    color: var(--muted);
    font-size: 13px;
  }
</style>
