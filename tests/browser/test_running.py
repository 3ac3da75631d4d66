"""Running a class with a tutor and two students: the door, bays, questions, eyes, time, devices."""

from __future__ import annotations

import time

from selenium.webdriver.common.keys import Keys

from tests.browser.base import Browser
from tests.browser.test_things import WRITER
from tests.browser.test_tools import LINE, Tools


class Running(Tools):
    def setUp(self) -> None:
        super().setUp()
        self.noor = self.come_in(self.link, "Noor")
        self.tutor.find("[data-testid=person]", "Noor")

    def more(self, name: str, button: str) -> None:
        self.tutor.press(f"[aria-label='More about {name}']")
        self.tutor.press("[role=dialog] button", button)

    def at_door(self, name: str) -> Browser:
        """A student who has typed a name and is not in yet."""
        student = self.browser()
        student.open(f"{self.server.url}/r/{self.link}")
        student.find("form input").send_keys(name, Keys.ENTER)
        return student


class Doors(Running):
    def test_a_knock_is_seen_and_answered_and_who_is_in_stays_in(self) -> None:
        self.tutor.class_panel()
        self.tutor.press("[aria-label='Come in by'] input", "Knock")
        self.tutor.key(Keys.ESCAPE)
        tomasz = self.at_door("Tomasz")
        tomasz.wait_text("h1", "You have knocked")
        self.tutor.press("[aria-label='Not now for Tomasz']")
        tomasz.wait_text("[role=alert]", "Imani has not let you in")
        tomasz.press("button", "Knock again")
        self.tutor.press("[aria-label='Let Tomasz in']")
        tomasz.find("nav[aria-label=Tools]")
        self.noor.driver.refresh()
        self.noor.find("nav[aria-label=Tools]")

    def test_who_knocks_while_a_hand_is_among_the_rows_moves_none_of_them(self) -> None:
        self.tutor.class_panel()
        self.tutor.press("[aria-label='Come in by'] input", "Knock")
        self.tutor.key(Keys.ESCAPE)
        # A hand that does not rest, and what stands above it: where each row's top is, and who knocks.
        self.tutor.driver.execute_script("""
          const rows = document.querySelector('[data-testid=person]').parentElement, top = () => rows.getBoundingClientRect().top
          const at = top(), move = () => rows.dispatchEvent(new PointerEvent('pointermove', { bubbles: true }))
          move(), (window.hand = setInterval(move, 200)), (window.moved = 0)
          new MutationObserver(() => (window.moved ||= top() - at)).observe(document.body, { childList: true, subtree: true })
        """)
        self.at_door("Tomasz").wait_text("h1", "You have knocked")
        # What is said after the knock is there.
        self.noor.chat()
        self.noor.find("[aria-label='Say something']").send_keys("Somebody is at the door", Keys.ENTER)
        self.tutor.wait_text("aside .talk", "1")
        self.assertEqual(
            self.tutor.driver.execute_script("return [window.moved, clearInterval(window.hand)][0]"), 0
        )
        self.tutor.press("[aria-label='Let Tomasz in']")

    def test_a_code_is_asked_for_and_a_wrong_one_says_so(self) -> None:
        self.tutor.class_panel()
        self.tutor.press("[aria-label='Come in by'] input", "Code")
        self.tutor.find("[aria-label='Code of the door']").send_keys("gnomon")
        self.tutor.press("[role=dialog] button", "Set the code")
        self.tutor.wait_text("[role=dialog]", "The code is gnomon")
        tomasz = self.at_door("Tomasz")
        tomasz.find("h1", "The door has a code")
        tomasz.find("form input").send_keys("needle", Keys.ENTER)
        tomasz.wait_text("[role=alert]", "That is not the code")
        field = tomasz.find("form input")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("Gnomon", Keys.ENTER)
        tomasz.find("nav[aria-label=Tools]")

    def test_somebody_is_sent_to_the_porch_and_knocks(self) -> None:
        self.more("Noor", "Send Noor to the porch")
        self.noor.press("button", "Knock")
        self.tutor.press("[aria-label='Let Noor in']")
        self.noor.find("nav[aria-label=Tools]")


class Places(Running):
    def bay(self) -> None:
        """A bay for Noor in the middle of the page."""
        self.tutor.tool("Bay")
        self.tutor.draw([(300, 200), (400, 300), (560, 420)], "mouse")
        self.tutor.find("[aria-label='Title of the bay']").send_keys("Noor tries", Keys.ENTER)
        self.tutor.press("[aria-label='Who writes in this bay']")
        self.tutor.press("[aria-label='Who writes'] input", "Some people")
        self.tutor.press("[role=dialog] label", "Noor")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.wait(lambda: self.page().head.bays[0].people or None, "the bay to be Noor's")

    def test_a_bay_is_written_in_by_its_people_only_and_stepped_to(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.bay()
        self.noor.wait_text("[data-testid=pens-state]", "You can write in your bay")
        self.noor.draw([(360, 300), (400, 310), (440, 300)])
        self.tutor.wait_items(1)
        self.noor.draw([(100, 300), (140, 310), (180, 300)])
        self.noor.wait_text("[data-testid=set-aside]", "not on the board yet")
        self.assertEqual(self.tutor.items, 1)
        tomasz.wait_text("[data-testid=pens-state]", "Pens are down")
        whole = self.noor.percent
        self.noor.key("j")
        self.noor.wait(lambda: self.noor.percent != whole or None, "the view of the bay")

    def test_a_bay_is_changed_and_removed_and_undo_brings_it_back(self) -> None:
        self.bay()
        self.tutor.press("[aria-label=Sill] button", "Remove")
        self.tutor.wait(lambda: not self.page().head.bays or None, "the bay to go")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.page().head.bays or None, "the bay to come back")


class Eyes(Running):
    def test_the_tutor_sees_what_a_student_sees_and_does_nothing_there(self) -> None:
        self.more("Noor", "See as Noor does")
        self.tutor.wait_text("[role=status]", "You see the lesson as Noor does")
        self.tutor.wait_text("[data-testid=pens-state]", "Pens are down")
        self.tutor.find("button", "Put hand up")
        self.assertEqual(self.tutor.all("[aria-label='Who may write']"), [])
        self.tutor.draw(LINE)
        self.assertEqual(self.tutor.items, 0)
        self.tutor.press("button", "Back to my own view")
        self.tutor.find("[aria-label='Who may write']")
        self.tutor.draw(LINE)
        self.tutor.wait_items(1)

    def test_a_student_is_followed_until_the_tutor_moves(self) -> None:
        self.more("Noor", "Follow Noor")
        self.tutor.wait_text("[role=status]", "You follow Noor")
        self.noor.key("+")
        self.noor.key("+")
        self.tutor.wait(lambda: not self.tutor.whole or None, "the followed view")
        self.tutor.key("-")
        self.tutor.wait(
            lambda: "You follow" not in self.tutor.text(".says") or None, "the tutor to go their own way"
        )

    def test_who_types_or_writes_is_not_disturbed_by_where_the_tutor_looks(self) -> None:
        self.tutor.key(Keys.SHIFT, "u")
        self.noor.wait_text("[data-testid=pens-state]", "you can write")
        self.tutor.press("button", "Together")
        self.noor.key("t")
        self.noor.draw([(500, 300)], "mouse")
        self.noor.find(WRITER).send_keys("noon")
        for _ in range(3):
            self.tutor.key("+")
        self.noor.wait(lambda: not self.noor.whole or None, "the tutor's view")
        self.noor.find(WRITER).send_keys(" at last", Keys.CONTROL, Keys.ENTER)
        self.tutor.wait_items(1)
        (text,) = self.page().items.values()
        self.assertEqual(text.text, "noon at last")
        self.noor.key("1")
        self.noor.begin([(300, 500), (340, 500), (380, 500)])
        before = self.noor.percent
        self.tutor.key("0")
        self.tutor.wait(lambda: self.tutor.percent != before or None, "the tutor's whole page")
        time.sleep(0.6)
        self.assertEqual(self.noor.percent, before, "the paper does not move under the pen")
        self.noor.lift()
        self.noor.wait(
            lambda: self.noor.percent != before or None, "the tutor's view, once the pen is lifted"
        )
        self.tutor.wait_items(2)

    def test_a_projector_shows_the_board_alone_where_the_tutor_looks(self) -> None:
        wall = self.browser()
        self.tutor.driver.execute_script(
            "return fetch(arguments[0]).then(r => r.json()).then(r => window.found = r.onlooker_link)",
            f"/api/rooms/{self.link}",
        )
        watch = self.tutor.wait(
            lambda: self.tutor.driver.execute_script("return window.found"), "the onlookers' link"
        )
        wall.open(f"{self.server.url}/watch/{watch}?projector")
        wall.find("[data-testid=board]")
        self.assertEqual(wall.all("header"), [])
        self.tutor.find("[data-testid=person]", "Onlooker")
        for _ in range(3):
            self.tutor.key("+")
        wall.wait(lambda: not wall.whole or None, "the tutor's view")


class Asking(Running):
    def test_a_question_is_answered_counted_and_shown(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.tutor.class_panel("Ask")
        self.tutor.find("[aria-label='The question']").send_keys("How long at noon?")
        answers = self.tutor.find("[aria-label^=Answers]")
        answers.send_keys(Keys.CONTROL, "a")
        answers.send_keys("0.5 m\n1 m\n1 m\n2 m\n3 m\n4 m\n5 m\n6 m")
        self.tutor.wait_text("[role=dialog] [role=alert]", "2 to 6 different answers")
        self.assertFalse(self.tutor.find("[role=dialog] button", "Ask it").is_enabled())
        answers.send_keys(Keys.CONTROL, "a")
        answers.send_keys("0.5 m\n1 m\n1 m")
        self.tutor.press("[role=dialog] button", "Ask it")
        self.noor.press("[aria-label=Question] button", "1 m")
        self.tutor.wait_text("[aria-label=Question]", "1 of 2 answered")
        self.tutor.press("[aria-label=Question] button", "Who said what")
        self.tutor.wait_text("[aria-label=Question] .options button:nth-child(2)", "Noor")
        self.assertEqual(tomasz.all("[aria-label=Question] button b"), [], "no numbers before they are shown")
        self.tutor.press("button", "Show to everybody")
        tomasz.wait(lambda: tomasz.all("[aria-label=Question] button b") or None, "the numbers")
        self.tutor.press("button", "Put away")
        self.noor.wait(lambda: not self.noor.all("[aria-label=Question]") or None, "the question to go")

    def test_signs_stay_until_seen_and_a_countdown_is_seen_by_all(self) -> None:
        self.noor.press("[aria-label='Show a sign']")
        self.noor.press("[role=dialog] button", "I am lost")
        self.tutor.wait_text("[data-name=Noor]", "I am lost")
        self.tutor.wait_text("aside", "I am lost · 1")
        self.tutor.class_panel("Time")
        self.tutor.find("[aria-label^='What for']").send_keys("Measure")
        self.tutor.press("[role=dialog] button", "1 min")
        self.noor.wait_text("[role=timer]", "Measure: 0")
        self.tutor.class_panel("Time")
        minutes = self.tutor.find("[role=dialog] input[type=number]")
        minutes.send_keys(Keys.CONTROL, "a", Keys.NULL, Keys.DELETE)
        self.tutor.press("[role=dialog] button", "Start")
        self.tutor.find("[role=dialog] input:invalid")
        self.tutor.close_panels()
        self.tutor.press("[aria-label='Seen: clear the signs']")
        self.tutor.wait(lambda: "I am lost" not in self.tutor.text("aside") or None, "the sign to go")

    def test_a_paused_lesson_stops_pens_and_goes_on(self) -> None:
        self.tutor.press("input[type=radio]", "Pens up")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are up")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Pause the lesson")
        self.noor.wait_text("[data-testid=pens-state]", "The lesson is paused")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Go on with the lesson")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are up")


class Who(Running):
    def test_writers_are_shown_and_a_thing_tells_its_story(self) -> None:
        self.tutor.press("input[type=radio]", "Pens up")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are up")
        self.noor.draw(LINE)
        self.tutor.wait_items(1)
        before = self.over_pixels(self.tutor)
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Show who wrote what")
        self.tutor.wait(lambda: self.over_pixels(self.tutor) > before + 100 or None, "the names")
        self.tutor.tool("Select")
        self.tutor.draw([(400, 300)], "mouse")
        self.tutor.part("[aria-label='Who made this']")
        self.tutor.wait_text("[role=dialog] li", "made by Noor")

    def test_one_student_s_work_is_cleared_in_one_step_and_asked_once(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.press("input[type=radio]", "Pens up")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are up")
        for shift in (60, 120):
            self.noor.draw([(x, y + shift) for x, y in LINE])
        self.tutor.wait_items(3)
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Noor’s work")
        self.tutor.press("[role=dialog] button", "Yes, clear it")
        self.tutor.wait_items(1)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(3)

    def test_people_are_found_renamed_and_chosen_together(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.more("Noor", "Rename Noor")
        field = self.tutor.find("[aria-label='New name']")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys("Noor K.", Keys.ENTER)
        self.noor.wait_text("aside", "you are Noor K.")
        self.tutor.press("button", "Choose some")
        self.tutor.press("aside button", "All")
        self.tutor.press("button", "Pass pens")
        for person in (self.noor, tomasz):
            person.wait_text("[data-testid=pens-state]", "You have a pen")


class Devices(Running):
    def test_a_tablet_writes_in_the_same_seat_until_it_is_unpaired(self) -> None:
        self.tutor.press("input[type=radio]", "Pens up")
        self.noor.press("[aria-label='Your menu']")
        self.noor.press("[role=dialog] button", "Pair a device")
        self.noor.find("[role=dialog] .code")
        code = self.noor.text("[role=dialog] .code")
        tablet = self.browser(820, 1180)
        tablet.open(f"{self.server.url}/pair")
        tablet.find("form input").send_keys(code, Keys.ENTER)
        tablet.press("button", "Sit there")
        tablet.find("nav[aria-label=Tools]")
        tablet.draw(LINE)
        self.noor.wait_items(1)
        self.noor.key(Keys.ESCAPE)
        self.noor.press("[aria-label=Undo]")
        self.tutor.wait_items(0)
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.noor.press("[aria-label='The page after']")
        tablet.wait_text("nav[aria-label=Pages] b", "2 of 2")
        tablet.press("[aria-label='The page before']")
        self.noor.wait_text("nav[aria-label=Pages] b", "1 of 2")
        self.noor.press("[aria-label='The page after']")
        tablet.wait_text("nav[aria-label=Pages] b", "2 of 2")
        tablet.driver.refresh()
        tablet.wait_text("nav[aria-label=Pages] b", "2 of 2")
        self.noor.press("[aria-label='Your menu']")
        self.noor.press("[role=dialog] button", "End all pairings")
        tablet.wait_text("[role=alertdialog]", "This device is no longer paired.")


class Plans(Running):
    def test_a_plan_is_kept_and_shown_on_the_room_s_home(self) -> None:
        self.tutor.wrap_up()
        self.tutor.kept()
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        self.tutor.find("[aria-label='Plan of the next lesson'] input").send_keys("Hour lines")
        self.tutor.find("[aria-label='Plan of the next lesson'] input[type=number]").send_keys("45")
        pages = self.tutor.find("[aria-label='Plan of the next lesson'] textarea")
        pages.send_keys("Warm-up", Keys.ENTER, "Measure", Keys.ENTER, "Tasks")
        self.tutor.press("[aria-label='Plan of the next lesson'] button")
        self.tutor.wait_text("h2", "Next: Hour lines")
        self.tutor.press("a", "Open the lesson")
        self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "the pages of the plan")
        self.tutor.film()
        titles = [button.text.split(maxsplit=1)[1] for button in self.tutor.all("button.page")]
        self.assertEqual(titles, ["Warm-up", "Measure", "Tasks"])
        self.noor.wait_text("[data-testid=pens-state]", "Pens are down")


class Helping(Running):
    def test_the_room_is_handed_over_and_taken_back(self) -> None:
        self.more("Noor", "Make Noor a helper")
        self.noor.find("[aria-label='Who may write']")
        self.more("Noor", "Hand the room over to Noor")
        self.noor.find("[aria-label='Wrap up']")
        self.tutor.press("header button", "Take the room back")
        self.tutor.find("[aria-label='Wrap up']")
        self.noor.wait(
            lambda: not self.noor.all("[aria-label='Wrap up']") or None, "Noor to be a helper again"
        )

    def test_a_kit_is_kept_for_later_lessons_when_that_is_wanted(self) -> None:
        self.tutor.press("[aria-label='What pens may do']")
        self.tutor.press("[aria-label='Pen kit'] input", "notes only")
        self.tutor.press("[role=dialog] label", "Also in later lessons")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.kept()
        self.tutor.wrap_up()
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        self.tutor.press("a", "Open the lesson")
        self.tutor.wait_text("[aria-label='What pens may do']", "May: notes")

    def test_somebody_who_went_is_still_listed_with_the_time(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.tutor.find("[data-testid=person]", "Tomasz")
        tomasz.open("about:blank")
        self.tutor.wait_text(".gone", "Tomasz")
        self.tutor.wait_text("aside", "Here · 2")

    def test_sounds_can_be_switched_off_each_and_stay_off(self) -> None:
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[role=dialog] label", "A knock at the door")
        self.tutor.driver.refresh()
        self.tutor.press("[aria-label='Your menu']")
        box = self.tutor.find("[role=dialog] label", "A knock at the door").find_element(
            "css selector", "input"
        )
        self.assertFalse(box.is_selected())


class Background(Running):
    def test_what_is_pinned_is_not_chosen_until_it_is_unpinned(self) -> None:
        self.figure("Rectangle", (300, 200), (500, 340))
        self.arrange("Pin as background")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.key(Keys.ESCAPE)
        self.tutor.draw([(300, 270)], "mouse")
        self.assertEqual(self.tutor.all(".what"), [])
        self.tutor.key(Keys.CONTROL, "a")
        self.assertEqual(self.tutor.all(".what"), [])
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Unpin the background (1)")
        self.tutor.wait(lambda: not self.items()[0].pinned or None, "the pin to go")
        self.tutor.draw([(300, 270)], "mouse")
        self.tutor.wait_text(".what", "one figure of yours")


class Onlooking(Running):
    def test_an_onlooker_sees_bays_and_questions_and_does_nothing(self) -> None:
        self.tutor.driver.execute_script(
            "return fetch(arguments[0]).then(r => r.json()).then(r => window.found = r.onlooker_link)",
            f"/api/rooms/{self.link}",
        )
        link = self.tutor.wait(lambda: self.tutor.driver.execute_script("return window.found"), "the link")
        parent = self.browser()
        parent.open(f"{self.server.url}/watch/{link}")
        parent.find("[data-testid=board]")
        self.tutor.class_panel("Ask")
        self.tutor.press("[role=dialog] button", "Ask it")
        button = parent.find("[aria-label=Question] button", "yes")
        self.assertFalse(button.is_enabled())
        self.tutor.press("input[type=radio]", "Pens up")
        parent.wait_text("[data-testid=pens-state]", "You are looking on")
        parent.draw(LINE)
        self.assertEqual(self.tutor.items, 0)
