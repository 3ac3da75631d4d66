"""A second device in one seat: invited by a code or its picture, until its pairing is ended."""

from __future__ import annotations

import io

import msgspec
import segno
from asgiref.sync import async_to_sync
from django.http import HttpRequest, HttpResponse
from django.views.decorators.http import require_GET, require_POST

from sunroom.boards.services import boards_of
from sunroom.core.sentences import said
from sunroom.live.room.registry import registry
from sunroom.rooms import services
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.requests import Problem, allow, allow_for, answer, answers_problems, body


class Invitation(msgspec.Struct):
    """The code by which another device may come into this browser's seat."""

    code: str


class PairCode(msgspec.Struct):
    code: str


class Invited(msgspec.Struct):
    """The seat that a code invites to, and the one that this browser has in that room now ("" for none)."""

    name: str
    room: str
    now: str


class Paired(msgspec.Struct):
    """Where the lesson is for a device that has just been paired."""

    path: str


def _seat(request: HttpRequest, door: str, link: str) -> tuple[Room, Seat]:
    found = services.seat_at(link, door, request.user, request.session)
    if found is None or door == "onlooker":
        raise Problem(403, said("come-into-the-room-first"))
    return found


@require_POST
@answers_problems
def invite(request: HttpRequest, door: str, link: str) -> HttpResponse:
    _, seat = _seat(request, door, link)
    allow_for(f"invite:{seat.uid}", 20, 600)
    return answer(Invitation(services.invite_device(seat).code), 201)


@require_POST
@answers_problems
def end(request: HttpRequest, door: str, link: str) -> HttpResponse:
    """End every pairing of this browser's seat; the other devices are out at once."""
    room, seat = _seat(request, door, link)
    if services.pairing_of(seat, request.session):
        raise Problem(403, said("pairings-are-ended-on-the"))
    ended = services.end_pairings(seat)
    async_to_sync(_drop)(room.pk, ended)
    return answer(Invitation(""))


async def _drop(room_id: int, pairings: set[int]) -> None:
    live = registry().find(room_id)
    if live is not None:
        live.seats.unpaired(pairings)


@require_POST
@answers_problems
def invited(request: HttpRequest) -> HttpResponse:
    """Whose seat a code invites to, so that nobody loses theirs by opening an address."""
    allow(request, "pair", 120, 60)
    try:
        seat = services.invited_seat(body(request, PairCode).code)
    except services.BadCode as error:
        raise Problem(403, error.sentence) from error
    now = services.find_seat(seat.room, seat.door, request.session)  # type: ignore[arg-type]
    return answer(Invited(seat.name, seat.room.title, now.name if now else ""))


@require_POST
@answers_problems
def pair(request: HttpRequest) -> HttpResponse:
    """Let this browser sit in the seat that a code invites to."""
    allow(request, "pair", 60, 60)
    try:
        seat = services.pair_device(body(request, PairCode).code, request.session)
    except services.BadCode as error:
        raise Problem(403, error.sentence) from error
    if seat.door != "tutor":
        return answer(Paired(f"/r/{seat.room.link}"))
    board = boards_of(seat.room_id).first()
    return answer(Paired(f"/rooms/{seat.room.link}/boards/{board.uid if board else ''}"))


@require_GET
def picture(request: HttpRequest, code: str) -> HttpResponse:
    """The address of an invitation as a QR code."""
    return _qr_code(request, f"/pair?{code[:8]}")


@require_GET
@answers_problems
def link_picture(request: HttpRequest, door: str, link: str) -> HttpResponse:
    """The address of a room's door as a QR code."""
    services.find_room(link, "student" if door == "student" else "onlooker")
    return _qr_code(request, f"/r/{link}" if door == "student" else f"/watch/{link}")


def _qr_code(request: HttpRequest, path: str) -> HttpResponse:
    """An address of this server in a picture (ISO/IEC 18004)."""
    made = segno.make(request.build_absolute_uri(path), error="m")
    data = io.BytesIO()
    made.save(data, kind="svg", scale=4, border=2, dark="#16222b", light="#ffffff")
    response = HttpResponse(data.getvalue(), content_type="image/svg+xml")
    response["Cache-Control"] = "no-store"
    return response
