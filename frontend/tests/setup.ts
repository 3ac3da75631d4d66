/** Before each file of tests: the interface speaks English, and what passed once passes again. */
import fc from 'fast-check'
import { speech } from '../src/words/words.svelte'

await speech.speak('en')
// The same examples each time; SUNROOM_SEEK=1 looks for new ones, as in tests/__init__.py.
if (!import.meta.env['SUNROOM_SEEK']) fc.configureGlobal({ seed: 1 })
