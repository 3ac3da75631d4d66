<script lang="ts">
  import Radios from '../../ui/Radios.svelte'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { newId } from '../../wire/codec'
  import type { PageHead, Paper } from '../../wire/generated'
  import { KINDS, PAPER_COLOURS, RULINGS, SIZES, sizeOf } from '../../lesson/papers'
  import type { Session } from '../../lesson/session.svelte'

  let { session, head, onclose }: { session: Session; head: PageHead; onclose: () => void } = $props()
  const paper = $derived(head.paper)
  const size = $derived(sizeOf(paper))
  const at = $derived(session.pages.heads.findIndex((other) => other.id === head.id))

  /** Title, paper and place are for whoever made the page. */
  const own = $derived(session.rights.may('change_page'))

  function change(changes: Partial<Pick<PageHead, 'title' | 'paper' | 'writers' | 'desk_of'>>) {
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

  /** Students who have no desk on this board yet. */
  const deskless = $derived(
    session.people.list.filter(
      ({ seat, role, tabs }) =>
        role === 'student' && tabs > 0 && !session.pages.heads.some(({ desk_of }) => desk_of === seat),
    ),
  )

  function makeDesks() {
    // Each copy goes right behind the page: the last name first keeps them in order.
    for (const { seat, name } of deskless.toReversed())
      session.do({ step: 'copy_page', page: head.id, id: newId(), title: name, desk_of: seat })
    onclose()
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
    { key: 'mine', label: 'My work', of: (seat: string) => seat === session.rights.me },
    ...(session.people.tutorSide
      ? [
          { key: 'students', label: 'All students’ work', of: (seat: string) => !tutors.has(seat) },
          { key: 'all', label: 'Everything not locked', of: () => true },
          ...students.map(({ seat, name }) => ({
            key: seat,
            label: `${name}’s work`,
            of: (other: string) => other === seat,
          })),
        ]
      : []),
  ])
  let sure = $state('')

  function clear({ key, of }: (typeof scopes)[number]) {
    if (key !== 'mine' && sure !== key) {
      sure = key
      return
    }
    session.do({ step: 'remove_items', page: head.id, ids: session.chosen.clearable(of) })
    session.say('Cleared. Undo brings it back.')
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
      <span>Title</span>
      <input
        value={head.title}
        maxlength="80"
        placeholder="Page {at + 1}"
        onchange={(event) => change({ title: event.currentTarget.value.trim() })}
      />
    </label>
  {/if}
  <div class="row">
    {#if own}
      <Button disabled={at <= 0} onclick={() => session.movePage(head.id, -1)}>Move earlier</Button>
      <Button disabled={at >= session.pages.heads.length - 1} onclick={() => session.movePage(head.id, 1)}
        >Move later</Button
      >
    {/if}
    {#if session.rights.may('add_page')}<Button onclick={copy}>Copy</Button>{/if}
    {#if session.rights.mayOnOthers('remove_page') && session.pages.heads.length > 1}
      <Button
        kind="stop"
        onclick={() => {
          session.do({ step: 'remove_page', page: head.id })
          onclose()
        }}>Remove</Button
      >
    {/if}
  </div>
  <div class="row clear">
    <span>Clear</span>
    {#each scopes.filter(({ key, of }) => key === 'mine' || session.chosen.clearable(of).length) as scope (scope.key)}
      <Button
        kind={scope.key === 'mine' ? 'plain' : 'stop'}
        disabled={!session.chosen.clearable(scope.of).length}
        onclick={() => clear(scope)}>{sure === scope.key ? 'Yes, clear it' : scope.label}</Button
      >
    {/each}
  </div>
  {#if session.people.tutorSide && pinned.length}
    <div class="row">
      <Button
        onclick={() => {
          session.do({ step: 'arrange_items', page: head.id, ids: pinned, how: 'unpin', id: '' })
          onclose()
        }}>Unpin the background ({pinned.length})</Button
      >
    </div>
  {/if}
  {#if session.people.tutorSide}
    <Choice
      label="Who writes here"
      options={[
        { value: 'lesson', label: 'As the lesson' },
        { value: 'tutor_side', label: 'Tutor side only' },
        { value: 'open', label: 'Open to students' },
        ...(head.desk_of
          ? [{ value: 'desk' as const, label: `Desk of ${session.people.nameOf(head.desk_of)}` }]
          : []),
      ]}
      bind:value={() => head.writers, setWriters}
    />
    <div class="row">
      <Button disabled={!deskless.length} onclick={makeDesks}
        >{deskless.length ? `A desk for each of ${deskless.length}` : 'Everybody has a desk'}</Button
      >
      <span class="hint"
        >A copy of this page for each student who has none; only they and you write on it.</span
      >
    </div>
  {/if}
  {#if own}
    <Choice label="Paper" options={KINDS} bind:value={() => paper.kind, (kind) => set({ kind })} />
    {#if paper.kind !== 'endless'}
      <Choice
        label="Size"
        options={SIZES.map(({ name }) => ({ value: name as string, label: name }))}
        bind:value={() => size.name, (name) => setSize(name, size.lying)}
      />
      <Choice
        label="Lies"
        options={[
          { value: 0, label: 'Upright' },
          { value: 1, label: 'On its side' },
        ]}
        bind:value={() => Number(size.lying), (lying) => setSize(size.name, Boolean(lying))}
      />
    {/if}
    <Radios
      label="Ruling"
      options={RULINGS}
      name={({ label }) => label}
      taken={({ value }) => paper.ruling === value}
      ontake={({ value }) => set({ ruling: value })}
      look="buttons"
    />
    {#if paper.ruling !== 'plain'}
      <Slider
        label="Spacing"
        value={paper.spacing}
        least={16}
        most={120}
        step={4}
        onchange={(spacing) => set({ spacing })}
      />
    {/if}
    <Radios
      label="Paper colour"
      options={PAPER_COLOURS}
      name={({ name }) => name}
      taken={({ colour }) => paper.colour === colour}
      ontake={({ colour }) => set({ colour })}
      look="buttons"
    >
      {#snippet face({ name, colour })}<i style:background={colour}></i>{name}{/snippet}
    </Radios>
    <div class="row">
      {#if paper.picture}
        <Button onclick={() => set({ picture: '' })}>Take the picture off the paper</Button>
      {:else if session.rights.may('add_picture')}
        <Button onclick={() => input?.click()}>Picture as paper</Button>
      {/if}
      <input
        bind:this={input}
        class="file"
        type="file"
        accept="image/*"
        aria-label="Picture as paper"
        onchange={takePaper}
      />
    </div>
  {/if}
</div>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 560px;
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
    background: #fff;
    min-width: 0;
  }
  .clear span {
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
