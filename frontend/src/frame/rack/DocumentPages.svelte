<script lang="ts">
  /** The pages of a PDF, to be chosen and brought in. */
  import { untrack } from 'svelte'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import Choice from '../../ui/Choice.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import type { As } from '../../lesson/documents.svelte'
  import { t } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  const { documents } = untrack(() => session)
  const opened = $derived(documents.opened)
  const numbers = $derived((opened?.sizes ?? []).map((_, i) => i + 1))
  /** So many are chosen at first: of a book nobody wants all. */
  const FEW = 12
  let chosen = $state<number[]>(untrack(() => (numbers.length <= FEW ? numbers : [1])))
  const mayPages = $derived(session.rights.may('add_page'))
  let as = $state<As>(untrack(() => (session.rights.may('add_page') ? 'pages' : 'things')))

  function toggle(number: number) {
    chosen = chosen.includes(number) ? chosen.filter((other) => other !== number) : [...chosen, number]
  }

  function bring() {
    const sorted = [...chosen].sort((a, b) => a - b)
    void documents.bring(sorted, as)
  }
</script>

<Dialog
  title={opened?.name ?? ''}
  width={820}
  shut={false}
  oncancel={(event) => {
    event.preventDefault()
    if (documents.progress) documents.giveUp()
    else documents.close()
  }}
>
  <div class="row">
    <span>{t('document-pages', { count: numbers.length })}</span>
    <Button disabled={chosen.length === numbers.length} onclick={() => (chosen = numbers)}
      >{t('choose-all')}</Button
    >
    <Button disabled={!chosen.length} onclick={() => (chosen = [])}>{t('choose-none')}</Button>
  </div>
  <ol>
    {#each numbers as number (number)}
      {@const [width, height] = opened!.sizes[number - 1]!}
      <li>
        <button
          aria-pressed={chosen.includes(number)}
          aria-label={t('page-number', { number })}
          disabled={documents.progress !== null}
          onclick={() => toggle(number)}
        >
          <img
            src={documents.thumb(number)}
            alt=""
            loading="lazy"
            style:aspect-ratio="{width} / {height}"
          /><span>{number}</span>
        </button>
      </li>
    {/each}
  </ol>
  {#if mayPages && !documents.progress}
    <Choice
      label={t('document-as')}
      options={[
        { value: 'pages' as As, label: t('document-as-pages') },
        { value: 'things' as As, label: t('document-as-things') },
      ]}
      bind:value={as}
    />
  {/if}
  <div class="row">
    {#if documents.progress}
      <progress value={documents.progress.done} max={documents.progress.all} aria-label={t('bringing-pages')}
      ></progress>
      <span role="status"
        >{t('document-progress', { done: documents.progress.done, count: documents.progress.all })}</span
      >
      <Button onclick={() => documents.giveUp()}>{t('give-up')}</Button>
    {:else}
      <Button kind="go" disabled={!chosen.length} onclick={bring}
        >{t('bring-pages', { count: chosen.length })}</Button
      >
      <Button kind="quiet" onclick={() => documents.close()}>{t('cancel')}</Button>
    {/if}
  </div>
</Dialog>

<style>
  .row {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: 8px;
  }
  .row > span {
    margin-inline-end: auto;
    color: var(--muted);
    font-size: 14px;
  }
  progress {
    flex: 1;
    min-width: 120px;
    accent-color: var(--leaf);
  }
  ol {
    flex: 1;
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(110px, 1fr));
    gap: 10px;
    align-items: end;
    list-style: none;
    margin: 0;
    padding: 4px;
    overflow-y: auto;
    min-height: 140px;
  }
  li button {
    width: 100%;
    padding: 6px;
    border: 2px solid transparent;
    border-radius: var(--radius);
    background: none;
    color: var(--ink);
    display: grid;
    gap: 4px;
    justify-items: center;
    font-size: 13px;
  }
  li button[aria-pressed='true'] {
    border-color: var(--leaf);
    background: var(--sand);
    font-weight: 600;
  }
  img {
    width: 100%;
    max-height: 180px;
    object-fit: contain;
    background: #fff;
    border: 1px solid var(--sand-line);
  }
</style>
