"""Maps, boxes and curves: what everything that lies on a page is worked out with."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np
from hypothesis import assume, given
from hypothesis import strategies as st

from sunroom.core.geometry import (
    Affine,
    Box,
    bezier_points,
    ellipse_bezier,
    flatten_cubics,
    path_length,
    resample,
    simplify,
    smooth_centreline,
)
from sunroom.core.geometry.curves import smooth_centrelines

numbers = st.floats(-50, 50, allow_nan=False)
points = st.lists(st.tuples(numbers, numbers), min_size=1, max_size=30).map(
    lambda rows: np.array(rows, dtype=float)
)
maps = st.builds(Affine, numbers, numbers, numbers, numbers, numbers, numbers)


class Maps(TestCase):
    @given(maps, maps, st.tuples(numbers, numbers))
    def test_after_is_one_map_and_then_the_other(self, first: Affine, then: Affine, place) -> None:
        np.testing.assert_allclose(
            then.after(first).point(*place), then.point(*first.point(*place)), rtol=1e-9, atol=1e-6
        )

    @given(maps, maps)
    def test_areas_grow_by_the_product(self, first: Affine, then: Affine) -> None:
        self.assertAlmostEqual(
            then.after(first).det, then.det * first.det, delta=1e-6 * (1 + abs(then.det * first.det))
        )

    @given(maps, points)
    def test_many_points_go_where_each_would(self, along: Affine, many: np.ndarray) -> None:
        np.testing.assert_allclose(along.points(many), [along.point(x, y) for x, y in many], atol=1e-6)

    @given(numbers, numbers, numbers, numbers, numbers, numbers)
    def test_a_map_about_a_place_leaves_it_there(self, x, y, a, b, c, d) -> None:
        np.testing.assert_allclose(Affine.about(x, y, a, b, c, d).point(x, y), (x, y), atol=1e-6)

    @given(maps, st.tuples(numbers, numbers))
    def test_the_inverse_leads_back(self, along: Affine, place) -> None:
        assume(abs(along.det) > 0.01)
        np.testing.assert_allclose(along.inverse().point(*along.point(*place)), place, atol=1e-3)

    @given(st.floats(-math.pi, math.pi), st.tuples(numbers, numbers))
    def test_a_turn_keeps_lengths_and_turns_by_its_angle(self, angle: float, place) -> None:
        turned = Affine.turn(angle).point(*place)
        self.assertAlmostEqual(math.hypot(*turned), math.hypot(*place))
        np.testing.assert_allclose(
            Affine.turn(angle).point(1, 0), (math.cos(angle), math.sin(angle)), atol=1e-12
        )
        np.testing.assert_allclose(Affine.turn(-angle).point(*turned), place, atol=1e-9)

    def test_a_mirror_has_a_negative_determinant_and_the_same_growth(self) -> None:
        for along, det, growth in ((Affine(-1, 0, 0, 1), -1, 1), (Affine(2, 0, 0, 3), 6, math.sqrt(6))):
            self.assertEqual(along.det, det)
            self.assertAlmostEqual(along.growth, growth)


class Boxes(TestCase):
    @given(points, st.floats(0, 20))
    def test_a_box_holds_its_points_and_no_smaller_one_does(self, many: np.ndarray, margin: float) -> None:
        box = Box.of(many, margin)
        self.assertLessEqual(box.x0 + margin, many[:, 0].min() + 1e-9)
        self.assertGreaterEqual(box.y1 - margin, many[:, 1].max() - 1e-9)
        self.assertAlmostEqual(box.width, np.ptp(many[:, 0]) + 2 * margin, places=6)

    @given(st.lists(points, min_size=1, max_size=5))
    def test_the_union_is_the_box_of_all(self, groups: list[np.ndarray]) -> None:
        self.assertEqual(Box.union(Box.of(group) for group in groups), Box.of(np.vstack(groups)))

    def test_nothing_has_no_union(self) -> None:
        self.assertIsNone(Box.union([]))

    @given(points, points)
    def test_overlapping_is_mutual_and_a_shared_point_is_enough(self, a: np.ndarray, b: np.ndarray) -> None:
        one, two = Box.of(a), Box.of(b)
        self.assertEqual(one.overlaps(two), two.overlaps(one))
        self.assertTrue(Box.of(np.vstack([a, b[:1]])).overlaps(two))

    @given(points, numbers, numbers)
    def test_moving_and_growing_keep_the_corners_in_order(
        self, many: np.ndarray, dx: float, dy: float
    ) -> None:
        box = Box.of(many).moved(dx, dy).grown(3)
        corners = box.corners()
        self.assertEqual(corners.shape, (4, 2))
        self.assertEqual((corners[0, 0], corners[2, 1]), (box.x0, box.y1))
        np.testing.assert_allclose(
            corners.mean(axis=0), ((box.x0 + box.x1) / 2, (box.y0 + box.y1) / 2), atol=1e-6
        )


class Curves(TestCase):
    @given(points, st.integers(2, 40))
    def test_resampled_points_lie_on_the_path_from_end_to_end(self, many: np.ndarray, count: int) -> None:
        made = resample(many, count)
        self.assertEqual(made.shape, (count, 2))
        np.testing.assert_allclose(made[0], many[0])
        if path_length(many) > 0:
            np.testing.assert_allclose(made[-1], many[-1], atol=1e-6)
        self.assertLessEqual(path_length(made), path_length(many) + 1e-6)

    def test_resampling_a_straight_line_is_even(self) -> None:
        made = resample(np.array([[0.0, 0.0], [1.0, 0.0], [10.0, 0.0]]), 6)
        np.testing.assert_allclose(np.diff(made[:, 0]), 2.0)

    @given(points, st.floats(0.1, 20))
    def test_simplifying_drops_only_what_lies_near(self, many: np.ndarray, tolerance: float) -> None:
        kept = simplify(many, tolerance)
        self.assertEqual((kept[0], kept[-1]), (0, len(many) - 1))
        rest = many[kept]
        for point in many:
            self.assertLessEqual(self.gap(point, rest), tolerance + 1e-6)

    def gap(self, point: np.ndarray, line: np.ndarray) -> float:
        if len(line) == 1:
            return float(np.hypot(*(point - line[0])))
        least = math.inf
        for a, b in zip(line, line[1:], strict=False):
            side = b - a
            t = np.clip(np.dot(point - a, side) / max(np.dot(side, side), 1e-12), 0, 1)
            least = min(least, float(np.hypot(*(point - a - t * side))))
        return least

    def test_nothing_is_simplified_to_nothing(self) -> None:
        self.assertEqual(len(simplify(np.zeros((0, 2)), 1.0)), 0)

    @given(points)
    def test_a_smooth_line_begins_and_ends_where_its_samples_do_and_stays_among_them(
        self, many: np.ndarray
    ) -> None:
        curve = smooth_centreline(many)
        np.testing.assert_allclose(curve[-1], many[-1], atol=1e-6)
        low, high = many.min(axis=0), many.max(axis=0)
        self.assertTrue(((curve >= low - 1e-6) & (curve <= high + 1e-6)).all())

    @given(st.lists(points, min_size=1, max_size=5))
    def test_many_lines_at_once_are_each_as_alone(self, groups: list[np.ndarray]) -> None:
        made, counts = smooth_centrelines(np.vstack(groups), np.array([len(group) for group in groups]))
        for part, group in zip(np.split(made, np.cumsum(counts)[:-1]), groups, strict=True):
            np.testing.assert_allclose(part, smooth_centreline(group), atol=1e-9)

    @given(st.floats(1, 40), st.floats(1, 40), st.floats(-3, 3))
    def test_an_ellipse_of_cubics_is_one(self, rx: float, ry: float, angle: float) -> None:
        outline = flatten_cubics(ellipse_bezier(3, 4, rx, ry, angle))
        c, s = math.cos(angle), math.sin(angle)
        own = (outline - (3, 4)) @ np.array([[c, -s], [s, c]]) / (rx, ry)
        np.testing.assert_allclose(np.hypot(*own.T), 1, atol=1e-3)

    def test_points_of_a_cubic_at_its_ends_are_its_ends(self) -> None:
        control = np.array([(0, 0), (1, 5), (4, 5), (6, 1), (7, 0), (9, 2), (9, 9)], float)
        np.testing.assert_allclose(bezier_points(control, 0.0), control[[0, 3]])
        np.testing.assert_allclose(bezier_points(control, 1.0), control[[3, 6]])
