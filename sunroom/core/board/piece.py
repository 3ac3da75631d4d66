"""A piece: some things of a page, kept by themselves to be set down again."""

from __future__ import annotations

from collections.abc import Collection

import immutables
import msgspec

from sunroom.core.board.items import item_box
from sunroom.core.board.pages import Page, PageHead, Paper
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.sentences import said

#: A piece is set down on thirty desks at once.
MAX_PIECE = 200
#: Paper around it, in board units, and the sides that a sheet may have.
MARGIN, SIDES = 16.0, (200.0, 10_000.0)


def piece(page: Page, ids: Collection[str]) -> Page:
    """The things of a page with these ids, in the upper left of a plain sheet about as large as they are.

    Raises MalformedError when none of them is there, or more than MAX_PIECE are asked for.
    """
    if len(ids) > MAX_PIECE:
        raise MalformedError("ids", said("a-piece-has-at-most", most=MAX_PIECE))
    items = [page.items[item_id] for item_id in set(ids) if item_id in page.items]
    box = Box.union(item_box(item) for item in items)
    if box is None:
        raise MalformedError("ids", said("that-is-no-longer-on"))
    left, top = MARGIN - box.x0, MARGIN - box.y0
    moved = {
        item.id: msgspec.structs.replace(item, x=item.x + left, y=item.y + top, pinned=False, locked=False)
        for item in items
    }
    width, height = (min(max(side + 2 * MARGIN, SIDES[0]), SIDES[1]) for side in (box.width, box.height))
    paper = Paper("sheet", "plain", width, height)
    return Page(PageHead(page.head.id, paper=paper), immutables.Map(moved), page.next_z)
