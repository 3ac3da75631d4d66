"""The boards of a room by HTTP: a new one, its name, its place, a copy, putting away, and its end."""

from __future__ import annotations

import time

import msgspec
from asgiref.sync import async_to_sync, sync_to_async
from django.http import HttpRequest, HttpResponse
from django.utils.timezone import now
from django.views.decorators.http import require_http_methods, require_POST

from sunroom.boards import store
from sunroom.boards.models import Board
from sunroom.boards.services import boards_of, copy_board, create_board, move_board, unpack_board
from sunroom.boards.space import check_space
from sunroom.core.board.requests import GoneError
from sunroom.core.errors import MalformedError
from sunroom.core.formats import package
from sunroom.core.lesson import OpenLesson
from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import body_file, made, making, pages_of_board, settle
from sunroom.live.doors.home import owned, tell_lesson
from sunroom.live.room.registry import board_cards, registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of
from sunroom.rooms.security import address_of, note
from sunroom.words import say

MAX_BOARDS = 200


class NewBoard(msgspec.Struct):
    title: str = ""


class BoardId(msgspec.Struct):
    id: str


class ChangeBoard(msgspec.Struct):
    """What is given is changed; ``place`` counts from 0, ``away`` puts the board away or brings it back."""

    title: str | None = None
    place: int | None = None
    away: bool | None = None


class ToBoard(msgspec.Struct):
    """The board that a page is to go to; ``move``: it leaves the one it is on."""

    board: str
    move: bool = False


def check_boards(row: Room) -> None:
    """Raise Problem when a room has as many boards as it may."""
    if row.boards.count() >= MAX_BOARDS:
        raise Problem(409, said("a-room-has-at-most", boards=MAX_BOARDS))


@require_POST
@answers_problems
def boards(request: HttpRequest, link: str) -> HttpResponse:
    """A new board; the first one of a new room opens its first lesson."""
    row = owned(request, link)
    check_boards(row)
    first = not row.boards.exists()
    numbered = say("board-number", {"number": row.boards.count() + 1}, language_of(request))
    title = body(request, NewBoard).title.strip() or (row.title if first else numbered)
    board = create_board(row, title, _now_ms())
    async_to_sync(tell_boards)(row)
    if first:
        async_to_sync(tell_lesson)(row, OpenLesson())
    return answer(BoardId(board.uid), 201)


@require_POST
@answers_problems
def bring_in_board(request: HttpRequest, link: str) -> HttpResponse:
    """Make a board of a package (the request's body) in the owner's room."""
    allow(request, "package", 30, 600)
    row = owned(request, link)
    check_boards(row)
    with body_file(request, package.MAX_BYTES) as file, making():
        check_space(row.pk, file.stat().st_size)
        taken = made(file_jobs.take_package, str(file), services.tutor_seat(row).uid)
        if isinstance(taken, Sentence):
            raise Problem(400, taken)
        board = unpack_board(row, *taken, int(time.time() * 1000))
    async_to_sync(tell_boards)(row)
    return answer(BoardId(board.uid), 201)


@require_http_methods(["PATCH", "DELETE"])
@answers_problems
def board(request: HttpRequest, link: str, board: str) -> HttpResponse:
    """Change one board, or delete it with all that was ever on it; a room keeps one in use."""
    row, found = _found(request, link, board)
    if request.method == "DELETE":
        _put_away(row, found, True)
        note("board deleted", address_of(request), room=row.pk, board=board)
        found.delete()
        return answer({})
    wanted = body(request, ChangeBoard)
    if wanted.title is not None:
        found.title = clean_name(wanted.title, "title", 80)
        found.save(update_fields=["title"])
    if wanted.away is not None:
        _put_away(row, found, wanted.away)
    if wanted.place is not None:
        move_board(found, max(0, wanted.place))
    async_to_sync(tell_boards)(row)
    return answer({})


@require_POST
@answers_problems
def copy(request: HttpRequest, link: str, board: str) -> HttpResponse:
    """Another board with the same pages."""
    allow(request, "file", 60, 60)
    row, found = _found(request, link, board)
    check_boards(row)
    check_space(row.pk, found.log_bytes)
    async_to_sync(settle)(row.pk)
    with making():
        twin = copy_board(found, pages_of_board(found), found.title, _now_ms())
    async_to_sync(tell_boards)(row)
    return answer(BoardId(twin.uid), 201)


@require_POST
@answers_problems
def bring_page(request: HttpRequest, link: str, board: str, page: str) -> HttpResponse:
    """Put a page behind those of another board of the room, as a copy or altogether."""
    allow(request, "file", 60, 60)
    row, found = _found(request, link, board)
    wanted = body(request, ToBoard)
    try:
        async_to_sync(_bring)(row, found.uid, page, wanted)
    except (GoneError, MalformedError) as error:
        raise Problem(409, error.sentence) from error
    except store.DamagedLogError as error:
        raise Problem(500, said("this-board-cannot-be-opened")) from error
    return answer({})


async def _bring(row: Room, board: str, page: str, wanted: ToBoard) -> None:
    """By the live room, which alone writes its boards."""
    entered = await registry().enter(row, board)
    other = await registry().enter(row, wanted.board) if wanted.board != board else None
    if entered is None or other is None:
        raise GoneError("board_gone", said("that-board-is-no-longer"))
    (live, here), there = entered, other[1]
    seat = await sync_to_async(services.tutor_seat)(row)
    await live.steps.bring_page(here, page, there, Actor(seat.uid, "tutor", seat.name), wanted.move)


def _found(request: HttpRequest, link: str, board: str) -> tuple[Room, Board]:
    row = owned(request, link)
    found = row.boards.filter(uid=board).first()
    if found is None:
        raise Problem(404, said("that-board-is-no-longer"))
    return row, found


def _keep_one(found: Board) -> None:
    if found.away_at is None and boards_of(found.room_id).count() == 1:
        raise Problem(409, said("a-room-keeps-at-least"))


def _put_away(row: Room, found: Board, away: bool) -> None:
    if away == (found.away_at is not None):
        return
    if away:
        _keep_one(found)
    else:
        check_boards(row)
    found.away_at = now() if away else None
    found.save(update_fields=["away_at"])
    if away:
        # Only now: who is sent off it comes in again at once, and must not find it.
        async_to_sync(_board_gone)(row, found.uid)


async def tell_boards(row: Room) -> None:
    live = registry().find(row.pk)
    if live is not None:
        live.set_boards(await sync_to_async(board_cards)(row.pk))


async def _board_gone(row: Room, uid: str) -> None:
    await registry().board_gone(row.pk, uid)


def _now_ms() -> int:
    return int(time.time() * 1000)
