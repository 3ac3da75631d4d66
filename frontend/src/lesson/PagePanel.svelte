<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Choice from '../ui/Choice.svelte'
  import Slider from '../ui/Slider.svelte'
  import { newId } from '../wire/codec'
  import type { PageHead, Paper } from '../wire/generated'
  import { KINDS, PAPER_COLOURS, RULINGS, SIZES, sizeOf } from './papers'
  import type { Session } from './session.svelte'

  let { session, head, onclose }: { session: Session; head: PageHead; onclose: () => void } = $props()
  const paper = $derived(head.paper)
  const size = $derived(sizeOf(paper))
  const at = $derived(session.heads.findIndex((other) => other.id === head.id))

  function change(changes: Partial<PageHead>) {
    session.do({ step: 'change_page', head: { ...head, ...changes } })
  }

  function set(changes: Partial<Paper>) {
    change({ paper: { ...paper, ...changes } })
  }

  function setSize(name: string, lying: boolean) {
    const { short, long } = SIZES.find((other) => other.name === name) ?? SIZES[0]
    set(lying ? { width: long, height: short } : { width: short, height: long })
  }

  function clear(mine: boolean) {
    session.do({ step: 'remove_items', page: head.id, ids: session.chosen.clearable(mine) })
    session.say('Cleared. Undo brings it back.')
    onclose()
  }

  let input: HTMLInputElement
  function takePaper() {
    const [file] = input.files ?? []
    if (file) void session.pictures.asPaper(file, head)
    input.value = ''
  }

  function copy() {
    const id = newId()
    session.turnNext(id)
    session.do({ step: 'copy_page', page: head.id, id })
    onclose()
  }
</script>

<div class="panel">
  <label class="title">
    <span>Title</span>
    <input
      value={head.title}
      maxlength="80"
      placeholder="Page {at + 1}"
      onchange={(event) => change({ title: event.currentTarget.value.trim() })}
    />
  </label>
  <div class="row">
    <Button disabled={at <= 0} onclick={() => session.movePage(head.id, -1)}>Move earlier</Button>
    <Button disabled={at >= session.heads.length - 1} onclick={() => session.movePage(head.id, 1)}
      >Move later</Button
    >
    <Button onclick={copy}>Copy</Button>
    {#if session.may('remove_page', true) && session.heads.length > 1}
      <Button
        kind="stop"
        onclick={() => {
          session.do({ step: 'remove_page', page: head.id })
          onclose()
        }}>Remove</Button
      >
    {/if}
  </div>
  <div class="row">
    <Button disabled={!session.chosen.clearable(true).length} onclick={() => clear(true)}
      >Clear my work</Button
    >
    {#if session.tutorSide}
      <Button kind="stop" disabled={!session.chosen.clearable(false).length} onclick={() => clear(false)}
        >Clear all that is not locked</Button
      >
    {/if}
  </div>
  {#if session.tutorSide}
    <Choice
      label="Who writes here"
      options={[
        { value: 'lesson', label: 'As the lesson' },
        { value: 'tutor_side', label: 'Tutor side only' },
        { value: 'open', label: 'Open to students' },
      ]}
      bind:value={() => head.writers, (writers) => change({ writers })}
    />
  {/if}
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
  <div class="rulings" role="radiogroup" aria-label="Ruling">
    {#each RULINGS as { value, label } (value)}
      <button role="radio" aria-checked={paper.ruling === value} onclick={() => set({ ruling: value })}
        >{label}</button
      >
    {/each}
  </div>
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
  <div class="rulings" role="radiogroup" aria-label="Paper colour">
    {#each PAPER_COLOURS as { name, colour } (colour)}
      <button role="radio" aria-checked={paper.colour === colour} onclick={() => set({ colour })}
        ><i style:background={colour}></i>{name}</button
      >
    {/each}
  </div>
  <div class="row">
    {#if paper.picture}
      <Button onclick={() => set({ picture: '' })}>Take the picture off the paper</Button>
    {:else if session.may('add_picture')}
      <Button onclick={() => input.click()}>Picture as paper</Button>
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
</div>

<style>
  .panel {
    display: grid;
    gap: 10px;
    width: 420px;
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
  .file {
    display: none;
  }
  .row,
  .rulings {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  .rulings button {
    min-height: 40px;
    padding: 0 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
    display: flex;
    align-items: center;
    gap: 7px;
  }
  .rulings button[aria-checked='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 1.5px var(--leaf);
  }
  i {
    width: 16px;
    height: 16px;
    border: 1px solid var(--muted);
    border-radius: 3px;
  }
</style>
