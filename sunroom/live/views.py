"""The room's home, and boards as files: what needs boards and lessons together."""

from __future__ import annotations

import asyncio
import time
from datetime import date, datetime
from typing import Literal

import msgspec
from asgiref.sync import async_to_sync, sync_to_async
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import models as boards_models
from sunroom.boards import repository
from sunroom.boards.services import create_board, unpack_board
from sunroom.core.board.bays import targets_of
from sunroom.core.formats import package
from sunroom.core.formats.drawing import pictures_of
from sunroom.core.formats.pictures import MAX_BYTES
from sunroom.core.lesson import Lesson, LessonCommand, OpenLesson, SetBetween, SetPlan, carry_out
from sunroom.core.lesson.record import Entry, minutes_present
from sunroom.core.lesson.state import Plan
from sunroom.core.pens import Actor, Target, decide
from sunroom.core.pens.facts import Between
from sunroom.lessons import repository as lessons
from sunroom.live import workers
from sunroom.live.registry import board_cards, registry
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, answer, answers_problems, body

PICTURE_WIDTH_PX = 480
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
    role: str


class RoomHome(msgspec.Struct):
    """All that the room's home shows to its tutor."""

    title: str
    link: str
    onlooker_link: str
    claimed: bool
    tutor: str
    lesson_open: bool
    between: Between
    language: str
    plan: Plan
    opened_ms: int | None
    started_ms: int | None
    ended_ms: int | None
    boards: list[HomeBoard]
    people: list[HomePerson]
    attendance: list[Attended]
    record: list[Entry]


class BroughtIn(msgspec.Struct):
    """A picture that has been taken, and its size."""

    id: str
    width: int
    height: int


class ChangeRoom(msgspec.Struct):
    """What is given is changed."""

    title: str | None = None
    between: Between | None = None
    language: Language | None = None
    plan: SetPlan | None = None


class NewBoard(msgspec.Struct):
    title: str = ""


class BoardId(msgspec.Struct):
    id: str


def owned(request: HttpRequest, link: str) -> Room:
    room = services.find_room(link, "tutor")
    if not services.owns(room, request.user, request.session):
        raise Problem(403, "This is the tutor's side of the room. Sign in, or use the students' link.")
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
        for command in (SetBetween(wanted.between) if wanted.between else None, wanted.plan):
            if command is not None:
                async_to_sync(_tell)(row, command)
    return answer(_home(row))


async def _tell_boards(row: Room) -> None:
    live = registry().find(row.pk)
    if live is not None:
        live.set_boards(await sync_to_async(board_cards)(row.pk))


async def _tell(row: Room, command: LessonCommand) -> None:
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
    cards = [
        HomeBoard(b.uid, b.title, b.page_count, _ms(b.changed_at), b.seq) for b in row.boards.order_by("id")
    ]
    seats = row.seats.exclude(role="tutor").order_by("id")
    # Somebody may have come before the lesson was opened.
    entries = lessons.record(row.pk, (lesson.opened_ms or 0) - EARLY_MS)
    return RoomHome(
        title=row.title,
        link=row.link,
        onlooker_link=row.onlooker_link,
        claimed=row.owner_id is not None,
        tutor=services.tutor_name(row),
        lesson_open=lesson.facts.open,
        between=lesson.facts.between,
        language=row.language,
        plan=lesson.plan,
        opened_ms=lesson.opened_ms,
        started_ms=lesson.started_ms,
        ended_ms=lesson.ended_ms,
        boards=cards,
        people=[HomePerson(seat.uid, seat.name, seat.role) for seat in seats],
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


@require_POST
@answers_problems
def boards(request: HttpRequest, link: str) -> HttpResponse:
    """A new board; the first one of a new room opens its first lesson."""
    row = owned(request, link)
    first = not row.boards.exists()
    title = body(request, NewBoard).title.strip() or (
        row.title if first else f"Board {row.boards.count() + 1}"
    )
    board = create_board(row, title, _now_ms())
    async_to_sync(_tell_boards)(row)
    if first:
        async_to_sync(_tell)(row, OpenLesson())
    return answer(BoardId(board.uid), 201)


@require_GET
async def board_pdf(request: HttpRequest, board: str) -> HttpResponse:
    """The whole board as a PDF named after room and date."""
    row = await sync_to_async(_visible_board)(request, board)
    if row is None:
        return _not_yours()
    await settle(row.room_id)
    state = await asyncio.to_thread(repository.load, row.pk)
    pages = state.in_order()
    pictures = await asyncio.to_thread(repository.pictures, row.room_id, pictures_of(pages))
    data = await workers.run(workers.make_pdf, pages, row.title, pictures)
    return _file(data, "application/pdf", f"{row.room.title} {date.today().isoformat()}.pdf")


def _file(data: bytes, mime: str, name: str) -> HttpResponse:
    """A file to be kept by the one who asked for it."""
    response = HttpResponse(data, content_type=mime)
    response["Content-Disposition"] = content_disposition_header(True, name) or "attachment"
    response["Cache-Control"] = "no-store"
    return response


@require_GET
async def board_package(request: HttpRequest, board: str) -> HttpResponse:
    """The whole board as a package that another room can take in; for the room's owner."""
    row = await sync_to_async(_visible_board)(request, board)
    if row is None or not await sync_to_async(services.owns)(row.room, request.user, request.session):
        return _not_yours()
    await settle(row.room_id)
    pages = (await asyncio.to_thread(repository.load, row.pk)).in_order()
    pictures = await asyncio.to_thread(repository.pictures, row.room_id, pictures_of(pages))
    writers = {item.by for page in pages for item in page.items.values()}
    names = await sync_to_async(services.names)(row.room_id)
    names = {seat: name for seat, name in names.items() if seat in writers}
    data = await workers.run(workers.make_package, pages, row.title, names, pictures)
    return _file(data, "application/zip", f"{row.title} {date.today().isoformat()}.board.zip")


@require_POST
@answers_problems
def bring_in_board(request: HttpRequest, link: str) -> HttpResponse:
    """Make a board of a package (the request's body) in the owner's room."""
    row = owned(request, link)
    data = request.read(package.MAX_BYTES + 1)
    taken = async_to_sync(workers.run)(workers.take_package, data, services.tutor_seat(row).uid)
    if isinstance(taken, str):
        raise Problem(400, taken)
    board = unpack_board(row, *taken, _now_ms())
    async_to_sync(_tell_boards)(row)
    return answer(BoardId(board.uid), 201)


@require_GET
async def board_picture(request: HttpRequest, board: str) -> HttpResponse:
    """A picture of the board's first page; its address carries the step number, so it may be cached."""
    row = await sync_to_async(_visible_board)(request, board)
    if row is None:
        return _not_yours()
    state = await asyncio.to_thread(repository.load, row.pk)
    first = state.in_order()[0]
    pictures = await asyncio.to_thread(repository.pictures, row.room_id, pictures_of([first]))
    data = await workers.run(workers.make_picture, first, PICTURE_WIDTH_PX, pictures)
    response = HttpResponse(data, content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


@require_POST
async def bring_in(request: HttpRequest, board: str) -> HttpResponse:
    """Take a picture (the request's body) into the board's room; who may is decided by the rule book."""
    row = await sync_to_async(_visible_board)(request, board)
    if row is None:
        return _not_yours()
    refusal = await sync_to_async(_refusal)(request, row)
    if refusal:
        return answer({"problem": refusal}, 403)
    data = await sync_to_async(request.read)(MAX_BYTES + 1)
    clean = await workers.run(workers.take_picture, data)
    if isinstance(clean, str):
        return answer({"problem": clean}, 400)
    uid = await sync_to_async(repository.keep_picture)(row.room_id, clean)
    return answer(BroughtIn(uid, clean.width_px, clean.height_px), 201)


def _refusal(request: HttpRequest, row: boards_models.Board) -> str:
    """Why this browser may not bring pictures in; "" when it may."""
    if services.owns(row.room, request.user, request.session):
        return ""
    found = services.seat_at(row.room.link, "tutor", request.user, request.session)
    found = found or services.seat_at(row.room.link, "student", request.user, request.session)
    actor = Actor(found[1].uid, found[1].role) if found else Actor("", "onlooker")
    facts, now_ms = lessons.load(row.room).facts, _now_ms()
    # Where it will lie is decided when it is put there; some place of the board must be free for it.
    places = [place for page in repository.load(row.pk).in_order() for place in targets_of(page.head)]
    verdicts = [decide(actor, "add_picture", place, facts, now_ms) for place in places or [Target()]]
    return "" if any(verdict.allowed for verdict in verdicts) else verdicts[0].sentence


@require_GET
def picture(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """A picture of the board's room; it never changes."""
    row = _visible_board(request, board)
    found = boards_models.Picture.objects.filter(room_id=row.room_id, uid=picture).first() if row else None
    if found is None:
        return _not_yours()
    response = HttpResponse(bytes(found.data), content_type=found.mime)
    response["Cache-Control"] = "private, max-age=31536000, immutable"
    return response


async def settle(room_id: int) -> None:
    """Wait for steps on their way to the disk, so that the file shows what the screen shows."""
    live = registry().find(room_id)
    if live is not None:
        await live.keeper.settled()


def _visible_board(request: HttpRequest, uid: str) -> boards_models.Board | None:
    """The board, if this browser owns its room or has a seat in it that may look now."""
    row = boards_models.Board.objects.filter(uid=uid).select_related("room", "room__owner").first()
    if row is None:
        return None
    if services.owns(row.room, request.user, request.session):
        return row
    facts = lessons.load(row.room).facts
    if not facts.open and facts.between == "closed":
        return None
    doors = ((row.room.link, "student"), (row.room.onlooker_link, "onlooker"), (row.room.link, "tutor"))
    seats = (services.seat_at(link, door, request.user, request.session) for link, door in doors)
    return row if any(seats) else None


def _not_yours() -> HttpResponse:
    return HttpResponse(
        "This board is not open to you. Come in by the room's link.", status=404, content_type="text/plain"
    )


def _ms(moment: datetime) -> int:
    return int(moment.timestamp() * 1000)


def _now_ms() -> int:
    return int(time.time() * 1000)
