"""Bytes as they lie on disk, one of everything, for each version that boards were ever kept in.

`python -m tests.golden.kept` writes ``kept-N.json`` for the present version, once: a file that is there
stays as it is for ever, for boards of that time must open for ever. What has come to a version since is in files of
its own, ``kept-N-what.json``.
"""

from __future__ import annotations

import json
from collections.abc import Mapping, Sequence
from pathlib import Path
from typing import Any

import msgspec
import numpy as np

from sunroom.core.board import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    NoteItem,
    PageHead,
    Paper,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.pages import Bay
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    Change,
    ChangeItems,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    ReplaceItems,
)
from sunroom.core.drawn import Drawn, DrawnText, Patch
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import Lesson
from sunroom.core.lesson.state import Check, Countdown, Plan
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import AxisNumber, GraphLetter, GraphLine, GraphPaths
from sunroom.core.pens import Facts, PassedPen
from sunroom.core.sentences import Sentence
from sunroom.core.text import Span
from sunroom.core.text.layout import Line, Run

FOLDER = Path(__file__).parent

SAMPLES = pack_samples(np.array([(0, 0, 0.5, 0), (30, 5.5, 0.6, 8), (60, 0, 0.25, 16)], float))
INK = InkItem(
    id="stroke-1", x=10.5, y=20, map=(0.0, 1.0, -1.0, 0.0), z=1.5, group="group-1", by="seat-noor", at_ms=1_700_000_000_000,
    nib="brush", colour="#16222b", width=3.5, samples=SAMPLES, opacity=0.5, ends="arrow",
)  # fmt: skip
LINES = (Line((Run("sans-bold", "noon", 0.0, 37.5, 20.0, 1.5, True, False),), 24.0, 37.5),)
ITEMS = (
    INK,
    TextItem(
        id="text-001", x=1, y=2, z=2.0, by="seat-imani", text="s = h / tan θ\nnoon", size=22, colour="#1f5fa8", wrap_width=300.0,
        family="serif", align="centre", listing="bullets", spans=(Span(0, 4, bold=True, link="https://example.org", script="sup"),),
        lines=LINES, ink=(INK,),
    ),
    NoteItem(id="note-001", z=3.0, by="seat-noor", text="why?", colour="#f6dc8b", name="Noor", size=28.0, lines=LINES),
    TableItem(
        id="table-01", z=4.0, columns=(80.0, 120.5), rows=(30.0,), cells=("h", "s"), colour="#16222b", head=False,
        lines=(LINES, ()),
    ),
    ShapeItem(
        id="shape-01", z=5.0, figure="triangle", points=((0.0, 0.0), (50.0, 0.0), (0.0, 50.0)), closed=True, curved=False,
        colour="#2f7d5b", width=2, fill="#efe6d3", dash="dashed", opacity=0.9, text="sun", lines=LINES, ink=(INK,), locked=True,
    ),
    ShapeItem(
        id="line-001", z=6.0, figure="line", points=((0.0, 0.0), (9.0, 9.0)), closed=False, curved=False, colour="#2f7d5b",
        width=2, ends="arrows", holds=("shape-01", "text-001"), parts=(2,),
    ),
    PictureItem(id="picture1", z=7.0, picture="picture-uid", width=640, height=480, opacity=0.8, pinned=True),
)  # fmt: skip
HEAD = PageHead(
    "page-001", "How long is a shadow", Paper("sheet", "lines", 800.0, 600.0, 32.0, "#fffefa", "picture-uid"), "desk", "seat-noor",
    (Bay("bay-0001", 10, 20, 300, 200, "Hour lines", "people", ("seat-noor",), "own"),),
)  # fmt: skip
STEPS = (
    AddPage(HEAD, 0, ITEMS[:2]),
    AddPage(PageHead("page-002"), 1),
    AddItems("page-002", ITEMS),
    MoveItems("page-002", ("stroke-1", "text-001"), 4.5, -3),
    ChangeItems(
        "page-002",
        (
            Change(id="stroke-1", x=1.0, y=2.0, map=(2.0, 0.0, 0.0, 2.0), z=9.5, colour="#6b3fa0", width=4.0, opacity=0.7),
            Change(id="shape-01", fill="", dash="dotted", locked=False, pinned=True, group=""),
            Change(id="text-001", size=30.0, lines=LINES),
            Change(id="line-001", points=((0.0, 0.0), (5.0, 5.0)), holds=("", "shape-01"), ends="none"),
        ),
    ),
    ReplaceItems("page-002", ("text-001",), (INK,)),
    RemoveItems("page-002", ("note-001",)),
    ChangePage(PageHead("page-002", "Bench")),
    MovePage("page-002", 0),
    RemovePage("page-002"),
)  # fmt: skip
LESSON = Lesson(
    Facts(
        open=True, paused=True, mode="passed", passed=(PassedPen("seat-noor", 5_000), PassedPen("seat-elio")), withheld=("seat-x",),
        kit=("write", "note"), kits=(("seat-noor", ("point",)),), room_kit=("write",), down_at_ms=77, between="closed", writer="Imani",
    ),
    ("seat-noor",), (("seat-noor", "stuck"),), 1_000, 2_000, None, "code", "market7",
    Plan("Shadows", 9_000, 45, ("Triangles", "Tasks")), Countdown(99_000, "Task"),
    Check("check-01", "Longer or shorter?", ("longer", "shorter"), True, (("seat-noor", 1),), ("seat-noor",)),
)  # fmt: skip


#: A formula in a sentence, and one with a number.
SENTENCES = [
    AddItems("page-001", (
        TextItem(id="text-0009", x=1, y=2, z=1, by="seat-imani", text="so a/2", size=20, colour="#16222b", spans=(Span(3, 6, maths=True),),
                 lines=(Line((Run("sans", "so ", 0, 25.5, 20), Run("sans", "a/2", 25.5, 11, 20, 0.0, False, False, "", "M0 0L10 0L10 10Z", 15.5)), 20, 36.5),)),
        FormulaItem(id="formula-9", x=1, y=2, z=2, by="seat-imani", formula="x=1", size=30, colour="#16222b", number="2", outline="M0 0L10 0L10 10Z",
                    width=4.5, height=1, baseline=0.8),
    )),
]  # fmt: skip


def values() -> dict[str, list[Any]]:
    """One of everything that is kept, by what it is kept as."""
    return {"step": list(STEPS), "head": [HEAD], "items": [ITEMS], "lesson": [LESSON]}


#: Kinds that came to version 1 later.
CARDS = (
    AddItems(
        "page-002",
        (
            CardItem(
                id="card-001", z=8.0, of="link", title="Sundials", address="https://dials.example/noon", lines=LINES,
                size=18.5,
            ),
            CardItem(id="card-002", z=9.0, of="video", title="A day", file="medium-uid", width=400.0, height=120.0),
        ),
    ),
)  # fmt: skip


FORMULAS = (
    AddItems(
        "page-002",
        (
            FormulaItem(
                id="formula-1", z=10.0, formula="x^2", size=27.5, colour="#16222b", outline="M0 0L10 0Q5 5 0 10Z", width=1.2,
                height=1.1, baseline=0.8, ink=(ITEMS[0],),
            ),
        ),
    ),
)  # fmt: skip


GRAPHS = (
    AddItems(
        "page-002",
        (
            GraphItem(
                id="graph-01", z=11.0, width=520.0, height=400.0, ranges=Ranges(-6.5, 6.5, -5.0, 5.0),
                lines=(GraphLine("a/x", "#1f5fa8", 2.5, False),), letters=(GraphLetter("a", 1.5, -2.0, 2.0),), counted="pi",
                drawn=GraphPaths("M0 0L10 0", "M0 5L10 5", (AxisNumber("π", 3.0, 4.0),), ("M1 1L2 2",), (None,)),
            ),
        ),
    ),
    ChangeItems("page-002", (Change(id="graph-01", width=300.0, height=200.0, drawn=GraphPaths("", "", (), ("",), (None,))),)),
)  # fmt: skip


CHARTS = (
    AddItems(
        "page-002",
        (
            ChartItem(
                id="chart-01", z=12.0, form="scatter", width=440.0, height=320.0, columns=2, cells=("h", "s", "1", "2.14"), table="table-01",
                title="Shadows", by_rows=True, fit=True, colour="#1f5fa8",
                chart=Drawn((Patch("M0 0L10 0", "#e0a021", "#16222b", 1.5),), (DrawnText("h", 1.5, 2.5, 13.0, "#16222b"),), None),
            ),
            ShapeItem(
                id="shape-02", z=13.0, figure="line", points=((0.0, 0.0), (90.0, 0.0)), closed=False, curved=False, colour="#16222b", width=2,
                measured=("sides", "angles"), measures=Drawn((), (DrawnText("2.4 cm", 1.0, 2.0, 15.0, "#16222b"),), None),
            ),
        ),
    ),
    ChangeItems(
        "page-002",
        (
            Change(id="chart-01", width=300.0, height=200.0, chart=Drawn((), (), Sentence("a-chart-needs-numbers"))),
            Change(id="shape-02", measured=(), measures=None),
        ),
    ),
    ChangePage(PageHead("page-002", paper=Paper(each=2.5, unit="m"))),
)  # fmt: skip


def main() -> None:
    from sunroom.core.formats.kept import VERSIONS

    version = max(VERSIONS.values())
    _write(f"kept-{version}", values())
    _write(f"kept-{version}-cards", {"step": CARDS})
    _write(f"kept-{version}-formulas", {"step": FORMULAS})
    _write(f"kept-{version}-graphs", {"step": GRAPHS})
    _write(f"kept-{version}-charts", {"step": CHARTS})
    _write(f"kept-{version}-sentences", {"step": SENTENCES})


def _write(name: str, kinds: Mapping[str, Sequence[Any]]) -> None:
    written = [
        {
            "kind": kind,
            "bytes": msgspec.msgpack.encode(value).hex(),
            "shown": json.loads(msgspec.json.encode(value)),
        }
        for kind, all_of_kind in kinds.items()
        for value in all_of_kind
    ]
    file = FOLDER / f"{name}.json"
    if not file.exists():
        file.write_text(json.dumps(written, indent=0))


if __name__ == "__main__":
    main()
