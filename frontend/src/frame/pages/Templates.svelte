<script lang="ts">
  /** Ready pages, to be looked through by subject and put behind the page that is looked at. */
  import { onMount } from 'svelte'
  import { ask, askThings } from '../../wire/api'
  import type { ReadyPage, Subject } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { speech, t, told, type Plain } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const SUBJECTS: Record<string, Plain> = {
    thinking: 'subject-thinking',
    language: 'subject-language',
    maths: 'subject-maths',
    science: 'subject-science',
  }
  let dialog: ReturnType<typeof Dialog>
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

{#snippet look()}
  <input
    type="search"
    bind:value={wanted}
    aria-label={t('template-search')}
    placeholder={t('template-search')}
  />
{/snippet}

<Dialog
  bind:this={dialog}
  title={t('templates')}
  width={1040}
  tall
  {onclose}
  beside={look}
  data-testid="templates"
>
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
</Dialog>

<style>
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
