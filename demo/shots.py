"""`./run shots [name …]`: the pictures in docs/screenshots, taken from the demo data at 1280x800."""

from __future__ import annotations

import sys
from collections.abc import Callable
from pathlib import Path

import django
from selenium.webdriver.common.keys import Keys

django.setup()

from bench.server import sun_room  # noqa: E402
from demo.build import LINK  # noqa: E402
from demo.hand import Hand  # noqa: E402
from tests.browser.base import Browser, wait_for  # noqa: E402

OUT = Path(__file__).parents[1] / "docs" / "screenshots"

#: A word that fits beside the demo's drawings, in px of the board.
WORD = Hand(9, 0.4).write("midday", 486, 640, 54)


class Stage:
    """Imani, and whoever else a picture needs, each in a browser of their own."""

    def __init__(self, base: str) -> None:
        self.base = base
        self._open: list[Browser] = []

    def browser(self, width: int = 1280, height: int = 800) -> Browser:
        browser = Browser(width, height)
        self._open.append(browser)
        return browser

    def person(self, name: str, width: int = 1280, height: int = 800) -> Browser:
        """One of the sample lesson's people, or its tutor, on the first board."""
        browser = self.browser(width, height)
        browser.open(f"{self.base}/demo/{name}")
        script = "return document.fonts.status === 'loaded' && performance.getEntriesByName('first-picture').length"
        browser.wait(lambda: browser.driver.execute_script(script), "the first picture")
        return browser

    def keep(self, browser: Browser, name: str) -> None:
        browser.driver.execute_script("document.activeElement.blur()")
        browser.driver.get_screenshot_as_file(str(OUT / f"{name}.png"))

    def close(self) -> None:
        for browser in self._open:
            browser.close()


def room_home(stage: Stage) -> None:
    tutor = stage.person("tutor")
    tutor.open(f"{stage.base}/rooms/{LINK}")
    tutor.find("img")
    tutor.driver.execute_async_script(
        "Promise.all([...document.images].map((i) => ((i.loading = 'eager'), i.decode()))).then(arguments[0])"
    )
    stage.keep(tutor, "room-home")


def tutor_lesson(stage: Stage) -> None:
    """Pens passed to one student, another's hand up."""
    tutor = stage.person("tutor")
    students = {name: stage.person(name) for name in ("noor", "tomasz", "wairimu")}
    students["noor"].press("header button", "Put hand up")
    tutor.find("[data-testid=person]", "hand up")
    tutor.press("[aria-label='Pass a pen to Tomasz']")
    stage.keep(tutor, "tutor-lesson")
    tutor.press("[role=radio]", "Pens down")
    students["noor"].wait_text("[data-testid=say]", "Pens are down")
    stage.keep(students["noor"], "student-pens-down")


def typeset_choice(stage: Stage) -> None:
    tutor = stage.person("tutor")
    tutor.write(WORD)
    tutor.tool("Select")
    xs, ys = [s[:, 0] for s in WORD], [s[:, 1] for s in WORD]
    low = (min(x.min() for x in xs) - 14, min(y.min() for y in ys) - 12)
    high = (max(x.max() for x in xs) + 14, max(y.max() for y in ys) + 12)
    tutor.draw([low, high], "mouse")
    tutor.find("[data-testid=typeset]")
    stage.keep(tutor, "typeset-choice")


def tool_settings(stage: Stage) -> None:
    """A pen being changed, beside a page of figures and words."""
    tutor = stage.person("tutor")
    tutor.press("nav[aria-label=Pages] li:nth-child(2) button")
    tutor.press("[aria-label='Change this pen']")
    stage.keep(tutor, "tool-settings")


def ruler(stage: Stage) -> None:
    tutor = stage.person("tutor")
    tutor.press("nav[aria-label=Pages] li:nth-child(2) button")
    tutor.tool("Ruler")
    for _ in range(2):
        tutor.key(Keys.SHIFT, Keys.ARROW_LEFT)
    stage.keep(tutor, "ruler")


def arranging(stage: Stage) -> None:
    """The mind map of the French room, one branch chosen and its looks open."""
    tutor = stage.person("tutor")
    tutor.open(f"{stage.base}/rooms/mrkt-frch-9b2c")
    tutor.press("a.board")
    tutor.press("nav[aria-label=Pages] li:nth-child(2) button")
    tutor.tool("Select")
    tutor.press("[aria-label=Choose]")
    tutor.press("[role=dialog] button", "All figures")
    tutor.press("[aria-label=Arrange]")
    stage.keep(tutor, "arranging")


def people(stage: Stage) -> None:
    """Hands up with their words, the chat, and what one person's pen may do."""
    tutor = stage.person("tutor")
    noor, wairimu = stage.person("noor"), stage.person("wairimu")
    noor.press("header button", "Put hand up")
    noor.press("[aria-label='Your hand']")
    noor.press("[role=dialog] button", "I have an answer")
    noor.find("[aria-label='Say something']").send_keys("Is the shadow ever zero?", Keys.ENTER)
    wairimu.find("[aria-label='Say something']").send_keys("At the equator it is", Keys.ENTER)
    tutor.wait_text("section[aria-label=Chat]", "equator")
    tutor.press("[aria-label='More about Noor']")
    stage.keep(tutor, "people")


def porch(stage: Stage) -> None:
    student = stage.browser()
    student.open(f"{stage.base}/r/{LINK}")
    student.find("form input").send_keys("Noor")
    stage.keep(student, "porch")


def start(stage: Stage) -> None:
    visitor = stage.browser()
    visitor.open(stage.base)
    visitor.find("form input")
    stage.keep(visitor, "start")


def tablet(stage: Stage) -> None:
    tutor = stage.person("tutor", 820, 1180)
    stage.person("noor")
    tutor.find("[data-testid=person]", "Noor")
    tutor.press("nav[aria-label=Pages] li:nth-child(2) button")
    wait_for(lambda: tutor.items > 50, "the second page")
    stage.keep(tutor, "tablet")


PICTURES: dict[str, Callable[[Stage], None]] = {
    "start": start,
    "porch": porch,
    "room-home": room_home,
    "tutor-lesson": tutor_lesson,
    "typeset-choice": typeset_choice,
    "tool-settings": tool_settings,
    "ruler": ruler,
    "arranging": arranging,
    "people": people,
    "tablet": tablet,
}


def main() -> None:
    OUT.mkdir(parents=True, exist_ok=True)
    for name in sys.argv[1:] or PICTURES:
        # Each picture from fresh data: what one leaves behind must not show in the next.
        with sun_room(demo=True) as server:
            stage = Stage(server.base)
            try:
                PICTURES[name](stage)
            finally:
                stage.close()
        print(f"· {name}", flush=True)


if __name__ == "__main__":
    main()
