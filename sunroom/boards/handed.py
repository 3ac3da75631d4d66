"""Files that students handed in for their homework."""

from __future__ import annotations

from typing import Literal

from sunroom.boards.models import HandedFile
from sunroom.boards.space import check_space
from sunroom.core.sentences import said
from sunroom.rooms.models import Room, Seat
from sunroom.rooms.names import clean_name
from sunroom.rooms.requests import Problem
from sunroom.rooms.services import new_uid

Kind = Literal["picture", "pdf"]

#: So many files of one person for one homework.
MAX_FILES = 12


def check_more(room: Room, task: str, seat: Seat, more_bytes: int) -> None:
    """Raise Problem when a person has handed in enough for this homework, or the room is full."""
    if room.handed_files.filter(task=task, seat=seat).count() >= MAX_FILES:
        raise Problem(409, said("handed-in-enough", most=MAX_FILES))
    check_space(room.pk, more_bytes)


def keep(room: Room, task: str, seat: Seat, kind: Kind, name: str, data: bytes, preview: bytes) -> HandedFile:
    """Keep a file of a person; raises Problem when there is no room for it."""
    check_more(room, task, seat, len(data))
    return HandedFile.objects.create(
        room=room, task=task, seat=seat, uid=new_uid(), kind=kind, name=clean_name(name, "title", 80), data=data, preview=preview
    )  # fmt: skip


def drop_of_task(room: Room, task: str) -> None:
    """A homework was taken back, and what was handed in for it goes."""
    room.handed_files.filter(task=task).delete()
