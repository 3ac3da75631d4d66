<script lang="ts">
  /** Ready pages, to be looked through by subject and put behind the page that is looked at. */
  import { ask, askThings } from '../../wire/api'
  import type { ReadyPage, Subject } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import { speech, t, told, type Plain } from '../../words/words.svelte'
  import Ready from '../Ready.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const SUBJECTS: Record<string, Plain> = {
    thinking: 'subject-thinking',
    language: 'subject-language',
    maths: 'subject-maths',
    science: 'subject-science',
  }

  async function look() {
    const subjects = await ask<Subject[]>('GET', '/api/templates')
    return subjects.map(({ name, templates }) => ({
      title: t(SUBJECTS[name]!),
      things: templates.map((one) => ({
        name: one,
        title: told({ key: `tpl-${one}`, values: {} }),
        picture: `/templates/${one}.png?${speech.language}`,
      })),
    }))
  }

  async function take(name: string) {
    session.addReady(await askThings<ReadyPage>(`/api/templates/${name}`))
  }
</script>

<Ready
  title={t('templates')}
  search={t('template-search')}
  none={t('template-none')}
  {look}
  {take}
  {onclose}
  aspect="1123 / 794"
  least="170px"
  testid="templates"
/>
