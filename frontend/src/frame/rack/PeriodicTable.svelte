<script lang="ts">
  /** The elements in their table: to look one up, and to put its symbol on the page. */
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { plain } from '../../ui/search'
  import { ELEMENTS } from '../../wire/generated'
  import { t, told } from '../../words/words.svelte'

  interface Props {
    session: Session
    middle: () => [number, number]
    onclose: () => void
  }
  let { session, middle, onclose }: Props = $props()
  let dialog: Dialog
  let wanted = $state('')
  let chosen = $state('H')
  let problem = $state('')
  const [, number, weight] = $derived(ELEMENTS.find(([symbol]) => symbol === chosen)!)

  function nameOf(symbol: string): string {
    return told({ key: `element-${symbol}`, values: {} })
  }

  const found = $derived.by(() => {
    const text = plain(wanted)
    if (!text) return null
    return new Set(
      ELEMENTS.flatMap(([symbol, number]) =>
        symbol.toLowerCase() === text || String(number) === text || plain(nameOf(symbol)).startsWith(text)
          ? [symbol]
          : [],
      ),
    )
  })

  function look() {
    const first = ELEMENTS.find(([symbol]) => found?.has(symbol))
    if (first) chosen = first[0]
  }

  async function put(formula: string) {
    try {
      const { look } = await session.formulas.preview(formula)
      session.formulas.put(formula, look, middle())
      dialog.close()
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<Dialog bind:this={dialog} title={t('periodic-table')} width={980} {onclose}>
  <form
    onsubmit={(event) => {
      event.preventDefault()
      look()
    }}
  >
    <input
      bind:value={wanted}
      oninput={look}
      placeholder={t('element-search')}
      aria-label={t('element-search')}
    />
    <p class="one" aria-live="polite">
      <b>{chosen}</b>
      <span>{nameOf(chosen)}</span>
      <span>{t('element-number', { number })}</span>
      <span>{t('element-weight', { weight })}</span>
    </p>
    <Button kind="go" onclick={() => put(chosen)}>{t('element-put')}</Button>
    <Button onclick={() => put(`{}_{${number}}^{${weight.replace(/[[\]]/g, '')}}\\mathrm{${chosen}}`)}
      >{t('element-put-all')}</Button
    >
  </form>
  {#if problem}<p role="alert">{problem}</p>{/if}
  <div class="table" role="radiogroup" aria-label={t('periodic-table')}>
    {#each ELEMENTS as [symbol, number, , column, row] (symbol)}
      <button
        role="radio"
        aria-checked={symbol === chosen}
        aria-label="{nameOf(symbol)}, {number}"
        class:pale={found && !found.has(symbol)}
        style:grid-column={column}
        style:grid-row={row}
        onclick={() => (chosen = symbol)}
        ondblclick={() => put(symbol)}><small>{number}</small>{symbol}</button
      >
    {/each}
  </div>
</Dialog>

<style>
  form {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 10px;
  }
  input {
    min-height: 40px;
    width: 190px;
    padding: 0 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
  }
  .one {
    display: flex;
    align-items: baseline;
    gap: 12px;
    flex: 1;
    margin: 0;
    min-width: 300px;
  }
  .one b {
    font-size: 26px;
    min-width: 40px;
  }
  .table {
    display: grid;
    grid-template-columns: repeat(18, minmax(40px, 1fr));
    grid-template-rows: repeat(7, 46px) 12px repeat(2, 46px);
    gap: 3px;
    margin-top: 12px;
    overflow-x: auto;
  }
  .table button {
    display: grid;
    justify-items: center;
    align-content: center;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: 3px;
    background: var(--glass);
    color: var(--ink);
    font-size: 16px;
    font-weight: 600;
  }
  .table button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 2px var(--leaf);
  }
  .table small {
    font-size: 12px;
    font-weight: 400;
    line-height: 1;
    color: var(--muted);
  }
  .pale {
    opacity: 0.35;
  }
  p[role='alert'] {
    color: var(--clay);
  }
</style>
