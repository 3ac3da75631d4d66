"""Each tool with pen, mouse and finger; pages; views; keys."""

from __future__ import annotations

import io
import time
from typing import Any

import numpy as np
from PIL import Image
from selenium.webdriver.common.action_chains import ActionBuilder
from selenium.webdriver.common.actions import interaction
from selenium.webdriver.common.actions.pointer_input import PointerInput
from selenium.webdriver.common.keys import Keys

from sunroom.boards import models, store
from sunroom.core.board import InkItem, Page
from sunroom.core.ink import unpack_samples
from tests.browser.base import Browser, BrowserTest


class BoardTest(BrowserTest):
    def setUp(self) -> None:
        super().setUp()
        self.tutor, self.link = self.open_room()

    def page(self, number: int = 0) -> Page:
        """A page as it is on disk."""
        self.tutor.kept()
        row = models.Board.objects.get()
        return store.load(row.pk).in_order()[number]

    def strokes(self) -> list[InkItem]:
        return [item for item in self.page().in_order() if isinstance(item, InkItem)]

    def over_pixels(self, browser: Browser) -> int:
        """How many pixels of what lies over the page are not clear."""
        script = """const c = document.querySelector('canvas.over')
            const data = c.getContext('2d').getImageData(0, 0, c.width, c.height).data
            let count = 0
            for (let i = 3; i < data.length; i += 4) if (data[i]) count++
            return count"""
        return int(browser.driver.execute_script(script))


class Writing(BoardTest):
    def test_pen_mouse_and_finger_write_and_the_pen_brings_its_pressure(self) -> None:
        for kind in ("mouse", "touch", "pen"):
            self.tutor.draw([(300, 300), (340, 310), (380, 300)], kind, 0.9)
        self.tutor.wait_items(3)
        mouse, touch, pen = (unpack_samples(item.samples) for item in self.strokes())
        self.assertAlmostEqual(mouse[1, 2], 0.5, places=2)
        self.assertAlmostEqual(touch[1, 2], 0.5, places=2)
        self.assertGreater(pen[:, 2].max(), 0.85)

    def test_ink_lies_where_the_pointer_was(self) -> None:
        self.tutor.draw([(300, 300), (340, 320)], "mouse")
        (stroke,) = self.strokes()
        scale, left, top = self.view()
        self.assertAlmostEqual(stroke.x * scale + left, 300, delta=1)
        self.assertAlmostEqual(stroke.y * scale + top, 300, delta=1)

    def view(self) -> tuple[float, float, float]:
        """Scale and origin of the whole page of an empty endless board, as View.fit works them out."""
        box = self.tutor.find("[data-testid=board]").rect
        scale = min((box["width"] - 96) / 1000, (box["height"] - 96) / 620, 1)
        return scale, (box["width"] - 1000 * scale) / 2, (box["height"] - 620 * scale) / 2

    def test_a_tap_leaves_a_dot_that_is_seen_and_can_be_rubbed_out(self) -> None:
        for kind in ("mouse", "pen"):
            self.tutor.draw([(300, 260)], kind)
            self.tutor.wait_items(1)
            self.tutor.wait(lambda: self.darkest(300, 260) < 100 or None, f"the dot of a {kind}")
            self.tutor.tool("Eraser")
            self.tutor.draw([(280, 250), (320, 270)])
            self.tutor.wait_items(0)
            self.tutor.wait(lambda: self.darkest(300, 260) > 200 or None, "the dot to go")
            self.tutor.tool("Pen")

    def darkest(self, x: float, y: float) -> int:
        """The darkest pixel of the tutor's board within three of a place, 0 to 255."""
        board = self.tutor.find("[data-testid=board]").rect
        shot = Image.open(io.BytesIO(self.tutor.driver.get_screenshot_as_png())).convert("L")
        left, top = int(board["x"] + x), int(board["y"] + y)
        return int(np.asarray(shot)[top - 3 : top + 4, left - 3 : left + 4].min())

    def test_after_a_pen_a_finger_moves_the_paper_and_does_not_write(self) -> None:
        self.tutor.begin([(300, 300), (340, 310), (380, 305)])
        self.tutor.draw([(300, 500), (400, 520)], "touch")
        self.tutor.lift()
        self.tutor.kept()
        self.assertTrue(self.tutor.whole, "what comes beside a pen is its hand")
        time.sleep(0.5)  # until it counts as a finger
        self.tutor.draw([(300, 500), (400, 520)], "touch")
        self.tutor.draw([(300, 400), (400, 420)], "pen")
        self.tutor.wait_items(2)
        self.assertFalse(self.tutor.whole)

    def test_a_palm_under_the_pen_takes_no_stroke_and_moves_no_paper(self) -> None:
        box = self.tutor.find("[data-testid=board]").rect

        def act(kind: str, acts: list[tuple[str, int, int]]) -> dict[str, Any]:
            """One pointer's part in what several do at once; ``wait`` leaves its turn to the others."""
            actions = []
            for act, x, y in acts:
                place = {"x": int(box["x"] + x), "y": int(box["y"] + y), "duration": 0}
                actions.append(
                    {"type": "pause", "duration": 0}
                    if act == "wait"
                    else {"type": "pointerMove", "origin": "viewport", **place}
                    if act == "move"
                    else {"type": act, "button": 0}
                )
            parameters = {"pointerType": kind}
            return {
                "type": "pointer",
                "id": f"{kind}-{acts[0][1]}",
                "parameters": parameters,
                "actions": actions,
            }

        wait = ("wait", 0, 0)
        palm = [
            ("move", 600, 560),
            ("pointerDown", 0, 0),
            wait,
            wait,
            ("move", 640, 600),
            wait,
            wait,
            ("pointerUp", 0, 0),
        ]
        late = [
            wait,
            wait,
            wait,
            wait,
            ("move", 700, 500),
            ("pointerDown", 0, 0),
            ("move", 720, 560),
            ("pointerUp", 0, 0),
        ]
        pen = [wait, ("move", 300, 300), ("pointerDown", 0, 0), ("move", 360, 310), ("move", 420, 300), ("move", 480, 320), ("move", 540, 300), ("pointerUp", 0, 0)]  # fmt: skip
        sources = [act("touch", palm), act("touch", [("wait", 1, 0), *late[1:]]), act("pen", pen)]
        self.tutor.driver.execute("actions", {"actions": sources})
        self.tutor.spoiled = True  # the driver's fingers of then are never let go
        self.tutor.wait_items(1)
        (stroke,) = self.strokes()
        self.assertGreater(float(np.ptp(unpack_samples(stroke.samples)[:, 0])), 200)
        self.assertTrue(self.tutor.whole)

    def test_ink_and_nib_are_those_that_were_chosen(self) -> None:
        self.tutor.press("[aria-label=Pens] input[aria-label^=Brush]")
        self.tutor.press("[aria-label=Ink] [aria-label=Purple]")
        self.tutor.line()
        self.tutor.tool("Highlight")
        self.tutor.draw([(300, 420), (480, 420)])
        pen, highlighter = self.strokes()
        self.assertEqual((pen.colour, pen.width, pen.nib), ("#6b3fa0", 8, "brush"))
        self.assertEqual(highlighter.nib, "highlighter")

    def test_two_fingers_zoom_and_leave_no_ink(self) -> None:
        action = ActionBuilder(
            self.tutor.driver, mouse=PointerInput(interaction.POINTER_TOUCH, "one"), duration=0
        )
        one = action.pointer_action.source
        two = action.add_pointer_input(interaction.POINTER_TOUCH, "two")
        for finger, places in ((one, [(500, 400), (420, 400)]), (two, [(600, 400), (700, 400)])):
            finger.create_pointer_move(duration=0, x=places[0][0], y=places[0][1], origin="viewport")
            finger.create_pointer_down(button=0)
            finger.create_pointer_move(duration=0, x=places[1][0], y=places[1][1], origin="viewport")
            finger.create_pointer_up(button=0)
        before = self.percent()
        action.perform()
        self.tutor.wait(lambda: self.percent() > 1.5 * before or None, "the zoom")
        self.assertEqual(self.tutor.items, 0)

    def percent(self) -> int:
        return self.tutor.percent


class Changing(BoardTest):
    def test_the_eraser_takes_whole_strokes_and_undo_brings_them_back_in_one_step(self) -> None:
        for y in (300, 340, 500):
            self.tutor.draw([(300, y), (420, y)])
        self.tutor.tool("Eraser")
        self.tutor.draw([(360, 280), (360, 320), (360, 360)], "mouse")
        self.tutor.wait_items(1)
        self.tutor.press("[aria-label=Undo]")
        self.tutor.wait_items(3)
        self.tutor.press("[aria-label=Redo]")
        self.tutor.wait_items(1)

    def test_box_lasso_and_press_select_and_a_drag_moves(self) -> None:
        self.tutor.draw([(300, 300), (360, 300)])
        self.tutor.draw([(300, 400), (360, 400)])
        self.tutor.tool("Select")
        self.tutor.draw([(280, 280), (380, 350), (385, 430)], "mouse")
        self.tutor.wait_text(".what", "2 strokes of yours")
        self.tutor.key(Keys.ESCAPE)
        self.tutor.press("[aria-label='Select by'] input", "Lasso")
        self.tutor.draw([(280, 370), (380, 370), (390, 430), (280, 430), (275, 372)], "mouse")
        self.tutor.wait_text(".what", "one stroke of yours")
        before = [stroke.y for stroke in self.strokes()]
        self.tutor.draw([(330, 400), (330, 430), (330, 460)], "mouse")
        self.tutor.wait(lambda: [s.y for s in self.strokes()] != before or None, "the move")
        after = [stroke.y for stroke in self.strokes()]
        self.assertEqual(after[0], before[0])
        self.assertGreater(after[1], before[1] + 50)
        self.tutor.key(Keys.DELETE)
        self.tutor.wait_items(1)

    def test_text_is_typed_wrapped_nowhere_and_edited_again(self) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(300, 300)], "mouse")
        self.tutor.find("[contenteditable]").send_keys("s = h / tan θ", Keys.CONTROL, Keys.ENTER)
        self.tutor.wait_items(1)
        (text,) = self.page().in_order()
        self.assertEqual([run.face for run in text.lines[0].runs], ["sans", "greek"])
        self.tutor.tool("Select")
        self.tutor.double_press(320, 302)
        self.tutor.find("[contenteditable]").send_keys(" so", Keys.CONTROL, Keys.ENTER)
        self.tutor.wait(lambda: self.page().in_order()[0].text.endswith(" so") or None, "the edited text")

    def test_a_text_whose_words_are_all_taken_out_is_gone_after_a_reload_too_and_undo_brings_it_back(
        self,
    ) -> None:
        self.tutor.tool("Text")
        self.tutor.draw([(300, 300)], "mouse")
        self.tutor.find("[contenteditable]").send_keys("noon", Keys.CONTROL, Keys.ENTER)
        self.tutor.wait_items(1)
        self.tutor.tool("Select")
        self.tutor.double_press(320, 302)
        field = self.tutor.find("[contenteditable]")
        field.send_keys(Keys.CONTROL, "a")
        field.send_keys(Keys.DELETE)
        field.send_keys(Keys.CONTROL, Keys.ENTER)
        self.tutor.wait_items(0)
        self.tutor.kept()
        self.tutor.driver.refresh()
        self.tutor.wait_items(0)
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait_items(1)
        self.assertEqual(self.page().in_order()[0].text, "noon")

    def test_each_person_undoes_own_steps_only(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.press("input[type=radio]", "Pens up")
        noor.wait_text("[data-testid=pens-state]", "Pens are up · you can write")
        self.tutor.line()
        noor.wait_items(1)
        noor.draw([(500, 300), (560, 310)])
        self.tutor.wait_items(2)
        self.tutor.key(Keys.CONTROL, "z")
        noor.wait_items(1)
        noor.tool("Eraser")
        noor.draw([(530, 290), (530, 330)], "mouse")
        self.tutor.wait_items(0)

    def test_two_people_writing_at_once_end_with_the_same_page(self) -> None:
        noor = self.come_in(self.link, "Noor")
        self.tutor.press("input[type=radio]", "Pens up")
        noor.wait_text("[data-testid=pens-state]", "you can write")
        for person in (self.tutor, noor):
            person.begin([(300, 300), (340, 320)])
        for person in (self.tutor, noor):
            person.lift()
        for person in (self.tutor, noor):
            person.wait_items(2)
        self.tutor.kept()
        self.assertEqual(len(self.strokes()), 2)


class Pages(BoardTest):
    def test_pages_are_added_turned_removed_and_brought_back(self) -> None:
        self.tutor.line()
        self.tutor.press("[aria-label='Add a page']")
        self.tutor.press("[role=dialog] button", "A4 sheet, plain")
        self.tutor.wait_items(0)
        self.tutor.draw([(480, 300), (520, 320)])
        self.tutor.key(Keys.PAGE_UP)
        self.tutor.wait_items(1)
        self.assertEqual(self.page(1).head.paper.kind, "sheet")
        self.tutor.key(Keys.PAGE_DOWN)
        self.tutor.page_panel()
        self.tutor.press("[role=dialog] button", "Remove")
        self.tutor.wait(lambda: self.tutor.page_count == 1 or None, "the page to go")
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.tutor.page_count == 2 or None, "the page to come back")

    def test_the_view_pans_zooms_and_fits(self) -> None:
        self.tutor.wait(lambda: self.tutor.whole or None, "the whole page")
        self.tutor.key("+")
        self.tutor.wait(lambda: not self.tutor.whole or None, "the zoom")
        self.tutor.key("0")
        self.tutor.wait(lambda: self.tutor.whole or None, "the whole page")
        self.tutor.tool("Move")
        self.tutor.draw([(300, 300), (360, 340)], "mouse")
        self.tutor.wait(lambda: not self.tutor.whole or None, "the pan")
        self.assertEqual(self.tutor.items, 0)

    def test_keys_choose_tools_and_a_sheet_lists_them(self) -> None:
        for key, name in (("e", "Eraser"), ("t", "Text"), ("s", "Select"), ("p", "Pen")):
            self.tutor.key(key)
            self.tutor.wait_text("button.tool[aria-pressed=true]", name)
        self.tutor.key("?")
        self.tutor.wait_text("dialog", "Undo your last step")
        self.tutor.press("dialog button", "Close")

    def test_a_pointer_shows_its_owner_s_name_and_leaves_nothing(self) -> None:
        noor = self.come_in(self.link, "Noor")
        before = self.over_pixels(noor)
        self.tutor.tool("Pointer")
        self.tutor.begin([(400, 300), (420, 320)], "mouse")
        noor.wait(lambda: self.over_pixels(noor) > before + 50 or None, "the pointer")
        self.tutor.lift("mouse")
        noor.wait(lambda: self.over_pixels(noor) == before or None, "the pointer to fade")
        self.assertEqual(noor.items, 0)
