"""Ready pages: their names by subject, their pictures, and what lies on one."""

from __future__ import annotations

from functools import cache

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET

from sunroom import resources
from sunroom.core.board import Board, Item, PageHead, Paper, apply
from sunroom.core.board.laying import laid_out
from sunroom.core.board.steps import AddPage
from sunroom.core.formats.kept import encode_page
from sunroom.core.sentences import said
from sunroom.core.templates import SUBJECTS, TEMPLATES, template
from sunroom.live.doors.files import made
from sunroom.live.work import file_jobs
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, language_of
from sunroom.words import say

WIDTH_PX = 400


class Subject(msgspec.Struct):
    """Names of ready pages; each is called by the sentence ``tpl-`` and its name."""

    name: str
    templates: list[str]


class ReadyPage(msgspec.Struct):
    title: str
    paper: Paper
    items: list[Item]


@require_GET
@answers_problems
def templates(_request: HttpRequest) -> HttpResponse:
    return answer([Subject(name, list(made)) for name, made in SUBJECTS.items()])


@require_GET
@answers_problems
def ready_page(request: HttpRequest, name: str) -> HttpResponse:
    """What lies on a ready page (MessagePack), its words in the language of the interface."""
    allow(request, "template", 120, 60)
    response = HttpResponse(
        msgspec.msgpack.encode(_ready(name, language_of(request))), content_type="application/msgpack"
    )
    response["Cache-Control"] = "no-store"
    return response


@require_GET
@answers_problems
def picture(request: HttpRequest, name: str) -> HttpResponse:
    """A small picture of a ready page; its address carries the language."""
    allow(request, "template-picture", 400, 60)
    response = HttpResponse(_drawn(name, language_of(request)), content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


@cache
def _drawn(name: str, language: str) -> bytes:
    """The picture of a ready page; there are few, and they never change."""
    ready = _ready(name, language)
    board = apply(Board(), AddPage(PageHead("page-one", paper=ready.paper), 0, tuple(ready.items)))
    return made(file_jobs.make_picture, encode_page(board.in_order()[0]), WIDTH_PX, {})


def _ready(name: str, language: str) -> ReadyPage:
    if name not in TEMPLATES:
        raise Problem(404, said("no-such-template"))
    sheet = template(name, lambda key: say(key, language=language))
    items = [laid_out(item, resources.typesetter()) for item in sheet.items]
    return ReadyPage(say(f"tpl-{name}", language=language), sheet.paper, items)
