"""Elbows and curves: bent by handles, kept when their ends move, and leaving what they hold from its sides."""

from __future__ import annotations

from unittest import TestCase

import numpy as np
from hypothesis import example, given
from hypothesis import strategies as st

from sunroom.core.board import Board, PageHead, ShapeItem, apply
from sunroom.core.board.bends import BEYOND
from sunroom.core.board.items import item_box
from sunroom.core.board.requests import MoveEnds
from sunroom.core.board.steps import AddPage, MoveItems
from sunroom.core.errors import MalformedError
from tests.core.test_things import PAGE, after, draw, item

places = st.tuples(st.integers(-400, 400), st.integers(-400, 400)).map(lambda p: (float(p[0]), float(p[1])))


def board_with(
    figure: str, start: tuple[float, float] = (0, 0), end: tuple[float, float] = (200, 100)
) -> Board:
    return draw(apply(Board(), AddPage(PageHead(PAGE), 0)), "line-01", figure, start, end)


def course(board: Board) -> np.ndarray:
    line = item(board, "line-01")
    assert isinstance(line, ShapeItem)
    return line.placement.points(np.array(line.points, float))


class Bends(TestCase):
    def bend(self, board: Board, *inner: tuple[float, float]) -> Board:
        was = course(board)
        return after(board, MoveEnds(PAGE, "line-01", tuple(was[0]), tuple(was[-1]), inner=inner))

    def test_a_handle_moves_an_elbow_s_middle_part_and_nothing_else(self) -> None:
        bent = self.bend(board_with("elbow"), (150, 3))
        np.testing.assert_allclose(course(bent), [(0, 0), (150, 0), (150, 100), (200, 100)])
        far = self.bend(board_with("elbow"), (9_000, 3))
        self.assertEqual(course(far)[1, 0], (1 + BEYOND) * 200)

    def test_a_bend_is_kept_in_proportion_when_an_end_moves(self) -> None:
        bent = self.bend(board_with("elbow"), (150, 3))
        moved = after(bent, MoveEnds(PAGE, "line-01", (0, 0), (400, -50)))
        np.testing.assert_allclose(course(moved), [(0, 0), (300, 0), (300, -50), (400, -50)])
        curve = self.bend(board_with("curve"), (50, -80), (150, -80))
        turned = after(curve, MoveEnds(PAGE, "line-01", (0, 0), (-100, 200)))
        # A quarter turn, as long as before.
        np.testing.assert_allclose(course(turned), [(0, 0), (80, 50), (80, 150), (-100, 200)], atol=1e-9)

    def test_an_unbent_curve_leaves_its_ends_level_wherever_they_go(self) -> None:
        moved = after(board_with("curve"), MoveEnds(PAGE, "line-01", (0, 0), (-100, 200)))
        np.testing.assert_allclose(course(moved), [(0, 0), (-50, 0), (-50, 200), (-100, 200)])

    @given(st.sampled_from(["elbow", "curve"]), places, places, st.lists(places, max_size=2))
    @example("elbow", (0.0, 0.0), (1.0, 1.0), [])
    @example("elbow", (0.0, 0.0), (200.0, 100.0), [(199.6, 50.0)])
    def test_the_ends_are_where_they_were_put_whatever_the_bend(
        self,
        figure: str,
        start: tuple[float, float],
        end: tuple[float, float],
        inner: list[tuple[float, float]],
    ) -> None:
        board = after(board_with(figure), MoveEnds(PAGE, "line-01", start, end, inner=tuple(inner)))
        found = course(board)
        np.testing.assert_allclose([found[0], found[-1]], [start, end], atol=1e-9)
        if figure == "elbow" and len(found) > 2:
            steps = np.abs(np.diff(found, axis=0))
            self.assertTrue((steps.min(axis=1) < 1e-9).all(), "every part is level or upright")
            self.assertTrue((steps.max(axis=1) >= 1).all(), "no part is nothing")

    def test_more_handles_than_there_are_get_a_sentence(self) -> None:
        with self.assertRaises(MalformedError):
            self.bend(board_with("curve"), (1, 1), (2, 2), (3, 3))


class Sides(TestCase):
    def setUp(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        board = draw(board, "box-001", "rectangle", (0, 0), (100, 60))
        board = draw(board, "tri-001", "triangle", (300, 100), (400, 180))
        self.board = draw(board, "line-01", "elbow", (50, 30), (350, 140), holds=("box-001", "tri-001"))

    def test_a_held_elbow_leaves_from_the_sides_that_face_each_other(self) -> None:
        for dx, dy in ((0, 0), (-600, 0), (-300, 300), (-300, -500)):
            moved = after(self.board, MoveItems(PAGE, ("tri-001",), dx, dy)) if dx or dy else self.board
            found, box, other = (
                course(moved),
                item_box(item(moved, "box-001")),
                item_box(item(moved, "tri-001")),
            )
            way = np.sign(found[1] - found[0])
            level = abs(dx + 300) > abs(dy + 100)
            self.assertEqual(bool(way[0]), level, (dx, dy))
            middle = np.array(box.middle)
            self.assertAlmostEqual(float((found[0] - middle)[1 if level else 0]), 0.0, places=6)
            towards = np.array(other.middle) - middle
            self.assertGreater(towards @ way, 0, "away from the other one")
            np.testing.assert_allclose(np.sign(found[-1] - found[-2]), way)

    def test_its_bend_stays_while_the_sides_do(self) -> None:
        was = course(self.board)
        board = after(self.board, MoveEnds(PAGE, "line-01", tuple(was[0]), tuple(was[-1]), ("box-001", "tri-001"), ((150.0, 0.0),)))  # fmt: skip
        share = (150 - was[0, 0]) / (was[-1, 0] - was[0, 0])
        moved = course(after(board, MoveItems(PAGE, ("tri-001",), 200, 40)))
        self.assertAlmostEqual((moved[1, 0] - moved[0, 0]) / (moved[-1, 0] - moved[0, 0]), share, places=6)

    def test_what_meets_is_joined_as_a_line_would(self) -> None:
        near = after(self.board, MoveItems(PAGE, ("tri-001",), -260, -60))
        self.assertGreaterEqual(len(course(near)), 2)
