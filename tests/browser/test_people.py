"""Running the class: kits, minutes, hands, helpers, sending away, page rules and the chat."""

from __future__ import annotations

from selenium.webdriver.common.keys import Keys

from tests.browser.test_tools import LINE, Tools


class People(Tools):
    def setUp(self) -> None:
        super().setUp()
        self.noor = self.come_in(self.link, "Noor")
        self.tutor.find("[data-testid=person]", "Noor")

    def more(self, name: str, button: str) -> None:
        self.tutor.press(f"[aria-label='More about {name}']")
        self.tutor.press("[role=dialog] button", button)

    def test_the_kit_says_what_pens_may_do_and_the_student_sees_it(self) -> None:
        self.tutor.press("input[type=radio]", "Pens up")
        self.tutor.press("[aria-label='What pens may do']")
        self.tutor.press("[aria-label='Pen kit'] input", "notes only")
        self.noor.wait_text("[data-testid=say]", "Your pen is not for that just now.")
        self.noor.tool("Note")
        self.noor.draw([(400, 300)], "mouse")
        self.noor.find("[contenteditable]").send_keys("noon", Keys.CONTROL, Keys.ENTER)
        self.tutor.wait_items(1)

    def test_one_person_gets_a_pen_for_minutes_and_a_kit_of_their_own(self) -> None:
        self.more("Noor", "3 min")
        self.noor.wait_text("[data-testid=pens-state]", "You have a pen")
        self.tutor.wait_text("[data-name=Noor]", "pen for 02:5")
        self.more("Noor", "pointer only")
        self.noor.wait_text("[data-testid=say]", "Your pen is not for that just now.")

    def test_hands_say_a_word_and_the_pen_goes_to_the_next(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.noor.press("button", "Put hand up")
        self.noor.press("[aria-label='Put it up with a word']")
        self.noor.press("[role=dialog] button", "I am stuck")
        self.tutor.wait_text("[data-name=Noor]", "I am stuck")
        tomasz.press("button", "Put hand up")
        self.tutor.wait_text("[data-name=Tomasz]", "number 2")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Pass a pen to the next hand")
        self.noor.wait_text("[data-testid=pens-state]", "You have a pen")
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Pass a pen to the next hand")
        tomasz.wait_text("[data-testid=pens-state]", "You have a pen")
        self.noor.wait_text("[data-testid=pens-state]", "You have no pen just now")

    def test_a_row_stays_under_the_hand_that_is_on_it_and_moves_when_it_is_gone(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")

        def students() -> list[str]:
            return [row.get_attribute("data-name") for row in self.tutor.all("[data-testid=person]")][1:]

        self.tutor.press("[aria-label='More about Tomasz']")
        tomasz.press("button", "Put hand up")
        self.tutor.wait_text("[data-name=Tomasz]", "hand up")
        self.assertEqual(students(), ["Noor", "Tomasz"])
        self.tutor.press("[aria-label='More about Tomasz']")
        self.tutor.wait(
            lambda: students() == ["Tomasz", "Noor"] or None, "whose hand is up before the others"
        )

    def test_a_helper_acts_for_the_tutor_and_is_a_student_again(self) -> None:
        self.more("Noor", "Make Noor a helper")
        self.noor.find("[aria-label='Who may write']")
        self.noor.draw(LINE)
        self.tutor.wait_items(1)
        self.assertEqual(self.noor.all("[aria-label='Wrap up']"), [])
        self.more("Noor", "Make Noor a student again")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are down")
        self.noor.driver.refresh()
        self.noor.wait_text("[data-testid=pens-state]", "Pens are down")

    def test_who_is_sent_away_stays_out(self) -> None:
        self.more("Noor", "Send Noor away")
        self.tutor.press("[role=dialog] button", "Yes, send Noor away")
        self.noor.wait_text("[role=alertdialog]", "The tutor has sent you out of this room.")
        self.tutor.wait(lambda: not self.tutor.all("[data-name=Noor]") or None, "Noor to be gone")
        self.noor.driver.refresh()
        self.noor.wait_text("[role=alert]", "The tutor has sent you out of this room.")

    def test_a_page_has_its_own_rule_and_shows_it(self) -> None:
        self.tutor.page_panel()
        self.tutor.press("[aria-label='Who writes here'] input", "Open to students")
        self.tutor.film()
        self.tutor.wait_text("button.page em", "open")
        self.tutor.close_panels()
        self.noor.find("[aria-label=Pens]")
        self.noor.draw(LINE)
        self.tutor.wait_items(1)
        self.tutor.press("input[type=radio]", "Pens up")
        self.tutor.page_panel()
        self.tutor.press("[aria-label='Who writes here'] input", "Tutor side only")
        self.noor.wait_text("[data-testid=say]", "Only the tutor writes on this page.")

    def test_students_point_by_leave_and_follow_the_tutor(self) -> None:
        self.tutor.press("[aria-label='What pens may do']")
        self.tutor.press("[role=dialog] label", "Students may point without a pen")
        self.noor.wait_text("[data-testid=pens-state]", "Pens are down · you may: point")
        self.noor.tool("Pointer")
        self.noor.press("[aria-label='Point with'] input", "An arrow that stays")
        self.noor.draw([(300, 300)], "mouse")
        self.tutor.close_panels()
        self.noor.press("[aria-label='Follow Imani']")
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.noor.wait_text("nav[aria-label=Pages] b", "2 of 2")
        self.noor.press("button", "Stop following")
        self.tutor.press("[aria-label='The page before']")
        self.tutor.wait_text("nav[aria-label=Pages] b", "1 of 2")
        self.assertIn("2 of 2", self.noor.text("nav[aria-label=Pages]"))

    def test_what_pens_may_do_is_shown_as_it_is_and_not_as_it_was_asked_for(self) -> None:
        self.tutor.press("[aria-label='What pens may do']")
        box = self.tutor.find("[role=dialog] label", "Students may point without a pen").find_element(
            "css selector", "input"
        )
        self.tutor.hold_back(True)
        box.click()
        self.assertFalse(box.is_selected(), "nothing has answered yet")
        self.tutor.hold_back(False)
        self.noor.wait_text("[data-testid=pens-state]", "Pens are down · you may: point")
        self.tutor.wait(lambda: box.is_selected() or None, "the tick")

    def test_what_students_may_do_between_lessons_stays_as_it_is_when_the_server_is_silent(self) -> None:
        self.tutor.kept()
        self.tutor.wrap_up()
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        chosen = "[aria-label='Between lessons'] input:checked"
        before = self.tutor.find(chosen).get_attribute("value")
        self.tutor.driver.execute_script(
            "const fetch = window.fetch; window.fetch = () => Promise.reject(new Error('gone')); window.__fetch = fetch"
        )
        self.tutor.press("[aria-label='Between lessons'] input[value=write]")
        self.tutor.find("[role=alert]", "does not answer")
        self.assertEqual(self.tutor.find(chosen).get_attribute("value"), before)
        self.tutor.driver.execute_script("window.fetch = window.__fetch")
        self.tutor.press("[aria-label='Between lessons'] input[value=write]")
        self.tutor.wait(lambda: not self.tutor.all(".problem") or None, "the sentence to go")
        self.tutor.driver.refresh()
        self.assertEqual(self.tutor.find(chosen).get_attribute("value"), "write")

    def test_a_hidden_page_is_the_tutor_side_s_until_it_is_shown(self) -> None:
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.tutor.draw(LINE)
        self.noor.wait(lambda: self.noor.page_count == 2 or None, "the page to come")
        self.tutor.page_panel()
        self.tutor.press("[aria-label='Who sees it'] input", "Tutor side only")
        self.noor.wait(lambda: self.noor.page_count == 1 or None, "the page to go")
        self.tutor.close_panels()
        self.tutor.wait_text("nav[aria-label=Pages] small", "hidden")
        self.more("Noor", "Make Noor a helper")
        self.noor.wait(lambda: self.noor.page_count == 2 or None, "a helper to see it")
        self.noor.press("[aria-label='The page after']")
        self.noor.wait_items(1)
        self.more("Noor", "Make Noor a student again")
        self.noor.wait(lambda: self.noor.page_count == 1 or None, "a student not to see it")
        self.noor.wait_items(0)
        self.tutor.page_panel()
        self.tutor.press("[aria-label='Who sees it'] input", "Everybody")
        self.noor.wait(lambda: self.noor.page_count == 2 or None, "the page to be shown")
        self.noor.press("[aria-label='The page after']")
        self.noor.wait_items(1)

    def test_the_chat_is_heard_by_those_it_is_for_and_kept(self) -> None:
        tomasz = self.come_in(self.link, "Tomasz")
        self.say(self.noor, "When is noon?")
        tomasz.chat()
        tomasz.wait_text("section[aria-label=Chat]", "When is noon?")
        self.noor.press("[aria-label='Say it to'] option", "To the tutor")
        self.say(self.noor, "I am lost, see https://example.org/sun")
        self.tutor.chat()
        self.tutor.wait_text("section[aria-label=Chat]", "I am lost")
        self.assertTrue(self.tutor.find("section[aria-label=Chat] a").get_attribute("href").endswith("/sun"))
        self.say(tomasz, "At 13:20 here")
        self.noor.chat()
        self.noor.wait_text("section[aria-label=Chat]", "At 13:20 here")
        self.assertNotIn("lost", tomasz.text("section[aria-label=Chat]"))
        self.tutor.driver.refresh()
        self.tutor.chat()
        self.tutor.wait_text("section[aria-label=Chat]", "I am lost")

    def test_words_that_were_refused_are_not_lost_and_go_to_the_tutor_where_not_to_everyone(self) -> None:
        self.noor.chat()
        self.noor.hold_back(True)
        self.say(self.noor, "When is noon?")
        self.noor.wait(lambda: not self.saying(self.noor) or None, "the words to be on their way")
        self.tutor.press("[aria-label='What pens may do']")
        self.tutor.press("[role=dialog] label", "Say something to everyone")
        self.noor.wait(lambda: len(self.noor.all("[aria-label='Say it to'] option")) == 1 or None, "one left")
        self.noor.hold_back(False)
        self.noor.wait(lambda: self.saying(self.noor) == "When is noon?" or None, "the words again")
        self.say(self.noor, "")
        self.tutor.close_panels()
        self.tutor.chat()
        self.tutor.wait_text("section[aria-label=Chat]", "When is noon?")
        self.assertEqual(self.saying(self.noor), "")

    def saying(self, browser) -> str:
        return browser.find("[aria-label='Say something']").get_attribute("value")

    def say(self, browser, text: str) -> None:
        browser.chat()
        browser.find("[aria-label='Say something']").send_keys(text, Keys.ENTER)

    def test_look_here_brings_everyone_and_keep_together_holds_them(self) -> None:
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.tutor.wait_items(0)
        self.tutor.draw(LINE)
        for _ in range(3):
            self.tutor.key("+")
        self.assertEqual(self.noor.items, 0)
        self.tutor.press("button", "Look here")
        self.noor.wait_text("[data-testid=say]", "Imani: look here.")
        self.noor.wait_items(1)
        self.assertAlmostEqual(self.percent(self.noor), self.percent(self.tutor), delta=12)
        self.tutor.press("aside button", "Together")
        self.noor.wait_text("[data-testid=say]", "Imani keeps everyone together here.")
        held = self.percent(self.noor)
        self.noor.key("-")
        self.assertEqual(self.percent(self.noor), held, "nobody looks elsewhere")
        self.noor.key("+")
        self.assertGreater(self.percent(self.noor), held, "but closer")
        self.tutor.key("-")
        self.noor.wait(lambda: self.percent(self.noor) < held or None, "the view to follow")
        self.tutor.press("aside button", "Let go")
        self.noor.wait(
            lambda: "together" not in self.noor.text("[data-testid=say]") or None, "the hold to end"
        )
        self.noor.key("-")

    def test_nobody_is_held_by_somebody_who_has_gone(self) -> None:
        self.tutor.press("aside button", "Together")
        self.noor.wait_text("[data-testid=say]", "keeps everyone together")
        self.tutor.open("about:blank")
        self.noor.wait(
            lambda: "together" not in self.noor.text("[data-testid=say]") or None, "the hold to end"
        )

    def percent(self, browser) -> int:
        return browser.percent

    def test_on_a_tablet_the_chat_is_opened_by_a_button_that_counts_what_is_new(self) -> None:
        self.noor.resize(820, 1180)
        self.tutor.chat()
        self.tutor.find("[aria-label='Say something']").send_keys("Look at the table", Keys.ENTER)
        self.noor.wait_text("[aria-label=Chat]", "1")
        self.noor.press("[aria-label=Chat]")
        self.noor.wait_text("section[aria-label=Chat]", "Look at the table")
        self.tutor.find("[aria-label='Say something']").send_keys("And the graph", Keys.ENTER)
        self.noor.wait_text("section[aria-label=Chat]", "And the graph")

    def test_whoever_writes_in_the_chat_when_a_pen_comes_goes_on(self) -> None:
        self.noor.resize(390, 844)
        self.noor.part("[aria-label=Sill] [aria-label=Chat]")
        field = self.noor.find("[aria-label='Say something']")
        field.send_keys("Where does")
        self.tutor.press("[data-testid=person] button[aria-label='Pass a pen to Noor']")
        self.noor.wait_text("body", "You have a pen")
        field.send_keys(" the shadow end?", Keys.ENTER)
        self.noor.wait_text("section[aria-label=Chat]", "Where does the shadow end?")
        self.noor.key(Keys.ESCAPE)
        self.noor.find("[aria-label=Sill] [aria-label=Undo]")
        self.noor.wait(
            lambda: not self.noor.all("[aria-label=Sill] [aria-label=Chat]") or None, "the pen's settings"
        )
