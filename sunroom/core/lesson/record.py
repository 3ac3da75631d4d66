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
    LetBack,
    OpenLesson,
    PassPen,
    PassToNext,
    PauseLesson,
    Rename,
    SendAway,
    SetBetween,
    SetCaller,
    SetDoor,
    SetPens,
    SetPointing,
    SetRights,
    SetRole,
    SetVoices,
    TakePen,
    ToPorch,
    TurnAway,
)
from sunroom.core.lesson.state import Check
from sunroom.core.sentences import Sentence, Value, said

What = Literal["did", "came", "went"]


class Entry(msgspec.Struct, frozen=True):
    """One line of the record: at what time, whose doing, and what (``said`` is filled up by the name as ``by``)."""

    at_ms: int
    seat: str
    name: str
    what: What
    said: Sentence = Sentence("")


def described(command: Command, name_of: dict[str, str]) -> Sentence | None:
    """What a command did, to be said with the name of the one who gave it (``by``); None when it is not recorded.

    Hands are not: they are up and down all the time and change nobody's rights.
    """

    def about(key: str, seat: str, **values: Value) -> Sentence:
        return said(key, name=name_of.get(seat, "?"), **values)

    match command:
        case SetPens():
            return said(f"did-pens-{command.mode}")
        case PassPen(minutes=None):
            return about("did-pass-pen", command.seat)
        case PassPen():
            return about("did-pass-pen-for", command.seat, minutes=command.minutes or 0)
        case TakePen():
            return about("did-take-pen", command.seat)
        case PassToNext():
            return said("did-pass-to-next")
        case SetRights():
            return about("did-set-rights-of", command.seat) if command.seat else said("did-set-rights")
        case SetPointing():
            return said("did-let-point" if command.on else "did-stop-pointing")
        case SetVoices():
            return said(f"did-{'faces' if command.faces else 'voices'}-{command.who.replace('_', '-')}")
        case SetCaller():
            how = (
                "muted"
                if command.muted
                else "called"
                if command.called
                else "unseen"
                if command.unseen
                else "heard"
            )
            return about(f"did-caller-{how}", command.seat)
        case SetRole():
            return about(f"did-make-{command.role}", command.seat)
        case SendAway():
            return about("did-send-away", command.seat)
        case LetBack():
            return about("did-let-back", command.seat)
        case Admit():
            return about("did-admit", command.seat) if command.seat else said("did-admit-all")
        case TurnAway():
            return about("did-turn-away", command.seat)
        case ToPorch():
            return about("did-to-porch", command.seat)
        case Rename():
            return about("did-rename", command.seat, new=command.name)
        case HandOver():
            return about("did-hand-over", command.seat) if command.seat else said("did-take-room-back")
        case SetDoor():
            return said(f"did-door-{command.door}")
        case PauseLesson():
            return said("did-pause" if command.paused else "did-go-on")
        case SetBetween():
            return said(f"did-between-{command.between}")
        case OpenLesson():
            return said("did-open-again" if command.again else "did-open")
        case EndLesson():
            return said("did-end")
        case _:
            return None


def asked(check: Check) -> Sentence:
    """What a question came to, to be said with the name of the one who puts it away."""
    given = [option for _, option in check.answers]
    counts = "; ".join(f"{words} {given.count(number)}" for number, words in enumerate(check.options))
    return said("did-ask", question=check.question or "?", counts=counts)


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
