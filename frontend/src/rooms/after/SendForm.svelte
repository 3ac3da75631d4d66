<script lang="ts">
  /** Boards sent by mail: to those who were there, or to any address. */
  import { untrack } from 'svelte'
  import Button from '../../ui/Button.svelte'
  import { ask } from '../../wire/api'
  import type { RoomHome, Sent, WrapUp } from '../../wire/generated'
  import { t } from '../../words/words.svelte'

  interface Props {
    link: string
    home: RoomHome
    after: WrapUp
    onsent: () => void
  }
  let { link, home, after, onsent }: Props = $props()
  const here = new Set(untrack(() => home.attendance.map(({ name }) => name)))
  let people = $state(
    untrack(() => after.people.map((one) => ({ ...one, to: here.has(one.name) && one.mail !== '' }))),
  )
  let others = $state('')
  let boards = $state(untrack(() => home.boards.slice(0, 1).map(({ id }) => id)))
  let subject = $state(untrack(() => home.title))
  let text = $state('')
  let withLink = $state(false)
  let withCalendar = $state(false)
  let days = $state(14)
  let busy = $state(false)
  let said = $state('')
  let problem = $state('')
  const to = $derived([
    ...people.filter((one) => one.to && one.mail.trim()).map(({ seat, mail }) => [seat, mail.trim()]),
    ...others
      .split(/[\s,;]+/)
      .filter(Boolean)
      .map((mail) => ['', mail]),
  ])

  async function send(event: SubmitEvent) {
    event.preventDefault()
    busy = true
    said = problem = ''
    try {
      const body = { to, boards, subject, text, days: withLink ? days : 0, calendar: withCalendar }
      const sent = await ask<Sent>('POST', `/api/rooms/${link}/send`, body)
      said = t('mails-sent', { went: sent.went, count: sent.of })
      onsent()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

<form onsubmit={send}>
  {#if people.length}
    <fieldset>
      <legend>{t('send-to')}</legend>
      {#each people as person (person.seat)}
        <div class="person">
          <label><input type="checkbox" bind:checked={person.to} /> {person.name}</label>
          <input
            type="email"
            aria-label={t('mail-of', { name: person.name })}
            placeholder={t('mail-address')}
            bind:value={person.mail}
            oninput={() => (person.to = person.mail !== '')}
          />
        </div>
      {/each}
    </fieldset>
  {/if}
  <label>{t('send-to-others')}<input bind:value={others} /></label>
  <fieldset>
    <legend>{t('boards-as-pdf')}</legend>
    {#each home.boards as board (board.id)}
      <label class="line"><input type="checkbox" value={board.id} bind:group={boards} /> {board.title}</label>
    {/each}
    <label class="line"><input type="checkbox" bind:checked={withLink} /> {t('with-read-link')}</label>
    {#if withLink}
      <label class="few"
        >{t('link-good-for-days')}<input type="number" min="1" max="366" required bind:value={days} /></label
      >
    {/if}
    {#if home.plan.at_ms}
      <label class="line"><input type="checkbox" bind:checked={withCalendar} /> {t('with-calendar')}</label>
    {/if}
  </fieldset>
  <label>{t('mail-subject')}<input bind:value={subject} maxlength="120" required /></label>
  <label>{t('mail-words')}<textarea bind:value={text} rows="3" maxlength="3000"></textarea></label>
  <Button kind="go" type="submit" disabled={busy || !to.length}
    >{busy ? t('sending') : t('send-to-count', { count: to.length })}</Button
  >
  {#if said}<p role="status">{said}</p>{/if}
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
</form>

<style>
  form,
  fieldset {
    display: grid;
    gap: 8px;
    min-width: 0;
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
    max-height: 260px;
    overflow-y: auto;
  }
  legend {
    font-size: 13px;
    color: var(--muted);
    padding: 0;
  }
  label {
    display: grid;
    gap: 3px;
    font-size: 13px;
    color: var(--muted);
  }
  .person {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1.4fr);
    gap: 8px;
    align-items: center;
  }
  .person label,
  .line {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
    font-size: 15px;
    color: var(--ink);
    overflow-wrap: anywhere;
  }
  .few input {
    width: 100px;
  }
  input:not([type='checkbox']),
  textarea {
    min-height: 40px;
    padding: 8px 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
    min-width: 0;
  }
  p {
    margin: 0;
  }
  .problem {
    color: var(--clay);
  }
</style>
