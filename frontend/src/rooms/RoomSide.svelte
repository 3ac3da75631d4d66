<script lang="ts" module>
  import type { Me, RoomHome, SetPlan } from '../wire/generated'

  /** What of a room can be changed on its home. */
  export type Changes = Partial<Pick<RoomHome, 'title' | 'between' | 'language' | 'outside_call'>> & {
    plan?: SetPlan
  }
</script>

<script lang="ts">
  import { ROLES } from '../people/doing'
  import PersonMark from '../people/PersonMark.svelte'
  import Button from '../ui/Button.svelte'
  import Later from '../ui/Later.svelte'
  import AccountForm from './AccountForm.svelte'
  import Between from './Between.svelte'
  import CopyLink from '../ui/CopyLink.svelte'
  import Rehearse from './Rehearse.svelte'
  import WholeRoom from './WholeRoom.svelte'
  import { addressOf } from '../ui/address'
  import { ownerKeys } from '../wire/api'
  import { t } from '../words/words.svelte'

  interface Props {
    home: RoomHome
    me: Me | null
    /** Whether it is so now; what was refused has been said. */
    onchange: (wanted: Changes) => Promise<boolean>
    onclaim: (me: Me) => Promise<void>
  }
  let { home, me, onchange, onclaim }: Props = $props()
  let keeping = $state(false)
  let practising = $state(false)

  const LANGUAGES = [
    ['en', t('english')],
    ['fr', t('french')],
    ['de', t('german')],
    ['es', t('spanish')],
  ]
</script>

<aside>
  <h2>{t('send-this-to-students')}</h2>
  <CopyLink path="/r/{home.link}" />
  <p class="muted">{t('they-type-a-name-no')}</p>
  <h2>{t('between-lessons')}</h2>
  <Between between={home.between} onchange={(between) => onchange({ between })} disabled={home.lesson_open} />
  {#if home.lesson_open}<p class="muted">{t('a-lesson-is-on-this')}</p>{/if}
  <div class="line">
    <h2>{t('people')}</h2>
    <span class="muted">{home.people.length}</span>
  </div>
  {#each home.people as person (person.seat)}
    <div class="person">
      <PersonMark seat={person.seat} name={person.name} size={28} />{person.name}<span class="muted"
        >{t(ROLES[person.role])}</span
      >
    </div>
  {:else}
    <p class="muted">{t('whoever-comes-in-by-the')}</p>
  {/each}
  <h2>{t('for-onlookers')}</h2>
  <CopyLink path="/watch/{home.onlooker_link}" />
  <p class="muted">{t('a-parent-or-a-screen')}</p>
  <h2>{t('for-a-projector')}</h2>
  <CopyLink path="/watch/{home.onlooker_link}?projector" />
  <p class="muted">{t('the-board-alone-it-looks')}</p>
  <h2>{t('outside-call')}</h2>
  <input
    inputmode="url"
    value={home.outside_call}
    maxlength="400"
    placeholder="https://"
    aria-label={t('outside-call')}
    onchange={({ currentTarget: { value } }) => onchange({ outside_call: addressOf(value) || value })}
  />
  <p class="muted">{t('outside-call-hint')}</p>
  <label class="language">
    {t('taught-in')}
    <select
      value={home.language}
      onchange={async ({ currentTarget: box }) => {
        await onchange({ language: box.value })
        box.value = home.language
      }}
    >
      {#each LANGUAGES as [code, name] (code)}<option value={code}>{name}</option>{/each}
    </select>
  </label>
  <p class="muted">{t('handwriting-is-read-with-the')}</p>
  <Rehearse link={home.link} />
  <h2>{t('your-hand')}</h2>
  <div><Button onclick={() => (practising = true)}>{t('practice-page')}</Button></div>
  {#if practising}
    <Later
      load={() => import('../hand/PracticePage.svelte')}
      props={{ door: 'tutor', link: home.link, onclose: () => (practising = false) }}
    />
  {/if}
  <p class="muted">{t('write-it-once-and-your')}</p>
  {#if !home.claimed}
    <h2>{t('keep-this-room')}</h2>
    <p class="muted">
      {t(home.link in ownerKeys() ? 'this-browser-has-the-only' : 'this-browser-keeps-no-key')}
    </p>
    {#if me?.name}
      <Button onclick={() => onclaim(me!)}>{t('keep-it-as', { name: me.name })}</Button>
    {:else if keeping}
      <AccountForm onsigned={onclaim} />
    {:else}
      <Button onclick={() => (keeping = true)}>{t('keep-it-with-an-account')}</Button>
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
  input {
    min-height: 40px;
    min-width: 0;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
    font: inherit;
    color: var(--ink);
  }
  h2 {
    font-weight: 700;
    font-size: 16px;
    margin-top: 12px;
    padding: 0;
  }
  .language {
    display: flex;
    gap: 10px;
    align-items: center;
    min-height: 34px;
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
