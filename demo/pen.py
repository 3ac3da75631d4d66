"""A demo board being written on: simulated strokes and typed things become steps like anybody's."""

from __future__ import annotations

import itertools
from collections.abc import Iterable, Sequence
from typing import Any

import numpy as np

from demo.hand import Hand, Stroke
from sunroom.boards import models, store
from sunroom.boards.store import BoardStore, Logged
from sunroom.core.board import (
    Board,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    NoteItem,
    PageHead,
    Paper,
    Request,
    ShapeItem,
    TableItem,
    TextItem,
    apply,
    invert,
    resolve,
)
from sunroom.core.board.requests import DrawFigure, EditText, MeasureItems, TrueUp
from sunroom.core.board.steps import AddItems, AddPage, ChangePage, Step
from sunroom.core.data.charts import ChartForm
from sunroom.core.geometry import ellipse_bezier
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLetter, GraphLine
from sunroom.core.shapes.figures import FigureKind
from sunroom.core.shapes.measures import Measured
from sunroom.core.text import Span
from sunroom.resources import finder, typesetter

BLACK, BLUE, RED, GREEN, PURPLE = "#16222b", "#1f5fa8", "#b4472c", "#2f7d5b", "#6b3fa0"
YELLOW, MINT = "#f2c41d", "#63c79a"
#: The boards were written a while ago; how long the pen is up between strokes, and how long anything else takes.
EARLIER_MS, LIFTED_MS, THINKING_MS = 30 * 60_000, 250, 1_500


class DemoBoard:
    """Writes steps on a board row; the ids are the same each time."""

    def __init__(self, row: models.Board, now_ms: int, seed: int) -> None:
        self._row, self._now_ms = row, now_ms - EARLIER_MS
        self._board: Board = store.load(row.pk)
        self._ids = (f"demo{seed}{number:08d}" for number in itertools.count())
        self._steps: list[tuple[Logged, Step]] = []
        self.hand = Hand(seed, 0.5)
        self.page = self._board.order[0]

    def do(self, request: Request, seat: str) -> None:
        step = resolve(self._board, request, seat, self._now_ms, typesetter())  # type: ignore[arg-type]
        logged = Logged(self._board.seq + 1, next(self._ids), seat, self._now_ms, "do", 0, step)
        self._steps.append((logged, invert(self._board, step)))
        self._board = apply(self._board, step)
        ink = [item for item in getattr(step, "items", ()) if isinstance(item, InkItem)]
        self._now_ms += (
            sum(int(unpack_samples(item.samples)[-1, 3]) + LIFTED_MS for item in ink) or THINKING_MS
        )

    def finish(self) -> None:
        """Write everything to the database, with a snapshot for quick opening."""
        kept = BoardStore(self._row.pk)
        kept.open()
        kept.append(self._steps)
        kept.keep_snapshot(self._board)

    # Pages

    def title(self, title: str, paper: Paper | None = None) -> None:
        """Name the page in hand."""
        self.do(ChangePage(PageHead(self.page, title, paper or Paper())), "")

    def new_page(self, title: str, paper: Paper | None = None) -> None:
        head = PageHead(next(self._ids), title, paper or Paper())
        self.do(AddPage(head, len(self._board.order)), "")
        self.page = head.id

    # Things

    def ink(
        self, strokes: Iterable[Stroke], seat: str, colour: str = BLACK, width: float = 3.6, nib: str = "pen"
    ) -> tuple[str, ...]:
        """Strokes as items, each a step of its own, as a hand makes them."""
        ids = []
        for stroke in strokes:
            item_id = next(self._ids)
            x, y = stroke[0, :2]
            samples = stroke.copy()
            samples[:, :2] -= (x, y)
            item = InkItem(
                id=item_id,
                x=float(x),
                y=float(y),
                nib=nib,  # type: ignore[arg-type]
                colour=colour,
                width=width,
                samples=pack_samples(samples),
            )
            self.do(AddItems(self.page, (item,)), seat)
            ids.append(item_id)
        return tuple(ids)

    def write(
        self, text: str, x: float, y: float, size: float, seat: str, colour: str = BLACK
    ) -> tuple[str, ...]:
        """Handwriting with its baseline starting at (x, y)."""
        return self.ink(self.hand.write(text, x, y, size), seat, colour, width=size * 0.055)

    def highlight(self, x0: float, x1: float, y: float, seat: str, colour: str = YELLOW) -> None:
        stroke = self.hand.draw(np.array([(x0, y), ((x0 + x1) / 2, y - 1), (x1, y)]), tremor=0.8)
        self.ink([stroke], seat, colour, 26, "highlighter")

    def type(
        self,
        text: str,
        x: float,
        y: float,
        size: float,
        seat: str,
        colour: str = BLACK,
        maths: str = "",
        **style: Any,
    ) -> None:
        """Typed text from its top left corner; ``maths`` is a part of it that is a formula."""
        if maths:
            style["spans"] = (Span(text.index(maths), text.index(maths) + len(maths), maths=True),)
        item = TextItem(id=next(self._ids), x=x, y=y, text=text, size=size, colour=colour, **style)
        self.do(AddItems(self.page, (item,)), seat)

    def formula(
        self, formula: str, x: float, y: float, size: float, seat: str, number: str = "", colour: str = BLACK
    ) -> None:
        """A formula from its top left corner, and its number."""
        item = FormulaItem(
            id=next(self._ids), x=x, y=y, formula=formula, size=size, colour=colour, number=number
        )
        self.do(AddItems(self.page, (item,)), seat)

    def graph(
        self,
        formula: str,
        place: tuple[float, float, float, float],
        ranges: Ranges,
        letter: GraphLetter,
        seat: str,
    ) -> None:
        """A graph of one formula, its angles in degrees; ``place`` is its upper left corner, width and height."""
        x, y, width, height = place
        line = GraphLine(formula, RED)
        item = GraphItem(
            id=next(self._ids), x=x, y=y, width=width, height=height, ranges=ranges, lines=(line,), letters=(letter,),
            counted="degrees",
        )  # fmt: skip
        self.do(AddItems(self.page, (item,)), seat)

    def note(self, text: str, x: float, y: float, seat: str, name: str, colour: str) -> None:
        item = NoteItem(id=next(self._ids), x=x, y=y, text=text, name=name, colour=colour)
        self.do(AddItems(self.page, (item,)), seat)

    def table(
        self, rows: Sequence[Sequence[str]], columns: Sequence[float], x: float, y: float, seat: str
    ) -> str:
        """A table from its top left corner; its id."""
        cells = tuple(cell for row in rows for cell in row)
        heights = (34.0,) * len(rows)
        item = TableItem(
            id=next(self._ids), x=x, y=y, columns=tuple(columns), rows=heights, cells=cells, colour="#8a7d5f"
        )
        self.do(AddItems(self.page, (item,)), seat)
        return item.id

    def chart(
        self, form: ChartForm, table: str, place: tuple[float, float, float, float], title: str, seat: str
    ) -> None:
        """A chart of a table; ``place`` is its upper left corner, width and height."""
        x, y, width, height = place
        item = ChartItem(
            id=next(self._ids), x=x, y=y, width=width, height=height, form=form, columns=1, cells=(), table=table, title=title
        )  # fmt: skip
        self.do(AddItems(self.page, (item,)), seat)

    def measure(self, figure: str, what: tuple[Measured, ...], seat: str) -> None:
        """A figure shows what it measures."""
        self.do(MeasureItems(self.page, (figure,), what), seat)

    def figure(
        self,
        kind: FigureKind,
        a: tuple[float, float],
        b: tuple[float, float],
        seat: str,
        colour: str = BLACK,
        width: float = 2.5,
        **look: Any,
    ) -> str:
        """A figure as the shape tool draws it from ``a`` to ``b``; its id."""
        item_id = next(self._ids)
        x, y, w, h = *a, b[0] - a[0], b[1] - a[1]
        self.do(DrawFigure(self.page, item_id, kind, x, y, w, h, colour, width, **look), seat)
        return item_id

    def label(self, item_id: str, text: str, seat: str) -> None:
        """Words in a figure."""
        self.do(EditText(self.page, item_id, text), seat)

    def line(
        self, a: tuple[float, float], b: tuple[float, float], seat: str, colour: str, width: float
    ) -> None:
        points = ((0.0, 0.0), (b[0] - a[0], b[1] - a[1]))
        self._shape("line", a, points, False, False, seat, colour, width)

    def circle(self, cx: float, cy: float, radius: float, seat: str, colour: str, width: float) -> None:
        control = ellipse_bezier(0, 0, radius, radius, 0)
        points = tuple((float(x), float(y)) for x, y in control)
        self._shape("circle", (cx, cy), points, True, True, seat, colour, width)

    def trued_up(self, corners: Sequence[tuple[float, float]], seat: str, colour: str, width: float) -> None:
        """A figure sketched by hand and then trued up, so that “As written” brings the sketch back."""
        stroke = self.hand.sketch([*corners, corners[0]])
        ids = self.ink([stroke], seat, colour, width)
        figure = finder().find([stroke])[0]
        self.do(
            TrueUp(
                self.page, ids, next(self._ids), figure.figure, figure.points, figure.closed, figure.curved
            ),
            seat,
        )

    def _shape(
        self,
        figure: str,
        at: tuple[float, float],
        points: tuple[tuple[float, float], ...],
        closed: bool,
        curved: bool,
        seat: str,
        colour: str,
        width: float,
    ) -> None:
        item = ShapeItem(
            id=next(self._ids),
            x=at[0],
            y=at[1],
            figure=figure,  # type: ignore[arg-type]
            points=points,
            closed=closed,
            curved=curved,
            colour=colour,
            width=width,
        )
        self.do(AddItems(self.page, (item,)), seat)
