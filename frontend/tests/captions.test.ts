import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import './stub'
import { Captions } from '../src/call/captions.svelte'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.useRealTimers())

test('the last lines are shown, and go some while after the last of them came', () => {
  const captions = new Captions(() => true)
  for (const line of ['one', 'two', 'three', 'four']) captions.hear(line)
  expect(captions.lines).toEqual(['three', 'four'])
  vi.advanceTimersByTime(15_000)
  captions.hear('five')
  vi.advanceTimersByTime(15_000)
  expect(captions.lines).toEqual(['four', 'five'])
  vi.advanceTimersByTime(6_000)
  expect(captions.lines).toEqual([])
})

test('a line that could not be sent is not taken for said', () => {
  const sent: string[] = []
  let there = false
  const captions = new Captions(({ text }) => there && Boolean(sent.push(text)))
  expect(captions.say('one')).toBe(false)
  there = true
  expect(captions.say('one')).toBe(true)
  expect(sent).toEqual(['one'])
})
