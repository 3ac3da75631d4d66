"""The call on one machine, with made-up cameras (320 × 240, 10 pictures a second) and microphones."""

from __future__ import annotations

import time

import msgspec
import numpy as np

from bench.server import Running, sun_room
from bench.table import Row
from tests.browser.base import Browser
from tests.server.client import Web

#: Keeps the page's ways to others, so that what came on them can be asked for.
KEEP_LINES = """
window.lines = []
window.RTCPeerConnection = class extends RTCPeerConnection { constructor(...a) { super(...a); window.lines.push(this) } }
"""
MEET = """
const [others, done] = arguments, start = performance.now()
;[...document.querySelectorAll('.bar button')].find((b) => b.textContent.includes('Join')).click()
const look = () => {
  const seen = [...document.querySelectorAll('[data-testid=face] video')].filter((v) => v.videoWidth && v.currentTime > 0)
  if (seen.length > others) done((performance.now() - start) / 1000)
  else if (performance.now() - start > 30000) done(30)
  else setTimeout(look, 20)
}
look()
"""
#: Of the sound that was played, how many ms in a thousand were made up, as they had not come.
GAPS = """
const done = arguments[0]
;(async () => {
  let [all, made] = [0, 0]
  for (const line of window.lines)
    for (const report of (await line.getStats()).values())
      if (report.type === 'inbound-rtp' && report.kind === 'audio') {
        all += report.totalSamplesReceived ?? 0
        made += (report.concealedSamples ?? 0) - (report.silentConcealedSamples ?? 0)
      }
  done([all, made])
})()
"""
#: Where the pen was lifted last, and how many frames the board was moved in.
LISTEN = """
const board = document.querySelector('[data-testid=board]')
window.frames = []
let moved = false
board.addEventListener('pointerup', () => (window.lifted = Date.now()), true)
board.addEventListener('wheel', () => (moved = true), true)
requestAnimationFrame(function tick(now) {
  if (moved) window.frames.push(now)
  moved = false
  requestAnimationFrame(tick)
})
"""
WATCH = """
const board = document.querySelector('[data-testid=board]')
window.landed = 0
new MutationObserver(() => (window.landed = Date.now())).observe(board, { attributes: true, attributeFilter: ['data-items'] })
"""
STROKES, SETTLE_S = 60, 8.0
MEET_AIM_S, FRAMES_AIM, FANOUT_AIM = 2.0, 50.0, 1.5


#: Of one way of the board, to and fro.
PAN_PX, PAN_PX_PER_S, PANS = 600, 700, 4
#: Longer than this between two frames: from one way to the next.
PAUSE_MS = 250.0


def run() -> list[Row]:
    with sun_room() as server:
        tutor, link = _tutor(server)
        browsers = [tutor, *(_student(server, link, name) for name in ("Noor", "Elio", "Saskia"))]
        try:
            tutor.driver.execute_script(LISTEN)
            alone_ms, alone_fps = _fanout(browsers), _pan(tutor)
            tutor.driver.execute_async_script(MEET, 0)
            two_s = float(browsers[1].driver.execute_async_script(MEET, 1))
            for number, browser in enumerate(browsers[2:], 2):
                browser.driver.execute_async_script(MEET, number)
            time.sleep(SETTLE_S)
            before = [browser.driver.execute_async_script(GAPS) for browser in browsers]
            call_ms, call_fps = _fanout(browsers), _pan(tutor)
            after = [browser.driver.execute_async_script(GAPS) for browser in browsers]
        finally:
            for browser in browsers:
                browser.close()
    played, made_up = (sum(b[n] - a[n] for a, b in zip(before, after, strict=True)) for n in (0, 1))
    gaps = 1000 * made_up / max(played, 1)
    return [
        Row("two people in the call: seen by each other", f"{two_s:.2f} s", "", "≤ 2 s", two_s <= MEET_AIM_S),
        Row(
            "pan of the board beside a call of four", f"{call_fps:.1f} frames/s", f"without {alone_fps:.1f}", "≥ 50", call_fps >= FRAMES_AIM
        ),
        Row(
            "ink to three others beside a call of four", f"{call_ms:.0f} ms", f"without {alone_ms:.0f} ms", "≤ 1.5 ×", call_ms <= FANOUT_AIM * alone_ms
        ),
        Row("sound that had to be made up in it", f"{gaps:.1f} of 1,000 ms"),
    ]  # fmt: skip


def _browser() -> Browser:
    browser = Browser()
    browser.driver.set_script_timeout(60)
    browser.driver.execute_cdp_cmd("Page.addScriptToEvaluateOnNewDocument", {"source": KEEP_LINES})
    return browser


def _tutor(server: Running) -> tuple[Browser, str]:
    web = Web(server.base)
    link = web.start_room()
    browser = _browser()
    browser.open(server.base)
    for name, value in web.cookies.items():
        browser.driver.add_cookie({"name": name, "value": value, "path": "/"})
    browser.made_up()
    home = msgspec.json.decode(web.get(f"/api/rooms/{link}"))
    browser.open(f"{server.base}/rooms/{link}/boards/{home['boards'][0]['id']}")
    browser.find("nav[aria-label=Pages]")
    browser.driver.execute_script("document.body.focus()")
    return browser, link


def _student(server: Running, link: str, name: str) -> Browser:
    browser = _browser()
    browser.open(f"{server.base}/r/{link}")
    browser.made_up()
    browser.find("form input").send_keys(name)
    browser.press("form button", "Come in")
    browser.find("nav[aria-label=Pages]")
    return browser


def _fanout(browsers: list[Browser]) -> float:
    """Median ms from the end of the tutor's stroke to it having landed with the last of the others."""
    tutor, *others = browsers
    for other in others:
        other.driver.execute_script(WATCH)
    took = []
    for number in range(STROKES):
        there = tutor.items
        _stroke(tutor, 120 + 6 * number)
        for other in others:
            other.wait_items(there + 1)
        landed = max(other.driver.execute_script("return window.landed") for other in others)
        took.append(landed - tutor.driver.execute_script("return window.lifted"))
    return float(np.median(took))


def _stroke(browser: Browser, y: float) -> None:
    """A short stroke, by the browser's own input: what a page makes up itself does not count as somebody being there."""
    pen = {"y": y + 60, "button": "left", "buttons": 1, "clickCount": 1, "pointerType": "pen", "force": 0.5}
    for what, x in (
        ("mousePressed", 300),
        *(("mouseMoved", x) for x in range(304, 360, 8)),
        ("mouseReleased", 360),
    ):
        browser.driver.execute_cdp_cmd("Input.dispatchMouseEvent", {**pen, "type": what, "x": x})


def _pan(browser: Browser) -> float:
    """Frames a second in which the board moved, while it was scrolled by the browser's own input.

    With two videos or more in sight Chromium draws thirty frames a second for as long as nobody touches anything: then it
    does not matter, and what a page makes up itself is no touch.
    """
    browser.driver.execute_script("window.frames.length = 0")
    for number in range(PANS):
        away = PAN_PX if number % 2 else -PAN_PX
        gesture = {"x": 600, "y": 400, "yDistance": away, "speed": PAN_PX_PER_S, "gestureSourceType": "mouse"}
        browser.driver.execute_cdp_cmd("Input.synthesizeScrollGesture", gesture)
    frames = np.asarray(browser.driver.execute_script("return window.frames"))
    between = np.diff(frames)
    return float(1000 / between[between < PAUSE_MS].mean())
