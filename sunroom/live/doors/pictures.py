"""Pictures that come in, are shown, and are made flat sheets or ink of."""

from __future__ import annotations

from typing import TypeVar

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_POST

from sunroom.boards import models, repository
from sunroom.boards.space import check_space
from sunroom.core.formats.documents import PrintedLine
from sunroom.core.formats.paper_photo import Corners
from sunroom.core.formats.pictures import MAX_BYTES
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import BroughtIn, check_may_bring, made, making, visible_board
from sunroom.live.work import file_jobs
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body

T = TypeVar("T")

#: A photo is worked on for no longer: others wait for their files meanwhile.
LOOK_S = 12.0


class Sheet(msgspec.Struct):
    """The corners of a sheet in a photo, clockwise from its upper left, in parts of the sides; () when none is seen."""

    corners: Corners


class PrintedWords(msgspec.Struct):
    lines: list[PrintedLine]


class Flatten(msgspec.Struct):
    """Make a sheet flat; only to be looked at unless it is to be ``keep``-ed."""

    corners: Corners
    whiten: bool = True
    keep: bool = False


class LiftedInk(msgspec.Struct):
    """Strokes found in a picture of ``width`` by ``height`` px; samples as in core.ink.samples, in px."""

    width: int
    height: int
    strokes: list[file_jobs.Lifted]


@require_POST
@answers_problems
def bring_in(request: HttpRequest, board: str) -> HttpResponse:
    """Take a picture (the request's body) into the board's room; who may is decided by the rule book."""
    allow(request, "picture", 120, 60)
    row = visible_board(request, board)
    check_may_bring(request, row)
    data = request.read(MAX_BYTES + 1)
    check_space(row.room_id, len(data))
    clean = _or_problem(made(file_jobs.take_picture, data))
    uid = repository.keep_picture(row.room_id, clean)
    return answer(BroughtIn(uid, clean.width_px, clean.height_px), 201)


@require_GET
@answers_problems
def picture(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """A picture of the board's room; it never changes."""
    found = _picture(visible_board(request, board), picture)
    response = HttpResponse(bytes(found.data), content_type=found.mime)
    response["Cache-Control"] = "private, max-age=31536000, immutable"
    return response


@require_GET
@answers_problems
def part(request: HttpRequest, board: str, picture: str, level: int, column: int, row: int) -> HttpResponse:
    """A part of a page of a document, finer than its picture; nothing (204) of other pictures. It never changes."""
    allow(request, "picture-part", 400, 60)
    found = _picture(visible_board(request, board), picture)
    vector = bytes(found.vector)
    response = HttpResponse(status=204)
    if vector:
        with making():
            data = _or_problem(made(file_jobs.vector_part, vector, level, column, row, limit_s=LOOK_S))
        response = HttpResponse(data, content_type="image/png")
    response["Cache-Control"] = "private, max-age=31536000, immutable"
    return response


@require_GET
@answers_problems
def printed(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """The printed words of a page of a document, line by line; none of other pictures."""
    allow(request, "picture-part", 400, 60)
    found = _picture(visible_board(request, board), picture)
    vector = bytes(found.vector)
    with making():
        lines = made(file_jobs.vector_lines, vector, limit_s=LOOK_S) if vector else []
    response = answer(PrintedWords(lines))
    response["Cache-Control"] = "private, max-age=31536000, immutable"
    return response


@require_POST
@answers_problems
def sheet(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """Where a sheet of paper lies in a photo."""
    found, _ = _to_work_on(request, board, picture)
    with making():
        return answer(Sheet(made(file_jobs.find_sheet, bytes(found.data), limit_s=LOOK_S)))


@require_POST
@answers_problems
def flat(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """The sheet in a photo as seen from above: the picture itself, or where it is kept."""
    found, row = _to_work_on(request, board, picture)
    wanted = body(request, Flatten)
    with making():
        clean = _or_problem(
            made(file_jobs.flatten_sheet, bytes(found.data), wanted.corners, wanted.whiten, limit_s=LOOK_S)
        )
        if wanted.keep:
            check_space(row.room_id, len(clean.data))
            uid = repository.keep_picture(row.room_id, clean)
            return answer(BroughtIn(uid, clean.width_px, clean.height_px), 201)
    response = HttpResponse(clean.data, content_type=clean.mime)
    response["Cache-Control"] = "no-store"
    return response


@require_POST
@answers_problems
def ink(request: HttpRequest, board: str, picture: str) -> HttpResponse:
    """The strokes that a picture of a sheet shows."""
    found, _ = _to_work_on(request, board, picture)
    allow(request, "picture-ink", 20, 60)
    with making():
        strokes = made(file_jobs.lift_strokes, bytes(found.data), limit_s=LOOK_S)
    return answer(LiftedInk(found.width_px, found.height_px, strokes))


def _or_problem(clean: T | Sentence) -> T:
    if isinstance(clean, Sentence):
        raise Problem(400, clean)
    return clean


def _picture(row: models.Board, uid: str) -> models.Picture:
    found = models.Picture.objects.filter(room_id=row.room_id, uid=uid).first()
    if found is None:
        raise Problem(404, said("there-is-no-such-picture"))
    return found


def _to_work_on(request: HttpRequest, board: str, picture: str) -> tuple[models.Picture, models.Board]:
    """A picture that this browser may make another of, and its board; raises Problem."""
    allow(request, "picture-work", 240, 60)
    row = visible_board(request, board)
    check_may_bring(request, row)
    return _picture(row, picture), row
