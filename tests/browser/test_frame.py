"""The frame holds: nothing is cut off, covered or too small, at any size, in any language, for anybody; axe finds nothing."""

from __future__ import annotations

from pathlib import Path

from selenium.webdriver.common.keys import Keys

from demo.hand import Hand
from tests.browser.base import Browser
from tests.browser.test_tools import LINE, Tools
from tests.server.client import Web

HERE = Path(__file__).parent
FAULTS = (HERE / "faults.js").read_text()
AXE = (HERE.parents[1] / "frontend" / "node_modules" / "axe-core" / "axe.min.js").read_text()
#: Width, height and whether it is touched; the last one is 1280x800 at twice the size of everything.
SIZES = (
    (1440, 900, False),
    (1280, 800, False),
    (1024, 768, True),
    (820, 1180, True),
    (390, 844, True),
    (640, 400, False),
)
#: Press the button of the panel with a number; its name, or null when there are not so many.
OPEN = """
const buttons = [...document.querySelectorAll('button[popovertarget]')].filter((button) => button.checkVisibility())
buttons[arguments[0]]?.click()
return buttons[arguments[0]]?.ariaLabel ?? null
"""
#: What axe is asked to look for: WCAG 2.2 AA and what it calls best practice leaves out regions of a canvas.
RUN_AXE = """
const done = arguments[arguments.length - 1]
axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })
  .then(({ violations }) => done(violations.map(({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 160)} (${nodes[0].failureSummary?.slice(0, 200)})`)))
"""


class Frame(Tools):
    maxDiff = None

    def speak(self, browser: Browser, language: str) -> None:
        browser.driver.execute_script("localStorage['sunroom-language'] = arguments[0]", language)
        browser.driver.refresh()
        browser.find("[data-testid=board]")

    def shape(self, browser: Browser, width: int, height: int, touched: bool) -> None:
        browser.driver.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": touched})
        features = [{"name": "pointer", "value": "coarse" if touched else "fine"}]
        browser.driver.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": features})
        browser.resize(width, height)
        self.addCleanup(self.as_before, browser)

    def as_before(self, browser: Browser) -> None:
        browser.driver.execute_cdp_cmd("Emulation.setTouchEmulationEnabled", {"enabled": False})
        browser.driver.execute_cdp_cmd("Emulation.setEmulatedMedia", {"features": []})

    def faults(self, browser: Browser, touched: bool) -> list[str]:
        """Faults that stay: what has just been opened may still find its place."""
        found: list[str] = []

        def settled() -> bool | None:
            found[:] = browser.driver.execute_script(FAULTS, touched)
            return not found or None

        try:
            browser.wait(settled, "nothing to be wrong")
        except AssertionError:
            return found
        return []

    def opened(self, browser: Browser, index: int) -> tuple[str | None] | None:
        """Open a panel; a reading that comes just then may draw its button anew, and close it."""
        label = browser.driver.execute_script(OPEN, index)
        return (label,) if label is None or browser.all("[popover]:popover-open") else None

    def walk(self, browser: Browser, panels: bool) -> None:
        """Look at the frame, and at every panel that can be opened in it, at every size."""
        for width, height, touched in SIZES:
            self.shape(browser, width, height, touched)
            self.assertEqual(self.faults(browser, touched), [], (width, "frame"))
            for index in range(len(browser.all("button[popovertarget]")) if panels else 0):
                (label,) = browser.wait(lambda index=index: self.opened(browser, index), "a panel to open")
                if label is None:
                    break
                self.assertEqual(self.faults(browser, touched), [], (width, label))
                browser.close_panels()


class Sizes(Frame):
    def test_a_tutor_s_frame_holds_with_words_half_as_long_again(self) -> None:
        self.come_in(self.link, "Noor")
        self.tutor.draw(LINE)
        self.speak(self.tutor, "longer")
        self.tutor.key("s")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.find("[data-testid=conversions]")
        self.walk(self.tutor, panels=True)

    def test_a_student_s_frame_holds_with_a_pen_and_without_and_mirrored(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.walk(noor, panels=True)
        self.tutor.press("[aria-label='Pass a pen to Noor']")
        self.speak(noor, "mirrored")
        noor.find("nav button.tool")
        self.walk(noor, panels=False)
        self.assertEqual(noor.driver.execute_script("return document.documentElement.dir"), "rtl")

    def test_a_keyboard_on_the_screen_leaves_the_panel_that_is_written_in(self) -> None:
        self.come_in(self.link, "Noor")
        self.shape(self.tutor, 1180, 820, True)
        self.tutor.class_panel("Ask")
        asked = self.tutor.find("[aria-label='The question']")
        asked.send_keys("How long ")
        self.tutor.resize(1180, 460)
        self.assertEqual(self.faults(self.tutor, True), [])
        asked.send_keys("at noon?")
        self.assertEqual(asked.get_attribute("value"), "How long at noon?")
        # Turned as low as that, when nobody writes any more, there is only room for the board.
        self.tutor.close_panels()
        self.tutor.wait(
            lambda: not self.tutor.all("[data-testid=person]") or None, "the people to be put away"
        )

    def test_thirty_people_are_rows_of_one_line_told_apart(self) -> None:
        names = [f"Student {number}" for number in range(1, 27)]
        names += ["Wairimu Njoroge-Kamau", "Wairimu Njoroge-Mwangi", "Noor"]
        lines = []
        for name in names:
            web = Web(self.server.url)
            web.enter(self.link, name)
            lines.append(web.line("student", self.link))
        self.addCleanup(lambda: [line.close() for line in lines])
        self.tutor.wait(lambda: len(self.tutor.all("[data-testid=person]")) == 30 or None, "thirty people")
        seen = self.tutor.driver.execute_script("""
            const list = document.querySelector('aside ul').getBoundingClientRect()
            return [...document.querySelectorAll('[data-testid=person]')].filter((row) => {
              const box = row.getBoundingClientRect()
              return box.top >= list.top - 1 && box.bottom <= list.bottom + 1
            }).length""")
        self.assertGreaterEqual(seen, 14)
        rows = [row.text.split("\n")[0] for row in self.tutor.all("[data-name^=Wairimu] b")]
        self.assertEqual(len(set(rows)), 2, rows)
        marks = self.tutor.driver.execute_script("""
            return [...document.querySelectorAll('[data-testid=person]')].map((row) => {
              const mark = row.querySelector('span')
              return mark.textContent + getComputedStyle(mark).backgroundColor
            })""")
        few = [mark for mark in marks if not mark.startswith("S")]
        self.assertEqual(len(few), len(set(few)), "colour and first letter tell apart")
        for width, height, touched in SIZES:
            self.shape(self.tutor, width, height, touched)
            self.assertEqual(self.faults(self.tutor, touched), [], width)


class Languages(Frame):
    def test_the_language_is_chosen_in_the_lesson_and_the_server_s_sentences_follow(self) -> None:
        noor = self.come_in(self.link, "Noor")
        noor.press("[aria-label='Your menu']")
        noor.press("[role=dialog] select option[value=de]")
        noor.wait_text("[data-testid=say]", "Stifte sind weg. Imani schreibt.")
        noor.wait_text("[data-testid=pens-state]", "Stifte sind weg · Imani schreibt")
        noor.driver.refresh()
        noor.wait_text("[data-testid=say]", "Heb die Hand, um einen Stift zu bekommen.")
        for language, words in (("fr", "Les stylos sont posés."), ("es", "Lápices abajo.")):
            self.speak(noor, language)
            noor.wait_text("[data-testid=say]", words)
        self.assertEqual(self.tutor.text("[data-testid=kept]"), "Kept", "everybody's own")


class Everybody(Frame):
    def axe(self, browser: Browser, where: str) -> None:
        browser.driver.execute_script(AXE)
        self.assertEqual(browser.driver.execute_async_script(RUN_AXE), [], where)

    def test_axe_finds_nothing_in_a_lesson_by_day_and_in_the_evening(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.draw(LINE)
        for theme in ("day", "evening"):
            for browser in (self.tutor, noor):
                browser.driver.execute_script("document.documentElement.dataset.theme = arguments[0]", theme)
                self.axe(browser, f"{theme}, {browser is noor}")
            for panel in ("What pens may do", "Ask", "Time", "Class", "Invite", "Take away", "Wrap up",
                          "Your menu", "All tools", "All pages", "View", "More about Noor"):  # fmt: skip
                self.tutor.press(f"[aria-label='{panel}']")
                self.tutor.find(f"[role=dialog][aria-label='{panel}']")
                self.axe(self.tutor, f"{theme}, {panel}")
                self.tutor.close_panels()

    def test_axe_finds_nothing_before_a_lesson(self) -> None:
        for path in ("/", f"/rooms/{self.link}", f"/r/{self.link}", "/pair"):
            self.tutor.open(self.server.url + path)
            self.tutor.find("h1")
            self.axe(self.tutor, path)

    def test_the_page_is_told_in_words_and_so_is_what_others_add(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.draw(LINE)
        noor.wait(lambda: "One stroke of ink by Imani" in self.heard(noor) or None, "the page in words")
        self.tutor.draw([(x, y + 40) for x, y in LINE])
        noor.wait(lambda: "One thing was added by Imani." in self.heard(noor) or None, "the news")
        self.assertIn("Pens are down", self.heard(noor))
        self.tutor.press("input[type=radio]", "Pens up")
        noor.wait(lambda: "Pens are up" in self.heard(noor) or None, "the pens")

    def test_ink_is_told_by_what_it_says_when_that_is_wished(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.write(Hand(9, 0.4).write("noon", 200, 300, 60))
        noor.find("main button.asks").send_keys(Keys.ENTER)
        noor.wait(lambda: "Written by Imani: noon" in self.heard(noor) or None, "the words")
        self.assertNotIn("of ink by", self.heard(noor))

    def test_things_are_set_down_by_keys_alone(self) -> None:
        tutor = self.tutor
        right, down = Keys.ARROW_RIGHT, Keys.ARROW_DOWN
        tutor.keys("f")
        tutor.keys(*[Keys.ARROW_LEFT] * 8, Keys.ENTER, *[right] * 4, *[down] * 3, Keys.ENTER)
        tutor.wait_items(1)
        tutor.keys(Keys.ESCAPE)
        for tool, words in (("k", "noon"), ("t", "three")):
            tutor.keys(tool)
            tutor.keys(*[right] * 4, Keys.ENTER)
            tutor.find("[contenteditable]")
            tutor.driver.switch_to.active_element.send_keys(words, Keys.CONTROL, Keys.ENTER)
            tutor.keys(Keys.ESCAPE)
        tutor.wait_items(3)
        tutor.keys("b")
        tutor.keys(*[down] * 4, Keys.ENTER)
        tutor.wait_items(4)
        tutor.keys(Keys.ENTER)
        tutor.find("[contenteditable]")
        tutor.driver.switch_to.active_element.send_keys("9", Keys.TAB, "12", Keys.CONTROL, Keys.ENTER)
        tutor.wait(lambda: "9, 12" in self.heard(tutor) or None, "the table in words")
        heard = self.heard(tutor)
        for words in ("Rectangle", "Note by Imani: noon", "Text by Imani: three"):
            self.assertIn(words, heard)
        tutor.keys("f")
        tutor.keys(Keys.ENTER, right, Keys.ESCAPE)
        tutor.wait_items(4)

    def heard(self, browser: Browser) -> str:
        return browser.driver.execute_script(
            "return [...document.querySelectorAll('main .unseen')].map((e) => e.textContent).join(' ')"
        )
