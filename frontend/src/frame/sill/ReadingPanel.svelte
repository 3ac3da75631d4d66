<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const id = $props.id()
  const lines = $derived(session.selection.readings?.lines ?? [])
  /** The words as they are to be typeset, by line; those typed here take the place of what was read. */
  let typed = $state<Record<string, string>>({})

  /** What a word may be besides: the same word of those rivals that have as many. */
  function rivals(line: number, word: number): string[] {
    const texts = lines[line]!.rivals.map(({ text }) => text.split(' '))
    const same = texts.filter((words) => words.length === texts[0]!.length)
    return [...new Set(same.map((words) => words[word]!))]
  }

  function words(line: number): string[] {
    return lines[line]!.rivals[0]!.text.split(' ')
  }

  function text(): string {
    return lines
      .map((_, line) =>
        words(line)
          .map((word, i) => (typed[`${line}.${i}`] ?? word).trim())
          .filter(Boolean)
          .join(' '),
      )
      .filter(Boolean)
      .join('\n')
  }

  function take(event: SubmitEvent) {
    event.preventDefault()
    if (text()) session.chosen.typeset(text())
    onclose()
  }
</script>

<form class="panel" onsubmit={take}>
  {#each lines as { rivals: all }, line (line)}
    <div class="line">
      {#each words(line) as word, i (i)}
        {@const others = rivals(line, i)}
        <input
          value={typed[`${line}.${i}`] ?? word}
          size={word.length + 4}
          list="{id}-{line}-{i}"
          class:unsure={others.length > 1}
          aria-label={t('word-of-line', { word: i + 1, line: line + 1 })}
          oninput={(event) => (typed[`${line}.${i}`] = event.currentTarget.value)}
        />
        <datalist id="{id}-{line}-{i}">
          {#each others as other (other)}<option value={other}></option>{/each}
        </datalist>
      {/each}
      <small title={t('how-sure-the-reading-is')}>{Math.round(100 * all[0]!.score)} %</small>
    </div>
    {#if all.length > 1}
      <div class="rivals">
        {#each all.slice(1, 4) as rival (rival.text)}
          <button
            type="button"
            onclick={() => {
              for (const [i] of words(line).entries()) delete typed[`${line}.${i}`]
              typed[`${line}.0`] = rival.text
              for (const [i] of words(line).entries()) if (i) typed[`${line}.${i}`] = ''
            }}>“{rival.text}”</button
          >
        {/each}
      </div>
    {/if}
  {/each}
  <div><Button kind="go" type="submit">{t('typeset-these-words')}</Button></div>
</form>

<style>
  .panel {
    display: grid;
    gap: 8px;
    width: 520px;
    max-width: 100%;
  }
  .line,
  .rivals {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 5px;
  }
  input {
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    max-width: 100%;
  }
  .unsure {
    border-bottom: 3px solid var(--sun);
  }
  small {
    color: var(--muted);
  }
  .rivals button {
    min-height: 34px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: none;
    font-size: 13px;
    color: var(--muted);
  }
</style>
