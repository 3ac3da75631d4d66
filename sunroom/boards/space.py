"""How much of the disk a room uses, and how much it may."""

from __future__ import annotations

from django.conf import settings
from django.db.models import F, Sum
from django.db.models.functions import Coalesce, Length

from sunroom.boards import models
from sunroom.core.sentences import Sentence, said
from sunroom.rooms.requests import Problem


def most_bytes() -> int:
    return int(settings.ROOM_MB * 1_000_000)


def used_bytes(room_id: int) -> int:
    """Bytes of a room's boards, all that ever happened on them, its pictures, documents, sounds, videos, recordings and homework."""
    boards = models.Board.objects.filter(room_id=room_id).aggregate(total=Coalesce(Sum("log_bytes"), 0))
    pictures = models.Picture.objects.filter(room_id=room_id).aggregate(
        total=Coalesce(Sum(Length(F("data")) + Length(F("vector"))), 0)
    )
    documents = models.Document.objects.filter(room_id=room_id).aggregate(
        total=Coalesce(Sum(Length(F("data"))), 0)
    )
    media = models.Medium.objects.filter(room_id=room_id).aggregate(total=Coalesce(Sum("size"), 0))
    pieces = models.RecordingPiece.objects.filter(recording__room_id=room_id).aggregate(
        total=Coalesce(Sum(Length(F("data"))), 0)
    )
    handed = models.HandedFile.objects.filter(room_id=room_id).aggregate(
        total=Coalesce(Sum(Length(F("data"))), 0)
    )
    parts = (boards, pictures, documents, media, pieces, handed)
    return int(sum(part["total"] for part in parts))


def check_space(room_id: int, more_bytes: int) -> None:
    """Raise Problem when the room has no room for so much more."""
    if used_bytes(room_id) + more_bytes > most_bytes():
        raise Problem(409, full_sentence())


def full_sentence() -> Sentence:
    return said("room-is-full", mb=most_bytes() // 1_000_000)
