"""What a figure measures: its sides, angles, area and the way around it, as marks and words beside it."""

from __future__ import annotations

import math
from collections.abc import Sequence
from typing import Literal, NamedTuple

import numpy as np
from numpy.typing import NDArray

from sunroom.core.drawn import Drawn, DrawnText, Patch, path_of, text_width
from sunroom.core.geometry import flatten_cubics

Points = NDArray[np.float64]
#: What of a figure is shown.
Measured = Literal["sides", "angles", "area", "around"]

#: Figures of more corners are too full of words.
MAX_CORNERS = 12
#: The size of the words and how far they are from what they are about; arcs at angles, marks of right ones and of equal sides.
SIZE, AWAY = 15.0, 7.0
ARC, CORNER, TICK = 26.0, 12.0, 6.0
#: Sides as long as each other but for this part are equal, and an angle that is right but for so many degrees.
EQUAL, RIGHT_DEG = 0.004, 0.5
FINE = 64


class Unit(NamedTuple):
    """What lengths are told in: its name, and how many board units one is."""

    name: str
    length: float


def length_text(length: float, unit: Unit) -> str:
    """A length as it is read: three digits, and at least those before the point; twin of lengthText in the browser."""
    return f"{_digits(length / unit.length)} {unit.name}"


def measure(
    points: Points, closed: bool, curved: bool, what: Sequence[Measured], unit: Unit, colour: str, is_circle: bool = False
) -> Drawn:  # fmt: skip
    """What is wished of a figure with these points on the page; places are relative to what the points are."""
    made = _Marks(colour)
    line = flatten_cubics(points, FINE) if curved else points
    middle = (line.min(axis=0) + line.max(axis=0)) / 2
    facts = []
    if curved:
        radius = float(np.ptp(line[:, 0])) / 2
        if is_circle and "sides" in what:
            end = middle + (radius * math.cos(0.6), -radius * math.sin(0.6))
            made.line([np.array([middle, end])])
            made.write(f"r = {length_text(radius, unit)}", (middle + end) / 2, np.array([0.0, 1.0]))
        elif not closed and "sides" in what:
            made.write(length_text(_around(line, False), unit), line[len(line) // 2], np.array([0.0, -1.0]))
    elif len(points) <= MAX_CORNERS:
        outward = -1.0 if not closed or _area(points) > 0 else 1.0
        if "sides" in what:
            _sides(made, points, closed, outward, unit)
        if "angles" in what and len(points) > 2:
            _angles(made, points, closed)
    if "area" in what and closed:
        facts.append(f"A = {_digits(abs(_area(line)) / unit.length**2)} {unit.name}²")
    if "around" in what and closed:
        name = "C" if is_circle else "P"
        facts.append(f"{name} = {length_text(_around(line, True), unit)}")
    for number, fact in enumerate(facts):
        # Inside where there is room, else below.
        room = np.ptp(line[:, 0]) > text_width(fact, SIZE) * 1.6 and np.ptp(line[:, 1]) > 80
        centre = line.mean(axis=0) if not curved else middle
        at = centre if room else np.array([middle[0], line[:, 1].max() + AWAY + SIZE])
        shift = 1.3 * SIZE * (number - (len(facts) - 1) / 2 if room else number)
        if room and is_circle and "sides" in what:
            shift += 0.35 * float(np.ptp(line[:, 1]))
        made.write(fact, at + (0.0, shift), np.zeros(2))
    return made.drawn()


def angles_of(points: Points, closed: bool) -> list[float]:
    """The angle at each corner in degrees, inside a closed figure; 0 at the ends of an open one."""
    count = len(points)
    turn = 1.0 if not closed or _area(points) > 0 else -1.0
    found = []
    for at in range(count):
        if not closed and at in (0, count - 1):
            found.append(0.0)
            continue
        before, after = points[at - 1] - points[at], points[(at + 1) % count] - points[at]
        angle = math.degrees(math.atan2(_cross(after, before), float(after @ before))) * turn
        found.append(angle % 360 if closed else abs(angle))
    return found


def whole_degrees(angles: Sequence[float], closed: bool) -> list[int]:
    """Angles in whole degrees; those of a closed figure add up to what they must."""
    down = [math.floor(angle) for angle in angles]
    if not closed:
        return [round(angle) for angle in angles]
    left = round(sum(angles)) - sum(down)
    by_rest = sorted(range(len(angles)), key=lambda at: angles[at] - down[at], reverse=True)
    for at in by_rest[: max(0, left)]:
        down[at] += 1
    return down


def _sides(made: _Marks, points: Points, closed: bool, outward: float, unit: Unit) -> None:
    ends = np.roll(points, -1, axis=0) if closed else points[1:]
    starts = points if closed else points[:-1]
    lengths = np.hypot(*(ends - starts).T)
    groups = _equal(lengths)
    for start, end, length, group in zip(starts, ends, lengths, groups, strict=True):
        if length < 1:
            continue
        way = (end - start) / length
        normal = np.array([way[1], -way[0]]) * -outward
        if not closed and len(points) == 2 and normal[1] > 0:
            # Above a single line, or to its right.
            normal = -normal
        middle = (start + end) / 2
        for tick in range(group):
            at = middle + way * 5 * (tick - (group - 1) / 2)
            made.line([np.array([at - normal * TICK, at + normal * TICK])])
        made.write(length_text(float(length), unit), middle + normal * (TICK if group else 0), normal)


def _angles(made: _Marks, points: Points, closed: bool) -> None:
    angles = angles_of(points, closed)
    texts = whole_degrees(angles, closed)
    count = len(points)
    turn = 1.0 if not closed or _area(points) > 0 else -1.0
    for at, (angle, text) in enumerate(zip(angles, texts, strict=True)):
        if angle == 0.0:
            continue
        before, after = points[at - 1] - points[at], points[(at + 1) % count] - points[at]
        shorter = min(math.hypot(*before), math.hypot(*after))
        if shorter < 8:
            continue
        one, other = before / math.hypot(*before), after / math.hypot(*after)
        if abs(angle - 90) <= RIGHT_DEG:
            side = min(CORNER, 0.3 * shorter)
            made.line([points[at] + side * np.array([one, one + other, other])])
            continue
        radius = min(ARC, 0.35 * shorter)
        start = math.atan2(after[1], after[0])
        sweep = math.radians(angle) * turn
        if not closed:
            sweep = math.atan2(_cross(after, before), float(after @ before))
        ways = start + np.linspace(0, sweep, max(3, math.ceil(abs(angle) / 8)))
        arc = points[at] + radius * np.column_stack([np.cos(ways), np.sin(ways)])
        made.line([arc])
        half = start + sweep / 2
        # A sharp corner has its words further inside, where there is room.
        away = max(radius + 14, 11 / max(math.sin(math.radians(min(angle, 180)) / 2), 0.2) + 6)
        made.write(f"{text}°", points[at] + away * np.array([math.cos(half), math.sin(half)]), np.zeros(2))


def _equal(lengths: NDArray[np.float64]) -> list[int]:
    """For each side the number of marks that it shares with the sides as long as it, 0 when there are none."""
    groups = [0] * len(lengths)
    number = 0
    for at, length in enumerate(lengths):
        if groups[at]:
            continue
        same = [
            n for n, other in enumerate(lengths) if abs(other - length) <= EQUAL * length and not groups[n]
        ]
        if len(same) > 1:
            number += 1
            for n in same:
                groups[n] = number
    return groups


class _Marks:
    def __init__(self, colour: str) -> None:
        self.colour = colour
        self.patches: list[Patch] = []
        self.labels: list[DrawnText] = []

    def line(self, lines: Sequence[Points]) -> None:
        self.patches.append(Patch(path_of(lines), "", self.colour, 1.6))

    def write(self, text: str, at: Points, normal: Points) -> None:
        """Words beside a place, on the side that ``normal`` points to; about it when that is nothing."""
        wide = text_width(text, SIZE)
        away = np.abs(normal) @ (wide / 2, 0.5 * SIZE) + AWAY * bool(normal.any())
        x, y = at + normal * away
        self.labels.append(
            DrawnText(
                text, round(float(x) - wide / 2, 1), round(float(y) + 0.36 * SIZE, 1), SIZE, self.colour
            )
        )

    def drawn(self) -> Drawn:
        return Drawn(tuple(patch for patch in self.patches if patch.path), tuple(self.labels))


def _digits(value: float) -> str:
    digits = max(0, min(6, 2 - math.floor(math.log10(max(abs(value), 1e-9)))))
    text = f"{value:.{digits}f}"
    return text.rstrip("0").rstrip(".") if "." in text else text


def _area(points: Points) -> float:
    """By the sign: above 0 when the corners go clockwise as one looks at the page."""
    x, y = points.T
    return float(x @ np.roll(y, -1) - np.roll(x, -1) @ y) / 2


def _around(points: Points, closed: bool) -> float:
    line = np.vstack([points, points[:1]]) if closed else points
    return float(np.hypot(*np.diff(line, axis=0).T).sum())


def _cross(one: Points, other: Points) -> float:
    return float(one[0] * other[1] - one[1] * other[0])
