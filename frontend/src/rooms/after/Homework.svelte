<script lang="ts">
  /** Homework of the room: given, and who has done it. */
  import Button from '../../ui/Button.svelte'
  import { ask } from '../../wire/api'
  import type { HomeBoard, Marked, WrapUp } from '../../wire/generated'
  import { longDay } from '../../words/time'
  import { t } from '../../words/words.svelte'

  interface Props {
    link: string
    after: WrapUp
    boards: HomeBoard[]
    onchange: (after: WrapUp) => void
  }
  let { link, after, boards, onchange }: Props = $props()
  let text = $state('')
  let due = $state('')
  let place = $state('')
  let problem = $state('')
  let marking = $state(false)
  let giving = $state(false)
  /** The homework whose files would go with it: it is asked once more. */
  let sure = $state('')
  const names = $derived(new Map(after.people.map(({ seat, name }) => [seat, name])))

  async function give(event: SubmitEvent) {
    event.preventDefault()
    const [board = '', page = ''] = place.split(' ')
    const due_ms = due ? new Date(`${due}T23:59`).getTime() : null
    giving = true
    if (await asked('POST', '', { text, due_ms, board, page })) text = due = place = ''
    giving = false
  }

  async function asked(method: 'POST' | 'DELETE', end: string, body?: unknown): Promise<boolean> {
    problem = ''
    try {
      onchange(await ask<WrapUp>(method, `/api/rooms/${link}/homework${end}`, body))
      return true
    } catch (error) {
      problem = (error as Error).message
      return false
    }
  }

  /** On hidden pages of a board, which is opened there. */
  async function mark(file: string, wanted: string) {
    const board = boards.find(({ id }) => id === wanted)?.id ?? boards[0]?.id
    if (!board) return
    marking = true
    problem = ''
    try {
      const { page } = await ask<Marked>('POST', `/api/rooms/${link}/handed/${file}/mark`, { board })
      location.href = `/rooms/${link}/boards/${board}?page=${page}`
    } catch (error) {
      problem = (error as Error).message
    }
    marking = false
  }

  function where(board: string, page: string): string {
    const found = after.pages.find((one) => one.page === page && one.board === board)
    if (found) return `${found.board_title}, ${found.title || t('page-number', { number: found.number })}`
    return boards.find(({ id }) => id === board)?.title ?? ''
  }
</script>

{#each after.homework as task (task.id)}
  <article>
    <p class="text">{task.text}</p>
    <p class="muted">
      {[task.due_ms ? t('until-day', { day: longDay(task.due_ms) }) : '', where(task.board, task.page)]
        .filter(Boolean)
        .join(' · ')}
    </p>
    <p class="muted">
      {task.handed_in.length
        ? t('handed-in-by', { names: task.handed_in.map((seat) => names.get(seat) ?? '?').join(', ') })
        : t('nobody-handed-in')}
      {t('of-people', { done: task.handed_in.length, count: after.people.length })}
    </p>
    {#if task.files.length}
      <ul>
        {#each task.files as { id, seat, name } (id)}
          <li>
            <a href="/rooms/{link}/handed/{id}" download
              ><img src="/rooms/{link}/handed/{id}.png" alt="" loading="lazy" /><b>{names.get(seat) ?? '?'}</b
              >
              <span>{name}</span></a
            >
            <Button disabled={marking} onclick={() => mark(id, task.board)}>{t('mark-on-board')}</Button>
          </li>
        {/each}
      </ul>
    {/if}
    <Button
      kind="quiet"
      onclick={() =>
        task.files.length && sure !== task.id ? (sure = task.id) : void asked('DELETE', `/${task.id}`)}
      >{sure === task.id ? t('take-back-with', { count: task.files.length }) : t('take-back')}</Button
    >
  </article>
{/each}
<form onsubmit={give}>
  <label class="all"
    >{t('homework-what')}<textarea bind:value={text} rows="2" maxlength="2000" required></textarea></label
  >
  <label>{t('homework-until')}<input type="date" bind:value={due} /></label>
  <label
    >{t('homework-where')}
    <select bind:value={place}>
      <option value="">{t('nowhere-in-particular')}</option>
      {#each boards as board (board.id)}
        <option value={board.id}>{board.title}</option>
        {#each after.pages.filter((one) => one.board === board.id && !one.hidden) as one (one.page)}
          <option value="{board.id} {one.page}"
            >{board.title}, {one.title || t('page-number', { number: one.number })}</option
          >
        {/each}
      {/each}
    </select></label
  >
  <Button type="submit" disabled={giving}>{t('give-homework')}</Button>
</form>
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
  article {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto;
    gap: 2px 12px;
    padding-bottom: 10px;
    margin-bottom: 10px;
    border-bottom: 1px solid var(--sand-line);
  }
  article p {
    grid-column: 1;
    margin: 0;
  }
  article :global(button) {
    grid-area: 1 / 2 / 4;
    align-self: start;
  }
  ul {
    grid-column: 1;
    list-style: none;
    margin: 6px 0 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 10px;
  }
  li {
    display: grid;
    gap: 4px;
    align-content: start;
  }
  li a {
    display: grid;
    color: var(--ink);
    font-size: 14px;
    text-decoration: none;
    overflow-wrap: anywhere;
  }
  li span {
    color: var(--muted);
  }
  img {
    width: 100%;
    aspect-ratio: 4 / 3;
    object-fit: cover;
    object-position: top;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: #fff;
  }
  article li :global(button) {
    grid-area: auto;
  }
  .text {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .problem {
    color: var(--clay);
  }
  form {
    display: flex;
    flex-wrap: wrap;
    gap: 10px 14px;
    align-items: end;
  }
  label {
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
    min-width: 0;
  }
  .all {
    flex: 1 1 100%;
  }
  textarea,
  input,
  select {
    min-height: 40px;
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
    max-width: 100%;
  }
</style>
