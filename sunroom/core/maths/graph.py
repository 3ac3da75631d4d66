"""A graph drawn: grid, axes with their numbers, and curves, as paths and labels that every writer shows alike."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from fractions import Fraction as Exact
from typing import Literal

import msgspec
import numpy as np

from sunroom.core.drawn import dashed, path_of
from sunroom.core.errors import MalformedError
from sunroom.core.maths.curves import Points, Ranges, curve, hatched
from sunroom.core.maths.drawable import Curve, letters_of, read_curve
from sunroom.core.maths.meaning import Add, Mul, Name, Num, Pow
from sunroom.core.sentences import Sentence

#: What a step along the level axis is counted in.
Counted = Literal["numbers", "pi", "degrees"]

#: Numbers stand at least so far from each other, in board units, across and up.
APART = (64.0, 44.0)
#: The size of the numbers, the length of an arrow's head, and how far numbers stand from their axis.
LABEL_SIZE, ARROW, BESIDE = 13.0, 9.0, 5.0
MAX_LINES, MAX_LETTERS = 8, 8
#: Dashes of a border that does not belong to its area; the radius of a point; what is written of a fit, and its degree at most.
DASH, DOT, NOTE_TOP, MAX_FIT = (9, 6), 3.2, 18.0, 3
_STEPS = (1, 2, 5)


class GraphLine(msgspec.Struct, frozen=True):
    """One formula of a graph; ``fit``: through points a polynomial of best fit of this degree, with its equation."""

    formula: str
    colour: str
    width: float = 3.0
    shown: bool = True
    fit: int = 0


class GraphLetter(msgspec.Struct, frozen=True):
    """A letter's value, and between which it is moved."""

    name: str
    value: float
    low: float = -5.0
    high: float = 5.0


class AxisNumber(msgspec.Struct, frozen=True, array_like=True, gc=False):
    """A number at an axis, from the left end of its baseline."""

    text: str
    x: float
    y: float


class GraphPaths(msgspec.Struct, frozen=True):
    """What is drawn: SVG paths of M and L in tenths of a board unit from the upper left corner, and labels.

    ``curves`` are one path to each formula, "" for what has no graph, with the sentence that says why in ``problems``;
    ``areas`` are thin lines over what an inequality holds for.
    """

    grid: str
    axes: str
    labels: tuple[AxisNumber, ...]
    curves: tuple[str, ...]
    problems: tuple[Sentence | None, ...]
    areas: tuple[str, ...] = ()


def draw_graph(
    width: float,
    height: float,
    window: Ranges,
    counted: Counted,
    lines: Sequence[GraphLine],
    letters: Sequence[GraphLetter],
) -> GraphPaths:
    """A graph of ``width`` by ``height`` board units."""
    wide, high = window.x1 - window.x0, window.y1 - window.y0
    scale = np.array([width / wide, -height / high])
    offset = np.array([-window.x0 * width / wide, window.y1 * height / high])

    def placed(points: Points) -> Points:
        return np.asarray(points * scale + offset)

    xs, x_step = ticks(window.x0, window.x1, width, APART[0], counted)
    ys, y_step = ticks(window.y0, window.y1, height, APART[1], "numbers")
    upright = [placed(np.array([(x, window.y0), (x, window.y1)])) for x in xs]
    level = [placed(np.array([(window.x0, y), (window.x1, y)])) for y in ys]
    ox, oy = placed(np.array([[_inside(0.0, window.x0, window.x1), _inside(0.0, window.y0, window.y1)]]))[0]
    given = {letter.name: letter.value for letter in letters}
    curves, areas, problems = [], [], []
    notes: list[AxisNumber] = []
    for line in lines:
        path, area, note, problem = _curve(line, window, given, placed)
        curves.append(path)
        areas.append(area)
        problems.append(problem)
        if note:
            row = NOTE_TOP + len(notes) * 1.4 * LABEL_SIZE
            notes.append(AxisNumber(note, round(width - _width(note) - 2 * BESIDE, 1), round(row, 1)))
    return GraphPaths(
        path_of([*upright, *level]),
        path_of(_axes(width, height, float(ox), float(oy))),
        (*_labels(xs, x_step, ys, y_step, counted, placed, (float(ox), float(oy)), (width, height)), *notes),
        tuple(curves),
        tuple(problems),
        tuple(areas) if any(areas) else (),
    )


def missing_letters(lines: Sequence[GraphLine], letters: Sequence[GraphLetter]) -> list[str]:
    """Letters of the formulas that no letter gives a value yet."""
    found: dict[str, None] = {}
    for line in lines:
        try:
            found.update(dict.fromkeys(sorted(letters_of(read_curve(line.formula)))))
        except MalformedError:
            continue
    return [name for name in found if name not in {letter.name for letter in letters}]


def _curve(
    line: GraphLine, window: Ranges, given: dict[str, float], placed: Callable[[Points], Points]
) -> tuple[str, str, str, Sentence | None]:
    """The paths of a line and of its area, what is written about it, and why there is none."""
    if not line.shown:
        return "", "", "", None
    try:
        drawn = read_curve(line.formula)
        lines = [placed(part) for part in curve(drawn, window, given)]
        area = path_of([placed(part) for part in hatched(drawn, window, given)])
        note = ""
        if drawn.kind == "area" and drawn.strict:
            lines = [dash for part in lines for dash in dashed(part, *DASH)]
        if drawn.points:
            lines = [_dot(point) for point in placed(_seen(np.array(drawn.points), window))]
            fitted = _fitted(drawn.points, line.fit, window)
            if fitted:
                note = fitted[1]
                lines += [placed(part) for part in fitted[0]]
    except MalformedError as error:
        return "", "", "", error.sentence
    except (ArithmeticError, ValueError, RecursionError):
        return "", "", "", Sentence("a-formula-has-no-graph")
    return path_of(lines), area, note, None


def _seen(points: Points, window: Ranges) -> Points:
    low, high = np.array([window.x0, window.y0]), np.array([window.x1, window.y1])
    return np.asarray(points[((points >= low) & (points <= high)).all(axis=1)])


def _dot(point: Points) -> Points:
    turns = np.linspace(0, 2 * np.pi, 13)
    return np.asarray(point + DOT * np.column_stack([np.cos(turns), np.sin(turns)]))


def _fitted(
    points: Sequence[tuple[float, float]], degree: int, window: Ranges
) -> tuple[list[Points], str] | None:
    """The polynomial of least squares through points inside of the window, and its equation."""
    xs, ys = (np.array([point[side] for point in points]) for side in (0, 1))
    if not 1 <= degree <= MAX_FIT or len(set(xs.tolist())) <= degree:
        return None
    found = np.polynomial.Polynomial.fit(xs, ys, degree).convert().coef
    powers: list[float] = np.pad(found, (0, degree + 1 - len(found))).tolist()
    terms = tuple(Mul((Num(repr(power)), Pow(Name("x"), Num(str(n))))) for n, power in enumerate(powers))
    return curve(Curve("y", Add(terms)), window, {}), polynomial(powers)


def polynomial(powers: Sequence[float]) -> str:
    """y = a x² + b x + c, in three digits, from the lowest power up."""
    made = ""
    # What is nothing beside the others comes of reckoning with so many digits.
    least = 1e-9 * max(map(abs, powers))
    for n in range(len(powers) - 1, -1, -1):
        value = float(f"{powers[n]:.3g}") if abs(powers[n]) > least else 0.0
        if value == 0 and (made or n):
            continue
        sign = ("−" if value < 0 else "+") if made else ("−" if value < 0 else "")
        digits = f"{abs(value):.3g}"
        letter = ("", "x", "x²", "x³")[n]
        digits = "" if n and digits == "1" else digits
        made += f" {sign} {digits}{letter}" if made else f"{sign}{digits}{letter}"
    return f"y = {made}"


def _inside(value: float, low: float, high: float) -> float:
    return min(max(value, low), high)


def ticks(
    low: float, high: float, length: float, apart: float, counted: Counted
) -> tuple[list[float], float]:
    """Round numbers in a range, at least ``apart`` from each other, and their step."""
    least = (high - low) * apart / max(length, 1.0)
    if counted == "pi":
        step = next((s for s in _PI_STEPS if s >= least), math.pi * _round_step(least / math.pi))
    elif counted == "degrees":
        step = math.radians(
            next((s for s in _DEGREES if s >= math.degrees(least)), _round_step(math.degrees(least)))
        )
    else:
        step = _round_step(least)
    first, last = math.ceil(low / step - 1e-9), math.floor(high / step + 1e-9)
    return [n * step for n in range(first, last + 1)][:200], step


def _round_step(least: float) -> float:
    power = 10.0 ** math.floor(math.log10(max(least, 1e-12)))
    return next((s * power for s in _STEPS if s * power >= least), 10 * power)


_PI_STEPS = [math.pi * float(part) for part in (Exact(1, 12), Exact(1, 6), Exact(1, 4), Exact(1, 2), 1, 2, 4)]
_DEGREES = (1, 2, 5, 10, 15, 30, 45, 90, 180, 360)


def _axes(width: float, height: float, x: float, y: float) -> list[Points]:
    head = ARROW / 2
    return [
        np.array([(0, y), (width, y)]),
        np.array([(width - ARROW, y - head), (width, y), (width - ARROW, y + head)]),
        np.array([(x, height), (x, 0)]),
        np.array([(x - head, ARROW), (x, 0), (x + head, ARROW)]),
    ]


def _labels(
    xs: list[float], x_step: float, ys: list[float], y_step: float, counted: Counted, placed: Callable[[Points], Points], origin: tuple[float, float],
    size: tuple[float, float],
) -> list[AxisNumber]:  # fmt: skip
    """Numbers below the level axis and beside the upright one, none over the other axis or the arrows."""
    made = []
    down = min(origin[1] + BESIDE + LABEL_SIZE, size[1] - BESIDE)
    for x in xs:
        at = float(placed(np.array([[x, 0.0]]))[0, 0])
        if abs(x) > x_step / 2 and LABEL_SIZE < at < size[0] - 2 * ARROW:
            text = number_text(x, x_step, counted)
            made.append(AxisNumber(text, round(at - _width(text) / 2, 1), round(down, 1)))
    for y in ys:
        at = float(placed(np.array([[0.0, y]]))[0, 1])
        if abs(y) > y_step / 2 and 2 * ARROW < at < size[1] - LABEL_SIZE / 2:
            text = number_text(y, y_step, "numbers")
            left = origin[0] - BESIDE - _width(text)
            left = left if left > 0 else origin[0] + BESIDE
            made.append(AxisNumber(text, round(left, 1), round(at + LABEL_SIZE * 0.35, 1)))
    return made


def _width(text: str) -> float:
    """About: digits are as wide as each other, stops and strokes narrower."""
    return LABEL_SIZE * sum(0.3 if character in "./°" else 0.6 for character in text)


def number_text(value: float, step: float, counted: Counted) -> str:
    if counted == "degrees":
        return f"{math.degrees(value):.6g}°".replace("-", "−")
    if counted == "pi":
        part = Exact(value / math.pi).limit_denominator(24)
        above = {1: "π", -1: "−π"}.get(part.numerator, f"{part.numerator}π".replace("-", "−"))
        return above if part.denominator == 1 else f"{above}/{part.denominator}"
    digits = max(0, -math.floor(math.log10(step) + 1e-9))
    return (
        f"{value:.{min(digits, 8)}f}".replace("-", "−")
        if 1e-6 < step < 1e7
        else f"{value:.4g}".replace("-", "−")
    )
