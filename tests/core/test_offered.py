"""What is offered first for ink: type, a formula or figures."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench import maths, rough
from bench.digits import HANDS, as_ink, in_real_digits
from bench.unseen import SIZE, Strokes, hands, strokes_of
from demo.hand import Hand
from sunroom.core.board.requests.typesetting import LEAST_TILT
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.maths.written_latex import cannot_be_a_map, looks_like_maths
from sunroom.core.reading.kinds import says_a_sum, says_words
from sunroom.core.reading.readings import Reading
from sunroom.core.shapes import has_large
from sunroom.live.work.ink_jobs import InkRead, read_ink

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
            ("1) 3/4 of an hour\n2) at (0:30\n3) angle 35°", 0.1, True),
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

    def test_one_figure_beside_writing_is_none_of_it(self) -> None:
        hand = Hand(3, 0.6, HANDS[0])
        words = [*hand.write("Area of a box", 0, 0, 60), *hand.write("A = 12", 0, 100, 60)]
        corners = np.array([(260, 70), (420, 72), (422, 190), (258, 188), (260, 71)], float)
        box = np.column_stack([np.interp(np.linspace(0, 4, 60), np.arange(5), side) for side in corners.T])
        found = read([*words, box])
        self.assertEqual([line.rivals[0].text for line in found.lines], ["Area of a box", "A = 12"])
        self.assertEqual(
            [(part.figure.kind, part.members) for part in found.sketch], [("rectangle", (len(words),))]
        )
        self.assertEqual((found.figure_first, found.maths_first), (False, False))

    def test_a_frame_beside_a_formula_is_no_sign_of_it_nor_of_its_text(self) -> None:
        corners = np.array([(300, 20), (462, 22), (462, 140), (298, 138), (300, 21)], float)
        box = np.column_stack([np.interp(np.linspace(0, 4, 60), np.arange(5), side) for side in corners.T])
        for text, latex in (("A = 12", "A=12"), ("x = 3 + 4", "x=3+4")):
            ink = Hand(3, 0.6, HANDS[0]).write(text, 0, 0, 60)
            found = read([*ink, box])
            self.assertEqual((found.maths_first, found.formulas[0][0].latex), (True, latex))
            self.assertEqual(found.formulas[0][0].lines, [list(range(len(ink)))])
            self.assertEqual([line.rivals[0].text for line in found.lines], [text])
            self.assertEqual([part.members for part in found.sketch], [(len(ink),)])

    def test_words_in_which_nothing_is_large_are_no_sketch(self) -> None:
        words = Hand(3, 0.6, HANDS[0]).write("Area of a box", 0, 0, 60)
        way = np.linspace(0, 1, 60)
        wave = np.column_stack([300 * way, 100 + 15 * np.sin(40 * way)])
        line, ring = (
            np.column_stack([300 * way, 0 * way]),
            np.column_stack([100 * np.cos(6.3 * way), 40 * np.sin(6.3 * way)]),
        )
        for more, large in (([], False), ([wave], False), ([line], True), ([ring], True)):
            self.assertEqual(has_large([*words, *more]), large)

    def test_words_in_figures_are_read_each_by_itself(self) -> None:
        hand = Hand(4, 0.6, HANDS[0])
        turns = np.linspace(0, 2 * np.pi, 50)
        ring = 110 * np.column_stack([np.cos(turns), 0.6 * np.sin(turns)])
        places = {"moon": (0, 0), "sun": (420, 130), "noon": (820, 30)}
        ink = [stroke for word, (x, y) in places.items() for stroke in hand.write(word, x - 60, y + 15, 60)]
        found = read([*ink, *(ring + place for place in places.values())])
        self.assertEqual([line.rivals[0].text for line in found.lines], ["moon", "noon", "sun"])
        self.assertLess(max(abs(line.angle_rad) for line in found.lines), LEAST_TILT)

    def test_numbers_in_rows_are_no_mind_map(self) -> None:
        hand = Hand(5, 0.6, HANDS[0])
        cells = [("x", 0, 0), ("1", 170, 0), ("2", 340, 0), ("y", 0, 150), ("2", 170, 150), ("4", 340, 150)]
        ink = [stroke for text, x, y in cells for stroke in hand.write(text, x, y, 60)]
        self.assertIsNone(read(ink).mind_map)
        scattered = [
            ("sun", 0, 0),
            ("moon", 420, 20),
            ("space", 210, 170),
            ("sky", 0, 330),
            ("star", 430, 340),
        ]
        ink = [stroke for text, x, y in scattered for stroke in hand.write(text, x, y, 60)]
        self.assertIsNotNone(read(ink).mind_map)

    def test_what_is_a_formula_is_read_as_text_with_all_its_signs(self) -> None:
        ink = in_real_digits("3 × 5 + 2 × 4 = 23", Hand(6, 0.6, HANDS[0]), np.random.default_rng(3), gap=16)
        found = read(ink)
        self.assertEqual((found.maths_first, found.figure_first, found.sketch), (True, False, ()))
        self.assertEqual(sorted(n for line in found.lines for n in line.members), list(range(len(ink))))
