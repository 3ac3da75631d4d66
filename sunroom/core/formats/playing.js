'use strict'
// By section: its page as it was at a time of day.
const seenAt = new Map()
// Plays how the pages were made: each group of a drawing is seen from step data-s until before step data-e.
for (const bar of document.querySelectorAll('.play')) {
  const numbers = (text) => text.split(' ').map(Number)
  const [all, short] = [numbers(bar.dataset.times), numbers(bar.dataset.short)]
  const groups = [...bar.parentElement.querySelectorAll('[data-s]')].map((group) => ({
    group,
    start: Number(group.dataset.s),
    end: group.dataset.e ? Number(group.dataset.e) : Infinity,
  }))
  // By step: what comes or goes with it.
  const touched = all.map(() => [])
  for (const one of groups) {
    touched[one.start].push(one)
    if (one.end < Infinity) touched[one.end].push(one)
  }
  const [button, place, output, speed, shorten] = [
    'button',
    'input[type=range]',
    'output',
    'select',
    'input[type=checkbox]',
  ].map((name) => bar.querySelector(name))
  let [playing, last, shown] = [false, 0, all.length]
  const times = () => (shorten.checked ? short : all)
  const length = () => times()[all.length - 1] || 1

  function show(one, step) {
    one.group.style.display = one.start < step && step <= one.end ? 'inline' : 'none'
  }

  function draw() {
    const at = Number(place.value)
    let [low, high] = [0, all.length]
    while (low < high) {
      const middle = (low + high) >> 1
      if (times()[middle] <= at) low = middle + 1
      else high = middle
    }
    for (let step = Math.min(low, shown); step < Math.max(low, shown); step++)
      for (const one of touched[step]) show(one, low)
    shown = low
    output.textContent = `${clock(at)} / ${clock(length())}`
  }

  function clock(ms) {
    const seconds = Math.floor(ms / 1000)
    return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
  }

  function tick(now) {
    if (!playing) return
    place.value = Math.min(Number(place.value) + Math.min(now - last, 100) * Number(speed.value), length())
    last = now
    draw()
    if (Number(place.value) >= length()) press(false)
    requestAnimationFrame(tick)
  }

  function press(on) {
    playing = on
    button.textContent = on ? button.dataset.pause : button.dataset.play
    if (!on) return
    if (Number(place.value) >= length()) place.value = 0
    last = performance.now()
    requestAnimationFrame(tick)
  }

  function settle() {
    place.max = length()
    place.value = length()
    draw()
  }

  button.addEventListener('click', () => press(!playing))
  place.addEventListener('input', draw)
  shorten.addEventListener('change', () => {
    const step = shown
    place.max = length()
    place.value = step ? times()[step - 1] : 0
    draw()
  })
  settle()
  bar.hidden = false
  seenAt.set(bar.parentElement, (ms) => {
    press(false)
    shorten.checked = false
    place.max = length()
    place.value = Math.min(Math.max(ms - Number(bar.dataset.first), 0), length())
    draw()
  })
}

// A recorded voice: in step with it the page that was looked at then.
for (const voice of document.querySelectorAll('.voice')) {
  const audio = voice.querySelector('audio')
  const turns = [...voice.querySelectorAll('button')]
  const sections = document.querySelectorAll('section')
  let shown = null

  function follow() {
    const at = audio.currentTime * 1000
    const turn = turns.findLast((one) => Number(one.dataset.at) <= at) || turns[0]
    if (!turn) return
    const section = sections[Number(turn.dataset.page)]
    if (turn !== shown) {
      for (const one of turns) one.toggleAttribute('aria-current', one === turn)
      section.scrollIntoView({ block: 'nearest' })
      shown = turn
    }
    const see = seenAt.get(section)
    if (see) see(Number(voice.dataset.begun) + at)
    if (!audio.paused) requestAnimationFrame(follow)
  }

  audio.addEventListener('play', () => requestAnimationFrame(follow))
  audio.addEventListener('seeked', follow)
  for (const one of turns)
    one.addEventListener('click', () => (audio.currentTime = Number(one.dataset.at) / 1000))
  voice.hidden = false
}
