/** Cards: what lies elsewhere, and sounds and videos of the room's own, which play for one or for everybody. */
import type { Point } from '../board/place'
import { ask } from '../wire/api'
import { newId } from '../wire/codec'
import { MAX_CARD_TITLE, type CardItem, type MediumTaken, type Play } from '../wire/generated'
import { t } from '../words/words.svelte'
import type { Inside } from './inside'

/** A new card in board units. */
const [WIDTH, HEIGHT] = [320, 92]
const ENDING = /\.\w{1,5}$/

/** What plays here: for everybody, or for this person alone. */
export interface Heard {
  file: string
  title: string
  of: CardItem['of']
  /** What everybody hears; null: this person listens alone. */
  play: Play | null
}

export class Cards {
  /** A sound or a video on its way to the server; aborting gives it up. */
  bringing = $state.raw<AbortController | null>(null)
  /** A card that is made or changed: null for a new one; undefined while none is. */
  writing = $state.raw<CardItem | null | undefined>(undefined)
  /** What is played to everybody. */
  play = $state.raw<Play | null>(null)
  /** The card that this person listens to alone. */
  alone = $state.raw<CardItem | null>(null)
  #inside: Inside

  constructor(inside: Inside) {
    this.#inside = inside
  }

  /** Whether this person may play something to everybody. */
  get leads(): boolean {
    return this.#inside.people.tutorSide
  }

  /** Where the file of a card is fetched. */
  source(file: string): string {
    return `/boards/${this.#inside.boardId}/media/${file}`
  }

  /** Take a sound or a video in, and put its card about a place. */
  async bring(file: File, at: Point): Promise<void> {
    const { rights } = this.#inside
    if (!rights.may('add_picture')) return this.#inside.say(rights.reason)
    if (this.bringing) return
    this.bringing = new AbortController()
    try {
      const path = `/api/boards/${this.#inside.boardId}/media`
      const { id, of } = await ask<MediumTaken>('POST', path, file, this.bringing.signal)
      const title = file.name.replace(ENDING, '').slice(0, MAX_CARD_TITLE).trim() || t('card-untitled')
      this.put({ of, title, file: id, address: '' }, at)
    } catch (error) {
      if ((error as Error).message) this.#inside.warn((error as Error).message)
    } finally {
      this.bringing = null
    }
  }

  /** A new card about a place. */
  put(card: Pick<CardItem, 'of' | 'title' | 'address' | 'file'>, [x, y]: Point): void {
    const item: CardItem = {
      ...card,
      kind: 'card',
      id: newId(),
      x: x - WIDTH / 2,
      y: y - HEIGHT / 2,
      map: [1, 0, 0, 1],
      z: 0,
      group: '',
      by: this.#inside.rights.me,
      at_ms: 0,
      locked: false,
      pinned: false,
      width: WIDTH,
      height: HEIGHT,
      size: 20,
      lines: [],
    }
    this.#inside.do({ step: 'add_items', page: this.#inside.pages.id, items: [item] })
    this.#inside.chooseMade([item.id])
  }

  edit(card: CardItem, title: string, address: string): void {
    this.#inside.do({ step: 'edit_card', page: this.#inside.pages.id, id: card.id, title, address })
  }

  /** Open what a card leads to, or listen to what it has. */
  open(card: CardItem): void {
    if (card.address) window.open(card.address, '_blank', 'noopener,noreferrer')
    else this.alone = card
  }

  /** Everybody hears this from ``at_s`` on, or sees it stand there. */
  lead(card: Pick<Play, 'page' | 'item'>, going: boolean, at_s: number): void {
    this.alone = null
    this.#send({ page: card.page, item: card.item, going, at_s })
  }

  /** Nobody hears anything any more; or this person alone does not. */
  end(): void {
    if (this.alone) this.alone = null
    else if (this.leads) this.#send({ page: '', item: '', going: false, at_s: 0 })
  }

  hear(play: Play | null): void {
    this.play = play?.item ? play : null
    if (this.play) this.alone = null
  }

  /** The place of what everybody hears, now. */
  placeNow({ going, at_s, at_ms }: Play, nowMs: number): number {
    return at_s + (going ? Math.max(0, nowMs - at_ms) / 1000 : 0)
  }

  #send(play: Pick<Play, 'page' | 'item' | 'going' | 'at_s'>): void {
    this.#inside.send({ type: 'play', board: '', at_ms: 0, name: '', ...play })
  }
}
