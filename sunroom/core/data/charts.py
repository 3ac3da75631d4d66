"""Charts of a table's numbers, drawn once as paths and words."""

from __future__ import annotations

import math
import statistics
from collections import Counter
from collections.abc import Callable, Sequence
from typing import Literal

import numpy as np

from sunroom.core.data.series import Data, Series, data_of
from sunroom.core.drawn import Drawn, DrawnText, Patch, Points, dashed, path_of, text_width
from sunroom.core.errors import MalformedError
from sunroom.core.maths.graph import number_text, ticks
from sunroom.core.sentences import Sentence, said

ChartForm = Literal["bars", "stacked", "lines", "scatter", "pie", "histogram", "box", "stems"]

MAX_SERIES, MAX_THINGS = 8, 200
SIZE, TITLE = 13.0, 17.0
PAD, GAP = 10.0, 6.0
#: Numbers at an axis stand at least so far from each other, across and up.
APART = (56.0, 34.0)
GRID, MARK = "#d5dee2", 5.0
#: Told apart by colour-blind people, and in grey by how dark they are.
COLOURS = ("#1b3f73", "#e0a021", "#b4472c", "#a9d8cf", "#7b2d5e", "#6fa0d8", "#2f6d3f", "#f0d9a8")
DASHES = ((1, 0), (10, 5), (3, 4), (14, 4), (6, 3), (2, 2), (9, 2), (4, 8))
#: A circle's points, and how steep a pie's slice may be before it gets points between.
ROUND = 48
MOST_BINS, MOST_LEAVES = 20, 60

NO_NUMBERS = Sentence("a-chart-needs-numbers")


class _Page:
    """What is being drawn, and the room that is left for it."""

    def __init__(self, width: float, height: float, colour: str) -> None:
        self.width, self.height, self.colour = width, height, colour
        self.patches: list[Patch] = []
        self.labels: list[DrawnText] = []
        self.top, self.left, self.right, self.bottom = PAD, PAD, width - PAD, height - PAD

    def line(self, lines: Sequence[Points], colour: str = "", width: float = 1.4) -> None:
        self.patches.append(Patch(path_of(lines), "", colour or self.colour, width))

    def area(self, lines: Sequence[Points], fill: str) -> None:
        closed = [np.vstack([points, points[:1]]) for points in lines]
        self.patches.append(Patch(path_of(closed), fill, self.colour, 1.0))

    def write(self, text: str, x: float, y: float, align: float = 0.0, size: float = SIZE) -> None:
        """Words at the end, in the middle (0.5) or before (1) a place on their baseline; cut where they do not fit."""
        room = self.width - 2 * 2
        # No name is longer than a chart is wide.
        text = text[: math.ceil(self.width / 4)]
        while len(text) > 1 and text_width(text, size) > room:
            text = text[:-2].rstrip() + "…"
        wide = text_width(text, size)
        left = min(max(x - align * wide, 2.0), max(self.width - wide - 2, 2.0))
        self.labels.append(DrawnText(text, round(left, 1), round(y, 1), size, self.colour))

    def drawn(self, problem: Sentence | None = None) -> Drawn:
        return Drawn(tuple(patch for patch in self.patches if patch.path), tuple(self.labels), problem)


def draw_chart(
    form: ChartForm, cells: Sequence[str], columns: int, *, width: float, height: float, title: str = "", by_rows: bool = False, fit: bool = False,
    colour: str = "#16222b",
) -> Drawn:  # fmt: skip
    """A chart of ``width`` by ``height`` board units; its ``problem`` says why when there is nothing to show."""
    page = _Page(width, height, colour)
    if title:
        page.write(title, width / 2, page.top + TITLE, 0.5, TITLE)
        page.top += TITLE + 2 * GAP
    data = data_of(cells, columns, by_rows, of_things=form in ("bars", "stacked", "lines", "pie"))
    data = Data(data.title, data.names[:MAX_THINGS], data.series[:MAX_SERIES])
    try:
        if not data.series or page.right - page.left < 60 or page.bottom - page.top < 60:
            raise MalformedError("cells", NO_NUMBERS)
        _FORMS[form](page, data, fit)
    except MalformedError as error:
        return page.drawn(error.sentence)
    return page.drawn()


# Axes


def _legend(page: _Page, series: Sequence[Series], kind: Literal["area", "line", "dot"] = "area") -> None:
    """The names of several series, in as many rows above the chart as they need."""
    if len(series) < 2:
        return
    x, y = page.left, page.top + SIZE
    for number, each in enumerate(series):
        name = each.name or str(number + 1)
        wide = 20 + text_width(name, SIZE) + 12
        if x + wide > page.right and x > page.left:
            x, y = page.left, y + SIZE + GAP
        if kind == "area":
            page.area([_box(x, y - 10, x + 14, y + 1)], COLOURS[number])
        elif kind == "dot":
            _dot(page, (x + 7, y - 4), number)
        else:
            page.line(dashed(np.array([(x, y - 4), (x + 16, y - 4)]), *DASHES[number]), COLOURS[number], 2.6)
        page.write(name, x + 20, y)
        x += wide
    page.top = y + 2 * GAP


def _upright(page: _Page, low: float, high: float, name: str) -> Callable[[float], float]:
    """The axis of numbers on the left with its grid; where a number lies."""
    if name:
        page.write(name, page.left, page.top + SIZE)
        page.top += SIZE + GAP
    high = high if high > low else low + 1
    at, step = ticks(low, high, page.bottom - page.top, APART[1], "numbers")
    low, high = min(low, math.floor(low / step) * step), math.ceil(high / step - 1e-9) * step
    at, _ = ticks(low, high, page.bottom - page.top, APART[1], "numbers")
    texts = [number_text(value, step, "numbers") if value else "0" for value in at]
    page.left += max(text_width(text, SIZE) for text in texts) + GAP

    def place(value: float) -> float:
        return page.bottom - (value - low) / (high - low) * (page.bottom - page.top)

    for value, text in zip(at, texts, strict=True):
        page.line([np.array([(page.left, place(value)), (page.right, place(value))])], GRID, 1.0)
        page.write(text, page.left - GAP, place(value) + SIZE * 0.35, 1.0)
    page.line([np.array([(page.left, page.top), (page.left, page.bottom)])])
    return place


def _level(page: _Page, low: float, high: float) -> Callable[[float], float]:
    """The axis of numbers below, within the room above its numbers; where a number lies."""
    high = high if high > low else low + 1
    at, step = ticks(low, high, page.right - page.left, APART[0], "numbers")

    def place(value: float) -> float:
        return page.left + (value - low) / (high - low) * (page.right - page.left)

    for value in at:
        page.write(
            number_text(value, step, "numbers") if value else "0", place(value), page.bottom + SIZE + 3, 0.5
        )
        page.line([np.array([(place(value), page.bottom), (place(value), page.bottom + 4)])])
    page.line([np.array([(page.left, page.bottom), (page.right, page.bottom)])])
    return place


def _things(page: _Page, data: Data) -> tuple[float, float]:
    """Names below the level axis; the width of one, and where the first begins."""
    wide = (page.right - page.left) / max(len(data.names), 1)
    longest = max((text_width(name, SIZE) for name in data.names), default=0.0)
    every = max(1, math.ceil((longest + GAP) / max(wide, 1e-6))) if wide < longest + GAP else 1
    for number, name in enumerate(data.names):
        if number % every == 0:
            page.write(name, page.left + (number + 0.5) * wide, page.bottom + SIZE + 3, 0.5)
    page.line([np.array([(page.left, page.bottom), (page.right, page.bottom)])])
    return wide, page.left


def _below(page: _Page, name: str) -> None:
    """Room for what stands below the level axis, and its name."""
    if name:
        page.write(name, page.right, page.bottom, 1.0)
        page.bottom -= SIZE + GAP
    page.bottom -= SIZE + GAP


# Forms


def _bars(page: _Page, data: Data, fit: bool, stacked: bool = False) -> None:
    _legend(page, data.series)
    values = [value for each in data.series for value in each.known]
    if stacked:
        sums = [
            (sum(v for v in thing if v and v > 0), sum(v for v in thing if v and v < 0))
            for thing in zip(*(each.values for each in data.series), strict=True)
        ]
        values = [value for pair in sums for value in pair]
    _below(page, data.title)
    place = _upright(page, min(0.0, *values, 0.0), max(0.0, *values, 0.0), _only_name(data))
    wide, left = _things(page, data)
    share = 0.72 * wide / (1 if stacked else len(data.series))
    for at in range(len(data.names)):
        up = down = 0.0
        x = left + at * wide + 0.14 * wide
        for number, each in enumerate(data.series):
            value = each.values[at]
            if value is None:
                x += 0 if stacked else share
                continue
            base = (up if value > 0 else down) if stacked else 0.0
            page.area([_box(x, place(base), x + share, place(base + value))], COLOURS[number])
            if stacked and value > 0:
                up += value
            elif stacked:
                down += value
            else:
                x += share
    page.line([np.array([(page.left, place(0)), (page.right, place(0))])])


def _stacked(page: _Page, data: Data, fit: bool) -> None:
    _bars(page, data, fit, stacked=True)


def _lines(page: _Page, data: Data, fit: bool) -> None:
    _legend(page, data.series, "line")
    values = [value for each in data.series for value in each.known]
    _below(page, data.title)
    low = min(values)
    place = _upright(page, 0.0 if 0 <= low < 0.5 * max(values) else low, max(values), _only_name(data))
    wide, left = _things(page, data)
    for number, each in enumerate(data.series):
        run: list[tuple[float, float]] = []
        runs = [run]
        for at, value in enumerate(each.values):
            if value is None:
                run = []
                runs.append(run)
            else:
                run.append((left + (at + 0.5) * wide, place(value)))
        for points in runs:
            if len(points) > 1:
                page.line(dashed(np.array(points), *DASHES[number]), COLOURS[number], 2.6)
            for point in points:
                _dot(page, point, number)


def _scatter(page: _Page, data: Data, fit: bool) -> None:
    """The first series across, the others up; alone, a series is against its things' numbers or their order."""
    if len(data.series) > 1:
        across, ups = data.series[0], data.series[1:]
    else:
        across, ups = (
            Series(data.title, tuple(float(n + 1) for n in range(len(data.names)))),
            data.series,
        )
    pairs = [
        [(x, y) for x, y in zip(across.values, each.values, strict=True) if x is not None and y is not None]
        for each in ups
    ]
    if not any(pairs):
        raise MalformedError("cells", NO_NUMBERS)
    _legend(page, ups, "dot")
    xs, ys = ([pair[side] for some in pairs for pair in some] for side in (0, 1))
    _below(page, across.name)
    place_y = _upright(page, *_with_room(ys), ups[0].name if len(ups) == 1 else "")
    place_x = _level(page, *_with_room(xs))
    texts = []
    for number, some in enumerate(pairs):
        for x, y in some:
            _dot(page, (place_x(x), place_y(y)), number)
        line = best_line([x for x, _ in some], [y for _, y in some]) if fit else None
        if line:
            slope, start = line
            ends = [(x, slope * x + start) for x in (min(x for x, _ in some), max(x for x, _ in some))]
            page.line([np.array([(place_x(x), place_y(y)) for x, y in ends])], COLOURS[number], 1.8)
            texts.append((number, equation(slope, start), slope > 0))
    # Where a line that rises, or falls, leaves room.
    left = not texts or texts[0][2]
    for row, (number, text, _) in enumerate(texts):
        y = page.top + SIZE + row * (SIZE + GAP)
        x = page.left + GAP if left else page.right - text_width(text, SIZE) - 16
        if len(pairs) > 1:
            _dot(page, (x + 5, y - 4), number)
            x += 16
        page.write(text, x, y)


def _pie(page: _Page, data: Data, fit: bool) -> None:
    """The first series' shares of the whole, from the top and clockwise."""
    each = data.series[0]
    shares = [(name, value) for name, value in zip(data.names, each.values, strict=True) if value]
    if any(value < 0 for _, value in shares) or not shares or len(shares) > 24:
        raise MalformedError("cells", Sentence("a-pie-needs-shares"))
    whole = sum(value for _, value in shares)
    texts = [f"{name} {100 * value / whole:.3g} %" for name, value in shares]
    names = max(text_width(text, SIZE) for text in texts) + 14 + 2 * GAP
    beside = page.right - page.left - names > 0.4 * (page.right - page.left)
    room = page.right - page.left - (names if beside else 0)
    under = 0 if beside else min(len(texts) * (SIZE + GAP), 0.5 * (page.bottom - page.top))
    radius = max(min(room, page.bottom - page.top - under) / 2, 10)
    middle = np.array([page.left + room / 2, page.top + radius])
    turn = 0.0
    for number, (_, value) in enumerate(shares):
        end = turn + 2 * math.pi * value / whole
        angles = np.linspace(turn, end, max(2, math.ceil((end - turn) / (2 * math.pi) * ROUND) + 1))
        arc = middle + radius * np.column_stack([np.sin(angles), -np.cos(angles)])
        points = arc if len(shares) == 1 else np.vstack([middle, arc])
        page.area([points], COLOURS[number % len(COLOURS)])
        turn = end
    x = page.left + room + GAP if beside else page.left
    y = page.top if beside else page.top + 2 * radius + GAP
    for number, text in enumerate(texts):
        if y + SIZE > page.bottom + 1:
            break
        page.area([_box(x, y + 2, x + 14, y + 13)], COLOURS[number % len(COLOURS)])
        page.write(text, x + 20, y + SIZE)
        y += SIZE + GAP


def _histogram(page: _Page, data: Data, fit: bool) -> None:
    """How many numbers of the first series fall into each of some equal parts; a border belongs to the part above."""
    each = data.series[0]
    low, step, counts = bins(each.known)
    _below(page, each.name)
    place = _upright(page, 0.0, float(max(counts)), "")
    place_x = _level(page, low, low + step * len(counts))
    for number, count in enumerate(counts):
        if count:
            left, right = place_x(low + number * step), place_x(low + (number + 1) * step)
            page.area([_box(left, place(0), right, place(count))], COLOURS[0])


def _box_plot(page: _Page, data: Data, fit: bool) -> None:
    """Least, quarters, middle and most of each series on one scale."""
    values = [value for each in data.series for value in each.known]
    names = [each.name or str(number + 1) for number, each in enumerate(data.series)]
    _below(page, "")
    if len(data.series) > 1 or data.series[0].name:
        page.left += min(max(text_width(name, SIZE) for name in names), 0.3 * page.width) + GAP
    place = _level(page, *_with_room(values))
    high = (page.bottom - page.top) / len(data.series)
    for number, each in enumerate(data.series):
        least, first, middle, third, most = map(place, five_numbers(each.known))
        y, half = page.top + (number + 0.5) * high, min(0.3 * high, 34)
        page.line([np.array([(least, y), (first, y)]), np.array([(third, y), (most, y)])])
        page.line([np.array([(x, y - half / 2), (x, y + half / 2)]) for x in (least, most)])
        page.area([_box(first, y - half, third, y + half)], COLOURS[number])
        page.line([np.array([(middle, y - half), (middle, y + half)])], "#fffefa", 4)
        page.line([np.array([(middle, y - half), (middle, y + half)])], width=2)
        if names[number]:
            page.write(names[number], page.left - GAP, y + SIZE * 0.35, 1.0)


def _stems(page: _Page, data: Data, fit: bool) -> None:
    """Stem and leaf of the first series: all digits but the last, and the last ones in order."""
    unit, rows = stems(data.series[0].known)
    stem_wide = max(text_width(stem, SIZE) for stem, _ in rows)
    middle = page.left + stem_wide + 2 * GAP
    high = min(SIZE * 1.6, (page.bottom - page.top - SIZE - GAP) / len(rows))
    y = page.top
    for stem, leaves in rows:
        y += high
        page.write(stem, middle - GAP, y - 0.25 * high, 1.0)
        page.write(" ".join(leaves), middle + GAP + 2, y - 0.25 * high)
    page.line([np.array([(middle, page.top), (middle, y)])])
    stem, leaves = next((row for row in rows if row[1]), rows[0])
    page.write(f"{stem} | {leaves[0]} = {unit(stem, leaves[0])}", page.left, y + SIZE + GAP)


_FORMS: dict[ChartForm, Callable[[_Page, Data, bool], None]] = {
    "bars": _bars,
    "stacked": _stacked,
    "lines": _lines,
    "scatter": _scatter,
    "pie": _pie,
    "histogram": _histogram,
    "box": _box_plot,
    "stems": _stems,
}


# Statistics


def best_line(xs: Sequence[float], ys: Sequence[float]) -> tuple[float, float] | None:
    """Slope and start of the line of least squares; None for fewer than two places across."""
    if len(set(xs)) < 2:
        return None
    line = statistics.linear_regression(xs, ys)
    return line.slope, line.intercept


def equation(slope: float, start: float) -> str:
    """y = a x + b, in three digits."""
    return f"y = {slope:.3g} x {'+' if start >= 0 else '−'} {abs(start):.3g}".replace("-", "−")


def five_numbers(values: Sequence[float]) -> tuple[float, float, float, float, float]:
    """Least, first quarter, middle, third quarter, most; quarters are middles of the halves, without the middle itself."""
    ordered = sorted(values)
    half = len(ordered) // 2
    lower, upper = ordered[:half] or ordered, ordered[-half:] if half else ordered
    median = statistics.median
    return ordered[0], median(lower), median(ordered), median(upper), ordered[-1]


def bins(values: Sequence[float]) -> tuple[float, float, list[int]]:
    """Where the first of some equal parts begins, how wide each is, and how many values fall into each."""
    low, high = min(values), max(values)
    wanted = min(MOST_BINS, max(4, round(math.sqrt(len(values)))))
    _, step = ticks(low, high if high > low else low + 1, float(wanted), 1.0, "numbers")
    first = math.floor(low / step + 1e-9)
    counts = Counter(math.floor(value / step + 1e-9) - first for value in values)
    return first * step, step, [counts[n] for n in range(max(counts) + 1)]


def stems(values: Sequence[float]) -> tuple[Callable[[str, str], str], list[tuple[str, list[str]]]]:
    """Stems with their leaves, and what a stem and a leaf stand for; the leaf is the last digit that tells the values apart."""
    spread = max(values) - min(values) or abs(values[0]) or 1.0
    digits = max(0, 1 - math.floor(math.log10(spread)))
    digits = min(digits, max(_decimals(value) for value in values))
    unit = 10.0**-digits
    while spread / (10 * unit) > MOST_LEAVES:
        unit *= 10
    whole = sorted(round(value / unit) for value in values)
    found: dict[int, list[str]] = {}
    for value in whole:
        stem, leaf = divmod(value, 10)
        found.setdefault(stem, []).append(str(leaf))
    rows = [(str(stem).replace("-", "−"), found.get(stem, [])) for stem in range(min(found), max(found) + 1)]

    def stands_for(stem: str, leaf: str) -> str:
        return f"{(int(stem.replace('−', '-')) * 10 + int(leaf)) * unit:.10g}".replace("-", "−")

    return stands_for, rows


def _decimals(value: float) -> int:
    text = f"{value:.6f}".rstrip("0")
    return len(text.split(".")[1])


def _with_room(values: Sequence[float]) -> tuple[float, float]:
    """A range that holds values, from 0 where they are not far from it, and a little more."""
    low, high = min(values), max(values)
    spread = high - low or abs(high) or 1.0
    low = 0.0 if 0 <= low < spread else low - 0.06 * spread
    high = 0.0 if -spread < high <= 0 else high + 0.06 * spread
    return low, high


def _only_name(data: Data) -> str:
    return data.series[0].name if len(data.series) == 1 else ""


# Marks


def _box(x0: float, y0: float, x1: float, y1: float) -> Points:
    return np.array([(x0, y0), (x1, y0), (x1, y1), (x0, y1)])


def _dot(page: _Page, at: tuple[float, float], number: int) -> None:
    """A mark of a series: round, square, three-sided, a diamond."""
    sides, turn = ((16, 0.0), (4, math.pi / 4), (3, -math.pi / 2), (4, 0.0))[number % 4]
    angles = turn + 2 * math.pi * np.arange(sides) / sides
    page.area([np.array(at) + MARK * np.column_stack([np.cos(angles), np.sin(angles)])], COLOURS[number])


def check_title(title: str) -> None:
    """Hold a chart's title to its length; raises MalformedError."""
    if len(title) > 120 or "\n" in title:
        raise MalformedError("title", said("a-charts-title-is-one"))
