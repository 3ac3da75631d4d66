"""The room actor: one live room, where every step and command gets its place in the order.

Decide (core.pens), apply (core.board, core.lesson), keep (the keeper), then tell everybody. Nothing in
here waits between deciding and queueing for the disk, so no two steps are ever decided at once.
"""

from __future__ import annotations

import asyncio
import logging
import time
from collections.abc import Callable
from functools import partial

import msgspec

from sunroom.boards.repository import Logged
from sunroom.core.board import InkItem, needs
from sunroom.core.board.requests import AddItems, GoneError, check_request
from sunroom.core.board.steps import ChangePage, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.ink import MAX_SAMPLES, SAMPLE_BYTES
from sunroom.core.ink.samples import MAX_COORDINATE
from sunroom.core.lesson import Lesson, Said, arrive, carry_out, check_said, expire, hears, leave
from sunroom.core.lesson.chat import ALL, TUTOR_SIDE
from sunroom.core.lesson.commands import (
    LessonCommand,
    PassPen,
    SeatCommand,
    SendAway,
    SetRole,
    TakePen,
    action_of,
)
from sunroom.core.lesson.record import Entry, What, described
from sunroom.core.pens import Actor, Target, decide, standing
from sunroom.core.pens.rules import Action, Verdict
from sunroom.lessons import repository as lessons
from sunroom.live.board import LiveBoard
from sunroom.live.keeper import Keeper
from sunroom.live.member import Member
from sunroom.live.messages import (
    Answered,
    BoardCard,
    ClearPointers,
    Do,
    Frame,
    Goodbye,
    Heard,
    Join,
    Lead,
    Look,
    Person,
    Point,
    Pointing,
    Refused,
    Say,
    Tell,
    ToBrowser,
    Welcome,
    Wet,
    WetInk,
    You,
)
from sunroom.live.store import RoomStore

logger = logging.getLogger(__name__)

#: Everything that happens within a tick goes out as one frame: one picture of a 60 Hz screen.
TICK_S = 0.016
#: Wet strokes that a person may have at once: ten fingers.
MAX_WET = 10
#: Taking so many things off at once is a clearing, which the record shows.
CLEARING = 10

_encoder = msgspec.msgpack.Encoder()


def encode(message: ToBrowser) -> bytes:
    return _encoder.encode(message)


class LiveRoom:
    """A room with somebody in it.

    Parameters
    ----------
    room_id, title, link
        Of the room's row.
    lesson : Lesson
        As it was kept.
    clock : callable
        The server's time in seconds; tests bring their own.
    chat : list of Said
        The last lines that were said.
    """

    def __init__(
        self,
        room_id: int,
        title: str,
        link: str,
        lesson: Lesson,
        clock: Callable[[], float] = time.time,
        chat: list[Said] | None = None,
    ) -> None:
        self.room_id, self.title, self.link = room_id, title, link
        self.lesson = lesson
        self.chat = chat or []
        #: The view that everyone is kept at.
        self.led: Lead | None = None
        self._leader = ""
        self.members: dict[str, Member] = {}
        self.boards: dict[str, LiveBoard] = {}
        #: All boards of the room, live or not.
        self.cards: tuple[BoardCard, ...] = ()
        self.keeper = Keeper(self._trouble)
        self._store = RoomStore(room_id)
        self._clock = clock
        self._begun: dict[str, dict[str, int]] = {}
        self._told_lesson: Lesson | None = None
        self._told_trouble: str | None = None
        self._people_changed = self._cards_changed = False
        self._flushed_at = 0.0
        self._flush_handle: asyncio.TimerHandle | None = None
        self._expiry: asyncio.TimerHandle | None = None
        self._await_expiry()

    def now_ms(self) -> int:
        return int(self._clock() * 1000)

    # Coming and going

    def join(self, member: Member, board: LiveBoard, join: Join) -> Welcome:
        """Let a connection in; what it must be shown first. Frames gather for it from here on."""
        if not self._here(member.actor.seat):
            self._write_down(member.actor, "came")
        self.members[member.connection] = member
        member.board = board.uid
        arrived = arrive(self.lesson, member.actor.role, self.now_ms())
        if member.actor.role == "tutor" and arrived.facts.writer != member.actor.name:
            facts = msgspec.structs.replace(arrived.facts, writer=member.actor.name)
            arrived = msgspec.structs.replace(arrived, facts=facts)
        self._set_lesson(arrived)
        self._people_changed = True
        self._flush_soon()
        missed = board.missed_since(join.have_seq) if join.have_seq >= 0 else None
        undos, redos = board.history.depth(member.actor.seat)
        return Welcome(
            seat=member.actor.seat,
            connection=member.connection,
            role=member.actor.role,
            room=self.title,
            link=self.link,
            board=BoardCard(board.uid, board.title),
            now_ms=self.now_ms(),
            lesson=self.lesson,
            people=self.people(),
            seq=board.kept.seq,
            kept_ms=board.kept_ms,
            undos=undos,
            redos=redos,
            pages=None if missed is not None else tuple(page.head for page in board.kept.in_order()),
            missed=missed or (),
            boards=self.cards,
            lead=self.led,
            chat=tuple(line for line in self.chat if self._shown(member, line)),
            arrows=tuple(Pointing(seat, arrow) for seat, arrow in board.arrows.items()),
        )

    def set_boards(self, cards: tuple[BoardCard, ...]) -> None:
        """Tell everyone which boards the room has, when that has changed."""
        if cards != self.cards:
            self.cards, self._cards_changed = cards, True
            self._flush_soon()

    def leave(self, member: Member) -> None:
        """A connection is gone: its wet ink and pointer go from the other screens."""
        if self.members.pop(member.connection, None) is None:
            return
        if not self._here(member.actor.seat):
            self._write_down(member.actor, "went")
        board = self.boards.get(member.board)
        if board is not None:
            for stroke in self._begun.pop(member.connection, ()):
                board.wet.append(self._wet_over(member, stroke))
            board.pointing.append(Pointing(member.actor.seat, Point("", 0, 0, on=False)))
        if self.led and not self._here(self._leader):
            # Nobody is kept at a view of somebody who has gone.
            self.led = None
            self._tell_lead(Lead("", Box(0, 0, 0, 0)))
        self._people_changed = True
        self._flush_soon()

    def people(self) -> tuple[Person, ...]:
        """Who is here, the tutor side first, then by name."""
        seats: dict[str, Person] = {}
        for member in self.members.values():
            actor, known = member.actor, seats.get(member.actor.seat)
            tabs, page = (known.tabs + 1, member.page or known.page) if known else (1, member.page)
            seats[actor.seat] = Person(actor.seat, actor.name, actor.role, tabs, page, member.board)
        rank = {"tutor": 0, "helper": 1, "student": 2, "onlooker": 3}
        return tuple(sorted(seats.values(), key=lambda p: (rank[p.role], p.name.casefold())))

    # What members send

    def do(self, member: Member, message: Do) -> None:
        """Decide on a step, apply it, queue it for the disk; or refuse it with a reason."""
        board = self.boards[member.board]
        landed = board.seqs.get(message.id)
        if landed is not None:
            # Sent again after a lost line. If it is not on disk yet, its frame is still to come.
            if landed <= board.kept.seq:
                member.put(encode(Answered(message.id, landed)))
            return
        now_ms, seat = self.now_ms(), member.actor.seat
        try:
            if not 6 <= len(message.id) <= 32:
                raise MalformedError("id", "A step's id has 6 to 32 characters.")
            check_request(message.request)
            step, how, of = board.plan(message.request, seat, now_ms)
        except MalformedError as error:
            return self._refuse(member, message.id, "malformed", str(error))
        except GoneError as error:
            return self._refuse(member, message.id, error.code, str(error))
        begun_ms = self._begun_ms(member, message)
        for action, target in needs(board.board, message.request, step, begun_ms):
            verdict = self._decide(member, action, target)
            if not verdict.allowed:
                return self._refuse(member, message.id, verdict.reason, verdict.sentence)
        logged = Logged(board.board.seq + 1, message.id, seat, now_ms, how, of, step)
        board.take(logged, self.keeper, self._flush_soon)
        if isinstance(step, RemoveItems) and len(step.ids) >= CLEARING:
            self._write_down(member.actor, "did", f"cleared {len(step.ids)} things")

    def tell(self, member: Member, message: Tell) -> None:
        """Carry out a command to the lesson, or refuse it with a reason."""
        command = message.command
        verdict = self._decide(member, action_of(command, member.actor.seat), Target())
        if not verdict.allowed:
            return self._refuse(member, message.id, verdict.reason, verdict.sentence)
        names = {m.actor.seat: m.actor.name for m in self.members.values()}
        if isinstance(command, SetRole | SendAway):
            if self._change_seat(member, message.id, command):
                self._write_down(member.actor, "did", described(command, names))
            return
        if isinstance(command, PassPen | TakePen) and not self._is_student(command.seat):
            return self._refuse(
                member, message.id, "not_a_student", "Only a student who is here can be passed a pen."
            )
        try:
            self.carry_out(command, member.actor.seat)
        except MalformedError as error:
            return self._refuse(member, message.id, "malformed", str(error))
        self._write_down(member.actor, "did", described(command, names))

    def _write_down(self, actor: Actor, what: What, text: str = "") -> None:
        """Put a line into the record; what has no words is not recorded."""
        if text or what != "did":
            entry = Entry(self.now_ms(), actor.seat, actor.name, what, text[:200])
            self.keeper.keep(self._store.record, entry)

    def _change_seat(self, member: Member, message_id: str, command: SeatCommand) -> bool:
        """Give a person another role, or send them away; nobody does that to the tutor or themselves.

        False when it was refused.
        """
        theirs = [m for m in self.members.values() if m.actor.seat == command.seat]
        if not theirs or theirs[0].actor.role == "tutor" or command.seat == member.actor.seat:
            self._refuse(
                member, message_id, "not_a_student", "That person is not here, or cannot be changed."
            )
            return False
        if isinstance(command, SetRole):
            if theirs[0].actor.role == "onlooker":
                self._refuse(member, message_id, "onlooker", "Onlookers have a door of their own.")
                return False
            self.keeper.keep(self._store.role, command)
            for other in theirs:
                other.actor = msgspec.structs.replace(other.actor, role=command.role)
        else:
            self.keeper.keep(self._store.sent_away, command)
            bye = encode(Goodbye("sent_away", "The tutor has sent you out of this room.", False))
            for other in theirs:
                other.put(bye)
                self.leave(other)
        self._set_lesson(leave(self.lesson, command.seat, self.now_ms()))
        self._people_changed = True
        for other in theirs:
            if other.connection in self.members:
                self.tell_standing(other)
        self._flush_soon()
        return True

    def lead(self, member: Member, message: Lead) -> None:
        """Bring everyone's view to a part of a page, once or until it is let go."""
        verdict = self._decide(member, "lead_view", Target())
        box = message.box
        if not verdict.allowed:
            return self._refuse(member, "", verdict.reason, verdict.sentence)
        if not all(abs(side) <= MAX_COORDINATE for side in (box.x0, box.y0, box.x1, box.y1)):
            return
        led = msgspec.structs.replace(
            message, page=message.page[:32], board=member.board, name=member.actor.name
        )
        self.led = led if led.hold and led.page else None
        self._leader = member.actor.seat
        self._tell_lead(led)

    def _tell_lead(self, led: Lead) -> None:
        told = encode(led)
        for other in self.members.values():
            if other.actor.seat != self._leader:
                other.put(told)

    def say(self, member: Member, message: Say) -> None:
        """Keep a line of the chat and show it to those whom it is for."""
        actor = member.actor
        action: Action = "chat_all" if message.to == ALL else "chat_tutor"
        verdict = self._decide(member, action, Target())
        if not verdict.allowed:
            return self._refuse(member, message.id, verdict.reason, verdict.sentence)
        if message.to not in (ALL, TUTOR_SIDE) and not actor.tutor_side:
            sentence = "You can say something to everybody or to the tutor."
            return self._refuse(member, message.id, "tutor_side_only", sentence)
        try:
            text = check_said(message.text)
        except MalformedError as error:
            return self._refuse(member, message.id, "malformed", str(error))
        line = Said(self.now_ms(), actor.seat, actor.name, message.to[:20], text)
        self.keeper.keep(self._store.said, line, partial(self._said, line))

    def _said(self, line: Said) -> None:
        self.chat = [*self.chat[1 - lessons.CHAT_LINES :], line]
        message = encode(Heard(line))
        for member in self.members.values():
            if self._shown(member, line):
                member.put(message)

    def _shown(self, member: Member, line: Said) -> bool:
        return member.actor.role != "onlooker" and hears(member.actor, line)

    def carry_out(self, command: LessonCommand, seat: str = "") -> None:
        """Change the lesson by a command that has been allowed; see core.lesson.carry_out for errors."""
        self._set_lesson(carry_out(self.lesson, command, seat, self.now_ms()))
        if not self.lesson.facts.open and self.lesson.facts.between == "closed":
            self._send_away()

    def wet(self, member: Member, message: Wet) -> None:
        """Pass a stroke being drawn on to the others, as long as its writer may draw it."""
        board = self.boards[member.board]
        strokes = self._begun.setdefault(member.connection, {})
        head = board.board.pages.get(message.page)
        if message.over or head is None:
            if strokes.pop(message.id, None) is not None:
                board.wet.append(self._wet_over(member, message.id))
                self._flush_soon()
            return
        rows, rest = divmod(len(message.samples), SAMPLE_BYTES)
        if rest or message.begin + rows > MAX_SAMPLES or len(message.id) > 32 or len(message.colour) > 7:
            return
        begun_ms = strokes.get(message.id)
        target = Target(page=head.head.writers, begun_ms=begun_ms)
        if not self._decide(member, "add_ink", target).allowed:
            return
        if begun_ms is None:
            if len(strokes) >= MAX_WET:
                strokes.pop(next(iter(strokes)))
            strokes[message.id] = self.now_ms()
        board.wet.append(WetInk(member.connection, member.actor.seat, message))
        self._flush_soon()

    def point(self, member: Member, message: Point) -> None:
        """Show a person's laser pointer to the others."""
        if message.on and not self._decide(member, "point", Target()).allowed:
            return
        if not (abs(message.x) <= MAX_COORDINATE and abs(message.y) <= MAX_COORDINATE):
            return
        board, seat = self.boards[member.board], member.actor.seat
        if message.stay and message.on:
            board.arrows[seat] = message
        elif message.stay:
            board.arrows.pop(seat, None)
        board.pointing.append(Pointing(seat, message))
        self._flush_soon()

    def clear_pointers(self, member: Member, message: ClearPointers) -> None:
        """Take arrows off the board; everyone's only for the tutor side."""
        board = self.boards[member.board]
        everyone = message.everyone and self._decide(member, "set_pens", Target()).allowed
        for seat in list(board.arrows) if everyone else [member.actor.seat]:
            if board.arrows.pop(seat, None):
                board.pointing.append(Pointing(seat, Point("", 0, 0, on=False, stay=True)))
        self._flush_soon()

    def look(self, member: Member, message: Look) -> None:
        member.page = message.page[:32]
        self.tell_standing(member)
        self._people_changed = True
        self._flush_soon()

    def tell_standing(self, member: Member) -> None:
        """Tell a person what they may do on the page they look at."""
        page = self.boards[member.board].board.pages.get(member.page)
        rule = page.head.writers if page else "lesson"
        member.put(encode(You(member.page, standing(member.actor, rule, self.lesson.facts, self.now_ms()))))

    # Keeping the lesson

    def _set_lesson(self, lesson: Lesson) -> None:
        if lesson == self.lesson:
            return
        self.lesson = lesson
        self.keeper.keep(self._store.lesson, lesson, partial(self._lesson_kept, lesson))
        self._await_expiry()

    def _lesson_kept(self, lesson: Lesson) -> None:
        self._told_lesson = lesson
        self._flush_soon()

    def _await_expiry(self) -> None:
        """Have the next pen that is passed for minutes end on its own."""
        if self._expiry:
            self._expiry.cancel()
            self._expiry = None
        ends = [pen.until_ms for pen in self.lesson.facts.passed if pen.until_ms is not None]
        if ends:
            delay_s = max(0.0, (min(ends) - self.now_ms()) / 1000) + 0.005
            self._expiry = asyncio.get_running_loop().call_later(delay_s, self._expire)

    def _expire(self) -> None:
        before = self.lesson
        self._set_lesson(expire(self.lesson, self.now_ms()))
        if self.lesson is before:
            self._await_expiry()

    def _send_away(self) -> None:
        """The room closed between lessons: students and onlookers leave it."""
        bye = encode(
            Goodbye("between_closed", "The lesson is over and the room is closed until the next one.", True)
        )
        for member in list(self.members.values()):
            if not member.actor.tutor_side:
                member.put(bye)

    # Telling

    def _flush_soon(self) -> None:
        if self._flush_handle is None:
            loop = asyncio.get_running_loop()
            delay_s = max(0.0, self._flushed_at + TICK_S - loop.time())
            self._flush_handle = loop.call_later(delay_s, self._flush)

    def _flush(self) -> None:
        """One frame for each board with all that happened since the last, encoded once."""
        self._flush_handle = None
        self._flushed_at = asyncio.get_running_loop().time()
        shared = Frame(
            lesson=self._told_lesson,
            people=self.people() if self._people_changed else None,
            boards=self.cards if self._cards_changed else None,
            trouble=self._told_trouble,
        )
        rules_changed = self._told_lesson is not None or any(
            isinstance(logged.step, ChangePage) for board in self.boards.values() for logged in board.steps
        )
        for board in self.boards.values():
            frame = msgspec.structs.replace(
                shared,
                steps=tuple(board.steps),
                wet=tuple(board.wet),
                pointing=tuple(board.pointing),
                kept_ms=board.kept_ms if board.steps else 0,
            )
            board.steps, board.wet, board.pointing = [], [], []
            if frame == Frame():
                continue
            message = encode(frame)
            for member in self.members.values():
                if member.board == board.uid:
                    member.put(message)
            if board.snapshot_due():
                board.keep_snapshot(self.keeper)
        if rules_changed:
            for member in self.members.values():
                self.tell_standing(member)
        self._told_lesson, self._told_trouble = None, None
        self._people_changed = self._cards_changed = False

    def _trouble(self, sentence: str) -> None:
        self._told_trouble = sentence
        self._flush_soon()

    def _refuse(self, member: Member, message_id: str, reason: str, sentence: str) -> None:
        member.put(encode(Refused(message_id[:32], reason, sentence)))

    # Small facts

    def _decide(self, member: Member, action: Action, target: Target) -> Verdict:
        return decide(member.actor, action, target, self.lesson.facts, self.now_ms())

    def _begun_ms(self, member: Member, message: Do) -> int | None:
        """When the ink of a step was seen to begin, if all of it was; its wet strokes are over."""
        strokes = self._begun.get(member.connection)
        if not strokes or not isinstance(message.request, AddItems):
            return None
        begun = [strokes.pop(item.id, None) for item in message.request.items if isinstance(item, InkItem)]
        known = [at for at in begun if at is not None]
        return max(known) if known and len(known) == len(message.request.items) else None

    def _here(self, seat: str) -> bool:
        return any(member.actor.seat == seat for member in self.members.values())

    def _is_student(self, seat: str) -> bool:
        return any(m.actor.seat == seat and m.actor.role == "student" for m in self.members.values())

    def _wet_over(self, member: Member, stroke: str) -> WetInk:
        return WetInk(member.connection, member.actor.seat, Wet(stroke, "", "pen", "", 0, 0, b"", over=True))
