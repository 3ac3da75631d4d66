"""What the nets look at: the same picture wherever, however large and from whichever end ink was drawn."""

from __future__ import annotations

from unittest import TestCase

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from demo.hand import Hand
from sunroom.core.ink.raster import ink_measures, ink_raster
from sunroom.core.ink.sequence import ink_sequence
from sunroom.core.reading.decode import beam_search
from sunroom.core.shapes.fits import KINDS
from sunroom.resources import finder, reader, symbols

SIDE = 32


def word() -> list[np.ndarray]:
    return [stroke[:, :2] for stroke in Hand(3).write("noon", 0, 0, 60)]


class Rasters(TestCase):
    @settings(max_examples=25)
    @given(st.floats(0.01, 400), st.integers(-9_000, 9_000))
    def test_place_and_size_do_not_matter(self, scale: float, shift: int) -> None:
        moved = [stroke * scale + shift for stroke in word()]
        np.testing.assert_allclose(ink_raster(moved, SIDE), ink_raster(word(), SIDE), atol=2e-3)
        np.testing.assert_allclose(ink_measures(moved), ink_measures(word()), atol=1e-3)

    def test_the_end_a_stroke_is_begun_at_does_not_matter_to_the_picture(self) -> None:
        turned = [stroke[::-1] for stroke in word()]
        np.testing.assert_allclose(ink_raster(turned, SIDE), ink_raster(word(), SIDE), atol=0.02)

    def test_level_and_upright_ink_look_different_beyond_where_they_lie(self) -> None:
        level, upright = np.array([(0.0, 0.0), (9.0, 0.0)]), np.array([(0.0, 0.0), (0.0, 9.0)])
        self.assertGreater(ink_raster([level], SIDE)[1].max(), 0.5)
        self.assertLess(ink_raster([upright], SIDE)[1].min(), -0.5)

    def test_values_stay_within_what_the_nets_know(self) -> None:
        for strokes in (
            word(),
            [np.zeros((1, 2))],
            [np.zeros((40, 2))],
            [np.array([(0.0, 0.0), (1e-9, 0.0)])],
        ):
            picture = ink_raster(strokes, SIDE)
            self.assertEqual(picture.shape, (3, SIDE, SIDE))
            self.assertTrue(np.isfinite(picture).all())
            self.assertLessEqual(np.abs(picture).max(), 1.05)
            self.assertTrue(np.isfinite(ink_measures(strokes)).all())

    def test_measures_tell_wide_from_high_and_one_stroke_from_many(self) -> None:
        wide, high = np.array([(0.0, 0.0), (9.0, 1.0)]), np.array([(0.0, 0.0), (1.0, 9.0)])
        self.assertGreater(ink_measures([wide])[0], ink_measures([high])[0])
        self.assertLess(ink_measures([wide])[3], ink_measures([wide, high, wide + 3])[3])
        self.assertEqual(ink_measures([wide] * 30)[3], 1.0)


class Sequences(TestCase):
    @settings(max_examples=25)
    @given(st.floats(0.01, 400), st.integers(-9_000, 9_000))
    def test_place_and_size_do_not_matter(self, scale: float, shift: int) -> None:
        moved = [stroke * scale + shift for stroke in word()]
        np.testing.assert_allclose(ink_sequence(moved, 128), ink_sequence(word(), 128), atol=5e-3)

    def test_points_follow_the_pen_and_a_stroke_has_its_part_of_them(self) -> None:
        right, down = np.array([(0.0, 0.0), (30.0, 0.0)]), np.array([(30.0, 0.0), (30.0, 10.0)])
        x, y, cos, sin, begins = ink_sequence([right, down], 40)
        np.testing.assert_array_equal(np.flatnonzero(begins), [0, 29])
        np.testing.assert_allclose((x[0], x[28], y[-1]), (-1, 1, 1 / 3), atol=1e-6)
        self.assertTrue((cos[:29] > 0.99).all() and (sin[29:] > 0.99).all())

    def test_dots_and_far_too_many_strokes_are_followed_too(self) -> None:
        for strokes in ([np.zeros((1, 2))], [np.zeros((40, 2))], word() * 40, [*word(), np.zeros((1, 2))]):
            made = ink_sequence(strokes, 128)
            self.assertEqual(made.shape, (5, 128))
            self.assertTrue(np.isfinite(made).all())
            self.assertLessEqual(np.abs(made).max(), 1 + 1e-6)
            self.assertEqual(made[4].sum(), min(len(strokes), 64))


class Nets(TestCase):
    """The shipped nets are those that the code was written for."""

    def test_every_kind_of_figure_has_a_column(self) -> None:
        self.assertEqual({kind for _, kind in finder()._columns}, set(KINDS))

    def test_symbols_are_told_apart_and_embedded(self) -> None:
        letters = "aegkmt"
        groups = [[stroke[:, :2] for stroke in Hand(2, 0.3).write(letter, 0, 0, 60)] for letter in letters]
        hand = symbols().own_letters(list(zip(letters, groups, strict=True)))
        assert hand is not None
        np.testing.assert_allclose(np.hypot.reduce(hand._embeddings, axis=1), 1, atol=1e-3)
        logs = symbols().logs_of(groups)
        found = "".join(symbols().classes[column] for column in logs.argmax(axis=1))
        self.assertGreaterEqual(sum(a == b for a, b in zip(found.lower(), letters, strict=True)), 4, found)

    def test_the_recogniser_and_its_taught_end_say_what_a_line_is_in_rows_of_their_own(self) -> None:
        strokes = [stroke[:, :2] for stroke in Hand(2, 0.3).write("noon", 0, 0, 60)]
        look = reader().look(strokes)
        for rows, columns in zip(look, reader().joint.columns, strict=True):
            self.assertEqual(rows.shape[1], 1 + len(columns.alphabet))
            self.assertLessEqual(float(rows.sum(axis=1).max()), 1.001)
        np.testing.assert_allclose(look.taught.sum(axis=1), 1, atol=1e-3)
        self.assertAlmostEqual(len(look.taught), 2 * len(look.picture), delta=2)
        said = max(
            beam_search(look.taught, reader().joint.columns.taught.alphabet), key=lambda found: found[1]
        )[0]
        self.assertEqual(said, "noon")

    def test_no_two_classes_are_the_same_character(self) -> None:
        self.assertEqual(len(set(symbols().classes)), len(symbols().classes))
        self.assertTrue(all(len(character) == 1 for character in symbols().classes))
