"""Recorded voices made whole: the same sound, with a length, places and chapters; and what is none is refused."""

from __future__ import annotations

import io
from fractions import Fraction
from typing import Any
from unittest import TestCase

import av
from av import Packet
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.errors import MalformedError
from sunroom.core.formats.recorded import (
    MAX_SILENCES,
    SILENCE,
    Chapter,
    _filled,
    begins_as,
    chapters_vtt,
    whole,
)
from tests.recorded import webm

RAW = webm(6.0)


def packets(data: bytes) -> list[bytes]:
    with av.open(io.BytesIO(data)) as file:
        return [bytes(packet) for packet in file.demux(audio=0) if packet.size]


def packet(at_ms: int, lasts_ms: int) -> Packet[Any]:
    made = Packet(b"sound")
    made.pts, made.duration, made.time_base = at_ms, lasts_ms, Fraction(1, 1000)
    return made


class Whole(TestCase):
    def test_the_sound_is_taken_over_packet_by_packet_and_has_a_length_and_chapters(self) -> None:
        made = whole("audio/webm", RAW, [Chapter(0, "Gnomon"), Chapter(2_500, "Hours & <lines>")])
        self.assertAlmostEqual(made.length_ms, 6_000, delta=40)
        self.assertEqual(packets(made.data), packets(RAW))
        with av.open(io.BytesIO(RAW)) as raw, av.open(io.BytesIO(made.data)) as file:
            self.assertIsNone(raw.duration, "a recorder writes none")
            self.assertAlmostEqual((file.duration or 0) / 1_000_000, 6.0, delta=0.05)
            chapters = file.chapters()
        self.assertEqual([c["metadata"]["title"] for c in chapters], ["Gnomon", "Hours & <lines>"])
        self.assertEqual([float(c["start"] * c["time_base"]) for c in chapters], [0.0, 2.5])

    def test_it_can_be_made_whole_again_and_from_a_beginning_alone(self) -> None:
        made = whole("audio/webm", RAW)
        self.assertEqual(packets(whole("audio/webm", made.data, [Chapter(0, "Page 1")]).data), packets(RAW))
        cut = whole("audio/webm", RAW[: len(RAW) // 2])
        self.assertTrue(0 < cut.length_ms < 6_000)
        self.assertEqual(packets(cut.data), packets(RAW)[: len(packets(cut.data))])

    def test_holes_are_filled_with_silence_so_that_who_plays_on_is_not_too_early(self) -> None:
        holes = {50: 0.03, 100: 0.5, 200: 0.25}
        raw = io.BytesIO()
        with av.open(io.BytesIO(RAW)) as source, av.open(raw, "w", format="webm") as file:
            written = file.add_stream_from_template(source.streams.audio[0])
            late = 0.0
            for number, packet in enumerate(source.demux(audio=0)):
                if packet.pts is not None and packet.time_base is not None:
                    late += holes.get(number, 0.0)
                    packet.pts = packet.dts = packet.pts + round(late / packet.time_base)
                    packet.stream = written
                    file.mux(packet)
        made = whole("audio/webm", raw.getvalue())
        self.assertAlmostEqual(made.length_ms, 6_780, delta=40)
        self.assertEqual([p for p in packets(made.data) if p != SILENCE], packets(RAW))
        played = Fraction(0)
        with av.open(io.BytesIO(made.data)) as file:
            for frame in file.decode(audio=0):
                assert frame.time is not None
                self.assertLess(abs(frame.time - played), 0.045)
                played += Fraction(frame.samples, frame.sample_rate)
        self.assertEqual(whole("audio/webm", made.data).length_ms, made.length_ms)

    def test_a_hole_without_end_is_filled_so_far_and_no_further(self) -> None:
        found = list(_filled([packet(0, 20), packet(10**12, 20), packet(0, 20)]))
        self.assertEqual(len(found), MAX_SILENCES + 3)

    @given(st.lists(st.tuples(st.integers(1, 150), st.sampled_from([3, 10, 20, 60])), max_size=40))
    def test_silence_stands_between_its_neighbours_whatever_the_times(
        self, steps: list[tuple[int, int]]
    ) -> None:
        at, given_ = 0, []
        for step, lasts in steps:
            at += step
            given_.append(packet(at, lasts))
        found = list(_filled(given_))
        self.assertEqual([p for p in found if bytes(p) != SILENCE], given_)
        times = [p.pts or 0 for p in found]
        self.assertEqual(times, sorted(set(times)))

    def test_what_is_no_recording_is_refused(self) -> None:
        self.assertFalse(begins_as("text/html", RAW))
        for mime, data in [
            ("audio/webm", b""),
            ("audio/webm", RAW[:40]),
            ("audio/mp4", RAW),
            ("video/x", RAW),
        ]:
            with self.subTest(mime, size=len(data)), self.assertRaises(MalformedError):
                whole(mime, data)

    @given(st.integers(0, len(RAW) - 9), st.binary(min_size=1, max_size=8))
    def test_damaged_recordings_are_refused_or_made_whole_and_never_anything_else(
        self, at: int, other: bytes
    ) -> None:
        data = RAW[:at] + other + RAW[at + len(other) :]
        try:
            made = whole("audio/webm", data)
        except MalformedError:
            return
        self.assertLessEqual(len(made.data), 2 * len(RAW))


class Chapters(TestCase):
    def test_chapters_follow_each_other_and_titles_are_text(self) -> None:
        told = chapters_vtt([Chapter(0, "A --> B"), Chapter(3_661_001, "x < y & z\nend")], 3_700_000)
        self.assertEqual(
            told,
            "WEBVTT\n\n00:00:00.000 --> 01:01:01.001\nA --&gt; B\n\n"
            "01:01:01.001 --> 01:01:40.000\nx &lt; y &amp; z end\n",
        )
        self.assertEqual(chapters_vtt([], 0), "WEBVTT\n")
