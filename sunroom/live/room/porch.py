"""The porch: who waits before a room to be let in, and tries at the door's code."""

from __future__ import annotations

from collections.abc import Callable

from sunroom.live.room.member import Member
from sunroom.live.wire.messages import Knock
from sunroom.live.wire.pace import Pace

#: Codes are not found by trying: so many wrong ones a room, however many lines and seats they come by.
WRONG_CODES_PER_S, WRONG_CODE_BURST = 0.2, 20.0
#: More than a school's classes at once do not wait at one door.
MOST_WAITING = 300


class Porch:
    """Those who wait before a room."""

    def __init__(self, clock: Callable[[], float]) -> None:
        self.waiting: dict[str, tuple[Knock, list[Member]]] = {}
        self._wrong_codes = Pace(WRONG_CODES_PER_S, WRONG_CODE_BURST, clock)

    @property
    def full(self) -> bool:
        return len(self.waiting) >= MOST_WAITING

    def may_try(self) -> bool:
        """Whether a code may be tried just now; after too many wrong ones nobody's is looked at for a while."""
        return self._wrong_codes.left >= 1

    def was_wrong(self) -> None:
        self._wrong_codes.delay_s()

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

    def let_go(self, seat: str) -> list[Member]:
        """Those of a seat who waited, and no longer do."""
        return self.waiting.pop(seat, (None, []))[1]

    def knocks(self) -> tuple[Knock, ...]:
        return tuple(knock for knock, _ in self.waiting.values())
