<script lang="ts">
  import TextLink from '../ui/TextLink.svelte'
  import Button from '../ui/Button.svelte'
  import Field from '../ui/Field.svelte'
  import type { Me, RoomHome, RoomLinks } from '../wire/generated'
  import { ask, keepOwnerKey, ownerKeys } from '../wire/api'
  import { t } from '../words/words.svelte'

  /** What is done to a room as a whole: its title, its links, taking it along, its end. */
  let { home, onchange }: { home: RoomHome; onchange: (wanted: { title: string }) => Promise<boolean> } =
    $props()
  let title = $state('')
  let renaming = $state(false)
  let sure = $state<'' | 'students' | 'onlookers' | 'delete'>('')
  let typed = $state('')
  let problem = $state('')

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

<h2>{t('the-whole-room')}</h2>
{#if renaming}
  <form
    onsubmit={async (event) => {
      event.preventDefault()
      renaming = !(await onchange({ title }))
    }}
  >
    <Field label={t('title')} bind:value={title} maxlength={80} required />
    <div class="row">
      <Button type="submit" kind="go">{t('rename')}</Button><Button onclick={() => (renaming = false)}
        >{t('leave-it')}</Button
      >
    </div>
  </form>
{:else}
  <div>
    <Button kind="quiet" onclick={() => ((title = home.title), (renaming = true))}>{t('rename')}</Button>
  </div>
{/if}
{#if sure === 'students' || sure === 'onlookers'}
  <p>
    {sure === 'students' ? t('the-old-link-leads-nowhere-2') : t('the-old-link-leads-nowhere')}
  </p>
  <div class="row">
    <Button kind="go" onclick={() => newLink(sure as 'students' | 'onlookers')}>{t('change-the-link')}</Button
    >
    <Button onclick={() => (sure = '')}>{t('leave-it')}</Button>
  </div>
{:else}
  <div><Button kind="quiet" onclick={() => (sure = 'students')}>{t('new-link-for-students')}</Button></div>
  <div><Button kind="quiet" onclick={() => (sure = 'onlookers')}>{t('new-link-for-onlookers')}</Button></div>
{/if}
<TextLink href="/rooms/{home.link}/room.zip" download>{t('take-the-whole-room-along')}</TextLink>
<p class="muted">
  {t('one-file-with-every-board', { used: home.used_mb, most: home.most_mb })}
</p>
{#if sure === 'delete'}
  <form onsubmit={deleteRoom}>
    <p>{t('with-the-room-go', { boards: home.boards.length, people: home.people.length })}</p>
    <Field
      label={t('type-to-say-that-you', { title: home.title })}
      bind:value={typed}
      autocomplete="off"
      required
    />
    <div class="row">
      <Button type="submit" kind="stop" disabled={typed.trim() !== home.title}>{t('delete-the-room')}</Button>
      <Button onclick={() => (sure = '')}>{t('keep-it')}</Button>
    </div>
  </form>
{:else}
  <div>
    <Button kind="stop" onclick={() => ((typed = ''), (sure = 'delete'))}>{t('delete-the-room')}</Button>
  </div>
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
  /* Their words stand where all others begin. */
  div > :global(.quiet) {
    margin-inline-start: -14px;
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
