"""A number line on which an inequality's solutions are marked."""

from __future__ import annotations

import math

import msgspec

from sunroom.core.board.items import FormulaItem, Item, ShapeItem, TextItem
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_id
from sunroom.core.board.pages import MAX_ITEMS, Page
from sunroom.core.board.requests.family import GoneError, Now
from sunroom.core.board.steps import AddItems, Step
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import ellipse_bezier
from sunroom.core.maths.graph import number_text, ticks
from sunroom.core.maths.number_line import intervals
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said

#: Board units: half the line's length, how far below the formula it lies, its ticks, and an end's radius.
HALF, BELOW, TICK, END, HEAD = 260.0, 60.0, 7.0, 7.0, 10.0
SIZE, LINE, MARKED = 16.0, 2.0, 6.0
#: It may take so long (µs).
WORK = 400_000


class PutNumberLine(msgspec.Struct, frozen=True, tag_field="step", tag="put_number_line"):
    """The solutions of an inequality, the formula ``formula``, on a number line below it; ``id`` names their group."""

    page: str
    formula: str
    id: str


def check(request: PutNumberLine) -> None:
    check_id(request.id)
    check_id(request.formula)


def named(request: PutNumberLine) -> tuple[str, ...]:
    return ()


def actions(request: PutNumberLine) -> list[Action]:
    return ["add_formula"]


def work(page: Page | None, request: PutNumberLine) -> float:
    return WORK


def step(now: Now, request: PutNumberLine) -> Step | None:
    formula = now.page.items.get(request.formula)
    if not isinstance(formula, FormulaItem):
        return None
    letter, reach, found = intervals(formula.formula)
    left = formula.x
    top = formula.y + formula.height * formula.size * formula.placement.growth + BELOW
    maker = _Maker(now, request.id, formula.colour)
    middle = left + HALF

    def place(value: float) -> float:
        return middle + max(-HALF, min(HALF, value / reach * HALF))

    maker.line([(left - 14, top), (middle + HALF + 14, top)], LINE, ends="arrow")
    at, by = ticks(-reach, reach, 2 * HALF, 48.0, "numbers")
    for value in at:
        maker.line([(place(value), top - TICK), (place(value), top + TICK)], LINE)
        maker.text(number_text(value, by, "numbers") if value else "0", place(value), top + TICK + 4)
    maker.text(letter if not letter.startswith("\\") else "", middle + HALF + 30, top - 12)
    for low, high, low_in, high_in in found:
        maker.line([(place(low), top), (place(high), top)], MARKED, colour=maker.marked)
        for end, belongs in ((low, low_in), (high, high_in)):
            if math.isfinite(end):
                maker.end(place(end), top, belongs)
    items = maker.items
    if len(now.page.items) + len(items) > MAX_ITEMS:
        raise MalformedError("items", said("the-page-is-full-add"))
    if any(item.id in now.page.items for item in items):
        raise GoneError("id_taken", said("that-is-on-the-board"))
    return AddItems(now.page.head.id, tuple(items))


class _Maker:
    """Things of one group, in their order from below."""

    marked = "#b4472c"

    def __init__(self, now: Now, group: str, colour: str) -> None:
        self._now, self._group, self._colour = now, group, colour
        self.items: list[Item] = []

    def _common(self) -> dict[str, object]:
        number = len(self.items)
        return {
            "id": f"{self._group[:28]}-{number}", "z": float(self._now.page.next_z + number), "by": self._now.seat, "at_ms": self._now.at_ms,
            "group": self._group,
        }  # fmt: skip

    def line(
        self, points: list[tuple[float, float]], width: float, ends: str = "none", colour: str = ""
    ) -> None:
        (x, y), (x1, y1) = points
        self.items.append(
            ShapeItem(
                x=x, y=y, figure="line", points=((0.0, 0.0), (x1 - x, y1 - y)), closed=False, curved=False, colour=colour or self._colour,
                width=width, ends=ends, **self._common(),  # type: ignore[arg-type]
            )
        )  # fmt: skip

    def end(self, x: float, y: float, belongs: bool) -> None:
        points = tuple((float(px), float(py)) for px, py in ellipse_bezier(0, 0, END, END, 0))
        self.items.append(
            ShapeItem(
                x=x, y=y, figure="circle", points=points, closed=True, curved=True, colour=self.marked, width=2.5,
                fill=self.marked if belongs else "#fffefa", **self._common(),  # type: ignore[arg-type]
            )
        )  # fmt: skip

    def text(self, text: str, x: float, y: float) -> None:
        """Words with the middle of their upper edge at a place."""
        if not text:
            return
        item = TextItem(text=text, size=SIZE, colour=self._colour, **self._common())  # type: ignore[arg-type]
        made = laid_out(item, self._now.typesetter)
        assert isinstance(made, TextItem)
        self.items.append(msgspec.structs.replace(made, x=x - made.lines[0].width / 2, y=y))
