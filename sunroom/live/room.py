"""The room actor: one live room, where every step and command gets its place in the order.

Decide (core.pens), apply (core.board, core.lesson), keep (the keeper), then tell everybody. Nothing in
here waits between deciding and queueing for the disk, so no two steps are ever decided at once. What
people do besides writing is in the room's parts: seats, porch and talk.
"""

from __future__ import annotations

import asyncio
import time
from collections.abc import Callable

import msgspec

from sunroom.boards.repository import Logged
from sunroom.core.board import PageHead, needs, signed
from sunroom.core.board.bays import page_target
from sunroom.core.board.requests import GoneError, check_request
from sunroom.core.board.steps import ChangePage, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    EndCheck,
    Lesson,
    LessonCommand,
    PassPen,
    Said,
    SeatCommand,
    TakePen,
    arrive,
    as_seen,
)
from sunroom.core.lesson.commands import action_of
from sunroom.core.lesson.record import Entry, What, asked, described
from sunroom.core.pens import Actor, Target, decide, standing
from sunroom.core.pens.rules import Action, Standing, Verdict
from sunroom.live.board import LiveBoard
from sunroom.live.fleeting import Fleeting
from sunroom.live.keeper import Keeper
from sunroom.live.lesson import LiveLesson
from sunroom.live.member import Member
from sunroom.live.messages import (
    Answered,
    AtDoor,
    BoardCard,
    CheckAnswers,
    Do,
    Frame,
    Goodbye,
    Join,
    Look,
    Pointing,
    Refused,
    SeeAs,
    SeenAs,
    Tell,
    Welcome,
    You,
    encode,
)
from sunroom.live.porch import Porch
from sunroom.live.seats import Seats
from sunroom.live.store import RoomStore
from sunroom.live.talk import Talk

#: Everything that happens within a tick goes out as one frame: one picture of a 60 Hz screen.
TICK_S = 0.016
#: Taking so many things off at once is a clearing, which the record shows.
CLEARING = 10


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
    names : dict of str to str
        Of all seats, so that two people never have the same one.
    """

    def __init__(
        self,
        room_id: int,
        title: str,
        link: str,
        lesson: Lesson,
        clock: Callable[[], float] = time.time,
        chat: list[Said] | None = None,
        names: dict[str, str] | None = None,
    ) -> None:
        self.room_id, self.title, self.link = room_id, title, link
        self.members: dict[str, Member] = {}
        self.boards: dict[str, LiveBoard] = {}
        #: All boards of the room, live or not.
        self.cards: tuple[BoardCard, ...] = ()
        self.keeper = Keeper(self._trouble)
        self.store = RoomStore(room_id)
        self._clock = clock
        self._lesson = LiveLesson(lesson, self.keeper, self.store, self.now_ms, self._lesson_kept)
        self.porch = Porch()
        self.seats = Seats(self, names or {})
        self.talk = Talk(self, chat or [])
        self.fleeting = Fleeting(self)
        self._told_lesson: Lesson | None = None
        self._told_trouble: str | None = None
        self._people_changed = self._cards_changed = False
        self._flushed_at = 0.0
        self._flush_handle: asyncio.TimerHandle | None = None

    @property
    def lesson(self) -> Lesson:
        return self._lesson.state

    def now_ms(self) -> int:
        return int(self._clock() * 1000)

    # Coming and going

    def join(self, member: Member, board: LiveBoard, join: Join) -> Welcome:
        """Let a connection in; what it must be shown first. Frames gather for it from here on."""
        if not self.here(member.actor.seat):
            self.write_down(member.actor, "came")
        self.members[member.connection] = member
        member.board = board.uid
        self.seats.came(member.actor)
        self.porch.came(member)
        arrived = arrive(self.lesson, member.actor.role, self.now_ms())
        if member.actor.role == "tutor" and arrived.facts.writer != member.actor.name:
            facts = msgspec.structs.replace(arrived.facts, writer=member.actor.name)
            arrived = msgspec.structs.replace(arrived, facts=facts)
        self.put_lesson(arrived)
        self.people_changed()
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
            lesson=as_seen(self.lesson),
            people=self.seats.people(),
            seq=board.kept.seq,
            kept_ms=board.kept_ms,
            undos=undos,
            redos=redos,
            pages=None if missed is not None else tuple(page.head for page in board.kept.in_order()),
            missed=missed or (),
            boards=self.cards,
            lead=self.talk.led,
            chat=tuple(line for line in self.talk.chat if self.talk.shown(member, line)),
            arrows=tuple(Pointing(seat, arrow) for seat, arrow in board.arrows.items()),
        )

    def joined(self, member: Member) -> None:
        """After the welcome: what only the tutor side is told."""
        if member.actor.tutor_side:
            self._tell_tutor_side([member])

    def set_boards(self, cards: tuple[BoardCard, ...]) -> None:
        """Tell everyone which boards the room has, when that has changed."""
        if cards != self.cards:
            self.cards, self._cards_changed = cards, True
            self.flush_soon()

    def leave(self, member: Member) -> None:
        """A connection is gone: its wet ink and pointer go from the other screens."""
        if self.porch.left(member):
            self.door_changed()
        if self.members.pop(member.connection, None) is None:
            return
        if not self.here(member.actor.seat):
            self.write_down(member.actor, "went")
            self.seats.went(member.actor)
        self.fleeting.left(member)
        self.talk.left(member)
        self.people_changed()

    def people_changed(self) -> None:
        self._people_changed = True
        self.flush_soon()

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
            request = signed(message.request, member.actor)
            step, how, of = board.plan(request, seat, now_ms)
        except MalformedError as error:
            return self.refuse(member, message.id, "malformed", str(error))
        except GoneError as error:
            return self.refuse(member, message.id, error.code, str(error))
        begun_ms = self.fleeting.begun_ms(member, request)
        for action, target in needs(board.board, request, step, begun_ms):
            verdict = self.decide(member, action, target)
            if not verdict.allowed:
                return self.refuse(member, message.id, verdict.reason, verdict.sentence)
        logged = Logged(board.board.seq + 1, message.id, seat, now_ms, how, of, step)
        board.take(logged, self.keeper, self.flush_soon)
        if isinstance(step, RemoveItems) and len(step.ids) >= CLEARING:
            self.write_down(member.actor, "did", f"cleared {len(step.ids)} things")

    def tell(self, member: Member, message: Tell) -> None:
        """Carry out a command to the lesson or about a seat, or refuse it with a reason."""
        command = message.command
        verdict = self.decide(member, action_of(command, member.actor.seat), Target())
        if not verdict.allowed:
            return self.refuse(member, message.id, verdict.reason, verdict.sentence)
        if isinstance(command, PassPen | TakePen) and not self.seats.is_student(command.seat):
            return self.refuse(
                member, message.id, "not_a_student", "Only a student who is here can be passed a pen."
            )
        done = described(command, self.seats.names)
        if isinstance(command, EndCheck) and self.lesson.check:
            done = asked(self.lesson.check)
        try:
            if isinstance(command, SeatCommand):
                self.seats.carry_out(member, command)
            else:
                self.carry_out(command, member.actor.seat)
        except MalformedError as error:
            return self.refuse(member, message.id, error.field, str(error))
        self.write_down(member.actor, "did", done)

    def write_down(self, actor: Actor, what: What, text: str = "") -> None:
        """Put a line into the record; what has no words is not recorded."""
        if text or what != "did":
            entry = Entry(self.now_ms(), actor.seat, actor.name, what, text[:200])
            self.keeper.keep(self.store.record, entry)

    def carry_out(self, command: LessonCommand, seat: str = "") -> None:
        """Change the lesson by a command that has been allowed; see core.lesson.carry_out for errors."""
        self._lesson.carry_out(command, seat)
        if not self.lesson.facts.open and self.lesson.facts.between == "closed":
            self._send_away()

    def put_lesson(self, lesson: Lesson) -> None:
        self._lesson.put(lesson)

    def look(self, member: Member, message: Look) -> None:
        member.page = message.page[:32]
        self.tell_standing(member)
        self.people_changed()

    def tell_standing(self, member: Member) -> None:
        """Tell a person what they may do on the page they look at."""
        member.put(encode(You(member.page, self._standing(member.actor, member))))

    def see_as(self, member: Member, message: SeeAs) -> None:
        """Tell the tutor side what a student may do on the page that they look at themselves."""
        actor = next((m.actor for m in self.members.values() if m.actor.seat == message.seat), None)
        if member.actor.tutor_side and actor is not None:
            member.put(encode(SeenAs(message.seat, member.page, self._standing(actor, member))))

    def _standing(self, actor: Actor, looking: Member) -> Standing:
        page = self.boards[looking.board].board.pages.get(looking.page)
        head = page.head if page else PageHead(looking.page)
        bays = [(bay.id, bay.facts) for bay in head.bays]
        return standing(actor, page_target(head), bays, self.lesson.facts, self.now_ms())

    # Keeping the lesson

    def _lesson_kept(self, lesson: Lesson) -> None:
        self._told_lesson = lesson
        self.flush_soon()

    def _send_away(self) -> None:
        """The room closed between lessons: students and onlookers leave it."""
        bye = encode(
            Goodbye("between_closed", "The lesson is over and the room is closed until the next one.", True)
        )
        for member in list(self.members.values()):
            if not member.actor.tutor_side:
                member.put(bye)

    # Telling

    def door_changed(self) -> None:
        """Tell the tutor side who knocks."""
        self._tell_tutor_side([m for m in self.members.values() if m.actor.tutor_side])

    def _tell_tutor_side(self, members: list[Member]) -> None:
        told = encode(AtDoor(self.porch.knocks(), self.lesson.code))
        check = self.lesson.check
        answers = encode(CheckAnswers(check.id, check.answers)) if check else None
        for member in members:
            member.put(told)
            if answers:
                member.put(answers)

    def flush_soon(self) -> None:
        if self._flush_handle is None:
            loop = asyncio.get_running_loop()
            delay_s = max(0.0, self._flushed_at + TICK_S - loop.time())
            self._flush_handle = loop.call_later(delay_s, self._flush)

    def _flush(self) -> None:
        """One frame for each board with all that happened since the last, encoded once."""
        self._flush_handle = None
        self._flushed_at = asyncio.get_running_loop().time()
        shared = Frame(
            lesson=as_seen(self._told_lesson) if self._told_lesson else None,
            people=self.seats.people() if self._people_changed else None,
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
        if self._told_lesson is not None:
            self.door_changed()
        self._told_lesson, self._told_trouble = None, None
        self._people_changed = self._cards_changed = False

    def _trouble(self, sentence: str) -> None:
        self._told_trouble = sentence
        self.flush_soon()

    def refuse(self, member: Member, message_id: str, reason: str, sentence: str) -> None:
        member.put(encode(Refused(message_id[:32], reason, sentence)))

    # Small facts

    def decide(self, member: Member, action: Action, target: Target) -> Verdict:
        return decide(member.actor, action, target, self.lesson.facts, self.now_ms())

    def here(self, seat: str) -> bool:
        return any(member.actor.seat == seat for member in self.members.values())
