"""How much work a request will be, told from its size and the page's before any of it is done.

Estimates are in microseconds of an ordinary machine, from measurements, and rather too high than too low: whoever
runs the board does small ones at once and others beside, and what is over ``MOST_WORK`` is not done at all.
"""

from __future__ import annotations

from typing import Final

from msgspec import UNSET

from sunroom.core.board.items import InkItem, Item, NoteItem, ShapeItem, TableItem, TextItem
from sunroom.core.board.pages import Board, Page
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    CopyPage,
    EditText,
    Request,
    RubItems,
    SetTable,
    StyleItems,
    ToMindMap,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
)
from sunroom.core.board.steps import AddItems, MoveItems
from sunroom.core.errors import MalformedError

#: The most that one request may be.
MOST_WORK: Final = 2_500_000

#: Microseconds: to set a character of a text, of a note (which is tried in many sizes) and of a cell; a cell; to check
#: an item; to unpack a stroke and find its box; to pass an item of a page by, with its box, and without.
TEXT, NOTE, CELL_TEXT, CELL, CHECK, STROKE, WITH_BOX, ITEM = 6, 8, 3, 25, 30, 60, 45, 0.2
#: A sample of a stroke; a piece of an eraser's path; one place of a thing held against one bay.
SAMPLE, PATH, BAY = 0.05, 40, 4
#: Two ovals of a mind map pushed apart, in all rounds; two boxes that may overlap.
PUSH, BOXES = 12, 0.01


def work(board: Board, request: Request) -> int:
    """Microseconds that ``request`` may take on ``board``.

    Raises
    ------
    MalformedError
        When that is more than ``MOST_WORK``.
    """
    page = board.pages.get(getattr(request, "page", ""))
    cost = _work(page, request)
    if page is not None and page.head.bays:
        things = len(getattr(request, "ids", ())) + len(getattr(request, "items", ()))
        cost += things * (STROKE + len(page.head.bays) * BAY)
    if cost > MOST_WORK:
        raise MalformedError("too_much", "That is more than can be done at once. Take a smaller part.")
    return int(cost)


def _work(page: Page | None, request: Request) -> float:
    on_page = len(page.items) if page else 0
    match request:
        case AddItems():
            return sum(_making(item) for item in request.items)
        case EditText():
            item = page.items.get(request.id) if page else None
            return len(request.text) * (NOTE if isinstance(item, NoteItem) else TEXT)
        case SetTable():
            return _table(request.cells)
        case StyleItems() if request.style.size is not UNSET:
            return sum(CHECK + _words(item) for item in _named(page, request.ids))
        case StyleItems():
            return 10 * len(request.ids)
        case MoveItems() | TransformItems():
            return 10 * len(request.ids) + ITEM * on_page
        case ArrangeItems(how="forward" | "backward"):
            return WITH_BOX * on_page + (WITH_BOX + BOXES * on_page) * len(request.ids)
        case ArrangeItems():
            return WITH_BOX * len(request.ids) + 2 * on_page
        case RubItems():
            return PATH * len(request.path) + sum(
                STROKE + _samples(item) for item in _named(page, request.ids)
            )
        case Typeset():
            return TEXT * 4 * len(request.text) + STROKE * len(request.ids)
        case TrueUp() | TrueUpAll():
            return STROKE * len(request.ids) + 100 * len(getattr(request, "figures", ()))
        case ToMindMap():
            labels = len(request.labels)
            words = sum(len(label.text) for label in request.labels)
            around = PUSH * labels * (labels + on_page)
            return around + 10 * TEXT * words + STROKE * len(request.ids) + WITH_BOX * on_page
        case AsWritten():
            return 10 * sum(1 + len(getattr(item, "ink", ())) for item in _named(page, request.ids))
        case CopyPage():
            return 5 * on_page
        case _:
            return 0


def _making(item: Item) -> float:
    match item:
        case InkItem():
            return CHECK + _samples(item)
        case TextItem():
            return CHECK + TEXT * len(item.text) + CHECK * len(item.ink)
        case ShapeItem():
            return CHECK + TEXT * len(item.text) + CHECK * len(item.ink) + len(item.points)
        case NoteItem():
            return CHECK + NOTE * len(item.text)
        case TableItem():
            return CHECK + _table(item.cells)
        case _:
            return CHECK


def _table(cells: tuple[str, ...]) -> float:
    return CELL * len(cells) + CELL_TEXT * sum(map(len, cells))


def _words(item: Item) -> float:
    return TEXT * len(item.text) if isinstance(item, TextItem | ShapeItem) else 0


def _samples(item: Item) -> float:
    return SAMPLE * len(item.samples) / 11 if isinstance(item, InkItem) else 0


def _named(page: Page | None, ids: tuple[str, ...]) -> list[Item]:
    return [page.items[item_id] for item_id in ids if item_id in page.items] if page else []
