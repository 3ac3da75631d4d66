"""The rooms that are live in this process: opened with the first person, let go after the last."""

from __future__ import annotations

import asyncio
import logging

from sunroom.boards import models, repository
from sunroom.core.lesson import Lesson
from sunroom.lessons import repository as lessons
from sunroom.live.board import LiveBoard
from sunroom.live.messages import BoardCard
from sunroom.live.room import LiveRoom
from sunroom.rooms import services
from sunroom.rooms.models import Room

logger = logging.getLogger(__name__)

#: An empty room stays open this long: a reload or a lost line should find it warm.
LINGER_S = 20.0


class Registry:
    """Live rooms by the id of their row; all methods run in the event loop."""

    def __init__(self) -> None:
        self._rooms: dict[int, LiveRoom] = {}
        self._opening = asyncio.Lock()
        self._closing: dict[int, asyncio.TimerHandle] = {}
        self._tasks: set[asyncio.Task[None]] = set()

    def find(self, room_id: int) -> LiveRoom | None:
        return self._rooms.get(room_id)

    async def enter(self, room: Room, board_uid: str) -> tuple[LiveRoom, LiveBoard] | None:
        """The live room and one of its boards ("" for the first); None when there is no such board."""
        async with self._opening:
            timer = self._closing.pop(room.pk, None)
            if timer:
                timer.cancel()
            live = self._rooms.get(room.pk)
            if live is None:
                lesson: Lesson = await asyncio.to_thread(lessons.load, room)
                chat = await asyncio.to_thread(lessons.said, room.pk)
                names = await asyncio.to_thread(services.names, room.pk)
                live = LiveRoom(room.pk, room.title, room.link, lesson, chat=chat, names=names)
                self._rooms[room.pk] = live
            board = live.boards.get(board_uid)
            if board is None:
                board = await asyncio.to_thread(_open_board, room.pk, board_uid)
                if board is None:
                    self.left(live)
                    return None
                # "" may have led to a board that is live already.
                board = live.boards.setdefault(board.uid, board)
            live.set_boards(await asyncio.to_thread(board_cards, room.pk))
            return live, board

    def left(self, live: LiveRoom) -> None:
        """Somebody went; an empty room is closed after a while."""
        if not live.members and not live.porch.waiting and live.room_id not in self._closing:
            loop = asyncio.get_running_loop()
            self._closing[live.room_id] = loop.call_later(LINGER_S, self._begin_close, live)

    def _begin_close(self, live: LiveRoom) -> None:
        self._closing.pop(live.room_id, None)
        task = asyncio.get_running_loop().create_task(self._close(live))
        self._tasks.add(task)
        task.add_done_callback(self._tasks.discard)

    async def _close(self, live: LiveRoom) -> None:
        async with self._opening:
            if live.members or live.porch.waiting:
                return
            for board in live.boards.values():
                if board.kept.seq > board.snapshot.seq:
                    board.keep_snapshot(live.keeper)
            await live.keeper.settled()
            live.keeper.stop()
            self._rooms.pop(live.room_id, None)


def board_cards(room_id: int) -> tuple[BoardCard, ...]:
    """All boards of a room, the oldest first."""
    rows = models.Board.objects.filter(room_id=room_id).order_by("id").values_list("uid", "title")
    return tuple(BoardCard(uid, title) for uid, title in rows)


def _open_board(room_id: int, uid: str) -> LiveBoard | None:
    rows = models.Board.objects.filter(room_id=room_id).order_by("id")
    row = (rows.filter(uid=uid) if uid else rows).first()
    if row is None:
        return None
    return LiveBoard(row.pk, row.uid, row.title, repository.open_board(row.pk))


_registries: dict[asyncio.AbstractEventLoop, Registry] = {}


def registry() -> Registry:
    """The registry of the running event loop."""
    loop = asyncio.get_running_loop()
    if loop not in _registries:
        _registries.clear()
        _registries[loop] = Registry()
    return _registries[loop]
