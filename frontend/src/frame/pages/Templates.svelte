<script lang="ts">
  /** Ready pages, to be looked through by subject and put behind the page that is looked at. */
  import { onMount } from 'svelte'
  import { ask, askThings } from '../../wire/api'
  import type { ReadyPage, Subject } from '../../wire/generated'
  import type { Session } from '../../lesson/session.svelte'
  import Ready from '../Ready.svelte'
  import { speech, t, told, type Plain } from '../../words/words.svelte'

  let { session, onclose }: { session: Session; onclose: () => void } = $props()
  const SUBJECTS: Record<string, Plain> = {
    thinking: 'subject-thinking',
    language: 'subject-language',
    maths: 'subject-maths',
    science: 'subject-science',
  }
  let dialog: ReturnType<typeof Ready>
  let subjects = $state.raw<Subject[]>([])
  let problem = $state('')
  let busy = $state(false)

  onMount(async () => {
    try {
      subjects = await ask<Subject[]>('GET', '/api/templates')
    } catch (error) {
      problem = (error as Error).message
    }
  })

  async function take(name: string) {
    busy = true
    problem = ''
    try {
      const ready = await askThings<ReadyPage>(`/api/templates/${name}`)
      session.addReady(ready)
      dialog.close()
    } catch (error) {
      problem = (error as Error).message
    }
    busy = false
  }
</script>

<Ready
  bind:this={dialog}
  title={t('templates')}
  search={t('template-search')}
  none={t('template-none')}
  groups={subjects.map(({ name, templates }) => ({
    title: t(SUBJECTS[name]!),
    things: templates.map((one) => ({
      name: one,
      title: told({ key: `tpl-${one}`, values: {} }),
      picture: `/templates/${one}.png?${speech.language}`,
    })),
  }))}
  {problem}
  {busy}
  ontake={take}
  {onclose}
  aspect="1123 / 794"
  least="170px"
  testid="templates"
/>
