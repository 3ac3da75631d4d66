<script lang="ts">
  /** A picture shown in part, or the sheet of paper in it made flat: before on the left, after on the right. */
  import { onMount, untrack } from 'svelte'
  import { addressOf } from '../../board/pictures'
  import type { Session } from '../../lesson/session.svelte'
  import type { PictureItem } from '../../wire/generated'
  import Button from '../../ui/Button.svelte'
  import Dialog from '../../ui/Dialog.svelte'
  import { t } from '../../words/words.svelte'
  import Corners, { type Corner } from './Corners.svelte'

  let { session, picture, sheet }: { session: Session; picture: PictureItem; sheet: boolean } = $props()
  const { pictures } = untrack(() => session)
  const NEARLY_ALL: Corner[] = [
    [0.06, 0.06],
    [0.94, 0.06],
    [0.94, 0.94],
    [0.06, 0.94],
  ]
  /** A corner that was moved waits this long for the next move, before the result is asked for. */
  const AT_REST_MS = 250

  let dialog: ReturnType<typeof Dialog>
  let corners = $state<Corner[] | null>(untrack(() => (sheet ? null : boxOf(picture.crop))))
  let unseen = $state(false)
  let whiten = $state(true)
  let after = $state('')
  let looking = $state(false)
  let using = $state(false)
  let problem = $state('')
  const source = $derived(addressOf(picture.picture))
  const shown = $derived.by(() => {
    const [from, , to] = corners ?? NEARLY_ALL
    return [...from!, ...to!] as PictureItem['crop']
  })
  const tooSmall = $derived(!sheet && (shown[2] - shown[0] < 0.01 || shown[3] - shown[1] < 0.01))

  function boxOf([left, upper, right, lower]: PictureItem['crop']): Corner[] {
    return [
      [left, upper],
      [right, upper],
      [right, lower],
      [left, lower],
    ]
  }

  onMount(() => {
    if (!sheet) return
    void pictures.sheetOf(picture).then((found) => {
      unseen = !found.length
      corners = found.length ? found : NEARLY_ALL
    })
  })

  $effect(() => {
    if (!sheet || !corners) return
    const wanted = { corners: $state.snapshot(corners) as Corner[], whiten }
    const given = new AbortController()
    const timer = setTimeout(() => {
      looking = true
      pictures
        .flatPreview(picture, wanted, given.signal)
        .then((address) => {
          if (after) URL.revokeObjectURL(after)
          after = address
          problem = ''
        })
        .catch((error: Error) => (problem = error.message))
        .finally(() => (looking = false))
    }, AT_REST_MS)
    return () => {
      clearTimeout(timer)
      given.abort()
    }
  })

  async function use() {
    if (!corners) return
    if (!sheet) pictures.crop(picture, shown)
    else {
      using = true
      const flat = await pictures.flatten(picture, { corners, whiten })
      using = false
      if (!flat) return
    }
    pictures.cutting = null
  }
</script>

<Dialog
  bind:this={dialog}
  title={sheet ? t('flatten-paper') : t('crop-picture')}
  width={980}
  shut={false}
  onclose={() => (pictures.cutting = null)}
  data-testid="cut-picture"
>
  <p role="status">
    {#if sheet && !corners}{t('looking-for-sheet')}{:else if unseen}{t('no-sheet-seen')}{:else if sheet}{t(
        'sheet-corners-hint',
      )}{:else}{t('crop-hint')}{/if}
  </p>
  <div class="both" class:one={!sheet}>
    {#if corners}
      <Corners {source} {corners} straight={!sheet} onchange={(moved) => (corners = moved)} />
    {:else}
      <img src={source} alt="" />
    {/if}
    {#if sheet}
      <div class="after" class:looking>
        {#if after}<img src={after} alt={t('flat-sheet')} />{/if}
      </div>
    {/if}
  </div>
  {#if problem}<p class="problem" role="alert">{problem}</p>{/if}
  <div class="row">
    {#if sheet}
      <label><input type="checkbox" bind:checked={whiten} /> {t('whiten-paper')}</label>
    {:else}
      <Button onclick={() => (corners = boxOf([0, 0, 1, 1]))}>{t('show-whole')}</Button>
    {/if}
    <Button kind="quiet" onclick={() => dialog.close()}>{t('cancel')}</Button>
    <Button kind="go" disabled={!corners || tooSmall || using} onclick={use}
      >{sheet ? t('use-flat-sheet') : t('crop-picture')}</Button
    >
  </div>
</Dialog>

<style>
  p {
    margin: 0;
    font-size: 14px;
    color: var(--muted);
  }
  .problem {
    color: var(--stop);
  }
  .both {
    display: grid;
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
    gap: 18px;
    padding: 14px;
    border-radius: var(--radius);
    background: var(--sand);
    min-height: 160px;
    align-items: center;
    justify-items: center;
  }
  .both.one {
    grid-template-columns: minmax(0, 1fr);
  }
  .after {
    min-height: 120px;
    display: grid;
    place-items: center;
  }
  .after.looking {
    opacity: 0.5;
  }
  .both > img,
  .after img {
    max-width: 100%;
    max-height: min(52dvh, 480px);
    border: 1px solid var(--sand-line);
    background: #fff;
  }
  .row {
    display: flex;
    flex-wrap: wrap;
    justify-content: flex-end;
    align-items: center;
    gap: 8px;
  }
  .row label {
    margin-inline-end: auto;
    min-height: 40px;
    display: flex;
    align-items: center;
    gap: 8px;
  }
  @media (width <= 620px) {
    .both {
      grid-template-columns: minmax(0, 1fr);
    }
    .both :global(img) {
      max-height: 27dvh;
    }
  }
</style>
