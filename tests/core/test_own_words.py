"""How a person writes words: learned from lines that say what they are said to, and of little harm where they do not."""

from __future__ import annotations

import re
from unittest import TestCase

import numpy as np

from bench.unseen import hands, strokes_of
from sunroom.core.reading.decode import log_of
from sunroom.core.reading.own_words import OwnWords, SeenLine, _Batch
from sunroom.resources import ROOT, reader

CLASSES, WIDTH = 6, 4


def line(seed: int, rows: int, columns: tuple[int, ...]) -> SeenLine:
    random = np.random.default_rng(seed)
    probabilities = random.dirichlet(np.ones(CLASSES), rows).astype(np.float32)
    return SeenLine(probabilities, random.normal(0, 1, (rows, WIDTH)).astype(np.float32), columns)


class Learning(TestCase):
    def test_what_is_wanted_is_the_way_in_which_the_likelihood_rises(self) -> None:
        """Against finite differences of each line's own likelihood, lines of other lengths beside it."""
        lines = [line(1, 9, (1, 1, 2)), line(2, 14, (3, 5, 4, 3)), line(3, 6, (2,))]
        batch = _Batch(lines)
        wanted = batch.wanted(batch.logs)
        for number, one in enumerate(lines):
            logs = np.log(one.probabilities.astype(float))

            def likelihood(logs: np.ndarray, columns: tuple[int, ...] = one.columns) -> float:
                shares = np.exp(logs - np.logaddexp.reduce(logs, axis=1, keepdims=True))
                return log_of(shares, columns) / len(columns) / len(lines)

            for row, column in ((0, 0), (2, one.columns[0]), (len(logs) - 1, 0), (3, 5)):
                step = np.zeros_like(logs)
                step[row, column] = 1e-4
                slope = (likelihood(logs + step) - likelihood(logs - step)) / 2e-4
                self.assertAlmostEqual(wanted[number, row, column], slope, places=5)
            self.assertFalse(wanted[number, len(logs) :].any(), "rows beyond a line's end teach nothing")

    def test_lines_that_were_learned_are_likelier_afterwards(self) -> None:
        lines = [line(seed, 3, (1, 2)) for seed in range(4)]
        own = OwnWords.learned(lines)
        assert own is not None
        before = sum(log_of(one.probabilities, one.columns) for one in lines)
        after = sum(log_of(own.weighed(one.probabilities, one.rows), one.columns) for one in lines)
        self.assertGreater(after, before)
        shares = own.weighed(lines[0].probabilities, lines[0].rows)
        np.testing.assert_allclose(shares.sum(axis=1), 1, atol=1e-5)

    def test_a_line_that_says_something_else_or_cannot_hold_its_text_is_not_learned_from(self) -> None:
        sure = np.full((12, CLASSES), 1e-6, np.float32)
        sure[:, 1] = 1
        rows = np.ones((12, WIDTH), np.float32)
        for columns in ((2, 3), (1,) * 20):
            self.assertIsNone(OwnWords.learned([SeenLine(sure, rows, columns)]))
        self.assertIsNone(OwnWords.learned([]))


class Hands(TestCase):
    """Joined-up hands of bench/hands/unseen, learned from their own lines."""

    def test_words_are_read_no_worse_after_a_few_lines_and_are_learned_from_no_other_text(self) -> None:
        right = before = 0
        for _, hand in [hand for hand in hands("unseen") if hand[1]["joined"]][:4]:
            texts = [(one["text"], strokes_of(one)) for one in hand["written"]]
            own = reader().own_hand([one for one in texts if " " in one[0]][:4])
            assert own is not None and own.words is not None
            self.assertIsNone(own.letters)
            self.assertIsNone(reader().own_hand([("something else entirely", texts[0][1])]))
            for text, strokes in [one for one in texts if " " not in one[0]][:8]:
                before += reader().read(strokes)[0].text.casefold() == text.casefold()
                right += reader().read(strokes, own)[0].text.casefold() == text.casefold()
        self.assertGreaterEqual(right, before)

    def test_a_corrected_line_is_learned_as_a_whole_where_its_letters_are_joined(self) -> None:
        hand = next(hand for name, hand in hands("unseen") if name == "playwrite-cz")
        written = next(one for one in hand["written"] if " " in one["text"])
        strokes = strokes_of(written)
        found = dict(reader().taught_by(strokes, written["text"]))
        self.assertEqual(sorted(found[written["text"]]), list(range(len(strokes))))

    def test_the_lines_of_the_practice_page_have_only_characters_that_are_read(self) -> None:
        page = (ROOT / "frontend" / "src" / "hand" / "samples.ts").read_text()
        lines = re.findall(r"""(?m)^    (?:'([^']+)'|"([^"]+)"),$""", page)
        self.assertGreater(len(lines), 20)
        for line in ("".join(found) for found in lines):
            self.assertIsNotNone(reader().joint.columns.taught.of(line), line)
