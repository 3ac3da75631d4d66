"""Who is here, and what can be done about a person's seat: roles, names, the porch, sending away."""

from __future__ import annotations

from typing import TYPE_CHECKING

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    Admit,
    HandOver,
    Rename,
    SeatCommand,
    SendAway,
    SetRole,
    ToPorch,
    TurnAway,
    leave,
)
from sunroom.core.pens import Actor
from sunroom.core.pens.facts import Role
from sunroom.live.member import Member
from sunroom.live.messages import AtPorch, Goodbye, LetIn, Person, encode
from sunroom.rooms.names import BadName, clean_name, distinct

if TYPE_CHECKING:
    from sunroom.live.room import LiveRoom

#: Somebody who has gone is still listed for so long.
GONE_MS = 3 * 3_600_000
RANK: dict[Role, int] = {"tutor": 0, "helper": 1, "student": 2, "onlooker": 3}


class Seats:
    """The people of one live room.

    Parameters
    ----------
    room : LiveRoom
    names : dict of str to str
        Of all seats of the room, here or not.
    """

    def __init__(self, room: LiveRoom, names: dict[str, str]) -> None:
        self._room = room
        self.names = names
        self._gone: dict[str, Person] = {}

    def came(self, actor: Actor) -> None:
        self.names[actor.seat] = actor.name
        self._gone.pop(actor.seat, None)

    def went(self, actor: Actor) -> None:
        if actor.role != "onlooker":
            now_ms = self._room.now_ms()
            self._gone[actor.seat] = Person(actor.seat, actor.name, actor.role, 0, seen_ms=now_ms)

    def people(self) -> tuple[Person, ...]:
        """Who is here, the tutor side first, then by name; then who was."""
        seats: dict[str, Person] = {}
        for member in self._room.members.values():
            actor, known = member.actor, seats.get(member.actor.seat)
            tabs, page = (known.tabs + 1, member.page or known.page) if known else (1, member.page)
            seats[actor.seat] = Person(
                actor.seat, actor.name, actor.role, tabs, page, member.board, member.line, owner=actor.owner
            )
        since = self._room.now_ms() - GONE_MS
        gone = [person for person in self._gone.values() if person.seen_ms > since]
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
                for waiting in self._room.porch.turned_away(command.seat):
                    waiting.put(encode(AtPorch("knock", self._room.lesson.facts.writer, away=True)))
                self._room.door_changed()
            case Rename():
                self._rename(command)
            case HandOver():
                self._hand_over(member, command.seat)
            case _:
                self._change(member, command)

    def _admit(self, seat: str) -> None:
        porch = self._room.porch
        for knocking in [seat] if seat else list(porch.waiting):
            self._room.keeper.keep(self._room.store.admitted, (knocking, True))
            for waiting in porch.decide(knocking, True):
                waiting.put(encode(LetIn()))
        self._room.door_changed()

    def _rename(self, command: Rename) -> None:
        try:
            name = clean_name(command.name)
        except BadName as error:
            raise MalformedError("name", str(error)) from error
        if command.seat not in self.names:
            raise MalformedError("not_here", "There is nobody in that seat.")
        name = distinct(name, (other for seat, other in self.names.items() if seat != command.seat))
        self.names[command.seat] = name
        self._room.keeper.keep(self._room.store.renamed, (command.seat, name))
        for other in self._of(command.seat):
            other.actor = msgspec.structs.replace(other.actor, name=name)
            if other.actor.role == "tutor":
                facts = msgspec.structs.replace(self._room.lesson.facts, writer=name)
                self._room.put_lesson(msgspec.structs.replace(self._room.lesson, facts=facts))
        self._room.people_changed()

    def _hand_over(self, member: Member, seat: str) -> None:
        """The tutor becomes a helper, and a helper (or the room's owner) the tutor."""
        to = seat or member.actor.seat
        theirs = self._of(to)
        if not theirs or theirs[0].actor.role not in ("helper", "tutor"):
            raise MalformedError("not_a_helper", "Make that person a helper first, then hand the room over.")
        for other in list(self._room.members.values()):
            if other.actor.role == "tutor" and other.actor.seat != to:
                self._set_role(other.actor.seat, "helper")
        self._set_role(to, "tutor")
        facts = msgspec.structs.replace(self._room.lesson.facts, writer=theirs[0].actor.name)
        self._room.put_lesson(msgspec.structs.replace(self._room.lesson, facts=facts))

    def _change(self, member: Member, command: SetRole | SendAway | ToPorch) -> None:
        """Another role, the porch, or the way out; nobody does that to the tutor or to themselves."""
        theirs = self._of(command.seat)
        if not theirs or theirs[0].actor.role == "tutor" or command.seat == member.actor.seat:
            raise MalformedError("not_a_student", "That person is not here, or cannot be changed.")
        if isinstance(command, SetRole):
            if theirs[0].actor.role == "onlooker":
                raise MalformedError("onlooker", "Onlookers have a door of their own.")
            self._set_role(command.seat, command.role)
        elif isinstance(command, ToPorch):
            self._room.keeper.keep(self._room.store.admitted, (command.seat, False))
            self._room.porch.decide(command.seat, False)
            self._out(theirs, Goodbye("to_porch", "The tutor has asked you to wait at the door.", False))
        else:
            self._room.keeper.keep(self._room.store.sent_away, command.seat)
            self._out(theirs, Goodbye("sent_away", "The tutor has sent you out of this room.", False))
            self._gone.pop(command.seat, None)
        self._room.put_lesson(leave(self._room.lesson, command.seat, self._room.now_ms()))
        for other in theirs:
            if other.connection in self._room.members:
                self._room.tell_standing(other)
        self._room.people_changed()

    def _set_role(self, seat: str, role: Role) -> None:
        self._room.keeper.keep(self._room.store.role, (seat, role))
        for other in self._of(seat):
            other.actor = msgspec.structs.replace(other.actor, role=role)
            self._room.tell_standing(other)
            self._room.joined(other)
        self._room.people_changed()

    def _out(self, theirs: list[Member], bye: Goodbye) -> None:
        told = encode(bye)
        for other in theirs:
            other.put(told)
            self._room.leave(other)

    def unpaired(self, pairings: set[int]) -> None:
        """End the lines of devices that are no longer paired."""
        theirs = [m for m in self._room.members.values() if m.pairing in pairings]
        self._out(theirs, Goodbye("unpaired", "This device is no longer paired.", False))

    def _of(self, seat: str) -> list[Member]:
        return [member for member in self._room.members.values() if member.actor.seat == seat]
