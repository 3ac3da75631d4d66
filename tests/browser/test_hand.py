"""The practice page: signs written in their boxes, kept, thrown away, and learned from corrections."""

from __future__ import annotations

from collections.abc import Iterable

import numpy as np
from selenium.webdriver.common.keys import Keys

from demo.hand import Hand
from tests.browser.base import wait_for
from tests.browser.test_reading import Inking


class PracticePage(Inking):
    def practise(self, texts: Iterable[str], height: float = 40) -> None:
        hand = Hand(9, 0.4)
        for text in texts:
            sign = self.tutor.find(f"[data-sign='{text}']")
            self.tutor.driver.execute_script("arguments[0].scrollIntoView({block: 'center'})", sign)
            box, board = sign.rect, self.tutor.find("[data-testid=board]").rect
            for stroke in hand.write(text, 0, 0, height):
                few = np.unique(np.linspace(0, len(stroke) - 1, 10).astype(int))
                place = (box["x"] - board["x"] + 22, box["y"] - board["y"] + 50)
                self.tutor.draw(stroke[few, :2] + place)

    def open_page(self) -> None:
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[role=dialog] button", "Practice page")

    def has_learned(self) -> bool:
        """Whether the page, opened anew, shows what was learned; that happens beside, after the words are set."""
        self.open_page()
        self.progress(" of 62")
        learned = any(h3.text == "Learned from corrected readings" for h3 in self.tutor.all("dialog h3"))
        if not learned:
            self.tutor.key(Keys.ESCAPE)
        return learned

    def progress(self, text: str) -> None:
        self.tutor.wait_text("dialog [role=status]", text)

    def test_signs_are_kept_box_by_box_and_thrown_away(self) -> None:
        self.open_page()
        self.progress("0 of 62")
        self.practise("amf3")
        self.progress("4 of 62")
        self.assertEqual(
            len(self.tutor.all("[data-sign='f'] polyline")), len(Hand(9, 0.4).write("f", 0, 0, 40))
        )
        self.tutor.driver.refresh()
        self.open_page()
        self.progress("4 of 62")
        self.tutor.driver.execute_script("document.querySelector(\"[data-sign='m']\").focus()")
        self.tutor.key(Keys.DELETE)
        self.progress("3 of 62")
        self.tutor.press("dialog footer button", "Throw it away")
        self.tutor.press("dialog footer button", "Keep it")
        self.progress("3 of 62")
        self.tutor.press("dialog footer button", "Throw it away")
        self.tutor.press("dialog footer button", "Yes, throw it all away")
        self.progress("0 of 62")
        self.tutor.press("dialog footer button", "Close")
        self.tutor.wait(lambda: not self.tutor.all("dialog[open]") or None, "the page to close")
        self.assertEqual(self.tutor.items, 0)

    def test_a_hand_is_taken_along_and_brought_in_again(self) -> None:
        self.open_page()
        self.practise("am")
        self.progress("2 of 62")
        self.tutor.press("dialog footer a", "Take it along (InkML)")
        (file,) = wait_for(lambda: list(self.tutor.downloads.glob("*.inkml")), "the hand")
        self.tutor.press("dialog footer button", "Throw it away")
        self.tutor.press("dialog footer button", "Yes, throw it all away")
        self.progress("0 of 62")
        self.tutor.find("[aria-label='File of a hand']").send_keys(str(file))
        self.progress("2 of 62")
        bad = file.with_name("no.inkml")
        bad.write_text("no ink")
        self.tutor.find("[aria-label='File of a hand']").send_keys(str(bad))
        self.tutor.wait_text("dialog [role=alert]", "not readable as InkML")
        self.progress("2 of 62")

    def test_a_word_taken_otherwise_than_it_was_read_is_learned(self) -> None:
        self.open_page()
        self.practise("a")
        self.progress("1 of 62")
        self.tutor.key(Keys.ESCAPE)
        self.write("made", 200, 230)
        self.choose_all()
        self.tutor.press("[aria-label=Words]")
        word = self.tutor.find("[aria-label='Word 1 of line 1']")
        word.send_keys(Keys.CONTROL, "a")
        word.send_keys("mqde")
        self.tutor.press("[role=dialog] button", "Typeset these words")
        self.tutor.wait_items(1)
        wait_for(self.has_learned, "the correction to be learned from")
        self.assertTrue(self.tutor.all(".row [aria-label^='q, written']"))

    def test_a_line_is_kept_when_its_writer_says_so_and_teaches_how_words_are_written(self) -> None:
        text = "dozen oak jugs"
        self.open_page()
        self.practise([text], 24)
        line = f"[data-sign='{text}']"
        again = f"{line} ~ .of-line [aria-label='Write it again']"
        self.tutor.driver.execute_script(
            "arguments[0].dispatchEvent(new MouseEvent('click', {bubbles: true, detail: 1}))",
            self.tutor.find(again),
        )
        self.assertTrue(self.tutor.all(f"{line} polyline"), "a palm that lay there while its pen wrote")
        self.tutor.press(again)
        self.tutor.wait(lambda: not self.tutor.all(f"{line} polyline") or None, "an empty line")
        self.practise([text], 24)
        self.tutor.press(f"{line} ~ .of-line [aria-label='Keep this line']")
        self.tutor.wait(
            lambda: "written 1" in (self.tutor.find(line).get_attribute("aria-label") or "") or None,
            "the line to be kept",
        )
        self.progress("0 of 62")
        self.tutor.driver.refresh()
        self.open_page()
        self.tutor.wait(lambda: self.tutor.all(f"{line} polyline") or None, "the line to be there again")

    def test_a_line_that_was_left_or_stands_there_at_the_end_is_kept_too(self) -> None:
        self.open_page()
        self.practise(["dozen oak jugs", "a shadow of 14 cm"], 24)
        self.tutor.press("dialog footer button", "Close")
        self.open_page()
        for text in ("dozen oak jugs", "a shadow of 14 cm"):
            self.tutor.wait(lambda text=text: self.tutor.all(f"[data-sign='{text}'] polyline") or None, text)
