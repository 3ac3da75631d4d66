"""What can be done with rooms and seats, and who may: the session knows owners and seats."""

from __future__ import annotations

import hashlib
import secrets
from typing import Any, Literal

from django.contrib.auth.base_user import AbstractBaseUser
from django.contrib.auth.models import AnonymousUser
from django.contrib.sessions.backends.base import SessionBase
from django.db import transaction

from sunroom.rooms.models import Room, Seat
from sunroom.rooms.names import clean_name, distinct

Door = Literal["tutor", "student", "onlooker"]

#: Letters and digits that are not mistaken for each other when read aloud or typed.
ALPHABET = "23456789abcdefghjkmnpqrstuvwxyz"
MAX_SEATS = 300


class NoRoom(LookupError):
    """The link leads to no room."""

    sentence = "There is no room at this address. Check the link with your tutor."


def new_link() -> str:
    """An unguessable link that can be read out: three groups of four, 59 bits."""
    return "-".join("".join(secrets.choice(ALPHABET) for _ in range(4)) for _ in range(3))


def new_uid() -> str:
    return secrets.token_urlsafe(9).replace("-", "0").replace("_", "1")


def create_room(title: str, user: AbstractBaseUser | AnonymousUser, session: SessionBase) -> tuple[Room, str]:
    """A new room; without an account also the owner key, which is kept only as a hash."""
    room = Room(title=clean_name(title, "title", 80), link=new_link(), onlooker_link=new_link())
    key = ""
    if user.is_authenticated:
        room.owner = user
    else:
        key = secrets.token_urlsafe(24)
        room.owner_key_hash = _hash(key)
    room.save()
    if key:
        remember_owned(session, room)
    return room, key


def find_room(link: str, door: Door) -> Room:
    """The room behind a door's link; raises NoRoom."""
    field = "onlooker_link" if door == "onlooker" else "link"
    room = Room.objects.filter(**{field: link}).select_related("owner").first()
    if room is None:
        raise NoRoom(link)
    return room


def owns(room: Room, user: Any, session: SessionBase) -> bool:
    """Whether this browser may act as the room's tutor."""
    if room.owner_id is not None:
        return bool(user.is_authenticated and room.owner_id == user.pk)
    return room.pk in session.get("owned", ())


def remember_owned(session: SessionBase, room: Room) -> None:
    session["owned"] = [*(pk for pk in session.get("owned", ()) if pk != room.pk), room.pk]


def own_by_key(room: Room, key: str, session: SessionBase) -> bool:
    """Let the browser in that kept the owner key; False when the key is not this room's."""
    if not room.owner_key_hash or not secrets.compare_digest(room.owner_key_hash, _hash(key)):
        return False
    remember_owned(session, room)
    return True


def claim(room: Room, user: AbstractBaseUser) -> None:
    """Give a room that was started without an account to ``user``; its key ends."""
    room.owner, room.owner_key_hash = user, ""
    room.save(update_fields=["owner", "owner_key_hash"])


def find_seat(room: Room, door: Door, session: SessionBase) -> Seat | None:
    """The seat that this browser has behind this door."""
    uid = session.get("seats", {}).get(f"{room.pk}:{door}")
    return Seat.objects.filter(room=room, uid=uid).first() if uid else None


def take_seat(room: Room, door: Door, name: str, session: SessionBase) -> Seat:
    """A seat for a person of this name; the browser's own seat, renamed, when it has one.

    Raises
    ------
    BadName
        When the name cannot be used, or the room has no seat left.
    """
    name = clean_name(name)
    with transaction.atomic():
        seat = find_seat(room, door, session)
        others = Seat.objects.filter(room=room).exclude(pk=seat.pk if seat else None)
        name = distinct(name, others.values_list("name", flat=True))
        if seat is None:
            seat = Seat(room=room, uid=new_uid(), role=door)
        seat.name = name
        seat.save()
    sit_down(seat, session)
    return seat


def sit_down(seat: Seat, session: SessionBase) -> None:
    """Let this browser sit in ``seat``, behind the door of its role."""
    session["seats"] = {**session.get("seats", {}), f"{seat.room_id}:{seat.role}": seat.uid}


def set_role(seat_uid: str, role: str) -> None:
    """Keep another role for a seat."""
    Seat.objects.filter(uid=seat_uid).update(role=role)


def send_away(seat_uid: str) -> None:
    """Keep that a person was sent away and stays out."""
    Seat.objects.filter(uid=seat_uid).update(sent_away=True)


def tutor_name(room: Room) -> str:
    """What the tutor is called before and while they sit in the room."""
    seat = Seat.objects.filter(room=room, role="tutor").first()
    if seat:
        return seat.name
    return (room.owner.get_full_name() or room.owner.get_username()) if room.owner else "The tutor"


def _hash(key: str) -> str:
    return hashlib.sha256(key.encode()).hexdigest()


def tutor_seat(room: Room) -> Seat:
    """The tutor's one seat, from whichever browser the owner comes."""
    seat = Seat.objects.filter(room=room, role="tutor").first()
    if seat is None:
        seat = Seat.objects.create(room=room, uid=new_uid(), role="tutor", name=tutor_name(room))
    return seat


def seat_at(link: str, door: str, user: Any, session: SessionBase) -> tuple[Room, Seat] | None:
    """Room and seat of the browser behind a door; None when it has no business there.

    Raises
    ------
    NoRoom
        When the link leads nowhere.
    """
    if door not in ("tutor", "student", "onlooker"):
        raise NoRoom(link)
    room = find_room(link, door)
    if door == "tutor":
        return (room, tutor_seat(room)) if owns(room, user, session) else None
    seat = find_seat(room, door, session)
    return (room, seat) if seat else None
