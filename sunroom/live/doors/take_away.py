"""A board, or one of its pages, as files of open formats, for whoever may see it now; hidden pages are left out."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, date, datetime

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET

from sunroom.boards import media, models, moments, recordings, repository, store
from sunroom.core.board import Page, TableItem
from sunroom.core.board.words import WrittenLine
from sunroom.core.formats.csv import table_csv
from sunroom.core.formats.drawing import ALL, Parts
from sunroom.core.formats.kept import encode_page
from sunroom.core.formats.making import MAX_STATES, Done
from sunroom.core.formats.pages import media_of, pictures_in, pictures_of
from sunroom.core.formats.sheets import AS_LARGE, SIZES, Sheets
from sunroom.core.formats.web_page import Controls, Voice
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made, making, pages_of_board, settle, visible_board
from sunroom.live.doors.recordings import whole_of
from sunroom.live.doors.search import heard
from sunroom.live.room.access import may_look
from sunroom.live.work import file_jobs
from sunroom.resources import playing_script
from sunroom.rooms import services
from sunroom.rooms.requests import Problem, allow, answers_problems, language_of
from sunroom.words import say

#: What was said that goes into one web page: a few hours.
MAX_VOICES = 60_000_000
#: A picture of the board for a list, and the widths that a page's picture may be asked for in.
LISTED_WIDTH_PX = 480
WIDTHS_PX = (200, 6_000)


def _file(data: bytes, mime: str, name: str, shown: bool = False) -> HttpResponse:
    """A file to be kept by the one who asked for it, or ``shown`` by their browser."""
    response = HttpResponse(data, content_type=mime)
    response["Content-Disposition"] = content_disposition_header(not shown, name) or "attachment"
    response["Cache-Control"] = "no-store"
    return response


def _parts(request: HttpRequest) -> Parts:
    """What is to be saved besides the writing: all that is not said to be left out."""
    left_out = request.GET.get("without", "").split()
    return Parts(**{name: name not in left_out for name in Parts.__struct_fields__})


def _sheets(request: HttpRequest) -> Sheets:
    """The paper that a PDF is to be printed on; what is not known is paper as large as each page."""
    paper = request.GET.get("paper", "")
    return Sheets(paper, "cut" in request.GET) if paper in SIZES else AS_LARGE  # type: ignore[arg-type]


def _asked(request: HttpRequest, row: models.Board) -> list[Page]:
    """All pages that everybody sees, or those that are asked for, if whoever asks may see them.

    Of desks a student takes their own away with the board, others' only one by one.
    """
    wanted = request.GET.get("page", "").split()
    if not wanted:
        looks = may_look(row.room, request.user, request.session)
        pages = shown_pages(row)
        if looks is None or looks.facts.role != "student":
            return pages
        return [page for page in pages if page.head.desk_of in ("", looks.seat.uid)] or pages
    async_to_sync(settle)(row.room_id)
    pages = pages_of_board(row)
    found = {page_id: _one(request, row, pages, page_id) for page_id in wanted}
    return [page for page in pages if page.head.id in found]


def shown_pages(row: models.Board) -> list[Page]:
    """The pages of a board that everybody sees."""
    async_to_sync(settle)(row.room_id)
    return [page for page in pages_of_board(row) if not page.head.hidden]


def _one(request: HttpRequest, row: models.Board, pages: list[Page], wanted: str) -> Page:
    looks = may_look(row.room, request.user, request.session)
    sees_all = looks is not None and looks.facts.role in ("tutor", "helper")
    found = next((page for page in pages if page.head.id == wanted), None)
    if found is None or (found.head.hidden and not sees_all):
        raise Problem(404, said("that-page-is-no-longer"))
    return found


def _named(row: models.Board, pages: list[Page], asked_for_one: bool, ending: str) -> str:
    """A file's name: board, page when it is one, and the day."""
    title = f" {pages[0].head.title}" if asked_for_one and len(pages) == 1 and pages[0].head.title else ""
    return f"{row.title}{title} {date.today().isoformat()}.{ending}"


def _names(language: str, pages: list[Page]) -> list[str]:
    """What each page is called, by its number when it has no title."""
    return [
        page.head.title or say("page-number", {"number": number}, language)
        for number, page in enumerate(pages, 1)
    ]


@require_GET
@answers_problems
def board_pdf(request: HttpRequest, board: str) -> HttpResponse:
    """The board as everybody sees it, or chosen pages, or their bays each alone, as a PDF: to be kept, or to ``print``."""
    allow(request, "file", 60, 60)
    row = visible_board(request, board)
    with making():
        pages = _asked(request, row)
    written = [lines or [] for lines in heard(row, pages)] if "written" in request.GET else []
    bays_only = "bays" in request.GET
    if bays_only and not any(page.head.bays for page in pages):
        raise Problem(404, said("there-are-no-bays-there"))
    data = _pdf(row, pages, language_of(request), _parts(request), written, _sheets(request), bays_only)
    name = _named(row, pages, "page" in request.GET, "pdf")
    return _file(data, "application/pdf", name, shown="print" in request.GET)


def pdf_of(row: models.Board, language: str) -> bytes:
    """The board as everybody sees it as a PDF."""
    with making():
        pages = shown_pages(row)
    return _pdf(row, pages, language, ALL)


def pdf_of_page(request: HttpRequest, row: models.Board, page: str, language: str) -> tuple[str, bytes]:
    """What a page is called, and the page as a PDF, if whoever asks may see it; raises Problem."""
    async_to_sync(settle)(row.room_id)
    with making():
        pages = pages_of_board(row)
        found = _one(request, row, pages, page)
    name = _names(language, pages)[pages.index(found)]
    return f"{row.title} {name}", _pdf(row, [found], language, ALL)


def _pdf(
    row: models.Board,
    pages: list[Page],
    language: str,
    parts: Parts,
    written: Sequence[list[WrittenLine]] = (),
    sheets: Sheets = AS_LARGE,
    bays_only: bool = False,
) -> bytes:
    with making():
        pictures = repository.pictures(row.room_id, pictures_of(pages), vectors=True)
        packed, names = [encode_page(page) for page in pages], _names(language, pages)
        return made(
            file_jobs.make_pdf,
            packed,
            names,
            row.title,
            pictures,
            row.room.language,
            parts,
            list(written),
            sheets,
            bays_only,
        )


@require_GET
@answers_problems
def board_html(request: HttpRequest, board: str) -> HttpResponse:
    """The board as everybody sees it, or chosen pages, as a web page; ``making`` is for the room's owner, who sees
    all that ever was on it.
    """
    allow(request, "file", 60, 60)
    row = visible_board(request, board)
    plays = "making" in request.GET
    if plays and not services.owns(row.room, request.user, request.session):
        raise Problem(404, said("only-the-rooms-tutor-can"))
    with making():
        pages = _asked(request, row)
    voices = _voices(request, row, pages) if plays and "voice" in request.GET else []
    data = _html(row, pages, language_of(request), _parts(request), plays, voices)
    return _file(data, "text/html; charset=utf-8", _named(row, pages, "page" in request.GET, "html"))


def html_of(row: models.Board, language: str) -> bytes:
    """The board as everybody sees it as a web page."""
    with making():
        pages = shown_pages(row)
    return _html(row, pages, language, ALL)


def _html(
    row: models.Board,
    pages: list[Page],
    language: str,
    parts: Parts,
    plays: bool = False,
    voices: Sequence[Voice] = (),
) -> bytes:
    # Others' files need not wait for the ink to be read.
    told = [
        [line.texts[0] for line in sorted(lines or [], key=lambda at: (at.y, at.x))]
        for lines in heard(row, pages)
    ]
    with making():
        done = [_done(row, page) for page in pages] if plays else []
        shown = pictures_of(pages) | {
            picture
            for steps in done
            for _, step in steps
            for picture in pictures_in(getattr(step, "items", ()))
        }
        pictures = repository.pictures(row.room_id, shown)
        packed, names = [encode_page(page) for page in pages], _names(language, pages)
        found = made(
            file_jobs.make_html,
            packed,
            names,
            told,
            row.title,
            pictures,
            row.room.language,
            parts,
            [msgspec.msgpack.encode(steps) for steps in done],
            _controls(language) if plays else None,
            list(voices),
        )
    if isinstance(found, Sentence):
        raise Problem(422, found)
    return found


def _voices(request: HttpRequest, row: models.Board, pages: list[Page]) -> list[Voice]:
    """What was said while these pages were looked at; raises Problem when it is too much for one file."""
    numbers = {page.head.id: number for number, page in enumerate(pages)}
    found: list[Voice] = []
    for recording in recordings.of_room(row.room_id):
        turns = [
            (at_ms, numbers[page])
            for at_ms, board, page in recording.turns
            if board == row.uid and page in numbers
        ]
        if turns:
            day = datetime.fromtimestamp(recording.begun_ms / 1000, UTC).date().isoformat()
            found.append(
                Voice(whole_of(recording), f"{recording.name}, {day}", recording.begun_ms, tuple(turns))
            )
        if sum(len(voice.recorded.data) for voice in found) > MAX_VOICES:
            raise Problem(422, said("too-much-was-made-for-one"))
    return found


def _done(row: models.Board, page: Page) -> list[Done]:
    """All steps of a page's making; raises Problem when they are too many."""
    try:
        steps, _ = moments.making_of(row.pk, page.head.id, 0, MAX_STATES + 1)
    except store.DamagedLogError as error:
        raise Problem(500, said("this-board-cannot-be-opened")) from error
    if len(steps) > MAX_STATES:
        raise Problem(422, said("too-much-was-made-for-one"))
    return [(logged.at_ms, logged.step) for logged in steps]


def _controls(language: str) -> Controls:
    return Controls(
        play=say("play", language=language),
        pause=say("pause", language=language),
        place=say("place-in-time", language=language),
        speed=say("speed-word", language=language),
        shorten=say("shorten-pauses", language=language),
        script=playing_script(),
    )


@require_GET
@answers_problems
def page_file(request: HttpRequest, board: str, page: str, kind: str) -> HttpResponse:
    """One page as a picture (PNG, ``width`` px), as a vector picture (SVG), or its ink as InkML."""
    allow(request, "file", 60, 60)
    if kind not in ("png", "svg", "inkml"):
        raise Problem(404, said("there-is-no-such-file"))
    row = visible_board(request, board)
    with making():
        async_to_sync(settle)(row.room_id)
        found = _one(request, row, pages_of_board(row), page)
        pictures = repository.pictures(row.room_id, pictures_of([found]))
        packed, title, parts = encode_page(found), found.head.title or row.title, _parts(request)
        match kind:
            case "png":
                data, mime = (
                    made(file_jobs.make_picture, packed, _width(request), pictures, parts),
                    "image/png",
                )
            case "svg":
                data, mime = made(file_jobs.make_svg, packed, title, pictures, parts), "image/svg+xml"
            case _:
                data, mime = made(file_jobs.make_inkml, packed), "application/inkml+xml"
    return _file(data, mime, _named(row, [found], True, kind))


def _width(request: HttpRequest) -> int:
    asked = request.GET.get("width", "")
    return min(max(int(asked), WIDTHS_PX[0]), WIDTHS_PX[1]) if asked.isdecimal() and len(asked) < 6 else 1_600


@require_GET
@answers_problems
def table(request: HttpRequest, board: str, page: str, item: str) -> HttpResponse:
    """A table of a page as CSV."""
    allow(request, "file", 60, 60)
    row = visible_board(request, board)
    with making():
        async_to_sync(settle)(row.room_id)
        found = _one(request, row, pages_of_board(row), page)
    shown = found.items.get(item)
    if not isinstance(shown, TableItem):
        raise Problem(404, said("that-is-no-longer-on"))
    return _file(table_csv(shown), "text/csv; charset=utf-8", _named(row, [found], True, "csv"))


@require_GET
@answers_problems
def board_package(request: HttpRequest, board: str) -> HttpResponse:
    """The whole board as a package that another room can take in; for the room's owner."""
    allow(request, "file", 60, 60)
    row = visible_board(request, board)
    if not services.owns(row.room, request.user, request.session):
        raise Problem(404, said("only-the-rooms-tutor-can"))
    async_to_sync(settle)(row.room_id)
    with making():
        data = package_of(row, language_of(request))
    return _file(data, "application/zip", f"{row.title} {date.today().isoformat()}.board.zip")


def package_of(row: models.Board, language: str, then: list[Page] | None = None) -> bytes:
    """A board as a package, as it is or as it was ``then``, with its writers' names, and a word about itself."""
    pages = pages_of_board(row) if then is None else then
    pictures = repository.pictures(row.room_id, pictures_of(pages))
    writers = {item.by for page in pages for item in page.items.values()}
    names = {seat: name for seat, name in services.names(row.room_id).items() if seat in writers}
    about = say("package-about", language=language)
    packed = [encode_page(page) for page in pages]
    sounds = media.files(row.room_id, media_of(pages))
    vectors = repository.vectors(row.room_id, set(pictures))
    return made(file_jobs.make_package, packed, row.title, names, pictures, about, sounds, vectors)


@require_GET
@answers_problems
def board_picture(request: HttpRequest, board: str) -> HttpResponse:
    """A picture of the first page that everybody sees; its address carries the step number, so it may be cached."""
    allow(request, "board-picture", 240, 60)
    row = visible_board(request, board)
    with making():
        first = next(page for page in pages_of_board(row) if not page.head.hidden)
        pictures = repository.pictures(row.room_id, pictures_of([first]))
        data = made(file_jobs.make_picture, encode_page(first), LISTED_WIDTH_PX, pictures)
    response = HttpResponse(data, content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response
