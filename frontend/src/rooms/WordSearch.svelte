<script lang="ts">
  import Icon from '../ui/Icon.svelte'
  import type { FoundWords } from '../wire/generated'
  import { ask } from '../wire/api'
  import { t } from '../words/words.svelte'

  let { link }: { link: string } = $props()
  let wanted = $state('')
  let answer = $state.raw<FoundWords | null>(null)
  let problem = $state('')
  /** Counts what was asked: an older question's answer is dropped. */
  let asked = 0
  let later: number | undefined

  const PAUSE_MS = 250

  function type() {
    clearTimeout(later)
    asked++
    if (wanted.trim()) later = window.setTimeout(look, PAUSE_MS)
    else answer = null
  }

  async function look() {
    const mine = ++asked
    problem = ''
    try {
      // The server reads ink that is new a little at a time and says how much is left.
      do {
        const path = `/api/rooms/${link}/words?wanted=${encodeURIComponent(wanted.trim())}`
        const got = await ask<FoundWords>('GET', path)
        if (mine !== asked) return
        answer = got
      } while (answer.unread)
    } catch (error) {
      if (mine === asked) problem = (error as Error).message
    }
  }
</script>

<search>
  <label>
    <Icon name="find" size={18} />
    <input
      type="search"
      placeholder={t('find-words-on-all-boards')}
      aria-label={t('find-words-on-all-boards')}
      maxlength="100"
      bind:value={wanted}
      oninput={type}
    />
  </label>
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  {#if answer}
    <p class="muted" role="status">
      {answer.unread
        ? t('reading-ink-of', { count: answer.unread })
        : answer.found.length
          ? t('typed-words-and-ink-by')
          : t('nothing-typed-or-written-reads', { words: wanted.trim() })}
    </p>
    <ul>
      {#each answer.found as { board, title, page, number, how, text }, i (i)}
        <li>
          <a href="/rooms/{link}/boards/{board}?page={page}">
            <span>{text}</span>
            <small
              >{how === 'written'
                ? t('found-in-ink', { title, number })
                : t('found-on-page', { title, number })}</small
            >
          </a>
        </li>
      {/each}
    </ul>
  {/if}
</search>

<style>
  search {
    display: block;
    margin-bottom: 20px;
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    padding-left: 10px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--muted);
  }
  label:focus-within {
    border-color: var(--leaf);
  }
  input {
    flex: 1;
    min-width: 0;
    height: 42px;
    border: 0;
    outline: 0;
    background: transparent;
    color: var(--ink);
  }
  .muted {
    color: var(--muted);
    font-size: 13px;
    margin: 6px 0;
  }
  .problem {
    color: var(--clay);
    margin: 6px 0;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    max-height: 300px;
    overflow-y: auto;
  }
  a {
    display: flex;
    flex-wrap: wrap;
    justify-content: space-between;
    gap: 2px 14px;
    padding: 10px 12px;
    border-bottom: 1px solid var(--sand-line);
    color: var(--ink);
    text-decoration: none;
    overflow-wrap: anywhere;
  }
  a:hover,
  a:focus-visible {
    background: var(--glass);
  }
  small {
    color: var(--muted);
  }
</style>
