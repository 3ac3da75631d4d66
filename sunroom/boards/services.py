"""Making boards outside a live room."""

from __future__ import annotations

from sunroom.boards import repository
from sunroom.boards.models import Board
from sunroom.boards.repository import Logged
from sunroom.core.board import PageHead
from sunroom.core.board.steps import AddPage, RemovePage
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.services import new_uid


def create_board(room: Room, title: str, now_ms: int) -> Board:
    """A board with one empty page, which is nobody's step and cannot be undone."""
    board = Board.objects.create(room=room, uid=new_uid(), title=clean_name(title, "title", 80))
    page = PageHead(new_uid())
    logged = Logged(1, new_uid(), "", now_ms, "do", 0, AddPage(page, 0))
    repository.append(board.pk, [(logged, RemovePage(page.id))])
    return board
