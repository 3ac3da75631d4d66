"""The room's home, and boards as files: what needs boards and lessons together."""

from __future__ import annotations

import time
from datetime import date, datetime
from typing import Literal

import msgspec
from asgiref.sync import async_to_sync, sync_to_async
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET, require_http_methods

from sunroom.boards.models import Board
from sunroom.boards.services import boards_of
from sunroom.boards.space import most_bytes, used_bytes
from sunroom.core.formats.csv import rows_csv
from sunroom.core.lesson import Lesson, LessonCommand, SetBetween, SetPlan, carry_out
from sunroom.core.lesson.record import Entry, minutes_present
from sunroom.core.lesson.state import Plan
from sunroom.core.pens.facts import Between, Role
from sunroom.core.sentences import said
from sunroom.core.text.styles import is_link
from sunroom.lessons import repository as lessons
from sunroom.live.room.registry import registry
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, answer, answers_problems, body, language_of
from sunroom.words import say

RECORD_LINES = 60
EARLY_MS = 3 * 3_600_000

Language = Literal["en", "fr", "de", "es"]


class HomeBoard(msgspec.Struct):
    """``changed_ms``: when a step last landed; ``seq`` changes with the board's picture."""

    id: str
    title: str
    pages: int
    changed_ms: int
    seq: int


class Attended(msgspec.Struct):
    """How long a person was at the last lesson."""

    name: str
    minutes: int


class HomePerson(msgspec.Struct):
    seat: str
    name: str
    role: Role


MAX_CALL_ADDRESS = 400


class RoomHome(msgspec.Struct):
    """All that the room's home shows to its tutor; ``away`` are boards that were put away, the last one first."""

    title: str
    link: str
    onlooker_link: str
    claimed: bool
    tutor: str
    lesson_open: bool
    between: Between
    language: str
    outside_call: str
    plan: Plan
    opened_ms: int | None
    started_ms: int | None
    ended_ms: int | None
    boards: list[HomeBoard]
    away: list[HomeBoard]
    used_mb: float
    most_mb: float
    people: list[HomePerson]
    attendance: list[Attended]
    record: list[Entry]


class ChangeRoom(msgspec.Struct):
    """What is given is changed."""

    title: str | None = None
    between: Between | None = None
    language: Language | None = None
    outside_call: str | None = None
    plan: SetPlan | None = None


def owned(request: HttpRequest, link: str) -> Room:
    room = services.find_room(link, "tutor")
    if not services.owns(room, request.user, request.session):
        raise Problem(403, said("this-is-the-tutors-side"))
    return room


@require_http_methods(["GET", "PATCH"])
@answers_problems
def room(request: HttpRequest, link: str) -> HttpResponse:
    row = owned(request, link)
    if request.method == "PATCH":
        wanted = body(request, ChangeRoom)
        if wanted.title is not None:
            row.title = clean_name(wanted.title, "title", 80)
            row.save(update_fields=["title"])
        if wanted.language is not None:
            row.language = wanted.language
            row.save(update_fields=["language"])
        if wanted.outside_call is not None:
            row.outside_call = _call_address(wanted.outside_call)
            row.save(update_fields=["outside_call"])
        for command in (SetBetween(wanted.between) if wanted.between else None, wanted.plan):
            if command is not None:
                async_to_sync(tell_lesson)(row, command)
    return answer(_home(row))


def _call_address(given: str) -> str:
    """The address of another program's call, "" for none; raises Problem."""
    address = given.strip()
    web = address.lower().startswith(("http://", "https://"))
    if address and not (web and is_link(address) and len(address) <= MAX_CALL_ADDRESS):
        raise Problem(400, said("outside-call-address"))
    return address


@require_GET
@answers_problems
def attendance(request: HttpRequest, link: str) -> HttpResponse:
    """Who was at the newest lesson and for how many minutes, as CSV."""
    row, language = owned(request, link), language_of(request)
    lesson = lessons.load(row)
    head = [say("attendance-name", language=language), say("attendance-minutes", language=language)]
    rows = [[person.name, str(person.minutes)] for person in _attendance(_entries(row, lesson), lesson)]
    response = HttpResponse(rows_csv([head, *rows]), content_type="text/csv; charset=utf-8")
    name = f"{row.title} {date.today().isoformat()}.csv"
    response["Content-Disposition"] = content_disposition_header(True, name) or "attachment"
    response["Cache-Control"] = "no-store"
    return response


def _entries(row: Room, lesson: Lesson) -> list[Entry]:
    """The record of the newest lesson; somebody may have come before it was opened."""
    return lessons.record(row.pk, (lesson.opened_ms or 0) - EARLY_MS)


async def tell_lesson(row: Room, command: LessonCommand) -> None:
    """Carry a command of the owner out, in the live room when there is one."""
    live = registry().find(row.pk)
    if live is not None:
        live.carry_out(command)
        await live.keeper.settled()
    else:
        await sync_to_async(_keep)(row, command)


def _keep(row: Room, command: LessonCommand) -> None:
    lessons.keep(row.pk, carry_out(lessons.load(row), command, "", _now_ms()))


def _home(row: Room) -> RoomHome:
    lesson = lessons.load(row)
    away = row.boards.exclude(away_at=None).order_by("-away_at")
    seats = row.seats.exclude(role="tutor").order_by("id")
    entries = _entries(row, lesson)
    return RoomHome(
        title=row.title,
        link=row.link,
        onlooker_link=row.onlooker_link,
        claimed=row.owner_id is not None,
        tutor=services.tutor_name(row),
        lesson_open=lesson.facts.open,
        between=lesson.facts.between,
        language=row.language,
        outside_call=row.outside_call,
        plan=lesson.plan,
        opened_ms=lesson.opened_ms,
        started_ms=lesson.started_ms,
        ended_ms=lesson.ended_ms,
        boards=[listed(board) for board in boards_of(row.pk)],
        away=[listed(board) for board in away],
        used_mb=round(used_bytes(row.pk) / 1e6, 1),
        most_mb=most_bytes() / 1e6,
        people=[HomePerson(seat.uid, seat.name, seat.role) for seat in seats],  # type: ignore[arg-type]
        attendance=_attendance(entries, lesson),
        record=[entry for entry in entries if entry.what == "did"][-RECORD_LINES:],
    )


def _attendance(entries: list[Entry], lesson: Lesson) -> list[Attended]:
    """Who was at the newest lesson since its clock started, and for how long."""
    start = lesson.started_ms or lesson.opened_ms
    if start is None:
        return []
    minutes = minutes_present(entries, start, lesson.ended_ms or _now_ms())
    names = {entry.seat: entry.name for entry in entries}
    return [
        Attended(names[seat], round(value)) for seat, value in sorted(minutes.items(), key=lambda p: -p[1])
    ]


def listed(row: Board) -> HomeBoard:
    return HomeBoard(row.uid, row.title, row.page_count, _ms(row.changed_at), row.seq)


def _ms(moment: datetime) -> int:
    return int(moment.timestamp() * 1000)


def _now_ms() -> int:
    return int(time.time() * 1000)
