<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import { newId } from '../../wire/codec'
  import type { SetDoor } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const lesson = $derived(session.lesson!)
  let label = $state('')
  let question = $state('')
  let options = $state('yes\nno')
  let asking = $state(false)
  let door = $state<SetDoor['door'] | null>(null)
  let code = $state('')
  const DOORS: { value: SetDoor['door']; label: string }[] = [
    { value: 'open', label: 'Open' },
    { value: 'knock', label: 'Knock' },
    { value: 'code', label: 'Code' },
  ]
  const HINTS = {
    open: 'Whoever has the link is in at once.',
    knock: 'You see who knocks, and let them in.',
    code: 'Whoever has the link and the code is in.',
  }
  const MINUTES = [1, 2, 5, 10, 20]
  const shownDoor = $derived(door ?? lesson.door)

  function setDoor(wanted: SetDoor['door']) {
    door = wanted
    if (wanted !== 'code') session.tell({ command: 'set_door', door: wanted, code: '' })
  }

  function countDown(seconds: number) {
    session.tell({ command: 'set_countdown', seconds, label })
    onclose()
  }

  function ask() {
    const given = options
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean)
    session.tell({ command: 'ask_check', id: newId(), question: question.trim(), options: given })
    onclose()
  }
</script>

<div class="panel">
  <section>
    <h3>Time for a task</h3>
    <input
      bind:value={label}
      maxlength="80"
      placeholder="What for (if you like)"
      aria-label="What the time is for"
    />
    <div class="row">
      {#each MINUTES as minutes (minutes)}
        <Button onclick={() => countDown(60 * minutes)}>{minutes} min</Button>
      {/each}
      {#if lesson.countdown}<Button kind="stop" onclick={() => countDown(0)}>Stop</Button>{/if}
    </div>
  </section>
  <section>
    <h3>A question to everybody</h3>
    {#if asking}
      <input bind:value={question} maxlength="200" placeholder="The question" aria-label="The question" />
      <textarea bind:value={options} rows="4" aria-label="Answers, one to a line"></textarea>
      <div class="row">
        <Button kind="go" onclick={ask}>Ask it</Button>
        <Button kind="quiet" onclick={() => (options = 'A\nB\nC\nD')}>A to D</Button>
        <Button kind="quiet" onclick={() => (options = 'yes\nno')}>Yes or no</Button>
      </div>
    {:else}
      <div class="row"><Button onclick={() => (asking = true)}>Write a question</Button></div>
    {/if}
  </section>
  {#if session.people.role === 'tutor'}
    <section>
      <h3>The door</h3>
      <Choice label="Come in by" options={DOORS} bind:value={() => shownDoor, setDoor} />
      {#if shownDoor === 'code'}
        <div class="row">
          <input
            bind:value={code}
            maxlength="12"
            placeholder={session.classroom.code || 'at least four letters or digits'}
            aria-label="Code of the door"
          />
          <Button onclick={() => session.tell({ command: 'set_door', door: 'code', code })}
            >Set the code</Button
          >
        </div>
        {#if session.classroom.code}<p>The code is <b>{session.classroom.code}</b>.</p>{/if}
      {/if}
      <p>{HINTS[shownDoor]}</p>
    </section>
  {/if}
  <section class="row">
    <Button
      onclick={() => (session.tell({ command: 'pause_lesson', paused: !lesson.facts.paused }), onclose())}
      >{lesson.facts.paused ? 'Go on with the lesson' : 'Pause the lesson'}</Button
    >
    <Button
      aria-pressed={session.classroom.writersShown}
      onclick={() => {
        session.classroom.writersShown = !session.classroom.writersShown
        session.classroom.onlyBy = ''
        session.surface?.changed()
        onclose()
      }}>{session.classroom.writersShown ? 'Hide who wrote what' : 'Show who wrote what'}</Button
    >
    <Button onclick={() => (session.send({ type: 'clear_pointers', everyone: true }), onclose())}
      >Clear pointers</Button
    >
  </section>
</div>

<style>
  .panel {
    display: grid;
    gap: 14px;
    width: 430px;
    max-width: 100%;
    color: var(--ink);
  }
  section {
    display: grid;
    gap: 6px;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  input,
  textarea {
    min-height: 40px;
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: #fff;
    min-width: 0;
  }
  .row input {
    flex: 1;
  }
  p {
    font-size: 13px;
    color: var(--muted);
  }
</style>
