"""The tutor's voice: told to everybody, kept through a lost net, played in step with the pages."""

from __future__ import annotations

import io
import time

import av
import numpy as np

from sunroom.boards.models import Board, LoggedStep, Recording, RecordingPiece
from tests.browser.base import Browser
from tests.browser.test_board import BoardTest
from tests.browser.test_tools import LINE

MARK = "[data-testid=recorded]"
#: How many strokes the playing shows: dark points of its canvas.
INKED = """
const canvas = document.querySelector('[data-testid=again] canvas')
const copy = new OffscreenCanvas(canvas.width, canvas.height).getContext('2d', { willReadFrequently: true })
copy.drawImage(canvas, 0, 0)
const { data } = copy.getImageData(0, 0, canvas.width, canvas.height)
let dark = 0
for (let at = 0; at < data.length; at += 4) if (data[at + 3] > 200 && data[at] + data[at + 1] + data[at + 2] < 330) dark++
return dark
"""
READY = "return document.querySelector('[data-testid=again] audio')?.readyState > 0"
PICTURED = "return document.querySelector('article img').naturalWidth > 0"
#: Nothing of the header is cut off, while somebody is recorded either.
FITS = """
const header = document.querySelector('header')
return header.scrollWidth <= header.clientWidth
"""
SEEK = """
const [seconds, done] = arguments
const audio = document.querySelector('[data-testid=again] audio')
audio.addEventListener('seeked', () => requestAnimationFrame(() => requestAnimationFrame(done)), { once: true })
const place = document.querySelector('[data-testid=again] input[type=range]')
place.value = seconds * 1000
place.dispatchEvent(new Event('input', { bubbles: true }))
"""
#: A microphone that hears what the test lets it hear, and the times of day at which that was.
BEEPING = """
const context = new AudioContext()
const tone = context.createOscillator()
const loud = context.createGain()
loud.gain.value = 0
const out = context.createMediaStreamDestination()
tone.connect(loud).connect(out)
tone.start()
navigator.mediaDevices.getUserMedia = async () => (await context.resume(), out.stream)
window.beeps = []
window.beep = () => {
  window.beeps.push(Date.now())
  loud.gain.setValueAtTime(0.8, context.currentTime)
  loud.gain.setValueAtTime(0, context.currentTime + 0.2)
}
"""
#: As ``SEEK``, in a file; then how many strokes are seen.
SEEK_FILE = """
const [seconds, done] = arguments
const audio = document.querySelector('audio')
const seek = () => {
  audio.addEventListener('seeked', () => requestAnimationFrame(() => requestAnimationFrame(done)), { once: true })
  audio.currentTime = seconds
}
if (audio.readyState) seek()
else audio.addEventListener('loadedmetadata', seek, { once: true })
"""
DRAWN = "return [...document.querySelectorAll('[data-s]')].filter((group) => getComputedStyle(group).display !== 'none').length"


def loudness(sound: bytes) -> tuple[np.ndarray, int]:
    """How loud a recording is at each sample, and samples in a second."""
    with av.open(io.BytesIO(sound)) as file:
        heard = [np.abs(frame.to_ndarray()).max(axis=0) for frame in file.decode(audio=0)]
        return np.concatenate(heard), file.streams.audio[0].rate


def onsets(sound: bytes) -> list[float]:
    """Where in a recording something begins to be heard, in ms."""
    heard, rate = loudness(sound)
    (loud,) = np.nonzero(heard > 0.05)
    firsts = loud[np.flatnonzero(np.diff(loud, prepend=-rate) > rate // 2)]
    return [1000 * float(first) / rate for first in firsts]


class Recordings(BoardTest):
    def record(self) -> None:
        self.tutor.made_up()
        self.tutor.press("[aria-label='Take away']")
        self.tutor.press("[role=dialog] button", "Record my voice")
        self.tutor.find("[aria-label='Your voice is recorded']")
        self.tutor.close_panels()

    def pause(self, word: str) -> None:
        self.tutor.press("[aria-label='Your voice is recorded']")
        self.tutor.press("[role=dialog] button", word)
        self.tutor.close_panels()

    def stop(self) -> None:
        self.tutor.press("[aria-label='Your voice is recorded']")
        self.tutor.press("[role=dialog] button", "Stop recording")

    def pieces(self) -> int:
        return RecordingPiece.objects.count()

    def wait_pieces(self, more_than: int) -> int:
        self.tutor.wait(lambda: self.pieces() > more_than or None, f"more than {more_than} pieces", 30)
        return self.pieces()

    def again(self, browser: Browser) -> None:
        browser.press("[aria-label='Take away']")
        browser.press("[role=dialog] button", "The lesson again")
        browser.wait(lambda: browser.driver.execute_script(READY) or None, "the sound to be there")

    def test_a_voice_is_told_kept_and_played_in_step_with_the_page(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.record()
        noor.wait_text(MARK, "Imani is recorded")
        noor.wait_text("body", "Yours is not recorded")
        for browser in (self.tutor, noor):
            for size in ((820, 1180), (390, 844), (1280, 800)):
                browser.resize(*size)
                browser.wait(
                    lambda browser=browser: browser.driver.execute_script(FITS) or None, f"room at {size}"
                )
        time.sleep(1.5)
        self.tutor.draw(LINE)
        self.tutor.kept()
        time.sleep(1.5)
        self.tutor.draw([(x, y + 120) for x, y in LINE])
        self.tutor.kept()
        self.wait_pieces(0)
        self.stop()
        noor.wait_text("body", "The recording of Imani has ended")
        noor.wait(lambda: not noor.all(MARK) or None, "the mark to go")
        row = self.tutor.wait(lambda: Recording.objects.filter(ended=True).first(), "it to end")
        first, second = LoggedStep.objects.order_by("-seq").values_list("at_ms", flat=True)[:2][::-1]
        self.again(self.tutor)
        self.tutor.driver.set_script_timeout(20)
        seen = []
        for at_ms in (first - 900, first + 100, second - 100, second + 100):
            self.tutor.driver.execute_async_script(SEEK, (at_ms - row.begun_ms) / 1000)
            seen.append(self.tutor.driver.execute_script(INKED))
        none, one, still_one, two = seen
        self.assertEqual((none, one > 0), (0, True), seen)
        self.assertGreater(two, 1.5 * still_one, seen)
        self.assertGreaterEqual(still_one, one, seen)
        self.tutor.press("[data-testid=again] label", "Students may listen")
        self.tutor.wait(lambda: Recording.objects.filter(heard=True).first(), "students to be let listen")
        student = noor.driver.current_url
        noor.open(student.rstrip("/") + "/found")
        noor.press("article audio")
        noor.driver.execute_script("document.querySelector('article audio').play()")
        noor.find("article img[alt='Page 1']")
        noor.wait(lambda: noor.driver.execute_script(PICTURED) or None, "the page's picture")
        self.assertFalse(noor.all("article input"), "who may listen is not theirs to say")
        self.tutor.press("[data-testid=again] button", "Remove the recording")
        self.tutor.wait_text("[data-testid=again]", "No voice has been recorded")
        self.assertFalse(Recording.objects.exists())
        self.assertEqual(self.tutor.problems() + noor.problems(), [])

    def test_what_is_heard_was_said_at_that_time(self) -> None:
        self.tutor.driver.execute_script(BEEPING)
        self.tutor.press("[aria-label='Take away']")
        self.tutor.press("[role=dialog] button", "Record my voice")
        self.tutor.find("[aria-label='Your voice is recorded']")
        for pause_s in (1.0, 1.7, 2.6, 1.3, 2.1):
            time.sleep(pause_s)
            self.tutor.driver.execute_script("window.beep()")
        self.wait_pieces(0)
        self.stop()
        row = self.tutor.wait(lambda: Recording.objects.filter(ended=True).first(), "it to end")
        beeps = self.tutor.driver.execute_script("return window.beeps")
        sound = self.tutor.fetch(f"{self.server.url}/recordings/{row.uid}/voice")
        heard = [at + row.begun_ms for at in onsets(sound)]
        # On a busy machine the simulated microphone is late, and may leave one out; the pauses are unlike each other.
        in_time = [beep for beep in beeps if any(abs(at - beep) < 400 for at in heard)]
        self.assertGreaterEqual(len(in_time), 3, (heard, beeps))

    def test_of_who_is_muted_in_the_call_nothing_is_recorded_and_a_pause_is_silence(self) -> None:
        self.tutor.made_up()
        self.tutor.driver.refresh()
        self.tutor.press(".bar button", "Join the call")
        microphone = "[aria-label=Microphone][aria-pressed={}]"
        self.tutor.find(microphone.format("true"))
        self.record()
        silent: list[tuple[float, float]] = []
        for off, on in (
            (
                lambda: self.tutor.press(microphone.format("true")),
                lambda: self.tutor.press(microphone.format("false")),
            ),
            (lambda: self.pause("Pause"), lambda: self.pause("Go on recording")),
        ):
            time.sleep(2.5)
            off()
            begun = time.time()
            time.sleep(2.5)
            silent.append((begun, time.time()))
            on()
        time.sleep(2.5)
        self.stop()
        row = self.tutor.wait(lambda: Recording.objects.filter(ended=True).first(), "it to end")
        heard, rate = loudness(self.tutor.fetch(f"{self.server.url}/recordings/{row.uid}/voice"))
        for begun, ended in silent:
            start, end = (int((at - row.begun_ms / 1000) * rate) for at in (begun + 1, ended - 0.2))
            self.assertLess(heard[start:end].max(), 0.005)
            self.assertGreater(heard[end:].max(), 0.02, "and it is heard again")

    def test_a_lost_net_and_a_restart_lose_nothing_of_it(self) -> None:
        self.record()
        self.wait_pieces(0)
        self.tutor.driver.execute_cdp_cmd("Network.enable", {})
        offline = {"offline": True, "latency": 0, "downloadThroughput": -1, "uploadThroughput": -1}
        self.tutor.driver.execute_cdp_cmd("Network.emulateNetworkConditions", offline)
        # What was on its way when the net went has arrived.
        time.sleep(2)
        before = self.pieces()
        time.sleep(7)
        self.assertEqual(self.pieces(), before, "nothing comes through")
        self.tutor.driver.execute_cdp_cmd("Network.emulateNetworkConditions", {**offline, "offline": False})
        before = self.wait_pieces(before)
        self.restart()
        self.wait_pieces(before)
        # The lesson goes on, told by the server that is there now.
        self.tutor.draw(LINE)
        self.tutor.kept()
        self.stop()
        row = self.tutor.wait(lambda: Recording.objects.filter(ended=True).first(), "it to end")
        numbers = list(RecordingPiece.objects.order_by("number").values_list("number", flat=True))
        self.assertEqual(numbers, list(range(len(numbers))))
        sound = self.tutor.fetch(f"{self.server.url}/recordings/{row.uid}/voice")
        with av.open(io.BytesIO(sound)) as file:
            seconds = (file.duration or 0) / 1_000_000
        self.assertAlmostEqual(seconds, row.length_ms / 1000, delta=0.2)
        self.assertEqual(Recording.objects.count(), 1)

    def test_the_web_page_plays_it_from_a_disk(self) -> None:
        self.record()
        self.tutor.draw(LINE)
        self.tutor.kept()
        self.wait_pieces(0)
        self.stop()
        row = self.tutor.wait(lambda: Recording.objects.filter(ended=True).first(), "it to end")
        at_ms = LoggedStep.objects.order_by("-seq").values_list("at_ms", flat=True)[0]
        board = Board.objects.get().uid
        page = self.tutor.fetch(f"{self.server.url}/boards/{board}/board.html?making&voice")
        file = self.tutor.downloads.parent / "board.html"
        file.write_bytes(page)
        self.tutor.open(file.as_uri())
        seen = []
        for seconds in ((at_ms - row.begun_ms - 900) / 1000, (at_ms - row.begun_ms + 100) / 1000):
            self.tutor.driver.execute_async_script(SEEK_FILE, max(seconds, 0.0))
            seen.append(self.tutor.driver.execute_script(DRAWN))
        self.assertEqual(seen, [0, 1])
        self.assertEqual(self.tutor.problems(), [])
