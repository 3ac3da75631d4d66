/** Moments and lengths of time in words. */
import { speech, t } from './words.svelte'

export function clockTime(ms: number): string {
  return new Intl.DateTimeFormat(speech.locale, { hour: '2-digit', minute: '2-digit' }).format(ms)
}

/** 24:10 or 1:04:10 */
export function elapsed(ms: number): string {
  const seconds = Math.max(0, Math.floor(ms / 1000))
  const parts = [Math.floor(seconds / 60) % 60, seconds % 60].map((part) => String(part).padStart(2, '0'))
  const hours = Math.floor(seconds / 3600)
  return (hours ? `${hours}:` : '') + parts.join(':')
}

/** today 10:42, or 12 Nov */
export function when(ms: number): string {
  if (new Date(ms).toDateString() === new Date().toDateString()) return t('today-at', { time: clockTime(ms) })
  return new Intl.DateTimeFormat(speech.locale, { day: 'numeric', month: 'short' }).format(ms)
}

export function longDay(ms: number): string {
  return new Intl.DateTimeFormat(speech.locale, { weekday: 'long', day: 'numeric', month: 'long' }).format(ms)
}

/** 40 % as the language writes it; ``part`` of 1. */
export function percent(part: number): string {
  return new Intl.NumberFormat(speech.locale, { style: 'percent' }).format(part)
}
