"""Steps: the only way a board changes. Each has apply, invert and, for undo, what remains of it.

A step in the log is resolved: it names items by id and carries whole new items, so a browser
applies it without computing anything.
"""

from __future__ import annotations

import math
from operator import attrgetter
from typing import Any, assert_never

import msgspec
from msgspec import UNSET, UnsetType

from sunroom.core.board.items import Dash, Item, item_weight, lines_weight, moved
from sunroom.core.board.pages import Board, Page, PageHead
from sunroom.core.drawn import Drawn
from sunroom.core.ink import Ends
from sunroom.core.maths.graph import GraphPaths
from sunroom.core.shapes.measures import Measured
from sunroom.core.text import Line


class AddItems(msgspec.Struct, frozen=True, tag_field="step", tag="add_items"):
    """Put ``items`` on a page; an item whose z is 0 goes on top."""

    page: str
    items: tuple[Item, ...]


class RemoveItems(msgspec.Struct, frozen=True, tag_field="step", tag="remove_items"):
    page: str
    ids: tuple[str, ...]


class MoveItems(msgspec.Struct, frozen=True, tag_field="step", tag="move_items"):
    page: str
    ids: tuple[str, ...]
    dx: float
    dy: float


class Style(msgspec.Struct, frozen=True, kw_only=True, omit_defaults=True):
    """What items may look like; what is not set stays as it is."""

    colour: str | UnsetType = UNSET
    width: float | UnsetType = UNSET
    opacity: float | UnsetType = UNSET
    fill: str | UnsetType = UNSET
    dash: Dash | UnsetType = UNSET
    ends: Ends | UnsetType = UNSET
    size: float | UnsetType = UNSET


class Change(Style, frozen=True, kw_only=True, omit_defaults=True):
    """New values for some fields of item ``id``; fields that the item has not are passed over."""

    id: str
    x: float | UnsetType = UNSET
    y: float | UnsetType = UNSET
    map: tuple[float, float, float, float] | UnsetType = UNSET
    z: float | UnsetType = UNSET
    group: str | UnsetType = UNSET
    locked: bool | UnsetType = UNSET
    pinned: bool | UnsetType = UNSET
    lines: tuple[Line, ...] | UnsetType = UNSET
    height: float | UnsetType = UNSET
    drawn: GraphPaths | UnsetType = UNSET
    chart: Drawn | UnsetType = UNSET
    measured: tuple[Measured, ...] | UnsetType = UNSET
    measures: Drawn | UnsetType | None = UNSET
    points: tuple[tuple[float, float], ...] | UnsetType = UNSET
    holds: tuple[str, str] | UnsetType = UNSET

    def values(self, item: Item) -> dict[str, Any]:
        """The fields that are set and that ``item`` has."""
        # Of thousands of changes at once this is most of the work.
        all_values = zip(_CHANGEABLE, _values_of(self), strict=True)
        return {name: value for name, value in all_values if value is not UNSET and hasattr(item, name)}


_CHANGEABLE = tuple(name for name in Change.__struct_fields__ if name != "id")
_values_of = attrgetter(*_CHANGEABLE)


class ChangeItems(msgspec.Struct, frozen=True, tag_field="step", tag="change_items"):
    """Other places, sizes, looks, order, group or lock for items that stay the same things."""

    page: str
    changes: tuple[Change, ...]

    @property
    def ids(self) -> tuple[str, ...]:
        return tuple(change.id for change in self.changes)


class ReplaceItems(msgspec.Struct, frozen=True, tag_field="step", tag="replace_items"):
    """Take ``ids`` off and put ``items`` on: a conversion, the way back, an edited text."""

    page: str
    ids: tuple[str, ...]
    items: tuple[Item, ...]


class AddPage(msgspec.Struct, frozen=True, tag_field="step", tag="add_page"):
    """A page at place ``index``; ``items`` when it is one that had been removed."""

    head: PageHead
    index: int
    items: tuple[Item, ...] = ()


class RemovePage(msgspec.Struct, frozen=True, tag_field="step", tag="remove_page"):
    page: str


class MovePage(msgspec.Struct, frozen=True, tag_field="step", tag="move_page"):
    """The page to place ``index`` in the order of the others."""

    page: str
    index: int


class ChangePage(msgspec.Struct, frozen=True, tag_field="step", tag="change_page"):
    """Another title, paper or rule for the page with the head's id."""

    head: PageHead


Step = (
    AddItems
    | RemoveItems
    | MoveItems
    | ChangeItems
    | ReplaceItems
    | AddPage
    | RemovePage
    | MovePage
    | ChangePage
)


def apply(board: Board, step: Step) -> Board:
    """The board after ``step``, with ``seq`` one higher.

    The step must fit: its page exists and its items are as ``remaining`` or ``resolve`` left them;
    ids that are not there are passed over.
    """
    return msgspec.structs.replace(_changed(board, step), seq=board.seq + 1)


def invert(board: Board, step: Step) -> Step:
    """The step that brings ``board`` back after ``step`` was applied to it."""
    match step:
        case AddItems():
            return RemoveItems(step.page, tuple(item.id for item in step.items))
        case RemoveItems() | ReplaceItems(items=()):
            return AddItems(step.page, _present(board, step.page, step.ids))
        case MoveItems():
            return MoveItems(step.page, step.ids, -step.dx, -step.dy)
        case ChangeItems():
            return ChangeItems(step.page, _values_before(board, step))
        case MovePage():
            return MovePage(step.page, board.order.index(step.page))
        case ReplaceItems():
            return ReplaceItems(
                step.page, tuple(item.id for item in step.items), _present(board, step.page, step.ids)
            )
        case AddPage():
            return RemovePage(step.head.id)
        case RemovePage():
            page = board.pages[step.page]
            return AddPage(page.head, board.order.index(step.page), tuple(page.in_order()))
        case ChangePage():
            return ChangePage(board.pages[step.head.id].head)
        case _:
            assert_never(step)


def weight(step: Step) -> int:
    """Roughly the bytes that a step holds, for whoever keeps steps in memory."""
    items = step.items if isinstance(step, AddItems | ReplaceItems | AddPage) else ()
    changes = step.changes if isinstance(step, ChangeItems) else ()
    laid_out = sum(lines_weight(change.lines) for change in changes if change.lines is not UNSET)
    return (
        200
        + sum(item_weight(item) for item in items)
        + 300 * len(changes)
        + laid_out
        + 50 * len(getattr(step, "ids", ()))
    )


def remaining(board: Board, step: Step) -> Step | None:
    """What of ``step`` can still be done on ``board``; None when nothing is left of it.

    Others may have removed its items or its page since it was made.
    """
    match step:
        case AddPage():
            return None if step.head.id in board.pages else step
        case MovePage():
            return step if step.page in board.pages else None
        case RemovePage():
            return step if step.page in board.pages and board.shows_without(step.page) else None
        case ChangePage(head):
            leaves_one = not head.hidden or board.shows_without(head.id)
            return step if head.id in board.pages and leaves_one else None
        case _:
            pass
    page = board.pages.get(step.page)
    if page is None:
        return None
    if isinstance(step, AddItems):
        missing = tuple(item for item in step.items if item.id not in page.items)
        return AddItems(step.page, missing) if missing else None
    if isinstance(step, ChangeItems):
        changes = tuple({c.id: c for c in step.changes if c.id in page.items}.values())
        return ChangeItems(step.page, changes) if changes else None
    ids = tuple(dict.fromkeys(item_id for item_id in step.ids if item_id in page.items))
    if not ids:
        return None
    if isinstance(step, ReplaceItems):
        new = tuple(item for item in step.items if item.id in step.ids or item.id not in page.items)
        return msgspec.structs.replace(step, ids=ids, items=new)
    return msgspec.structs.replace(step, ids=ids)


def _present(board: Board, page_id: str, ids: tuple[str, ...]) -> tuple[Item, ...]:
    items = board.pages[page_id].items
    return tuple(items[item_id] for item_id in ids if item_id in items)


def _values_before(board: Board, step: ChangeItems) -> tuple[Change, ...]:
    items = board.pages[step.page].items
    found = [(items[change.id], change) for change in step.changes if change.id in items]
    return tuple(
        Change(id=item.id, **{name: getattr(item, name) for name in change.values(item)})
        for item, change in found
    )


def _changed(board: Board, step: Step) -> Board:
    match step:
        case AddItems():
            return board.with_page(_put(board.pages[step.page], step.items))
        case RemoveItems():
            return board.with_page(_without(board.pages[step.page], step.ids))
        case MoveItems():
            page = board.pages[step.page]
            items = page.items.mutate()
            for item_id in step.ids:
                if item_id in items:
                    items[item_id] = moved(items[item_id], step.dx, step.dy)
            return board.with_page(msgspec.structs.replace(page, items=items.finish()))
        case ChangeItems():
            page = board.pages[step.page]
            items = page.items.mutate()
            next_z = page.next_z
            for change in step.changes:
                if change.id in items:
                    item = items[change.id]
                    items[change.id] = item = msgspec.structs.replace(item, **change.values(item))
                    next_z = max(next_z, math.floor(item.z) + 1)
            return board.with_page(msgspec.structs.replace(page, items=items.finish(), next_z=next_z))
        case MovePage():
            order = [page_id for page_id in board.order if page_id != step.page]
            order.insert(min(max(step.index, 0), len(order)), step.page)
            return msgspec.structs.replace(board, order=tuple(order))
        case ReplaceItems():
            return board.with_page(_put(_without(board.pages[step.page], step.ids), step.items))
        case AddPage():
            order = list(board.order)
            order.insert(min(max(step.index, 0), len(order)), step.head.id)
            added = msgspec.structs.replace(board, order=tuple(order))
            return added.with_page(_put(Page(step.head), step.items))
        case RemovePage():
            return msgspec.structs.replace(
                board,
                pages=board.pages.delete(step.page),
                order=tuple(page_id for page_id in board.order if page_id != step.page),
            )
        case ChangePage():
            return board.with_page(msgspec.structs.replace(board.pages[step.head.id], head=step.head))
        case _:
            assert_never(step)


def _put(page: Page, new: tuple[Item, ...]) -> Page:
    next_z = page.next_z
    items = page.items.mutate()
    for item in new:
        if item.z == 0:
            item = msgspec.structs.replace(item, z=float(next_z))
        next_z = max(next_z, math.floor(item.z) + 1)
        items[item.id] = item
    return msgspec.structs.replace(page, items=items.finish(), next_z=next_z)


def _without(page: Page, ids: tuple[str, ...]) -> Page:
    rest = page.items.mutate()
    for item_id in ids:
        rest.pop(item_id, None)
    return msgspec.structs.replace(page, items=rest.finish())
