"""Strokes of written maths as the net looks at them: the same wherever, however large and whatever they are."""

from __future__ import annotations

import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.maths.strokes import LAYERS, MEASURES, PAIR_MEASURES, SIDE, seen_strokes, usual_size

#: The last three measures of two strokes tell which was written when.
TIMED = slice(PAIR_MEASURES - 3, PAIR_MEASURES)


def ink(seed: int, count: int = 5) -> list[np.ndarray]:
    random = np.random.default_rng(seed)
    return [
        np.cumsum(random.normal(0, 4, (int(random.integers(2, 30)), 2)), axis=0) + random.uniform(0, 90, 2)
        for _ in range(count)
    ]


coordinate = st.floats(-1e6, 1e6, allow_nan=False)
any_ink = st.lists(
    st.lists(st.tuples(coordinate, coordinate), min_size=1, max_size=6).map(np.array), min_size=1, max_size=5
)


class SeenStrokes(unittest.TestCase):
    def test_place_and_size_do_not_matter(self) -> None:
        for seed in range(8):
            strokes = ink(seed)
            here, there = (
                seen_strokes(strokes),
                seen_strokes([2.5 * stroke + (900, -40) for stroke in strokes]),
            )
            np.testing.assert_allclose(here.measures, there.measures, atol=1e-4)
            np.testing.assert_allclose(here.pairs, there.pairs, atol=1e-4)
            # Rounded parts of a pixel may fall to either side.
            apart = np.abs(here.pictures.astype(int) - there.pictures)
            self.assertLess(float(apart.mean()), 0.5)

    def test_another_order_changes_only_what_tells_of_time(self) -> None:
        strokes = ink(3)
        order = [3, 0, 4, 1, 2]
        once, again = seen_strokes(strokes), seen_strokes([strokes[at] for at in order])
        # Where lines cross, their edges are laid over each other in their order.
        apart = np.abs(once.pictures[order].astype(int) - again.pictures)
        self.assertLess(int(apart.max()), 16)
        np.testing.assert_allclose(once.measures[order], again.measures, atol=1e-6)
        mixed = once.pairs[order][:, order]
        np.testing.assert_allclose(
            np.delete(mixed, TIMED, axis=2), np.delete(again.pairs, TIMED, axis=2), atol=1e-6
        )
        self.assertFalse(np.allclose(mixed[..., TIMED], again.pairs[..., TIMED]))

    def test_each_sees_itself_and_the_others_apart(self) -> None:
        bar, dot, far = (
            np.array([[0.0, 0], [40, 0]]),
            np.array([[20.0, 12], [22, 12]]),
            np.array([[900.0, 0], [940, 0]]),
        )
        seen = seen_strokes([bar, dot, far])
        near, others, wide, wide_others = seen.pictures[0]
        self.assertTrue(near.any() and wide.any() and others.any() and wide_others.any())
        self.assertEqual(int(near[: SIDE // 3].max()), 0, "the bar runs through the middle")
        self.assertFalse(seen.pictures[2][[1, 3]].any(), "what is far away is not seen")
        # Of a stroke that lies below, the way there points down; from there it points up.
        self.assertGreater(seen.pairs[0, 1, 1], 0)
        self.assertLess(seen.pairs[1, 0, 1], 0)

    def test_the_usual_size_is_not_that_of_dots_or_long_bars(self) -> None:
        self.assertEqual(usual_size(np.array([20.0, 22, 24, 1, 1, 1])), 22)
        self.assertEqual(usual_size(np.array([20.0, 22, 24, 26, 110])), 24)
        self.assertGreater(usual_size(np.zeros(3)), 0)

    @given(any_ink)
    @settings(max_examples=60)
    def test_whatever_ink_there_is_it_is_seen_in_finite_numbers(self, strokes: list[np.ndarray]) -> None:
        seen, count = seen_strokes(strokes), len(strokes)
        self.assertEqual(seen.pictures.shape, (count, LAYERS, SIDE, SIDE))
        self.assertEqual(seen.measures.shape, (count, MEASURES))
        self.assertEqual(seen.pairs.shape, (count, count, PAIR_MEASURES))
        for values in (seen.measures, seen.pairs):
            self.assertTrue(np.isfinite(values).all())
            self.assertLess(float(np.abs(values).max()), 50)
