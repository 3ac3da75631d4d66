<script lang="ts">
  /** The lesson again: a recorded voice, and in step with it the pages as they came to be. For the room's owner. */
  import { onMount } from 'svelte'
  import { SvelteMap } from 'svelte/reactivity'
  import { Making } from '../../board/making'
  import { ask } from '../../wire/api'
  import type { PageHead, RecordingCard, Recordings } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Select from '../../ui/Select.svelte'
  import { elapsed, when } from '../../words/time'
  import { t } from '../../words/words.svelte'
  import RecordingControls from '../../rooms/RecordingControls.svelte'
  import MadePage from './MadePage.svelte'
  import PlayBar from './PlayBar.svelte'
  import { each } from './making'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const SPEEDS = [1, 1.5, 2].map((value) => ({ value: String(value), label: t('speed', { value }) }))
  interface Made {
    making: Making
    head: PageHead
    count: number
  }
  const made = new SvelteMap<string, Made>()
  let cards = $state.raw<RecordingCard[] | null>(null)
  let chosen = $state('')
  let problem = $state('')
  let speed = $state('1')
  let audio = $state<HTMLAudioElement>()
  let playing = $state(false)
  /** Where in the recording, in ms. */
  let at = $state(0)
  const card = $derived(cards?.find(({ id }) => id === chosen) ?? null)
  const turn = $derived(card?.turns.findLast(({ at_ms }) => at_ms <= at) ?? card?.turns[0] ?? null)
  const page = $derived(turn && turn.board === session.boardId ? (made.get(turn.page) ?? null) : null)

  onMount(() => {
    void hear()
    let frame = requestAnimationFrame(tick)
    function tick() {
      frame = requestAnimationFrame(tick)
      if (audio && playing) at = audio.currentTime * 1000
    }
    return () => cancelAnimationFrame(frame)
  })

  $effect(() => {
    if (audio) audio.playbackRate = Number(speed)
  })

  async function hear() {
    try {
      take((await ask<Recordings>('GET', `/api/boards/${session.boardId}/recordings`)).recordings)
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function take(found: RecordingCard[]) {
    problem = ''
    cards = found
    if (!found.some(({ id }) => id === chosen)) choose(found.at(-1)?.id ?? '')
  }

  function choose(id: string) {
    chosen = id
    at = 0
    playing = false
    for (const { board, page } of cards?.find((one) => one.id === id)?.turns ?? [])
      if (board === session.boardId && !made.has(page)) void load(page)
  }

  async function load(id: string) {
    const head = session.board.replica.pages.get(id)?.head
    if (!head) return
    const making = new Making(head)
    made.set(id, { making, head, count: 0 })
    try {
      await each(session.boardId, id, making, () => made.set(id, { making, head, count: making.count }))
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function go(ms: number) {
    at = ms
    if (audio) audio.currentTime = ms / 1000
  }

  function key(event: KeyboardEvent) {
    if (event.key !== ' ' || (event.target as HTMLElement).closest('button, select, input, a')) return
    event.preventDefault()
    toggle()
  }

  function toggle() {
    if (!audio) return
    if (audio.paused) void audio.play().catch((error: Error) => (problem = error.message))
    else audio.pause()
  }
</script>

<Dialog title={t('lesson-again')} width={1180} tall {onclose} onkeydown={key} data-testid="again">
  {#if problem}<p role="alert">{problem}</p>{/if}
  {#if cards && !cards.length}
    <p>{t('no-recordings')}</p>
  {:else if card}
    {#if cards!.length > 1}
      <Select
        label={t('which-recording')}
        options={cards!.map((one) => ({
          value: one.id,
          label: t('recording-of', {
            when: when(one.begun_ms),
            time: elapsed(one.length_ms),
            name: one.name,
          }),
        }))}
        bind:value={() => chosen, choose}
      />
    {:else}
      <p class="muted">
        {t('recording-of', { when: when(card.begun_ms), time: elapsed(card.length_ms), name: card.name })}
      </p>
    {/if}
    <div class="both">
      {#if page}
        {@const clock = page.making.clockAt(card.begun_ms + at)}
        <MadePage making={page.making} head={page.head} count={page.count} {clock} />
      {:else}
        <p class="elsewhere">
          {turn ? t('recording-elsewhere-then', { title: turn.title }) : t('recording-no-page')}
        </p>
      {/if}
      {#if card.turns.length}
        <ol aria-label={t('chapters')}>
          {#each card.turns as chapter, i (i)}
            <li>
              <button aria-current={chapter === turn} onclick={() => go(chapter.at_ms)}
                ><span>{elapsed(chapter.at_ms)}</span>{chapter.title}</button
              >
            </li>
          {/each}
        </ol>
      {/if}
    </div>
    {#key card.id}
      <audio
        bind:this={audio}
        src="/recordings/{card.id}/voice"
        preload="auto"
        onplay={() => (playing = true)}
        onpause={() => (playing = false)}
        onerror={() => (problem = t('recording-unplayable'))}
      ></audio>
    {/key}
    <PlayBar {playing} bind:at={() => at, go} length={card.length_ms} ontoggle={toggle} />
    <div class="row">
      <Choice label={t('speed-word')} options={SPEEDS} bind:value={speed} />
      <RecordingControls {card} onchange={take} onproblem={(told) => (problem = told)} />
    </div>
  {:else if !problem}
    <p role="status">{t('fetching-moment')}</p>
  {/if}
</Dialog>

<style>
  .both {
    flex: 1;
    display: flex;
    gap: 12px;
    min-height: 0;
  }
  ol {
    flex: none;
    width: 200px;
    margin: 0;
    padding: 0;
    list-style: none;
    overflow-y: auto;
  }
  ol button {
    display: flex;
    gap: 8px;
    width: 100%;
    min-height: 40px;
    align-items: center;
    padding: 0 8px;
    border: 0;
    border-inline-start: 3px solid transparent;
    background: none;
    color: var(--ink);
    font: inherit;
    font-size: 14px;
    text-align: start;
  }
  ol button[aria-current='true'] {
    border-color: var(--sun);
    background: var(--sand);
    font-weight: 600;
  }
  ol span {
    font-variant-numeric: tabular-nums;
    color: var(--muted);
    font-size: 14px;
  }
  .elsewhere {
    flex: 1;
    display: grid;
    place-items: center;
    background: var(--sand);
    border-radius: var(--radius);
    color: var(--muted);
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
  @media (max-width: 700px) {
    .both {
      flex-direction: column;
    }
    ol {
      width: auto;
      max-height: 120px;
    }
  }
</style>
