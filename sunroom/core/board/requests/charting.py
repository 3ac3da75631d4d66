"""Charts: their form, title and what they show."""

from __future__ import annotations

import msgspec

from sunroom.core.board.following import of_table
from sunroom.core.board.items import ChartItem
from sunroom.core.board.laying import chart_drawn
from sunroom.core.board.limits import check_text as check_words
from sunroom.core.board.pages import Page
from sunroom.core.board.requests.cost import chart_work
from sunroom.core.board.requests.family import Now
from sunroom.core.board.steps import ReplaceItems, Step
from sunroom.core.data.charts import ChartForm, check_title
from sunroom.core.pens.rules import Action


class SetChart(msgspec.Struct, frozen=True, tag_field="step", tag="set_chart"):
    """Another form or title for a chart, series by rows or by columns, with lines of best fit or without."""

    page: str
    id: str
    form: ChartForm
    title: str = ""
    by_rows: bool = False
    fit: bool = False


def check(request: SetChart) -> None:
    check_title(request.title)
    if request.title:
        check_words(request.title)


def named(request: SetChart) -> tuple[str, ...]:
    return (request.id,)


def actions(request: SetChart) -> list[Action]:
    return ["change"]


def work(page: Page | None, request: SetChart) -> float:
    item = page.items.get(request.id) if page else None
    return chart_work(len(item.cells)) if isinstance(item, ChartItem) else 0


def step(now: Now, request: SetChart) -> Step | None:
    chart = now.page.items.get(request.id)
    if not isinstance(chart, ChartItem):
        return None
    new = msgspec.structs.replace(
        of_table(chart, now.page.items.get(chart.table)),
        form=request.form, title=request.title, by_rows=request.by_rows, fit=request.fit,
    )  # fmt: skip
    return ReplaceItems(now.page.head.id, (new.id,), (chart_drawn(new),))
