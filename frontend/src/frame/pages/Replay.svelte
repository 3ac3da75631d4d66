<script lang="ts">
  /** How a page was made, played again: stroke by stroke, with long pauses shortened. */
  import { onMount, untrack } from 'svelte'
  import { Making } from '../../board/making'
  import { each } from './making'
  import type { Making as Part, PageHead } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Select from '../../ui/Select.svelte'
  import { t } from '../../words/words.svelte'
  import MadePage from './MadePage.svelte'
  import PlayBar from './PlayBar.svelte'

  let { session, head, onclose }: { session: Session; head: PageHead; onclose: () => void } = $props()
  const SPEEDS = [1, 2, 5, 20].map((value) => ({ value: String(value), label: t('speed', { value }) }))
  const making = new Making(untrack(() => head))

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
      await each(session.boardId, head.id, making, (part) => {
        names = { ...names, ...part.names }
        if (!count) playing = making.count > 0
        count = making.count
      })
      whole = true
    } catch (error) {
      problem = (error as Error).message
    }
  }

  function key(event: KeyboardEvent) {
    if (event.key !== ' ' || (event.target as HTMLElement).closest('button, select, input:not([type=range])'))
      return
    event.preventDefault()
    toggle()
  }

  function shorten(wanted: boolean) {
    clock = making.sameMoment(clock, short)
    short = wanted
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
  <MadePage {making} {head} {count} {clock} {short} {person} />
  <PlayBar {playing} bind:at={clock} {length} disabled={!count} ontoggle={toggle} />
  <div class="row">
    <Choice label={t('speed-word')} options={SPEEDS} bind:value={speed} />
    <label><input type="checkbox" bind:checked={() => short, shorten} /> {t('shorten-pauses')}</label>
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
  label {
    display: flex;
    gap: 8px;
    align-items: center;
    min-height: 40px;
  }
</style>
