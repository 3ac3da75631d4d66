"""What can be done with rooms and seats, and who may: the session knows owners and seats."""

from __future__ import annotations

import hashlib
import secrets
from datetime import timedelta
from typing import Any, Literal

from django.contrib.auth.base_user import AbstractBaseUser
from django.contrib.auth.models import AnonymousUser
from django.contrib.sessions.backends.base import SessionBase
from django.db import transaction
from django.db.models import QuerySet
from django.utils.timezone import now

from sunroom.core.sentences import Sentence, said
from sunroom.rooms.models import Pairing, Room, Seat
from sunroom.rooms.names import BadName, clean_name, distinct

Door = Literal["tutor", "student", "onlooker"]

DOORS: tuple[Door, ...] = ("tutor", "student", "onlooker")
#: Letters and digits that are not mistaken for each other when read aloud or typed.
ALPHABET = "23456789abcdefghjkmnpqrstuvwxyz"
MAX_SEATS = 300
#: A full room gives away seats that were taken so long ago by somebody who never came in.
UNUSED_AFTER = timedelta(minutes=10)
PAIR_CODE_LENGTH = 6
PAIR_CODE_GOOD_FOR = timedelta(minutes=10)


class BadCode(ValueError):
    """A pairing code that lets nobody in; the sentence says why."""

    def __init__(self, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence


class NoRoom(LookupError):
    """The link leads to no room."""

    sentence = said("there-is-no-room-at")


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
        room.owner = user  # type: ignore[assignment]
    else:
        key = secrets.token_urlsafe(24)
        room.owner_key_hash = _hash(key)
    room.save()
    if key:
        remember_owned(session, room)
    return room, key


def door_of(name: str, link: str) -> Door:
    """The door of this name; raises NoRoom when there is no such door."""
    for door in DOORS:
        if name == door:
            return door
    raise NoRoom(link)


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
    room.owner, room.owner_key_hash = user, ""  # type: ignore[assignment]
    room.save(update_fields=["owner", "owner_key_hash"])


def find_seat(room: Room, door: Door, session: SessionBase) -> Seat | None:
    """The seat that this browser has behind this door; None when its pairing with it was ended."""
    key = f"{room.pk}:{door}"
    uid = session.get("seats", {}).get(key)
    seat = Seat.objects.filter(room=room, uid=uid).first() if uid else None
    pairing = session.get("pairings", {}).get(key)
    if seat and pairing and not Pairing.objects.filter(pk=pairing, seat=seat).exists():
        return None
    return seat


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
        others = Seat.objects.filter(room=room).exclude(pk=seat.pk if seat else 0)
        name = distinct(name, others.values_list("name", flat=True))
        if seat is None:
            check_seat_free(room)
            seat = Seat(room=room, uid=new_uid(), door=door, role=door)
        seat.name = name
        seat.save()
    sit_down(seat, session)
    return seat


def sit_down(seat: Seat, session: SessionBase) -> None:
    """Let this browser sit in ``seat``, behind the seat's door."""
    key = f"{seat.room_id}:{seat.door}"
    session["seats"] = {**session.get("seats", {}), key: seat.uid}
    session["pairings"] = {k: v for k, v in session.get("pairings", {}).items() if k != key}


def set_role(seat_uid: str, role: str) -> None:
    """Keep another role for a seat."""
    Seat.objects.filter(uid=seat_uid).update(role=role)


def rename(seat_uid: str, name: str) -> None:
    """Keep another name for a seat."""
    Seat.objects.filter(uid=seat_uid).update(name=name)


def admit(seat_uid: str, admitted: bool) -> None:
    """Keep that a person was let in, or must knock the next time."""
    Seat.objects.filter(uid=seat_uid).update(admitted=admitted)


def send_away(seat_uid: str, away: bool = True) -> None:
    """Keep that a person was sent away and stays out, or may come in again."""
    Seat.objects.filter(uid=seat_uid).update(sent_away=away)


def seen(seat_uid: str) -> None:
    """Keep that the seat's person has come in."""
    Seat.objects.filter(uid=seat_uid).update(seen_at=now())


def check_seat_free(room: Room) -> None:
    """Make sure that a room has a seat for somebody new; raises BadName when it has none."""
    if Seat.objects.filter(room=room).count() < MAX_SEATS:
        return
    unused = Seat.objects.filter(room=room, door="student", seen_at=None, created_at__lt=now() - UNUSED_AFTER)
    if not unused.delete()[0]:
        raise BadName(said("every-seat-in-this-room"))


def change_link(room: Room, door: Door) -> str:
    """Give a door another link; the old one leads nowhere from now on."""
    link = new_link()
    if door == "onlooker":
        room.onlooker_link = link
    else:
        room.link = link
    room.save(update_fields=["link", "onlooker_link"])
    return link


def names(room_id: int) -> dict[str, str]:
    """The names of all seats of a room."""
    return dict(Seat.objects.filter(room_id=room_id).values_list("uid", "name"))


def sent_away(room_id: int, most: int) -> list[Seat]:
    """The seats whose persons were sent away and not let back in, of no more than ``most`` the last ones."""
    return list(Seat.objects.filter(room_id=room_id, sent_away=True).order_by("-seen_at", "-id")[:most])[::-1]


# A second device


def invite_device(seat: Seat) -> Pairing:
    """A short code by which another device may sit in ``seat`` for the next minutes."""
    _stale().delete()
    while True:
        code = "".join(secrets.choice(ALPHABET) for _ in range(PAIR_CODE_LENGTH))
        if not Pairing.objects.filter(code=code).exists():
            return Pairing.objects.create(seat=seat, code=code)


def invited_seat(code: str) -> Seat:
    """The seat that a pairing code invites to, without using it; raises BadCode."""
    _stale().delete()
    plain = "".join(code.split()).casefold()
    pairing = Pairing.objects.select_related("seat__room").filter(code=plain, used=False).first()
    if pairing is None:
        raise BadCode(said("that-code-is-not-good"))
    return pairing.seat


def pair_device(code: str, session: SessionBase) -> Seat:
    """Let this browser sit in the seat that ``code`` invites to; the code is used up by that.

    Raises
    ------
    BadCode
        When the code is none, is used, or is too old.
    """
    plain = "".join(code.split()).casefold()
    with transaction.atomic():
        _stale().delete()
        pairing = Pairing.objects.select_related("seat__room").filter(code=plain, used=False).first()
        if pairing is None:
            raise BadCode(said("that-code-is-not-good"))
        pairing.used = True
        pairing.save(update_fields=["used"])
    seat = pairing.seat
    sit_down(seat, session)
    session["pairings"] = {**session["pairings"], f"{seat.room_id}:{seat.door}": pairing.pk}
    return seat


def end_pairings(seat: Seat) -> set[int]:
    """Let no other device sit in ``seat`` any more; the pairings that ended."""
    rows = Pairing.objects.filter(seat=seat)
    ended = set(rows.values_list("pk", flat=True))
    rows.delete()
    return ended


def pairing_of(seat: Seat, session: SessionBase) -> int:
    """The pairing by which this browser is a second device in ``seat``; 0 when it is none."""
    return int(session.get("pairings", {}).get(f"{seat.room_id}:{seat.door}", 0))


def _stale() -> QuerySet[Pairing]:
    return Pairing.objects.filter(used=False, invited_at__lt=now() - PAIR_CODE_GOOD_FOR)


def tutor_name(room: Room) -> str:
    """What the tutor is called before and while they sit in the room."""
    seat = Seat.objects.filter(room=room, role="tutor").first()
    if seat:
        return seat.name
    return (room.owner.get_full_name() or room.owner.get_username()) if room.owner else "The tutor"


def _hash(key: str) -> str:
    return hashlib.sha256(key.encode()).hexdigest()


def tutor_seat(room: Room) -> Seat:
    """The owner's one seat, from whichever browser they come."""
    seat = Seat.objects.filter(room=room, door="tutor").first()
    if seat is None:
        seat = Seat.objects.create(
            room=room, uid=new_uid(), door="tutor", role="tutor", name=tutor_name(room)
        )
    return seat


def seat_at(link: str, door: str, user: Any, session: SessionBase) -> tuple[Room, Seat] | None:
    """Room and seat of the browser behind a door; None when it has no business there.

    Raises
    ------
    NoRoom
        When the link leads nowhere.
    """
    door = door_of(door, link)
    room = find_room(link, door)
    if door == "tutor" and owns(room, user, session):
        return room, tutor_seat(room)
    seat = find_seat(room, door, session)
    if seat and door == "tutor" and not pairing_of(seat, session):
        return None
    return (room, seat) if seat else None
