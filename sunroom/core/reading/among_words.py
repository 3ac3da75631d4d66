"""Signs among words: what of a line of words is rather a formula, by what the line says and where the pen left gaps."""

from __future__ import annotations

import re
from collections.abc import Callable, Collection, Sequence
from itertools import combinations
from typing import NamedTuple

import msgspec
import numpy as np

from sunroom.core.geometry.curves import Points
from sunroom.core.reading.apart import between_gaps, gaps_in
from sunroom.core.reading.kinds import FUNCTIONS, JOINING
from sunroom.core.reading.lines import turned
from sunroom.core.reading.parting import is_ring
from sunroom.core.reading.readings import ReadLine

#: So many signs are looked at in one line.
MOST_IN_LINE = 6
#: Words of no more letters than this may be what a sum counts with: ``ab + c``, and 8n that was read as ``on``.
SHORT = 2
#: And of no more than this, where signs before it would end with one of an operation.
LITTLE = 4

#: The bars of an equals sign are lower than this part of their width; they are so wide, as parts of the height of letters, and
#: share so much of their width.
FLAT, LEAST_WIDE, MOST_WIDE, SHARED = 0.35, 0.2, 1.5, 0.6
#: Between words lies a gap of so many heights of the line, and so many times as wide as the one before it.
WORD_GAP, WIDER = 0.45, 3.0
#: A word is written every day from here on (zipf): ``so`` is in English and German, elsewhere it is read at times.
EVERYDAY = 6.0
#: No more bars than this are looked at.
MOST_FLAT = 40

STOPS = ".,:;!?"
#: 25% of 80 = 20 is no 80 = 20.
_PART_OF = re.compile(r"\b(?:of|von|vom|de|del|du|des)\s*$", re.IGNORECASE)
_NUMBER_IS = re.compile(r"[\d.,]+\s*[=≈]")
_LETTER = r"[^\W\d_²³]"
_OPENED = "[(\"'“„«¿¡]*"
_WORD = re.compile(rf"{_OPENED}{_LETTER}{{2,}}(?:['’-]{_LETTER}+)*[)\"'”“»{STOPS}]*")
#: A word with signs right behind it, and one right behind digits: the gap between them was lost.
_GLUED = re.compile(rf"{_OPENED}({_LETTER}{{4,}})(?=[^\w{STOPS})'’-]|[\d²³])")
_GLUED_SHORT = re.compile(rf"({_LETTER}{{2,3}})(?=\d|{_LETTER}[=²(])")
_TAIL = re.compile(rf"(?<=[\d²³)])({_LETTER}{{3,}})[{STOPS}]*$")
#: A word that nothing else is read as.
_PLAIN = re.compile(rf"{_LETTER}[^\W\d_A-Z²³]{{3,}}[{STOPS}]?")
#: Words of one letter that join what stands on both sides.
_ONE_LETTER = frozenset("eouy")
#: Letters that may be a word.
_LETTERS = re.compile(rf"{_LETTER}{{3}}")
#: What may be the word ``so`` before an equation.
_LIKE_SO = re.compile(r"[5Ss][0Oo] ?(?=[A-Za-z] ?[=<>])")
_OPERATION = re.compile(r"[=<>≤≥≈≠+×÷·±*/−-]")
_RELATION = re.compile(r"[=<>≤≥≈≠]")
#: What sums have and words have not; a dash is one with a number before a letter, or brackets and powers, and no two letters.
_COUNTS = re.compile(r"[=<>≤≥≈≠+×÷·±√]")
_DASHED = re.compile(rf"(?!.*{_LETTER}{{2}})(?=.*[−-])(?=.*(?:\d{_LETTER}(?!{_LETTER})|[()²³]))")


class Signs(NamedTuple):
    """Characters ``start`` up to ``end`` of a line that may be a formula.

    It begins, and ends, in a gap between two characters (their numbers); None at an end of the line.
    """

    start: int
    end: int
    begins: tuple[int, int] | None
    ends: tuple[int, int] | None


class _Token(NamedTuple):
    """Characters without a space in them, whether they are a word, and between which the gap behind them is."""

    start: int
    end: int
    word: bool
    gap: tuple[int, int]


def signs_in(
    text: str, knows: Callable[[str], bool] = lambda token: True, relations: Collection[int] = ()
) -> list[Signs]:
    """What of a line that has words may be formulas; no more than ``MOST_IN_LINE``.

    ``knows`` tells whether people use a word; ``relations`` are the characters that stand where an equals sign was seen.
    """
    tokens = _tokens(text, knows, relations)
    if not any(token.word for token in tokens):
        return []
    found: list[Signs] = []
    goes_on, begins = False, None
    for token in tokens:
        ends = None if token is tokens[-1] else token.gap
        if goes_on and (not token.word or _completes(text[token.start : token.end], text[found[-1].end - 1])):
            found[-1] = found[-1]._replace(end=token.end, ends=ends)
        elif not token.word:
            found.append(Signs(token.start, token.end, begins, ends))
        goes_on = not token.word and text[token.end - 1] not in ",:;?"
        begins = ends
    sums = [
        signs
        for signs in found
        if (_is_sum(text[signs.start : signs.end]) or any(signs.start <= at < signs.end for at in relations))
        and not (_PART_OF.search(text[: signs.start]) and _NUMBER_IS.match(text[signs.start : signs.end]))
    ]
    return sums[:MOST_IN_LINE]


def _completes(word: str, sign: str) -> bool:
    """Whether a short word is rather what a sum that ends with a sign goes on with, as tan x that was read as ``tax``."""
    return bool(_OPERATION.match(sign)) and len(word) <= LITTLE and word.casefold() not in JOINING


def _without_stop(signs: Signs, text: str) -> Signs:
    """Without the full stop or comma behind it, which is one of the sentence."""
    end = signs.start + len(text[signs.start : signs.end].rstrip(".,:;?"))
    return signs if end in (signs.start, signs.end) else signs._replace(end=end, ends=(end - 1, end))


def words_with_signs(text: str) -> bool:
    """Whether a line is plainly a word, and signs beside it that count something: ``Draw y = 2x``."""
    plain = any(_PLAIN.fullmatch(token) and not FUNCTIONS.match(token) for token in text.split())
    return plain and bool(signs_in(text))


def led_by_so(line: ReadLine, samples: Sequence[Points]) -> ReadLine:
    """A line that begins with ``so``, which looks like 50, where the pen left a gap behind it as between words: ``so x = 4``."""
    found = _LIKE_SO.match(line.rivals[0].text)
    if not found:
        return line
    gaps = gaps_in([turned(samples[n][:, :2], -line.angle_rad) for n in line.members])
    if len(gaps) < 2 or gaps[1] < max(WORD_GAP, WIDER * gaps[0]):
        return line
    first = line.rivals[0]
    said = msgspec.structs.replace(first, text=f"so {first.text[found.end() :]}")
    return msgspec.structs.replace(line, rivals=(said, *line.rivals))


def find_signs(
    line: ReadLine,
    samples: Sequence[Points],
    loose: Sequence[int],
    places: Callable[[Sequence[Points], str], Points],
    knows: Callable[[str], bool],
) -> list[tuple[Signs, tuple[int, ...]]]:
    """What of a line of words may be formulas, with the numbers of its strokes; without what no gap parts from the words.

    Parameters
    ----------
    line : ReadLine
    samples : sequence of (N, K) float arrays
        All the ink, by number.
    loose : sequence of int
        The strokes that are in no line: those of fractions and roots go with what they are in.
    places : callable
        The x of each character that a level line says: ``Reader.places``.
    knows : callable
        Whether people use a word.
    """
    text = line.rivals[0].text
    level = [turned(samples[n][:, :2], -line.angle_rad) for n in line.members]
    equals = _equals_in(level)
    if not (equals or signs_in(text, knows)):
        return []
    at = places(level, text)
    if not len(at):
        return []
    written = [n for n, sign in enumerate(text) if not sign.isspace()]
    signs = signs_in(text, knows, {min(written, key=lambda n: abs(at[n] - x)) for x in equals})
    more = {n: turned(samples[n][:, :2], -line.angle_rad) for n in loose}
    inside = [n for n, stroke in more.items() if _stands_in(stroke, level)]
    numbers, level = [*line.members, *inside], [*level, *(more[n] for n in inside)]
    found = []
    for one in signs:
        # A stop that no gap parts from the signs stays with them.
        for tried in dict.fromkeys((_without_stop(one, text), one)):
            begins = (at[tried.begins[0]], at[tried.begins[1]]) if tried.begins else (-np.inf, -np.inf)
            ends = (at[tried.ends[0]], at[tried.ends[1]]) if tried.ends else (np.inf, np.inf)
            between = {id(stroke) for stroke in between_gaps(level, begins, ends)}
            members = [n for n, stroke in zip(numbers, level, strict=True) if id(stroke) in between]
            if members:
                found.append((tried, tuple(sorted(members))))
                break
    return found


def _stands_in(stroke: Points, level: Sequence[Points]) -> bool:
    """Whether a stroke is a sign of a line: no ring around it, and something that it does not underline stands below its top."""
    (left, top), (right, _) = stroke.min(axis=0), stroke.max(axis=0)
    below = any(
        left < other[:, 0].mean() < right
        and top < other[:, 1].mean()
        and other[:, 1].min() < top + (right - left)
        for other in level
    )
    above = any(other[:, 1].min() < top for other in level)
    return below and above and not is_ring(stroke)


def _equals_in(level: Sequence[Points]) -> list[float]:
    """The x of each equals sign: two flat strokes over each other, with nothing else there."""
    low, high = (np.array([end(stroke, axis=0) for stroke in level]) for end in (np.min, np.max))
    wide, tall = (high - low).T
    large = float(np.percentile(tall, 75))
    flat = np.flatnonzero((tall < FLAT * wide) & (wide > LEAST_WIDE * large) & (wide < MOST_WIDE * large))
    found = []
    for one, other in combinations(flat[:MOST_FLAT], 2):
        pair = [one, other]
        (left, top), (right, bottom) = low[pair].min(axis=0), high[pair].max(axis=0)
        shared = high[pair, 0].min() - low[pair, 0].max()
        near = shared > SHARED * (right - left) and bottom - top < right - left
        # The bars of an E or F are at its upright, and those of a fraction have something between them.
        touched = (low <= (right, bottom)).all(axis=1) & (high >= (left, top)).all(axis=1)
        if near and touched.sum() == 2:
            found.append((left + right) / 2)
    return found


class _Part(NamedTuple):
    """Characters without a space in them; ``gap`` as in ``_Token`` when what follows is glued to them, ``head``: as a word before signs is."""

    start: int
    end: int
    text: str
    gap: tuple[int, int] | None = None
    head: bool = False


def _head_of(token: str) -> re.Match[str] | None:
    """The word (its only group) to whose end signs are glued."""
    head = _GLUED.match(token)
    if head:
        return None if FUNCTIONS.match(head[1]) else head
    short = _GLUED_SHORT.match(token)
    return short if short and short[1].casefold() in JOINING else None


def _parts(text: str) -> list[_Part]:
    """A line at its spaces, and where a word and signs have none between them."""
    parts: list[_Part] = []

    def add(start: int, end: int, gap: tuple[int, int] | None = None, head: bool = False) -> int:
        parts.append(_Part(start, end, text[start:end], gap, head))
        return end

    for found in re.finditer(r"\S+", text):
        start = found.start()
        head, tail = _head_of(found[0]), _TAIL.search(found[0])
        if head and not (parts and _OPERATION.match(parts[-1].text[-1])):
            end = start + head.end(1)
            start = add(start, end, (start + head.start(1) + min(SHORT, len(head[1]) - 1), end), True)
        if tail:
            end = found.start() + tail.start(1)
            start = add(start, end, (end - 1, end + len(tail[1]) - 1))
        add(start, found.end())
    return parts


def _tokens(text: str, knows: Callable[[str], bool], relations: Collection[int]) -> list[_Token]:
    """The tokens of a line; what is no word that people use, or has two letters, counts with the sign of a sum beside it."""
    parts = _parts(text)
    equals, beside = set(), set()
    for at, part in enumerate(parts):
        word = len(part.text) > SHORT and knows(part.text.strip(STOPS))
        seen = () if word else [n for n in relations if part.start <= n < part.end]
        equals |= {at} if seen else set()
        if part.start in seen or _OPERATION.match(part.text):
            beside.add(at - 1)
        if part.end - 1 in seen or _OPERATION.match(part.text[-1]):
            beside.add(at + 1)

    def is_word(at: int, part: _Part) -> bool:
        counts = at in equals or (at in beside and not part.head and _may_count(part.text, knows))
        return _joins(parts, at) or (_is_word(part.text) and not counts)

    behind = [part.start for part in parts[1:]] + [len(text)]
    return [
        _Token(part.start, part.end, is_word(at, part), part.gap or (part.end - 1, after))
        for at, (part, after) in enumerate(zip(parts, behind, strict=False))
    ]


def _is_word(text: str) -> bool:
    return bool(_WORD.fullmatch(text)) and not FUNCTIONS.fullmatch(text.strip("()" + STOPS))


def _may_count(text: str, knows: Callable[[str], bool]) -> bool:
    if len(text) > SHORT:
        return text[-1] not in STOPS and not knows(text)
    return text.isalpha() and text.casefold() not in JOINING


def _joins(parts: list[_Part], at: int) -> bool:
    """Whether one letter joins two equations, as the Spanish ``y`` does: no sign is beside it."""
    if not (parts[at].text in _ONE_LETTER and 0 < at < len(parts) - 1):
        return False
    lone = not _OPERATION.match(parts[at - 1].text[-1]) and not _OPERATION.match(parts[at + 1].text)
    sides = parts[:at], parts[at + 1 :]
    return lone and all(any(_RELATION.search(part.text) for part in side) for side in sides)


def _is_sum(text: str) -> bool:
    """Whether signs count something: ``3x + 4 = 10``, ``= 5 × 3``, ``4b-7b``; a range, a dash or a fraction alone do not."""
    counted = any(map(str.isdigit, text)) or (any(map(str.isalpha, text)) and not _LETTERS.search(text))
    return counted and bool(_COUNTS.search(text) or _DASHED.match(text))
