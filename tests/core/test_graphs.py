"""Graphs: curves that go where their formulas do, broken at poles, inside their windows; axes with round numbers."""

from __future__ import annotations

import unittest

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import Board, GraphItem, PageHead, apply, invert, resolve
from sunroom.core.board.items import check_item, graph_drawn
from sunroom.core.board.requests import TransformItems, work
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.drawn import path_lines
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.maths.curves import Ranges, curve, letters_of, read_curve, variable_of
from sunroom.core.maths.graph import GraphLetter, GraphLine, draw_graph
from tests import strategies as make

WINDOW = Ranges(-6.0, 6.0, -4.0, 4.0)


def lines_of(formula: str, ranges: Ranges = WINDOW, **letters: float) -> list[np.ndarray]:
    return curve(read_curve(formula), ranges, letters)


class Curves(unittest.TestCase):
    def test_what_a_formula_draws(self) -> None:
        for formula, kind, running, letters in (
            ("x^2", "y", "x", set()), ("y=2x+1", "y", "x", set()), ("f(x)=a x^2", "y", "x", {"a"}), ("x=2", "x", "y", set()),
            ("s=h/tan(theta)", "y", r"\theta", {"h"}), ("x^2+y^2=r^2", "both", "x", {"r"}), ("r=2cos(3theta)", "r", r"\theta", set()),
        ):  # fmt: skip
            with self.subTest(formula):
                drawn = read_curve(formula)
                self.assertEqual(
                    (drawn.kind, variable_of(drawn, {}), letters_of(drawn)), (kind, running, letters)
                )

    def test_the_points_are_those_of_the_formula(self) -> None:
        for formula, of in (
            ("x^2/4-2", lambda x: x**2 / 4 - 2),
            ("2sin(3x)", lambda x: 2 * np.sin(3 * x)),
            ("sqrt(x)", np.sqrt),
        ):
            for line in lines_of(formula):
                inside = np.abs(line[:, 1]) < 3.99
                np.testing.assert_allclose(line[inside, 1], of(line[inside, 0]), atol=0.02, err_msg=formula)

    def test_no_line_goes_over_a_pole(self) -> None:
        for formula, count in (
            ("1/x", 2),
            ("tan(x)", 5),
            ("1/(x^2-1)", 3),
            ("s=1/tan(theta)", 4),
            ("x y=1", 2),
        ):
            with self.subTest(formula):
                lines = lines_of(formula)
                self.assertEqual(len(lines), count)
                for line in lines:
                    self.assertLess(np.abs(np.diff(line[:, 1])).max(), 1.0)

    @settings(max_examples=60, deadline=None)
    @given(st.floats(-5, 5), st.floats(-3, 3), st.floats(0.2, 3))
    def test_poles_are_kept_free_wherever_they_are(self, pole: float, up: float, much: float) -> None:
        formula = f"y={much:.4f}/(x-({pole:.4f}))+({up:.4f})"
        for line in lines_of(formula):
            sides = np.sign(line[:, 0] - round(pole, 4))
            self.assertTrue((sides >= 0).all() or (sides <= 0).all(), "it joins both sides")

    @settings(max_examples=40, deadline=None)
    @given(st.sampled_from(["x^3-3x", "e^x", "ln(x)", "sin(1/x)", "x^2+y^2=9", "abs(x)", "x^(1/3)", "9/x^2", "r=theta/3", "x=1"]),
           st.floats(0.01, 40), st.floats(-9, 9))  # fmt: skip
    def test_everything_stays_inside(self, formula: str, half: float, middle: float) -> None:
        ranges = Ranges(middle - half, middle + half, -half, half)
        for line in lines_of(formula, ranges):
            self.assertFalse(np.isnan(line).any())
            reach = 1e-6 * half
            self.assertTrue((line >= np.array([ranges.x0, ranges.y0]) - reach).all())
            self.assertTrue((line <= np.array([ranges.x1, ranges.y1]) + reach).all())

    def test_a_circle_is_round_and_whole(self) -> None:
        points = np.vstack(lines_of("x^2+y^2=9"))
        np.testing.assert_allclose(np.hypot(points[:, 0], points[:, 1]), 3, atol=0.02)
        self.assertGreater(len({round(float(a), 1) for a in np.arctan2(points[:, 1], points[:, 0])}), 55)

    def test_what_has_no_graph_is_said(self) -> None:
        for formula, key in (
            ("x∈ℝ", "a-formula-has-no-meaning"),
            ("2<x<3", "a-formula-has-no-graph"),
            ("int x dx", "a-formula-has-no-graph"),
        ):
            with self.subTest(formula), self.assertRaises(MalformedError) as raised:
                lines_of(formula)
            self.assertEqual(raised.exception.sentence.key, key)
        with self.assertRaises(MalformedError) as raised:
            lines_of("a x")
        self.assertEqual(raised.exception.sentence.key, "a-letter-has-no-value")
        self.assertEqual(lines_of("sqrt(-1-x^2)"), [], "nowhere defined is nothing to see")


class Graphs(unittest.TestCase):
    GRAPH = GraphItem(
        id="graph-01", width=520, height=400, ranges=WINDOW, lines=(GraphLine("a x^2", "#1f5fa8"),)
    )

    def test_letters_without_a_value_get_one(self) -> None:
        made = graph_drawn(self.GRAPH)
        self.assertEqual(made.letters, (GraphLetter("a", 1.0),))
        assert made.drawn
        self.assertTrue(made.drawn.curves[0] and made.drawn.grid and made.drawn.axes)
        check_item(made)

    def test_numbers_at_the_axes(self) -> None:
        for counted, wanted in (
            ("numbers", {"−4", "2", "6"} - {"6"}),
            ("pi", {"π", "−π"}),
            ("degrees", {"90°", "−180°"}),
        ):
            with self.subTest(counted):
                ranges = WINDOW if counted == "numbers" else Ranges(-2 * np.pi, 2 * np.pi, -4, 4)
                made = draw_graph(640, 400, ranges, counted, (), ())  # type: ignore[arg-type]
                self.assertLessEqual(wanted, {label.text for label in made.labels})

    def test_paths_stay_in_the_graph(self) -> None:
        made = draw_graph(
            520, 400, WINDOW, "numbers", (GraphLine("tan(x)", "#1f5fa8"), GraphLine("x^9", "#1f5fa8")), ()
        )
        for path in (made.grid, made.axes, *made.curves):
            points = np.vstack(path_lines(path))
            self.assertTrue((points >= -0.11).all() and (points <= np.array([520, 400]) + 0.11).all())

    def test_a_graph_that_is_made_larger_keeps_the_size_of_its_numbers(self) -> None:
        typesetter = make.even_typesetter()
        board = apply(Board(), AddPage(PageHead("page-001"), 0))
        board = apply(board, AddItems("page-001", (graph_drawn(self.GRAPH),)))
        step = resolve(
            board,
            TransformItems("page-001", ("graph-01",), Affine(2, 0, 0, 2, 0, 0)),
            "seat-a",
            1,
            typesetter,
        )
        (larger,) = apply(board, step).pages["page-001"].in_order()
        assert isinstance(larger, GraphItem) and larger.drawn
        self.assertEqual((larger.width, larger.height, larger.map), (1040, 800, (1.0, 0.0, 0.0, 1.0)))
        self.assertEqual(apply(apply(board, step), invert(board, step)).pages, board.pages, "and back")
        many = tuple(
            msgspec.structs.replace(self.GRAPH, id=f"graph-{n:03}", lines=self.GRAPH.lines * 8)
            for n in range(60)
        )
        full = apply(Board(), AddPage(PageHead("page-001"), 0, many))
        with self.assertRaises(MalformedError, msg="told before any of it is done"):
            work(
                full, TransformItems("page-001", tuple(graph.id for graph in many), Affine(2, 0, 0, 2, 0, 0))
            )
        self.assertGreater(len(larger.drawn.labels), len(graph_drawn(self.GRAPH).drawn.labels))  # type: ignore[union-attr]

    def test_one_formula_without_a_graph_takes_nothing_from_the_others(self) -> None:
        lines = (
            GraphLine("x^2", "#1f5fa8"),
            GraphLine("x∈ℝ", "#b4472c"),
            GraphLine("2x", "#2f7d5b", shown=False),
        )
        made = graph_drawn(msgspec.structs.replace(self.GRAPH, lines=lines)).drawn
        assert made
        self.assertEqual([bool(curve) for curve in made.curves], [True, False, False])
        self.assertEqual(
            [problem and problem.key for problem in made.problems], [None, "a-formula-has-no-meaning", None]
        )


if __name__ == "__main__":
    unittest.main()
