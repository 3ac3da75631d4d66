"""What boards and lessons are as bytes on disk, in every version so far.

All is MessagePack of the core's structs, kept beside a version number. How a struct may change:

- A struct written as a map (all but four) may get new fields with defaults: older bytes open as they are, and
  the version stays. A field may never change its meaning, its type or its name without a new version.
- ``Box``, ``Affine``, ``Run`` and ``Line`` are written as arrays (``array_like``), where a place is all that tells a
  field: new fields only at the end and with defaults, none taken out, none moved. A test holds their order.
- Anything else is a new version: raise the number in ``VERSIONS``, write an upcaster from the version before into
  ``UPCASTERS`` (a function from plain values to plain values), and keep the old golden bytes in tests/golden.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Mapping
from typing import Any, Final, Literal

import immutables
import msgspec

from sunroom.core.board import Item, Page, PageHead, Step
from sunroom.core.errors import SunRoomError
from sunroom.core.lesson import Lesson

Kind = Literal["step", "lesson"]

VERSIONS: Final[Mapping[Kind, int]] = {"step": 1, "lesson": 1}

#: Snapshots are read in this version only; others are made anew from the log, which is read in every version.
#: Those of version 1 could be older than their board said, so that strokes were missing after opening.
SNAPSHOT_VERSION: Final = 2

#: By kind and version: what makes plain values of that version into those of the next.
Upcasters = Mapping[tuple[Kind, int], Callable[[Any], Any]]
UPCASTERS: Upcasters = {}

_TYPES: Mapping[Kind, Any] = {"step": Step, "lesson": Lesson}
_encoder = msgspec.msgpack.Encoder()
_head_decoder = msgspec.msgpack.Decoder(PageHead)
_items_decoder = msgspec.msgpack.Decoder(tuple[Item, ...])
_decoders = {kind: msgspec.msgpack.Decoder(type_) for kind, type_ in _TYPES.items()}


class UnreadableError(SunRoomError):
    """Bytes on disk that are none of ours, damaged, or of a later version than this."""


def encode_kept(value: Any) -> bytes:
    """``value`` as it is kept now, in the version that ``VERSIONS`` says."""
    return _encoder.encode(value)


def decode_kept(
    kind: Kind, data: bytes, version: int, versions: Mapping[Kind, int] = VERSIONS, up: Upcasters = UPCASTERS
) -> Any:
    """The value in bytes that were kept as ``version``.

    Raises
    ------
    UnreadableError
        With a sentence that names the kind and what is wrong.
    """
    now = versions[kind]
    if not 1 <= version <= now:
        raise UnreadableError(
            f"A {kind} was kept by a later Sun Room (version {version}; this one knows up to {now})."
        )
    try:
        if version == now:
            return _decoders[kind].decode(data)
        value = msgspec.msgpack.decode(data)
        for older in range(version, now):
            value = up[kind, older](value)
        return msgspec.convert(value, _TYPES[kind], builtin_types=(bytes,))
    except (msgspec.MsgspecError, KeyError, TypeError, ValueError, RecursionError) as error:
        raise UnreadableError(f"A {kind} on disk cannot be read: {error}") from error


def encode_page(page: Page) -> tuple[bytes, bytes]:
    """A page as a snapshot keeps it: its head, and its items from the lowest to the highest."""
    return _encoder.encode(page.head), _encoder.encode(page.in_order())


def decode_page(head: bytes, items: bytes, version: int) -> Page:
    """The page of a snapshot; raises UnreadableError when it is of another version, or damaged."""
    if version != SNAPSHOT_VERSION:
        raise UnreadableError(f"A snapshot of version {version} is made anew.")
    try:
        found = _items_decoder.decode(items)
        top = math.floor(max((item.z for item in found), default=0)) + 1
        return Page(_head_decoder.decode(head), immutables.Map((item.id, item) for item in found), top)
    except (msgspec.MsgspecError, ValueError, OverflowError) as error:
        raise UnreadableError(f"A snapshot cannot be read: {error}") from error
