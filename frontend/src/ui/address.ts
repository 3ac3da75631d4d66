/** Addresses as people type and paste them, made what a press may open (core/text/styles.py holds them to that). */

const MAX = 500
/** Typed without what goes before it, an address of the web or of a mail is meant. */
const BARE = /^[^\s/:@?#]+(\.[^\s/:@?#]+)+(:\d+)?([/?#].*)?$/
const MAIL = /^[^\s/:@?#]+@[^\s/:@?#]+\.[^\s/:@?#]+$/
const OPENED = /^(https?:\/\/|mailto:)./i
/** What stands in addresses of the web, and would end one elsewhere. */
const UNSAFE = /[\s<>"'\\]/g

/** An address of the web in a line that was said, to split it by: a sentence's end, and brackets around it, are not its own. */
export const LINK = /(https?:\/\/(?:\([^\s()<>"']*\)|[^\s()<>"'])*(?:\([^\s()<>"']*\)|[^\s()<>"'.,;:!?\]]))/

/** The whole address that is meant; '' for what is none. */
export function addressOf(typed: string): string {
  const given = typed.trim()
  const whole = MAIL.test(given) ? `mailto:${given}` : BARE.test(given) ? `https://${given}` : given
  if (!OPENED.test(whole) || !URL.canParse(whole)) return ''
  const safe = whole.replace(UNSAFE, (sign) => (sign === "'" ? '%27' : encodeURIComponent(sign)))
  return safe.length <= MAX ? safe : ''
}
