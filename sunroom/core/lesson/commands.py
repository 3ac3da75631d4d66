"""What people ask of the lesson, and which action of the rule book each is."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.pens.facts import Between, Mode
from sunroom.core.pens.kits import Right
from sunroom.core.pens.rules import Action

HandWord = Literal["", "stuck", "answer", "done"]


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


class SetRights(msgspec.Struct, frozen=True, tag_field="command", tag="set_rights"):
    """What a pen may do: everyone's, or that of ``seat``; ``rights`` None lets one person's be as everyone's."""

    rights: tuple[Right, ...] | None
    seat: str = ""


class PassToNext(msgspec.Struct, frozen=True, tag_field="command", tag="pass_to_next"):
    """Take the pen from whoever got it last and pass it to the first hand in the queue."""


class RaiseHand(msgspec.Struct, frozen=True, tag_field="command", tag="raise_hand"):
    """Put one's hand up, or say another word with it: “stuck”, “answer”, “done”."""

    word: HandWord = ""


class LowerHands(msgspec.Struct, frozen=True, tag_field="command", tag="lower_hands"):
    """Lower all hands."""


class SetRole(msgspec.Struct, frozen=True, tag_field="command", tag="set_role"):
    """Make a student a helper, or a helper a student."""

    seat: str
    role: Literal["helper", "student"]


class SendAway(msgspec.Struct, frozen=True, tag_field="command", tag="send_away"):
    """Remove a person, who stays out."""

    seat: str


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


#: Commands that change the lesson's own state.
LessonCommand = (
    SetPens
    | PassPen
    | TakePen
    | SetRights
    | PassToNext
    | RaiseHand
    | LowerHand
    | LowerHands
    | SetBetween
    | OpenLesson
    | EndLesson
)
#: Commands about people's seats, which are not the lesson's.
SeatCommand = SetRole | SendAway
Command = LessonCommand | SeatCommand


def action_of(command: Command, seat: str) -> Action:
    """The rule book's action that ``command`` of ``seat`` is."""
    match command:
        case SetPens():
            return "set_pens"
        case PassPen() | TakePen() | PassToNext() | LowerHands():
            return "pass_pen"
        case SetRights():
            return "set_rights"
        case SetRole():
            return "set_role"
        case SendAway():
            return "send_away"
        case SetBetween():
            return "set_between"
        case OpenLesson() | EndLesson():
            return "end_lesson"
        case LowerHand() if command.seat not in ("", seat):
            return "pass_pen"
        case _:
            return "hand"
