<script lang="ts">
  /** All desks at once, live: who has begun, who waits, and a note to one of them; for the tutor side. */
  import { untrack } from 'svelte'
  import { deskless, handedOut, meant, noteOn, type Handed } from '../../lesson/handed'
  import type { Session } from '../../lesson/session.svelte'
  import { HAND_WORDS } from '../../people/hands'
  import PersonMark from '../../people/PersonMark.svelte'
  import SignPicture from '../../people/SignPicture.svelte'
  import { SIGNS } from '../../people/signs'
  import { ranked, SORTS, type Sort } from '../../people/sort'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Icon from '../../ui/Icon.svelte'
  import { screen } from '../../ui/screen.svelte'
  import Select from '../../ui/Select.svelte'
  import { MAX_NOTE, type PageHead } from '../../wire/generated'
  import { t } from '../../words/words.svelte'
  import PageThumb from './PageThumb.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  let dialog: ReturnType<typeof Dialog>
  let list = $state<HTMLUListElement>()
  /** The page whose desks are looked at; what is meant by the one that is open, at first. */
  let from = $state<string | null>(null)
  let sort = $state<Sort>('name')
  /** The desk that a note is written for, and the note. */
  let noting = $state('')
  let note = $state('')

  const all = $derived(handedOut(session.pages.heads))
  const handed = $derived(
    all.find((one) => one.from === from) ??
      meant(
        all,
        untrack(() => session.pages.id),
      ),
  )
  /** In the order of when it was asked for: a card that is aimed at stays where it is. */
  const desks = $derived.by(() => {
    const by = sort
    const order = untrack(() => ranked(session.people.list, by, session)).map(({ seat }) => seat)
    const place = ({ desk_of }: PageHead) => (order.includes(desk_of) ? order.indexOf(desk_of) : order.length)
    return (handed?.desks ?? []).toSorted((a, b) => place(a) - place(b))
  })
  /** What was handed out, or can be: to whoever has come since, or to all. */
  const page = $derived(session.pages.heads.find(({ id }) => id === (handed?.from ?? session.pages.id)))
  const without = $derived(page && session.rights.may('set_pens') ? deskless(session, page.id) : [])

  function pageName({ from, title }: Handed): string {
    const at = session.pages.heads.findIndex(({ id }) => id === from)
    return at < 0 ? t('handed-out-page') : t('page-name', { number: at + 1, title }).trim()
  }

  function nameOf({ desk_of, title }: PageHead): string {
    return session.people.of(desk_of)?.name ?? title
  }

  /** Whether the student has put anything there. */
  function begun({ id, desk_of }: PageHead): boolean {
    if (session.board.version < 0) return false
    for (const { item } of session.board.replica.pages.get(id)?.entries.values() ?? [])
      if (item.by === desk_of) return true
    return false
  }

  function standing(head: PageHead): string {
    const person = session.people.of(head.desk_of)
    const here = person !== undefined && person.tabs > 0
    const word = session.lesson?.words.find(([seat]) => seat === head.desk_of)?.[1]
    const parts = [
      !here && t('desk-away'),
      word && t(HAND_WORDS[word]),
      here && session.classroom.writing.has(head.desk_of) && t('is-writing'),
      here && person.page !== head.id && t('desk-elsewhere'),
      !begun(head) && t('desk-nothing-yet'),
    ]
    return parts.filter(Boolean).join(' · ') || t('desk-begun')
  }

  /** All desks of this page go; asked once. */
  let sure = $state(false)
  function takeAway({ detail }: MouseEvent) {
    if (!sure) sure = true
    else if (detail < 2) {
      for (const { id } of desks) session.do({ step: 'remove_page', page: id })
      sure = false
    }
  }

  const hasHand = ({ desk_of }: PageHead) => session.lesson?.hands.includes(desk_of) ?? false

  function go({ id }: PageHead) {
    session.pages.turnTo(id)
    dialog.close()
  }

  function showAll(head: PageHead) {
    const shown = session.board.replica.pages.get(head.id)
    if (!shown) return
    go(head)
    session.attention.leadTo(shown.whole)
    session.say(t('desk-shown', { name: nameOf(head) }))
  }

  function write(head: PageHead) {
    noting = noting === head.id ? '' : head.id
    note = ''
  }

  function leave(event: SubmitEvent, head: PageHead) {
    event.preventDefault()
    const there = session.board.replica.pages.get(head.id)
    if (!there || !note.trim()) return
    noteOn(session, there, note.trim())
    shut(event.currentTarget as HTMLElement)
  }

  /** The note's field goes, and who types is where they began. */
  function shut(field: HTMLElement) {
    field.closest('li')?.querySelector<HTMLElement>('[aria-expanded]')?.focus()
    noting = ''
  }

  /** Arrows go from desk to desk; up and down by what lies there. */
  function ondeskkey(event: KeyboardEvent) {
    const step = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns(), ArrowDown: columns() }[event.key]
    if (!step) return
    event.preventDefault()
    const faces = [...list!.querySelectorAll<HTMLButtonElement>('button.desk')]
    faces[faces.indexOf(event.currentTarget as HTMLButtonElement) + step]?.focus()
  }

  function columns(): number {
    return getComputedStyle(list!).gridTemplateColumns.split(' ').length
  }
</script>

{#snippet acts()}
  {#if desks.length > 1}
    <Button onclick={() => (dialog.close(), (session.desksShown = true))}>{t('check-desks')}</Button>
  {/if}
  {#if desks.length && session.rights.mayOnOthers('remove_page')}
    <Button kind="stop" onclick={takeAway} onblur={() => (sure = false)}
      >{t(sure ? 'yes-remove-desks' : 'remove-desks', { count: desks.length })}</Button
    >
  {/if}
{/snippet}
{#snippet beside()}
  {#if page && without.length}
    <Button kind="go" onclick={() => session.handOut(page)}
      >{t('hand-page-out', { count: without.length })}</Button
    >
  {/if}
  {#if all.length > 1 && handed}
    <Select
      bare
      label={t('handed-out-page')}
      options={all.map((one) => ({ value: one.from, label: pageName(one) }))}
      bind:value={() => handed.from, (value) => (from = value)}
    />
  {/if}
  {#if desks.length > 1}
    <Select
      bare
      label={t('sort-by')}
      options={SORTS.filter(({ value }) => value !== 'page').map(({ value, word }) => ({
        value,
        label: t(word),
      }))}
      bind:value={sort}
    />
  {/if}
  {#if !screen.phone}{@render acts()}{/if}
{/snippet}

<Dialog
  bind:this={dialog}
  title={t('desk-round')}
  width={1560}
  tall={desks.length > 3}
  {beside}
  {onclose}
  data-testid="round"
>
  {#if !desks.length}<p>{t('no-desks-here')}</p>{/if}
  <div class="all">
    <ul bind:this={list}>
      {#each desks as head (head.id)}
        {@const sign = session.classroom.reactions.findLast(({ seat }) => seat === head.desk_of)}
        <li data-name={nameOf(head)}>
          <button
            class="desk"
            aria-label={t('go-to-desk-of', { name: nameOf(head) })}
            onclick={() => go(head)}
            onkeydown={ondeskkey}><PageThumb {session} pageId={head.id} width={480} /></button
          >
          <div class="who">
            <PersonMark
              seat={head.desk_of}
              name={nameOf(head)}
              colour={session.people.colourOf(head.desk_of)}
              size={30}
            />
            <div class="words">
              <b>{nameOf(head)}</b>
              <small
                >{#if sign}<span class="sign"
                    ><SignPicture kind={sign.kind} size={14} />{t(SIGNS[sign.kind].word)}</span
                  >{' · '}{/if}{standing(head)}</small
              >
            </div>
            {#if hasHand(head)}
              <button
                class="hand"
                aria-label={t('lower-hand-of', { name: nameOf(head) })}
                title={t('lower-hand-of', { name: nameOf(head) })}
                onclick={() => session.tell({ command: 'lower_hand', seat: head.desk_of })}
                ><Icon name="raised" size={18} /></button
              >
            {/if}
            <Button
              kind="quiet"
              aria-label={t('note-on-desk', { name: nameOf(head) })}
              aria-expanded={noting === head.id}
              onclick={() => write(head)}>{t('tool-note')}</Button
            >
            <Button
              kind="quiet"
              aria-label={t('show-desk-of', { name: nameOf(head) })}
              onclick={() => showAll(head)}>{t('show-to-all')}</Button
            >
          </div>
          {#if noting === head.id}
            <form onsubmit={(event) => leave(event, head)}>
              <input
                bind:value={note}
                maxlength={MAX_NOTE}
                aria-label={t('note-on-desk', { name: nameOf(head) })}
                placeholder={t('note-on-desk-hint')}
                onkeydown={(event) =>
                  event.key === 'Escape' && (event.preventDefault(), shut(event.currentTarget))}
                {@attach (input) => input.focus()}
              />
              <Button type="submit" kind="go" disabled={!note.trim()}>{t('note-put')}</Button>
            </form>
          {/if}
        </li>
      {/each}
    </ul>
    {#if screen.phone && desks.length}<div class="acts">{@render acts()}</div>{/if}
  </div>
</Dialog>

<style>
  p {
    margin: 0;
  }
  ul {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(100%, 330px), 1fr));
    grid-auto-rows: max-content;
    gap: 12px;
    margin: 0;
    padding: 3px;
    list-style: none;
  }
  .all {
    min-height: 0;
    overflow-y: auto;
  }
  .acts {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
    padding: 12px 3px 3px;
  }
  li {
    border: 1px solid var(--sand-line);
    border-radius: 4px;
    background: var(--glass);
    overflow: hidden;
  }
  .desk {
    display: block;
    width: 100%;
    aspect-ratio: 17 / 12;
    padding: 0;
    border: 0;
    border-bottom: 1px solid var(--sand-line);
    background: none;
  }
  .desk:focus-visible {
    outline-offset: -3px;
  }
  .who {
    display: flex;
    align-items: center;
    gap: 4px;
    padding: 4px 6px 4px 8px;
    min-height: 50px;
  }
  .words {
    flex: 1;
    min-width: 0;
    display: grid;
    margin-inline-start: 4px;
    line-height: 1.25;
  }
  .words > * {
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  small {
    color: var(--muted);
    font-size: 12.5px;
  }
  .sign {
    display: inline-flex;
    align-items: center;
    gap: 3px;
    vertical-align: middle;
    font-weight: 600;
    color: var(--leaf-dark);
  }
  .who :global(button.quiet) {
    padding: 0 8px;
  }
  .hand {
    width: 40px;
    height: 40px;
    padding: 0;
    flex: none;
    border: 0;
    border-radius: 50%;
    background: var(--sun-pale);
    color: var(--on-pale);
    display: grid;
    place-items: center;
  }
  form {
    display: flex;
    gap: 6px;
    padding: 0 8px 8px;
  }
  input {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
  }
</style>
