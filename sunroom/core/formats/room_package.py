"""A whole room as one file: a ZIP of board packages, and ``room.json`` with what the room is set to and its homework.

Moments, the shelf, recordings, what was handed in and what was mailed lie in it to be opened by hand; they are not taken into
a new room.
"""

from __future__ import annotations

import io
import zipfile
import zlib
from collections.abc import Mapping, Sequence
from typing import Literal

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.formats import package
from sunroom.core.lesson.state import Plan
from sunroom.core.pens.kits import KITS, Right
from sunroom.core.sentences import said

MAX_BYTES, MAX_BOARDS = 500_000_000, 200
MAX_TASKS = 200
VERSION = 1
ROOM, BOARDS = "room.json", "boards/"
_OLD = (1980, 1, 1, 0, 0, 0)


class PackedTask(msgspec.Struct, frozen=True):
    """A homework; ``board`` is the number of the board that it is on, from 1 on, 0 for none."""

    text: str
    due_ms: int | None = None
    board: int = 0


class RoomFacts(msgspec.Struct, frozen=True, kw_only=True):
    """What ``room.json`` holds: a room without its people and links, which are not taken along."""

    format: Literal["sunroom-room"] = "sunroom-room"
    version: int = VERSION
    title: str
    language: Literal["en", "fr", "de", "es"] = "en"
    plan: Plan = Plan()
    kit: tuple[Right, ...] = tuple(sorted(KITS["full pen"]))
    homework: tuple[PackedTask, ...] = ()


def write_room(facts: RoomFacts, boards: Sequence[bytes], others: Mapping[str, bytes]) -> bytes:
    """The file of a room with these board packages, in their order, and other files by name."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_STORED) as file:  # packages are packed already
        file.writestr(zipfile.ZipInfo(ROOM, _OLD), msgspec.json.encode(facts))
        for number, board in enumerate(boards, 1):
            file.writestr(zipfile.ZipInfo(f"{BOARDS}{number:03d}.board.zip", _OLD), board)
        for name, data in others.items():
            file.writestr(zipfile.ZipInfo(name, _OLD), data)
    return out.getvalue()


def read_room(data: bytes) -> tuple[RoomFacts, list[bytes]]:
    """What a file of a room says of it, and its board packages, which are still to be read.

    Raises
    ------
    MalformedError
        When it is none, is damaged, of a later version, or over a limit.
    """
    if len(data) > MAX_BYTES:
        raise MalformedError("room", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    try:
        with zipfile.ZipFile(io.BytesIO(data)) as file:
            names = {entry.filename: entry for entry in file.infolist()}
            if ROOM not in names:
                raise MalformedError("room", said("this-file-has-no-room"))
            boards = sorted(name for name in names if name.startswith(BOARDS))
            if not 1 <= len(boards) <= MAX_BOARDS:
                raise MalformedError("room", said("a-room-has-between-1", boards=MAX_BOARDS))
            room = 2 * MAX_BYTES
            files = []
            for name in (ROOM, *boards):
                files.append(package.unpacked(file, names[name], room))
                room -= len(files[-1])
        facts = msgspec.json.decode(files[0], type=RoomFacts)
    except (zipfile.BadZipFile, zlib.error, NotImplementedError, RuntimeError, EOFError) as error:
        raise MalformedError("room", said("this-is-no-file-of")) from error
    except (msgspec.DecodeError, UnicodeDecodeError, RecursionError) as error:
        raise MalformedError("room", said("the-room-in-the-file", error=str(error))) from error
    if facts.version > VERSION:
        raise MalformedError("room", said("the-file-was-saved-by"))
    if len(facts.homework) > MAX_TASKS:
        raise MalformedError("room", said("there-is-more-in-the"))
    return facts, files[1:]
