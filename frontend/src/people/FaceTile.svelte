<script lang="ts">
  /** One person in the call: their picture or their mark, their name, and what is to be known of them. */
  import type { Session } from '../lesson/session.svelte'
  import { MADE_UP } from '../call/devices'
  import Icon from '../ui/Icon.svelte'
  import type { Caller } from '../wire/generated'
  import { t } from '../words/words.svelte'
  import { holdsPen } from './doing'
  import PersonMark from './PersonMark.svelte'

  let { session, caller, mark = 44 }: { session: Session; caller: Caller; mark?: number } = $props()
  const { call } = $derived(session)
  const own = $derived(caller.id === call.id)
  const person = $derived(session.people.of(caller.seat))
  const name = $derived(session.people.nameOf(caller.seat))
  const stream = $derived(own ? (call.hidesOwn ? null : call.own) : (call.faces.get(caller.id) ?? null))
  const seen = $derived(Boolean(stream && caller.face && caller.may_face))
  const heard = $derived(caller.voice && caller.may_voice)
  const speaks = $derived(heard && call.speaking.has(caller.id))
  const hand = $derived(session.lesson?.hands.includes(caller.seat) ?? false)
  const says = $derived(
    [
      own ? t('call-you') : name,
      speaks && t('call-speaking'),
      !heard && t('call-muted'),
      hand && t('call-hand-up'),
      call.lost.has(caller.id) && t('call-way-lost'),
    ]
      .filter(Boolean)
      .join(', '),
  )

  function play(stream: MediaStream) {
    return (video: HTMLVideoElement) => {
      video.srcObject = stream
    }
  }
</script>

<button
  class:speaks
  class:own={own && call.kept.face !== MADE_UP}
  aria-pressed={call.large === caller.id}
  aria-label={says}
  title={says}
  data-testid="face"
  data-name={name}
  onclick={() => (call.large = call.large === caller.id ? '' : caller.id)}
>
  {#if seen && stream}
    <!-- svelte-ignore a11y_media_has_caption -->
    <video autoplay playsinline muted {@attach play(stream)}></video>
  {:else}
    <span class="mark"
      ><PersonMark
        seat={caller.seat}
        {name}
        colour={session.people.colourOf(caller.seat)}
        size={mark}
      /></span
    >
  {/if}
  <span class="name">
    {#if speaks}<Icon name="voices" size={14} />{:else if !heard}<Icon name="nomic" size={14} />{/if}
    <b>{own ? t('call-you') : name}</b>
    {#if hand}<Icon name="raised" size={14} />{/if}
    {#if person && holdsPen(session, person)}<Icon name="pen" size={14} />{/if}
  </span>
  {#if call.lost.has(caller.id)}<span class="lost">{t('call-way-lost')}</span>{/if}
</button>

<style>
  button {
    position: relative;
    display: grid;
    width: 100%;
    height: 100%;
    min-width: 0;
    min-height: 0;
    padding: 0;
    border: 0;
    border-radius: 3px;
    outline: 3px solid transparent;
    outline-offset: -3px;
    background: #24413b;
    color: #fff;
    overflow: hidden;
  }
  button.speaks {
    outline-color: var(--sun);
  }
  button:focus-visible {
    outline-color: #fff;
  }
  video {
    width: 100%;
    height: 100%;
    object-fit: cover;
    pointer-events: none;
  }
  /* One's own picture as in a mirror. */
  .own video {
    transform: scaleX(-1);
  }
  .mark {
    place-self: center;
  }
  .name {
    position: absolute;
    inset: auto 0 0;
    display: flex;
    align-items: center;
    gap: 4px;
    padding: 3px 6px;
    background: rgb(10 28 24 / 62%);
    font-size: 12px;
  }
  .name b {
    flex: 1;
    min-width: 0;
    text-align: start;
    overflow: hidden;
    white-space: nowrap;
    text-overflow: ellipsis;
  }
  .lost {
    position: absolute;
    inset: 0 0 auto;
    padding: 2px 6px;
    background: var(--clay);
    font-size: 12px;
  }
</style>
