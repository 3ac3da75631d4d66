"""Ink to type and to exact figures, as it is chosen in the browser with a pen."""

from __future__ import annotations

import math

import numpy as np
from selenium.webdriver.common.keys import Keys

from bench import maths
from demo.hand import Hand
from sunroom.core.board import InkItem, ShapeItem, TextItem
from sunroom.core.board.items import item_box
from sunroom.core.geometry import Affine
from tests.browser.test_tools import Tools
from tests.core.test_columns import behind_bracket


class Inking(Tools):
    def write(self, text: str, x: float, y: float, size: float = 54) -> None:
        self.tutor.write(Hand(9, 0.4).write(text, x, y, size))

    def choose_all(self) -> None:
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")

    def sketch(self) -> None:
        """Two boxes and an arrow from one to the other."""
        hand = Hand(4, 0.5)
        for corners in (
            [(120, 180), (330, 178), (332, 300), (118, 302), (121, 178)],
            [(560, 190), (760, 186), (764, 304), (556, 306), (561, 188)],
            [(345, 240), (545, 244)],
            [(520, 222), (546, 244), (522, 264)],
        ):
            self.tutor.draw(hand.sketch(corners)[::3, :2])


class Converting(Inking):
    def test_a_word_is_changed_before_it_is_typeset_and_an_underline_stays_ink(self) -> None:
        self.write("then at three", 150, 230)
        self.tutor.draw([(150, 256), (250, 258), (380, 255)])
        self.choose_all()
        self.tutor.wait_text("[data-testid=typeset]", "then at three")
        self.tutor.press("[aria-label=Words]")
        word = self.tutor.find("[aria-label='Word 3 of line 1']")
        word.send_keys(Keys.CONTROL, "a")
        word.send_keys("four")
        self.tutor.press("[role=dialog] button", "Typeset these words")
        self.tutor.wait_items(2)
        text = next(item for item in self.items() if isinstance(item, TextItem))
        self.assertEqual(text.text, "then at four")
        self.assertEqual(sum(isinstance(item, InkItem) for item in self.items()), 1)

    def test_words_in_a_row_far_apart_are_typeset_each_where_it_stands_and_undone_at_once(self) -> None:
        self.write("sun", 160, 230, 44)
        self.write("noon", 590, 236, 44)
        lefts = [min(item_box(s).x0 for s in self.strokes() if (s.x < 500) == left) for left in (True, False)]
        count = len(self.strokes())
        self.choose_all()
        self.tutor.press("[data-testid=typeset]")
        self.tutor.wait_items(2)
        texts = sorted((item for item in self.items() if isinstance(item, TextItem)), key=lambda t: t.x)
        self.assertEqual([text.text for text in texts], ["sun", "noon"])
        for text, left in zip(texts, lefts, strict=True):
            self.assertAlmostEqual(text.x, left, delta=0.1)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(count)

    def test_a_sum_in_columns_is_typeset_row_by_row_and_its_line_stays_ink(self) -> None:
        for text, x, y in (("345", 248, 200), ("+278", 200, 248), ("623", 248, 296)):
            for place, character in enumerate(text):
                self.tutor.write(Hand(3 + place, 0.5).write(character, x + 48 * place, y, 52))
        self.tutor.draw([(195, 255), (300, 254), (400, 256)])
        count = len(self.strokes())
        self.choose_all()
        self.tutor.wait_text("[data-testid=typeset]", "345 + 278 623")
        self.tutor.press("[data-testid=typeset]")
        self.tutor.wait_items(4)
        texts = sorted((item for item in self.items() if isinstance(item, TextItem)), key=lambda t: t.y)
        self.assertEqual([text.text for text in texts], ["345", "+278", "623"])
        edges = [item_box(text).x1 for text in texts]
        self.assertAlmostEqual(min(edges), max(edges), delta=0.1)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(count)

    def test_a_long_division_is_typeset_in_its_columns_and_its_bracket_stays_ink(self) -> None:
        for stroke in behind_bracket(20, one_stroke=True):
            self.tutor.draw(stroke[:, :2] + (150, 140))
        self.choose_all()
        self.tutor.wait_text("[data-testid=typeset]", "- 24")
        self.tutor.press("[data-testid=typeset]")
        self.tutor.wait_items(9 + 1 + 3)
        texts = {text.text: text for text in self.items() if isinstance(text, TextItem)}
        square = texts["864"].pitch * texts["864"].size
        for text, column in (
            ("216", 0),
            ("864", 0),
            ("-8", -1),
            ("06", 0),
            ("-4", 0),
            ("24", 1),
            ("-24", 0),
            ("0", 2),
        ):
            self.assertAlmostEqual((texts[text].x - texts["864"].x) / square, column, delta=0.1)
        self.tutor.press("[data-testid=as-written]")
        self.tutor.wait_items(len(behind_bracket(20, one_stroke=True)))

    def test_as_written_brings_the_ink_back_where_the_words_are_now(self) -> None:
        self.write("noon", 200, 230)
        before = item_box(self.strokes()[0])
        count = len(self.strokes())
        self.choose_all()
        self.tutor.press("[data-testid=typeset]")
        self.tutor.wait_items(1)
        for _ in range(4):
            self.tutor.key(Keys.ARROW_RIGHT)
        self.tutor.press("[data-testid=as-written]")
        self.tutor.wait_items(count)
        self.assertAlmostEqual(item_box(self.strokes()[0]).x0, before.x0 + 40, delta=0.1)

    def test_a_tilted_line_is_typeset_along_itself_and_comes_back_as_it_was(self) -> None:
        turn = Affine.turn(math.radians(18))
        self.tutor.write(
            [
                turn.points(stroke[:, :2]) + (200, 140)
                for stroke in Hand(9, 0.4).write("then at three", 0, 0, 54)
            ]
        )
        before = [item_box(stroke) for stroke in self.strokes()]
        self.choose_all()
        self.tutor.press("[data-testid=typeset]", "then at three")
        self.tutor.wait_items(1)
        (text,) = self.items()
        self.assertAlmostEqual(math.degrees(math.atan2(text.map[1], text.map[0])), 18, delta=3)
        self.assertTrue(item_box(text).overlaps(before[0]) and item_box(text).overlaps(before[-1]))
        self.tutor.press("[data-testid=as-written]")
        self.tutor.wait_items(len(before))
        for old, new in zip(before, (item_box(stroke) for stroke in self.strokes()), strict=True):
            self.assertAlmostEqual(old.x0, new.x0, delta=0.01)
            self.assertAlmostEqual(old.y1, new.y1, delta=0.01)

    def test_a_sketch_is_trued_up_at_once_and_its_arrow_holds_on(self) -> None:
        self.sketch()
        self.choose_all()
        self.tutor.press("[data-testid=true-up-all]")
        self.tutor.wait_items(3)
        shapes = [item for item in self.items() if isinstance(item, ShapeItem)]
        self.assertEqual(sorted(shape.figure for shape in shapes), ["line", "rectangle", "rectangle"])
        arrow = next(shape for shape in shapes if shape.figure == "line")
        self.assertEqual((arrow.ends, all(arrow.holds)), ("arrow", True))
        self.tutor.key(Keys.ESCAPE)
        self.tutor.draw([(660, 188), (660, 240), (660, 300)], "mouse")
        self.tutor.wait(
            lambda: item_box(next(i for i in self.items() if i.id == arrow.id)).height > 40 or None,
            "the arrow to follow its box",
        )
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(4)

    def test_ink_of_several_kinds_is_made_each_what_it_is_and_comes_back_at_once(self) -> None:
        strokes = [0.4 * stroke for stroke in maths.strokes_of(maths.of_set("workings")[0])]
        strokes = [stroke - np.vstack(strokes).min(axis=0) + (140, 180) for stroke in strokes]
        corners = [(700, 150), (880, 150), (880, 260), (700, 260), (700, 150)]
        box = Hand(4, 0.5).sketch(corners)[::3, :2]
        hand = Hand(3, 0.6)
        words = [*hand.write("Solve for x", 120, 120, 54), *hand.write("the sun rises", 120, 440, 54)]
        self.tutor.write([*words, *strokes, box], most=24)
        count = len(words) + len(strokes) + 1
        self.choose_all()
        self.tutor.press("[data-testid=convert-each]", "2 texts · one formula · one figure")
        self.tutor.wait_items(6)
        kinds = sorted(type(item).__name__ for item in self.items())
        self.assertEqual(kinds, ["FormulaItem"] * 3 + ["ShapeItem"] + ["TextItem"] * 2)
        texts = [item.text for item in self.items() if isinstance(item, TextItem)]
        self.assertEqual(sorted(texts), ["Solve for x", "the sun rises"])
        self.tutor.wait_text("[data-testid=as-written]", "back to the ink")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(count)
        self.tutor.key(Keys.CONTROL, Keys.SHIFT, "z")
        self.tutor.wait_items(6)
        self.tutor.kept()
        self.tutor.driver.refresh()
        self.tutor.wait_items(6)
        self.choose_all()
        self.tutor.press("[data-testid=as-written]")
        self.tutor.wait_items(count)

    def test_a_formula_in_a_line_of_words_is_set_among_them(self) -> None:
        line = Hand(3, 0.6).write("Find x: 3x + 4 = 10", 120, 160, 54)
        self.tutor.write(line, most=24)
        self.choose_all()
        self.tutor.wait_text("[data-testid=convert-each]", "one text · one formula")
        self.tutor.key(Keys.ENTER)
        self.tutor.wait_items(1)
        self.tutor.kept()
        self.tutor.driver.refresh()
        self.tutor.wait_items(1)
        (text,) = self.items()
        assert isinstance(text, TextItem)
        self.assertEqual((text.text, len(text.ink)), ("Find x: 3x+4=10", len(line)))
        self.assertEqual([(span.start, span.end, span.maths) for span in text.spans], [(8, 15, True)])
        self.assertEqual([bool(run.outline) for run in text.lines[0].runs], [False, True])
        self.choose_all()
        self.tutor.press("[data-testid=as-written]")
        self.tutor.wait_items(len(line))

    def test_figures_are_made_even_and_take_their_neighbours_size(self) -> None:
        self.sketch()
        self.choose_all()
        self.tutor.press("[data-testid=true-up-even]")
        self.tutor.wait_items(3)
        boxes = [item_box(i) for i in self.items() if isinstance(i, ShapeItem) and i.figure == "rectangle"]
        self.assertAlmostEqual(boxes[0].width, boxes[1].width, delta=0.2)
        self.assertAlmostEqual(boxes[0].y0, boxes[1].y0, delta=0.2)
        self.tutor.tool("Pen")
        self.tutor.draw(
            Hand(4, 0.5).sketch([(350, 400), (545, 396), (548, 512), (348, 510), (351, 398)])[::3, :2]
        )
        self.tutor.tool("Select")
        self.tutor.draw([(320, 370), (590, 540)], "mouse")
        self.tutor.press("[data-testid=true-up]", "size as its neighbour")
        self.tutor.wait(
            lambda: (
                sum(isinstance(i, ShapeItem) and i.figure == "rectangle" for i in self.items()) == 3 or None
            ),
            "the third box",
        )
        widths = [
            item_box(i).width for i in self.items() if isinstance(i, ShapeItem) and i.figure == "rectangle"
        ]
        self.assertAlmostEqual(min(widths), max(widths), delta=0.2)

    def test_words_become_a_mind_map_and_one_written_next_to_it_a_branch(self) -> None:
        for word, x, y in (("shadow", 400, 300), ("length", 150, 160), ("noon", 660, 140)):
            self.write(word, x, y)
        for line in ([(390, 270), (330, 222), (270, 175)], [(540, 265), (590, 210), (650, 150)]):
            self.tutor.draw(line)
        self.choose_all()
        self.tutor.wait_text("[data-testid=mind-map]", "3 words")
        self.tutor.press("[data-testid=mind-map]")
        self.tutor.wait_items(5)
        shapes = [item for item in self.items() if isinstance(item, ShapeItem)]
        self.assertEqual(sorted(shape.text for shape in shapes if shape.text), ["length", "noon", "shadow"])
        self.assertEqual(sum(all(shape.holds) for shape in shapes), 2)
        self.tutor.tool("Pen")
        self.write("day", 700, 300)
        self.tutor.tool("Select")
        self.tutor.draw([(690, 240), (800, 330)], "mouse")
        self.tutor.wait_text("[data-testid=mind-map]", "of “noon”")
        self.tutor.press("[data-testid=mind-map]")
        self.tutor.wait_items(7)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.tutor.items > 7 or None, "the branch to be ink again")

    def test_what_was_written_last_is_offered_when_that_is_wanted(self) -> None:
        self.write("at", 200, 230)
        self.assertEqual(self.tutor.all("[aria-label='What was written last']"), [])
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[aria-label='Read as I write'] input", "Offer")
        self.tutor.key(Keys.ESCAPE)
        self.write("shadow", 400, 230)
        self.tutor.press("[aria-label='What was written last'] button", "Typeset “")
        self.tutor.wait(
            lambda: [item for item in self.items() if isinstance(item, TextItem)] or None, "the typed word"
        )

    def test_a_letter_is_never_made_a_figure_unasked(self) -> None:
        self.tutor.press("[aria-label='Your menu']")
        self.tutor.press("[aria-label='Read as I write'] input", "Always take")
        self.tutor.key(Keys.ESCAPE)
        self.write("hour", 200, 230)
        self.tutor.wait(
            lambda: [item for item in self.items() if isinstance(item, TextItem)] or None, "the typed word"
        )
        at = np.linspace(0, 6.5, 24)
        self.tutor.draw(np.column_stack([350 + 14 * np.cos(at), 215 + 14 * np.sin(at)]))
        self.tutor.find("[aria-label='What was written last']")
        self.assertFalse([item for item in self.items() if isinstance(item, ShapeItem)])

    def test_the_ink_of_a_page_too_large_to_read_gets_an_honest_answer(self) -> None:
        for n in range(4):
            self.tutor.draw([(200 + 30 * n, 200), (210 + 30 * n, 230)])
        self.choose_all()
        for _ in range(8):  # four strokes doubled eight times
            self.tutor.key(Keys.CONTROL, "d")
            self.tutor.key(Keys.CONTROL, "a")
        self.tutor.wait_items(1024)
        self.tutor.wait_text("[data-testid=conversions]", "more than 600 strokes")


class WordSearch(Inking):
    def test_written_words_are_found_on_the_rooms_home_and_lead_to_their_page(self) -> None:
        self.write("noon", 200, 230)
        self.tutor.kept()
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        self.tutor.find("[aria-label='Find words on all boards']").send_keys("noon")
        self.tutor.wait_text("search li", "page 1, in ink")
        self.tutor.press("search a", "noon")
        self.tutor.wait(lambda: self.tutor.items or None, "the page with the ink")
        self.assertNotIn("?", self.tutor.driver.current_url)

    def test_what_is_nowhere_is_said_and_an_empty_field_shows_nothing(self) -> None:
        self.tutor.kept()
        self.tutor.open(f"{self.server.url}/rooms/{self.link}")
        field = self.tutor.find("[aria-label='Find words on all boards']")
        field.send_keys("midnight")
        self.tutor.wait_text("search [role=status]", "Nothing typed or written reads like “midnight”")
        field.send_keys(Keys.CONTROL, "a", Keys.DELETE)
        self.tutor.wait(lambda: not self.tutor.all("search [role=status]") or None, "the list to go")
