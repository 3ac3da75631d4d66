"""Pages: adding, removing, moving, changing and copying them."""

from __future__ import annotations

from typing import Any

import msgspec
from msgspec import UNSET, UnsetType

from sunroom.core.board.items import ChartItem, Item, ShapeItem, owned
from sunroom.core.board.limits import check_id
from sunroom.core.board.pages import (
    MAX_PAGES,
    MAX_SEAT,
    Bay,
    Board,
    Page,
    PageHead,
    Paper,
    check_head,
)
from sunroom.core.board.requests.cost import COPIED
from sunroom.core.board.requests.family import GoneError, Now
from sunroom.core.board.steps import AddPage, ChangePage, MovePage, RemovePage, Step, remaining
from sunroom.core.errors import MalformedError
from sunroom.core.pens.facts import PageRule
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said

#: Things on a page that is copied: each copy is a step of its own in the log.
MAX_COPIED = 5_000


class CopyPage(msgspec.Struct, frozen=True, tag_field="step", tag="copy_page"):
    """A copy of a page behind it; ``id`` for the new page.

    ``desk_of``: the copy is the desk of this seat, under the title ``title``.
    """

    page: str
    id: str
    title: str = ""
    desk_of: str = ""


class EditPage(msgspec.Struct, frozen=True, omit_defaults=True, tag_field="step", tag="edit_page"):
    """Another title, paper or rule for a page, hidden or shown; what is not set stays as it is then."""

    page: str
    title: str | UnsetType = UNSET
    paper: Paper | UnsetType = UNSET
    writers: PageRule | UnsetType = UNSET
    desk_of: str | UnsetType = UNSET
    hidden: bool | UnsetType = UNSET


class PutBay(msgspec.Struct, frozen=True, tag_field="step", tag="put_bay"):
    """A new bay, or in its place one that is there already."""

    page: str
    bay: Bay


class DropBay(msgspec.Struct, frozen=True, tag_field="step", tag="drop_bay"):
    page: str
    bay: str


Paging = AddPage | RemovePage | MovePage | ChangePage | CopyPage | EditPage | PutBay | DropBay


def check(request: Paging) -> None:
    match request:
        case AddPage() | ChangePage():
            check_head(request.head)
            if isinstance(request, AddPage) and request.items:
                raise MalformedError("items", said("a-new-page-starts-empty"))
        case CopyPage():
            check_id(request.id)
            check_head(PageHead(request.id, request.title))
            if len(request.desk_of) > MAX_SEAT:
                raise MalformedError("desk_of", said("nobody-has-such-a-seat"))
        case EditPage():
            check_head(_edited(PageHead(request.page), request))
        case PutBay():
            check_head(PageHead(request.page, bays=(request.bay,)))
        case RemovePage() | MovePage() | DropBay():
            pass


def named(request: Paging) -> tuple[str, ...]:
    return ()


def actions(request: Paging) -> list[Action]:
    match request:
        case AddPage() | CopyPage():
            return ["add_page"]
        case RemovePage():
            return ["remove_page"]
        case MovePage() | ChangePage() | EditPage() | PutBay() | DropBay():
            return ["change_page"]


def work(page: Page | None, request: Paging) -> float:
    return COPIED * len(page.items) if page and isinstance(request, CopyPage) else 0


def added(board: Board, request: AddPage, seat: str) -> Step | None:
    """The step of the one request that names a page which is not there yet."""
    _check_room_for_page(board)
    return remaining(board, AddPage(msgspec.structs.replace(request.head, by=seat), request.index))


def step(now: Now, request: Paging) -> Step | None:
    match request:
        case ChangePage():
            # Whose a page is, and who sees it, does not change with its title.
            head = now.page.head
            return ChangePage(
                msgspec.structs.replace(
                    request.head, by=head.by, hidden=head.hidden, desk_from=head.desk_from
                )
            )
        case EditPage() | PutBay() | DropBay():
            head = _edited(now.page.head, request)
            check_head(head)
            if head.hidden and not now.board.shows_without(head.id):
                raise GoneError("last_page", said("a-board-keeps-at-least"))
            return ChangePage(head)
        case CopyPage():
            _check_room_for_page(now.board)
            return remaining(now.board, _copy(now, request))
        case RemovePage() if not now.board.shows_without(request.page):
            raise GoneError("last_page", said("a-board-keeps-at-least"))
        case _:
            return remaining(now.board, request)


def _edited(head: PageHead, request: EditPage | PutBay | DropBay) -> PageHead:
    """The head of now with what is asked for: others may have changed the rest of it meanwhile."""
    match request:
        case EditPage():
            fields = ("title", "paper", "writers", "desk_of", "hidden")
            asked = {name: getattr(request, name) for name in fields}
            return msgspec.structs.replace(
                head, **{n: value for n, value in asked.items() if value is not UNSET}
            )
        case PutBay(bay=bay):
            there = any(other.id == bay.id for other in head.bays)
            bays = tuple(bay if other.id == bay.id else other for other in head.bays)
            return msgspec.structs.replace(head, bays=bays if there else (*bays, bay))
        case DropBay():
            bays = tuple(other for other in head.bays if other.id != request.bay)
            return msgspec.structs.replace(head, bays=bays)


def _check_room_for_page(board: Board) -> None:
    if len(board.order) >= MAX_PAGES:
        raise MalformedError("page", said("a-board-has-at-most", pages=MAX_PAGES))


def brought(page: Page, page_id: str, to: Board, copier: str, at_ms: int) -> AddPage:
    """The step that puts a page of another board behind all pages of ``to``, under the id ``page_id``.

    ``copier``: the seat that all of the copy belongs to; "" when the page is to move with all it is.

    Raises
    ------
    MalformedError
        When the board has no room for it, or too much is on it for a copy.
    """
    _check_room_for_page(to)
    if not copier:
        _check_copied(page)
        head, items = msgspec.structs.replace(page.head, id=page_id), tuple(page.in_order())
    else:
        head, items = copied(page, page_id, copier, at_ms)
    return AddPage(head, len(to.order), items)


def _check_copied(page: Page) -> None:
    if len(page.items) > MAX_COPIED:
        raise MalformedError("items", said("a-page-with-more-than", copied=MAX_COPIED))


def copied(page: Page, page_id: str, seat: str, at_ms: int) -> tuple[PageHead, tuple[Item, ...]]:
    """Head and items of a copy of ``page``, which belong to the one who copied it."""
    _check_copied(page)
    in_order = page.in_order()
    ids = {item.id: f"{page_id[:20]}-{number}" for number, item in enumerate(in_order)}
    items = tuple(
        _held_anew(owned(item, seat), ids, id=ids[item.id], at_ms=at_ms, locked=False, pinned=False)
        for item in in_order
    )
    return msgspec.structs.replace(page.head, id=page_id, by=seat), items


def _copy(now: Now, request: CopyPage) -> AddPage:
    head, items = copied(now.page, request.id, now.seat, now.at_ms)
    if request.desk_of:
        # A desk's bays are its owner's like the rest of it; it may be made of a page that waits hidden.
        head = msgspec.structs.replace(
            head,
            title=request.title, writers="desk", desk_of=request.desk_of, desk_from=request.page, bays=(), hidden=False,
        )  # fmt: skip
    elif head.writers == "desk":
        head = msgspec.structs.replace(head, writers="lesson", desk_of="", desk_from="")
    return AddPage(head, now.board.order.index(request.page) + 1, items)


def _held_anew(item: Item, ids: dict[str, str], **values: Any) -> Item:
    """A copy of an item with other values, which holds on to the copies of what it held, or follows that of its table."""
    if isinstance(item, ShapeItem) and any(item.holds):
        values["holds"] = tuple(ids.get(held, "") for held in item.holds)
    if isinstance(item, ChartItem):
        values["table"] = ids.get(item.table, "")
    return msgspec.structs.replace(item, **values)
