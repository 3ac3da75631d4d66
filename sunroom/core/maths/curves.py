"""Curves of formulas in a window of numbers: sampled where they bend, broken where they jump, clipped to the window."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from functools import lru_cache

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.meaning import Add, Expr, Lines, Meaning, Mul, Name, Neg, Relation
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.values import CONSTANTS, Values, name_of, values
from sunroom.core.sentences import said

Points = NDArray[np.float64]

#: Samples across the window to begin with; a stretch is halved so many times where it bends; points of a curve at most.
FIRST, HALVINGS, MOST_POINTS = 240, 9, 12_000
#: A curve may stray from what is drawn by this part of the window, and over such a part of it at once it jumps.
STRAY, JUMP = 0.0012, 0.35
#: Squares across the window in which an equation of both coordinates is followed.
CELLS = 140


class Ranges(msgspec.Struct, frozen=True, gc=False):
    """The numbers that a graph shows."""

    x0: float
    x1: float
    y0: float
    y1: float


class Drawn(msgspec.Struct, frozen=True):
    """What is drawn of a formula: y of x, x of y, r of θ, or an equation of both."""

    kind: str
    body: Expr


@lru_cache(maxsize=256)
def read_curve(formula: str) -> Drawn:
    """What a typed formula draws; raises MalformedError for what has no graph."""
    return curve_of(meaning_of(read_formula(formula)))


def curve_of(meant: Meaning) -> Drawn:
    if isinstance(meant, Lines):
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    if not isinstance(meant, Relation):
        return Drawn("y", meant)
    if len(meant.sides) != 2 or meant.signs[0] != "=":
        raise MalformedError("formula", said("a-formula-has-no-graph"))
    left, right = meant.sides
    if isinstance(left, Name) and not left.sub:
        free = names_of(right)
        if left.letter == "y" and "y" not in free:
            return Drawn("y", right)
        if left.letter == "x" and "x" not in free:
            return Drawn("x", right)
        if left.letter == "r" and "r" not in free and free & {r"\theta", r"\varphi", r"\phi"}:
            return Drawn("r", right)
        if left.letter not in free and not {"x", "y"} >= free | {left.letter}:
            return Drawn("y", right)  # s = h / tan θ: s is drawn
    if _is_called(left):
        return Drawn("y", right)
    return Drawn("both", Add((left, Neg(right))))


def _is_called(left: Expr) -> bool:
    """f(x) is a letter beside its own variable."""
    return isinstance(left, Mul) and len(left.factors) == 2 and all(isinstance(f, Name) for f in left.factors) and left.factors[0] in (
        Name("f"), Name("g"), Name("h"), Name("s"), Name("v"), Name("p"),
    )  # fmt: skip


def names_of(tree: object) -> set[str]:
    """The letters of a tree that have no value of their own."""
    if isinstance(tree, Name):
        return set() if not tree.sub and tree.letter in CONSTANTS else {name_of(tree)}
    if isinstance(tree, tuple):
        return set().union(*map(names_of, tree)) if tree else set()
    if isinstance(tree, msgspec.Struct):
        return set().union(*(names_of(getattr(tree, name)) for name in tree.__struct_fields__))
    return set()


#: Letters that run along the level axis, the likeliest first.
VARIABLES = ("x", "t", r"\theta", r"\varphi", r"\alpha", "u", "n")


def variable_of(drawn: Drawn, given: Mapping[str, float]) -> str:
    """The letter that runs along: of those that no slider gives a value."""
    if drawn.kind in ("both", "x"):
        return "y" if drawn.kind == "x" else "x"
    free = names_of(drawn.body) - set(given)
    return next((name for name in VARIABLES if name in free), min(free, default="x"))


def letters_of(drawn: Drawn) -> set[str]:
    """The letters that need a slider: all but what runs along."""
    free = names_of(drawn.body)
    if drawn.kind == "both":
        return free - {"x", "y"}
    return free - {variable_of(drawn, {})}


def curve(drawn: Drawn, window: Ranges, given: Mapping[str, float]) -> list[Points]:
    """The lines of a curve inside of its window, each (N, 2) in numbers of the axes."""
    if drawn.kind == "both":
        return _implicit(lambda x, y: values(drawn.body, {**given, "x": x, "y": y}), window)
    running = variable_of(drawn, given)

    def along(at: Values) -> Values:
        made = values(drawn.body, {**given, running: at})
        return np.broadcast_to(made, at.shape)

    if drawn.kind == "r":
        turns = np.linspace(0, 12 * np.pi, 3_600)
        r = along(turns)
        return _clipped(_broken(np.column_stack([r * np.cos(turns), r * np.sin(turns)]), window), window)
    if drawn.kind == "x":
        turned = Ranges(window.y0, window.y1, window.x0, window.x1)
        lines = _broken(_sampled(along, turned), turned)
        return _clipped([line[:, ::-1] for line in lines], window)
    return _clipped(_broken(_sampled(along, window), window), window)


def _sampled(along: Callable[[Values], Values], window: Ranges) -> Points:
    """Points of y = f(x), closer where the curve bends or jumps."""
    wide, high = window.x1 - window.x0, window.y1 - window.y0
    # Not on round numbers: there poles and zeros are.
    x = np.linspace(window.x0, window.x1, FIRST + 1)
    x[1:-1] += wide / FIRST * 0.0137
    y = along(x)
    for _ in range(HALVINGS):
        if len(x) > MOST_POINTS:
            break
        middle = (x[:-1] + x[1:]) / 2
        between = along(middle)
        straight = (y[:-1] + y[1:]) / 2
        near = np.asarray(_near(y[:-1], window) | _near(y[1:], window) | _near(between, window))
        bends = np.asarray(np.abs(between - straight) > STRAY * high)
        edge = np.isnan(y[:-1]) ^ np.isnan(y[1:])
        split = np.flatnonzero((bends & near) | edge | (np.isnan(between) & ~np.isnan(straight)))
        if not len(split):
            break
        x = np.insert(x, split + 1, middle[split])
        y = np.insert(y, split + 1, between[split])
    return np.column_stack([x, y])


def _near(y: Values, window: Ranges) -> NDArray[np.bool_]:
    """What lies in the window, or not far from it."""
    high = window.y1 - window.y0
    return np.asarray((y > window.y0 - high) & (y < window.y1 + high))


def _broken(points: Points, window: Ranges) -> list[Points]:
    """Lines that end where there is no value, and where the curve jumps over a good part of the window at once."""
    step = np.abs(np.diff(points, axis=0))
    wide, high = window.x1 - window.x0, window.y1 - window.y0
    jumps = np.asarray(
        (step[:, 1] > JUMP * high) & (step[:, 0] < 1.5 * wide / FIRST) | (step[:, 0] > JUMP * wide)
    )
    # Where both ends are beyond the window on one side nothing is to be broken.
    y = points[:, 1]
    beyond = ((y[:-1] > window.y1) & (y[1:] > window.y1)) | ((y[:-1] < window.y0) & (y[1:] < window.y0))
    missing = np.asarray(np.isnan(points).any(axis=1))
    cuts = np.flatnonzero((jumps & ~beyond) | missing[:-1] | missing[1:]) + 1
    parts = np.split(points, cuts)
    kept = [part[~np.isnan(part).any(axis=1)] for part in parts]
    return [part for part in kept if len(part) > 1]


def _clipped(lines: list[Points], window: Ranges) -> list[Points]:
    """The parts of some lines that are inside, cut at the window's edges (Liang and Barsky 1984)."""
    low, high = np.array([window.x0, window.y0]), np.array([window.x1, window.y1])
    made: list[Points] = []
    for line in lines:
        if bool(((line >= low) & (line <= high)).all()):
            made.append(line)
            continue
        start, way = line[:-1], np.diff(line, axis=0)
        with np.errstate(all="ignore"):
            one, other = (low - start) / way, (high - start) / way
        level = way == 0
        inside = (start >= low) & (start <= high)
        enter = np.where(level, np.where(inside, 0.0, 2.0), np.minimum(one, other)).max(axis=1).clip(0)
        leave = np.where(level, np.where(inside, 1.0, -1.0), np.maximum(one, other)).min(axis=1).clip(None, 1)
        run: list[Points] = []
        for at in np.flatnonzero(enter <= leave):
            a, b = start[at] + enter[at] * way[at], start[at] + leave[at] * way[at]
            if run and not np.allclose(run[-1], a, rtol=0, atol=1e-12 * float((high - low).max())):
                made.append(np.array(run))
                run = []
            run += [b] if run else [a, b]
        if len(run) > 1:
            made.append(np.array(run))
    return made


def _implicit(height: Callable[[Values, Values], Values], window: Ranges) -> list[Points]:
    """Where a function of both coordinates is 0: each square's edges are crossed in the middle of a straight change."""
    # Not on round numbers, where many equations are exactly met.
    xs = np.linspace(window.x0, window.x1, CELLS + 1) + (window.x1 - window.x0) * 1.37e-7
    ys = np.linspace(window.y0, window.y1, CELLS + 1) + (window.y1 - window.y0) * 1.37e-7
    x, y = np.meshgrid(xs, ys)
    z = np.broadcast_to(height(x, y), x.shape)
    pieces: list[Points] = []
    corners = [(0, 0), (0, 1), (1, 1), (1, 0)]
    zs = [z[dy : CELLS + dy, dx : CELLS + dx] for dy, dx in corners]
    known = ~np.isnan(np.stack(zs)).any(axis=0)
    signs = np.stack([part > 0 for part in zs])
    mixed = np.argwhere(known & signs.any(axis=0) & ~signs.all(axis=0))
    spread = float(np.nanmax(np.abs(z))) if known.any() else 0.0
    for row, column in mixed:
        cross = []
        for one in range(4):
            (dy0, dx0), (dy1, dx1) = corners[one], corners[(one + 1) % 4]
            z0, z1 = z[row + dy0, column + dx0], z[row + dy1, column + dx1]
            if (z0 > 0) == (z1 > 0) or abs(z1 - z0) > 0.5 * spread > 50:
                continue  # no change, or a jump over a pole
            part = z0 / (z0 - z1)
            cross.append(
                (xs[column + dx0] + part * (xs[column + dx1] - xs[column + dx0]),
                 ys[row + dy0] + part * (ys[row + dy1] - ys[row + dy0]))
            )  # fmt: skip
        pieces += [np.array(cross[n : n + 2]) for n in range(0, len(cross) - 1, 2)]
    return _chained(pieces, (window.x1 - window.x0) / CELLS)


def _chained(pieces: list[Points], cell: float) -> list[Points]:
    """Short pieces put together where they meet."""

    def key(point: Points) -> tuple[int, int]:
        return round(float(point[0]) / (cell * 1e-3)), round(float(point[1]) / (cell * 1e-3))

    ends: dict[tuple[int, int], list[int]] = {}
    for number, piece in enumerate(pieces):
        for end in (0, -1):
            ends.setdefault(key(piece[end]), []).append(number)
    left, made = set(range(len(pieces))), []
    while left:
        number = left.pop()
        line = [*pieces[number]]
        for forwards in (True, False):
            while True:
                at = key(np.asarray(line[-1] if forwards else line[0]))
                following = next((n for n in ends[at] if n in left), None)
                if following is None:
                    break
                left.discard(following)
                piece = pieces[following]
                other = piece[1] if key(piece[0]) == at else piece[0]
                line.append(other) if forwards else line.insert(0, other)
        made.append(np.array(line))
    return made
