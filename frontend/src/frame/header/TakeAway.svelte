<script lang="ts">
  /** The board or the page that is looked at, to be taken along: open formats only. */
  import type { Session } from '../../lesson/session.svelte'
  import type { Parts } from '../../wire/generated'
  import Choice from '../../ui/Choice.svelte'
  import { t, type Plain } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  let one = $state(0)
  let without = $state<(keyof Parts)[]>([])
  const PARTS: { part: keyof Parts; word: Plain }[] = [
    { part: 'ruling', word: 'ruling' },
    { part: 'paper', word: 'part-paper' },
    { part: 'notes', word: 'part-notes' },
    { part: 'names', word: 'part-names' },
  ]
  const board = $derived(`/boards/${session.welcome?.board.id}`)
  const page = $derived(session.pages.id)
  const asked = $derived.by(() => {
    const query = new URLSearchParams(one ? { page } : {})
    if (without.length) query.set('without', without.join(' '))
    return query.size ? `?${query}` : ''
  })
  interface Format {
    href: string
    name: Plain
    hint: Plain
  }
  const formats = $derived<Format[]>([
    { href: `${board}/board.pdf${asked}`, name: 'take-pdf', hint: 'take-pdf-hint' },
    { href: `${board}/board.html${asked}`, name: 'take-html', hint: 'take-html-hint' },
    ...(one
      ? ([
          { href: `${board}/pages/${page}/page.png${asked}`, name: 'take-png', hint: 'take-png-hint' },
          { href: `${board}/pages/${page}/page.svg${asked}`, name: 'take-svg', hint: 'take-svg-hint' },
          { href: `${board}/pages/${page}/page.inkml`, name: 'take-inkml', hint: 'take-inkml-hint' },
        ] as const)
      : session.people.role === 'tutor'
        ? ([{ href: `${board}/board.zip`, name: 'take-package', hint: 'take-package-hint' }] as const)
        : []),
  ])
</script>

<div class="panel">
  <Choice
    label={t('take-of')}
    options={[
      { value: 0, label: t('take-board') },
      { value: 1, label: t('take-page') },
    ]}
    bind:value={one}
  />
  {#each formats as { href, name, hint } (name)}
    <a {href} download><b>{t(name)}</b><span>{t(hint)}</span></a>
  {/each}
  {#if !one && session.pages.heads.some(({ hidden }) => hidden)}
    <p>{t('take-hidden')}</p>
  {/if}
  <fieldset>
    <legend>{t('leave-out')}</legend>
    {#each PARTS as { part, word } (part)}
      <label><input type="checkbox" value={part} bind:group={without} />{t(word)}</label>
    {/each}
  </fieldset>
</div>

<style>
  .panel {
    display: grid;
    gap: 2px;
    width: 340px;
    max-width: 100%;
    color: var(--ink);
  }
  a {
    display: grid;
    align-content: center;
    min-height: 52px;
    padding: 4px 10px;
    border-radius: 3px;
    color: var(--ink);
    text-decoration: none;
  }
  a:hover {
    background: var(--sand);
  }
  span,
  p,
  legend {
    font-size: 13px;
    color: var(--muted);
  }
  p {
    padding: 0 10px;
  }
  fieldset {
    display: grid;
    grid-template-columns: 1fr 1fr;
    border: 0;
    border-top: 1px solid var(--sand-line);
    margin: 6px 0 0;
    padding: 8px 10px 0;
  }
  legend {
    float: inline-start;
    grid-column: 1 / -1;
    padding: 0;
  }
  label {
    display: flex;
    align-items: center;
    gap: 7px;
    min-height: 40px;
    font-size: 14px;
  }
</style>
