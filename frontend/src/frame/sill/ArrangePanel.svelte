<script lang="ts">
  import MenuButton from '../../ui/MenuButton.svelte'
  import { turnMap } from '../../board/frame'
  import { about } from '../../board/place'
  import type { Arrangement } from '../../wire/generated'
  import { stampOf } from '../../lesson/stamps'
  import type { Session } from '../../lesson/session.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()

  const items = $derived(session.board.version >= 0 ? session.selection.items() : [])
  const several = $derived(items.length > 1)
  const locked = $derived(items.some((item) => item.locked))
  const grouped = $derived(items.some((item) => item.group))
  const LINE_UP: [Arrangement, string][] = [
    ['left', 'Left edges'],
    ['centre', 'Middles, side by side'],
    ['right', 'Right edges'],
    ['top', 'Upper edges'],
    ['middle', 'Middles, one below the other'],
    ['bottom', 'Lower edges'],
  ]
  const ORDER: [Arrangement, string][] = [
    ['front', 'To the front'],
    ['forward', 'One forward'],
    ['backward', 'One back'],
    ['back', 'To the back'],
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
    const stamp = stampOf(`Own stamp ${session.tools.ownStamps.length + 1}`, items)
    if (session.tools.addStamp(stamp)) session.take('stamp')
    else session.say('There is no room for another stamp. Throw one away first.')
    onclose()
  }

  function lock(how: Arrangement) {
    arrange(how)
    onclose()
  }
</script>

<div class="panel">
  {#if several}
    <section>
      <h3>Line up</h3>
      {#each LINE_UP as [how, label] (how)}<MenuButton onclick={() => arrange(how)}>{label}</MenuButton
        >{/each}
    </section>
    <section>
      <h3>Spread evenly</h3>
      <MenuButton onclick={() => arrange('spread_across')}>Side by side</MenuButton>
      <MenuButton onclick={() => arrange('spread_down')}>One below the other</MenuButton>
      <h3>Together</h3>
      <MenuButton onclick={() => arrange('group')}>Group</MenuButton>
      {#if grouped}<MenuButton onclick={() => arrange('ungroup')}>Ungroup</MenuButton>{/if}
    </section>
  {/if}
  <section>
    <h3>Order</h3>
    {#each ORDER as [how, label] (how)}<MenuButton onclick={() => arrange(how)}>{label}</MenuButton>{/each}
  </section>
  <section>
    <h3>Turn and flip</h3>
    <MenuButton onclick={() => turn(-90)}>Turn left 90°</MenuButton>
    <MenuButton onclick={() => turn(90)}>Turn right 90°</MenuButton>
    <MenuButton onclick={() => flip(true)}>Flip left to right</MenuButton>
    <MenuButton onclick={() => flip(false)}>Flip upside down</MenuButton>
    {#if !several && grouped}<MenuButton onclick={() => arrange('ungroup')}>Ungroup</MenuButton>{/if}
    <h3>Keep for later</h3>
    <MenuButton onclick={makeStamp}>Make a stamp</MenuButton>
    {#if session.rights.mayOnOthers('lock')}
      <h3>Lock</h3>
      {#if locked}<MenuButton onclick={() => lock('unlock')}>Unlock</MenuButton>{:else}<MenuButton
          onclick={() => lock('lock')}>Lock in place</MenuButton
        >{/if}
      <MenuButton onclick={() => lock('pin')}>Pin as background</MenuButton>
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
