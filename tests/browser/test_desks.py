"""Desks: handed out, gone round, noted on, shown, removed; and pieces that are set down on them."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from sunroom.core.board.items import item_box
from tests.browser.test_running import Running
from tests.browser.test_tools import LINE


class Desks(Running):
    def test_each_student_gets_a_desk_of_their_own(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.tutor.draw(LINE)
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Hand this page out to 2")
        self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "two desks")
        self.tutor.film()
        names = [button.text.split() for button in self.tutor.all("button.page")]
        self.assertEqual(names[1:], [["2", "Noor"], ["3", "Tomasz"]])
        self.tutor.close_panels()
        for person in (self.noor, tomasz):
            person.wait_text("[data-testid=pens-state]", "You can write on this page")
        tomasz.key(Keys.PAGE_UP)
        tomasz.wait_text("[data-testid=say]", "This desk belongs to somebody else.")
        self.noor.draw([(300, 400), (340, 410), (380, 400)])
        tomasz.wait_items(2)

    def test_the_tutor_goes_round_the_desks(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.tutor.draw(LINE)
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Hand this page out to 2")
        self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "two desks")
        tomasz.wait_text("[data-testid=say]", "your desk")
        tomasz.draw([(300, 400), (340, 410), (380, 400)])
        tomasz.kept()
        self.assertIn(
            "1 of 3", self.tutor.text("nav[aria-label=Pages]"), "who hands out stays with the class"
        )
        self.tutor.key(Keys.SHIFT, "r")
        desks = "[data-testid=round] li"
        self.tutor.find(desks, "nothing yet")
        self.tutor.wait_text(f"{desks}[data-name=Tomasz] small", "at the desk")
        tomasz.press("button", "Put hand up")
        self.tutor.find("[aria-label='Lower Tomasz’s hand']")
        self.tutor.press("[data-testid=round] select option[value=hand]")
        self.tutor.wait(
            lambda: self.tutor.all(desks)[0].get_attribute("data-name") == "Tomasz" or None, "hands first"
        )
        self.tutor.press("[aria-label='A note on the desk of Tomasz']")
        self.tutor.find(f"{desks} input").send_keys("Which angle?", Keys.ENTER)
        self.assertEqual(
            self.tutor.driver.switch_to.active_element.get_attribute("aria-label"),
            "A note on the desk of Tomasz",
        )
        self.tutor.press("[aria-label='A note on the desk of Tomasz']")
        self.tutor.find(f"{desks} input").send_keys(Keys.ESCAPE)
        self.tutor.wait(lambda: not self.tutor.all(f"{desks} input") or None, "the field to go, and it alone")
        self.tutor.find(desks)
        tomasz.wait_text("[data-testid=say]", "Imani has left a note on your desk.")
        tomasz.wait_items(3)
        self.tutor.press("[aria-label='Show the desk of Tomasz to all']")
        self.noor.wait_items(3)
        self.assertIn("3 of 3", self.tutor.text("nav[aria-label=Pages]"))
        self.tutor.press("[aria-label='Desk round']")
        self.tutor.press("[data-testid=round] button", "Close")
        # Another page goes to the same desks' owners, also when the server has begun anew.
        self.restart()
        self.tutor.driver.refresh()
        self.tutor.wait_text("nav[aria-label=Pages] b", "of 3")
        self.tutor.keys(Keys.PAGE_UP, Keys.PAGE_UP)
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.tutor.wait(lambda: self.tutor.page_count == 4 or None, "a page to hand out")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Hand this page out to 2")
        self.tutor.wait(lambda: self.tutor.page_count == 6 or None, "two desks more")
        self.tutor.key(Keys.SHIFT, "r")
        self.tutor.wait(lambda: len(self.tutor.all(desks)) == 2 or None, "the desks of this page alone")
        self.tutor.find("[data-testid=round] select")
        # Who comes later is handed it from there.
        self.come_in(self.link, "Wairimu")
        self.tutor.press("[data-testid=round] button", "Hand this page out to one student")
        self.tutor.find(f"{desks}[data-name=Wairimu]", "nothing yet")
        self.tutor.press("[data-testid=round] button", "Remove the desks")
        self.tutor.press("[data-testid=round] button", "Yes, remove 3 desks")
        self.tutor.wait(lambda: self.tutor.page_count == 4 or None, "the desks of this page to go, no others")

    def test_a_piece_goes_from_the_box_to_a_page_and_to_all_desks(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.part("[aria-label=Arrange]")
        self.tutor.press("[role=dialog] button", "Keep in the piece box")
        self.tutor.wait_text("[data-testid=say]", "“A piece” is in the piece box")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Hand this page out to one student")
        self.tutor.wait(lambda: self.tutor.page_count == 2 or None, "the desk")
        self.noor.wait_items(1)
        for use, said in (
            ("Put “A piece” on the desk", "“A piece” lies on the desk."),
            ("Use “A piece”", ""),
        ):
            self.tutor.tool("Bring in")
            self.tutor.part("[aria-label=Sill] button", "Piece box")
            self.tutor.press(f"[aria-label='{use}']")
            self.tutor.wait_text("[data-testid=say]", said)
        self.noor.wait_items(2)
        self.tutor.wait_items(2)
        first, second = self.items()
        self.assertLess(item_box(first).y1, item_box(second).y0, "it does not lie on what was there")
