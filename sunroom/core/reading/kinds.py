"""What ink is likelier meant as: writing or a figure. Shape alone never decides about a single sign."""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from sunroom.core.reading.readings import Reading

Taken = Literal["", "typeset", "true_up"]

#: A figure less likely than this is not offered before a text.
SURE = 0.5
#: A figure this likely is offered first even when the ink also reads as a few letters.
VERY_SURE = 0.8
#: Texts longer than this are no reading of one figure.
SHORT_TEXT = 2
#: Ink up to this many times as large as the writing beside it is writing too.
LIKE_WRITING = 2.4
#: Below these nothing is made of ink unasked, whatever was chosen. Of what is read with 0.7 or more, over nine of ten are right
#: in hands never seen (docs/benchmarks.md).
SURE_TEXT, SURE_FIGURE = 0.7, 0.85
#: Writing further away than this many of its heights is no context.
NEAR = 6.0


#: What sums have and texts have not (a dash stands in both), and letters that are a word's; names of functions are not.
_SUM, _LETTERS = re.compile(r"[\w)²³] ?[+×÷·] ?[\w(]"), re.compile(r"[^\W\d_]{3}")
FUNCTIONS = re.compile(r"arc(?:sin|cos|tan)|sin|cos|tan|cot|log|exp|lim|max|min|det|gcd")
#: A word has so many letters, one of them a vowel, of which the first may be a capital, or all of long ones (in what is sure and no
#: equation fewer are enough); and so many where spaces are left out, which readers lose and find.
_WORD, _VOWEL = (
    re.compile(r"[^\W\d_][a-zß-öø-ÿ'’]+|[A-ZÀ-ÖØ-Þ]{5,}"),
    re.compile(r"[aeiouyà-öø-ÿ]", re.IGNORECASE),
)
WORD, SURE_WORD, JOINED_WORDS = 4, 3, 8
#: So much of a text that is not sure is in words when it is no formula.
WORDS_SHARE = 1 / 3
#: A text of so many signs in words, and so large a part in them, is nothing else.
MANY_IN_WORDS, MOSTLY = 12, 0.5

#: What counts a line of maths, before a formula with some sign.
COUNTER = re.compile(r" *(?:[a-z]\)|\d{1,2}(?:\)|\.(?= ))) *(?=[\w(-].*[=<>+×÷·-])")
#: What counts a line or leads into it; and so many letters without anything else are words, when a vowel is among so many of them.
_COUNTED = re.compile(r"^ *(?:[-–•]|\w{1,2}[.)]) *")
ONLY_LETTERS, SHORT_WORD, FEW_VOWELS = 5, 2, 4
#: Short words that join or answer what is written in signs, and stand in no formula.
JOINING = frozenset(
    "and at because but for hence if is let no not of or since so then thus to when with yes "
    "aber also bei da dann denn für ist ja mit nein nicht oder um und von wenn wobei zu "
    "alors avec car donc est et mais non ou oui où pas pour soit "
    "con cuando entonces luego para pero por pues si sí ".split()
)
#: Other signs may be among so many letters, up to this share of letters; what only sums have may not.
MANY_LETTERS, MOSTLY_LETTERS = 8, 0.7
_SUMS = re.compile(r"[=+×÷<>]")


def says_a_sum(text: str) -> bool:
    """Whether a text is a sum rather than words or a range: ``3b + 6``, not ``10-15``."""
    return bool(_SUM.search(text)) and not _LETTERS.search(FUNCTIONS.sub(" ", text))


def says_words(reading: Reading) -> bool:
    """Whether a text is rather words than a formula: ``im osten auf.``, not ``sinx = NaCl``; one word is enough of what is sure."""
    sure = reading.score >= SURE_TEXT
    in_words, signs = _in_words(reading.text, SURE_WORD if sure and "=" not in reading.text else WORD)
    return in_words > (0 if sure else WORDS_SHARE * signs)


def says_words_among(reading: Reading) -> bool:
    """Whether a line among formulas is words: also when short ones join what it says (``x = 0 or x = 2``, ``so x = 4``)."""
    # As No in a reaction N₂ may be read.
    tokens = [token.strip(".,:;!?").casefold() for token in reading.text.split() if token != "No"]
    return says_words(reading) or (len(tokens) > 1 and not JOINING.isdisjoint(tokens))


def says_letters(text: str, least: int) -> bool:
    """Whether a line among formulas is words that were misread: ``a ss ten``, ``If ing 1 ras at sc /o gre``.

    At least so many letters and nothing else, or many among few other signs, none of which is a sum's.
    """
    signs = "".join(FUNCTIONS.sub("", _COUNTED.sub("", text)).split()).strip(".,:;!?")
    letters = [sign for sign in signs if sign.isalpha()]
    enough = least if len(letters) == len(signs) else MANY_LETTERS
    words = len(letters) >= max(enough, MOSTLY_LETTERS * len(signs)) and not _SUMS.search(signs)
    return words and len(_VOWEL.findall("".join(letters))) * FEW_VOWELS >= len(letters)


def says_nothing_else(reading: Reading) -> bool:
    """Whether a text is words and hardly anything beside them, too many to be a formula that is misread."""
    in_words, signs = _in_words(reading.text)
    return in_words >= MANY_IN_WORDS and in_words > MOSTLY * signs


def _in_words(text: str, least: int = WORD) -> tuple[int, int]:
    """How many signs of a text are in words of at least so many letters, and how many it has."""
    in_words = sum(
        max(_signs_of_words(line, least), _signs_of_words(line.replace(" ", ""), JOINED_WORDS))
        for line in FUNCTIONS.sub(" ", text).split("\n")
    )
    return in_words, len("".join(text.split()))


def _signs_of_words(text: str, least: int) -> int:
    return sum(len(word) for word in _WORD.findall(text) if len(word) >= least and _VOWEL.search(word))


def figure_first(
    readings: Sequence[Reading],
    figure_score: float,
    strokes: Sequence[NDArray[np.float64]],
    beside: Sequence[NDArray[np.float64]] = (),
) -> bool:
    """Whether the best figure should be offered before the best text.

    Parameters
    ----------
    readings : sequence of Reading
        Of ``strokes``, best first.
    figure_score : float
        How likely it is that they are some figure (core.shapes.any_figure), 0 when they are none.
    strokes, beside : sequences of (N, K) float arrays
        The ink in question, and other ink of the page around it.
    """
    if figure_score <= 0:
        return False
    if not readings:
        return True
    if in_writing(strokes, beside):
        return False
    longest = max(len(part) for part in readings[0].text.split()) if readings[0].text.split() else 0
    return figure_score >= (SURE if longest <= SHORT_TEXT else VERY_SURE)


def taken_unasked(readings: Sequence[Reading], figure_score: float, figure_first: bool) -> Taken:
    """What may be made of ink of whoever has said that it always should: "" leaves it as it is.

    Parameters
    ----------
    readings : sequence of Reading
        Best first.
    figure_score : float
        Of the best figure, 0 when there is none.
    figure_first : bool
        See the function of that name.
    """
    if figure_first:
        return "true_up" if figure_score >= SURE_FIGURE else ""
    # A single sign is left as it is: it may be a part of what comes.
    sure = bool(readings) and len(readings[0].text) > 1 and readings[0].score >= SURE_TEXT
    return "typeset" if sure else ""


def in_writing(strokes: Sequence[NDArray[np.float64]], beside: Sequence[NDArray[np.float64]]) -> bool:
    """Whether ink stands among letters about as large as it is."""
    if not beside:
        return False
    (left, top), (right, bottom) = _box(strokes)
    size = max(right - left, bottom - top)
    tall = float(np.percentile([np.ptp(stroke[:, 1]) for stroke in beside], 75))
    if size > LIKE_WRITING * max(tall, 1e-6):
        return False
    for stroke in beside:
        (x0, y0), (x1, y1) = _box([stroke])
        gap = max(x0 - right, left - x1, y0 - bottom, top - y1, 0.0)
        if gap <= NEAR * tall:
            return True
    return False


def _box(strokes: Sequence[NDArray[np.float64]]) -> tuple[NDArray[np.float64], NDArray[np.float64]]:
    everything = np.vstack([stroke[:, :2] for stroke in strokes])
    return everything.min(axis=0), everything.max(axis=0)
