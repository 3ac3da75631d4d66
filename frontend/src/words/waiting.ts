/** The page that this browser shows while the server does not answer (templates/waiting.html), kept in its language. */
const CACHE = 'waiting'

/** Browsers allow it by https and on this very machine; elsewhere, and where it fails, the browser complains as ever. */
export async function keepWaitingPage(): Promise<void> {
  try {
    await navigator.serviceWorker?.register('/waiting.js')
    await (await caches.open(CACHE)).add('/waiting')
  } catch {
    // Private windows may refuse; all else goes on.
  }
}
