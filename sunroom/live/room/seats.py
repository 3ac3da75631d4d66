"""Who is here, and what can be done about a person's seat: roles, names, the porch, sending away."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    Admit,
    Forget,
    HandOver,
    LetBack,
    Rename,
    SeatCommand,
    SendAway,
    SetDoor,
    SetRole,
    ToPorch,
    TurnAway,
    carry_out,
    leave,
)
from sunroom.core.lesson.door import SeatFacts
from sunroom.core.lesson.people import check_person
from sunroom.core.pens import Actor
from sunroom.core.pens.facts import Role
from sunroom.core.sentences import said
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.room.porch import Porch
from sunroom.live.wire.messages import AtPorch, Goodbye, LetIn, Person, encode
from sunroom.rooms.names import BadName, clean_name, distinct

#: Somebody who has gone is still listed for so long, and at most so many of them.
GONE_MS, MOST_GONE = 3 * 3_600_000, 60
#: Marks have so many colours (frontend/src/lesson/mark.ts).
MARK_COLOURS = 8
RANK: dict[Role, int] = {"tutor": 0, "helper": 1, "student": 2, "onlooker": 3}


class Seats:
    """The people of one live room.

    Parameters
    ----------
    inside : Inside
    porch : Porch
    names : dict of str to str
        Of all seats of the room, here or not.
    away : sequence of Actor
        Who was sent away before the room became live: they can still be let back in.
    """

    def __init__(self, inside: Inside, porch: Porch, names: dict[str, str], away: Sequence[Actor]) -> None:
        self._inside, self._porch = inside, porch
        self.names = names
        #: First letter and colour of each person's mark.
        self._colours: dict[str, tuple[str, int]] = {}
        self._gone: dict[str, Person] = {}
        #: What has changed of seats since the room became live: newer than the disk by a moment.
        self._changed: dict[str, dict[str, Any]] = {}
        for actor in away:
            self._gone[actor.seat] = msgspec.structs.replace(self._person(actor), sent_away=True)

    def came(self, actor: Actor) -> None:
        self.names[actor.seat] = actor.name
        self._gone.pop(actor.seat, None)
        # Who is in comes back without knocking, and so do their other tabs and devices.
        self._change_seat(actor.seat, admitted=True)

    def went(self, actor: Actor) -> None:
        if actor.role != "onlooker":
            now_ms = self._inside.now_ms()
            away = self._changed.get(actor.seat, {}).get("sent_away", False)
            self._gone[actor.seat] = msgspec.structs.replace(
                self._person(actor), seen_ms=now_ms, sent_away=away
            )
            if len(self._gone) > MOST_GONE:
                del self._gone[next(iter(self._gone))]

    def _person(self, actor: Actor) -> Person:
        return Person(actor.seat, actor.name, actor.role, 0, colour=self._colour(actor.seat, actor.name))

    def as_now(self, seat: str, facts: SeatFacts) -> SeatFacts:
        """``facts`` from the disk with what has changed since."""
        return msgspec.structs.replace(facts, **self._changed.get(seat, {}))

    def _let_back(self, seat: str) -> None:
        """Whoever was sent away may come in again, by the door as it is."""
        gone = self._gone.get(seat)
        if gone is None or not gone.sent_away:
            raise MalformedError("not_here", said("person-not-listed"))
        self._change_seat(seat, sent_away=False)
        self._inside.keeper.keep(self._inside.store.let_back, seat)
        self._gone[seat] = msgspec.structs.replace(gone, seen_ms=self._inside.now_ms(), sent_away=False)
        self._inside.people_changed()

    def _forget(self, seat: str) -> None:
        """Who is here cannot be forgotten."""
        if self._of(seat) or self._gone.pop(seat, None) is None:
            raise MalformedError("not_here", said("person-not-listed"))
        self._inside.people_changed()

    def _colour(self, seat: str, name: str) -> int:
        """A colour for a person's mark, the same on every screen and for as long as the room is awake.

        Nobody has it whose name begins with the same letter, nor anybody else, as long as there are enough.
        """
        letter = name[:1].casefold()
        known = self._colours.get(seat)
        if known is None or known[0] != letter:
            others = [mark for other, mark in self._colours.items() if other != seat]
            own = sum(seat.encode()) % MARK_COLOURS
            turned = [(own + step) % MARK_COLOURS for step in range(MARK_COLOURS)]
            self._colours[seat] = (
                letter,
                min(
                    turned,
                    key=lambda colour: (
                        others.count((letter, colour)),
                        sum(taken == colour for _, taken in others),
                    ),
                ),
            )
        return self._colours[seat][1]

    def people(self) -> tuple[Person, ...]:
        """Who is here, the tutor side first, then by name; then who was."""
        seats: dict[str, Person] = {}
        for member in self._inside.members.values():
            actor, known = member.actor, seats.get(member.actor.seat)
            tabs, page = (known.tabs + 1, member.page or known.page) if known else (1, member.page)
            seats[actor.seat] = Person(
                actor.seat, actor.name, actor.role, tabs, page, member.board, member.travel,
                owner=actor.owner, colour=self._colour(actor.seat, actor.name),
            )  # fmt: skip
        since = self._inside.now_ms() - GONE_MS
        gone = [person for person in self._gone.values() if person.sent_away or person.seen_ms > since]
        here = sorted(seats.values(), key=lambda p: (RANK[p.role], p.name.casefold()))
        return (*here, *sorted(gone, key=lambda p: p.name.casefold()))

    def is_student(self, seat: str) -> bool:
        return any(m.actor.role == "student" for m in self._of(seat))

    def carry_out(self, member: Member, command: SeatCommand) -> None:
        """Do what the rule book has allowed ``member`` to do about a seat.

        Raises
        ------
        MalformedError
            When that cannot be done; its field is the reason's code.
        """
        match command:
            case Admit():
                self._admit(command.seat)
            case TurnAway():
                for waiting in self._porch.let_go(command.seat):
                    waiting.put(encode(AtPorch("knock", self._inside.lesson.facts.writer, away=True)))
                self._inside.door_changed()
            case Rename():
                self._rename(command)
            case HandOver():
                self._hand_over(member, command)
            case Forget():
                self._forget(command.seat)
            case LetBack():
                self._let_back(command.seat)
            case _:
                self._change(member, command)

    def _admit(self, seat: str) -> None:
        for knocking in [seat] if seat else list(self._porch.waiting):
            self._keep_admitted(knocking, True)
            for waiting in self._porch.let_go(knocking):
                waiting.put(encode(LetIn()))
        self._inside.door_changed()

    def _keep_admitted(self, seat: str, admitted: bool) -> None:
        self._change_seat(seat, admitted=admitted)
        self._inside.keeper.keep(self._inside.store.admitted, (seat, admitted))

    def admitted_by_code(self, seat: str) -> None:
        """Remember that somebody knew the code."""
        self._keep_admitted(seat, True)

    def _rename(self, command: Rename) -> None:
        try:
            name = clean_name(command.name)
        except BadName as error:
            raise MalformedError("name", error.sentence) from error
        if command.seat not in self.names:
            raise MalformedError("not_here", said("person-not-here"))
        name = distinct(name, (other for seat, other in self.names.items() if seat != command.seat))
        self.names[command.seat] = name
        self._inside.keeper.keep(self._inside.store.renamed, (command.seat, name))
        for other in self._of(command.seat):
            other.actor = msgspec.structs.replace(other.actor, name=name)
            if other.actor.role == "tutor":
                self._lead(name)
        self._inside.people_changed()

    def _hand_over(self, member: Member, command: HandOver) -> None:
        """The tutor becomes a helper, and a helper (or the room's owner) the tutor."""
        to = command.seat or member.actor.seat
        theirs = self._of(to)
        check_person(command, member.actor, theirs[0].actor if theirs else None)
        for other in list(self._inside.members.values()):
            if other.actor.role == "tutor" and other.actor.seat != to:
                self._set_role(other.actor.seat, "helper")
        self._set_role(to, "tutor")
        self._lead(theirs[0].actor.name)

    def _lead(self, name: str) -> None:
        """Students are told from now on that this person writes while pens are down."""
        lesson = self._inside.lesson
        facts = msgspec.structs.replace(lesson.facts, writer=name)
        self._inside.put_lesson(msgspec.structs.replace(lesson, facts=facts))

    def _change(self, member: Member, command: SetRole | SendAway | ToPorch) -> None:
        """Another role, the porch, or the way out."""
        theirs = self._of(command.seat)
        check_person(command, member.actor, theirs[0].actor if theirs else None)
        match command:
            case SetRole():
                self._set_role(command.seat, command.role)
            case ToPorch():
                self._keep_admitted(command.seat, False)
                self._out(theirs, Goodbye("to_porch", said("the-tutor-has-asked-you"), False))
            case SendAway():
                self._change_seat(command.seat, sent_away=True)
                self._inside.keeper.keep(self._inside.store.sent_away, command.seat)
                self._out(theirs, Goodbye("sent_away", said("the-tutor-has-sent-you"), False))
                self._gone[command.seat] = msgspec.structs.replace(
                    self._person(theirs[0].actor), seen_ms=self._inside.now_ms(), sent_away=True
                )
        lesson = leave(self._inside.lesson, command.seat, self._inside.now_ms())
        if isinstance(command, SendAway) and command.knock and lesson.door == "open":
            lesson = carry_out(lesson, SetDoor("knock"), member.actor.seat, self._inside.now_ms())
        self._inside.put_lesson(lesson)
        self._inside.people_changed()

    def _set_role(self, seat: str, role: Role) -> None:
        self._change_seat(seat, role=role)
        self._inside.keeper.keep(self._inside.store.role, (seat, role))
        for other in self._of(seat):
            other.actor = msgspec.structs.replace(other.actor, role=role)
            self._inside.tell_standing(other)
            if other.actor.tutor_side:
                self._inside.tell_tutor_side([other])
        self._inside.people_changed()

    def _change_seat(self, seat: str, **values: Any) -> None:
        self._changed[seat] = {**self._changed.get(seat, {}), **values}

    def _out(self, theirs: list[Member], bye: Goodbye) -> None:
        for other in theirs:
            other.dismiss(bye)
            self._inside.let_go(other)

    def unpaired(self, pairings: set[int]) -> None:
        """End the lines of devices that are no longer paired."""
        theirs = [m for m in self._everybody() if m.pairing in pairings]
        self._out(theirs, Goodbye("unpaired", said("this-device-is-no-longer"), False))

    def signed_out(self, sessions: set[str]) -> None:
        """End the lines of browsers whose sessions have ended."""
        theirs = [m for m in self._everybody() if m.session in sessions]
        self._out(theirs, Goodbye("signed_out", said("this-browser-was-signed-out"), False))

    def closed(self) -> None:
        """The room closed between lessons: students and onlookers leave it."""
        sentence = said("the-lesson-is-over-and")
        theirs = [m for m in self._everybody() if not m.actor.tutor_side and not m.actor.owner]
        self._out(theirs, Goodbye("between_closed", sentence, True))

    def onlookers_out(self) -> None:
        """Their link was changed."""
        theirs = [m for m in self._everybody() if m.actor.role == "onlooker"]
        self._out(theirs, Goodbye("no_room", said("the-link-for-onlookers-was"), False))

    def off_board(self, board: str) -> None:
        """A board was put away: who is on it comes in again, on another one."""
        theirs = [m for m in self._inside.members.values() if m.board == board]
        self._out(theirs, Goodbye("board_gone", said("that-board-is-no-longer"), False))

    def all_out(self, bye: Goodbye) -> None:
        """The room is gone: everybody leaves it."""
        self._out(self._everybody(), bye)

    def _everybody(self) -> list[Member]:
        waiting = [member for _, members in self._porch.waiting.values() for member in members]
        return [*self._inside.members.values(), *waiting]

    def _of(self, seat: str) -> list[Member]:
        return [member for member in self._inside.members.values() if member.actor.seat == seat]
