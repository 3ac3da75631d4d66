<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import { screenPicture } from '../../lesson/camera'
  import type { Surface } from '../board/surface.svelte'
  import { ACCEPTED, bringFiles } from '../bring'
  import Button from '../../ui/Button.svelte'
  import Fitting from '../../ui/Fitting.svelte'
  import Later from '../../ui/Later.svelte'
  import { parts } from '../parts'
  import Camera from './Camera.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  let input: HTMLInputElement
  let camera = $state(false)
  let shelf = $state(false)
  let box = $state(false)
  let drawings = $state(false)
  /** Phones have no windows to choose from. */
  const mayScreen = Boolean(navigator.mediaDevices && 'getDisplayMedia' in navigator.mediaDevices)

  /** A picture of a window that is chosen in the browser's own dialog; which part of it is asked next. */
  async function fromScreen() {
    const blob = await screenPicture().catch(() => null)
    if (!blob) return session.warn(t('screen-refused'))
    const [made] = await session.pictures.put([blob])
    if (made) session.pictures.cutting = { id: made, sheet: false }
  }

  function take() {
    if (input.files?.length && surface) bringFiles([...input.files], session, surface)
    input.value = ''
  }
</script>

{#snippet choose()}<Button onclick={() => input.click()}>{t('choose-a-picture')}</Button>{/snippet}
{#snippet taking()}
  <Button disabled={!surface} onclick={() => (camera = true)}>{t('camera')}</Button>
{/snippet}
{#snippet screen()}
  <Button disabled={!surface} onclick={fromScreen}>{t('screen-take')}</Button>
{/snippet}
{#snippet kept()}
  <Button disabled={!surface} onclick={() => (shelf = true)}>{t('shelf')}</Button>
{/snippet}
{#snippet pieces()}
  <Button disabled={!surface} onclick={() => (box = true)}>{t('piece-box')}</Button>
{/snippet}
{#snippet drawn()}
  <Button disabled={!surface} onclick={() => (drawings = true)}>{t('drawings')}</Button>
{/snippet}
{#snippet link()}
  <Button disabled={!surface} onclick={() => (session.cards.writing = null)}>{t('card-link')}</Button>
{/snippet}
{#snippet how()}<Hint>{t('or-drop-one-on-the')}</Hint>{/snippet}

{#if session.pictures.bringing}
  <span role="status">{t('bringing-the-picture-in')}</span>
  <Button onclick={() => session.pictures.bringing?.abort()}>{t('give-up')}</Button>
{:else if session.cards.bringing}
  <span role="status">{t('bringing-medium-in')}</span>
  <Button onclick={() => session.cards.bringing?.abort()}>{t('give-up')}</Button>
{:else if session.documents.opening}
  <span role="status">{t('opening-document')}</span>
  <Button onclick={() => session.documents.giveUp()}>{t('give-up')}</Button>
{:else}
  <Fitting
    parts={[
      { key: 'choose', part: choose },
      { key: 'camera', part: taking },
      session.welcome?.role === 'tutor' && { key: 'shelf', part: kept },
      session.welcome?.role === 'tutor' && { key: 'pieces', part: pieces },
      session.rights.may('add_shape') && { key: 'drawings', part: drawn },
      mayScreen && { key: 'screen', part: screen },
      { key: 'link', part: link },
      { key: 'how', part: how, hint: true },
    ]}
  />
{/if}
{#if shelf}
  <Later load={parts.shelf} props={{ session, onclose: () => (shelf = false) }} />
{/if}
{#if box}
  <Later load={parts.shelf} props={{ session, pieces: true, onclose: () => (box = false) }} />
{/if}
{#if drawings && surface}
  <Later load={parts.drawings} props={{ session, surface, onclose: () => (drawings = false) }} />
{/if}
{#if camera}<Camera {session} onclose={() => (camera = false)} />{/if}
<input
  bind:this={input}
  type="file"
  multiple
  accept={ACCEPTED}
  aria-label={t('picture-file')}
  onchange={take}
/>

<style>
  input {
    display: none;
  }
</style>
