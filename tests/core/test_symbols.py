"""Digits as several nets see them together; the nets here are made up, and say what they are told to."""

from __future__ import annotations

import unittest

import numpy as np

from sunroom.core.reading.symbols import DIGITS, LookSymbols, Symbols

CLASSES = [*DIGITS, "o", "l"]
STROKE = np.array([[0.0, 0.0], [3.0, 9.0], [5.0, 2.0]])


def says(**shares: float) -> np.ndarray:
    """Probabilities: ``_7=0.6`` for a digit, names for the rest; columns as those of the net of symbols."""
    row = np.zeros(len(CLASSES))
    for name, share in shares.items():
        row[CLASSES.index(name.lstrip("_"))] = share
    return row


def looks(row: np.ndarray) -> LookSymbols:
    return lambda rasters, measures: (
        np.repeat(row[None], len(rasters), 0).astype(np.float32),
        np.ones((len(rasters), 4), np.float32) / 2,
    )


class DigitsOf(unittest.TestCase):
    def test_the_net_of_digits_counts_more_than_that_of_all_symbols(self) -> None:
        nets = Symbols(looks(says(_1=0.5, _7=0.1, l=0.4)), CLASSES, looks(says(_7=0.9, _1=0.1)))
        (log,) = nets.digits_of([[STROKE]])
        self.assertEqual(DIGITS[int(log.argmax())], "7")

    def test_what_is_likelier_no_digit_counts_less_for_every_digit(self) -> None:
        digit = Symbols(looks(says(_3=0.9, o=0.1)), CLASSES).digits_of([[STROKE]])[0]
        letter = Symbols(looks(says(_3=0.1, o=0.9)), CLASSES).digits_of([[STROKE]])[0]
        self.assertAlmostEqual(float(digit[3]), 0, 4)
        self.assertLess(float(letter[3]), float(np.log(0.6)))

    def test_no_digit_is_ever_ruled_out(self) -> None:
        (log,) = Symbols(looks(says(_3=1.0)), CLASSES, looks(says(_3=1.0))).digits_of([[STROKE]])
        self.assertTrue(np.isfinite(log).all())


class LogsOf(unittest.TestCase):
    def test_among_all_symbols_too_the_net_of_digits_says_which_digit_one_is(self) -> None:
        nets = Symbols(looks(says(_1=0.1, _7=0.7, l=0.2)), CLASSES, looks(says(_1=0.9, _7=0.1)))
        (log,) = nets.logs_of([[STROKE]])
        self.assertEqual(CLASSES[int(log[: len(DIGITS)].argmax())], "1")
        self.assertAlmostEqual(float(log[1]), float(np.log(0.8 * 0.9)), 1, "some digit it is at 0.8")

    def test_what_is_no_digit_stays_as_the_net_of_all_symbols_says(self) -> None:
        nets = Symbols(looks(says(_3=0.1, o=0.9)), CLASSES, looks(says(_3=1.0)))
        (log,) = nets.logs_of([[STROKE]])
        self.assertAlmostEqual(float(log[CLASSES.index("o")]), float(np.log(0.9)), 5)
        self.assertLess(float(log[3]), float(log[CLASSES.index("o")]))
