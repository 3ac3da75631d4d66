"""The lesson's state, and how commands, arrivals and the clock change it."""

from __future__ import annotations

import math
from typing import assert_never

import msgspec

from sunroom.core.characters import is_one_line
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
    SetCaller,
    SetCountdown,
    SetDoor,
    SetPens,
    SetPlan,
    SetPointing,
    SetRights,
    SetVoices,
    ShareCheck,
    TakePen,
)
from sunroom.core.pens.facts import Facts, PassedPen
from sunroom.core.sentences import said

MAX_PEN_MINUTES = 600
MAX_LESSON_MINUTES = 600
#: So long after its end a lesson can be gone on with.
GO_ON_MS = 30 * 60_000
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
    paused_ms : int or None
        Since when it stands still; None while it does not.
    rested_ms : int
        How long it stood still before that: the clock does not count it.
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
    paused_ms: int | None = None
    rested_ms: int = 0
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
        return self.started_ms + self.rested_ms + self.plan.minutes * 60_000


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
        case SetPointing():
            facts = msgspec.structs.replace(facts, pointing=command.on)
        case SetVoices():
            facts = msgspec.structs.replace(facts, **{"faces" if command.faces else "voices": command.who})
        case SetCaller():
            facts = _with_caller(facts, command)
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
            lesson = _paused(lesson, command.paused, now_ms)
            facts = lesson.facts
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
            if command.again and may_go_on(lesson, now_ms):
                return _gone_on(lesson, now_ms)
            facts = msgspec.structs.replace(
                facts, open=True, paused=False, mode="down", passed=(), withheld=(), down_at_ms=now_ms,
                kit=facts.room_kit, kits=(), pointing=False, muted=(), unseen=(), called=(),
            )  # fmt: skip
            return Lesson(facts, opened_ms=now_ms, door=lesson.door, code=lesson.code, plan=lesson.plan)
        case EndLesson():
            lesson = _paused(lesson, False, now_ms)
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


def _paused(lesson: Lesson, paused: bool, now_ms: int) -> Lesson:
    """The lesson standing still, or going on: its clock goes on from where it stood."""
    facts = msgspec.structs.replace(lesson.facts, paused=paused)
    if paused:
        since = now_ms if lesson.paused_ms is None else lesson.paused_ms
        return msgspec.structs.replace(lesson, facts=facts, paused_ms=since)
    rested = 0 if lesson.paused_ms is None else max(0, now_ms - lesson.paused_ms)
    return msgspec.structs.replace(
        lesson, facts=facts, paused_ms=None, rested_ms=lesson.rested_ms + rested if lesson.started_ms else 0
    )


def may_go_on(lesson: Lesson, now_ms: int) -> bool:
    """Whether the lesson that ended last can be gone on with, as if it had not."""
    return not lesson.facts.open and lesson.ended_ms is not None and now_ms - lesson.ended_ms <= GO_ON_MS


def _gone_on(lesson: Lesson, now_ms: int) -> Lesson:
    """The ended lesson, open again: its clock and its attendance go on, the time since its end does not count."""
    facts = msgspec.structs.replace(lesson.facts, open=True, down_at_ms=now_ms)
    rested = now_ms - (lesson.ended_ms or now_ms) if lesson.started_ms else 0
    return msgspec.structs.replace(lesson, facts=facts, ended_ms=None, rested_ms=lesson.rested_ms + rested)


def _with_door(lesson: Lesson, command: SetDoor) -> Lesson:
    code = "".join(command.code.split()).casefold()
    if command.door == "code" and not CODE_LENGTH[0] <= len(code) <= CODE_LENGTH[1]:
        raise MalformedError(
            "code", said("a-code-has-to-letters", codelength=CODE_LENGTH[0], codelength2=CODE_LENGTH[1])
        )
    return msgspec.structs.replace(lesson, door=command.door, code=code if command.door == "code" else "")


def code_fits(lesson: Lesson, given: str) -> bool:
    """Whether ``given`` is the room's code, however it is spaced or cased."""
    return lesson.door == "code" and "".join(given.split()).casefold() == lesson.code


def _plan(command: SetPlan) -> Plan:
    _check_words("title", command.title)
    if command.minutes is not None and not 0 < command.minutes <= MAX_LESSON_MINUTES:
        raise MalformedError("minutes", said("a-lesson-is-up-to", lessonminutes=MAX_LESSON_MINUTES))
    if command.at_ms is not None and not 0 < command.at_ms < 1 << 50:
        raise MalformedError("at_ms", said("that-is-no-day-of"))
    if len(command.pages) > MAX_PLANNED_PAGES or any(len(title) > MAX_PAGE_TITLE for title in command.pages):
        raise MalformedError("pages", said("a-plan-has-up-to", plannedpages=MAX_PLANNED_PAGES))
    for title in command.pages:
        _check_words("pages", title)
    pages = tuple(dict.fromkeys(title.strip() for title in command.pages if title.strip()))
    return Plan(command.title.strip(), command.at_ms, command.minutes, pages)


def _countdown(command: SetCountdown, now_ms: int) -> Countdown | None:
    if not 0 <= command.seconds <= MAX_COUNTDOWN_S:
        raise MalformedError("seconds", said("a-countdown-runs-for-up"))
    _check_words("label", command.label)
    return Countdown(now_ms + command.seconds * 1000, command.label.strip()) if command.seconds else None


def _check(command: AskCheck) -> Check:
    options = tuple(option.strip() for option in command.options)
    if not OPTIONS[0] <= len(options) <= OPTIONS[1] or not all(options) or len(set(options)) < len(options):
        raise MalformedError(
            "options", said("a-question-has-to-different", options=OPTIONS[0], options2=OPTIONS[1])
        )
    for words in (command.question, *options):
        _check_words("question", words)
    if not 0 < len(command.id) <= 32:
        raise MalformedError("id", said("the-question-has-no-id"))
    return Check(command.id, command.question.strip(), options)


def _with_check(lesson: Lesson, command: AnswerCheck | ShareCheck | EndCheck, seat: str) -> Lesson:
    check = lesson.check
    if check is None or isinstance(command, EndCheck):
        return msgspec.structs.replace(lesson, check=None)
    if isinstance(command, ShareCheck):
        return msgspec.structs.replace(lesson, check=msgspec.structs.replace(check, shared=command.shared))
    if command.id != check.id:
        raise MalformedError("id", said("that-question-has-been-put"))
    if not 0 <= command.option < len(check.options):
        raise MalformedError("option", said("that-is-none-of-the"))
    answers = (*(pair for pair in check.answers if pair[0] != seat), (seat, command.option))
    answered = tuple(pair[0] for pair in answers)
    check = msgspec.structs.replace(check, answers=answers, answered=answered)
    return msgspec.structs.replace(lesson, check=check)


def _check_words(field: str, words: str) -> None:
    if len(words) > MAX_WORDS or not is_one_line(words):
        raise MalformedError(field, said("that-is-longer-than-characters", words=MAX_WORDS))


def leave(lesson: Lesson, seat: str, now_ms: int) -> Lesson:
    """The lesson without a person who was sent away, or who needs no pen any more: hand, pen and kit go."""
    facts = _without_pen(lesson.facts, seat, now_ms) if lesson.facts.mode == "passed" else lesson.facts
    kits = tuple(pair for pair in facts.kits if pair[0] != seat)
    withheld = tuple(other for other in facts.withheld if other != seat)
    facts = msgspec.structs.replace(facts, kits=kits, withheld=withheld)
    facts = _with_caller(facts, SetCaller(seat))
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


def _with_caller(facts: Facts, command: SetCaller) -> Facts:
    """What one person may do in the call, in the place of what was said of them before."""

    def with_seat(seats: tuple[str, ...], on: bool) -> tuple[str, ...]:
        others = tuple(seat for seat in seats if seat != command.seat)
        return (*others, command.seat) if on else others

    return msgspec.structs.replace(
        facts,
        muted=with_seat(facts.muted, command.muted),
        unseen=with_seat(facts.unseen, command.unseen),
        called=with_seat(facts.called, command.called),
    )


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
            raise MalformedError("minutes", said("a-pen-is-passed-for", penminutes=MAX_PEN_MINUTES))
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
