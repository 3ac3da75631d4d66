"""Which actions of the rule book a request is, and on whose things."""

from __future__ import annotations

from typing import assert_never

import msgspec
from msgspec import UNSET

from sunroom.core.board.bays import bays_of, page_target
from sunroom.core.board.items import InkItem, Item, NoteItem, PictureItem, ShapeItem, TableItem, TextItem
from sunroom.core.board.pages import Board, PageHead
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    CopyPage,
    DrawFigure,
    EditText,
    MoveEnds,
    Redo,
    Request,
    RubItems,
    SetTable,
    StyleItems,
    ToMindMap,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
    Undo,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangeItems,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    ReplaceItems,
    Step,
    apply,
)
from sunroom.core.pens.facts import BESIDE, Actor, BayFacts, Target
from sunroom.core.pens.rules import Action


def needs(
    board: Board, request: Request, step: Step, begun_ms: int | None = None
) -> list[tuple[Action, Target]]:
    """What the rule book must allow before ``step``, made of ``request``, changes ``board``.

    Parameters
    ----------
    begun_ms : int or None
        For new ink: when the server saw all of it begin; see pens.facts.Target.

    Returns
    -------
    list of (Action, Target)
        Never empty; all of them must be allowed.
    """
    if isinstance(step, AddPage):
        # The items of a copied page are the copier's own; a page that comes back has everybody's.
        back = isinstance(request, Undo | Redo)
        asked: list[Action] = ["add_page"]
        if step.head.writers != "lesson" or step.head.bays:
            asked.append("set_pens")
        return [(action, Target(owners=_owners(step.items) if back else frozenset())) for action in asked]
    page_id = step.head.id if isinstance(step, ChangePage) else step.page
    head = board.pages[page_id].head
    actions = _actions(request, step)
    if isinstance(step, ChangePage) and _rules(step.head) != _rules(head):
        actions.append("set_pens")
    touched = _touched(board, request, step)
    target = msgspec.structs.replace(
        page_target(head),
        bays=_bays(board, request, step, touched),
        owners=_owners(touched),
        locked=any(item.locked for item in touched),
        begun_ms=begun_ms,
    )
    return [(action, target) for action in actions]


def _rules(head: PageHead) -> tuple[object, ...]:
    """All of a page that says who may write where."""
    return head.writers, head.desk_of, head.bays


def _bays(board: Board, request: Request, step: Step, touched: tuple[Item, ...]) -> tuple[BayFacts, ...]:
    """The bays in which things lay that the step touches, and in which they will lie."""
    if isinstance(step, ChangePage | MovePage | RemovePage | AddPage):
        return (BESIDE,)
    page = board.pages[step.page]
    if not page.head.bays:
        return (BESIDE,)
    after = apply(board, step).pages[step.page].items
    ids = [item.id for item in touched] + [item.id for item in getattr(step, "items", ())]
    return bays_of(page.head, [*touched, *(after[item_id] for item_id in ids if item_id in after)])


def _actions(request: Request, step: Step) -> list[Action]:
    match request:
        case AddItems():
            return sorted({_adding(item) for item in request.items})
        case RemoveItems():
            return ["remove"]
        case MoveItems() | MoveEnds() | EditText() | SetTable() | TransformItems() | StyleItems():
            return ["change"]
        case ArrangeItems():
            return ["lock" if request.how in ("lock", "unlock", "pin", "unpin") else "change"]
        case RubItems():
            return ["remove"]
        case DrawFigure():
            return ["add_shape"]
        case CopyPage():
            return ["add_page"]
        case MovePage():
            return ["change_page"]
        case Typeset() | TrueUp() | TrueUpAll() | ToMindMap() | AsWritten():
            return ["convert"]
        case AddPage():
            return ["add_page"]
        case RemovePage():
            return ["remove_page"]
        case ChangePage():
            return ["change_page"]
        case Undo() | Redo():
            return [_going_back(step)]
        case _:
            assert_never(request)


def signed(request: Request, actor: Actor) -> Request:
    """The request with new notes under their writer's own name; the tutor side may put up another's."""
    if not isinstance(request, AddItems) or actor.tutor_side:
        return request
    return msgspec.structs.replace(
        request,
        items=tuple(
            msgspec.structs.replace(item, name=actor.name) if isinstance(item, NoteItem) else item
            for item in request.items
        ),
    )


def _adding(item: Item) -> Action:
    match item:
        case InkItem():
            return "add_ink"
        case NoteItem():
            return "add_note"
        case TextItem() | TableItem():
            return "add_text"
        case ShapeItem():
            return "add_shape"
        case PictureItem():
            return "add_picture"
        case _:
            assert_never(item)


def _going_back(step: Step) -> Action:
    match step:
        case ChangeItems() if any(change.locked is not UNSET for change in step.changes):
            return "lock"
        case AddItems() | MoveItems() | ReplaceItems() | ChangeItems():
            return "change"
        case RemoveItems():
            return "remove"
        case AddPage():
            return "add_page"
        case RemovePage():
            return "remove_page"
        case ChangePage() | MovePage():
            return "change_page"
        case _:
            assert_never(step)


def _touched(board: Board, request: Request, step: Step) -> tuple[Item, ...]:
    """Items that the step takes from somebody or gives back to them."""
    match step:
        case AddItems():
            return step.items if isinstance(request, Undo | Redo) else ()
        case AddPage() | ChangePage() | MovePage():
            return ()
        case RemovePage():
            return tuple(board.pages[step.page].items.values())
        case _:
            items = board.pages[step.page].items
            # A line that follows what it holds is nobody's change: only what was asked for counts.
            ids = getattr(request, "ids", None) or _meant(board, step)
            return tuple(items[item_id] for item_id in ids if item_id in items)


def _meant(board: Board, step: Step) -> tuple[str, ...]:
    """The items that a way back is about, without the lines that only follow them."""
    if not isinstance(step, ChangeItems):
        return getattr(step, "ids", ())
    items = board.pages[step.page].items
    follow = [
        c.id
        for c in step.changes
        if c.points is not UNSET and c.holds is UNSET and any(getattr(items.get(c.id), "holds", ()))
    ]
    return tuple(item_id for item_id in step.ids if item_id not in follow)


def _owners(items: tuple[Item, ...]) -> frozenset[str]:
    return frozenset(item.by for item in items)
