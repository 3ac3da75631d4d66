"""The rooms that are live in this process: opened with the first person, let go after the last."""

from __future__ import annotations

import asyncio
import logging
import time
from collections import defaultdict
from functools import partial

from django.conf import settings

from sunroom.boards.services import boards_of
from sunroom.boards.space import most_bytes, used_bytes
from sunroom.boards.store import BoardStore
from sunroom.core.pens import Actor
from sunroom.core.sentences import said
from sunroom.lessons import repository as lessons
from sunroom.live.room.board import LiveBoard
from sunroom.live.room.room import LiveRoom
from sunroom.live.room.seats import MOST_GONE
from sunroom.live.wire.messages import BoardCard, Goodbye
from sunroom.live.wire.pace import Paces
from sunroom.live.work.media_server import MediaCall
from sunroom.rooms import services
from sunroom.rooms.models import Room

logger = logging.getLogger(__name__)

#: An empty room stays open this long: a reload or a lost line should find it warm.
LINGER_S = 20.0
#: An honest hand sends about 60 wet messages and a few steps a second. Tabs and devices of a seat share this.
MESSAGES_PER_S, MESSAGE_BURST = 200.0, 500.0
BYTES_PER_S, BYTE_BURST = 1_500_000.0, 6_000_000.0
#: Hands, signs, lines of the chat, what the tutor presses; and coming in anew.
COMMANDS_PER_S, COMMAND_BURST = 4.0, 30.0
JOINS_PER_S, JOIN_BURST = 0.5, 15.0
#: Wrong codes from one address, which may be that of a whole school.
WRONG_CODES_PER_S, WRONG_CODE_BURST = 0.5, 60.0
#: Lines of one seat, and from one address: a school of 300 with two tabs each.
MOST_OF_SEAT, MOST_OF_ADDRESS = 12, 1_000


class Registry:
    """Live rooms by the id of their row, and rates of those who are in them; all methods run in the event loop."""

    def __init__(self) -> None:
        self._rooms: dict[int, LiveRoom] = {}
        #: One room's slow opening or closing holds up nobody else's.
        self._opening: defaultdict[int, asyncio.Lock] = defaultdict(asyncio.Lock)
        self._closing: dict[int, asyncio.TimerHandle] = {}
        self._tasks: set[asyncio.Task[None]] = set()
        self.messages = Paces(MESSAGES_PER_S, MESSAGE_BURST, time.monotonic)
        self.bytes = Paces(BYTES_PER_S, BYTE_BURST, time.monotonic)
        self.commands = Paces(COMMANDS_PER_S, COMMAND_BURST, time.monotonic)
        self.joins = Paces(JOINS_PER_S, JOIN_BURST, time.monotonic)
        self.wrong_codes = Paces(WRONG_CODES_PER_S, WRONG_CODE_BURST, time.monotonic)
        self._turnstile = asyncio.Lock()
        self.lines: defaultdict[str, int] = defaultdict(int)

    def find(self, room_id: int) -> LiveRoom | None:
        return self._rooms.get(room_id)

    async def turn(self) -> None:
        """Wait for a round of the loop in which nobody else sends a large message: small ones go between them."""
        async with self._turnstile:
            await asyncio.sleep(0)

    def opened_line(self, whom: str, most: int) -> bool:
        """Count a line of a seat or an address; False when it has too many, and then it is not counted."""
        if self.lines[whom] >= most:
            return False
        self.lines[whom] += 1
        return True

    def closed_line(self, whom: str) -> None:
        self.lines[whom] -= 1
        if self.lines[whom] <= 0:
            del self.lines[whom]

    async def enter(self, room: Room, board_uid: str) -> tuple[LiveRoom, LiveBoard] | None:
        """The live room and one of its boards ("" for the first); None when there is no such board.

        Raises
        ------
        DamagedLogError
            When the board cannot be opened.
        """
        async with self._opening[room.pk]:
            timer = self._closing.pop(room.pk, None)
            if timer:
                timer.cancel()
            live = self._rooms.get(room.pk)
            if live is None:
                live = self._rooms[room.pk] = await self._open(room)
            try:
                cards = await asyncio.to_thread(board_cards, room.pk)
                uid = board_uid or next((card.id for card in cards), "")
                board = live.boards.get(uid)
                if board is None:
                    board = await asyncio.to_thread(_open_board, room.pk, uid)
                    if board is None:
                        return None
                    live.boards[uid] = board
                    cards = await asyncio.to_thread(board_cards, room.pk)  # as they are by now
                live.set_boards(cards)
                return live, board
            finally:
                self.left(live)

    async def _open(self, room: Room) -> LiveRoom:
        row = await asyncio.to_thread(Room.objects.get, pk=room.pk)
        lesson = await asyncio.to_thread(lessons.load, row)
        chat = await asyncio.to_thread(lessons.said, row.pk)
        names = await asyncio.to_thread(services.names, row.pk)
        away = await asyncio.to_thread(services.sent_away, row.pk, MOST_GONE)
        used = await asyncio.to_thread(used_bytes, row.pk)
        return LiveRoom(
            row.pk,
            row.title,
            row.link,
            lesson,
            chat=chat,
            names=names,
            away=[Actor(seat.uid, seat.role, seat.name) for seat in away],  # type: ignore[arg-type]
            free=most_bytes() - used,
            rehearsal=row.rehearses_id is not None,
            media=partial(MediaCall, settings.MEDIA, settings.MEDIA_SECRET) if settings.MEDIA else None,
        )

    def left(self, live: LiveRoom) -> None:
        """Somebody went, or did not come in; an empty room is closed after a while."""
        if live.empty and live.room_id not in self._closing and self._rooms.get(live.room_id) is live:
            loop = asyncio.get_running_loop()
            self._closing[live.room_id] = loop.call_later(LINGER_S, self._begin_close, live)

    def _begin_close(self, live: LiveRoom) -> None:
        self._closing.pop(live.room_id, None)
        task = asyncio.get_running_loop().create_task(self._close(live))
        self._tasks.add(task)
        task.add_done_callback(self._tasks.discard)

    async def _close(self, live: LiveRoom) -> None:
        async with self._opening[live.room_id]:
            if not live.empty:
                return
            await live.close()
            self._rooms.pop(live.room_id, None)

    def signed_out(self, sessions: set[str]) -> None:
        """Browsers were signed out: their lines end."""
        for live in list(self._rooms.values()):
            live.seats.signed_out(sessions)

    async def gone(self, room_id: int) -> None:
        """A room is being deleted: everybody leaves it, and nothing more of it is kept."""
        async with self._opening[room_id]:
            live = self._rooms.pop(room_id, None)
            if live is not None:
                live.seats.all_out(Goodbye("room_gone", said("this-room-was-deleted-by"), False))
                await live.close()

    async def board_gone(self, room_id: int, uid: str) -> None:
        """A board was put away, to be deleted or not: nobody is on it any more, and nothing more of it is kept."""
        async with self._opening[room_id]:
            live = self._rooms.get(room_id)
            if live is None:
                return
            live.seats.off_board(uid)
            live.boards.pop(uid, None)
            await live.keeper.settled()
            live.set_boards(tuple(card for card in live.cards if card.id != uid))

    async def close_all(self) -> None:
        """The server stops: all that was taken is written, and snapshots make the next opening fast."""
        for timer in self._closing.values():
            timer.cancel()
        rooms, self._rooms = list(self._rooms.values()), {}
        await asyncio.gather(*(room.close() for room in rooms))


def board_cards(room_id: int) -> tuple[BoardCard, ...]:
    """The boards in use of a room, in their order."""
    rows = boards_of(room_id).values_list("uid", "title")
    return tuple(BoardCard(uid, title) for uid, title in rows)


def _open_board(room_id: int, uid: str) -> LiveBoard | None:
    row = boards_of(room_id).filter(uid=uid).first()
    if row is None:
        return None
    store = BoardStore(row.pk)
    return LiveBoard(row.uid, row.title, store, store.open())


_registries: dict[asyncio.AbstractEventLoop, Registry] = {}


def registry() -> Registry:
    """The registry of the running event loop."""
    loop = asyncio.get_running_loop()
    if loop not in _registries:
        _registries.clear()
        _registries[loop] = Registry()
    return _registries[loop]
