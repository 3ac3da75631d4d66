"""Who may come near a room just now: one check for the live line and for every file.

It is made at the moment of joining or fetching, from the session, the seat and the lesson as they are then.
"""

from __future__ import annotations

from importlib import import_module
from typing import Any, NamedTuple

from django.conf import settings
from django.contrib.auth import get_user
from django.contrib.sessions.backends.base import SessionBase
from django.http import HttpRequest

from sunroom.core.lesson.door import SeatFacts, at_door
from sunroom.lessons import repository as lessons
from sunroom.rooms import services
from sunroom.rooms.accounts import still_signed_in
from sunroom.rooms.hands import hand_of
from sunroom.rooms.models import Room, Seat

#: The tutor's first: who owns the room needs no other.
DOORS: tuple[services.Door, ...] = ("tutor", "student", "onlooker")


class Entrant(NamedTuple):
    """A browser with a seat behind a door of a room."""

    room: Room
    seat: Seat
    #: The pairing by which it is a second device there; 0 when it is none.
    pairing: int

    @property
    def facts(self) -> SeatFacts:
        seat = self.seat
        return SeatFacts(seat.role, seat.admitted, seat.sent_away, owner=seat.door == "tutor")  # type: ignore[arg-type]


def entrant(link: str, door: str, user: Any, session: SessionBase) -> Entrant | None:
    """The browser behind a door; None when it has no seat there. Raises services.NoRoom."""
    found = services.seat_at(link, door, user, session)
    return Entrant(*found, services.pairing_of(found[1], session)) if found else None


def entrant_of_session(link: str, door: str, session_key: str | None) -> Entrant | None:
    """As ``entrant``, for a line: by what the session says now, not when the line was opened."""
    request = HttpRequest()
    request.session = import_module(settings.SESSION_ENGINE).SessionStore(session_key)
    user = get_user(request)
    if user.is_authenticated and not still_signed_in(user, session_key):
        return None  # the next page that it opens signs it out
    found = entrant(link, door, user, request.session)
    if found is not None:
        hand_of(found.seat, user, request.session)
    return found


def may_look(room: Room, user: Any, session: SessionBase) -> Entrant | None:
    """The browser, when it may see the room's boards now; None when not."""
    lesson = lessons.load(room)
    for door in DOORS:
        link = room.onlooker_link if door == "onlooker" else room.link
        found = entrant(link, door, user, session)
        if found and at_door(found.facts, lesson) == "in":
            return found
    return None
