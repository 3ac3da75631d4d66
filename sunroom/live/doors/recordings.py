"""The tutor's voice: it comes in pieces while everybody is told, and is played with the board afterwards."""

from __future__ import annotations

import time
from collections.abc import Iterator
from contextlib import suppress

import msgspec
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_GET, require_http_methods, require_POST

from sunroom.boards import models, recordings
from sunroom.boards.recordings import MAX_PIECE_BYTES, Turn
from sunroom.boards.space import check_space
from sunroom.core.formats.recorded import Chapter, Recorded, chapters_vtt
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made, making, pages_of_board, visible_board
from sunroom.live.doors.media import ranged
from sunroom.live.room.access import may_look
from sunroom.live.room.registry import registry
from sunroom.live.work import file_jobs
from sunroom.rooms import services
from sunroom.rooms.models import Room
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems, body, language_of
from sunroom.words import say

#: Turns of pages in one piece.
MAX_TURNS = 40
#: Of recordings in the file of a room, so that it can be made and brought in again.
MOST_IN_A_ROOM_FILE = 100_000_000
ENDINGS = {"audio/webm": "webm", "audio/mp4": "m4a"}


class BeginRecording(msgspec.Struct):
    mime: str
    begun_ms: int


class RecordingBegun(msgspec.Struct):
    id: str


class RecordingTurn(msgspec.Struct):
    """From ``at_ms`` of a recording on the tutor looked at this page."""

    at_ms: int
    board: str
    page: str
    title: str


class RecordingCard(msgspec.Struct):
    """A recording: when, how long, whose voice, whether students may listen, and the pages that it goes with."""

    id: str
    name: str
    begun_ms: int
    length_ms: int
    ended: bool
    heard: bool
    turns: list[RecordingTurn]


class Recordings(msgspec.Struct):
    recordings: list[RecordingCard]


class LetHear(msgspec.Struct):
    heard: bool


def _now_ms() -> int:
    return int(time.time() * 1000)


async def _recorded(room_id: int) -> str:
    """The seat whose voice everybody in the room is told about just now."""
    live = registry().find(room_id)
    return live.recording.now.seat if live else ""


@require_http_methods(["GET", "POST"])
@answers_problems
def of_board(request: HttpRequest, board: str) -> HttpResponse:
    """The recordings of the board's room that this browser may hear; or a new one, when all are told of it."""
    row = visible_board(request, board)
    if request.method == "GET":
        allow(request, "recordings", 240, 60)
        return answer(
            Recordings(cards(row.room, request, services.owns(row.room, request.user, request.session)))
        )
    allow(request, "recording", 60, 600)
    found = may_look(row.room, request.user, request.session)
    if found is None or found.seat.uid != async_to_sync(_recorded)(row.room_id):
        raise Problem(409, said("recording-untold"))
    wanted = body(request, BeginRecording)
    check_space(row.room_id, MAX_PIECE_BYTES)
    begun = recordings.begin(
        row.room_id, found.seat.uid, found.seat.name, wanted.mime, wanted.begun_ms, _now_ms()
    )
    return answer(RecordingBegun(begun.uid), 201)


def cards(room: Room, request: HttpRequest, owner: bool) -> list[RecordingCard]:
    """The room's recordings; for others than its owner those that they may hear."""
    rows = recordings.of_room(room.pk)
    if not owner:
        rows = rows.filter(heard=True) if _may_listen(room, request) else rows.none()
    titles: dict[str, dict[str, str]] = {}
    return [
        RecordingCard(
            row.uid,
            row.name,
            row.begun_ms,
            row.length_ms,
            row.ended,
            row.heard,
            _turns(row, titles, language_of(request), hidden=owner),
        )
        for row in rows
    ]


def _may_listen(room: Room, request: HttpRequest) -> bool:
    """Whether this browser may hear what the tutor lets students hear."""
    found = may_look(room, request.user, request.session)
    return found is not None and found.facts.role != "onlooker"


def _turns(
    row: models.Recording, titles: dict[str, dict[str, str]], language: str, hidden: bool
) -> list[RecordingTurn]:
    """Pages that are still there, by what they are called now; hidden ones are told to who may see them."""
    found: list[RecordingTurn] = []
    for at_ms, board, page in row.turns:
        if board not in titles:
            titles[board] = _titles(row.room_id, board, language, hidden)
        if page in titles[board]:
            found.append(RecordingTurn(at_ms, board, page, titles[board][page]))
    return found


def _titles(room_id: int, board: str, language: str, hidden: bool) -> dict[str, str]:
    row = models.Board.objects.filter(room_id=room_id, uid=board).first()
    if row is None:
        return {}
    with making():
        pages = pages_of_board(row)
    return {
        page.head.id: page.head.title or say("page-number", {"number": number}, language)
        for number, page in enumerate(pages, 1)
        if hidden or not page.head.hidden
    }


def _growing(request: HttpRequest, uid: str) -> models.Recording:
    """The recording, for the seat that it is of; raises Problem."""
    row = models.Recording.objects.filter(uid=uid).select_related("room").first()
    found = may_look(row.room, request.user, request.session) if row else None
    if row is None or found is None or found.seat.uid != row.seat:
        raise Problem(404, said("no-such-recording"))
    return row


@require_POST
@answers_problems
def piece(request: HttpRequest, uid: str, number: int) -> HttpResponse:
    """Take the piece with this number (the request's body); ``until`` is how many ms the recording has with it."""
    row = _growing(request, uid)
    allow_for(f"recording:{row.room_id}", 240, 60)
    if int(request.headers.get("Content-Length") or 0) > MAX_PIECE_BYTES:
        raise Problem(413, said("recording-not-readable"))
    data = request.read(MAX_PIECE_BYTES + 1)
    if not 0 < len(data) <= MAX_PIECE_BYTES:
        raise Problem(400, said("recording-not-readable"))
    check_space(row.room_id, len(data))
    until = request.GET.get("until", "")
    until_ms = int(until) if until.isdecimal() and len(until) < 12 else 0
    recordings.take(row, number, data, until_ms, _asked_turns(request.GET.get("turns", "")), _now_ms())
    return answer(RecordingBegun(uid))


def _asked_turns(text: str) -> list[Turn]:
    """``ms:board:page`` with spaces between; what is none is let fall."""
    found: list[Turn] = []
    for part in text[: MAX_TURNS * 80].split()[:MAX_TURNS]:
        at_ms, _, place = part.partition(":")
        board, _, page = place.partition(":")
        if at_ms.isdecimal() and len(at_ms) < 12 and 0 < len(board) <= 20 and 0 < len(page) <= 32:
            found.append((int(at_ms), board, page))
    return found


@require_POST
@answers_problems
def end(request: HttpRequest, uid: str) -> HttpResponse:
    """Nothing more comes."""
    recordings.end(_growing(request, uid))
    return answer(RecordingBegun(uid))


def _owned(request: HttpRequest, uid: str) -> models.Recording:
    row = models.Recording.objects.filter(uid=uid).select_related("room", "room__owner", "medium").first()
    if row is None or not services.owns(row.room, request.user, request.session):
        raise Problem(404, said("no-such-recording"))
    return row


@require_http_methods(["PATCH", "DELETE"])
@answers_problems
def recording(request: HttpRequest, uid: str) -> HttpResponse:
    """Let students listen, or not any more; or remove it for good."""
    row = _owned(request, uid)
    if request.method == "DELETE":
        recordings.remove(row)
    else:
        models.Recording.objects.filter(pk=row.pk).update(heard=body(request, LetHear).heard)
    return answer(Recordings(cards(row.room, request, owner=True)))


def _heard(request: HttpRequest, uid: str) -> models.Recording:
    """The recording, if this browser may hear it; raises Problem."""
    row = models.Recording.objects.filter(uid=uid).select_related("room", "room__owner", "medium").first()
    if row is not None and services.owns(row.room, request.user, request.session):
        return row
    if row is None or not row.heard or not _may_listen(row.room, request):
        raise Problem(404, said("no-such-recording"))
    return row


@require_GET
@answers_problems
def sound(request: HttpRequest, uid: str) -> HttpResponse:
    """The recording to be played from any place, or (``kept``) as a file with its chapters."""
    row = _heard(request, uid)
    allow(request, "medium-part", 600, 60)
    if "kept" not in request.GET:
        if row.ended or row.medium:
            return ranged(request, row.medium or _medium(row))
        found = whole_of(row)
        return HttpResponse(found.data, content_type=found.mime)
    allow(request, "medium-whole", 20, 60)
    found = whole_of(row, _chapters(request, row))
    response = HttpResponse(found.data, content_type=found.mime)
    name = f"{row.room.title} {_day(row)}.{ENDINGS[row.mime]}"
    response["Content-Disposition"] = content_disposition_header(True, name) or "attachment"
    response["Cache-Control"] = "no-store"
    return response


def _day(row: models.Recording) -> str:
    return time.strftime("%Y-%m-%d", time.gmtime(row.begun_ms / 1000))


def files_of_recordings(request: HttpRequest, room: Room) -> Iterator[tuple[str, bytes]]:
    """The room's recordings and their chapters, for its owner, each with a name: the newest first, as many as have room.

    Each is made whole once and kept; what cannot be, or grows yet, is as it came.
    """
    left = MOST_IN_A_ROOM_FILE
    for number, row in reversed(list(enumerate(recordings.of_room(room.pk), 1))):
        if row.ended:
            with suppress(Problem):
                _medium(row)
            row.refresh_from_db(fields=["medium"])
        data = recordings.data_of(row)
        left -= len(data)
        if left < 0:
            told = say("recordings-not-all", {"mb": MOST_IN_A_ROOM_FILE // 1_000_000}, language_of(request))
            yield "recordings/not all.txt", told.encode()
            return
        name = f"recordings/{number:03d} {_day(row)}"
        yield f"{name}.{ENDINGS[row.mime]}", data
        yield f"{name}.vtt", chapters_vtt(_chapters(request, row), row.length_ms).encode()


@require_GET
@answers_problems
def chapters(request: HttpRequest, uid: str) -> HttpResponse:
    """Its chapters as WebVTT."""
    row = _heard(request, uid)
    allow(request, "recordings", 240, 60)
    return HttpResponse(
        chapters_vtt(_chapters(request, row), row.length_ms), content_type="text/vtt; charset=utf-8"
    )


def _chapters(request: HttpRequest, row: models.Recording) -> list[Chapter]:
    owner = services.owns(row.room, request.user, request.session)
    return [Chapter(turn.at_ms, turn.title) for turn in _turns(row, {}, language_of(request), hidden=owner)]


def _medium(row: models.Recording) -> models.Medium:
    """The whole of an ended recording. Players ask for it twice at once: it is made by the first, and there for the second."""
    with making():
        row.refresh_from_db(fields=["medium", "ended"])
        return row.medium or recordings.keep_whole(row, _whole(row))


def whole_of(row: models.Recording, chapters: list[Chapter] | None = None) -> Recorded:
    """A recording as one file with its chapters, as far as it has come; raises Problem."""
    with making():
        row.refresh_from_db(fields=["medium", "ended"])
        return _whole(row, chapters)


def _whole(row: models.Recording, chapters: list[Chapter] | None = None) -> Recorded:
    found = made(file_jobs.whole_recording, row.mime, recordings.data_of(row), chapters or [])
    if isinstance(found, Sentence):
        raise Problem(422, found)
    return found
