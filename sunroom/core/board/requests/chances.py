"""Throwing coins, dice and spinners: a table counts what came, and a chart of it follows."""

from __future__ import annotations

import msgspec

from sunroom.core.board.following import of_table
from sunroom.core.board.items import ChartItem, TableItem
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_id, check_number
from sunroom.core.board.pages import MAX_ITEMS, Page
from sunroom.core.board.requests.cost import cells_work, table_work
from sunroom.core.board.requests.family import Now
from sunroom.core.board.steps import AddItems, ReplaceItems, Step
from sunroom.core.characters import is_one_line
from sunroom.core.data.chance import MAX_OUTCOMES, MAX_TIMES, Chance, check_chance, outcomes, throw
from sunroom.core.errors import MalformedError
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said

#: Sizes in board units of the table that counts, and of the chart beside it.
COLUMNS, ROW, CHART, BESIDE = (190.0, 110.0), 30.0, (440.0, 320.0), 40.0
#: The head of the column of counts is in the language of whoever makes it.
MAX_WORD = 40


class Throw(msgspec.Struct, frozen=True, tag_field="step", tag="throw"):
    """Throw so many times what the table with this id counts."""

    page: str
    id: str
    times: int


class PutChance(msgspec.Struct, frozen=True, tag_field="step", tag="put_chance"):
    """A new table with its upper left corner at (x, y) that counts throws, with a chart beside it; ``word`` heads the counts."""

    page: str
    id: str
    x: float
    y: float
    chance: Chance
    word: str


Chances = Throw | PutChance


def check(request: Chances) -> None:
    if isinstance(request, Throw):
        if not 1 <= request.times <= MAX_TIMES:
            raise MalformedError("times", said("so-many-throws", most=MAX_TIMES))
        return
    check_id(request.id)
    check_number("x", request.x, MAX_COORDINATE)
    check_number("y", request.y, MAX_COORDINATE)
    check_chance(request.chance)
    if not (0 < len(request.word.strip()) <= MAX_WORD and is_one_line(request.word)):
        raise MalformedError("word", said("there-is-no-text-to"))


def named(request: Chances) -> tuple[str, ...]:
    return (request.id,) if isinstance(request, Throw) else ()


def actions(request: Chances) -> list[Action]:
    return ["change"] if isinstance(request, Throw) else ["add_text"]


def work(page: Page | None, request: Chances) -> float:
    follow = table_work(page, (request.id,), 2 * MAX_OUTCOMES) if isinstance(request, Throw) else 0
    return cells_work(("00000",) * 2 * MAX_OUTCOMES) + 8_000 + follow


def step(now: Now, request: Chances) -> Step | None:
    if isinstance(request, PutChance):
        return _put(now, request)
    table = now.page.items.get(request.id)
    if not isinstance(table, TableItem) or table.chance is None or len(table.columns) != 2:
        return None
    seed = f"{now.seat} {now.at_ms} {table.id} {table.cells}"
    came, last = throw(table.chance, request.times, seed)
    counts = dict(zip(table.cells[2::2], table.cells[3::2], strict=False))
    cells = [f"{_head(table.chance)}: {last}", table.cells[1]]
    for outcome in outcomes(table.chance):
        before = counts.get(outcome, "0")
        cells += [
            outcome,
            str((int(before) if before.isdecimal() and len(before) < 10 else 0) + came[outcome]),
        ]
    rows = (ROW,) * (len(cells) // 2)
    new = msgspec.structs.replace(table, cells=tuple(cells), rows=rows)
    return ReplaceItems(now.page.head.id, (new.id,), (laid_out(new, now.typesetter),))


def _put(now: Now, request: PutChance) -> AddItems:
    if len(now.page.items) + 2 > MAX_ITEMS:
        raise MalformedError("items", said("the-page-is-full-add"))
    what = outcomes(request.chance)
    z = float(now.page.next_z)
    table = TableItem(
        id=request.id, x=request.x, y=request.y, z=z, by=now.seat, at_ms=now.at_ms, columns=COLUMNS, rows=(ROW,) * (len(what) + 1),
        cells=(_head(request.chance), request.word, *(text for outcome in what for text in (outcome, "0"))), colour="#8a7d5f",
        chance=request.chance,
    )  # fmt: skip
    laid = laid_out(table, now.typesetter)
    chart = ChartItem(
        id=f"{request.id[:26]}-bars", x=request.x + sum(COLUMNS) + BESIDE, y=request.y, z=z + 1, by=now.seat, at_ms=now.at_ms, form="bars",
        width=CHART[0], height=CHART[1], columns=2, cells=table.cells, table=table.id,
    )  # fmt: skip
    return AddItems(now.page.head.id, (laid, laid_out(of_table(chart, laid), now.typesetter)))


def _head(chance: Chance) -> str:
    """What is thrown, in signs that need no language."""
    if chance.kind == "dice":
        return f"{chance.dice} × 1–{chance.sides}"
    if chance.kind == "numbers":
        return f"{chance.low}–{chance.high}"
    return " · ".join(chance.names)[:60]
