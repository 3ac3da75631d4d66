<script lang="ts">
  /** States of a board to come back to: seen beside today, and brought back. */
  import { onMount, untrack } from 'svelte'
  import { ask } from '../../wire/api'
  import type { BoardCard, LostThing, MomentCard, Moments, Then, ThenPage } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { clockTime, longDay } from '../../words/time'
  import { t } from '../../words/words.svelte'

  let { session, board, onclose }: { session: Session; board: BoardCard; onclose: () => void } = $props()
  const path = untrack(() => `/api/boards/${board.id}/moments`)
  let moments = $state.raw<MomentCard[] | null>(null)
  let chosen = $state.raw<MomentCard | null>(null)
  let then = $state.raw<Then | null>(null)
  let title = $state('')
  let problem = $state('')
  let said = $state('')
  let busy = $state(false)
  /** Things of then that are to come back. */
  let picked = $state.raw<LostThing[]>([])
  /** Pictures of today are fetched again when something was brought back. */
  let version = $state(0)

  onMount(() => {
    void tried(async () => {
      moments = (await ask<Moments>('GET', path)).moments
    })
  })

  async function tried(what: () => Promise<void>) {
    problem = said = ''
    busy = true
    try {
      await what()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }

  function name(moment: MomentCard): string {
    if (moment.kind === 'named') return moment.title
    return moment.kind === 'start' ? t('moment-start') : t('moment-end')
  }

  function keep(event: SubmitEvent) {
    event.preventDefault()
    void tried(async () => {
      moments = (await ask<Moments>('POST', path, { title })).moments
      title = ''
    })
  }

  function choose(moment: MomentCard) {
    chosen = moment
    then = null
    picked = []
    void tried(() => look(moment))
  }

  /** Another one may have been chosen by the time that it is known what this one was. */
  async function look(moment: MomentCard) {
    const known = await ask<Then>('GET', `${path}/${moment.id}`)
    if (chosen?.id === moment.id) then = known
  }

  function remove(moment: MomentCard) {
    void tried(async () => {
      moments = (await ask<Moments>('DELETE', `${path}/${moment.id}`)).moments
      if (chosen?.id === moment.id) chosen = then = null
    })
  }

  function pick(thing: LostThing) {
    picked = picked.includes(thing) ? picked.filter((other) => other !== thing) : [...picked, thing]
  }

  function called({ words, name }: LostThing): string {
    return words
      ? t('lost-words', { words, name: name || t('somebody') })
      : t('lost-ink', { name: name || t('somebody') })
  }

  function back(pages: ThenPage[], how: { only_gone?: boolean; ids?: string[] }) {
    const moment = chosen!
    void tried(async () => {
      for (const { page } of pages) await ask('POST', `${path}/${moment.id}/pages/${page}`, how)
      picked = []
      await look(moment)
      version++
      said = t('brought-back')
      session.say(t('brought-back'))
    })
  }
</script>

<Dialog title={t('moments-of', { board: board.title })} width={1080} tall {onclose} data-testid="moments">
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  {#if said}<p role="status">{said}</p>{/if}
  <div class="both">
    <div class="list">
      <form onsubmit={keep}>
        <input
          bind:value={title}
          maxlength="80"
          aria-label={t('moment-name')}
          placeholder={t('moment-name')}
        />
        <Button type="submit" disabled={busy || !title.trim()}>{t('keep-moment')}</Button>
      </form>
      {#if moments && !moments.length}<p class="muted">{t('no-moments')}</p>{/if}
      <ul>
        {#each moments ?? [] as moment (moment.id)}
          <li>
            <button class="one" aria-pressed={chosen?.id === moment.id} onclick={() => choose(moment)}>
              <b>{name(moment)}</b>
              <span>{longDay(moment.at_ms)}, {clockTime(moment.at_ms)}</span>
            </button>
            <Button
              kind="quiet"
              aria-label={t('remove-named', { name: name(moment) })}
              onclick={() => remove(moment)}>×</Button
            >
          </li>
        {/each}
      </ul>
    </div>
    <div class="then">
      {#if then && chosen}
        {@const lost = then.pages.filter(({ gone, changed }) => gone || changed)}
        {#if !lost.length}<p class="muted">{t('all-as-then')}</p>{/if}
        {#if lost.length > 1}
          <Button disabled={busy} onclick={() => back(lost, {})}>{t('all-back')}</Button>
        {/if}
        {#each then.pages as page (page.page)}
          <article>
            <h3>{page.title || t('page-number', { number: page.number })}</h3>
            <figure>
              <div class="seen">
                <img src="{path}/{chosen.id}/pages/{page.page}.png" alt={t('then')} />
                {#each page.lost as thing (thing.ids[0])}
                  <button
                    class="lost"
                    aria-pressed={picked.includes(thing)}
                    aria-label={called(thing)}
                    title={called(thing)}
                    style:left="{thing.x * 100}%"
                    style:top="{thing.y * 100}%"
                    style:width="{thing.width * 100}%"
                    style:height="{thing.height * 100}%"
                    onclick={() => pick(thing)}
                  ></button>
                {/each}
              </div>
              <figcaption>{page.lost.length ? t('then-pick') : t('then')}</figcaption>
            </figure>
            <figure>
              {#if page.gone}<p class="muted">{t('page-was-removed')}</p>{:else}
                <img
                  src="/boards/{board.id}/pages/{page.page}/page.png?width=720&{version}"
                  alt={t('today')}
                />
              {/if}
              <figcaption>{t('today')}</figcaption>
            </figure>
            {#if page.gone || page.changed}
              {@const chosenHere = page.lost.filter((thing) => picked.includes(thing))}
              <div class="row">
                {#if chosenHere.length}
                  <Button
                    kind="go"
                    disabled={busy}
                    onclick={() => back([page], { ids: chosenHere.flatMap(({ ids }) => ids) })}
                    >{t('only-the-chosen', { count: chosenHere.length })}</Button
                  >
                {/if}
                <Button disabled={busy} onclick={() => back([page], {})}>{t('make-it-so-again')}</Button>
                {#if !page.gone}
                  <Button disabled={busy} onclick={() => back([page], { only_gone: true })}
                    >{t('only-what-has-gone')}</Button
                  >
                {/if}
              </div>
            {/if}
          </article>
        {/each}
      {:else if moments?.length}
        <p class="muted">{chosen ? t('fetching-moment') : t('choose-moment')}</p>
      {/if}
    </div>
  </div>
</Dialog>

<style>
  h3 {
    grid-column: 1 / -1;
    font-size: 15px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .both {
    flex: 1;
    min-height: 0;
    display: grid;
    grid-template-columns: 300px minmax(0, 1fr);
    gap: 18px;
  }
  .list,
  .then {
    min-height: 0;
    overflow-y: auto;
  }
  form {
    display: flex;
    gap: 6px;
  }
  input {
    flex: 1;
    min-width: 0;
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
  }
  ul {
    list-style: none;
    margin: 10px 0 0;
    padding: 0;
  }
  li {
    display: flex;
    align-items: center;
  }
  .one {
    flex: 1;
    min-width: 0;
    min-height: 48px;
    padding: 4px 10px;
    border: 0;
    border-left: 4px solid transparent;
    background: none;
    color: var(--ink);
    display: grid;
    text-align: left;
    overflow-wrap: anywhere;
  }
  .one[aria-pressed='true'] {
    border-color: var(--sun);
    background: var(--sand);
  }
  .one span,
  .muted,
  figcaption {
    color: var(--muted);
    font-size: 13px;
  }
  article {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 6px 12px;
    padding: 10px 0 14px;
    border-bottom: 1px solid var(--sand-line);
  }
  article .row {
    grid-column: 1 / -1;
  }
  figure {
    margin: 0;
  }
  img {
    max-width: 100%;
    max-height: 300px;
    display: block;
    background: #fff;
    outline: 1px solid var(--sand-line);
  }
  .seen {
    position: relative;
    width: fit-content;
  }
  .lost {
    position: absolute;
    min-width: 24px;
    min-height: 24px;
    padding: 0;
    border: 2px dashed var(--clay);
    border-radius: 3px;
    background: none;
    cursor: pointer;
  }
  .lost:hover,
  .lost[aria-pressed='true'] {
    border: 3px solid var(--leaf);
    background: color-mix(in srgb, var(--sun) 25%, transparent);
  }
  .problem {
    color: var(--clay);
  }
  @media (width <= 700px) {
    .both {
      align-content: start;
      overflow-y: auto;
      grid-template-columns: minmax(0, 1fr);
    }
    .list,
    .then {
      overflow: visible;
    }
  }
</style>
