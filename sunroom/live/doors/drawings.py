"""Small drawings: their names by subject, their pictures, and what each is made of."""

from __future__ import annotations

from functools import cache

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET

from sunroom.core.board import Board, Item, PageHead, Paper, apply
from sunroom.core.board.steps import AddPage
from sunroom.core.drawings import DRAWINGS, SUBJECTS, drawing
from sunroom.core.drawings.drawing import SIDE
from sunroom.core.formats.drawing import Parts
from sunroom.core.formats.kept import encode_page
from sunroom.core.sentences import said
from sunroom.live.doors.files import made
from sunroom.live.work import file_jobs
from sunroom.rooms.requests import Problem, allow, answer, answers_problems

WIDTH_PX = 200


class DrawingSubject(msgspec.Struct):
    """Names of drawings; each is called by the sentence ``drw-`` and its name."""

    name: str
    drawings: list[str]


class DrawingParts(msgspec.Struct):
    """The things that a drawing is made of, from the lowest, in a square of ``side`` board units."""

    side: float
    items: list[Item]


@require_GET
@answers_problems
def drawings(_request: HttpRequest) -> HttpResponse:
    return answer([DrawingSubject(name, list(made)) for name, made in SUBJECTS.items()])


@require_GET
@answers_problems
def parts(request: HttpRequest, name: str) -> HttpResponse:
    """What a drawing is made of (MessagePack)."""
    allow(request, "template", 120, 60)
    if name not in DRAWINGS:
        raise Problem(404, said("no-such-drawing"))
    return HttpResponse(
        msgspec.msgpack.encode(DrawingParts(SIDE, drawing(name))), content_type="application/msgpack"
    )


@require_GET
@answers_problems
def picture(request: HttpRequest, name: str) -> HttpResponse:
    """A small picture of a drawing, clear where nothing is drawn."""
    allow(request, "template-picture", 400, 60)
    if name not in DRAWINGS:
        raise Problem(404, said("no-such-drawing"))
    response = HttpResponse(_drawn(name), content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


@cache
def _drawn(name: str) -> bytes:
    """The picture of a drawing; there are few, and they never change."""
    head = PageHead("page-one", paper=Paper("sheet", "plain", SIDE, SIDE))
    items = [msgspec.structs.replace(item, z=float(n)) for n, item in enumerate(drawing(name), 1)]
    board = apply(Board(), AddPage(head, 0, tuple(items)))
    clear = Parts(paper=False, ruling=False)
    return made(file_jobs.make_picture, encode_page(board.in_order()[0]), WIDTH_PX, {}, clear)
