"""The tools of a full board: ready pens, ruler, rubbing out, figures, arranging, copying, papers."""

from __future__ import annotations

import numpy as np
from msgspec.structs import replace
from selenium.webdriver.common.keys import Keys

from sunroom.core.board import InkItem, Item, ShapeItem, TableItem
from sunroom.core.board.items import item_box
from sunroom.core.ink import unpack_samples
from tests.browser.test_board import BoardTest

LINE = [(300, 300), (340, 302), (380, 298), (420, 300), (460, 301), (500, 300)]


class Tools(BoardTest):
    def items(self, page: int = 0) -> list[Item]:
        return self.page(page).in_order()

    def figure(self, name: str, a: tuple[int, int], b: tuple[int, int]) -> None:
        """Drag a figure out; it is chosen then."""
        before = self.tutor.items
        self.tutor.tool("Shape")
        self.tutor.press("[aria-label=Figure]")
        self.tutor.press("[aria-label=Figures] input", name)
        self.tutor.draw([a, ((a[0] + b[0]) // 2, (a[1] + b[1]) // 2), b], "mouse")
        self.tutor.wait_items(before + 1)

    def table(self) -> TableItem:
        (table,) = [item for item in self.items() if isinstance(item, TableItem)]
        return table

    def scale(self) -> float:
        """Screen px for each board unit, as the view says."""
        return self.tutor.percent / 100

    def arrange(self, label: str) -> None:
        if not self.tutor.all("[role=dialog][aria-label=Arrange]"):
            self.tutor.press("[aria-label=Arrange]")
        self.tutor.press("[role=dialog] button", label)


class Writing(Tools):
    def test_a_ready_pen_is_changed_and_kept_for_next_time(self) -> None:
        self.tutor.press("[aria-label=Pens] input[aria-label^=Pencil]")
        self.tutor.press("[aria-label='Change this pen']")
        self.tutor.press("[aria-label=Ends] input", "Two arrows")
        number = self.tutor.find("[role=dialog] input[maxlength]")
        number.send_keys(Keys.CONTROL, "a")
        number.send_keys("e9c46a", Keys.TAB)
        self.tutor.wait_text("[role=dialog] [role=status]", "Hard to see on this paper.")
        self.tutor.driver.refresh()
        self.tutor.find("[aria-label=Pens]")
        self.tutor.draw(LINE)
        (stroke,) = self.strokes()
        self.assertEqual((stroke.nib, stroke.ends, stroke.colour), ("pencil", "arrows", "#e9c46a"))

    def test_shift_draws_straight_in_steps_of_15_degrees(self) -> None:
        self.tutor.driver.execute_cdp_cmd(
            "Input.dispatchKeyEvent", {"type": "keyDown", "key": "Shift", "modifiers": 8}
        )
        box = self.tutor.find("[data-testid=board]").rect
        for kind, x, y in (("mousePressed", 300, 300), ("mouseMoved", 400, 330), ("mouseReleased", 500, 347)):
            self.tutor.driver.execute_cdp_cmd(
                "Input.dispatchMouseEvent",
                {"type": kind, "x": box["x"] + x, "y": box["y"] + y, "button": "left", "buttons": 1,
                 "clickCount": 1, "modifiers": 8},
            )  # fmt: skip
        self.tutor.wait_items(1)
        (stroke,) = self.strokes()
        way = np.diff(unpack_samples(stroke.samples)[:, :2], axis=0)
        angles = np.degrees(np.arctan2(way[:, 1], way[:, 0]))
        np.testing.assert_allclose(angles, 15, atol=0.2)

    def test_ink_runs_along_the_ruler_and_stays_when_it_goes(self) -> None:
        self.tutor.tool("Geometry")
        self.tutor.key(Keys.ARROW_RIGHT)
        box = self.tutor.find("[data-testid=board]").rect
        middle, edge = box["width"] / 2, box["height"] / 2 - 32
        self.tutor.tool("Pen")
        self.tutor.draw([(middle - 100 + 20 * n, edge - 2 + 3 * (n % 3)) for n in range(9)])
        self.tutor.wait_items(1)
        (stroke,) = self.strokes()
        points = unpack_samples(stroke.samples)[:, :2]
        slope = np.polyfit(points[:, 0], points[:, 1], 1)[0]
        self.assertAlmostEqual(np.degrees(np.arctan(slope)), 1.0, delta=0.1)
        self.assertLess(np.abs(points[:, 1] - slope * points[:, 0]).max(), 0.1)
        # The first press takes the tool, the second takes all instruments away.
        self.tutor.key("r")
        self.tutor.key("r")
        self.tutor.draw([(middle - 60, edge - 2), (middle, edge + 9), (middle + 60, edge - 2)])
        self.tutor.wait_items(2)
        self.assertGreater(np.ptp(unpack_samples(self.strokes()[1].samples)[:, 1]), 5)

    def test_rubbing_takes_just_what_it_touches_and_one_undo_brings_it_back(self) -> None:
        self.tutor.draw(LINE)
        before = self.strokes()
        self.tutor.tool("Eraser")
        self.tutor.press("[aria-label='Eraser takes'] input", "What it touches")
        self.tutor.draw([(400, 280), (400, 300), (400, 320)], "mouse")
        self.tutor.wait_items(2)
        pieces = self.strokes()
        self.assertEqual({piece.colour for piece in pieces}, {before[0].colour})
        self.assertLess(sum(item_box(p).width for p in pieces), item_box(before[0]).width)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(1)
        self.assertEqual(self.strokes()[0].samples, before[0].samples)

    def test_a_student_rubs_out_own_ink_only(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.press("input[type=radio]", "Pens up")
        noor = self.come_in(self.link, "Noor")
        noor.wait_text("[data-testid=pens-state]", "Pens are up")
        noor.draw([(300, 340), (400, 342), (500, 338)])
        noor.wait_items(2)
        noor.tool("Eraser")
        noor.press("[aria-label='Eraser takes'] input", "What it touches")
        noor.draw([(400, 280), (400, 320), (400, 360)], "mouse")
        noor.wait_items(3)
        tutors = [stroke for stroke in self.strokes() if stroke.by != self.strokes()[-1].by]
        self.assertEqual(len(tutors), 1)


class Arranging(Tools):
    def test_a_figure_is_drawn_resized_turned_and_flipped(self) -> None:
        self.figure("Right triangle", (300, 200), (420, 300))
        drawn = item_box(self.items()[0])
        scale = 120 / (drawn.width - 3)
        self.tutor.draw([(428, 308), (480, 350), (548, 408)], "mouse")
        self.tutor.wait(
            lambda: item_box(self.items()[0]).width > 1.8 * drawn.width or None, "the larger figure"
        )
        large = item_box(self.items()[0])
        self.assertAlmostEqual(large.width / large.height, drawn.width / drawn.height, delta=0.05)
        self.assertAlmostEqual(large.x0, drawn.x0, delta=2 / scale)
        self.tutor.key(Keys.ALT, Keys.SHIFT, Keys.ARROW_RIGHT)
        self.tutor.wait(lambda: abs(self.items()[0].map[1]) > 0.1 or None, "the turn")
        self.arrange("Flip left to right")
        self.tutor.wait(lambda: self.items()[0].placement.det < 0 or None, "the flip")
        for _ in range(3):
            self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(
            lambda: abs(item_box(self.items()[0]).width - drawn.width) < 0.01 or None, "the way back"
        )

    def test_figures_are_lined_up_grouped_ordered_and_locked(self) -> None:
        self.figure("Rectangle", (200, 150), (280, 210))
        self.figure("Ellipse", (330, 300), (430, 350))
        self.tutor.key(Keys.CONTROL, "a")
        self.arrange("Left edges")
        self.tutor.wait(
            lambda: abs(item_box(self.items()[0]).x0 - item_box(self.items()[1]).x0) < 0.01 or None,
            "the same edge",
        )
        self.arrange("Group")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.key(Keys.ESCAPE)
        self.tutor.draw([(200, 180)], "mouse")
        self.tutor.wait_text(".what", "2 figures of yours")
        self.arrange("To the back")
        self.arrange("Lock in place")
        self.tutor.wait(lambda: all(item.locked for item in self.items()) or None, "the lock")
        self.tutor.key(Keys.DELETE)
        self.assertEqual(len(self.items()), 2)
        self.arrange("Unlock")
        self.tutor.wait(lambda: not any(item.locked for item in self.items()) or None, "the unlock")

    def test_duplicating_again_repeats_the_offset(self) -> None:
        self.figure("Square", (200, 200), (240, 240))
        self.tutor.key(Keys.CONTROL, "d")
        self.tutor.wait_items(2)
        for _ in range(4):
            self.tutor.key(Keys.ARROW_RIGHT)
        self.tutor.key(Keys.CONTROL, "d")
        self.tutor.wait_items(3)
        xs = sorted(item.x for item in self.items())
        self.assertAlmostEqual(xs[2] - xs[1], xs[1] - xs[0], places=4)
        self.assertAlmostEqual(xs[1] - xs[0], 64, places=4)

    def test_things_are_cut_and_pasted_on_another_page_without_loss(self) -> None:
        self.tutor.draw(LINE)
        (before,) = self.strokes()
        self.tutor.tool("Select")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.key(Keys.CONTROL, "x")
        self.tutor.wait_items(0)
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "Like this one")
        self.tutor.wait(lambda: self.tutor.page_count == 2 or None, "the second page")
        self.tutor.key(Keys.CONTROL, "v")
        self.tutor.wait_items(1)
        (after,) = self.items(1)
        assert isinstance(after, InkItem)
        self.assertEqual(
            (after.samples, after.colour, after.width), (before.samples, before.colour, before.width)
        )

    def test_a_moved_thing_catches_at_another_s_edge(self) -> None:
        self.figure("Rectangle", (200, 150), (280, 210))
        self.figure("Rectangle", (400, 300), (480, 360))
        self.tutor.draw([(460, 300), (360, 301), (263, 301)], "mouse")
        self.tutor.wait(
            lambda: abs(item_box(self.items()[0]).x0 - item_box(self.items()[1]).x0) < 0.01 or None,
            "the same edge",
        )

    def test_a_look_is_given_to_what_is_chosen(self) -> None:
        self.figure("Hexagon", (200, 150), (320, 260))
        self.tutor.press("[aria-label=Look]")
        self.tutor.press("[aria-label=Dashes] input", "Dashed")
        self.tutor.press("[role=dialog] fieldset button[aria-label*='#cfe8dc']")
        self.tutor.wait(
            lambda: (isinstance(self.items()[0], ShapeItem) and self.items()[0].fill) or None, "the fill"
        )
        shape = self.items()[0]
        assert isinstance(shape, ShapeItem)
        self.assertEqual((shape.dash, shape.fill), ("dashed", "#cfe8dc"))

    def test_a_look_goes_to_what_was_chosen_when_it_was_set(self) -> None:
        self.figure("Rectangle", (200, 150), (320, 260))
        self.figure("Rectangle", (500, 150), (620, 260))
        other, last = self.items()
        self.tutor.press("[aria-label=Look]")
        wide = self.tutor.find("[role=dialog] input[type=number]")
        was = wide.get_attribute("value")
        wide.clear()
        wide.send_keys(Keys.TAB)
        self.assertEqual(wide.get_attribute("value"), was, "no size is no change")
        # A slider is a step when it rests; here everything is chosen before it does.
        self.tutor.driver.execute_script(
            """
            const slider = document.querySelector('[role=dialog] input[type=range]')
            slider.value = 12
            slider.dispatchEvent(new Event('input', { bubbles: true }))
            document.body.dispatchEvent(
              new KeyboardEvent('keydown', { key: 'a', code: 'KeyA', ctrlKey: true, bubbles: true }),
            )
            """
        )
        self.tutor.wait_text(".what", "2 figures of yours")
        self.tutor.wait(lambda: self.items()[1] != last or None, "the figure to have another look")
        self.assertEqual(self.items(), [other, replace(last, width=12)])
        # A number is a step when its field is left, here by choosing the other.
        self.tutor.close_panels()
        self.tutor.tool("Select")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.draw([(500, 200)], "mouse")
        self.tutor.wait_text(".what", "one figure of yours")
        self.tutor.press("[aria-label=Look]")
        wide = self.tutor.find("[role=dialog] input[type=number]")
        wide.send_keys(Keys.CONTROL, "a")
        wide.send_keys("300")
        self.tutor.draw([(200, 200)], "mouse")
        self.tutor.wait(
            lambda: item_box(self.items()[1]).x1 > item_box(last).x1 + 100 or None, "the figure to be wide"
        )
        self.assertEqual(self.items()[0], other)


class Paper(Tools):
    def test_paper_and_order_of_pages_are_changed_and_there_after_a_reload(self) -> None:
        self.tutor.page_panel()
        title = self.tutor.find("[role=dialog] input")
        title.send_keys("Graph of shadows", Keys.TAB)
        self.tutor.press("[aria-label=Ruling] input", "Graph")
        self.tutor.press("[aria-label=Paper] input", "Roll")
        self.tutor.press("[role=dialog] button", "Copy")
        self.tutor.wait(lambda: self.tutor.page_count == 2 or None, "the copy")
        self.tutor.page_panel()
        self.tutor.press("[aria-label=Ruling] input", "Polar")
        self.tutor.press("[role=dialog] button", "Move earlier")
        self.tutor.kept()
        self.tutor.driver.refresh()
        self.tutor.wait(lambda: self.tutor.page_count == 2 or None, "the pages")
        first, second = self.page(0).head, self.page(1).head
        self.assertEqual((first.paper.ruling, second.paper.ruling), ("polar", "graph"))
        self.assertEqual((second.title, second.paper.kind), ("Graph of shadows", "roll"))

    def test_half_a_page_down_keeps_the_old_work_in_sight(self) -> None:
        self.tutor.draw(LINE)
        script = "const c = document.querySelector('main canvas'); return c.height"
        height = self.tutor.driver.execute_script(script)
        self.tutor.key("n")
        self.tutor.tool("Select")
        # The line has gone up by half the board's height: it is pressed where it is now.
        self.tutor.draw([(400, 300 - height // 2 + 1)], "mouse")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.wait_text(".what", "one stroke of yours")
        self.assertFalse(self.tutor.whole)

    def test_the_second_of_two_quick_presses_takes_nothing_away(self) -> None:
        self.tutor.draw(LINE)
        self.tutor.key("s")
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.find("[aria-label=Sill] button", "Remove")
        self.press_again("Remove", 2)
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Everything not locked")
        self.press_again("Yes, clear it", 2)
        self.assertEqual(self.tutor.items, 1)
        self.press_again("Yes, clear it", 1)
        self.tutor.wait_items(0)

    def press_again(self, name: str, times: int) -> None:
        """Press a button as the browser tells of the last of so many quick presses."""
        self.tutor.driver.execute_script(
            "const found = [...document.querySelectorAll('button')].find((b) => b.innerText === arguments[0]);"
            "found.dispatchEvent(new MouseEvent('click', { bubbles: true, detail: arguments[1] }))",
            name,
            times,
        )
