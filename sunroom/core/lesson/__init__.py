"""The lesson: pens, hands and the clock, changed by commands and told to everyone as one small state."""

from sunroom.core.lesson.chat import Said, check_said, hears
from sunroom.core.lesson.commands import (
    Command,
    EndLesson,
    LessonCommand,
    LowerHand,
    LowerHands,
    OpenLesson,
    PassPen,
    PassToNext,
    RaiseHand,
    SeatCommand,
    SendAway,
    SetBetween,
    SetPens,
    SetRights,
    SetRole,
    TakePen,
)
from sunroom.core.lesson.state import Lesson, arrive, carry_out, expire, leave

__all__ = [
    "Command",
    "EndLesson",
    "Lesson",
    "LessonCommand",
    "LowerHand",
    "LowerHands",
    "OpenLesson",
    "PassPen",
    "PassToNext",
    "RaiseHand",
    "Said",
    "SeatCommand",
    "SendAway",
    "SetBetween",
    "SetPens",
    "SetRights",
    "SetRole",
    "TakePen",
    "arrive",
    "carry_out",
    "check_said",
    "expire",
    "hears",
    "leave",
]
