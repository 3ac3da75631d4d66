"""The lesson of a room from and to the database."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import UTC, datetime

import msgspec

from sunroom.boards import moments
from sunroom.core.formats.kept import VERSIONS, decode_kept, encode_kept
from sunroom.core.lesson import Lesson, Said
from sunroom.core.lesson.record import Entry
from sunroom.core.pens import Facts
from sunroom.core.sentences import Sentence
from sunroom.lessons import models
from sunroom.rooms.models import Room

#: Lines of the chat that a room keeps at hand.
CHAT_LINES = 300


def load(room: Room) -> Lesson:
    """The room's newest lesson; before the first, one that has not been opened."""
    row = models.Lesson.objects.filter(room=room).order_by("-id").first()
    if row is None:
        return Lesson(Facts(open=False))
    lesson: Lesson = decode_kept("lesson", bytes(row.state), row.version)
    return lesson


def keep(room_id: int, lesson: Lesson) -> None:
    """Write ``lesson``: over the row of the same opening, or as a new row."""
    opened_at = _moment(lesson.opened_ms)
    row = models.Lesson.objects.filter(room_id=room_id).order_by("-id").first()
    if row is None or row.opened_at != opened_at:
        row = models.Lesson(room_id=room_id, opened_at=opened_at)
    began = row._state.adding and opened_at is not None
    ended = row.ended_at is None and lesson.ended_ms is not None
    row.version, row.state = VERSIONS["lesson"], encode_kept(lesson)
    row.started_at, row.ended_at = _moment(lesson.started_ms), _moment(lesson.ended_ms)
    row.save()
    if began or ended:
        moments.make_for_all(room_id, "start" if began else "end")


def keep_said(room_id: int, lines: Sequence[Said]) -> None:
    """Write lines of the chat."""
    rows = [models.ChatLine(room_id=room_id, **msgspec.structs.asdict(line)) for line in lines]
    models.ChatLine.objects.bulk_create(rows)


def said(room_id: int) -> list[Said]:
    """The last lines of the room's chat, the oldest first."""
    newest = models.ChatLine.objects.filter(room_id=room_id).order_by("-id")[:CHAT_LINES]
    return [Said(*row) for row in reversed(newest.values_list("at_ms", "seat", "name", "to", "text"))]


def write_down(room_id: int, entries: Sequence[Entry]) -> None:
    """Write lines of the record."""
    rows = [
        models.RecordLine(
            room_id=room_id,
            at_ms=entry.at_ms,
            seat=entry.seat,
            name=entry.name,
            what=entry.what,
            text=entry.said.key,
            values=msgspec.json.encode(entry.said.values).decode() if entry.said.values else "",
        )
        for entry in entries
    ]
    models.RecordLine.objects.bulk_create(rows)


def record(room_id: int, since_ms: int) -> list[Entry]:
    """The room's record from a moment on, in order."""
    rows = models.RecordLine.objects.filter(room_id=room_id, at_ms__gte=since_ms).order_by("id")
    fields = rows.values_list("at_ms", "seat", "name", "what", "text", "values")
    return [
        Entry(at_ms, seat, name, what, Sentence(key, msgspec.json.decode(values) if values else {}))  # type: ignore[arg-type]
        for at_ms, seat, name, what, key, values in fields
    ]


def _moment(ms: int | None) -> datetime | None:
    return None if ms is None else datetime.fromtimestamp(ms / 1000, UTC)
