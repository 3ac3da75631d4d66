"""The room actor: one live room, where every step and command gets its place in the order.

Decide (core.pens), apply (core.board, core.lesson), keep (the keeper), then tell everybody. Nothing in
here waits between deciding and queueing for the disk, so no two steps are ever decided at once. What
people do besides writing is in the room's parts: seats, porch and talk.
"""

from __future__ import annotations

import asyncio
import logging
import math
import time
from collections.abc import Callable, Sequence

import msgspec

from sunroom.core.board import Board, PageHead
from sunroom.core.board.bays import page_target
from sunroom.core.board.sight import shown
from sunroom.core.board.steps import ChangePage
from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    EndCheck,
    EndLesson,
    Lesson,
    LessonCommand,
    OpenLesson,
    PassPen,
    Said,
    SeatCommand,
    TakePen,
    arrive,
    as_seen,
)
from sunroom.core.lesson.commands import action_of
from sunroom.core.lesson.door import Entrance, SeatFacts, at_door, code_admits
from sunroom.core.lesson.record import Entry, What, asked, described
from sunroom.core.pens import Actor, Target, decide, standing
from sunroom.core.pens.rules import Action, Standing, Verdict
from sunroom.core.sentences import Sentence, said
from sunroom.live.keeping.keeper import Keeper
from sunroom.live.keeping.room_store import RoomStore
from sunroom.live.room.board import LiveBoard, heard
from sunroom.live.room.calling import Calling, MakeMedia
from sunroom.live.room.fleeting import Fleeting
from sunroom.live.room.lesson import LiveLesson
from sunroom.live.room.member import Member
from sunroom.live.room.playing import Playing
from sunroom.live.room.porch import Porch
from sunroom.live.room.recording import Recording
from sunroom.live.room.seats import Seats
from sunroom.live.room.steps import NOT_KEPT, Steps
from sunroom.live.room.talk import Talk
from sunroom.live.wire.messages import (
    AtDoor,
    BoardCard,
    CheckAnswers,
    Do,
    Frame,
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

logger = logging.getLogger(__name__)

#: Everything that happens within a tick goes out as one frame: one picture of a 60 Hz screen. What was kept on the
#: disk has waited already, and goes out sooner.
TICK_S, SOON_S = 0.016, 0.004


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
    away : sequence of Actor
        Who was sent away and can be let back in.
    free : float
        Bytes of the disk that the room may still use.
    rehearsal : bool
        Its students are made up.
    media : callable, optional
        Makes the call by way of a media server.
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
        away: Sequence[Actor] = (),
        free: float = math.inf,
        rehearsal: bool = False,
        media: MakeMedia | None = None,
    ) -> None:
        self.rehearsal = rehearsal
        self.room_id, self.title, self.link = room_id, title, link
        self.members: dict[str, Member] = {}
        self.boards: dict[str, LiveBoard] = {}
        #: All boards of the room, live or not.
        self.cards: tuple[BoardCard, ...] = ()
        self.keeper = Keeper(self._trouble)
        self.store = RoomStore(room_id)
        self._clock = clock
        self._lesson = LiveLesson(lesson, self.keeper, self.store, self.now_ms, self._lesson_kept)
        self.porch = Porch(clock)
        self.recording = Recording(self)
        self.seats = Seats(self, self.porch, names or {}, away)
        self.talk = Talk(self, chat or [])
        self.playing = Playing(self)
        self.calling = Calling(self, media)
        self.fleeting = Fleeting(self)
        self.steps = Steps(self, self.fleeting, free)
        self._told_lesson: Lesson | None = None
        self._told_trouble: Sentence | None = None
        self._told_link: str | None = None
        self._people_changed = self._cards_changed = False
        self._flushed_at = 0.0
        self._flush_handle: asyncio.TimerHandle | None = None

    @property
    def lesson(self) -> Lesson:
        return self._lesson.state

    @property
    def empty(self) -> bool:
        """Whether nobody is in it or before it."""
        return not self.members and not self.porch.waiting

    def now_ms(self) -> int:
        return int(self._clock() * 1000)

    # Coming and going

    def at_door(self, member: Member, seat: SeatFacts, code: str) -> Entrance:
        """What the door says to a connection; who knocks waits from here on."""
        seat = self.seats.as_now(member.actor.seat, seat)
        member.actor = msgspec.structs.replace(member.actor, role=seat.role)
        if code and not self.porch.may_try():
            code = ""
        answer = at_door(seat, self.lesson, code)
        if answer == "wrong":
            self.porch.was_wrong()
        elif answer == "knock" and not self.porch.full:
            self.porch.knock(member, self.now_ms())
            self.door_changed()
        elif answer == "in" and code_admits(self.lesson, seat):
            self.seats.admitted_by_code(member.actor.seat)
        return answer

    def join(self, member: Member, board: LiveBoard, join: Join) -> Welcome:
        """Let a connection in; what it must be shown first."""
        if not self.here(member.actor.seat):
            self.write_down(member.actor, "came")
            self.keeper.keep(self.store.seen, member.actor.seat)
        self.porch.left(member)
        self.members[member.connection] = member
        member.board = board.uid
        self.seats.came(member.actor)
        arrived = arrive(self.lesson, member.actor.role, self.now_ms())
        if member.actor.role == "tutor" and arrived.facts.writer != member.actor.name:
            facts = msgspec.structs.replace(arrived.facts, writer=member.actor.name)
            arrived = msgspec.structs.replace(arrived, facts=facts)
        self.put_lesson(arrived)
        self.people_changed()
        missed = board.missed_since(join.have_seq) if join.have_seq >= 0 else None
        side = member.actor.tutor_side
        undos, redos = board.history.depth(member.actor.seat)
        return Welcome(
            seat=member.actor.seat,
            connection=member.connection,
            role=member.actor.role,
            room=self.title,
            link=self.link if member.actor.role != "onlooker" else "",
            rehearsal=self.rehearsal,
            board=BoardCard(board.uid, board.title),
            now_ms=self.now_ms(),
            lesson=as_seen(self.lesson),
            people=self.seats.people(),
            seq=board.kept.seq,
            kept_ms=board.kept_ms,
            undos=undos,
            redos=redos,
            pages=None if missed is not None else tuple(page.head for page in board.seen_by(side).in_order()),
            missed=heard(missed or (), side)[0],
            boards=self.cards,
            lead=self.talk.led,
            play=self.playing.now,
            recorded=self.recording.now,
            callers=self.calling.callers() if member.actor.role != "onlooker" else (),
            chat=tuple(line for line in self.talk.chat if self.talk.shown(member, line)),
            arrows=tuple(
                Pointing(seat, arrow)
                for seat, arrow in board.arrows.items()
                if side or arrow.page not in board.hidden
            ),
            laid=tuple(board.laid_for(side, board.laid)),
        )

    def caught_up(self, member: Member, seq: int) -> bool:
        """Send what landed since step ``seq``, while a member was shown the pages, and frames from here on.

        False when that reaches further back than what is at hand: the member must join again.
        """
        board = self.boards[member.board]
        missed = board.missed_since(seq)
        if missed is None:
            return False
        member.coming_in = False
        # Some of these come once more with the next tick, and are passed over there by their numbers.
        steps, passed = heard(missed, member.actor.tutor_side)
        member.put(encode(Frame(steps, passed, people=self.seats.people(), lesson=as_seen(self.lesson))))
        if member.actor.tutor_side:
            self.tell_tutor_side([member])
        return True

    def set_boards(self, cards: tuple[BoardCard, ...]) -> None:
        """Tell everyone which boards the room has, when that has changed."""
        if cards != self.cards:
            self.cards, self._cards_changed = cards, True
            self.flush_soon()

    def set_link(self, link: str) -> None:
        """Tell those who may know it that the room has another link."""
        self.link = self._told_link = link
        self.flush_soon()

    def let_go(self, member: Member) -> None:
        """A connection is gone or has been dismissed: nothing of it stays on the other screens."""
        if self.porch.left(member):
            self.door_changed()
        if self.members.pop(member.connection, None) is None:
            return
        if not self.here(member.actor.seat):
            self.write_down(member.actor, "went")
            self.seats.went(member.actor)
        self.fleeting.left(member)
        self.talk.left(member)
        self.playing.left()
        self.calling.lost(member)
        self.recording.left(member)
        self.people_changed()

    def pages_hidden(self, board: LiveBoard) -> None:
        self.talk.pages_hidden(board.uid, board.hidden)
        self.playing.pages_hidden(board.uid, board.hidden)

    def people_changed(self) -> None:
        self._people_changed = True
        self.recording.ask_again()
        self.flush_soon()

    # What members send

    async def do(self, member: Member, message: Do) -> None:
        """Take a step of a member's, or refuse it; see room.steps."""
        await self.steps.do(member, message)

    def tell(self, member: Member, message: Tell) -> None:
        """Carry out a command to the lesson or about a seat, or refuse it with a reason."""
        command = message.command
        if self.keeper.full:
            return self.refuse(member, message.id, "not_kept", NOT_KEPT)
        verdict = self.decide(member, action_of(command, member.actor.seat), Target())
        if not verdict.allowed:
            return self.refuse(member, message.id, verdict.reason, verdict.sentence)
        if isinstance(command, PassPen | TakePen) and not self.seats.is_student(command.seat):
            return self.refuse(member, message.id, "not_a_student", said("only-a-student-who-is"))
        done = described(command, self.seats.names)
        if isinstance(command, EndCheck) and self.lesson.check:
            done = asked(self.lesson.check)
        try:
            if isinstance(command, SeatCommand):
                self.seats.carry_out(member, command)
            else:
                self.carry_out(command, member.actor.seat)
        except MalformedError as error:
            return self.refuse(member, message.id, error.field, error.sentence)
        self.write_down(member.actor, "did", done)

    def write_down(self, actor: Actor, what: What, done: Sentence | None = None) -> None:
        """Put a line into the record; what has no words is not recorded."""
        if done or what != "did":
            entry = Entry(self.now_ms(), actor.seat, actor.name, what, done or Sentence(""))
            self.keeper.keep(self.store.record, entry)

    def carry_out(self, command: LessonCommand, seat: str = "") -> None:
        """Change the lesson by a command that has been allowed; see core.lesson.carry_out for errors."""
        self._lesson.carry_out(command, seat)
        if isinstance(command, OpenLesson) and any(m.actor.role == "student" for m in self.members.values()):
            self.put_lesson(arrive(self.lesson, "student", self.now_ms()))
        if isinstance(command, EndLesson):
            self.recording.stop()
        if not self.lesson.facts.open and self.lesson.facts.between == "closed":
            self.seats.closed()

    def put_lesson(self, lesson: Lesson) -> None:
        self._lesson.put(lesson)

    def look(self, member: Member, message: Look) -> None:
        member.page = message.page[:32]
        self.talk.turned(member, message.along)
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

    # Telling

    def door_changed(self) -> None:
        """Tell the tutor side who knocks."""
        self.tell_tutor_side([m for m in self.members.values() if m.actor.tutor_side])

    def tell_tutor_side(self, members: list[Member]) -> None:
        told = encode(AtDoor(self.porch.knocks(), self.lesson.code))
        check = self.lesson.check
        answers = encode(CheckAnswers(check.id, check.answers)) if check else None
        for member in members:
            member.put(told)
            if answers:
                member.put(answers)

    def flush_soon(self) -> None:
        if self._flush_handle is None:
            self._flush_after(TICK_S)

    def flush_kept(self) -> None:
        if self._flush_handle:
            self._flush_handle.cancel()
        self._flush_after(SOON_S)

    def _flush_after(self, since_last_s: float) -> None:
        loop = asyncio.get_running_loop()
        delay_s = max(0.0, self._flushed_at + since_last_s - loop.time())
        self._flush_handle = loop.call_later(delay_s, self._flush)

    def _flush(self) -> None:
        """One frame for each board with all that happened since the last, encoded once for all who see the same."""
        self._flush_handle = None
        self._flushed_at = asyncio.get_running_loop().time()
        shared = Frame(
            lesson=as_seen(self._told_lesson) if self._told_lesson else None,
            people=self.seats.people() if self._people_changed else None,
            boards=self.cards if self._cards_changed else None,
            trouble=self._told_trouble,
        )
        link = encode(Frame(link=self._told_link)) if self._told_link else b""
        rules_changed = self._told_lesson is not None or any(
            isinstance(landed.logged.step, ChangePage)
            for board in self.boards.values()
            for landed in board.steps
        )
        for board in self.boards.values():
            whole, rest = board.frames(shared)
            if whole == Frame():
                continue
            message = encode(whole)
            for_others = message if rest is whole else encode(rest)
            for member in self.members.values():
                if member.board == board.uid and not member.coming_in:
                    member.put(message if member.actor.tutor_side else for_others)
            board.keep_snapshot(self.keeper)
        if rules_changed:
            self.fleeting.rules_changed(self.members.values())
            for member in self.members.values():
                self.tell_standing(member)
        if self._told_lesson is not None:
            self.door_changed()
        if self._told_lesson is not None or self._people_changed:
            self.calling.changed()
        for member in self.members.values() if link else ():
            if member.actor.role != "onlooker":
                member.put(link)
        self._told_lesson = self._told_trouble = self._told_link = None
        self._people_changed = self._cards_changed = False

    def _trouble(self, sentence: Sentence) -> None:
        self._told_trouble = sentence
        self.flush_soon()

    def refuse(self, member: Member, message_id: str, reason: str, sentence: Sentence) -> None:
        member.put(encode(Refused(message_id[:32], reason, sentence)))

    # Small facts

    def seen_now(self, member: Member) -> Board:
        """The board that a member is on, of this moment, as far as they see it."""
        board = self.boards[member.board].board
        return board if member.actor.tutor_side else shown(board)

    def decide(self, member: Member, action: Action, target: Target) -> Verdict:
        return decide(member.actor, action, target, self.lesson.facts, self.now_ms())

    def here(self, seat: str) -> bool:
        return any(member.actor.seat == seat for member in self.members.values())

    async def close(self) -> None:
        """Write what waits, and snapshots of all boards."""
        for board in self.boards.values():
            if not board.broken:
                board.keep_snapshot(self.keeper, after_steps=1)
        await self.calling.close()
        await self.keeper.close()
