<script lang="ts">
  /** A line of working, and whether it follows from the one before. */
  import type { LineChecked, LineVerdict } from '../../wire/generated'
  import { t, told, type Plain } from '../../words/words.svelte'
  import FormulaPicture from './FormulaPicture.svelte'

  let { line }: { line: LineChecked } = $props()
  const NAMES: Record<LineVerdict, Plain> = {
    first: 'line-first',
    follows: 'line-follows',
    does_not: 'line-does-not',
    cannot_tell: 'line-cannot-tell',
    right: 'line-right',
    wrong: 'line-wrong',
  }
  const SIGNS: Record<LineVerdict, string> = {
    first: '',
    follows: '✓',
    does_not: '✗',
    cannot_tell: '?',
    right: '✓',
    wrong: '✗',
  }
</script>

<div class="line" data-verdict={line.verdict}>
  <b aria-hidden="true">{SIGNS[line.verdict]}</b>
  <div>
    <FormulaPicture look={line.look} px={20} />
    <span>{t(NAMES[line.verdict])}{line.sentence ? ` ${told(line.sentence)}` : ''}</span>
  </div>
</div>

<style>
  .line {
    display: grid;
    grid-template-columns: 26px 1fr;
    align-items: start;
    gap: 6px;
  }
  b {
    font-size: 20px;
    line-height: 1.2;
  }
  [data-verdict='follows'] b,
  [data-verdict='right'] b {
    color: var(--leaf);
  }
  [data-verdict='does_not'] b,
  [data-verdict='wrong'] b {
    color: var(--clay);
  }
  span {
    display: block;
    color: var(--muted);
    font-size: 13px;
  }
  [data-verdict='does_not'] span,
  [data-verdict='wrong'] span {
    color: var(--clay);
  }
</style>
