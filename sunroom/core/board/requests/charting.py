"""Charts: their form, title and what they show; and the numbers of a table as points of a graph."""

from __future__ import annotations

import msgspec

from sunroom.core.board.following import of_table
from sunroom.core.board.items import ChartItem, GraphItem, TableItem
from sunroom.core.board.laying import chart_drawn, graph_drawn
from sunroom.core.board.limits import check_colour, check_item
from sunroom.core.board.limits import check_text as check_words
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import cells_work, chart_work, graph_work
from sunroom.core.board.requests.family import Now
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.data.cells import points_of
from sunroom.core.data.charts import ChartForm, check_title
from sunroom.core.errors import MalformedError
from sunroom.core.maths.graph import GraphLine
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said


class SetChart(msgspec.Struct, frozen=True, tag_field="step", tag="set_chart"):
    """Another form or title for a chart, series by rows or by columns, with lines of best fit or without."""

    page: str
    id: str
    form: ChartForm
    title: str = ""
    by_rows: bool = False
    fit: bool = False


class PlotTable(msgspec.Struct, frozen=True, tag_field="step", tag="plot_table"):
    """The first two columns of numbers of a ``table`` as points of the graph ``id``, with a line of best fit."""

    page: str
    id: str
    table: str
    colour: str


Charting = SetChart | PlotTable


def check(request: Charting) -> None:
    if isinstance(request, PlotTable):
        check_colour(request.colour)
        return
    check_title(request.title)
    if request.title:
        check_words(request.title)


def named(request: Charting) -> tuple[str, ...]:
    return (request.id,)


def actions(request: Charting) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: Charting) -> float:
    item = page.items.get(request.id) if page else None
    if isinstance(item, GraphItem):
        table = page.items.get(getattr(request, "table", "")) if page else None
        return graph_work(item.lines) + cells_work(table.cells if isinstance(table, TableItem) else ())
    if not isinstance(item, ChartItem) or page is None:
        return 0
    table = page.items.get(item.table)
    return chart_work(len((table if isinstance(table, TableItem) else item).cells))


def step(now: Now, request: Charting) -> Step | None:
    return _plotted(now, request) if isinstance(request, PlotTable) else _chart(now, request)


def _plotted(now: Now, request: PlotTable) -> Step | None:
    graph, table = now.page.items.get(request.id), now.page.items.get(request.table)
    if not isinstance(graph, GraphItem) or not isinstance(table, TableItem):
        return None
    points = points_of(table.cells, len(table.columns))
    if not points:
        raise MalformedError("table", said("a-chart-needs-numbers"))
    formula = ", ".join(f"({x:.10g}, {y:.10g})" for x, y in points)
    new = msgspec.structs.replace(graph, lines=(*graph.lines, GraphLine(formula, request.colour, fit=1)))
    check_item(new)
    return ReplaceItems(now.page.head.id, (new.id,), (graph_drawn(new),))


def _chart(now: Now, request: SetChart) -> Step | None:
    chart = now.page.items.get(request.id)
    if not isinstance(chart, ChartItem):
        return None
    new = msgspec.structs.replace(
        of_table(chart, now.page.items.get(chart.table)),
        form=request.form, title=request.title, by_rows=request.by_rows, fit=request.fit,
    )  # fmt: skip
    return ReplaceItems(now.page.head.id, (new.id,), (chart_drawn(new),))
