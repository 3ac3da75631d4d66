/** In few words, what a person's pen may do just now; the whole sentence, and why, stands over the sill. */
import type { Session } from '../../lesson/session.svelte'
import { allowedWords } from '../../people/kits'
import { t } from '../../words/words.svelte'

export function standingWords(session: Session): string {
  const { lesson, rights, people } = session
  if (!lesson || people.tutorSide) return ''
  if (people.role === 'onlooker') return t('state-onlooker')
  if (lesson.facts.paused) return t('state-paused')
  const what = allowedWords(rights.standing?.allowed ?? [])
  if (!lesson.facts.open) {
    if (what === '') return t('state-between')
    return what === null ? t('state-between-all') : t('state-between-may', { what })
  }
  if (what === '')
    return lesson.facts.mode === 'down' ? t('state-down', { writer: lesson.facts.writer }) : t('state-no-pen')
  const { reason = '' } = rights.standing?.writing ?? {}
  // Some things, such as pointing, need no pen.
  if (what && reason === 'pens_down') return t('state-down-may', { what })
  if (what && ['no_pen', 'withheld', 'expired'].includes(reason)) return t('state-no-pen-may', { what })
  if (reason.startsWith('bay')) return what === null ? t('state-bay-all') : t('state-bay', { what })
  if (/^(page|desk)/.test(reason)) return what === null ? t('state-page-all') : t('state-page', { what })
  if (lesson.facts.mode === 'up') return what === null ? t('state-up-all') : t('state-up', { what })
  return what === null ? t('state-pen-all') : t('state-pen', { what })
}
