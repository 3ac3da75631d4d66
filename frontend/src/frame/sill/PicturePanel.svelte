<script lang="ts">
  /** What can be done with a picture besides moving it. */
  import { onMount } from 'svelte'
  import type { Printed } from '../../lesson/pictures.svelte'
  import type { PictureItem } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Button from '../../ui/Button.svelte'
  import Slider from '../../ui/Slider.svelte'
  import { t } from '../../words/words.svelte'
  import PictureText from './PictureText.svelte'

  let { session, picture, onclose }: { session: Session; picture: PictureItem; onclose: () => void } =
    $props()
  let words = $state.raw<Printed[]>([])
  onMount(async () => {
    words = await session.pictures.printedIn([picture.picture])
  })
  let timer: ReturnType<typeof setTimeout> | undefined

  function see(opacity: number) {
    clearTimeout(timer)
    timer = setTimeout(() => session.chosen.style({ opacity }), 180)
  }

  function cut(sheet: boolean) {
    onclose()
    session.pictures.cutting = { id: picture.id, sheet }
  }

  function pick() {
    onclose()
    session.pictures.printed = words
  }

  function lift() {
    onclose()
    void session.pictures.liftInk(picture)
  }
</script>

<div class="panel">
  <div class="row">
    <Button onclick={() => cut(false)}>{t('crop-picture')}</Button>
    {#if words.length}<Button onclick={pick}>{t('printed-words')}</Button>{/if}
    {#if session.rights.may('add_picture')}
      <Button onclick={() => cut(true)}>{t('flatten-paper')}</Button>
      {#if session.rights.may('add_ink')}<Button onclick={lift}>{t('lift-ink')}</Button>{/if}
    {/if}
  </div>
  <Slider
    label={t('opacity')}
    value={picture.opacity}
    least={0.1}
    most={1}
    step={0.05}
    show={(value) => `${Math.round(value * 100)} %`}
    onchange={see}
  />
  <PictureText {session} {picture} {onclose} />
</div>

<style>
  .panel,
  .row {
    display: grid;
    gap: 10px;
    width: 300px;
    max-width: 100%;
  }
  .row {
    gap: 6px;
  }
</style>
