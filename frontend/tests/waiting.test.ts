/// <reference types="vite/client" />
import { expect, test } from 'vitest'
import SCRIPT from '../../sunroom/config/templates/waiting.js?raw'

/** What the worker answers to a request; undefined when it leaves that alone. */
async function answered(
  answer: Response | Error,
  { mode = 'navigate', kept = true, preloaded = false } = {},
): Promise<string | undefined> {
  const hears: Record<string, (event: object) => void> = {}
  const ask = () => (answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer))
  new Function('addEventListener', 'registration', 'caches', 'fetch', SCRIPT)(
    (kind: string, hear: (event: object) => void) => (hears[kind] = hear),
    {},
    { match: async () => (kept ? new Response('waiting') : undefined) },
    preloaded ? () => Promise.reject(new Error('asked twice')) : ask,
  )
  let found: Promise<Response> | undefined
  hears.fetch!({
    request: { mode },
    preloadResponse: preloaded ? ask() : Promise.resolve(undefined),
    respondWith: (made: Promise<Response>) => (found = made),
  })
  return (await found)?.text()
}

const ours = { headers: { 'Content-Security-Policy': 'x' } }

test('a page is what the server says, also that it cannot', async () => {
  expect(await answered(new Response('page', ours))).toBe('page')
  expect(await answered(new Response('page', ours), { preloaded: true })).toBe('page')
  expect(await answered(new Response('busy', { ...ours, status: 503 }))).toBe('busy')
  expect(await answered(new Response('not found', { status: 404 }))).toBe('not found')
})

test('without the server it is the one that was kept, and else the browser complains as ever', async () => {
  expect(await answered(new TypeError('no net'))).toBe('waiting')
  expect(await answered(new TypeError('no net'), { preloaded: true })).toBe('waiting')
  expect(await answered(new Response('bad gateway', { status: 502 }))).toBe('waiting')
  expect(await answered(new Response('bad gateway', { status: 502 }), { kept: false })).toBe('bad gateway')
  await expect(answered(new TypeError('no net'), { kept: false })).rejects.toThrow('no net')
})

test('nothing but pages is touched', async () => {
  expect(await answered(new TypeError('no net'), { mode: 'cors' })).toBeUndefined()
})
