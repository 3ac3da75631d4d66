"""Messages of the call: who is in it, signals between browsers, captions, and whose voice is being taken down."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.sentences import Sentence

#: What does not work in somebody's call: no microphone, a silent one, no camera, no way to somebody.
CallTrouble = Literal["", "no_voice", "silent", "no_face", "no_way"]


class SetRecording(msgspec.Struct, frozen=True, tag_field="type", tag="set_recording"):
    """From now on this browser takes down its person's voice, or does not any more; ``id`` is that taking-down's own."""

    on: bool
    id: str


class Recorded(msgspec.Struct, frozen=True, tag_field="type", tag="recorded"):
    """Whose voice is being taken down, and which taking-down that is; "" when nobody's is."""

    seat: str = ""
    name: str = ""
    id: str = ""


class Caption(msgspec.Struct, frozen=True, tag_field="type", tag="caption"):
    """What is being said, written down by one of the tutor side for those who do not hear it."""

    text: str


class Captioned(msgspec.Struct, frozen=True, tag_field="type", tag="captioned"):
    """To everybody: what was just said."""

    text: str


class Call(msgspec.Struct, frozen=True, tag_field="type", tag="call"):
    """This browser is in the call under an ``id`` of its own making, by which it keeps its place when its line was lost; or
    (``on`` False) no longer.

    ``voice``, ``face``: its microphone, its camera is on; ``trouble``: what does not work there. ``shows``: this is a second
    picture beside the person's own, of a sheet of paper or a window, for everybody over the board.
    """

    id: str
    on: bool = True
    voice: bool = False
    face: bool = False
    trouble: CallTrouble = ""
    shows: bool = False


class Signal(msgspec.Struct, frozen=True, tag_field="type", tag="signal"):
    """From one browser in the call to another: WebRTC's description of a session, or a candidate of a way, as JSON.

    ``by`` is who sends it, one of the sender's own ids in the call.
    """

    to: str
    kind: Literal["offer", "answer", "candidate"]
    data: str
    by: str = ""


class Caller(msgspec.Struct, frozen=True):
    """A browser in the call. What it ``may_voice`` and ``may_face`` the others play; nothing else of it.

    ``no_voice`` and ``no_face`` say why it may not.
    """

    id: str
    seat: str
    voice: bool
    face: bool
    may_voice: bool
    may_face: bool
    trouble: CallTrouble = ""
    shows: bool = False
    no_voice: Sentence | None = None
    no_face: Sentence | None = None


class Callers(msgspec.Struct, frozen=True, tag_field="type", tag="callers"):
    """Everybody in the call; those in ``gone`` have left it, whom nobody waits for."""

    callers: tuple[Caller, ...]
    gone: tuple[str, ...] = ()


class IceServer(msgspec.Struct, frozen=True):
    """A server that helps two browsers to a way between them; the credential is good for hours."""

    urls: str
    username: str = ""
    credential: str = ""


class CallWays(msgspec.Struct, frozen=True, tag_field="type", tag="call_ways"):
    """To who comes into the call: helpers on the way to the others, and the media server's call, "" when there is none."""

    servers: tuple[IceServer, ...]
    media: str = ""
