"""What the finder of figures makes of a net's opinion: with a net that says what the test wants."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np
from hypothesis import given
from hypothesis import strategies as st
from numpy.typing import NDArray

from sunroom.core.shapes import Finder, any_figure
from sunroom.core.shapes.find import LEAST_SCORE, MAX_FIGURES, MAX_STROKES
from sunroom.core.shapes.fits import KINDS

CLASSES = [*KINDS, "writing", "drawing"]


def finder(**shares: float) -> Finder:
    """A finder whose net says the same of all ink; what is not named is hardly likely."""
    row = np.array([shares.get(name, 0.001) for name in CLASSES], np.float32)
    return Finder(lambda sequences, measures: np.tile(row, (len(sequences), 1)), CLASSES)


def ring(rx: float, ry: float, stray: float = 0.0) -> NDArray[np.float64]:
    at = np.linspace(0, 2 * math.pi, 80)
    waves = 1 + stray * np.sin(7 * at)
    return np.column_stack([rx * waves * np.cos(at), ry * waves * np.sin(at)])


def path(*corners: tuple[float, float]) -> NDArray[np.float64]:
    sides = [np.linspace(a, b, 20) for a, b in zip(corners, corners[1:], strict=False)]
    return np.vstack(sides)


BOX = path((0, 0), (120, 0), (120, 80), (0, 80), (0, 0))
STAIRS = path((0, 0), (70, 30), (120, -40), (200, 10))


class Scoring(TestCase):
    def test_the_likeliest_kind_that_lies_near_comes_first(self) -> None:
        figures = finder(circle=0.7, ellipse=0.2).find([ring(100, 100)])
        self.assertEqual([figure.kind for figure in figures], ["circle", "ellipse"])
        self.assertGreater(figures[0].score, 0.65)

    def test_of_two_likely_kinds_the_one_that_lies_nearer_is_meant(self) -> None:
        figures = finder(line=0.6, polyline=0.35).find([STAIRS])
        self.assertEqual(figures[0].kind, "polyline")
        figures = finder(circle=0.55, ellipse=0.4).find([ring(150, 80)])
        self.assertEqual(figures[0].kind, "ellipse")

    def test_what_may_be_a_circle_or_a_hexagon_is_a_circle_and_what_is_sure_stays_as_sure(self) -> None:
        wavy = ring(100, 100, 0.02)
        self.assertEqual(finder(circle=0.45, hexagon=0.5).find([wavy])[0].kind, "circle")
        at = np.radians(np.arange(0, 361, 60))
        corners = [(float(x), float(y)) for x, y in 100 * np.column_stack([np.cos(at), np.sin(at)])]
        (sure, *_) = finder(hexagon=0.95, circle=0.01).find([path(*corners)])
        self.assertEqual(sure.kind, "hexagon")
        self.assertGreater(sure.score, 0.85)

    def test_a_polyline_is_not_meant_only_because_it_bends_to_anything(self) -> None:
        wavy = path((0, 0), (60, 5), (120, -4), (200, 3))
        figures = finder(line=0.6, polyline=0.3).find([wavy])
        self.assertEqual(figures[0].kind, "line")

    def test_what_strays_far_from_every_figure_is_none(self) -> None:
        at = np.linspace(0, 40, 400)
        scribble = np.column_stack([100 * np.sin(1.7 * at), 100 * np.cos(2.3 * at)])
        self.assertEqual(finder(line=0.4).find([scribble]), [])

    def test_what_the_net_takes_for_writing_has_no_figure(self) -> None:
        self.assertEqual(finder(writing=0.95).find([ring(100, 100)]), [])

    def test_scores_are_shares_and_none_is_below_the_least(self) -> None:
        shares = {kind: 1 / len(KINDS) for kind in KINDS} | {"rectangle": 0.4, "square": 0.25}
        figures = finder(**shares).find([BOX])
        self.assertLessEqual(len(figures), MAX_FIGURES)
        self.assertEqual(figures[0].kind, "rectangle")
        self.assertTrue(all(0 <= figure.score <= 1 for figure in figures))
        self.assertGreaterEqual(figures[0].score, LEAST_SCORE)
        self.assertLessEqual(any_figure(figures), 1)

    @given(st.floats(0.3, 4), st.floats(-500, 500), st.floats(-500, 500))
    def test_neither_place_nor_scale_changes_the_order(self, scale: float, dx: float, dy: float) -> None:
        net = finder(circle=0.4, ellipse=0.4, hexagon=0.15)
        before = net.find([ring(130, 90, 0.03)])
        after = net.find([ring(130, 90, 0.03) * scale + (dx, dy)])
        self.assertEqual([figure.kind for figure in before], [figure.kind for figure in after])


class Offering(TestCase):
    def test_what_is_often_meant_instead_is_offered_however_sure_the_net_is(self) -> None:
        for sure, rival, ink in (
            ("circle", "ellipse", ring(100, 100)),
            ("rectangle", "square", BOX),
        ):
            figures = finder(**{sure: 0.99}).find([ink])
            kinds = [figure.kind for figure in figures]
            self.assertEqual(kinds[0], sure)
            self.assertIn(rival, kinds)
            self.assertEqual(len(kinds), len(set(kinds)), "no kind twice")

    def test_figures_are_exact_whatever_the_ink(self) -> None:
        (box, *_) = finder(rectangle=0.9).find([path((0, 2), (121, -1), (119, 82), (-2, 79), (1, 0))])
        sides = np.diff(np.array([*box.points, box.points[0]]), axis=0)
        turns = [float(a @ b) for a, b in zip(sides, sides[1:], strict=False)]
        np.testing.assert_allclose(turns, 0, atol=2)
        self.assertTrue(box.closed)


class Strokes(TestCase):
    def test_dots_and_nothing_are_passed_over(self) -> None:
        net = finder(circle=0.9)
        dot = np.array([(5.0, 5.0), (5.0, 5.0)])
        self.assertEqual(net.find([]), [])
        self.assertEqual(net.find([dot]), [])
        self.assertEqual(net.find([dot, ring(100, 100)])[0].kind, "circle")

    def test_many_strokes_are_no_one_figure(self) -> None:
        net = finder(circle=0.9)
        self.assertEqual(net.find([path((n, 0), (n, 50)) for n in range(MAX_STROKES + 1)]), [])

    def test_groups_are_looked_at_together_and_keep_their_places(self) -> None:
        seen: list[int] = []
        row = np.array([0.9 if name == "circle" else 0.001 for name in CLASSES], np.float32)

        def look(sequences: NDArray[np.float32], measures: NDArray[np.float32]) -> NDArray[np.float32]:
            seen.append(len(sequences))
            return np.tile(row, (len(sequences), 1))

        net = Finder(look, CLASSES)
        found = net.find_each([[ring(50, 50)], [], [ring(90, 90)]])
        self.assertEqual([len(figures) > 0 for figures in found], [True, False, True])
        self.assertEqual(seen, [2])
        self.assertEqual(net.scores([[], [ring(50, 50)]])[0], (0.5, None))
        likely, figure = net.scores([[ring(50, 50)]])[0]
        self.assertAlmostEqual(likely, 0.9, places=5)
        self.assertTrue(figure)
