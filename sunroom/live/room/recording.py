"""Whose voice is being taken down just now, told to everybody in the room for as long as it is."""

from __future__ import annotations

import asyncio

from sunroom.core.pens import Target
from sunroom.core.sentences import said
from sunroom.live.room.calling import ID
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.calls import Recorded, SetRecording
from sunroom.live.wire.messages import encode

#: A browser goes on without its line: everybody is told of it for so long after the line was lost.
AWAY_S = 300.0


class Recording:
    """What one live room is told while a voice is taken down; the sound itself comes by HTTP (doors.recordings)."""

    def __init__(self, inside: Inside) -> None:
        self._inside = inside
        self.now = Recorded()
        self._connection = ""
        self._away: asyncio.TimerHandle | None = None

    def record(self, member: Member, message: SetRecording) -> None:
        """Begin, go on after a lost line, or end; or be refused with a reason."""
        mine = self.now.seat == member.actor.seat and self.now.id == message.id
        if not message.on:
            return self.stop() if mine else None
        verdict = self._inside.decide(member, "record_voice", Target())
        if not verdict.allowed:
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        if not ID.fullmatch(message.id):
            return None
        if self.now.seat == member.actor.seat and not mine and self._away is None:
            return self._inside.refuse(member, "", "taken", said("recording-elsewhere"))
        if not mine:
            self._inside.write_down(member.actor, "did", said("did-record-voice"))
        self._connection = member.connection
        self._tell(Recorded(member.actor.seat, member.actor.name, message.id))

    def stop(self) -> None:
        if self.now.seat:
            self._tell(Recorded())

    def ask_again(self) -> None:
        """Whoever takes down their voice may have become another's helper."""
        member = self._inside.members.get(self._connection)
        if member and not self._inside.decide(member, "record_voice", Target()).allowed:
            self.stop()

    def left(self, member: Member) -> None:
        """A line is gone. Who was sent out takes nothing down; of others only the line may be lost."""
        if self._connection != member.connection or not self.now.seat:
            return
        if member.ended == "out":
            return self.stop()
        self._away = asyncio.get_running_loop().call_later(AWAY_S, self.stop)

    def _tell(self, now: Recorded) -> None:
        if self._away:
            self._away.cancel()
            self._away = None
        self.now = now
        told = encode(now)
        for member in self._inside.members.values():
            member.put(told)
