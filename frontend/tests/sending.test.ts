import { expect, test } from 'vitest'
import { Sending } from '../src/wire/sending.svelte'
import { Problem } from '../src/wire/api'

const files = ['one.png', 'two.bmp', 'three.png'].map((name) => new File(['ink'], name))

test('a file that is not taken is named, and the others are sent', async () => {
  const sending = new Sending()
  const sent: string[] = []
  const said: string[] = []
  await sending.send(files, async ({ name }) => {
    said.push(sending.now)
    if (name === 'two.bmp') throw new Problem(400, 'No picture that is known.')
    sent.push(name)
  })
  expect(sent).toEqual(['one.png', 'three.png'])
  expect(said[1]).toBe('Sending “two.bmp”, 2 of 3 …')
  expect(sending.problems).toEqual(['“two.bmp” was not taken: No picture that is known.'])
  expect(sending.now).toBe('')
})

test('what was given up, or meets no server, is not tried on', async () => {
  const sending = new Sending()
  let tries = 0
  await sending.send(files, async (_, signal) => {
    tries++
    sending.giveUp()
    if (signal.aborted) throw new Problem(0, '')
  })
  expect([tries, sending.problems]).toEqual([1, []])
  await sending.send(files, async () => {
    tries++
    throw new Problem(0, 'The server does not answer.')
  })
  expect([tries, sending.problems]).toEqual([2, ['The server does not answer.']])
})
