"""`./run shots [name …]`: the pictures in docs/screenshots, taken from the demo data at 1280x800."""

from __future__ import annotations

import json
import sys
from collections.abc import Callable
from pathlib import Path

import django
import numpy as np
from selenium.webdriver.common.keys import Keys

django.setup()

from bench.server import sun_room  # noqa: E402
from demo.build import LINK  # noqa: E402
from demo.hand import Hand  # noqa: E402
from tests.browser.base import Browser, wait_for  # noqa: E402

NEXT = "[aria-label='The page after']"
OUT = Path(__file__).parents[1] / "docs" / "screenshots"

#: Put a slider to a part of its way.
PUT_TO = """
const place = document.querySelector(arguments[0])
place.value = arguments[1] * place.max
place.dispatchEvent(new Event('input', { bubbles: true }))
"""
#: A word that fits beside the demo's drawings, in px of the board.
WORD = Hand(9, 0.4).write("midday", 590, 640, 54)


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
        script = (
            "return document.fonts.status === 'loaded' && performance.getEntriesByName('page-drawn').length"
        )
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
    tutor.find("a.board img")
    tutor.driver.execute_async_script(
        "Promise.all([...document.images].map((i) => ((i.loading = 'eager'), i.decode()))).then(arguments[0])"
    )
    stage.keep(tutor, "room-home")


def tutor_lesson(stage: Stage) -> None:
    """Pens passed to one student, another's hand up."""
    tutor = stage.person("tutor")
    students = {name: stage.person(name) for name in ("noor", "tomasz", "wairimu")}
    students["noor"].press("button", "Put hand up")
    tutor.find("[data-testid=person]", "hand up")
    tutor.press("[aria-label='Pass a pen to Tomasz']")
    stage.keep(tutor, "tutor-lesson")
    tutor.press("input[type=radio]", "Pens down")
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


def people(stage: Stage) -> None:
    """Hands up with their words, the chat, and what one person's pen may do."""
    tutor = stage.person("tutor")
    noor, wairimu = stage.person("noor"), stage.person("wairimu")
    noor.press("[aria-label='Put it up with a word']")
    noor.press("[role=dialog] button", "I have an answer")
    for person in (tutor, noor, wairimu):
        person.chat()
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


def call(stage: Stage) -> None:
    """Four people in the call with made-up devices, one of them muted; a sheet is shown, and what is said is written down."""
    everybody = [stage.person(name) for name in ("tutor", "noor", "tomasz", "wairimu")]
    for browser in everybody:
        browser.made_up()
        browser.driver.refresh()
        browser.press(".bar button", "Join the call")
    tutor = everybody[0]
    everybody[3].press("[aria-label=Microphone]")
    tutor.wait(lambda: len(tutor.all("[data-testid=face] video")) == 4 or None, "everybody's picture")
    tutor.press("[aria-label='About the call']")
    tutor.press("[role=dialog] button", "Show paper by another camera")
    shown = "return document.querySelector('section video')?.videoWidth"
    tutor.wait(lambda: tutor.driver.execute_script(shown), "the sheet")
    tutor.press("[aria-label='Imani shows'] button", "Smaller")
    tutor.press("[aria-label='Your menu']")
    tutor.press("[role=dialog] button", "Write captions")
    tutor.find("input[aria-label='What is being said']").send_keys(
        "The lower the sun, the longer the shadow.", Keys.ENTER
    )
    tutor.wait_text("[data-testid=captions]", "longer")
    tutor.press("[aria-label='No more captions']")
    stage.keep(tutor, "call")


def tablet(stage: Stage) -> None:
    tutor = stage.person("tutor", 820, 1180)
    stage.person("noor")
    tutor.find("[data-testid=person][data-name=Noor]")
    tutor.press("[aria-label='The page after']")
    wait_for(lambda: tutor.items > 50, "the second page")
    stage.keep(tutor, "tablet")


def pages(stage: Stage) -> None:
    """All pages as pictures."""
    tutor = stage.person("tutor")
    tutor.film()
    stage.keep(tutor, "pages")


def phone(stage: Stage) -> None:
    """A student's telephone with a pen in the hand."""
    tutor, noor = stage.person("tutor"), stage.person("noor", 390, 844)
    tutor.press("[aria-label='Pass a pen to Noor']")
    noor.find("nav[aria-label=Tools]")
    stage.keep(noor, "phone")


def evening(stage: Stage) -> None:
    """The evening's light, in German, the people folded away."""
    tutor = stage.person("tutor")
    stage.person("tomasz")
    tutor.press("[aria-label='Your menu']")
    tutor.press("[aria-label=Light] input", "Evening")
    tutor.close_panels()
    tutor.press("[aria-label='Fold the people away']")
    tutor.press("[aria-label='Your menu']")
    tutor.press("[role=dialog] select option[value=de]")
    tutor.find("[aria-label='Alle Werkzeuge']")
    tutor.close_panels()
    stage.keep(tutor, "evening")


def again(stage: Stage) -> None:
    """A recorded voice, played with the pages as they came to be."""
    tutor = stage.person("tutor")
    tutor.made_up()
    tutor.press("[aria-label='Take away']")
    tutor.press("[role=dialog] button", "Record my voice")
    tutor.find("[aria-label='Your voice is recorded']")
    tutor.close_panels()
    tutor.write(WORD)
    tutor.press(NEXT)
    tutor.wait(lambda: tutor.items > 50 or None, "the second page")
    tutor.draw([(700, 560), (760, 566), (830, 560), (900, 564)])
    tutor.kept()
    tutor.press("[aria-label='Your voice is recorded']")
    tutor.press("[role=dialog] button", "Stop recording")
    tutor.wait(lambda: not tutor.all("[aria-label='Your voice is recorded']") or None, "it to end")
    tutor.press("[aria-label='Take away']")
    tutor.press("[role=dialog] button", "The lesson again")
    tutor.press("[data-testid=again] li:last-child button")
    tutor.driver.execute_script(PUT_TO, "[data-testid=again] input[type=range]", 0.6)
    stage.keep(tutor, "again")


def question(stage: Stage) -> None:
    """A question that three have answered, and time for a task."""
    tutor = stage.person("tutor")
    students = [stage.person(name) for name in ("noor", "tomasz", "wairimu")]
    tutor.class_panel("Time")
    tutor.press("[role=dialog] button", "5 min")
    tutor.class_panel("Ask")
    tutor.find("[aria-label='The question']").send_keys("How long is the shadow at 45°?")
    answers = tutor.find("[aria-label^=Answers]")
    answers.send_keys(Keys.CONTROL, "a")
    answers.send_keys("shorter than the stick\nas long as the stick\nlonger than the stick")
    tutor.press("[role=dialog] button", "Ask it")
    for student, answer in zip(students, ("as long", "as long", "longer"), strict=True):
        student.press("[aria-label=Question] button", answer)
    tutor.wait_text("[aria-label=Question]", "3 of 3 answered")
    stage.keep(tutor, "question")


def desk_round(stage: Stage) -> None:
    """The task on four desks: two have written, one has a note, one has not begun and puts a hand up."""
    tutor = stage.person("tutor")
    students = {name: stage.person(name) for name in ("elio", "noor", "tomasz", "wairimu")}
    tutor.press(NEXT)
    tutor.press(NEXT)
    tutor.class_panel()
    tutor.press("[role=dialog] button", "Hand this page out to 4")
    for name, words in (("elio", "s = 2 m"), ("noor", "s = 1.7 m")):
        students[name].wait_text("[data-testid=say]", "your desk")
        students[name].write(Hand(9, 0.4).write(words, 600, 340, 34))
        students[name].kept()
    students["tomasz"].press("button", "Put hand up")
    tutor.key(Keys.SHIFT, "r")
    tutor.press("[aria-label='A note on the desk of Noor']")
    tutor.find("[data-testid=round] form input").send_keys("Well measured!", Keys.ENTER)
    students["noor"].wait_text("[data-testid=say]", "a note on your desk")
    wait_for(lambda: len(tutor.all("[data-testid=round] li .hand")) == 1, "the hand")
    # Small pictures follow within half a second.
    tutor.driver.execute_async_script("setTimeout(arguments[0], 1000)")
    stage.keep(tutor, "desk-round")


def graph(stage: Stage) -> None:
    """A graph, its formula, its window and the letter that is moved."""
    tutor = stage.person("tutor")
    tutor.tool("Select")
    tutor.draw([(400, 510)], "mouse")
    tutor.part("[aria-label='Graph…']")
    tutor.find("[data-testid=graph-panel] svg path")
    stage.keep(tutor, "graph")


def set_as_maths(stage: Stage) -> None:
    """Written maths, chosen: what it reads as, and its signs, each of which may be another."""
    tutor = stage.person("tutor")
    tutor.press(NEXT)
    tutor.press(NEXT)
    rows = json.loads(
        (Path(__file__).parents[1] / "bench" / "hands" / "maths" / "formulas-joined.json").read_text()
    )
    row = next(
        row for row in rows if (row["latex"], row["hand"]) == (r"s=\frac{h}{\tan\theta}", "playwrite-no")
    )
    strokes = [np.array(flat, float).reshape(-1, 2) * 0.14 for flat in row["strokes"]]
    low = np.vstack(strokes).min(axis=0)
    tutor.tool("Pen")
    tutor.write([stroke - low + (700, 84) for stroke in strokes], most=30)
    size = np.ptp(np.vstack(strokes), axis=0)
    tutor.tool("Select")
    tutor.draw([(688, 74), (712 + size[0], 99 + size[1])], "mouse")
    tutor.find("[data-testid=set-maths]")
    tutor.press("[aria-label=Sill] button", "Or…")
    tutor.find("[data-testid=written-sign]")
    stage.keep(tutor, "set-as-maths")


def working(stage: Stage) -> None:
    """Lines of working that were checked, one of which does not follow."""
    tutor = stage.person("tutor")
    tutor.press(NEXT)
    tutor.tool("Formula")
    tutor.draw([(660, 150)], "mouse")
    line = Keys.SHIFT + Keys.ENTER + Keys.NULL
    field = tutor.find("[data-testid=formula-field]")
    field.send_keys(f"2(x+3) = 14{line}2x+3 = 14{line}2x = 11{line}x = 11/2")
    tutor.find("dialog svg path")
    field.send_keys(Keys.ENTER)
    tutor.part("[aria-label=Sill] button", "Check the working")
    tutor.find("[data-verdict=does_not]")
    stage.keep(tutor, "working")


def flat_sheet(stage: Stage) -> None:
    """A photo of a sheet of paper being made flat."""
    tutor = stage.person("tutor")
    tutor.tool("Bring in")
    tutor.press("button", "Camera")
    for button in ("Try it with a made-up picture", "Take the picture", "Put it on the page"):
        tutor.press("dialog button", button)
    tutor.find("[data-testid=cut-picture] img[alt='The sheet, made flat']")
    stage.keep(tutor, "flat-sheet")


def after_lesson(stage: Stage) -> None:
    """The wrap-up page with a homework."""
    tutor = stage.person("tutor")
    for name in ("noor", "tomasz"):
        stage.person(name)
    tutor.open(f"{stage.base}/rooms/{LINK}/wrap-up")
    tutor.find("section textarea").send_keys("Measure the shadow of one thing at three times of the day.")
    tutor.press("button", "Give it")
    tutor.find("article", "Nobody has done it yet")
    tutor.driver.execute_async_script(
        "Promise.all([...document.images].map((i) => ((i.loading = 'eager'), i.decode()))).then(arguments[0])"
    )
    tutor.driver.execute_script("scrollTo(0, 0)")
    stage.keep(tutor, "after-lesson")


PICTURES: dict[str, Callable[[Stage], None]] = {
    "call": call,
    "porch": porch,
    "room-home": room_home,
    "tutor-lesson": tutor_lesson,
    "typeset-choice": typeset_choice,
    "people": people,
    "tablet": tablet,
    "pages": pages,
    "phone": phone,
    "evening": evening,
    "again": again,
    "question": question,
    "desk-round": desk_round,
    "graph": graph,
    "set-as-maths": set_as_maths,
    "working": working,
    "flat-sheet": flat_sheet,
    "after-lesson": after_lesson,
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
