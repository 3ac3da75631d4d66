"""The lesson's state, and how commands, arrivals and the clock change it."""

from __future__ import annotations

import math
from typing import assert_never

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.lesson.commands import (
    AnswerCheck,
    AskCheck,
    Door,
    EndCheck,
    EndLesson,
    HandWord,
    LessonCommand,
    LowerHand,
    LowerHands,
    OpenLesson,
    PassPen,
    PassToNext,
    PauseLesson,
    RaiseHand,
    SetBetween,
    SetCountdown,
    SetDoor,
    SetPens,
    SetPlan,
    SetRights,
    ShareCheck,
    TakePen,
)
from sunroom.core.pens.facts import Facts, PassedPen

MAX_PEN_MINUTES = 600
MAX_LESSON_MINUTES = 600
MAX_COUNTDOWN_S = 4 * 3600
MAX_WORDS = 200
#: Pages that a plan names, and how long their titles are (as core.board.pages allows).
MAX_PLANNED_PAGES, MAX_PAGE_TITLE = 20, 80
OPTIONS = (2, 6)
CODE_LENGTH = (6, 12)


class Plan(msgspec.Struct, frozen=True):
    """What a lesson is about, when it is to begin, how long it is to be, and the titles of its pages."""

    title: str = ""
    at_ms: int | None = None
    minutes: int | None = None
    pages: tuple[str, ...] = ()


class Countdown(msgspec.Struct, frozen=True):
    """Time for a task, until a moment by the server's clock."""

    until_ms: int
    label: str = ""


class Check(msgspec.Struct, frozen=True):
    """A question to all with answers to tap.

    ``answers`` are pairs of seat and number of the option; what others than the tutor side are sent has
    them only when ``shared``, and then without the seats (see ``as_seen``). ``answered`` are the seats that
    have answered.
    """

    id: str
    question: str
    options: tuple[str, ...]
    shared: bool = False
    answers: tuple[tuple[str, int], ...] = ()
    answered: tuple[str, ...] = ()


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
    door, code
        How students come in; the code is the tutor side's to know (see ``as_seen``).
    plan, countdown, check
        What is planned, the time for a task, the question that is asked.
    """

    facts: Facts = Facts()
    hands: tuple[str, ...] = ()
    words: tuple[tuple[str, HandWord], ...] = ()
    opened_ms: int | None = None
    started_ms: int | None = None
    ended_ms: int | None = None
    door: Door = "open"
    code: str = ""
    plan: Plan = Plan()
    countdown: Countdown | None = None
    check: Check | None = None

    @property
    def ends_ms(self) -> int | None:
        """When the lesson is to be over, by its plan and the start of its clock."""
        if self.started_ms is None or self.plan.minutes is None or not self.facts.open:
            return None
        return self.started_ms + self.plan.minutes * 60_000


def as_seen(lesson: Lesson) -> Lesson:
    """The lesson as everybody may see it: without the code, and without who answered what."""
    check = lesson.check
    if check is not None:
        answers = tuple(("", option) for _, option in check.answers) if check.shared else ()
        check = msgspec.structs.replace(check, answers=answers)
    return msgspec.structs.replace(lesson, code="", check=check)


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
        case PauseLesson():
            facts = msgspec.structs.replace(facts, paused=command.paused)
        case SetDoor():
            return _with_door(lesson, command)
        case SetPlan():
            return msgspec.structs.replace(lesson, plan=_plan(command))
        case SetCountdown():
            return msgspec.structs.replace(lesson, countdown=_countdown(command, now_ms))
        case AskCheck():
            return msgspec.structs.replace(lesson, check=_check(command))
        case AnswerCheck() | ShareCheck() | EndCheck():
            return _with_check(lesson, command, seat)
        case OpenLesson():
            if facts.open:
                return lesson
            facts = msgspec.structs.replace(
                facts, open=True, paused=False, mode="down", passed=(), withheld=(), down_at_ms=now_ms,
                kit=facts.room_kit, kits=(),
            )  # fmt: skip
            return Lesson(facts, opened_ms=now_ms, door=lesson.door, code=lesson.code, plan=lesson.plan)
        case EndLesson():
            facts = msgspec.structs.replace(
                facts, open=False, paused=False, mode="down", passed=(), withheld=()
            )
            ended_ms = now_ms if lesson.facts.open else lesson.ended_ms
            return msgspec.structs.replace(
                lesson, facts=facts, hands=(), words=(), countdown=None, check=None, ended_ms=ended_ms,
                plan=Plan(minutes=lesson.plan.minutes),
            )  # fmt: skip
        case _:
            assert_never(command)
    # A word goes down with its hand.
    words = tuple(pair for pair in lesson.words if pair[0] in hands and pair[1])
    return msgspec.structs.replace(lesson, facts=facts, hands=hands, words=words)


def _with_door(lesson: Lesson, command: SetDoor) -> Lesson:
    code = "".join(command.code.split()).casefold()
    if command.door == "code" and not CODE_LENGTH[0] <= len(code) <= CODE_LENGTH[1]:
        raise MalformedError("code", f"A code has {CODE_LENGTH[0]} to {CODE_LENGTH[1]} letters or digits.")
    return msgspec.structs.replace(lesson, door=command.door, code=code if command.door == "code" else "")


def code_fits(lesson: Lesson, given: str) -> bool:
    """Whether ``given`` is the room's code, however it is spaced or cased."""
    return lesson.door == "code" and "".join(given.split()).casefold() == lesson.code


def _plan(command: SetPlan) -> Plan:
    _check_words("title", command.title)
    if command.minutes is not None and not 0 < command.minutes <= MAX_LESSON_MINUTES:
        raise MalformedError("minutes", f"A lesson is up to {MAX_LESSON_MINUTES} minutes long.")
    if command.at_ms is not None and not 0 < command.at_ms < 1 << 50:
        raise MalformedError("at_ms", "That is no day of any calendar.")
    if len(command.pages) > MAX_PLANNED_PAGES or any(len(title) > MAX_PAGE_TITLE for title in command.pages):
        raise MalformedError("pages", f"A plan has up to {MAX_PLANNED_PAGES} pages with short titles.")
    for title in command.pages:
        _check_words("pages", title)
    pages = tuple(dict.fromkeys(title.strip() for title in command.pages if title.strip()))
    return Plan(command.title.strip(), command.at_ms, command.minutes, pages)


def _countdown(command: SetCountdown, now_ms: int) -> Countdown | None:
    if not 0 <= command.seconds <= MAX_COUNTDOWN_S:
        raise MalformedError("seconds", "A countdown runs for up to four hours.")
    _check_words("label", command.label)
    return Countdown(now_ms + command.seconds * 1000, command.label.strip()) if command.seconds else None


def _check(command: AskCheck) -> Check:
    options = tuple(option.strip() for option in command.options)
    if not OPTIONS[0] <= len(options) <= OPTIONS[1] or not all(options) or len(set(options)) < len(options):
        raise MalformedError("options", f"A question has {OPTIONS[0]} to {OPTIONS[1]} different answers.")
    for words in (command.question, *options):
        _check_words("question", words)
    if not 0 < len(command.id) <= 32:
        raise MalformedError("id", "The question has no id.")
    return Check(command.id, command.question.strip(), options)


def _with_check(lesson: Lesson, command: AnswerCheck | ShareCheck | EndCheck, seat: str) -> Lesson:
    check = lesson.check
    if check is None or isinstance(command, EndCheck):
        return msgspec.structs.replace(lesson, check=None)
    if isinstance(command, ShareCheck):
        return msgspec.structs.replace(lesson, check=msgspec.structs.replace(check, shared=command.shared))
    if command.id != check.id:
        raise MalformedError("id", "That question has been put away.")
    if not 0 <= command.option < len(check.options):
        raise MalformedError("option", "That is none of the answers.")
    answers = (*(pair for pair in check.answers if pair[0] != seat), (seat, command.option))
    answered = tuple(pair[0] for pair in answers)
    check = msgspec.structs.replace(check, answers=answers, answered=answered)
    return msgspec.structs.replace(lesson, check=check)


def _check_words(field: str, words: str) -> None:
    if len(words) > MAX_WORDS or any(not c.isprintable() for c in words):
        raise MalformedError(
            field, f"That is longer than {MAX_WORDS} characters, or has some that cannot be seen."
        )


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
        kit = rights if rights is not None else facts.room_kit
        return msgspec.structs.replace(facts, kit=kit, room_kit=kit if command.room else facts.room_kit)
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
