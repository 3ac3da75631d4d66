"""Recorded voices: what browsers send piece by piece, made a file that can be played from any place of it.

A browser's recorder writes as if it had no end: no length, no table of places, no chapters. The sound itself is taken
over as it is, packet by packet. What a busy machine did not take down is a hole between two packets: their times go by
the clock, but a player that plays on over holes comes too early, the more so the longer it plays. Holes are filled with
silence.
"""

from __future__ import annotations

from collections.abc import Iterable, Iterator, Sequence
from fractions import Fraction
from io import BytesIO
from typing import TYPE_CHECKING, Any

import msgspec

from sunroom.core.errors import MalformedError
from sunroom.core.sentences import said

if TYPE_CHECKING:
    from av import Packet

#: By the type that a browser says: the container that PyAV reads and writes, and how the file begins.
KINDS: dict[str, tuple[str, int, bytes]] = {
    "audio/webm": ("webm", 0, b"\x1aE\xdf\xa3"),
    "audio/mp4": ("mp4", 4, b"ftyp"),
}
#: What a recording may be: some four hours of speech.
MAX_BYTES = 60_000_000
MAX_CHAPTERS = 500
#: Opus (RFC 6716): a packet of 20 ms in which nothing is heard; and how many of them fill holes at most.
SILENCE, SILENCE_MS = b"\xf8\xff\xfe", 20
MAX_SILENCES = 30_000
#: A packet that is late by less than this has not been after a hole.
HOLE_MS = 40


class Chapter(msgspec.Struct, frozen=True):
    """From ``at_ms`` of the recording on the board showed what is called so."""

    at_ms: int
    title: str


class Recorded(msgspec.Struct, frozen=True):
    """A whole recording and its length."""

    mime: str
    data: bytes
    length_ms: int


def begins_as(mime: str, data: bytes) -> bool:
    """Whether a file begins as one of its type does."""
    if mime not in KINDS:
        return False
    _, at, mark = KINDS[mime]
    return data[at : at + len(mark)] == mark


def whole(mime: str, data: bytes, chapters: Sequence[Chapter] = ()) -> Recorded:
    """The sound of ``data`` with its length, a table of places, and chapters.

    Raises
    ------
    MalformedError
        When there is no sound in it, or it cannot be read.
    """
    import av
    from av.error import FFmpegError

    if len(data) > MAX_BYTES or not begins_as(mime, data):
        raise MalformedError("recording", said("recording-not-readable"))
    container = KINDS[mime][0]
    out = BytesIO()
    ends_at = Fraction(0)
    try:
        with (
            av.open(BytesIO(data), "r", format=container) as source,
            av.open(out, "w", format=container) as made,
        ):
            if not source.streams.audio:
                raise MalformedError("recording", said("recording-not-readable"))
            sound = source.streams.audio[0]
            written = made.add_stream_from_template(sound)
            if chapters:
                made.set_chapters(_marks(chapters))
            packets = source.demux(sound)
            for packet in _filled(packets) if sound.codec_context.name == "opus" else packets:
                if packet.pts is None or packet.dts is None or packet.time_base is None:
                    continue  # the end of what is there
                ends_at = (packet.pts + (packet.duration or 0)) * packet.time_base
                packet.stream = written
                made.mux(packet)
    except (FFmpegError, ValueError, OverflowError) as error:
        raise MalformedError("recording", said("recording-not-readable")) from error
    return Recorded(mime, out.getvalue(), round(ends_at * 1000))


def _filled(packets: Iterable[Packet[Any]]) -> Iterator[Packet[Any]]:
    """Packets of Opus, with silence in the holes between them: nothing is played earlier than its time by a hole or more."""
    from av import Packet

    last, silences = 0, 0
    played_ms: float | None = None
    for packet in packets:
        if packet.pts is not None and packet.duration and packet.time_base:
            tick_ms = float(packet.time_base) * 1000
            late_ms = 0.0 if played_ms is None else packet.pts * tick_ms - played_ms
            missing = 0
            if late_ms >= HOLE_MS:
                missing = min(int(late_ms // SILENCE_MS), packet.pts - last - 1, MAX_SILENCES - silences)
            for number in range(1, missing + 1):
                silence = Packet(SILENCE)
                silence.time_base, silence.duration = packet.time_base, round(SILENCE_MS / tick_ms)
                silence.pts = silence.dts = last + (packet.pts - last) * number // (missing + 1)
                yield silence
            silences += missing
            played_ms = packet.pts * tick_ms - late_ms + missing * SILENCE_MS + packet.duration * tick_ms
            last = packet.pts
        yield packet


def _marks(chapters: Sequence[Chapter]) -> list[Any]:
    ends = [chapter.at_ms for chapter in chapters[1:]] + [chapters[-1].at_ms + 1]
    return [
        {
            "id": number,
            "start": chapter.at_ms,
            "end": max(end, chapter.at_ms + 1),
            "time_base": Fraction(1, 1000),
            "metadata": {"title": chapter.title},
        }
        for number, (chapter, end) in enumerate(zip(chapters[:MAX_CHAPTERS], ends, strict=False), 1)
    ]


def chapters_vtt(chapters: Sequence[Chapter], length_ms: int) -> str:
    """A list of chapters as WebVTT (W3C), which players show beside a sound."""
    ends = [*(chapter.at_ms for chapter in chapters[1:]), length_ms]
    cues = [
        f"{_stamp(chapter.at_ms)} --> {_stamp(max(end, chapter.at_ms + 1))}\n{_plain(chapter.title)}\n"
        for chapter, end in zip(chapters, ends, strict=False)
    ]
    return "\n".join(["WEBVTT\n", *cues])


def _stamp(ms: int) -> str:
    seconds, rest = divmod(ms, 1000)
    return f"{seconds // 3600:02}:{seconds // 60 % 60:02}:{seconds % 60:02}.{rest:03}"


def _plain(title: str) -> str:
    """A title as the text of one cue, where < and & begin something, and --> a cue."""
    return title.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;").replace("\n", " ")
