"""How what a room knows besides its boards goes to the disk; each method takes what the keeper gathered."""

from __future__ import annotations

from sunroom.core.lesson import Lesson, Said, SendAway, SetRole
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

    def role(self, commands: list[SetRole]) -> None:
        for command in commands:
            seats.set_role(command.seat, command.role)

    def sent_away(self, commands: list[SendAway]) -> None:
        for command in commands:
            seats.send_away(command.seat)
