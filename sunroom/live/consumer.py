"""A browser's line to its room: frames in, frames out, and nothing decided here."""

from __future__ import annotations

import asyncio
import logging
import secrets
import time
from typing import Any

import msgspec
from channels.generic.websocket import AsyncWebsocketConsumer

from sunroom.core.board import InkItem
from sunroom.core.pens import Actor
from sunroom.live import workers
from sunroom.live.board import LiveBoard
from sunroom.live.limits import Pace
from sunroom.live.member import Member
from sunroom.live.messages import (
    ClearPointers,
    Do,
    FromBrowser,
    Goodbye,
    Join,
    Lead,
    Look,
    PageItems,
    Ping,
    Point,
    Pong,
    Read,
    Readings,
    Refused,
    Say,
    Tell,
    Wet,
)
from sunroom.live.registry import registry
from sunroom.live.room import LiveRoom, encode
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.services import NoRoom, seat_at

logger = logging.getLogger(__name__)

#: An honest hand sends about 60 wet messages and a few steps a second.
MESSAGES_PER_S, MESSAGE_BURST = 200.0, 800.0
BYTES_PER_S, BYTE_BURST = 2_000_000.0, 16_000_000.0
#: A page of 10,000 strokes goes in parts, between which other people's frames get their turn.
ITEMS_PER_MESSAGE = 500

CLOSE_SEE_GOODBYE = 4000
CLOSE_COME_AGAIN = 4001

_decoder = msgspec.msgpack.Decoder(FromBrowser)


class LiveConsumer(AsyncWebsocketConsumer):
    """One websocket of one person."""

    async def connect(self) -> None:
        self._member: Member | None = None
        self._room: LiveRoom | None = None
        self._pump_task: asyncio.Task[None] | None = None
        self._reading: asyncio.Task[None] | None = None
        self._messages = Pace(MESSAGES_PER_S, MESSAGE_BURST, time.monotonic)
        self._bytes = Pace(BYTES_PER_S, BYTE_BURST, time.monotonic)
        await self.accept()
        names = self.scope["url_route"]["kwargs"]
        try:
            found = await asyncio.to_thread(
                seat_at, names["link"], names["door"], self.scope["user"], self.scope["session"]
            )
        except NoRoom as error:
            return await self._goodbye("no_room", error.sentence)
        if found is None:
            return await self._goodbye("no_seat", "Come in by the room's link first.")
        self._row: Room = found[0]
        self._seat: Seat = found[1]

    async def disconnect(self, code: int) -> None:
        for task in (self._pump_task, self._reading):
            if task:
                task.cancel()
        if self._room and self._member:
            self._room.leave(self._member)
            registry().left(self._room)

    async def receive(self, text_data: str | None = None, bytes_data: bytes | None = None) -> None:
        data = bytes_data or b""
        await self._messages.wait()
        await self._bytes.wait(len(data))
        try:
            message = _decoder.decode(data)
        except msgspec.DecodeError as error:
            logger.info("A message that is none from %s: %s", self.scope.get("client"), error)
            sentence = f"The server could not understand that: {error}."
            return await self.send(bytes_data=encode(Refused(_id_of(data), "malformed", sentence)))
        if self._member is None:
            if isinstance(message, Join) and hasattr(self, "_seat"):
                await self._join(message)
            return
        self._dispatch(self._member, message)

    def _dispatch(self, member: Member, message: Any) -> None:
        room = self._room
        assert room is not None
        match message:
            case Wet():
                room.wet(member, message)
            case Do():
                room.do(member, message)
            case Point():
                room.point(member, message)
            case ClearPointers():
                room.clear_pointers(member, message)
            case Lead():
                room.lead(member, message)
            case Say():
                room.say(member, message)
            case Tell():
                room.tell(member, message)
            case Look():
                room.look(member, message)
            case Ping():
                member.put(encode(Pong(message.at)))
            case Read():
                if self._reading:
                    self._reading.cancel()  # the selection has changed: nobody waits for the old answer
                self._reading = asyncio.create_task(self._read(member, room.boards[member.board], message))

    async def _join(self, join: Join) -> None:
        found = await registry().enter(self._row, join.board)
        if found is None:
            return await self._goodbye("no_board", "That board is no longer in this room.")
        room, board = found
        seat = self._seat
        facts = room.lesson.facts
        if seat.role in ("student", "onlooker") and not facts.open and facts.between == "closed":
            registry().left(room)
            sentence = "There is no lesson on, and the room is closed until the next one."
            return await self._goodbye("between_closed", sentence, again=True)
        if seat.sent_away:
            registry().left(room)
            return await self._goodbye("sent_away", "The tutor has sent you out of this room.")
        self._room = room
        self._member = Member(secrets.token_hex(6), Actor(seat.uid, seat.role, seat.name))
        welcome = room.join(self._member, board, join)
        pages = board.kept.in_order()
        await self.send(bytes_data=encode(welcome))
        if welcome.pages is not None:
            for page in sorted(pages, key=lambda page: page.head.id != join.page):
                items = tuple(page.in_order())
                for at in range(0, max(len(items), 1), ITEMS_PER_MESSAGE):
                    part = items[at : at + ITEMS_PER_MESSAGE]
                    last = at + ITEMS_PER_MESSAGE >= len(items)
                    await self.send(bytes_data=encode(PageItems(page.head.id, part, last)))
                    await asyncio.sleep(0)
        self._pump_task = asyncio.create_task(self._pump(self._member))

    async def _pump(self, member: Member) -> None:
        while True:
            message = await member.take()
            if message is None:
                # Out of the room first, so that nothing more is queued; then told to come again.
                if self._room:
                    self._room.leave(member)
                return await self.close(CLOSE_COME_AGAIN)
            await self.send(bytes_data=message)

    async def _read(self, member: Member, board: LiveBoard, message: Read) -> None:
        page = board.board.pages.get(message.page)
        items = [page.items.get(item_id) for item_id in message.ids] if page else []
        ink = [item for item in items if isinstance(item, InkItem) and item.nib != "highlighter"]
        strokes = [(item.samples, item.placement) for item in ink]
        if not strokes:
            return _answer(member, Readings(message.ref, problem="There is no ink to read."))
        try:
            readings, figures = await workers.run(workers.read_ink, strokes)
        except Exception:
            logger.exception("Reading %d strokes", len(strokes))
            return _answer(member, Readings(message.ref, problem="This ink could not be read just now."))
        problem = "" if readings or figures else "This cannot be read as writing or as a figure."
        _answer(member, Readings(message.ref, readings, figures, problem))

    async def _goodbye(self, reason: str, sentence: str, again: bool = False) -> None:
        await self.send(bytes_data=encode(Goodbye(reason, sentence, again)))
        await self.close(CLOSE_SEE_GOODBYE)


def _answer(member: Member, readings: Readings) -> None:
    member.put(encode(readings))


def _id_of(data: bytes) -> str:
    """The id of a message that could not be understood, so that its sender knows which it was."""
    try:
        value = msgspec.msgpack.decode(data)
    except (msgspec.DecodeError, RecursionError):
        return ""
    found = value.get("id", "") if isinstance(value, dict) else ""
    return found[:32] if isinstance(found, str) else ""
