"""What files need of a room. Each asks the same door as the live line."""

from __future__ import annotations

import logging
import tempfile
import threading
import time
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from pathlib import Path
from typing import Any, TypeVar

import msgspec
from asgiref.sync import async_to_sync
from django.conf import settings
from django.http import HttpRequest

from sunroom.boards import models, store
from sunroom.core.board import Page
from sunroom.core.board.bays import targets_of
from sunroom.core.pens import Actor, Target, decide
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.lessons import repository as lessons
from sunroom.live.room.access import may_look
from sunroom.live.room.registry import registry
from sunroom.live.work import workers
from sunroom.live.work.pool import JobError
from sunroom.rooms import services
from sunroom.rooms.requests import Problem

logger = logging.getLogger(__name__)

T = TypeVar("T")

PICTURE_WIDTH_PX = 480
#: Boards that are loaded for files at once, and how long one may wait for its turn: each takes from the loop's time.
TURNS, WAIT_S = 1, 30.0
_turns = threading.BoundedSemaphore(TURNS)


class BroughtIn(msgspec.Struct):
    """A picture that has been taken, and its size."""

    id: str
    width: int
    height: int


async def settle(room_id: int) -> None:
    """Wait for steps on their way to the disk, so that the file shows what the screen shows."""
    live = registry().find(room_id)
    if live is not None:
        await live.keeper.settled()


def visible_board(request: HttpRequest, uid: str) -> models.Board:
    """The board, if this browser may look at it now (put away: its owner's alone); raises Problem."""
    row = models.Board.objects.filter(uid=uid).select_related("room", "room__owner").first()
    may = services.owns if row and row.away_at else may_look
    if row is None or not may(row.room, request.user, request.session):
        raise Problem(404, said("this-board-is-not-open"))
    return row


def pages_of_board(row: models.Board) -> list[Page]:
    """The pages of a board in their order; raises Problem when it cannot be opened."""
    try:
        return store.load(row.pk).in_order()
    except store.DamagedLogError as error:
        logger.error("Board %s cannot be opened: %s", row.uid, error)
        raise Problem(
            500,
            said("this-board-cannot-be-opened"),
        ) from error


@contextmanager
def making() -> Iterator[None]:
    """A turn at loading a board and making or taking a file of it; raises Problem when none comes for long."""
    if not _turns.acquire(timeout=WAIT_S):
        raise Problem(503, said("many-files-are-being-made"))
    try:
        yield
    finally:
        _turns.release()


@contextmanager
def body_file(request: HttpRequest, most: int) -> Iterator[Path]:
    """The request's body as a file that a worker can read, gone afterwards; raises Problem when it is too large."""
    with tempfile.NamedTemporaryFile(dir=settings.DATA_DIR, prefix="coming-in-") as file:
        size = 0
        while part := request.read(1_000_000):
            size += len(part)
            if size > most:
                raise Problem(413, said("the-file-is-larger-than", mb=most // 1_000_000))
            file.write(part)
        file.flush()
        yield Path(file.name)


def made(job: Callable[..., T], *arguments: Any, limit_s: float = workers.FILE_S) -> T:
    """``job(*arguments)`` in a worker; raises Problem when it was ended."""
    try:
        return async_to_sync(workers.run_file)(job, *arguments, limit_s=limit_s)
    except JobError as error:
        raise Problem(503, said("that-is-too-large-a")) from error


async def _live_pages(room_id: int, uid: str) -> list[Page] | None:
    """The pages of a board that people are on, as they are now."""
    live = registry().find(room_id)
    board = live.boards.get(uid) if live else None
    return board.board.in_order() if board else None


def check_may_bring(request: HttpRequest, row: models.Board, action: Action = "add_picture") -> None:
    """Raise Problem when this browser may put nothing of the kind anywhere on the board."""
    found = may_look(row.room, request.user, request.session)
    actor = Actor(found.seat.uid, found.facts.role) if found else Actor("", "onlooker")
    facts, now_ms = lessons.load(row.room).facts, int(time.time() * 1000)
    # Where it will lie is decided when it is put there; some place of the board must be free for it. A board that
    # people are on is at hand: to be told no costs nothing.
    live = async_to_sync(_live_pages)(row.room_id, row.uid)
    pages = pages_of_board(row) if live is None else live
    places = [place for page in pages for place in targets_of(page.head)]
    verdicts = [decide(actor, action, place, facts, now_ms) for place in places or [Target()]]
    if not any(verdict.allowed for verdict in verdicts):
        raise Problem(403, verdicts[0].sentence)
