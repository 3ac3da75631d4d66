<script lang="ts">
  /** Small drawings, to be set on the page as things that can be taken apart. */
  import { ask, askThings } from '../../wire/api'
  import { newId } from '../../wire/codec'
  import type { DrawingParts, DrawingSubject } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import type { Surface } from '../board/surface.svelte'
  import { setDown } from '../../lesson/stamps'
  import { t, told, type Plain } from '../../words/words.svelte'
  import Ready from '../Ready.svelte'

  let { session, surface, onclose }: { session: Session; surface: Surface; onclose: () => void } = $props()
  const SUBJECTS: Record<string, Plain> = {
    science: 'subject-science',
    maths: 'subject-maths',
    physics: 'drawings-physics',
    places: 'drawings-places',
    faces: 'drawings-faces',
    signs: 'drawings-signs',
  }

  async function look() {
    const subjects = await ask<DrawingSubject[]>('GET', '/api/drawings')
    return subjects.map(({ name, drawings }) => ({
      title: t(SUBJECTS[name]!),
      things: drawings.map((one) => ({
        name: one,
        title: told({ key: `drw-${one}`, values: {} }),
        picture: `/drawings/${one}.png`,
      })),
    }))
  }

  async function take(name: string) {
    const { side, items } = await askThings<DrawingParts>(`/api/drawings/${name}`)
    const moved = items.map((item) => ({ ...item, id: newId(), x: item.x - side / 2, y: item.y - side / 2 }))
    const things = setDown({ name, items: moved }, surface.looking.middle(), session.rights.me)
    session.do({ step: 'add_items', page: session.pages.id, items: things })
    session.chooseMade(things.map(({ id }) => id))
  }
</script>

<Ready
  title={t('drawings')}
  search={t('drawing-search')}
  none={t('drawing-none')}
  {look}
  {take}
  {onclose}
  aspect="1"
  least="104px"
  testid="drawings"
/>
