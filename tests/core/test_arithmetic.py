"""Sums and fractions in one line: which digits and strokes of fractions are in them, and how they are typed."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench.digits import hands_for, in_real_digits
from demo.hand import Hand
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.maths.strokes import steadied
from sunroom.core.maths.written_latex import oddness
from sunroom.core.reading.columns import columns_among
from sunroom.core.reading.lines import find_lines
from sunroom.live.work.ink_jobs import read_ink
from sunroom.resources import reader, written_reader

Strokes = list[np.ndarray]


def in_a_line(text: str, seed: int) -> Strokes:
    """Each digit by another real hand."""
    return in_real_digits(text, hands_for(1, text, seed)[0], np.random.default_rng(seed), gap=14)


def said(strokes: Strokes) -> list[str]:
    return [reading.text for reading in reader().read(strokes)]


class Arithmetic(TestCase):
    def test_fractions_in_a_sum_are_fractions_and_ones_in_numbers_are_ones(self) -> None:
        for texts in (
            ("1/2 + 1/4 = 3/4", "5/6 - 2/3", "3/8 × 2/5"),
            ("212 + 35 = 247", "14 + 17 = 31", "1 + 1 = 2"),
        ):
            right = sum(text in said(in_a_line(text, seed))[:1] for text in texts for seed in range(6))
            self.assertGreaterEqual(right, 14, texts)

    def test_as_formulas_they_are_fractions_and_numbers_too(self) -> None:
        for texts in (("1/2+1/4=3/4", "5/6-2/3", "3/8+2/5"), ("212+35=247", "14+17=31", "314-211")):
            read = [
                written_reader().read([stroke[:, :2] for stroke in in_a_line(text, seed)])[0].latex == text
                for text in texts
                for seed in range(6)
            ]
            self.assertGreaterEqual(sum(read), 15, texts)

    def test_a_mouse_that_tells_whole_px_draws_strokes_of_fractions_too(self) -> None:
        for text in ("1/2+1/4=3/4", "5/6-2/3", "3/8+2/5"):
            ink = in_real_digits(text, hands_for(1, text, 3)[0], np.random.default_rng(5))
            whole = [np.round(stroke[:, :2]) for stroke in ink]
            self.assertEqual(written_reader().read(whole)[0].latex, text)
        way = np.linspace(0, 40, 15)
        line, bend = (
            np.column_stack([way, way + more]) for more in (0.4 * np.sin(way), 6 * np.sin(way / 13))
        )
        self.assertEqual((len(steadied(line)), len(steadied(bend)), len(steadied(line[:1]))), (2, 15, 1))
        there_and_half_back = np.vstack([line, line[14:6:-1]])
        self.assertEqual(len(steadied(there_and_half_back)), 23, "its ends say little of it")

    def test_a_sum_is_offered_as_a_formula_first_and_a_range_as_text(self) -> None:
        for text, first in (("3 + 14", True), ("6y + 3", True), ("10-15", False), ("tea", False)):
            strokes = tuple((pack_samples(stroke), Affine()) for stroke in Hand(9, 0.3).write(text, 0, 0, 60))
            self.assertEqual(read_ink(strokes, maths=True).maths_first, first, text)

    def test_a_fraction_beside_a_large_number_is_odd(self) -> None:
        self.assertGreater(oddness("717+2/4"), oddness("717+214"))
        for plain in ("1/7+2/4", "1/4=0.125", r"v=120km/h"):
            self.assertEqual(oddness(plain), 0, plain)

    def test_signs_stand_between_spaces_where_the_pen_left_room(self) -> None:
        apart, close = ((Hand(9, 0.3).write(text, 0, 0, 60)) for text in ("12 + 30 = 42", "12+30=42"))
        self.assertEqual(said(apart)[0], "12 + 30 = 42")
        self.assertEqual(said(close)[0].replace(" ", ""), "12+30=42")

    def test_a_letter_in_an_equation_stays_one(self) -> None:
        for text in ("n = 5", "4x - 1 = 17"):
            self.assertIn(
                text.replace(" ", ""), [t.replace(" ", "") for t in said(Hand(9, 0.3).write(text, 0, 0, 60))]
            )

    def test_the_stroke_between_two_dots_is_no_line_under_a_row(self) -> None:
        dot = np.array([[0.0, 0.0], [1.0, 1.0]])
        low = [
            np.array([[x, 20.0 - 20 * high], [x + 14, 38.0], [x + 3, 40.0]])
            for x, high in ((-40, 0.0), (100, 1.0), (130, 0.2))
        ]
        bar = np.array([[30.0, 25.0], [58.0, 26.0]])
        ink = [*low, bar, dot + (44, 14), dot + (44, 36)]
        self.assertIsNone(columns_among(ink))
        self.assertIsNotNone(
            columns_among([*low, bar, low[0] + (76, -22), low[1] + (-60, 30)]), "rows over and under it"
        )
        self.assertEqual(len(find_lines(ink)), 1)
