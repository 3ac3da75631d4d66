"""How strokes are signs and signs hang together: the likeliest ways, beside all ways there are."""

from __future__ import annotations

import unittest
from itertools import product

import numpy as np

from sunroom.core.maths.hanging import (
    NAME_RIVAL,
    NAMES,
    TREES,
    between_signs,
    likeliest_tree,
    likely_names,
    likely_trees,
    partings,
)


def all_trees(place: np.ndarray, none: np.ndarray) -> dict[tuple[int, ...], float]:
    """Every tree of a few signs, no two of which stand at one place: parents and relations, and its log likelihood."""
    count, kinds = len(none), place.shape[2]
    found = {}
    for parents in product(range(-1, count), repeat=count):
        for relations in product(range(kinds), repeat=count):
            links = [(p, r) for p, r in zip(parents, relations, strict=True) if p >= 0]
            if parents.count(-1) != 1 or len({*links}) < len(links):
                continue
            if all(leads_to_none(parents, at) for at in range(count)):
                plain = [r if p >= 0 else 0 for p, r in zip(parents, relations, strict=True)]
                found[(*parents, *plain)] = sum(
                    float(none[at] if p < 0 else place[at, p, r])
                    for at, (p, r) in enumerate(zip(parents, relations, strict=True))
                )
    return found


def leads_to_none(parents: tuple[int, ...], at: int) -> bool:
    for _ in parents:
        if at < 0:
            return True
        at = parents[at]
    return at < 0


def bond(count: int, *together: tuple[int, int, float]) -> np.ndarray:
    """How likely two strokes are one sign: not at all, but for some."""
    same = np.full((count, count), -9.0)
    for one, other, much in together:
        same[one, other] = same[other, one] = much
    return same


class Partings(unittest.TestCase):
    def test_what_is_sure_is_parted_one_way_and_what_is_not_in_others_too(self) -> None:
        ((groups, log),) = partings(bond(4, (0, 1, 9.0), (1, 3, 9.0), (0, 3, 9.0)))
        self.assertEqual(groups, [[0, 1, 3], [2]])
        self.assertAlmostEqual(log, 0, 2)
        (first, sure), (second, unsure) = partings(bond(3, (0, 1, 0.5)))
        self.assertEqual((first, second), ([[0, 1], [2]], [[0], [1], [2]]))
        self.assertAlmostEqual(sure - unsure, 0.5)

    def test_strokes_that_only_meet_by_a_third_are_one_sign_when_that_is_likelier_on_the_whole(self) -> None:
        ways = [groups for groups, _ in partings(bond(3, (0, 1, 3.0), (1, 2, 2.0), (0, 2, -1.0)))]
        self.assertEqual(ways[0], [[0, 1, 2]])
        self.assertIn([[0, 1], [2]], ways)

    def test_a_sign_stands_where_its_strokes_say_together(self) -> None:
        at_stroke = np.log(np.full((3, 3, 2), 1e-6))
        at_stroke[2, 0, 1] = at_stroke[2, 1, 1] = np.log(0.4)
        at_stroke[0, 2, 0], at_stroke[1, 2, 0] = np.log(0.9), np.log(0.5)
        place = between_signs([[0, 1], [2]], at_stroke)
        self.assertAlmostEqual(float(np.exp(place[1, 0, 1])), 0.8, 4)
        self.assertAlmostEqual(float(place[0, 1, 0]), float(np.log([0.9, 0.5]).mean()), 4)


class LikelyTrees(unittest.TestCase):
    def test_they_are_trees_the_likeliest_first_and_few_likely_ones_are_missed(self) -> None:
        random = np.random.default_rng(3)
        missed = 0
        for _ in range(40):
            place, none = random.normal(0, 2, (4, 4, 2)), random.normal(0, 2, 4)
            place[np.arange(4), np.arange(4)] = -1e4
            every = all_trees(place, none)
            trees = likely_trees(place, none)
            totals = [total for total, _, _ in trees]
            self.assertEqual(totals, sorted(totals, reverse=True))
            self.assertLessEqual(len(trees), TREES)
            keys = [(*parents, *relations) for _, parents, relations in trees]
            self.assertEqual(len({*keys}), len(keys), "no tree comes twice")
            for key, total in zip(keys, totals, strict=True):
                self.assertAlmostEqual(every[key], total)
            missed += len({*sorted(every, key=lambda key: -every[key])[:4]} - {*keys})
        self.assertLess(missed, 0.15 * 4 * 40, "of the four likeliest of each")

    def test_where_signs_stand_for_sure_there_is_one_tree(self) -> None:
        place = np.full((3, 3, 2), -50.0)
        place[1, 0, 0] = place[2, 1, 1] = 0.0
        (only,) = likely_trees(place, np.array([0.0, -50.0, -50.0]))
        self.assertEqual(only, (0.0, [-1, 0, 1], [0, 0, 1]))
        self.assertEqual(only[0], likeliest_tree(place, np.array([0.0, -50.0, -50.0]))[2])

    def test_of_many_signs_fewer_trees_are_looked_for(self) -> None:
        random = np.random.default_rng(5)
        for count, most in ((10, TREES), (60, 6), (400, 1)):
            trees = likely_trees(random.normal(0, 0.1, (count, count, 1)), random.normal(0, 0.1, count))
            self.assertLessEqual(len(trees), most)

    def test_a_sign_alone_is_a_tree(self) -> None:
        self.assertEqual(likely_trees(np.full((1, 1, 2), -1e4), np.zeros(1)), [(0.0, [-1], [0])])


class LikelyNames(unittest.TestCase):
    def test_they_are_the_likeliest_of_all_in_order(self) -> None:
        random = np.random.default_rng(4)
        for _ in range(30):
            logs = random.normal(0, 2, (4, 4))
            every = sorted(
                (float(logs[range(4), [*names]].sum()) for names in product(range(4), repeat=4)), reverse=True
            )
            found = likely_names(logs)
            self.assertEqual(len({tuple(names) for _, names in found}), len(found), "none comes twice")
            for (log, names), wanted in zip(found, every[:NAMES], strict=True):
                self.assertAlmostEqual(log, wanted)
                self.assertAlmostEqual(log, float(logs[range(4), names].sum()))

    def test_what_is_far_less_likely_is_no_rival(self) -> None:
        logs = np.array([[0.0, -1.0, -NAME_RIVAL - 1], [0.0, -NAME_RIVAL - 1, -NAME_RIVAL - 2]])
        self.assertEqual(likely_names(logs), [(0.0, [0, 0]), (-1.0, [1, 0])])
