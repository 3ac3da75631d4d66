"""Bringing back what a page was: as a step like any other, which can be undone."""

from __future__ import annotations

from collections.abc import Collection

import msgspec

from sunroom.core.board.items import InkItem, item_box
from sunroom.core.board.pages import MAX_ITEMS, Board, Page
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems, ReplaceItems, Step
from sunroom.core.board.words import words_of
from sunroom.core.geometry import Box

#: Strokes of one hand are one thing when they lie this near, in board units, and follow within this time.
NEAR, SOON_MS = 14.0, 4_000
#: Things that are told one by one; a page that lost more comes back as a whole.
MAX_LOST = 400


class Lost(msgspec.Struct, frozen=True):
    """A thing that has gone or become another: its items, where it was, whose it was, and the words in it."""

    ids: tuple[str, ...]
    box: Box
    by: str
    words: str = ""


def lost_things(now: Page, then: Page) -> list[Lost]:
    """What was on a page ``then`` and is not so now; strokes that belong together are one thing. At most ``MAX_LOST``."""
    found: list[Lost] = []
    gone = [item for item in then.items.values() if now.items.get(item.id) != item]
    ink = [item for item in gone if isinstance(item, InkItem)]
    last_ms = 0
    for item in sorted(ink, key=lambda stroke: (stroke.by, stroke.at_ms, stroke.z, stroke.id)):
        box, before = item_box(item), found[-1] if found else None
        follows = before is not None and before.by == item.by and item.at_ms - last_ms <= SOON_MS
        last_ms = item.at_ms
        if before and follows and before.box.grown(NEAR).overlaps(box):
            found[-1] = Lost((*before.ids, item.id), Box.union([before.box, box]) or box, item.by)
        else:
            found.append(Lost((item.id,), box, item.by))
    for other in gone:
        if not isinstance(other, InkItem):
            found.append(Lost((other.id,), item_box(other), other.by, " ".join(words_of(other))))
    # The large first: a small one in front of it can be pressed.
    found.sort(key=lambda thing: -thing.box.width * thing.box.height)
    return found[:MAX_LOST]


def some_as_it_was(board: Board, then: Page, ids: Collection[str]) -> Step | None:
    """The step that makes some things of a page of ``board`` what they were ``then``, and leaves the others.

    None when there is nothing of them to bring back, no room for it, or no page for them.
    """
    now = board.pages.get(then.head.id)
    if now is None:
        return None
    items = tuple(i for i in then.in_order() if i.id in ids and now.items.get(i.id) != i)
    changed = tuple(i.id for i in items if i.id in now.items)
    if not items or len(now.items) + len(items) - len(changed) > MAX_ITEMS:
        return None
    return ReplaceItems(then.head.id, changed, items) if changed else AddItems(then.head.id, items)


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
