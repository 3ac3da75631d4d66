"""Signs among words: which characters, which strokes, and what the gaps between them say."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench.digits import HANDS, as_ink
from demo.hand import Hand
from sunroom import resources
from sunroom.core.geometry import Box
from sunroom.core.maths.written_latex import breaks_off, has_words
from sunroom.core.reading.among_words import EVERYDAY, find_signs, led_by_so, signs_in, words_with_signs
from sunroom.core.reading.apart import between_gaps, gaps_in
from sunroom.core.reading.decode import rows_of
from sunroom.core.reading.readings import Reading, ReadLine


def said(text: str, *unknown: str, relations: tuple[int, ...] = ()) -> list[str]:
    return [
        text[signs.start : signs.end]
        for signs in signs_in(text, lambda token: token not in unknown, relations)
    ]


def bar(x: float, y: float, width: float, height: float = 0.0) -> np.ndarray:
    return np.array([(x, y), (x + width / 2, y + height), (x + width, y)], float)


class Signs(TestCase):
    def test_what_counts_something_among_words_is_signs(self) -> None:
        for text, found in (
            ("Find x: 3x + 4 = 10", ["3x + 4 = 10"]),
            ("The answer is x²=76.", ["x²=76."]),
            ("x = 0 or x = 2, because", ["x = 0", "x = 2,"]),
            ("Show that 4b-7b is true", ["4b-7b"]),
            ("Area = 5 × 3", ["= 5 × 3"]),
            ("si sin x = 1 alors", ["sin x = 1"]),
            ("x = 1 y x = 2 también", ["x = 1", "x = 2"]),
            ("when ab + c is large", ["ab + c"]),
            ("Losea2+b²=c² first", ["a2+b²=c²"[1:]]),
            ("if 10=0ist", ["10=0"]),
            ("Die Summe ist25+7=65", ["25+7=65"]),
            ("we say s = at2 there", ["s = at2"]),
            ("the graph of y = 2x", ["y = 2x"]),
            ("the value of 3x = 6", ["3x = 6"]),
        ):
            self.assertEqual(said(text), found, text)

    def test_ranges_dates_dashes_and_equals_between_words_are_none(self) -> None:
        for text in (
            "10-15 people came", "the sun = die Sonne", "an e-mail to Anna", "A - the first one", "tea & milk + sugar", "see p. 14-18", "size 38/40",
            "25% of 80 = 20", "die Hälfte von 12 = 6", "the ratio is 3:4", "Monday 30/11/2026", "1914 - a war", "he is 12 years old", "3x + 4 = 10", "", "bilanz= Zügd",
        ):  # fmt: skip
            self.assertEqual(said(text), [], text)

    def test_beside_a_sign_a_token_that_nobody_uses_as_a_word_counts(self) -> None:
        self.assertEqual(said("so pauB =P(A)+2 holds"), ["=P(A)+2"])
        self.assertEqual(said("so pauB =P(A)+2 holds", "pauB"), ["pauB =P(A)+2"])

    def test_where_an_equals_sign_was_seen_are_signs_whatever_is_read_there(self) -> None:
        text = "river ,- favour"
        self.assertEqual((said(text), said(text, relations=(6,))), ([], [",-"]))
        self.assertEqual(said("the river is long", relations=(6,)), [], "a word that people use is one")
        # What ends with a sign goes on, with a short word at most.
        self.assertEqual(said("say y = tax there", relations=(6,)), ["y = tax"])
        self.assertEqual(said("say y = taxes there", relations=(6,)), ["y ="])

    def test_a_line_with_a_plain_word_and_signs_is_words(self) -> None:
        for text, so in (("Draw y = 2x", True), ("y = 2x", False), ("Draw it", False), ("sina = 3", False), ("NaOH + HCl = NaCl", False)):  # fmt: skip
            self.assertEqual(words_with_signs(text), so, text)

    def test_letters_in_a_row_are_a_word_and_products_and_substances_are_not(self) -> None:
        for latex, so in (("e-mail", True), ("V=abc", False), (r"\sin x=\frac{1}{2}", False), ("NaCl+H_{2}O", False), (r"5\mathrm{mol}", False)):  # fmt: skip
            self.assertEqual(has_words(latex), so, latex)

    def test_what_ends_with_a_sign_breaks_off(self) -> None:
        for latex, so in (("v^{2}=u^{2}+", True), (r"a\cdot", True), ("x=", True), ("Na^{+}", False), ("x=-1", False), (r"a\in", True), (r"\sin", False)):  # fmt: skip
            self.assertEqual(breaks_off(latex), so, latex)


class Strokes(TestCase):
    def found(self, text: str, xs: list[float], samples: list[np.ndarray], *loose: int) -> list[tuple]:
        members = tuple(n for n in range(len(samples)) if n not in loose)
        line = ReadLine((Reading(text, 0.5),), members, Box.of(np.vstack(samples)))
        found = find_signs(line, samples, loose, lambda strokes, text: np.array(xs), str.isalpha)
        return [(text[signs.start : signs.end], sorted(members)) for signs, members in found]

    def letters(self, *xs: float) -> list[np.ndarray]:
        return [np.array([(x, 0), (x + 6, 20), (x + 8, 0)], float) for x in xs]

    def test_they_are_what_stands_between_the_widest_gaps_there(self) -> None:
        samples = self.letters(0, 10, 20, 45, 58, 70, 100, 110)
        xs = [4, 14, 24, 35, 49, 62, 74, 90, 104, 114]
        self.assertEqual(self.found("for x=2 it", xs, samples), [("x=2", [3, 4, 5])])
        self.assertEqual(self.found("for x=2 it", [], samples), [], "where no character can be placed")
        close = self.letters(0, 5, 10, 15, 20, 25, 30, 35)
        self.assertEqual(self.found("for x=2 it", [2, 7, 12, 14, 17, 22, 27, 31, 33, 38], close), [])

    def test_a_stop_without_a_gap_before_it_goes_with_them(self) -> None:
        samples = self.letters(0, 10, 40, 52, 64)
        xs = [4, 14, 30, 44, 56, 66, 72]
        self.assertEqual(self.found("is x=2.", xs, samples), [("x=2.", [2, 3, 4])])
        samples.append(bar(80, 20, 1))
        self.assertEqual(self.found("is x=2.", [*xs[:-1], 80.5], samples), [("x=2", [2, 3, 4])])

    def test_what_is_in_no_line_goes_with_them_unless_it_underlines_or_rings_them(self) -> None:
        samples = self.letters(0, 10, 40, 52)
        over, under = bar(64, 8, 12), bar(38, 24, 40)
        below = np.array([(66, 12), (70, 30), (72, 12)], float)
        ring = np.array([(36, -5), (80, -5), (80, 34), (36, 34), (36, -5)], float)
        ink = [*samples, below, np.array([(66, -8), (70, 4)], float), over, under, ring]
        found = self.found("is x=2", [4, 14, 30, 44, 56, 70], ink, 6, 7, 8)
        self.assertEqual(found, [("x=2", [2, 3, 4, 5, 6])])

    def test_an_equals_sign_is_seen_where_the_text_has_none(self) -> None:
        samples = [*self.letters(0, 10, 40), bar(55, 6, 10), bar(56, 12, 10), *self.letters(74, 110, 120)]
        xs = [4, 14, 30, 44, 60, 78, 95, 114, 124]
        self.assertEqual(self.found("is x-2 so", xs, samples), [("x-2", [2, 3, 4, 5])])
        # The bars of an E are at its upright.
        upright = np.array([(55, 0), (55, 20)], float)
        self.assertEqual(self.found("is xE2 so", xs, [*samples, upright]), [])

    def test_gaps_are_told_in_heights_and_a_range_without_one_has_nothing(self) -> None:
        strokes = self.letters(0, 10, 38)
        np.testing.assert_allclose(gaps_in(strokes), [0.1, 1.0])
        ends = (np.inf, np.inf)
        self.assertEqual(len(between_gaps(strokes, (14, 40), ends)), 1)
        self.assertEqual(between_gaps(strokes, (14, 20), ends), [])

    def test_so_before_an_equation_is_no_50(self) -> None:
        line = ReadLine((Reading("50x = 4", 0.5), Reading("50 × = 4", 0.1)), (0, 1, 2), Box(0, 0, 60, 20))
        wide, close = self.letters(0, 10, 38), self.letters(0, 10, 20)
        self.assertEqual(led_by_so(line, wide).rivals[0].text, "so x = 4")
        self.assertIs(led_by_so(line, close), line)


class Places(TestCase):
    def test_characters_are_where_the_likeliest_way_has_them(self) -> None:
        rows = np.full((8, 4), 0.01, np.float32)
        for row, column in enumerate((1, 1, 0, 1, 0, 2, 2, 3)):
            rows[row, column] = 0.97
        np.testing.assert_allclose(rows_of(rows, [1, 1, 2, 3]), [0.5, 3, 5.5, 7])
        self.assertEqual(len(rows_of(rows[:3], [1, 1, 2, 3])), 0, "too few rows for the text")

    def test_so_is_said_every_day_in_two_languages(self) -> None:
        said = {
            language: resources.reader(language).knows("so", EVERYDAY)
            for language in ("en", "de", "fr", "es")
        }
        self.assertEqual(said, {"en": True, "de": True, "fr": False, "es": False})

    def test_a_reader_tells_where_in_a_line_its_characters_are(self) -> None:
        text = "Find x: 3x + 4 = 10"
        ink = as_ink([stroke[:, :2] for stroke in Hand(3, 0.6, HANDS[0]).write(text, 100, 0, 60)])
        at = resources.reader().places(ink, text)
        self.assertEqual(len(at), len(text))
        self.assertTrue((np.diff(at) > 0).all())
        equals = max(
            (stroke for stroke in ink if np.ptp(stroke[:, 1]) < 0.35 * np.ptp(stroke[:, 0])),
            key=lambda stroke: float(stroke[:, 0].mean()),
        )
        self.assertAlmostEqual(at[text.index("=")], equals[:, 0].mean(), delta=15)
