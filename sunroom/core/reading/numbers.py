"""Numbers, alone, in rows, in sums and with signs: which digits a line's strokes are, and what stands among them."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from itertools import pairwise

import numpy as np

from sunroom.core.fractions import fraction_beside_large
from sunroom.core.geometry import Box
from sunroom.core.geometry.curves import Points
from sunroom.core.reading.decode import beam_search, log_of
from sunroom.core.reading.joint import Readers, Rows
from sunroom.core.reading.own_hand import OwnLetters
from sunroom.core.reading.parting import Parted
from sunroom.core.reading.prior import Prior, agreement, dots_in
from sunroom.core.reading.readings import MAX_READINGS, Reading, ranked
from sunroom.core.reading.symbols import Symbols

NUMBER_CHARACTERS = "0123456789.,"
#: Signs that a digit is taken for.
NUMBER_LIKE = frozenset(":/°%OolIi|SsZzBbGgqCLFHATYcDQJ.,")
#: How far down a line, as a part of its height, a dash may lie.
DASH = (0.3, 0.8)
#: A line of which this share of the signs are digits is a number.
NUMBER_SHARE = 0.5
BEAM_OF_NUMBERS = 10
MAX_NUMBER_STROKES = 40
#: What may stand by itself before a number, as in a sum in columns.
SIGNS_BEFORE = ("+", "-", "×", "÷", "=")
#: Strokes are digits, whatever the line reads as, when each is on average this likely (logarithm).
SURE_DIGIT = -0.8
#: And, where signs are read among them, when among all symbols digits are no more than so much less likely.
AS_LIKELY = 2.0
#: A word that people use is a number only when it is short, and digits are so much likelier (logarithm) by their looks;
#: in capitals, when they are as likely.
SHORT_WORD, WORD_LEAD = 3, 2.0
#: How much the recogniser of lines counts beside the net of symbols, which sees each digit closer, and it as it was taught.
LINE_WEIGHT, TAUGHT_WEIGHT = 0.2, 0.2
#: And where it is about signs among digits, which the net of digits does not know.
SIGN_LINE_WEIGHT, SIGN_TAUGHT_WEIGHT = 0.4, 0.2
LEAST_LOG = -30.0
#: A row of a sum in columns, and its sign.
_IN_SUM = re.compile(r"[-+×÷]?\d+(?:[.,]\d+)?")
_SIGN = re.compile(r"^[-+×÷]")
_SIGN_OF_ROW = re.compile(r"(^|\d)([-+×÷:/=])")
#: The first row of a long division.
_DIVIDED = re.compile(r"\d+(?:[.,]\d+)?[:÷/]\d+(?:[.,]\d+)?=\d*(?:[.,]\d+)?")
#: Numbers with signs between them, after one or before what comes out: 12 + 5 = 17; and what is read where one may be.
_ARITHMETIC = re.compile(r"[-+=]?{0}(?:[-+×÷:/<>]{0}|=-?{0})*=?".format(r"\d+(?:[.,]\d+)?"))
_LIKE_ARITHMETIC = re.compile(
    r"(?=.*[-+=×xX·*÷:<>])(?:[-+=] ?)?{0}(?: ?[-+×xX·*÷:/<>] ?{0}| ?= ?-?{0})*(?: ?=)?".format(
        r"[\dOoIl|]+(?: 1\d+)?(?:[.,]\d+)?"
    )
)
_SIGN_OF_ARITHMETIC = re.compile(r"((?<=\d)[-+×÷:<>]|=)")
#: How much likelier (logarithm) each fraction but the first among them is than a number whose 1 is its stroke, and what it costs
#: that one stands beside a number of three digits and more.
PART_GAIN, LARGE_COST = 2.0, 4.0
#: Its symbols are this likely (logarithm) on average; its digits' middles are no further apart than so many heights, and so unlike.
LIKELY_IN_SUM, MOST_STEP, UNEVEN = -2.0, 2.2, 0.25
#: Few write .5 for 0.5, and none 4898:7.
POINT_FIRST_COST, ODD_COLON_COST = 1.5, 8.0
#: What it costs a number to have several points, or one in a sum in columns, and what a date is likelier for its.
POINTS_COST = 2.0
#: A sign in a number that a stroke of a digit may be must be so much likelier than one (logarithm).
SIGN_COSTS = {"/": 1.0} | dict.fromkeys("+-=×÷<>", 4.0)
#: But for the parts that lessons divide a whole into: of those, up to all of them need no more.
PARTS = frozenset((*range(2, 13), 15, 16, 18, 20, 24, 25, 30, 32, 36, 40, 48, 50, 60, 64, 100))
#: A date with all of its year is so much likelier than the number of eight digits and more that its slashes make of it as ones.
DATE_GAIN = 4.0
#: And so much likelier again in a row of numbers, which are mostly of one kind.
ROW_COST = 2.0
#: Among all symbols digits are so much less likely (logarithm) than among digits alone.
DIGITS_COST = 1.2


class Numbers:
    """Reads numbers by how each of their digits looks, and a little by what the readers of lines say.

    Parameters
    ----------
    symbols : Symbols
    prior : Prior
    columns : Readers
        Of the readers of lines.
    """

    def __init__(self, symbols: Symbols, prior: Prior, columns: Readers) -> None:
        self._symbols = symbols
        self._prior = prior
        self._columns = columns
        self._digits = [0, *(columns.picture.of(NUMBER_CHARACTERS) or ())]

    def read_number(
        self, text: str, strokes: Sequence[Points], hand: OwnLetters | None, rows: Rows
    ) -> list[Reading]:
        """A line read as a number, when ``text``, what its recogniser reads, is one; empty otherwise."""
        digits = self._as_number(text, strokes, hand)
        if digits is None:
            return []
        return self._digits_in(digits, self._symbols.parted_numbers(strokes, hand), text, rows)

    def number_in(
        self, strokes: Sequence[Points], hand: OwnLetters | None, rows: Rows, first: bool = True
    ) -> list[Reading]:
        """Ink that is a number, or if it is the ``first`` the sign before others; empty when it has no digit."""
        if len(strokes) > MAX_NUMBER_STROKES:
            return []
        if first and len(strokes) == 1 and has_dash(strokes):
            return [Reading("-", 1.0)]
        digits = self._symbols.parted_digits(strokes, hand)
        signed = self._symbols.parted_numbers(strokes, hand)
        best, log = signed.texts()[0]
        if first and best in SIGNS_BEFORE and log > digits.texts()[0][1]:
            return [Reading(best, 1.0)]
        return self._digits_in(digits, signed, "", rows)

    def row_in_columns(
        self, strokes: Sequence[Points], hand: OwnLetters | None, rows: Rows
    ) -> tuple[list[Reading], bool]:
        """A row of a sum in columns or a long division, a number with its sign or without; empty when it looks like none.

        And whether its digits stand at even distances, as those of several numbers in a row do not.
        """
        readings, boxes = self._of_form(_IN_SUM, strokes, hand, rows)
        if not readings:
            return [], False
        best = readings[0].text.replace(" ", "")
        steps = np.array(
            [
                right.middle[0] - left.middle[0]
                for (a, left), (b, right) in pairwise(zip(best, boxes, strict=True))
                if a.isdecimal() and b.isdecimal()
            ]
        )
        tall = max(box.height for box in boxes)
        uneven = len(steps) and (steps.max() > MOST_STEP * tall or steps.std() > UNEVEN * steps.mean())
        return readings, not uneven

    def first_of_division(
        self, strokes: Sequence[Points], hand: OwnLetters | None, rows: Rows
    ) -> list[Reading]:
        """A row as a division and what comes out, as a long one begins; empty when it is none."""
        return self._of_form(_DIVIDED, strokes, hand, rows)[0]

    def arithmetic(
        self, text: str, strokes: Sequence[Points], hand: OwnLetters | None, rows: Rows
    ) -> list[Reading]:
        """What a line of numbers with signs between them says, when ``text``, what is read, is one; empty otherwise.

        All is left as it is read but what a stroke down may be: a 1, a 7, the stroke of a fraction.
        """
        if not _LIKE_ARITHMETIC.fullmatch(text) or len(strokes) > MAX_NUMBER_STROKES:
            return []
        signed = self._symbols.parted_numbers(strokes, hand)
        texts = [t for t, _ in signed.texts() if _ARITHMETIC.fullmatch(t) and _form(t) == _form(text)]
        weighed = {
            found: LINE_WEIGHT * self._line_log(found, rows)
            + TAUGHT_WEIGHT * self._taught_log(found, rows)
            + signed.log_of(found)
            + _as_fractions(found)
            for found in dict.fromkeys([*texts, *map(_in_parts, texts)])
        }
        readings = ranked(weighed)[:MAX_READINGS]
        return [Reading(_signs_apart(r.text), r.score) for r in readings] if " " in text else readings

    def _of_form(
        self,
        form: re.Pattern[str],
        strokes: Sequence[Points],
        hand: OwnLetters | None,
        rows: Rows,
    ) -> tuple[list[Reading], list[Box]]:
        """What of a form, made of digits and signs, a line may say; and where each character of the best one is."""
        if not 0 < len(strokes) <= MAX_NUMBER_STROKES:
            return [], []
        signed = self._symbols.parted_numbers(strokes, hand, marks=False)
        weighed = {
            text: LINE_WEIGHT * self._line_log(text, rows)
            + TAUGHT_WEIGHT * self._taught_log(text, rows)
            + signed.log_of(text)
            - POINTS_COST * any(point in text for point in ".,")
            for text, _ in signed.texts()
            if form.fullmatch(text)
        }
        readings = ranked(weighed)[:MAX_READINGS]
        if not readings or signed.log_of(readings[0].text) < LIKELY_IN_SUM * len(readings[0].text):
            return [], []
        boxes = [
            Box.of(np.vstack([strokes[number][:, :2] for number in numbers]))
            for _, numbers in signed.symbols_of(readings[0].text)
        ]
        return [Reading(_spaced(reading.text), reading.score) for reading in readings], boxes

    def _digits_in(self, digits: Parted, signed: Parted, text: str, rows: Rows) -> list[Reading]:
        """What ink is as digits, and as digits with signs; ``text`` is what the recogniser of lines reads."""
        dots = dots_in(digits.strokes)
        of_line = rows.picture[:, self._digits]
        texts = {text for text, _ in beam_search(of_line, NUMBER_CHARACTERS, BEAM_OF_NUMBERS)}
        texts |= {text for text, _ in digits.texts()}
        weighed = {
            text: LINE_WEIGHT * self._line_log(text, rows)
            + TAUGHT_WEIGHT * self._taught_log(text, rows)
            + max(digits.log_of(text), LEAST_LOG)
            + agreement(text, dots)
            - self._oddness(text)
            for text in texts
            if any(character.isdigit() for character in text)
        }
        readings = self._with_signs(ranked(weighed), text, signed, rows)
        if text and all(reading.text != text for reading in readings):
            readings.insert(3, Reading(text, 0.0))
        return readings[:MAX_READINGS]

    def _oddness(self, text: str) -> float:
        """What it costs a number that few write it so."""
        formed, points = self._prior.well_formed(text), sum(text.count(sign) for sign in ".,")
        cost = POINT_FIRST_COST * (text[0] in ".,") + ODD_COLON_COST * (":" in text and not formed)
        # Two points are those of a date, and a date has two.
        return cost + (POINTS_COST * (-1 if formed else 1) if points > 1 else 0.0)

    def _as_number(self, text: str, strokes: Sequence[Points], hand: OwnLetters | None) -> Parted | None:
        """The strokes parted into digits when the line is a number; None when it is none."""
        # A single sign is looked at closer among all others.
        if len(text) == 1 or not 0 < len(strokes) <= MAX_NUMBER_STROKES:
            return None
        # The bar of a 5 is no dash.
        dashed = text if "-" not in text or has_dash(strokes) else text.replace("-", "")
        # What is read as fractions in a row is likelier that than numbers.
        if " " in text and "/" in text and all(map(self._prior.well_formed, text.split())):
            return None
        if is_numeric(dashed, len(strokes)):
            return self._symbols.parted_digits(strokes, hand)
        known = self._prior.knows(text)
        if " " in text or (known and len(text) > SHORT_WORD):
            return None
        # The recogniser of lines takes loose digits for anything: the nets of symbols may know better.
        parted = self._symbols.parted_digits(strokes, hand)
        digits, log = parted.texts()[0]
        # Nobody joins digits: parts of fewer strokes are letters in joined writing.
        if not 2 <= len(digits) <= len(strokes) or log < SURE_DIGIT * len(digits):
            return None
        if not known and text.replace("/", "").isalnum():
            return parted
        closer = self._symbols.parted(strokes, hand)
        close = closer.log_of(digits)
        if known:
            lead = 0.0 if text.isupper() else WORD_LEAD
            return parted if close - lead >= closer.log_of(text) else None
        return parted if max(close, log - DIGITS_COST) > closer.texts()[0][1] - AS_LIKELY else None

    def _line_log(self, text: str, rows: Rows) -> float:
        columns = self._columns.picture.of(text)
        return LEAST_LOG if columns is None else max(log_of(rows.picture, columns), LEAST_LOG)

    def _taught_log(self, text: str, rows: Rows) -> float:
        return float(self._columns.taught.logs(rows.taught, [text])[0])

    def _with_signs(self, readings: list[Reading], read: str, numbers: Parted, rows: Rows) -> list[Reading]:
        """Numbers with 25°, 3/4 or 9:30 before or after them, when their signs may be no digits.

        ``read`` is what the recogniser of lines reads.
        """

        def likely(text: str) -> float:
            line = SIGN_LINE_WEIGHT * self._line_log(text, rows)
            line += SIGN_TAUGHT_WEIGHT * self._taught_log(text, rows)
            close = max(numbers.log_of(text), LEAST_LOG)
            return line + close + agreement(text, dots)

        dots = dots_in(numbers.strokes)
        signed = [
            (likely(text), text)
            for text in dict.fromkeys([read, *(text for text, _ in numbers.texts())])
            if self._prior.well_formed(text)
            and self._columns.picture.of(text) is not None
            and set(text) - set(NUMBER_CHARACTERS)
        ]
        if not signed or not readings:
            return readings
        log, text = max(signed)
        doubt = (
            0.0 if _is_part(text) or _is_date(text) else sum(SIGN_COSTS.get(sign, 0.0) for sign in set(text))
        )
        more = (
            log
            - likely(readings[0].text)
            - doubt
            + DATE_GAIN * _is_date(text)
            - ROW_COST * ("/" in text and not read)
        )
        share = 1 / (1 + math.exp(min(-more, 50.0)))
        others = [Reading(r.text, round(r.score * (1 - share), 3)) for r in readings]
        return sorted([*others, Reading(text, round(share, 3))], key=lambda reading: -reading.score)


def _is_part(text: str) -> bool:
    """Whether a text is a fraction as lessons have them: 3/4, 7/7."""
    some, _, parts = text.partition("/")
    return some.isdecimal() and parts.isdecimal() and int(parts) in PARTS and int(some) <= int(parts)


def _is_date(text: str) -> bool:
    """Whether a text that is well formed is a date with slashes and all of its year."""
    return text.count("/") == 2 and text[-5] == "/"


def _form(text: str) -> str:
    """A line with all that a stroke down may be as 1."""
    return re.sub(r"[xX·*]", "×", re.sub(r"[Oo]", "0", re.sub(r"[17Il|/]", "1", text.replace(" ", ""))))


def _signs_apart(text: str) -> str:
    """Arithmetic as it is typed with spaces: ``1/2 + 5 = -3``."""
    return _SIGN_OF_ARITHMETIC.sub(r" \1 ", text).strip()


def _as_fractions(text: str) -> float:
    """How likely (logarithm) it is that the fractions of a line are some: where there is one are others, and small numbers."""
    return PART_GAIN * max(text.count("/") - 1, 0) - LARGE_COST * fraction_beside_large(text)


def _in_parts(text: str) -> str:
    """A text with its numbers that may be fractions, their stroke taken for a 1, as such: ``113 + 215`` is ``1/3 + 2/5``."""

    def apart(number: re.Match[str]) -> str:
        digits = number[0]
        tried = (f"{digits[:n]}/{digits[n + 1 :]}" for n in range(1, len(digits) - 1) if digits[n] == "1")
        return next(filter(_is_part, tried), digits)

    return re.sub(r"(?<![/\d.,])\d+(?![/\d.,])", apart, text)


def is_sum(texts: Sequence[str]) -> bool:
    """Whether lines of writing are a sum in columns: numbers, a later one with a sign before it, and hardly anything else."""
    plain = [text.replace(" ", "").replace("x", "×").replace("X", "×") for text in texts]
    numbers = sum(_IN_SUM.fullmatch(text) is not None for text in plain)
    return numbers > 1 and numbers >= len(texts) / 2 and any(map(_SIGN.match, plain[1:]))


def _spaced(text: str) -> str:
    """A row of a sum as it is typed: ``- 27``, ``864 : 4 = 216``."""
    return _SIGN_OF_ROW.sub(r"\1 \2 ", text).lstrip()


def has_dash(strokes: Sequence[Points]) -> bool:
    """Whether one of the strokes of a level line is flat and about halfway up."""
    down = np.concatenate([stroke[:, 1] for stroke in strokes])
    top, tall = float(down.min()), max(float(np.ptp(down)), 1e-6)
    for stroke in strokes:
        width, height = np.ptp(stroke[:, :2], axis=0)
        middle = (float(stroke[:, 1].min() + stroke[:, 1].max()) / 2 - top) / tall
        if width > 2 * height and DASH[0] < middle < DASH[1]:
            return True
    return False


def is_numeric(text: str, strokes: int) -> bool:
    """Whether a line is likely a number: half of its signs are digits, and there are strokes enough for each."""
    plain = text.replace(" ", "")
    digits = sum(character.isdigit() for character in plain)
    # Beside digits O and I are half digits, and a high speck between them is no foot mark.
    share = digits + 0.5 * sum(c in "OI" for c in plain)
    known = all(c.isdigit() or c in NUMBER_LIKE for c in plain[:-1].replace("'", "") + plain[-1:])
    return known and share >= NUMBER_SHARE * len(plain) and strokes >= digits > 0
