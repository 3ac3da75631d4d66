<script lang="ts">
  /** Ready pages, to be looked through by subject and put behind the page that is looked at. */
  import { onMount } from 'svelte'
  import { ask, askThings } from '../../wire/api'
  import type { ReadyPage, Subject } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import { speech, t, told, type Plain } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const SUBJECTS: Record<string, Plain> = {
    thinking: 'subject-thinking',
    language: 'subject-language',
    maths: 'subject-maths',
    science: 'subject-science',
  }
  let dialog: HTMLDialogElement
  let subjects = $state.raw<Subject[]>([])
  let wanted = $state('')
  let problem = $state('')
  let busy = $state(false)
  const shown = $derived(
    subjects
      .map(({ name, templates }) => ({
        name,
        templates: templates.filter((one) =>
          title(one).toLocaleLowerCase().includes(wanted.trim().toLocaleLowerCase()),
        ),
      }))
      .filter(({ templates }) => templates.length),
  )

  onMount(async () => {
    dialog.showModal()
    try {
      subjects = await ask<Subject[]>('GET', '/api/templates')
    } catch (error) {
      problem = (error as Error).message
    }
  })

  function title(name: string): string {
    return told({ key: `tpl-${name}`, values: {} })
  }

  async function take(name: string) {
    busy = true
    problem = ''
    try {
      const ready = await askThings<ReadyPage>(`/api/templates/${name}`)
      session.addReady(ready)
      dialog.close()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

<dialog bind:this={dialog} aria-labelledby="templates-title" {onclose} data-testid="templates">
  <div class="row">
    <h2 id="templates-title">{t('templates')}</h2>
    <input
      type="search"
      bind:value={wanted}
      aria-label={t('template-search')}
      placeholder={t('template-search')}
    />
    <Button kind="quiet" onclick={() => dialog.close()}>{t('close')}</Button>
  </div>
  {#if problem}<p role="alert">{problem}</p>{/if}
  <div class="all">
    {#each shown as { name, templates } (name)}
      <h3>{t(SUBJECTS[name]!)}</h3>
      <ul>
        {#each templates as one (one)}
          <li>
            <button disabled={busy} onclick={() => take(one)}>
              <img src="/templates/{one}.png?{speech.language}" alt="" loading="lazy" />
              <span>{title(one)}</span>
            </button>
          </li>
        {/each}
      </ul>
    {:else}
      {#if subjects.length}<p>{t('template-none')}</p>{/if}
    {/each}
  </div>
</dialog>

<style>
  dialog {
    width: min(1040px, calc(100vw - 16px));
    height: calc(100dvh - 40px);
    border: 1px solid var(--sand-line);
    border-radius: 6px;
    padding: 16px 18px;
    color: var(--ink);
    background: var(--glass);
  }
  dialog[open] {
    display: flex;
    flex-direction: column;
    gap: 10px;
  }
  dialog::backdrop {
    background: rgb(23 53 47 / 60%);
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px 16px;
  }
  h2 {
    font: 600 20px/1.2 var(--title);
    margin-inline-end: auto;
  }
  h3 {
    font: 600 16px/1.3 var(--title);
    margin: 14px 0 8px;
  }
  input {
    min-height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
  }
  .all {
    flex: 1;
    min-height: 0;
    overflow-y: auto;
    padding-inline-end: 6px;
  }
  ul {
    list-style: none;
    margin: 0;
    padding: 0;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(min(170px, 44%), 1fr));
    gap: 12px;
  }
  button {
    width: 100%;
    padding: 0;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--field);
    color: var(--ink);
    font: inherit;
    font-size: 14px;
    text-align: left;
    overflow: hidden;
  }
  button:hover {
    border-color: var(--leaf);
  }
  img {
    display: block;
    width: 100%;
    aspect-ratio: 1123 / 794;
    background: #fff;
    border-bottom: 1px solid var(--sand-line);
  }
  span {
    display: block;
    padding: 8px 10px;
  }
</style>
