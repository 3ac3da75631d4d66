"""After the lesson in the browser: the wrap-up page, the outbox, a link to read by, and what a student finds."""

from __future__ import annotations

import tempfile
from pathlib import Path

from selenium.webdriver.common.keys import Keys

from tests.browser.test_fit import NAMELESS, OVERFLOW
from tests.browser.test_tools import LINE, Tools
from tests.core.test_pictures import picture


class After(Tools):
    def test_a_lesson_is_wrapped_up_sent_and_found_by_a_student(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.draw(LINE)
        self.tutor.wait_items(1)
        self.tutor.kept()
        tutor = self.tutor
        tutor.open(f"{self.server.url}/rooms/{self.link}/wrap-up")
        tutor.find("h1", "After the lesson")
        tutor.wait(lambda: len(tutor.all(".pages img")) == 1 or None, "a picture of its page")
        tutor.find("section textarea").send_keys("Measure a shadow at noon.")
        tutor.press("button", "Give it")
        tutor.find("article", "Nobody has done it yet")
        tutor.find("[aria-label='Mail address of Noor']").send_keys("noor@example.org")
        tutor.press("form button", "Send one mail")
        tutor.wait_text("[role=status]", "1 of one mail went")
        tutor.press("summary", "noor@example.org")
        tutor.find("details", "Shadows and sundials")
        tutor.press("form button", "Make a link")
        address = tutor.find(".link a").get_attribute("href")
        self.assertEqual(tutor.driver.execute_script(NAMELESS), [])
        noor.open(f"{self.server.url}/r/{self.link}/found")
        noor.press("label", "Measure a shadow at noon.")
        noor.find("li", "done")
        with tempfile.TemporaryDirectory() as folder:
            bad, good = Path(folder) / "torn.pdf", Path(folder) / "noon.png"
            bad.write_bytes(b"no PDF")
            good.write_bytes(picture())
            noor.find("[aria-label='Hand in a file or a photo']").send_keys(f"{bad}\n{good}")
            noor.find("li li a", "noon.png")
            noor.wait_text("[role=alert]", "“torn.pdf” was not taken")
        noor.find(".boards b", "Shadows and sundials")
        self.assertEqual(noor.driver.execute_script(NAMELESS), [])
        for width, height in ((390, 844), (1280, 800)):
            for browser in (tutor, noor):
                browser.resize(width, height)
                self.assertFalse(browser.driver.execute_script(OVERFLOW), width)
        noor.open(address)
        noor.find("svg")
        self.assertEqual([told for told in noor.problems() if bad.name not in told], [])
        tutor.open(f"{self.server.url}/rooms/{self.link}/wrap-up")
        tutor.find("article", "Done: Noor.")
        tutor.press(".link button", "End it")
        tutor.wait(lambda: not tutor.all(".link") or None, "the link to be gone")
        tutor.press("article button", "Mark it on the board")
        tutor.find("nav[aria-label=Tools]")
        tutor.wait(lambda: self.page(1).head.hidden or None, "a hidden page with what was handed in")
        tutor.wait_text("nav[aria-label=Pages] b", "2 of 2")
        noor.open(address)
        self.assertIn("This link leads nowhere any more", noor.text("body"))

    def test_a_moment_is_kept_seen_beside_today_and_brought_back_and_a_page_is_played(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.wait_items(1)
        self.tutor.kept()
        self.tutor.press("[aria-label='This board']")
        self.tutor.press("button", "Moments")
        self.tutor.find("[data-testid=moments] input").send_keys("One line")
        self.tutor.press("[data-testid=moments] button", "Keep it")
        self.tutor.find(".one", "One line")
        self.tutor.press("[data-testid=moments] button", "Close")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.key(Keys.DELETE)
        self.tutor.wait_items(0)
        self.tutor.kept()
        self.tutor.press("[aria-label='This board']")
        self.tutor.press("button", "Moments")
        self.tutor.press(".one", "One line")
        self.tutor.press("button.lost")
        self.tutor.press("button", "Bring back the chosen (1)")
        self.tutor.wait_text("[data-testid=moments] [role=status]", "Brought back")
        self.assertEqual(self.tutor.driver.execute_script(NAMELESS), [])
        self.tutor.press("[data-testid=moments] button", "Close")
        self.tutor.wait_items(1)
        self.tutor.page_panel()
        self.tutor.press("button", "How it was made")
        self.tutor.find("[data-testid=replay] button", "Play")
        self.tutor.wait(lambda: "00:00 of" not in self.tutor.text(".time") or None, "time to pass")
        self.assertEqual(self.tutor.driver.execute_script(NAMELESS), [])
        self.tutor.press("[data-testid=replay] button", "Close")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(0)
