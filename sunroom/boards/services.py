"""Making boards outside a live room."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from django.db import transaction
from django.db.models import QuerySet

from sunroom.boards import repository, store
from sunroom.boards.models import Board
from sunroom.boards.store import Logged
from sunroom.core.board import Page, PageHead
from sunroom.core.board.steps import AddPage, RemovePage
from sunroom.core.formats.media import Medium
from sunroom.core.formats.package import Packed, with_files
from sunroom.core.formats.pictures import CleanPicture
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.services import new_uid


def create_board(room: Room, title: str, now_ms: int) -> Board:
    """A board with one empty page, which is nobody's step and cannot be undone."""
    return _made(room, title, [AddPage(PageHead(new_uid()), 0)], now_ms)


def unpack_board(
    room: Room, packed: Packed, files: Mapping[str, CleanPicture | Medium], now_ms: int
) -> Board:
    """A board as it was in a package, with its files; all of it or nothing.

    The files are written one after the other, so that ink is kept between them.
    """
    uids = repository.keep_files(room.pk, files)
    try:
        pages = [with_files(page, uids) for page in packed.pages]
        steps = [AddPage(page.head, at, page.items) for at, page in enumerate(pages)]
        with transaction.atomic():
            return _made(room, packed.title, steps, now_ms)
    except Exception:
        repository.drop_files(room.pk, set(uids.values()))
        raise


def boards_of(room_id: int) -> QuerySet[Board]:
    """The boards in use of a room, in their order."""
    return Board.objects.filter(room_id=room_id, away_at=None).order_by("place", "id")


def copy_board(board: Board, pages: Sequence[Page], title: str, now_ms: int) -> Board:
    """A board with the same ``pages``, right behind its pattern; pictures are the room's, and serve both."""
    with transaction.atomic():
        steps = [AddPage(page.head, at, tuple(page.in_order())) for at, page in enumerate(pages)]
        made = _made(board.room, title, steps, now_ms)
        move_board(made, [other.pk for other in boards_of(board.room_id)].index(board.pk) + 1)
    return made


def move_board(board: Board, place: int) -> None:
    """Put a board at a place of the room's order, counted from 0."""
    with transaction.atomic():
        others = [other for other in boards_of(board.room_id) if other.pk != board.pk]
        others.insert(min(place, len(others)), board)
        for at, other in enumerate(others, 1):
            Board.objects.filter(pk=other.pk).update(place=at)


def _made(room: Room, title: str, steps: list[AddPage], now_ms: int) -> Board:
    last = boards_of(room.pk).last()
    board = Board.objects.create(
        room=room, uid=new_uid(), title=clean_name(title, "title", 80), place=last.place + 1 if last else 1
    )
    rows = [
        (Logged(seq, new_uid(), "", now_ms, "do", 0, step), RemovePage(step.head.id))
        for seq, step in enumerate(steps, 1)
    ]
    store.append(board.pk, rows)
    return board
