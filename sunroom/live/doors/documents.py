"""Documents brought in.

A PDF is taken whole, shown small, and made into pictures page by page, so that the first is there at once. Words, tables
and ink become things.
"""

from __future__ import annotations

from pathlib import Path

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import models, repository
from sunroom.boards.space import check_space
from sunroom.core.errors import MalformedError
from sunroom.core.formats import opened
from sunroom.core.formats.documents import MAX_BYTES
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import BroughtIn, body_file, check_may_bring, made, making, visible_board
from sunroom.live.work import file_jobs
from sunroom.live.work.office import as_pdf, is_office
from sunroom.rooms.requests import Problem, allow, answer, answers_problems

THUMB_PX = 220


class Opened(msgspec.Struct):
    """A PDF that has been taken: width and height of each page in points."""

    id: str
    sizes: list[tuple[float, float]]


def _room(request: HttpRequest, board: str) -> models.Board:
    row = visible_board(request, board)
    check_may_bring(request, row)
    return row


def _document(row: models.Board, uid: str) -> bytes:
    data = repository.document(row.room_id, uid)
    if data is None:
        raise Problem(404, said("the-document-has-gone"))
    return data


@require_POST
@answers_problems
def open_document(request: HttpRequest, board: str) -> HttpResponse:
    """Take a PDF, or what becomes one (the request's body, called ``?name=``), so that its pages can be chosen."""
    allow(request, "document", 20, 300)
    row = _room(request, board)
    name = request.GET.get("name", "")[:200]
    with body_file(request, MAX_BYTES) as file:
        check_space(row.room_id, file.stat().st_size)
        if is_office(name):
            _make_pdf(name, file)
        with making():
            sizes = made(file_jobs.take_document, str(file))
        if isinstance(sizes, Sentence):
            raise Problem(400, sizes)
        uid = repository.keep_document(row.room_id, file.read_bytes(), sizes)
    return answer(Opened(uid, sizes), 201)


def _make_pdf(name: str, file: Path) -> None:
    """Make an office document a PDF in its place; raises Problem."""
    try:
        file.write_bytes(as_pdf(name, file))
    except MalformedError as error:
        raise Problem(400, error.sentence) from error


@require_POST
@answers_problems
def open_things(request: HttpRequest, board: str) -> HttpResponse:
    """What a file of words, a table or ink (the request's body; ``?name=`` is what it is called) holds, as things."""
    allow(request, "document", 20, 300)
    row = visible_board(request, board)
    name = request.GET.get("name", "")[:200]
    check_may_bring(request, row, "add_ink" if name.lower().endswith(".inkml") else "add_text")
    data = request.read(opened.MAX_BYTES + 1)
    with making():
        things = made(file_jobs.take_things, name, data)
    if isinstance(things, Sentence):
        raise Problem(400, things)
    response = HttpResponse(msgspec.msgpack.encode(things), content_type="application/msgpack")
    response["Cache-Control"] = "no-store"
    return response


@require_http_methods(["DELETE"])
@answers_problems
def close_document(request: HttpRequest, board: str, document: str) -> HttpResponse:
    """All pages that were wanted are in: the document itself goes."""
    repository.drop_document(_room(request, board).room_id, document)
    return answer({})


@require_GET
@answers_problems
def thumb(request: HttpRequest, board: str, document: str, number: int) -> HttpResponse:
    """A small picture of page ``number``, from 1."""
    allow(request, "document-thumb", 1_200, 300)
    row = _room(request, board)
    with making():
        shown = made(file_jobs.document_thumb, _document(row, document), number - 1, THUMB_PX)
    if isinstance(shown, Sentence):
        raise Problem(400, shown)
    response = HttpResponse(shown, content_type="image/png")
    response["Cache-Control"] = "private, max-age=3600"
    return response


@require_POST
@answers_problems
def bring_in(request: HttpRequest, board: str, document: str, number: int) -> HttpResponse:
    """Make a picture of page ``number``, from 1, for the board."""
    allow(request, "document-page", 1_200, 300)
    row = _room(request, board)
    with making():
        page = made(file_jobs.take_document_page, _document(row, document), number - 1)
        if isinstance(page, Sentence):
            raise Problem(400, page)
        check_space(row.room_id, len(page.data) + len(page.vector))
        uid = repository.keep_picture(row.room_id, page)
    return answer(BroughtIn(uid, page.width_px, page.height_px), 201)
