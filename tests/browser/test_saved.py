"""What is saved looks as the screen does, plays how it was made, and is what it was brought in as."""

from __future__ import annotations

import io
import tempfile
from pathlib import Path

import numpy as np
import pypdfium2
from numpy.typing import NDArray
from PIL import Image
from selenium.webdriver.common.keys import Keys

from sunroom.boards import models
from tests.browser.base import wait_for
from tests.browser.test_fit import NAMELESS
from tests.browser.test_tools import LINE, Tools
from tests.core.test_documents import document

#: White around a page that is shown wholly, in px (frontend/src/board/view.svelte.ts).
MARGIN = 48


def grey(picture: Image.Image) -> NDArray[np.float64]:
    return np.asarray(picture.convert("L"), float)


class Saved(Tools):
    def sheet(self) -> Image.Image:
        """The page on the screen, shown wholly; it is a sheet."""
        self.tutor.press("[aria-label^='View']")
        self.tutor.press("button", "Whole page")
        self.tutor.close_panels()
        self.tutor.wait(lambda: self.tutor.whole or None, "the whole page")
        box = self.tutor.find("[data-testid=board]").rect
        paper = self.page(1).head.paper
        scale = min((box["width"] - 2 * MARGIN) / paper.width, (box["height"] - 2 * MARGIN) / paper.height)
        wide, high = paper.width * scale, paper.height * scale
        x, y = box["x"] + (box["width"] - wide) / 2, box["y"] + (box["height"] - high) / 2
        shot = Image.open(io.BytesIO(self.tutor.driver.get_screenshot_as_png()))
        return shot.crop((round(x), round(y), round(x + wide), round(y + high)))

    def test_the_screen_the_picture_the_pdf_and_the_vector_picture_look_alike(self) -> None:
        tutor = self.tutor
        tutor.press("[aria-label='Add a page']")
        tutor.press("button", "A ready page")
        tutor.find("[data-testid=templates] [type=search]").send_keys("timetable")
        tutor.press("[data-testid=templates] li button")
        tutor.wait(lambda: tutor.page_count == 2 or None, "the page")
        tutor.tool("Bring in")
        tutor.press("[aria-label=Sill] button", "Drawings")
        tutor.press("[data-testid=drawings] li button", "Sundial")
        tutor.wait(lambda: not tutor.all("[data-testid=drawings]") or None, "the drawing to be there")
        tutor.tool("Pen")
        tutor.draw([(300, 200), (360, 260), (420, 210), (480, 270), (540, 220)])
        tutor.kept()
        tutor.wait(lambda: len(self.page(1).items) > 10 or None, "all of it")
        shown = self.sheet()
        base = f"{self.server.url}/boards/{models.Board.objects.get().uid}"
        page = self.page(1).head.id
        saved = {
            "png": Image.open(io.BytesIO(self.tutor.fetch(f"{base}/pages/{page}/page.png?width=1600"))),
            "pdf": pypdfium2.PdfDocument(self.tutor.fetch(f"{base}/board.pdf?page={page}"))[0]
            .render(scale=2)
            .to_pil(),
        }
        noor = self.browser(shown.width + 20, shown.height + 20)
        with tempfile.NamedTemporaryFile(suffix=".svg") as file:
            Path(file.name).write_bytes(self.tutor.fetch(f"{base}/pages/{page}/page.svg"))
            noor.open(f"file://{file.name}")
            size = (self.page(1).head.paper.width, self.page(1).head.paper.height)
            noor.resize(round(size[0]), round(size[1]))
            saved["svg"] = Image.open(io.BytesIO(noor.driver.get_screenshot_as_png()))
        screen = grey(shown)
        blank = float(np.abs(screen - np.median(screen)).mean())
        for kind, picture in saved.items():
            found = grey(picture.resize(shown.size))
            self.assertLess(float(np.abs(found - screen).mean()), 0.35 * blank, kind)

    def test_a_web_page_plays_how_its_page_was_made(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.wait_items(1)
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.key(Keys.DELETE)
        self.tutor.wait_items(0)
        self.tutor.tool("Pen")
        self.tutor.draw([(300, 400), (400, 420), (500, 400)])
        self.tutor.kept()
        self.tutor.press("[aria-label='Take away']")
        self.tutor.press("label", "Can play how the pages were made")
        self.assertEqual(self.tutor.driver.execute_script(NAMELESS), [])
        self.tutor.press("[role=dialog] a", "Web page")
        (file,) = wait_for(lambda: list(self.tutor.downloads.glob("*.html")), "the web page")
        noor = self.browser()
        noor.open(f"file://{file}")
        seen = "return [...document.querySelectorAll('[data-s]')].filter((g) => g.getClientRects().length).length"
        self.assertEqual(noor.driver.execute_script(seen), 1, "as it is now")
        to = "const r = document.querySelector('input[type=range]'); r.value = arguments[0] * r.max; r.dispatchEvent(new Event('input'))"
        noor.driver.execute_script(to, 0)
        first = noor.driver.execute_script(seen)
        noor.press("button", "Play")
        noor.wait(lambda: noor.text("button") == "Play" or None, "it to end")
        self.assertEqual((first, noor.driver.execute_script(seen)), (0, 1))
        shown = noor.driver.execute_script(
            "return getComputedStyle(document.querySelector('[data-e]')).display"
        )
        self.assertEqual(shown, "none", "what was rubbed out has gone again")
        self.assertEqual(noor.problems(), [])

    def test_a_page_of_a_document_is_sharp_from_near_and_its_words_are_picked(self) -> None:
        tutor = self.tutor
        with tempfile.NamedTemporaryFile(suffix=".pdf") as file:
            file.write(document("How long is a shadow?"))
            file.flush()
            tutor.tool("Bring in")
            tutor.find("[aria-label='File to bring in']").send_keys(file.name)
            tutor.press("[role=dialog] button, dialog button", "Bring one page in")
        tutor.wait(lambda: tutor.page_count == 2 or None, "its page")
        asked = "return performance.getEntriesByType('resource').filter((r) => /[/]3[/][0-9]+[/][0-9]+.png/.test(r.name)).length"
        self.assertEqual(tutor.driver.execute_script(asked), 0)
        for _ in range(16):
            tutor.key("+")
        tutor.wait(lambda: tutor.driver.execute_script(asked) or None, "finer parts of it")
        tutor.press("[aria-label='Take away']")
        tutor.press("button", "Printed words of this page")
        tutor.find("[data-testid=printed-words] .page p")
        self.assertEqual(tutor.driver.execute_script(NAMELESS), [])
        mark = (
            "const range = document.createRange(); range.selectNodeContents(document.querySelector('.page p'));"
            "getSelection().removeAllRanges(); getSelection().addRange(range)"
        )
        tutor.driver.execute_script(mark)
        tutor.press("[data-testid=printed-words] button", "Set what is marked as text")
        tutor.wait_items(1)
        tutor.kept()
        (item,) = self.items(1)
        self.assertEqual(item.text, "How long is a shadow?")  # type: ignore[union-attr]
        self.assertEqual(tutor.problems(), [])
