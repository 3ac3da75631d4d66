<script lang="ts">
  /** The board or the page that is looked at, to be taken along: open formats only. */
  import type { Session } from '../../lesson/session.svelte'
  import type { Printed } from '../../lesson/pictures.svelte'
  import type { Parts } from '../../wire/generated'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Select from '../../ui/Select.svelte'
  import HandInPage from './HandInPage.svelte'
  import { t, type Plain } from '../../words/words.svelte'

  let { session }: { session: Session } = $props()
  let words = $state.raw<Printed[]>([])
  $effect(() => {
    const now = session.pages.now
    if (now) void session.pictures.printedIn(session.pictures.ofPage(now)).then((found) => (words = found))
  })
  const owner = $derived(session.people.of(session.rights.me)?.owner ?? false)
  type Of = 'board' | 'page' | 'some'
  type Paper = '' | 'a4' | 'a3' | 'letter'
  let of = $state<Of>('board')
  let some = $state<string[]>([])
  let written = $state(false)
  let making = $state(false)
  let voice = $state(false)
  let paper = $state<Paper>('')
  let cut = $state(false)
  let bays = $state(false)
  const one = $derived(of === 'page')
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
    const query = new URLSearchParams(one ? { page } : of === 'some' ? { page: some.join(' ') } : {})
    if (without.length) query.set('without', without.join(' '))
    return query.size ? `?${query}` : ''
  })
  const desks = $derived(session.pages.heads.filter(({ desk_of }) => desk_of).map(({ id }) => id))
  const chosen = $derived(
    session.pages.heads.filter(({ id }) => of === 'board' || (one ? id === page : some.includes(id))),
  )
  const hasBays = $derived(chosen.some((head) => head.bays.length))
  const pdf = $derived.by(() => {
    const flags = [
      ...(written ? ['written'] : []),
      ...(paper ? [`paper=${paper}`] : []),
      ...(paper && cut ? ['cut'] : []),
      ...(bays && hasBays ? ['bays'] : []),
    ].join('&')
    return `${board}/board.pdf${asked}${flags && (asked ? '&' : '?')}${flags}`
  })
  interface Format {
    href: string
    name: Plain
    hint: Plain
  }
  const formats = $derived<Format[]>([
    { href: pdf, name: 'take-pdf', hint: 'take-pdf-hint' },
    {
      href: `${board}/board.html${asked}${making ? `${asked ? '&' : '?'}making${voice ? '&voice' : ''}` : ''}`,
      name: 'take-html',
      hint: 'take-html-hint',
    },
    ...(one
      ? ([
          { href: `${board}/pages/${page}/page.png${asked}`, name: 'take-png', hint: 'take-png-hint' },
          { href: `${board}/pages/${page}/page.svg${asked}`, name: 'take-svg', hint: 'take-svg-hint' },
          { href: `${board}/pages/${page}/page.inkml`, name: 'take-inkml', hint: 'take-inkml-hint' },
        ] as const)
      : of === 'board' && session.people.role === 'tutor'
        ? ([{ href: `${board}/board.zip`, name: 'take-package', hint: 'take-package-hint' }] as const)
        : []),
  ])
</script>

<div class="panel">
  <Choice
    label={t('take-of')}
    options={[
      { value: 'board' as Of, label: t('take-board') },
      { value: 'page' as Of, label: t('take-page') },
      ...(session.pages.heads.length > 2 ? [{ value: 'some' as Of, label: t('take-some') }] : []),
    ]}
    bind:value={of}
  />
  {#if of === 'some'}
    <fieldset class="pages">
      <legend>{t('take-some')}</legend>
      {#if desks.length && session.people.tutorSide}
        <Button onclick={() => (some = [...desks])}>{t('take-desks')}</Button>
      {/if}
      {#each session.pages.heads as { id, title, desk_of }, i (id)}
        {#if session.people.tutorSide || ['', session.rights.me].includes(desk_of)}
          <label
            ><input type="checkbox" value={id} bind:group={some} />{title ||
              t('page-number', { number: i + 1 })}</label
          >
        {/if}
      {/each}
    </fieldset>
  {/if}
  {#each of === 'some' && !some.length ? [] : formats as { href, name, hint } (name)}
    <a {href} download><b>{t(name)}</b><span>{t(hint)}</span></a>
  {/each}
  {#if of !== 'some' || some.length}
    <a href="{pdf}{pdf.includes('?') ? '&' : '?'}print" target="_blank"
      ><b>{t('take-print')}</b><span>{t('take-print-hint')}</span></a
    >
  {/if}
  {#if session.people.role === 'tutor'}
    <button disabled={session.call.recorder.on} onclick={() => void session.call.recorder.start()}
      ><b>{t('record-voice')}</b><span>{t('record-voice-hint')}</span></button
    >
  {/if}
  {#if owner}
    <button onclick={() => (session.past = 'voice')}
      ><b>{t('lesson-again')}</b><span>{t('lesson-again-hint')}</span></button
    >
  {/if}
  {#if session.door === 'student'}<HandInPage {session} />{/if}
  {#if words.length}
    <Button onclick={() => (session.pictures.printed = words)}>{t('printed-words-of-page')}</Button>
  {/if}
  <fieldset>
    <legend>{t('of-the-pdf')}</legend>
    <div class="wide">
      <Select
        label={t('take-paper')}
        options={[
          { value: '', label: t('paper-as-large') },
          { value: 'a4', label: 'A4' },
          { value: 'a3', label: 'A3' },
          { value: 'letter', label: t('paper-letter') },
        ]}
        bind:value={paper}
      />
    </div>
    {#if paper}
      <label class="wide"><input type="checkbox" bind:checked={cut} />{t('take-cut')}</label>
    {/if}
    {#if hasBays}
      <label class="wide"><input type="checkbox" bind:checked={bays} />{t('take-bays')}</label>
    {/if}
    <label class="wide"><input type="checkbox" bind:checked={written} />{t('take-written')}</label>
  </fieldset>
  {#if session.people.role === 'tutor'}
    <fieldset>
      <legend>{t('of-the-web-page')}</legend>
      <label class="wide"><input type="checkbox" bind:checked={making} />{t('take-making')}</label>
      {#if making}
        <label class="wide"><input type="checkbox" bind:checked={voice} />{t('take-voice')}</label>
      {/if}
    </fieldset>
  {/if}
  {#if of === 'board' && session.pages.heads.some(({ hidden }) => hidden)}
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
  a,
  .panel > button {
    display: grid;
    align-content: center;
    min-height: 52px;
    padding: 4px 10px;
    border-radius: 3px;
    color: var(--ink);
    text-decoration: none;
  }
  .panel > button {
    border: 0;
    background: none;
    font: inherit;
    text-align: start;
  }
  .panel > button:disabled {
    opacity: 0.5;
  }
  a:hover,
  .panel > button:hover:enabled {
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
  .pages {
    max-height: 200px;
    overflow-y: auto;
  }
  .wide {
    grid-column: 1 / -1;
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
