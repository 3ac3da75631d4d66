"""What figures measure, and what is constructed from them."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board import Board, PageHead, Paper, ShapeItem, apply, invert, resolve
from sunroom.core.board.requests import Construct, EditPage, MeasureItems, TransformItems
from sunroom.core.board.steps import AddItems, AddPage, MoveItems
from sunroom.core.drawn import path_lines
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine, ellipse_bezier
from sunroom.core.shapes.constructions import construct
from sunroom.core.shapes.measures import Unit, angles_of, length_text, measure, whole_degrees
from tests import strategies as make

PAGE = "page-001"
TYPESETTER = make.even_typesetter()
PIXEL = Unit("u", 1.0)
TRIANGLE = np.array([(0.0, 0.0), (0.0, 300.0), (400.0, 300.0)])
COLOUR = "#16222b"

corners = st.lists(
    st.tuples(st.integers(-300, 300), st.integers(-300, 300)), min_size=3, max_size=3, unique=True
)


def texts(
    points: np.ndarray, *what: str, closed: bool = True, curved: bool = False, circle: bool = False
) -> list[str]:
    drawn = measure(points, closed, curved, what, PIXEL, COLOUR, circle)  # type: ignore[arg-type]
    return [label.text for label in drawn.labels]


class Measures(TestCase):
    def test_a_right_triangle_knows_itself(self) -> None:
        self.assertEqual(texts(TRIANGLE, "sides"), ["300 u", "400 u", "500 u"])
        self.assertEqual(texts(TRIANGLE, "angles"), ["53°", "37°"], "a right angle is marked, not told")
        self.assertEqual(texts(TRIANGLE, "area", "around"), ["A = 60000 u²", "P = 1200 u"])

    @given(corners)
    def test_angles_of_a_triangle_sum_to_180_also_in_whole_degrees(
        self, points: list[tuple[int, int]]
    ) -> None:
        triangle = np.array(points, float)
        (ax, ay), (bx, by) = triangle[1] - triangle[0], triangle[2] - triangle[0]
        if abs(ax * by - ay * bx) < 50:
            return
        angles = angles_of(triangle, True)
        self.assertAlmostEqual(sum(angles), 180, places=6)
        self.assertEqual(sum(whole_degrees(angles, True)), 180)

    @given(st.integers(5, 12), st.floats(20, 300), st.floats(0, 6))
    def test_angles_of_a_polygon_sum_rightly_and_equal_sides_are_marked(
        self, count: int, radius: float, turn: float
    ) -> None:
        ways = turn + 2 * np.pi * np.arange(count) / count
        points = radius * np.column_stack([np.cos(ways), np.sin(ways)])
        self.assertEqual(sum(whole_degrees(angles_of(points, True), True)), 180 * (count - 2))
        marks = measure(points, True, False, ("sides",), PIXEL, COLOUR).patches
        self.assertEqual(len(marks), count)

    def test_a_corner_that_turns_in_is_more_than_180(self) -> None:
        arrow = np.array([(0.0, 0.0), (100.0, 100.0), (200.0, 0.0), (100.0, 300.0)])
        self.assertEqual(sorted(whole_degrees(angles_of(arrow, True), True))[-1], 270)

    def test_a_circle_has_its_radius_its_way_around_and_its_area(self) -> None:
        circle = ellipse_bezier(0, 0, 100, 100, 0)
        radius, area, around = texts(np.asarray(circle), "sides", "area", "around", curved=True, circle=True)
        self.assertEqual(radius, "r = 100 u")
        self.assertAlmostEqual(float(area.split()[2]), math.pi * 1e4, delta=30)
        self.assertAlmostEqual(float(around.split()[2]), 628, delta=1)

    def test_lengths_have_three_digits(self) -> None:
        found = [length_text(value, Unit("m", 40.0)) for value in (8, 3.21, 500, 123456, 0.004)]
        self.assertEqual(found, ["0.2 m", "0.0803 m", "12.5 m", "3086 m", "0.0001 m"])


class Constructions(TestCase):
    LINE = (np.array([(0.0, 0.0), (100.0, 0.0)]), False)

    def test_perpendicular_parallel_and_midpoint_of_a_line(self) -> None:
        (cross,) = construct("perpendicular", [self.LINE], 40)
        np.testing.assert_allclose(cross.mean(axis=0), (50, 0))
        self.assertAlmostEqual(float((cross[1] - cross[0]) @ (1, 0)), 0)
        (beside,) = construct("parallel", [self.LINE], 40)
        np.testing.assert_allclose(np.abs(beside[:, 1]), 40)
        np.testing.assert_allclose(construct("midpoint", [self.LINE], 40)[0].mean(axis=0), (50, 0))

    @given(corners)
    def test_bisectors_of_a_triangle_halve_its_angles_and_meet(self, points: list[tuple[int, int]]) -> None:
        triangle = np.array(points, float)
        angles = angles_of(triangle, True)
        if min(angles) < 5:
            return
        for at, line in enumerate(construct("bisector", [(triangle, True)], 40)):
            way = line[1] - line[0]
            halves = []
            for other in (triangle[at - 1], triangle[(at + 1) % 3]):
                arm = other - triangle[at]
                halves.append(
                    math.degrees(math.acos(np.clip(way @ arm / np.hypot(*way) / np.hypot(*arm), -1, 1)))
                )
            self.assertAlmostEqual(halves[0], halves[1], places=4)
            self.assertAlmostEqual(sum(halves), angles[at], places=4)

    def test_two_lines_have_the_bisector_of_where_they_meet(self) -> None:
        upright = (np.array([(50.0, -80.0), (50.0, -20.0)]), False)
        (line,) = construct("bisector", [self.LINE, upright], 40)
        np.testing.assert_allclose(line[0], (50, 0), atol=1e-9)
        with self.assertRaises(MalformedError):
            construct("bisector", [self.LINE, (self.LINE[0] + (0, 30), False)], 40)


class OnTheBoard(TestCase):
    def setUp(self) -> None:
        points = tuple(map(tuple, TRIANGLE.tolist()))
        self.shape = ShapeItem(
            id="shape-01", figure="triangle", points=points, closed=True, curved=False, colour=COLOUR, width=2,
            measured=("sides",), measures=None,
        )  # fmt: skip
        self.board = apply(Board(), AddPage(PageHead(PAGE, paper=Paper(spacing=40)), 0))
        self.take(AddItems(PAGE, (self.shape,)))

    def take(self, request: object) -> None:
        step = resolve(self.board, request, "seat-a", 1, TYPESETTER)  # type: ignore[arg-type]
        self.undo = invert(self.board, step)
        self.board = apply(self.board, step)

    def told(self) -> list[str]:
        shape = self.board.pages[PAGE].items["shape-01"]
        assert isinstance(shape, ShapeItem)
        return [label.text for label in shape.measures.labels] if shape.measures else []

    def test_measures_are_the_servers_and_follow_what_changes_the_figure(self) -> None:
        self.assertEqual(self.told(), ["7.94 cm", "10.6 cm", "13.2 cm"])
        self.take(MoveItems(PAGE, ("shape-01",), 30, 40))
        self.assertEqual(self.told()[0], "7.94 cm")
        self.take(TransformItems(PAGE, ("shape-01",), Affine(2, 0, 0, 2, 0, 0)))
        self.assertEqual(self.told(), ["15.9 cm", "21.2 cm", "26.5 cm"])
        self.board = apply(self.board, self.undo)
        self.assertEqual(self.told()[0], "7.94 cm")

    def test_a_square_of_the_page_stands_for_metres(self) -> None:
        self.take(EditPage(PAGE, paper=Paper(spacing=40, each=5, unit="m")))
        self.take(MeasureItems(PAGE, ("shape-01",)))
        self.assertEqual(self.told(), ["37.5 m", "50 m", "62.5 m"])
        self.take(MeasureItems(PAGE, ("shape-01",), ()))
        self.assertEqual(self.told(), [])

    def test_what_is_constructed_is_one_group_and_undo_takes_it_off(self) -> None:
        self.take(Construct(PAGE, ("shape-01",), "bisector", "made-0001"))
        made = [item for item in self.board.pages[PAGE].items.values() if item.id != "shape-01"]
        self.assertEqual(({item.group for item in made}, len(made)), ({"made-0001"}, 3))
        self.board = apply(self.board, self.undo)
        self.assertEqual(len(self.board.pages[PAGE].items), 1)

    def test_marks_lie_at_their_figure(self) -> None:
        shape = self.board.pages[PAGE].items["shape-01"]
        assert isinstance(shape, ShapeItem) and shape.measures
        for patch in shape.measures.patches:
            for points in path_lines(patch.path):
                self.assertTrue((np.abs(points - (200, 150)) < 300).all())
