"""Sounds and videos of a room, kept in parts, so that any place of one is read at once."""

from __future__ import annotations

from collections.abc import Iterator
from datetime import timedelta

from django.db.models import QuerySet
from django.utils.timezone import now

from sunroom.boards import models
from sunroom.core.formats.media import Medium
from sunroom.core.formats.package import MAX_MEDIA
from sunroom.rooms.services import new_uid

PART_BYTES = 262_144
#: So many parts are written before strokes have their turn.
PARTS_AT_ONCE = 12
UNFINISHED_FOR = timedelta(hours=1)
#: What a recording is, which is nobody's card.
VOICE = "voice"


def keep(room_id: int, medium: Medium) -> str:
    """Keep a sound or a video in the room; its id."""
    return keep_parts(room_id, medium.of, medium.mime, medium.data).uid


def keep_parts(room_id: int, of: str, mime: str, data: bytes) -> models.Medium:
    """Keep a file in parts.

    It is written in pieces, so that strokes are kept between them; one that was not finished is as if it were not, and
    goes with the next that comes after an hour.
    """
    models.Medium.objects.filter(size=0, created_at__lt=now() - UNFINISHED_FOR).delete()
    row = models.Medium.objects.create(room_id=room_id, uid=new_uid(), of=of, mime=mime, size=0)
    parts = [data[start : start + PART_BYTES] for start in range(0, len(data), PART_BYTES)]
    for start in range(0, len(parts), PARTS_AT_ONCE):
        models.MediumPart.objects.bulk_create(
            models.MediumPart(medium=row, number=number, data=data)
            for number, data in enumerate(parts[start : start + PARTS_AT_ONCE], start)
        )
    row.size = len(data)
    row.save(update_fields=["size"])
    return row


def of_room(room_id: int) -> QuerySet[models.Medium]:
    """The media that were brought into a room and are wholly there."""
    return models.Medium.objects.filter(room_id=room_id, size__gt=0).exclude(of=VOICE)


def read(medium: models.Medium, start: int, end: int) -> Iterator[bytes]:
    """The bytes from ``start`` up to ``end``, part by part."""
    for number in range(start // PART_BYTES, -(-end // PART_BYTES)):
        data = models.MediumPart.objects.values_list("data", flat=True).get(medium=medium, number=number)
        at = number * PART_BYTES
        yield bytes(data)[max(start - at, 0) : end - at]


def files(room_id: int, uids: set[str]) -> dict[str, bytes]:
    """Whole files of those of the room's media that are there, the small ones first, as many as a package takes."""
    found: dict[str, bytes] = {}
    room = MAX_MEDIA
    for row in of_room(room_id).filter(uid__in=uids).order_by("size", "id"):
        if row.size > room:
            break
        found[row.uid] = b"".join(read(row, 0, row.size))
        room -= row.size
    return found
