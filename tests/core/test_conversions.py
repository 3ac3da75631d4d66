"""Ink to type and to figures and back, on the board: what goes, what comes, and what is inside it."""

from __future__ import annotations

import math
import statistics
from unittest import TestCase

import msgspec
import numpy as np

from sunroom.core.board import (
    Board,
    FormulaItem,
    InkItem,
    PageHead,
    ShapeItem,
    TextItem,
    apply,
    invert,
    needs,
    resolve,
)
from sunroom.core.board.beside import ink_beside
from sunroom.core.board.items import carried, item_box
from sunroom.core.board.planning import pack_board, plan, unpack_board
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    ConvertEach,
    CopyPage,
    GoneError,
    RubItems,
    SetMaths,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
    check_request,
)
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems, ReplaceItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.maths.setting import set_row
from sunroom.core.maths.tokens import at_relation
from sunroom.core.maths.typed import read_formula
from sunroom.core.pens import Actor
from tests import strategies as make

PAGE = "page-001"
TYPESETTER = make.even_typesetter()


def ink(item_id: str, x: float = 100, y: float = 50, **more: object) -> InkItem:
    rows = np.array([(0, 0, 0.5, 0), (30, 18, 0.6, 8), (60, 2, 0.4, 16)], float)
    values = {"nib": "pen", "colour": "#1f5fa8", "width": 3, "samples": pack_samples(rows)}
    return InkItem(id=item_id, x=x, y=y, **{**values, **more})  # type: ignore[arg-type]


def board_of(*items: InkItem) -> Board:
    board = apply(Board(), AddPage(PageHead(PAGE), 0))
    return after(board, AddItems(PAGE, items))


def after(board: Board, request: object, seat: str = "seat-a") -> Board:
    return apply(board, resolve(board, request, seat, 1, TYPESETTER))  # type: ignore[arg-type]


def only(board: Board, kind: type) -> list:
    return [item for item in board.pages[PAGE].in_order() if isinstance(item, kind)]


def shape_of(
    stroke_id: str, shape_id: str, figure: str = "line", points: tuple = ((100, 50), (160, 50))
) -> TrueUp:
    return TrueUp(PAGE, (stroke_id,), shape_id, figure, points, figure == "rectangle", False)  # type: ignore[arg-type]


def placed(strokes: list[InkItem]) -> list[np.ndarray]:
    return [stroke.placement.points(unpack_samples(stroke.samples)[:, :2]) for stroke in strokes]


class Typing(TestCase):
    def setUp(self) -> None:
        self.board = board_of(ink("stroke-1"), ink("stroke-2", 180))
        self.typed = after(self.board, Typeset(PAGE, ("stroke-1", "stroke-2"), "text-001", "noon"))

    def test_words_beside_each_other_become_texts_of_their_own_each_with_the_lines_below_it(self) -> None:
        strokes = (ink("stroke-1"), ink("stroke-2", 500), ink("stroke-3", 510, 120), ink("stroke-4", 90, 120))
        ids, lines = tuple(s.id for s in strokes), tuple((s.id,) for s in strokes)
        more = ("text-002", "text-003", "text-004")
        request = Typeset(PAGE, ids, "text-001", "sun\nnoon\nray\nat", more=more, lines=lines)
        board = board_of(*strokes)
        texts = sorted(only(after(board, request), TextItem), key=lambda text: text.id)
        self.assertEqual(
            {(t.id, t.text) for t in texts}, {("text-001", "sun\nat"), ("text-002", "noon\nray")}
        )
        self.assertEqual(
            [tuple(s.id for s in t.ink) for t in texts], [("stroke-1", "stroke-4"), ("stroke-2", "stroke-3")]
        )
        self.assertEqual([t.x for t in texts], [item_box(strokes[n]).x0 for n in (3, 1)])
        back = after(after(board, request), AsWritten(PAGE, ("text-001", "text-002")))
        self.assertEqual(len(only(back, InkItem)), 4)

    def test_a_line_that_is_much_larger_is_a_text_of_its_own(self) -> None:
        large = [carried(ink(f"stroke-{n}", 60 * n), Affine(2, 0, 0, 2)) for n in (1, 2)]
        small = [ink(f"stroke-{n}", 100, 60 * n) for n in (4, 5)]
        strokes = (*large, *small)
        board = board_of(*strokes)
        lines = (tuple(s.id for s in large), *((s.id,) for s in small))
        ids = tuple(s.id for s in strokes)
        request = Typeset(
            PAGE, ids, "text-001", "noon\nnoon\nnoon", more=("text-002", "text-003"), lines=lines
        )
        texts = only(after(board, request), TextItem)
        self.assertEqual([text.text for text in texts], ["noon", "noon\nnoon"])
        self.assertGreater(texts[0].size, 1.5 * texts[1].size)

    def test_lines_that_are_not_just_the_strokes_there_are_make_one_text(self) -> None:
        board = board_of(ink("stroke-1"), ink("stroke-2", 500))
        ids = ("stroke-1", "stroke-2")
        for text, more, lines in (
            ("sun\nnoon", ("text-002",), (("stroke-1",), ("stroke-1",))),
            ("sun\nnoon", (), (("stroke-1",), ("stroke-2",))),
            ("sun", ("text-002",), (("stroke-1",), ("stroke-2",))),
            ("sun\nnoon", ("text-002",), (("stroke-1",), ("stroke-9",))),
        ):
            (made,) = only(
                after(board, Typeset(PAGE, ids, "text-001", text, more=more, lines=lines)), TextItem
            )
            self.assertEqual((made.text, len(made.ink)), (text, 2))
        taken = after(
            board_of(*only(board, InkItem), ink("stroke-3")), Typeset(PAGE, ("stroke-3",), "text-002", "a")
        )
        lines = (("stroke-1",), ("stroke-2",))
        with self.assertRaises(GoneError):
            after(taken, Typeset(PAGE, ids, "text-001", "sun\nnoon", more=("text-002",), lines=lines))

    def test_the_words_stand_where_the_ink_stood_in_its_colour(self) -> None:
        (text,) = only(self.typed, TextItem)
        before = Box.union(item_box(stroke) for stroke in only(self.board, InkItem))
        assert before is not None
        self.assertEqual((text.text, text.colour, text.by), ("noon", "#1f5fa8", "seat-a"))
        self.assertTrue(item_box(text).overlaps(before))
        self.assertAlmostEqual(text.x, before.x0)

    def test_as_written_is_the_identity_on_the_ink(self) -> None:
        back = after(self.typed, AsWritten(PAGE, ("text-001",)))
        for a, b in zip(placed(only(back, InkItem)), placed(only(self.board, InkItem)), strict=True):
            np.testing.assert_allclose(a, b, atol=1e-3)

    def test_the_ink_comes_back_at_the_words_present_place_and_size(self) -> None:
        moved = after(self.typed, MoveItems(PAGE, ("text-001",), 40, -10))
        grown = after(moved, TransformItems(PAGE, ("text-001",), Affine.about(140, 40, 2, 0, 0, 2)))
        along = Affine.about(140, 40, 2, 0, 0, 2).after(Affine(e=40, f=-10))
        back = after(grown, AsWritten(PAGE, ("text-001",)))
        for a, b in zip(placed(only(back, InkItem)), placed(only(self.board, InkItem)), strict=True):
            np.testing.assert_allclose(a, along.points(b), atol=1e-2)

    def test_in_a_group_and_as_a_copy_the_ink_is_still_there(self) -> None:
        grouped = after(self.typed, ArrangeItems(PAGE, ("text-001",), "group", "group-01"))
        (text,) = only(grouped, TextItem)
        copy = msgspec.structs.replace(text, id="text-copy", x=text.x + 300)
        copied = after(grouped, AddItems(PAGE, (copy,)), "seat-b")
        back = after(copied, AsWritten(PAGE, ("text-copy",)), "seat-b")
        strokes = only(back, InkItem)
        self.assertEqual(len(strokes), 2)
        self.assertEqual({stroke.by for stroke in strokes}, {"seat-b"})
        for a, b in zip(placed(strokes), placed(only(self.board, InkItem)), strict=True):
            np.testing.assert_allclose(a, b + (300, 0), atol=1e-3)

    def test_undo_brings_the_very_same_ink(self) -> None:
        step = resolve(self.board, Typeset(PAGE, ("stroke-1",), "text-001", "n"), "seat-a", 1, TYPESETTER)
        back = apply(apply(self.board, step), invert(self.board, step))
        self.assertEqual(back.pages[PAGE].in_order(), self.board.pages[PAGE].in_order())

    def test_what_is_gone_is_not_typed_and_what_is_left_is(self) -> None:
        gone = after(self.board, RemoveItems(PAGE, ("stroke-1",)))
        typed = after(gone, Typeset(PAGE, ("stroke-1", "stroke-2"), "text-001", "noon"))
        (text,) = only(typed, TextItem)
        self.assertEqual(len(text.ink), 1)
        with self.assertRaises(GoneError):
            after(typed, Typeset(PAGE, ("stroke-1",), "text-002", "noon"))
        with self.assertRaises(GoneError):
            after(self.typed, AsWritten(PAGE, ("stroke-1",)))

    def test_lines_are_kept_and_no_word_is_too_small_to_read(self) -> None:
        tiny = board_of(
            ink("stroke-1", samples=pack_samples(np.array([(0, 0, 0.5, 0), (2, 1, 0.5, 8)], float)))
        )
        typed = after(tiny, Typeset(PAGE, ("stroke-1",), "text-001", "one\ntwo"))
        (text,) = only(typed, TextItem)
        self.assertEqual(len(text.lines), 2)
        self.assertGreaterEqual(text.size, 10)


class TypingATiltedLine(TestCase):
    """Ink along a line that runs down to the right by 30°."""

    TILT = math.radians(30)

    def setUp(self) -> None:
        turn = Affine.turn(self.TILT)
        self.level = [ink("stroke-1"), ink("stroke-2", 180)]
        self.board = board_of(*(carried(stroke, turn) for stroke in self.level))
        request = Typeset(PAGE, ("stroke-1", "stroke-2"), "text-001", "noon", self.TILT)
        self.typed = after(self.board, request)

    def test_the_words_run_as_their_ink_ran(self) -> None:
        (text,) = only(self.typed, TextItem)
        level = after(board_of(*self.level), Typeset(PAGE, ("stroke-1", "stroke-2"), "text-001", "noon"))
        expected = carried(only(level, TextItem)[0], Affine.turn(self.TILT))
        self.assertAlmostEqual(text.size, expected.size)
        np.testing.assert_allclose(
            (*text.map, text.x, text.y), (*expected.map, expected.x, expected.y), atol=1e-6
        )

    def test_as_written_is_the_identity_on_the_ink_wherever_the_words_have_gone(self) -> None:
        there = Affine(0, 2, -2, 0, 50, -70)
        gone = after(self.typed, TransformItems(PAGE, ("text-001",), there))
        for typed, along in ((self.typed, Affine()), (gone, there)):
            back = after(typed, AsWritten(PAGE, ("text-001",)))
            for a, b in zip(placed(only(back, InkItem)), placed(only(self.board, InkItem)), strict=True):
                np.testing.assert_allclose(a, along.points(b), atol=1e-2)

    def test_a_line_that_hardly_tilts_is_set_level(self) -> None:
        request = Typeset(PAGE, ("stroke-1", "stroke-2"), "text-001", "noon", math.radians(2))
        (text,) = only(after(self.board, request), TextItem)
        self.assertEqual(text.map, (1.0, 0.0, 0.0, 1.0))

    def test_an_angle_is_one(self) -> None:
        for angle in (math.nan, math.inf, 4.0):
            with self.assertRaises(MalformedError):
                check_request(Typeset(PAGE, ("stroke-1",), "text-001", "noon", angle))


class Truing(TestCase):
    def setUp(self) -> None:
        self.board = board_of(ink("stroke-1"), ink("stroke-2", 300), ink("stroke-3", 180))

    def request(self) -> TrueUpAll:
        left = ((80.0, 40.0), (160.0, 40.0), (160.0, 100.0), (80.0, 100.0))
        right = tuple((x + 220, y) for x, y in left)
        return TrueUpAll(
            PAGE,
            (
                shape_of("stroke-1", "shape-01", "rectangle", left),
                shape_of("stroke-2", "shape-02", "rectangle", right),
                msgspec.structs.replace(
                    shape_of("stroke-3", "shape-03", "line", ((170.0, 70.0), (290.0, 75.0))), ends="arrow"
                ),
            ),
            (("", ""), ("", ""), ("shape-01", "shape-02")),
        )

    def test_a_sketch_is_one_step_and_one_undo_brings_all_its_ink_back(self) -> None:
        step = resolve(self.board, self.request(), "seat-a", 1, TYPESETTER)
        assert isinstance(step, ReplaceItems)
        self.assertEqual((len(step.ids), len(step.items)), (3, 3))
        back = apply(apply(self.board, step), invert(self.board, step))
        self.assertEqual(back.pages[PAGE].in_order(), self.board.pages[PAGE].in_order())

    def test_its_arrow_runs_from_edge_to_edge_and_follows(self) -> None:
        made = after(self.board, self.request())
        arrow = next(item for item in only(made, ShapeItem) if item.figure == "line")
        self.assertEqual((arrow.holds, arrow.ends), (("shape-01", "shape-02"), "arrow"))
        (path,) = arrow.paths()
        self.assertAlmostEqual(float(path[0][0]), 160 + 4, delta=1)
        self.assertAlmostEqual(float(path[-1][0]), 300 - 4, delta=1)
        moved = after(made, MoveItems(PAGE, ("shape-02",), 0, 200))
        arrow = next(item for item in only(moved, ShapeItem) if item.figure == "line")
        self.assertGreater(float(arrow.paths()[0][-1][1]), 150)

    def test_a_figure_whose_ink_is_gone_is_left_out_and_the_rest_made(self) -> None:
        gone = after(self.board, RemoveItems(PAGE, ("stroke-1",)))
        made = after(gone, self.request())
        self.assertEqual(sorted(item.id for item in only(made, ShapeItem)), ["shape-02", "shape-03"])
        arrow = next(item for item in only(made, ShapeItem) if item.figure == "line")
        self.assertFalse(math.isnan(arrow.x))
        nothing = after(gone, RemoveItems(PAGE, ("stroke-2", "stroke-3")))
        with self.assertRaises(GoneError):
            after(nothing, self.request())

    def test_everybody_whose_ink_it_takes_is_asked_about(self) -> None:
        board = after(self.board, AddItems(PAGE, (ink("stroke-4", 500),)), "seat-b")
        request = self.request()
        figures = (*request.figures, shape_of("stroke-4", "shape-04"))
        request = msgspec.structs.replace(request, figures=figures)
        step = resolve(board, request, "seat-a", 1, TYPESETTER)
        ((action, target),) = needs(board, request, step)
        self.assertEqual((action, target.owners), ("convert", {"seat-a", "seat-b"}))

    def test_each_figure_goes_back_to_its_own_ink(self) -> None:
        made = after(self.board, self.request())
        back = after(made, AsWritten(PAGE, ("shape-02",)))
        (stroke,) = only(back, InkItem)
        np.testing.assert_allclose(placed([stroke])[0], placed(only(self.board, InkItem))[1], atol=1e-3)


class Each(TestCase):
    def setUp(self) -> None:
        self.board = board_of(
            ink("stroke-1"), ink("stroke-2", 300), ink("stroke-3", 180), ink("stroke-4", 500)
        )
        self.request = ConvertEach(
            PAGE,
            (Typeset(PAGE, ("stroke-1",), "text-001", "noon"),),
            (SetMaths(PAGE, ("stroke-2", "stroke-3"), "formula-1", "x=2"),),
            TrueUpAll(PAGE, (shape_of("stroke-4", "shape-01"),)),
        )

    def test_all_is_one_step_and_one_undo_brings_the_ink_back(self) -> None:
        step = resolve(self.board, self.request, "seat-a", 1, TYPESETTER)
        assert isinstance(step, ReplaceItems)
        self.assertEqual([type(item) for item in step.items], [TextItem, FormulaItem, ShapeItem])
        self.assertEqual([len(item.ink) for item in step.items], [1, 2, 1])  # type: ignore[union-attr]
        made = apply(self.board, step)
        self.assertEqual(len(made.pages[PAGE].items), 3)
        back = apply(made, invert(self.board, step))
        self.assertEqual(back.pages[PAGE].in_order(), self.board.pages[PAGE].in_order())

    def test_a_stroke_goes_into_one_part_only_and_parts_without_ink_are_left_out(self) -> None:
        twice = msgspec.structs.replace(
            self.request,
            texts=(*self.request.texts, Typeset(PAGE, ("stroke-1", "stroke-2"), "text-002", "at")),
        )
        made = after(self.board, twice)
        self.assertEqual([len(text.ink) for text in only(made, TextItem)], [1, 1])
        self.assertEqual([len(formula.ink) for formula in only(made, FormulaItem)], [1])
        gone = after(self.board, RemoveItems(PAGE, ("stroke-2", "stroke-3")))
        self.assertEqual(sorted(after(gone, self.request).pages[PAGE].items), ["shape-01", "text-001"])
        with self.assertRaises(GoneError):
            after(after(gone, RemoveItems(PAGE, ("stroke-1", "stroke-4"))), self.request)

    def test_texts_become_as_large_as_each_other_and_a_heading_stays_larger(self) -> None:
        scales = (2.4, 1.0, 1.2, 1.1)
        strokes = [
            carried(ink(f"stroke-{n}", 0, 0), Affine(k, 0, 0, k, 0, 200 * n)) for n, k in enumerate(scales, 1)
        ]
        board = board_of(*strokes)
        texts = tuple(Typeset(PAGE, (s.id,), f"text-00{n}", "noon") for n, s in enumerate(strokes))
        alone = [only(after(board, text), TextItem)[0] for text in texts]
        found = sorted(only(after(board, ConvertEach(PAGE, texts)), TextItem), key=lambda text: text.id)
        self.assertEqual(
            [text.size for text in found[1:]], [statistics.median(text.size for text in alone)] * 3
        )
        self.assertEqual(found[0].size, alone[0].size)
        for before, text in zip(alone, found, strict=True):
            middles = [
                float(item_box(msgspec.structs.replace(each, ink=())).middle[1]) for each in (before, text)
            ]
            self.assertAlmostEqual(*middles, delta=2)
            np.testing.assert_allclose(placed([carried(s, text.placement) for s in text.ink])[0], placed([carried(s, before.placement) for s in before.ink])[0], atol=1e-6)  # fmt: skip
        formulas = tuple(SetMaths(PAGE, (s.id,), f"formula-{n}", "x=2") for n, s in enumerate(strokes[1:]))
        sizes = {formula.size for formula in only(after(board, ConvertEach(PAGE, (), formulas)), FormulaItem)}
        self.assertEqual(len(sizes), 1)

    def test_lines_of_working_stay_at_their_relations_when_they_become_as_large_as_others(self) -> None:
        scales = (1.0, 1.0, 1.1, 1.1, 1.1)
        strokes = [carried(ink(f"stroke-{n}", 0, 0), Affine(k, 0, 0, k, 0, 200 * n)) for n, k in enumerate(scales, 1)]  # fmt: skip
        one, two, *others = (s.id for s in strokes)
        working = SetMaths(PAGE, (one, two), "formula-1", r"3x=10 \\ x=2", ("formula-2",), ((one,), (two,)))
        more = tuple(SetMaths(PAGE, (uid,), f"other-{n:03}", "x=2") for n, uid in enumerate(others))
        made = only(after(board_of(*strokes), ConvertEach(PAGE, (), (working, *more))), FormulaItem)
        self.assertEqual(len({formula.size for formula in made}), 1)
        first, second = (next(f for f in made if f.id == uid) for uid in ("formula-1", "formula-2"))
        relations = [
            formula.x + formula.size * set_row(at_relation(read_formula(formula.formula))[0]).width
            for formula in (first, second)
        ]
        self.assertAlmostEqual(*relations, delta=0.1)

    def test_it_asks_for_all_that_its_parts_ask_for(self) -> None:
        board = after(self.board, AddItems(PAGE, (ink("stroke-5", 700),)), "seat-b")
        sketch = TrueUpAll(PAGE, (shape_of("stroke-5", "shape-01"),))
        for request, asked in (
            (self.request, [("convert", {"seat-a"}), ("add_formula", {"seat-a"})]),
            (msgspec.structs.replace(self.request, formulas=()), [("convert", {"seat-a"})]),
            (ConvertEach(PAGE, self.request.texts, sketch=sketch), [("convert", {"seat-a", "seat-b"})]),
        ):
            found = needs(board, request, resolve(board, request, "seat-a", 1, TYPESETTER))
            self.assertEqual([(action, target.owners) for action, target in found], asked)

    def test_it_is_held_to_the_limits_of_its_parts_and_makes_each_thing_once(self) -> None:
        text = self.request.texts[0]
        for wrong in (
            ConvertEach(PAGE),
            ConvertEach(PAGE, (text, text)),
            ConvertEach(PAGE, (msgspec.structs.replace(text, text="a\x00"),)),
            ConvertEach(PAGE, (), (SetMaths(PAGE, ("stroke-2",), "text-001", "x" * 1_001),)),
            ConvertEach(PAGE, (text,), (SetMaths(PAGE, ("stroke-2",), "formula-1", "x", ("text-001",)),)),
            ConvertEach(PAGE, (text,), sketch=TrueUpAll(PAGE, ())),
            ConvertEach(PAGE, tuple(msgspec.structs.replace(text, id=f"text-{n:03}") for n in range(61))),
        ):
            with self.assertRaises(MalformedError):
                check_request(wrong)
        elsewhere = msgspec.structs.replace(text, page="page-002")
        made = after(self.board, ConvertEach(PAGE, (elsewhere,)))
        self.assertEqual(len(only(made, TextItem)), 1, "its parts are on its own page")


class Around(TestCase):
    def test_ink_near_by_and_the_ink_of_typed_words_are_context(self) -> None:
        board = board_of(
            ink("stroke-1"),
            ink("stroke-2", 180),
            ink("stroke-3", 2_000),
            ink("mark-001", 120, nib="highlighter"),
        )
        page = board.pages[PAGE]
        self.assertEqual([i.id for i in ink_beside(page, {"stroke-1"})], ["stroke-2"])
        typed = after(board, Typeset(PAGE, ("stroke-2",), "text-001", "n")).pages[PAGE]
        (beside,) = ink_beside(typed, {"stroke-1"})
        np.testing.assert_allclose(placed([beside])[0], placed([page.items["stroke-2"]])[0], atol=1e-3)  # type: ignore[list-item]
        self.assertEqual(ink_beside(page, {"nothing-1"}), [])


class Working(TestCase):
    """Ink in two lines, set as lines of working."""

    def setUp(self) -> None:
        self.board = board_of(
            ink("stroke-1"), ink("stroke-2", 180), ink("stroke-3", 110, 130), ink("stroke-4", 190, 132)
        )
        self.ids = ("stroke-1", "stroke-2", "stroke-3", "stroke-4")
        self.lines = (self.ids[:2], self.ids[2:])

    def set(self, formula: str, *more: str) -> Board:
        return after(self.board, SetMaths(PAGE, self.ids, "formula-1", formula, more, self.lines))

    def test_each_line_is_a_formula_with_its_own_ink_at_the_relation(self) -> None:
        board = self.set(r"2x+3=7 \\ x=2", "formula-2")
        above, below = sorted(only(board, FormulaItem), key=lambda item: item.y)
        self.assertEqual([above.formula, below.formula], ["2x+3=7", "x=2"])
        self.assertEqual([item.id for item in (*above.ink, *below.ink)], list(self.ids))
        self.assertEqual(above.size, below.size)
        lefts = [
            set_row(at_relation(read_formula(item.formula))[0]).width * item.size for item in (above, below)
        ]
        self.assertAlmostEqual(above.x + lefts[0], below.x + lefts[1], 3)

    def test_the_first_line_begins_no_further_left_than_its_ink_where_a_counter_stands(self) -> None:
        self.board = board_of(ink("stroke-1", 300), ink("stroke-2", 380), ink("stroke-3", 110, 130), ink("stroke-4", 190, 132))  # fmt: skip
        above, below = sorted(
            only(self.set(r"2x=8 \\ x=4", "formula-2"), FormulaItem), key=lambda item: item.y
        )
        left = min(item_box(stroke).x0 for stroke in only(self.board, InkItem) if stroke.id in self.lines[0])
        self.assertAlmostEqual(above.x, left, 3)
        self.assertGreater(below.x, above.x)

    def test_as_written_brings_each_back_where_it_was(self) -> None:
        board = after(self.set(r"2x+3=7 \\ x=2", "formula-2"), AsWritten(PAGE, ("formula-1", "formula-2")))
        back = {stroke.id: stroke for stroke in only(board, InkItem)}
        self.assertEqual(set(back), set(self.ids))
        for stroke in only(self.board, InkItem):
            np.testing.assert_allclose(placed([back[stroke.id]])[0], placed([stroke])[0], atol=0.01)

    def test_one_formula_where_lines_and_ink_do_not_agree(self) -> None:
        for formula, more in (
            (r"2x+3=7 \\ x=2", ()), ("2x+3=7", ("formula-2",)), (r"a=1 \\ b=2 \\ c=3", ("formula-2", "formula-3")),
        ):  # fmt: skip
            (made,) = only(self.set(formula, *more), FormulaItem)
            self.assertEqual((made.id, made.formula, len(made.ink)), ("formula-1", formula, 4))
        for lines in (
            (),
            (self.ids,),
            (self.ids[:2], ("stroke-9",)),
            (self.ids[:2], self.ids[2:3]),
        ):
            self.lines = lines
            (made,) = only(self.set(r"2x+3=7 \\ x=2", "formula-2"), FormulaItem)
            self.assertEqual(len(made.ink), 4, "nothing is lost")

    def test_new_ids_are_free_and_not_too_many(self) -> None:
        with self.assertRaises(GoneError):
            self.set(r"a=1 \\ b=2", "formula-1")
        with self.assertRaises(MalformedError):
            check_request(
                SetMaths(PAGE, self.ids, "formula-1", "a=1", tuple(f"formula-{n}" for n in range(2, 60)))
            )
        with self.assertRaises(MalformedError):
            check_request(SetMaths(PAGE, self.ids, "formula-1", "a=1", ("",)))
        with self.assertRaises(MalformedError):
            check_request(SetMaths(PAGE, self.ids, "formula-1", "a=1", (), (self.ids[:1],) * 60))
        with self.assertRaises(MalformedError):
            check_request(SetMaths(PAGE, self.ids, "formula-1", "a=1", (), (self.ids, self.ids[:1])))

    def test_one_step_back_undoes_all_lines(self) -> None:
        request = SetMaths(PAGE, self.ids, "formula-1", r"2x+3=7 \\ x=2", ("formula-2",), self.lines)
        step = resolve(self.board, request, "seat-a", 1, TYPESETTER)
        self.assertEqual(apply(apply(self.board, step), invert(self.board, step)).pages, self.board.pages)


class Travelling(TestCase):
    """A board that is packed to be worked on elsewhere."""

    def test_the_plan_there_is_the_plan_here(self) -> None:
        board = board_of(*(ink(f"stroke-{n}", 100 + 5 * n) for n in range(1_200)))
        board = apply(board, AddPage(PageHead("page-002", "Other", hidden=True), 1))
        there = unpack_board(pack_board(board, PAGE))
        self.assertEqual(there.pages[PAGE], board.pages[PAGE])
        self.assertEqual((there.order, there.seq), (board.order, board.seq))
        self.assertEqual(there.pages["page-002"].head, board.pages["page-002"].head)
        ids = tuple(f"stroke-{n}" for n in range(0, 1_200, 7))
        student = Actor("seat-a", "student", "Noor")
        for request in (
            ArrangeItems(PAGE, ids, "forward"),
            RubItems(PAGE, ids, "rubbed-01", ((90.0, 60.0, 30.0), (3_000.0, 60.0, 30.0))),
            CopyPage(PAGE, "page-003"),
            SetMaths(PAGE, ids[:3], "formula-1", "x=1"),
        ):
            self.assertEqual(
                plan(there, request, student, 5, TYPESETTER), plan(board, request, student, 5, TYPESETTER)
            )

    def test_a_page_that_is_not_there_is_missed_there_too(self) -> None:
        there = unpack_board(pack_board(board_of(), "page-999"))
        with self.assertRaises(GoneError):
            plan(there, RemoveItems("page-999", ("stroke-1",)), Actor("seat-a", "student"), 5, TYPESETTER)
