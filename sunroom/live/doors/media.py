"""Sounds and videos that come in, and are played."""

from __future__ import annotations

import re

import msgspec
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_POST

from sunroom.boards import media as kept
from sunroom.boards import models
from sunroom.boards.space import check_space
from sunroom.core.board.items import Medium
from sunroom.core.errors import MalformedError
from sunroom.core.formats.media import MAX_BYTES, clean_medium
from sunroom.core.sentences import said
from sunroom.live.doors.files import body_file, check_may_bring, making, visible_board
from sunroom.rooms.requests import Problem, allow, answer, answers_problems

#: Browsers ask for a part of a file to begin somewhere in it; they are given no more at once than this.
_RANGE = re.compile(r"bytes=(\d{1,12})-(\d{0,12})")
MOST_AT_ONCE = 2_000_000


class MediumTaken(msgspec.Struct):
    """A sound or a video that has been taken."""

    id: str
    of: Medium


@require_POST
@answers_problems
def bring_in(request: HttpRequest, board: str) -> HttpResponse:
    """Take a sound or a video (the request's body) into the board's room."""
    allow(request, "medium", 30, 300)
    row = visible_board(request, board)
    check_may_bring(request, row)
    with body_file(request, MAX_BYTES) as file:
        check_space(row.room_id, file.stat().st_size)
        with making():  # one at a time: it is whole in memory
            try:
                medium = clean_medium(file.read_bytes())
            except MalformedError as error:
                raise Problem(400, error.sentence) from error
            return answer(MediumTaken(kept.keep(row.room_id, medium), medium.of), 201)


@require_GET
@answers_problems
def medium(request: HttpRequest, board: str, medium: str) -> HttpResponse:
    """A sound or a video of the board's room, or the part of it that is asked for (RFC 9110, 14)."""
    allow(request, "medium-part", 600, 60)
    row = visible_board(request, board)
    found = kept.of_room(row.room_id).filter(uid=medium).first()
    if found is None:
        raise Problem(404, said("no-such-medium"))
    return ranged(request, found)


def ranged(request: HttpRequest, found: models.Medium) -> HttpResponse:
    """A medium, or the part of it that is asked for."""
    asked = _RANGE.fullmatch(request.headers.get("Range", ""))
    if asked is None or (asked[2] and int(asked[2]) < int(asked[1])):
        response = _whole(request, found)
    elif int(asked[1]) >= found.size:
        response = HttpResponse(status=416)
        response["Content-Range"] = f"bytes */{found.size}"
        return response
    else:
        start = int(asked[1])
        end = min(int(asked[2]) + 1 if asked[2] else found.size, found.size, start + MOST_AT_ONCE)
        response = HttpResponse(b"".join(kept.read(found, start, end)), status=206, content_type=found.mime)
        response["Content-Range"] = f"bytes {start}-{end - 1}/{found.size}"
    response["Accept-Ranges"] = "bytes"
    response["Cache-Control"] = "private, max-age=31536000, immutable"
    return response


def _whole(request: HttpRequest, found: models.Medium) -> HttpResponse:
    """All of it at once, which no player asks for: seldom, and one at a time."""
    allow(request, "medium-whole", 20, 60)
    with making():
        return HttpResponse(b"".join(kept.read(found, 0, found.size)), content_type=found.mime)
