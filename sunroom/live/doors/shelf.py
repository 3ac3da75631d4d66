"""The shelf over HTTP: what stands on it, putting things there, using them on a board."""

from __future__ import annotations

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import media, models, repository
from sunroom.boards import shelf as kept
from sunroom.boards.space import check_space
from sunroom.core.board.pages import Page
from sunroom.core.board.piece import piece
from sunroom.core.board.requests import GoneError
from sunroom.core.board.words import plain
from sunroom.core.errors import MalformedError
from sunroom.core.formats.documents import MAX_BYTES
from sunroom.core.formats.kept import encode_page
from sunroom.core.formats.package import PackedPage, with_files
from sunroom.core.formats.pages import media_of, pictures_of
from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.documents import Opened
from sunroom.live.doors.files import BroughtIn, body_file, made, making, pages_of_board, settle
from sunroom.live.doors.home import owned
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body, language_of
from sunroom.words import say

PREVIEW_PX = 320


class ShelfCard(msgspec.Struct):
    """``mine``: it may be changed; ``away``: it was put away and can be brought back."""

    id: str
    kind: str
    title: str
    folder: str
    mine: bool
    shared: bool
    away: bool


class Shelf(msgspec.Struct):
    """What stands on the shelf, the newest first, and whether its owner may share with the school."""

    things: list[ShelfCard]
    may_share: bool


class Shelve(msgspec.Struct):
    """Put a page of a board on the shelf, or ``ids`` of its things as a piece."""

    board: str
    page: str
    title: str
    folder: str = ""
    ids: list[str] | None = None


class ChangeThing(msgspec.Struct):
    """What is given is changed."""

    title: str | None = None
    folder: str | None = None
    away: bool | None = None
    shared: bool | None = None


class Used(msgspec.Struct):
    """What became of a thing on a board: a page there, a picture in the room, or a PDF whose pages can be chosen."""

    page: str = ""
    picture: BroughtIn | None = None
    document: Opened | None = None


@require_http_methods(["GET", "POST"])
@answers_problems
def shelf(request: HttpRequest, link: str) -> HttpResponse:
    """What stands on the shelf (``?words=`` looks for some), or putting a page there."""
    room = owned(request, link)
    allow(request, "shelf", 300, 60)
    if request.method == "POST":
        _shelve(request, room, body(request, Shelve))
    return answer(_shelf(room, request.GET.get("words", "")[:100].strip()))


def _shelf(room: Room, words: str = "") -> Shelf:
    rows = kept.visible(room).defer("data", "preview", "words")
    wanted = plain(words).split()[:8]
    inside = [set(rows.filter(words__icontains=word).values_list("pk", flat=True)) for word in wanted]

    def found(row: models.ShelfThing) -> bool:
        called = plain(f"{row.title} {row.folder}")
        return all(word in called or row.pk in within for word, within in zip(wanted, inside, strict=True))

    mine = set(kept.own(room).values_list("pk", flat=True))
    return Shelf(
        [
            ShelfCard(
                row.uid, row.kind, row.title, row.folder, row.pk in mine, row.shared, row.away_at is not None
            )
            for row in rows.order_by("-id")
            if not wanted or found(row)
        ],
        kept.may_share(room),
    )


def _shelve(request: HttpRequest, room: Room, wanted: Shelve) -> None:
    row = room.boards.filter(uid=wanted.board).first()
    if row is None:
        raise Problem(404, said("that-board-is-no-longer"))
    async_to_sync(settle)(room.pk)
    with making():
        page = next((page for page in pages_of_board(row) if page.head.id == wanted.page), None)
        if page is None:
            raise Problem(404, said("that-page-is-no-longer"))
        if wanted.ids is not None:
            page = _piece(page, wanted.ids)
        pictures = repository.pictures(room.pk, pictures_of([page]))
        packed, about = encode_page(page), say("package-about", language=language_of(request))
        sounds = media.files(room.pk, media_of([page]))
        vectors = repository.vectors(room.pk, set(pictures))
        data = made(file_jobs.make_package, [packed], wanted.title, {}, pictures, about, sounds, vectors)
        preview = made(file_jobs.make_picture, packed, PREVIEW_PX, pictures)
    words = " ".join(made(file_jobs.page_words, packed))
    kind: kept.Kind = "page" if wanted.ids is None else "piece"
    kept.put(room, kind, wanted.title, data, preview, words, wanted.folder)


def _piece(page: Page, ids: list[str]) -> Page:
    try:
        return piece(page, ids)
    except MalformedError as error:
        raise Problem(409, error.sentence) from error


@require_POST
@answers_problems
def put_file(request: HttpRequest, link: str) -> HttpResponse:
    """Put a picture or a PDF (the request's body; ``?name=`` and ``?folder=``) on the shelf."""
    room = owned(request, link)
    allow(request, "shelf-file", 60, 60)
    name = request.GET.get("name", "")[:80]
    title = name.rsplit(".", 1)[0] or name
    with body_file(request, MAX_BYTES) as file, making():
        taken = made(file_jobs.take_material, str(file), PREVIEW_PX)
        if isinstance(taken, Sentence):
            raise Problem(400, taken)
        kind, data, preview, words = taken
        kept.put(room, kind, title, data, preview, words, request.GET.get("folder", "")[:60])
    return answer(_shelf(room), 201)


@require_http_methods(["PATCH", "DELETE"])
@answers_problems
def thing(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """Change a thing of the owner's shelf; what was put away can be deleted for good."""
    room = owned(request, link)
    found = kept.own(room).filter(uid=uid).first()
    if found is None:
        raise Problem(404, said("shelf-no-such-thing"))
    if request.method == "DELETE":
        if found.away_at is None:
            raise Problem(409, said("shelf-put-away-first"))
        found.delete()
    else:
        wanted = body(request, ChangeThing)
        kept.change(room, found, wanted.title, wanted.folder, wanted.away, wanted.shared)
    return answer(_shelf(room))


@require_GET
@answers_problems
def preview(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """A small picture of a thing."""
    found = _visible(owned(request, link), uid)
    response = HttpResponse(bytes(found.preview), content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


@require_POST
@answers_problems
def use(request: HttpRequest, link: str, uid: str, board: str) -> HttpResponse:
    """Use a thing on a board of the room."""
    room = owned(request, link)
    allow(request, "shelf-use", 60, 60)
    found = _visible(room, uid)
    data = bytes(found.data)
    check_space(room.pk, len(data))
    if found.kind == "piece":
        raise Problem(404, said("shelf-no-such-thing"))
    if found.kind == "page":
        return answer(Used(page=_put_page(room, board, data)))
    if found.kind == "pdf":
        with making():
            sizes = made(file_jobs.document_sizes, data)
        return answer(Used(document=Opened(repository.keep_document(room.pk, data, sizes), sizes)))
    clean = made(file_jobs.take_picture, data)
    if isinstance(clean, Sentence):
        raise Problem(400, clean)
    uid = repository.keep_picture(room.pk, clean)
    return answer(Used(picture=BroughtIn(uid, clean.width_px, clean.height_px)))


def _visible(room: Room, uid: str) -> models.ShelfThing:
    found = kept.visible(room).filter(uid=uid).first()
    if found is None:
        raise Problem(404, said("shelf-no-such-thing"))
    return found


@require_POST
@answers_problems
def things(request: HttpRequest, link: str, uid: str) -> HttpResponse:
    """The things of a piece, as MessagePack, to be set down by whoever asks; their files are the room's then."""
    room = owned(request, link)
    allow(request, "shelf-use", 60, 60)
    found = _visible(room, uid)
    if found.kind != "piece":
        raise Problem(404, said("shelf-no-such-thing"))
    data = bytes(found.data)
    check_space(room.pk, len(data))
    page = _unpacked(room, data, services.tutor_seat(room).uid)
    return HttpResponse(msgspec.msgpack.encode(page.items), content_type="application/msgpack")


def _unpacked(room: Room, data: bytes, seat: str) -> PackedPage:
    """The page in a package as ``seat``'s, its files kept in the room."""
    with making():
        taken = made(file_jobs.unpack_page, data, seat)
    if isinstance(taken, Sentence):
        raise Problem(400, taken)
    packed, files = taken
    return with_files(packed, repository.keep_files(room.pk, files))


def _put_page(room: Room, board: str, data: bytes) -> str:
    """Put a page of the shelf behind those of a board; its id."""
    seat = services.tutor_seat(room)
    page = _unpacked(room, data, seat.uid)
    try:
        return async_to_sync(_put)(room, board, page, Actor(seat.uid, "tutor", seat.name))
    except (GoneError, MalformedError) as error:
        raise Problem(409, error.sentence) from error


async def _put(room: Room, board: str, page: PackedPage, actor: Actor) -> str:
    """By the live room, which alone writes its boards."""
    entered = await registry().enter(room, board)
    if entered is None:
        raise GoneError("board_gone", said("that-board-is-no-longer"))
    live, here = entered
    return await live.steps.put_page(here, page.head, page.items, actor)
