<script lang="ts">
  import Hint from '../../ui/Hint.svelte'
  import type { Surface } from '../board/surface.svelte'
  import { ACCEPTED, bringFiles } from '../bring'
  import Button from '../../ui/Button.svelte'
  import Later from '../../ui/Later.svelte'
  import Camera from './Camera.svelte'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, surface }: { session: Session; surface: Surface | null } = $props()
  let input: HTMLInputElement
  let camera = $state(false)
  let shelf = $state(false)

  function take() {
    if (input.files?.length && surface) bringFiles([...input.files], session, surface, surface.middle())
    input.value = ''
  }
</script>

{#if session.pictures.bringing}
  <span role="status">{t('bringing-the-picture-in')}</span>
  <Button onclick={() => session.pictures.bringing?.abort()}>{t('give-up')}</Button>
{:else if session.documents.opening}
  <span role="status">{t('opening-document')}</span>
  <Button onclick={() => session.documents.giveUp()}>{t('give-up')}</Button>
{:else}
  <Button onclick={() => input.click()}>{t('choose-a-picture')}</Button>
  <Button disabled={!surface} onclick={() => (camera = true)}>{t('camera')}</Button>
  {#if session.welcome?.role === 'tutor'}
    <Button disabled={!surface} onclick={() => (shelf = true)}>{t('shelf')}</Button>
  {/if}
  <Hint>{t('or-drop-one-on-the')}</Hint>
{/if}
{#if shelf && surface}
  <Later load={() => import('./Shelf.svelte')} props={{ session, surface, onclose: () => (shelf = false) }} />
{/if}
{#if camera && surface}<Camera {session} {surface} onclose={() => (camera = false)} />{/if}
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
