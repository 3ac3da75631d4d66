"""Reading ink: the recogniser's view of each line, weighed with how common the words are."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence

import numpy as np
from numpy.typing import NDArray

from sunroom.core.geometry import Box
from sunroom.core.ink.pen_path import pen_path
from sunroom.core.reading.apart import (
    MOST_NUMBERS,
    at_first_gap,
    like_number,
    numbers_apart,
    tokens_apart,
    with_signs,
)
from sunroom.core.reading.closer import CloserLook
from sunroom.core.reading.columns import InColumns, columns_among
from sunroom.core.reading.decode import beam_search
from sunroom.core.reading.joint import Columns, Joint, JointLook, Readers, Rows, Weights
from sunroom.core.reading.lines import InkLine, Stroke, find_lines
from sunroom.core.reading.marks import is_flat, marks_among
from sunroom.core.reading.numbers import (
    NUMBER_CHARACTERS,
    Numbers,
    is_numeric,
    is_sum,
)
from sunroom.core.reading.own_hand import OwnHand, OwnLetters
from sunroom.core.reading.own_words import MOST_LEARNED, OwnWords, SeenLine
from sunroom.core.reading.picture import line_picture, places_in, shortened
from sunroom.core.reading.prior import (
    ACCENT_COST,
    UNSEEN_COST,
    Prior,
    agreement,
    dots_in,
    dots_of,
    marks_in,
    marks_of,
)
from sunroom.core.reading.readings import (
    MAX_READINGS,
    Reading,
    ReadLine,
    joined,
    merged,
    one_after_another,
    ranked,
)
from sunroom.core.reading.spacing import COUNTED, as_typed
from sunroom.core.reading.symbols import Symbols

#: (1, 3, 48, W) picture to (T, 1 + characters) probabilities, blank first; and what the one says that was taught more hands,
#: (about 2 T, 1 + its characters), with what it had seen in each of those rows
Recognise = Callable[
    [NDArray[np.float32]], tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]
]
#: (T, FEATURES) path of the pen (core.ink.pen_path) to (about T / 4, 1 + characters) probabilities, blank first
Follow = Callable[[NDArray[np.float32]], NDArray[np.float32]]
#: Characters that a lesson writes in a line; the recogniser knows thousands more.
CHARACTERS = (
    "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ0123456789"
    ".,:;!?'\"()[]{}+-=*/%&@#<>_°²³×÷±√π€£$€–’“”«»…·"
    "àâäáãåæçèéêëìíîïñòóôöõøœùúûüýÿßÀÂÄÁÃÅÆÇÈÉÊËÌÍÎÏÑÒÓÔÖÕØŒÙÚÛÜÝ¿¡αβγδεθλμρστφωΔΣΩ "
)
#: Readings of which the forms with accents are weighed too.
ACCENTED = 6
#: More strokes than this are not read at once: a page of writing is read in parts.
MAX_STROKES = 600
#: A word at least this common (zipf) is used by people.
USED = 3.0
#: Shorter words may as well be signs, or a number.
WORD_LENGTH = 3
#: So large a share of the rows of a sum or a long division may look unlike numbers.
MOST_UNLIKE = 0.34
#: A number, time or sum of money has only one of these.
SIGNS_OF_ONE = "°%:€$£"
#: Below this the recogniser saw nothing that it knows as writing.
LEAST_CERTAINTY = 0.05
#: What may count a line of words, and the words.
_COUNTER = re.compile(r"(\d{1,2}[.,)]?)( +[^\W\d_]{3}.*)")


class Reader:
    """Reads ink with a line recogniser and a table of word frequencies.

    Parameters
    ----------
    recognise : callable
        The recogniser; see ``Recognise``.
    alphabet : sequence of str
        The character of each of its columns after the blank.
    prior : Prior
        What words are likely.
    symbols : Symbols
        The nets of symbols, by which numbers and single signs are read better.
    taught_alphabet : sequence of str
        The character of each column, after the blank, of the recogniser that was taught.
    follow : callable
        The reader that follows the pen; see ``Follow``.
    path_alphabet : sequence of str
        The character of each of its columns after the blank.
    weights : Weights
        How much each of them counts, and the words.
    """

    def __init__(
        self,
        recognise: Recognise,
        alphabet: Sequence[str],
        prior: Prior,
        symbols: Symbols,
        taught_alphabet: Sequence[str],
        follow: Follow,
        path_alphabet: Sequence[str],
        weights: Weights,
    ) -> None:
        columns = {character: number + 1 for number, character in enumerate(alphabet)}
        self.alphabet = [character for character in dict.fromkeys(CHARACTERS) if character in columns]
        self._columns = [0, *(columns[character] for character in self.alphabet)]
        column_of = {character: number + 1 for number, character in enumerate(self.alphabet)}
        self._digits = [0, *(column_of[c] for c in NUMBER_CHARACTERS)]
        self._made_of = (recognise, alphabet, prior, symbols, taught_alphabet, follow, path_alphabet, weights)
        self._recognise, self._follow = recognise, follow
        self._prior = prior
        alphabets = (self.alphabet, taught_alphabet, path_alphabet)
        readers = Readers(*map(Columns, alphabets))
        self.joint = Joint(readers, prior, weights)
        self._closer = CloserLook(symbols, prior, readers)
        self._numbers = Numbers(symbols, prior, readers)

    def expecting(self, words: frozenset[str]) -> Reader:
        """The same reader to whom some words, in small letters, are as likely as everyday ones."""
        recognise, alphabet, prior, symbols, taught, follow, path, weights = self._made_of
        return Reader(recognise, alphabet, prior.expecting(words), symbols, taught, follow, path, weights)

    def look(self, strokes: Sequence[Stroke], words: OwnWords | None = None) -> Rows:
        """What each reader says of one level line, of our own characters."""
        rows, taught, seen = self._recognise(line_picture(shortened(strokes)))
        if words is not None:
            taught = words.weighed(taught, seen)
        return Rows(rows[:, self._columns], taught, self._follow(pen_path(strokes)))

    def own_hand(self, samples: Sequence[tuple[str, Sequence[Stroke]]]) -> OwnHand | None:
        """A hand by samples, each the strokes of one character or of a line; None when nothing is learned from them."""
        letters = self._closer.own_letters([sample for sample in samples if len(sample[0]) == 1])
        texts = [sample for sample in samples if len(sample[0]) > 1][-MOST_LEARNED:]
        seen = [self._seen_line(text, strokes) for text, strokes in texts]
        words = OwnWords.learned([line for line in seen if line is not None])
        return None if letters is None and words is None else OwnHand(letters, words)

    def _seen_line(self, text: str, strokes: Sequence[Stroke]) -> SeenLine | None:
        """Ink that is said to say ``text``; None where it is not one line, or has other characters."""
        columns = self.joint.columns.taught.of(text)
        lines = find_lines(strokes)
        if columns is None or len(lines) != 1:
            return None
        _, taught, seen = self._recognise(line_picture(shortened(lines[0].strokes)))
        return SeenLine(taught, seen, columns)

    def read(self, strokes: Sequence[Stroke], hand: OwnHand | None = None) -> list[Reading]:
        """What ``strokes`` may say, best first, at most ``MAX_READINGS``; empty when nothing is readable.

        Several lines of ink are joined by line ends; their rivals differ in the least certain line.
        """
        return joined(self.read_lines(strokes, hand))

    def read_lines(self, strokes: Sequence[Stroke], hand: OwnHand | None = None) -> list[ReadLine]:
        """Each line of writing with its rivals; lines that cannot be read are left out.

        Underlines and boxes around words are no writing. More than ``MAX_STROKES`` are not read.
        ``hand`` is that of the person who wrote them.
        """
        return self.read_in_columns(strokes, hand) or self.read_level(strokes, hand)

    def read_level(self, strokes: Sequence[Stroke], hand: OwnHand | None = None) -> list[ReadLine]:
        """As ``read_lines``, of ink that is neither a sum in columns nor a long division."""
        if len(strokes) > MAX_STROKES:
            return []
        letters, words = hand or (None, None)
        marks = marks_among(strokes)
        writing = [number for number in range(len(strokes)) if number not in marks]
        ruled = [strokes[number] for number in marks if is_flat(strokes[number])]
        lines = _found_lines(strokes, writing, ruled)
        seen = [self.look(line.strokes, words) for line in lines]
        said = [self._read_line(line.strokes, letters, rows) for line, rows in zip(lines, seen, strict=True)]
        return _read_lines(strokes, lines, said)

    def read_in_columns(self, strokes: Sequence[Stroke], hand: OwnHand | None = None) -> list[ReadLine]:
        """The rows of a sum in columns or of a long division, from the top; empty when it is neither.

        What stands on the divisor's side of a bracket is rows by itself.
        """
        found = columns_among(strokes)
        if found is None:
            return []
        letters, words = hand or (None, None)
        lines, said = _rows_among(strokes, found), []
        if not found.bracket:
            rows = self.look(lines[0].strokes, words)
            first = self._numbers.first_of_division(lines[0].strokes, letters, rows)
            if first:
                said = [first]
            elif found.short < found.ruled:
                lines = _rows_among(strokes, found._replace(ruled=found.ruled - found.short))
            else:
                return []
        divided, unlike = bool(found.bracket or said), 0
        for line in lines[len(said) :]:
            rows = self.look(line.strokes, words)
            rivals, even = self._numbers.row_in_columns(line.strokes, letters, rows)
            unlike += not rivals or not (even or divided)
            if unlike > MOST_UNLIKE * len(lines):
                return []
            said.append(rivals or self._numbers.number_in(line.strokes, letters, rows))
        if not divided and not is_sum([rivals[0].text for rivals in said if rivals]):
            return []
        return sorted(_read_lines(strokes, lines, said), key=lambda line: line.box.y0)

    def taught_by(
        self, strokes: Sequence[Stroke], text: str, hand: OwnHand | None = None
    ) -> list[tuple[str, tuple[int, ...]]]:
        """The samples of a hand in a line of ink that says ``text``: its symbols where they are clear, and it as a whole.

        Each is a text with its strokes' numbers.
        """
        lines = find_lines(strokes)
        if len(lines) != 1:
            return []
        found = self._closer.taught_by(lines[0].strokes, text, hand.letters if hand else None)
        made = [(c, tuple(lines[0].members[number] for number in numbers)) for c, numbers in found]
        whole = " ".join(text.split())
        seen = self._seen_line(whole, strokes) if len(whole) > 1 else None
        if seen is not None and seen.clear:
            made.append((whole, tuple(lines[0].members)))
        return made

    def places(self, strokes: Sequence[Stroke], text: str) -> NDArray[np.float64]:
        """The x in a level line of each character that it says; empty when they cannot be told."""
        picture = line_picture(shortened(strokes))
        _, taught, _ = self._recognise(picture)
        rows = self.joint.columns.taught.rows_of(taught, text)
        return places_in(strokes, picture.shape[-1], (rows + 0.5) / len(taught))

    def _read_line(self, strokes: list[Stroke], letters: OwnLetters | None, seen: Rows) -> list[Reading]:
        rows = seen.picture
        if not _seen(rows):
            return self._closer.lone_sign(strokes, letters) or self._read_number("", strokes, letters, seen)
        look = self.joint.look(seen)
        if not look.best:
            return []
        if not self._is_word(look.best):
            number = self._read_number(look.plain, strokes, letters, seen)
            if number:
                return number
        self._add_accented(look, strokes)
        # Looking closer at each letter makes words no better; it helps signs, and with a hand that is known.
        if letters is not None or not any(
            len(word) >= WORD_LENGTH and word.isalpha() for word in look.best.split()
        ):
            self._closer.weigh(look, strokes, letters)
        typed = merged((as_typed(text), log) for text, log in look.weighed.items() if text)
        readings = self._with_rivals(_in_one_case(ranked(typed)), as_typed(look.plain), rows)
        readings = self._counted(readings, strokes, letters)
        sums = self._arithmetic(readings[0].text, strokes, letters, seen)
        sums = sums or self._numbers_amid_words(readings[0], strokes, letters)
        others = [Reading(r.text, 0.0) for r in readings if r.text not in {found.text for found in sums}]
        return [*sums[:2], *others, *sums[2:]][:MAX_READINGS] if sums else readings

    def _counted(
        self, readings: list[Reading], strokes: list[Stroke], letters: OwnLetters | None
    ) -> list[Reading]:
        """A line of words with the point or bracket behind the number that counts it, which the readers of lines lose."""
        found = _COUNTER.match(readings[0].text)
        if not found:
            return readings
        counter, rest = found.groups()
        said = self._closer.counted(counter, at_first_gap(strokes, len(counter) + 1)[0], letters) + rest
        others = [reading for reading in readings if reading.text != said]
        return [Reading(said, readings[0].score), *others] if said != readings[0].text else readings

    def _arithmetic(
        self, text: str, strokes: list[Stroke], letters: OwnLetters | None, rows: Rows
    ) -> list[Reading]:
        """A line of arithmetic, with what counts it (``b) 3/4 + 1/8``) or without; empty when it is none."""
        counted = COUNTED.match(text)
        if not counted:
            return self._numbers.arithmetic(text, strokes, letters, rows)
        _, rest = at_first_gap(strokes, len(counted[0]))
        said = self._numbers.arithmetic(text[counted.end() :], rest, letters, self.look(rest)) if rest else []
        return [Reading(counted[0] + one.text, one.score) for one in said]

    def _numbers_amid_words(
        self, reading: Reading, strokes: list[Stroke], letters: OwnLetters | None
    ) -> list[Reading]:
        """A line of words whose numbers are looked at closer, each by itself; empty when it has none."""
        each: list[list[Reading]] = []
        for token, part in tokens_apart(reading.text, strokes):
            as_number = like_number(token) and is_numeric(token, len(part))
            numbers = self._numbers.read_number(token, part, letters, self.look(part)) if as_number else []
            each.append(with_signs(token, numbers) or [Reading(token, 1.0)])
        found = one_after_another(each, " ")
        if not found or found[0].text == reading.text:
            return []
        return [Reading(one.text, round(one.score * reading.score, 3)) for one in found]

    def _read_number(
        self, text: str, strokes: list[Stroke], letters: OwnLetters | None, rows: Rows
    ) -> list[Reading]:
        """A line read as a number, or as several where the pen left gaps between them; empty when it is none."""
        whole = self._numbers.read_number(text, strokes, letters, rows)
        parts = numbers_apart(strokes) if whole else []
        if not 1 < len(parts) <= MOST_NUMBERS or self._is_measure(whole[0].text):
            return whole
        each = [self._numbers.number_in(part, letters, self.look(part), part is parts[0]) for part in parts]
        if not all(each):
            return whole
        return [*one_after_another(each, " ")[: MAX_READINGS - 1], Reading(whole[0].text, 0.0)]

    def _is_measure(self, text: str) -> bool:
        """Whether a text is one number with a sign of its own, or a date, however wide the gaps in it."""
        signs = sum(text.count(sign) for sign in SIGNS_OF_ONE) + text.count(".") // 2 + text.count("/") // 2
        return signs > 0 and self._prior.well_formed(text)

    def knows(self, token: str, least: float = USED) -> bool:
        """Whether a token is one word that people use, at least so often (zipf)."""
        return self._prior.knows(token) and self._prior.commonness(token) >= least

    def labels(self, strokes: Sequence[Stroke]) -> list[str]:
        """What some strokes may say that count a line: a letter or a number, the likeliest first."""
        return self._closer.labels(strokes, None)

    def _is_word(self, text: str) -> bool:
        return len(text) >= WORD_LENGTH and self._prior.knows(text)

    def _add_accented(self, look: JointLook, strokes: list[Stroke]) -> None:
        """Add the forms with accents of the best texts, at a cost when the ink has no marks for them."""
        spare, dots = marks_in(strokes), dots_in(strokes)
        for text in sorted(look.weighed, key=lambda text: -look.weighed[text])[:ACCENTED]:
            for other, more in self._prior.accented(text):
                seen = marks_of(text) + dots_of(text) + more <= spare + 1
                cost = ACCENT_COST if seen and spare > dots_of(text) else UNSEEN_COST
                look.put(other, text, cost - agreement(other, dots) + agreement(text, dots))

    def _with_rivals(
        self, readings: list[Reading], plain_best: str, rows: NDArray[np.float32]
    ) -> list[Reading]:
        """The first readings with, always among them, the unweighed best and the reading as a number."""
        first = readings[: MAX_READINGS - 2]
        rivals = [plain_best]
        digits = beam_search(rows[:, self._digits], NUMBER_CHARACTERS, 5)
        if digits and len(digits[0][0].strip(".,")) == len(plain_best.strip(".,")):
            rivals.append(digits[0][0])
        rest = {reading.text: reading for reading in readings}
        for text in [*rivals, *rest]:
            if text and len(first) < MAX_READINGS and text not in {reading.text for reading in first}:
                first.append(rest.get(text, Reading(text, 0.0)))
        return first


def _found_lines(
    strokes: Sequence[Stroke], numbers: Sequence[int], ruled: Sequence[Stroke], digits: bool = False
) -> list[InkLine]:
    """The lines that some of the strokes are, their members as numbers of all strokes."""
    lines = find_lines([strokes[number] for number in numbers], ruled, digits)
    return [line._replace(members=[numbers[member] for member in line.members]) for line in lines]


def _rows_among(strokes: Sequence[Stroke], found: InColumns) -> list[InkLine]:
    """The rows between what parts them; those on a divisor's side last."""
    ruled = [strokes[number] for number in found.ruled]
    written = {*range(len(strokes))} - found.ruled - found.bracket
    sides = (written - found.aside, found.aside)
    return [row for side in sides for row in _found_lines(strokes, sorted(side), ruled, digits=True)]


def _read_lines(
    strokes: Sequence[Stroke], lines: Sequence[InkLine], said: Sequence[Sequence[Reading]]
) -> list[ReadLine]:
    """Lines with what each says; without those that say nothing."""
    read = []
    for line, rivals in zip(lines, said, strict=True):
        if rivals:
            everything = np.vstack([strokes[number][:, :2] for number in line.members])
            box = Box.of(everything)
            read.append(ReadLine(tuple(rivals), tuple(line.members), box, line.angle_rad))
    return read


def _in_one_case(readings: list[Reading]) -> list[Reading]:
    """Readings without those that are likelier ones in odd capitals: they take a rival's place and help nobody."""
    known: set[str] = set()
    kept = []
    for reading in readings:
        text, folded = reading.text, reading.text.casefold()
        if folded not in known or text in (text.lower(), text.upper(), text.capitalize(), text.title()):
            kept.append(reading)
        known.add(folded)
    return kept


def _seen(rows: NDArray[np.float32]) -> bool:
    """Whether the recogniser saw characters of ours at all, rather than spread-out doubt."""
    mass = rows.sum(axis=1)
    busy = rows[:, 0] < 0.5
    return bool(busy.any()) and float(mass[busy].mean()) > LEAST_CERTAINTY
