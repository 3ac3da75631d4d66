<script lang="ts">
  /** Ready-made things, to be looked through by subject and taken. */
  import { onMount } from 'svelte'
  import Dialog from '../ui/Dialog.svelte'
  import { has } from '../ui/search'
  import { t } from '../words/words.svelte'

  export interface Ready {
    name: string
    title: string
    picture: string
  }
  export interface Group {
    title: string
    things: Ready[]
  }
  interface Props {
    title: string
    search: string
    none: string
    /** What there is; rejects with a sentence. */
    look: () => Promise<Group[]>
    /** Take one; rejects with a sentence. */
    take: (name: string) => Promise<void>
    onclose: () => void
    /** The pictures' sides. */
    aspect: string
    /** The least width of one. */
    least: string
    testid: string
  }
  let { title, search, none, look, take, onclose, aspect, least, testid }: Props = $props()
  let dialog: ReturnType<typeof Dialog>
  let groups = $state.raw<Group[]>([])
  let wanted = $state('')
  let problem = $state('')
  let busy = $state(false)
  const fits = ({ title }: Ready) => has(title, wanted)
  const shown = $derived(
    groups
      .map((group) => ({ ...group, things: group.things.filter(fits) }))
      .filter(({ things }) => things.length),
  )

  onMount(async () => {
    try {
      groups = await look()
    } catch (error) {
      problem = (error as Error).message
    }
  })

  async function choose(name: string) {
    busy = true
    problem = ''
    try {
      await take(name)
      dialog.close()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

{#snippet find()}
  <input type="search" bind:value={wanted} aria-label={search} placeholder={search} />
{/snippet}

<Dialog bind:this={dialog} {title} width={1040} tall {onclose} beside={find} data-testid={testid}>
  {#if problem}<p role="alert">{problem}</p>{/if}
  <div class="all">
    {#each shown as { title, things } (title)}
      <h3>{title}</h3>
      <ul style:--least={least}>
        {#each things as { name, title, picture } (name)}
          <li>
            <button disabled={busy} onclick={() => choose(name)}>
              <img src={picture} alt="" loading="lazy" style:aspect-ratio={aspect} />
              <span>{title}</span>
            </button>
          </li>
        {/each}
      </ul>
    {:else}
      {#if groups.length}<p>{none}</p>{:else if !problem}<p role="status">{t('fetching-moment')}</p>{/if}
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
    grid-template-columns: repeat(auto-fill, minmax(min(var(--least), 44%), 1fr));
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
    background: #fff;
    border-bottom: 1px solid var(--sand-line);
  }
  span {
    display: block;
    padding: 8px 10px;
  }
</style>
