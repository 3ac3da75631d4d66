"""The whole lesson with two browsers, from the link to the saved board."""

from __future__ import annotations

import pypdfium2
from selenium.webdriver.common.keys import Keys

from demo.hand import Hand
from tests.browser.base import Browser, BrowserTest, wait_for


class WholeLesson(BrowserTest):
    def test_from_the_link_to_the_saved_board_and_still_there_next_day(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        tutor.find("[data-testid=person]", "Noor")

        # Pens down: the tutor writes, the student sees it while it is drawn and cannot write.
        word = Hand(3, 0.4).write("noon", 200, 260, 110)
        noor.wait_text("[data-testid=pens-state]", "Pens are down · Imani is writing")
        tutor.write(word)
        noor.wait_items(len(word))
        noor.line()
        noor.wait_text(
            "[data-testid=say]", "Pens are down. Imani is writing. Put your hand up to ask for a pen."
        )
        self.assertEqual(noor.items, len(word))

        # The scrawl to type: its reading is shown before anything changes.
        tutor.tool("Select")
        tutor.draw([(150, 120), (500, 180), (520, 330)], "mouse")
        tutor.find("[data-testid=typeset]", "noon")
        tutor.find("[data-testid=rival]")
        self.assertTrue(tutor.text("[data-testid=rival]"))
        self.assertEqual(noor.items, len(word))
        tutor.press("[data-testid=typeset]")
        noor.wait_items(1)
        noor.wait(
            lambda: (
                "noon"
                in (
                    noor.driver.execute_script("return document.querySelector('main .unseen').textContent")
                ).lower()
                or None
            ),
            "the typed word in the page's text",
        )

        # The rough figure to a true one, and as written, also after a reload.
        tutor.tool("Pen")
        tutor.draw([(560, 200), (700, 203), (702, 300), (561, 297), (560, 202)])
        noor.wait_items(2)
        tutor.tool("Select")
        tutor.draw([(540, 180), (720, 200), (730, 320)], "mouse")
        tutor.find("[data-testid=true-up]", "Rectangle").click()
        tutor.find("[data-testid=as-written]")
        tutor.kept()
        tutor.driver.refresh()
        tutor.wait_items(2)
        tutor.tool("Select")
        tutor.draw([(180, 100), (450, 180), (480, 330)], "mouse")
        tutor.press("[data-testid=as-written]")
        noor.wait_items(len(word) + 1)
        tutor.key(Keys.CONTROL, "z")
        noor.wait_items(2)

        # A pen is passed to the student and taken back.
        noor.press("button", "Put hand up")
        tutor.wait_text("[data-testid=person]", "hand up, first")
        tutor.press("[data-testid=person] button[aria-label='Pass a pen to Noor']")
        noor.wait_text("[data-testid=pens-state]", "You have a pen")
        tutor.wait_text("input:checked", "Passed · 1")
        noor.draw([(300, 450), (360, 440), (420, 455)])
        tutor.wait_items(3)
        tutor.press("[data-testid=person] button[aria-label='Take the pen back from Noor']")
        noor.wait_text("[data-testid=pens-state]", "Pens are down")
        noor.line()
        self.assertEqual(tutor.items, 3)

        # The board is saved, and there the next day, after the server has been off.
        tutor.kept()
        tutor.press("[aria-label='Take away']")
        tutor.press("[role=dialog] a", "PDF")
        (file,) = wait_for(lambda: list(tutor.downloads.glob("*.pdf")), "the PDF")
        self.assertRegex(file.name, r"^Shadows and sundials \d{4}-\d\d-\d\d\.pdf$")
        self.assertIn("noon", pypdfium2.PdfDocument(file)[0].get_textpage().get_text_range().lower())
        tutor.wrap_up()
        tutor.wait_text("header button", "Go on with the lesson")
        noor.wait_text("[data-testid=say]", "There is no lesson on")
        self.restart()
        tutor.open(f"{self.server.url}/rooms/{link}")
        tutor.find("img[alt^='First page']")
        tutor.press("a.board")
        tutor.wait_items(3)
        self.assertEqual(tutor.problems() + noor.problems(), [])

    def test_a_student_keeps_the_seat_over_a_reload_and_names_are_told_apart(self) -> None:
        tutor, link = self.open_room()
        noor = self.come_in(link, "Noor")
        noor.driver.refresh()
        noor.find("[data-testid=person][data-name=Noor]")
        other = self.come_in(link, "noor")
        other.find("[data-testid=person][data-name='noor 2']")
        tutor.wait_text("aside[aria-label=People]", "Here · 3")

    def test_the_porch_explains_a_name_that_cannot_be_used_and_a_wrong_link(self) -> None:
        _, link = self.open_room()
        student = self.browser()
        student.open(f"{self.server.url}/r/{link}")
        student.press("button", "Come in")
        student.wait_text("[role=alert]", "Type a name first.")
        student.find("form input").send_keys("x" * 200)
        student.press("button", "Come in")
        student.wait_text("[role=alert]", "40 are the most")
        student.open(f"{self.server.url}/r/nope-nope-nope")
        student.wait_text("[role=alert]", "no room at this address")

    def test_an_onlooker_sees_and_has_no_tools(self) -> None:
        tutor, link = self.open_room()
        tutor.line()
        tutor.open(f"{self.server.url}/rooms/{link}")
        address = tutor.wait(
            lambda: next(
                (
                    e.get_attribute("value")
                    for e in tutor.all("input[readonly]")
                    if "/watch/" in (e.get_attribute("value") or "")
                ),
                None,
            ),
            "the onlookers' link",
        )
        onlooker = self.browser()
        onlooker.open(f"http://{address}")
        onlooker.wait_items(1)
        onlooker.wait_text("[data-testid=pens-state]", "You are looking on")
        self.assertEqual(onlooker.all("nav[aria-label=Tools]"), [])
        onlooker.line()
        self.assertEqual(onlooker.items, 1)

    def test_a_room_is_claimed_by_an_account_and_opened_from_another_browser(self) -> None:
        tutor, link = self.open_room()
        tutor.open(f"{self.server.url}/rooms/{link}")
        tutor.press("button", "Keep it with an account")
        tutor.press("button", "Make an account instead")
        for label, value in (
            ("Your name", "Imani A"),
            ("User name", "imani"),
            ("Password", "gnomon-at-noon"),
        ):
            self.field(tutor, label).send_keys(value)
        tutor.press("button", "Make the account")
        tutor.wait(lambda: "Keep this room" not in tutor.text("aside") or None, "the room to be kept")
        other = self.browser()
        other.open(self.server.url)
        self.field(other, "User name").send_keys("imani")
        self.field(other, "Password").send_keys("gnomon-at-noon", Keys.ENTER)
        other.press("section a", "Shadows and sundials")
        other.wait_text("h1", "Shadows and sundials")

    def field(self, browser: Browser, label: str) -> object:
        return browser.wait(
            lambda: browser.driver.execute_script(
                "return [...document.querySelectorAll('label')].find((l) => l.textContent === arguments[0])?.control",
                label,
            ),
            label,
        )
