"""Drawing instruments: laid down, seen by the others, ink along their edges, a page's own scale."""

from __future__ import annotations

import numpy as np
from selenium.webdriver.common.keys import Keys

from sunroom.core.ink import unpack_samples
from tests.browser.test_tools import Tools

INSTRUMENTS = "[aria-label='Drawing instruments'] button"


class Instruments(Tools):
    def lay(self, name: str) -> tuple[float, float]:
        """Only this one lies on the board; the middle of the board on the screen."""
        self.tutor.tool("Geometry")
        self.tutor.part(INSTRUMENTS, "Ruler")
        self.tutor.part(INSTRUMENTS, name)
        box = self.tutor.find("[data-testid=board]").rect
        return box["width"] / 2, box["height"] / 2

    def test_compasses_draw_an_arc_that_stays_when_they_go_and_others_see_them(self) -> None:
        noor = self.come_in(self.link, "Noor")
        clear = self.over_pixels(noor)
        x, y = self.lay("Compasses")
        noor.wait(lambda: self.over_pixels(noor) > clear + 200 or None, "the compasses on the other screen")
        box = self.tutor.find("[data-testid=board]").rect
        radius = round(box["width"] / self.scale() * 0.12 / 10) * 10 * self.scale()
        self.tutor.tool("Pen")
        turns = np.linspace(0, 1.2, 6)
        self.tutor.draw(
            [(x + (radius + 9) * np.cos(a), y - (radius + 9) * np.sin(a)) for a in turns], "mouse"
        )
        self.tutor.wait_items(1)
        (stroke,) = self.strokes()
        points = unpack_samples(stroke.samples)[:, :2]
        # The circle through three of its points goes through all.
        middle, r = circle(points[0], points[len(points) // 2], points[-1])
        np.testing.assert_allclose(np.hypot(*(points - middle).T), r, atol=0.05)
        self.assertGreater(len(points), 12)
        self.tutor.key("r")
        self.tutor.key("r")
        noor.wait_items(1)
        noor.wait(lambda: self.over_pixels(noor) == clear or None, "the compasses to be gone")

    def test_a_line_along_the_protractors_arm_has_its_angle(self) -> None:
        x, y = self.lay("Protractor")
        self.tutor.key(Keys.ARROW_DOWN)  # the arm: from 60° to 59°
        box = self.tutor.find("[data-testid=board]").rect
        size = round(box["width"] / self.scale() * 0.17 / 10) * 10 * self.scale()
        centre = (x, y + size / 2)
        self.tutor.tool("Pen")
        way = np.array([np.cos(np.radians(59)), -np.sin(np.radians(59))])
        places = [centre + way * along + (0, 3 * (n % 2)) for n, along in enumerate((20, 60, 100, 140))]
        self.tutor.draw([tuple(place) for place in places], "pen")
        self.tutor.wait_items(1)
        points = unpack_samples(self.strokes()[0].samples)[:, :2]
        dx, dy = points[-1] - points[0]
        self.assertAlmostEqual(np.degrees(np.arctan2(-dy, dx)), 59, delta=0.1)

    def test_a_square_of_the_page_stands_for_what_the_tutor_says(self) -> None:
        self.lay("Set square")
        self.tutor.part("[aria-label=Scale]")
        self.tutor.find("[popover] form input")
        each, unit = self.tutor.all("[popover] form input")
        each.clear()
        each.send_keys("5")
        unit.send_keys("m", Keys.ENTER)
        self.tutor.wait(lambda: self.page().head.paper.unit == "m" or None, "the scale")
        self.assertEqual(self.page().head.paper.measured(80.0), (10.0, "m"))


def circle(a: np.ndarray, b: np.ndarray, c: np.ndarray) -> tuple[np.ndarray, float]:
    """The circle through three points."""
    matrix = 2 * np.array([b - a, c - a])
    middle = np.linalg.solve(matrix, np.array([b @ b - a @ a, c @ c - a @ a]))
    return middle, float(np.hypot(*(a - middle)))
