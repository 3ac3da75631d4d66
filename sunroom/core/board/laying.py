"""The server's part of an item: its words laid out, its formula set, its graph or chart drawn."""

from __future__ import annotations

import msgspec

from sunroom.core.board.items import (
    CARD_LARGEST,
    CARD_LEAST,
    CARD_PAD,
    CARD_PLACE,
    CARD_SIGN,
    CELL_PAD,
    LABEL_PAD,
    NOTE_NAME,
    NOTE_PAD,
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    Item,
    NoteItem,
    ShapeItem,
    TableItem,
    TextItem,
    own_box,
)
from sunroom.core.data.cells import shown_cells
from sunroom.core.data.charts import draw_chart
from sunroom.core.maths.graph import (
    MAX_LETTERS,
    GraphLetter,
    draw_graph,
    missing_letters,
)
from sunroom.core.maths.setting import set_formula
from sunroom.core.text import Span, Typesetter
from sunroom.core.text.fonts import LINE_HEIGHT

NOTE_LARGEST, NOTE_LEAST = 30.0, 9.0


def laid_out(item: Item, typesetter: Typesetter) -> Item:
    """The item with its text set: the server's part of every item that has words."""
    match item:
        case TextItem():
            lines = typesetter.layout(
                item.text,
                item.size,
                item.wrap_width,
                item.family,
                item.align,
                item.listing,
                item.spans,
                item.pitch,
            )
            return msgspec.structs.replace(item, lines=lines)
        case ShapeItem() if item.text:
            box = own_box(item)
            width = max(box.width - 2 * LABEL_PAD, item.size)
            return msgspec.structs.replace(
                item, lines=typesetter.layout(item.text, item.size, width, align="centre")
            )
        case ShapeItem():
            return msgspec.structs.replace(item, lines=())
        case NoteItem():
            width, height = item.width - 2 * NOTE_PAD, item.height - 2 * NOTE_PAD - NOTE_NAME
            lines, size = typesetter.fitted(item.text, width, height, NOTE_LARGEST, NOTE_LEAST, "left")
            return msgspec.structs.replace(item, lines=lines, size=size)
        case TableItem():
            return _table_laid_out(item, typesetter)
        case CardItem():
            width, height = item.width - CARD_SIGN - CARD_PAD, item.height - 2 * CARD_PAD
            height -= CARD_PLACE * bool(item.address)
            lines, size = typesetter.fitted(item.title, width, height, CARD_LARGEST, CARD_LEAST, "left")
            return msgspec.structs.replace(item, lines=lines, size=size)
        case FormulaItem():
            return formula_set(item)
        case GraphItem():
            return graph_drawn(item)
        case ChartItem():
            return chart_drawn(item)
        case _:
            return item


def chart_drawn(chart: ChartItem) -> ChartItem:
    """The chart as its cells are now."""
    drawn = draw_chart(
        chart.form, chart.cells, chart.columns, width=chart.width, height=chart.height, title=chart.title, by_rows=chart.by_rows,
        fit=chart.fit, colour=chart.colour,
    )  # fmt: skip
    return msgspec.structs.replace(chart, chart=drawn)


def graph_drawn(graph: GraphItem) -> GraphItem:
    """The graph with its curves, and a value for each letter of its formulas that has none."""
    new = tuple(GraphLetter(name, 1.0) for name in missing_letters(graph.lines, graph.letters))
    letters = (*graph.letters, *new)[:MAX_LETTERS]
    drawn = draw_graph(graph.width, graph.height, graph.ranges, graph.counted, graph.lines, letters)
    return msgspec.structs.replace(graph, letters=letters, drawn=drawn)


def formula_set(item: FormulaItem) -> FormulaItem:
    """The formula with its outlines; raises MalformedError with what of it is not understood."""
    made = set_formula(item.formula, item.number)
    return msgspec.structs.replace(
        item, outline=made.outline, width=made.width, height=made.height, baseline=made.baseline
    )


def _table_laid_out(table: TableItem, typesetter: Typesetter) -> TableItem:
    """The cells' texts, and rows at least as high as these."""
    lines, rows = [], []
    texts = shown_cells(table.cells, len(table.columns))
    for row, height in enumerate(table.rows):
        for column, width in enumerate(table.columns):
            text = texts[row * len(table.columns) + column]
            bold = (Span(0, len(text), bold=True),) if table.head and row == 0 and text else ()
            inner = max(width - 2 * CELL_PAD, table.size)
            lines.append(typesetter.layout(text, table.size, inner, spans=bold))
            height = max(height, len(lines[-1]) * LINE_HEIGHT * table.size + 2 * CELL_PAD)
        rows.append(height)
    return msgspec.structs.replace(table, lines=tuple(lines), rows=tuple(rows))
