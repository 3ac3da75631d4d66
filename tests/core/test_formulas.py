"""Formulas: typed and printed, set, understood, worked out and checked, within their limits."""

from __future__ import annotations

import unittest
from collections.abc import Mapping
from contextlib import suppress

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import FormulaItem
from sunroom.core.board.laying import formula_set
from sunroom.core.board.limits import check_item
from sunroom.core.errors import MalformedError
from sunroom.core.maths.checking import check_working
from sunroom.core.maths.chemistry import balanced, chemistry_of, molar_mass, reaction_of, surplus, upright
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.mathml import latex_of_mathml
from sunroom.core.maths.notation import (
    Fenced,
    Fraction,
    Node,
    Number,
    Over,
    Root,
    Row,
    Script,
    Sign,
    Table,
    Word,
    latex_of,
    lines_of,
    mathml_of,
)
from sunroom.core.maths.setting import UNITS, outline_curves, set_formula, set_row
from sunroom.core.maths.spoken import FUNCTIONS_SAID, MARKS_SAID, SIGNS_SAID, spoken
from sunroom.core.maths.tokens import MAX_DEPTH, MAX_FORMULA, with_decimal_commas
from sunroom.core.maths.typed import read_formula, unmistakable
from sunroom.core.maths.work import work_out
from sunroom.words import LANGUAGES, catalogue, say

NAMES = ["x", "y", "a", "B", r"\alpha", r"\Delta", r"\infty", r"\mathbb{R}"]
BETWEEN = ["+", "-", r"\cdot", "=", r"\le", r"\in", r"\rightarrow", r"\pm"]

atoms: st.SearchStrategy[Node] = st.one_of(
    st.sampled_from(NAMES).map(Sign),
    st.from_regex(r"[1-9][0-9]{0,2}(\.[0-9]{1,2})?", fullmatch=True).map(Number),
    st.sampled_from(["sin", "log"]).map(lambda name: Word(name, function=True)),
    st.sampled_from(["kg", "when x"]).map(Word),
)


def _rows(inner: st.SearchStrategy[Node]) -> st.SearchStrategy[Row]:
    def between(nodes: list[Node], signs: list[str]) -> Row:
        made: list[Node] = [nodes[0]]
        for node, sign in zip(nodes[1:], signs, strict=False):
            made += [Sign(sign), node]
        return Row(tuple(made))

    return st.builds(
        between,
        st.lists(inner, min_size=1, max_size=3),
        st.lists(st.sampled_from(BETWEEN), min_size=2, max_size=2),
    )


def _larger(inner: st.SearchStrategy[Node]) -> st.SearchStrategy[Node]:
    row = _rows(inner)
    single = st.one_of(st.sampled_from(NAMES).map(Sign), st.just(Number("2"))).map(lambda node: Row((node,)))
    return st.one_of(
        st.builds(Fraction, row, row),
        st.builds(Root, row, st.none() | single),
        st.builds(Script, single, row, st.none()),
        st.builds(Script, single, st.none() | row, row),
        st.builds(Over, st.sampled_from([r"\vec", r"\overline"]), row),
        st.builds(lambda body: Fenced("(", body, ")"), row),
        st.builds(lambda a, b: Fenced("(", Row((Table(((a,), (b,)), "matrix"),)), ")"), row, row),
    )


notations = _rows(st.recursive(atoms, _larger, max_leaves=8))

#: What is typed, and the same in LaTeX.
TYPED = [
    ("x^2+2x-3=0", "x^{2}+2x-3=0"),
    ("(a+b)/(2c)", r"\frac{a+b}{2c}"),
    ("n(n+1)/2", r"\frac{n(n+1)}{2}"),
    ("1 1/2", r"1\frac{1}{2}"),
    ("sin(x)/x", r"\frac{\sin(x)}{x}"),
    ("h/tan(theta)", r"\frac{h}{\tan(\theta)}"),
    ("sqrt(x^2+1) <= |x|", r"\sqrt{x^{2}+1}\le|x|"),
    ("root(3, 8)", r"\sqrt[3]{8}"),
    ("2|x-3|=8", "2|x-3|=8"),
    ("|x+1|/2-1/|x|", r"\frac{|x+1|}{2}-\frac{1}{|x|}"),
    ("|x/2|^2", r"\left|\frac{x}{2}\right|^{2}"),
    ("3|12, P(A|B)", "3|12,P(A|B)"),
    ("sin(2x)^2/2", r"\frac{\sin(2x)^{2}}{2}"),
    ("x<-2", "x<-2"),
    ("2^-3", "2^{-3}"),
    ("5 kg", r"5\,\mathrm{kg}"),
    ("2 m/s", r"2\,\frac{\mathrm{m}}{\mathrm{s}}"),
    ("3×10^8 m/s", r"3\times10^{8}\,\frac{\mathrm{m}}{\mathrm{s}}"),
    ("100 m/9.58 s", r"\frac{100\,\mathrm{m}}{9.58\,\mathrm{s}}"),
    ("4 kJ/(kg K)", r"\frac{4\,\mathrm{kJ}}{\mathrm{kg}\,\mathrm{K}}"),
    ("5km+3 N m", r"5\,\mathrm{km}+3\,\mathrm{N}\,\mathrm{m}"),
    ("1/2 m v^2", r"\frac{1}{2}mv^{2}"),
    ("N=2mg", "N=2mg"),
    ("20 °C", r"20\degree\mathrm{C}"),
    ("1 000 000.5", r"1\,000\,000.5"),
    ("sqrt 2/2", r"\frac{\sqrt{2}}{2}"),
    ("cbrt(8)", r"\sqrt[3]{8}"),
    ("log10(x)", r"\log_{10}(x)"),
    ("asin(x)", r"\arcsin(x)"),
    ("pi ~= 3.14", r"\pi\approx3.14"),
    ("triangle ABC", r"\triangle ABC"),
    ("A cap B", r"A\cap B"),
    ("sum_(k=1)^n k^2", r"\sum_{k=1}^{n}k^{2}"),
    ("lim_(x->0) x", r"\lim_{x\rightarrow0}x"),
    ("int_0^1 x^2 dx", r"\int_{0}^{1}x^{2}dx"),
    ("f'(x)", "f'(x)"),
    ("2H2+O2->2H2O", r"2H_{2}+O_{2}\rightarrow2H_{2}O"),
    ("SO_4^(2-)", "SO_{4}^{2-}"),
    ("SO4^2-", "SO_{4}^{2-}"),
    ("Na+ + Cl- -> NaCl", r"Na^{+}+Cl^{-}\rightarrow NaCl"),
    ("CuSO4*5H2O", r"CuSO_{4}\cdot5H_{2}O"),
    ("F^2+1", "F^{2}+1"),
    ("B^2-4AC", "B^{2}-4AC"),
    ("V-(I+U)", "V-(I+U)"),
    ("Na+(aq) + Cl-(aq) -> NaCl", r"Na^{+}(aq)+Cl^{-}(aq)\rightarrow NaCl"),
    (r"\mathrm{m/s^2}", r"\mathrm{m}/\mathrm{s}^{2}"),
    ("3x²+y₁", "3x^{2}+y_{1}"),
    ("{1,2,3}", r"\{1,2,3\}"),
    ("x∈ℝ", r"x\in\mathbb{R}"),
    ("x+1=2\nx=1", r"\begin{aligned}x+1 & =2 \\ x & =1\end{aligned}"),
    (r"\frac12\left(\frac{a}{b}\right)^2", r"\frac{1}{2}\left(\frac{a}{b}\right)^{2}"),
    (r"\begin{cases}x^2&x>0\\0&x\leq 0\end{cases}", r"\begin{cases}x^{2} & x>0 \\ 0 & x\le0\end{cases}"),
    (r"{}^{14}_{6}\mathrm{C}", r"{}_{6}^{14}\mathrm{C}"),
]

#: What cannot be typed, each with the sentence that says so.
BAD = [
    ("   ", "a-formula-is-empty"),
    ("x" * (MAX_FORMULA + 1), "a-formula-has-at-most"),
    ("(" * 100_000, "a-formula-has-at-most"),
    ("(" * 400 + ")" * 400, "a-formula-is-too-deep"),
    ("\\sqrt{" * (MAX_DEPTH + 1) + "x" + "}" * (MAX_DEPTH + 1), "a-formula-is-too-deep"),
    (r"\frac{1}", "a-formula-lacks-something"),
    ("x^", "a-formula-lacks-something"),
    ("1/", "a-formula-lacks-something"),
    (r"\foo", "a-formula-has-an-odd"),
    (r"\input{/etc/passwd}", "a-formula-has-an-odd"),
    (r"\def\x{\x}\x", "a-formula-has-an-odd"),
    ("a@b", "a-formula-has-an-odd"),
    ("sqrt(x", "a-bracket-is-not-closed"),
    (r"\left(x", "a-bracket-is-not-closed"),
    (r"\begin{pmatrix}1", "a-bracket-is-not-closed"),
    (r"\begin{matrix}" + "x&" * 30 + r"\end{matrix}", "a-formula-has-too-many"),
]

#: What is worked out: the lines of an offer of a kind.
WORKED = [
    ("2/3+1/6", "value", (r"\frac{5}{6}",)),
    ("sqrt(8)", "value", (r"2 \sqrt{2}",)),
    ("sqrt(8)", "decimal", ("2.8284271",)),
    ("root(3,-27)", "value", ("-3",)),
    ("cos(60°)", "value", (r"\frac{1}{2}",)),
    ("1 1/2+50%", "value", ("2",)),
    ("log_2 8", "value", ("3",)),
    ("2|3-7|/|-4|", "value", ("2",)),
    ("||2-5|-7|", "value", ("4",)),
    ("sin(60°)^2", "value", (r"\frac{3}{4}",)),
    ("2|x-3|=8", "solved", ("x_{1}=-1", "x_{2}=7")),
    ("5!", "value", ("120",)),
    ("2x+3=7-x", "solved", (r"x=\frac{4}{3}",)),
    ("2x+3=7-x", "steps", ("2 x + 3=7 - x", "3 x + 3=7", "3 x=4", r"x=\frac{4}{3}")),
    ("x^2+2x-3=0", "solved", ("x_{1}=-3", "x_{2}=1")),
    ("3-2x<7", "steps", ("3 - 2 x<7", "- 2 x<4", "x>-2")),
    ("x^2<4", "solved", ("-2<x<2",)),
    ("x^2>=4", "solved", (r"x\le -2", r"x\ge 2")),
    ("x+y=5\nx-y=1", "solved", ("x=3", "y=2")),
    ("x=1 or x=2", "solved", ("x_{1}=1", "x_{2}=2")),
    ("x^2=9 and x>0", "solved", ("x=3",)),
    ("tan(x)=1", "solved", (r"x=\pi k + \frac{\pi}{4},\ k\in\mathbb{Z}",)),
    ("v=s/t", "solved", (r"s=t v",)),
    ("int_0^1 x^2 dx", "value", (r"\frac{1}{3}",)),
    ("int 2x dx", "integrated", ("x^{2}+C",)),
    (r"\frac{d}{dx}x^3", "derived", ("3 x^{2}",)),
    ("sum_(k=1)^10 k", "value", ("55",)),
    ("lim_(x->0) sin(x)/x", "value", ("1",)),
    ("5 kg+300 g", "quantity", (r"5.3\,\mathrm{kg}",)),
    ("3 N*2 m", "quantity", (r"6\,\mathrm{J}",)),
    ("3 N m", "quantity", (r"3\,\mathrm{J}",)),
    ("1/2*9.81 m/s^2*(2 s)^2", "quantity", (r"19.62\,\mathrm{m}",)),
    (r"9.81\,\mathrm{m/s^2}\cdot 2\,\text{kg}", "quantity", (r"19.62\,\mathrm{N}",)),
    ("4.19 kJ/(kg K)*2 kg*30 K", "quantity", (r"251.4\,\mathrm{kJ}",)),
    ("1 km^2", "quantity", (r"1000000\,\mathrm{m}^{2}",)),
    ("Fe^3+", "mass", (r"M(\mathrm{F}\mathrm{e}^{3+})=55.85\,\frac{\mathrm{g}}{\mathrm{mol}}",)),
    ("1 000 000/4", "value", ("250000",)),
    (r"1\,000{,}5\cdot 2", "value", ("2001",)),
    ("log10(1000)+log2(8)", "value", ("6",)),
    (r"\int x^2\,\mathrm{d}x", "integrated", (r"\frac{x^{3}}{3}+C",)),
    (r"\frac{d(x^2)}{dx}", "derived", ("2 x",)),
    ("d/dx x^2/2", "derived", ("x",)),
    ("int 1/x dx", "integrated", (r"\ln{\left(\left|{x}\right| \right)}+C",)),
    ("int ln(x)/x dx", "integrated", (r"\frac{\ln{\left(x \right)}^{2}}{2}+C",)),
    (r"\frac{\mathrm{d}^2}{\mathrm{d}x^2}x^3", "derived", ("6 x",)),
]

#: As it is written by hand, without upright letters: the first offer.
WRITTEN = [
    (r"\relax 5km+300m", (r"5.3\,\mathrm{km}",)),
    (r"\relax 72km/h", (r"20\,\frac{\mathrm{m}}{\mathrm{s}}",)),
    (r"\relax V=3cm\cdot4cm\cdot5cm", (r"60\,\mathrm{cm}^{3}",)),
    (r"\relax 5kg\cdot9.81\frac{m}{s^{2}}", (r"49.05\,\mathrm{N}",)),
    (r"\relax 3m\cdot4m", ("12 m^{2}",)),
    (r"\relax N=2mg", (r"g=\frac{N}{2 m}",)),
    (r"\relax 2kg+3x", (r"2 g k + 3 x",)),
]

#: What is honestly not worked out.
NOT_WORKED = [
    ("9^9^9^9", "a-value-is-too-large"),
    ("10^(10^6)", "a-value-is-too-large"),
    ("100000!", "a-value-is-too-large"),
    ("0/0", "nothing-is-divided-by-0"),
    ("1/(x-x)", "nothing-is-divided-by-0"),
    ("sum_(k=1)^(10^9) k", "a-value-is-too-large"),
    ("x∈ℝ", "a-formula-has-no-meaning"),
    ("x=1 or y=2", "that-cannot-be-worked-out"),
    ("dy/dx", "a-formula-has-no-meaning"),
    ("12 34", "a-formula-has-no-meaning"),
    ("20 °C+5 K", "a-unit-is-not-known"),
    ("5 kg+3 m", "units-do-not-go-together"),
    ("+".join(["x^2"] * 200), "a-formula-is-too-long-to"),
]

#: Lines of working, and what is said of each.
CHECKED = [
    (["2x+3=7", "2x=4", "x=2"], ["first", "follows", "follows"], ""),
    (["2x+3=7", "2x=10", "x=5"], ["first", "does_not", "follows"], "solutions-are-lost-and-gained"),
    (["x^2=4", "x=2"], ["first", "does_not"], "solutions-are-lost"),
    (["sqrt(x)=x-2", "x=x^2-4x+4"], ["first", "does_not"], "solutions-are-gained"),
    (["x^2-5x+6=0", "x_1=2, x_2=3"], ["first", "follows"], ""),
    (["(x+1)^2", "x^2+2x+1", "x^2+1"], ["first", "follows", "does_not"], "the-values-differ-at"),
    (["2/3+1/6", "=4/6+1/6", "=5/6"], ["first", "follows", "follows"], ""),
    (["-2x<4", "x<-2"], ["first", "does_not"], "the-sign-has-to-be-turned"),
    (["-2x<4", "x>-2"], ["first", "follows"], ""),
    (["sin(x)^2+cos(x)^2", "1"], ["first", "follows"], ""),
    (["x^2<4", "x>-2 and x<2", "-2<x<2"], ["first", "follows", "follows"], ""),
    (["x^2<4", "x>-2, x<2"], ["first", "follows"], ""),
    (["x^2>4", "x<-2 or x>2", "|x|>2"], ["first", "follows", "follows"], ""),
    (["x^2<4", "x>-2 or x<2"], ["first", "does_not"], "solutions-are-gained"),
    (["x^2=9", "x=+-3"], ["first", "follows"], ""),
    (["2x+3=7 | -3", "<=> 2x=4 | :2", "<=> x=2"], ["first", "follows", "follows"], ""),
    (["t^2-5t+6=0", "L={2;3}"], ["first", "follows"], ""),
    (["x^2=4", "=> S={2}"], ["first", "does_not"], "solutions-are-lost"),
    (["|x|=3 | +1", "|x|+1=4"], ["first", "follows"], ""),
    (["x^2=-1", "x=1"], ["first", "does_not"], "solutions-are-gained"),
    (["x+y=3, x-y=1", "2x=4"], ["first", "follows"], ""),
    (["x+y=3 and x-y=1", "x=1, y=2"], ["first", "does_not"], "a-point-solves-only-one"),
    (["x^2+y^2=25, y=x+1", "x=3 or x=-4", "x=3"], ["first", "follows", "does_not"], "solutions-are-lost"),
    (["x^2+y^2=25, y=x+1", "x=3, x=-4"], ["first", "follows"], ""),
    (["x^2+y^2=25, y=x+1", "x=3"], ["first", "does_not"], "a-point-solves-only-one"),
    (["x+y=3, x-y=1", "x=2 and y=2 or x=1 and y=1"], ["first", "does_not"], "a-point-solves-only-one"),
    (["x=1 and y=2 or x=2 and y=1", "x+y=3"], ["first", "cannot_tell"], ""),
    (["ln(x)^2", "2ln(x)"], ["first", "does_not"], "the-values-differ-at"),
    (["y=2x+1", "2x=y-1", "x=y/2-1"], ["first", "follows", "does_not"], "a-point-solves-only-one"),
    (["x=1", "x∈ℝ"], ["first", "cannot_tell"], "a-line-has-no-meaning"),
]


class Typed(unittest.TestCase):
    def test_typed_maths_is_the_latex_that_is_meant(self) -> None:
        for typed, latex in TYPED:
            with self.subTest(typed):
                self.assertEqual(latex_of(read_formula(typed)), latex)

    @settings(max_examples=300, deadline=None)
    @given(notations)
    def test_what_is_printed_reads_back_as_the_same(self, row: Row) -> None:
        self.assertEqual(read_formula(unmistakable(latex_of(row))), row)

    def test_latex_that_looks_like_keyboard_maths_stays_what_it_is(self) -> None:
        # Written by hand or pasted: no fraction, no "is not", and no Greek letter.
        for latex, text in (
            ("72km/h", r"\relax 72km/h"),
            ("5!=120", "5! =120"),
            ("pi", r"\relax pi"),
            ("x+1", "x+1"),
            (r"a/b\ne c", r"a/b\ne c"),
        ):
            with self.subTest(latex):
                self.assertEqual(unmistakable(latex), text)
                self.assertEqual(read_formula(text), read_formula(r"\relax " + latex))
        factorial = "<math><mn>5</mn><mo>!</mo><mo>=</mo><mn>120</mn></math>"
        self.assertNotIn(r"\ne", latex_of(read_formula(latex_of_mathml(factorial))))

    def test_what_is_not_understood_is_said(self) -> None:
        for typed, key in BAD:
            with self.subTest(typed[:40]), self.assertRaises(MalformedError) as raised:
                read_formula(typed)
            self.assertEqual(raised.exception.sentence.key, key, typed[:40])


class Set(unittest.TestCase):
    def test_outlines_stay_inside_their_boxes(self) -> None:
        for typed, _ in TYPED:
            with self.subTest(typed):
                made = set_formula(typed)
                curves = outline_curves(made.outline)
                self.assertTrue(curves)
                points = np.vstack(curves)
                self.assertTrue((points >= -1).all(), points.min(axis=0))
                self.assertTrue((points <= np.array([made.width, made.height]) * UNITS + 1).all())
                self.assertTrue(0 < made.baseline <= made.height)
                self.assertTrue(all(len(curve) % 3 == 1 for curve in curves))

    @settings(max_examples=40, deadline=None)
    @given(notations)
    def test_whatever_can_be_written_can_be_set(self, row: Row) -> None:
        made = set_row(row)
        self.assertTrue(made.outline and made.width > 0 and made.height > 0)

    def test_what_lies_deep_inside_is_set_as_well(self) -> None:
        deep = "x"
        for _ in range(9):
            deep = rf"\frac{{1}}{{1+{deep}}}"
        fenced = "x"
        for _ in range(6):
            fenced = rf"\left(\frac{{1}}{{{fenced}}}\right)"
        for formula in (deep, fenced):
            self.assertTrue(set_formula(formula).outline)

    def test_the_same_formula_is_the_same_in_both_ways_of_typing(self) -> None:
        self.assertEqual(set_formula("(a+b)/2"), set_formula(r"\frac{a+b}{2}"))

    def test_mathml_names_what_is_there(self) -> None:
        made = mathml_of(read_formula("sqrt(x)/2 < y_1"))
        for part in ("<mfrac>", "<msqrt>", "<mi>x</mi>", "<mn>2</mn>", "<mo>&lt;</mo>", "<msub>"):
            self.assertIn(part, made)


class Understood(unittest.TestCase):
    def test_values_solutions_and_the_steps_to_them(self) -> None:
        for typed, kind, lines in WORKED:
            with self.subTest(typed):
                offers = work_out(read_formula(typed))
                self.assertIn((kind, lines), [(offer.kind, offer.lines) for offer in offers])

    def test_units_that_were_written_by_hand_compute_where_they_cannot_be_letters(self) -> None:
        for formula, lines in WRITTEN:
            with self.subTest(formula):
                self.assertEqual(work_out(read_formula(formula))[0].lines, lines)
        kinds = {offer.kind for offer in work_out(read_formula(r"\relax 3m\cdot4m"))}
        self.assertIn("quantity", kinds, "and where they may be either, both are offered")
        for formula in ("x^2=9", "x+y=3, x-y=1", "2+3", "2a+3b"):
            with suppress(MalformedError):
                kinds = {offer.kind for offer in work_out(read_formula(formula))}
                self.assertNotIn("quantity", kinds, formula)

    def test_only_real_solutions_are_offered(self) -> None:
        for formula in ("V=x^3", "x^2+y^2=1, x+y=2", "x^4=y"):
            for offer in work_out(read_formula(formula)):
                self.assertNotRegex(" ".join(offer.lines), r"\bi\b", formula)

    def test_what_is_worked_out_can_be_set(self) -> None:
        for typed, _, _ in WORKED:
            for offer in work_out(read_formula(typed)):
                for line in offer.lines:
                    with self.subTest(line):
                        self.assertTrue(set_formula(line).outline)

    def test_what_cannot_be_worked_out_is_said(self) -> None:
        for typed, key in NOT_WORKED:
            with self.subTest(typed[:40]), self.assertRaises(MalformedError) as raised:
                work_out(read_formula(typed))
            self.assertEqual(raised.exception.sentence.key, key, typed[:40])

    def test_names_of_python_are_letters_here(self) -> None:
        offers = work_out(read_formula("__class__ = 2".replace("__", "")))
        self.assertTrue(offers)
        with self.assertRaises(MalformedError):
            read_formula("__class__")

    def test_nothing_or_everything_solves_it(self) -> None:
        for typed, key in (
            ("x=x", "every-number-solves-it"),
            ("x^2=-1", "there-is-no-solution"),
            ("2+2=5", "that-is-not-true"),
        ):
            said = [offer.sentence.key for offer in work_out(read_formula(typed)) if offer.sentence]
            self.assertEqual(said, [key])

    @settings(max_examples=60, deadline=None)
    @given(st.integers(-9, 9), st.integers(-9, 9), st.integers(-5, 5).filter(bool))
    def test_the_solutions_of_a_quadratic_equation_solve_it(self, p: int, q: int, a: int) -> None:
        b, c = -a * (p + q), a * p * q
        typed = f"{a}x^2 + ({b})x + ({c}) = 0"
        (solved,) = (offer for offer in work_out(read_formula(typed)) if offer.kind == "solved")
        values = {line.partition("=")[2] for line in solved.lines}
        self.assertEqual(values, {str(p), str(q)})

    def test_a_tree_is_one_of_values(self) -> None:
        for typed in ("2*-3", "-x^2", "sin 2x cos x", "x_1=2, x_2=3", "|x-3|<2", "2<x<=5"):
            with self.subTest(typed):
                self.assertIsNotNone(meaning_of(read_formula(typed)))


class Chemistry(unittest.TestCase):
    BALANCED = (
        ("Mg+O2->MgO", "2Mg+O2->2MgO"),
        ("Fe+O2->Fe2O3", "4Fe+3O2->2Fe2O3"),
        ("KMnO4+HCl->KCl+MnCl2+H2O+Cl2", "2KMnO4+16HCl->2KCl+2MnCl2+8H2O+5Cl2"),
        ("Ca(OH)2+H3PO4->Ca3(PO4)2+H2O", "3Ca(OH)2+2H3PO4->Ca3(PO4)2+6H2O"),
        ("CH4(g)+O2(g)->CO2(g)+H2O(l)", "CH4(g)+2O2(g)->CO2(g)+2H2O(l)"),
        (
            "MnO_4^- + H^+ + Fe^(2+) -> Mn^(2+) + H_2O + Fe^(3+)",
            "MnO_4^- + 8H^+ + 5Fe^(2+) -> Mn^(2+) + 4H_2O + 5Fe^(3+)",
        ),
        ("MnO4^- + H+ + e- -> Mn^2+ + H2O", "MnO4^- + 8H+ + 5e- -> Mn^2+ + 4H2O"),
        ("CuSO4*5H2O -> CuSO4 + H2O", "CuSO4*5H2O -> CuSO4 + 5H2O"),
    )

    def test_reactions_are_balanced_by_atoms_and_charge(self) -> None:
        for typed, wanted in self.BALANCED:
            with self.subTest(typed):
                found = reaction_of(read_formula(typed))
                assert found
                self.assertTrue(surplus(found))
                made = balanced(found)
                self.assertEqual(made, upright(Row(tuple(n for n in read_formula(wanted).nodes))))
                again = reaction_of(made)
                assert again
                self.assertEqual(surplus(again), {}, "atoms and charge are conserved")

    def test_what_cannot_be_balanced_is_said(self) -> None:
        for typed, key in (
            ("H2->O2", "a-reaction-cannot-be-balanced"),
            ("C+O2->CO+CO2", "a-reaction-has-many-ways"),
        ):
            with self.subTest(typed), self.assertRaises(MalformedError) as raised:
                work_out(read_formula(typed))
            self.assertEqual(raised.exception.sentence.key, key)

    def test_what_only_looks_like_substances_is_none(self) -> None:
        for typed in ("PV=nRT", "F=ma", "V_1", "A2+B", "x->oo", "CO", "sin(x)", "U=RI"):
            with self.subTest(typed):
                self.assertIsNone(chemistry_of(read_formula(typed)))

    def test_molar_masses(self) -> None:
        for typed, mass in (("H2SO4", 98.07), ("Ca(OH)2", 74.09), ("C6H12O6", 180.16)):
            found = chemistry_of(read_formula(typed))
            assert found
            self.assertAlmostEqual(molar_mass(found.left[0]), mass, 1)


COMMAS = (
    ("3,5+1", "4{,}5"), ("2*(1,5+2)", "7"), ("0,125*8", "1"), (r"\frac{3{,}5}{2}", "1{,}75"), ("2,5 kg*2", r"5\,\mathrm{kg}"),
)  # fmt: skip


class Commas(unittest.TestCase):
    def test_a_comma_between_digits_is_a_decimal_point_and_the_answer_has_one_too(self) -> None:
        for formula, value in COMMAS:
            with self.subTest(formula):
                found = work_out(read_formula(formula))
                self.assertIn((value,), [offer.lines for offer in found])

    def test_what_parts_numbers_stays_what_it_is(self) -> None:
        for text in ("(2,3)", "{1,2,3}", "f(1,5)", "1, 5", "1,000", "12,500", "1,2,3", "x_{1,2}", r"\{1,5\}"):
            self.assertEqual(with_decimal_commas(text, "!"), text)
        for text, meant in (
            ("3,5", "3!5"),
            ("0,125", "0!125"),
            ("(1,5+x)", "(1!5+x)"),
            ("1,5x+2,25", "1!5x+2!25"),
        ):
            self.assertEqual(with_decimal_commas(text, "!"), meant)

    @given(st.integers(0, 999), st.integers(0, 99))
    def test_it_is_worth_what_the_point_is(self, whole: int, part: int) -> None:
        self.assertEqual(
            meaning_of(read_formula(f"{whole},{part:02}")), meaning_of(read_formula(f"{whole}.{part:02}"))
        )


class Checking(unittest.TestCase):
    def test_the_lines_of_a_formula_are_held_against_each_other(self) -> None:
        rows = lines_of(read_formula("2x+3=7\n2x=10\n\nx=5"))
        self.assertEqual([latex_of(row) for row in rows], ["2x+3=7", "2x=10", "x=5"])
        self.assertEqual(len(lines_of(read_formula(r"\begin{cases} x+y=1 \\ x-y=3 \end{cases}"))), 1)

    def test_each_line_is_held_against_the_one_before(self) -> None:
        for lines, verdicts, key in CHECKED:
            with self.subTest(lines):
                found = check_working([read_formula(line) for line in lines])
                self.assertEqual([line.verdict for line in found], verdicts)
                said = [line.sentence.key for line in found if line.sentence]
                self.assertEqual(said, [key] if key else [])

    @settings(max_examples=40, deadline=None)
    @given(st.integers(-9, 9), st.integers(1, 9), st.integers(-9, 9), st.integers(-9, 9))
    def test_what_is_done_to_both_sides_follows(self, x: int, a: int, b: int, more: int) -> None:
        right = a * x + b
        lines = [f"{a}x+({b})={right}", f"{a}x+({b})+({more})={right + more}", f"{a}x={right - b}", f"x={x}"]
        found = check_working([read_formula(line) for line in lines])
        self.assertEqual([line.verdict for line in found], ["first", *["follows"] * 3])
        wrong = check_working([read_formula(line) for line in (lines[0], f"x={x + 1}")])
        self.assertEqual(wrong[1].verdict, "does_not")


if __name__ == "__main__":
    unittest.main()


SPOKEN = (
    ("x^2-5x+6=0", "x squared minus 5 x plus 6 equals 0", "x hoch zwei minus 5 x plus 6 gleich 0"),
    ("1/2", "1 over 2", "1 durch 2"),
    ("(a+b)/2", "the fraction a plus b over 2 end of fraction", "Bruch a plus b durch 2 Ende des Bruchs"),
    ("|x-3|<=2", "the absolute value of x minus 3 end of absolute value is at most 2", "Betrag von x minus 3 Ende des Betrags kleiner oder gleich 2"),
    ("sum_(k=1)^n k", "the sum from k equals 1 to n of k", "Summe von k gleich 1 bis n über k"),
    ("2x=4\nx=2", "Line 1: 2 x equals 4. Line 2: x equals 2.", "Zeile 1: 2 x gleich 4. Zeile 2: x gleich 2."),
    ("f'(x)=a_n", "f prime open bracket x close bracket equals a sub n", "f Strich Klammer auf x Klammer zu gleich a Index n"),
    (r"\vec{a}+\Delta", "vector a plus capital delta", "Vektor a plus groß delta"),
)  # fmt: skip


class Spoken(unittest.TestCase):
    #: Keys that every language has.
    known = frozenset.intersection(*(frozenset(catalogue(language)) for language in LANGUAGES))

    def test_a_formula_in_words_of_two_languages(self) -> None:
        for typed, english, german in SPOKEN:
            row = read_formula(typed)
            self.assertEqual(spoken(row, lambda key, values: say(key, values, "en")), english)
            self.assertEqual(spoken(row, lambda key, values: say(key, values, "de")), german)

    @settings(max_examples=60, deadline=None)
    @given(notations)
    def test_whatever_can_be_written_is_told_by_words_that_every_language_has(self, row: Row) -> None:
        asked: list[str] = []

        def heard(key: str, values: Mapping[str, str | int | float]) -> str:
            asked.append(key)
            return f"{key} {' '.join(map(str, values.values()))}"

        told = spoken(row, heard)
        self.assertNotIn("\\", told)
        self.assertLessEqual(set(asked), self.known)

    def test_every_sign_that_has_words_is_in_the_catalogues(self) -> None:
        for prefix, words in (
            ("sign", SIGNS_SAID.values()),
            ("function", FUNCTIONS_SAID),
            ("mark", MARKS_SAID.values()),
        ):
            self.assertLessEqual({f"spoken-{prefix}-{word}" for word in words}, self.known)


class Numbered(unittest.TestCase):
    def test_the_number_stands_to_the_right_and_changes_nothing_else(self) -> None:
        plain, numbered = set_formula("a^2+b^2=c^2"), set_formula("a^2+b^2=c^2", "12")
        self.assertGreater(numbered.width, plain.width + 2)
        self.assertAlmostEqual(numbered.baseline, plain.baseline, 1)
        self.assertTrue(numbered.outline.startswith(plain.outline[:200]))
        item = FormulaItem(id="formula-1", formula="x=1", size=30, colour="#000000", number="1")
        check_item(item)
        self.assertGreater(formula_set(item).width, set_formula("x=1").width)
        for odd in ("123456789", "1\n2"):
            with self.assertRaises(MalformedError):
                check_item(msgspec.structs.replace(item, number=odd))


class FromMathml(unittest.TestCase):
    def test_what_is_printed_as_mathml_is_read_back(self) -> None:
        for typed in (
            "x^2+2x-3=0", "(a+b)/2", "x_(1,2)=(-b+-sqrt(b^2-4ac))/(2a)", "sum_(k=1)^n k", "int_0^1 x^2 dx", "2H2+O2->2H2O",
            "lim_(x->0) sin(x)/x", "a<=b", r"\vec{a}+\overline{AB}", r"\begin{pmatrix}1&2\\3&4\end{pmatrix}", "root(3,x)", "alpha != beta",
        ):  # fmt: skip
            with self.subTest(typed):
                row = read_formula(typed)
                self.assertEqual(latex_of(read_formula(latex_of_mathml(mathml_of(row)))), latex_of(row))

    def test_what_other_programs_write(self) -> None:
        office = (
            '<?xml version="1.0"?><mml:math xmlns:mml="http://www.w3.org/1998/Math/MathML"><mml:semantics><mml:mrow><mml:mi>tan</mml:mi>'
            "<mml:mo>&#x2061;</mml:mo><mml:mi>θ</mml:mi><mml:mo>=</mml:mo><mml:mfrac><mml:mi>h</mml:mi><mml:mi>s</mml:mi></mml:mfrac></mml:mrow>"
            '<mml:annotation encoding="x">tan</mml:annotation></mml:semantics></mml:math>'
        )
        self.assertEqual(
            latex_of(read_formula(latex_of_mathml(office))), latex_of(read_formula("tan theta = h/s"))
        )

    def test_what_is_hostile_or_no_formula_is_said(self) -> None:
        for text in (
            "<math>", "<math><script>x</script></math>", '<!DOCTYPE m [<!ENTITY a "b">]><math><mi>&a;</mi></math>',
            "<math>" + "<mrow>" * 60 + "<mi>x</mi>" + "</mrow>" * 60 + "</math>", "<math><mi>" + "x" * 30_000 + "</mi></math>",
            "<math>" + "<mi>x</mi>" * 1_200 + "</math>", "<math><mi>☃</mi></math>", "<math></math>", r"<math><mo>\\</mo></math>",
        ):  # fmt: skip
            with self.subTest(text[:40]), self.assertRaises(MalformedError):
                latex_of_mathml(text)
