/** Requests outside the live line: answers are typed, problems are sentences to be shown. */
import { decode } from '@msgpack/msgpack'
import { t, told } from '../words/words.svelte'
import type { Sentence } from './generated'
import { keepHere } from '../words/here'

export class Problem extends Error {
  status: number
  constructor(status: number, sentence: string) {
    super(sentence)
    this.status = status
  }
}

function cookie(name: string): string {
  return document.cookie.match(new RegExp(`(?:^|; )${name}=([^;]*)`))?.[1] ?? ''
}

type Method = 'GET' | 'POST' | 'PATCH' | 'DELETE'

/** Ask the server; a ``Blob`` goes as it is, all else as JSON. Given up, it rejects without a sentence. */
export async function ask<T>(method: Method, path: string, body?: unknown, signal?: AbortSignal): Promise<T> {
  const response = await sent(method, path, body, signal)
  const value: unknown = await response.json().catch(() => null)
  if (response.ok && value !== null) return value as T
  throw problemOf(response, value)
}

/** As ``ask``, when the answer is a file. */
export async function askFile(path: string, body: unknown, signal?: AbortSignal): Promise<Blob> {
  const response = await sent('POST', path, body, signal)
  if (response.ok) return response.blob()
  throw problemOf(response, await response.json().catch(() => null))
}

/** As ``ask``, when the answer is MessagePack; a file that is given is sent. */
export async function askThings<T>(path: string, file?: Blob): Promise<T> {
  const response = await sent(file ? 'POST' : 'GET', path, file)
  if (response.ok) return decode(new Uint8Array(await response.arrayBuffer())) as T
  throw problemOf(response, await response.json().catch(() => null))
}

async function sent(method: Method, path: string, body: unknown, signal?: AbortSignal): Promise<Response> {
  const file = body instanceof Blob
  const kind = file ? body.type || 'application/octet-stream' : 'application/json'
  try {
    return await fetch(path, {
      method,
      headers: { 'Content-Type': kind, 'X-CSRFToken': cookie('csrftoken') },
      body: file ? body : body === undefined ? undefined : JSON.stringify(body),
      signal,
    })
  } catch {
    throw new Problem(0, signal?.aborted ? '' : t('server-silent'))
  }
}

function problemOf(response: Response, value: unknown): Problem {
  const sentence = (value as { problem?: Sentence } | null)?.problem
  return new Problem(
    response.status,
    sentence ? told(sentence) : t('server-could-not', { status: String(response.status) }),
  )
}

const KEYS = 'sunroom-owner-keys'

/** Keys of rooms that were started here without an account. */
export function ownerKeys(): Record<string, string> {
  try {
    return JSON.parse(localStorage.getItem(KEYS) ?? '{}') as Record<string, string>
  } catch {
    return {}
  }
}

export function keepOwnerKey(link: string, key: string): void {
  keepHere(KEYS, JSON.stringify({ ...ownerKeys(), [link]: key }))
}

/** Let this browser in by the owner key it kept, when the session is gone. */
export async function ownByKey(link: string): Promise<boolean> {
  const key = ownerKeys()[link]
  if (!key) return false
  try {
    await ask('POST', `/api/rooms/${link}/own`, { key })
    return true
  } catch {
    return false
  }
}
