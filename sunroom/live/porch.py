"""The porch: who may come in at once, who knocks, and who needs the code."""

from __future__ import annotations

from typing import Literal

from sunroom.core.lesson import Lesson, code_fits
from sunroom.live.member import Member
from sunroom.live.messages import Knock

Answer = Literal["in", "knock", "code", "wrong"]


class Porch:
    """Those who wait before a room, and those it has let in or sent out since it became live."""

    def __init__(self) -> None:
        self.waiting: dict[str, tuple[Knock, list[Member]]] = {}
        self._admitted: dict[str, bool] = {}

    def ask(self, member: Member, lesson: Lesson, admitted: bool | None, code: str) -> Answer:
        """What the door says to a student.

        Parameters
        ----------
        admitted : bool or None
            What is kept of the seat: let in before, to knock whatever the rule, or neither.
        """
        admitted = self._admitted.get(member.actor.seat, admitted)
        # Onlookers have a link of their own, which is their key.
        if member.actor.role != "student" or admitted:
            return "in"
        if admitted is None and lesson.door == "open":
            return "in"
        if admitted is None and lesson.door == "code":
            if code_fits(lesson, code):
                return "in"
            return "wrong" if code else "code"
        return "knock"

    def came(self, member: Member) -> None:
        """Who is in comes back without knocking, and so do their other tabs and devices."""
        self._admitted[member.actor.seat] = True

    def knock(self, member: Member, now_ms: int) -> None:
        """Let a person wait to be let in."""
        actor = member.actor
        knock, members = self.waiting.get(actor.seat, (Knock(actor.seat, actor.name, now_ms), []))
        if member not in members:
            self.waiting[actor.seat] = (knock, [*members, member])

    def left(self, member: Member) -> bool:
        """A person who waited has gone; whether the list is another now."""
        seat = member.actor.seat
        if seat not in self.waiting:
            return False
        knock, members = self.waiting[seat]
        rest = [other for other in members if other is not member]
        if rest:
            self.waiting[seat] = (knock, rest)
        else:
            del self.waiting[seat]
        return not rest

    def decide(self, seat: str, admitted: bool) -> list[Member]:
        """Let somebody in, or have them knock from now on; those of theirs who waited."""
        self._admitted[seat] = admitted
        return self.waiting.pop(seat, (None, []))[1]

    def turned_away(self, seat: str) -> list[Member]:
        """Those of a seat who waited; they may knock again."""
        return self.waiting.pop(seat, (None, []))[1]

    def knocks(self) -> tuple[Knock, ...]:
        return tuple(knock for knock, _ in self.waiting.values())
