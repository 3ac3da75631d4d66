<script lang="ts">
  /** All pages as large live pictures: to turn to, to put in order, and to settle. */
  import { tick } from 'svelte'
  import Button from '../../ui/Button.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Popover from '../../ui/Popover.svelte'
  import type { PageHead } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'
  import AddPage from './AddPage.svelte'
  import PagePanel from './PagePanel.svelte'
  import PageThumb from './PageThumb.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  let list: HTMLOListElement
  let dragged = $state('')
  const head = $derived(session.pages.heads.find((other) => other.id === session.pages.id))
  const settles = $derived(
    session.rights.may('change_page') || session.rights.may('add_page') || session.rights.may('remove'),
  )

  $effect(() => {
    // The page that is looked at is in sight.
    void session.pages.id
    void tick().then(() => list.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' }))
  })

  function tag({ title, writers, desk_of, hidden }: PageHead): string {
    if (hidden) return t('page-hidden')
    if (writers === 'desk') {
      const name = session.people.of(desk_of)?.name ?? ''
      return title.startsWith(name) ? '' : name
    }
    return writers === 'open' ? t('page-open') : writers === 'tutor_side' ? t('page-tutor') : ''
  }

  function drop(index: number) {
    const from = session.pages.heads.findIndex((other) => other.id === dragged)
    if (from >= 0) session.movePage(dragged, index - from)
    dragged = ''
  }

  function onpagekey(event: KeyboardEvent, id: string) {
    const step = { ArrowLeft: -1, ArrowRight: 1 }[event.key]
    if (!step) return
    event.preventDefault()
    event.stopPropagation()
    if (event.altKey) return session.movePage(id, step)
    const buttons = [...list.querySelectorAll<HTMLButtonElement>('button.page')]
    buttons[buttons.indexOf(event.currentTarget as HTMLButtonElement) + step]?.focus()
  }
</script>

<div class="film">
  <div class="row">
    <b>{t('pages-of-board', { count: session.pages.heads.length })}</b>
    {#if session.people.tutorSide && session.desks.heads.length}
      <Button onclick={() => (onclose(), (session.roundShown = true))}>{t('desk-round')}</Button>
    {/if}
    {#if head && settles}
      <Popover label={t('page-and-paper')} side="right">
        {#snippet children(close)}
          <PagePanel {session} {head} onclose={() => (close(), onclose())} />
        {/snippet}
      </Popover>
    {/if}
    {#if session.rights.may('add_page')}
      <Popover label={t('add-a-page')} now={t('add-page')} side="right">
        {#snippet face()}<Icon name="plus" size={18} />{t('add-page')}{/snippet}
        {#snippet children(close)}<AddPage {session} onclose={() => (close(), onclose())} />{/snippet}
      </Popover>
    {/if}
    <Button kind="quiet" aria-label={t('close')} onclick={onclose}><Icon name="close" size={18} /></Button>
  </div>
  <ol bind:this={list}>
    {#each session.pages.heads as page, i (page.id)}
      <li>
        <button
          class="page"
          aria-current={page.id === session.pages.id ? 'page' : undefined}
          aria-label={t('page-name', { number: i + 1, title: page.title })}
          draggable={session.rights.may('change_page')}
          ondragstart={() => (dragged = page.id)}
          ondragover={(event) => dragged && event.preventDefault()}
          ondrop={() => drop(i)}
          onkeydown={(event) => onpagekey(event, page.id)}
          onclick={() => {
            session.pages.turnTo(page.id)
            onclose()
          }}
        >
          <span class="picture"><PageThumb {session} pageId={page.id} /></span>
          <span class="name"
            ><b>{i + 1}</b>
            {page.title}{#if tag(page)}<em>{tag(page)}</em>{/if}</span
          >
        </button>
      </li>
    {/each}
  </ol>
</div>

<style>
  .film {
    display: grid;
    gap: 10px;
  }
  .row {
    display: flex;
    align-items: center;
    flex-wrap: wrap;
    gap: 8px;
  }
  .row > b {
    margin-inline-end: auto;
  }
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 10px;
    list-style: none;
    margin: 0;
    padding: 3px;
  }
  .page {
    width: 100%;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: 3px;
    background: var(--glass);
    overflow: hidden;
    display: block;
    text-align: start;
  }
  .page[aria-current] {
    border-color: var(--leaf);
    box-shadow: 0 0 0 2px var(--leaf);
  }
  .picture {
    display: block;
    aspect-ratio: 17 / 12;
  }
  .name {
    display: flex;
    gap: 6px;
    padding: 5px 8px;
    font-size: 13px;
    border-top: 1px solid var(--sand-line);
    white-space: nowrap;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  em {
    margin-inline-start: auto;
    padding: 0 5px;
    background: var(--sun-pale);
    color: var(--on-pale);
    font-style: normal;
  }
</style>
