"""Rough figures as hands draw them: each kind in many ways, with its noise, gaps and overshoots.

Everything comes from a seeded numpy generator, so the same seed draws the same figures.
"""

from __future__ import annotations

import math
from collections.abc import Callable

import numpy as np
from numpy.typing import NDArray

Points = NDArray[np.float64]
Strokes = list[Points]
Random = np.random.Generator

#: Figures are drawn about this large (board units) before they are scaled.
SIZE = 200.0


def rough_figure(kind: str, random: Random, noise: float) -> Strokes:
    """A figure of ``kind`` in one stroke or several, strayed by ``noise`` times its size (RMS)."""
    strokes = _BUILDERS[kind](random)
    turn = _turn(kind, random)
    c, s = math.cos(turn), math.sin(turn)
    strokes = [stroke @ np.array([[c, s], [-s, c]]) for stroke in strokes]
    if kind not in ("tick", "axes", "number_line") and random.random() < 0.5:
        strokes = [stroke * (-1, 1) for stroke in strokes]
    return strayed(strokes, random, noise)


def strayed(strokes: Strokes, random: Random, noise: float) -> Strokes:
    """Strokes with a hand's wander, rounded corners and uneven speed."""
    everything = np.vstack(strokes)
    size = float(np.hypot(*np.ptp(everything, axis=0)))
    rounding = random.uniform(0, 0.025) * size
    wander, wave = _wander if random.random() < 0.5 else _shake, 0.5 * 0.1 ** random.random()
    made = []
    for stroke in strokes:
        points = _paced(stroke, random, rounding)
        reach = max(float(np.hypot(*np.diff(points, axis=0).T).sum()), 1e-6)
        # Short strokes (a head's wings) stray less than long ones: the hand has less way to go astray.
        # And in long waves: who strays far in those draws another figure.
        strength = noise * size * min(1.0, 0.35 + reach / size) * min(1.0, 0.2 / wave)
        points = points + strength * wander(len(points), random, wave, reach / size)
        points = points + random.normal(0, 0.15 * noise * size, 2)
        made.append(points)
    return made


def _paced(points: Points, random: Random, rounding: float) -> Points:
    """Samples along a polyline, closer where the hand is slow, its corners rounded."""
    steps = np.hypot(*np.diff(points, axis=0).T)
    along = np.concatenate([[0.0], np.cumsum(steps)])
    count = int(np.clip(along[-1] / random.uniform(2.5, 8), 8, 220))
    at = np.linspace(0, 1, count)
    at = at + random.uniform(-0.06, 0.06) * np.sin(2 * math.pi * at)
    rows = np.column_stack([np.interp(at * along[-1], along, points[:, axis]) for axis in (0, 1)])
    window = int(rounding / max(along[-1] / count, 1e-6))
    if window >= 2 and count > 3 * window:
        kernel = np.hanning(window + 2)[1:-1]
        kernel /= kernel.sum()
        padded = np.pad(rows, ((window // 2, window - 1 - window // 2), (0, 0)), mode="edge")
        rows = np.column_stack([np.convolve(padded[:, axis], kernel, "valid") for axis in (0, 1)])
    return rows


def _wander(count: int, random: Random, wave: float, reach: float) -> Points:
    """A smooth stray of about unit RMS; ``wave`` is its length as a part of the figure's size."""
    knots = max(3, int(reach / wave) + 2)
    noise = random.normal(0, 1, (knots, 2))
    at = np.linspace(0, knots - 1, count)
    low = np.floor(at).astype(int).clip(0, knots - 2)
    part = (1 - np.cos(math.pi * (at - low))) / 2
    return noise[low] * (1 - part[:, None]) + noise[low + 1] * part[:, None]


def _shake(count: int, random: Random, wave: float, reach: float) -> Points:
    """The same, without knots at even distances: white noise, smoothed."""
    width = max(0.4 * wave / reach * count, 0.5)
    side = int(3 * width) + 1
    kernel = np.exp(-0.5 * (np.arange(-side, side + 1) / width) ** 2)
    kernel *= 0.87 / math.sqrt(float((kernel**2).sum()))
    white = random.normal(0, 1, (2, count + 2 * side))
    return np.column_stack([np.convolve(axis, kernel, "valid") for axis in white])


def drawn_otherwise(strokes: Strokes, random: Random) -> Strokes:
    """Now and then the strokes come in another order, or one is drawn from its other end."""
    if random.random() < 0.3:
        strokes = [strokes[number] for number in random.permutation(len(strokes))]
    return [stroke[::-1] if random.random() < 0.12 else stroke for stroke in strokes]


def _turn(kind: str, random: Random) -> float:
    """By how much a figure is turned: mostly hardly, some kinds any way."""
    slight = random.normal(0, math.radians(4))
    if kind in ("tick", "axes", "number_line"):
        return slight
    if kind == "brace":
        return random.integers(4) * math.pi / 2 + slight
    if kind in ("elbow", "cross"):
        return slight if random.random() < 0.85 else random.normal(0, math.radians(12))
    anyhow = {"line": 1.0, "polyline": 1.0, "arrow": 0.7, "double_arrow": 0.7, "arc": 1.0, "ellipse": 0.4,
              "triangle": 0.5, "star": 0.5, "pentagon": 0.5, "hexagon": 0.5}.get(kind, 0.25)  # fmt: skip
    return random.uniform(0, 2 * math.pi) if random.random() < anyhow else slight


# Outlines in strokes


def _closed(corners: Points, random: Random) -> Strokes:
    """A polygon in one stroke from any corner, side by side, or in two parts; ends miss or pass each other."""
    corners = np.roll(corners, random.integers(len(corners)), axis=0)
    if random.random() < 0.5:
        corners = corners[::-1]
    ring = np.vstack([corners, corners[:1]])
    way = random.random()
    if way < 0.6:
        if random.random() < 0.25:  # begun in the middle of a side
            middle = ring[0] + random.uniform(0.2, 0.8) * (ring[1] - ring[0])
            ring = np.vstack([middle, ring[1:], middle])
        return [_ended(ring, random)]
    if way < 0.85:
        sides = [ring[i : i + 2] for i in range(len(corners))]
        sides = [side if random.random() < 0.7 else side[::-1] for side in sides]
        if random.random() < 0.4:
            random.shuffle(sides)  # type: ignore[arg-type]
        return [_ended(side, random) for side in sides]
    cut = int(random.integers(1, len(corners)))
    return [_ended(ring[: cut + 1], random), _ended(ring[cut:], random)]


def _ended(line: Points, random: Random) -> Points:
    """A line whose ends fall short or go too far, as hands do."""
    line = line.copy()
    size = float(np.hypot(*np.ptp(line, axis=0))) or 1.0
    for end, before in ((0, 1), (-1, -2)):
        way = line[end] - line[before]
        length = float(np.hypot(*way)) or 1.0
        line[end] = line[end] + way / length * random.normal(0, 0.025) * size
    return line


def _round(rx: float, ry: float, random: Random) -> Strokes:
    start = random.uniform(0, 2 * math.pi)
    span = 2 * math.pi * random.uniform(0.93, 1.1) * (1 if random.random() < 0.5 else -1)
    parts = 2 if random.random() < 0.06 else 1
    at = np.linspace(start, start + span, 80)
    drift = 1 + random.normal(0, 0.02) * np.linspace(-1, 1, 80)
    ring = np.column_stack([rx * np.cos(at) * drift, ry * np.sin(at) * drift])
    return [ring] if parts == 1 else [ring[:41], ring[40:]]


def _regular(count: int, random: Random, squash: float = 0.0) -> Points:
    at = -math.pi / 2 + np.arange(count) * 2 * math.pi / count
    ring = SIZE / 2 * np.column_stack([np.cos(at), np.sin(at)])
    ring *= (1, 1 + random.uniform(-squash, squash))
    return ring + random.normal(0, 0.02 * SIZE, ring.shape)


# Kinds


def _line(random: Random) -> Strokes:
    return [np.array([[0, 0], [random.uniform(0.4, 1.5) * SIZE, 0]])]


def _polyline(random: Random) -> Strokes:
    while True:
        count = int(random.integers(3, 8))
        if random.random() < 0.5:  # any corners, or blunt ones, or all about the same
            low, high = 35.0, 145.0
        else:
            low = random.uniform(25, 70)
            high = low + random.uniform(10, 50)
        turns = random.uniform(low, high, count - 2) * random.choice([-1, 1], count - 2)
        way = random.random()
        if way < 0.35:  # a zigzag, or round and round
            turns = np.abs(turns) * ((-1) ** np.arange(count - 2) if way < 0.25 else 1)
        headings = np.radians(np.cumsum([0.0, *turns]))
        steps = np.column_stack([np.cos(headings), np.sin(headings)]) * random.uniform(0.4, 1, (count - 1, 1))
        path = np.vstack([np.zeros(2), np.cumsum(steps, axis=0)]) * SIZE
        size = float(np.hypot(*np.ptp(path, axis=0)))
        right = np.abs(np.abs(turns) - 90).max() < 14
        near = np.hypot(*(path[:, None] - path[None]).reshape(-1, 2).T).reshape(count, count)
        # Not an elbow, not closed; mostly not back on itself.
        apart = (near + 9 * SIZE * np.eye(count)).min() if random.random() < 0.7 else near[0, -1]
        if not right and apart > 0.22 * size:
            break
    if count == 3:  # with one corner only the plainly blunt or even are no ticks
        a, b = np.hypot(*(path[1] - path[0])), np.hypot(*(path[2] - path[1]))
        if min(a, b) / max(a, b) < 0.72 and abs(turns[0]) > 60:
            path[2] = path[1] + (path[2] - path[1]) * a / b * random.uniform(0.85, 1.15)
    if random.random() < 0.2:
        cut = int(random.integers(1, count - 1))
        return [_ended(path[: cut + 1], random), _ended(path[cut:], random)]
    return [path]


def _elbow(random: Random) -> Strokes:
    a, b, c = random.uniform(0.35, 1, 3) * SIZE
    if random.random() < 0.5:
        return [np.array([[0, 0], [a, 0], [a, b]], dtype=float)]
    return [np.array([[0, 0], [a, 0], [a, b], [a + random.choice([-0.5, 1, 1, 1]) * c, b]], dtype=float)]


def _shaft(random: Random) -> Points:
    length = random.uniform(0.7, 1.5) * SIZE
    if random.random() < 0.18:
        at = np.linspace(0, 1, 30)
        bow = random.choice([-1, 1]) * random.uniform(0.08, 0.3) * length
        return np.column_stack([at * length, bow * 4 * at * (1 - at)])
    return np.array([[0, 0], [length, 0]])


def _wings(tip: Points, way: Points, length: float, random: Random) -> tuple[Points, Points]:
    size = length * random.uniform(0.14, 0.34)
    opening = math.radians(random.uniform(22, 50))
    back = math.atan2(-way[1], -way[0])
    uneven = random.normal(0, 0.08, 2)
    return tuple(  # type: ignore[return-value]
        tip
        + size
        * (1 + uneven[n])
        * np.array([math.cos(back + sign * opening), math.sin(back + sign * opening)])
        for n, sign in enumerate((-1, 1))
    )


def _arrow(random: Random, heads: int = 1) -> Strokes:
    shaft = _shaft(random)
    length = float(np.hypot(*(shaft[-1] - shaft[0])))
    one, two = _wings(shaft[-1], shaft[-1] - shaft[-2], length, random)
    if random.random() < 0.5:
        one, two = two, one
    tip = shaft[-1:]
    back = []
    if heads == 2:
        back = list(_wings(shaft[0], shaft[0] - shaft[1], length, random))
    way = random.random()
    if way < 0.4:  # all in one stroke, with the head's wings one after the other
        head = random.choice(["tip", "loop", "slide"])
        end = {"tip": [one, tip[0], two], "loop": [one, two, tip[0]], "slide": [one, two]}[head]
        start = {"tip": [back[0], shaft[0], back[1]], "loop": [shaft[0], back[0], back[1]],
                 "slide": [back[0], back[1]]}[head] if back else []  # fmt: skip
        path = np.vstack([*[np.array(start)] * bool(start), shaft, np.array(end)])
        return [path if random.random() < 0.9 else path[::-1]]
    strokes = [_ended(shaft, random)]
    for tip_at, wings in ((tip[0], [one, two]), *([(shaft[0], back)] if back else [])):
        slip = random.normal(0, 0.02 * length, 2)
        if way < 0.8:
            strokes.append(np.array([wings[0], tip_at, wings[1]]) + slip)
        elif way < 0.93:
            strokes += [np.array([tip_at, wing]) + slip for wing in wings]
        else:
            strokes.append(np.array([tip_at, *wings, tip_at]) + slip)
    return strokes


def _double_arrow(random: Random) -> Strokes:
    return _arrow(random, 2)


def _circle(random: Random) -> Strokes:
    radius = SIZE / 2
    return _round(radius, radius * (1 + random.normal(0, 0.035)), random)


def _ellipse(random: Random) -> Strokes:
    return _round(SIZE / 2, SIZE / 2 * random.uniform(0.3, 0.78), random)


def _arc(random: Random) -> Strokes:
    span = math.radians(random.uniform(60, 270))
    start = random.uniform(0, 2 * math.pi)
    at = np.linspace(start, start + span, 50)
    squash = random.uniform(0.8, 1.0)
    return [SIZE / 2 * np.column_stack([np.cos(at), squash * np.sin(at)])]


def _triangle(random: Random) -> Strokes:
    way = random.random()
    if way < 0.25:
        corners = np.array([[0, 0], [random.uniform(0.4, 1.2), 1], [0, 1]], dtype=float)
    elif way < 0.6:
        corners = np.array([[0.5, 0], [1, 1], [0, 1]]) * (random.uniform(0.6, 1.5), 1)
    else:
        while True:
            corners = random.uniform(0, 1, (3, 2))
            sides = np.hypot(*(corners - np.roll(corners, 1, axis=0)).T)
            area = abs(np.linalg.det(np.column_stack([corners[1] - corners[0], corners[2] - corners[0]])))
            if area > 0.2 and sides.min() > 0.4 * sides.max():
                break
    return _closed(corners * SIZE, random)


def _rectangle(random: Random) -> Strokes:
    ratio = random.uniform(0.25, 0.76)
    w, h = (1.0, ratio) if random.random() < 0.8 else (ratio, 1.0)
    return _closed(np.array([[0, 0], [w, 0], [w, h], [0, h]]) * SIZE, random)


def _square(random: Random) -> Strokes:
    corners = np.array([[0, 0], [1, 0], [1, 1], [0, 1]]) * (1, 1 + random.normal(0, 0.03))
    return _closed(corners * SIZE, random)


def _rhombus(random: Random) -> Strokes:
    if random.random() < 0.75:
        w, h = (1.0, random.uniform(0.45, 1.0)) if random.random() < 0.5 else (random.uniform(0.45, 1.0), 1.0)
        return _closed(np.array([[0, -h], [w, 0], [0, h], [-w, 0]]) * SIZE / 2, random)
    lean = math.radians(random.uniform(48, 70))
    dx, dy = math.cos(lean), math.sin(lean)
    return _closed(np.array([[0, 0], [1, 0], [1 + dx, dy], [dx, dy]]) * SIZE, random)


def _parallelogram(random: Random) -> Strokes:
    h, lean = random.uniform(0.35, 0.7), random.uniform(0.2, 0.6)
    return _closed(np.array([[lean * h * 1.4, 0], [lean * h * 1.4 + 1, 0], [1, h], [0, h]]) * SIZE, random)


def _trapezium(random: Random) -> Strokes:
    h, top = random.uniform(0.35, 0.8), random.uniform(0.35, 0.72)
    left = random.uniform(0.25, 0.75) * (1 - top) if random.random() < 0.8 else random.choice([0.0, 1 - top])
    corners = np.array([[left, 0], [left + top, 0], [1, h], [0, h]])
    return _closed((corners if random.random() < 0.75 else corners * (1, -1)) * SIZE, random)


def _pentagon(random: Random) -> Strokes:
    if random.random() < 0.1:  # a house
        h, roof = random.uniform(0.5, 0.9), random.uniform(0.25, 0.45)
        return _closed(np.array([[0, 0], [0.5, -roof], [1, 0], [1, h], [0, h]]) * SIZE, random)
    return _closed(_regular(5, random, 0.12), random)


def _hexagon(random: Random) -> Strokes:
    ring = _regular(6, random, 0.12)
    return _closed(ring if random.random() < 0.5 else ring[:, ::-1], random)


def _star(random: Random) -> Strokes:
    if random.random() < 0.55:
        corners = _regular(5, random, 0.1)[[0, 2, 4, 1, 3]]
        ring = np.vstack([corners, corners[:1]])
        return [_ended(ring if random.random() < 0.5 else ring[::-1], random)]
    count = int(random.choice([5, 5, 5, 5, 6, 4]))
    at = -math.pi / 2 + np.arange(2 * count) * math.pi / count
    radius = np.where(np.arange(2 * count) % 2 == 0, 1.0, random.uniform(0.32, 0.55)) * SIZE / 2
    return _closed(np.column_stack([radius * np.cos(at), radius * np.sin(at)]), random)


def _axes(random: Random) -> Strokes:
    w, h = random.uniform(0.6, 1.3, 2) * SIZE
    corner = random.random() < 0.6
    x0 = 0.0 if corner else random.uniform(0.35, 0.6) * w
    y0 = 0.0 if corner else random.uniform(0.35, 0.6) * h
    slip = random.uniform(0.0, 0.08, 2) * SIZE
    level = np.array([[-x0 - slip[0], 0], [w - x0, 0]])
    upright = np.array([[0, y0 + slip[1]], [0, y0 - h]])
    if corner and random.random() < 0.1:
        heads = _heads([level[1], upright[1]], [(1, 0), (0, -1)], random)
        return [np.vstack([upright[::-1] - (0, slip[1]), level[1:]]), *heads]
    strokes = [level, upright] if random.random() < 0.5 else [upright, level]
    if random.random() < 0.75:
        strokes += _heads([level[1], upright[1]], [(1, 0), (0, -1)], random)
    elif not corner and random.random() < 0.3:
        strokes += _heads(
            [level[1], upright[1], level[0], upright[0]], [(1, 0), (0, -1), (-1, 0), (0, 1)], random
        )
    else:
        strokes = [_ended(stroke, random) for stroke in strokes]
    return strokes


def _heads(tips: list[Points], ways: list[tuple[int, int]], random: Random) -> Strokes:
    strokes = []
    for tip, way in zip(tips, ways, strict=True):
        one, two = _wings(tip, np.array(way, dtype=float), SIZE * 0.55, random)
        strokes.append(np.array([one, tip, two]))
    return strokes


def _number_line(random: Random) -> Strokes:
    length = random.uniform(1.0, 2.0) * SIZE
    count = int(random.integers(4, 12))
    strokes = [np.array([[0, 0], [length, 0]])]
    gap = length / (count + 1)
    tall = random.uniform(0.03, 0.08) * length
    for number in range(count):
        x = gap * (number + 1) + random.normal(0, 0.05 * gap)
        strokes.append(np.array([[x, -tall], [x, tall]]))
    ends = random.random()
    if ends < 0.7:
        tips, ways = [strokes[0][1]], [(1, 0)]
        if ends < 0.4:
            tips, ways = [*tips, strokes[0][0]], [*ways, (-1, 0)]
        strokes += _heads(tips, ways, random)
    return strokes


def _tick(random: Random) -> Strokes:
    short, long = random.uniform(0.25, 0.6), 1.0
    down, up = math.radians(random.uniform(30, 75)), math.radians(random.uniform(40, 75))
    corner = np.array([0.0, 0.0])
    start = corner + short * np.array([-math.cos(down), -math.sin(down)])
    end = corner + long * np.array([math.cos(up), -math.sin(up)])
    return [np.array([start, corner, end]) * SIZE]


def _cross(random: Random) -> Strokes:
    w, h = 1.0, random.uniform(0.7, 1.35)
    one = np.array([[0, 0], [w, h]]) * SIZE
    two = np.array([[w, 0], [0, h]]) * SIZE + random.normal(0, 0.05 * SIZE, 2)
    strokes = [_ended(one, random), _ended(two, random)]
    if random.random() < 0.08:  # without lifting the pen
        return [np.vstack([one, two if random.random() < 0.5 else two[::-1]])]
    return strokes


def _brace(random: Random) -> Strokes:
    """Upright, opening to the right, its beak to the left."""
    h, depth = SIZE, SIZE * random.uniform(0.1, 0.3)
    bend = depth / 2
    at = np.linspace(0, math.pi / 2, 12)
    way = random.random()
    if way < 0.35:  # drawn loosely, as a line with three soft steps
        along, step = np.linspace(0, 1, 40), random.uniform(0.12, 0.45)
        soft = [(1 - np.cos(math.pi * np.clip(part / step, 0, 1))) / 2 for part in (along, 1 - along)]
        half = np.column_stack([bend * (soft[1] - soft[0]), along * h / 2])
        return [np.vstack([half, ((half * (1, -1)) + (0, h))[::-1]])]
    if way < 0.6:  # bends that are longer than they are deep
        long = bend * random.uniform(1.0, 2.2)
        top = np.column_stack([bend * (1 - np.sin(at)), long * (1 - np.cos(at))])
        beak = np.column_stack([-bend * (1 - np.cos(at)), h / 2 - long + long * np.sin(at)])
        half = np.vstack([top, beak])
        return [np.vstack([half, ((half * (1, -1)) + (0, h))[::-1]])]
    top = np.column_stack([bend * (1 - np.sin(at)), bend * (1 - np.cos(at))])
    beak = np.column_stack([-bend * (1 - np.cos(at)), h / 2 - bend + bend * np.sin(at)])
    half = np.vstack([top, beak])
    other = (half * (1, -1) + (0, h))[::-1]
    path = np.vstack([half, other]) + (0, 0)
    if random.random() < 0.15:
        return [half, other]
    return [path]


_BUILDERS: dict[str, Callable[[Random], Strokes]] = {
    "line": _line,
    "polyline": _polyline,
    "elbow": _elbow,
    "arrow": _arrow,
    "double_arrow": _double_arrow,
    "circle": _circle,
    "ellipse": _ellipse,
    "arc": _arc,
    "triangle": _triangle,
    "rectangle": _rectangle,
    "square": _square,
    "rhombus": _rhombus,
    "parallelogram": _parallelogram,
    "trapezium": _trapezium,
    "pentagon": _pentagon,
    "hexagon": _hexagon,
    "star": _star,
    "axes": _axes,
    "number_line": _number_line,
    "tick": _tick,
    "cross": _cross,
    "brace": _brace,
}
KINDS = tuple(_BUILDERS)
