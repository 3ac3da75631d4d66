"""What people ask of the lesson, and which action of the rule book each is."""

from __future__ import annotations

import msgspec

from sunroom.core.pens.facts import Between, Mode
from sunroom.core.pens.rules import Action


class SetPens(msgspec.Struct, frozen=True, tag_field="command", tag="set_pens"):
    """Pens down, passed or up for everyone."""

    mode: Mode


class PassPen(msgspec.Struct, frozen=True, tag_field="command", tag="pass_pen"):
    """Give one person a pen, for ``minutes`` or (None) until it is taken back."""

    seat: str
    minutes: float | None = None


class TakePen(msgspec.Struct, frozen=True, tag_field="command", tag="take_pen"):
    """Take one person's pen back; while pens are up, withhold it."""

    seat: str


class RaiseHand(msgspec.Struct, frozen=True, tag_field="command", tag="raise_hand"):
    pass


class LowerHand(msgspec.Struct, frozen=True, tag_field="command", tag="lower_hand"):
    """Lower one's own hand, or as the tutor side that of ``seat``."""

    seat: str = ""


class SetBetween(msgspec.Struct, frozen=True, tag_field="command", tag="set_between"):
    """What students may do between lessons: look, write, or nothing."""

    between: Between


class OpenLesson(msgspec.Struct, frozen=True, tag_field="command", tag="open_lesson"):
    pass


class EndLesson(msgspec.Struct, frozen=True, tag_field="command", tag="end_lesson"):
    pass


Command = SetPens | PassPen | TakePen | RaiseHand | LowerHand | SetBetween | OpenLesson | EndLesson


def action_of(command: Command, seat: str) -> Action:
    """The rule book's action that ``command`` of ``seat`` is."""
    match command:
        case SetPens():
            return "set_pens"
        case PassPen() | TakePen():
            return "pass_pen"
        case SetBetween():
            return "set_between"
        case OpenLesson() | EndLesson():
            return "end_lesson"
        case LowerHand() if command.seat not in ("", seat):
            return "pass_pen"
        case _:
            return "hand"
