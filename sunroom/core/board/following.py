"""What follows from a step and is done in the same one: charts of a table that changes, measures of a figure that does."""

from __future__ import annotations

import math
from collections.abc import Collection, Iterator
from itertools import islice

import msgspec
import numpy as np
from msgspec import UNSET

from sunroom.core.board.items import ChartItem, Item, ShapeItem, TableItem
from sunroom.core.board.laying import chart_drawn, laid_out
from sunroom.core.board.pages import Board, Page, Paper
from sunroom.core.board.steps import Change, ChangeItems, ReplaceItems, Step
from sunroom.core.data.cells import is_worked_out, shown_cells
from sunroom.core.geometry import Affine
from sunroom.core.shapes.measures import Unit, measure
from sunroom.core.text import Typesetter

#: Charts that follow one step: with more of them none of it would be soon.
MAX_FOLLOWING = 12


def of_table(chart: ChartItem, table: Item | None) -> ChartItem:
    """The chart with the cells of its table; without one it shows what it has."""
    if not isinstance(table, TableItem):
        return chart
    columns = len(table.columns)
    return msgspec.structs.replace(chart, cells=shown_cells(table.cells, columns), columns=columns)


def followed(board: Board, step: Step, typesetter: Typesetter) -> Step:
    """The step with all that follows from it."""
    page = board.pages.get(getattr(step, "page", ""))
    if page is None:
        return step
    if isinstance(step, ReplaceItems):
        return with_charts(page, step, typesetter)
    return with_measures(page, step) if isinstance(step, ChangeItems) else step


def measured(shape: ShapeItem, paper: Paper) -> ShapeItem:
    """The figure with what it is wished to show of itself, measured on its paper."""
    if not shape.measured or shape.parts:
        return msgspec.structs.replace(shape, measures=None)
    each, name = paper.measured(1.0)
    points = Affine(*shape.map).points(np.asarray(shape.points, dtype=float))
    a, b, c, d = shape.map
    even = abs(a * c + b * d) < 1e-6 and abs(math.hypot(a, b) - math.hypot(c, d)) < 1e-3 * math.hypot(a, b)
    drawn = measure(
        points, shape.closed, shape.curved, shape.measured, Unit(name, 1 / each), shape.colour,
        is_circle=shape.figure == "circle" and even,
    )  # fmt: skip
    return msgspec.structs.replace(shape, measures=drawn)


def with_measures(page: Page, step: ChangeItems) -> ChangeItems:
    """``step`` with new measures of all figures that show them and get another size, shape or colour."""
    changes = []
    for change in step.changes:
        item = remeasured(page, change)
        if item:
            now = msgspec.structs.replace(item, **change.values(item))
            change = msgspec.structs.replace(change, measures=measured(now, page.head.paper).measures)
        changes.append(change)
    return ChangeItems(step.page, tuple(changes))


def remeasured(page: Page, change: Change) -> ShapeItem | None:
    """The figure that is measured anew when it changes so; None when nothing is."""
    item = page.items.get(change.id)
    if not isinstance(item, ShapeItem) or not (item.measured or change.measured):
        return None
    values = (change.map, change.points, change.colour, change.measured)
    return item if any(value is not UNSET for value in values) else None


def charts_of(page: Page, tables: Collection[str]) -> Iterator[ChartItem]:
    """Charts that follow one of ``tables``."""
    return (
        item
        for item in page.items.values()
        if isinstance(item, ChartItem) and item.table in tables and not item.locked
    )


def followers(page: Page, step: ReplaceItems) -> frozenset[str]:
    """Charts that the step changes only because their tables change."""
    tables = {item.id for item in step.items if isinstance(item, TableItem)}
    found = set()
    for new in step.items:
        old = page.items.get(new.id)
        if (
            isinstance(old, ChartItem)
            and isinstance(new, ChartItem)
            and old.table in tables
            and not old.locked
        ):
            same = msgspec.structs.replace(old, cells=new.cells, columns=new.columns, chart=new.chart)
            if same == new:
                found.add(new.id)
    return frozenset(found)


def with_charts(page: Page, step: ReplaceItems, typesetter: Typesetter) -> ReplaceItems:
    """``step`` with all charts of the tables that it changes; cells that are worked out are so again, also after undo."""
    if not any(isinstance(item, TableItem) for item in step.items):
        return step
    items: dict[str, Item] = {
        item.id: laid_out(item, typesetter)
        if isinstance(item, TableItem) and any(map(is_worked_out, item.cells))
        else item
        for item in step.items
    }
    tables = {item.id for item in step.items if isinstance(item, TableItem)}
    for chart in islice(charts_of(page, tables), MAX_FOLLOWING):
        now = items.get(chart.id, chart)
        if isinstance(now, ChartItem):
            anew = of_table(now, items[chart.table])
            if anew != now:
                items[chart.id] = chart_drawn(anew)
    ids = dict.fromkeys((*step.ids, *(item_id for item_id in items if item_id in page.items)))
    return ReplaceItems(step.page, tuple(ids), tuple(items.values()))
