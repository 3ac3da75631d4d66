"""The tutor's voice: told to everybody, kept through a lost net, played in step with the pages."""

from __future__ import annotations

import time

from sunroom.boards.models import LoggedStep, Recording, RecordingPiece
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
SEEK = """
const [seconds, done] = arguments
const audio = document.querySelector('[data-testid=again] audio')
audio.addEventListener('seeked', () => requestAnimationFrame(() => requestAnimationFrame(done)), { once: true })
const place = document.querySelector('[data-testid=again] input[type=range]')
place.value = seconds * 1000
place.dispatchEvent(new Event('input', { bubbles: true }))
"""


class Recordings(BoardTest):
    def record(self) -> None:
        self.tutor.made_up()
        self.tutor.press("[aria-label='Take away']")
        self.tutor.press("[role=dialog] button", "Record my voice")
        self.tutor.find("[aria-label='Your voice is recorded']")
        self.tutor.close_panels()

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
        time.sleep(1.5)
        self.tutor.draw(LINE)
        self.tutor.kept()
        time.sleep(1.5)
        self.tutor.draw([(x, y + 120) for x, y in LINE])
        self.tutor.kept()
        self.wait_pieces(0)
        self.tutor.press("[aria-label='Your voice is recorded']")
        self.tutor.press("[role=dialog] button", "Stop recording")
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
        self.tutor.press("[data-testid=again] button", "Remove the recording")
        self.tutor.wait_text("[data-testid=again]", "No voice has been recorded")
        self.assertFalse(Recording.objects.exists())
        self.assertEqual(self.tutor.problems() + noor.problems(), [])
