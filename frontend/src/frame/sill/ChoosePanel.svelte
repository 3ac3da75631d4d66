<script lang="ts">
  import MenuButton from '../../ui/MenuButton.svelte'
  import type { Item } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()

  const items = $derived(
    session.board.version >= 0
      ? [...(session.pages.now?.entries.values() ?? [])].map(({ item }) => item)
      : [],
  )
  const KINDS: [Item['kind'], string][] = [
    ['ink', 'All ink'],
    ['text', 'All typed text'],
    ['shape', 'All figures'],
    ['note', 'All notes'],
    ['table', 'All tables'],
    ['picture', 'All pictures'],
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
    <MenuButton onclick={() => choose(() => true)}>Everything on the page</MenuButton>
    <MenuButton onclick={() => choose((item) => item.by === session.rights.me)}>All of mine</MenuButton>
    {#each writers as { seat, name } (seat)}
      <MenuButton onclick={() => choose((item) => item.by === seat)}>All of {name}’s</MenuButton>
      <MenuButton onclick={() => showOnly(seat)}>Show only {name}’s</MenuButton>
    {/each}
    {#if session.classroom.writersShown}
      <MenuButton onclick={() => showOnly('')}>Show everybody’s again</MenuButton>
    {/if}
    {#each kinds as [kind, label] (kind)}
      <MenuButton onclick={() => choose((item) => item.kind === kind)}>{label}</MenuButton>
    {/each}
  {:else}
    <p>There is nothing on this page yet.</p>
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
