"""The record: who changed rights, cleared, admitted or removed, and who was here for how long."""

from __future__ import annotations

from collections.abc import Iterable
from typing import Literal

import msgspec

from sunroom.core.lesson.commands import (
    Admit,
    Command,
    EndLesson,
    HandOver,
    OpenLesson,
    PassPen,
    PassToNext,
    PauseLesson,
    Rename,
    SendAway,
    SetBetween,
    SetDoor,
    SetPens,
    SetRights,
    SetRole,
    TakePen,
    ToPorch,
    TurnAway,
)
from sunroom.core.lesson.state import Check

What = Literal["did", "came", "went"]


class Entry(msgspec.Struct, frozen=True):
    """One line of the record: at what time, whose doing, and the sentence's rest ("put pens up")."""

    at_ms: int
    seat: str
    name: str
    what: What
    text: str = ""


def described(command: Command, name_of: dict[str, str]) -> str:
    """What a command did, to stand behind the name of the one who gave it; "" when it is not recorded.

    Hands are not: they are up and down all the time and change nobody's rights.
    """
    match command:
        case SetPens():
            return {"down": "put pens down", "passed": "let holders of a pen write", "up": "put pens up"}[
                command.mode
            ]
        case PassPen():
            minutes = "" if command.minutes is None else f" for {command.minutes:g} minutes"
            return f"passed a pen to {_name(name_of, command.seat)}{minutes}"
        case TakePen():
            return f"took the pen back from {_name(name_of, command.seat)}"
        case PassToNext():
            return "passed the pen to the next hand"
        case SetRights():
            whose = f"{_name(name_of, command.seat)}'s pen" if command.seat else "pens"
            return f"changed what {whose} may do"
        case SetRole():
            return f"made {_name(name_of, command.seat)} a {command.role}"
        case SendAway():
            return f"sent {_name(name_of, command.seat)} away"
        case Admit():
            return f"let {_name(name_of, command.seat) if command.seat else 'everybody'} in"
        case TurnAway():
            return f"did not let {_name(name_of, command.seat)} in"
        case ToPorch():
            return f"sent {_name(name_of, command.seat)} to the porch"
        case Rename():
            return f"called {_name(name_of, command.seat)} “{command.name}”"
        case HandOver():
            return (
                f"handed the room over to {_name(name_of, command.seat)}"
                if command.seat
                else "took the room back"
            )
        case SetDoor():
            doors = {"open": "to everybody with the link", "knock": "to those who knock", "code": "by a code"}
            return f"opened the door {doors[command.door]}"
        case PauseLesson():
            return "paused the lesson" if command.paused else "let the lesson go on"
        case SetBetween():
            return f"set the room between lessons to “{command.between}”"
        case OpenLesson():
            return "opened the lesson"
        case EndLesson():
            return "ended the lesson"
        case _:
            return ""


def asked(check: Check) -> str:
    """What a question came to, to stand behind the name of the one who puts it away."""
    given = [option for _, option in check.answers]
    counts = "; ".join(f"{words} {given.count(number)}" for number, words in enumerate(check.options))
    return f"asked “{check.question}”: {counts}" if check.question else f"asked: {counts}"


def minutes_present(entries: Iterable[Entry], from_ms: int, until_ms: int) -> dict[str, float]:
    """Minutes that each seat was here between two moments, over all comings and goings.

    Entries are in the order of time. Who came and has no going is taken to be here to the end.
    """
    came: dict[str, int] = {}
    total: dict[str, float] = {}

    def add(seat: str, start: int, end: int) -> None:
        inside = max(0, min(end, until_ms) - max(start, from_ms))
        total[seat] = total.get(seat, 0.0) + inside / 60_000

    for entry in entries:
        if entry.what == "came":
            came.setdefault(entry.seat, entry.at_ms)
        elif entry.what == "went" and entry.seat in came:
            add(entry.seat, came.pop(entry.seat), entry.at_ms)
    for seat, start in came.items():
        add(seat, start, until_ms)
    return {seat: minutes for seat, minutes in total.items() if minutes > 0}


def _name(name_of: dict[str, str], seat: str) -> str:
    return name_of.get(seat, "somebody")
