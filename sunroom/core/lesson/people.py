"""What may be done about a person, beyond the right to do such things at all: a table of who with whom.

The rule book (core.pens) says who may rename, admit or send away; here stands whom it may happen to.
"""

from __future__ import annotations

from sunroom.core.errors import MalformedError
from sunroom.core.lesson.commands import HandOver, SendAway, SetRole, ToPorch
from sunroom.core.pens.facts import Actor
from sunroom.core.sentences import said

#: Each reason's code; its sentence stands in the catalogue as “person-…”.
REASONS = ("not_here", "yourself", "owner", "tutor", "onlooker", "not_a_helper")


def check_person(command: SetRole | SendAway | ToPorch | HandOver, actor: Actor, other: Actor | None) -> None:
    """Raise MalformedError with the reason's code when ``actor`` cannot do that to ``other`` (None: not here).

    ``HandOver`` to nobody is the owner's taking the room back; ``other`` is then the actor.
    """
    reason = _reason(command, actor, other)
    if reason:
        raise MalformedError(reason, said(f"person-{reason.replace('_', '-')}"))


def may_follow(actor: Actor, other: Actor) -> bool:
    """Whether somebody may be shown what another sees: the tutor side follows anybody, others the tutor side."""
    return actor.tutor_side or other.tutor_side


def _reason(command: SetRole | SendAway | ToPorch | HandOver, actor: Actor, other: Actor | None) -> str:
    if other is None:
        return "not_here"
    if isinstance(command, HandOver):
        fits = other.role in ("helper", "tutor") or (other.owner and other.seat == actor.seat)
        return "" if fits else "not_a_helper"
    if other.seat == actor.seat:
        return "yourself"
    if other.owner:
        return "owner"
    if other.role == "tutor":
        return "tutor"
    if isinstance(command, SetRole) and other.role == "onlooker":
        return "onlooker"
    return ""
