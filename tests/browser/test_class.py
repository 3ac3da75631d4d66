"""What the others see: pointers that stay, boards as tabs, everyone's own view, clearing."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from tests.browser.test_tools import LINE, Tools


class Together(Tools):
    def test_an_arrow_stays_with_its_owner_s_name_until_it_is_cleared(self) -> None:
        self.tutor.tool("Pointer")
        self.tutor.press("[aria-label='Point with'] input", "An arrow that stays")
        self.tutor.draw([(400, 300)], "mouse")
        self.tutor.find("button", "Clear pointers")
        noor = self.come_in(self.link, "Noor")
        before = self.red(noor)
        self.assertGreater(before, 100, "who comes later sees the arrow")
        self.tutor.press("button", "Clear pointers")
        noor.wait(lambda: self.red(noor) == 0 or None, "the arrow to go")
        self.assertEqual(self.items(), [])

    def red(self, browser) -> int:
        """Pixels of Imani's colour on the overlay."""
        return browser.driver.execute_script(
            "const mark = getComputedStyle(document.querySelector('[data-name=Imani] > span')).backgroundColor;"
            "const [r, g, b] = mark.match(/\\d+/g).map(Number);"
            "const c = document.querySelector('[data-testid=board]');"
            "const d = c.getContext('2d').getImageData(0, 0, c.width, c.height).data; let n = 0;"
            "for (let i = 0; i < d.length; i += 4) if (d[i] === r && d[i+1] === g && d[i+2] === b && d[i+3] === 255) n++;"
            "return n"
        )

    def test_boards_of_the_room_are_tabs_and_people_show_where_they_are(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.assertEqual(
            [tab.text for tab in noor.all("nav[aria-label=Boards] button")], ["Shadows and sundials"]
        )
        self.tutor.draw(LINE)
        self.tutor.press("[aria-label='New board']")
        self.tutor.wait_items(0)
        noor.find("nav[aria-label=Boards] button", "Board 2")
        noor.wait_text("[data-name=Imani]", "on “Board 2”")
        noor.press("nav[aria-label=Boards] button", "Board 2")
        noor.wait(lambda: noor.items == 0 or None, "the other board")
        self.tutor.draw(LINE)
        self.tutor.draw([(x, y + 40) for x, y in LINE])
        noor.wait_items(2)
        self.tutor.press("nav[aria-label=Boards] button", "Shadows and sundials")
        self.tutor.wait_items(1)
        self.tutor.driver.refresh()
        self.tutor.wait_items(1)

    def test_when_a_board_is_put_away_or_deleted_who_is_on_it_goes_on_with_another(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.draw(LINE)
        self.tutor.press("input[type=radio]", "Pens up")
        boards = f"/api/rooms/{self.link}/boards/"
        for method, change in (("PATCH", {"away": True}), ("DELETE", {})):
            self.tutor.press("[aria-label='New board']")
            self.tutor.wait_items(0)
            noor.press("nav[aria-label=Boards] button", "Board")
            noor.wait_items(0)
            noor.draw(LINE)
            self.tutor.wait_items(1)
            uid = self.tutor.driver.current_url.rsplit("/", 1)[-1]
            self.tutor.driver.execute_script(
                "const token = document.cookie.match(/csrftoken=([^;]+)/)[1];"
                "fetch(arguments[0], {method: arguments[1], body: JSON.stringify(arguments[2]), headers: {'X-CSRFToken': token}})",
                boards + uid, method, change,
            )  # fmt: skip
            for who in (noor, self.tutor):
                who.find("[role=alert]", "That board is no longer in this room.")
                who.wait(lambda who=who: "Board" not in who.text("nav[aria-label=Boards]") or None, "one tab")
            noor.draw([(x, y + 40) for x, y in LINE])
            self.tutor.wait_items(2)
            noor.key(Keys.CONTROL, "z")
            self.tutor.wait_items(1)
            self.tutor.driver.refresh()
            self.tutor.wait_items(1)
            for sentence in noor.all("[role=alert] button"):
                sentence.click()

    def test_clearing_is_one_step_and_a_student_clears_own_work_only(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.press("input[type=radio]", "Pens up")
        noor = self.come_in(self.link, "Noor")
        noor.wait_text("[data-testid=pens-state]", "Pens are up")
        for shift in (40, 80):
            noor.draw([(x, y + shift) for x, y in LINE])
        self.tutor.wait_items(3)
        noor.page_panel()
        self.assertFalse([b for b in noor.all("[role=dialog] button") if "Everything" in b.text])
        noor.press("[role=dialog] button", "My work")
        self.tutor.wait_items(1)
        noor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(3)
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Everything not locked")
        self.tutor.press("[role=dialog] button", "Yes, clear it")
        noor.wait_items(0)
        self.tutor.key(Keys.CONTROL, "z")
        noor.wait_items(3)

    def test_things_are_chosen_by_their_writer_by_kind_and_by_keys(self) -> None:
        self.tutor.draw(LINE)
        self.figure("Square", (300, 400), (360, 460))
        self.tutor.key(Keys.ESCAPE)
        self.tutor.press("[aria-label=Choose]")
        self.tutor.press("[role=dialog] button", "All ink")
        self.tutor.wait_text(".what", "one stroke of yours")
        self.tutor.key(".")
        self.tutor.wait_text(".what", "one figure of yours")
        self.tutor.key(".")
        self.tutor.wait_text(".what", "one stroke of yours")

    def test_the_view_is_typed_fitted_and_brought_back(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.press("[aria-label=View]")
        field = self.tutor.find("[role=dialog] input[type=number]")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("250", Keys.TAB)
        self.tutor.wait(lambda: self.tutor.percent == 250 or None, "the zoom")
        self.tutor.press("[aria-label=View] ~ [role=dialog] button", "Back to where I was")
        self.tutor.wait(lambda: self.tutor.percent != 250 or None, "the view before")
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.press("[aria-label=View]")
        self.tutor.press("[aria-label=View] ~ [role=dialog] button", "What is selected")
        self.tutor.wait(lambda: self.percent() > 300 or None, "the line in full width")

    def percent(self) -> int:
        return self.tutor.percent
