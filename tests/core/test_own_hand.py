"""A person's own hand: samples make their ink read better, and corrections give samples."""

from __future__ import annotations

from pathlib import Path
from unittest import TestCase

import numpy as np

from bench import reading as measured
from demo.hand import Hand
from sunroom.core.formats.inkml import read_inkml, read_labelled_inkml, write_inkml
from sunroom.core.reading.own_hand import OwnHand, OwnLetters
from sunroom.resources import reader

LETTERS = "abcdefghkmnqrstuwyzABDEFGHKMNQRT23456789"
LOOSE = next(file for file in measured.HANDS if file.stem == "mansalva")


def practised(file: Path, seed: int, looseness: float) -> tuple[Hand, OwnHand]:
    """A hand and what it wrote on its practice page."""
    hand = Hand(seed, looseness, file)
    own = reader().own_hand([(letter, hand.write(letter, 0, 0, 60)) for letter in LETTERS])
    assert own is not None
    return hand, own


class Weighing(TestCase):
    def test_symbols_without_a_sample_keep_what_the_net_says(self) -> None:
        own = OwnLetters(np.array([0]), np.array([[1.0, 0.0]], np.float32))
        net = np.array([[0.2, 0.5, 0.3]])
        near = own.weighed(net, np.array([[1.0, 0.0]], np.float32))
        np.testing.assert_allclose(near[0], net[0], atol=1e-6)

    def test_the_nearer_sample_is_the_likelier_symbol(self) -> None:
        own = OwnLetters(np.array([0, 1]), np.array([[1.0, 0.0], [0.0, 1.0]], np.float32))
        net = np.array([[0.5, 0.4, 0.1]])
        self.assertEqual(own.weighed(net, np.array([[0.1, 0.99]], np.float32))[0].argmax(), 1)
        self.assertEqual(own.weighed(net, np.array([[0.99, 0.1]], np.float32))[0].argmax(), 0)

    def test_a_hand_without_a_known_symbol_is_none(self) -> None:
        self.assertIsNone(reader().own_hand([("ж", [np.zeros((4, 2))])]))


class Reading(TestCase):
    def wrong(self, hand: Hand, own: OwnHand | None) -> int:
        wrong = 0
        for letter in LETTERS * 2:
            readings = reader().read(hand.write(letter, 0, 0, 60), own)
            wrong += not readings or readings[0].text.casefold() != letter.casefold()
        return wrong

    def test_a_practice_page_cuts_the_errors_of_a_loose_hand_by_a_third(self) -> None:
        hand, own = practised(LOOSE, 4, 1.5)
        before = self.wrong(hand, None)
        self.assertGreater(before, 4)
        self.assertLessEqual(self.wrong(hand, own), before * 2 / 3)

    def test_words_and_numbers_are_read_no_worse_with_it(self) -> None:
        hand, own = practised(LOOSE, 5, 0.7)
        texts = ("shadow", "noon", "measure", "10:30", "2468", "at three")
        for text in texts:
            strokes = hand.write(text, 0, 0, 60)
            plain, with_own = reader().read(strokes)[0].text, reader().read(strokes, own)[0].text
            if plain.casefold() == text:
                self.assertEqual(with_own.casefold(), text)


class Correcting(TestCase):
    def setUp(self) -> None:
        self.hand = Hand(9, 0.4)

    def test_a_corrected_line_gives_each_symbol_its_strokes(self) -> None:
        strokes = self.hand.write("made 24", 100, 200, 60)
        *found, whole = reader().taught_by(strokes, "made 24")
        self.assertEqual((whole[0], sorted(whole[1])), ("made 24", list(range(len(strokes)))))
        self.assertEqual("".join(character for character, _ in found), "made24")
        members = [number for _, numbers in found for number in numbers]
        self.assertEqual(sorted(members), list(range(len(strokes))))

    def test_nothing_is_learned_from_what_the_ink_cannot_say(self) -> None:
        strokes = self.hand.write("made", 100, 200, 60)
        self.assertEqual(reader().taught_by(strokes, "a much longer line than that"), [])
        self.assertEqual(reader().taught_by(strokes, ""), [])
        self.assertEqual(reader().taught_by(strokes, "WXYZ"), [])


class TakingAlong(TestCase):
    def test_a_hand_goes_out_as_inkml_and_comes_back_the_same(self) -> None:
        hand = Hand(9, 0.4)
        groups = [
            (sign, hand.write(letter, 10, 40, 40)) for sign, letter in (("a", "a"), ("ü", "u"), ("<", "c"))
        ]
        data = write_inkml(groups)
        self.assertIn('type="truth">ü<', data.decode())
        self.assertIn('type="truth">&lt;<', data.decode())
        labelled = read_labelled_inkml(data)
        self.assertEqual(
            [(sign, len(strokes)) for sign, strokes in labelled], [(s, len(k)) for s, k in groups]
        )
        back = read_inkml(data)
        strokes = [stroke for _, strokes in groups for stroke in strokes]
        self.assertEqual(len(back), len(strokes))
        for before, after in zip(strokes, back, strict=True):
            np.testing.assert_allclose(after[:, :2], before[:, :2], atol=0.01)
            np.testing.assert_allclose(after[:, 2], before[:, 2], atol=0.001)
