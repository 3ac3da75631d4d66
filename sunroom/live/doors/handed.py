"""Homework handed in: files and pages, from students to the tutor, and from there onto a board to be marked."""

from __future__ import annotations

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import handed, models, repository
from sunroom.boards.space import check_space
from sunroom.core.board import PageHead, Paper
from sunroom.core.board.pages import MAX_TITLE
from sunroom.core.board.requests import GoneError
from sunroom.core.errors import MalformedError
from sunroom.core.formats.documents import MAX_BYTES
from sunroom.core.formats.pictures import CleanPicture
from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.lessons import afterwards as after
from sunroom.live.doors.afterwards import found_by, student
from sunroom.live.doors.files import body_file, made, making, visible_board
from sunroom.live.doors.home import owned
from sunroom.live.doors.take_away import pdf_of_page
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of

PREVIEW_PX = 300
MIMES = {"pdf": "application/pdf", b"\x89PNG": "image/png", b"\xff\xd8\xff": "image/jpeg"}
#: Of a PDF so many pages are put on a board.
MAX_PAGES = 20
#: A page that is marked is as wide as A4, in board units.
WIDE, LEAST, MOST = 794.0, 200.0, 10_000.0


class HandInPage(msgspec.Struct):
    """A page of a board, as it is now."""

    board: str
    page: str


class MarkOn(msgspec.Struct):
    board: str


class Marked(msgspec.Struct):
    """The first page that a file was put on."""

    page: str


def _task(room: Room, uid: str) -> str:
    if not room.homework.filter(uid=uid).exists():
        raise Problem(400, said("homework-has-gone"))
    return uid


def _handed(request: HttpRequest, room: Room, seat: Seat, task: str) -> HttpResponse:
    after.hand_in(room, task, seat, True)
    return answer(found_by(request, room, seat), 201)


@require_POST
@answers_problems
def hand_in_file(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """Hand in a picture or a PDF (the request's body, called ``?name=``)."""
    allow(request, "hand-in-file", 40, 600)
    room, seat = student(request, link)
    task, name = _task(room, uid), request.GET.get("name", "").strip()[:80] or "file"
    handed.check_more(room, task, seat, 0)
    with body_file(request, MAX_BYTES) as file, making():
        taken = made(file_jobs.take_material, str(file), PREVIEW_PX)
    if isinstance(taken, Sentence):
        raise Problem(400, taken)
    kind, data, preview, _ = taken
    handed.keep(room, task, seat, kind, name, data, preview)
    return _handed(request, room, seat, task)


@require_POST
@answers_problems
def hand_in_page(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """Hand in a page as it is now: what is written on it later is not handed in."""
    allow(request, "hand-in-file", 40, 600)
    room, seat = student(request, link)
    task, wanted = _task(room, uid), body(request, HandInPage)
    handed.check_more(room, task, seat, 0)
    row = visible_board(request, wanted.board)
    if row.room_id != room.pk:
        raise Problem(404, said("this-board-is-not-open"))
    title, data = pdf_of_page(request, row, wanted.page, language_of(request))
    preview = made(file_jobs.document_thumb, data, 0, PREVIEW_PX)
    if isinstance(preview, Sentence):
        raise Problem(400, preview)
    handed.keep(room, task, seat, "pdf", title[:80], data, preview)
    return _handed(request, room, seat, task)


@require_http_methods(["DELETE"])
@answers_problems
def take_back(request: HttpRequest, link: str, uid: str, file: str) -> HttpResponse:
    """A student takes a file back that they handed in."""
    room, seat = student(request, link)
    room.handed_files.filter(task=uid, seat=seat, uid=file).delete()
    return answer(found_by(request, room, seat))


def _visible(request: HttpRequest, link: str, uid: str) -> models.HandedFile:
    """A file, for the tutor and for whoever handed it in; raises Problem."""
    room = services.find_room(link, "tutor")
    row = room.handed_files.filter(uid=uid).first()
    seat = services.find_seat(room, "student", request.session)
    own = row is not None and seat is not None and not seat.sent_away and row.seat_id == seat.pk
    if row is None or not (own or services.owns(room, request.user, request.session)):
        raise Problem(404, said("shelf-no-such-thing"))
    return row


@require_GET
@answers_problems
def file(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """What was handed in, to be kept: never shown as a page of ours."""
    allow(request, "handed", 300, 60)
    row = _visible(request, link, uid)
    data = bytes(row.data)
    mime = MIMES["pdf"] if row.kind == "pdf" else MIMES.get(data[:4], MIMES[b"\xff\xd8\xff"])
    ending = mime.split("/")[1].replace("jpeg", "jpg")
    response = HttpResponse(data, content_type=mime)
    name = row.name if row.name.lower().endswith(ending) else f"{row.name}.{ending}"
    response["Content-Disposition"] = content_disposition_header(True, name) or "attachment"
    response["Cache-Control"] = "private, no-store"
    return response


@require_GET
@answers_problems
def preview(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    allow(request, "handed", 300, 60)
    row = _visible(request, link, uid)
    response = HttpResponse(bytes(row.preview), content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


@require_POST
@answers_problems
def mark(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """Put what was handed in onto pages of a board, to be written on; the tutor's."""
    room = owned(request, link)
    allow(request, "shelf-use", 60, 60)
    row = room.handed_files.filter(uid=uid).select_related("seat").first()
    if row is None:
        raise Problem(404, said("shelf-no-such-thing"))
    board = body(request, MarkOn).board
    if not room.boards.filter(uid=board, away_at=None).exists():
        raise Problem(409, said("that-board-is-no-longer"))
    data, title = bytes(row.data), f"{row.seat.name}: {row.name}"[:MAX_TITLE]
    tutor = services.tutor_seat(room)
    heads: list[PageHead] = []
    for number, picture in enumerate(_pictures(row.kind, data)):
        check_space(room.pk, len(picture.data) + len(picture.vector))
        shown = repository.keep_picture(room.pk, picture)
        tall = min(max(WIDE * picture.height_px / picture.width_px, LEAST), MOST)
        paper = Paper("sheet", "plain", WIDE, tall, picture=shown)
        # Its writer's work is the tutor's to show: to begin with nobody else sees it.
        heads.append(PageHead(f"page-{number}", title, paper, hidden=True))
    pages: list[str] = []
    try:
        async_to_sync(_put)(room, board, heads, Actor(tutor.uid, "tutor", tutor.name), pages)
    except (GoneError, MalformedError) as error:
        # Pictures of pages that did not come are of no use to anybody.
        lost = [head.paper.picture for head in heads[len(pages) :]]
        models.Picture.objects.filter(room=room, uid__in=lost).delete()
        raise Problem(409, error.sentence) from error
    return answer(Marked(pages[0]))


def _pictures(kind: str, data: bytes) -> list[CleanPicture]:
    """What a file shows, page by page, each a turn of its own: a long one lets others in between. Raises Problem."""
    if kind == "picture":
        with making():
            found = [made(file_jobs.take_picture, data)]
    else:
        with making():
            count = len(made(file_jobs.document_sizes, data))
        found = []
        for number in range(min(count, MAX_PAGES)):
            with making():
                found.append(made(file_jobs.take_document_page, data, number))
    for one in found:
        if isinstance(one, Sentence):
            raise Problem(400, one)
    return [one for one in found if isinstance(one, CleanPicture)]


async def _put(room: Room, board: str, heads: list[PageHead], actor: Actor, pages: list[str]) -> None:
    """By the live room, which alone writes its boards; ``pages`` get the ids of those that are on disk."""
    entered = await registry().enter(room, board)
    if entered is None:
        raise GoneError("board_gone", said("that-board-is-no-longer"))
    live, here = entered
    for head in heads:
        pages.append(await live.steps.put_page(here, head, (), actor))
