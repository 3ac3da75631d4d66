"""Curves of formulas in a window of numbers: sampled where they bend, broken where they jump, clipped to the window."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom.core.errors import MalformedError
from sunroom.core.maths.drawable import Curve, variable_of
from sunroom.core.maths.meaning import Call, Name, Relation, walk
from sunroom.core.maths.values import Values, values
from sunroom.core.sentences import said

Points = NDArray[np.float64]

#: Samples across the window to begin with; a stretch is halved so many times where it bends; points of a curve at most.
FIRST, HALVINGS, MOST_POINTS = 240, 9, 12_000
#: A curve may stray from what is drawn by this part of the window, and over such a part of it at once it jumps.
STRAY, JUMP = 0.0012, 0.35
#: Squares across the window in which an equation of both coordinates is followed.
CELLS = 140
#: Lines over an area, and samples of each.
HATCHES, HATCH_SAMPLES = 90, 320


class Ranges(msgspec.Struct, frozen=True, gc=False):
    """The numbers that a graph shows."""

    x0: float
    x1: float
    y0: float
    y1: float


_HOLDS: dict[str, Callable[[Values, Values], NDArray[np.bool_]]] = {
    "<": np.less, ">": np.greater, r"\le": np.less_equal, r"\ge": np.greater_equal,
}  # fmt: skip


def curve(drawn: Curve, window: Ranges, given: Mapping[str, float]) -> list[Points]:
    """The lines of a curve inside of its window, each (N, 2) in numbers of the axes; of an area its border."""
    if drawn.kind == "parts":
        return [line for part in drawn.parts for line in curve(part, window, given)]
    if drawn.kind == "points":
        return []
    if drawn.kind in ("both", "area"):

        def height(x: Values, y: Values) -> Values:
            made = values(drawn.body, {**given, "x": x, "y": y})
            return np.where(holds(drawn.where, {**given, "x": x, "y": y}), made, np.nan)

        return _implicit(height, window)
    if drawn.kind == "way":
        return _clipped(_broken(_along_way(drawn, window, given), window, steady=False), window)
    running = variable_of(drawn, given)

    def along(at: Values) -> Values:
        made = np.broadcast_to(values(drawn.body, {**given, running: at}), at.shape)
        if not drawn.where:
            return made
        return np.where(holds(drawn.where, {**given, running: at, drawn.kind: made}), made, np.nan)

    if drawn.kind == "r":
        turns = np.linspace(0, 12 * np.pi, 3_600)
        r = along(turns)
        return _clipped(_broken(np.column_stack([r * np.cos(turns), r * np.sin(turns)]), window), window)
    if drawn.kind == "x":
        turned = Ranges(window.y0, window.y1, window.x0, window.x1)
        lines = _broken(_sampled(along, turned), turned)
        return _clipped([line[:, ::-1] for line in lines], window)
    return _clipped(_broken(_sampled(along, window), window), window)


def hatched(drawn: Curve, window: Ranges, given: Mapping[str, float]) -> list[Points]:
    """Slanting lines over the area of an inequality; none for other curves."""
    if drawn.kind == "parts":
        return [line for part in drawn.parts for line in hatched(part, window, given)]
    if drawn.kind != "area":
        return []
    low = np.array([window.x0, window.y0])
    size = np.array([window.x1, window.y1]) - low
    # Each line runs where the parts of width and height add up to a number.
    across = np.linspace(0, 1, HATCH_SAMPLES)

    def inside(total: Values, part: Values) -> NDArray[np.bool_]:
        x, y = low[0] + part * size[0], low[1] + (total - part) * size[1]
        at = {**given, "x": x, "y": y}
        made = values(drawn.body, at)
        seen = (total - part >= 0) & (total - part <= 1)
        return np.asarray(seen & (made > 0) & holds(drawn.where, at))

    made: list[Points] = []
    for total in np.linspace(0, 2, HATCHES)[1:-1]:
        ins = inside(np.full_like(across, total), across)
        edges = np.flatnonzero(np.diff(ins.astype(np.int8)))
        low_at, high_at = across[edges], across[edges + 1]
        # The ends of each line are found closer than they are sampled.
        for _ in range(12):
            middle = (low_at + high_at) / 2
            same = inside(np.full_like(middle, total), middle) == ins[edges]
            low_at, high_at = np.where(same, middle, low_at), np.where(same, high_at, middle)
        ends = [*([0.0] if ins[0] else []), *((low_at + high_at) / 2).tolist(), *([1.0] if ins[-1] else [])]
        for start, end in zip(ends[::2], ends[1::2], strict=True):
            parts = np.array([[start, total - start], [end, total - end]])
            made.append(low + parts * size)
    return made


def holds(where: Sequence[Relation], at: Mapping[str, Values | float]) -> NDArray[np.bool_]:
    """Where all of some comparisons hold."""
    all_hold = np.asarray(True)
    for relation in where:
        sides = [values(side, at) for side in relation.sides]
        for left, right, sign in zip(sides, sides[1:], relation.signs, strict=False):
            all_hold = all_hold & _HOLDS[sign](left, right)
    return np.asarray(all_hold)


def _along_way(drawn: Curve, window: Ranges, given: Mapping[str, float]) -> Points:
    """Points of a way with t, closer where it bends."""
    turns = bool(
        {part.name for part in walk((drawn.body, drawn.other)) if isinstance(part, Call)}
        & {"sin", "cos", "tan"}
    )
    low, high = (-4 * np.pi, 4 * np.pi) if turns else (-10.0, 10.0)
    for relation in drawn.where:
        if Name("t") in relation.sides:
            at = relation.sides.index(Name("t"))
            ends = [float(values(side, given)) for side in relation.sides if side != Name("t")]
            upwards = relation.signs[0] in ("<", r"\le")
            if len(ends) == 2:
                low, high = min(ends), max(ends)
            elif upwards == (at == 0):
                high = ends[0]
            else:
                low = ends[0]
    if not (np.isfinite([low, high]).all() and low < high):
        raise MalformedError("formula", said("a-formula-has-no-graph"))

    def place(t: Values) -> Points:
        found = [
            np.broadcast_to(values(body, {**given, "t": t}), t.shape) for body in (drawn.body, drawn.other)
        ]
        return np.where(holds(drawn.where, {**given, "t": t})[..., None], np.column_stack(found), np.nan)

    size = np.array([window.x1 - window.x0, window.y1 - window.y0])
    t = np.linspace(low, high, 4 * FIRST + 1)
    points = place(t)
    for _ in range(HALVINGS):
        if len(t) > MOST_POINTS:
            break
        middle = (t[:-1] + t[1:]) / 2
        between = place(middle)
        strays = np.abs(between - (points[:-1] + points[1:]) / 2) > STRAY * size
        split = np.flatnonzero(strays.any(axis=1))
        if not len(split):
            break
        t, points = (
            np.insert(t, split + 1, middle[split]),
            np.insert(points, split + 1, between[split], axis=0),
        )
    return points


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


def _broken(points: Points, window: Ranges, steady: bool = True) -> list[Points]:
    """Lines that end where there is no value, and where the curve jumps over a good part of the window at once."""
    step = np.abs(np.diff(points, axis=0))
    wide, high = window.x1 - window.x0, window.y1 - window.y0
    jumps = np.asarray(
        (step[:, 1] > JUMP * high) & ((step[:, 0] < 1.5 * wide / FIRST) | (not steady))
        | (step[:, 0] > JUMP * wide)
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
