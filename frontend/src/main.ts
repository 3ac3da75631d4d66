/** The browser's way in: mounts what the address asks for. */
import { mount } from 'svelte'
import './app.css'
import App from './App.svelte'

mount(App, { target: document.body })
