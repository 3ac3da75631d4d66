<script lang="ts">
  /** What is thrown: a coin, dice, a spinner, numbers; it becomes a table that counts, with a chart. */
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Field from '../../ui/Field.svelte'
  import Radios from '../../ui/Radios.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { newId } from '../../wire/codec'
  import type { Chance } from '../../wire/generated'
  import { t, type Plain } from '../../words/words.svelte'

  interface Props {
    session: Session
    middle: () => [number, number]
    onclose: () => void
  }
  let { session, middle, onclose }: Props = $props()
  const KINDS: Chance['kind'][] = ['coin', 'dice', 'spinner', 'numbers']
  const NAMES: Record<Chance['kind'], Plain> = {
    coin: 'chance-coin',
    dice: 'chance-dice',
    spinner: 'chance-spinner',
    numbers: 'chance-numbers',
  }
  const SIDES = [4, 6, 8, 10, 12, 20]
  let kind = $state<Chance['kind']>('dice')
  let dice = $state(1)
  let sides = $state(6)
  let parts = $state(t('chance-parts-ready'))
  let low = $state(1)
  let high = $state(10)

  const names = $derived(
    kind === 'coin'
      ? [t('chance-heads'), t('chance-tails')]
      : parts
          .split(',')
          .map((part) => part.trim())
          .filter(Boolean),
  )

  /** About half of what it fills, to the left of and above the middle. */
  const [LEFT, UP] = [390, 160]

  function put() {
    const [x, y] = middle()
    const chance: Chance = {
      kind,
      names: kind === 'coin' || kind === 'spinner' ? names : [],
      dice,
      sides,
      low,
      high,
    }
    const id = newId().slice(0, 12)
    const page = session.pages.id
    session.do({ step: 'put_chance', page, id, x: x - LEFT, y: y - UP, chance, word: t('chance-count') })
    session.chooseMade([id])
    onclose()
  }
</script>

<form
  onsubmit={(event) => {
    event.preventDefault()
    put()
  }}
>
  <Radios
    look="buttons"
    label={t('chance')}
    options={KINDS}
    name={(one) => t(NAMES[one])}
    taken={(one) => one === kind}
    ontake={(one) => (kind = one)}
  />
  {#if kind === 'dice'}
    <Choice
      label={t('chance-how-many')}
      options={[1, 2, 3].map((n) => ({ value: n, label: String(n) }))}
      bind:value={dice}
    />
    <Choice
      label={t('chance-sides')}
      options={SIDES.map((n) => ({ value: n, label: String(n) }))}
      bind:value={sides}
    />
  {:else if kind === 'spinner'}
    <Field label={t('chance-parts')} bind:value={parts} maxlength={200} />
  {:else if kind === 'numbers'}
    <div class="row">
      <label>{t('chance-from')}<input type="number" required bind:value={low} /></label>
      <label>{t('chance-to')}<input type="number" required bind:value={high} /></label>
    </div>
  {/if}
  <Button kind="go" type="submit" disabled={kind === 'spinner' && names.length < 2}>{t('chance-put')}</Button>
</form>

<style>
  form {
    display: grid;
    gap: 10px;
    width: 360px;
    max-width: 100%;
  }
  .row {
    display: flex;
    gap: 10px;
  }
  label {
    display: grid;
    gap: 4px;
    font-size: 13px;
    color: var(--muted);
  }
  input {
    width: 120px;
    min-height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
  }
</style>
