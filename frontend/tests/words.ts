/** Every test hears the interface in English. */
import { speech } from '../src/words/words.svelte'

await speech.speak('en')
