"""How long the parts of a request take, from measurements on an ordinary machine; rather too high than too low.

All in microseconds.
"""

from __future__ import annotations

from collections.abc import Collection, Sequence
from itertools import islice

from sunroom.core.board.connect import lines_on
from sunroom.core.board.following import MAX_FOLLOWING, charts_of, remeasured
from sunroom.core.board.items import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    Item,
    NoteItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.pages import Board, Page
from sunroom.core.board.steps import ChangeItems, ReplaceItems, Step
from sunroom.core.data.cells import MAX_SIGNS
from sunroom.core.maths.graph import GraphLine
from sunroom.core.shapes.measures import MAX_CORNERS
from sunroom.core.text import Span

#: To set a character of a text, of a note (which is tried in many sizes) and of a cell; a cell.
TEXT, NOTE, CELL_TEXT, CELL, CELL_FORMULA = 6, 8, 3, 25, 20
#: To set a formula, and each of its characters.
FORMULA, FORMULA_SIGN = 2_500, 250
#: To draw a graph, and each curve of it.
GRAPH, CURVE = 5_000, 100_000
CHART, CHART_CELL = 2_500, 70
#: To measure a figure, and each of its corners; to lay a line anew that holds on to what moves.
MEASURE, CORNER, HELD = 200, 110, 300
#: To check an item; to unpack a stroke and find its box; to give an item that is named other values.
CHECK, STROKE, NAMED = 30, 60, 10
#: To pass an item of a page by, with its box, and without; to copy it.
WITH_BOX, ITEM, COPIED = 45, 0.2, 5
#: A sample of a stroke; a piece of an eraser's path; one place of a thing held against one bay.
SAMPLE, PATH, BAY = 0.05, 40, 4
#: Two ovals of a mind map pushed apart, in all rounds; two boxes that may overlap.
PUSH, BOXES = 12, 0.01


def making(item: Item, table: TableItem | None = None) -> float:
    """A new item: checked, its samples looked through, its words laid out; a chart is drawn from the ``table`` that it follows."""
    match item:
        case InkItem():
            return CHECK + samples_of(item)
        case TextItem():
            return CHECK + text_work(item.text, item.spans) + CHECK * len(item.ink)
        case ShapeItem():
            measured = measure_work(item) if item.measured else 0
            return CHECK + TEXT * len(item.text) + CHECK * len(item.ink) + len(item.points) + measured
        case NoteItem():
            return CHECK + NOTE * len(item.text)
        case TableItem():
            return CHECK + cells_work(item.cells)
        case CardItem():
            return CHECK + NOTE * len(item.title)
        case ChartItem():
            return CHECK + chart_work(len(item.cells if table is None else table.cells))
        case GraphItem():
            return CHECK + graph_work(item.lines)
        case FormulaItem():
            return CHECK + formula_work(item.formula) + CHECK * len(item.ink)
        case _:
            return CHECK


def cells_work(cells: tuple[str, ...]) -> float:
    worked_out = sum(len(cell) for cell in cells if cell.startswith("="))
    return CELL * len(cells) + CELL_TEXT * sum(map(len, cells)) + CELL_FORMULA * min(worked_out, MAX_SIGNS)


def chart_work(cells: int) -> float:
    return CHART + CHART_CELL * cells


def held_work(page: Page | None, ids: Collection[str]) -> float:
    """Lines that follow what they hold on to."""
    lines = lines_on(page, ids) if page else []
    return HELD * len(lines) + measured_work(lines)


def measure_work(shape: ShapeItem) -> float:
    return MEASURE + CORNER * min(len(shape.points), MAX_CORNERS)


def measured_work(items: Sequence[Item]) -> float:
    """Of some things those figures that show what they measure, measured anew."""
    return sum(measure_work(item) for item in items if isinstance(item, ShapeItem) and item.measured)


def table_work(page: Page | None, tables: Collection[str], cells: int) -> float:
    """Charts that follow tables of so many cells."""
    charts = charts_of(page, tables) if page else iter(())
    return chart_work(cells) * sum(1 for _ in islice(charts, MAX_FOLLOWING))


def following_work(board: Board, step: Step) -> float:
    """What follows from a step that is known, see core.board.following."""
    page = board.pages.get(getattr(step, "page", ""))
    if isinstance(step, ChangeItems) and page:
        anew = (remeasured(page, change) for change in step.changes)
        return sum(measure_work(shape) for shape in anew if shape)
    if isinstance(step, ReplaceItems) and page:
        tables = {item.id: item for item in step.items if isinstance(item, TableItem)}
        most = max((len(table.cells) for table in tables.values()), default=0)
        return table_work(page, tables, most) + sum(cells_work(table.cells) for table in tables.values())
    return 0


def text_work(text: str, spans: Sequence[Span]) -> float:
    """Words, and the formulas among them."""
    return TEXT * len(text) + sum(formula_work(text[span.start : span.end]) for span in spans if span.maths)


def formula_work(formula: str) -> float:
    return FORMULA + FORMULA_SIGN * len(formula)


def graph_work(lines: Sequence[GraphLine]) -> float:
    """A formula of several parts is as many curves."""
    return GRAPH + CURVE * sum(1 + line.formula.count(";") for line in lines)


def samples_of(item: Item) -> float:
    return SAMPLE * len(item.samples) / 11 if isinstance(item, InkItem) else 0
