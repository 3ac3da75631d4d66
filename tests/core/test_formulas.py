"""Formulas: typed and printed, set, understood, worked out and checked, within their limits."""

from __future__ import annotations

import unittest
from collections.abc import Mapping

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import FormulaItem
from sunroom.core.board.laying import formula_set
from sunroom.core.board.limits import check_item
from sunroom.core.errors import MalformedError
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
    ("½ mv²", r"\frac{1}{2}mv^{2}"),
    ("2½+∛8", r"2\frac{1}{2}+\sqrt[3]{8}"),
    ("3 – 2\u00a0x", "3-2x"),
    ("f’(x)=1⁄x", r"f'(x)=\frac{1}{x}"),
    ("２x＋３＝\ufeff7", "2x+3=7"),
    ("x<>0 “for good – or not”", r"x\ne0\text{for good – or not}"),
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


class Typed(unittest.TestCase):
    def test_typed_maths_is_the_latex_that_is_meant(self) -> None:
        for typed, latex in TYPED:
            with self.subTest(typed):
                self.assertEqual(latex_of(read_formula(typed)), latex)

    @settings(max_examples=300)
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

    @settings(max_examples=40)
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

    @settings(max_examples=60)
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
