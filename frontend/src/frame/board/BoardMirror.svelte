<script lang="ts">
  /** The page in words, beside the canvas, for those who listen to it; what others add is told, a few at a time. */
  import { onDestroy } from 'svelte'
  import type { Session } from '../../lesson/session.svelte'
  import type { Item } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import { FIGURE_NAMES } from '../../lesson/figure-names'
  import { standingWords } from '../header/standing'

  let { session }: { session: Session } = $props()
  /** The list follows the page this much later: it is not for the eye. */
  const WAIT_MS = 1_500
  /** More is not listened to; and strokes this near to each other are told as one. */
  const MOST = 400
  const NEAR = 60
  let lines = $state.raw<string[]>([])
  let news = $state('')
  let known: { page: string; ids: Set<string> } = { page: '', ids: new Set() }
  let timer: ReturnType<typeof setTimeout> | undefined
  onDestroy(() => clearTimeout(timer))

  $effect(() => {
    void [session.board.version, session.pages.id]
    timer ??= setTimeout(look, WAIT_MS)
  })

  function look() {
    timer = undefined
    const entries = [...(session.pages.now?.entries.values() ?? [])]
    const items = entries.map(({ item }) => item).sort((a, b) => a.y - b.y || a.x - b.x)
    lines = inWords(items.slice(0, MOST))
    const ids = new Set(items.map(({ id }) => id))
    if (known.page === session.pages.id) {
      const added = items.filter(({ id, by }) => !known.ids.has(id) && by !== session.rights.me)
      const writers = [...new Set(added.map(({ by }) => session.people.nameOf(by)))]
      if (added.length) news = t('was-added', { count: added.length, names: writers.slice(0, 3).join(', ') })
    }
    known = { page: session.pages.id, ids }
  }

  function inWords(items: Item[]): string[] {
    const said: string[] = []
    let ink: { by: string; y: number; count: number } | null = null
    const endInk = () => {
      if (ink) said.push(t('heard-ink', { count: ink.count, name: session.people.nameOf(ink.by) }))
      ink = null
    }
    for (const item of items) {
      if (item.kind === 'ink') {
        if (!ink || ink.by !== item.by || item.y - ink.y > NEAR) {
          endInk()
          ink = { by: item.by, y: item.y, count: 0 }
        }
        ink.count++
        continue
      }
      endInk()
      said.push(thing(item))
    }
    endInk()
    return said
  }

  function thing(item: Exclude<Item, { kind: 'ink' }>): string {
    const name = session.people.nameOf(item.by)
    switch (item.kind) {
      case 'text':
        return t('heard-text', { words: item.text, name })
      case 'note':
        return t('heard-note', { words: item.text, name: item.name || name })
      case 'table':
        return t('heard-table', {
          rows: item.rows.length,
          columns: item.columns.length,
          words: item.cells.filter(Boolean).join(', '),
          name,
        })
      case 'shape':
        return t('heard-figure', { figure: t(FIGURE_NAMES[item.figure]), words: item.text, name })
      case 'picture':
        return t('heard-picture', { name })
    }
  }
</script>

<section class="unseen" aria-label={t('page-in-words')}>
  <ul>
    {#each lines as line, i (i)}<li>{line}</li>{/each}
  </ul>
</section>
<div class="unseen" role="status" aria-live="polite">{news}</div>
<!-- Whether one may write is told at once. -->
<div class="unseen" role="alert" data-testid="heard-pens">{standingWords(session)}</div>
