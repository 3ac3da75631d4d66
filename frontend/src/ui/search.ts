/** Words as they are looked for: who types “ecole” finds “École”. */

export function plain(words: string): string {
  return words.trim().normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase()
}

export function has(words: string, wanted: string): boolean {
  return plain(words).includes(plain(wanted))
}
