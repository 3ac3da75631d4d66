/** Files that go to the server one after another: which is on its way, and which were not taken. */
import { Problem } from './api'
import { t } from '../words/words.svelte'

export class Sending {
  /** What is on its way, in words; '' while nothing is. */
  now = $state('')
  /** A sentence for each file that was not taken, or for what else went wrong where they are. */
  problems = $state.raw<string[]>([])
  #given = new AbortController()

  /** Send each; one that is not taken does not keep the others. */
  async send(files: readonly File[], one: (file: File, signal: AbortSignal) => Promise<void>): Promise<void> {
    this.problems = []
    const { signal } = (this.#given = new AbortController())
    for (const [at, file] of files.entries()) {
      this.now = t('sending-file', { name: file.name, number: at + 1, count: files.length })
      try {
        await one(file, signal)
      } catch (error) {
        if (signal.aborted) break
        const problem = (error as Error).message
        const silent = error instanceof Problem && error.status === 0
        this.problems = [
          ...this.problems,
          silent ? problem : t('file-not-taken', { name: file.name, problem }),
        ]
        if (silent) break
      }
    }
    this.now = ''
  }

  giveUp(): void {
    this.#given.abort()
  }
}
