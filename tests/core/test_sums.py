"""Sums in columns: read line by line as numbers, and typed with their digits below each other."""

from __future__ import annotations

from unittest import TestCase

import msgspec
import numpy as np

from demo.hand import Hand
from sunroom.core.board import InkItem, TextItem
from sunroom.core.board.items import carried, item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_item
from sunroom.core.board.requests import AsWritten, Typeset
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.reading.columns import MOST_STROKES
from sunroom.core.reading.lines import find_lines
from sunroom.core.reading.marks import marks_among
from sunroom.core.reading.numbers import is_sum
from sunroom.live.work.ink_jobs import read_ink
from sunroom.resources import reader, typesetter
from tests.core.test_conversions import PAGE, after, board_of, ink, only

SQUARE = 48.0
Strokes = list[np.ndarray]


def in_squares(text: str, row: int, column: int, seed: int, step: float = SQUARE) -> Strokes:
    """Digits one in each square, every one as another hand writes it."""
    return [
        stroke[:, :2] + ((column + place) * step, row * SQUARE)
        for place, character in enumerate(text)
        for stroke in Hand(seed + place, 0.5).write(character, 0, 0, 58)
    ]


def ruled(row: int, columns: int, tilt: float = 1.0) -> np.ndarray:
    """A line below a row, which touches what hangs from it."""
    return np.column_stack(
        [np.linspace(0, columns * SQUARE, 40), row * SQUARE + np.linspace(6, 6 + tilt, 40)]
    )


def a_sum(seed: int) -> Strokes:
    return [
        *in_squares("345", 0, 1, seed),
        *in_squares("+278", 1, 0, seed + 3),
        ruled(1, 4),
        *in_squares("623", 2, 1, seed + 7),
    ]


class SumsInColumns(TestCase):
    def test_each_line_is_one_number_however_far_its_digits_stand_apart(self) -> None:
        for seed in (3, 20, 41):
            strokes = a_sum(seed)
            self.assertEqual(
                [line.rivals[0].text for line in reader().read_lines(strokes)], ["345", "+ 278", "623"]
            )

    def test_what_comes_out_need_not_be_written_yet(self) -> None:
        for seed in (3, 20):
            asked = a_sum(seed)[: -len(in_squares("623", 2, 1, seed + 7))]
            said = [line.rivals[0].text for line in reader().read_lines(asked)]
            self.assertEqual(said, ["345", "+ 278"])

    def test_points_stand_between_digits_or_in_a_square_of_their_own(self) -> None:
        for seed in (3, 20):
            rows = [("13.50", 0, 1), ("+2.75", 1, 1), ("16.25", 2, 1)]
            ink = [stroke for text, row, at in rows for stroke in in_squares(text, row, at, seed + 5 * row)]
            said = [line.rivals[0].text for line in reader().read_lines([*ink, ruled(1, 6)])]
            self.assertEqual(said, ["13.50", "+ 2.75", "16.25"])

    def test_one_without_its_line_or_its_sign_is_read_as_it_stands(self) -> None:
        apart = [
            *in_squares("345", 0, 1, 3),
            *in_squares("278", 1, 1, 6),
            ruled(1, 4),
            *in_squares("623", 2, 1, 10),
        ]
        self.assertEqual(reader().read_lines(apart)[0].rivals[0].text, "3 4 5")
        self.assertTrue(is_sum(["12", "+ 5", "17"]))
        for texts in (["12", "5", "17"], ["+5"], ["-12", "25"], ["x + 2", "+ 5", "so 7"], []):
            self.assertFalse(is_sum(texts), texts)

    def test_what_is_too_large_for_a_sum_is_read_as_it_stands(self) -> None:
        crowd = [stroke + (0, 170 * n) for n in range(MOST_STROKES // 17 + 1) for stroke in a_sum(3)]
        self.assertEqual(reader().read_in_columns(crowd), [])
        self.assertTrue(any(line.rivals for line in reader().read_lines(crowd)))

    def test_numbers_that_stand_in_a_table_are_not_run_together(self) -> None:
        wide = [*in_squares("246", 0, 1, 3, 120.0), ruled(0, 9), *in_squares("-35", 1, 1, 6, 120.0)]
        texts = [line.rivals[0].text for line in reader().read_lines(wide)]
        self.assertEqual(texts[0], "2 4 6")

    def test_the_line_is_a_mark_though_digits_touch_it_and_says_how_the_sum_runs(self) -> None:
        strokes = a_sum(3)
        (bar,) = marks_among(strokes)
        self.assertEqual(len(strokes[bar]), 40)
        above, below = strokes[:bar], strokes[bar + 1 :]
        close = [stroke - (0, 12) for stroke in below]
        self.assertEqual(len(find_lines([*above, *close], [strokes[bar]])), 3)

    def test_a_line_under_one_word_parts_no_line_of_words(self) -> None:
        words = [s[:, :2] for s in Hand(9, 0.3).write("the sun at noon", 0, 0, 60)]
        low = [s[:, :2] for s in Hand(9, 0.3).write("a long shadow", 0, 62, 60)]
        under = np.column_stack([np.linspace(90, 160, 20), np.full(20, 8.0)])
        self.assertEqual(len(find_lines([*words, *low], [under])), 2)

    def test_a_line_that_leans_otherwise_than_the_words_above_it_turns_and_cuts_none(self) -> None:
        words = [s[:, :2] for s in Hand(9, 0.3).write("the sun at noon is high", 0, 0, 60)]
        low = [s[:, :2] for s in Hand(8, 0.3).write("a long shadow", 0, 80, 60)]
        across = np.linspace(0, max(s[:, 0].max() for s in words), 30)
        for slope in (-0.09, 0.09):
            said = reader().read_lines([*words, np.column_stack([across, 12 + slope * across]), *low])
            self.assertEqual(
                [line.rivals[0].text for line in said], ["the sun at noon is high", "a long shadow"]
            )
            self.assertEqual({line.angle_rad for line in said}, {0.0})

    def test_it_is_offered_as_type_before_a_fraction(self) -> None:
        rows = [np.column_stack([s, np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in a_sum(3)]
        found = read_ink(tuple((pack_samples(row), Affine()) for row in rows), maths=True)
        self.assertEqual(found.readings[0].text, "345\n+ 278\n623")
        self.assertFalse(found.maths_first)


class TypedInColumns(TestCase):
    """Three numbers with points, whose ink ends at about one edge."""

    def setUp(self) -> None:
        self.strokes = (ink("stroke-1", 120, 50), ink("stroke-2", 118, 100), ink("stroke-3", 121, 150))
        self.ids = tuple(stroke.id for stroke in self.strokes)

    def texts(self, text: str, strokes: tuple[InkItem, ...]) -> list[TextItem]:
        lines = tuple((uid,) for uid in self.ids)
        request = Typeset(PAGE, self.ids, "text-001", text, more=("text-002", "text-003"), lines=lines)
        self.board = after(board_of(*strokes), request)
        return sorted(only(self.board, TextItem), key=lambda item: item.id)

    def test_each_line_stands_where_it_stood_and_digits_below_each_other(self) -> None:
        texts = self.texts("3.45\n+ 2.7\n6.15", self.strokes)
        self.assertEqual([text.text for text in texts], ["3.45", "+ 2.7", "6.15"])
        self.assertEqual({(text.family, text.size) for text in texts}, {("mono", texts[0].size)})
        ends = [text.x + text.lines[0].width for text in texts]
        self.assertAlmostEqual(min(ends), max(ends))
        self.assertAlmostEqual(max(ends), max(item_box(stroke).x1 for stroke in self.strokes))
        self.assertEqual([round(b.y - a.y) for a, b in zip(texts, texts[1:], strict=False)], [50, 50])
        self.assertEqual(len(self.texts("3.45\n− 2.7\n0.75", self.strokes)), 3)
        back = after(self.board, AsWritten(PAGE, ("text-001", "text-002", "text-003")))
        self.assertEqual(len(only(back, InkItem)), 3)

    def test_what_is_no_sum_or_ends_raggedly_is_one_text(self) -> None:
        for text in ("345\n27\n372", "sun\n+ 27\nnoon", "345\n+ 27\nso", "345\n \n+ 27"):
            self.assertEqual(len(self.texts(text, self.strokes)), 1, text)
        ragged = (self.strokes[0], ink("stroke-2", 60, 100), self.strokes[2])
        self.assertEqual(len(self.texts("3.45\n+ 2.7\n6.15", ragged)), 1)


#: A stroke as wide and as high as a digit.
DIGIT = pack_samples(np.array([(0, 0, 0.5, 0), (20, 17, 0.5, 8), (0, 34, 0.5, 16)], float))


class TypedInSquares(TestCase):
    """Rows of strokes, one for each character, in ruled squares."""

    def typed(
        self, rows: list[tuple[str, int]], angle_rad: float = 0.0, step: float = SQUARE, grown: float = 1.0
    ) -> list[TextItem]:
        """What rows become, each given as its text with its first column."""
        strokes: list[InkItem] = []
        lines: list[tuple[str, ...]] = []
        for down, (text, column) in enumerate(rows):
            across = enumerate(text.replace(" ", ""), column)
            made = [
                ink(
                    f"ink-{down}-{at:03}",
                    100 + grown * (at * step + at % 2),
                    50 + 50 * down * grown,
                    samples=DIGIT,
                    map=(grown, 0.0, 0.0, grown),
                )
                for at, _ in across
            ]
            lines.append(tuple(stroke.id for stroke in made))
            strokes += [carried(stroke, Affine.turn(angle_rad)) for stroke in made]
        ids = tuple(f"text-{number:03}" for number in range(len(rows)))
        request = Typeset(
            PAGE,
            tuple(stroke.id for stroke in strokes),
            ids[0],
            "\n".join(text for text, _ in rows),
            angle_rad,
            ids[1:],
            tuple(lines),
        )
        return sorted(only(after(board_of(*strokes), request), TextItem), key=lambda item: item.id)

    def test_they_can_be_kept(self) -> None:
        texts = self.typed([("345", 1), ("+ 278", 0), ("623", 1)])
        self.assertEqual(msgspec.json.decode(msgspec.json.encode(texts), type=list[TextItem]), texts)

    def middles(self, text: TextItem) -> list[float]:
        """Where the characters of a typed text stand, in squares."""
        return [(text.x + run.x + run.width / 2 - 110) / SQUARE for run in text.lines[0].runs]

    def test_digits_stand_in_their_squares_and_the_sign_before_them(self) -> None:
        texts = self.typed([("345", 1), ("+ 278", 0), ("623", 1)])
        self.assertEqual([text.text for text in texts], ["345", "+278", "623"])
        for text, first in zip(texts, (1, 0, 1), strict=True):
            for at, middle in enumerate(self.middles(text), first):
                self.assertAlmostEqual(middle, at, delta=0.04)

    def test_steps_of_a_long_division_stand_below_what_they_are_taken_from(self) -> None:
        rows = [("864 : 4 = 216", 1), ("- 8", 0), ("06", 1), ("- 4", 1), ("24", 2)]
        texts = self.typed(rows)
        self.assertEqual([text.text for text in texts], ["864:4=216", "-8", "06", "-4", "24"])
        self.assertEqual([round(self.middles(text)[0]) for text in texts], [1, 0, 1, 1, 2])
        unsigned = [("216", 2), ("864", 2), ("8", 2), ("06", 2), ("4", 3), ("24", 3)]
        self.assertEqual([round(self.middles(text)[0]) for text in self.typed(unsigned)], [2, 2, 2, 2, 3, 3])

    def test_a_row_that_is_misread_is_typed_as_the_others(self) -> None:
        for odd in ("-", "-4°"):
            rows = [("864:4=216", 1), ("- 8", 0), (odd, 1), ("- 4", 1), ("24", 2)]
            self.assertEqual([text.text for text in self.typed(rows)], ["864:4=216", "-8", odd, "-4", "24"])

    def test_numbers_in_a_list_are_one_text(self) -> None:
        self.assertEqual(len(self.typed([("5", 0), ("12", 0), ("144", 0), ("1000", 0)])), 1)
        self.assertEqual(len(self.typed([("5", 3), ("12", 2), ("144", 1), ("1000", 0)])), 1)

    def test_what_runs_off_level_stays_so(self) -> None:
        texts = self.typed([("345", 1), ("+ 278", 0), ("623", 1)], 0.2)
        self.assertEqual([text.text for text in texts], ["345", "+278", "623"])
        for text in texts:
            self.assertAlmostEqual(text.map[1], np.sin(0.2))
        first, _, last = (np.array([text.x, text.y]) for text in texts)
        self.assertLess(abs(np.dot(last - first, (np.cos(0.2), np.sin(0.2)))), 2)

    def test_digits_that_stand_close_are_set_small_enough_and_far_ones_are_no_number(self) -> None:
        (close, *_) = self.typed([("345", 1), ("+ 278", 0), ("623", 1)], step=26)
        self.assertLessEqual(close.size * 0.54, 26.5)
        self.assertEqual(
            [text.pitch for text in self.typed([("345", 1), ("+ 278", 0), ("623", 1)], step=200)], [0] * 3
        )

    def test_another_size_and_another_text_keep_the_squares(self) -> None:
        (text, *_) = self.typed([("345", 1), ("+ 278", 0), ("623", 1)])
        longer = laid_out(msgspec.structs.replace(text, text="3456", size=2 * text.size), typesetter())
        assert isinstance(longer, TextItem)
        self.assertAlmostEqual(longer.lines[0].width, 8 * SQUARE, delta=2)

    def test_tiny_and_huge_ink_becomes_what_may_be_on_a_board(self) -> None:
        for grown in (0.05, 90.0):
            for text in self.typed([("345", 1), ("+ 278", 0), ("623", 1)], grown=grown):
                check_item(text)

    def test_a_sign_just_as_wide_as_its_square_moves_no_other(self) -> None:
        wide = typesetter().layout("3", 1.0)[0].width
        (line,) = typesetter().layout("31:3", 40, pitch=wide)
        middles = [run.x + run.width / 2 for run in line.runs]
        self.assertEqual(len(middles), 4)
        for at, middle in enumerate(middles):
            self.assertAlmostEqual(middle, 40 * wide * (at + 0.5))

    def test_a_hostile_pitch_is_refused(self) -> None:
        (text, *_) = self.typed([("345", 1), ("+ 278", 0), ("623", 1)])
        for pitch in (-1.0, 1e9, float("nan")):
            with self.assertRaises(MalformedError):
                check_item(msgspec.structs.replace(text, pitch=pitch))
