"""States of a board to come back to, and the making of a page, out of its log."""

from __future__ import annotations

from functools import lru_cache
from typing import Literal

from sunroom.boards import models, store
from sunroom.boards.store import Logged
from sunroom.core.board import Board
from sunroom.core.board.steps import AddPage, ChangePage, MovePage, RemovePage
from sunroom.rooms.services import new_uid

Kind = Literal["named", "start", "end"]

#: A board's moments; of those that came by themselves the oldest go first.
MAX_MOMENTS = 200


def make(board: models.Board, kind: Kind, title: str = "") -> models.Moment | None:
    """A moment of the board as it is on disk now; None when there are too many that were named."""
    kept = models.Moment.objects.filter(board=board)
    if kept.count() >= MAX_MOMENTS:
        oldest = kept.exclude(kind="named").order_by("id").first()
        if oldest is None:
            return None
        oldest.delete()
    seq = models.Board.objects.values_list("seq", flat=True).get(pk=board.pk)
    return models.Moment.objects.create(board=board, uid=new_uid(), kind=kind, title=title, seq=seq)


def make_for_all(room_id: int, kind: Kind) -> None:
    """A moment of each board in use that has changed since its last one."""
    for board in models.Board.objects.filter(room_id=room_id, away_at=None):
        last = models.Moment.objects.filter(board=board).order_by("-id").values_list("seq", flat=True).first()
        if last != board.seq:
            make(board, kind)


@lru_cache(maxsize=2)
def board_at(board_id: int, seq: int) -> Board:
    """The board after its step ``seq``, which never changes again; raises store.DamagedLogError."""
    return store.replay(board_id, seq)


def making_of(board_id: int, page_id: str, after: int, most: int) -> tuple[list[Logged], int]:
    """At most ``most`` steps about a page after number ``after``, and the number of the last step looked at.

    A step that the page came by is told as the page being added; what else is about pages is left out.
    """
    found: list[Logged] = []
    seq = after
    for logged in store.each_since(board_id, after):
        seq = logged.seq
        if _is_about(logged, page_id):
            found.append(logged)
            if len(found) >= most:
                break
    return found, seq


def _is_about(logged: Logged, page_id: str) -> bool:
    match logged.step:
        case AddPage(head):
            return head.id == page_id
        case RemovePage() | MovePage() | ChangePage():
            return False
        case step:
            return step.page == page_id
