"""Ink to text: lines, decoding, and the whole reader with its model."""

from __future__ import annotations

import math
from unittest import TestCase

import numpy as np

from demo.hand import Hand
from sunroom.core.reading.decode import beam_search
from sunroom.core.reading.lines import find_lines, slant
from sunroom.core.reading.picture import HEIGHT_PX, line_picture
from sunroom.core.reading.reader import MAX_STROKES
from sunroom.resources import reader

WORDS = "shadow stick length angle sun time clock hour line measure height long morning evening table".split()


def turned(strokes: list[np.ndarray], degrees: float) -> list[np.ndarray]:
    c, s = math.cos(math.radians(degrees)), math.sin(math.radians(degrees))
    return [stroke[:, :2] @ np.array([[c, s], [-s, c]]) for stroke in strokes]


class Lines(TestCase):
    def test_three_lines_are_found_in_their_order(self) -> None:
        hand = Hand(4)
        texts = ("first line here", "and the second", "a third")
        written = [hand.write(text, 0, 75 * number, 50) for number, text in enumerate(texts)]
        found = find_lines([*written[2], *written[0], *written[1]])
        self.assertEqual([len(line) for line in found], [len(strokes) for strokes in written])

    def test_dots_and_crosses_stay_with_their_line(self) -> None:
        self.assertEqual(len(find_lines(Hand(5).write("it is; a tie, isn't it?", 0, 0, 60))), 1)

    def test_a_tilted_line_is_turned_level(self) -> None:
        strokes = Hand(6).write("how long is a shadow", 0, 0, 60)
        for degrees in (-12, -6, 6, 12):
            self.assertAlmostEqual(math.degrees(slant(turned(strokes, degrees))), degrees, delta=2.5)

    def test_nothing_is_no_line(self) -> None:
        self.assertEqual(find_lines([]), [])


class Pictures(TestCase):
    def test_the_picture_has_the_size_that_the_recogniser_knows(self) -> None:
        picture = line_picture([stroke[:, :2] for stroke in Hand(1).write("noon", 0, 0, 500)])
        self.assertEqual(picture.shape[:3], (1, 3, HEIGHT_PX))
        self.assertEqual((picture.min(), picture.max()), (-1, 1))

    def test_a_dot_and_a_mile_long_line_make_pictures_too(self) -> None:
        self.assertLess(line_picture([np.array([[3.0, 3.0]])]).shape[3], 60)
        self.assertLessEqual(line_picture([np.array([[0.0, 0.0], [1e6, 1.0]])]).shape[3], 3_200)


class Decoding(TestCase):
    def test_a_letter_twice_needs_a_blank_between(self) -> None:
        def rows(*columns: int) -> np.ndarray:
            return np.eye(3, dtype=np.float32)[list(columns)] * 0.98 + 0.006

        self.assertEqual(beam_search(rows(1, 1, 2), "no")[0][0], "no")
        self.assertEqual(beam_search(rows(1, 2, 0, 2, 1), "no")[0][0], "noon")
        self.assertEqual(beam_search(rows(0, 0), "no")[0][0], "")

    def test_paths_of_one_text_add_up(self) -> None:
        # 0.6 · 0.6 for no letter beats 0.4 · 0.4 for “aa” as one, but not the three paths of “a” together.
        rows = np.array([[0.6, 0.4], [0.6, 0.4]], dtype=np.float32)
        (text, log), *_ = beam_search(rows, "a")
        self.assertEqual(text, "a")
        self.assertAlmostEqual(math.exp(log), 0.64, places=5)


class Reading(TestCase):
    def test_most_words_are_read_and_nearly_all_are_among_the_first_three(self) -> None:
        found = [
            [r.text.lower() for r in reader().read(Hand(n, 0.8).write(w, 40, 90, 60))]
            for n, w in enumerate(WORDS)
        ]
        right = sum(texts[:1] == [word] for texts, word in zip(found, WORDS, strict=True))
        near = sum(word in texts[:3] for texts, word in zip(found, WORDS, strict=True))
        self.assertGreaterEqual(right, 13, found)
        self.assertGreaterEqual(near, 14, found)

    def test_two_lines_are_read_as_two(self) -> None:
        hand = Hand(4)
        strokes = hand.write("first line", 0, 0, 50) + hand.write("and second", 0, 80, 50)
        self.assertEqual(reader().read(strokes)[0].text.lower(), "first line\nand second")

    def test_a_number_is_offered_as_digits(self) -> None:
        self.assertIn("2705", [reading.text for reading in reader().read(Hand(2).write("2705", 0, 0, 60))])

    def test_place_and_scale_do_not_change_what_is_read(self) -> None:
        strokes = [stroke[:, :2] for stroke in Hand(7).write("measure at noon", 0, 0, 60)]
        texts = {
            reader().read([s * scale + shift for s in strokes])[0].text
            for scale, shift in ((1, 0), (3, 900), (0.4, -70))
        }
        self.assertEqual(len(texts), 1)

    def test_what_cannot_be_read_gets_an_honest_answer(self) -> None:
        self.assertEqual(reader().read([]), [])
        dot = [np.array([[4.0, 4.0, 0.5, 0.0]])]
        self.assertIsInstance(reader().read(dot), list)
        self.assertEqual(reader().read(dot * (MAX_STROKES + 1)), [])
