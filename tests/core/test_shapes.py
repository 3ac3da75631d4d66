"""Rough figures to true ones."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np

from demo.hand import Hand
from sunroom.core.geometry import flatten_cubics
from sunroom.core.shapes import find_shapes

SIDE = 24


def sides(corners: list[tuple[float, float]], closed: bool = True) -> np.ndarray:
    points = np.array(corners, dtype=float)
    points = np.vstack([points, points[:1]]) if closed else points
    return np.vstack([np.linspace(a, b, SIDE) for a, b in zip(points, points[1:], strict=False)])


def ring(width: float, height: float) -> np.ndarray:
    angle = np.linspace(0.3, 0.3 + 2 * math.pi * 1.02, 90)
    return np.column_stack([width / 2 * np.cos(angle), height / 2 * np.sin(angle)])


def rough(points: np.ndarray, rng: np.random.Generator, noise: float) -> np.ndarray:
    """The points moved by a smooth wander of ``noise`` times the figure's size."""
    size = float(np.hypot(*np.ptp(points, axis=0)))
    knots = rng.normal(0, noise * size / 2, (max(4, len(points) // 10), 2))
    at = np.linspace(0, len(knots) - 1, len(points))
    return points + np.column_stack([np.interp(at, np.arange(len(knots)), knots[:, axis]) for axis in (0, 1)])


FIGURES = {
    "line": sides([(0, 0), (220, 90)], closed=False),
    "circle": ring(180, 180),
    "ellipse": ring(240, 120),
    "rectangle": sides([(0, 0), (240, 0), (240, 120), (0, 120)]),
    "square": sides([(0, 0), (160, 0), (160, 160), (0, 160)]),
    "triangle": sides([(0, 0), (220, 170), (20, 190)]),
}


class Finding(TestCase):
    def test_each_kind_is_found_in_most_rough_drawings(self) -> None:
        rng = np.random.default_rng(7)
        for kind, points in FIGURES.items():
            found = [find_shapes([rough(points, rng, 0.04)]) for _ in range(25)]
            right = sum(bool(figures) and figures[0].kind == kind for figures in found)
            self.assertGreaterEqual(right, 23, f"{kind}: {right} of 25")

    def test_a_rectangle_may_be_drawn_in_four_strokes_in_any_direction(self) -> None:
        points = FIGURES["rectangle"]
        strokes = [points[SIDE * i : SIDE * (i + 1)] for i in range(4)]
        strokes = [strokes[2], strokes[0][::-1], strokes[3], strokes[1][::-1]]
        self.assertEqual(find_shapes(strokes)[0].kind, "rectangle")

    def test_overshooting_ends_are_cut_off(self) -> None:
        points = np.vstack([FIGURES["triangle"], [(8, 6), (16, 12), (24, 18)]])
        self.assertEqual(find_shapes([points])[0].kind, "triangle")

    def test_almost_level_is_made_level_and_a_tilted_figure_stays_tilted(self) -> None:
        level = find_shapes([sides([(0, 0), (200, 9)], closed=False)])[0]
        self.assertEqual(level.points[0][1], level.points[1][1])
        c, s = math.cos(0.5), math.sin(0.5)
        turned = FIGURES["rectangle"] @ np.array([[c, s], [-s, c]])
        (x0, y0), (x1, y1) = find_shapes([turned])[0].points[:2]
        self.assertAlmostEqual(math.atan2(y1 - y0, x1 - x0) % (math.pi / 2), 0.5, delta=0.03)

    def test_the_figure_lies_where_it_was_drawn(self) -> None:
        for kind in ("circle", "ellipse"):
            figure = find_shapes([FIGURES[kind] + (500, 300)])[0]
            drawn = flatten_cubics(np.array(figure.points))
            np.testing.assert_allclose(drawn.mean(axis=0), (500, 300), atol=4)

    def test_place_and_size_do_not_matter(self) -> None:
        for kind, points in FIGURES.items():
            for scale, shift in ((0.2, 0), (8, -3_000)):
                self.assertEqual(find_shapes([points * scale + shift])[0].kind, kind)

    def test_rivals_are_offered(self) -> None:
        kinds = [figure.kind for figure in find_shapes([ring(180, 158)])]
        self.assertEqual(kinds[0], "circle")
        self.assertIn("ellipse", kinds[:3])

    def test_words_dots_and_nothing_are_no_figures(self) -> None:
        hand = Hand(3)
        for word in ("shadow", "stick", "noon", "angle", "and"):
            self.assertEqual(find_shapes(hand.write(word, 0, 0, 60)), [])
        self.assertEqual(find_shapes([]), [])
        self.assertEqual(find_shapes([np.array([[5.0, 5.0]])]), [])
        self.assertEqual(find_shapes([np.zeros((40, 2))]), [])

    def test_a_scribble_is_none(self) -> None:
        rng = np.random.default_rng(1)
        scribble = np.cumsum(rng.normal(0, 12, (300, 2)), axis=0)
        self.assertEqual(find_shapes([scribble]), [])
