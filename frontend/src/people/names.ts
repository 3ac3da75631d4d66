/** Names as they fit into a row: where two begin alike, their ends are shown too. */

/** Longer names than this are cut. */
const FITS = 16
/** So many first letters that are the same make two names look alike once they are cut. */
const ALIKE = 10
const TAIL = 7

/** Short names by the whole ones. */
export function shortNames(names: readonly string[]): Map<string, string> {
  const short = new Map<string, string>()
  for (const name of names) {
    const alike = names.some(
      (other) => other !== name && other.slice(0, ALIKE) === name.slice(0, ALIKE) && name.length > FITS,
    )
    short.set(name, alike ? `${name.slice(0, FITS - TAIL - 1)}…${name.slice(-TAIL)}` : name)
  }
  // Two that end alike as well stand there whole.
  const all = [...short.values()]
  for (const [name, cut] of short) if (all.indexOf(cut) !== all.lastIndexOf(cut)) short.set(name, name)
  return short
}
