"""Sounds and videos of a room, kept in parts, so that any place of one is read at once."""

from __future__ import annotations

from collections.abc import Iterator

from django.db import transaction

from sunroom.boards import models
from sunroom.core.formats.media import Medium
from sunroom.core.formats.package import MAX_MEDIA
from sunroom.rooms.services import new_uid

PART_BYTES = 262_144


def keep(room_id: int, medium: Medium) -> str:
    """Keep a sound or a video in the room; its id."""
    with transaction.atomic():
        row = models.Medium.objects.create(
            room_id=room_id, uid=new_uid(), of=medium.of, mime=medium.mime, size=len(medium.data)
        )
        starts = range(0, len(medium.data), PART_BYTES)
        models.MediumPart.objects.bulk_create(
            [
                models.MediumPart(medium=row, number=number, data=medium.data[start : start + PART_BYTES])
                for number, start in enumerate(starts)
            ],
            batch_size=16,
        )
    return row.uid


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
    for row in models.Medium.objects.filter(room_id=room_id, uid__in=uids).order_by("size", "id"):
        if row.size > room:
            break
        found[row.uid] = b"".join(read(row, 0, row.size))
        room -= row.size
    return found
