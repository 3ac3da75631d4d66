import { afterEach, expect, test, vi } from 'vitest'
import { openDevice, whyOff } from '../src/call/devices'
import { openCamera } from '../src/lesson/camera'
import { t } from '../src/words/words.svelte'

type Asked = { audio?: MediaTrackConstraints; video?: MediaTrackConstraints }

/** A browser that has one device with this id, or says this of all. */
function browser({ has = '', says = '' }: { has?: string; says?: string }) {
  const asked: Asked[] = []
  const track = { stop: vi.fn() }
  const getUserMedia = async (wanted: Asked) => {
    asked.push(wanted)
    const exact = (wanted.audio ?? wanted.video)!.deviceId as { exact: string } | undefined
    if (says) throw new DOMException('', says)
    if (exact && exact.exact !== has) throw new DOMException('', 'OverconstrainedError')
    return { getTracks: () => [track] }
  }
  vi.stubGlobal('navigator', { mediaDevices: { getUserMedia } })
  return { asked, track }
}

afterEach(() => vi.unstubAllGlobals())

test.each([
  ['NotAllowedError', 'microphone-refused', 'camera-was-refused'],
  ['NotReadableError', 'microphone-busy', 'camera-busy'],
  ['NotFoundError', 'no-microphone', 'no-camera-there'],
  ['AbortError', 'no-microphone', 'no-camera-there'],
] as const)('a device that is not opened by %s has a sentence of its own', async (says, voice, face) => {
  browser({ says })
  const whys = await Promise.all([
    openDevice('voice', '', 'Noor').catch((error) => whyOff('voice', error)),
    openDevice('face', '', 'Noor').catch((error) => whyOff('face', error)),
    openCamera().catch((error) => whyOff('face', error)),
  ])
  expect(whys).toEqual([voice, face, face].map((key) => t(key)))
})

test('in place of a device that was chosen before and is gone another one is opened', async () => {
  const { asked, track } = browser({ has: 'new' })
  const voice = await openDevice('voice', 'old', 'Noor')
  const camera = await openCamera('old')
  expect(asked.map(({ audio, video }) => Boolean((audio ?? video)!.deviceId))).toEqual([
    true,
    false,
    true,
    false,
  ])
  voice.close()
  camera.close()
  expect(track.stop).toHaveBeenCalledTimes(2)
})

test('one that is there is opened at once, and a device in use is not looked for twice', async () => {
  const there = browser({ has: 'new' })
  await openCamera('new')
  const busy = browser({ says: 'NotReadableError' })
  await expect(openCamera('new')).rejects.toMatchObject({ why: 'busy' })
  expect([there, busy].map(({ asked }) => asked.length)).toEqual([1, 1])
})
