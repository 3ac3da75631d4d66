"""What formulas are worth: values, solutions, quantities, reactions, and whether lines of working follow from each other."""

from __future__ import annotations

import unittest
from contextlib import suppress

from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.errors import MalformedError
from sunroom.core.maths.checking import check_working
from sunroom.core.maths.chemistry import balanced, chemistry_of, molar_mass, reaction_of, surplus
from sunroom.core.maths.grammar import meaning_of
from sunroom.core.maths.notation import (
    Row,
    latex_of,
    lines_of,
    upright,
)
from sunroom.core.maths.setting import set_formula
from sunroom.core.maths.steps import steps_of
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.work import work_out

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

    @settings(max_examples=60)
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


#: Formulas, the words before each, and how each line stands to the one before.
LED = [
    (["3x+4=10", "3x=6", "x=2"], ["Solve:", "", "so"], ["first", "follows", "follows"]),
    (["3x+4=10", "3x=6", "x=3"], ["", "Also folgt", "⇒ x ist"], ["first", "follows", "cannot_tell"]),
    (["3x+4=10", "3x=6", "x=3"], ["", "", "d’où"], ["first", "follows", "does_not"]),
    (["3x+4=10", "x=2", "6+4=10"], ["", "so", "Check:"], ["first", "follows", "right"]),
    (["2x=4", "x^2=9"], ["1)", "2)"], ["first", "cannot_tell"]),
    (["2x=4", "x^2=9"], ["b)", "c)"], ["first", "cannot_tell"]),
    (["3x=6", "x=2"], ["", "divide both sides by 3"], ["first", "follows"]),
    (["x^2=4", "x=2", "x=-2"], ["", "so", "or"], ["first", "follows"]),
    (["x^2=4", "x=2", "x=-2"], ["", "also", "und"], ["first", "follows"]),
    (["x^2=4", "x=2", "x=3"], ["", "", "o"], ["first", "does_not"]),
    (["x+y=3, x-y=1", "x=2", "y=1"], ["", "donc", "et"], ["first", "follows"]),
    (["x^2=4", r'"so" x=2 "or" x=-2'], [], ["first", "follows"]),
    (["3x=6", r'"check" x=2'], [], ["first", "cannot_tell"]),
    (["2+1", "x=3"], ["and", "and"], ["first", "cannot_tell"]),
]

#: Statements about numbers, each by itself, with what shows it.
STATED = [
    (["7+5=12", "12-5=8", "3*4=12"], ["right", "wrong", "right"], {"one": "7", "other": "8"}),
    (
        ["3x+4=10", "x=2", "3*2+4=11", "2x=4"],
        ["first", "follows", "wrong", "follows"],
        {"one": "10", "other": "11"},
    ),
    (["7+5=12", "x=3", "2x=6"], ["right", "first", "follows"], None),
    (
        ["3(2+4)=18", "=9*2", "=19"],
        ["right", "follows", "does_not"],
        {"where": "", "one": "18", "other": "19"},
    ),
    (["5<4", "1<2<=2", "1<3<2"], ["wrong", "right", "wrong"], {"one": "5", "other": "4"}),
    (["sqrt(2)=1.41", "1/3~~0.33", "2/3=0.67"], ["right", "right", "right"], {"value": "1.41421"}),
    (["1/3=0.33=0.3333", "1/3=0.33=1"], ["right", "wrong"], {"value": "0.333333"}),
    (["2/3=0.66", "1/6=0.1667"], ["wrong", "right"], {"one": "0.666667", "other": "0.66"}),
    (
        [r"1\mathrm{km}=1000\mathrm{m}", r"1\mathrm{h}=50\mathrm{min}"],
        ["right", "wrong"],
        {"one": "1 h", "other": "0.833333 h"},
    ),
    (["22/7~~pi", "2=2"], ["cannot_tell", "right"], None),
    ([r"1\mathrm{h}=50\mathrm{m}", "1/0=5", "sqrt(-1)=1", "x=2"], ["cannot_tell"] * 3 + ["first"], {}),
]


class Checking(unittest.TestCase):
    def test_the_lines_of_a_formula_are_held_against_each_other(self) -> None:
        rows = lines_of(read_formula("2x+3=7\n2x=10\n\nx=5"))
        self.assertEqual([latex_of(row) for row in rows], ["2x+3=7", "2x=10", "x=5"])
        self.assertEqual(len(lines_of(read_formula(r"\begin{cases} x+y=1 \\ x-y=3 \end{cases}"))), 1)

    def test_each_line_is_held_against_the_one_before(self) -> None:
        for lines, verdicts, key in CHECKED:
            with self.subTest(lines):
                found = check_working(steps_of([read_formula(line) for line in lines]))
                self.assertEqual([line.verdict for line in found], verdicts)
                said = [line.sentence.key for line in found if line.sentence]
                self.assertEqual(said, [key] if key else [])

    def test_words_lead_into_a_line_join_it_or_part_it_from_the_one_before(self) -> None:
        for formulas, words, verdicts in LED:
            with self.subTest(formulas):
                steps = steps_of([read_formula(formula) for formula in formulas], words)
                self.assertEqual([line.verdict for line in check_working(steps)], verdicts)

    def test_what_begins_a_column_may_begin_anew(self) -> None:
        rows = [read_formula(line) for line in ("2x=4", "x=2", "3x=9", "x=3")]
        for words in ((), ("", "", "or", "")):
            verdicts = [line.verdict for line in check_working(steps_of(rows, words, (2,)))]
            self.assertEqual(verdicts, ["first", "follows", "cannot_tell", "follows"])

    def test_a_statement_about_numbers_is_right_or_wrong_by_itself(self) -> None:
        for formulas, verdicts, values in STATED:
            with self.subTest(formulas):
                found = check_working(steps_of([read_formula(formula) for formula in formulas]))
                self.assertEqual([line.verdict for line in found], verdicts)
                shown = [line.sentence.values for line in found if line.sentence]
                self.assertEqual(shown[:1], [] if values is None else [values])

    def test_what_is_joined_stands_where_its_last_part_does(self) -> None:
        steps = steps_of(
            [read_formula(line) for line in (r"x^2=4\\x^2-4=0", "x=2", "x=-2")], ("", "so", "or")
        )
        places = [(step.formula, step.line, step.lines) for step in steps]
        self.assertEqual(places, [(0, 0, 2), (0, 1, 2), (2, 0, 1)])
        self.assertEqual(latex_of(steps[-1].row), r"x=2\vee x=-2")

    @settings(max_examples=40)
    @given(st.integers(-9, 9), st.integers(1, 9), st.integers(-9, 9), st.integers(-9, 9))
    def test_what_is_done_to_both_sides_follows(self, x: int, a: int, b: int, more: int) -> None:
        right = a * x + b
        lines = [f"{a}x+({b})={right}", f"{a}x+({b})+({more})={right + more}", f"{a}x={right - b}", f"x={x}"]
        found = check_working(steps_of([read_formula(line) for line in lines]))
        self.assertEqual([line.verdict for line in found], ["first", *["follows"] * 3])
        wrong = check_working(steps_of([read_formula(line) for line in (lines[0], f"x={x + 1}")]))
        self.assertEqual(wrong[1].verdict, "does_not")


if __name__ == "__main__":
    unittest.main()
