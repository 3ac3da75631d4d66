"""Written maths: from strokes to signs, how these hang together, and LaTeX, with rivals.

One net looks at all strokes of a formula together (core.maths.strokes) and says of each which sign it belongs to, which
strokes are one sign, and which sign a sign stands at: to its right, above, below, as its power or index, inside of it.
Here the likeliest whole is put together from that: strokes to signs, signs to a tree, the tree to LaTeX.
"""

from __future__ import annotations

import math
import re
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, field

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.maths.signs import FUNCTIONS
from sunroom.core.maths.strokes import Seen, seen_strokes
from sunroom.core.maths.typed import read_formula

#: What a net says of n strokes: (n, classes), (n, n, 1 + relations) and (n, 1), all before any share.
LookFormula = Callable[[Seen], tuple[NDArray[np.float32], NDArray[np.float32], NDArray[np.float32]]]
Numbers = NDArray[np.float64]

#: More strokes than this are not read as one formula.
MAX_STROKES = 160
MAX_READINGS = 5
#: Ways of parting strokes into signs that are followed, and pairs of strokes that are tried the other way.
PARTINGS, TRIED_PAIRS = 6, 5
#: What is less likely than the best by more than this (log) is no rival of a sign or of its place.
SIGN_RIVAL, PLACE_RIVAL = 4.5, 4.0
#: How much it counts whether strokes are one sign, what a sign is, where it stands, and that the whole can be a formula.
PARTING_WEIGHT, SIGN_WEIGHT, PLACE_WEIGHT, ODD_COST, UNPAIRED_COST = 0.5, 1.0, 1.0, 2.5, 1.5

RIGHT, SUP, SUB, ABOVE, BELOW, INSIDE, CELL = range(7)
OPENING, CLOSING = {"(": ")", "[": "]", r"\{": r"\}"}, {")", "]", r"\}"}
LARGE = frozenset([r"\sum", r"\prod", r"\int", r"\oint"])
OVERS = frozenset([r"\vec", r"\overline", r"\hat"])


class FormulaReading(msgspec.Struct, frozen=True):
    """What some strokes may be as a formula, and how likely that is among its rivals, 0 to 1."""

    latex: str
    score: float


@dataclass
class Tree:
    """Signs by number: what each is, and the children that stand at it by their relation."""

    names: list[str]
    children: list[dict[int, int]]
    root: int


@dataclass
class _Whole:
    """One way to read all strokes."""

    groups: list[list[int]]
    names: list[int]
    parents: list[int]
    relations: list[int]
    score: float
    latex: str = ""
    odd: float = field(default=0.0)


class WrittenReader:
    """Reads formulas with a net; ``classes`` are the signs of its columns, by their names in LaTeX."""

    def __init__(self, look: LookFormula, classes: Sequence[str]) -> None:
        self._look = look
        self._classes = list(classes)

    def read(self, strokes: Sequence[Numbers]) -> list[FormulaReading]:
        """What the strokes may be, best first; [] for none, or for more than ``MAX_STROKES``."""
        if not 1 <= len(strokes) <= MAX_STROKES:
            return []
        seen = seen_strokes(strokes)
        wholes: dict[str, _Whole] = {}
        signs, both, root = (rows.astype(float) for rows in self._look(seen))
        for whole in self._wholes(signs, both, root):
            known = wholes.get(whole.latex)
            if known is None or known.score - known.odd < whole.score - whole.odd:
                wholes[whole.latex] = whole
        ranked = sorted(wholes.values(), key=lambda whole: whole.odd - whole.score)[:MAX_READINGS]
        if not ranked:
            return []
        best = ranked[0].score - ranked[0].odd
        shares = [math.exp(whole.score - whole.odd - best) for whole in ranked]
        return [
            FormulaReading(whole.latex, round(share / sum(shares), 4))
            for whole, share in zip(ranked, shares, strict=True)
        ]

    def _wholes(self, signs: Numbers, both: Numbers, root: Numbers) -> Iterator[_Whole]:
        logs = _log_softmax(signs)
        same = (both[..., 0] + both[..., 0].T) / 2
        # Of each stroke over all (parent, relation), and none.
        count, relations = len(signs), both.shape[2] - 1
        ways = both[..., 1:].copy()
        ways[np.arange(count), np.arange(count)] = -1e4
        places = _log_softmax(np.concatenate([ways.reshape(count, -1), root], axis=1))
        at_stroke, at_none = places[:, :-1].reshape(count, count, relations), places[:, -1]
        for groups, parting in _partings(same):
            sign_logs = np.stack([logs[group].mean(axis=0) for group in groups])
            place = _between(groups, at_stroke)
            none = np.array([at_none[group].mean() for group in groups])
            names = [int(best) for best in sign_logs.argmax(axis=1)]
            parents, rels, placed = _tree(place, none)
            base = _Whole(
                groups,
                names,
                parents,
                rels,
                PARTING_WEIGHT * parting
                + SIGN_WEIGHT * float(sign_logs.max(axis=1).sum())
                + PLACE_WEIGHT * placed,
            )
            for whole in (base, *self._rivals(base, sign_logs, place, none, placed)):
                whole.latex = latex_of(self._tree_of(whole))
                whole.odd = oddness(whole.latex)
                yield whole

    def _rivals(
        self, base: _Whole, sign_logs: Numbers, place: Numbers, none: Numbers, placed: float
    ) -> Iterator[_Whole]:
        """Other signs in one or two places, and signs that stand elsewhere."""
        others = []
        for at, row in enumerate(sign_logs):
            best = row.max()
            for name in np.argsort(-row)[1:4]:
                if best - row[name] < SIGN_RIVAL:
                    others.append((SIGN_WEIGHT * float(row[name] - best), at, int(name)))
        others.sort(reverse=True)
        for number, (cost, at, name) in enumerate(others[:12]):
            names = [*base.names]
            names[at] = name
            yield _Whole(base.groups, names, base.parents, base.relations, base.score + cost)
            for more, second, other in others[:number]:
                if second != at and number < 6:
                    both = [*names]
                    both[second] = other
                    yield _Whole(base.groups, both, base.parents, base.relations, base.score + cost + more)
        for child in range(len(base.groups)):
            parent, relation = base.parents[child], base.relations[child]
            if parent < 0:
                continue
            barred = place.copy()
            barred[child, parent, relation] = -1e4
            if place[child, parent, relation] - max(barred[child].max(), none[child]) > PLACE_RIVAL:
                continue
            parents, rels, total = _tree(barred, none)
            yield _Whole(base.groups, base.names, parents, rels, base.score + PLACE_WEIGHT * (total - placed))

    def _tree_of(self, whole: _Whole) -> Tree:
        children: list[dict[int, int]] = [{} for _ in whole.names]
        root = 0
        for child, (parent, relation) in enumerate(zip(whole.parents, whole.relations, strict=True)):
            if parent < 0:
                root = child
            else:
                children[parent][relation] = child
        return Tree([self._classes[name] for name in whole.names], children, root)


def _log_softmax(rows: Numbers) -> Numbers:
    rows = rows - rows.max(axis=1, keepdims=True)
    return np.asarray(rows - np.log(np.exp(rows).sum(axis=1, keepdims=True)))


# Strokes to signs


def _partings(same: Numbers) -> list[tuple[list[list[int]], float]]:
    """The likeliest ways to part strokes into signs, with their log likelihoods, the best first."""
    count = len(same)
    pairs = [
        (abs(same[i, j]), i, j) for i in range(count) for j in range(i + 1, count) if abs(same[i, j]) < 3.5
    ]
    ways = [_parted(same)]
    for _, i, j in sorted(pairs)[:TRIED_PAIRS]:
        turned = same.copy()
        turned[i, j] = turned[j, i] = 50.0 if same[i, j] < 0 else -200.0
        ways.append(_parted(turned))
    found: dict[str, tuple[list[list[int]], float]] = {}
    for groups in ways:
        found.setdefault(str(groups), (groups, _parting_log(same, groups)))
    return sorted(found.values(), key=lambda way: -way[1])[:PARTINGS]


def _parted(same: Numbers) -> list[list[int]]:
    """Strokes merged while the two nearest groups are rather one sign than two."""
    groups = [[at] for at in range(len(same))]
    between = same.copy()
    np.fill_diagonal(between, -np.inf)
    while len(groups) > 1:
        at = int(between.argmax())
        one, other = divmod(at, len(groups))
        if between[one, other] <= 0:
            break
        one, other = min(one, other), max(one, other)
        sizes = len(groups[one]), len(groups[other])
        merged = (between[one] * sizes[0] + between[other] * sizes[1]) / sum(sizes)
        between[one], between[:, one] = merged, merged
        between[one, one] = -np.inf
        between = np.delete(np.delete(between, other, 0), other, 1)
        groups[one] += groups.pop(other)
    return sorted(sorted(group) for group in groups)


def _parting_log(same: Numbers, groups: list[list[int]]) -> float:
    of = np.zeros(len(same), int)
    for number, group in enumerate(groups):
        of[group] = number
    together = of[:, None] == of[None]
    logs = -np.logaddexp(0.0, np.where(together, -same, same))
    return float(np.triu(logs, 1).sum())


# Signs to a tree


def _between(groups: list[list[int]], at_stroke: Numbers) -> Numbers:
    """(signs, signs, relations): log of how likely one stands at another, over the strokes of both."""
    made = np.full((len(groups), len(groups), at_stroke.shape[2]), -1e4)
    for child, own in enumerate(groups):
        rows = at_stroke[own]
        for parent, other in enumerate(groups):
            if parent != child:
                part = rows[:, other]
                top = part.max(axis=1, keepdims=True)
                made[child, parent] = (top[:, 0] + np.log(np.exp(part - top).sum(axis=1))).mean(axis=0)
    return made


def _tree(place: Numbers, none: Numbers) -> tuple[list[int], list[int], float]:
    """Of each sign its parent (-1 for the first) and relation, and the whole's log likelihood."""
    place = place.copy()
    for _ in range(12):
        best, relation = place.max(axis=2), place.argmax(axis=2)
        parents = _arborescence(best, none)
        taken: dict[tuple[int, int], int] = {}
        clash = None
        for child, parent in enumerate(parents):
            if parent < 0:
                continue
            key = parent, int(relation[child, parent])
            if key in taken:
                # Two at one place: the less likely one stands elsewhere.
                clash = min(
                    (child, taken[key]), key=lambda at: best[at, parent] - _second(place[at], float(none[at]))
                )
                place[clash, key[0], key[1]] = -1e4
                break
            taken[key] = child
        if clash is None:
            break
    relations = [
        int(relation[child, parent]) if parent >= 0 else RIGHT for child, parent in enumerate(parents)
    ]
    total = sum(
        float(best[child, parent]) if parent >= 0 else float(none[child])
        for child, parent in enumerate(parents)
    )
    return parents, relations, max(total, -1e5)


def _second(row: Numbers, none: float) -> float:
    flat = np.partition(row.reshape(-1), -2) if row.size > 1 else row.reshape(-1)
    return max(float(flat[-2]) if flat.size > 1 else -1e4, float(none))


def _arborescence(score: Numbers, none: Numbers) -> list[int]:
    """The likeliest tree (Chu and Liu 1965, Edmonds 1967): each sign's parent, -1 for the one that has none."""
    count = len(none)
    # Only one sign begins: the root's edges are made dear, so that a second is never cheaper.
    full = np.full((count + 1, count + 1), -np.inf)
    full[1:, 1:] = score
    full[1:, 0] = none - 1e5
    np.fill_diagonal(full, -np.inf)
    return [parent - 1 for parent in _edmonds(full)[1:]]


def _edmonds(score: Numbers) -> list[int]:
    """Of each node but node 0 the parent, for the greatest sum of ``score[node, parent]``."""
    count = len(score)
    parents = [0, *(int(score[node].argmax()) for node in range(1, count))]
    cycle = _cycle(parents)
    if not cycle:
        return parents
    inside = set(cycle)
    outside = [node for node in range(count) if node not in inside]
    to = len(outside)
    small = np.full((to + 1, to + 1), -np.inf)
    small[:to, :to] = score[np.ix_(outside, outside)]
    small[:to, to] = score[np.ix_(outside, cycle)].max(axis=1)
    lost = np.array([score[node, parents[node]] for node in cycle])
    entering = score[np.ix_(cycle, outside)] - lost[:, None]
    small[to, :to] = entering.max(axis=0)
    small[0] = -np.inf
    made = _edmonds(small)
    whole = [0] * count
    for node in cycle:
        whole[node] = parents[node]
    for at, node in enumerate(outside):
        if at:
            if made[at] == to:
                whole[node] = cycle[int(score[node, cycle].argmax())]
            else:
                whole[node] = outside[made[at]]
    enter = outside[made[to]]
    entered = cycle[int((score[cycle, enter] - lost).argmax())]
    whole[entered] = enter
    return whole


def _cycle(parents: list[int]) -> list[int]:
    for start in range(1, len(parents)):
        seen, node = [], start
        while node and node not in seen:
            seen.append(node)
            node = parents[node]
        if node:
            return seen[seen.index(node) :]
    return []


# The tree to LaTeX


def latex_of(tree: Tree) -> str:
    """What a tree of signs is in LaTeX."""
    lines = _lines(tree, tree.root)
    made = [_row(tree, line) for line in lines]
    return made[0] if len(made) == 1 else r" \\ ".join(made)


def _lines(tree: Tree, first: int) -> list[int]:
    """The first signs of lines below each other: what hangs below a sign that itself takes nothing below."""
    lines = [first]
    seen = {first}
    while BELOW in tree.children[lines[-1]] and not _takes_below(tree, lines[-1]):
        following = tree.children[lines[-1]][BELOW]
        if following in seen:
            break
        seen.add(following)
        lines.append(following)
    return lines


def _takes_below(tree: Tree, at: int) -> bool:
    name = tree.names[at]
    if name == "-":
        return ABOVE in tree.children[at]
    return (
        name in LARGE
        or name in (r"\rightarrow", r"\rightleftharpoons")
        or _word_at(tree, at) in ("lim", "max", "min")
    )


def _word_at(tree: Tree, at: int) -> str:
    """The function whose name begins at a sign; "" for none."""
    letters = ""
    place: int | None = at
    while (
        place is not None and len(letters) < 6 and tree.names[place].isalpha() and len(tree.names[place]) == 1
    ):
        letters += tree.names[place]
        own = tree.children[place]
        if (SUP in own or SUB in own) or RIGHT not in own:
            break
        place = own[RIGHT]
    return next((name for name in FUNCTIONS if letters.startswith(name)), "")


def _row(tree: Tree, first: int) -> str:
    """A row from its first sign on."""
    parts: list[str] = []
    at: int | None = first
    done: set[int] = set()
    while at is not None and at not in done:
        done.add(at)
        name, own = tree.names[at], tree.children[at]
        if len(name) == 1 and name.isalpha() and (word := _word_at(tree, at)) and not _is_unit(parts, word):
            below = own.get(BELOW)
            for _ in word[1:]:
                at = tree.children[at][RIGHT]
                done.add(at)
            own = tree.children[at]
            scripts = {**own, SUB: below} if below is not None and word in ("lim", "max", "min") else own
            parts.append(rf"\{word}" + _scripts(tree, scripts))
        elif (lines := _lines(tree, at)) and len(lines) > 1 and at != first:
            parts.append(_table(tree, lines))
            at = _after_table(tree, at)
            continue
        else:
            parts.append(_sign(tree, at))
        at = tree.children[at].get(RIGHT)
    return _joined(parts)


def _is_unit(parts: list[str], word: str) -> bool:
    """Whether min after a number are minutes."""
    return word == "min" and bool(parts) and parts[-1][-1:].isdigit()


def _sign(tree: Tree, at: int) -> str:
    name, own = tree.names[at], tree.children[at]
    if name == "-" and ABOVE in own and BELOW in own:
        return rf"\frac{{{_row(tree, own[ABOVE])}}}{{{_row(tree, own[BELOW])}}}" + _scripts(tree, own)
    if name == r"\sqrt":
        index = f"[{_row(tree, own[ABOVE])}]" if ABOVE in own else ""
        inside = _row(tree, own[INSIDE]) if INSIDE in own else ""
        return rf"\sqrt{index}{{{inside}}}" + _scripts(tree, own)
    if name in OVERS:
        inside = _row(tree, own[INSIDE]) if INSIDE in own else ""
        return rf"{name}{{{inside}}}" + _scripts(tree, own)
    if name in LARGE:
        limits = dict(own)
        for place, script in ((BELOW, SUB), (ABOVE, SUP)):
            if place in own and script not in own:
                limits[script] = own[place]
        return name + _scripts(tree, limits)
    if name in (r"\rightarrow", r"\rightleftharpoons") and ABOVE in own:
        return rf"\overset{{{_row(tree, own[ABOVE])}}}{{{name}}}"
    return name + _scripts(tree, own)


def _scripts(tree: Tree, own: dict[int, int]) -> str:
    made = f"_{{{_row(tree, own[SUB])}}}" if SUB in own else ""
    if SUP not in own:
        return made
    above = _row(tree, own[SUP])
    return made + (above if set(above) == {"'"} else f"^{{{above}}}")


def _table(tree: Tree, lines: list[int]) -> str:
    rows = []
    for line in lines:
        cells, at = [], line
        while True:
            cells.append(_cell(tree, at, line))
            following = _next_cell(tree, at)
            if following is None:
                break
            at = following
        rows.append(" & ".join(cells))
    return r"\begin{matrix}" + r" \\ ".join(rows) + r"\end{matrix}"


def _cell(tree: Tree, first: int, line: int) -> str:
    """A cell's row, up to where the next one or a closing bracket is."""
    parts: list[str] = []
    at: int | None = first
    depth, done = 0, set()
    while at is not None and at not in done:
        done.add(at)
        name = tree.names[at]
        depth += (name in OPENING) - (name in CLOSING)
        if depth < 0 or (name == "|" and at != first and CELL not in tree.children[at]):
            break
        own = {key: child for key, child in tree.children[at].items() if key != BELOW or at != line}
        parts.append(
            _sign(Tree(tree.names, [*tree.children[:at], own, *tree.children[at + 1 :]], tree.root), at)
        )
        at = tree.children[at].get(RIGHT)
    return _joined(parts)


def _next_cell(tree: Tree, at: int) -> int | None:
    seen: set[int] = set()
    place: int | None = at
    while place is not None and place not in seen:
        seen.add(place)
        if CELL in tree.children[place]:
            return tree.children[place][CELL]
        place = tree.children[place].get(RIGHT)
    return None


def _after_table(tree: Tree, at: int) -> int | None:
    """The closing bracket that follows the last cell of a table's first row."""
    cell: int | None = at
    while cell is not None and (following := _next_cell(tree, cell)) is not None:
        cell = following
    depth, place, seen = 0, cell, set()
    while place is not None and place not in seen:
        seen.add(place)
        name = tree.names[place]
        depth += (name in OPENING) - (name in CLOSING)
        if depth < 0 or (name == "|" and place != cell):
            return place
        place = tree.children[place].get(RIGHT)
    return None


def _joined(parts: list[str]) -> str:
    made = ""
    for part in parts:
        if made and part[:1].isalpha() and _ends_in_command(made):
            made += " "
        made += part
    return made


def _ends_in_command(text: str) -> bool:
    letters = len(text) - len(text.rstrip("abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ"))
    return bool(letters) and text[: len(text) - letters].endswith("\\")


def looks_like_maths(latex: str) -> bool:
    """Whether a reading has what words have not: fractions, powers, roots, an equals sign between two things."""
    return any(mark in latex for mark in _MARKS) or bool(_EQUATION.search(latex))


_MARKS = (r"\frac", r"\sqrt", r"\sum", r"\int", r"\prod", "^{", "_{", r"\le", r"\ge", r"\ne", r"\pm", r"\vec")
_EQUATION = re.compile(r"\S\s*[=<>]\s*\S")


def oddness(latex: str) -> float:
    """How little a formula looks like one: what cannot be set, and brackets without their other half."""
    cost = 0.0
    try:
        read_formula(latex.replace(r"\overset", r"\frac"))
    except MalformedError:
        cost += ODD_COST
    plain = latex.replace(r"\{", "").replace(r"\}", "")
    opened = plain.count("(") + plain.count("[")
    closed = plain.count(")") + plain.count("]")
    return cost + UNPAIRED_COST * min(abs(opened - closed), 2)
