<script lang="ts">
  /** How a page was made, played again: stroke by stroke, with long pauses shortened. */
  import { onMount, untrack } from 'svelte'
  import { union } from '../../board/box'
  import { drawItem, drawItems } from '../../board/draw'
  import { drawPaper } from '../../board/draw-paper'
  import { inOrder } from '../../board/order'
  import { Making } from '../../board/making'
  import { askThings } from '../../wire/api'
  import type { Making as Part, PageHead } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Select from '../../ui/Select.svelte'
  import { elapsed } from '../../words/time'
  import { t } from '../../words/words.svelte'

  let { session, head, onclose }: { session: Session; head: PageHead; onclose: () => void } = $props()
  const SPEEDS = [1, 2, 5, 20].map((value) => ({ value: String(value), label: t('speed', { value }) }))
  const LEAST = { minX: 0, minY: 0, maxX: 1000, maxY: 640 }
  const making = new Making(untrack(() => head))

  let under = $state<HTMLCanvasElement>()
  let over = $state<HTMLCanvasElement>()
  let count = $state(0)
  let names = $state.raw<Part['names']>({})
  let whole = $state(false)
  let problem = $state('')
  let playing = $state(false)
  let short = $state(true)
  let speed = $state('5')
  let person = $state('')
  let clock = $state(0)
  const length = $derived(count >= 0 ? making.length(short) : 0)
  const people = $derived.by(() => {
    const seats = count >= 0 ? making.people() : []
    return seats.map((seat) => ({ seat, name: names[seat] ?? t('somebody') }))
  })

  onMount(() => {
    void load()
    let frame = requestAnimationFrame(tick)
    let last = performance.now()
    function tick(now: number) {
      frame = requestAnimationFrame(tick)
      const gone = Math.min(now - last, 100)
      last = now
      if (!playing) return
      clock = Math.min(clock + gone * Number(speed), length)
      if (clock >= length && whole) playing = false
    }
    return () => cancelAnimationFrame(frame)
  })

  async function load() {
    try {
      let after = 0
      for (;;) {
        const path = `/api/boards/${session.boardId}/pages/${head.id}/making?after=${after}`
        const part = await askThings<Part>(path)
        making.add(part.steps)
        names = { ...names, ...part.names }
        count = making.count
        if (!after) playing = count > 0
        if (part.whole) break
        after = part.after
      }
      whole = true
    } catch (error) {
      problem = (error as Error).message
    }
  }

  /** What the canvas shows already, so that what only comes on top is drawn alone. */
  let drawn = { step: -1, person: '', width: 0, height: 0 }

  $effect(() => {
    if (!under || !over || !count) return
    const step = making.stepAt(clock, short)
    const [width, height] = [under.clientWidth, under.clientHeight]
    const ratio = devicePixelRatio || 1
    const context = under.getContext('2d')!
    const same = drawn.person === person && drawn.width === width && drawn.height === height
    const fresh = same && step >= drawn.step ? making.goOn(step) : null
    if (!fresh) making.seek(step)
    if (drawn.width !== width || drawn.height !== height) {
      for (const canvas of [under, over]) [canvas.width, canvas.height] = [width * ratio, height * ratio]
    }
    drawn = { step, person, width, height }
    const { scale, left, top } = view(width, height)
    const shown = (by: string) => !person || by === person
    const onto = [scale * ratio, 0, 0, scale * ratio, -left * scale * ratio, -top * scale * ratio] as const
    context.setTransform(...onto)
    if (fresh) {
      drawItems(
        context,
        fresh.filter(({ by }) => shown(by)),
        scale,
      )
    } else {
      const seen = { minX: left, minY: top, maxX: left + width / scale, maxY: top + height / scale }
      context.clearRect(left, top, width / scale, height / scale)
      drawPaper(context, head.paper, making.page.sheet, seen, scale)
      const entries = [...making.page.entries.values()].sort(inOrder)
      drawItems(
        context,
        entries.map(({ item }) => item).filter(({ by }) => shown(by)),
        scale,
      )
    }
    const front = over.getContext('2d')!
    front.setTransform(1, 0, 0, 1, 0, 0)
    front.clearRect(0, 0, over.width, over.height)
    const growing = making.growing(clock, short)
    if (growing && shown(growing.by)) {
      front.setTransform(...onto)
      drawItem(front, growing)
    }
  })

  /** All of the page that is ever written on, as large as it goes. */
  function view(width: number, height: number) {
    const box = head.paper.kind === 'endless' ? union([making.reach, LEAST])! : (making.whole.sheet ?? LEAST)
    const scale = Math.min(width / (box.maxX - box.minX), height / (box.maxY - box.minY))
    const left = (box.minX + box.maxX - width / scale) / 2
    return { scale, left, top: (box.minY + box.maxY - height / scale) / 2 }
  }

  function key(event: KeyboardEvent) {
    if (event.key !== ' ' || (event.target as HTMLElement).closest('button, select, input[type=checkbox]'))
      return
    event.preventDefault()
    toggle()
  }

  function toggle() {
    if (!playing && clock >= length) clock = 0
    playing = !playing
  }
</script>

<Dialog
  title={t('how-made', { title: head.title || t('this-page') })}
  width={1180}
  tall
  {onclose}
  onkeydown={key}
  data-testid="replay"
>
  {#if problem}<p role="alert">{problem}</p>{/if}
  {#if whole && !count}<p>{t('nothing-made-yet')}</p>{/if}
  <div class="seen"><canvas bind:this={under}></canvas><canvas bind:this={over}></canvas></div>
  <div class="row">
    <Button kind="go" disabled={!count} onclick={toggle}>{playing ? t('pause') : t('play')}</Button>
    <input
      type="range"
      aria-label={t('place-in-time')}
      aria-valuetext={t('time-of', { at: elapsed(clock), all: elapsed(length) })}
      min="0"
      max={length}
      step="any"
      bind:value={clock}
    />
    <span class="time">{t('time-of', { at: elapsed(clock), all: elapsed(length) })}</span>
  </div>
  <div class="row">
    <Choice label={t('speed-word')} options={SPEEDS} bind:value={speed} />
    <label><input type="checkbox" bind:checked={short} /> {t('shorten-pauses')}</label>
    {#if people.length > 1}
      <Select
        bare
        label={t('whose-work')}
        options={[
          { value: '', label: t('everybody') },
          ...people.map(({ seat, name }) => ({ value: seat, label: name })),
        ]}
        bind:value={person}
      />
    {/if}
    {#if !whole && !problem}<span role="status">{t('fetching-steps', { count })}</span>{/if}
  </div>
</Dialog>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 14px;
  }
  .seen {
    flex: 1;
    display: grid;
    min-height: 0;
    background: var(--sand);
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    overflow: hidden;
  }
  canvas {
    grid-area: 1 / 1;
    width: 100%;
    height: 100%;
    min-height: 0;
  }
  input[type='range'] {
    flex: 1;
    min-width: 120px;
    min-height: 40px;
    accent-color: var(--leaf);
  }
  .time {
    font-variant-numeric: tabular-nums;
    color: var(--muted);
    font-size: 14px;
  }
  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
</style>
