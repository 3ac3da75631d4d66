"""Rehearsals: a room like another one, with made-up students in it; it goes without a trace unless it is kept."""

from __future__ import annotations

import asyncio
import tempfile
import threading
import time
from collections.abc import Iterator
from contextlib import contextmanager
from http.cookies import SimpleCookie
from pathlib import Path

import msgspec
from asgiref.sync import async_to_sync
from django.conf import settings
from django.contrib.sessions.backends.db import SessionStore
from django.contrib.sessions.models import Session
from django.db import transaction
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_http_methods, require_POST

from sunroom.boards.services import boards_of, unpack_board
from sunroom.core.sentences import Sentence, said
from sunroom.lessons import repository as lessons
from sunroom.live.doors.files import made, making, settle
from sunroom.live.doors.home import owned
from sunroom.live.doors.rooms import rooms_gone
from sunroom.live.doors.take_away import package_of
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.live.work.rehearsal import MOST_STUDENTS, NAMES, Rehearsal, Student, Way
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of
from sunroom.words import say

#: Boards that are taken along into a rehearsal, from the first on.
MAX_BOARDS = 5
#: Rehearsals that run on this server at once.
MAX_AT_ONCE = 6
#: Seconds after which a made-up student's session ends by itself.
SESSION_S = 24 * 3600
PHRASES = ("rehearsal-says-louder", "rehearsal-says-again", "rehearsal-says-why", "rehearsal-says-done")

#: The students of each rehearsal, and the sessions of their browsers.
_stages: dict[int, tuple[Rehearsal, list[str]]] = {}
#: Rehearsals that are being made.
_starting = 0
_counting = threading.Lock()


class StartRehearsal(msgspec.Struct, frozen=True):
    students: int


class RehearsalStarted(msgspec.Struct, frozen=True):
    """The rehearsal's room and its first board; ``owner_key`` is for the browser when the room is no account's."""

    link: str
    board: str
    owner_key: str


class RehearsalOver(msgspec.Struct, frozen=True):
    """The room to go back to."""

    link: str


@require_POST
@answers_problems
def start(request: HttpRequest, link: str) -> HttpResponse:
    """A copy of a room, in which made-up students come in; an earlier rehearsal of it ends."""
    allow(request, "rehearsal", 10, 600)
    row = owned(request, link)
    students = body(request, StartRehearsal).students
    if row.rehearses_id is not None or not 1 <= students <= MOST_STUDENTS:
        raise Problem(400, said("a-rehearsal-has-students", most=MOST_STUDENTS))
    async_to_sync(settle)(row.pk)
    _end(list(row.rehearsals.all()))
    with _place():
        copy, owner_key = _room_like(request, row)
        sessions: list[str] = []
        try:
            _copy_boards(request, row, copy)
            sessions += [_session(copy, number) for number in range(students)]
            phrases = tuple(say(phrase, None, copy.language) for phrase in PHRASES)
            way = _way(request)
            made_up = [
                Student(way, copy.link, _cookie(key), number, phrases) for number, key in enumerate(sessions)
            ]
            async_to_sync(_raise)(copy.pk, made_up, sessions)
        except Exception:
            Session.objects.filter(session_key__in=sessions).delete()
            _end([copy])
            raise
    board = boards_of(copy.pk).first()
    return answer(RehearsalStarted(copy.link, board.uid if board else "", owner_key), 201)


@contextmanager
def _place() -> Iterator[None]:
    """One of the places that this server has for rehearsals; raises Problem when all are taken."""
    global _starting
    with _counting:
        if len(_stages) + _starting >= MAX_AT_ONCE:
            raise Problem(503, said("enough-rehearsals-are-on"))
        _starting += 1
    try:
        yield
    finally:
        with _counting:
            _starting -= 1


@require_http_methods(["POST", "DELETE"])
@answers_problems
def finish(request: HttpRequest, link: str) -> HttpResponse:
    """End a rehearsal: kept as a room of its own (POST), or gone (DELETE)."""
    row = owned(request, link)
    if row.rehearses is None:
        raise Problem(400, said("that-is-no-rehearsal"))
    back = row.rehearses.link
    if request.method == "POST":
        async_to_sync(_stop)(row.pk)
        row.rehearses = None
        row.save(update_fields=["rehearses"])
        async_to_sync(_kept)(row.pk)
        return answer(RehearsalOver(row.link))
    _end([row])
    return answer(RehearsalOver(back))


def forget_all() -> None:
    """Rehearsals that a server which is gone has left behind."""
    Room.objects.filter(rehearses__isnull=False).delete()


def _room_like(request: HttpRequest, row: Room) -> tuple[Room, str]:
    """A room with the same language and rules, and its owner key."""
    with transaction.atomic():
        copy, key = services.create_room(row.title, request.user, request.session)
        copy.language, copy.rehearses = row.language, row
        copy.save(update_fields=["language", "rehearses"])
        before, lesson = lessons.load(row), lessons.load(copy)
        facts = msgspec.structs.replace(
            lesson.facts, kit=before.facts.room_kit, room_kit=before.facts.room_kit
        )
        lessons.keep(copy.pk, msgspec.structs.replace(lesson, facts=facts))
    return copy, key


def _copy_boards(request: HttpRequest, row: Room, copy: Room) -> None:
    """The same boards. Nobody's ink waits meanwhile: each is taken by a worker first, and written then."""
    seat = services.take_seat(copy, "tutor", services.tutor_name(row) or "Tutor", request.session)
    with making(), tempfile.TemporaryDirectory(dir=settings.DATA_DIR, prefix="rehearsal-") as folder:
        files = [_file(folder, number, data) for number, data in enumerate(_packages(request, row))]
        for file in files:
            taken = made(file_jobs.take_package, file, seat.uid)
            if isinstance(taken, Sentence):
                raise Problem(400, taken)
            unpack_board(copy, *taken, int(time.time() * 1000))


def _packages(request: HttpRequest, row: Room) -> Iterator[bytes]:
    for board in boards_of(row.pk)[:MAX_BOARDS]:
        yield package_of(board, language_of(request))


def _file(folder: str, number: int, data: bytes) -> str:
    file = Path(folder) / str(number)
    file.write_bytes(data)
    return str(file)


def _session(room: Room, number: int) -> str:
    """The session of a browser that has a student's seat."""
    session = SessionStore()
    session.set_expiry(SESSION_S)
    session.create()
    services.take_seat(room, "student", NAMES[number % len(NAMES)], session)
    session.save()
    return session.session_key or ""


def _cookie(session: str) -> str:
    return SimpleCookie({settings.SESSION_COOKIE_NAME: session}).output(header="", sep=";").strip()


def _way(request: HttpRequest) -> Way:
    host, port = request.scope["server"]  # type: ignore[attr-defined]
    return Way(host, port, request.get_host(), request.is_secure())


async def _raise(room_id: int, students: list[Student], sessions: list[str]) -> None:
    def here() -> bool:
        live = registry().find(room_id)
        return live is not None and any(member.actor.role == "tutor" for member in live.members.values())

    async def ended() -> None:
        await _stop(room_id)
        await rooms_gone([room_id])
        await asyncio.to_thread(Room.objects.filter(pk=room_id).delete)

    _stages[room_id] = Rehearsal(students, here, ended), sessions


async def _stop(room_id: int) -> None:
    stage, sessions = _stages.pop(room_id, (None, []))
    if stage:
        await stage.stop()
    await asyncio.to_thread(Session.objects.filter(session_key__in=sessions).delete)


async def _kept(room_id: int) -> None:
    live = registry().find(room_id)
    if live is not None:
        live.rehearsal = False


def _end(rows: list[Room]) -> None:
    for row in rows:
        async_to_sync(_stop)(row.pk)
        async_to_sync(rooms_gone)([row.pk])
        row.delete()
