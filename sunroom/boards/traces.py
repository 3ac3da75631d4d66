"""What happened to one item, out of its board's log."""

from __future__ import annotations

from django.db.models import Func, IntegerField, Value

from sunroom.boards import models
from sunroom.core.board import Step
from sunroom.core.board.steps import AddItems, AddPage, ChangeItems, MoveItems, RemoveItems, ReplaceItems
from sunroom.core.formats.kept import decode_kept

#: Ids of items are no shorter; and so many steps are decoded for one of them at most.
LEAST_ID, MOST_DECODED = 6, 2_000


def traces(board_id: int, page_id: str, item_id: str) -> list[tuple[int, str, str]]:
    """What happened to an item: when, by which seat, and a word for it (“made”, “made-undo”); the oldest first."""
    found: list[tuple[int, str, str]] = []
    if not page_id or len(item_id) < LEAST_ID:
        return found
    # Most steps are about other things: their bytes tell so, and SQLite looks at them without holding anybody up.
    here = Func("body", Value(item_id.encode()), function="INSTR", output_field=IntegerField())
    rows = (
        models.LoggedStep.objects.filter(board_id=board_id)
        .alias(here=here)
        .filter(here__gt=0)
        .order_by("seq")
    )
    # An "id" that every step has in it is no item's.
    for at_ms, seat, how, body, version in rows.values_list("at_ms", "seat", "how", "body", "version")[
        :MOST_DECODED
    ]:
        word = _done_to(decode_kept("step", bytes(body), version), page_id, item_id)
        if word:
            found.append((at_ms, seat, word if how == "do" else f"{word}-{how}"))
    return found


def _done_to(step: Step, page_id: str, item_id: str) -> str:
    """What a step did to an item; "" when nothing."""
    if isinstance(step, AddPage):
        return "made_with_page" if any(item.id == item_id for item in step.items) else ""
    if getattr(step, "page", "") != page_id:
        return ""
    before = item_id in getattr(step, "ids", ())
    after = any(item.id == item_id for item in getattr(step, "items", ()))
    match step:
        case AddItems():
            return "made" if after else ""
        case ReplaceItems():
            return "changed" if before and after else "made" if after else "replaced" if before else ""
        case RemoveItems():
            return "removed" if before else ""
        case MoveItems():
            return "moved" if before else ""
        case ChangeItems():
            return "changed" if before else ""
    return ""
