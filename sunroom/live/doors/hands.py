"""A person's own hand over HTTP: the practice page's samples, looking at them, throwing away, taking along and in."""

from __future__ import annotations

import msgspec
import numpy as np
from django.db import transaction
from django.http import HttpRequest, HttpResponse
from django.utils.http import content_disposition_header
from django.views.decorators.http import require_http_methods

from sunroom.core.errors import MalformedError
from sunroom.core.formats.inkml import write_inkml
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.sentences import Sentence, said
from sunroom.live.doors.files import made
from sunroom.live.work import file_jobs
from sunroom.rooms import hands, services
from sunroom.rooms.models import Hand, Room, Seat
from sunroom.rooms.requests import Problem, allow_for, answer, answers_problems, body

#: A practice page with every sign three times is a tenth of this.
MAX_FILE_BYTES = 4_000_000
#: A line of as many samples as it may have, at some 30 bytes each.
MAX_SAMPLE_BYTES = 30 * hands.MOST_LINE_SAMPLES
#: x, y in board units, pressure 0–1, time in ms from the stroke's start
Point = tuple[float, float, float, float]


class HandSample(msgspec.Struct):
    """A sample of a hand, of a character or a line; ``taught`` by a corrected reading, not written on the practice page."""

    id: int
    text: str
    taught: bool
    strokes: list[list[Point]]


class OwnHandSamples(msgspec.Struct):
    """All samples of this person's hand, the oldest first, and the language that the room is taught in."""

    language: str
    samples: list[HandSample]


class NewSample(msgspec.Struct):
    """A character or a line as it was written."""

    text: str
    strokes: list[list[Point]]


class SampleId(msgspec.Struct):
    """Which sample to throw away; without one the whole hand."""

    id: int | None = None


def _seat(request: HttpRequest, door: str, link: str) -> tuple[Room, Seat]:
    found = services.seat_at(link, door, request.user, request.session)
    if found is None or door == "onlooker":
        raise Problem(403, said("come-into-the-room-first-2"))
    return found


@require_http_methods(["GET", "POST", "DELETE"])
@answers_problems
def hand(request: HttpRequest, door: str, link: str) -> HttpResponse:
    """The samples of whoever asks; a new one; one or all thrown away. Answers with all samples."""
    room, seat = _seat(request, door, link)
    found = hands.hand_of(seat, request.user, request.session)
    if request.method == "POST":
        allow_for(f"hand:{seat.uid}", 600, 600)
        found = found or hands.begin_hand(seat, request.user, request.session)
        sample = body(request, NewSample)
        try:
            strokes = [pack_samples(np.array(stroke).reshape(-1, 4)) for stroke in sample.strokes]
            hands.keep_sample(found, sample.text, strokes)
        except MalformedError as error:
            raise Problem(400, error.sentence) from error
    if request.method == "DELETE" and found is not None:
        which = body(request, SampleId).id
        hands.throw_away(found, which)
        found = found if which is not None else None
    return answer(_all_samples(room, found))


def _all_samples(room: Room, found: Hand | None) -> OwnHandSamples:
    kept = hands.samples(found) if found else []
    return OwnHandSamples(
        room.language,
        [
            HandSample(row.id, row.text, row.taught, [_points(stroke) for stroke in row.strokes])
            for row in kept
        ],
    )


def _points(stroke: bytes) -> list[Point]:
    return [(x, y, force, time) for x, y, force, time in unpack_samples(stroke).round(2).tolist()]


@require_http_methods(["GET", "POST"])
@answers_problems
def hand_inkml(request: HttpRequest, door: str, link: str) -> HttpResponse:
    """The samples of whoever asks as InkML, each with its text as annotation; or such a file brought in."""
    room, seat = _seat(request, door, link)
    found = hands.hand_of(seat, request.user, request.session)
    if request.method == "POST":
        allow_for(f"hand-file:{seat.uid}", 20, 600)
        data = request.read(MAX_FILE_BYTES + 1)
        if len(data) > MAX_FILE_BYTES:
            raise Problem(400, said("the-file-of-a-hand", mb=MAX_FILE_BYTES // 1_000_000))
        groups = made(file_jobs.take_hand, data)
        if isinstance(groups, Sentence):
            raise Problem(400, groups)
        try:
            with transaction.atomic():  # no empty hand is left of a file without samples
                found = found or hands.begin_hand(seat, request.user, request.session)
                hands.bring_in(found, groups)
        except MalformedError as error:
            raise Problem(400, error.sentence) from error
        return answer(_all_samples(room, found))
    kept = hands.samples(found) if found else []
    data = write_inkml([(row.text, [unpack_samples(stroke) for stroke in row.strokes]) for row in kept])
    response = HttpResponse(data, content_type="application/inkml+xml")
    response["Content-Disposition"] = content_disposition_header(True, "own hand.inkml") or "attachment"
    response["Cache-Control"] = "no-store"
    return response
