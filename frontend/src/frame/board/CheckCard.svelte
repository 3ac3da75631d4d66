<script lang="ts">
  import Button from '../../ui/Button.svelte'
  import type { Session } from '../../lesson/session.svelte'

  let { session }: { session: Session } = $props()
  /** The answer that this browser gave: nobody else's is told before it is shared. */
  let own = $state<{ id: string; option: number } | null>(null)
  const check = $derived(session.lesson?.check ?? null)
  const known = $derived(
    session.people.tutorSide && session.classroom.answers?.id === check?.id
      ? session.classroom.answers!.answers
      : (check?.answers ?? []),
  )
  const mine = $derived(own?.id === check?.id ? own!.option : -1)
  const students = $derived(
    session.people.list.filter(({ role, tabs }) => role === 'student' && tabs > 0).length,
  )
  const shown = $derived(Boolean(check && (session.people.tutorSide || check.shared)))

  function answer(option: number) {
    own = { id: check!.id, option }
    session.tell({ command: 'answer_check', id: check!.id, option })
  }

  function count(option: number): number {
    return known.filter(([, chosen]) => chosen === option).length
  }

  function names(option: number): string {
    return known
      .flatMap(([seat, chosen]) => (chosen === option && seat ? [session.people.nameOf(seat)] : []))
      .join(', ')
  }
</script>

{#if check}
  <section aria-label="Question">
    <h2>{check.question || 'What do you say?'}</h2>
    <div class="options" role="group">
      {#each check.options as option, i (i)}
        <button
          aria-pressed={mine === i}
          disabled={session.people.role !== 'student'}
          title={session.people.tutorSide ? names(i) : ''}
          onclick={() => answer(i)}
        >
          <span>{option}</span>
          {#if shown}
            <b>{count(i)}</b>
            <i style:width="{(100 * count(i)) / Math.max(known.length, 1)}%"></i>
          {/if}
        </button>
      {/each}
    </div>
    <p>
      <span>{check.answered.length} of {students} answered</span>
      {#if session.people.tutorSide}
        <Button onclick={() => session.tell({ command: 'share_check', shared: !check.shared })}
          >{check.shared ? 'Hide from students' : 'Show to everybody'}</Button
        >
        <Button onclick={() => session.tell({ command: 'end_check' })}>Put away</Button>
      {:else if mine >= 0}
        <span>You can change your answer while this is open.</span>
      {/if}
    </p>
  </section>
{/if}

<style>
  section {
    position: absolute;
    z-index: 3;
    left: 12px;
    top: 12px;
    width: min(420px, calc(100% - 24px));
    max-height: calc(100% - 24px);
    overflow-y: auto;
    padding: 14px;
    background: var(--glass);
    border: 1px solid var(--sand-line);
    border-left: 6px solid var(--sun);
    border-radius: var(--radius);
    display: grid;
    gap: 10px;
  }
  h2 {
    font: 600 19px/1.25 var(--title);
    overflow-wrap: anywhere;
  }
  .options {
    display: grid;
    gap: 6px;
  }
  button {
    position: relative;
    min-height: 44px;
    padding: 0 12px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: none;
    display: flex;
    align-items: center;
    justify-content: space-between;
    text-align: left;
    overflow: hidden;
    color: inherit;
  }
  button[aria-pressed='true'] {
    border-color: var(--leaf);
    box-shadow: inset 0 0 0 2px var(--leaf);
  }
  button:disabled {
    cursor: default;
  }
  button > * {
    position: relative;
  }
  button i {
    position: absolute;
    left: 0;
    bottom: 0;
    height: 5px;
    background: var(--sun);
  }
  p {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
    font-size: 13px;
    color: var(--muted);
  }
</style>
