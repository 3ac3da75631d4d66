<script lang="ts">
  import { ask } from '../../wire/api'
  import Button from '../../ui/Button.svelte'
  import Choice from '../../ui/Choice.svelte'
  import Icon from '../../ui/Icon.svelte'
  import Later from '../../ui/Later.svelte'
  import { parts } from '../parts'
  import { looks, type Theme } from '../../ui/looks.svelte'
  import MenuButton from '../../ui/MenuButton.svelte'
  import Popover from '../../ui/Popover.svelte'
  import { screen } from '../../ui/screen.svelte'
  import type { Invitation } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { SOUNDS, type Sound } from '../../lesson/sounds'
  import { LANGUAGES, PSEUDO, speech, t, type Language } from '../../words/words.svelte'
  import TakeAway from './TakeAway.svelte'
  import WrapUp from './WrapUp.svelte'

  interface Props {
    session: Session
    link: string
    /** What the header has no room for stands here. */
    more: boolean
    onkeys: () => void
    onpeople: () => void
  }
  let { session, link, more, onkeys, onpeople }: Props = $props()
  let name = $state('')
  let invited = $state.raw<Invitation | null>(null)
  let problem = $state('')
  let heard = $state(0)
  let practising = $state(false)
  let wrapping = $state(false)
  const me = $derived(session.people.of(session.rights.me))
  const onlooker = $derived(session.people.role === 'onlooker')
  const initials = $derived(
    (me?.name ?? '')
      .split(/\s+/)
      .map((word) => [...word][0] ?? '')
      .filter(Boolean)
      .slice(0, 2)
      .join('')
      .toLocaleUpperCase(),
  )
  const THEMES = $derived<{ value: Theme; label: string }[]>([
    { value: 'day', label: t('theme-day') },
    { value: 'evening', label: t('theme-evening') },
    { value: 'system', label: t('theme-system') },
  ])
  const languages = $derived(
    Object.entries(speech.language in PSEUDO ? { ...LANGUAGES, ...PSEUDO } : LANGUAGES) as [
      Language,
      string,
    ][],
  )

  async function request(what: 'invite' | 'end') {
    problem = ''
    try {
      invited = await ask<Invitation>('POST', `/api/devices/${session.door}/${link}/${what}`)
      if (what === 'end') {
        invited = null
        session.say(t('pairings-ended'))
      }
    } catch (error) {
      problem = (error as Error).message
    }
  }

  async function signOut() {
    try {
      await ask('POST', '/api/sign-out')
      location.href = '/'
    } catch (error) {
      problem = (error as Error).message
    }
  }
</script>

<Popover
  label={t('your-menu')}
  now={more ? undefined : initials}
  title={me?.name}
  side="right"
  below
  dark
  onopen={() => (wrapping = false)}
>
  {#snippet face()}{#if more}<Icon name="more" size={18} />{:else}<span class="initials"
        >{initials || '·'}</span
      >{/if}{/snippet}
  {#snippet children(close)}
    <div class="panel">
      {#if screen.sheets}
        <div class="row">
          <Button onclick={() => (close(), onpeople())}
            >{t('people-count', { count: session.people.here })}</Button
          >
        </div>
      {/if}
      {#if more}
        <TakeAway {session} />
        {#if session.people.role === 'helper' && me?.owner}
          <Button onclick={() => session.tell({ command: 'hand_over', seat: '' })}
            >{t('take-room-back')}</Button
          >
        {/if}
        {#if session.people.role === 'tutor' && session.lesson?.facts.open}
          {#if wrapping}<WrapUp {session} {link} onclose={close} />{:else}
            <div class="row"><Button onclick={() => (wrapping = true)}>{t('wrap-up')}</Button></div>
          {/if}
        {/if}
      {/if}
      {#if session.door === 'student'}<a href="/r/{link}/found" target="_blank">{t('found-link')}</a>{/if}
      {#if !onlooker}
        <h3>{t('your-name')}</h3>
        <form
          onsubmit={(event) => {
            event.preventDefault()
            if (name.trim()) session.tell({ command: 'rename', seat: session.rights.me, name })
            name = ''
          }}
        >
          <input bind:value={name} maxlength="40" placeholder={me?.name} aria-label={t('your-new-name')} />
          <Button type="submit">{t('change')}</Button>
        </form>
        <Choice
          label={t('read-as-i-write')}
          options={[
            { value: 'off', label: t('as-you-go-off') },
            { value: 'offer', label: t('as-you-go-offer') },
            { value: 'always', label: t('as-you-go-always') },
          ]}
          bind:value={() => session.asYouGo.mode, (mode) => session.asYouGo.set(mode)}
        />
        <h3>{t('your-hand')}</h3>
        <p>{t('your-hand-hint')}</p>
        <div class="row">
          <Button onclick={() => (close(), (practising = true))}>{t('practice-page')}</Button>
        </div>
        <h3>{t('pen-elsewhere')}</h3>
        {#if invited}
          <div class="pair">
            <img src="/api/devices/{invited.code}.svg" alt={t('pair-qr')} />
            <p>{t('pair-how', { address: `${location.host}/pair` })} <b class="code">{invited.code}</b></p>
          </div>
        {:else}
          <p>{t('pen-elsewhere-hint')}</p>
        {/if}
        <div class="row">
          <Button onclick={() => request('invite')}>{invited ? t('another-code') : t('pair-device')}</Button>
          <Button kind="quiet" onclick={() => request('end')}>{t('end-pairings')}</Button>
        </div>
      {/if}
      {#if problem}<p role="alert" class="problem">{problem}</p>{/if}
      <h3>{t('interface')}</h3>
      <label class="language"
        ><span>{t('language')}</span>
        <select
          value={speech.language}
          onchange={(event) => void speech.choose(event.currentTarget.value as Language)}
        >
          {#each languages as [code, own] (code)}<option value={code} lang={code}>{own}</option>{/each}
        </select></label
      >
      <Choice
        label={t('light')}
        options={THEMES}
        bind:value={() => looks.theme, (theme) => looks.set({ theme })}
      />
      <label
        ><input
          type="checkbox"
          checked={looks.letterKeys}
          onchange={(event) => looks.set({ letterKeys: event.currentTarget.checked })}
        />{t('letter-keys')}</label
      >
      <label
        ><input
          type="checkbox"
          checked={looks.captions}
          onchange={(event) => looks.set({ captions: event.currentTarget.checked })}
        />{t('captions-see')}</label
      >
      <div class="row">
        <Button onclick={() => (close(), onkeys())}>{t('keys')}</Button>
        <Button onclick={() => (close(), (looks.boardOnly = true))}>{t('board-only')}</Button>
        {#if session.people.tutorSide}
          <Button onclick={() => (close(), (session.call.captions.writing = true))}
            >{t('captions-write')}</Button
          >
        {/if}
      </div>
      {#if session.people.tutorSide}
        <h3>{t('sounds')}</h3>
        {#key heard}
          {#each Object.entries(SOUNDS) as [sound, { word }] (sound)}
            <label
              ><input
                type="checkbox"
                checked={session.sounds.isOn(sound as Sound)}
                onchange={(event) => {
                  session.sounds.set(sound as Sound, event.currentTarget.checked)
                  heard++
                }}
              />{t(word)}</label
            >
          {/each}
        {/key}
      {/if}
      {#if session.door === 'tutor'}
        <MenuButton onclick={() => (location.href = `/rooms/${link}`)}>{t('to-room-home')}</MenuButton>
        <MenuButton onclick={signOut}>{t('sign-out')}</MenuButton>
      {/if}
    </div>
  {/snippet}
</Popover>
{#if practising}
  <Later load={parts.practice} props={{ door: session.door, link, onclose: () => (practising = false) }} />
{/if}

<style>
  a {
    min-height: 40px;
    display: grid;
    align-items: center;
    color: var(--leaf-dark);
  }
  .initials {
    min-width: 16px;
    text-align: center;
  }
  .panel {
    display: grid;
    gap: 8px;
    width: 340px;
    max-width: 100%;
    color: var(--ink);
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
    margin-top: 4px;
  }
  form,
  .row {
    display: flex;
    flex-wrap: wrap;
    gap: 6px;
  }
  form input,
  select {
    flex: 1;
    min-width: 0;
    height: 40px;
    padding: 0 10px;
    border: 1px solid var(--muted);
    border-radius: var(--radius);
    background: var(--field);
  }
  .pair {
    display: grid;
    grid-template-columns: 130px 1fr;
    gap: 12px;
    align-items: center;
  }
  img {
    width: 130px;
    height: 130px;
    background: #fff;
  }
  p {
    font-size: 14px;
  }
  .code {
    font-size: 20px;
    letter-spacing: 0.08em;
  }
  .problem {
    color: var(--clay);
  }
  label {
    display: flex;
    align-items: center;
    gap: 8px;
    min-height: 40px;
    font-size: 14px;
  }
  .language span {
    width: 74px;
    color: var(--muted);
    font-size: 13px;
  }
</style>
