"""Formulas in the browser: typed, worked out, checked, written by hand and set, and what the keyboard and others make of them."""

from __future__ import annotations

import json
import math
from pathlib import Path

import numpy as np
from selenium.webdriver.common.keys import Keys
from selenium.webdriver.support.select import Select

from sunroom.core.board import FormulaItem, GraphItem, InkItem, ShapeItem, TextItem
from tests.browser.base import Browser
from tests.browser.test_tools import Tools

HANDS = Path(__file__).parents[2] / "bench" / "hands" / "maths" / "formulas.json"
NEW_LINE = Keys.SHIFT + Keys.ENTER + Keys.NULL


class Formulas(Tools):
    def formulas(self) -> list[FormulaItem]:
        return [item for item in self.items() if isinstance(item, FormulaItem)]

    def type_formula(self, typed: str, x: float, y: float, by: Browser | None = None) -> None:
        by = by or self.tutor
        by.key("x")
        by.draw([(x, y)], "mouse")
        field = by.find("[data-testid=formula-field]")
        field.send_keys(typed)
        by.find("dialog svg path")
        field.send_keys(Keys.ENTER)
        by.wait(lambda: not by.all("dialog"), "the window to close")

    def test_a_formula_is_typed_changed_and_taken_back(self) -> None:
        self.type_formula("(a+b)/2", 300, 200)
        self.tutor.wait_items(1)
        (made,) = self.formulas()
        self.assertEqual(made.formula, "(a+b)/2")
        self.tutor.part("[aria-label=Sill] button", "Change the formula")
        field = self.tutor.find("[data-testid=formula-field]")
        self.assertEqual(field.get_attribute("value"), "(a+b)/2")
        field.send_keys("+c", Keys.ENTER)
        self.tutor.wait(lambda: [f.formula for f in self.formulas()] == ["(a+b)/2+c"] or None, "the change")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: [f.formula for f in self.formulas()] == ["(a+b)/2"] or None, "the undo")

    def test_what_is_not_understood_is_said_and_signs_are_typed_by_a_press(self) -> None:
        self.tutor.tool("Formula")
        self.tutor.draw([(300, 200)], "mouse")
        field = self.tutor.find("[data-testid=formula-field]")
        field.send_keys("x^")
        self.tutor.wait_text("#formula-problem", "missing")
        field.send_keys(Keys.ENTER)
        self.assertTrue(self.tutor.all("dialog"), "it stays until it can be set")
        self.tutor.press("[aria-label=Arithmetic] button", "√")
        field.send_keys("2")
        self.assertEqual(field.get_attribute("value"), "x^sqrt(2)")
        self.tutor.wait(lambda: not self.tutor.text("#formula-problem"), "nothing to be said")
        self.tutor.press("dialog button", "Put on the board")
        self.tutor.wait_items(1)

    def test_it_is_worked_out_and_what_is_taken_stands_below(self) -> None:
        self.type_formula("x^2+2x-3=0", 300, 160)
        self.tutor.press("[aria-label=Sill] button", "Work it out")
        self.tutor.press("[data-testid=worked-out] button", "Solution")
        self.tutor.wait_items(2)
        above, below = sorted(self.formulas(), key=lambda item: item.y)
        self.assertEqual(below.formula, r"x_{1}=-3 \\ x_{2}=1")
        self.assertAlmostEqual(above.x, below.x)
        self.assertGreaterEqual(below.y, above.y + above.height * above.size)

    def test_working_is_checked_and_marked(self) -> None:
        self.type_formula(f"2x+3=7{NEW_LINE}2x=10{NEW_LINE}x=5", 300, 220)
        self.tutor.press("[aria-label=Sill] button", "Check the working")
        self.tutor.find("[data-verdict=does_not]", "x = 5")
        self.tutor.find("[data-verdict=follows]", "Follows")
        self.tutor.press("button", "Set marks beside the lines")
        self.tutor.wait_items(3)
        marks = [item.figure for item in self.items() if isinstance(item, ShapeItem)]
        self.assertEqual(marks, ["cross", "tick"])

    def test_a_step_in_a_sentence_is_checked_and_marked_behind_it(self) -> None:
        self.type_formula("3x+4=10", 300, 160)
        self.tutor.tool("Text")
        self.tutor.draw([(300, 260)], "mouse")
        area = self.tutor.find("[role=textbox]")
        area.send_keys("so ")
        self.tutor.press("[aria-label=Sill] button[aria-label=Formula]")
        area.send_keys("x=3", Keys.ESCAPE)
        self.tutor.wait_items(2)
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.press("[aria-label=Sill] button", "Check the working")
        self.tutor.find("[data-verdict=does_not]", "x = 3")
        self.tutor.press("button", "Set marks beside the lines")
        self.tutor.wait_items(3)
        (text,) = (item for item in self.items() if isinstance(item, TextItem))
        (mark,) = (item for item in self.items() if isinstance(item, ShapeItem))
        self.assertEqual(mark.figure, "cross")
        self.assertGreater(mark.x, text.x + text.lines[0].width)
        self.assertTrue(text.y < mark.y < text.y + 1.3 * text.size)

    def write_formulas(self, *latex: str, by: Browser | None = None) -> None:
        """Write formulas of an unseen hand below each other, and select all."""
        by = by or self.tutor
        rows = json.loads(HANDS.read_text())
        top = 110.0
        for each in latex:
            row = next(row for row in rows if row["latex"] == each)
            strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
            low, high = np.vstack(strokes).min(axis=0), np.vstack(strokes).max(axis=0)
            by.write([(stroke - low) * 0.58 + (150, top) for stroke in strokes], most=30)
            top += (high[1] - low[1]) * 0.58 + 40
        by.tool("Select")
        by.key(Keys.CONTROL, "a")

    def hears(self, words: str) -> None:
        """The page in words says so."""
        lines = "return [...document.querySelectorAll('.unseen li')].map((line) => line.textContent)"
        self.tutor.wait(
            lambda: any(words in line for line in self.tutor.driver.execute_script(lines)) or None, words
        )

    def test_formulas_are_numbered_and_told_in_words(self) -> None:
        for typed, x in (("a^2+b^2=c^2", 250), ("c=sqrt(a^2+b^2)", 650)):
            self.tutor.key("x")
            self.tutor.draw([(x, 200)], "mouse")
            self.tutor.find("[data-testid=formula-field]").send_keys(typed)
            self.tutor.press("dialog button", "Number it")
            self.tutor.press("dialog button", "Put on the board")
            self.tutor.wait(lambda: not self.tutor.all("dialog"), "the window to close")
        self.tutor.wait_items(2)
        first, second = sorted(self.formulas(), key=lambda item: item.x)
        self.assertEqual([first.number, second.number], ["1", "2"])
        self.hears("Formula (1): a squared plus b squared equals c squared")
        self.tutor.part("[aria-label=Sill] button", "Change the formula")
        number = self.tutor.find("[data-testid=formula-number]")
        number.send_keys(Keys.CONTROL, "a")
        number.send_keys(Keys.DELETE)
        self.tutor.press("dialog button", "Keep it")
        self.tutor.wait(lambda: {f.number for f in self.formulas()} == {"1", ""} or None, "no number")
        self.assertLess(min(f.width for f in self.formulas() if not f.number), second.width)

    def test_a_formula_stands_in_a_sentence(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(200, 200)], "mouse")
        area = self.tutor.find("[role=textbox]")
        area.send_keys("The energy is ")
        self.tutor.press("[aria-label=Sill] button[aria-label=Formula]")
        area.send_keys("(m v^2)/2")
        self.tutor.press("[aria-label=Sill] button[aria-label=Formula]")
        area.send_keys(" in joules", Keys.ESCAPE)
        text = self.tutor.wait(
            lambda: next((item for item in self.items() if isinstance(item, TextItem)), None), "the text"
        )
        self.assertEqual(text.text, "The energy is (m v^2)/2 in joules")
        (span,) = text.spans
        self.assertEqual((span.start, span.end, span.maths), (14, 23, True))
        (line,) = text.lines
        self.assertEqual([bool(run.outline) for run in line.runs], [False, True, False])
        self.hears("The energy is the fraction m v squared over 2 end of fraction in joules")
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.press("[aria-label=Sill] button", "Edit")
        self.tutor.find("[role=textbox] .maths")

    def test_ink_is_checked_as_it_stands(self) -> None:
        self.write_formulas(r"x^{2}-5x+6=0", "3x+2>11")
        self.tutor.press("[aria-label=Sill] button", "Check the working")
        self.tutor.find("[data-verdict=first] svg path")
        self.tutor.find("[data-verdict=does_not], [data-verdict=cannot_tell]")
        written = self.tutor.items
        self.tutor.press("button", "Set marks beside the lines")
        self.tutor.wait_items(written + 1)

    def test_the_working_on_all_desks_is_checked_and_marked(self) -> None:
        noor, tomasz = self.come_in(self.link, "Noor"), self.come_in(self.link, "Tomasz")
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Hand this page out to 2")
        self.tutor.wait(lambda: self.tutor.page_count == 3 or None, "two desks")
        self.tutor.close_panels()
        for student in (noor, tomasz):
            student.wait_text("[data-testid=pens-state]", "You can write on this page")
        self.type_formula(f"2x+3=7{NEW_LINE}2x=10{NEW_LINE}x=5", 300, 220, noor)
        self.write_formulas(r"x^{2}-5x+6=0", "3x+2>11", by=tomasz)
        for student in (noor, tomasz):
            student.kept()
        self.tutor.class_panel()
        self.tutor.press("[role=dialog] button", "Check the working on all desks")
        desks = "[data-testid=desks] li"
        self.tutor.find(f"{desks}[data-sign='✗']", "one line is not right")
        self.tutor.wait_text("[data-testid=desks]", "2 desks")
        self.tutor.find(desks, "Tomasz")
        self.assertEqual(len(self.tutor.all(f"{desks}[data-sign='']")), 0, "ink is checked, too")
        self.tutor.press("[data-testid=desks] summary", "Noor")
        self.tutor.find("[data-testid=desks] [data-verdict=does_not]", "x = 5")
        self.tutor.press("[data-testid=desks] button", "Set the marks on all")
        self.tutor.press(desks + " button", "Go there")
        self.tutor.wait_items(3)
        noor.wait_items(3)
        marks = [item.figure for item in self.page(1).in_order() if isinstance(item, ShapeItem)]
        self.assertEqual(marks, ["cross", "tick"])
        self.assertEqual(self.tutor.problems(), [])

    def test_lines_of_working_become_a_formula_each(self) -> None:
        self.write_formulas(r"\frac{x+1}{x-1}=2", r"x^{2}-5x+6=0", "y=mx+b")
        self.tutor.press("[data-testid=set-maths]")
        self.tutor.wait_items(3)
        first, above, below = sorted(self.formulas(), key=lambda item: item.y)
        self.assertEqual(
            [each.formula for each in (first, above, below)],
            [r"\frac{x+1}{x-1}=2", r"x^{2}-5x+6=0", "y=mx+b"],
        )
        self.assertEqual(above.size, below.size)
        self.assertGreater(below.x, above.x + 2 * above.size, "at the equals sign")
        self.assertTrue(above.ink and below.ink)
        self.tutor.press("[aria-label=Sill] button", "As written")
        self.tutor.wait_items(len(first.ink) + len(above.ink) + len(below.ink))

    def test_a_sign_of_written_maths_is_corrected_by_itself(self) -> None:
        self.write_formulas("y=mx+b")
        self.tutor.part("[aria-label=Sill] button", "Or…")
        self.tutor.wait(lambda: len(self.tutor.all("[data-testid=written-sign]")) == 6 or None, "its signs")
        first = Select(self.tutor.all("[data-testid=written-sign]")[0])
        first.select_by_visible_text("γ")
        self.tutor.find("[data-testid=written-sign].corrected")
        self.tutor.press("[data-testid=maths-best]:enabled")
        made = self.tutor.wait(lambda: self.formulas() or None, "the formula")
        self.assertEqual(made[0].formula, r"\gamma=mx+b")
        self.assertTrue(made[0].ink)

    def test_on_a_telephone_what_is_under_more_stays_open_when_a_reading_comes(self) -> None:
        self.write_formulas("y=mx+b")
        self.tutor.resize(390, 844)
        self.tutor.press("[aria-label=Sill] [aria-label=More]")
        self.tutor.press("[aria-label=Sill] button", "Words")
        self.tutor.find("[aria-label=Sill] button", "Typeset these words")

    def test_a_graph_is_drawn_of_a_formula_and_its_letter_is_moved(self) -> None:
        self.type_formula("y = a x^2", 300, 120)
        self.tutor.part("[aria-label=Sill] button", "Draw its graph")
        self.tutor.wait_items(2)
        self.tutor.part("[aria-label=Sill] button", "Graph…")
        self.tutor.find("[data-testid=graph-panel] form input").send_keys("x^2+y^2=9", Keys.ENTER)
        self.tutor.wait(lambda: len(self.graph().lines) == 2 or None, "the circle")
        slider = self.tutor.find("[data-testid=graph-panel] input[type=range]")
        before = self.graph()
        slider.send_keys(Keys.HOME)
        self.tutor.wait(lambda: self.graph().letters[0].value == -5 or None, "the letter's least value")
        after = self.graph()
        assert before.drawn and after.drawn
        self.assertNotEqual(before.drawn.curves[0], after.drawn.curves[0])
        self.assertEqual(before.drawn.curves[1], after.drawn.curves[1])
        self.tutor.find("[data-testid=graph-panel] form input").send_keys("2<x=3", Keys.ENTER)
        self.tutor.wait_text("[data-testid=graph-panel] [role=status]", "no graph")
        self.assertEqual(len(self.graph().lines), 2)

    def test_a_graphs_numbers_are_typed_as_they_are_counted_and_its_formulas_changed(self) -> None:
        self.type_formula("y = a sin x", 300, 120)
        self.tutor.part("[aria-label=Sill] button", "Draw its graph")
        self.tutor.wait_items(2)
        self.tutor.part("[aria-label=Sill] button", "Graph…")
        self.tutor.press("[data-testid=graph-panel] label", "in degrees")
        self.tutor.wait(lambda: self.graph().counted == "degrees" or None, "degrees")
        for label, typed in (("x from", "-180"), ("x to", "2π"), ("a", "7,5"), ("a from", "1/2")):
            self.type_number(label, typed)
        letter = self.tutor.wait(
            lambda: next((one for one in self.graph().letters if one.low == 0.5), None), "its least value"
        )
        self.assertEqual((letter.value, letter.high), (7.5, 7.5))
        self.assertAlmostEqual(self.graph().ranges.x0, -math.pi, 5)
        self.assertAlmostEqual(self.graph().ranges.x1, 2 * math.pi, 5)
        self.type_number("x to", "far", changes=False)
        self.tutor.wait_text("[data-testid=graph-panel] [role=status]", "“far” is no number")
        self.type_number("x from", "3pi", changes=False)
        self.tutor.wait_text("[data-testid=graph-panel] [role=status]", "smaller than the last")
        box = self.tutor.find("[data-testid=graph-panel] input[aria-label='x to']")
        self.assertEqual(box.get_attribute("value"), "360°")
        colour = self.graph().lines[0].colour
        self.tutor.press("[data-testid=graph-panel] .formula")
        self.tutor.wait_text("[data-testid=graph-panel]", "(180°, 0)")
        self.type_number("Change this formula", "y = a cos x")
        self.tutor.wait(lambda: "cos" in self.graph().lines[0].formula or None, "the other formula")
        self.assertEqual([line.colour for line in self.graph().lines], [colour])
        self.tutor.wait_text("[data-testid=graph-panel]", "(90°, 0)")
        ends = self.tutor.all("[data-testid=graph-panel] .area input")
        ends[1].send_keys(Keys.CONTROL, "a")
        ends[1].send_keys("90")
        self.tutor.wait_text("[data-testid=graph-panel] output", "7.5")

    def type_number(self, label: str, typed: str, changes: bool = True) -> None:
        """In a field of the graph's panel; what is asked of the server meanwhile has come."""
        box = self.tutor.find(f"[data-testid=graph-panel] input[aria-label='{label}']")
        before = self.graph()
        box.send_keys(Keys.CONTROL, "a")
        box.send_keys(typed, Keys.TAB)
        if changes:
            self.tutor.wait(lambda: self.graph() != before or None, f"{label} to be {typed}")

    def graph(self) -> GraphItem:
        (graph,) = [item for item in self.items() if isinstance(item, GraphItem)]
        return graph

    def test_written_maths_is_set_and_comes_back_as_written(self) -> None:
        rows = json.loads(HANDS.read_text())
        row = next(row for row in rows if row["latex"] == r"\frac{x+1}{x-1}=2" and row["hand"] != "kalam")
        strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
        low = np.vstack(strokes).min(axis=0)
        self.tutor.write([(stroke - low) * 0.5 + (150, 160) for stroke in strokes])
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.press("[data-testid=set-maths]")
        self.tutor.wait_items(1)
        (made,) = self.formulas()
        self.assertEqual(len(made.ink), len(strokes))
        self.assertIn(r"\frac", made.formula)
        self.tutor.press("[aria-label=Sill] button", "As written")
        self.tutor.wait_items(len(strokes))
        self.assertTrue(all(isinstance(item, InkItem) for item in self.items()))
