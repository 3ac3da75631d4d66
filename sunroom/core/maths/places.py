"""Places of a graph that have a name: zeros, turning points, where two curves meet; and what a curve is at one place."""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.errors import MalformedError
from sunroom.core.maths.curves import Ranges, holds
from sunroom.core.maths.drawable import Curve, read_curve, variable_of
from sunroom.core.maths.values import Values, values
from sunroom.core.sentences import said

PlaceKind = Literal["zero", "highest", "lowest", "meets", "start"]

#: Samples across the window, and times that a place between two of them is halved; places of one kind at most.
SAMPLES, HALVINGS, MOST = 2_400, 60, 12
#: A change this many times larger than those beside it is a jump.
JUMPS = 60.0


class NamedPlace(msgspec.Struct, frozen=True):
    """A place of a curve; ``other`` is the line that it meets, counted from 0, else -1."""

    kind: PlaceKind
    x: float
    y: float
    other: int = -1


class AtPlace(msgspec.Struct, frozen=True):
    """A curve's height and slope at a place; None where it has none."""

    x: float
    y: float | None
    slope: float | None


def places(
    formulas: Sequence[str], line: int, window: Ranges, given: Mapping[str, float]
) -> list[NamedPlace]:
    """Where a curve starts, is 0, turns, and meets the others, from left to right; raises MalformedError for what is no y of x."""
    of = _height(formulas[line], given)
    found = [NamedPlace("zero", x, 0.0) for x in _zeros(of, window)]
    start = of(np.array([0.0]))[0]
    if window.x0 <= 0 <= window.x1 and np.isfinite(start):
        found.append(NamedPlace("start", 0.0, float(start)))
    for x, highest in _turns(of, window):
        y = float(of(np.array([x]))[0])
        found.append(NamedPlace("highest" if highest else "lowest", x, y))
    for number, formula in enumerate(formulas):
        if number == line:
            continue
        try:
            other = _height(formula, given)
        except MalformedError:
            continue

        def apart(x: Values, other: Callable[[Values], Values] = other) -> Values:
            return of(x) - other(x)

        for x in _zeros(apart, window):
            found.append(NamedPlace("meets", x, float(of(np.array([x]))[0]), number))
    inside = [p for p in found if window.y0 <= p.y <= window.y1]
    return sorted(inside, key=lambda place: (place.x, place.kind))


def at_place(formula: str, x: float, given: Mapping[str, float], window: Ranges) -> AtPlace:
    """A curve at one place: its height and its slope."""
    of = _height(formula, given)
    step = 1e-5 * (window.x1 - window.x0)
    before, y, after = of(np.array([x - step, x, x + step])).tolist()
    slope = (after - before) / (2 * step)
    smooth = np.isfinite(slope) and abs((after - y) - (y - before)) <= 0.02 * abs(after - before) + 1e-9 * (
        abs(y) + 1
    )
    return AtPlace(x, y if np.isfinite(y) else None, slope if smooth else None)


def area_between(formula: str, low: float, high: float, given: Mapping[str, float]) -> float | None:
    """The integral of a curve from one place to another, by Simpson's rule; None where it is not defined all the way."""
    x = np.linspace(low, high, 2 * SAMPLES + 1)
    y = _height(formula, given)(x)
    if not np.isfinite(y).all():
        return None
    return float((high - low) / (6 * SAMPLES) * (y[0] + y[-1] + 4 * y[1:-1:2].sum() + 2 * y[2:-1:2].sum()))


def _height(formula: str, given: Mapping[str, float]) -> Callable[[Values], Values]:
    drawn = read_curve(formula)
    if drawn.kind not in ("y", "parts") or any(part.kind != "y" for part in drawn.parts):
        raise MalformedError("formula", said("that-is-no-curve-over-x"))
    parts = drawn.parts or (drawn,)

    def height(x: Values) -> Values:
        made = np.full(x.shape, np.nan)
        for part in parts:
            made = np.where(np.isnan(made), _of_part(part, x, given), made)
        return made

    return height


def _of_part(part: Curve, x: Values, given: Mapping[str, float]) -> Values:
    running = variable_of(part, given)
    made = np.broadcast_to(values(part.body, {**given, running: x}), x.shape)
    return np.where(holds(part.where, {**given, running: x, "y": made}), made, np.nan)


def _zeros(of: Callable[[Values], Values], window: Ranges) -> list[float]:
    # Not on round numbers: there a zero would be met exactly, or a pole.
    x = np.linspace(window.x0, window.x1, SAMPLES + 1) + (window.x1 - window.x0) * 1.37e-6
    y = of(x)
    low, high = x[:-1], x[1:]
    change = (np.sign(y[:-1]) * np.sign(y[1:]) < 0) & np.isfinite(y[:-1]) & np.isfinite(y[1:])
    at = np.flatnonzero(change)[: 2 * MOST]
    a, b, below = low[at], high[at], y[at] < 0
    for _ in range(HALVINGS):
        middle = (a + b) / 2
        before = (of(middle) < 0) == below
        a, b = np.where(before, middle, a), np.where(before, b, middle)
    # Over a pole the sign changes, but it comes to no end.
    gap = np.abs(of(b) - of(a))
    ends = gap < 0.1 * np.abs(y[at + 1] - y[at]) + 1e-9
    found = [_plain(float(x), window) for x in ((a + b) / 2)[ends]]
    # A curve that only touches 0 turns there.
    spread = float(np.nanmax(np.abs(y))) if np.isfinite(y).any() else 0.0
    turns = np.array([x for x, _ in _turns(of, window)])
    found.extend(turns[np.abs(of(turns)) < 1e-9 * max(spread, 1.0)].tolist())
    return sorted(set(found))[:MOST]


def _turns(of: Callable[[Values], Values], window: Ranges) -> list[tuple[float, bool]]:
    """Where a curve turns, and whether it is highest there."""
    x = np.linspace(window.x0, window.x1, SAMPLES + 1) + (window.x1 - window.x0) * 1.37e-6
    y = of(x)
    step = np.diff(y)
    turn = (np.sign(step[:-1]) * np.sign(step[1:]) < 0) & np.isfinite(step[:-1]) & np.isfinite(step[1:])
    at = np.array([n for n in np.flatnonzero(turn)[: 2 * MOST] if not _jumps(step, n)], dtype=int)
    a, b, highest = x[at], x[at + 2], step[at] > 0
    for _ in range(HALVINGS):
        third = (b - a) / 3
        rising = (of(a + third) < of(b - third)) == highest
        a, b = np.where(rising, a + third, a), np.where(rising, b, b - third)
    middle = ((a + b) / 2).tolist()
    return [(_plain(x, window), top) for x, top in zip(middle, highest.tolist(), strict=True)][:MOST]


def _jumps(step: Values, at: int) -> bool:
    """Whether one of the two changes at a turn is beyond all others, as it is at a pole."""
    beside = np.abs(step[max(0, at - 3) : at + 5])
    return bool(np.abs(step[at : at + 2]).max() > JUMPS * max(float(np.nanmedian(beside)), 1e-12))


def _plain(value: float, window: Ranges) -> float:
    """Without the last digits, which are not known."""
    return float(f"{value:.7g}") if abs(value) > 1e-7 * (window.x1 - window.x0) else 0.0
