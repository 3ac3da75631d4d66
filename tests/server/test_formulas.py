"""Formulas over HTTP and on the line: set, worked out, checked; kept on disk as they were set; and what is hostile."""

from __future__ import annotations

import json
from pathlib import Path
from typing import Any
from unittest import mock
from urllib.error import HTTPError

import msgspec
import numpy as np

from sunroom.boards import models, store
from sunroom.core.board import FormulaItem, GraphItem, InkItem
from sunroom.core.board.requests import AsWritten, EditFormula, SetMaths
from sunroom.core.board.steps import AddItems
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import SetPens, SetRights
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLine
from sunroom.core.maths.notation import latex_of
from sunroom.core.maths.typed import read_formula
from sunroom.live.doors import formulas
from sunroom.live.wire.readings import Read, Readings
from tests.server.test_out import OutTest

HANDS = Path(__file__).parents[2] / "bench" / "hands" / "maths"
KM_AN_HOUR = r"72\,\mathrm{km}/\mathrm{h}"


def bars() -> tuple[InkItem, ...]:
    """Two level strokes: an equals sign."""
    rows = [np.array([(x, y, 0.5, x) for x in range(0, 60, 4)], float) for y in (0, 18)]
    return tuple(
        InkItem(id=f"stroke-{n}", nib="pen", colour="#16222b", width=3, samples=pack_samples(row))
        for n, row in enumerate(rows)
    )


def written(latex: str, name: str = "formulas") -> tuple[InkItem, ...]:
    """A formula in one of the hands that the reader is measured on."""
    rows_of_set = json.loads((HANDS / f"{name}.json").read_text())
    row = next(row for row in rows_of_set if row["latex"] == latex)
    strokes = [np.array(flat, float).reshape(-1, 2) * 0.44 for flat in row["strokes"]]
    rows = [np.column_stack([s, np.full(len(s), 0.5), np.arange(len(s)) * 8.0]) for s in strokes]
    return tuple(
        InkItem(id=f"written-{n:02}", nib="pen", colour="#16222b", width=3, samples=pack_samples(row))
        for n, row in enumerate(rows)
    )


class Formulas(OutTest):
    def ask(self, path: str, value: Any) -> Any:
        return self.tutor_web.post(f"/api/formulas{path}", value)

    def problem(self, path: str, value: Any) -> tuple[int, str]:
        with self.assertRaises(HTTPError) as caught:
            self.ask(path, value)
        return caught.exception.code, json.loads(caught.exception.read())["problem"]["key"]

    def kept(self) -> list[FormulaItem]:
        """The formulas that are on disk."""
        board = store.load(models.Board.objects.get(uid=self.board).pk)
        return [
            item for page in board.in_order() for item in page.in_order() if isinstance(item, FormulaItem)
        ]

    def test_a_typed_formula_is_set_and_given_in_open_formats(self) -> None:
        made = self.ask("", {"formula": "(a+b)/2"})
        self.assertEqual(made["latex"], r"\frac{a+b}{2}")
        self.assertIn("<mfrac>", made["mathml"])
        self.assertTrue(made["look"]["outline"].startswith("M"))
        self.assertEqual(self.problem("", {"formula": r"\foo"}), (400, "a-formula-has-an-odd"))
        self.assertEqual(self.problem("", {"formula": "x" * 5_000}), (400, "a-formula-has-at-most"))

    def test_formulas_are_told_in_the_browsers_language_within_bounds(self) -> None:
        told = self.ask("/spoken", {"formulas": ["x^2", "a/b", "(", ""]})
        self.assertEqual(told, ["x squared", "a over b", "(", ""])
        self.assertEqual(self.problem("/spoken", {"formulas": ["x"] * 61})[0], 400)
        self.assertEqual(self.problem("/spoken", {"formulas": ["x" * 5_000]})[0], 400)
        with mock.patch.object(formulas, "SPENT_MS", -1):
            self.assertEqual(
                self.problem("/spoken", {"formulas": ["x"]})[0], 429, "others' time is not theirs"
            )

    def test_a_number_is_set_with_the_formula_and_an_odd_one_is_said(self) -> None:
        plain, numbered = (self.ask("", {"formula": "a=b", "number": number}) for number in ("", "7"))
        self.assertGreater(numbered["look"]["width"], plain["look"]["width"])
        self.assertTrue(numbered["latex"].endswith(r"\tag{7}"))
        for odd in ("1\n2", "123456789"):
            self.assertEqual(self.problem("", {"formula": "a=b", "number": odd})[0], 400)

    def test_it_is_worked_out_and_what_is_too_much_is_said_in_time(self) -> None:
        offers = self.ask("/worked-out", {"formula": "2x+3=7"})
        self.assertIn(("solved", "x=2"), [(offer["kind"], offer["formula"]) for offer in offers])
        self.assertTrue(all(offer["look"] for offer in offers))
        for hostile in ("9^9^9^9", "sum_(k=1)^(10^9) k", "sin(cos(tan(x^x^x)))=x^17"):
            status, _ = self.problem("/worked-out", {"formula": hostile})
            self.assertEqual(status, 422, hostile)
        self.assertTrue(self.ask("/worked-out", {"formula": "2/4"}), "the workers are there again")

    def test_lines_are_checked(self) -> None:
        found = self.ask("/checked", {"formulas": ["2x+3=7", "2x=10", "x=5"]})
        self.assertEqual([line["verdict"] for line in found], ["first", "does_not", "follows"])
        several = self.ask("/checked", {"formulas": ["2x+3=7\n2x=4", "x=2"]})
        places = [(line["formula"], line["line"], line["lines"]) for line in several]
        self.assertEqual(places, [(0, 0, 2), (0, 1, 2), (1, 0, 1)])
        self.assertEqual([line["verdict"] for line in several], ["first", "follows", "follows"])
        self.assertTrue(all(line["look"]["outline"] for line in several))
        led = {"formulas": ["3x+4=10", "x = 2", "6+4=10"], "words": ["", "so", "Check:"]}
        self.assertEqual(
            [line["verdict"] for line in self.ask("/checked", led)], ["first", "follows", "right"]
        )
        odd = self.ask("/checked", {"formulas": ["x=1", "3 {4 = = 5", "x=1"], "words": ["too", "few"]})
        self.assertEqual([line["verdict"] for line in odd], ["first", "cannot_tell", "follows"])
        self.assertEqual(self.problem("/checked", {"formulas": ["x=1"]})[0], 422)
        self.assertEqual(self.problem("/checked", {"formulas": []})[0], 400)
        self.assertEqual(self.problem("/checked", {"formulas": ["x=1"] * 100})[0], 400)

    def test_mathml_becomes_what_would_be_typed(self) -> None:
        mathml = "<math><msup><mi>x</mi><mn>2</mn></msup></math>"
        self.assertEqual(self.ask("/mathml", {"formula": mathml})["formula"], "x^{2}")
        self.assertEqual(
            self.problem("/mathml", {"formula": "<math>"}), (400, "that-mathml-is-not-understood")
        )
        self.assertEqual(self.problem("/mathml", {"formula": "<math>" + " " * 30_000})[0], 400)

    def test_a_graphs_named_places_are_told(self) -> None:
        graph = GraphItem(
            id="graph-001", width=300, height=200, ranges=Ranges(-5, 5, -4, 4), lines=(GraphLine("x^2-1", "#1f5fa8"), GraphLine("x^2+y^2=1", "#1f5fa8"))
        )  # fmt: skip
        asked = {"graph": msgspec.to_builtins(graph), "line": 0, "at": 2.0, "low": 0.0, "high": 3.0}
        told = self.tutor_web.post("/api/graphs/places", asked)
        self.assertEqual(
            {(p["kind"], p["x"]) for p in told["places"]},
            {("zero", -1), ("zero", 1), ("start", 0), ("lowest", 0)},
        )
        self.assertEqual((told["at"]["y"], round(told["at"]["slope"], 3), round(told["area"], 3)), (3, 4, 6))
        for wrong in ({"line": 1}, {"line": 9}, {"at": 1e99}):
            with self.subTest(wrong), self.assertRaises(HTTPError) as caught:
                self.tutor_web.post("/api/graphs/places", asked | wrong)
            self.assertEqual(caught.exception.code, 400)

    def test_the_server_alone_says_how_a_formula_looks(self) -> None:
        forged = FormulaItem(
            id="formula-1", formula="x^2", size=24, colour="#16222b", outline="M0 0Z", width=900.0
        )
        self.do(self.tutor, AddItems(self.page, (forged,)))
        (kept,) = self.kept()
        self.assertNotEqual(kept.outline, "M0 0Z")
        self.assertLess(kept.width, 3)
        self.do(self.tutor, EditFormula(self.page, "formula-1", "x^3"))
        (edited,) = self.kept()
        self.assertEqual(edited.formula, "x^3")
        self.assertNotEqual(edited.outline, kept.outline)
        for bad in (r"\frac{1}", "((("):
            self.refused(self.tutor, EditFormula(self.page, "formula-1", bad), "malformed")

    def test_ink_becomes_a_formula_and_comes_back(self) -> None:
        ink = written(r"\frac{x+1}{x-1}=2")
        ids = tuple(item.id for item in ink)
        self.do(self.tutor, AddItems(self.page, ink))
        self.tutor.send(Read(7, self.page, ids))
        found = self.tutor.hear(Readings, lambda readings: readings.ref == 7)
        self.assertTrue(found.maths_first)
        self.assertIn(r"\frac", found.formulas[0].formula)
        self.assertTrue(found.formulas[0].outline)
        self.do(self.tutor, SetMaths(self.page, ids, "formula-1", found.formulas[0].formula))
        (made,) = self.kept()
        self.assertEqual(len(made.ink), len(ink))
        self.do(self.tutor, AsWritten(self.page, ("formula-1",)))
        self.assertEqual(self.kept(), [])
        self.do(self.tutor, SetMaths(self.page, ids[:1], "formula-2", "x"))
        self.assertEqual(len(self.kept()), 1, "the ink is there again")

    def test_what_is_written_in_one_line_is_set_and_kept_in_one_line(self) -> None:
        for at, (latex, kept) in enumerate((("72km/h", KM_AN_HOUR), ("n!=n(n-1)!", "n!=n(n-1)!"))):
            ink = [
                msgspec.structs.replace(item, id=f"{item.id}-{at}")
                for item in written(latex, "formulas-last")
            ]
            ids = tuple(item.id for item in ink)
            self.do(self.tutor, AddItems(self.page, tuple(ink)))
            self.tutor.send(Read(at, self.page, ids))
            found = self.tutor.hear(Readings, lambda readings, at=at: readings.ref == at)
            self.do(self.tutor, SetMaths(self.page, ids, f"formula-{at}", found.formulas[0].formula))
            # Typed by keys the one would be a fraction, the other would say that they differ. What can only be units is upright.
            self.assertEqual(latex_of(read_formula(self.kept()[-1].formula)), kept)

    def test_a_pen_without_the_right_for_formulas_sets_none(self) -> None:
        line, _ = self.student()
        self.tell(SetPens("up"))
        self.tell(SetRights(("write", "text", "shape", "convert", "move_own")))
        formula = FormulaItem(id="formula-1", formula="x^2", size=24, colour="#16222b")
        self.refused(line, AddItems(self.page, (formula,)), "not_in_kit")
        self.do(line, AddItems(self.page, bars()))
        self.refused(line, SetMaths(self.page, ("stroke-0", "stroke-1"), "formula-1", "="), "not_in_kit")

    def test_nobody_has_more_of_the_workers_than_their_share(self) -> None:
        with mock.patch.object(formulas, "SPENT_MS", 0):
            self.ask("/worked-out", {"formula": "2/4"})
            with self.assertRaises(HTTPError) as caught:
                for _ in range(40):
                    self.ask("/worked-out", {"formula": "x^3-6x^2+11x-6=0"})
            self.assertEqual(caught.exception.code, 429)
        self.assertTrue(self.ask("/worked-out", {"formula": "2/4"}), "what was not used is given back")
