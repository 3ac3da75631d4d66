"""The lesson: pens, hands and the clock, changed by commands and told to everyone as one small state."""

from sunroom.core.lesson.commands import (
    Command,
    EndLesson,
    LowerHand,
    OpenLesson,
    PassPen,
    RaiseHand,
    SetBetween,
    SetPens,
    TakePen,
)
from sunroom.core.lesson.state import Lesson, arrive, carry_out, expire

__all__ = [
    "Command",
    "EndLesson",
    "Lesson",
    "LowerHand",
    "OpenLesson",
    "PassPen",
    "RaiseHand",
    "SetBetween",
    "SetPens",
    "TakePen",
    "arrive",
    "carry_out",
    "expire",
]
