/**
 * Which pointer leads when several touch the board: a pen before all others, its palms never, the first of some fingers,
 * two fingers as a pinch. It knows no DOM: contacts go in, and what they mean comes out.
 */

export interface Contact {
  id: number
  kind: 'pen' | 'touch' | 'mouse'
  x: number
  y: number
  /** ms of any one clock */
  at: number
}

/** Two fingers: their distance, their middle and how they lie. */
export interface Pinch {
  distance: number
  x: number
  y: number
  angle: number
}

/** What a contact that came down means. */
export interface Landed {
  /** What was being done is given up before anything else. */
  givenUp: boolean
  leads: boolean
}

/** A finger's stroke shorter than this, when a second finger lands, was the beginning of a pinch. */
export const PINCH_GRACE_MS = 250
/** A touch that lands while the pen writes, hovers, or has just done so is the hand that holds it. */
export const PALM_MS = 400
const LEAST_DISTANCE_PX = 10

export class Arbiter {
  /** Whether the leading contact is writing: what one finger has written for a while was meant. */
  writing = false
  /** Once a pen has been seen, a touch is a palm or a pan, never ink. */
  penSeen = false
  #leader: Contact | null = null
  /** Fingers that are down, in the order they came; what only rests on the board is not among them. */
  #fingers = new Map<number, Contact>()
  #pair: [number, number] | null = null
  #penAt = -Infinity
  #penPlace = [NaN, NaN]

  /** The contact that leads, if any. */
  get leader(): number | null {
    return this.#leader?.id ?? null
  }

  get pinching(): boolean {
    return this.#pair !== null
  }

  down(contact: Contact): Landed {
    // A contact that comes down twice has lost its end.
    const lost = this.up(contact.id, contact.at)
    if (contact.kind === 'pen') return this.#penDown(contact, lost)
    if (contact.kind === 'touch') return this.#fingerDown(contact, lost)
    return this.#lead(contact, lost)
  }

  /** A pen that is seen over the board, touching or not. */
  near(at: number): void {
    this.penSeen = true
    this.#penAt = at
  }

  /** A pinch from one place to the next, or whether the contact leads. */
  move(contact: Contact): { leads: boolean; pinch?: [before: Pinch, now: Pinch] } {
    // Browsers tell of a pen that lies still once more when the page changes under it.
    const [x, y] = this.#penPlace
    if (contact.kind === 'pen' && (contact.x !== x || contact.y !== y)) this.near(contact.at)
    if (contact.kind === 'pen') this.#penPlace = [contact.x, contact.y]
    const finger = this.#fingers.get(contact.id)
    if (!finger) return { leads: contact.id === this.leader }
    const before = this.#pair?.includes(contact.id) ? this.#measure() : null
    this.#fingers.set(contact.id, contact)
    if (before) return { leads: false, pinch: [before, this.#measure()] }
    return { leads: contact.id === this.leader }
  }

  /** A contact has ended; true when what it led ends with it. */
  up(id: number, at: number): boolean {
    if (this.#fingers.delete(id) && this.#pair?.includes(id)) this.#pairUp()
    if (this.leader !== id) return false
    if (this.#leader?.kind === 'pen') this.near(at)
    this.drop()
    return true
  }

  /** Nothing leads any more: it was given up, or meant nothing. */
  drop(): void {
    this.#leader = null
    this.writing = false
  }

  #penDown(contact: Contact, lost: boolean): Landed {
    this.near(contact.at)
    this.#penPlace = [contact.x, contact.y]
    if (this.#leader?.kind === 'pen') return { givenUp: lost, leads: false }
    // Whatever touches the board already is the hand that holds the pen.
    const givenUp = lost || this.#leader !== null
    this.#fingers.clear()
    this.#pair = null
    this.#leader = contact
    this.writing = false
    return { givenUp, leads: true }
  }

  #fingerDown(contact: Contact, lost: boolean): Landed {
    const leader = this.#leader
    const palm = leader?.kind === 'pen' || contact.at - this.#penAt < PALM_MS
    const meant =
      leader && (leader.kind === 'mouse' || (this.writing && contact.at - leader.at > PINCH_GRACE_MS))
    if (palm || meant) return { givenUp: lost, leads: false }
    this.#fingers.set(contact.id, contact)
    if (this.#fingers.size === 1 || this.#pair) return this.#lead(contact, lost)
    this.drop()
    this.#pairUp()
    return { givenUp: lost || leader !== null, leads: false }
  }

  #lead(contact: Contact, lost: boolean): Landed {
    const leads = !this.#leader && !this.#pair
    if (leads) this.#leader = contact
    return { givenUp: lost, leads }
  }

  /** The first two of the fingers are a pinch. */
  #pairUp(): void {
    const [a, b] = this.#fingers.keys()
    this.#pair = a !== undefined && b !== undefined ? [a, b] : null
  }

  #measure(): Pinch {
    const [a, b] = this.#pair!.map((id) => this.#fingers.get(id)!) as [Contact, Contact]
    return {
      distance: Math.max(LEAST_DISTANCE_PX, Math.hypot(a.x - b.x, a.y - b.y)),
      x: (a.x + b.x) / 2,
      y: (a.y + b.y) / 2,
      angle: Math.atan2(b.y - a.y, b.x - a.x),
    }
  }
}
