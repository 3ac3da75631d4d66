<script lang="ts">
  import Choice from '../../ui/Choice.svelte'
  import ColourField from '../../ui/ColourField.svelte'
  import Slider from '../../ui/Slider.svelte'
  import type { Dash, Ends, Item, Style } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items('change') : [])
  const first = $derived(items[0])
  const paper = $derived(session.pages.now?.head.paper.colour ?? '#ffffff')
  const shapes = $derived(items.filter((item) => item.kind === 'shape'))
  const shape = $derived(shapes[0])
  /** What is offered is what all of the chosen have. */
  const all = (test: (item: Item) => boolean) => items.length > 0 && items.every(test)
  const drawn = $derived(first?.kind === 'ink' || first?.kind === 'shape' ? first : null)
  const lines = $derived(all((item) => item.kind === 'ink' || item.kind === 'shape'))
  /** Words and formulas have a size of their type. */
  const sized = $derived(
    all((item) => item.kind === 'text' || item.kind === 'formula') &&
      (first?.kind === 'text' || first?.kind === 'formula')
      ? first
      : null,
  )
  const open = $derived(
    all(
      (item) =>
        (item.kind === 'ink' && item.nib !== 'highlighter') || (item.kind === 'shape' && !item.closed),
    ),
  )
  const box = $derived(session.board.version >= 0 ? session.selection.box('change') : null)
  const DASHES: { value: Dash; label: string }[] = [
    { value: 'solid', label: t('solid') },
    { value: 'dashed', label: t('dashed') },
    { value: 'dotted', label: t('dotted') },
  ]
  const ENDS: { value: Ends; label: string }[] = [
    { value: 'none', label: t('family-plain') },
    { value: 'arrow', label: t('arrow') },
    { value: 'arrows', label: t('two-arrows') },
  ]

  function colour(chosen: string) {
    session.tools.mixed(chosen)
    session.chosen.style({ colour: chosen })
  }

  /** Sliders report at every pixel: only where they come to rest is a step. */
  let timer: ReturnType<typeof setTimeout> | undefined
  function later(style: Style) {
    const [ids, page] = [session.chosen.ids(), session.pages.id]
    clearTimeout(timer)
    timer = setTimeout(() => session.chosen.style(style, ids, page), 180)
  }

  function resize(side: 'width' | 'height', field: HTMLInputElement) {
    if (!box) return
    const [w, h] = [box.maxX - box.minX, box.maxY - box.minY]
    const wanted = field.valueAsNumber
    if (!(wanted > 0)) {
      field.valueAsNumber = Math.round(side === 'width' ? w : h)
      return
    }
    const sx = side === 'width' && w > 0 ? wanted / w : 1
    const sy = side === 'height' && h > 0 ? wanted / h : 1
    session.chosen.transform(({ minX, minY }) => [sx, 0, 0, sy, minX - sx * minX, minY - sy * minY])
  }
</script>

{#if first}
  <div class="panel">
    <div class="side">
      {#if lines && drawn}
        <Slider
          label={t('width')}
          value={drawn.width}
          least={0.5}
          most={40}
          step={0.5}
          onchange={(width) => later({ width })}
        />
        {#if drawn.kind !== 'ink' || drawn.nib !== 'highlighter'}
          <Slider
            label={t('opacity')}
            value={drawn.opacity}
            least={0.1}
            most={1}
            step={0.05}
            show={(value) => `${Math.round(value * 100)} %`}
            onchange={(opacity) => later({ opacity })}
          />
        {/if}
      {/if}
      {#if sized}
        <Slider
          label={t('size')}
          value={sized.size}
          least={8}
          most={120}
          step={1}
          onchange={(size) => later({ size })}
        />
      {/if}
      {#if shape && shapes.length === items.length}
        <Choice
          label={t('dashes')}
          options={DASHES}
          bind:value={() => shape.dash, (dash) => session.chosen.style({ dash })}
        />
      {/if}
      {#if open && drawn}
        <Choice
          label={t('ends')}
          options={ENDS}
          bind:value={() => drawn.ends, (ends) => session.chosen.style({ ends })}
        />
      {/if}
      {#if box}
        <div class="size">
          <span>{t('size')}</span>
          <label
            >{t('wide')}
            <input
              type="number"
              min="1"
              value={Math.round(box.maxX - box.minX)}
              onchange={(event) => resize('width', event.currentTarget)}
            /></label
          >
          <label
            >{t('high')}
            <input
              type="number"
              min="1"
              value={Math.round(box.maxY - box.minY)}
              onchange={(event) => resize('height', event.currentTarget)}
            /></label
          >
        </div>
      {/if}
      {#if shape && shapes.length === items.length && shapes.every((item) => item.closed)}
        <ColourField
          label={t('fill')}
          value={shape.fill}
          paper="#16222b"
          recent={session.tools.recent}
          none
          onchoose={(fill) => session.chosen.style({ fill })}
        />
      {/if}
    </div>
    {#if first.kind !== 'picture' && first.kind !== 'card'}
      <ColourField
        label={t('colour')}
        value={first.colour}
        {paper}
        recent={session.tools.recent}
        onchoose={colour}
      />
    {/if}
  </div>
{/if}

<style>
  .panel {
    display: flex;
    flex-wrap: wrap;
    gap: 16px 26px;
  }
  .side {
    display: grid;
    align-content: start;
    gap: 8px;
    width: 372px;
    max-width: 100%;
  }
  .size {
    display: flex;
    align-items: center;
    gap: 12px;
    font-size: 14px;
  }
  .size span {
    width: 74px;
    color: var(--muted);
    font-size: 13px;
  }
  .size input {
    width: 76px;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
</style>
