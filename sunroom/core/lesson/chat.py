"""The chat: what is said to all, to the tutor side in private, or by the tutor side to one person."""

from __future__ import annotations

import msgspec

from sunroom.core.characters import only_seen
from sunroom.core.errors import MalformedError
from sunroom.core.pens.facts import Actor
from sunroom.core.sentences import said

#: Characters of a line of the chat, and of a caption: of that two are seen at once.
MAX_SAID, MAX_CAPTION = 1_000, 200
ALL, TUTOR_SIDE = "all", "tutor_side"


class Said(msgspec.Struct, frozen=True):
    """One line: when, whose, and to whom (``to`` is "all", "tutor_side" or a seat)."""

    at_ms: int
    seat: str
    name: str
    to: str
    text: str


def check_said(text: str, most: int = MAX_SAID) -> str:
    """The line without what cannot be seen; raises MalformedError when nothing is left or it is too long."""
    clean = only_seen(text).strip()
    if not any(c.isprintable() for c in clean):
        raise MalformedError("text", said("there-is-nothing-to-say"))
    if len(clean) > most:
        raise MalformedError("text", said("that-is-characters-are-the", count=len(clean), said=most))
    return clean


def hears(actor: Actor, line: Said) -> bool:
    """Whether a person is shown a line."""
    if line.to == ALL or line.seat == actor.seat:
        return True
    return actor.tutor_side or line.to == actor.seat
