/** Dashes and ends of lines as they are offered. */
import type { Dash, Ends } from '../../wire/generated'
import { t } from '../../words/words.svelte'

export function endNames(): { value: Ends; label: string }[] {
  return [
    { value: 'none', label: t('ends-none') },
    { value: 'arrow', label: t('ends-arrow') },
    { value: 'arrows', label: t('ends-arrows') },
  ]
}

export function dashNames(): { value: Dash; label: string }[] {
  return [
    { value: 'solid', label: t('dash-solid') },
    { value: 'dashed', label: t('dash-dashed') },
    { value: 'dotted', label: t('dash-dotted') },
  ]
}
