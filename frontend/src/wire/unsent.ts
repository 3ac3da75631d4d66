/**
 * Steps without an answer, and refused ones that were set aside, kept in this browser so that a reload or another board
 * loses nothing. Each is kept by its own key: two tabs of one seat keep theirs beside each other.
 */
import { decode } from '@msgpack/msgpack'
import type { Request, Sentence } from './generated'

const DATABASE = 'sunroom'
const STORE = 'unsent'
const VERSION = 1

export interface Kept {
  id: string
  request: Request
  /** Why it was refused; null while it waits for its answer. */
  sentence: Sentence | null
}

interface Row extends Kept {
  board: string
  seat: string
  /** Steps are sent again in the order they were made. */
  order: number
}

export class Unsent {
  readonly #board: string
  readonly #seat: string
  readonly #orders = new Map<string, number>()
  #last = 0

  constructor(board: string, seat: string) {
    this.#board = board
    this.#seat = seat
  }

  /** All that is kept of this seat on this board, whichever tab it comes from. */
  async all(): Promise<Kept[]> {
    const old = oldSteps(this.#board, this.#seat)
    for (const kept of old) await this.put(kept)
    const rows = (await inStore('readonly', (store) => store.getAll(this.#range()))) as Row[] | null
    if (rows) localStorage.removeItem(oldKey(this.#board, this.#seat))
    rows?.sort((a, b) => a.order - b.order)
    for (const { id, order } of rows ?? []) this.#orders.set(id, order)
    return rows?.map(({ id, request, sentence }) => ({ id, request, sentence })) ?? old
  }

  async put({ id, request, sentence }: Kept): Promise<void> {
    const order = this.#orders.get(id) ?? (this.#last = Math.max(Date.now(), this.#last + 0.001))
    this.#orders.set(id, order)
    const row: Row = { board: this.#board, seat: this.#seat, id, request, sentence, order }
    await inStore('readwrite', (store) => store.put(row))
  }

  async drop(id: string): Promise<void> {
    this.#orders.delete(id)
    await inStore('readwrite', (store) => store.delete([this.#board, this.#seat, id]))
  }

  #range(): IDBKeyRange {
    const [board, seat] = [this.#board, this.#seat]
    return IDBKeyRange.bound([board, seat, ''], [board, seat, '\uffff'])
  }
}

let opened: Promise<IDBDatabase> | null = null

function database(): Promise<IDBDatabase> {
  opened ??= new Promise((resolve, reject) => {
    const request = indexedDB.open(DATABASE, VERSION)
    request.onupgradeneeded = () =>
      request.result.createObjectStore(STORE, { keyPath: ['board', 'seat', 'id'] })
    request.onsuccess = () => resolve(request.result)
    request.onerror = () => reject(request.error)
  })
  return opened
}

/** One act on the store; null when this browser keeps nothing: the steps are still in memory and on the screen. */
async function inStore<T>(
  mode: IDBTransactionMode,
  act: (store: IDBObjectStore) => IDBRequest<T>,
): Promise<T | null> {
  try {
    const transaction = (await database()).transaction(STORE, mode)
    const request = act(transaction.objectStore(STORE))
    return await new Promise((resolve, reject) => {
      transaction.oncomplete = () => resolve(request.result)
      transaction.onabort = transaction.onerror = () => reject(transaction.error)
    })
  } catch {
    return null
  }
}

/** What was kept by a page of before, in one piece of the browser's small store. */
function oldSteps(board: string, seat: string): Kept[] {
  const text = localStorage.getItem(oldKey(board, seat))
  if (!text) return []
  try {
    const steps = decode(Uint8Array.from(atob(text), (c) => c.charCodeAt(0))) as Omit<Kept, 'sentence'>[]
    return steps.map(({ id, request }) => ({ id, request, sentence: null }))
  } catch {
    return []
  }
}

function oldKey(board: string, seat: string): string {
  return `sunroom-unsent:${board}:${seat}`
}
