/** Keep a small thing in this browser, or for this tab; false when there is no room for it. All else goes on without it. */
export function keepHere(name: string, text: string, store: Storage = localStorage): boolean {
  try {
    store.setItem(name, text)
    return true
  } catch {
    return false
  }
}
