"""How likely a text is before its ink is looked at, and how well its dots and accents agree with the ink."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Callable, Iterator, Sequence
from copy import copy
from functools import lru_cache
from itertools import pairwise

import numpy as np

from sunroom.core.geometry.curves import Points

#: how common a word is: 0 (never seen) to 8 (the), the logarithm of its count in a billion words
Frequency = Callable[[str], float]
#: the words that a word without its accents may stand for: "uber" to ("über",)
Variants = Callable[[str], Sequence[str]]
#: how much likelier a word is after another than by itself (logarithm, 0 or more), both in small letters
Together = Callable[[str, str], float]

LENGTH_BONUS = 0.3
#: Words whose frequency is at hand: a line asks for the same ones again and again.
KEPT_WORDS = 50_000
#: A word adds its zipf frequency less this: two words must be likelier together than one.
WORD_COST = 3.0
#: A letter alone is likelier a piece of a word, whatever lists of words say; but for “a” and “I”.
LONE_LETTER = 1.0
COMMON_LETTER = 6.5
LETTERS = "abcdefghijklmnopqrstuvwxyz"
#: What two letters that stand close look like.
ALIKE = (("rn", "m"), ("cl", "d"), ("vv", "w"))
#: Shorter words are changed into too many others.
SHORTEST_CHANGED = 3
#: Words rarer than this are as likely a misreading.
KNOWN_ZIPF = 1.5
#: A token with digits or signs is neither common nor rare: about the weight of an everyday word.
NEUTRAL_ZIPF = 3.0
#: One that is written as lessons write such things is likelier than one that is not.
WELL_FORMED_ZIPF = 5.5
#: What a word that is expected weighs at least: as much as one of everyday.
EXPECTED_ZIPF = 4.0
#: A dot more or less in the ink than in the text makes it so much less likely (logarithm), at most three.
DOT_WEIGHT = 0.7
MOST_DOTS = 3
#: What an accented form costs when the ink has marks left over for it, and when it has not.
ACCENT_COST, UNSEEN_COST = 0.5, 5.0
#: Strokes smaller than this part of a tall letter are dots; marks above letters are smaller than this.
DOT, MARK = 0.2, 0.5

_OPENING, _CLOSING = '("“«¿¡', '.,:;!?)"”»'
_WORD = re.compile(r"[^\W\d_]+(?:['’][^\W\d_]+)?")
_NUMBER = r"[-+−]?\d+(?:[.,]\d+)?"
#: 28.11.2026, 28/11/26, 11/28/2026.
_DAY, _MONTH = r"(?:0?[1-9]|[12]\d|3[01])", r"(?:0?[1-9]|1[0-2])"
_DATE = "|".join(
    rf"(?:{_DAY}{sign}{_MONTH}|{_MONTH}{sign}{_DAY}){sign}(?:19|20)?\d\d" for sign in (r"\.", "/")
)
_ORDINAL = r"\d{0,2}(?:1st|2nd|3rd|[04-9]th|1[1-3]th)"
#: One side of a short equation: 3, 25, 3x, x, ab, x2.
_SIDE = r"[-+]?(?:\d{1,4}[a-z]?|[A-Za-z]{1,3}\d?)"
_WELL_FORMED = re.compile(
    rf"(?:\d{{1,2}}:\d\d(?::\d\d)?|{_NUMBER}(?:%|°[CF]?)?|[€$£]{_NUMBER}|{_NUMBER}[€$£]"
    rf"|{_DATE}|{_ORDINAL}|\d{{1,3}}(?:[.,]\d{{3}}){{2,}}"
    r"|[1-9]\d?/(?:[1-9]\d?|100)|\(-?\w+,-?\w+\)|\d{1,2}:\d{1,2}"
    rf"|{_SIDE}(?:[-+=×÷*<>≤≥]{_SIDE})+|[A-Za-z]/[A-Za-z0-9]|(?:[A-Za-z]\.){{2,}})"
)
_UNITS = frozenset(
    "mm cm dm m km mg g kg t ml cl l s min h ms °C °F m² cm² m/s km/h V A W kW N J Hz am pm a.m. p.m.".split()
)
_DOTS = {
    ":": 2,
    ";": 1,
    ".": 1,
    ",": 0,
    "!": 1,
    "?": 1,
    "i": 1,
    "j": 1,
    "·": 1,
    "…": 3,
    "÷": 2,
    "¿": 1,
    "¡": 1,
}


class Prior:
    """What words are likely in a language.

    Parameters
    ----------
    frequency, variants, together : callables
        See ``Frequency``, ``Variants`` and ``Together``.
    """

    def __init__(
        self, frequency: Frequency, variants: Variants, together: Together = lambda before, word: 0.0
    ) -> None:
        self._frequency: Frequency = lru_cache(KEPT_WORDS)(frequency)
        self._variants, self._together = variants, together

    def expecting(self, words: frozenset[str]) -> Prior:
        """The same with some words, in small letters, as likely as everyday ones: names, and what a board is about."""
        before, other = self._frequency, copy(self)
        # Asked of the one whose words are at hand already: no second table of them is kept.
        other._frequency = lambda word: max(before(word), EXPECTED_ZIPF) if word in words else before(word)
        return other

    def score(self, text: str) -> float:
        """Log likelihood of ``text``, up to a constant."""
        tokens = text.split()
        return sum(
            self._token(token, before) for before, token in zip(["", *tokens], tokens, strict=False)
        ) + (LENGTH_BONUS * len(text))

    def together(self, text: str) -> float:
        """How much likelier the words of a text are beside each other than each by itself (logarithm).

        A sign between two words parts them; quotes and brackets around them do not matter. Two that are one word as well
        gain nothing: corpora have “home work” often enough to spoil “homework”.
        """
        gain = 0.0
        for before, word in pairwise(text.lower().split()):
            before, word = before.lstrip(_OPENING), word.strip(_OPENING + _CLOSING)
            if self._frequency(before + word) < KNOWN_ZIPF:
                gain += self._together(before, word)
        return gain

    def knows(self, text: str) -> bool:
        """Whether every word of a text is one that people use."""
        words = _WORD.findall(text)
        whole = "".join(words) == "".join(text.split())
        return bool(words) and whole and min(self._frequency(w.lower()) for w in words) >= KNOWN_ZIPF

    def commonness(self, token: str) -> float:
        """How common the (first) word of a token is (zipf); 0 when it has none."""
        match = _WORD.search(token)
        return self._frequency(match[0].lower()) if match else 0.0

    def nearly(self, token: str, least: float) -> list[str]:
        """Words at least this common that are one letter other than a token, or have one more or less; as it is cased."""
        match = _WORD.search(token)
        if match is None or len(match[0]) < SHORTEST_CHANGED:
            return []
        word = match[0].lower()
        made: dict[str, None] = {}
        for at in range(len(word) + 1):
            head, tail = word[:at], word[at:]
            made |= dict.fromkeys(head + letter + tail for letter in LETTERS)
            if tail:
                made |= dict.fromkeys(head + letter + tail[1:] for letter in LETTERS)
                made[head + tail[1:]] = None
        made.pop(word, None)
        known = [other for other in made if self._frequency(other) >= least]
        return [token[: match.start()] + _cased(other, match[0]) + token[match.end() :] for other in known]

    def alike(self, token: str, least: float) -> list[str]:
        """Words at least this common in which two letters stand for one that looks as they do (``ALIKE``), or one for two."""
        made: dict[str, None] = {}
        for two, one in ALIKE:
            for old, new in ((two, one), (one, two)):
                made |= {
                    token[: found.start()] + new + token[found.end() :]: None
                    for found in re.finditer(old, token)
                }
        return [other for other in made if self.commonness(other) >= least]

    def usual(self, token: str) -> bool:
        """Whether a token is a word that people use, in small letters, capitals, or with a capital first, or well formed."""
        if self.well_formed(token):
            return True
        return self.knows(token) and (token[1:].islower() or token.isupper() or len(token) == 1)

    def well_formed(self, token: str) -> bool:
        """Whether a token is written as lessons write numbers, times, money and short equations."""
        return _WELL_FORMED.fullmatch(token) is not None

    def accented(self, text: str) -> Iterator[tuple[str, int]]:
        """Texts in which one or all words have the accents they may have lost, and how many marks that adds."""
        found = []
        for match in _WORD.finditer(text):
            for variant in self._variants(match[0].lower()):
                if self._frequency(variant) > 0:
                    found.append((match.span(), _cased(variant, match[0])))
        made: dict[str, None] = {}
        for (start, end), word in found:
            made[text[:start] + word + text[end:]] = None
        if len({span for span, _ in found}) > 1:
            whole = text
            for (start, end), word in sorted(dict(reversed(found)).items(), reverse=True):
                whole = whole[:start] + word + whole[end:]
            made[whole] = None
        for other in made:
            yield other, marks_of(other) - marks_of(text)

    def _token(self, token: str, before: str) -> float:
        if token in _UNITS and before[-1:].isdigit():
            return WELL_FORMED_ZIPF - WORD_COST
        words = _WORD.findall(token)
        if not words or any(character.isdigit() for character in token) or _WELL_FORMED.fullmatch(token):
            return (WELL_FORMED_ZIPF if _WELL_FORMED.fullmatch(token) else NEUTRAL_ZIPF) - WORD_COST
        zipf = min(self._frequency(word.lower()) for word in words)
        if len(token) == 1 and zipf < COMMON_LETTER:
            zipf = min(zipf, LONE_LETTER)
        return zipf - WORD_COST


def marks_of(text: str) -> int:
    """How many accents there are over the letters of a text; two for a diaeresis."""
    marks = 0
    for character in text:
        parts = unicodedata.normalize("NFD", character)
        marks += sum(2 if part == "\u0308" else 1 for part in parts[1:] if part != "\u0327")
    return marks


def dots_of(text: str) -> int:
    """How many dots a hand makes in writing a text, accents but for the diaeresis not counted."""
    plain = unicodedata.normalize("NFD", text)
    return sum(_DOTS.get(part, 2 if part == "\u0308" else 0) for part in plain)


def dots_in(strokes: Sequence[Points]) -> int:
    """Strokes of a level line that are no more than dots."""
    tall = _tall(strokes)
    return sum(float(np.ptp(stroke, axis=0).max()) < DOT * tall for stroke in strokes)


def marks_in(strokes: Sequence[Points]) -> int:
    """Small strokes of a level line that lie wholly above its small letters: dots of i, accents."""
    tall = _tall(strokes)
    letters = [stroke for stroke in strokes if float(np.ptp(stroke[:, 1])) >= MARK * tall]
    if not letters:
        return 0
    small_letters_top = float(np.median([stroke[:, 1].min() for stroke in letters]))
    return sum(
        float(np.ptp(stroke, axis=0).max()) < MARK * tall and float(stroke[:, 1].max()) < small_letters_top
        for stroke in strokes
    )


def agreement(text: str, dots: int) -> float:
    """How well the dots of a text agree with the ink's (0 is best)."""
    return -DOT_WEIGHT * min(abs(dots - dots_of(text)), MOST_DOTS)


def _tall(strokes: Sequence[Points]) -> float:
    return max(float(np.percentile([np.ptp(stroke[:, 1]) for stroke in strokes], 80)), 1e-6)


def _cased(word: str, like: str) -> str:
    if like.isupper() and len(like) > 1:
        return word.upper()
    return word[:1].upper() + word[1:] if like[:1].isupper() else word
