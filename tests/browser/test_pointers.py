"""What pens, fingers and mice do beyond writing: the pen's other end and button, two fingers, borders, rooms."""

from __future__ import annotations

from typing import Any

from selenium.webdriver.common.action_chains import ActionBuilder
from selenium.webdriver.common.actions import interaction
from selenium.webdriver.common.actions.pointer_input import PointerInput
from selenium.webdriver.common.keys import Keys

from sunroom.core.board.items import item_box
from sunroom.core.ink import unpack_samples
from tests.browser.test_tools import LINE, Tools

PEN = """
const [button, buttons, points, tiltX = 0] = arguments, board = document.querySelector('[data-testid=board]'), box = board.getBoundingClientRect()
board.setPointerCapture = () => {}
const fire = (type, [x, y]) => board.dispatchEvent(new PointerEvent(type, { pointerId: 7, pointerType: 'pen', bubbles: true,
  pressure: 0.5, tiltX, button: type === 'pointermove' ? -1 : button, buttons, clientX: box.x + x, clientY: box.y + y }))
fire('pointerdown', points[0])
for (const point of points) fire('pointermove', point)
fire('pointerup', points.at(-1))
"""


class Pointers(Tools):
    def pen(self, button: int, buttons: int, points: list[tuple[int, int]], tilt_deg: int = 0) -> None:
        """A press of a pen with one of its own buttons or leaning, as browsers report it."""
        self.tutor.driver.execute_script(PEN, button, buttons, points, tilt_deg)

    def fingers(self, *paths: list[tuple[int, int]]) -> None:
        """Several fingers down, along their paths and up, all at once."""
        action = ActionBuilder(
            self.tutor.driver, mouse=PointerInput(interaction.POINTER_TOUCH, "f0"), duration=0
        )
        sources = [action.pointer_action.source]
        sources += [
            action.add_pointer_input(interaction.POINTER_TOUCH, f"f{n}") for n in range(1, len(paths))
        ]
        box = self.tutor.find("[data-testid=board]").rect
        for finger, path in zip(sources, paths, strict=True):
            for number, (x, y) in enumerate(path):
                place: Any = {"x": int(box["x"] + x), "y": int(box["y"] + y)}
                finger.create_pointer_move(duration=0, origin="viewport", **place)
                if number == 0:
                    finger.create_pointer_down(button=0)
            finger.create_pointer_up(button=0)
        action.perform()

    def test_a_pen_turned_around_and_its_side_button_erase(self) -> None:
        for shift in (0, 60, 120):
            self.tutor.draw([(x, y + shift) for x, y in LINE])
        self.tutor.wait_items(3)
        self.pen(5, 32, [(400, 280), (400, 320)])
        self.tutor.wait_items(2)
        self.pen(2, 2, [(400, 340), (400, 380)])
        self.tutor.wait_items(1)
        self.assertEqual(
            self.tutor.text("button.tool[aria-pressed=true]"), "Pen", "the tool in hand is still the pen"
        )

    def test_a_brush_laid_flat_is_broader_and_a_pen_is_not(self) -> None:
        pressure = {}
        for pen in ("Brush", "Pen"):
            self.tutor.press(f"[aria-label=Pens] input[aria-label^={pen}]")
            for tilt in (0, 60):
                self.pen(0, 1, [(300, 300), (340, 300), (380, 300)], tilt)
                pressure[pen, tilt] = unpack_samples(self.strokes()[-1].samples)[:, 2].max()
        self.assertGreater(pressure["Brush", 60], pressure["Brush", 0] + 0.2)
        self.assertAlmostEqual(pressure["Pen", 60], pressure["Pen", 0], delta=0.01)

    def test_two_fingers_move_and_turn_the_ruler_and_leave_the_paper(self) -> None:
        self.tutor.tool("Geometry")
        box = self.tutor.find("[data-testid=board]").rect
        x, y = int(box["width"] / 2), int(box["height"] / 2)
        self.fingers(
            [(x - 60, y), (x - 52, y + 30), (x - 52, y + 30)],
            [(x + 60, y), (x + 52, y - 30), (x + 52, y - 30)],
        )
        self.assertTrue(self.tutor.whole)
        self.tutor.tool("Pen")
        # Ink along the turned edge rises by the angle of the two fingers: 30°.
        self.tutor.draw([(x - 120, y + 20), (x - 60, y), (x + 20, y - 50), (x + 100, y - 95)])
        self.tutor.wait_items(1)
        points = unpack_samples(self.strokes()[0].samples)[:, :2]
        self.assertLess(points[-1, 1], points[0, 1])

    def test_a_border_of_a_table_is_dragged_and_undo_puts_it_back(self) -> None:
        self.tutor.tool("Table")
        self.tutor.draw([(400, 300)], "mouse")
        self.tutor.wait_items(1)
        table, scale = self.table(), self.scale()
        left = 400 - item_box(table).width / 2 * scale
        edge = int(left + table.columns[0] * scale)
        self.tutor.draw([(edge, 315), (edge + 30, 315), (edge + 60, 315)], "mouse")
        self.tutor.wait(lambda: self.table().columns[0] > table.columns[0] + 50 or None, "the wider column")
        self.assertEqual(self.table().columns[1:], table.columns[1:])
        self.tutor.key(Keys.CONTROL, "z")
        self.tutor.wait(lambda: self.table().columns == table.columns or None, "the width before")

    def test_things_are_pasted_in_another_room_without_loss(self) -> None:
        self.tutor.draw(LINE)
        self.figure("Star", (300, 400), (380, 480))
        self.assertEqual(len(self.items()), 2)
        self.tutor.key(Keys.CONTROL, "a")
        self.tutor.key(Keys.CONTROL, "c")
        self.tutor.open(self.server.url)
        self.tutor.find("form input").send_keys("Another room")
        self.tutor.all("form input")[1].send_keys("Imani")
        self.tutor.press("button", "Open a room now")
        self.tutor.find("nav[aria-label=Tools]")
        self.tutor.kept()
        self.tutor.key(Keys.CONTROL, "v")
        self.tutor.wait(lambda: len(self.tutor.all(".what")) or None, "what was pasted to be chosen")
        self.assertEqual(self.tutor.text(".what"), "2 things of yours")

    def test_every_making_tool_works_with_pen_finger_and_mouse(self) -> None:
        count = 0
        for number, kind in enumerate(("mouse", "touch", "pen")):
            x = 150 + 200 * number
            for tool, points in (
                ("Pen", [(x, 120), (x + 40, 130), (x + 80, 120)]),
                ("Highlight", [(x, 180), (x + 40, 180), (x + 80, 180)]),
                ("Shape", [(x, 230), (x + 40, 260), (x + 80, 290)]),
                ("Stamp", [(x + 40, 380)]),
                ("Table", [(x + 60, 520)]),
            ):
                self.tutor.tool(tool)
                # Once a pen has been seen a finger moves the paper: the pen comes last.
                self.tutor.draw(points, kind)
                count += 1
                self.tutor.wait_items(count)
        self.assertEqual(len(self.items()), 15)
