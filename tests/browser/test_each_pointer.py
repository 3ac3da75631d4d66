"""Each tool with mouse, finger and pen; the making tools are in test_pointers."""

from __future__ import annotations

from collections.abc import Iterator

import numpy as np
from selenium.webdriver.common.keys import Keys

from sunroom.core.ink import unpack_samples
from tests.browser.test_things import WRITER
from tests.browser.test_tools import Tools

#: The pen comes last: once it has been seen, a finger moves the paper.
KINDS = ("mouse", "touch", "pen")


class EachTool(Tools):
    def rows(self) -> Iterator[tuple[str, int]]:
        """A kind of pointer and the height of a row of the board that is its own."""
        for number, kind in enumerate(KINDS):
            with self.subTest(kind):
                yield kind, 160 + 130 * number

    def lines(self) -> None:
        """A line of ink in each row, 300 to 500 px from the left."""
        for number in range(len(KINDS)):
            y = 160 + 130 * number
            self.tutor.draw([(300, y), (350, y + 2), (400, y - 2), (450, y + 1), (500, y)], "mouse")
        self.tutor.wait_items(len(KINDS))

    def test_the_eraser_takes_whole_strokes(self) -> None:
        self.lines()
        self.tutor.tool("Eraser")
        left = len(KINDS)
        for kind, y in self.rows():
            self.tutor.draw([(400, y - 30), (400, y), (400, y + 30)], kind)
            left -= 1
            self.tutor.wait_items(left)

    def test_the_eraser_rubs_a_gap(self) -> None:
        self.lines()
        self.tutor.tool("Eraser")
        self.tutor.press("[aria-label='Eraser takes'] input", "What it touches")
        count = len(KINDS)
        for kind, y in self.rows():
            self.tutor.draw([(400, y - 20), (400, y), (400, y + 20)], kind)
            count += 1
            self.tutor.wait_items(count)
        self.assertEqual(len({(round(s.y / 60), s.colour) for s in self.strokes()}), len(KINDS))

    def test_a_press_chooses_and_a_drag_moves(self) -> None:
        self.lines()
        self.tutor.tool("Select")
        for kind, y in self.rows():
            before = {stroke.id: stroke.y for stroke in self.strokes()}
            self.tutor.draw([(400, y)], kind)
            self.tutor.wait_text(".what", "one stroke of yours")
            self.tutor.draw([(380, y), (380, y + 20), (380, y + 40)], kind)
            self.tutor.wait(
                lambda before=before: sum(s.y != before[s.id] for s in self.strokes()) == 1 or None,
                "one move",
            )
            self.tutor.key(Keys.ESCAPE)

    def test_a_box_and_a_lasso_choose_what_lies_in_them(self) -> None:
        self.lines()
        self.tutor.tool("Select")
        for kind, y in self.rows():
            self.tutor.press("[aria-label='Select by'] input", "Box")
            self.tutor.draw([(270, y - 30), (400, y), (530, y + 30)], kind)
            self.tutor.wait_text(".what", "one stroke of yours")
            self.tutor.key(Keys.ESCAPE)
            self.tutor.press("[aria-label='Select by'] input", "Lasso")
            self.tutor.draw([(270, y - 35), (530, y - 35), (530, y + 35), (270, y + 35), (268, y - 33)], kind)
            self.tutor.wait_text(".what", "one stroke of yours")
            self.tutor.key(Keys.ESCAPE)

    def test_handles_make_larger(self) -> None:
        self.tutor.tool("Shape")
        for number, (kind, y) in enumerate(self.rows()):
            self.tutor.tool("Shape")
            self.tutor.draw([(300, y - 40), (340, y), (380, y + 20)], kind)
            self.tutor.wait_items(number + 1)
            width = self.items()[-1].placement.a
            self.tutor.draw([(388, y + 28), (420, y + 48), (470, y + 73)], kind)
            self.tutor.wait(
                lambda width=width: self.items()[-1].placement.a > 1.5 * width or None, "the larger figure"
            )
            self.tutor.key(Keys.ESCAPE)

    def test_text_and_notes_begin_where_they_are_pressed(self) -> None:
        count = 0
        for kind, y in self.rows():
            for tool, x in (("Text", 200), ("Note", 560)):
                self.tutor.tool(tool)
                self.tutor.draw([(x, y)], kind)
                self.tutor.find(WRITER).send_keys("noon", Keys.CONTROL, Keys.ENTER)
                count += 1
                self.tutor.wait_items(count)
        self.assertEqual([item.text for item in self.items()], ["noon"] * count)

    def test_the_ruler_is_dragged_and_ink_runs_along_it(self) -> None:
        box = self.tutor.find("[data-testid=board]").rect
        middle, y = box["width"] / 2, box["height"] / 2
        self.tutor.tool("Geometry")
        for number, kind in enumerate(KINDS):
            with self.subTest(kind):
                self.tutor.tool("Pen")
                self.tutor.draw([(middle, y), (middle, y + 30), (middle, y + 60)], kind)
                y += 60
                edge = y - 32
                self.tutor.draw([(middle - 80 + 40 * n, edge - 2 + 4 * (n % 2)) for n in range(5)], kind)
                self.tutor.wait_items(number + 1)
                self.assertLess(np.ptp(unpack_samples(self.strokes()[-1].samples)[:, 1]), 0.1)

    def test_the_pointer_is_seen_by_the_others_and_leaves_nothing(self) -> None:
        noor = self.come_in(self.link, "Noor")
        clear = self.over_pixels(noor)
        self.tutor.tool("Pointer")
        for kind in ("mouse", "pen"):  # the driver lifts a finger at the end of each chain
            with self.subTest(kind):
                self.tutor.begin([(400, 300), (420, 320)], kind)
                noor.wait(lambda: self.over_pixels(noor) > clear + 50 or None, "the pointer")
                self.tutor.lift(kind)
                noor.wait(lambda: self.over_pixels(noor) == clear or None, "the pointer to fade")
        self.assertEqual(noor.items, 0)

    def test_an_arrow_is_left_by_each(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.tool("Pointer")
        self.tutor.press("[aria-label='Point with'] input", "An arrow that stays")
        seen = self.over_pixels(noor)
        for kind, y in self.rows():
            self.tutor.draw([(400, y)], kind)
            noor.wait(lambda seen=seen: self.over_pixels(noor) > seen + 50 or None, "the arrow")
            self.tutor.press("button", "Clear pointers")
            noor.wait(lambda seen=seen: self.over_pixels(noor) == seen or None, "the arrow to go")

    def test_the_hand_moves_the_paper(self) -> None:
        self.tutor.tool("Move")
        for kind, y in self.rows():
            self.tutor.key("0")
            self.tutor.wait(lambda: self.tutor.whole or None, "the whole page")
            self.tutor.draw([(300, y), (340, y + 20), (380, y + 40)], kind)
            self.tutor.wait(lambda: not self.tutor.whole or None, "the pan")
        self.assertEqual(self.tutor.items, 0)
