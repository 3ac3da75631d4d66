"""Formulas against their aims: set, worked out, checked, and read from ink."""

from __future__ import annotations

import json
import time
from collections.abc import Callable
from copy import copy
from pathlib import Path
from typing import Any

import numpy as np

from bench.table import Row, percentiles, show
from sunroom.core.data.charts import draw_chart
from sunroom.core.maths import setting
from sunroom.core.maths.checking import check_working
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLetter, GraphLine, draw_graph
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.work import work_out
from sunroom.core.maths.written import Way, WrittenReader
from sunroom.resources import written_reader

HANDS = Path(__file__).parent / "hands" / "maths"
TYPED = (
    "x^2+2x-3=0", "x_(1,2)=(-b+-sqrt(b^2-4ac))/(2a)", "sum_(k=1)^n k=n(n+1)/2", "int_0^oo e^(-x^2) dx=sqrt(pi)/2", "s=h/tan(theta)",
    r"f(x)=\begin{cases}x^2&x>0\\0&x\le 0\end{cases}", r"\begin{pmatrix}1&2\\3&4\end{pmatrix}\begin{pmatrix}x\\y\end{pmatrix}",
    "2Mg+O_2->2MgO", "lim_(x->0) sin(x)/x=1",
)  # fmt: skip
WORKED = (
    "2/3+1/6",
    "x^2+2x-3=0",
    "2x+3=7-x",
    "x+y=5\nx-y=1",
    "int_0^1 x^2 dx",
    "sin(x)=1/2",
    "5 kg+300 g",
    "x^3-6x^2+11x-6=0",
)
LINES = ("3(x-2)+4=2x+9", "3x-6+4=2x+9", "3x-2=2x+9", "3x=2x+11", "x=11") * 2
CURVES = ("a sin(2x)", "x^2/4 - 2", "1/(x - 1)", "(2cos t, 3sin t)", "y = ln(x)")
ROUNDS = 5


def run() -> list[Row]:
    return [
        *_setting(), *_working(), *_drawing(), *written("formulas"), *written("formulas-joined"),
        *by_lot("formulas-lot"), *by_lot("formulas-joined-lot"), *workings("workings"),
    ]  # fmt: skip


def _times(jobs: list[Callable[[], Any]]) -> list[float]:
    found = []
    for job in jobs:
        start = time.perf_counter()
        job()
        found.append((time.perf_counter() - start) * 1000)
    return found


def _setting() -> list[Row]:
    set_row = setting.set_row
    set_row(read_formula("x"))
    times = _times([lambda typed=typed: set_row(read_formula(typed)) for typed in TYPED * ROUNDS])  # type: ignore[misc]
    parsing = _times([lambda typed=typed: read_formula(typed) for typed in TYPED * ROUNDS])  # type: ignore[misc]
    base = f"read alone: {show(parsing)}"
    return [Row("a typed formula set", show(times), base, "p95 ≤ 50 ms", percentiles(times)[1] <= 50)]


def _working() -> list[Row]:
    work_out(read_formula("2x=4"))
    times = _times([lambda typed=typed: work_out(read_formula(typed)) for typed in WORKED * ROUNDS])  # type: ignore[misc]
    checks = _times([lambda: check_working([read_formula(line) for line in LINES]) for _ in range(ROUNDS)])
    return [
        Row("a formula worked out", show(times), "", "≤ 1 s", max(times) <= 1_000),
        Row(f"{len(LINES)} lines of working checked", show(checks), "", "≤ 2 s", max(checks) <= 2_000),
    ]


def _drawing() -> list[Row]:
    """A graph of five functions, one of which has a letter that is moved; and a chart of a table."""
    window = Ranges(-6.5, 6.5, -5.0, 5.0)
    lines = tuple(GraphLine(formula, "#1f5fa8") for formula in CURVES)

    def drawn(value: float, count: int = len(CURVES)) -> None:
        draw_graph(520, 400, window, "numbers", lines[:count], (GraphLetter("a", value),))

    drawn(1.0)
    values = np.linspace(-3, 3, 12 * ROUNDS).tolist()
    whole = _times([lambda value=value: drawn(value) for value in values])  # type: ignore[misc]
    one = _times([lambda value=value: drawn(value, 1) for value in values])  # type: ignore[misc]
    empty = _times([lambda: drawn(1.0, 0) for _ in values])
    cells = ("hour", "one", "two", *(text for n in range(30) for text in (str(n), str(n % 7), str(n % 5))))
    charts = _times([lambda: draw_chart("lines", cells, 3, width=440, height=320) for _ in values])  # type: ignore[misc]
    return [
        Row(
            "a graph of 5 functions drawn",
            show(whole),
            f"empty: {show(empty)}",
            "p95 ≤ 100 ms",
            percentiles(whole)[1] <= 100,
        ),
        Row("one of them with its letter moved", show(one), "", "p95 ≤ 33 ms", percentiles(one)[1] <= 33),
        Row("a chart of 2 series of 30 numbers drawn", show(charts), "", "", None),
    ]


def by_lot(name: str) -> list[Row]:
    """Formulas that nobody writes: what is known of likely ones must not make them worse."""
    plain = copy(written_reader())
    plain._likely = lambda latex: 0.0
    found, without = (_read(name, reader)[:2] for reader in (written_reader(), plain))
    exact, three, exact_without, three_without = (100 * float(np.mean(hits)) for hits in (*found, *without))
    return [
        Row(
            f"written maths, {len(found[0])} formulas by lot ({name}): exact, in the first three",
            f"{exact:.1f} %, {three:.1f} %",
            f"without likely formulas {exact_without:.1f} %, {three_without:.1f} %",
            "no worse",
            exact >= exact_without and three >= three_without,
        )
    ]


def written(name: str) -> list[Row]:
    """Written maths of bench/hands: hands, digits and expressions that training has not, laid out by another."""
    first, among, times, by_hand = _read(name, written_reader())
    exact, three = 100 * float(np.mean(first)), 100 * float(np.mean(among))
    hands = sorted(100 * float(np.mean(right)) for right in by_hand.values())
    what = f"written maths, {len(first)} formulas ({name})"
    spread = f"hands {hands[0]:.0f} to {hands[-1]:.0f} %"
    return [
        Row(
            f"{what}: exact, in the first three",
            f"{exact:.1f} %, {three:.1f} %",
            spread,
            "≥ 85 %, ≥ 94 %",
            exact >= 85 and three >= 94,
        ),
        Row(f"{what}: time", show(times), "", "p95 ≤ 700 ms", percentiles(times)[1] <= 700),
    ]


def workings(name: str) -> list[Row]:
    """Lines of working, some near to each other and some on a slant; the base looks at all of their ink as one formula."""
    reader, as_one = written_reader(), copy(written_reader())
    as_one._ways = lambda ink, chosen: [  # type: ignore[method-assign]
        Way(0.0, [([*range(len(ink))], as_one._ranked(ink, as_one.looked(ink), chosen))])
    ]
    parted, found, base, times = [], [], [], []
    for row in of_set(name):
        strokes = strokes_of(row)
        wanted = _plain(r" \\ ".join(row["latex"]))
        start = time.perf_counter()
        readings = reader.read(strokes)
        times.append((time.perf_counter() - start) * 1000 / len(row["lines"]))
        parted.append(readings[0].lines == row["lines"])
        for rates, read in ((found, readings), (base, as_one.read(strokes))):
            latex = [_plain(reading.latex) for reading in read]
            rates.append((latex[:1] == [wanted], wanted in latex[:3]))
    lines = 100 * float(np.mean(parted))
    (exact, three), (exact_of_one, three_of_one) = (100 * np.mean(rates, axis=0) for rates in (found, base))
    what = f"written maths, {len(found)} workings of two to four lines ({name})"
    return [
        Row(
            f"{what}: lines told apart; all of them exact, in the first three",
            f"{lines:.1f} %; {exact:.1f} %, {three:.1f} %",
            f"as one formula {exact_of_one:.1f} %, {three_of_one:.1f} %",
            "≥ 95 % told apart",
            lines >= 95,
        ),
        Row(f"{what}: time for a line", show(times), "", "p95 ≤ 700 ms", percentiles(times)[1] <= 700),
    ]


def _read(
    name: str, reader: WrittenReader
) -> tuple[list[bool], list[bool], list[float], dict[str, list[bool]]]:
    """Of each formula whether it is read right, or among the first three; times in ms; and the first by hand."""
    first: list[bool] = []
    among: list[bool] = []
    times: list[float] = []
    by_hand: dict[str, list[bool]] = {}
    for row in of_set(name):
        strokes = strokes_of(row)
        start = time.perf_counter()
        readings = [_plain(reading.latex) for reading in reader.read(strokes)]
        times.append((time.perf_counter() - start) * 1000)
        wanted = _plain(row["latex"])
        first.append(readings[:1] == [wanted])
        among.append(wanted in readings[:3])
        by_hand.setdefault(row["hand"], []).append(first[-1])
    return first, among, times, by_hand


def of_set(name: str) -> list[dict[str, Any]]:
    rows: list[dict[str, Any]] = json.loads((HANDS / f"{name}.json").read_text())
    return rows


def strokes_of(row: dict[str, Any]) -> list[np.ndarray]:
    return [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]


def _plain(latex: str) -> str:
    return latex.replace(" ", "").replace(r"\to", r"\rightarrow")


if __name__ == "__main__":
    for rows in (*written("formulas-last"), *workings("workings-last")):
        print(rows.cells())
