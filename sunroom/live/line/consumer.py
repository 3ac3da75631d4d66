"""A browser's line to its room: frames in, frames out, and nothing decided here.

This is the one owner of a connection's life. However it ends, by a goodbye, a fault, or a browser that is just gone, it
leaves the room once (``_gone``).
"""

from __future__ import annotations

import asyncio
import logging
import secrets
import time
from typing import Any, Literal

import msgspec
from channels.generic.websocket import AsyncWebsocketConsumer

from sunroom.boards.store import DamagedLogError
from sunroom.boards.traces import traces as traces_of
from sunroom.core.errors import MalformedError
from sunroom.core.lesson.door import SENTENCES
from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.live.line.ways import ice_servers
from sunroom.live.room.access import Entrant, entrant_of_session
from sunroom.live.room.member import Member
from sunroom.live.room.registry import MOST_OF_ADDRESS, MOST_OF_SEAT, Registry, registry
from sunroom.live.room.room import LiveRoom
from sunroom.live.wire.calls import Call, Caption, SetRecording, Signal
from sunroom.live.wire.messages import (
    WIRE,
    AtPorch,
    ClearPointers,
    Do,
    Follow,
    FromBrowser,
    Goodbye,
    Inspect,
    Inspected,
    Join,
    Lay,
    Lead,
    Look,
    PageItems,
    Ping,
    Play,
    Point,
    Pong,
    React,
    Refused,
    Say,
    SeeAs,
    Slide,
    Tell,
    Trace,
    Travel,
    View,
    Wet,
    encode,
)
from sunroom.live.wire.pace import MAX_SMALL_MESSAGE, Pace
from sunroom.live.wire.readings import Read, Readings, Teach
from sunroom.live.work import reading
from sunroom.rooms.services import NoRoom

logger = logging.getLogger(__name__)

#: A page of 10,000 strokes goes in parts, between which other people's frames get their turn.
ITEMS_PER_MESSAGE = 500
#: Of larger messages one is sent in a round of the loop.
LARGE = 100_000
#: A line is for joining a room: so long it may take to ask for that.
JOIN_S = 20.0
#: Travel is slow, and then poor, when an answer takes longer than this.
SLOW_MS, POOR_MS = 250.0, 900.0
#: Nobody honest is ever made to wait for so long in all.
FLOOD_S = 0.3
#: What is asked about items' pasts: so often a second, and at once.
INSPECT_PER_S, INSPECT_BURST = 1.0, 10.0

#: Signals of a call: a browser that comes to thirty others sends about a dozen to each.
SIGNALS_PER_S, SIGNALS_BURST = 40.0, 400.0

CLOSE_SEE_GOODBYE = 4000
CLOSE_COME_AGAIN = 4001

#: What everybody is told, or a writer to the disk; a person has one pace for all of these.
TOLD = Tell | Say | Caption | React | Lead | Play | Call | SetRecording | ClearPointers

_decoder = msgspec.msgpack.Decoder(FromBrowser)


class LiveConsumer(AsyncWebsocketConsumer):
    """One websocket of one person."""

    async def __call__(self, scope: Any, receive: Any, send: Any) -> None:
        self._member: Member | None = None
        self._room: LiveRoom | None = None
        self._entrant: Entrant | None = None
        self._tasks: dict[str, asyncio.Task[None]] = {}
        self._counted: list[str] = []
        #: What is to be read next: a selection, and what was written last, which waits for that.
        self._wanted: dict[bool, Read] = {}
        self._over = False
        self._registry: Registry = registry()
        self._signal_pace = Pace(SIGNALS_PER_S, SIGNALS_BURST, time.monotonic)
        self._inspect_pace = Pace(INSPECT_PER_S, INSPECT_BURST, time.monotonic)
        try:
            await super().__call__(scope, receive, send)
        finally:
            self._gone()

    async def dispatch(self, message: Any) -> None:
        """As channels does, without its look after old database connections, which hops to a thread at each message."""
        match message["type"]:
            case "websocket.connect":
                await self.websocket_connect(message)
            case "websocket.receive":
                await self.websocket_receive(message)
            case "websocket.disconnect":
                await self.websocket_disconnect(message)

    def _gone(self) -> None:
        """The line has ended, in whatever way."""
        self._over = True
        for task in self._tasks.values():
            task.cancel()
        self._leave()
        for whom in self._counted:
            self._registry.closed_line(whom)
        self._counted = []

    def _leave(self) -> None:
        room, member, self._room = self._room, self._member, None
        if room and member:
            room.let_go(member)
            self._registry.left(room)

    async def connect(self) -> None:
        await self.accept()
        if not self._count(f"address {self._address}", MOST_OF_ADDRESS):
            return await self._goodbye("too_many", said("more-browsers-of-one-address"), again=True)
        self._start("joining", self._expect_join())

    @property
    def _address(self) -> str:
        return str((self.scope.get("client") or ("",))[0])

    def _count(self, whom: str, most: int) -> bool:
        if not self._registry.opened_line(whom, most):
            return False
        self._counted.append(whom)
        return True

    async def _expect_join(self) -> None:
        await asyncio.sleep(JOIN_S)
        if self._member is None:
            await self._goodbye("too_late", said("this-page-did-not-say"), again=True)

    def _start(self, name: str, work: Any) -> None:
        """Do something for this line beside reading it, one of each kind at a time."""
        running = self._tasks.pop(name, None)
        if running:
            running.cancel()
        task = asyncio.get_running_loop().create_task(work)
        self._tasks[name] = task
        task.add_done_callback(self._ended)

    def _running(self, name: str) -> bool:
        task = self._tasks.get(name)
        return task is not None and not task.done()

    def _ended(self, task: asyncio.Task[None]) -> None:
        if not task.cancelled() and task.exception() and not isinstance(task.exception(), OSError):
            logger.error("Beside a line", exc_info=task.exception())

    async def receive(self, text_data: str | None = None, bytes_data: bytes | None = None) -> None:
        data = bytes_data or b""
        member = self._member
        if self._over or (member and member.ended):
            return
        whom = member.actor.seat if member else f"address {self._address}"
        messages, size = self._registry.messages.of(whom), self._registry.bytes.of(whom)
        await messages.wait()
        await size.wait(len(data))
        if member and max(messages.held_s, size.held_s) > FLOOD_S:
            self._flooded(member)
        if len(data) > MAX_SMALL_MESSAGE and not _puts_things(data):
            return await self._refuse(data, "too_large", said("that-message-is-larger-than"))
        try:
            message = _decoder.decode(data)
        except (msgspec.DecodeError, RecursionError) as error:
            logger.info("A message that is none from %s: %s", self._address, error)
            return await self._refuse(
                data, "malformed", said("the-server-could-not-understand", error=str(error)[:200])
            )
        if isinstance(message, Ping):
            return await self._pinged(message)
        if self._room is None or self._member is None or self._member.connection not in self._room.members:
            if isinstance(message, Join):
                await self._join(message)
            return
        if isinstance(message, TOLD):
            await self._registry.commands.of(self._member.actor.seat).wait()
        try:
            await self._dispatch(self._room, self._member, message)
        except MalformedError as error:
            self._room.refuse(self._member, _id_of(data), "malformed", error.sentence)

    async def _dispatch(self, room: LiveRoom, member: Member, message: Any) -> None:
        match message:
            case Wet():
                room.fleeting.wet(member, message)
            case Do():
                await room.do(member, message)
            case Point():
                room.fleeting.point(member, message)
            case Slide():
                room.fleeting.slide(member, message)
            case Lay():
                room.fleeting.lay(member, message)
            case ClearPointers():
                room.fleeting.clear_pointers(member, message)
            case Lead():
                room.talk.lead(member, message)
            case Play():
                room.playing.play(member, message)
            case SetRecording():
                room.recording.record(member, message)
            case Say():
                room.talk.say(member, message)
            case Caption():
                room.talk.caption(member, message)
            case Tell():
                room.tell(member, message)
            case Look():
                room.look(member, message)
            case Call():
                room.calling.call(member, message, ice_servers(member.actor.seat))
            case Signal():
                await self._signal_pace.wait()
                room.calling.signal(member, message)
            case React():
                room.talk.react(member, message)
            case Follow():
                room.talk.follow(member, message)
            case View():
                room.talk.view(member, message)
            case SeeAs():
                room.see_as(member, message)
            case Inspect():
                await self._inspect_pace.wait()
                self._start("inspecting", self._inspect(room, member, message))
            case Read():
                self._wanted[message.unasked] = message
                if not self._running("reading"):
                    self._start("reading", self._read(room, member))
            case Teach():
                # The ink is taken now: it is about to become type.
                if not self._running("teaching"):
                    lines = reading.corrected(room.seen_now(member), message, member.actor.seat)
                    self._start("teaching", reading.teach(lines, member.actor.seat, self._language))

    # Coming in

    async def _join(self, join: Join) -> None:
        """Ask at the door with the seat as it is now, and come in or wait."""
        if join.wire != WIRE:
            return await self._goodbye("old_page", said("this-page-is-older-than"))
        names = self.scope["url_route"]["kwargs"]
        session_key = self.scope["session"].session_key
        try:
            entrant = await asyncio.to_thread(entrant_of_session, names["link"], names["door"], session_key)
        except NoRoom as error:
            return await self._goodbye("no_room", error.sentence)
        if entrant is None:
            return await self._goodbye("no_seat", said("come-in-by-the-rooms"))
        if self._entrant is None and not self._count(f"seat {entrant.seat.uid}", MOST_OF_SEAT):
            sentence = said("tabs-and-devices-of-yours", ofseat=MOST_OF_SEAT)
            return await self._goodbye("too_many", sentence)
        self._entrant = entrant
        await self._registry.joins.of(entrant.seat.uid).wait()
        try:
            found = await self._registry.enter(entrant.room, join.board)
        except DamagedLogError as error:
            logger.error("A board of room %s cannot be opened: %s", entrant.room.pk, error)
            sentence = said("this-board-cannot-be-opened")
            return await self._goodbye("damaged", sentence)
        if found is None:
            return await self._goodbye("no_board", said("that-board-is-no-longer"))
        room, board = found
        member = self._member = self._member or Member(
            secrets.token_hex(6), _actor(entrant), session_key or "", entrant.pairing
        )
        member.actor = _actor(entrant)
        self._room = room
        tries = self._registry.wrong_codes.of(self._address)
        answer = room.at_door(member, entrant.facts, join.code if tries.left >= 1 else "")
        self._start_pump(member)
        if answer == "wrong":
            tries.delay_s()
        if answer in ("knock", "code", "wrong"):
            needs: Literal["knock", "code"] = "knock" if answer == "knock" else "code"
            member.put(encode(AtPorch(needs, room.lesson.facts.writer, wrong=bool(join.code))))
            return
        if answer != "in":
            sentence, again = SENTENCES[answer]
            return member.dismiss(
                Goodbye("between_closed" if answer == "closed" else answer, sentence, again)
            )
        member.coming_in = True
        welcome = room.join(member, board, join)
        pages = board.seen_by(member.actor.tutor_side).in_order()
        await self.send(bytes_data=encode(welcome))
        if welcome.pages is not None:
            for page in sorted(pages, key=lambda page: page.head.id != join.page):
                if page.head.hidden and not member.actor.tutor_side:
                    continue  # made a student again while the pages came
                # Putting a full page in order takes longer than a stroke may wait.
                items = await asyncio.to_thread(page.in_order)
                for at in range(0, max(len(items), 1), ITEMS_PER_MESSAGE):
                    part = tuple(items[at : at + ITEMS_PER_MESSAGE])
                    last = at + ITEMS_PER_MESSAGE >= len(items)
                    await self._send(encode(PageItems(page.head.id, part, last)))
                    if member.ended:
                        return
        if not room.caught_up(member, welcome.seq):
            self._leave()
            await self.close(CLOSE_COME_AGAIN)

    def _start_pump(self, member: Member) -> None:
        if "pump" not in self._tasks:
            self._start("pump", self._pump(member))

    async def _pump(self, member: Member) -> None:
        """Send what the room puts in; when the member has ended, close the line from this side."""
        while (message := await member.take()) is not None:
            await self._send(message)
        self._leave()
        self._over = True
        await self.close(CLOSE_COME_AGAIN if member.ended == "lagging" else CLOSE_SEE_GOODBYE)

    async def _send(self, message: bytes) -> None:
        if len(message) > LARGE:
            await self._registry.turn()
        await self.send(bytes_data=message)

    # Small things

    def _flooded(self, member: Member) -> None:
        """Tell somebody who sends far too much that they are slowed, and show it to the tutor side."""
        if member.travel != "flooding" and self._room:
            sentence = said("more-comes-from-here-than")
            self._room.refuse(member, "", "too_fast", sentence)
            member.travel = "flooding"
            self._room.people_changed()

    async def _pinged(self, ping: Ping) -> None:
        member, room = self._member, self._room
        if member is None or room is None:
            return await self.send(bytes_data=encode(Pong(ping.at)))
        member.put(encode(Pong(ping.at)))
        travel: Travel = "good" if ping.took_ms < SLOW_MS else "slow" if ping.took_ms < POOR_MS else "poor"
        if travel != member.travel:
            member.travel = travel
            room.people_changed()

    async def _inspect(self, room: LiveRoom, member: Member, message: Inspect) -> None:
        """Find in the board's log who made and changed an item."""
        board = room.boards[member.board]
        if message.page in board.hidden and not member.actor.tutor_side:
            return
        found = await asyncio.to_thread(traces_of, board.store.board_id, message.page[:32], message.id[:32])
        names = room.seats.names
        traces = tuple(Trace(at_ms, seat, names.get(seat, "Somebody"), what) for at_ms, seat, what in found)
        member.put(encode(Inspected(message.ref, traces)))

    async def _read(self, room: LiveRoom, member: Member) -> None:
        """Answer what ink may be, one selection after the other; of those asked meanwhile only the last."""
        while self._wanted:
            message = self._wanted.pop(min(self._wanted))
            if member.actor.role == "onlooker":
                answer = Readings(message.ref, problem=said("onlookers-look-and-nothing-is"))
            else:
                names = tuple(room.seats.names.values())
                answer = await reading.read(room.seen_now(member), message, self._language, names)
            if message.unasked not in self._wanted:
                member.put(encode(answer))

    @property
    def _language(self) -> str:
        return self._entrant.room.language if self._entrant else "en"

    async def _refuse(self, data: bytes, reason: str, sentence: Sentence) -> None:
        await self.send(bytes_data=encode(Refused(_id_of(data), reason, sentence)))

    async def _goodbye(self, reason: str, sentence: Sentence, again: bool = False) -> None:
        self._over = True
        await self.send(bytes_data=encode(Goodbye(reason, sentence, again)))
        await self.close(CLOSE_SEE_GOODBYE)


def _actor(entrant: Entrant) -> Actor:
    seat = entrant.seat
    return Actor(seat.uid, seat.role, seat.name, owner=seat.door == "tutor")  # type: ignore[arg-type]


def _puts_things(data: bytes) -> bool:
    """Whether a message says of itself that it is a step: only those may be large."""
    return b"\xa4type\xa2do" in data[:64]


def _id_of(data: bytes) -> str:
    """The id of a message that could not be understood, so that its sender knows which it was.

    It stands near the beginning as a short string; nothing is unpacked to find it.
    """
    at = data[:200].find(b"\xa2id")
    if at < 0:
        return ""
    size = data[at + 3] - 0xA0 if at + 3 < len(data) else -1
    return data[at + 4 : at + 4 + size].decode("ascii", "ignore") if 0 < size < 32 else ""
