"""The shelf: material kept to be used on any board, of an account, a room without one, or the school."""

from __future__ import annotations

from typing import Literal

from django.conf import settings
from django.db.models import Q, QuerySet, Sum
from django.db.models.functions import Coalesce, Length
from django.utils.timezone import now

from sunroom.boards.models import ShelfThing
from sunroom.core.board.words import plain
from sunroom.core.sentences import said
from sunroom.rooms.models import Room
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem
from sunroom.rooms.services import new_uid

Kind = Literal["page", "picture", "pdf", "piece"]

MAX_THINGS, MAX_WORDS = 1_000, 20_000


def own(room: Room) -> QuerySet[ShelfThing]:
    """What stands on the shelf of the room's owner."""
    mine = Q(owner_id=room.owner_id) if room.owner_id else Q(room=room)
    return ShelfThing.objects.filter(mine)


def visible(room: Room) -> QuerySet[ShelfThing]:
    """Their own, and the school's when they have an account."""
    if not room.owner_id:
        return own(room)
    return ShelfThing.objects.filter(Q(owner_id=room.owner_id) | Q(shared=True, away_at=None))


def may_share(room: Room) -> bool:
    """Whether the owner may put things on the school's shelf."""
    owner = room.owner
    return owner is not None and (settings.SCHOOL_SHELF == "everybody" or owner.is_staff)


def put(
    room: Room, kind: Kind, title: str, data: bytes, preview: bytes, words: str = "", folder: str = ""
) -> ShelfThing:
    """Put something on the owner's shelf; raises Problem when it is full."""
    shelf = own(room)
    used = shelf.aggregate(total=Coalesce(Sum(Length("data")), 0))["total"]
    if used + len(data) > settings.ROOM_MB * 1_000_000 or shelf.count() >= MAX_THINGS:
        raise Problem(409, said("shelf-is-full"))
    return ShelfThing.objects.create(
        owner_id=room.owner_id,
        room=None if room.owner_id else room,
        uid=new_uid(),
        kind=kind,
        title=clean_name(title, "title", 80),
        folder=_folder(folder),
        words=plain(words)[:MAX_WORDS],
        data=data,
        preview=preview,
    )


def change(
    room: Room,
    thing: ShelfThing,
    title: str | None,
    folder: str | None,
    away: bool | None,
    shared: bool | None,
) -> None:
    """Change what is given; raises Problem when it may not be shared."""
    if title is not None:
        thing.title = clean_name(title, "title", 80)
    if folder is not None:
        thing.folder = _folder(folder)
    if away is not None:
        thing.away_at = now() if away else None
    if shared is not None:
        if shared and not may_share(room):
            raise Problem(403, said("shelf-may-not-share"))
        thing.shared = shared
    thing.save()


def _folder(given: str) -> str:
    return clean_name(given, "title", 60) if given.strip() else ""
