"""A browser's line to its room: frames in, frames out, and nothing decided here."""

from __future__ import annotations

import asyncio
import logging
import secrets
import time
from typing import Any

import msgspec
from channels.generic.websocket import AsyncWebsocketConsumer

from sunroom.boards import repository
from sunroom.core.pens import Actor
from sunroom.live import reading
from sunroom.live.board import LiveBoard
from sunroom.live.limits import Pace
from sunroom.live.member import Member
from sunroom.live.messages import (
    AtPorch,
    ClearPointers,
    Do,
    Follow,
    FromBrowser,
    Goodbye,
    Inspect,
    Inspected,
    Join,
    Lead,
    Line,
    Look,
    PageItems,
    Ping,
    Point,
    Pong,
    React,
    Read,
    Refused,
    Say,
    SeeAs,
    Teach,
    Tell,
    Trace,
    View,
    Wet,
    encode,
)
from sunroom.live.porch import Answer
from sunroom.live.registry import registry
from sunroom.live.room import LiveRoom
from sunroom.rooms.hands import hand_of
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.services import NoRoom, pairing_of, seat_at

logger = logging.getLogger(__name__)

#: An honest hand sends about 60 wet messages and a few steps a second.
MESSAGES_PER_S, MESSAGE_BURST = 200.0, 800.0
BYTES_PER_S, BYTE_BURST = 2_000_000.0, 16_000_000.0
#: A page of 10,000 strokes goes in parts, between which other people's frames get their turn.
ITEMS_PER_MESSAGE = 500
#: Codes are not found by trying.
WRONG_CODES_PER_S, WRONG_CODE_BURST = 0.2, 5.0
#: A line is slow, and then poor, when an answer takes longer than this.
SLOW_MS, POOR_MS = 250.0, 900.0
#: Nobody honest is ever made to wait for so long in all.
FLOOD_S = 0.3

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
        self._inspecting: asyncio.Task[None] | None = None
        self._teaching: asyncio.Task[None] | None = None
        #: Whoever has not been let in yet.
        self._waiting: Member | None = None
        self._messages = Pace(MESSAGES_PER_S, MESSAGE_BURST, time.monotonic)
        self._bytes = Pace(BYTES_PER_S, BYTE_BURST, time.monotonic)
        self._wrong_codes = Pace(WRONG_CODES_PER_S, WRONG_CODE_BURST, time.monotonic)
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
        await asyncio.to_thread(hand_of, self._seat, self.scope["user"], self.scope["session"])
        self._pairing: int = pairing_of(self._seat, self.scope["session"])

    async def disconnect(self, code: int) -> None:
        for task in (self._pump_task, self._reading, self._inspecting):
            if task:
                task.cancel()
        member = self._member or self._waiting
        if self._room and member:
            self._room.leave(member)
            registry().left(self._room)

    async def receive(self, text_data: str | None = None, bytes_data: bytes | None = None) -> None:
        data = bytes_data or b""
        await self._messages.wait()
        await self._bytes.wait(len(data))
        if max(self._messages.held_s, self._bytes.held_s) > FLOOD_S and self._room and self._member:
            self._flooded(self._room, self._member)
        try:
            message = _decoder.decode(data)
        except msgspec.DecodeError as error:
            logger.info("A message that is none from %s: %s", self.scope.get("client"), error)
            sentence = f"The server could not understand that: {error}."
            return await self.send(bytes_data=encode(Refused(_id_of(data), "malformed", sentence)))
        if self._member is None:
            if isinstance(message, Join) and hasattr(self, "_seat"):
                await self._join(message)
            elif isinstance(message, Ping):
                await self.send(bytes_data=encode(Pong(message.at)))
            return
        self._dispatch(self._member, message)

    def _dispatch(self, member: Member, message: Any) -> None:
        room = self._room
        assert room is not None
        match message:
            case Wet():
                room.fleeting.wet(member, message)
            case Do():
                room.do(member, message)
            case Point():
                room.fleeting.point(member, message)
            case ClearPointers():
                room.fleeting.clear_pointers(member, message)
            case Lead():
                room.talk.lead(member, message)
            case Say():
                room.talk.say(member, message)
            case Tell():
                room.tell(member, message)
            case Look():
                room.look(member, message)
            case Ping():
                self._pinged(room, member, message)
            case React():
                room.talk.react(member, message)
            case Follow():
                room.talk.follow(member, message)
            case View():
                room.talk.view(member, message)
            case SeeAs():
                room.see_as(member, message)
            case Inspect():
                self._inspecting = asyncio.create_task(self._inspect(member, room, message))
            case Read():
                if self._reading:
                    self._reading.cancel()  # the selection has changed: nobody waits for the old answer
                self._reading = asyncio.create_task(self._read(member, room.boards[member.board], message))
            case Teach():
                # The ink is taken now: it is about to become type.
                lines = reading.corrected(room.boards[member.board], message, member.actor.seat)
                taught = reading.teach(lines, member.actor.seat, self._row.language)
                self._teaching = asyncio.create_task(taught)

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
        member = self._waiting or Member(secrets.token_hex(6), _actor(seat))
        member.pairing = self._pairing
        asked = room.porch.ask(member, room.lesson, seat.admitted, join.code)
        if asked != "in":
            return await self._to_porch(room, member, asked)
        if join.code and seat.admitted is None:
            room.keeper.keep(room.store.admitted, (seat.uid, True))
        self._member = member
        welcome = room.join(member, board, join)
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
        room.joined(member)
        if self._pump_task is None:
            self._pump_task = asyncio.create_task(self._pump(member))

    async def _to_porch(self, room: LiveRoom, member: Member, asked: Answer) -> None:
        """Say what the door asks for, and let who knocks wait."""
        if asked == "wrong":
            await self._wrong_codes.wait()
        if asked == "knock":
            room.porch.knock(member, room.now_ms())
            room.door_changed()
        self._waiting = member
        needs = "knock" if asked == "knock" else "code"
        member.put(encode(AtPorch(needs, room.lesson.facts.writer, wrong=asked == "wrong")))
        if self._pump_task is None:
            self._pump_task = asyncio.create_task(self._pump(member))

    def _flooded(self, room: LiveRoom, member: Member) -> None:
        """Tell somebody who sends far too much that they are slowed, and show it to the tutor side."""
        if member.line != "flooding":
            sentence = "More comes from here than any hand can write. You are being slowed down."
            member.put(encode(Refused("", "too_fast", sentence)))
            member.line = "flooding"
            room.people_changed()

    def _pinged(self, room: LiveRoom, member: Member, ping: Ping) -> None:
        member.put(encode(Pong(ping.at)))
        line: Line = "good" if ping.took_ms < SLOW_MS else "slow" if ping.took_ms < POOR_MS else "poor"
        if line != member.line:
            member.line = line
            room.people_changed()

    async def _inspect(self, member: Member, room: LiveRoom, message: Inspect) -> None:
        """Find in the board's log who made and changed an item."""
        board = room.boards[member.board]
        found = await asyncio.to_thread(repository.traces, board.row_id, message.page[:32], message.id[:32])
        names = room.seats.names
        traces = tuple(Trace(at_ms, seat, names.get(seat, "Somebody"), what) for at_ms, seat, what in found)
        member.put(encode(Inspected(message.ref, traces)))

    async def _pump(self, member: Member) -> None:
        while True:
            message = await member.take()
            if message is None:
                # Out of the room first, so that nothing more is queued; then told to come again.
                if self._room:
                    self._room.leave(member)
                return await self.close(CLOSE_COME_AGAIN)
            try:
                await self.send(bytes_data=message)
            except OSError:
                return  # the browser has just gone; ``disconnect`` follows

    async def _read(self, member: Member, board: LiveBoard, message: Read) -> None:
        member.put(encode(await reading.read(board, message, self._row.language)))

    async def _goodbye(self, reason: str, sentence: str, again: bool = False) -> None:
        await self.send(bytes_data=encode(Goodbye(reason, sentence, again)))
        await self.close(CLOSE_SEE_GOODBYE)


def _actor(seat: Seat) -> Actor:
    return Actor(seat.uid, seat.role, seat.name, owner=seat.door == "tutor")


def _id_of(data: bytes) -> str:
    """The id of a message that could not be understood, so that its sender knows which it was."""
    try:
        value = msgspec.msgpack.decode(data)
    except (msgspec.DecodeError, RecursionError):
        return ""
    found = value.get("id", "") if isinstance(value, dict) else ""
    return found[:32] if isinstance(found, str) else ""
