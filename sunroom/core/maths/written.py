"""Written maths: from strokes to signs, how these hang together, and LaTeX, with rivals.

One net looks at all strokes of a formula together (core.maths.strokes) and says of each which sign it belongs to, which
strokes are one sign, and which sign a sign stands at: to its right, above, below, as its power or index, inside of it.
Here the likeliest whole is put together from that: strokes to signs, signs to a tree, the tree to LaTeX.
"""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass, replace
from heapq import nlargest
from types import MappingProxyType
from typing import NamedTuple, Protocol

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.hanging import (
    Numbers,
    between_signs,
    likeliest_tree,
    likely_names,
    likely_trees,
    partings,
)
from sunroom.core.maths.level import stand_of, told_by_level, unevenness
from sunroom.core.maths.signs import GREEK
from sunroom.core.maths.strokes import Seen, seen_strokes, steadied
from sunroom.core.maths.tokens import MAX_LINES
from sunroom.core.maths.weighing import FEATURES, FIRST, OF_FORMULA, OF_SIGNS, Weights, kind_of, of_signs
from sunroom.core.maths.working import Said, parted, parts_of_working, rooms_of
from sunroom.core.maths.written_latex import LARGE, RIGHT, SUB, Tree, latex_of, line_of_each, oddness

#: What a net says of n strokes: (n, classes), (n, n, 1 + relations) and (n, 1), all before any share.
LookFormula = Callable[[Seen], tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]]

#: More strokes than this are not looked at together, as that takes time by the square of their number.
MAX_STROKES, MAX_IN_ALL = 80, 240
#: Of each sign the likeliest are named, and a sign that is chosen by hand is so much likelier (log) than any other.
SEEN_RIVALS, CHOSEN = 4, 60.0
#: What is often meant by ink that is read as something else, beside the other size of a letter.
_ALIKE = ("1 l I |", "0 O o", "2 z", "5 s", "6 b", r"9 g q", r"x \times", r"y \gamma", r"v \nu", r"n \eta", r"p \rho", r"w \omega",
          r"a \alpha", r"B \beta", r"u \mu", r"t + \tau", r"d \partial", r"E \Sigma \in", r"c ( \subset", r"- \overline", r". \cdot ,")  # fmt: skip
LOOK_ALIKE = {name: tuple(group.split()) for group in _ALIKE for name in group.split()}
#: Of all ways to read some strokes, by what the net says of them, so many are looked at as formulas.
WHOLES = 80
MAX_READINGS = 5
#: For that choice: how much it counts whether strokes are one sign, and where a sign stands, beside what it is.
PARTING_WEIGHT, PLACE_WEIGHT = 0.5, 0.85
#: A digit beside the tail of a letter is its index, though it seems to stand to the right: so much less likely (log) is that
#: it does, and an index is less likely than that by no more.
TAILED = frozenset(("y", "g", "p", "q", "j", r"\beta", r"\gamma", r"\mu", r"\rho", r"\phi"))
INDEX_OF_TAILED, LEAST_INDEX = 3.0, -5.0
#: What may have limits below it; the l is that of lim.
LIMITED = LARGE | {r"\rightarrow", r"\rightleftharpoons", "l"}
#: Whether a line ends is unsure with less (log odds); then so many ways are read, in which the odds count so much.
UNSURE, WAYS, ROOM_WEIGHT = 3.5, 6, 0.7
#: What a letter costs (log) that is in one line of a working alone, and one that is all that a line says.
NEW_LETTER_COST, LONE_LETTER_COST = 1.5, 3.0
#: How much the nets of single signs, and of digits alone, count beside the net of formulas.
SECOND_WEIGHT, DIGITS_WEIGHT = 0.5, 0.8


class SecondLook(Protocol):
    """Nets that look at single signs, see core.reading.symbols."""

    @property
    def classes(self) -> Sequence[str]: ...

    def symbols(self, groups: Sequence[Sequence[Numbers]], /) -> Numbers:
        """(N, classes) log probabilities."""

    def digits(self, groups: Sequence[Sequence[Numbers]], /) -> Numbers:
        """(N, 10) log probabilities among the digits."""


class WrittenSign(msgspec.Struct, frozen=True):
    """A sign of a reading by its name in LaTeX: its strokes by number, its line, and what else it may be, likeliest first."""

    name: str
    members: tuple[int, ...]
    line: int = 0
    rivals: tuple[str, ...] = ()


class FormulaReading(msgspec.Struct, frozen=True):
    """What some strokes may be as a formula, how likely that is among its rivals, 0 to 1, and its signs from the left."""

    latex: str
    score: float
    signs: tuple[WrittenSign, ...] = ()

    @property
    def lines(self) -> list[list[int]]:
        """The strokes of each line by number, from the top."""
        made: dict[int, list[int]] = {}
        for sign in self.signs:
            made.setdefault(sign.line, []).extend(sign.members)
        return [sorted(made[line]) for line in sorted(made)]


#: Strokes by number, and the sign that they are said to be.
Chosen = Mapping[tuple[int, ...], str]


class _Parting(NamedTuple):
    """One way to part strokes into signs: which, how likely (log), what it costs that some were chosen otherwise."""

    groups: list[list[int]]
    log: float
    cost: float
    #: (groups, classes), (groups, groups, relations), (groups,): how likely each sign is, and where it stands.
    logs: Numbers
    standing: Numbers
    none: Numbers
    tops: list[float]
    feet: list[float]


@dataclass
class _Whole:
    """One way to read all strokes."""

    parting: _Parting
    names: list[int]
    parents: list[int]
    relations: list[int]
    score: float
    latex: str = ""


class Way(NamedTuple):
    """One way to part strokes into lines: how likely (log), and each line's strokes by number with what it may be."""

    log: float
    lines: list[tuple[list[int], list[_Whole]]]


class WrittenReader:
    """Reads formulas with a net; ``classes`` are the signs of its columns, by their names in LaTeX."""

    def __init__(
        self,
        look: LookFormula,
        classes: Sequence[str],
        weights: Weights,
        second: SecondLook | None = None,
        likely: Callable[[str], float] = lambda latex: 0.0,
    ) -> None:
        self._look = look
        #: How likely a formula is before its ink is looked at (log).
        self._likely = likely
        self._classes = list(classes)
        self._kinds = np.array([kind_of(name) for name in classes])
        self._weights = np.array([weights[name] for name in FEATURES])
        self._second = second
        known = (
            []
            if second is None
            else [
                (at, second.classes.index(name)) for at, name in enumerate(classes) if name in second.classes
            ]
        )
        self._shared = np.array(known, int).reshape(-1, 2)
        self._digits = np.array(
            [self._classes.index(digit) for digit in "0123456789" if digit in self._classes], int
        )
        self.limited = np.array([at for at, name in enumerate(self._classes) if name in LIMITED], int)
        self._tailed = np.array([at for at, name in enumerate(self._classes) if name in TAILED], int)

    def read(self, strokes: Sequence[Numbers], chosen: Chosen = MappingProxyType({})) -> list[FormulaReading]:
        """What the strokes may be, best first, with the ``chosen`` signs in it where that can be.

        Lines of working are read each by itself; [] for no strokes, for more than ``MAX_IN_ALL``, where more than
        ``MAX_STROKES`` have no room between them, and for more lines than a formula may have.
        """
        if not len(strokes) or len(strokes) > MAX_IN_ALL:
            return []
        strokes = [steadied(stroke) for stroke in strokes]
        parts = parts_of_working(strokes, MAX_STROKES)
        if max(map(len, parts)) > MAX_STROKES:
            return []
        ways: list[Way] = [Way(0.0, [])]
        for part in parts:
            found = self._ways([strokes[n] for n in part], _of_line(chosen, part))
            ways = [
                Way(
                    way.log + more.log,
                    [*way.lines, *(([part[n] for n in line], ranked) for line, ranked in more.lines)],
                )
                for way in ways
                for more in found
            ]
            ways = sorted(ways, key=lambda way: -way.log)[:2]
        if not ways:
            return []
        likely = [math.exp(way.log - ways[0].log) for way in ways]
        scores: dict[str, float] = {}
        read: dict[str, FormulaReading] = {}
        for way, share in zip(ways, likely, strict=True):
            for reading in self._readings(way, strokes):
                scores[reading.latex] = scores.get(reading.latex, 0.0) + reading.score * share
                read.setdefault(reading.latex, reading)
        best = sorted(scores, key=lambda latex: -scores[latex])[:MAX_READINGS]
        together = sum(scores[latex] for latex in best)
        return [
            msgspec.structs.replace(read[latex], score=round(scores[latex] / together, 4)) for latex in best
        ]

    def _ways(self, strokes: Sequence[Numbers], chosen: Chosen) -> list[Way]:
        """Lines of working and what they may be; where it is not sure that one ends, the two likeliest ways.

        None for more lines than can be set: they are not read at all.
        """
        said = self.looked(strokes)
        rooms = rooms_of(strokes, said, self.limited)
        odds = [room.log_odds for room in rooms]
        known: dict[tuple[int, ...], list[_Whole]] = {}

        def ranked(line: list[int]) -> list[_Whole]:
            if tuple(line) not in known:
                ink = [strokes[n] for n in line]
                looked = said if len(ink) == len(strokes) else self.looked(ink)
                known[tuple(line)] = self._ranked(ink, looked, _of_line(chosen, line))
            return known[tuple(line)]

        def way(cut: frozenset[int]) -> Way:
            lines = _of_one_working(
                [(line, ranked(line)) for line in parted(len(strokes), [rooms[at] for at in cut])]
            )
            ends = ROOM_WEIGHT * sum(odds[at] for at in cut)
            return Way(sum(wholes[0].score for _, wholes in lines) + ends, lines)

        cut = frozenset(at for at, log_odds in enumerate(odds) if log_odds > 0)
        if len(cut) >= MAX_LINES:
            return []
        ways = {cut: way(cut)}
        unsure = [at for at, log_odds in enumerate(odds) if abs(log_odds) < UNSURE]
        pairs = [(at, at + 1) for at in range(len(rooms) - 1) if at in unsure or at + 1 in unsure]
        tried = sorted(
            [*((at,) for at in unsure), *pairs], key=lambda turned: sum(abs(odds[at]) for at in turned)
        )
        for turned in tried[:WAYS]:
            other = cut ^ frozenset(turned)
            if other not in ways:
                ways[other] = way(other)
                cut = max(cut, other, key=lambda each: ways[each].log)
        return sorted(ways.values(), key=lambda way: -way.log)[:2]

    def _ranked(self, strokes: Sequence[Numbers], said: Said, chosen: Chosen) -> list[_Whole]:
        wholes: dict[str, _Whole] = {}
        for whole in self._wholes(strokes, said, chosen):
            known = wholes.get(whole.latex)
            if known is None or known.score < whole.score:
                wholes[whole.latex] = whole
        for whole in wholes.values():
            whole.score += float(
                self._weights[OF_FORMULA] @ (self._likely(whole.latex), oddness(whole.latex))
            )
        return sorted(wholes.values(), key=lambda whole: -whole.score)[:MAX_READINGS]

    def _readings(self, way: Way, strokes: Sequence[Numbers]) -> list[FormulaReading]:
        """What one way of parting the strokes into lines may be."""
        read = []
        for line, ranked in way.lines:
            ink = [strokes[n] for n in line]
            shares = [math.exp(whole.score - ranked[0].score) for whole in ranked]
            read.append(
                [
                    FormulaReading(whole.latex, share / sum(shares), self._signs_of(whole, ink))
                    for whole, share in zip(ranked, shares, strict=True)
                ]
            )
        return _below_each_other([line for line, _ in way.lines], read)

    def looked(self, strokes: Sequence[Numbers]) -> Said:
        """What the net says, looking twice: as the strokes were written, and as if from left to right."""
        signs, both, root = (rows.astype(float) for rows in self._look(seen_strokes(strokes)))
        order = np.argsort([stroke[:, 0].min() for stroke in strokes], kind="stable")
        if len(strokes) > 1 and not bool((np.diff(order) > 0).all()):
            back = np.argsort(order)
            again = [rows.astype(float) for rows in self._look(seen_strokes([strokes[at] for at in order]))]
            signs = (signs + again[0][back]) / 2
            both = (both + again[1][back][:, back]) / 2
            root = (root + again[2][back]) / 2
        count, kinds = len(signs), both.shape[2] - 1
        ways = both[..., 1:].copy()
        ways[np.arange(count), np.arange(count)] = -1e4
        # Of each stroke over all (parent, relation), and none.
        places = _log_softmax(np.concatenate([ways.reshape(count, -1), root], axis=1))
        return Said(
            _log_softmax(signs),
            (both[..., 0] + both[..., 0].T) / 2,
            places[:, :-1].reshape(count, count, kinds),
            places[:, -1],
        )

    def _sign_logs(self, strokes: Sequence[Numbers], groups: list[list[int]], logs: Numbers) -> Numbers:
        """(groups, classes): what each sign is; those that another net knows too are weighed with what it sees."""
        made = np.stack([logs[group].mean(axis=0) for group in groups])
        if self._second is None:
            return made
        inks = [[strokes[at] for at in group] for group in groups]
        ours, theirs = self._shared.T
        made = _weighed(made, ours, self._second.symbols(inks)[:, theirs], SECOND_WEIGHT)
        return _weighed(made, self._digits, self._second.digits(inks), DIGITS_WEIGHT)

    def _signs_of(self, whole: _Whole, strokes: Sequence[Numbers]) -> tuple[WrittenSign, ...]:
        """The signs of a reading, line by line and from the left in each."""
        made = []
        lines = line_of_each(self._tree_of(whole))
        for members, name, line, row in zip(
            whole.parting.groups, whole.names, lines, whole.parting.logs, strict=True
        ):
            own = self._classes[name]
            seen = [self._classes[at] for at in np.argsort(-row)[:SEEN_RIVALS]]
            alike = [other for other in (own.swapcase(), *LOOK_ALIKE.get(own, ())) if other in self._classes]
            rivals = [rival for rival in dict.fromkeys([*seen, *alike]) if rival != own]
            made.append(WrittenSign(own, tuple(members), line, tuple(rivals)))
        left = {sign.members: min(float(strokes[n][:, 0].min()) for n in sign.members) for sign in made}
        return tuple(sorted(made, key=lambda sign: (sign.line, left[sign.members])))

    def _wholes(self, strokes: Sequence[Numbers], said: Said, chosen: Chosen) -> Iterator[_Whole]:
        found = []
        for parting in self._partings(strokes, said, chosen):
            trees = likely_trees(parting.standing, parting.none)
            for named, names in likely_names(parting.logs):
                for placed, parents, relations in trees:
                    score = PARTING_WEIGHT * parting.log + named + PLACE_WEIGHT * placed - parting.cost
                    found.append(_Whole(parting, names, parents, relations, score))
        for whole in nlargest(WHOLES, found, key=lambda whole: whole.score):
            tree = self._tree_of(whole)
            whole.latex = latex_of(tree)
            whole.score = float(self._weights @ self._features(whole, tree)) - whole.parting.cost
            yield whole

    def _partings(self, strokes: Sequence[Numbers], said: Said, chosen: Chosen) -> Iterator[_Parting]:
        for groups, log in partings(said.same):
            logs = self._sign_logs(strokes, groups, said.signs)
            cost = self._choose(logs, groups, chosen)
            standing = between_signs(groups, said.at_stroke)
            self._indices_of_tailed(standing, logs)
            none = np.array([said.at_none[group].mean() for group in groups])
            tops = [min(float(strokes[at][:, 1].min()) for at in group) for group in groups]
            feet = [max(float(strokes[at][:, 1].max()) for at in group) for group in groups]
            likeliest = [self._classes[name] for name in logs.argmax(axis=1)]
            parents, relations, _ = likeliest_tree(standing, none)
            standing = told_by_level(standing, none, stand_of(likeliest, tops, feet), (parents, relations))
            yield _Parting(groups, log, cost, logs, standing, none, tops, feet)

    def _features(self, whole: _Whole, tree: Tree) -> Numbers:
        """What ``FEATURES`` say of a whole; its formula is still to be looked at."""
        parting, parents = whole.parting, np.array(whole.parents)
        at = np.arange(len(parents))
        made = np.zeros(len(FEATURES))
        lost = len(tree.names) - len(tree.told)
        made[:3] = parting.log, unevenness(tree, parting.tops, parting.feet), lost
        made[OF_SIGNS] = of_signs(
            self._kinds[whole.names],
            parting.logs[at, whole.names],
            np.where(parents < 0, FIRST, whole.relations),
            np.where(parents < 0, parting.none, parting.standing[at, parents, whole.relations]),
        )
        return made

    def _indices_of_tailed(self, standing: Numbers, sign_logs: Numbers) -> None:
        """Make digits that stand right of letters with a tail likelier their indices."""
        shares = np.exp(_log_softmax(sign_logs))
        digits, tailed = shares[:, self._digits].sum(axis=1), shares[:, self._tailed].sum(axis=1)
        meant = np.outer(digits, tailed) > 0.5
        right, index = standing[..., RIGHT], standing[..., SUB]
        index[meant] = np.maximum(index, right + LEAST_INDEX)[meant]
        right[meant] -= INDEX_OF_TAILED

    def _choose(self, sign_logs: Numbers, groups: list[list[int]], chosen: Chosen) -> float:
        """Make signs what they are said to be; what a parting costs in which one of them is no sign."""
        cost = 0.0
        for members, name in chosen.items():
            at = next((n for n, group in enumerate(groups) if sorted(group) == sorted(members)), None)
            if at is None or name not in self._classes:
                cost += CHOSEN
            else:
                column = self._classes.index(name)
                sign_logs[at] -= CHOSEN
                sign_logs[at, column] = 0.0
        return cost

    def _tree_of(self, whole: _Whole) -> Tree:
        children: list[dict[int, int]] = [{} for _ in whole.names]
        root = 0
        for child, (parent, relation) in enumerate(zip(whole.parents, whole.relations, strict=True)):
            if parent < 0:
                root = child
            else:
                children[parent][relation] = child
        return Tree([self._classes[name] for name in whole.names], children, root)


def _of_line(chosen: Chosen, line: list[int]) -> Chosen:
    """What is chosen among the strokes of a line, by their numbers there."""
    return {
        tuple(line.index(n) for n in members): name
        for members, name in chosen.items()
        if set(members) <= {*line}
    }


def _of_one_working(lines: list[tuple[list[int], list[_Whole]]]) -> list[tuple[list[int], list[_Whole]]]:
    """What each line may be when it is one of several: a letter that is in none of the others costs, as does one alone."""
    letters = [_letters(wholes[0].latex) for _, wholes in lines]
    if len(lines) == 1:
        return lines
    made = []
    for at, (line, wholes) in enumerate(lines):
        known = set().union(*letters[:at], *letters[at + 1 :])
        weighed = [
            replace(
                whole,
                score=whole.score
                - NEW_LETTER_COST * len(_letters(whole.latex) - known)
                - LONE_LETTER_COST * ({whole.latex} == _letters(whole.latex)),
            )
            for whole in wholes
        ]
        made.append((line, sorted(weighed, key=lambda whole: -whole.score)))
    return made


def _letters(latex: str) -> set[str]:
    return {name for name in _NAME.findall(latex) if len(name) == 1 or name in GREEK}


_NAME = re.compile(r"\\[A-Za-z]+|[A-Za-z]")


def _below_each_other(lines: list[list[int]], read: list[list[FormulaReading]]) -> list[FormulaReading]:
    """Readings of all lines together: the best of each, and those in which one line is read otherwise."""
    ways = [[0] * len(lines)]
    for at, readings in enumerate(read):
        ways += [[rival if n == at else 0 for n in range(len(lines))] for rival in range(1, len(readings))]
    made = []
    for way in ways:
        parts = [readings[rival] for readings, rival in zip(read, way, strict=True)]
        signs: list[WrittenSign] = []
        for line, part in zip(lines, parts, strict=True):
            # One that was read alone may still be several.
            first = signs[-1].line + 1 if signs else 0
            signs += [
                WrittenSign(sign.name, tuple(line[n] for n in sign.members), first + sign.line, sign.rivals)
                for sign in part.signs
            ]
        score = math.prod(part.score for part in parts)
        made.append(FormulaReading(r" \\ ".join(part.latex for part in parts), score, tuple(signs)))
    return sorted(made, key=lambda reading: -reading.score)[:MAX_READINGS]


def _weighed(logs: Numbers, columns: NDArray[np.int_], second: Numbers, weight: float) -> Numbers:
    """Some columns' shares among themselves weighed with another opinion; what they have together stays."""
    ours = logs[:, columns]
    together = np.logaddexp.reduce(ours, axis=1)[:, None]
    made = logs.copy()
    made[:, columns] = together + _log_softmax(ours + weight * second)
    return made


def _log_softmax(rows: Numbers) -> Numbers:
    rows = rows - rows.max(axis=1, keepdims=True)
    return np.asarray(rows - np.log(np.exp(rows).sum(axis=1, keepdims=True)))
