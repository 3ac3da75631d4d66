<script lang="ts">
  import MenuButton from '../../ui/MenuButton.svelte'
  import { turnMap } from '../../board/frame'
  import { about } from '../../board/place'
  import type { Arrangement } from '../../wire/generated'
  import { keepPiece } from '../../lesson/piece-box'
  import { stampOf } from '../../lesson/stamps'
  import type { Session } from '../../lesson/session.svelte'
  import { t } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items() : [])
  const several = $derived(items.length > 1)
  const locked = $derived(items.some((item) => item.locked))
  const grouped = $derived(items.some((item) => item.group))
  const LINE_UP: [Arrangement, string][] = [
    ['left', t('left-edges')],
    ['centre', t('middles-side-by-side')],
    ['right', t('right-edges')],
    ['top', t('upper-edges')],
    ['middle', t('middles-one-below-the-other')],
    ['bottom', t('lower-edges')],
  ]
  const ORDER: [Arrangement, string][] = [
    ['front', t('to-the-front')],
    ['forward', t('one-forward')],
    ['backward', t('one-back')],
    ['back', t('to-the-back')],
  ]

  function arrange(how: Arrangement) {
    session.chosen.arrange(how)
  }

  function flip(across: boolean) {
    session.chosen.transform(({ minX, minY, maxX, maxY }) =>
      about((minX + maxX) / 2, (minY + maxY) / 2, across ? -1 : 1, 0, 0, across ? 1 : -1),
    )
  }

  function turn(degrees: number) {
    session.chosen.transform(({ minX, minY, maxX, maxY }) =>
      turnMap((minX + maxX) / 2, (minY + maxY) / 2, (degrees * Math.PI) / 180),
    )
  }

  function makeStamp() {
    const stamp = stampOf(t('own-stamp', { count: session.tools.ownStamps.length + 1 }), items)
    if (session.tools.addStamp(stamp)) session.take('stamp')
    else session.say(t('there-is-no-room-for'))
    onclose()
  }

  async function keep() {
    onclose()
    try {
      const title = await keepPiece(session, session.link, items, t('a-piece'))
      session.say(t('piece-kept', { title }))
    } catch (error) {
      session.warn((error as Error).message)
    }
  }

  function lock(how: Arrangement) {
    arrange(how)
    onclose()
  }
</script>

<div class="panel">
  {#if several}
    <section>
      <h3>{t('line-up')}</h3>
      {#each LINE_UP as [how, label] (how)}<MenuButton onclick={() => arrange(how)}>{label}</MenuButton
        >{/each}
    </section>
    <section>
      <h3>{t('spread-evenly')}</h3>
      <MenuButton onclick={() => arrange('spread_across')}>{t('side-by-side')}</MenuButton>
      <MenuButton onclick={() => arrange('spread_down')}>{t('one-below-the-other')}</MenuButton>
      <h3>{t('together')}</h3>
      <MenuButton onclick={() => arrange('group')}>{t('group')}</MenuButton>
      {#if grouped}<MenuButton onclick={() => arrange('ungroup')}>{t('ungroup')}</MenuButton>{/if}
    </section>
  {/if}
  <section>
    <h3>{t('order')}</h3>
    {#each ORDER as [how, label] (how)}<MenuButton onclick={() => arrange(how)}>{label}</MenuButton>{/each}
  </section>
  <section>
    <h3>{t('turn-and-flip')}</h3>
    <MenuButton onclick={() => turn(-90)}>{t('turn-left-90')}</MenuButton>
    <MenuButton onclick={() => turn(90)}>{t('turn-right-90')}</MenuButton>
    <MenuButton onclick={() => flip(true)}>{t('flip-left-to-right')}</MenuButton>
    <MenuButton onclick={() => flip(false)}>{t('flip-upside-down')}</MenuButton>
    {#if !several && grouped}<MenuButton onclick={() => arrange('ungroup')}>{t('ungroup')}</MenuButton>{/if}
    <h3>{t('keep-for-later')}</h3>
    <MenuButton onclick={makeStamp}>{t('make-a-stamp')}</MenuButton>
    {#if session.welcome?.role === 'tutor'}
      <MenuButton onclick={keep}>{t('piece-keep')}</MenuButton>
    {/if}
    {#if session.rights.mayOnOthers('lock')}
      <h3>{t('lock')}</h3>
      {#if locked}<MenuButton onclick={() => lock('unlock')}>{t('unlock')}</MenuButton>{:else}<MenuButton
          onclick={() => lock('lock')}>{t('lock-in-place')}</MenuButton
        >{/if}
      <MenuButton onclick={() => lock('pin')}>{t('pin-as-background')}</MenuButton>
    {/if}
  </section>
</div>

<style>
  .panel {
    display: flex;
    flex-wrap: wrap;
    gap: 8px 18px;
  }
  section {
    display: grid;
    align-content: start;
    gap: 2px;
  }
  h3 {
    font-size: 13px;
    font-weight: 600;
    color: var(--muted);
    padding: 4px 8px;
  }
</style>
