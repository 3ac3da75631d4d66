"""Bringing back what a page was: as a step like any other, which can be undone."""

from __future__ import annotations

from sunroom.core.board.pages import MAX_ITEMS, Board, Page
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems, ReplaceItems, Step


def as_it_was(board: Board, then: Page, only_gone: bool) -> Step | None:
    """The step that makes a page of ``board`` what it was ``then``, or only adds what has gone since.

    A page that has gone itself comes back at the end. None when there is nothing to bring back, or no room for it.
    """
    now = board.pages.get(then.head.id)
    if now is None:
        return AddPage(then.head, len(board.order), tuple(then.in_order()))
    items = tuple(
        i for i in then.in_order() if now.items.get(i.id) != i and not (only_gone and i.id in now.items)
    )
    if only_gone:
        fits = len(now.items) + len(items) <= MAX_ITEMS
        return AddItems(then.head.id, items) if items and fits else None
    ids = tuple(i.id for i in now.in_order() if then.items.get(i.id) != i)
    if not items:
        return RemoveItems(then.head.id, ids) if ids else None
    return ReplaceItems(then.head.id, ids, items) if ids else AddItems(then.head.id, items)
