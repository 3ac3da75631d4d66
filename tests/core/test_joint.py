"""Three readers and the words together: the path of the pen, their columns, and how texts are weighed."""

from __future__ import annotations

from unittest import TestCase

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from bench.unseen import plain, sample
from demo.hand import Hand
from sunroom.core.ink.pen_path import FEATURES, LEAST_POINTS, MOST_POINTS, pen_path
from sunroom.core.reading.decode import beam_search, log_of, logs_of
from sunroom.core.reading.joint import Columns, Joint, JointLook, Readers, Rows, Weights, compact
from sunroom.core.reading.pairs import LikelyPairs
from sunroom.core.reading.prior import Prior
from sunroom.resources import reader

LETTERS = "abcdeghlnorstuw "
ZIPF = {"noon": 5.0, "sun": 6.0, "shadow": 4.5, "the": 7.5, "a": 7.0}
WEIGHTS = Weights(picture=0.25, taught=0.25, path=0.5, words=0.8, length=0.1, unusual=0.3, pairs=0.25)
PAIRS = LikelyPairs.of({("the", "sun"): 4.0, ("no", "on"): 5.0, ("a", "sun"): -2.0, ("old", "oak"): 90.0})


def rows_of(text: str, doubt: float = 0.02) -> np.ndarray:
    """What a reader sees that is sure of a text: each letter between blanks."""
    rows = []
    for character in text:
        for column in (LETTERS.index(character) + 1, 0):
            row = np.full(len(LETTERS) + 1, doubt / len(LETTERS), np.float32)
            row[column] = 1 - doubt
            rows.append(row)
    return np.array(rows)


class Path(TestCase):
    def strokes(self) -> list[np.ndarray]:
        return [stroke[:, :2] for stroke in Hand(4).write("init", 0, 0, 60)]

    def test_place_and_size_and_the_order_of_writing_change_nothing(self) -> None:
        strokes = self.strokes()
        path = pen_path(strokes)
        self.assertEqual(path.shape[1], FEATURES)
        moved = pen_path([3 * stroke + (200, -40) for stroke in strokes[::-1]])
        np.testing.assert_allclose(path, moved, atol=1e-3)

    def test_a_dot_that_was_put_last_stands_where_its_letter_is(self) -> None:
        wide = np.column_stack([np.linspace(0, 400, 200), 20 * np.sin(np.linspace(0, 40, 200))])
        dot = np.full((3, 2), (100.0, -40.0))
        path = pen_path([wide, dot])
        at = int(np.flatnonzero((path[:, :2] == 0).all(axis=1))[0])
        self.assertLess(at, len(path) / 2)
        self.assertEqual(path[:, 6].sum(), 2, "two strokes begin, however often one is parted")
        self.assertEqual(path[:, 7].sum(), 2)

    def test_dots_dashes_and_very_long_ink_have_paths_of_bounded_length(self) -> None:
        self.assertEqual(len(pen_path([np.zeros((1, 2))])), LEAST_POINTS)
        dash = pen_path([np.array([[0.0, 0.0], [60.0, 0.0]])])
        self.assertTrue(np.isfinite(dash).all())
        scribble = np.random.default_rng(1).normal(0, 50, (60_000, 2)).cumsum(axis=0) % 997
        self.assertLess(len(pen_path([scribble])), 1.1 * MOST_POINTS)


class Logs(TestCase):
    @given(
        st.integers(0, 2**32 - 1), st.lists(st.lists(st.integers(1, 6), max_size=6), min_size=1, max_size=5)
    )
    def test_several_texts_at_once_are_as_likely_as_one_by_one(
        self, seed: int, texts: list[list[int]]
    ) -> None:
        rows = np.random.default_rng(seed).dirichlet(np.ones(7), 9).astype(np.float32)
        np.testing.assert_allclose(logs_of(rows, texts), [log_of(rows, text) for text in texts], atol=1e-6)

    def test_rows_that_say_nothing_change_nothing(self) -> None:
        rows = rows_of("noon", 1e-6)
        blank = np.repeat(rows[1:2], 5, axis=0)
        padded = np.concatenate([blank, rows[:4], blank, rows[4:], blank])
        self.assertLess(len(compact(padded)), len(rows) + 3)
        columns = Columns(LETTERS)
        for text in ("noon", "nonn"):
            before, after = columns.logs(padded, [text])[0], columns.logs(compact(padded), [text])[0]
            self.assertAlmostEqual(before, after, places=2)

    def test_likely_words_are_followed_in_a_narrow_beam(self) -> None:
        rows = rows_of("the sun")
        rows[2, LETTERS.index("a") + 1], rows[2, LETTERS.index("h") + 1] = 0.5, 0.48
        likely = lambda words: 5.0 * ("the" in words.split())  # noqa: E731
        found = [text for text, _ in beam_search(rows, list(LETTERS), beam=1, likely=likely)]
        self.assertEqual(found, ["tae sun"], "before a word ends nothing is known of it")
        found = [text for text, _ in beam_search(rows, list(LETTERS), beam=2, likely=likely)]
        self.assertEqual(found[0].split()[1], "sun")


class Together(TestCase):
    def setUp(self) -> None:
        self.prior = Prior(lambda word: ZIPF.get(word, 0.0), lambda _: (), PAIRS)
        self.joint = Joint(Readers(*[Columns(LETTERS)] * 3), self.prior, WEIGHTS)

    def look(self, picture: np.ndarray, path: np.ndarray, taught: np.ndarray | None = None) -> JointLook:
        """What is weighed where the taught reader sees what the recogniser does, unless it is said."""
        return self.joint.look(Rows(picture, picture if taught is None else taught, path))

    def test_where_one_reader_doubts_the_other_says(self) -> None:
        unsure = rows_of("noan")
        unsure[4, [LETTERS.index("o") + 1, LETTERS.index("a") + 1]] = (0.3, 0.65)
        look = self.look(unsure, rows_of("noon"))
        self.assertEqual(look.best, "noon")
        self.assertIn("noan", look.weighed, "the other reading stays among the rivals")

    def test_what_the_taught_one_alone_reads_is_weighed_too(self) -> None:
        unsure = rows_of("shndaw", 0.6)
        look = self.look(unsure, unsure, rows_of("shadow"))
        self.assertEqual(look.best, "shadow")

    def test_of_words_as_likely_those_that_stand_beside_each_other_are_read(self) -> None:
        unsure = rows_of("the sun")
        unsure[8, [LETTERS.index(c) + 1 for c in "ts"]] = (0.5, 0.48)
        ZIPF["tun"] = ZIPF["sun"]
        try:
            self.assertEqual(self.look(unsure, unsure).best, "the sun")
            self.prior = Prior(lambda word: ZIPF.get(word, 0.0), lambda _: ())
            self.joint = Joint(Readers(*[Columns(LETTERS)] * 3), self.prior, WEIGHTS)
            self.assertEqual(self.look(unsure, unsure).best, "the tun")
        finally:
            del ZIPF["tun"]

    def test_words_are_beside_each_other_without_a_sign_between_them(self) -> None:
        for text, gain in (
            ("the sun", 4.0),
            ("The “Sun”!", 4.0),
            ("the sun the sun", 8.0),
            ("(the sun)", 4.0),
            ("no on", 0.0),  # noon is a word
            ("the, sun", 0.0),
            ("a sun", 0.0),
            ("sun the", 0.0),
            ("old oak", 8.0),
            ("the", 0.0),
            ("", 0.0),
        ):
            self.assertEqual(self.prior.together(text), gain, text)

    def test_pairs_are_known_again_from_what_is_kept_of_them(self) -> None:
        kept = LikelyPairs(*PAIRS.arrays().values())
        self.assertEqual((kept("the", "sun"), kept("a", "sun"), kept("zzz", "zzz")), (4.0, 0.0, 0.0))
        self.assertEqual(LikelyPairs.of({})("the", "sun"), 0.0)

    def test_a_word_that_neither_read_is_found_when_it_is_nearly_what_both_read(self) -> None:
        rows = rows_of("shodow")
        rows[4, [LETTERS.index("a") + 1, LETTERS.index("o") + 1]] = (0.2, 0.79)
        look = self.look(rows, rows)
        self.assertEqual(look.best, "shadow")

    def test_a_rare_word_may_be_a_misreading_too_and_a_common_one_is_none(self) -> None:
        rows = rows_of("the shodow")
        rows[12, [LETTERS.index("a") + 1, LETTERS.index("o") + 1]] = (5e-4, 0.98)
        for zipf, tried in ((2.0, True), (3.5, False)):
            ZIPF["shodow"] = zipf
            self.prior = Prior(lambda word: ZIPF.get(word, 0.0), lambda _: (), PAIRS)
            self.joint = Joint(Readers(*[Columns(LETTERS)] * 3), self.prior, WEIGHTS)
            try:
                self.assertEqual("the shadow" in self.look(rows, rows).weighed, tried, zipf)
            finally:
                del ZIPF["shodow"]

    def test_words_of_several_texts_are_tried_in_one(self) -> None:
        look = self.look(rows_of("the noon"), rows_of("teh noon"))
        self.assertIn("the noon", look.weighed)
        self.assertEqual(look.best, "the noon")

    def test_an_accented_form_is_weighed_as_its_plain_one_at_a_cost(self) -> None:
        look = self.look(rows_of("sun"), rows_of("sun"))
        look.put("sün", "sun", 2.0)
        self.assertLess(look.weighed["sün"], look.weighed["sun"])
        nothing = np.eye(1, len(LETTERS) + 1, dtype=np.float32)
        self.assertEqual(self.look(nothing, nothing).best, "")

    def test_a_reader_with_too_few_rows_forbids_nothing(self) -> None:
        look = self.look(rows_of("shadow"), rows_of("s"))
        self.assertEqual(look.plain, "shadow")
        self.assertTrue(np.isfinite(list(look.weighed.values())).all())
        self.assertIn("shadow", look.weighed)

    def test_words_of_a_beginning_are_weighed_one_more_at_a_time(self) -> None:
        likely = self.joint._known_words()
        for words in ("the ", "the sun 9 cm at noon ", "a " * 60):
            self.assertAlmostEqual(likely(words), self.joint.by_words(words) / 0.5)

    def test_words_in_odd_capitals_are_not_usual(self) -> None:
        usual = [token for token in ("sun", "Sun", "SUN", "sUn", "9:30", "xkq") if self.prior.usual(token)]
        self.assertEqual(usual, ["sun", "Sun", "SUN", "9:30"])

    def test_what_is_nearly_a_word_is_cased_as_it_was(self) -> None:
        self.assertEqual(self.prior.nearly("Shodow,", 2.5), ["Shadow,"])
        self.assertEqual(self.prior.nearly("su", 2.5), [])
        self.assertEqual(self.prior.nearly("1234", 2.5), [])


class Joined(TestCase):
    def test_joined_words_stay_words(self) -> None:
        """A small fixed sample of joined-up hands: no worse than what the recogniser and words alone read of it."""
        found = reader()
        right = base = 0
        for text, strokes in sample():
            readings = found.read(strokes)
            right += bool(readings) and readings[0].text.casefold() == text.casefold()
            base += plain(strokes).casefold() == text.casefold()
        self.assertGreaterEqual(right, base)
        self.assertGreaterEqual(right, 20)
