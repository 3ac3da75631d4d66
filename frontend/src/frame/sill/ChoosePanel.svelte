<script lang="ts">
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { Item } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()

  const items = $derived(
    session.board.version >= 0
      ? [...(session.pages.now?.entries.values() ?? [])].map(({ item }) => item)
      : [],
  )
  const KINDS: [Item['kind'], string][] = [
    ['ink', t('all-ink')],
    ['text', t('all-typed-text')],
    ['shape', t('all-figures')],
    ['note', t('all-notes')],
    ['table', t('all-tables')],
    ['picture', t('all-pictures')],
  ]
  const kinds = $derived(KINDS.filter(([kind]) => items.some((item) => item.kind === kind)))
  const writers = $derived(
    session.people.list.filter(
      ({ seat }) => seat !== session.rights.me && items.some((item) => item.by === seat),
    ),
  )

  /** All others' things are pale, until everybody's are shown again. */
  function showOnly(seat: string) {
    session.classroom.onlyBy = seat
    session.classroom.writersShown = seat !== ''
    session.surface?.changed()
    onclose()
  }

  function choose(fits: (item: Item) => boolean) {
    session.selection.choose(items.filter((item) => fits(item) && !item.locked).map((item) => item.id))
    onclose()
  }
</script>

<div class="panel">
  {#if items.length}
    <MenuButton onclick={() => choose(() => true)}>{t('everything-on-the-page')}</MenuButton>
    <MenuButton onclick={() => choose((item) => item.by === session.rights.me)}>{t('all-of-mine')}</MenuButton
    >
    {#each writers as { seat, name } (seat)}
      <MenuButton onclick={() => choose((item) => item.by === seat)}>{t('all-of', { name })}</MenuButton>
      <MenuButton onclick={() => showOnly(seat)}>{t('show-only', { name })}</MenuButton>
    {/each}
    {#if session.classroom.writersShown}
      <MenuButton onclick={() => showOnly('')}>{t('show-everybodys-again')}</MenuButton>
    {/if}
    {#each kinds as [kind, label] (kind)}
      <MenuButton onclick={() => choose((item) => item.kind === kind)}>{label}</MenuButton>
    {/each}
  {:else}
    <p>{t('there-is-nothing-on-this')}</p>
  {/if}
</div>

<style>
  .panel {
    display: grid;
    min-width: 210px;
  }
  p {
    color: var(--muted);
  }
</style>
