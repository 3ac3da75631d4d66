/** Shows a page of our own where the server does not answer, instead of the browser's complaint. It keeps nothing else. */
addEventListener('fetch', (event) => {
  if (event.request.mode === 'navigate') event.respondWith(opened(event.request))
})

async function opened(request) {
  const waiting = () => caches.match('/waiting')
  const answer = await fetch(request).catch((error) => waiting().then((page) => page ?? Promise.reject(error)))
  // What stands before the server says so while that is away.
  return [502, 503, 504].includes(answer.status) ? ((await waiting()) ?? answer) : answer
}
