<script lang="ts" module>
  import type { Me, RoomHome, SetPlan } from '../wire/generated'

  /** What of a room can be changed on its home. */
  export type Changes = Partial<Pick<RoomHome, 'title' | 'between' | 'language'>> & { plan?: SetPlan }
</script>

<script lang="ts">
  import PersonMark from '../people/PersonMark.svelte'
  import Button from '../ui/Button.svelte'
  import Later from '../ui/Later.svelte'
  import AccountForm from './AccountForm.svelte'
  import CopyLink from './CopyLink.svelte'
  import WholeRoom from './WholeRoom.svelte'

  interface Props {
    home: RoomHome
    me: Me | null
    onchange: (wanted: Changes) => void
    onclaim: (me: Me) => Promise<void>
  }
  let { home, me, onchange, onclaim }: Props = $props()
  let keeping = $state(false)
  let practising = $state(false)

  const BETWEEN = [
    { value: 'view', label: 'Students can look' },
    { value: 'write', label: 'Students can write' },
    { value: 'closed', label: 'Closed' },
  ] as const
  const LANGUAGES = [
    ['en', 'English'],
    ['fr', 'French'],
    ['de', 'German'],
    ['es', 'Spanish'],
  ]
</script>

<aside>
  <h2>Send this to students</h2>
  <CopyLink path="/r/{home.link}" />
  <p class="muted">They type a name; no account.</p>
  <h2>For onlookers</h2>
  <CopyLink path="/watch/{home.onlooker_link}" />
  <p class="muted">A parent or a screen in a room: sees the board, never writes.</p>
  <h2>For a projector</h2>
  <CopyLink path="/watch/{home.onlooker_link}?projector" />
  <p class="muted">The board alone; it looks where you look.</p>
  <label class="language">
    Taught in
    <select value={home.language} onchange={(event) => onchange({ language: event.currentTarget.value })}>
      {#each LANGUAGES as [code, name] (code)}<option value={code}>{name}</option>{/each}
    </select>
  </label>
  <p class="muted">Handwriting is read with the words of this language.</p>
  <h2>Your hand</h2>
  <div><Button onclick={() => (practising = true)}>Practice page</Button></div>
  {#if practising}
    <Later
      load={() => import('../hand/PracticePage.svelte')}
      props={{ door: 'tutor', link: home.link, onclose: () => (practising = false) }}
    />
  {/if}
  <p class="muted">Write it once, and your ink is read better.</p>
  <fieldset disabled={home.lesson_open}>
    <legend>Between lessons</legend>
    {#each BETWEEN as choice (choice.value)}
      <label>
        <input
          type="radio"
          name="between"
          value={choice.value}
          checked={home.between === choice.value}
          onchange={() => onchange({ between: choice.value })}
        />
        {choice.label}
      </label>
    {/each}
    {#if home.lesson_open}<p class="muted">A lesson is on: this counts once it has ended.</p>{/if}
  </fieldset>
  <div class="line">
    <h2>People</h2>
    <span class="muted">{home.people.length}</span>
  </div>
  {#each home.people as person (person.seat)}
    <div class="person">
      <PersonMark seat={person.seat} name={person.name} size={28} />{person.name}<span class="muted"
        >{person.role}</span
      >
    </div>
  {:else}
    <p class="muted">Whoever comes in by the link is listed here.</p>
  {/each}
  {#if !home.claimed}
    <h2>Keep this room</h2>
    <p class="muted">This browser has the only key. With an account the room opens from anywhere.</p>
    {#if me?.name}
      <Button onclick={() => onclaim(me!)}>Keep it as {me.name}</Button>
    {:else if keeping}
      <AccountForm onsigned={onclaim} />
    {:else}
      <Button onclick={() => (keeping = true)}>Keep it with an account</Button>
    {/if}
  {/if}
  <WholeRoom {home} {onchange} />
</aside>

<style>
  aside {
    background: var(--sand-2);
    padding: 26px 22px;
    display: grid;
    gap: 8px;
    align-content: start;
  }
  h2,
  legend {
    font-weight: 700;
    font-size: 16px;
    margin-top: 12px;
    padding: 0;
  }
  .language {
    font-weight: 700;
    font-size: 16px;
    margin-top: 12px;
  }
  select {
    height: 38px;
    padding: 0 8px;
    border: 1px solid var(--sand-line);
    border-radius: var(--radius);
    background: var(--glass);
  }
  fieldset {
    border: 0;
    margin: 8px 0 0;
    padding: 0;
  }
  label {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 34px;
  }
  input[type='radio'] {
    width: 18px;
    height: 18px;
    margin: 0;
  }
  .person {
    display: flex;
    align-items: center;
    gap: 11px;
    min-width: 0;
    overflow-wrap: anywhere;
  }
  .person .muted {
    margin-left: auto;
  }
  .muted {
    color: var(--muted);
    font-size: 14px;
  }
  .line {
    display: flex;
    justify-content: space-between;
    align-items: baseline;
    margin-bottom: 10px;
  }
</style>
