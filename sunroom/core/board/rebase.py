"""Whether a step that was made of a board a moment ago still is what its request makes of the board of now."""

from __future__ import annotations

import msgspec

from sunroom.core.board.pages import MAX_ITEMS, MAX_PAGES, Board
from sunroom.core.board.steps import AddItems, AddPage, Step


def rebased(step: Step, made_of: Board, now: Board) -> Step | None:
    """``step`` as it fits ``now``; None when it must be made anew.

    It fits when the page has the same head, everything that it names is still the very same, and its new ids are
    free. New items go on top of what has come since.
    """
    if isinstance(step, AddPage):
        return step if step.head.id not in now.pages and len(now.order) < MAX_PAGES else None
    page_id = getattr(step, "page", "")
    before, page = made_of.pages.get(page_id), now.pages.get(page_id)
    if before is page and page is not None:
        return step
    if before is None or page is None or page.head != before.head:
        return None
    ids = getattr(step, "ids", ())
    if any(before.items.get(item_id) is not page.items.get(item_id) for item_id in ids):
        return None
    if any(item.id in page.items and item.id not in ids for item in getattr(step, "items", ())):
        return None
    if isinstance(step, AddItems):
        if len(page.items) + len(step.items) > MAX_ITEMS:
            return None
        higher = page.next_z - before.next_z
        return AddItems(step.page, tuple(msgspec.structs.replace(i, z=i.z + higher) for i in step.items))
    return step
