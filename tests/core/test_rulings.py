"""Ruled paper: the same marks whichever part of the page is drawn."""

from __future__ import annotations

import math
from typing import get_args
from unittest import TestCase

from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board.rulings import RAY_STEP_DEG, Rule, Ruling, middle, rules
from sunroom.core.geometry import Box

RULINGS = get_args(Ruling)
spacings = st.sampled_from([16.0, 25.0, 40.0, 72.0])
boxes = st.builds(
    lambda x, y, w, h: Box(x, y, x + w, y + h),
    st.integers(-800, 800),
    st.integers(-800, 800),
    st.integers(60, 500),
    st.integers(60, 500),
)


def made(ruling: Ruling, spacing: float, box: Box) -> list[Rule]:
    return list(rules(ruling, spacing, box))


class Anywhere(TestCase):
    @given(st.sampled_from(RULINGS), spacings, boxes)
    def test_marks_are_finite_and_few_enough_to_draw(self, ruling: Ruling, spacing: float, box: Box) -> None:
        found = made(ruling, spacing, box)
        self.assertLess(len(found), 4_000)
        for rule in found:
            self.assertTrue(all(math.isfinite(v) for v in (rule.x, rule.y, rule.x1, rule.y1, rule.r)))
            self.assertIn(rule.weight, (0, 1, 2))

    @given(st.sampled_from(["squares", "lines", "handwriting", "dots"]), spacings, boxes)
    def test_marks_lie_in_the_part_that_is_drawn(self, ruling: Ruling, spacing: float, box: Box) -> None:
        for rule in made(ruling, spacing, box):
            self.assertTrue(box.x0 <= rule.x <= box.x1 and box.y0 <= rule.y <= box.y1, rule)

    @given(st.sampled_from(["squares", "lines", "handwriting", "graph"]), spacings, boxes)
    def test_two_parts_side_by_side_have_the_level_lines_of_the_whole(self, ruling, spacing, box) -> None:
        half = (box.x0 + box.x1) / 2
        left, right = Box(box.x0, box.y0, half, box.y1), Box(half, box.y0, box.x1, box.y1)

        def level(part: Box) -> set[float]:
            return {
                rule.y for rule in made(ruling, spacing, part) if rule.kind == "line" and rule.y == rule.y1
            }

        self.assertEqual(level(left), level(box))
        self.assertEqual(level(right), level(box))

    @given(spacings, boxes)
    def test_plain_paper_has_nothing_on_it(self, spacing: float, box: Box) -> None:
        self.assertEqual(made("plain", spacing, box), [])


class Each(TestCase):
    BOX = Box(-10, -10, 410, 310)

    def test_squares_are_square_and_go_through_the_origin(self) -> None:
        found = made("squares", 40, self.BOX)
        xs = sorted(rule.x for rule in found if rule.x == rule.x1)
        ys = sorted(rule.y for rule in found if rule.y == rule.y1)
        self.assertEqual(xs, [40 * n for n in range(11)])
        self.assertEqual(ys, [40 * n for n in range(8)])

    def test_a_dot_stands_where_two_lines_of_squares_would_cross(self) -> None:
        dots = {(rule.x, rule.y) for rule in made("dots", 40, self.BOX)}
        self.assertEqual(dots, {(40 * x, 40 * y) for x in range(11) for y in range(8)})

    def test_handwriting_has_four_lines_a_row_and_a_free_one_between(self) -> None:
        ys = sorted({rule.y for rule in made("handwriting", 40, Box(0, 0, 100, 159))})
        self.assertEqual(ys, [0, 20, 40, 60, 80, 100, 120, 140])
        weights = {rule.y: rule.weight for rule in made("handwriting", 40, Box(0, 0, 100, 79))}
        self.assertEqual(weights, {0: 0, 20: 1, 40: 2, 60: 0})

    def test_graph_paper_counts_from_where_its_axes_cross(self) -> None:
        x0, y0 = middle(40)
        box = Box(x0 - 130, y0 - 90, x0 + 130, y0 + 90)
        numbers = {(rule.text, rule.x1) for rule in made("graph", 40, box) if rule.kind == "number"}
        across = {text for text, upright in numbers if not upright}
        down = {text for text, upright in numbers if upright}
        self.assertEqual(across, {"−3", "−2", "−1", "1", "2", "3"})
        self.assertEqual(down, {"−2", "−1", "1", "2"})
        axes = [rule for rule in made("graph", 40, box) if rule.weight == 2]
        self.assertEqual({(rule.x, rule.x1) for rule in axes} & {(x0, x0)}, {(x0, x0)})

    def test_isometric_lines_rise_and_fall_by_thirty_degrees(self) -> None:
        angles = set()
        for rule in made("isometric", 40, self.BOX):
            angles.add(round(math.degrees(math.atan2(rule.y1 - rule.y, rule.x1 - rule.x))))
        self.assertEqual(angles, {90, 30, -30})

    def test_polar_paper_has_circles_about_one_middle_and_rays_between(self) -> None:
        found = made("polar", 40, self.BOX)
        circles = sorted(rule.r for rule in found if rule.kind == "circle")
        self.assertEqual(circles[:3], [40, 80, 120])
        rays = [rule for rule in found if rule.kind == "line"]
        self.assertEqual(len(rays), 360 // RAY_STEP_DEG)
        self.assertEqual({(rule.x, rule.y) for rule in rays}, {middle(40)})
        self.assertEqual(sum(rule.weight == 2 for rule in rays), 4)
