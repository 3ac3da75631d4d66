"""The call of one live room: who is in it, what they may do there, and signals passed on between their browsers.

Sound and pictures go from browser to browser; the room only says who is there. Each browser plays of the others what
``Caller`` says they may, so that one that sends against the rules is heard by nobody.
"""

from __future__ import annotations

import re
from collections.abc import Callable

import msgspec

from sunroom.core.pens import Target, decide
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import said
from sunroom.live.room.inside import Inside
from sunroom.live.room.member import Member
from sunroom.live.wire.calls import Call, Caller, Callers, CallWays, IceServer, Signal
from sunroom.live.wire.messages import encode
from sunroom.live.work.media_server import MEDIA, MediaCall

#: Each browser sends to each other one: more than this is for a media server.
MAX_CALLERS = 30
MAX_WITH_MEDIA = 120
#: With more in the call only the tutor side, who has a pen, and who was called up send pictures.
MAX_FACES = 6
#: A description of a session with a voice and a picture has about 8,000 characters, a candidate about 200.
MAX_SIGNAL = {"offer": 20_000, "answer": 20_000, "candidate": 1_500}
ID = re.compile(r"[A-Za-z0-9_-]{8,32}")


#: What is made by it is given each signal for a browser.
MakeMedia = Callable[[Callable[[Signal], None]], MediaCall]


class Calling:
    """The call of one live room; ``servers`` help browsers on the way to each other, ``media`` takes them to a media server."""

    def __init__(self, inside: Inside, media: MakeMedia | None = None) -> None:
        self._inside, self._make_media = inside, media
        self._media: MediaCall | None = None
        self._calls: dict[str, tuple[Member, Call]] = {}
        self._told: tuple[Caller, ...] = ()

    def call(self, member: Member, message: Call, servers: tuple[IceServer, ...]) -> None:
        """Come into the call, change what is on there, or leave it; or be refused with a reason."""
        if not message.on:
            return self.left(member, message.id)
        if not ID.fullmatch(message.id):
            return
        if member.actor.role == "onlooker":
            verdict = self._inside.decide(member, "speak", Target())
            return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        if message.shows:
            verdict = self._inside.decide(member, "add_picture", Target())
            if not verdict.allowed:
                return self._inside.refuse(member, "", verdict.reason, verdict.sentence)
        for uid, other in self._of(member).items():
            if other.shows == message.shows and uid != message.id:
                self.left(member, uid)
        holder = self._calls.get(message.id)
        if holder and holder[0].actor.seat != member.actor.seat:
            return self._inside.refuse(member, "", "taken", said("call-place-is-taken"))
        most = MAX_WITH_MEDIA if self._make_media else MAX_CALLERS
        if holder is None and len(self._calls) >= most:
            return self._inside.refuse(member, "", "call_full", said("call-is-full", most=most))
        self._calls[message.id] = (member, message)
        if holder is None or holder[0] is not member:
            self._tell_ways(member, message.id, servers)
        self.changed()

    def _tell_ways(self, member: Member, uid: str, servers: tuple[IceServer, ...]) -> None:
        """How a browser finds the others: by a media server, where there is one, or each of them itself."""

        def tell(media: str) -> None:
            member.put(encode(CallWays(servers, media)))

        if self._make_media is None:
            return tell("")
        self._media = self._media or self._make_media(self._from_media)
        self._media.join(uid, tell)

    def _of(self, member: Member) -> dict[str, Call]:
        """What a browser has in the call: itself, and what it shows."""
        return {uid: call for uid, (other, call) in self._calls.items() if other is member}

    def lost(self, member: Member) -> None:
        """A browser's line is gone. Who was sent out is out; of others only the line may be lost, and not the call."""
        if member.ended == "out":
            return self.left(member)
        for uid in self._of(member):
            del self._calls[uid]
            if self._media:
                self._media.lost(uid)
        self.changed()

    def left(self, member: Member, only: str = "") -> None:
        """A browser is out of the call, or ``only`` one of its two ids: the others wait for it no longer."""
        gone = tuple(uid for uid in self._of(member) if only in ("", uid))
        for uid in gone:
            del self._calls[uid]
            if self._media:
                self._media.leave(uid)
        if gone:
            self.changed(gone)

    def signal(self, member: Member, message: Signal) -> None:
        """Pass a signal on, within this call, in the sender's own name; what is none is let fall."""
        to = self._calls.get(message.to)
        if message.by not in self._of(member) or len(message.data) > MAX_SIGNAL[message.kind]:
            return
        if self._media and self._media.id and (message.to == MEDIA or to):
            self._media.signal(message)
        elif to and to[0] is not member:
            to[0].put(encode(message))

    def _from_media(self, message: Signal) -> None:
        """Pass a signal of the media server on to whom it is for."""
        to = self._calls.get(message.to)
        if to:
            to[0].put(encode(message))

    async def close(self) -> None:
        if self._media:
            await self._media.close()

    def callers(self) -> tuple[Caller, ...]:
        """Everybody in the call, with what they may do by the rule book of this moment."""
        facts, now_ms = self._inside.lesson.facts, self._inside.now_ms()
        shown = facts
        faces = sum(not call.shows for _, call in self._calls.values())
        if faces > MAX_FACES and facts.faces == "all":
            shown = msgspec.structs.replace(facts, faces="pens")

        def told(uid: str, member: Member, call: Call) -> Caller:
            speaks = decide(member.actor, "speak", Target(), facts, now_ms)
            picture: Action = "add_picture" if call.shows else "show_face"
            seen = decide(member.actor, picture, Target(), facts if call.shows else shown, now_ms)
            return Caller(
                uid,
                member.actor.seat,
                call.voice,
                call.face,
                speaks.allowed and not call.shows,
                seen.allowed,
                call.trouble,
                call.shows,
                None if speaks.allowed else speaks.sentence,
                None if seen.allowed else seen.sentence,
            )

        return tuple(told(uid, member, call) for uid, (member, call) in self._calls.items())

    def changed(self, gone: tuple[str, ...] = ()) -> None:
        """Tell everybody who is in the call, when that is news."""
        callers = self.callers()
        if callers == self._told and not gone:
            return
        self._told = callers
        told = encode(Callers(callers, gone))
        for member in self._inside.members.values():
            if member.actor.role != "onlooker":
                member.put(told)
