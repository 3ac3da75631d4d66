"""Graphs: curves that go where their formulas do, broken at poles, inside their windows; axes with round numbers."""

from __future__ import annotations

import math
import unittest
from unittest import mock

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import Board, GraphItem, PageHead, apply, invert, resolve
from sunroom.core.board.laying import graph_drawn
from sunroom.core.board.limits import check_item
from sunroom.core.board.requests import TransformItems, work
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.drawn import path_lines
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.maths.curves import Ranges, curve, hatched
from sunroom.core.maths.drawable import letters_of, read_curve, variable_of
from sunroom.core.maths.graph import GraphLetter, GraphLine, draw_graph, polynomial
from sunroom.core.maths.number_line import intervals
from sunroom.core.maths.places import HALVINGS, MOST, area_between, at_place, places
from sunroom.core.maths.values import values
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

    @settings(max_examples=60)
    @given(st.floats(-5, 5), st.floats(-3, 3), st.floats(0.2, 3))
    def test_poles_are_kept_free_wherever_they_are(self, pole: float, up: float, much: float) -> None:
        formula = f"y={much:.4f}/(x-({pole:.4f}))+({up:.4f})"
        for line in lines_of(formula):
            sides = np.sign(line[:, 0] - round(pole, 4))
            self.assertTrue((sides >= 0).all() or (sides <= 0).all(), "it joins both sides")

    @settings(max_examples=40)
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
            ("2<x=3", "a-formula-has-no-graph"),
            ("int x dx", "a-formula-has-no-graph"),
        ):
            with self.subTest(formula), self.assertRaises(MalformedError) as raised:
                lines_of(formula)
            self.assertEqual(raised.exception.sentence.key, key)
        with self.assertRaises(MalformedError) as raised:
            lines_of("a x")
        self.assertEqual(raised.exception.sentence.key, "a-letter-has-no-value")
        self.assertEqual(lines_of("sqrt(-1-x^2)"), [], "nowhere defined is nothing to see")


class OtherKinds(unittest.TestCase):
    def test_ways_with_t_are_as_round_as_they_should_be(self) -> None:
        for formula in (
            "(3cos t, 3sin t)",
            "x = 3cos(t), y = 3sin(t)",
            "(3 cos(2t), 3 sin(2t)) for 0 <= t <= pi",
        ):
            with self.subTest(formula):
                points = np.vstack(lines_of(formula))
                np.testing.assert_allclose(np.hypot(*points.T), 3, atol=0.01)
                self.assertGreater(np.ptp(points[:, 0]), 5.9)
        (line,) = lines_of("x = t, y = t^2/4 for t >= 0")
        self.assertGreaterEqual(line[:, 0].min(), -1e-9)

    def test_a_curve_is_drawn_where_its_conditions_hold(self) -> None:
        for formula in ("y = x^2 for -1 < x < 2", "y = x^2, x > -1, x < 2", "x^2 if -1 < x and x < 2"):
            (line,) = lines_of(formula)
            self.assertAlmostEqual(line[:, 0].min(), -1, delta=0.01, msg=formula)
            self.assertAlmostEqual(line[:, 0].max(), 2, delta=0.01, msg=formula)
        parts = lines_of("y = -x for x < 0; y = x^2 for x >= 0")
        self.assertEqual(len(parts), 2)

    def test_a_function_in_parts_is_drawn_in_parts(self) -> None:
        for formula in (
            r"f(x)=\begin{cases}-x&x<0\\x^2&x\ge 0\end{cases}",
            r"\begin{cases}-x, & \text{if } x<0 \\ x^{2} & \text{otherwise}\end{cases}",
            r"y=\begin{cases}-x \text{ for } x<0 \\ x^{2}\end{cases}",
        ):
            left, right = sorted(lines_of(formula), key=lambda line: float(line[:, 0].min()))
            self.assertLess(left[:, 0].max(), 0.06, formula)
            np.testing.assert_allclose(left[:, 1], -left[:, 0], atol=1e-6)
            np.testing.assert_allclose(right[:, 1], right[:, 0] ** 2, atol=0.02)
        (middle,) = lines_of(r"y=\begin{cases}x&-1<x<2\end{cases}")
        self.assertAlmostEqual(middle[:, 0].min(), -1, delta=0.01)
        with self.assertRaises(MalformedError):
            read_curve(r"y=\begin{cases}x&-1<x<2\\1\end{cases}")

    def test_derivatives_sums_and_integrals_are_drawn_as_what_they_are_worth(self) -> None:
        for formula, of in (
            ("y = d/dx sin(2x)", lambda x: 2 * np.cos(2 * x)),
            ("y = d^2/dx^2 x^3/6", lambda x: x),
            ("y = int_0^x cos(t) dt", np.sin),
            ("y = sum_(k=1)^3 x^k/10", lambda x: (x + x**2 + x**3) / 10),
            ("y = prod_(k=1)^2 (x-k)", lambda x: (x - 1) * (x - 2)),
        ):
            for line in lines_of(formula):
                inside = np.abs(line[:, 1]) < 3.9
                np.testing.assert_allclose(line[inside, 1], of(line[inside, 0]), atol=0.02, err_msg=formula)
        self.assertEqual(letters_of(read_curve("y = sum_(k=1)^n sin(k x)/k")), {"n"})
        self.assertEqual(len(lines_of("y = sum_(k=1)^n sin(k x)/k", n=2.5)), 1)

    def test_what_takes_many_values_is_bounded(self) -> None:
        for formula in (
            "y = sum_(k=1)^(10^6) x", "y = sum_(i=1)^200 sum_(k=1)^200 x", "y = d^6/dx^6 x^9", "y = int x dx", "y = sum_(k=x)^3 k",
            "y = " + " + ".join(["sum_(k=1)^9 x^k"] * 4),
        ):  # fmt: skip
            with self.subTest(formula), self.assertRaises(MalformedError):
                lines_of(formula)

    def test_both_signs_are_two_curves(self) -> None:
        upper, lower = lines_of("y = +-sqrt(4-x^2)")
        self.assertGreaterEqual(upper[:, 1].min(), 0)
        self.assertLessEqual(lower[:, 1].max(), 0)

    @settings(max_examples=40)
    @given(
        st.sampled_from(
            [
                "y < x^2/3 - 1",
                "y >= sin(x)",
                "x^2 + y^2 <= 9",
                "x > 1",
                "2x - y < 1, x < 2",
                "-1 < x < 2",
                "y > 1/x",
            ]
        )
    )
    def test_what_is_hatched_is_where_the_inequality_holds(self, formula: str) -> None:
        of = {
            "y < x^2/3 - 1": lambda x, y: y < x**2 / 3 - 1, "y >= sin(x)": lambda x, y: y >= np.sin(x), "x^2 + y^2 <= 9": lambda x, y: x**2 + y**2 <= 9,
            "x > 1": lambda x, y: x > 1, "2x - y < 1, x < 2": lambda x, y: (2 * x - y < 1) & (x < 2), "-1 < x < 2": lambda x, y: (x > -1) & (x < 2),
            "y > 1/x": lambda x, y: y > 1 / x,
        }[formula]  # fmt: skip
        lines = hatched(read_curve(formula), WINDOW, {})
        self.assertGreater(len(lines), 5)
        for line in lines:
            inner = line[0] + np.linspace(0.02, 0.98, 9)[:, None] * (line[1] - line[0])
            if np.hypot(*(line[1] - line[0])) > 0.05:
                self.assertTrue(of(inner[:, 0], inner[:, 1]).all(), (formula, line))

    def test_points_and_their_best_fit(self) -> None:
        points = GraphLine("(1, 1), (2, 2.05), (3, 2.95), (-1, -1)", "#1f5fa8", fit=1)
        made = draw_graph(520, 400, WINDOW, "numbers", (points,), ())
        self.assertEqual(len(path_lines(made.curves[0])), 4 + 1)
        self.assertIn("y = 0.994x + 0.00714", [label.text for label in made.labels])
        self.assertEqual(polynomial([1.0, 0.0, -2.5]), "y = −2.5x² + 1")
        square = draw_graph(
            520, 400, WINDOW, "numbers", (GraphLine("(0,0),(1,1),(2,4),(-2,4)", "#1f5fa8", fit=2),), ()
        )
        self.assertIn("y = x²", [label.text for label in square.labels])

    def test_letters_of_all_parts_get_sliders(self) -> None:
        for formula, letters in (
            ("(a cos t, b sin t)", {"a", "b"}),
            ("y < c x^2", {"c"}),
            ("y = k x for x < m", {"k", "m"}),
            ("(1, 2)", set()),
        ):
            self.assertEqual(letters_of(read_curve(formula)), letters, formula)


class Places(unittest.TestCase):
    def found(self, *formulas: str) -> set[tuple[str, float, float]]:
        return {(p.kind, round(p.x, 4), round(p.y, 4)) for p in places(formulas, 0, WINDOW, {"a": 2.0})}

    def test_zeros_turns_and_crossings(self) -> None:
        self.assertEqual(
            self.found("x^2 - a", "x"),
            {
                ("zero", -1.4142, 0),
                ("zero", 1.4142, 0),
                ("lowest", 0, -2),
                ("start", 0, -2),
                ("meets", -1, -1),
                ("meets", 2, 2),
            },
        )
        self.assertEqual(
            self.found("(x-1)^2"),
            {("zero", 1, 0), ("lowest", 1, 0), ("start", 0, 1)},
            "a zero that only touches",
        )
        self.assertEqual(self.found("1/x"), set(), "a pole is no zero")
        self.assertFalse({kind for kind, *_ in self.found("tan(x)")} & {"highest", "lowest"})

    @settings(max_examples=40)
    @given(st.floats(-4, 4), st.floats(-4, 4), st.floats(0.2, 2))
    def test_zeros_of_a_parabola_are_found_wherever_they_are(
        self, one: float, other: float, much: float
    ) -> None:
        if abs(one - other) < 0.05:
            return
        found = self.found(f"{much:.3f}(x - ({one:.4f}))(x - ({other:.4f}))")
        zeros = sorted(x for kind, x, _ in found if kind == "zero")
        np.testing.assert_allclose(zeros, sorted((round(one, 4), round(other, 4))), atol=2e-4)

    def test_of_a_fast_wave_the_first_places_are_found_at_once_and_exactly(self) -> None:
        formula = r"\sin(20x)"
        heights = mock.Mock(side_effect=values)
        with mock.patch("sunroom.core.maths.places.values", heights):
            found = places([formula, "x/9"], 0, WINDOW, {})
        for kind, first, apart, many in (
            ("zero", 0.0, math.pi / 20, MOST),
            ("highest", math.pi / 40, math.pi / 10, MOST // 2),
        ):
            steps = [(place.x - first) / apart for place in found if place.kind == kind]
            self.assertEqual(len(steps), many)
            np.testing.assert_allclose(steps, np.round(steps), atol=1e-4)
        for place in (place for place in found if place.kind == "meets"):
            self.assertAlmostEqual(math.sin(20 * place.x), place.x / 9, places=4)
        self.assertLess(heights.call_count, 20 * HALVINGS, "all of them are halved together")

    def test_height_slope_and_area(self) -> None:
        at = at_place("x^2", 1.5, {}, WINDOW)
        self.assertEqual((at.y, round(at.slope or 0, 4)), (2.25, 3))
        self.assertIsNone(at_place("abs(x)", 0, {}, WINDOW).slope)
        self.assertIsNone(at_place("sqrt(x)", -1, {}, WINDOW).y)
        self.assertAlmostEqual(area_between("x^2", 0, 3, {}) or 0, 9, places=6)
        self.assertIsNone(area_between("1/x", -1, 1, {}))
        with self.assertRaises(MalformedError):
            places(["x^2+y^2=4"], 0, WINDOW, {})


class NumberLines(unittest.TestCase):
    def test_solutions_are_intervals_with_ends_that_belong_or_not(self) -> None:
        inf = math.inf
        for formula, wanted in (
            ("x < 3", [(-inf, 3, False, False)]),
            ("-1 < x <= 2", [(-1, 2, False, True)]),
            ("x^2 >= 4", [(-inf, -2, False, True), (2, inf, True, False)]),
            ("1/x < 1", [(-inf, 0, False, False), (1, inf, False, False)]),
            ("(x-1)/(x+2) <= 0", [(-2, 1, False, True)]),
            ("abs(x-2) <= 1", [(1, 3, True, True)]),
            ("x > 20", [(20, inf, False, False)]),
            ("x^2 < -1", []),
            ("x < -1 or x >= 3", [(-inf, -1, False, False), (3, inf, True, False)]),
            ("x < -1, x >= 3", [(-inf, -1, False, False), (3, inf, True, False)]),
            ("x > -1, x <= 3", [(-1, 3, False, True)]),
            ("x > 0 and x^2 > 1", [(1, inf, False, False)]),
            ("x > 2 and x < 1", []),
            ("x^2 >= 0", [(-inf, inf, False, False)]),
        ):
            with self.subTest(formula):
                _, reach, found = intervals(formula)
                self.assertEqual([tuple(each) for each in found], wanted)
                self.assertTrue(
                    all(abs(end) < reach for each in found for end in each[:2] if math.isfinite(end))
                )

    def test_what_is_no_inequality_of_one_letter_is_said(self) -> None:
        for formula in ("x = 2", "x + y < 3", "x^2", "2 < 3"):
            with self.subTest(formula), self.assertRaises(MalformedError) as raised:
                intervals(formula)
            self.assertEqual(raised.exception.sentence.key, "that-is-no-inequality")
        with self.assertRaises(MalformedError) as raised:
            intervals(" or ".join(f"x > {n}" for n in range(40)))
        self.assertEqual(raised.exception.sentence.key, "a-formula-is-too-long-to")


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
