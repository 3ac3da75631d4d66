"""Exact closed figures: round ones and polygons; and the arc, which is a part of one."""

from __future__ import annotations

import math

import cv2
import numpy as np

from sunroom.core.geometry import ellipse_bezier
from sunroom.core.geometry.curves import Points
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.ink import LEVEL_RAD, Fitted, Form, Ink
from sunroom.core.shapes.path import nearest_line

#: A corner or a side within these of a triangle's special forms is meant to be so.
RIGHT_RAD = math.radians(9)
EQUAL_SIDES = 0.11
#: A regular polygon's corners stray less than this part of its radius.
REGULAR = 0.3


def fit_circle(ink: Ink) -> Fitted | None:
    found = _ellipse_of(ink)
    if found is None:
        return None
    cx, cy, rx, ry, _ = found
    return Fitted("circle", ellipse_bezier(cx, cy, (rx + ry) / 2, (rx + ry) / 2, 0), True, True)


def fit_ellipse(ink: Ink) -> Fitted | None:
    found = _ellipse_of(ink)
    if found is None:
        return None
    cx, cy, rx, ry, turn = found
    for level in (0.0, math.pi / 2, -math.pi / 2):
        if abs(turn - level) < 1.5 * LEVEL_RAD:
            turn = level
    return Fitted("ellipse", ellipse_bezier(cx, cy, rx, ry, turn), True, True)


def _ellipse_of(ink: Ink) -> tuple[float, float, float, float, float] | None:
    """Centre, radii (the longer first) and turn within ±90°."""
    (cx, cy), (d1, d2), degrees = cv2.fitEllipseDirect(ink.even.astype(np.float32))
    rx, ry, angle = d1 / 2, d2 / 2, math.radians(degrees)
    if not (math.isfinite(rx + ry) and 0.02 * ink.size < min(rx, ry) and max(rx, ry) < 1.2 * ink.size):
        return None
    if rx < ry:
        rx, ry, angle = ry, rx, angle + math.pi / 2
    return cx, cy, rx, ry, (angle + math.pi / 2) % math.pi - math.pi / 2


def fit_arc(ink: Ink) -> Fitted | None:
    """A part of a circle: least squares (Kåsa 1976), from where the ink begins to where it ends."""
    points = ink.path.points
    matrix = np.column_stack([2 * points, np.ones(len(points))])
    (cx, cy, c), *_ = np.linalg.lstsq(matrix, (points**2).sum(axis=1), rcond=None)
    radius = math.sqrt(max(c + cx * cx + cy * cy, 0.0))
    if not 0.05 * ink.size < radius < 8 * ink.size:
        return None
    angles = np.unwrap(np.arctan2(points[:, 1] - cy, points[:, 0] - cx))
    start, span = float(angles[0]), float(np.clip(angles[-1] - angles[0], -2 * math.pi, 2 * math.pi))
    count = max(1, math.ceil(abs(span) / (math.pi / 2) - 1e-9))
    step = span / count
    k = 4 / 3 * math.tan(step / 4)
    made = [(math.cos(start), math.sin(start))]
    for number in range(count):
        a, b = start + number * step, start + (number + 1) * step
        made += [
            (math.cos(a) - k * math.sin(a), math.sin(a) + k * math.cos(a)),
            (math.cos(b) + k * math.sin(b), math.sin(b) - k * math.cos(b)),
            (math.cos(b), math.sin(b)),
        ]
    return Fitted("arc", np.array(made) * radius + (cx, cy), curved=True)


def fit_triangle(ink: Ink) -> Fitted | None:
    corners = ink.corners(3)
    if corners is None:
        return None
    corners, form = _special(_level_sides(corners))
    return Fitted("triangle", corners, True, form=form)


def _level_sides(corners: Points) -> Points:
    """A figure whose sides that are almost level or upright are made so."""
    corners = corners.copy()
    for number in range(len(corners)):
        other = (number + 1) % len(corners)
        dx, dy = np.abs(corners[other] - corners[number])
        if dy < math.tan(LEVEL_RAD) * dx:
            corners[[number, other], 1] = corners[[number, other], 1].mean()
        elif dx < math.tan(LEVEL_RAD) * dy:
            corners[[number, other], 0] = corners[[number, other], 0].mean()
    return corners


def _special(corners: Points) -> tuple[Points, Form]:
    """A triangle that is almost right, equilateral or isosceles made so."""
    for number in range(3):
        corner, one, two = (corners[(number + step) % 3] for step in range(3))
        a, b = one - corner, two - corner
        angle = math.acos(np.clip(np.dot(a, b) / (np.hypot(*a) * np.hypot(*b) + 1e-12), -1, 1))
        if abs(angle - math.pi / 2) < RIGHT_RAD:
            made = corners.copy()
            # The longer leg keeps its way; the other is turned upright to it.
            long, short, at = (
                (a, b, (number + 2) % 3) if np.hypot(*a) > np.hypot(*b) else (b, a, (number + 1) % 3)
            )
            upright = np.array([-long[1], long[0]]) / np.hypot(*long)
            made[at] = corner + upright * float(np.dot(short, upright))
            return made, "right"
    sides = np.hypot(*(corners - np.roll(corners, 1, axis=0)).T)
    if sides.min() > (1 - EQUAL_SIDES) * sides.max():
        return _regular(corners, level_side=True), "equilateral"
    for number in range(3):
        tip, one, two = (corners[(number + step) % 3] for step in range(3))
        a, b = np.hypot(*(one - tip)), np.hypot(*(two - tip))
        if min(a, b) > (1 - EQUAL_SIDES) * max(a, b):
            middle, base = (one + two) / 2, two - one
            upright = np.array([-base[1], base[0]]) / (np.hypot(*base) or 1.0)
            made = corners.copy()
            made[number] = middle + upright * float(np.dot(tip - middle, upright))
            return made, "isosceles"
    return corners, ""


def _regular(corners: Points, level_side: bool = False) -> Points:
    """The regular polygon nearest to ``corners``, turned level when it almost is."""
    count = len(corners)
    middle = corners.mean(axis=0)
    offsets = corners - middle
    angles = np.arctan2(offsets[:, 1], offsets[:, 0])
    forward = np.mod(np.diff(angles), 2 * math.pi).mean() < math.pi
    steps = np.arange(count) * (2 * math.pi / count) * (1 if forward else -1)
    phase = float(np.angle(np.exp(1j * (angles - steps)).sum()))
    slot = math.pi / count
    # A corner up or a side level: multiples of half a step from straight up.
    nearest = round((phase + math.pi / 2) / slot) * slot - math.pi / 2
    if abs(nearest - phase) < (2 if level_side else 1.4) * LEVEL_RAD:
        phase = nearest
    radius = float(np.hypot(*offsets.T).mean())
    return np.asarray(middle + radius * np.column_stack([np.cos(phase + steps), np.sin(phase + steps)]))


def _regular_or_drawn(ink: Ink, count: int, figure: FigureKind) -> Fitted | None:
    corners = ink.corners(count)
    if corners is None:
        return None
    regular = _regular(corners)
    radius = float(np.hypot(*(regular - regular.mean(axis=0)).T).mean())
    stray = float(np.hypot(*(regular - corners).T).max())
    return Fitted(figure, regular if stray < REGULAR * radius else _level_sides(corners), True)


def fit_pentagon(ink: Ink) -> Fitted | None:
    return _regular_or_drawn(ink, 5, "pentagon")


def fit_hexagon(ink: Ink) -> Fitted | None:
    return _regular_or_drawn(ink, 6, "hexagon")


def fit_rectangle(ink: Ink) -> Fitted | None:
    found = _upright_box(ink)
    if found is None:
        return None
    low, high, turn = found
    exact = np.array([low, (high[0], low[1]), high, (low[0], high[1])])
    return Fitted("rectangle", exact @ turn.T, True)


def fit_square(ink: Ink) -> Fitted | None:
    found = _upright_box(ink)
    if found is None:
        return None
    low, high, turn = found
    middle, half = (low + high) / 2, float((high - low).mean()) / 2
    corners = np.array([middle + half * np.array(way) for way in ((-1, -1), (1, -1), (1, 1), (-1, 1))])
    return Fitted("square", corners @ turn.T, True)


def _upright_box(ink: Ink) -> tuple[Points, Points, Points] | None:
    """The rectangle nearest to the ink: two corners in its own frame, and the frame's turn."""
    corners = ink.corners(4)
    if corners is None:
        return None
    sides = np.roll(corners, -1, axis=0) - corners
    lengths, ways = np.hypot(sides[:, 0], sides[:, 1]), np.arctan2(sides[:, 1], sides[:, 0])
    # All four sides say which way it is turned, long ones louder; angles count modulo 90°.
    angle = float(np.angle((lengths * np.exp(4j * ways)).sum())) / 4
    if abs(angle) < LEVEL_RAD:
        angle = 0.0
    turn = np.array([[math.cos(angle), -math.sin(angle)], [math.sin(angle), math.cos(angle)]])
    flat = corners @ turn
    low, high = np.sort(flat, axis=0)[:2].mean(axis=0), np.sort(flat, axis=0)[2:].mean(axis=0)
    return low, high, turn


def fit_rhombus(ink: Ink) -> Fitted | None:
    corners = ink.corners(4)
    if corners is None:
        return None
    middle = corners.mean(axis=0)
    one, two = (corners[0] - corners[2]) / 2, (corners[1] - corners[3]) / 2
    # The diagonals of a rhombus are at right angles: both turn by half of what is missing.
    angle = (
        float(np.angle(complex(*one) ** 2 / abs(complex(*one)) - complex(*two) ** 2 / abs(complex(*two)))) / 2
    )
    snapped = round(angle / (math.pi / 2)) * math.pi / 2
    if abs(angle - snapped) < 1.5 * LEVEL_RAD:
        angle = snapped
    way = np.array([math.cos(angle), math.sin(angle)])
    one = way * math.copysign(float(np.hypot(*one)), float(np.dot(one, way)) or 1.0)
    across = np.array([-way[1], way[0]])
    two = across * math.copysign(float(np.hypot(*two)), float(np.dot(two, across)) or 1.0)
    return Fitted("rhombus", np.array([middle + one, middle + two, middle - one, middle - two]), True)


def fit_parallelogram(ink: Ink) -> Fitted | None:
    corners = ink.corners(4)
    if corners is None:
        return None
    middle = corners.mean(axis=0)
    one, two = (corners[0] - corners[2]) / 2, (corners[1] - corners[3]) / 2
    made = np.array([middle + one, middle + two, middle - one, middle - two])
    side = made[1] - made[0]
    other = made[2] - made[1]
    for number, edge in ((0, side), (1, other)):
        if abs(edge[1]) < math.tan(LEVEL_RAD) * abs(edge[0]):
            # Level this pair of sides: each about its own middle.
            for a in (number, number + 2):
                b = (a + 1) % 4
                made[[a % 4, b], 1] = made[[a % 4, b], 1].mean()
    return Fitted("parallelogram", made, True)


def fit_trapezium(ink: Ink) -> Fitted | None:
    corners = ink.corners(4)
    if corners is None:
        return None
    sides = np.roll(corners, -1, axis=0) - corners
    ways = sides / (np.hypot(*sides.T)[:, None] + 1e-12)
    # Opposite sides run against each other around the figure.
    slack = [abs(ways[n][0] * ways[n + 2][1] - ways[n][1] * ways[n + 2][0]) for n in (0, 1)]
    first = int(np.argmin(slack))
    way = nearest_line(np.array([[0, 0], ways[first] - ways[first + 2]]))[1]
    if abs(way[1]) < math.tan(1.5 * LEVEL_RAD) * abs(way[0]):
        way = np.array([math.copysign(1.0, way[0]), 0.0])
    made = corners.copy()
    for a in (first, first + 2):
        b = (a + 1) % 4
        middle, half = (corners[a] + corners[b]) / 2, float(np.dot(corners[b] - corners[a], way)) / 2
        made[a], made[b] = middle - way * half, middle + way * half
    return Fitted("trapezium", _even_legs(made, first, way), True)


def _even_legs(corners: Points, first: int, way: Points) -> Points:
    """Legs of almost the same slant made mirror images."""
    a, b, c, d = (corners[(first + step) % 4] for step in range(4))
    one, two = float(np.dot(a - d, way)), float(np.dot(b - c, way))
    width = max(float(np.hypot(*(b - a))), float(np.hypot(*(c - d))))
    if one * two >= 0 or abs(one + two) > 0.12 * width:
        return corners
    shift = way * (one + two) / 2
    made = corners.copy()
    made[first % 4], made[(first + 1) % 4] = a - shift, b - shift
    return made


def fit_star(ink: Ink) -> Fitted | None:
    """A star of five points about the ink's middle, turned as its tips lie."""
    hull = cv2.convexHull(ink.even.astype(np.float32)).reshape(-1, 2).astype(float)
    middle = (hull.min(axis=0) + hull.max(axis=0)) / 2
    for _ in range(4):  # the middle of the tips, not of the box
        offsets = ink.even - middle
        radius = np.hypot(*offsets.T)
        tips = radius > 0.82 * np.percentile(radius, 97)
        phase = float(np.angle(np.exp(5j * np.arctan2(offsets[tips, 1], offsets[tips, 0])).sum())) / 5
        far = middle + np.percentile(radius, 97) * np.column_stack(
            [np.cos(phase + np.arange(5) * 0.4 * math.pi), np.sin(phase + np.arange(5) * 0.4 * math.pi)]
        )
        near = [ink.even[np.hypot(*(ink.even - tip).T) < 0.45 * np.percentile(radius, 97)] for tip in far]
        drift = [
            part[np.argmax(np.hypot(*(part - middle).T))] - tip
            for part, tip in zip(near, far, strict=True)
            if len(part)
        ]
        middle = middle + np.mean(drift, axis=0) if drift else middle
    outer = float(np.percentile(np.hypot(*(ink.even - middle).T), 97))
    upright = round((phase + math.pi / 2) / (math.pi / 5)) * math.pi / 5 - math.pi / 2
    phase = upright if abs(upright - phase) < 1.5 * LEVEL_RAD else phase
    at = phase + np.arange(10) * math.pi / 5
    radii = np.where(np.arange(10) % 2 == 0, outer, 0.382 * outer)
    return Fitted("star", middle + np.column_stack([radii * np.cos(at), radii * np.sin(at)]), True)
