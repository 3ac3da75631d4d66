<script lang="ts">
  /** Pages of documents with their printed words over them, to be picked with pointer or keys. */
  import { addressOf } from '../../board/pictures'
  import { newText } from '../../board/text'
  import { MAX_TEXT, type PrintedLine } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import type { Surface } from '../board/surface.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { t } from '../../words/words.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  /** Words set on the page are about as wide as a page. */
  const WRAP = 720
  const SIZE = 22
  let dialog: ReturnType<typeof Dialog>
  let pages = $state<HTMLElement>()
  let picked = $state('')
  let said = $state('')
  const all = $derived(session.pictures.printed!)
  const words = $derived(picked || all.flatMap(({ lines }) => lines.map(({ text }) => text)).join('\n'))
  const measure = document.createElement('canvas').getContext('2d')!
  const AS_MEASURED = 100

  /** How much wider than it would be a line is set, so that it lies on what is printed. */
  function stretch({ text, width, height }: PrintedLine, aspect: number): number {
    measure.font = `${AS_MEASURED}px sans-serif`
    const wide = measure.measureText(text).width / AS_MEASURED
    return wide ? (width * aspect) / (height * wide) : 1
  }

  function onselectionchange() {
    const selection = getSelection()
    const inside = selection?.anchorNode && pages?.contains(selection.anchorNode)
    picked = inside ? selection.toString().trim() : ''
  }

  async function copy() {
    try {
      await navigator.clipboard.writeText(words)
      said = t('copied')
    } catch {
      said = t('copy-refused')
    }
  }

  function set() {
    if (words.length > MAX_TEXT) {
      said = t('that-is-more-text-than')
      return
    }
    const [x, y] = surface!.looking.middle()
    const { ink } = session.tools
    const item = newText(session.rights.me, words, x - WRAP / 2, y, SIZE, ink, WRAP)
    session.do({ step: 'add_items', page: session.pages.id, items: [item] })
    session.chooseMade([item.id])
    dialog.close()
  }
</script>

<svelte:document {onselectionchange} />

<Dialog
  bind:this={dialog}
  title={t('printed-words')}
  width={940}
  tall
  onclose={() => (session.pictures.printed = null)}
  data-testid="printed-words"
>
  <p role="status">{said || t('printed-hint')}</p>
  <div class="pages" bind:this={pages}>
    {#each all as { id, aspect, lines } (id)}
      <div class="page" style:aspect-ratio={aspect}>
        <img src={addressOf(id)} alt="" draggable="false" />
        {#each lines as line, n (n)}
          <p
            style:left="{line.x * 100}%"
            style:top="{line.y * 100}%"
            style:font-size="{(line.height / aspect) * 100}cqw"
            style:transform="scaleX({stretch(line, aspect)})"
          >
            {line.text}
          </p>
        {/each}
      </div>
    {/each}
  </div>
  <div class="row">
    <Button kind="go" onclick={copy}>{picked ? t('copy-picked') : t('copy-all-words')}</Button>
    {#if surface && session.rights.may('add_text')}
      <Button onclick={set}>{picked ? t('set-picked') : t('set-all-words')}</Button>
    {/if}
  </div>
</Dialog>

<style>
  .pages {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    background: var(--sand);
  }
  .page {
    position: relative;
    container-type: inline-size;
    margin-bottom: 12px;
    background: #fff;
  }
  img {
    width: 100%;
    height: 100%;
    display: block;
    user-select: none;
  }
  .page p {
    position: absolute;
    margin: 0;
    line-height: 1;
    white-space: pre;
    transform-origin: left top;
    font-family: sans-serif;
    color: transparent;
    cursor: text;
    user-select: text;
  }
  .page p::selection {
    background: color-mix(in srgb, var(--sun) 45%, transparent);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
</style>
