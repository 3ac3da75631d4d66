<script lang="ts">
  /** Parts in a row; those that do not fit are found under More, in the same order. */
  import { tick, untrack, type Snippet } from 'svelte'
  import { t } from '../words/words.svelte'
  import Icon from './Icon.svelte'
  import Popover from './Popover.svelte'

  interface Part {
    key: string
    /** It is given its key. */
    part: Snippet<[string]>
    /** Only told where there is room: it is not looked for under More. */
    hint?: boolean
  }
  let { parts, label = t('more') }: { parts: (Part | false | null | undefined)[]; label?: string } = $props()
  const all = $derived(parts.filter((part): part is Part => Boolean(part)))
  const keys = $derived(all.map(({ key }) => key).join(' '))
  const MORE_PX = 46
  const GAP_PX = 8
  let row: HTMLElement
  let fitting = $state(Infinity)
  const rest = $derived(all.slice(fitting).filter(({ hint }) => !hint))
  /** More stays, open if it is, while others are laid out anew. */
  let stays = $state(false)
  /** Widths in px, as they were when a part stood in the row last. */
  let widths = new Map<string, number>()

  function measure() {
    for (const child of row.children as Iterable<HTMLElement>)
      if (child.dataset.key) widths.set(child.dataset.key, Math.ceil(child.getBoundingClientRect().width))
    const count = (room: number) => {
      let used = -GAP_PX
      const last = all.findIndex(({ key }) => (used += GAP_PX + (widths.get(key) ?? 0)) > room)
      return last < 0 ? all.length : last
    }
    const room = row.clientWidth
    const whole = count(room)
    fitting = whole === all.length ? whole : count(room - MORE_PX - GAP_PX)
    stays = false
  }

  $effect(() => {
    // Other parts than before: all of them are laid out once, and looked at before anybody sees them.
    void keys
    stays = untrack(() => rest.length > 0)
    fitting = Infinity
    const observer = new ResizeObserver(measure)
    let gone = false
    void tick().then(() => {
      if (gone) return
      observer.observe(row)
      for (const child of row.children) observer.observe(child)
      measure()
    })
    return () => {
      gone = true
      observer.disconnect()
    }
  })
</script>

<div class="row" bind:this={row}>
  {#each all.slice(0, fitting) as { key, part, hint } (key)}
    <div class="part" class:hint data-key={key}>{@render part(key)}</div>
  {/each}
  {#if rest.length || stays}
    <div class="part">
      <Popover {label} side="right">
        {#snippet face()}<Icon name="more" size={20} />{/snippet}
        {#snippet children()}
          <div class="rest">
            {#each rest as { key, part } (key)}
              <div class="part">{@render part(key)}</div>
            {/each}
          </div>
        {/snippet}
      </Popover>
    </div>
  {/if}
</div>

<style>
  .row {
    flex: 1;
    min-width: 0;
    display: flex;
    align-items: center;
    gap: 8px;
    overflow: hidden;
    /* Focus rings lie outside what has them. */
    padding: 4px;
    margin: -4px;
  }
  .part {
    display: flex;
    align-items: center;
    gap: 8px;
    flex: none;
  }
  .rest {
    display: grid;
    gap: 10px;
    justify-items: start;
  }
  .rest .part {
    flex-wrap: wrap;
    max-width: 100%;
  }
</style>
