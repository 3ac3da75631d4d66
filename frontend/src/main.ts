/** The browser's way in: mounts what the address asks for, in the person's language. */
import { mount } from 'svelte'
import './app.css'
import App from './App.svelte'
import { looks } from './ui/looks.svelte'
import { keepWaitingPage } from './words/waiting'
import { speech } from './words/words.svelte'

looks.begin()
void speech.begin().then(() => {
  mount(App, { target: document.body })
  void keepWaitingPage()
})
