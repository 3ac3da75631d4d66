"""What is seen for a moment and not kept: ink being drawn, pointers, arrows, instruments in use."""

from __future__ import annotations

import re
from collections.abc import Iterable

import msgspec
import numpy as np

from sunroom.core.board import GraphItem, InkItem, PageHead, Request, needs
from sunroom.core.board.bays import bays_at, page_target
from sunroom.core.board.limits import WIDTHS
from sunroom.core.board.requests import SetGraph
from sunroom.core.board.steps import AddItems, ReplaceItems
from sunroom.core.ink import MAX_SAMPLES, SAMPLE_BYTES, unpack_samples
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.maths.graph import MAX_LETTERS
from sunroom.core.pens import Target
from sunroom.core.pens.facts import BESIDE, BayFacts
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.messages import (
    ClearPointers,
    Instrument,
    Laid,
    Lay,
    Point,
    Pointing,
    Slide,
    Sliding,
    Wet,
    WetInk,
)

#: Wet strokes that a person may have at once: ten fingers.
MAX_WET = 10
#: Of one message: a browser that could not send for some seconds has no more.
MAX_WET_SAMPLES = 2_000
#: Instruments that one person has on a page at once, their largest size in board units, and all angles.
MAX_LAID, MAX_LAID_SIZE, MAX_ANGLE = 5, 20_000.0, 1_000.0
#: Characters of all paths of a graph that is moved, and what they are made of; it is passed on at most so often.
MAX_SLIDE, SLIDE_MS = 80_000, 80
_PATH = re.compile(r"[ML0-9 -]*")


class Fleeting:
    """The wet ink and the pointers of one live room."""

    def __init__(self, inside: Inside) -> None:
        self._inside = inside
        #: When each wet stroke of a connection was seen to begin.
        self._begun: dict[str, dict[str, int]] = {}
        #: When each of the graphs that are moved was passed on last.
        self._slid_ms: dict[str, int] = {}
        #: Seats whose pointer is on somebody's screen.
        self._pointing: set[str] = set()

    def wet(self, member: Member, message: Wet) -> None:
        """Pass a stroke being drawn on to the others, as long as its writer may draw it."""
        board = self._inside.boards[member.board]
        strokes = self._begun.setdefault(member.connection, {})
        page = board.board.pages.get(message.page)
        if message.over or page is None:
            if strokes.pop(message.id, None) is not None:
                board.wet.append(_over(member, message.id))
                self._inside.flush_soon()
            return
        if not _is_wet(message):
            return
        begun_ms = strokes.get(message.id)
        if not self._inside.decide(member, "add_ink", _target(page.head, message, begun_ms)).allowed:
            return
        if begun_ms is None:
            if len(strokes) >= MAX_WET:
                strokes.pop(next(iter(strokes)))
            strokes[message.id] = self._inside.now_ms()
        board.wet.append(WetInk(member.connection, member.actor.seat, message))
        self._inside.flush_soon()

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
        board, seat = self._inside.boards[member.board], member.actor.seat
        target = Target(hidden=message.page in board.hidden)
        if message.on and not self._inside.decide(member, "point", target).allowed:
            return
        if not message.on and seat not in self._pointing:
            return
        if not (abs(message.x) <= MAX_COORDINATE and abs(message.y) <= MAX_COORDINATE):
            return
        if message.on and message.page not in board.board.pages:
            return
        if message.on:
            self._pointing.add(seat)
        else:
            self._pointing.discard(seat)
            message = msgspec.structs.replace(message, page="")
        if message.stay and message.on:
            board.arrows[seat] = message
        elif message.stay:
            board.arrows.pop(seat, None)
        board.pointing.append(Pointing(seat, message))
        self._inside.flush_soon()

    def clear_pointers(self, member: Member, message: ClearPointers) -> None:
        """Take arrows off the board; everyone's only for the tutor side."""
        board = self._inside.boards[member.board]
        everyone = message.everyone and self._inside.decide(member, "set_pens", Target()).allowed
        for seat in list(board.arrows) if everyone else [member.actor.seat]:
            if board.arrows.pop(seat, None):
                board.pointing.append(Pointing(seat, Point("", 0, 0, on=False, stay=True)))
        self._inside.flush_soon()

    def lay(self, member: Member, message: Lay) -> None:
        """Show the others somebody's instruments, as long as they may draw with them."""
        board = self._inside.boards[member.board]
        if len(message.instruments) > MAX_LAID or not all(map(_is_laid, message.instruments)):
            return
        page = board.board.pages.get(message.page)
        allowed = page is not None and self._inside.decide(member, "add_ink", page_target(page.head)).allowed
        if message.instruments and allowed:
            board.laid[member.connection] = Laid(member.connection, member.actor.seat, message)
            board.laying[member.connection] = board.laid[member.connection]
            self._inside.flush_soon()
        else:
            self._take_up(member)

    def slide(self, member: Member, message: Slide) -> None:
        """Show the others a graph as somebody moves it who may change it."""
        board = self._inside.boards[member.board]
        page = board.board.pages.get(message.page)
        graph = page.items.get(message.id) if page else None
        if not isinstance(graph, GraphItem) or not _is_slide(message):
            return
        now_ms = self._inside.now_ms()
        if now_ms - self._slid_ms.get(message.id, 0) < SLIDE_MS:
            return
        request = SetGraph(message.page, message.id, message.ranges, graph.lines, message.letters)
        step = ReplaceItems(message.page, (graph.id,), (graph,))
        asked = needs(board.board, request, step)
        if all(self._inside.decide(member, action, target).allowed for action, target in asked):
            # Only those of this moment matter.
            self._slid_ms = {i: at for i, at in self._slid_ms.items() if now_ms - at < SLIDE_MS}
            self._slid_ms[message.id] = now_ms
            board.sliding[message.id] = Sliding(member.connection, message)
            self._inside.flush_soon()

    def rules_changed(self, members: Iterable[Member]) -> None:
        """Instruments of those who may not draw any more go from the other screens."""
        for member in members:
            board = self._inside.boards[member.board]
            laid = board.laid.get(member.connection)
            page = board.board.pages.get(laid.lay.page) if laid else None
            if laid and (
                page is None or not self._inside.decide(member, "add_ink", page_target(page.head)).allowed
            ):
                self._take_up(member)

    def _take_up(self, member: Member) -> None:
        board = self._inside.boards[member.board]
        if board.laid.pop(member.connection, None):
            board.laying[member.connection] = Laid(member.connection, member.actor.seat, Lay(""))
            self._inside.flush_soon()

    def left(self, member: Member) -> None:
        """A connection is gone: its wet ink and pointer go from the other screens."""
        board = self._inside.boards.get(member.board)
        if board is not None:
            self._take_up(member)
            for stroke in self._begun.pop(member.connection, ()):
                board.wet.append(_over(member, stroke))
            if member.actor.seat in self._pointing:
                self._pointing.discard(member.actor.seat)
                board.pointing.append(Pointing(member.actor.seat, Point("", 0, 0, on=False)))


def _is_wet(message: Wet) -> bool:
    """Whether new samples of a stroke are what a browser can draw."""
    rows, rest = divmod(len(message.samples), SAMPLE_BYTES)
    if rest or rows > MAX_WET_SAMPLES or not 0 <= message.begin <= MAX_SAMPLES - rows:
        return False
    if len(message.id) > 32 or len(message.colour) > 7:
        return False
    if not (WIDTHS[0] <= message.width <= WIDTHS[1] and 0 < message.opacity <= 1):
        return False
    xy = np.frombuffer(message.samples, "<f4", 2 * rows)
    return bool((np.abs(xy) <= MAX_COORDINATE).all())


def _is_slide(message: Slide) -> bool:
    """Whether a browser can draw it, and soon."""
    drawn = message.drawn
    paths = (drawn.grid, drawn.axes, *drawn.curves, *drawn.areas)
    if sum(map(len, paths)) > MAX_SLIDE or not all(map(_PATH.fullmatch, paths)):
        return False
    texts = [label.text for label in drawn.labels]
    return len(texts) <= 200 and sum(map(len, texts)) <= 2_000 and len(message.letters) <= MAX_LETTERS


def _is_laid(instrument: Instrument) -> bool:
    """Whether an instrument can be drawn."""
    return (
        abs(instrument.x) <= MAX_COORDINATE
        and abs(instrument.y) <= MAX_COORDINATE
        and abs(instrument.angle) <= MAX_ANGLE
        and abs(instrument.arm) <= MAX_ANGLE
        and 0 < instrument.size <= MAX_LAID_SIZE
    )


def _over(member: Member, stroke: str) -> WetInk:
    return WetInk(member.connection, member.actor.seat, Wet(stroke, "", "pen", "", 0, 0, b"", over=True))


def _target(head: PageHead, message: Wet, begun_ms: int | None) -> Target:
    """Where new samples of a stroke lie, as the rule book sees it."""
    bays: tuple[BayFacts, ...] = (BESIDE,)
    if head.bays and message.samples:
        bays = bays_at(head, unpack_samples(message.samples)[:, :2])
    return msgspec.structs.replace(page_target(head), bays=bays, begun_ms=begun_ms)
