"""Rough figures to true ones."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np

from bench import rough as drawn
from demo.hand import Hand
from sunroom.core.geometry import flatten_cubics
from sunroom.core.shapes import Figure, Part, find_sketch, stand_like_letters
from sunroom.core.shapes.fits import KINDS, fit
from sunroom.core.shapes.ink import Ink, distance
from sunroom.resources import finder

SIDE = 24


def find_shapes(strokes: list[np.ndarray]) -> list[Figure]:
    return finder().find(strokes)


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

    def test_all_kinds_are_told_apart_when_they_are_drawn_with_care(self) -> None:
        random = np.random.default_rng(12)
        for kind in KINDS:
            found = [find_shapes(drawn.rough(kind, 0.015, random)) for _ in range(8)]
            right = sum(bool(figures) and figures[0].kind == kind for figures in found)
            self.assertGreaterEqual(right, 6, f"{kind}: {right} of 8")

    def test_an_arrow_in_one_stroke_points_where_it_was_drawn_to(self) -> None:
        tip, tail = np.array([200.0, 40.0]), np.array([0.0, 0.0])
        path = sides([(0, 0), (200, 40), (165, 10), (200, 40), (158, 52)], closed=False)
        figure = find_shapes([path])[0]
        self.assertEqual((figure.kind, figure.ends, figure.figure), ("arrow", "arrow", "line"))
        np.testing.assert_allclose(figure.points[-1], tip, atol=14)
        np.testing.assert_allclose(figure.points[0], tail, atol=14)


class Fitting(TestCase):
    """The geometry alone, kind by kind: the exact figure lies on the ink that it was made from."""

    def test_every_kind_fits_its_own_rough_drawing(self) -> None:
        random = np.random.default_rng(4)
        for kind in KINDS:
            for _ in range(6):
                ink = Ink(drawn.rough(kind, 0.015, random))
                exact = fit(kind, ink)
                assert exact is not None, kind
                self.assertLess(distance(exact, ink), 0.06, kind)

    def test_a_bent_arrow_lies_on_its_ink_and_points_where_its_head_is_however_it_was_drawn(self) -> None:
        rng, t = np.random.default_rng(5), np.linspace(0, 1, 60)
        for bend in (-0.25, -0.15, 0.15, 0.25):
            shaft = 200 * np.column_stack([t, 4 * bend * t * (1 - t)])
            tip, back = shaft[-1], math.atan2(*(shaft[-4] - shaft[-1])[::-1])
            one, two = (
                tip + 45 * np.array([math.cos(back + side), math.sin(back + side)]) for side in (-0.6, 0.6)
            )
            wings = {"there and back": [one, tip, two], "across": [one, two, tip]}
            for how, head in wings.items():
                whole = np.vstack([shaft, sides([tuple(tip), *map(tuple, head)], closed=False)])
                apart = sides([tuple(place) for place in head], closed=False)
                for strokes in ([whole], [whole[::-1]], [shaft, apart], [apart, shaft[::-1]]):
                    ink = Ink([rough(stroke, rng, 0.02) for stroke in strokes])
                    exact = fit("arrow", ink)
                    assert exact is not None
                    with self.subTest(bend=bend, how=how, strokes=len(strokes)):
                        self.assertEqual((exact.figure, exact.ends), ("curve", "arrow"))
                        np.testing.assert_allclose(exact.points[-1], tip, atol=25)
                        self.assertLess(distance(exact, ink), 0.05)

    def test_a_polyline_keeps_shallow_corners_of_steady_ink_and_gains_none_by_tremor(self) -> None:
        rng = np.random.default_rng(3)
        stairs = [(330, 330), (400, 320), (410, 360), (480, 350), (490, 300), (560, 290)]
        for corners, noise in ((stairs, 0.01), ([(0, 0), (120, 60), (260, 30), (300, 140)], 0.03)):
            right = 0
            for _ in range(20):
                exact = fit("polyline", Ink([rough(sides(corners, closed=False), rng, noise)]))
                assert exact is not None
                right += len(exact.points) == len(corners) and np.allclose(exact.points, corners, atol=25)
            self.assertGreaterEqual(right, 15)

    def test_a_polygon_that_strays_far_keeps_the_corners_it_has(self) -> None:
        random = np.random.default_rng(6)
        for kind in ("triangle", "rectangle", "pentagon", "hexagon"):
            for _ in range(40):
                ink = Ink(drawn.rough(kind, 0.06, random))
                exact = fit(kind, ink)
                assert exact is not None, kind
                self.assertLess(distance(exact, ink), 0.13, kind)

    def test_special_triangles_are_made_exact_and_say_what_they_are(self) -> None:
        for corners, form in (
            ([(0, 0), (4, 150), (200, 148)], "right"),
            ([(0, 170), (98, 0), (200, 172)], "equilateral"),
            ([(0, 300), (60, 0), (118, 304)], "isosceles"),
        ):
            exact = fit("triangle", Ink([sides(corners)]))
            assert exact is not None
            self.assertEqual(exact.form, form)
            lengths = sorted(np.hypot(*(exact.points - np.roll(exact.points, 1, axis=0)).T))
            if form == "right":
                self.assertAlmostEqual(lengths[0] ** 2 + lengths[1] ** 2, lengths[2] ** 2, delta=1)
            elif form == "equilateral":
                self.assertAlmostEqual(lengths[0], lengths[2], places=6)

    def test_a_rhombus_has_four_equal_sides_and_a_parallelogram_two_pairs(self) -> None:
        rhombus = fit("rhombus", Ink([sides([(0, -60), (104, 2), (3, 66), (-99, 4)])]))
        assert rhombus is not None
        lengths = np.hypot(*(rhombus.points - np.roll(rhombus.points, 1, axis=0)).T)
        np.testing.assert_allclose(lengths, lengths[0])
        slanted = fit("parallelogram", Ink([sides([(60, 0), (260, 4), (205, 100), (0, 96)])]))
        assert slanted is not None
        a, b, c, d = slanted.points
        np.testing.assert_allclose(b - a, c - d, atol=1e-6)

    def test_a_trapezium_has_one_pair_of_level_sides(self) -> None:
        exact = fit("trapezium", Ink([sides([(50, 0), (170, 6), (220, 100), (0, 104)])]))
        assert exact is not None
        self.assertAlmostEqual(exact.points[0][1], exact.points[1][1])
        self.assertAlmostEqual(exact.points[2][1], exact.points[3][1])

    def test_elbows_run_level_and_upright(self) -> None:
        for corners in ([(0, 0), (150, 8), (146, 90)], [(0, 0), (90, 6), (95, 120), (200, 118)]):
            exact = fit("elbow", Ink([sides(corners, closed=False)]))
            assert exact is not None
            self.assertEqual(len(exact.points), len(corners))
            for step in np.diff(exact.points, axis=0):
                self.assertAlmostEqual(float(np.abs(step).min()), 0.0)

    def test_an_arc_runs_from_where_the_ink_begins_to_where_it_ends(self) -> None:
        at = np.linspace(0.4, 3.4, 50)
        ink = 100 * np.column_stack([np.cos(at), np.sin(at)]) + (50, 70)
        exact = fit("arc", Ink([ink]))
        assert exact is not None
        np.testing.assert_allclose(exact.points[0], ink[0], atol=1.5)
        np.testing.assert_allclose(exact.points[-1], ink[-1], atol=1.5)
        self.assertEqual(len(exact.points) % 3, 1)

    def test_a_number_line_has_a_tick_for_each_drawn_and_evenly_spaced(self) -> None:
        ticks = [sides([(x, -12), (x + 1, 12)], closed=False) for x in (30, 82, 128, 181)]
        exact = fit("number_line", Ink([sides([(0, 0), (220, 2)], closed=False), *ticks]))
        assert exact is not None
        starts = np.cumsum((0, *exact.parts))
        xs = [exact.points[start][0] for start, count in zip(starts[1:5], exact.parts[1:5], strict=True)]
        np.testing.assert_allclose(np.diff(xs), np.diff(xs)[0])

    def test_a_brace_points_the_way_it_was_drawn(self) -> None:
        half = np.array([(30, 0), (16, 8), (15, 80), (0, 100)], float)
        left = np.vstack([half, (half * (1, -1) + (0, 200))[::-1]])
        for path, side in ((left, min), (left * (-1, 1), max)):
            exact = fit("brace", Ink([path]))
            assert exact is not None
            middle = exact.points[np.abs(exact.points[:, 1] - 100) < 12]
            self.assertAlmostEqual(side(middle[:, 0]), side(exact.points[:, 0]), delta=2)


class Sketching(TestCase):
    def sketch(self) -> list[np.ndarray]:
        random = np.random.default_rng(1)
        box = [s * 0.8 for s in drawn.rough("rectangle", 0.012, random)]
        ring = [s * 0.7 + (420, 0) for s in drawn.rough("circle", 0.012, random)]
        shaft = sides([(180, 40), (345, 10)], closed=False)
        head = sides([(320, -15), (345, 10), (318, 28)], closed=False)
        return [*box, *ring, shaft, head]

    def test_figures_of_a_sketch_are_parted_and_an_arrow_holds_on(self) -> None:
        parts = find_sketch(finder(), self.sketch())
        self.assertEqual([part.figure.kind for part in parts], ["rectangle", "circle", "arrow"])
        self.assertEqual(parts[2].holds, (0, 1))
        self.assertEqual(sorted(n for part in parts for n in part.members), list(range(len(self.sketch()))))

    def test_writing_beside_figures_stays_writing(self) -> None:
        word = Hand(3).write("noon", 0, 260, 60)
        parts = find_sketch(finder(), [*self.sketch(), *word])
        taken = {n for part in parts for n in part.members}
        self.assertFalse(taken & set(range(len(self.sketch()), len(self.sketch()) + len(word))))

    def test_letters_that_look_like_figures_stay_writing_beside_each_other(self) -> None:
        hand, strokes, boxes = Hand(4, 0.5), [], []
        for word, x in (("sun", 120), ("noon", 560)):
            boxes.append(len(strokes))
            box = [(x, 150), (x + 180, 148), (x + 182, 250), (x - 2, 252), (x + 1, 148)]
            strokes += [hand.sketch(box)[::3, :2], *Hand(9, 0.4).write(word, x + 45, 215, 38)]
        parts = find_sketch(finder(), strokes)
        self.assertEqual([part.members for part in parts], [(number,) for number in boxes])

    def test_a_drawing_with_words_in_its_figures_comes_out_whole(self) -> None:
        random, strokes, wanted = np.random.default_rng(4), [], {}
        for number, kind in enumerate(
            ("rectangle", "circle", "triangle", "ellipse", "rhombus", "square") * 2
        ):
            x, y = 300 * (number % 4), 300 * (number // 4)
            figure = [s * 0.7 + (x, y) for s in drawn.rough(kind, 0.015, random)]
            wanted[tuple(range(len(strokes), len(strokes) + len(figure)))] = kind
            middle = (np.vstack(figure).min(axis=0) + np.vstack(figure).max(axis=0)) / 2
            strokes += figure
            if kind in ("rectangle", "circle", "ellipse"):
                word = Hand(number).write("noon", *(middle - (30, -10)), 32)
                strokes += [stroke[:, :2] for stroke in word]
        found = {part.members: part.figure.kind for part in find_sketch(finder(), strokes)}
        self.assertEqual(found, wanted)

    def test_the_sides_of_a_figure_may_be_drawn_in_any_order(self) -> None:
        for kind, order in (
            ("rectangle", (0, 2, 1, 3)),
            ("square", (1, 3, 0, 2)),
            ("hexagon", (0, 3, 1, 4, 2, 5)),
        ):
            corners = {
                "rectangle": [(0, 0), (240, 0), (240, 140), (0, 140)],
                "square": [(0, 0), (160, 0), (160, 160), (0, 160)],
                "hexagon": [
                    (100 * math.cos(n * math.pi / 3), 100 * math.sin(n * math.pi / 3)) for n in range(6)
                ],
            }[kind]
            lines = [
                sides([a, b], closed=False) for a, b in zip(corners, corners[1:] + corners[:1], strict=True)
            ]
            strokes = [*(lines[n] for n in order), ring(120, 120) + (500, 0)]
            found = [(part.figure.kind, len(part.members)) for part in find_sketch(finder(), strokes)]
            self.assertEqual(found, [(kind, len(lines)), ("circle", 1)])

    def test_bent_arrows_to_and_fro_keep_their_own_heads(self) -> None:
        hand, t = Hand(4, 0.5), np.linspace(0, 1, 22)

        def bent(x0: float, y0: float, x1: float, y1: float, rise: float) -> np.ndarray:
            way = np.column_stack([x0 + (x1 - x0) * t, y0 + (y1 - y0) * t - 4 * rise * t * (1 - t)])
            return hand.sketch([(float(x), float(y)) for x, y in way])[::3, :2]

        there = [bent(310, 180, 548, 190, 55), hand.sketch([(520, 170), (548, 190), (515, 196)])[::3, :2]]
        back = [
            hand.sketch([(338, 222), (310, 230), (332, 252)])[::3, :2],
            bent(310, 230, 548, 235, -50),
            hand.sketch([(520, 252), (548, 235), (515, 226)])[::3, :2],
        ]
        boxes = [
            hand.sketch([(x, 150), (x + 180, 148), (x + 182, 250), (x - 2, 252), (x + 1, 148)])
            for x in (120, 560)
        ]
        parts = find_sketch(finder(), [*(box[::3, :2] for box in boxes), *there, np.vstack(back)])
        found = [(part.figure.kind, part.members) for part in parts[2:]]
        self.assertEqual(found, [("arrow", (2, 3)), ("double_arrow", (4,))])

    def test_lines_that_do_not_meet_are_no_one_figure(self) -> None:
        stairs = sides([(330, 330), (400, 320), (410, 360), (480, 350), (490, 300), (560, 290)], closed=False)
        slope = sides([(330, 450), (420, 400), (520, 390), (600, 440), (700, 430)], closed=False)
        square = [
            sides(side, closed=False)
            for side in (
                [(620, 320), (760, 322)],
                [(758, 318), (762, 420)],
                [(764, 418), (618, 422)],
                [(621, 424), (619, 318)],
            )
        ]
        found = [part.members for part in find_sketch(finder(), [slope, stairs, *square])]
        self.assertEqual(found, [(0,), (1,), (2, 3, 4, 5)])

    def test_a_number_line_of_a_sketch_keeps_all_its_ticks_and_both_heads(self) -> None:
        line = [sides([(0, 0), (400, 0)], closed=False)]
        ticks = [sides([(x, -16), (x, 15)], closed=False) for x in range(50, 351, 50)]
        heads = [
            sides([(tip - back, -14), (tip, 0), (tip - back, 13)], closed=False)
            for tip, back in ((400, 24), (0, -24))
        ]
        strokes = [*self.sketch(), *(stroke + (20, 320) for stroke in [*line, *ticks, *heads])]
        number_line = find_sketch(finder(), strokes)[-1]
        self.assertEqual((number_line.figure.kind, len(number_line.members)), ("number_line", 10))

    def test_digits_beside_each_other_stand_like_letters_and_figures_of_a_drawing_do_not(self) -> None:
        (ring,) = drawn.rough("circle", 0.012, np.random.default_rng(1))
        wide = float(np.ptp(ring[:, 0]))
        figures = finder().find_each([[ring], [ring + (1.2 * wide, 0)]])
        self.assertTrue(stand_like_letters([Part(found[0], (n,)) for n, found in enumerate(figures)]))
        self.assertFalse(stand_like_letters(find_sketch(finder(), self.sketch())))

    def test_a_word_a_dot_and_far_too_much_are_no_sketch(self) -> None:
        self.assertEqual(find_sketch(finder(), Hand(5).write("shadow", 0, 0, 60)), [])
        self.assertEqual(find_sketch(finder(), [np.zeros((3, 2))]), [])
        self.assertEqual(find_sketch(finder(), [np.zeros((3, 2))] * 500), [])
