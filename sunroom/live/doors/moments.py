"""States of a board to come back to, and how a page was made; for the room's owner, who sees all that ever was on it."""

from __future__ import annotations

import msgspec
from asgiref.sync import async_to_sync, sync_to_async
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import models, repository, store
from sunroom.boards import moments as kept
from sunroom.boards.store import Logged
from sunroom.core.board import Board, Page
from sunroom.core.board.moments import lost_things
from sunroom.core.board.requests import GoneError
from sunroom.core.errors import MalformedError
from sunroom.core.formats.kept import encode_page
from sunroom.core.formats.pages import page_box, pictures_of
from sunroom.core.pens import Actor
from sunroom.core.sentences import said
from sunroom.live.doors.files import made, making, settle
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem, allow, answer, answers_problems, body

WIDTH_PX = 720
#: Steps of a page's making in one answer.
MAKING_STEPS = 2_000
#: Of the words of a lost thing so many are told.
MAX_WORDS = 60


class MomentCard(msgspec.Struct):
    """``kind`` says whether it was named, or came as a lesson began or ended; ``changed`` whether anything has changed since."""

    id: str
    kind: str
    title: str
    at_ms: int
    changed: bool


class Moments(msgspec.Struct):
    """The board's moments, the newest first."""

    moments: list[MomentCard]


class LostThing(msgspec.Struct):
    """A thing of a page that has gone or become another: where in the page's picture (parts of its sides), whose, and
    its words.
    """

    ids: tuple[str, ...]
    x: float
    y: float
    width: float
    height: float
    name: str
    words: str


class ThenPage(msgspec.Struct):
    """A page as it was; ``gone`` when the board has it no more, ``changed`` when it is another now."""

    page: str
    title: str
    number: int
    gone: bool
    changed: bool
    lost: list[LostThing]


class Then(msgspec.Struct):
    pages: list[ThenPage]


class NameMoment(msgspec.Struct):
    title: str


class BringBack(msgspec.Struct):
    """Make the page what it was, only add what has gone since, or make so only ``ids`` when there are any."""

    only_gone: bool = False
    ids: frozenset[str] = frozenset()


class Making(msgspec.Struct):
    """Steps of a page's making, and what their people are called; ask again ``after`` that number until ``whole``."""

    steps: list[Logged]
    names: dict[str, str]
    after: int
    whole: bool


def _board(request: HttpRequest, uid: str) -> models.Board:
    """The board, for the owner of its room; raises Problem."""
    allow(request, "moments", 600, 60)
    row = models.Board.objects.filter(uid=uid).select_related("room", "room__owner").first()
    if row is None or not services.owns(row.room, request.user, request.session):
        raise Problem(404, said("this-board-is-not-open"))
    async_to_sync(settle)(row.room_id)
    row.refresh_from_db(fields=["seq"])
    return row


def _then(row: models.Board, uid: str) -> Board:
    """The board as it was at a moment; raises Problem."""
    moment = row.moments.filter(uid=uid).first()
    if moment is None:
        raise Problem(404, said("no-such-moment"))
    try:
        return kept.board_at(row.pk, moment.seq)
    except store.DamagedLogError as error:
        raise Problem(500, said("this-board-cannot-be-opened")) from error


@require_http_methods(["GET", "POST"])
@answers_problems
def moments(request: HttpRequest, board: str) -> HttpResponse:
    """The board's moments, and naming the one that is now."""
    row = _board(request, board)
    if request.method == "POST":
        title = clean_name(body(request, NameMoment).title, "title", 80)
        if kept.make(row, "named", title) is None:
            raise Problem(409, said("moments-are-enough", most=kept.MAX_MOMENTS))
    return answer(_moments(row))


def _moments(row: models.Board) -> Moments:
    return Moments(
        [
            MomentCard(m.uid, m.kind, m.title, int(m.at.timestamp() * 1000), m.seq != row.seq)
            for m in row.moments.order_by("-id")
        ]
    )


@require_http_methods(["GET", "DELETE"])
@answers_problems
def moment(request: HttpRequest, board: str, uid: str) -> HttpResponse:
    """The pages of a moment, or its end: nothing of the board goes with it."""
    row = _board(request, board)
    if request.method == "DELETE":
        row.moments.filter(uid=uid).delete()
        return answer(_moments(row))
    with making():
        then, now = _then(row, uid), store.load(row.pk)
        names = services.names(row.room_id)
        pages = [_card(now, page, number, names) for number, page in enumerate(then.in_order(), 1)]
    return answer(Then(pages))


def _card(now: Board, then: Page, number: int, names: dict[str, str]) -> ThenPage:
    here = now.pages.get(then.head.id)
    changed = here is not None and here.items != then.items
    whole = page_box(then)
    lost = [
        LostThing(
            thing.ids,
            (thing.box.x0 - whole.x0) / whole.width,
            (thing.box.y0 - whole.y0) / whole.height,
            thing.box.width / whole.width,
            thing.box.height / whole.height,
            names.get(thing.by, ""),
            thing.words[:MAX_WORDS],
        )
        for thing in (lost_things(here, then) if here is not None and changed else ())
    ]
    return ThenPage(then.head.id, then.head.title, number, here is None, changed, lost)


@require_GET
@answers_problems
def picture(request: HttpRequest, board: str, uid: str, page: str) -> HttpResponse:
    """A page as it was at a moment, as a picture."""
    row = _board(request, board)
    with making():
        found = _page(_then(row, uid), page)
        pictures = repository.pictures(row.room_id, pictures_of([found]))
        data = made(file_jobs.make_picture, encode_page(found), WIDTH_PX, pictures)
    response = HttpResponse(data, content_type="image/png")
    response["Cache-Control"] = "private, max-age=86400"
    return response


def _page(board: Board, page: str) -> Page:
    found = board.pages.get(page)
    if found is None:
        raise Problem(404, said("that-page-is-no-longer"))
    return found


@require_POST
@answers_problems
def bring_back(request: HttpRequest, board: str, uid: str, page: str) -> HttpResponse:
    """Make a page what it was at a moment; the owner's step, which they can take back."""
    row = _board(request, board)
    wanted = body(request, BringBack)
    with making():
        then = _page(_then(row, uid), page)
    try:
        async_to_sync(_bring_back)(row, then, wanted)
    except (GoneError, MalformedError) as error:
        raise Problem(409, error.sentence) from error
    return answer({})


async def _bring_back(row: models.Board, then: Page, wanted: BringBack) -> None:
    """By the live room, which alone writes its boards."""
    entered = await registry().enter(row.room, row.uid)
    if entered is None:
        raise GoneError("board_gone", said("that-board-is-no-longer"))
    live, board = entered
    seat = await sync_to_async(services.tutor_seat)(row.room)
    actor = Actor(seat.uid, "tutor", seat.name)
    await live.steps.bring_back(board, then, actor, wanted.only_gone, wanted.ids)


@require_GET
@answers_problems
def making_of_page(request: HttpRequest, board: str, page: str) -> HttpResponse:
    """The steps by which a page was made (MessagePack), from ``?after=`` on."""
    row = _board(request, board)
    asked = request.GET.get("after", "0")
    after = int(asked) if asked.isdecimal() and len(asked) < 16 else 0
    try:
        steps, last = kept.making_of(row.pk, page, after, MAKING_STEPS)
    except store.DamagedLogError as error:
        raise Problem(500, said("this-board-cannot-be-opened")) from error
    writers = {logged.by for logged in steps}
    names = {seat: name for seat, name in services.names(row.room_id).items() if seat in writers}
    response = HttpResponse(
        msgspec.msgpack.encode(Making(steps, names, last, len(steps) < MAKING_STEPS)),
        content_type="application/msgpack",
    )
    response["Cache-Control"] = "no-store"
    return response
