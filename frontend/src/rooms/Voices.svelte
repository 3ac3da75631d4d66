<script lang="ts">
  /** Recorded voices of a room, to be listened to beside the pages that they go with; the owner decides who may. */
  import { onMount, untrack } from 'svelte'
  import { ask } from '../wire/api'
  import type { RecordingCard, Recordings } from '../wire/generated'
  import { elapsed, when } from '../words/time'
  import { t } from '../words/words.svelte'
  import RecordingControls from './RecordingControls.svelte'

  /** ``board`` is any of the room's. */
  let { board, owner = false }: { board: string; owner?: boolean } = $props()
  const WIDTH_PX = 640
  let cards = $state.raw<RecordingCard[]>([])
  let problem = $state('')
  /** Which is listened to, and where, in ms. */
  let heard = $state('')
  let at = $state(0)

  onMount(async () => {
    try {
      take((await ask<Recordings>('GET', `/api/boards/${untrack(() => board)}/recordings`)).recordings)
    } catch (error) {
      problem = (error as Error).message
    }
  })

  function take(found: RecordingCard[]) {
    problem = ''
    cards = found
  }

  function turnOf(card: RecordingCard) {
    return card.turns.findLast(({ at_ms }) => at_ms <= at) ?? card.turns[0]
  }

  function go(event: MouseEvent, ms: number) {
    const audio = (event.currentTarget as HTMLElement).closest('article')!.querySelector('audio')!
    audio.currentTime = ms / 1000
    void audio.play().catch(() => {})
  }
</script>

{#if cards.length || problem}
  <h2>{t('recordings')}</h2>
  {#if problem}<p role="alert">{problem}</p>{/if}
  {#each [...cards].reverse() as card (card.id)}
    {@const turn = heard === card.id ? turnOf(card) : undefined}
    <article>
      <p>
        {t('recording-of', { when: when(card.begun_ms), time: elapsed(card.length_ms), name: card.name })}
      </p>
      <!-- Words of it there are none yet. -->
      <!-- svelte-ignore a11y_media_has_caption -->
      <audio
        controls
        preload="none"
        src="/recordings/{card.id}/voice"
        onplay={() => (heard = card.id)}
        ontimeupdate={(event) => {
          heard = card.id
          at = event.currentTarget.currentTime * 1000
        }}
      ></audio>
      {#if card.turns.length > 1 || turn}
        <ol aria-label={t('chapters')}>
          {#each card.turns as chapter, i (i)}
            <li>
              <button aria-current={chapter === turn} onclick={(event) => go(event, chapter.at_ms)}
                >{elapsed(chapter.at_ms)} {chapter.title}</button
              >
            </li>
          {/each}
        </ol>
      {/if}
      {#if turn}
        <img src="/boards/{turn.board}/pages/{turn.page}/page.png?width={WIDTH_PX}" alt={turn.title} />
      {/if}
      {#if owner}
        <div class="row">
          <RecordingControls {card} onchange={take} onproblem={(told) => (problem = told)} />
        </div>
      {/if}
    </article>
  {/each}
{/if}

<style>
  h2 {
    font-size: 16px;
    margin: 28px 0 10px;
  }
  article {
    display: grid;
    gap: 8px;
    padding: 10px 0;
    border-top: 1px solid var(--sand-line);
  }
  audio {
    width: 100%;
    max-width: 560px;
  }
  img {
    width: 100%;
    max-width: 560px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
  ol {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
    margin: 0;
    padding: 0;
    list-style: none;
  }
  ol button {
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    color: var(--ink);
    font: inherit;
    font-size: 14px;
    font-variant-numeric: tabular-nums;
  }
  ol button[aria-current='true'] {
    border-color: var(--leaf);
    font-weight: 600;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 4px 14px;
  }
</style>
