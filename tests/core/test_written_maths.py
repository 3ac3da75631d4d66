"""Written maths: from strokes to formulas with rivals, trees of signs as LaTeX, and how likely formulas are."""

from __future__ import annotations

import json
import math
import unittest
from copy import copy
from functools import cache
from pathlib import Path
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.maths.level import row_levels, stand_of, told_by_level, unevenness
from sunroom.core.maths.likely import LikelyFormulas, _givens, places_of
from sunroom.core.maths.weighing import FEATURES, FIRST, KINDS, OF_SIGNS, kind_of, of_signs
from sunroom.core.maths.written import MAX_STROKES
from sunroom.core.maths.written_latex import (
    ABOVE,
    BELOW,
    CELL,
    INSIDE,
    RIGHT,
    SUB,
    SUP,
    Tree,
    latex_of,
    oddness,
)
from sunroom.resources import MODELS, written_reader

HAND_SETS = Path(__file__).parents[2] / "bench" / "hands" / "maths"
HANDS = HAND_SETS / "formulas.json"


class Written(unittest.TestCase):
    def test_a_formula_in_an_unseen_hand_is_read_with_rivals(self) -> None:
        rows = json.loads(HANDS.read_text())
        right = 0
        for row in rows[:24]:
            strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
            readings = written_reader().read(strokes)
            self.assertAlmostEqual(sum(reading.score for reading in readings), 1, 2)
            right += row["latex"].replace(" ", "") in [r.latex.replace(" ", "") for r in readings[:3]]
        self.assertGreaterEqual(right, 17)

    def test_signs_that_are_written_into_each_other_are_two(self) -> None:
        rows = [row for row in json.loads(HANDS.read_text()) if row["latex"] == "3x+2>11"]
        self.assertEqual(len(rows), 2, "by two hands")
        for row in rows:
            strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
            three, x = written_reader().read(strokes)[0].signs[:2]
            ends = max(strokes[n][:, 0].max() for n in three.members)
            begins = min(strokes[n][:, 0].min() for n in x.members)
            wide = max(strokes[n][:, 0].max() for n in x.members) - begins
            for part in (0.2, 0.35, 0.5):
                into = begins - ends + part * wide
                ink = [stroke - (into * (stroke[:, 0].min() >= begins), 0) for stroke in strokes]
                self.assertEqual(written_reader().read(ink)[0].latex, "3x+2>11", (row["hand"], part))

    def test_scribbles_are_read_to_an_end_and_a_page_of_ink_is_no_formula(self) -> None:
        random = np.random.default_rng(1)
        dense = [
            np.cumsum(random.normal(0, 6, (20, 2)), axis=0) + random.uniform(0, 40, 2)
            for _ in range(MAX_STROKES + 1)
        ]
        self.assertEqual(written_reader().read(dense), [], "more than is read at once")
        self.assertTrue(written_reader().read(dense[:MAX_STROKES]))
        self.assertEqual(written_reader().read([]), [])

    def below(self, *latex: str) -> list[np.ndarray]:
        """Strokes of formulas of the hands that are kept for tests, one below the other."""
        rows, made, top = json.loads(HANDS.read_text()), [], 0.0
        for each in latex:
            row = next(row for row in rows if row["latex"] == each)
            strokes = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
            whole = np.vstack(strokes)
            made += [stroke + (0, top - whole[:, 1].min()) for stroke in strokes]
            top += float(np.ptp(whole[:, 1])) + 36
        return made

    def test_signs_are_told_by_line_and_one_that_is_chosen_stands(self) -> None:
        strokes = self.below("y=mx+b", "p=mv")
        best = written_reader().read(strokes)[0]
        self.assertEqual(best.latex, r"y=mx+b \\ p=mv")
        self.assertEqual(
            [(sign.name, sign.line) for sign in best.signs],
            [*((c, 0) for c in "y=mx+b"), *((c, 1) for c in "p=mv")],
        )
        self.assertEqual(sorted(n for sign in best.signs for n in sign.members), [*range(len(strokes))])
        last = best.signs[-1]
        self.assertIn(r"\nu", last.rivals)
        self.assertNotIn(last.name, last.rivals)
        chosen = written_reader().read(strokes, {last.members: r"\nu"})[0]
        self.assertEqual(chosen.latex, r"y=mx+b \\ p=m\nu")
        for odd in ({(0, 99): "x"}, {(): "x"}, {last.members: r"\input"}, {(0, len(strokes) - 1): "x"}):
            self.assertEqual(written_reader().read(strokes, odd)[0].latex, best.latex)

    def test_more_than_a_formula_is_read_line_by_line(self) -> None:
        lines = [
            "x^{2}-5x+6=0",
            r"\frac{a}{b}+\frac{c}{d}=\frac{ad+bc}{bd}",
            "(a+b)^{2}=a^{2}+2ab+b^{2}",
            "y=mx+b",
            "3x+2>11",
        ]
        strokes = self.below(*lines, *lines)
        self.assertGreater(len(strokes), MAX_STROKES)
        readings = written_reader().read(strokes)
        read = readings[0].latex.split(r" \\ ")
        self.assertEqual(len(read), len(lines) * 2)
        self.assertGreaterEqual(sum(a == b for a, b in zip(read, lines * 2, strict=True)), 8)
        self.assertEqual({sign.line for sign in readings[0].signs}, {*range(len(lines) * 2)})
        self.assertEqual(
            sorted(n for sign in readings[0].signs for n in sign.members), [*range(len(strokes))]
        )
        self.assertEqual(readings, sorted(readings, key=lambda reading: -reading.score))


#: Signs in a row of their own at a sign: (sign, {relation: row}), or only the sign.
Node = Any


def tree_of(row: list[Node]) -> Tree:
    """A tree of rows as the reader makes one."""
    names: list[str] = []
    children: list[dict[int, int]] = []

    def put(row: list[Node]) -> int:
        first = before = -1
        for node in row:
            name, hangs = (node, {}) if isinstance(node, str) else node
            at = len(names)
            names.append(name)
            children.append({})
            for relation, inner in hangs.items():
                children[at][relation] = put(inner)
            if before >= 0:
                children[before][RIGHT] = at
            first, before = (at if first < 0 else first), at
        return first

    return Tree(names, children, put(row))


TREES: list[tuple[list[Node], str]] = [
    ([*"2x+1"], "2x+1"),
    ([("x", {SUP: ["2"], SUB: ["1"]})], "x_{1}^{2}"),
    ([("f", {SUP: ["'"]}), *"(x)"], "f'(x)"),
    ([("-", {ABOVE: ["a"], BELOW: ["b"]})], r"\frac{a}{b}"),
    ([(r"\overline", {ABOVE: ["1"], BELOW: ["2"]}), "+", "1"], r"\frac{1}{2}+1"),
    ([("-", {INSIDE: [*"AB"]}), "=", "5"], r"\overline{AB}=5"),
    ([("-", {ABOVE: [("-", {ABOVE: ["1"], BELOW: ["x"]})], BELOW: ["2"]})], r"\frac{\frac{1}{x}}{2}"),
    ([(r"\sqrt", {INSIDE: [*"x+1"]})], r"\sqrt{x+1}"),
    ([(r"\sqrt", {ABOVE: ["3"], INSIDE: ["8"]})], r"\sqrt[3]{8}"),
    ([(r"\vec", {INSIDE: ["a"]}), "=", "0"], r"\vec{a}=0"),
    ([(r"\sum", {BELOW: [*"i=1"], ABOVE: ["n"]}), "i"], r"\sum_{i=1}^{n}i"),
    ([(r"\int", {SUB: ["0"], SUP: ["1"]}), *"xdx"], r"\int_{0}^{1}xdx"),
    (["l", "i", ("m", {}), "x"], r"\lim x"),
    ([("l", {BELOW: ["x", r"\rightarrow", "0"]}), "i", "m", "x"], r"\lim_{x\rightarrow0}x"),
    ([*"s", *"i", ("n", {SUP: ["2"]}), "x"], r"\sin^{2}x"),
    ([*"5min"], "5min"),
    ([*"min"], r"\min"),
    ([(r"\rightarrow", {ABOVE: ["T"]})], r"\overset{T}{\rightarrow}"),
    ([("x", {BELOW: [*"y=2"]}), "=", "1"], r"x=1 \\ y=2"),
    (
        ["(", ("a", {BELOW: [("c", {CELL: ["d"]})], CELL: ["b"]}), ")"],
        r"(\begin{matrix}a & b \\ c & d\end{matrix}",
    ),
]  # fmt: skip

#: What is read, and what is odder than that.
ODDER = (
    (r"(x_{i}-1)^{2}", r"(x_{i-1)^{2}}"),
    (r"2^{10}=4", r"2^{10=4}"),
    (r"\sum_{i=1}^{n}i", r"x_{i=1}"),
    ("0.5=x", "05=x"),
    ("100+1", "1O0+1"),
    (r"\ln x", "1n x"),
    ("2v", r"2\nu"),
    ("x_{1}+y", "x1+y"),
    (r"NaCl\rightarrow Na", r"NaGl\rightarrow Na"),
    ("a+b", "a+"),
    ("[0,1)", "(0,1"),
)


class Trees(unittest.TestCase):
    def test_signs_that_hang_together_are_the_latex_of_what_is_meant(self) -> None:
        for row, latex in TREES:
            with self.subTest(latex):
                self.assertTrue(latex_of(tree_of(row)).startswith(latex))

    def test_what_hangs_in_a_circle_comes_to_an_end(self) -> None:
        tree = Tree(["x", "y"], [{RIGHT: 1}, {RIGHT: 0}], 0)
        self.assertEqual(latex_of(tree), "xy")
        self.assertTrue(latex_of(Tree(["x", "y"], [{BELOW: 1}, {BELOW: 0}], 0)))

    def test_what_is_odd_costs_more_than_what_is_meant(self) -> None:
        for plain, odd in ODDER:
            with self.subTest(odd):
                self.assertLess(oddness(plain), oddness(odd))


@cache
def likely() -> LikelyFormulas:
    with np.load(MODELS / "likely-formulas.npz") as arrays:
        return LikelyFormulas.of(arrays)


class Level(unittest.TestCase):
    def test_what_stands_higher_than_its_row_is_uneven_and_what_follows_in_its_power_is_not(self) -> None:
        names = ["a", "m", "+", "n"]
        tops, feet = [-60.0, -90.0, -80.0, -92.0], [0.0, -48.0, -50.0, -50.0]
        on_the_line = Tree(names, [{SUP: 1, RIGHT: 2}, {}, {RIGHT: 3}, {}], 0)
        in_the_power = Tree(names, [{SUP: 1}, {RIGHT: 2}, {RIGHT: 3}, {}], 0)
        self.assertGreater(unevenness(on_the_line, tops, feet), 0.3)
        self.assertEqual(unevenness(in_the_power, tops, feet), 0.0)
        tailed = Tree(["a", "m", "+", "y"], on_the_line.children, 0)
        self.assertEqual(unevenness(tailed, tops, feet), 0.0, "a letter with a tail says nothing")
        ring = Tree(["a", "b"], [{RIGHT: 1}, {RIGHT: 0}], 0)
        self.assertEqual(unevenness(ring, [0.0, 0.0], [1.0, 1.0]), 0.0)


class Likely(unittest.TestCase):
    def test_what_stands_lower_than_its_row_is_rather_an_index_and_what_stands_higher_a_power(self) -> None:
        # Of x2 the x hangs on nothing; a + and a letter with a tail tell where they stand by the x before them.
        for drop, likeliest in ((0.0, RIGHT), (0.1, RIGHT), (0.35, SUB), (-0.15, RIGHT), (-0.5, SUP)):
            standing = np.full((2, 2, 7), -9.0)
            standing[1, 0, [RIGHT, SUP, SUB]] = -0.7, -2.0, -2.0
            stand = stand_of(("x", "2"), (0.0, 0.0 + drop), (1.0, 1.0 + drop))
            told = told_by_level(standing, np.array([-0.1, -9.0]), stand, ([-1, 0], [0, RIGHT]))
            self.assertEqual(int(told[1, 0].argmax()), likeliest, drop)
            together = np.logaddexp.reduce(told[1, 0, [RIGHT, SUP, SUB]])
            self.assertAlmostEqual(together, np.logaddexp.reduce(standing[1, 0, [RIGHT, SUP, SUB]]), 6)
        names, parents, relations = ("x", "+", "y", "2"), [-1, 0, 1, 2], [0, RIGHT, RIGHT, SUP]
        stand = stand_of(names, (0.0, 0.3, 0.0, -0.6), (1.0, 0.7, 1.5, 0.2))
        np.testing.assert_allclose(row_levels(stand, parents, relations), (1.0, 1.0, 1.0, 0.2))
        alone = stand_of(("+", "="), (0.3, 0.4), (0.7, 0.6))
        unmoved = np.full((2, 2, 7), -1.0)
        np.testing.assert_array_equal(
            told_by_level(unmoved, np.zeros(2), alone, ([-1, 0], [0, RIGHT])), unmoved, "nothing tells"
        )

    def test_a_digit_is_a_power_an_index_or_beside_by_where_it_is_written(self) -> None:
        row = next(r for r in json.loads(HANDS.read_text()) if r["latex"] == "x^{2}-5x+6=0")
        ink = [np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]]
        signs = written_reader().read(ink)[0].signs
        letter, digit = ([ink[n] for n in signs[at].members] for at in (0, 1))
        high = float(np.ptp(np.vstack(letter)[:, 1]))
        beside = np.vstack(letter)[:, 0].max() + 0.15 * high - np.vstack(digit)[:, 0].min()
        level = np.vstack(letter)[:, 1].max() - np.vstack(digit)[:, 1].max()
        for lower, wanted in ((0.45, "x_{2}"), (-0.6, "x^{2}")):
            moved = [stroke + (beside, level + lower * high) for stroke in digit]
            self.assertEqual(written_reader().read([*letter, *moved])[0].latex, wanted)

    def test_a_token_stands_in_its_row_after_the_two_before_it_there(self) -> None:
        self.assertEqual(
            places_of(r"2x^{10}=\frac{1}{y}"),
            [
                ("2", "line", "begin", "begin"),
                ("x", "line", "2", "begin"),
                ("^", "line", "x", "2"),
                ("1", "power", "x^{", "begin"),
                ("0", "power", "1", "x^{"),
                ("end", "power", "0", "1"),
                ("=", "line", "^", "x"),
                (r"\frac", "line", "=", "^"),
                ("1", "fraction", r"\frac{", "begin"),
                ("end", "fraction", "1", r"\frac{"),
                ("y", "fraction", r"\frac{", "begin"),
                ("end", "fraction", "y", r"\frac{"),
                ("end", "line", r"\frac", "="),
            ],
        )
        self.assertEqual(
            [kind for _, kind, *_ in places_of(r"\sum_{i}")], ["line", "line", "limit", "limit", "line"]
        )

    def test_what_schools_write_is_likelier_than_what_looks_like_it(self) -> None:
        for meant, alike in (
            ("E=mc^{2}", r"\epsilon=mc^{2}"),
            (r"\frac{x+1}{x-1}=2", r"\frac{x41}{x-1}=2"),
            (r"\int x^{n}dx=\frac{x^{n+1}}{n+1}+C", r"\int x^{n}dx=\frac{x^{n+1}}{n+1}+c"),
            (r"c^{2}=a^{2}+b^{2}-2ab\cos\gamma", r"c^{2}=a^{2}+b^{2}-2abco8\gamma"),
            ("T=2\\pi", r"\tau=2\pi"),
            ("SO_{4}^{2-}", "8O_{4}^{2-}"),
            ("v^{2}-4v+1=0", "v^{2}-4u+1=0"),
        ):
            with self.subTest(meant):
                self.assertGreater(likely().log(meant), likely().log(alike))

    @given(st.lists(st.sampled_from([*"xy12+={}^_", r"\frac", r"\sum", r"\never"]), max_size=12))
    @settings(max_examples=100)
    def test_whatever_is_written_is_somehow_likely(self, tokens: list[str]) -> None:
        self.assertTrue(math.isfinite(likely().log("".join(tokens))))

    def test_after_anything_all_tokens_together_are_sure(self) -> None:
        numbers = {"": 0}
        known = LikelyFormulas.count(["x+1", "x+2", "y^{2}"], numbers)
        likely = LikelyFormulas([*numbers], known, {(): {1: 1}})
        for kind, before, second in (
            ("line", "x", "begin"),
            ("line", "+", "x"),
            ("power", "y^{", "begin"),
            ("", "", ""),
        ):
            givens = _givens(numbers.get(kind, 0), numbers.get(before, 0), numbers.get(second, 0))
            for counts in likely._sets:
                shares = [likely._share(counts, token, givens) for token in range(len(numbers))]
                self.assertAlmostEqual(sum(shares), 1)
                self.assertGreater(min(shares), 0)

    def test_what_was_counted_is_what_is_read_back(self) -> None:
        numbers = {"": 0}
        known = LikelyFormulas.count([r"\frac{a}{b}", "x^{2}=4"], numbers)
        lot = LikelyFormulas.count(["7-y_{1}"], numbers)
        kept = LikelyFormulas.of(LikelyFormulas.arrays(numbers, known, lot))
        made = LikelyFormulas([*numbers], known, lot)
        for formula in ("x^{2}=4", r"\frac{a}{7}", "q"):
            self.assertEqual(kept.log(formula), made.log(formula))

    def test_a_digit_beside_a_tail_is_rather_an_index_and_one_beside_another_letter_stays_where_it_is(
        self,
    ) -> None:
        reader = written_reader()
        for letter, moved in (("y", True), (r"\gamma", True), ("x", False)):
            logs = np.full((2, len(reader._classes)), -20.0)
            logs[0, reader._classes.index(letter)] = logs[1, reader._classes.index("1")] = 0.0
            standing = np.full((2, 2, 7), -12.0)
            standing[1, 0, RIGHT] = standing[0, 1, RIGHT] = -0.01
            before = standing.copy()
            reader._indices_of_tailed(standing, logs)
            self.assertEqual(standing[1, 0, SUB] - standing[1, 0, RIGHT] > -3, moved, letter)
            before[1, 0] = standing[1, 0]
            np.testing.assert_array_equal(standing, before, "a letter right of a digit is none")

    def test_each_feature_has_a_weight_and_signs_are_counted_by_kind_and_place(self) -> None:
        kept = json.loads((MODELS / "formulas.json").read_text())
        self.assertEqual([*kept], [*FEATURES])
        self.assertTrue(all(math.isfinite(weight) for weight in kept.values()))
        kinds = np.array([kind_of(name) for name in ("2", "x", "C", r"\pi", "(", "+")])
        np.testing.assert_array_equal(kinds, [*range(len(KINDS))])
        places = np.array([FIRST, RIGHT, SUP, SUB, RIGHT, RIGHT])
        found = of_signs(kinds, -np.arange(6.0), places, np.full(6, -0.5))
        told = dict(zip(FEATURES[OF_SIGNS], found.tolist(), strict=True))
        self.assertEqual((told["capital, log"], told["capital, each"]), (-2.0, 1.0))
        self.assertEqual([told[f"{place}, log"] for place in ("right", "power", "cell")], [-1.5, -0.5, 0.0])

    def test_no_group_of_hands_is_read_worse_with_it_than_without(self) -> None:
        """A small fixed sample of both groups; all of them are measured by ./run bench maths."""
        reader = written_reader()
        plain = copy(reader)
        plain._likely = lambda latex: 0.0
        for name in ("formulas", "formulas-joined"):
            rows = json.loads((HAND_SETS / f"{name}.json").read_text())[::2]
            right = [
                sum(
                    each.read([np.array(flat, float).reshape(-1, 2) for flat in row["strokes"]])[
                        0
                    ].latex.replace(" ", "")
                    == row["latex"].replace(" ", "")
                    for row in rows
                )
                for each in (reader, plain)
            ]
            self.assertGreaterEqual(right[0], right[1], name)
