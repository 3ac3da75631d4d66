/** Moments and lengths of time in words. */

export function clockTime(ms: number): string {
  return new Date(ms).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
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
  const date = new Date(ms)
  if (date.toDateString() === new Date().toDateString()) return `today ${clockTime(ms)}`
  return date.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
}

export function longDay(ms: number): string {
  return new Date(ms).toLocaleDateString('en-GB', { weekday: 'long', day: 'numeric', month: 'long' })
}
