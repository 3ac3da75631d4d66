"""Long divisions: their rows are numbers, the lines and the bracket between them are none, and each is typed where it stood."""

from __future__ import annotations

from unittest import TestCase, mock

import numpy as np

from demo.hand import Hand
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.reading.columns import MOST_STROKES, columns_among
from sunroom.core.reading.numbers import MAX_NUMBER_STROKES
from sunroom.core.reading.symbols import Symbols
from sunroom.live.work.ink_jobs import InkRead, read_ink
from sunroom.resources import reader
from tests.core.test_sums import SQUARE, Strokes, in_squares

#: Rows with the column of their first sign.
STEPS = [("-8", 0), ("06", 1), ("-4", 1), ("24", 2), ("-24", 1), ("0", 3)]
SAID = ["- 8", "06", "- 4", "24", "- 24", "0"]


def line(row: float, start: float, end: float) -> np.ndarray:
    """A line across, from one column to another."""
    way = np.linspace(0, 1, 20)
    return np.column_stack([SQUARE * (start + (end - start) * way), row * SQUARE + 7 + 0.8 * np.sin(9 * way)])


def steps(first_row: int, seed: int, column: int = 0) -> Strokes:
    """The steps of 864 divided by 4, with a line under each other one."""
    strokes: Strokes = []
    for number, (text, at) in enumerate(STEPS):
        strokes += in_squares(text, first_row + number, column + at, seed + 11 * number)
        if number % 2 == 0:
            strokes.append(line(first_row + number, column + at - 0.1, column + at + len(text) + 0.2))
    return strokes


def in_one_line(seed: int) -> Strokes:
    return [*in_squares("864:4=216", 0, 1, seed), *steps(1, seed + 2)]


def bracket(one_stroke: bool) -> Strokes:
    way = np.linspace(0, np.pi, 12)
    hook = np.column_stack([1.95 * SQUARE + 7 * np.sin(way), 58 - 54 * way / np.pi])
    over = line(0, 1.95, 5.2)
    return [np.vstack([hook, over])] if one_stroke else [hook, over]


def behind_bracket(seed: int, one_stroke: bool) -> Strokes:
    numbers = [
        *in_squares("216", 0, 2, seed),
        *in_squares("4", 1, 1, seed + 7),
        *in_squares("864", 1, 2, seed),
    ]
    return [*bracket(one_stroke), *numbers, *steps(2, seed + 2, 1)]


def beside_upright(seed: int) -> Strokes:
    upright = np.column_stack([np.full(20, 4.5 * SQUARE), np.linspace(-42, 2.2 * SQUARE, 20)])
    right = [*in_squares("4", 0, 5, seed + 7), line(0, 4.5, 8), *in_squares("216", 1, 5, seed)]
    return [*in_squares("864", 0, 1, seed + 3), upright, *right, *steps(1, seed + 2)]


def said(strokes: Strokes) -> list[str]:
    return [read.rivals[0].text for read in reader().read_lines(strokes)]


def as_ink(strokes: Strokes) -> InkRead:
    rows = [np.column_stack([s[:, :2], np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in strokes]
    return read_ink(tuple((pack_samples(row), Affine()) for row in rows), maths=True)


class LongDivisions(TestCase):
    def test_what_is_divided_and_what_comes_out_stand_in_the_first_row(self) -> None:
        for seed in (3, 20):
            self.assertEqual(said(in_one_line(seed)), ["864 : 4 = 216", *SAID])

    def test_the_divisor_stands_before_a_bracket_of_one_stroke_or_two(self) -> None:
        for one_stroke in (True, False):
            texts = said(behind_bracket(3, one_stroke))
            self.assertEqual((texts[0], {*texts[1:3]}, texts[3:]), ("216", {"4", "864"}, SAID))

    def test_divisor_and_quotient_stand_beside_an_upright(self) -> None:
        texts = said(beside_upright(3))
        self.assertEqual(sorted(texts), sorted(["864", "4", "216", *SAID]))
        self.assertLess(texts.index("864"), texts.index("06"))

    def test_lines_and_bracket_are_no_writing(self) -> None:
        strokes = behind_bracket(3, True)
        found = columns_among(strokes)
        assert found is not None
        self.assertEqual((found.bracket, len(found.ruled)), ({0}, 3))
        members = {n for read in reader().read_lines(strokes) for n in read.members}
        self.assertEqual(members, {*range(len(strokes))} - found.bracket - found.ruled)

    def test_they_are_offered_as_type_and_not_as_figures_or_maths(self) -> None:
        for strokes, rows in ((in_one_line(3), 7), (behind_bracket(3, True), 9), (beside_upright(3), 9)):
            found = as_ink(strokes)
            self.assertEqual(len(found.readings[0].text.split("\n")), rows)
            self.assertFalse(found.figure_first or found.maths_first or found.sketch)


class WhatIsNoDivision(TestCase):
    def test_a_column_of_fractions_is_none(self) -> None:
        fractions = [
            stroke
            for row, (over, under) in enumerate([("3", "4"), ("1", "8"), ("5", "6")])
            for stroke in (
                *in_squares(over, 3 * row, 0, row),
                line(3 * row, -0.1, 1.1),
                *in_squares(under, 3 * row + 1, 0, row + 9),
            )
        ]
        self.assertIsNotNone(columns_among(fractions))
        self.assertEqual(reader().read_in_columns(fractions), [])

    def test_words_behind_a_bracket_are_none(self) -> None:
        words = [s[:, :2] + (2 * SQUARE, SQUARE) for s in Hand(9, 0.3).write("window seat", 0, 0, 60)]
        low = [s[:, :2] + (2 * SQUARE, 2 * SQUARE) for s in Hand(8, 0.3).write("garden path", 0, 0, 60)]
        ink = [*bracket(True), *in_squares("4", 1, 1, 3), *words, line(1, 2, 5), *low]
        self.assertIsNotNone(columns_among(ink))
        self.assertEqual(reader().read_in_columns(ink), [])

    def test_minus_and_equals_signs_are_no_lines(self) -> None:
        rows = [*in_squares("9-5=4", 0, 0, 3), *in_squares("7-2=5", 1, 0, 4)]
        self.assertIsNone(columns_among(rows))

    def test_a_crowd_in_one_row_is_not_parted_in_all_its_ways(self) -> None:
        specks = [np.array([(300 + 3 * n, 520 + n % 9), (303 + 3 * n, 545.0)]) for n in range(100)]
        parted = Symbols.parted_digits
        with mock.patch.object(Symbols, "parted_digits", autospec=True, side_effect=parted) as looked:
            self.assertTrue(reader().read_in_columns([*behind_bracket(3, True), *specks]))
        self.assertTrue(all(len(call.args[1]) <= MAX_NUMBER_STROKES for call in looked.call_args_list))

    def test_few_strokes_and_crowds_are_not_looked_at(self) -> None:
        strokes = in_one_line(3)
        self.assertIsNone(columns_among(strokes[:4]))
        self.assertIsNone(columns_among(strokes * (MOST_STROKES // len(strokes) + 1)))
