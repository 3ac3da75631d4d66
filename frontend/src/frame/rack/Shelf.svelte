<script lang="ts">
  /** The shelf: material that is kept to be used on any board, in folders, found by its words; or the piece box on it. */
  import { onMount } from 'svelte'
  import { ask } from '../../wire/api'
  import type { Shelf, ShelfCard, Used } from '../../wire/generated'
  import { handedOut, meant } from '../../lesson/handed'
  import { setPieceDown } from '../../lesson/piece-box'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Icon from '../../ui/Icon.svelte'
  import { Sending } from '../../wire/sending.svelte'
  import { asks } from '../../ui/ticks'
  import { t } from '../../words/words.svelte'

  interface Props {
    session: Session
    /** The piece box alone; else all but that. */
    pieces?: boolean
    onclose: () => void
  }
  let { session, pieces = false, onclose }: Props = $props()
  /** While words are typed the server is asked only when they rest. */
  const TYPING_MS = 250
  let dialog: ReturnType<typeof Dialog>
  let input: HTMLInputElement
  let shelf = $state.raw<Shelf | null>(null)
  let words = $state('')
  let changed = $state.raw<ShelfCard | null>(null)
  let title = $state('')
  let folder = $state('')
  const sending = new Sending()
  let busy = $state(false)
  let timer: ReturnType<typeof setTimeout> | undefined
  const path = $derived(`/api/rooms/${session.link}/shelf`)
  const things = $derived((shelf?.things ?? []).filter(({ kind }) => (kind === 'piece') === pieces))
  const here = $derived(things.filter(({ away }) => !away))
  const away = $derived(things.filter((one) => one.away))
  const desks = $derived(meant(handedOut(session.pages.heads), session.pages.id)?.desks ?? [])
  const folders = $derived([...new Set(here.map((one) => one.folder))].sort((a, b) => a.localeCompare(b)))

  onMount(() => {
    void load()
    return () => clearTimeout(timer)
  })

  async function tried(what: () => Promise<void>) {
    sending.problems = []
    busy = true
    try {
      await what()
    } catch (error) {
      sending.problems = [(error as Error).message]
    }
    busy = false
  }

  const load = () => tried(find)

  /** What stands there by the words that are looked for; other ones may have been typed by the time that it is known. */
  async function find() {
    const wanted = words
    const found = await ask<Shelf>('GET', `${path}?words=${encodeURIComponent(wanted)}`)
    if (wanted === words) shelf = found
  }

  function searched() {
    clearTimeout(timer)
    timer = setTimeout(load, TYPING_MS)
  }

  function put() {
    const files = [...(input.files ?? [])]
    input.value = ''
    words = ''
    void sending.send(files, async (file, signal) => {
      const name = encodeURIComponent(file.name)
      shelf = await ask<Shelf>('POST', `${path}/files?name=${name}`, file, signal)
    })
  }

  const change = (thing: ShelfCard, wanted: object) =>
    tried(async () => {
      await ask<Shelf>('PATCH', `${path}/${thing.id}`, wanted)
      changed = null
      await find()
    })

  const remove = (thing: ShelfCard) =>
    tried(async () => {
      await ask<Shelf>('DELETE', `${path}/${thing.id}`)
      await find()
    })

  const setDown = (thing: ShelfCard, pages: string[]) =>
    tried(async () => {
      const there = pages.flatMap((id) => session.board.replica.pages.get(id) ?? [])
      await setPieceDown(session, session.link, thing, there)
      dialog.close()
      if (pages.length > 1 || pages[0] !== session.pages.id)
        session.say(t('piece-on-desks', { title: thing.title, count: pages.length }))
    })

  const use = (thing: ShelfCard) =>
    tried(async () => {
      const used = await ask<Used>('POST', `${path}/${thing.id}/on/${session.boardId}`)
      dialog.close()
      if (used.picture) session.pictures.putTaken([used.picture])
      else if (used.document) session.documents.show(used.document, thing.title)
    })
</script>

{#snippet look()}
  <input
    type="search"
    bind:value={words}
    oninput={searched}
    aria-label={t('shelf-search')}
    placeholder={t('shelf-search')}
  />
  {#if pieces}
    <span class="muted">{t('piece-box-hint')}</span>
  {:else if sending.now}
    <span role="status">{sending.now}</span>
    <Button onclick={() => sending.giveUp()}>{t('give-up')}</Button>
  {:else}
    <Button disabled={busy} onclick={() => input.click()}>{t('shelf-put-file')}</Button>
  {/if}
{/snippet}

<Dialog
  bind:this={dialog}
  title={t(pieces ? 'piece-box' : 'shelf')}
  width={1000}
  tall
  {onclose}
  beside={look}
  data-testid="shelf"
>
  <input
    class="file"
    bind:this={input}
    type="file"
    multiple
    accept="image/*,.heic,.heif,application/pdf"
    aria-label={t('shelf-put-file')}
    onchange={put}
  />
  {#each sending.problems as told, at (at)}<p class="problem" role="alert">
      {told}
    </p>{/each}
  <div class="all">
    {#if shelf && !here.length}<p class="muted">
        {words.trim() ? t('shelf-nothing-found') : t(pieces ? 'piece-box-empty' : 'shelf-empty')}
      </p>{/if}
    {#each folders as name (name)}
      {#if folders.length > 1}<h3>{name || t('shelf-no-folder')}</h3>{/if}
      <ul>
        {#each here.filter((one) => one.folder === name) as thing (thing.id)}
          <li>
            {#if changed?.id === thing.id}
              <form
                onsubmit={(event) => {
                  event.preventDefault()
                  void change(thing, { title, folder })
                }}
              >
                <label>{t('title')}<input bind:value={title} maxlength="80" required /></label>
                <label
                  >{t('shelf-folder')}<input bind:value={folder} maxlength="60" list="shelf-folders" /></label
                >
                {#if shelf?.may_share}
                  <label class="line"
                    ><input
                      type="checkbox"
                      checked={thing.shared}
                      onchange={asks((shared) => void change(thing, { shared }))}
                    />
                    {t('shelf-share')}</label
                  >
                {/if}
                <Button kind="go" type="submit">{t('keep-it')}</Button>
                <Button kind="stop" onclick={() => change(thing, { away: true })}>{t('shelf-away')}</Button>
              </form>
            {:else}
              <button
                class="thing"
                disabled={busy}
                aria-label={t('shelf-use', { title: thing.title })}
                onclick={() => (pieces ? setDown(thing, [session.pages.id]) : use(thing))}
              >
                <img src="/rooms/{session.link}/shelf/{thing.id}.png" alt="" loading="lazy" />
                <b>{thing.title}</b>
                {#if thing.shared}<span class="muted">{t('shelf-school')}</span>{/if}
              </button>
              {#if pieces && desks.length}
                <button
                  class="desks"
                  disabled={busy}
                  aria-label={t('piece-put-on-desks', { title: thing.title, count: desks.length })}
                  onclick={() =>
                    setDown(
                      thing,
                      desks.map(({ id }) => id),
                    )}>{t('on-all-desks', { count: desks.length })}</button
                >
              {/if}
              {#if thing.mine}
                <button
                  class="change"
                  aria-label={t('shelf-change', { title: thing.title })}
                  onclick={() => {
                    changed = thing
                    title = thing.title
                    folder = thing.folder
                  }}><Icon name="more" size={18} /></button
                >
              {/if}
            {/if}
          </li>
        {/each}
      </ul>
    {/each}
    <datalist id="shelf-folders"
      >{#each folders as name (name)}<option value={name}></option>{/each}</datalist
    >
    {#if away.length}
      <details>
        <summary>{t('shelf-put-away', { count: away.length })}</summary>
        {#each away as thing (thing.id)}
          <div class="row">
            <span class="gone">{thing.title}</span>
            <Button onclick={() => change(thing, { away: false })}>{t('bring-back')}</Button>
            <Button kind="stop" onclick={() => remove(thing)}>{t('shelf-delete')}</Button>
          </div>
        {/each}
      </details>
    {/if}
  </div>
</Dialog>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 12px;
  }
  h3 {
    font: 600 16px/1.3 var(--title);
    margin: 14px 0 8px;
  }
  input:not([type='checkbox'], .file) {
    min-height: 40px;
    min-width: 0;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
  }
  .file {
    display: none;
  }
  .all {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
    gap: 12px;
  }
  li {
    position: relative;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    overflow: hidden;
  }
  .thing {
    width: 100%;
    padding: 0 0 10px;
    border: 0;
    background: none;
    color: var(--ink);
    font: inherit;
    text-align: left;
    display: grid;
  }
  .thing:hover {
    background: var(--sand);
  }
  .thing b,
  .thing span {
    padding: 6px 44px 0 10px;
    overflow-wrap: anywhere;
  }
  img {
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: contain;
    background: #fff;
    border-bottom: 1px solid var(--sand-line);
  }
  .desks {
    min-height: 40px;
    margin: 0 0 4px 4px;
    padding: 0 6px;
    border: 0;
    background: none;
    color: var(--leaf-dark);
    font-weight: 600;
  }
  .change {
    position: absolute;
    right: 2px;
    bottom: 2px;
    width: 40px;
    height: 40px;
    border: 0;
    background: none;
    color: var(--ink);
    display: grid;
    place-items: center;
  }
  form {
    display: grid;
    gap: 8px;
    padding: 10px;
  }
  label {
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
  }
  .line {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
  }
  .gone {
    margin-inline-end: auto;
    overflow-wrap: anywhere;
  }
  details {
    margin-top: 18px;
  }
  summary {
    min-height: 40px;
    cursor: pointer;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .problem {
    color: var(--clay);
    margin: 0;
  }
</style>
