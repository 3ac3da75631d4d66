"""How what a room knows besides its boards goes to the disk; each method takes what the keeper gathered."""

from __future__ import annotations

from sunroom.core.lesson import Lesson, Said
from sunroom.core.lesson.record import Entry
from sunroom.lessons import repository as lessons
from sunroom.rooms import services as seats


class RoomStore:
    """The disk's side of one room."""

    def __init__(self, room_id: int) -> None:
        self._room_id = room_id

    def lesson(self, states: list[Lesson]) -> None:
        """The newest state is the lesson's."""
        lessons.keep(self._room_id, states[-1])

    def said(self, lines: list[Said]) -> None:
        lessons.keep_said(self._room_id, lines)

    def record(self, entries: list[Entry]) -> None:
        lessons.write_down(self._room_id, entries)

    def role(self, roles: list[tuple[str, str]]) -> None:
        for seat, role in roles:
            seats.set_role(seat, role)

    def renamed(self, renamed: list[tuple[str, str]]) -> None:
        for seat, name in renamed:
            seats.rename(seat, name)

    def admitted(self, admitted: list[tuple[str, bool]]) -> None:
        for seat, let_in in admitted:
            seats.admit(seat, let_in)

    def seen(self, came: list[str]) -> None:
        for seat in dict.fromkeys(came):
            seats.seen(seat)

    def sent_away(self, sent: list[str]) -> None:
        for seat in sent:
            seats.send_away(seat)

    def let_back(self, back: list[str]) -> None:
        for seat in back:
            seats.send_away(seat, False)
