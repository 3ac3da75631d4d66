"""Numbers, fractions, times, dates and angles amid words."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench.digits import amid_words, hands_for, in_real_digits
from sunroom.core.maths.written_latex import RIGHT, Tree, latex_of
from sunroom.core.reading.apart import at_first_gap, tokens_apart, with_signs
from sunroom.core.reading.readings import Reading
from sunroom.resources import reader


def bars(*across: float) -> list[np.ndarray]:
    """Strokes down, each so far from the left."""
    return [np.array([[x, 0.0], [x, 20.0]]) for x in across]


class Apart(TestCase):
    def test_numbers_amid_words_are_looked_at_closer(self) -> None:
        lines = amid_words()[:36]
        right = sum(reader().read(strokes)[0].text == text for text, strokes in lines)
        self.assertGreaterEqual(right, 28, "without it 24")

    def test_tokens_are_parted_where_the_gaps_are_widest(self) -> None:
        ink = bars(0, 4, 8, 30, 34, 60, 64)
        found = tokens_apart("noon 3 at", ink)
        self.assertEqual([(token, len(part)) for token, part in found], [("noon", 3), ("3", 2), ("at", 2)])

    def test_numbers_that_are_one_by_the_gaps_are_one_token(self) -> None:
        found = tokens_apart("noon 4 1 2", bars(0, 4, 8, 40, 44, 48, 52))
        self.assertEqual([token for token, _ in found], ["noon", "412"])
        found = tokens_apart("noon 4 12", bars(0, 4, 8, 40, 44, 70, 74))
        self.assertEqual([token for token, _ in found], ["noon", "4", "12"])

    def test_without_words_numbers_or_gaps_nothing_is_parted(self) -> None:
        self.assertEqual(tokens_apart("3 + 4", bars(0, 10, 20)), [])
        self.assertEqual(tokens_apart("at noon", bars(0, 4, 30)), [])
        self.assertEqual(tokens_apart("noon 3", bars(0)), [])
        self.assertEqual(tokens_apart("noon 3", []), [])
        self.assertEqual(
            tokens_apart("noon " + "3 " * 40, bars(*range(0, 410, 10))), [], "each would be read"
        )

    def test_only_signs_are_put_into_a_number_and_no_other_digits(self) -> None:
        said = ("1/2", "90°", "21:31", "4.5", "97", "25/12/2026")
        numbers = [Reading(text, 0.5) for text in said]
        for token, kept in (
            ("112", "1/2"),
            ("900", "90°"),
            ("2131", "21:31"),
            ("45", "4.5"),
            ("2511212026", "25/12/2026"),
        ):
            self.assertEqual([number.text for number in with_signs(token, numbers)], [kept])

    def test_a_sum_that_is_counted_is_one(self) -> None:
        right = 0
        for text in ("b) 3/4 + 1/8", "c) 5/6 - 2/3", "2) 3 × 4"):
            for seed in range(4):
                hand = hands_for(1, text, seed)[0]
                said = reader().read(in_real_digits(text, hand, np.random.default_rng(seed), gap=18))
                right += said[0].text == text
        self.assertGreaterEqual(right, 9)
        _, behind = at_first_gap(bars(0, 4, 30, 34, 70), 3)
        self.assertEqual([stroke[0, 0] for stroke in behind], [30, 34, 70], "a wider gap later is none of it")
        self.assertEqual(at_first_gap([], 3), ([], []))

    def test_what_counts_a_line_keeps_its_sign_and_gets_none_that_it_has_not(self) -> None:
        for text, least in (("3) measure", 5), ("8. wait", 5), ("9 hours", 6)):
            said = [reader().read(hand.write(text, 0, 0, 60))[0].text for hand in hands_for(6, text, 2)]
            self.assertGreaterEqual([line.split()[0] for line in said].count(text.split()[0]), least, said)

    def test_a_ring_after_a_digit_is_that_of_degrees(self) -> None:
        for names, latex in (
            (["2", "0", r"\circ", "C"], r"20^{\circ} C"),
            (["f", r"\circ", "g"], r"f\circ g"),
        ):
            row = [{RIGHT: at + 1} if at + 1 < len(names) else {} for at in range(len(names))]
            self.assertEqual(latex_of(Tree(names, row, 0)), latex)
