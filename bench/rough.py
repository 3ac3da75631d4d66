"""Rough figures for measuring, drawn otherwise than those that the net learned from.

Each figure is an exact path, sampled evenly; white noise smoothed along the path strays it, scaled so that
its root mean square is ``noise`` times the figure's diagonal. Nothing here is shared with training.figures.
"""

from __future__ import annotations

import math
from pathlib import Path

import numpy as np

from demo.hand import Hand

Strokes = list[np.ndarray]
#: What a drawing is made of; words stand in those that have room.
DRAWN = ("rectangle", "circle", "ellipse", "triangle", "rhombus", "square", "line", "arrow")
ROOMY = ("rectangle", "circle", "ellipse", "square")
WORDS = ("sun", "noon", "stick", "ray")

#: What a joined drawing is made of, and what joins it.
NODES = (*ROOMY, "triangle", "rhombus", "parallelogram", "trapezium", "pentagon", "hexagon")
JOINTS = ("line", "arrow", "arrow", "double_arrow")

#: Noise is smoothed over this part of the figure's diagonal.
SMOOTHING = 0.07
SPACING = 4.0


def rough(kind: str, noise: float, random: np.random.Generator) -> Strokes:
    """Strokes of one figure of ``kind``."""
    paths = [np.asarray(path, dtype=float) for path in _figure(kind, random)]
    low, high = np.vstack(paths).min(axis=0), np.vstack(paths).max(axis=0)
    size = float(np.hypot(*(high - low)))
    turn = random.normal(0, math.radians(3))
    if kind in ("line", "arrow", "double_arrow", "polyline", "arc", "triangle", "star"):
        turn = random.uniform(-math.pi, math.pi)
    c, s = math.cos(turn), math.sin(turn)
    return [
        _strayed(path, noise * size, SMOOTHING * size, random) @ np.array([[c, s], [-s, c]]) for path in paths
    ]


def drawing(
    count: int, random: np.random.Generator, hands: list[Path], noise: float = 0.02
) -> tuple[Strokes, dict[tuple[int, ...], str]]:
    """``count`` figures side by side in rows, words in some of them; the strokes of each figure and its kind."""
    strokes: Strokes = []
    figures: dict[tuple[int, ...], str] = {}
    across = math.ceil(math.sqrt(count))
    for number in range(count):
        kind = str(random.choice(DRAWN))
        figure = rough(kind, noise, random)
        low, size = np.vstack(figure).min(axis=0), float(np.ptp(np.vstack(figure), axis=0).max())
        place = np.array([number % across, number // across]) * 260.0
        scale = random.uniform(110, 170) / size
        figure = [(stroke - low) * scale + place for stroke in figure]
        figures[tuple(range(len(strokes), len(strokes) + len(figure)))] = kind
        strokes += figure
        if kind in ROOMY and random.random() < 0.6:
            strokes += _word_in(figure, 38, random, hands)
    return [np.column_stack([s, np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in strokes], figures


def joined(
    random: np.random.Generator, hands: list[Path], noise: float = 0.02
) -> tuple[Strokes, dict[tuple[int, ...], str]]:
    """Two to four figures in each of two rows, straight or bent lines from one to the next; sides in any order; as ``drawing``."""
    strokes: Strokes = []
    figures: dict[tuple[int, ...], str] = {}

    def draw(kind: str, ink: Strokes) -> None:
        if kind in NODES:
            ink = [ink[number] for number in random.permutation(len(ink))]
        figures[tuple(range(len(strokes), len(strokes) + len(ink)))] = kind
        strokes.extend(ink)

    for row in range(2):
        reach = 0.0
        for column in range(int(random.integers(2, 5))):
            kind = str(random.choice(NODES))
            figure = rough(kind, noise, random)
            low, size = np.vstack(figure).min(axis=0), float(np.ptp(np.vstack(figure), axis=0).max())
            scale, gap = random.uniform(100, 150) / size, random.uniform(90, 160)
            middle = np.array([reach + gap * (column > 0), 230.0 * row])
            figure = [(stroke - low) * scale + middle for stroke in figure]
            draw(kind, figure)
            if column and random.random() < 0.7:
                joint = str(random.choice(JOINTS))
                paths = [np.asarray(path, dtype=float) for path in _figure(joint, random)]
                long = float(np.vstack(paths)[:, 0].max())
                wave, bow = SMOOTHING * long, float(random.choice([0, 0, -0.2, 0.2]))
                ink = [_strayed(path, noise * long, wave, random) / long for path in paths]
                ink = [
                    s + np.column_stack([np.zeros(len(s)), 4 * bow * s[:, 0] * (1 - s[:, 0])]) for s in ink
                ]
                # A bent line is an arc.
                joint = "arc" if joint == "line" and bow else joint
                draw(joint, [s * (gap - 16) + (reach + 8, 230 * row + 60) for s in ink])
            reach = float(np.vstack(figure)[:, 0].max())
            if kind in ROOMY and random.random() < 0.6:
                strokes += _word_in(figure, 34, random, hands)
    return [np.column_stack([s, np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in strokes], figures


def _word_in(figure: Strokes, size: float, random: np.random.Generator, hands: list[Path]) -> Strokes:
    hand = Hand(int(random.integers(1 << 20)), 0.6, hands[int(random.integers(len(hands)))])
    word = [stroke[:, :2] for stroke in hand.write(str(random.choice(WORDS)), 0, 0, size)]
    return [stroke + _middle(figure) - _middle(word) for stroke in word]


def _middle(strokes: Strokes) -> np.ndarray:
    points = np.vstack(strokes)
    return np.asarray((points.min(axis=0) + points.max(axis=0)) / 2)


def _strayed(path: np.ndarray, sigma: float, wave: float, random: np.random.Generator) -> np.ndarray:
    steps = np.hypot(*np.diff(path, axis=0).T)
    along = np.concatenate([[0], np.cumsum(steps)])
    count = max(int(along[-1] / SPACING), 10)
    wanted = np.linspace(0, along[-1], count)
    points = np.column_stack([np.interp(wanted, along, path[:, axis]) for axis in (0, 1)])
    width = max(int(wave / SPACING), 2)
    kernel = np.exp(-0.5 * (np.arange(-3 * width, 3 * width + 1) / width) ** 2)
    white = random.normal(0, 1, (count + len(kernel) - 1, 2))
    smooth = np.column_stack([np.convolve(white[:, axis], kernel, "valid") for axis in (0, 1)])
    return points + sigma / math.sqrt(2) * smooth / math.sqrt(float((kernel**2).sum()))


def _outline(corners: list[tuple[float, float]], random: np.random.Generator) -> Strokes:
    """In one stroke from a corner, mostly; else side by side. The end passes the start or falls short."""
    points = np.array(corners, dtype=float)
    if random.random() < 0.5:
        points = points[::-1]
    points = np.roll(points, int(random.integers(len(points))), axis=0)
    ring = np.vstack([points, points[:1]])
    if random.random() < 0.25:
        return [ring[i : i + 2] for i in range(len(points))]
    way = ring[-1] - ring[-2]
    ring[-1] += way * random.uniform(-0.06, 0.08)
    return [ring]


def _ellipse(rx: float, ry: float, random: np.random.Generator) -> Strokes:
    start, span = random.uniform(0, 2 * math.pi), 2 * math.pi * random.uniform(0.96, 1.06)
    at = np.linspace(start, start + span, 90)
    return [np.column_stack([rx * np.cos(at), ry * np.sin(at)])]


def _head(tip: tuple[float, float], way: float, size: float) -> list[tuple[float, float]]:
    opening = math.radians(30)
    return [
        (tip[0] - size * math.cos(way + turn), tip[1] - size * math.sin(way + turn))
        for turn in (opening, -opening)
    ]


def _arrow(random: np.random.Generator, both: bool) -> Strokes:
    length = random.uniform(140, 300)
    tip = (length, 0.0)
    one, two = _head(tip, 0, 0.22 * length)
    strokes: Strokes
    if random.random() < 0.5:
        path = [(0.0, 0.0), tip, one, tip, two]
        if both:
            a, b = _head((0, 0), math.pi, 0.22 * length)
            path = [a, (0.0, 0.0), b, (0.0, 0.0), *path[1:]]
        return [np.array(path)]
    strokes = [np.array([(0.0, 0.0), tip]), np.array([one, tip, two])]
    if both:
        a, b = _head((0, 0), math.pi, 0.22 * length)
        strokes.append(np.array([a, (0.0, 0.0), b]))
    return strokes


def _figure(kind: str, random: np.random.Generator) -> Strokes:
    u = random.uniform
    match kind:
        case "line":
            return [np.array([(0, 0), (u(100, 300), 0)])]
        case "polyline":
            points, way = [np.zeros(2)], 0.0
            for _ in range(int(random.integers(3, 6))):
                points.append(points[-1] + u(70, 150) * np.array([math.cos(way), math.sin(way)]))
                way += random.choice([-1, 1]) * u(0.8, 1.25)
            return [np.array(points)]
        case "elbow":
            a, b, c = u(60, 200, 3)
            return [
                np.array(
                    [(0, 0), (a, 0), (a, b)]
                    if random.random() < 0.5
                    else [(0, 0), (a, 0), (a, b), (a + c, b)]
                )
            ]
        case "arrow" | "double_arrow":
            return _arrow(random, kind == "double_arrow")
        case "circle":
            return _ellipse(100, 100, random)
        case "ellipse":
            return _ellipse(120, 120 * u(0.4, 0.72), random)
        case "arc":
            span = math.radians(u(80, 250))
            at = np.linspace(0, span, 60)
            return [100 * np.column_stack([np.cos(at), np.sin(at)])]
        case "triangle":
            return _outline([(0, 0), (u(150, 240), u(-20, 20)), (u(20, 180), u(110, 200))], random)
        case "rectangle":
            h = 220 * u(0.35, 0.7)
            return _outline([(0, 0), (220, 0), (220, h), (0, h)], random)
        case "square":
            return _outline([(0, 0), (150, 0), (150, 150), (0, 150)], random)
        case "rhombus":
            w, h = 110, 110 * u(0.5, 0.85)
            return _outline([(0, -h), (w, 0), (0, h), (-w, 0)], random)
        case "parallelogram":
            lean, h = u(40, 90), u(80, 130)
            return _outline([(lean, 0), (200 + lean, 0), (200, h), (0, h)], random)
        case "trapezium":
            inset, h = u(35, 65), u(80, 150)
            return _outline([(inset, 0), (220 - inset, 0), (220, h), (0, h)], random)
        case "pentagon" | "hexagon":
            count = 5 if kind == "pentagon" else 6
            at = -math.pi / 2 + np.arange(count) * 2 * math.pi / count
            return _outline([(110 * math.cos(a), 110 * math.sin(a)) for a in at], random)
        case "star":
            at = -math.pi / 2 + np.arange(10) * math.pi / 5
            radius = np.where(np.arange(10) % 2, 46, 110)
            if random.random() < 0.5:
                points = [(110 * math.cos(a), 110 * math.sin(a)) for a in at[::2]]
                return [np.array([points[i] for i in (0, 2, 4, 1, 3, 0)])]
            return _outline(
                [(r * math.cos(a), r * math.sin(a)) for r, a in zip(radius, at, strict=True)], random
            )
        case "axes":
            w, h = u(160, 260), u(140, 220)
            corner = random.random() < 0.5
            x, y = (0, 0) if corner else (-0.45 * w, 0.45 * h)
            level, upright = (w + x, 0.0), (0.0, -h + y)
            strokes = [np.array([(x, 0), level]), np.array([(0, y), upright])]
            return [*strokes, *(_v(tip, way, 26) for tip, way in ((level, 0.0), (upright, -math.pi / 2)))]
        case "number_line":
            length, count = u(240, 420), int(random.integers(5, 11))
            xs = np.linspace(0.08, 0.88, count) * length
            ticks = [np.array([(x, -14), (x, 14)]) for x in xs]
            return [np.array([(0, 0), (length, 0)]), *ticks, _v((length, 0.0), 0.0, 24)]
        case "tick":
            return [np.array([(0, 0), (u(35, 60), u(45, 70)), (u(130, 170), u(-90, -50))])]
        case "cross":
            side = u(90, 140)
            return [np.array([(0, 0), (120, side)]), np.array([(120, 0), (0, side)])]
        case "brace":
            return [_brace(u(160, 260), u(26, 44))]
    raise ValueError(kind)


def _v(tip: tuple[float, float], way: float, size: float) -> np.ndarray:
    one, two = _head(tip, way, size)
    return np.array([one, tip, two])


def _brace(height: float, depth: float) -> np.ndarray:
    """Upright, its point to the left, as two S-shaped halves."""
    t = np.linspace(0, 1, 40)
    x = depth * (1 - _smooth(t, 0.0, 0.16) * 0.5 - _smooth(t, 0.84, 1.0) * 0.5)
    half = np.column_stack([x, t * height / 2])
    return np.vstack([half, (half * (1, -1) + (0, height))[::-1]])


def _smooth(t: np.ndarray, start: float, end: float) -> np.ndarray:
    x = np.clip((t - start) / (end - start), 0, 1)
    return x * x * (3 - 2 * x)


KINDS = ("line", "polyline", "elbow", "arrow", "double_arrow", "circle", "ellipse", "arc", "triangle", "rectangle",
         "square", "rhombus", "parallelogram", "trapezium", "pentagon", "hexagon", "star", "axes", "number_line",
         "tick", "cross", "brace")  # fmt: skip
