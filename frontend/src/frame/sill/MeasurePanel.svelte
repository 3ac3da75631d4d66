<script lang="ts">
  /** What figures show of themselves, and what is constructed from them. */
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { newId } from '../../wire/codec'
  import type { Construction, Measured } from '../../wire/generated'
  import { t, type Plain } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()

  const shapes = $derived(
    session.board.version >= 0
      ? session.selection.items('change').filter((item) => item.kind === 'shape')
      : [],
  )
  const shown = $derived(new Set(shapes.flatMap(({ measured }) => measured)))
  const SHOWN: { what: Measured; word: Plain }[] = [
    { what: 'sides', word: 'measure-sides' },
    { what: 'angles', word: 'measure-angles' },
    { what: 'area', word: 'measure-area' },
    { what: 'around', word: 'measure-around' },
  ]
  const MADE: { what: Construction; word: Plain }[] = [
    { what: 'midpoint', word: 'construct-midpoint' },
    { what: 'perpendicular', word: 'construct-perpendicular' },
    { what: 'parallel', word: 'construct-parallel' },
    { what: 'bisector', word: 'construct-bisector' },
  ]
  const straight = $derived(shapes.some(({ curved, parts }) => !curved && !parts.length))

  function show(one: Measured) {
    const what = SHOWN.map((each) => each.what).filter((each) => shown.has(each) !== (each === one))
    session.do({ step: 'measure_items', page: session.pages.id, ids: shapes.map(({ id }) => id), what })
  }

  function make(what: Construction) {
    const ids = shapes.map(({ id }) => id)
    session.do({ step: 'construct', page: session.pages.id, ids, what, id: newId() })
    onclose()
  }
</script>

<div class="stack">
  <fieldset>
    <legend>{t('measure-shown')}</legend>
    {#each SHOWN as { what, word } (what)}
      <label><input type="checkbox" checked={shown.has(what)} onchange={() => show(what)} />{t(word)}</label>
    {/each}
  </fieldset>
  {#if straight && session.rights.may('add_shape')}
    <div class="made" role="group" aria-label={t('construct')}>
      <p>{t('construct')}</p>
      {#each MADE as { what, word } (what)}
        <MenuButton onclick={() => make(what)}>{t(word)}</MenuButton>
      {/each}
    </div>
  {/if}
</div>

<style>
  .stack {
    display: grid;
    gap: 8px;
    width: 270px;
    max-width: 100%;
  }
  .made {
    display: grid;
  }
  fieldset {
    margin: 0;
    padding: 0;
    border: 0;
  }
  legend,
  p {
    margin: 0;
    color: var(--muted);
    font-size: 13px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
  }
</style>
