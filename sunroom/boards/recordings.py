"""Recordings of a tutor's voice: they come in pieces, in their order, each as often as its sender likes."""

from __future__ import annotations

from datetime import timedelta

from django.db import transaction
from django.db.models import Count, QuerySet, Sum
from django.db.models.functions import Coalesce, Length
from django.utils.timezone import now

from sunroom.boards import media, models
from sunroom.core.formats.recorded import KINDS, MAX_BYTES, MAX_CHAPTERS, Recorded, begins_as
from sunroom.core.sentences import said
from sunroom.rooms.requests import Problem
from sunroom.rooms.services import new_uid

MAX_PIECE_BYTES, MAX_PIECES = 500_000, 4_000
MAX_RECORDINGS = 300
#: Its sender has gone when nothing came for so long.
GONE_AFTER = timedelta(minutes=10)
#: How far a browser's clock may be from the server's.
CLOCKS_MS = 10_000

#: From so many ms of a recording on: which board and page.
Turn = tuple[int, str, str]


def begin(room_id: int, seat: str, name: str, mime: str, begun_ms: int, now_ms: int) -> models.Recording:
    """A recording that begins at ``begun_ms``; raises Problem."""
    if mime not in KINDS:
        raise Problem(400, said("recording-not-readable"))
    if models.Recording.objects.filter(room_id=room_id).count() >= MAX_RECORDINGS:
        raise Problem(409, said("recordings-are-enough", most=MAX_RECORDINGS))
    return models.Recording.objects.create(
        room_id=room_id,
        uid=new_uid(),
        seat=seat,
        name=name,
        mime=mime,
        begun_ms=min(max(begun_ms, now_ms - CLOCKS_MS), now_ms + CLOCKS_MS),
    )


def take(
    row: models.Recording, number: int, data: bytes, until_ms: int, turns: list[Turn], now_ms: int
) -> None:
    """Keep the piece with this number; one that is there already is let be. Raises Problem."""
    with transaction.atomic():
        row = models.Recording.objects.get(pk=row.pk)
        there = row.pieces.aggregate(count=Count("id"), size=Coalesce(Sum(Length("data")), 0))
        if number < there["count"]:
            return
        full = number >= MAX_PIECES or there["size"] + len(data) > MAX_BYTES
        if row.ended or number > there["count"] or full:
            raise Problem(409, said("recording-has-ended"))
        if number == 0 and not begins_as(row.mime, data):
            raise Problem(400, said("recording-not-readable"))
        models.RecordingPiece.objects.create(recording=row, number=number, data=data)
        row.length_ms = min(max(until_ms, row.length_ms), max(now_ms - row.begun_ms, 0) + CLOCKS_MS)
        row.turns = [*row.turns, *turns][:MAX_CHAPTERS]
        row.save(update_fields=["length_ms", "turns", "changed_at"])


def end(row: models.Recording) -> None:
    """Nothing comes any more; one that has no sound is as if it had not been."""
    if not row.pieces.exists() and row.medium_id is None:
        row.delete()
    else:
        models.Recording.objects.filter(pk=row.pk).update(ended=True)


def of_room(room_id: int) -> QuerySet[models.Recording]:
    """Recordings with sound, the oldest first; those whose senders have gone are ended."""
    gone = models.Recording.objects.filter(ended=False, changed_at__lt=now() - GONE_AFTER)
    for row in gone.filter(room_id=room_id):
        end(row)
    return models.Recording.objects.filter(room_id=room_id, length_ms__gt=0).order_by("begun_ms")


def data_of(row: models.Recording) -> bytes:
    """All of it that is there, as it came or made whole."""
    if row.medium:
        return b"".join(media.read(row.medium, 0, row.medium.size))
    return b"".join(bytes(piece) for piece in row.pieces.order_by("number").values_list("data", flat=True))


def keep_whole(row: models.Recording, whole: Recorded) -> models.Medium:
    """The whole of an ended recording in the place of its pieces."""
    medium = media.keep_parts(row.room_id, media.VOICE, whole.mime, whole.data)
    with transaction.atomic():
        models.Recording.objects.filter(pk=row.pk).update(medium=medium, length_ms=whole.length_ms)
        row.pieces.all().delete()
    return medium


def remove(row: models.Recording) -> None:
    """A recording and its sound."""
    with transaction.atomic():
        if row.medium:
            row.medium.delete()
        row.delete()
