"""What templates are drawn with."""

from __future__ import annotations

from collections.abc import Callable, Sequence

from sunroom.core.board.items import Item, ShapeItem, TableItem, TextItem
from sunroom.core.board.pages import Paper
from sunroom.core.shapes.figures import FigureKind, draw_figure
from sunroom.core.text import Align, Family

#: What a sentence's key is said as.
Words = Callable[[str], str]

#: A4 on its long side, in board units, and its margin.
WIDTH, HEIGHT, MARGIN = 1123.0, 794.0, 48.0
INNER = WIDTH - 2 * MARGIN
TOP = 118.0
INK, LINE, FAINT, PALE, SAND = "#16222b", "#5c6b66", "#c9d3cd", "#eef3ee", "#f6efdf"


class Sheet:
    """A page being drawn: its paper and its things, with ids ``thing-1`` … in their order."""

    def __init__(self, words: Words) -> None:
        self.words = words
        self.paper = Paper("sheet", "plain", WIDTH, HEIGHT)
        self.items: list[Item] = []

    def _id(self) -> str:
        return f"thing-{len(self.items) + 1}"

    def title(self, key: str) -> None:
        self.text(MARGIN, 40, self.words(key), 34, family="serif")
        self.line((MARGIN, 96), (WIDTH - MARGIN, 96), width=2)

    def text(
        self, x: float, y: float, text: str, size: float = 20, wide: float | None = None,
        align: Align = "left", family: Family = "sans", colour: str = INK,
    ) -> None:  # fmt: skip
        self.items.append(
            TextItem(
                id=self._id(),
                x=x,
                y=y,
                text=text,
                size=size,
                colour=colour,
                wrap_width=wide,
                align=align,
                family=family,
            )
        )

    def say(
        self, x: float, y: float, key: str, size: float = 20, wide: float | None = None, align: Align = "left"
    ) -> None:
        """Words of the catalogue."""
        self.text(x, y, self.words(key), size, wide, align)

    def figure(
        self, kind: FigureKind, x: float, y: float, w: float, h: float, fill: str = "", width: float = 2.0, text: str = "", colour: str = LINE,
    ) -> None:  # fmt: skip
        outline = draw_figure(kind, w, h)
        self.items.append(
            ShapeItem(
                id=self._id(), x=x, y=y, figure=kind, points=outline.points, parts=outline.parts, closed=outline.closed,
                curved=outline.curved, colour=colour, width=width, fill=fill, text=text, size=18,
            )
        )  # fmt: skip

    def box(self, x: float, y: float, w: float, h: float, key: str = "", fill: str = "") -> None:
        """A frame with its heading in the upper left corner."""
        self.figure("rounded", x, y, w, h, fill)
        if key:
            self.say(x + 14, y + 10, key, 18)

    def line(
        self,
        a: tuple[float, float],
        b: tuple[float, float],
        width: float = 1.5,
        arrow: bool = False,
        dashed: bool = False,
        colour: str = LINE,
    ) -> None:
        self.items.append(
            ShapeItem(
                id=self._id(), x=a[0], y=a[1], figure="line", points=((0.0, 0.0), (b[0] - a[0], b[1] - a[1])), closed=False,
                curved=False, colour=colour, width=width, ends="arrow" if arrow else "none", dash="dashed" if dashed else "solid",
            )
        )  # fmt: skip

    def path(
        self, points: Sequence[tuple[float, float]], closed: bool = False, fill: str = "", width: float = 2.0
    ) -> None:
        x, y = points[0]
        self.items.append(
            ShapeItem(
                id=self._id(), x=x, y=y, figure="polyline", points=tuple((px - x, py - y) for px, py in points), closed=closed,
                curved=False, colour=LINE, width=width, fill=fill,
            )
        )  # fmt: skip

    def table(
        self,
        x: float,
        y: float,
        columns: Sequence[float],
        rows: Sequence[float],
        cells: Sequence[str],
        head: bool = True,
        size: float = 18,
    ) -> None:
        """``cells`` row by row; what is missing at the end is empty."""
        whole = (*cells, *[""] * (len(columns) * len(rows) - len(cells)))
        self.items.append(
            TableItem(
                id=self._id(),
                x=x,
                y=y,
                columns=tuple(columns),
                rows=tuple(rows),
                cells=whole,
                colour=LINE,
                head=head,
                size=size,
            )
        )

    def lines(self, y: float, bottom: float, gap: float, x: float = MARGIN, wide: float = INNER) -> None:
        """Lines to write on."""
        while y <= bottom:
            self.line((x, y), (x + wide, y), 1.2)
            y += gap


Template = Callable[[Sheet], None]
