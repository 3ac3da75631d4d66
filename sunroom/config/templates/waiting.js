/** Shows a page of our own where the server does not answer, instead of the browser's complaint. It keeps nothing else. */
// The page is asked for while this script still starts.
addEventListener('activate', (event) => event.waitUntil(registration.navigationPreload?.enable()))

addEventListener('fetch', (event) => {
  if (event.request.mode === 'navigate') event.respondWith(opened(event))
})

async function opened({ request, preloadResponse }) {
  const waiting = await caches.match('/waiting')
  try {
    const answer = (await preloadResponse) ?? (await fetch(request))
    // What stands before the server says so while that is away; what the server says itself carries its policy.
    const away = [502, 503, 504].includes(answer.status) && !answer.headers.has('Content-Security-Policy')
    return (away && waiting) || answer
  } catch (error) {
    if (waiting) return waiting
    throw error
  }
}
