"""Sounds and videos that are brought in: told by their first bytes, kept as they came, played by browsers alone."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

MAX_BYTES = 60_000_000
#: Browsers play these; each by how a file of the kind begins (RFC 6381 and the formats' own documents).
_BEGINNINGS: tuple[tuple[int, bytes, Literal["sound", "video"], str], ...] = (
    (0, b"ID3", "sound", "audio/mpeg"),
    (0, b"\xff\xfb", "sound", "audio/mpeg"),
    (0, b"\xff\xf3", "sound", "audio/mpeg"),
    (0, b"\xff\xf2", "sound", "audio/mpeg"),
    (0, b"\xff\xf1", "sound", "audio/aac"),
    (0, b"\xff\xf9", "sound", "audio/aac"),
    (0, b"fLaC", "sound", "audio/flac"),
    (8, b"WAVE", "sound", "audio/wav"),
    (4, b"ftypM4A", "sound", "audio/mp4"),
    (4, b"ftyp", "video", "video/mp4"),
    (0, b"\x1aE\xdf\xa3", "video", "video/webm"),
)
#: Ogg says in its first pages what it holds.
_OGG, _OGG_VIDEO, _OGG_HEAD = b"OggS", b"theora", 512


class Medium(msgspec.Struct, frozen=True):
    """A sound or a video, and its type."""

    of: Literal["sound", "video"]
    mime: str
    data: bytes


def clean_medium(data: bytes) -> Medium:
    """A file that browsers play, as it came.

    Raises
    ------
    MalformedError
        When it is empty, too large, or begins like no sound and no video that is known here.
    """
    if len(data) > MAX_BYTES:
        raise MalformedError("medium", said("the-file-is-larger-than", mb=MAX_BYTES // 1_000_000))
    if data.startswith(_OGG):
        video = _OGG_VIDEO in data[:_OGG_HEAD]
        return Medium("video", "video/ogg", data) if video else Medium("sound", "audio/ogg", data)
    for at, wanted, of, mime in _BEGINNINGS:
        if data[at : at + len(wanted)] == wanted:
            return Medium(of, mime, data)
    raise MalformedError("medium", said("no-sound-or-video"))
