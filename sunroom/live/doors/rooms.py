"""A room as a whole: its links, its end, and taking it along as one file and bringing it in again."""

from __future__ import annotations

import tempfile
import time
from collections.abc import Iterator
from datetime import date
from pathlib import Path
from typing import Literal, cast

import msgspec
from asgiref.sync import async_to_sync
from django.conf import settings
from django.db import transaction
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import shelf
from sunroom.boards.models import Moment
from sunroom.boards.moments import board_at
from sunroom.boards.services import boards_of, unpack_board
from sunroom.boards.space import most_bytes
from sunroom.core.formats.room_package import MAX_BYTES, PackedTask, RoomFacts
from sunroom.core.sentences import Sentence, said
from sunroom.lessons import afterwards as homework
from sunroom.lessons import repository as lessons
from sunroom.live.doors import afterwards
from sunroom.live.doors.files import body_file, made, making, settle
from sunroom.live.doors.home import Language, owned
from sunroom.live.doors.recordings import files_of_recordings
from sunroom.live.doors.take_away import package_of
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services, views
from sunroom.rooms.models import Room
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of
from sunroom.rooms.security import address_of, note

#: So many of the newest moments go into the file of a room.
MAX_MOMENTS = 12


class ChangeLink(msgspec.Struct):
    which: Literal["students", "onlookers"]


class RoomLinks(msgspec.Struct):
    link: str
    onlooker_link: str


class DeleteRoom(msgspec.Struct):
    """The room's title, typed once more by whoever means it."""

    title: str


class RoomBroughtIn(msgspec.Struct):
    """As views.CreatedRoom: ``owner_key`` is empty when the room belongs to the account."""

    link: str
    owner_key: str
    boards: int


@require_POST
@answers_problems
def links(request: HttpRequest, link: str) -> HttpResponse:
    """Give one of the room's doors another link; the old one is dead at once."""
    allow(request, "links", 30, 600)
    row, which = owned(request, link), body(request, ChangeLink).which
    services.change_link(row, "onlooker" if which == "onlookers" else "student")
    note("link changed", address_of(request), room=row.pk, which=which)
    async_to_sync(_tell_link)(row.pk, which, row.link)
    return answer(RoomLinks(row.link, row.onlooker_link))


async def _tell_link(room_id: int, which: str, link: str) -> None:
    live = registry().find(room_id)
    if live is not None and which == "students":
        live.set_link(link)
    elif live is not None:
        live.seats.onlookers_out()


@require_http_methods(["DELETE"])
@answers_problems
def delete(request: HttpRequest, link: str) -> HttpResponse:
    """Delete a room with its boards, pictures, people and record, and a rehearsal of it."""
    row = owned(request, link)
    if body(request, DeleteRoom).title.strip() != row.title:
        raise Problem(400, said("type-the-rooms-title-to"))
    note("room deleted", address_of(request), room=row.pk)
    async_to_sync(rooms_gone)([row.pk, *row.rehearsals.values_list("pk", flat=True)])
    row.delete()
    return answer(views.me_of(request))


async def rooms_gone(rooms: list[int]) -> None:
    """Send everybody out of rooms that are being deleted."""
    for room_id in rooms:
        await registry().gone(room_id)


@require_GET
@answers_problems
def package(request: HttpRequest, link: str) -> HttpResponse:
    """The whole room as one file: every board as a package, and what the room is set to."""
    allow(request, "file", 60, 60)
    row = owned(request, link)
    async_to_sync(settle)(row.pk)
    lesson = lessons.load(row)
    language = cast(Language, row.language)
    rows = list(boards_of(row.pk))
    facts = RoomFacts(
        title=row.title,
        language=language,
        plan=lesson.plan,
        kit=lesson.facts.room_kit,
        homework=tuple(_tasks(row, [board.uid for board in rows])),
    )
    with tempfile.TemporaryDirectory(dir=settings.DATA_DIR, prefix="going-out-") as folder:
        others: dict[str, str] = {}

        def put(files: Iterator[tuple[str, bytes]]) -> None:
            for name, file in files:
                others[name] = f"{folder}/other-{len(others)}"
                Path(others[name]).write_bytes(file)

        put(files_of_recordings(request, row))  # each waits for a turn of its own
        with making():
            boards = []
            for board in rows:
                boards.append(f"{folder}/{board.pk}")
                Path(boards[-1]).write_bytes(package_of(board, language_of(request)))
            put(_to_be_read(row, language_of(request)))
            data = made(file_jobs.make_room_package, facts, boards, others)
    response = HttpResponse(data, content_type="application/zip")
    name = f"{row.title} {date.today().isoformat()}.room.zip"
    response["Content-Disposition"] = content_disposition_header(True, name) or "attachment"
    response["Cache-Control"] = "no-store"
    return response


def _tasks(row: Room, boards: list[str]) -> Iterator[PackedTask]:
    for task in row.homework.order_by("id"):
        due = int(task.due_at.timestamp() * 1000) if task.due_at else None
        yield PackedTask(task.text, due, boards.index(task.board) + 1 if task.board in boards else 0)


def _to_be_read(row: Room, language: str) -> Iterator[tuple[str, bytes]]:
    """What else is the room's, as files with their names: to be opened by hand, not taken into a new room."""
    for number, file in enumerate(row.handed_files.order_by("id").select_related("seat").iterator(), 1):
        ending = "" if "." in file.name else ".pdf" if file.kind == "pdf" else ".png"
        yield f"handed-in/{number:03d} {_plain(file.seat.name)} {_plain(file.name)}{ending}", bytes(file.data)
    for number, thing in enumerate(shelf.own(row).filter(away_at=None).order_by("id").iterator(), 1):
        ending = {"page": ".board.zip", "piece": ".board.zip", "pdf": ".pdf"}.get(thing.kind, ".png")
        yield f"shelf/{number:03d} {_plain(thing.title)}{ending}", bytes(thing.data)
    named = Moment.objects.filter(board__room=row, kind="named").select_related("board")
    for number, moment in enumerate(named.order_by("-id")[:MAX_MOMENTS], 1):
        name = f"moments/{number:03d} {_plain(moment.board.title)} {_plain(moment.title)}.board.zip"
        yield name, package_of(moment.board, language, board_at(moment.board_id, moment.seq).in_order())
    letters = [
        {"at": m.at.isoformat(), "to": m.to, "subject": m.subject, "text": m.text, "files": m.files}
        for m in row.posted.order_by("id")
    ]
    if letters:
        yield "outbox.json", msgspec.json.format(msgspec.json.encode(letters), indent=1)


def _plain(name: str) -> str:
    """A name that is one in every folder."""
    return "".join(c if c.isalnum() or c in " .-_" else "_" for c in name).strip(". ")[:60] or "_"


@require_POST
@answers_problems
def bring_in(request: HttpRequest) -> HttpResponse:
    """Make a room of such a file (the request's body); it belongs to whoever brings it in."""
    allow(request, "room", 20, 600)
    with (
        body_file(request, min(MAX_BYTES, most_bytes())) as file,
        making(),
        tempfile.TemporaryDirectory(dir=settings.DATA_DIR, prefix="coming-in-") as folder,
    ):
        found = made(file_jobs.take_room_package, str(file), folder)
        if isinstance(found, Sentence):
            raise Problem(400, found)
        return answer(_room_of(request, *found), 201)


def _room_of(request: HttpRequest, facts: RoomFacts, files: list[str]) -> RoomBroughtIn:
    """A new room with these boards, all of it or nothing.

    It takes long, and nobody's ink may wait for it: each board is a transaction of its own.
    """
    row, key = services.create_room(facts.title, request.user, request.session)
    try:
        row.language = facts.language
        row.save(update_fields=["language"])
        seat = services.take_seat(row, "tutor", _name(request), request.session)
        for file in files:
            taken = made(file_jobs.take_package, file, seat.uid)
            if isinstance(taken, Sentence):
                raise Problem(400, taken)
            unpack_board(row, *taken, int(time.time() * 1000))
        with transaction.atomic():
            _give_tasks(row, facts)
            lesson = lessons.load(row)
            kit = msgspec.structs.replace(lesson.facts, kit=facts.kit, room_kit=facts.kit)
            lessons.keep(row.pk, msgspec.structs.replace(lesson, plan=facts.plan, facts=kit))
    except Exception:
        row.delete()
        raise
    return RoomBroughtIn(row.link, key, len(files))


def _give_tasks(row: Room, facts: RoomFacts) -> None:
    boards = [board.uid for board in boards_of(row.pk)]
    for task in facts.homework:
        board = boards[task.board - 1] if 1 <= task.board <= len(boards) else ""
        afterwards.or_problem(
            homework.set_homework, row, task.text, afterwards.moment_of(task.due_ms), board, ""
        )


def _name(request: HttpRequest) -> str:
    user = request.user
    return (user.get_full_name() or user.get_username()) if user.is_authenticated else "Tutor"
