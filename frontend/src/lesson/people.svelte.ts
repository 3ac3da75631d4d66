/** Who is in the lesson, and what they are in it. */
import type { Person } from '../wire/generated'
import { t } from '../words/words.svelte'
import { personColour } from './mark'
import type { Rights } from './rights.svelte'

export class People {
  #list = $state.raw<Person[]>([])
  /** Somebody else is here, or was: after a break in the line people come back one by one. */
  accompanied = $state(false)
  /** What this person came in as. */
  cameAs = $state.raw<Person['role'] | undefined>(undefined)
  #rights: Rights

  constructor(rights: Rights) {
    this.#rights = rights
  }

  get list(): Person[] {
    return this.#list
  }

  set list(people: Person[]) {
    this.#list = people
    this.accompanied ||= this.here > 1
  }

  colourOf(seat: string): string {
    return personColour(seat, this.of(seat)?.colour)
  }

  of(seat: string): Person | undefined {
    return this.list.find((person) => person.seat === seat)
  }

  /** What this person is at the moment: the tutor may change it. */
  get role(): Person['role'] | undefined {
    return this.of(this.#rights.me)?.role ?? this.cameAs
  }

  get tutorSide(): boolean {
    return this.role === 'tutor' || this.role === 'helper'
  }

  nameOf(seat: string): string {
    return this.of(seat)?.name ?? t('somebody')
  }

  get here(): number {
    return this.list.filter(({ tabs }) => tabs > 0).length
  }
}
