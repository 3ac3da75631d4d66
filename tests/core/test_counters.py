"""What counts lines of written maths, told by the pen: the gap behind it, its point or bracket, and how it counts on."""

from __future__ import annotations

from unittest import TestCase

import numpy as np

from bench.digits import HANDS, as_ink
from bench.unseen import Strokes
from demo.hand import Hand
from sunroom.core.geometry import Affine, Box
from sunroom.core.geometry.curves import Points
from sunroom.core.ink import pack_samples
from sunroom.core.reading.counters import counters_apart
from sunroom.core.reading.readings import Reading, ReadLine
from sunroom.live.work.ink_jobs import read_ink

HIGH = 40.0


def upright(x: float, bulge: float, top: float = 0.0) -> Points:
    """A stroke as high as a digit, or down to its middle for ``top`` above, which reaches so far to the right between its ends."""
    at = np.linspace(0, np.pi, 9)
    return np.column_stack([x + bulge * HIGH * np.sin(at), HIGH * (np.linspace(0, 1, 9) - top)])


def digit(x: float) -> Points:
    return np.array([(x, 0), (x + 20, 10), (x, 25), (x + 20, HIGH)], float)


def point(x: float) -> Points:
    return np.array([(x, HIGH - 3), (x + 2, HIGH)], float)


class Counters(TestCase):
    """Lines of a digit, a mark, a gap and three digits more, that the readers take for one formula."""

    def parted(self, *lines: tuple[Points, float, str, str], gap_within: float = 5.0) -> list[str]:
        """What lines with a mark, a gap and what their digit may say read as, where the rest reads as a text."""
        samples: list[Points] = []
        found, rests = [], {}
        labels = {}
        for at, (mark, gap, label, rest) in enumerate(lines):
            behind = float(mark[:, 0].max()) + gap
            ink = [digit(0), mark, *(digit(behind + (20 + gap_within) * n) for n in range(3))]
            members = tuple(range(len(samples), len(samples) + len(ink)))
            samples += [stroke + (0, 100 * at) for stroke in ink]
            box = Box.of(np.vstack([samples[n] for n in members]))
            found.append(ReadLine((Reading("417a = 17", 0.5),), members, box))
            rests[members[2:]] = rest
            labels[float(100 * at)] = label

        def read(members: list[int]) -> list[ReadLine]:
            box = Box.of(np.vstack([samples[n] for n in members]))
            return [ReadLine((Reading(rests[tuple(members)], 0.5),), tuple(members), box)]

        def label(strokes: object) -> list[str]:
            (stroke,) = strokes  # type: ignore[misc]
            return list(labels[float(stroke[:, 1].min())])

        parted, kinds = counters_apart(found, [False] * len(found), samples, read, label)
        self.assertEqual(kinds.count(True), len(parted) - len(lines))
        return [one.rivals[0].text for one in parted]

    def test_a_bracket_or_point_before_a_gap_counts_the_line(self) -> None:
        self.assertEqual(self.parted((upright(25, 0.15), 25, "4", "7a = 17")), ["4)", "7a = 17"])
        self.assertEqual(self.parted((point(24), 25, "4", "7a = 17")), ["4.", "7a = 17"])

    def test_without_these_it_is_a_number(self) -> None:
        for why, one in {
            "no gap": (upright(25, 0.15), 6.0, "4", "7a = 17"),
            "a 1": (upright(25, 0.0), 25.0, "4", "7a = 17"),
            "an opened bracket": (upright(29, -0.15), 25.0, "4", "7a = 17"),
            "a power": (upright(25, 0.15, 0.5), 25.0, "4", "7a = 17"),
            "a point in a number": (point(28), 10.0, "4", "7a = 17"),
            "a sign of operation behind it": (upright(25, 0.15), 25.0, "4", "+ 7a = 17"),
            "it may be a difference": (upright(25, 0.15), 25.0, "4", "-7a = 17"),
            "nothing that counts": (upright(25, 0.15), 25.0, "4", "17"),
        }.items():
            with self.subTest(why):
                self.assertEqual(self.parted(one), ["417a = 17"])

    def test_lines_that_count_on_need_less(self) -> None:
        weak = [(upright(25, 0.0), 20.0, label, "-7a = 17") for label in "345"]
        self.assertEqual(self.parted(*weak)[::2], ["3)", "4)", "5)"])
        self.assertEqual(self.parted(weak[0], weak[2]), ["417a = 17"] * 2)
        other = (point(32), 20.0, "4", "7a = 17")
        self.assertEqual(self.parted(weak[0], other), ["417a = 17"] * 2, "counted otherwise")

    def test_letters_count_too_and_by_itself_a_digit_is_likelier(self) -> None:
        weak = [(upright(25, 0.0), 20.0, label, "7a = 17") for label in ("a", "6b")]
        self.assertEqual(self.parted(*weak)[::2], ["a)", "b)"])
        self.assertEqual(self.parted((upright(25, 0.15), 25, "b6", "7a = 17"))[0], "6)")

    def test_of_what_is_read_only_so_many_lines_are_looked_at(self) -> None:
        asked = []
        line = ReadLine((Reading("417a = 17", 0.5),), (0, 1), Box(0, 0, 60, HIGH))
        samples = [digit(0), upright(25, 0.15), digit(80)]

        def label(strokes: object) -> list[str]:
            asked.append(strokes)
            return []

        many = [ReadLine(line.rivals, (0, 1, 2), line.box)] * 50
        self.assertEqual(len(counters_apart(many, [False] * 50, samples, lambda members: [], label)[0]), 50)
        self.assertEqual(len(asked), 20)

    def test_what_reads_as_a_counter_is_one_where_the_rest_reads_as_before(self) -> None:
        for text in ("v) = 3", "2. 50 4", "f(x) = 3", "12.5 + 3"):
            one = [ReadLine((Reading(text, 0.5),), (0,), Box(0, 0, 100, 20))]
            found, _ = counters_apart(one, [False], [digit(0)], lambda members: [], lambda strokes: [])
            self.assertEqual(found, one, text)

    def test_a_page_of_exercises_as_it_is_written(self) -> None:
        ink: Strokes = []
        for at, text in enumerate(("4) 7a = 17", "5) 21 - x = 3", "6) 2.5 + 3 = 5.5")):
            for word, x in zip(text.split(" ", 1), (100, 190), strict=True):
                ink += Hand(3, 0.6, HANDS[0]).write(word, x, 100 + 110 * at, 60)
        samples = as_ink([stroke[:, :2] for stroke in ink])
        found = read_ink(tuple((pack_samples(stroke), Affine()) for stroke in samples), maths=True)
        assert found.pieces
        self.assertEqual([one.rivals[0].text for one in found.pieces.lines], ["4)", "5)", "6)"])
        self.assertEqual(len(found.pieces.formulas), 3)
