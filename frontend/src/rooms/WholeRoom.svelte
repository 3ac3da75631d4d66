<script lang="ts">
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Me, RoomHome, RoomLinks } from '../wire/generated'
  import { ask, keepOwnerKey, ownerKeys } from '../wire/api'

  /** What is done to a room as a whole: its title, its links, taking it along, its end. */
  let { home, onchange }: { home: RoomHome; onchange: (wanted: { title: string }) => void } = $props()
  let title = $state('')
  let renaming = $state(false)
  let sure = $state<'' | 'students' | 'onlookers' | 'delete'>('')
  let typed = $state('')
  let problem = $state('')

  const goes = $derived(
    [
      home.boards.length === 1 ? 'its board' : `its ${home.boards.length} boards`,
      home.people.length === 1 ? 'the seat of one person' : `the seats of ${home.people.length} people`,
      'all pictures, the chat and the record',
    ].join(', '),
  )

  async function attempt(what: () => Promise<void>) {
    problem = ''
    try {
      await what()
    } catch (error) {
      problem = (error as Error).message
    }
  }

  const newLink = (which: 'students' | 'onlookers') =>
    attempt(async () => {
      const links = await ask<RoomLinks>('POST', `/api/rooms/${home.link}/links`, { which })
      const key = ownerKeys()[home.link]
      if (key) keepOwnerKey(links.link, key)
      location.replace(`/rooms/${links.link}`)
    })

  function deleteRoom(event: SubmitEvent) {
    event.preventDefault()
    void attempt(async () => {
      await ask<Me>('DELETE', `/api/rooms/${home.link}/all`, { title: typed })
      location.replace('/')
    })
  }
</script>

<h2>The whole room</h2>
{#if renaming}
  <form
    onsubmit={(event) => {
      event.preventDefault()
      onchange({ title })
      renaming = false
    }}
  >
    <Field label="Title" bind:value={title} maxlength={80} required />
    <div class="row">
      <Button type="submit" kind="go">Rename</Button><Button onclick={() => (renaming = false)}
        >Leave it</Button
      >
    </div>
  </form>
{:else}
  <div><Button kind="quiet" onclick={() => ((title = home.title), (renaming = true))}>Rename</Button></div>
{/if}
{#if sure === 'students' || sure === 'onlookers'}
  <p>
    {sure === 'students'
      ? 'The old link leads nowhere at once. Who is in the room stays; send the new link to the others.'
      : 'The old link leads nowhere at once, and onlookers who are here go out.'}
  </p>
  <div class="row">
    <Button kind="go" onclick={() => newLink(sure as 'students' | 'onlookers')}>Change the link</Button>
    <Button onclick={() => (sure = '')}>Leave it</Button>
  </div>
{:else}
  <div><Button kind="quiet" onclick={() => (sure = 'students')}>New link for students</Button></div>
  <div><Button kind="quiet" onclick={() => (sure = 'onlookers')}>New link for onlookers</Button></div>
{/if}
<a class="take" href="/rooms/{home.link}/room.zip" download>Take the whole room along</a>
<p class="muted">
  One file with every board, to be brought in on any server's start page. {home.used_mb} of {home.most_mb.toLocaleString(
    'en-GB',
  )} MB on this server are used.
</p>
{#if sure === 'delete'}
  <form onsubmit={deleteRoom}>
    <p>With the room go {goes}. Nothing of it can be brought back.</p>
    <Field
      label="Type “{home.title}” to say that you mean it"
      bind:value={typed}
      autocomplete="off"
      required
    />
    <div class="row">
      <Button type="submit" kind="stop" disabled={typed.trim() !== home.title}>Delete the room</Button>
      <Button onclick={() => (sure = '')}>Keep it</Button>
    </div>
  </form>
{:else}
  <div><Button kind="stop" onclick={() => ((typed = ''), (sure = 'delete'))}>Delete the room</Button></div>
{/if}
{#if problem}<p class="problem" role="alert">{problem}</p>{/if}

<style>
  h2 {
    font-weight: 700;
    font-size: 16px;
    margin-top: 12px;
  }
  form {
    display: grid;
    gap: 10px;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 8px;
  }
  .take {
    min-height: 40px;
    padding: 0 14px;
    display: flex;
    align-items: center;
    color: var(--leaf-dark);
    font-weight: 600;
    text-decoration: none;
  }
  .take:hover {
    text-decoration: underline;
  }
  p {
    font-size: 14px;
  }
  .muted {
    color: var(--muted);
  }
  .problem {
    color: var(--clay);
  }
</style>
