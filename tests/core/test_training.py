"""The scripts that make the nets' data: what they trace and draw is what they say it is."""

from __future__ import annotations

from unittest import TestCase

import cv2
import numpy as np

from bench import rough
from bench.reading import edits
from demo.hand import Hand
from sunroom.core.ink.tracing import trace_picture
from sunroom.core.shapes.fits import KINDS
from training import figures


class Tracing(TestCase):
    def picture(self, *lines: list[tuple[int, int]]) -> np.ndarray:
        """Thick lines as a font has them."""
        image = np.zeros((300, 300), np.uint8)
        for line in lines:
            cv2.polylines(image, [np.array(line, np.int32)], False, 1, 14)
        return image

    def test_a_line_is_one_stroke_along_its_middle(self) -> None:
        (stroke,) = trace_picture(self.picture([(40, 150), (260, 150)]))
        self.assertLess(np.abs(stroke[:, 1] - 150).max(), 3)
        self.assertGreater(np.ptp(stroke[:, 0]), 190)

    def test_two_lines_that_cross_are_two_strokes_that_run_on(self) -> None:
        strokes = trace_picture(self.picture([(40, 40), (260, 260)], [(260, 40), (40, 260)]))
        self.assertEqual(len(strokes), 2)
        for stroke in strokes:
            self.assertGreater(np.hypot(*np.ptp(stroke[:, :2], axis=0)), 250)

    def test_a_line_that_ends_soon_after_it_has_met_another_keeps_its_tail(self) -> None:
        bowl = [(int(120 + 60 * np.cos(a)), int(150 + 60 * np.sin(a))) for a in np.linspace(0, 2 * np.pi, 60)]
        picture = self.picture(bowl, [(180, 85), (180, 224)])
        points = np.vstack(trace_picture(picture))
        for y in (88, 221):
            self.assertLess(np.hypot(*(points[:, :2] - (180, y)).T).min(), 6, "so an a is no o")
        corner = self.picture([(60, 60), (60, 240), (240, 240)])
        cv2.rectangle(corner, (50, 230), (75, 250), 1, -1)
        (stroke,) = trace_picture(corner)
        self.assertGreater(len(stroke), 300, "the corner of a blunt pen is no line")

    def test_a_line_is_followed_up_to_where_the_pen_left_it(self) -> None:
        (stroke,) = trace_picture(self.picture([(40, 150), (150, 60), (260, 150)]))
        self.assertLess(np.hypot(*(stroke[[0, -1], :2] - ((40, 150), (260, 150))).T).max(), 5)

    def test_a_ring_is_closed_and_nothing_is_nothing(self) -> None:
        at = np.linspace(0, 2 * np.pi, 60)
        ring = [(int(150 + 90 * np.cos(a)), int(150 + 90 * np.sin(a))) for a in at]
        (stroke,) = trace_picture(self.picture(ring))
        self.assertLess(float(np.hypot(*(stroke[0, :2] - stroke[-1, :2]))), 6)
        length = float(np.hypot(*np.diff(stroke[:, :2], axis=0).T).sum())
        self.assertAlmostEqual(length, 2 * np.pi * 90, delta=8, msg="and does not go on")
        self.assertEqual(trace_picture(np.zeros((50, 50), np.uint8)), [])

    def test_dots_that_thinning_wears_away_are_still_dots(self) -> None:
        for radius in range(1, 16):
            image = self.picture([(150, 100), (150, 260)])
            cv2.circle(image, (150, 40), radius, 1, -1)
            dot, stroke = sorted(trace_picture(image), key=len)
            self.assertGreater(np.ptp(stroke[:, 1]), 130)
            self.assertLess(np.hypot(*(dot[:, :2] - (150, 40)).T).max(), 6)


class Drawing(TestCase):
    def test_both_generators_draw_every_kind_and_the_same_seed_draws_the_same(self) -> None:
        self.assertEqual(set(figures.KINDS), set(KINDS))
        self.assertEqual(set(rough.KINDS), set(KINDS))
        for kind in KINDS:
            for draw in (
                lambda random, kind=kind: figures.rough_figure(kind, random, 0.03),
                lambda random, kind=kind: rough.rough(kind, 0.03, random),
            ):
                one, two = draw(np.random.default_rng(5)), draw(np.random.default_rng(5))
                self.assertEqual(len(one), len(two))
                for a, b in zip(one, two, strict=True):
                    np.testing.assert_array_equal(a, b)
                    self.assertTrue(np.isfinite(a).all())

    def test_noise_is_what_it_says_it_is(self) -> None:
        random = np.random.default_rng(2)
        for noise in (0.02, 0.06):
            strays = []
            for _ in range(60):
                (line,) = rough.rough("line", noise, random)
                centre = line.mean(axis=0)
                _, _, axes = np.linalg.svd(line - centre, full_matrices=False)
                strays.append(
                    np.sqrt((((line - centre) @ axes[1]) ** 2).mean()) / np.hypot(*np.ptp(line, axis=0))
                )
            # Across the line lies one of the two directions in which it strays.
            self.assertAlmostEqual(float(np.mean(strays)), noise / np.sqrt(2), delta=0.3 * noise)


class Hands(TestCase):
    def test_a_hand_writes_the_same_from_the_same_seed_and_says_what_it_cannot(self) -> None:
        one, two = Hand(3).write("noon", 0, 0, 60), Hand(3).write("noon", 0, 0, 60)
        for a, b in zip(one, two, strict=True):
            np.testing.assert_array_equal(a, b)
        self.assertTrue(Hand(3).can_write("noon at 12"))
        self.assertFalse(Hand(3).can_write("正午"))

    def test_pressure_and_time_are_those_of_a_pen(self) -> None:
        for stroke in Hand(3).write("shadow", 0, 0, 60):
            self.assertTrue(((stroke[:, 2] > 0) & (stroke[:, 2] <= 1)).all())
            self.assertTrue((np.diff(stroke[:, 3]) > 0).all())

    def test_edits_between_texts_are_counted(self) -> None:
        for a, b, count in (
            ("", "", 0),
            ("noon", "noon", 0),
            ("noon", "moon", 1),
            ("sun", "", 3),
            ("shadow", "shallow", 2),
        ):
            self.assertEqual(edits(a, b), count, (a, b))
            self.assertEqual(edits(b, a), count)
