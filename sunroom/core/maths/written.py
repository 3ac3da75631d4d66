"""Written maths: from strokes to signs, how these hang together, and LaTeX, with rivals.

One net looks at all strokes of a formula together (core.maths.strokes) and says of each which sign it belongs to, which
strokes are one sign, and which sign a sign stands at: to its right, above, below, as its power or index, inside of it.
Here the likeliest whole is put together from that: strokes to signs, signs to a tree, the tree to LaTeX.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Iterator, Mapping, Sequence
from dataclasses import dataclass
from heapq import nlargest
from types import MappingProxyType
from typing import Protocol

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.maths.hanging import Numbers, between_signs, likely_names, likely_trees, partings
from sunroom.core.maths.level import unevenness
from sunroom.core.maths.strokes import Seen, seen_strokes
from sunroom.core.maths.written_latex import RIGHT, SUB, Tree, latex_of, line_of_each, oddness

#: What a net says of n strokes: (n, classes), (n, n, 1 + relations) and (n, 1), all before any share.
LookFormula = Callable[[Seen], tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]]

#: More strokes than this are not read as one formula, but line by line: each takes time by the square of its strokes.
MAX_STROKES, MAX_OF_LINE, MAX_IN_ALL = 80, 40, 240
#: Room between two lines, in heights of a usual stroke.
LINE_GAP = 0.45
#: Of each sign the likeliest are named, and a sign that is chosen by hand is so much likelier (log) than any other.
SEEN_RIVALS, CHOSEN = 4, 60.0
#: What is often meant by ink that is read as something else, beside the other size of a letter.
_ALIKE = ("1 l I |", "0 O o", "2 z", "5 s", "6 b", r"9 g q", r"x \times", r"y \gamma", r"v \nu", r"n \eta", r"p \rho", r"w \omega",
          r"a \alpha", r"B \beta", r"u \mu", r"t + \tau", r"d \partial", r"E \Sigma \in", r"c ( \subset", r"- \overline", r". \cdot ,")  # fmt: skip
LOOK_ALIKE = {name: tuple(group.split()) for group in _ALIKE for name in group.split()}
#: Of all ways to read some strokes, by what the net says of them, so many are looked at as formulas.
WHOLES = 80
MAX_READINGS = 5
#: How much it counts whether strokes are one sign, what a sign is, where it stands, and how likely such a formula is.
PARTING_WEIGHT, SIGN_WEIGHT, PLACE_WEIGHT, LIKELY_WEIGHT = 0.5, 1.0, 0.85, 0.28
#: A digit beside the tail of a letter is its index, though it seems to stand to the right: so much less likely (log) is that
#: it does, and an index is less likely than that by no more.
TAILED = frozenset(("y", "g", "p", "q", "j", r"\beta", r"\gamma", r"\mu", r"\rho", r"\phi"))
INDEX_OF_TAILED, LEAST_INDEX = 3.0, -5.0
#: What it costs (log) that neighbours in a row do not stand level, for each height of a sign.
UNEVEN_COST = 8.0
#: What it costs (log) that a sign hangs where nothing can: it would be lost.
LOST_COST = 3.0
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


#: Strokes by number, and the sign that they are said to be.
Chosen = Mapping[tuple[int, ...], str]


@dataclass
class _Whole:
    """One way to read all strokes."""

    groups: list[list[int]]
    names: list[int]
    parents: list[int]
    relations: list[int]
    score: float
    #: (groups, classes): how likely each sign is.
    logs: Numbers
    latex: str = ""


class WrittenReader:
    """Reads formulas with a net; ``classes`` are the signs of its columns, by their names in LaTeX."""

    def __init__(
        self,
        look: LookFormula,
        classes: Sequence[str],
        second: SecondLook | None = None,
        likely: Callable[[str], float] = lambda latex: 0.0,
    ) -> None:
        self._look = look
        #: How likely a formula is before its ink is looked at (log).
        self._likely = likely
        self._classes = list(classes)
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
        self._tailed = np.array([at for at, name in enumerate(self._classes) if name in TAILED], int)

    def read(self, strokes: Sequence[Numbers], chosen: Chosen = MappingProxyType({})) -> list[FormulaReading]:
        """What the strokes may be, best first, with the ``chosen`` signs in it where that can be.

        More than ``MAX_STROKES`` are read line by line; [] for none, for more than ``MAX_IN_ALL``, and where one of several
        lines has more than ``MAX_OF_LINE``.
        """
        if len(strokes) <= MAX_STROKES:
            return self._read(strokes, chosen) if len(strokes) else []
        lines = written_lines(strokes) if len(strokes) <= MAX_IN_ALL else []
        if not lines or max(map(len, lines)) > MAX_OF_LINE:
            return []
        read = []
        for line in lines:
            own = {
                tuple(line.index(n) for n in members): name
                for members, name in chosen.items()
                if set(members) <= {*line}
            }
            read.append(self._read([strokes[n] for n in line], own))
        return _below_each_other(lines, read) if all(read) else []

    def _read(self, strokes: Sequence[Numbers], chosen: Chosen) -> list[FormulaReading]:
        seen = seen_strokes(strokes)
        wholes: dict[str, _Whole] = {}
        signs, both, root = self._looked(strokes, seen)
        for whole in self._wholes(strokes, signs, both, root, chosen):
            known = wholes.get(whole.latex)
            if known is None or known.score < whole.score:
                wholes[whole.latex] = whole
        for whole in wholes.values():
            whole.score += LIKELY_WEIGHT * self._likely(whole.latex) - oddness(whole.latex)
        ranked = sorted(wholes.values(), key=lambda whole: -whole.score)[:MAX_READINGS]
        if not ranked:
            return []
        shares = [math.exp(whole.score - ranked[0].score) for whole in ranked]
        return [
            FormulaReading(whole.latex, round(share / sum(shares), 4), self._signs_of(whole, strokes))
            for whole, share in zip(ranked, shares, strict=True)
        ]

    def _looked(self, strokes: Sequence[Numbers], seen: Seen) -> tuple[Numbers, Numbers, Numbers]:
        """What the net says, looking twice: as the strokes were written, and as if from left to right."""
        once = [rows.astype(float) for rows in self._look(seen)]
        order = np.argsort([stroke[:, 0].min() for stroke in strokes], kind="stable")
        if len(strokes) < 2 or bool((np.diff(order) > 0).all()):
            return once[0], once[1], once[2]
        back = np.argsort(order)
        again = [rows.astype(float) for rows in self._look(seen_strokes([strokes[at] for at in order]))]
        signs, both, root = again[0][back], again[1][back][:, back], again[2][back]
        return (once[0] + signs) / 2, (once[1] + both) / 2, (once[2] + root) / 2

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
        for members, name, line, row in zip(whole.groups, whole.names, lines, whole.logs, strict=True):
            own = self._classes[name]
            seen = [self._classes[at] for at in np.argsort(-row)[:SEEN_RIVALS]]
            alike = [other for other in (own.swapcase(), *LOOK_ALIKE.get(own, ())) if other in self._classes]
            rivals = [rival for rival in dict.fromkeys([*seen, *alike]) if rival != own]
            made.append(WrittenSign(own, tuple(members), line, tuple(rivals)))
        left = {sign.members: min(float(strokes[n][:, 0].min()) for n in sign.members) for sign in made}
        return tuple(sorted(made, key=lambda sign: (sign.line, left[sign.members])))

    def _wholes(
        self, strokes: Sequence[Numbers], signs: Numbers, both: Numbers, root: Numbers, chosen: Chosen
    ) -> Iterator[_Whole]:
        logs = _log_softmax(signs)
        same = (both[..., 0] + both[..., 0].T) / 2
        # Of each stroke over all (parent, relation), and none.
        count, kinds = len(signs), both.shape[2] - 1
        ways = both[..., 1:].copy()
        ways[np.arange(count), np.arange(count)] = -1e4
        places = _log_softmax(np.concatenate([ways.reshape(count, -1), root], axis=1))
        at_stroke, at_none = places[:, :-1].reshape(count, count, kinds), places[:, -1]
        found = []
        for groups, parting in partings(same):
            sign_logs = self._sign_logs(strokes, groups, logs)
            parting += self._choose(sign_logs, groups, chosen)
            standing = between_signs(groups, at_stroke)
            self._indices_of_tailed(standing, sign_logs)
            trees = likely_trees(standing, np.array([at_none[group].mean() for group in groups]))
            for named, names in likely_names(sign_logs):
                for placed, parents, relations in trees:
                    score = PARTING_WEIGHT * parting + SIGN_WEIGHT * named + PLACE_WEIGHT * placed
                    found.append(_Whole(groups, names, parents, relations, score, sign_logs))
        tops = [float(stroke[:, 1].min()) for stroke in strokes]
        feet = [float(stroke[:, 1].max()) for stroke in strokes]
        for whole in nlargest(WHOLES, found, key=lambda whole: whole.score):
            tree = self._tree_of(whole)
            whole.latex = latex_of(tree)
            top, foot = (
                [most(ends[at] for at in group) for group in whole.groups]
                for most, ends in ((min, tops), (max, feet))
            )
            whole.score -= UNEVEN_COST * unevenness(tree, top, foot) + LOST_COST * (len(tree.names) - len(tree.told))
            yield whole

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
                cost -= CHOSEN
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


def written_lines(strokes: Sequence[Numbers]) -> list[list[int]]:
    """Strokes by number in lines from the top: between two lines is more room than between a fraction and its bar."""
    spans = sorted(
        (float(stroke[:, 1].min()), float(stroke[:, 1].max()), n) for n, stroke in enumerate(strokes)
    )
    heights = sorted(bottom - top for top, bottom, _ in spans)
    gap = LINE_GAP * heights[len(heights) // 2]
    lines: list[list[int]] = []
    foot = -math.inf
    for top, bottom, n in spans:
        if top > foot + gap:
            lines.append([])
        lines[-1].append(n)
        foot = max(foot, bottom)
    return [sorted(line) for line in lines]


def _below_each_other(lines: list[list[int]], read: list[list[FormulaReading]]) -> list[FormulaReading]:
    """Readings of all lines together: the best of each, and those in which one line is read otherwise."""
    ways = [[0] * len(lines)]
    for at, readings in enumerate(read):
        ways += [[rival if n == at else 0 for n in range(len(lines))] for rival in range(1, len(readings))]
    made = []
    for way in ways:
        parts = [readings[rival] for readings, rival in zip(read, way, strict=True)]
        signs = tuple(
            WrittenSign(sign.name, tuple(line[n] for n in sign.members), at, sign.rivals)
            for at, (line, part) in enumerate(zip(lines, parts, strict=True))
            for sign in part.signs
        )
        score = math.prod(part.score for part in parts)
        made.append(FormulaReading(r" \\ ".join(part.latex for part in parts), round(score, 4), signs))
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
