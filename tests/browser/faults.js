// What is wrong with the controls on the screen: outside the window, cut off, covered, too small for a finger.
// arguments[0]: whether the screen is touched.
const touch = arguments[0]
const CONTROLS = 'button, a[href], input:not([type=file]), select, textarea, [role=textbox], summary'
const faults = []
const name = (e) => `${e.tagName.toLowerCase()} “${(e.ariaLabel || e.innerText || e.value || e.title || '').trim().slice(0, 40)}”`
if (document.documentElement.scrollWidth > innerWidth + 1) faults.push(`the window scrolls sideways: ${document.documentElement.scrollWidth}`)
const open = [...document.querySelectorAll('[popover]:popover-open, dialog[open]')]
const top = open.at(-1)
for (const e of document.querySelectorAll(CONTROLS)) {
  const own = e.matches('[type=radio], [type=checkbox]') ? (e.closest('label') ?? e) : e
  if (!own.checkVisibility({ visibilityProperty: true, opacityProperty: false }) || e.closest('[inert]')) continue
  const box = own.getBoundingClientRect()
  if (!box.width || !box.height) { faults.push(`${name(e)} has no size`); continue }
  // What is hidden for the eye only.
  // What is there for those who listen, or come to it by keys.
  if (own.closest('.unseen, .asks')) continue
  const seen = { left: 0, right: innerWidth, top: 0, bottom: innerHeight }
  let scrolled = false
  for (let p = own.parentElement; p; p = p.parentElement) {
    const style = getComputedStyle(p)
    if (style.overflowX === 'visible' && style.overflowY === 'visible') { if (p.matches('[popover], dialog')) break; continue }
    const clip = p.getBoundingClientRect()
    seen.left = Math.max(seen.left, clip.left)
    seen.right = Math.min(seen.right, clip.right)
    if (/auto|scroll/.test(style.overflowY)) {
      if (p.scrollHeight > p.clientHeight + 1) scrolled = true
    } else {
      seen.top = Math.max(seen.top, clip.top)
      seen.bottom = Math.min(seen.bottom, clip.bottom)
    }
    if (/auto|scroll/.test(style.overflowX) && p.scrollWidth > p.clientWidth + 1) faults.push(`${name(e)} lies in ${p.className || p.tagName}, which scrolls sideways`)
    if (p.matches('[popover], dialog')) break
  }
  if (box.left < seen.left - 1.5 || box.right > seen.right + 1.5) faults.push(`${name(e)} is cut off at the side: ${Math.round(box.left)}–${Math.round(box.right)} in ${Math.round(seen.left)}–${Math.round(seen.right)}`)
  const out = box.top < seen.top - 1.5 || box.bottom > seen.bottom + 1.5
  if (out && !scrolled) faults.push(`${name(e)} is cut off above or below: ${Math.round(box.top)}–${Math.round(box.bottom)} in ${Math.round(seen.top)}–${Math.round(seen.bottom)}`)
  if (touch && Math.min(box.width, box.height) < 39.5) faults.push(`${name(e)} is too small for a finger: ${Math.round(box.width)} × ${Math.round(box.height)}`)
  if (scrolled || out || (top && !top.contains(own))) continue
  const at = document.elementFromPoint((box.left + box.right) / 2, (box.top + box.bottom) / 2)
  if (at && !own.contains(at) && !at.contains(own)) faults.push(`${name(e)} is covered by ${at.tagName.toLowerCase()}.${at.className}`)
}
return [...new Set(faults)]
