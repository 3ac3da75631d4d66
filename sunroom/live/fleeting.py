"""What is seen for a moment and not kept: ink being drawn, pointers, arrows."""

from __future__ import annotations

from typing import TYPE_CHECKING

import msgspec
import numpy as np

from sunroom.core.board import InkItem, PageHead, Request
from sunroom.core.board.bays import bays_at, page_target
from sunroom.core.board.requests import AddItems
from sunroom.core.ink import MAX_SAMPLES, SAMPLE_BYTES, unpack_samples
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.pens import Target
from sunroom.core.pens.facts import BESIDE
from sunroom.live.member import Member
from sunroom.live.messages import ClearPointers, Point, Pointing, Wet, WetInk

if TYPE_CHECKING:
    from sunroom.live.room import LiveRoom

#: Wet strokes that a person may have at once: ten fingers.
MAX_WET = 10


class Fleeting:
    """The wet ink and the pointers of one live room."""

    def __init__(self, room: LiveRoom) -> None:
        self._room = room
        #: When each wet stroke of a connection was seen to begin.
        self._begun: dict[str, dict[str, int]] = {}

    def wet(self, member: Member, message: Wet) -> None:
        """Pass a stroke being drawn on to the others, as long as its writer may draw it."""
        board = self._room.boards[member.board]
        strokes = self._begun.setdefault(member.connection, {})
        page = board.board.pages.get(message.page)
        if message.over or page is None:
            if strokes.pop(message.id, None) is not None:
                board.wet.append(_over(member, message.id))
                self._room.flush_soon()
            return
        rows, rest = divmod(len(message.samples), SAMPLE_BYTES)
        if rest or message.begin + rows > MAX_SAMPLES or len(message.id) > 32 or len(message.colour) > 7:
            return
        begun_ms = strokes.get(message.id)
        if not self._room.decide(member, "add_ink", _target(page.head, message, begun_ms)).allowed:
            return
        if begun_ms is None:
            if len(strokes) >= MAX_WET:
                strokes.pop(next(iter(strokes)))
            strokes[message.id] = self._room.now_ms()
        board.wet.append(WetInk(member.connection, member.actor.seat, message))
        self._room.flush_soon()

    def begun_ms(self, member: Member, request: Request) -> int | None:
        """When the ink of a request was seen to begin, if all of it was; its wet strokes are over."""
        strokes = self._begun.get(member.connection)
        if not strokes or not isinstance(request, AddItems):
            return None
        begun = [strokes.pop(item.id, None) for item in request.items if isinstance(item, InkItem)]
        known = [at for at in begun if at is not None]
        return max(known) if known and len(known) == len(request.items) else None

    def point(self, member: Member, message: Point) -> None:
        """Show a person's pointer to the others."""
        if message.on and not self._room.decide(member, "point", Target()).allowed:
            return
        if not (abs(message.x) <= MAX_COORDINATE and abs(message.y) <= MAX_COORDINATE):
            return
        board, seat = self._room.boards[member.board], member.actor.seat
        if message.stay and message.on:
            board.arrows[seat] = message
        elif message.stay:
            board.arrows.pop(seat, None)
        board.pointing.append(Pointing(seat, message))
        self._room.flush_soon()

    def clear_pointers(self, member: Member, message: ClearPointers) -> None:
        """Take arrows off the board; everyone's only for the tutor side."""
        board = self._room.boards[member.board]
        everyone = message.everyone and self._room.decide(member, "set_pens", Target()).allowed
        for seat in list(board.arrows) if everyone else [member.actor.seat]:
            if board.arrows.pop(seat, None):
                board.pointing.append(Pointing(seat, Point("", 0, 0, on=False, stay=True)))
        self._room.flush_soon()

    def left(self, member: Member) -> None:
        """A connection is gone: its wet ink and pointer go from the other screens."""
        board = self._room.boards.get(member.board)
        if board is not None:
            for stroke in self._begun.pop(member.connection, ()):
                board.wet.append(_over(member, stroke))
            board.pointing.append(Pointing(member.actor.seat, Point("", 0, 0, on=False)))


def _over(member: Member, stroke: str) -> WetInk:
    return WetInk(member.connection, member.actor.seat, Wet(stroke, "", "pen", "", 0, 0, b"", over=True))


def _target(head: PageHead, message: Wet, begun_ms: int | None) -> Target:
    """Where new samples of a stroke lie, as the rule book sees it."""
    bays = (BESIDE,)
    if head.bays and message.samples:
        bays = bays_at(head, np.nan_to_num(unpack_samples(message.samples)[:, :2]))
    return msgspec.structs.replace(page_target(head), bays=bays, begun_ms=begun_ms)
