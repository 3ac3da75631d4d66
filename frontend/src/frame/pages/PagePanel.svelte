<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { ask } from '../../wire/api'
  import { newId } from '../../wire/codec'
  import type { PageHead, Paper } from '../../wire/generated'
  import { KINDS, PAPER_COLOURS, RULINGS, SIZES, sizeOf } from '../../lesson/papers'
  import { deskless } from '../../lesson/handed'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, head, onclose }: { session: Session; head: PageHead; onclose: () => void } = $props()
  const paper = $derived(head.paper)
  const size = $derived(sizeOf(paper))
  const at = $derived(session.pages.heads.findIndex((other) => other.id === head.id))

  /** Title, paper and place are for whoever made the page. */
  const own = $derived(session.rights.may('change_page'))

  function change(changes: Partial<Pick<PageHead, 'title' | 'paper' | 'writers' | 'desk_of' | 'hidden'>>) {
    session.do({ step: 'edit_page', page: head.id, ...changes })
  }

  function set(changes: Partial<Paper>) {
    change({ paper: { ...paper, ...changes } })
  }

  function setSize(name: string, lying: boolean) {
    const { short, long } = SIZES.find((other) => other.name === name) ?? SIZES[0]
    set(lying ? { width: long, height: short } : { width: short, height: long })
  }

  function setWriters(writers: PageHead['writers']) {
    change({ writers, desk_of: writers === 'desk' ? head.desk_of : '' })
  }

  const without = $derived(deskless(session, head.id))

  /** Only the owner has more boards to bring a page to. */
  const others = $derived(
    session.welcome?.role === 'tutor' ? session.boards.filter(({ id }) => id !== session.boardId) : [],
  )
  let to = $state('')
  const target = $derived(others.find(({ id }) => id === to) ?? others[0])

  async function bring(move: boolean) {
    if (!target) return
    const { id, title } = target
    onclose()
    try {
      await ask('POST', `/api/rooms/${session.link}/boards/${session.boardId}/pages/${head.id}`, {
        board: id,
        move,
      })
      session.say(move ? t('page-moved-to', { board: title }) : t('page-copied-to', { board: title }))
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  async function shelve() {
    const title = head.title || t('page-number', { number: at + 1 })
    onclose()
    try {
      await ask('POST', `/api/rooms/${session.link}/shelf`, { board: session.boardId, page: head.id, title })
      session.say(t('shelf-page-put', { title }))
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  const pinned = $derived(
    session.board.version >= 0
      ? [...(session.pages.now?.entries.values() ?? [])].flatMap(({ item }) => (item.pinned ? [item.id] : []))
      : [],
  )
  /** What can be cleared: each in one step, asked once when it is others' work. */
  const students = $derived(session.people.list.filter(({ role }) => role === 'student'))
  const tutors = $derived(
    new Set(
      session.people.list.filter(({ role }) => role === 'tutor' || role === 'helper').map(({ seat }) => seat),
    ),
  )
  const scopes = $derived([
    { key: 'mine', label: t('my-work'), of: (seat: string) => seat === session.rights.me },
    ...(session.people.tutorSide
      ? [
          { key: 'students', label: t('all-students-work'), of: (seat: string) => !tutors.has(seat) },
          { key: 'all', label: t('everything-not-locked'), of: () => true },
          ...students.map(({ seat, name }) => ({
            key: seat,
            label: t('work-of', { name }),
            of: (other: string) => other === seat,
          })),
        ]
      : []),
  ])
  let sure = $state('')

  function clear({ key, of }: (typeof scopes)[number], { detail }: MouseEvent) {
    if (key !== 'mine' && sure !== key) {
      sure = key
      return
    }
    // The second of two quick presses has not read what is asked.
    if (key !== 'mine' && detail > 1) return
    session.do({ step: 'remove_items', page: head.id, ids: session.chosen.clearable(of) })
    session.say(t('cleared-undo-brings-it-back'))
    onclose()
  }

  let input = $state<HTMLInputElement>()
  function takePaper() {
    const [file] = input?.files ?? []
    if (file) void session.pictures.asPaper(file, head)
    if (input) input.value = ''
  }

  function copy() {
    const id = newId()
    session.pages.turnNext(id)
    session.do({ step: 'copy_page', page: head.id, id, title: '', desk_of: '' })
    onclose()
  }
</script>

<div class="panel">
  {#if own}
    <label class="title">
      <span>{t('title')}</span>
      <input
        value={head.title}
        maxlength="80"
        placeholder={t('page-number', { number: at + 1 })}
        onchange={(event) => change({ title: event.currentTarget.value.trim() })}
      />
    </label>
  {/if}
  <div class="row">
    {#if own}
      <Button disabled={at <= 0} onclick={() => session.movePage(head.id, -1)}>{t('move-earlier')}</Button>
      <Button disabled={at >= session.pages.heads.length - 1} onclick={() => session.movePage(head.id, 1)}
        >{t('move-later')}</Button
      >
    {/if}
    {#if session.rights.may('add_page')}<Button onclick={copy}>{t('copy')}</Button>{/if}
    {#if session.welcome?.role === 'tutor'}
      <Button
        onclick={() => {
          onclose()
          session.past = { page: head }
        }}>{t('how-it-was-made')}</Button
      >
      <Button onclick={shelve}>{t('shelf-put-page')}</Button>
    {/if}
    {#if session.rights.mayOnOthers('remove_page') && session.pages.heads.length > 1}
      <Button
        kind="stop"
        onclick={() => {
          session.do({ step: 'remove_page', page: head.id })
          onclose()
        }}>{t('remove')}</Button
      >
    {/if}
  </div>
  {#if target}
    <div class="row named">
      <span>{t('to-a-board')}</span>
      <select
        aria-label={t('to-a-board')}
        value={target.id}
        onchange={(event) => (to = event.currentTarget.value)}
      >
        {#each others as { id, title } (id)}<option value={id}>{title}</option>{/each}
      </select>
      <Button onclick={() => bring(false)}>{t('copy-there')}</Button>
      <Button disabled={session.pages.heads.length < 2} onclick={() => bring(true)}>{t('move-there')}</Button>
    </div>
  {/if}
  <div class="row named">
    <span>{t('clear')}</span>
    {#each scopes.filter(({ key, of }) => key === 'mine' || session.chosen.clearable(of).length) as scope (scope.key)}
      <Button
        kind={scope.key === 'mine' ? 'plain' : 'stop'}
        disabled={!session.chosen.clearable(scope.of).length}
        onclick={(event) => clear(scope, event)}
        >{sure === scope.key ? t('yes-clear-it') : scope.label}</Button
      >
    {/each}
  </div>
  {#if session.people.tutorSide && pinned.length}
    <div class="row">
      <Button
        onclick={() => {
          session.do({ step: 'arrange_items', page: head.id, ids: pinned, how: 'unpin', id: '' })
          onclose()
        }}>{t('unpin-the-background', { count: pinned.length })}</Button
      >
    </div>
  {/if}
  {#if session.people.tutorSide}
    <Choice
      label={t('who-sees-it')}
      options={[
        { value: 0, label: t('sees-everybody') },
        { value: 1, label: t('tutor-side-only') },
      ]}
      bind:value={() => Number(head.hidden), (hidden) => change({ hidden: Boolean(hidden) })}
    />
    <Choice
      label={t('who-writes-here')}
      options={[
        { value: 'lesson', label: t('as-the-lesson') },
        { value: 'tutor_side', label: t('tutor-side-only') },
        { value: 'open', label: t('open-to-students') },
        ...(head.desk_of
          ? [{ value: 'desk' as const, label: t('desk-of', { name: session.people.nameOf(head.desk_of) }) }]
          : []),
      ]}
      bind:value={() => head.writers, setWriters}
    />
    {#if students.some(({ tabs }) => tabs > 0)}
      <div class="row">
        <Button disabled={!without.length} onclick={() => (session.handOut(head), onclose())}
          >{without.length
            ? t('hand-page-out', { count: without.length })
            : t('everybody-has-a-desk')}</Button
        >
        <span class="hint">{t('a-copy-of-this-page')}</span>
      </div>
    {/if}
  {/if}
  {#if own}
    <Choice
      label={t('paper')}
      options={KINDS.map(({ value, word }) => ({ value, label: t(word) }))}
      bind:value={() => paper.kind, (kind) => set({ kind })}
    />
    {#if paper.kind !== 'endless'}
      <Choice
        label={t('size')}
        options={SIZES.map(({ name }) => ({ value: name as string, label: name }))}
        bind:value={() => size.name, (name) => setSize(name, size.lying)}
      />
      <Choice
        label={t('lies')}
        options={[
          { value: 0, label: t('upright') },
          { value: 1, label: t('on-its-side') },
        ]}
        bind:value={() => Number(size.lying), (lying) => setSize(size.name, Boolean(lying))}
      />
    {/if}
    <Radios
      label={t('ruling')}
      options={RULINGS}
      name={({ word }) => t(word)}
      taken={({ value }) => paper.ruling === value}
      ontake={({ value }) => set({ ruling: value })}
      look="buttons"
    />
    {#if paper.ruling !== 'plain'}
      <Slider
        label={t('spacing')}
        value={paper.spacing}
        least={16}
        most={120}
        step={4}
        onchange={(spacing) => set({ spacing })}
      />
    {/if}
    <Radios
      label={t('paper-colour')}
      options={PAPER_COLOURS}
      name={({ word }) => t(word)}
      taken={({ colour }) => paper.colour === colour}
      ontake={({ colour }) => set({ colour })}
      look="buttons"
    >
      {#snippet face({ word, colour })}<i style:background={colour}></i>{t(word)}{/snippet}
    </Radios>
    <div class="row">
      {#if paper.picture}
        <Button onclick={() => set({ picture: '' })}>{t('take-the-picture-off-the')}</Button>
      {:else if session.rights.may('add_picture')}
        <Button onclick={() => input?.click()}>{t('picture-as-paper')}</Button>
      {/if}
      <input
        bind:this={input}
        class="file"
        type="file"
        accept="image/*"
        aria-label={t('picture-as-paper')}
        onchange={takePaper}
      />
    </div>
  {/if}
</div>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 400px;
    max-width: 100%;
  }
  .title {
    display: grid;
    grid-template-columns: 74px 1fr;
    align-items: center;
    gap: 6px;
  }
  .title span {
    color: var(--muted);
    font-size: 13px;
  }
  input {
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    min-width: 0;
  }
  select {
    flex: 1;
    min-width: 90px;
    height: 40px;
    padding: 0 8px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  .named span {
    width: 74px;
    align-self: center;
    color: var(--muted);
    font-size: 13px;
  }
  .hint {
    flex: 1;
    align-self: center;
    color: var(--muted);
    font-size: 13px;
    line-height: 1.25;
  }
  .file {
    display: none;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  i {
    width: 16px;
    height: 16px;
    border: 1px solid var(--muted);
    border-radius: 3px;
  }
</style>
