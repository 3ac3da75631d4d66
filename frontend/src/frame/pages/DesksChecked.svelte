<script lang="ts">
  /** What everybody wrote on their desks, each line with whether it follows; for the tutor side. */
  import { onDestroy, onMount } from 'svelte'
  import type { Desk } from '../../lesson/desks.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import CheckedLine from '../sill/CheckedLine.svelte'
  import type { LineChecked } from '../../wire/generated'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const { desks } = $derived(session)
  const unmarked = $derived(desks.list.filter((desk) => desk.checked?.length && !desk.marked))

  onMount(() => void desks.check())
  onDestroy(() => desks.stop())

  const isWrong = ({ verdict }: LineChecked) => verdict === 'does_not' || verdict === 'wrong'
  const cannotTell = ({ verdict }: LineChecked) => verdict === 'cannot_tell'

  function standing({ checked, problem }: Desk): string {
    if (problem) return problem
    if (!checked) return t('desk-waits')
    if (!checked.length) return t('desk-without-working')
    const wrong = checked.filter(isWrong).length
    if (wrong) return t('desk-does-not', { count: wrong })
    return checked.some(cannotTell) ? t('desk-cannot-tell') : t('desk-follows', { count: checked.length })
  }

  /** At a glance, by shape as well as by colour. */
  function sign({ checked }: Desk): string {
    if (!checked?.length) return ''
    if (checked.some(isWrong)) return '✗'
    return checked.some(cannotTell) ? '?' : '✓'
  }

  function go({ head }: Desk) {
    session.pages.turnTo(head.id)
    onclose()
  }
</script>

<Dialog title={t('desks-checked')} width={760} {onclose} data-testid="desks">
  {#if !desks.list.length && desks.done === null}
    <p>{t('no-desks-here')}</p>
  {:else}
    <p role="status" class="muted">
      {desks.done === null
        ? t('desks-looked-at', { count: desks.list.length })
        : t('desks-looking', { at: desks.done + 1, count: desks.list.length })}
    </p>
    <ul>
      {#each desks.list as desk (desk.head.id)}
        <li data-sign={sign(desk)}>
          <details>
            <summary>
              <b aria-hidden="true">{sign(desk)}</b>
              <span class="name">{session.people.nameOf(desk.head.desk_of)}</span>
              <span class="muted">{standing(desk)}</span>
            </summary>
            <ol>
              {#each desk.checked ?? [] as line, at (at)}<li><CheckedLine {line} /></li>{/each}
            </ol>
          </details>
          <Button onclick={() => go(desk)}>{t('go-to-desk')}</Button>
        </li>
      {/each}
    </ul>
    <div class="row">
      {#if desks.done === null}
        <Button onclick={() => void desks.check()}>{t('check-again')}</Button>
      {:else}
        <Button onclick={() => desks.stop()}>{t('stop')}</Button>
      {/if}
      <Button
        kind="go"
        disabled={!unmarked.length || desks.done !== null}
        onclick={() => desks.mark(unmarked)}>{t('mark-all-desks')}</Button
      >
    </div>
  {/if}
</Dialog>

<style>
  ul,
  ol {
    display: grid;
    gap: 4px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  ol {
    padding: 8px 0 8px 34px;
    gap: 10px;
  }
  ul > li {
    display: grid;
    grid-template-columns: 1fr auto;
    align-items: start;
    gap: 10px;
    padding: 4px 0;
    border-top: 1px solid var(--sand-line);
  }
  summary {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
    cursor: pointer;
  }
  summary b {
    width: 26px;
    font-size: 20px;
    text-align: center;
  }
  [data-sign='✓'] b {
    color: var(--leaf);
  }
  [data-sign='✗'] b {
    color: var(--clay);
  }
  .name {
    font-weight: 600;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .row {
    display: flex;
    justify-content: flex-end;
    gap: 8px;
  }
</style>
