"""Boards from and to the database: append to the log, open from snapshots and the log's tail."""

from __future__ import annotations

import math
from collections.abc import Sequence

import immutables
import msgspec
from django.db import transaction
from django.db.models import F
from django.utils import timezone

from sunroom.boards import models
from sunroom.core.board import Board, History, Item, Page, PageHead, Step, apply
from sunroom.core.board.history import DEPTH, How
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangeItems,
    MoveItems,
    RemoveItems,
    RemovePage,
    ReplaceItems,
)
from sunroom.core.formats.pictures import CleanPicture
from sunroom.rooms.services import new_uid

_encoder = msgspec.msgpack.Encoder()
_step_decoder = msgspec.msgpack.Decoder(Step)
_head_decoder = msgspec.msgpack.Decoder(PageHead)
_items_decoder = msgspec.msgpack.Decoder(tuple[Item, ...])

#: Steps of the log that are read at opening for the people's histories; each person can take back
#: at most DEPTH of their own, and a class works on a board together.
HISTORY_ROWS = 10 * DEPTH


class Logged(msgspec.Struct, frozen=True):
    """A step in its place in the order, as it is kept and as all browsers get it.

    ``how`` tells a person's own doing from an undo or redo, ``of`` the step which that answers.
    """

    seq: int
    id: str
    by: str
    at_ms: int
    how: How
    of: int
    step: Step


class Opened(msgspec.Struct):
    """A board from the database: its state, histories, the numbers of all its steps by id, and when
    the last was kept."""

    board: Board
    history: History
    seqs: dict[str, int]
    kept_ms: int


def append(board_id: int, rows: Sequence[tuple[Logged, Step]]) -> None:
    """Write steps with their inverses to the log, all or none."""
    with transaction.atomic():
        models.LoggedStep.objects.bulk_create(
            [
                models.LoggedStep(
                    board_id=board_id,
                    seq=logged.seq,
                    step_id=logged.id,
                    seat=logged.by,
                    at_ms=logged.at_ms,
                    how=logged.how,
                    of_seq=logged.of,
                    body=_encoder.encode(logged.step),
                    inverse=_encoder.encode(inverse),
                )
                for logged, inverse in rows
            ]
        )
        models.Board.objects.filter(id=board_id).update(
            seq=rows[-1][0].seq,
            page_count=F("page_count") + sum(_pages_gained(logged.step) for logged, _ in rows),
            changed_at=timezone.now(),
        )


def _pages_gained(step: Step) -> int:
    return isinstance(step, AddPage) - isinstance(step, RemovePage)


def load(board_id: int) -> Board:
    """The board after its last answered step."""
    row = models.Board.objects.get(id=board_id)
    heads = {}
    for snapshot in models.PageSnapshot.objects.filter(board_id=board_id):
        items = _items_decoder.decode(snapshot.items)
        heads[snapshot.page_id] = Page(
            _head_decoder.decode(snapshot.head),
            immutables.Map((item.id, item) for item in items),
            math.floor(max((item.z for item in items), default=0)) + 1,
        )
    board = Board(immutables.Map(heads), tuple(row.order), row.snapshot_seq)
    for logged in since(board_id, row.snapshot_seq):
        board = apply(board, logged.step)
    return board


def open_board(board_id: int) -> Opened:
    """The board with what a room needs to go on with it."""
    history = History()
    newest = models.LoggedStep.objects.filter(board_id=board_id).order_by("-seq")[:HISTORY_ROWS]
    for *row, inverse, body in reversed(
        newest.values_list("seat", "seq", "how", "of_seq", "inverse", "body")
    ):
        history.record(*row, _step_decoder.decode(inverse), _step_decoder.decode(body))
    seqs = dict(models.LoggedStep.objects.filter(board_id=board_id).values_list("step_id", "seq"))
    last = models.LoggedStep.objects.filter(board_id=board_id).order_by("-seq").first()
    return Opened(load(board_id), history, seqs, last.at_ms if last else 0)


def since(board_id: int, seq: int) -> list[Logged]:
    """All steps after number ``seq``, in order."""
    rows = models.LoggedStep.objects.filter(board_id=board_id, seq__gt=seq).order_by("seq")
    fields = ("seq", "step_id", "seat", "at_ms", "how", "of_seq", "body")
    return [
        Logged(seq, step_id, seat, at_ms, how, of_seq, _step_decoder.decode(body))
        for seq, step_id, seat, at_ms, how, of_seq, body in rows.values_list(*fields)
    ]


def traces(board_id: int, page_id: str, item_id: str) -> list[tuple[int, str, str]]:
    """What happened to an item: when, by which seat, and a word for it; the oldest first."""
    rows = models.LoggedStep.objects.filter(board_id=board_id).order_by("seq")
    wanted, found = item_id.encode(), []
    for at_ms, seat, how, body in rows.values_list("at_ms", "seat", "how", "body").iterator():
        # Most steps are about other things: their bytes tell so without being decoded.
        if wanted in bytes(body):
            word = _done_to(_step_decoder.decode(body), page_id, item_id)
            if word:
                found.append((at_ms, seat, word if how == "do" else f"{word} by {how}"))
    return found


def _done_to(step: Step, page_id: str, item_id: str) -> str:
    """What a step did to an item; "" when nothing."""
    if isinstance(step, AddPage):
        return "made with its page" if any(item.id == item_id for item in step.items) else ""
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


def keep_snapshot(board_id: int, board: Board, before: Board) -> None:
    """Write the pages of ``board`` that differ from ``before``, the board of the last snapshot."""
    with transaction.atomic():
        models.PageSnapshot.objects.filter(board_id=board_id).exclude(page_id__in=board.order).delete()
        for page in board.in_order():
            if before.pages.get(page.head.id) is page:
                continue
            models.PageSnapshot.objects.update_or_create(
                board_id=board_id,
                page_id=page.head.id,
                defaults={"head": _encoder.encode(page.head), "items": _encoder.encode(page.in_order())},
            )
        models.Board.objects.filter(id=board_id).update(snapshot_seq=board.seq, order=list(board.order))


def readings(board_id: int) -> dict[str, tuple[str, list[list[str]]]]:
    """What is kept of each page's ink: the mark of that ink, and of each line its likeliest texts."""
    rows = models.PageReading.objects.filter(board_id=board_id).values_list("page_id", "mark", "lines")
    return {page_id: (mark, lines) for page_id, mark, lines in rows}


def keep_reading(board_id: int, page_id: str, mark: str, lines: list[list[str]]) -> None:
    """Keep what a page's ink was read as, in place of what was kept before."""
    models.PageReading.objects.update_or_create(
        board_id=board_id, page_id=page_id, defaults={"mark": mark, "lines": lines}
    )


def keep_picture(room_id: int, picture: CleanPicture) -> str:
    """Keep a cleaned picture in the room; its id."""
    row = models.Picture.objects.create(
        room_id=room_id,
        uid=new_uid(),
        mime=picture.mime,
        width_px=picture.width_px,
        height_px=picture.height_px,
        data=picture.data,
    )
    return row.uid


def pictures(room_id: int, uids: set[str]) -> dict[str, bytes]:
    """Files of those of the room's pictures that are there."""
    rows = models.Picture.objects.filter(room_id=room_id, uid__in=uids).values_list("uid", "data")
    return {uid: bytes(data) for uid, data in rows}
