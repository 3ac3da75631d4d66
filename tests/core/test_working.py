"""Lines of working: where one ends, and that all ink is in some line."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any
from unittest import TestCase, mock

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.maths.tokens import MAX_LINES
from sunroom.core.maths.working import parted, parts_of_working, rooms_of
from sunroom.core.maths.written_latex import ABOVE, BELOW, RIGHT, Tree, latex_of
from sunroom.resources import written_reader

WORKINGS = Path(__file__).parents[2] / "bench" / "hands" / "maths" / "workings.json"


def box(x: float, y: float, wide: float = 10.0, high: float = 10.0) -> np.ndarray:
    return np.array([(x, y), (x + wide, y), (x + wide, y + high), (x, y + high)])


def strokes_of(row: dict[str, Any]) -> list[np.ndarray]:
    return [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]


class Rooms(TestCase):
    def test_room_is_where_nothing_is_written_from_edge_to_edge(self) -> None:
        rooms = rooms_of([box(0, 0), box(30, 4), box(0, 30), box(40, 8)])
        self.assertEqual([room.above for room in rooms], [frozenset({0, 1, 3})])
        self.assertAlmostEqual(np.exp(rooms[0].width), 1.2)
        self.assertEqual(rooms_of([box(0, 0)]), [])

    def test_what_is_near_a_fractions_stroke_is_rather_no_line_of_its_own(self) -> None:
        above, below = rooms_of([box(10, 0), box(0, 14, 30, 1), box(10, 18)])
        apart, _ = rooms_of([box(10, 0), box(0, 24, 30, 1), box(10, 44)])
        self.assertGreater(min(above.stroke, below.stroke), apart.stroke)
        self.assertLess(above.plain_log_odds, apart.plain_log_odds)

    def test_much_ink_is_cut_where_a_line_ends_likeliest_until_its_parts_are_small_enough(self) -> None:
        strokes = [
            box(20.0 * n, 40.0 * line + (60 if line > 2 else 0)) for line in range(6) for n in range(5)
        ]
        self.assertEqual(parts_of_working(strokes, 15), [[*range(15)], [*range(15, 30)]])
        self.assertEqual([len(part) for part in parts_of_working(strokes, 6)], [5] * 6)
        self.assertEqual(parts_of_working([box(0, 8.0 * n) for n in range(9)], 4), [[*range(9)]], "no room")

    @given(
        st.lists(st.tuples(*[st.floats(0, 500)] * 2, *[st.floats(0, 60)] * 2), min_size=1, max_size=30),
        st.integers(1, 8),
    )
    @settings(max_examples=60)
    def test_every_stroke_is_in_one_line(self, boxes: list[tuple[float, ...]], most: int) -> None:
        strokes = [box(*each) for each in boxes]
        for lines in (parts_of_working(strokes, most), parted(len(strokes), rooms_of(strokes))):
            self.assertEqual(sorted(n for line in lines for n in line), [*range(len(strokes))])


class Workings(TestCase):
    def test_lines_are_told_apart_and_fractions_are_not(self) -> None:
        rows = json.loads(WORKINGS.read_text())[::4]
        right = exact = 0
        for row in rows:
            strokes = strokes_of(row)
            best = written_reader().read(strokes)[0]
            self.assertEqual(sorted(n for line in best.lines for n in line), [*range(len(strokes))])
            right += best.lines == row["lines"]
            exact += "".join(best.latex.split()) == "".join(r"\\".join(row["latex"]).split())
        self.assertGreaterEqual(right, len(rows) - 2)
        self.assertGreaterEqual(exact, 0.6 * len(rows))

    def test_where_it_is_not_sure_that_a_line_ends_the_other_way_is_among_the_rivals(self) -> None:
        rows = json.loads(WORKINGS.read_text())[25:30]
        found = [written_reader().read(strokes_of(row)) for row in rows]
        self.assertIn({2, 3}, [{len(reading.lines) for reading in readings} for readings in found])
        for readings in found:
            self.assertEqual(len({reading.latex for reading in readings}), len(readings))

    def test_more_lines_than_can_be_set_are_not_read(self) -> None:
        strokes = [box(0, 40.0 * n) for n in range(80)]
        reader = written_reader()
        self.assertTrue(reader.read(strokes[:MAX_LINES]))
        with mock.patch.object(reader, "_look", wraps=reader._look) as look:
            self.assertEqual(reader.read(strokes), [])
        self.assertLessEqual(look.call_count, 2, "the whole is looked at, no line")

    def test_a_sign_that_hangs_where_nothing_can_is_not_told(self) -> None:
        # The 3 hangs below a numerator: of x/2 and 3 below it only the fraction is told.
        tree = Tree(["-", "x", "2", "3"], [{ABOVE: 1, BELOW: 2}, {BELOW: 3}, {}, {}], 0)
        self.assertEqual((latex_of(tree), tree.told), (r"\frac{x}{2}", {0, 1, 2}))
        whole = Tree(["-", "x", "2", "3"], [{ABOVE: 1, BELOW: 2, RIGHT: 3}, {}, {}, {}], 0)
        self.assertEqual((latex_of(whole), whole.told), (r"\frac{x}{2}3", {0, 1, 2, 3}))
