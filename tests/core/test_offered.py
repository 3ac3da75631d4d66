"""What is offered first for ink: type, a formula or figures."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench import maths, rough
from bench.digits import HANDS, as_ink
from bench.unseen import SIZE, Strokes, hands, strokes_of
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.maths.written_latex import cannot_be_a_map, looks_like_maths
from sunroom.core.reading.kinds import says_a_sum, says_words
from sunroom.core.reading.readings import Reading
from sunroom.live.work.workers import InkRead, read_ink

#: Hands whose bars of t and joined words were taken for figures, or whose lines for formulas.
LOOSE = ("damion", "mansalva", "sacramento")


def read(strokes: Strokes) -> InkRead:
    ink = as_ink([stroke[:, :2] for stroke in strokes])
    return read_ink(tuple((pack_samples(stroke), Affine()) for stroke in ink), maths=True)


def first(strokes: Strokes) -> str:
    found = read(strokes)
    return "formula" if found.maths_first else "figures" if found.figure_first else "type"


class Words(TestCase):
    def test_most_of_an_unsure_text_must_be_words_and_one_word_is_enough_of_a_sure_one(self) -> None:
        for text, score, words in (
            ("Die Sonne geht im osten auf.\nL'été est la\n25 40 60 90", 0.1, True),
            ("to be or not", 0.1, True),
            ("if x = 2 then y = 4", 0.1, False),
            ("if x = 2 then y = 4", 0.9, True),
            ("sinx = 1", 0.99, False),
            ("NaOH + HCl = NaCl + H2O", 0.99, False),
            ("y = mx db", 0.3, False),
            ("V = lwh", 0.99, False),
            ("area = 12", 0.3, True),
            ("12.5 + 3 cm", 0.9, False),
            ("", 0.0, False),
        ):
            self.assertEqual(says_words(Reading(text, score)), words, text)

    def test_functions_in_a_sum_are_no_words(self) -> None:
        said = [says_a_sum(text) for text in ("sin (a + B)", "3b + 6", "bread + butter", "10-15")]
        self.assertEqual(said, [True, True, False, False])

    def test_what_looks_like_maths(self) -> None:
        for latex, is_so, surely in (
            ("x^{2}", True, False),
            (r"3\in\mathbb{N}", True, True),
            (r"a\parallel b", True, True),
            (r"\infty", False, False),
            (r"\triangle ABC", True, True),
            ("im osten", False, False),
        ):
            self.assertEqual((looks_like_maths(latex), cannot_be_a_map(latex)), (is_so, surely), latex)


class Offered(TestCase):
    def test_lines_and_pages_in_words_are_type(self) -> None:
        offered = []
        for name, hand in hands("unseen"):
            if name in LOOSE:
                lines = [strokes_of(one) for one in hand["written"] if " " in one["text"]][:2]
                offered += [first(line) for line in lines]
                offered.append(
                    first([stroke + (0, 1.6 * SIZE * at) for at, line in enumerate(lines) for stroke in line])
                )
        self.assertGreaterEqual(offered.count("type"), len(offered) - 1, offered)

    def test_formulas_and_workings_are_formulas(self) -> None:
        for name in ("formulas", "formulas-joined", "workings"):
            offered = [first(maths.strokes_of(row)) for row in maths.of_set(name)[::32]]
            self.assertGreaterEqual(offered.count("formula"), len(offered) - 1, (name, offered))

    def test_drawings_with_words_in_them_are_figures_and_keep_their_words(self) -> None:
        random = np.random.default_rng(12)
        for _ in range(3):
            found = read(rough.drawing(5, random, HANDS)[0])
            self.assertEqual((found.maths_first, found.figure_first, len(found.sketch)), (False, True, 5))
