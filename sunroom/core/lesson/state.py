"""The lesson's state, and how commands, arrivals and the clock change it."""

from __future__ import annotations

import math
from typing import assert_never

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.lesson.commands import (
    EndLesson,
    HandWord,
    LessonCommand,
    LowerHand,
    LowerHands,
    OpenLesson,
    PassPen,
    PassToNext,
    RaiseHand,
    SetBetween,
    SetPens,
    SetRights,
    TakePen,
)
from sunroom.core.pens.facts import Facts, PassedPen

MAX_PEN_MINUTES = 600


class Lesson(msgspec.Struct, frozen=True):
    """One lesson as all see it.

    Attributes
    ----------
    facts : Facts
        What the rule book decides on.
    hands : tuple of str
        Seats with a hand up, in the order of raising.
    words : tuple of (str, str)
        What some of them say with it: pairs of seat and word.
    opened_ms, started_ms : int or None
        When the tutor opened it, and when the clock started: with the first student.
    ended_ms : int or None
        When it ended; None while it is on.
    """

    facts: Facts = Facts()
    hands: tuple[str, ...] = ()
    words: tuple[tuple[str, HandWord], ...] = ()
    opened_ms: int | None = None
    started_ms: int | None = None
    ended_ms: int | None = None


def carry_out(lesson: Lesson, command: LessonCommand, seat: str, now_ms: int) -> Lesson:
    """The lesson after ``command`` of ``seat``, which the rule book has allowed.

    Raises
    ------
    MalformedError
        When a pen is passed for no time, or for longer than a day can be.
    """
    facts, hands = lesson.facts, lesson.hands
    match command:
        case SetPens():
            facts = _with_mode(facts, command, now_ms)
        case PassPen():
            facts = _with_pen(facts, command, now_ms)
            hands = tuple(hand for hand in hands if hand != command.seat)
        case TakePen():
            facts = _without_pen(facts, command.seat, now_ms)
        case SetRights():
            facts = _with_rights(facts, command)
        case PassToNext():
            if hands:
                if facts.mode == "passed" and facts.passed:
                    facts = _without_pen(facts, facts.passed[-1].seat, now_ms)
                facts = _with_pen(facts, PassPen(hands[0]), now_ms)
                hands = hands[1:]
        case LowerHands():
            hands = ()
        case RaiseHand():
            hands = hands if seat in hands else (*hands, seat)
            said = (*(pair for pair in lesson.words if pair[0] != seat), (seat, command.word))
            lesson = msgspec.structs.replace(lesson, words=said)
        case LowerHand():
            hands = tuple(hand for hand in hands if hand != (command.seat or seat))
        case SetBetween():
            facts = msgspec.structs.replace(facts, between=command.between)
        case OpenLesson():
            if facts.open:
                return lesson
            return Lesson(
                msgspec.structs.replace(
                    facts, open=True, mode="down", passed=(), withheld=(), down_at_ms=now_ms
                ),
                opened_ms=now_ms,
            )
        case EndLesson():
            facts = msgspec.structs.replace(facts, open=False, mode="down", passed=(), withheld=())
            return msgspec.structs.replace(
                lesson, facts=facts, hands=(), ended_ms=now_ms if lesson.facts.open else lesson.ended_ms
            )
        case _:
            assert_never(command)
    # A word goes down with its hand.
    words = tuple(pair for pair in lesson.words if pair[0] in hands and pair[1])
    return msgspec.structs.replace(lesson, facts=facts, hands=hands, words=words)


def leave(lesson: Lesson, seat: str, now_ms: int) -> Lesson:
    """The lesson without a person who was sent away, or who needs no pen any more: hand, pen and kit go."""
    facts = _without_pen(lesson.facts, seat, now_ms) if lesson.facts.mode == "passed" else lesson.facts
    kits = tuple(pair for pair in facts.kits if pair[0] != seat)
    withheld = tuple(other for other in facts.withheld if other != seat)
    facts = msgspec.structs.replace(facts, kits=kits, withheld=withheld)
    return carry_out(msgspec.structs.replace(lesson, facts=facts), LowerHand(seat), seat, now_ms)


def arrive(lesson: Lesson, role: str, now_ms: int) -> Lesson:
    """The lesson after a person came in: the first student of an open lesson starts the clock."""
    if role == "student" and lesson.facts.open and lesson.started_ms is None:
        return msgspec.structs.replace(lesson, started_ms=now_ms)
    return lesson


def expire(lesson: Lesson, now_ms: int) -> Lesson:
    """The lesson without the pens whose minutes are over; the same object when none is."""
    facts = lesson.facts
    kept = tuple(pen for pen in facts.passed if pen.until_ms is None or now_ms < pen.until_ms)
    if len(kept) == len(facts.passed):
        return lesson
    facts = msgspec.structs.replace(facts, passed=kept)
    if facts.mode == "passed" and not kept:
        facts = msgspec.structs.replace(facts, mode="down", down_at_ms=now_ms)
    return msgspec.structs.replace(lesson, facts=facts)


def _with_rights(facts: Facts, command: SetRights) -> Facts:
    rights = None if command.rights is None else tuple(sorted(set(command.rights)))
    if not command.seat:
        return msgspec.structs.replace(facts, kit=rights if rights is not None else Facts().kit)
    others = tuple(pair for pair in facts.kits if pair[0] != command.seat)
    kits = others if rights is None else (*others, (command.seat, rights))
    return msgspec.structs.replace(facts, kits=kits)


def _with_mode(facts: Facts, command: SetPens, now_ms: int) -> Facts:
    if command.mode == facts.mode:
        return facts
    if command.mode == "down":
        # Pens down takes every pen back: a pen passed later must not bring old ones up with it.
        return msgspec.structs.replace(facts, mode="down", passed=(), withheld=(), down_at_ms=now_ms)
    return msgspec.structs.replace(facts, mode=command.mode, withheld=())


def _with_pen(facts: Facts, command: PassPen, now_ms: int) -> Facts:
    until_ms = None
    if command.minutes is not None:
        if not (math.isfinite(command.minutes) and 0 < command.minutes <= MAX_PEN_MINUTES):
            raise MalformedError("minutes", f"A pen is passed for up to {MAX_PEN_MINUTES} minutes.")
        until_ms = now_ms + round(command.minutes * 60_000)
    if facts.mode == "up":
        withheld = tuple(seat for seat in facts.withheld if seat != command.seat)
        return msgspec.structs.replace(facts, withheld=withheld)
    others = tuple(pen for pen in facts.passed if pen.seat != command.seat)
    return msgspec.structs.replace(facts, mode="passed", passed=(*others, PassedPen(command.seat, until_ms)))


def _without_pen(facts: Facts, seat: str, now_ms: int) -> Facts:
    if facts.mode == "up":
        return msgspec.structs.replace(facts, withheld=(*(s for s in facts.withheld if s != seat), seat))
    rest = tuple(pen for pen in facts.passed if pen.seat != seat)
    if len(rest) == len(facts.passed):
        return facts
    if rest:
        return msgspec.structs.replace(facts, passed=rest)
    return msgspec.structs.replace(facts, mode="down", passed=(), down_at_ms=now_ms)
