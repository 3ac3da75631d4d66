"""Which actions of the rule book a request is, and on whose things."""

from __future__ import annotations

import msgspec
import numpy as np
from msgspec import UNSET

from sunroom.core.board.bays import bays_at, bays_of, page_target
from sunroom.core.board.following import followers
from sunroom.core.board.items import InkItem, Item, ShapeItem
from sunroom.core.board.pages import Board, Page, PageHead
from sunroom.core.board.requests import CopyPage, Redo, Request, Undo, family_of, going_back, named, page_of
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangeItems,
    ChangePage,
    MovePage,
    RemovePage,
    ReplaceItems,
    Step,
    apply,
)
from sunroom.core.pens.facts import BESIDE, BayFacts, Target
from sunroom.core.pens.rules import Action

#: An action, and the places of which one must allow it.
First = tuple[Action, list[Target]]


def needs_first(board: Board, request: Request) -> list[First]:
    """What can be asked of the rule book before a request is worked out, at next to no cost.

    Returns
    -------
    list of (Action, list of Target)
        Each action must be allowed in one of its places at least, or ``needs`` would refuse it for sure.
    """
    page = board.pages.get(page_of(request))
    if page is None or isinstance(request, AddPage | CopyPage):
        places = [Target(hidden=page is not None and page.head.hidden)]
    else:
        theirs = [page.items[item_id] for item_id in named(request) if item_id in page.items]
        locked, owners = any(item.locked for item in theirs), _owners(tuple(theirs))
        own_page = msgspec.structs.replace(page_target(page.head), locked=locked, owners=owners)
        rules = dict.fromkeys([*_first_place(page, request), BESIDE, *(bay.facts for bay in page.head.bays)])
        places = [msgspec.structs.replace(own_page, bays=(rule,)) for rule in rules]
    if isinstance(request, Undo | Redo):
        # Whatever it comes to, it needs a pen somewhere on the board.
        rules = {BESIDE: None} | {bay.facts: None for p in board.in_order() for bay in p.head.bays}
        heads = {(p.head.writers, p.head.desk_of) for p in board.in_order()}
        places = [Target(writers, desk_of, bays=(rule,)) for writers, desk_of in heads for rule in rules]
        return [("change", places)]
    return [(action, places) for action in family_of(request).actions(request)]


def _first_place(page: Page, request: Request) -> tuple[BayFacts, ...]:
    """The bay in which the first thing of a request begins, so that a refusal can name its rule."""
    first = next(iter(getattr(request, "items", ())), None)
    first = first or next((page.items[item_id] for item_id in named(request) if item_id in page.items), None)
    if first is None or not page.head.bays:
        return ()
    x, y = first.x, first.y
    if isinstance(first, InkItem) and len(first.samples) >= 8:
        x, y = first.placement.point(*np.frombuffer(first.samples, "<f4", 2).astype(float).tolist())
    return bays_at(page.head, np.array([(x, y)]))


def needs(board: Board, request: Request, step: Step) -> list[tuple[Action, Target]]:
    """What the rule book must allow before ``step``, made of ``request``, changes ``board``.

    Returns
    -------
    list of (Action, Target)
        Never empty; all of them must be allowed. ``begun_ms`` of new ink is for the caller to add.
    """
    if isinstance(step, AddPage):
        # The items of a copied page are the copier's own; a page that comes back has everybody's.
        back = isinstance(request, Undo | Redo)
        asked: list[Action] = ["add_page"]
        if step.head.writers != "lesson" or step.head.bays or step.head.hidden:
            asked.append("set_pens")
        owners = _owners(step.items) if back else frozenset[str]()
        hidden = isinstance(request, CopyPage) and board.pages[request.page].head.hidden
        return [(action, Target(owners=owners, hidden=hidden)) for action in asked]
    page_id = step.head.id if isinstance(step, ChangePage) else step.page
    head = board.pages[page_id].head
    actions = [going_back(step)] if isinstance(request, Undo | Redo) else family_of(request).actions(request)
    if isinstance(step, ChangePage) and _rules(step.head) != _rules(head):
        actions.append("set_pens")
    touched = _touched(board, request, step)
    target = msgspec.structs.replace(
        page_target(head),
        bays=_bays(board, step, touched),
        owners=_owners(touched),
        locked=any(item.locked for item in touched),
    )
    return [(action, target) for action in actions]


def _rules(head: PageHead) -> tuple[object, ...]:
    """All of a page that says who sees it, and who may write where."""
    return head.writers, head.desk_of, head.bays, head.hidden


def _bays(board: Board, step: Step, touched: tuple[Item, ...]) -> tuple[BayFacts, ...]:
    """The bays in which things lay that the step touches, and in which they will lie."""
    if isinstance(step, ChangePage | MovePage | RemovePage | AddPage):
        return (BESIDE,)
    page = board.pages[step.page]
    if not page.head.bays:
        return (BESIDE,)
    after = apply(board, step).pages[step.page].items
    follow_tables = followers(page, step) if isinstance(step, ReplaceItems) else frozenset[str]()
    ids = [item.id for item in touched]
    ids += [item.id for item in getattr(step, "items", ()) if item.id not in follow_tables]
    return bays_of(page.head, [*touched, *(after[item_id] for item_id in ids if item_id in after)])


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
    """The items that a step is about, without the lines and charts that only follow them."""
    if isinstance(step, ReplaceItems):
        follow_tables = followers(board.pages[step.page], step)
        return tuple(item_id for item_id in step.ids if item_id not in follow_tables)
    if not isinstance(step, ChangeItems):
        return getattr(step, "ids", ())
    items = board.pages[step.page].items
    follow = [
        c.id for c in step.changes if c.points is not UNSET and c.holds is UNSET and _follows(items.get(c.id))
    ]
    return tuple(item_id for item_id in step.ids if item_id not in follow)


def _follows(item: Item | None) -> bool:
    """Whether an item is a line that follows what it holds."""
    return isinstance(item, ShapeItem) and any(item.holds) and not item.locked


def _owners(items: tuple[Item, ...]) -> frozenset[str]:
    return frozenset(item.by for item in items)
