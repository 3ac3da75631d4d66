"""Steps, requests and each person's way back."""

from __future__ import annotations

import contextlib
from typing import get_args
from unittest import TestCase

import msgspec
import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import (
    Board,
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    History,
    InkItem,
    PageHead,
    PictureItem,
    Request,
    ShapeItem,
    Step,
    TableItem,
    TextItem,
    apply,
    invert,
    needs,
    remaining,
    resolve,
)
from sunroom.core.board.items import item_box
from sunroom.core.board.limits import check_item
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import (
    ArrangeItems,
    AsWritten,
    ChangeTable,
    Construct,
    ConvertEach,
    CopyPage,
    CropPicture,
    DrawFigure,
    DropBay,
    EditCard,
    EditFormula,
    EditPage,
    EditText,
    GoneError,
    Label,
    MeasureItems,
    MoveEnds,
    PlotTable,
    PutBay,
    PutChance,
    PutNumberLine,
    Redo,
    RubItems,
    SetCell,
    SetChart,
    SetGraph,
    SetMaths,
    SetTable,
    StyleItems,
    SwapPicture,
    Throw,
    ToMindMap,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
    Undo,
    check_request,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    Style,
)
from sunroom.core.data.chance import Chance
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLine
from sunroom.core.pens.rules import ACTIONS
from tests import strategies as make

PAGE = make.PAGE_IDS[0]


def shown(board: Board) -> object:
    """Pages and items in their order, for comparing boards whatever their numbers."""
    return [(page.head, page.in_order()) for page in board.in_order()]


def ink(item_id: str, points: list[tuple[float, float]] | None = None, by: str = "seat-a") -> InkItem:
    rows = [(x, y, 0.5, 8 * i) for i, (x, y) in enumerate(points or [(0, 0), (10, 5)])]
    return InkItem(
        id=item_id,
        x=100,
        y=50,
        by=by,
        nib="pen",
        colour="#16222b",
        width=3,
        samples=pack_samples(np.array(rows, float)),
    )


class Steps(TestCase):
    @given(make.boards(), make.steps())
    def test_invert_undoes_apply(self, board: Board, step: Step) -> None:
        fitting = remaining(board, step)
        if fitting is not None:
            after = apply(board, fitting)
            self.assertEqual(shown(apply(after, invert(board, fitting))), shown(board))

    @given(make.boards(), make.steps())
    def test_a_step_survives_its_journey_over_the_wire(self, board: Board, step: Step) -> None:
        decoded = msgspec.msgpack.decode(msgspec.msgpack.encode(step), type=Step)
        fitting = remaining(board, decoded)
        if fitting is not None:
            self.assertEqual(shown(apply(board, fitting)), shown(apply(board, remaining(board, step))))

    @given(make.boards(), make.steps())
    def test_what_remains_of_a_step_always_fits(self, board: Board, step: Step) -> None:
        fitting = remaining(board, step)
        if fitting is not None:
            apply(board, fitting)
            invert(board, fitting)
            self.assertEqual(remaining(board, fitting), fitting)

    @given(make.boards(), make.steps())
    def test_applying_leaves_the_board_before_as_it_was(self, board: Board, step: Step) -> None:
        before = shown(board)
        fitting = remaining(board, step)
        if fitting is not None:
            apply(board, fitting)
        self.assertEqual(shown(board), before)

    def test_the_last_page_stays(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        self.assertIsNone(remaining(board, RemovePage(PAGE)))

    def test_every_step_and_request_has_a_row_in_the_rule_book(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        board = apply(board, AddPage(PageHead(make.PAGE_IDS[1]), 1))
        board = apply(board, AddItems(PAGE, (ink("stroke-1"),)))
        steps = {
            AddItems: AddItems(PAGE, (ink("stroke-2"),)),
            RemoveItems: RemoveItems(PAGE, ("stroke-1",)),
            MoveItems: MoveItems(PAGE, ("stroke-1",), 1, 1),
            AddPage: AddPage(PageHead("page-9"), 0),
            RemovePage: RemovePage(PAGE),
            MovePage: MovePage(PAGE, 1),
            ChangePage: ChangePage(PageHead(PAGE, "Sun")),
        }
        arranging = {
            TransformItems: TransformItems(PAGE, ("stroke-1",), Affine(2, 0, 0, 2)),
            StyleItems: StyleItems(PAGE, ("stroke-1",), Style(colour="#1f5fa8")),
            ArrangeItems: ArrangeItems(PAGE, ("stroke-1",), "lock"),
            RubItems: RubItems(PAGE, ("stroke-1",), "piece-1", ((105.0, 52.0, 2.0),)),
            DrawFigure: DrawFigure(PAGE, "figure-1", "star", 0, 0, 90, 90, "#16222b", 2.0),
            CopyPage: CopyPage(PAGE, "page-8"),
        }
        line = DrawFigure(PAGE, "line-001", "line", 0, 0, 90, 90, "#16222b", 2.0)
        conversions = {
            Typeset: Typeset(PAGE, ("stroke-1",), "text-1", "sun"),
            SetMaths: SetMaths(PAGE, ("stroke-1",), "formula-1", "x^2"),
            TrueUp: TrueUp(PAGE, ("stroke-1",), "shape-1", "line", ((0, 0), (9, 9)), False, False),
            TrueUpAll: TrueUpAll(
                PAGE, (TrueUp(PAGE, ("stroke-1",), "shape-2", "line", ((0, 0), (9, 9)), False, False),)
            ),
            ConvertEach: ConvertEach(PAGE, (Typeset(PAGE, ("stroke-1",), "text-1", "sun"),)),
            ToMindMap: ToMindMap(PAGE, (Label(("stroke-1",), "label-1", "sun"),), ()),
        }
        typesetter = make.even_typesetter()
        asked = {
            kind: (request, resolve(board, request, "seat-a", 1, typesetter))
            for kind, request in {**steps, **conversions, **arranging}.items()
        }
        table = TableItem(id="table-1", columns=(50,), rows=(30,), cells=("sun",), colour="#16222b")
        board = apply(board, AddItems(PAGE, (table,)))
        board = apply(board, resolve(board, line, "seat-a", 1, typesetter))
        ends = MoveEnds(PAGE, "line-001", (0, 0), (50, 20))
        asked[MoveEnds] = (ends, resolve(board, ends, "seat-a", 1, typesetter))
        cells = SetTable(PAGE, "table-1", (50,), (30,), ("moon",))
        asked[SetTable] = (cells, resolve(board, cells, "seat-a", 1, typesetter))
        cell = SetCell(PAGE, "table-1", 0, 0, "noon")
        wider = ChangeTable(PAGE, "table-1", columns=1)
        titled = EditPage(PAGE, title="Noon")
        bay = PutBay(PAGE, Bay("bay-0001", 0, 0, 100, 100))
        shown = PictureItem(id="shown-01", picture="picture-1", width=60, height=40)
        led = CardItem(id="card-001", of="link", title="Dials", address="https://dials.example")
        formula = FormulaItem(id="formula-2", formula="x^2", size=24, colour="#16222b")
        graph = GraphItem(id="graph-01", width=300, height=200, ranges=Ranges(-5, 5, -4, 4), lines=())
        chart = ChartItem(id="chart-01", form="bars", width=300, height=200, columns=1, cells=("1",))
        board = apply(board, AddItems(PAGE, (shown, led, formula, graph, chart)))
        pie = SetChart(PAGE, "chart-01", "pie")
        coin = PutChance(PAGE, "chance-01", 0, 0, Chance("coin", ("sun", "moon")), "how often")
        board = apply(board, resolve(board, coin, "seat-a", 1, typesetter))
        coin = msgspec.structs.replace(coin, id="chance-02")
        unequal = FormulaItem(id="formula-7", formula="x < 2", size=24, colour="#16222b")
        board = apply(board, AddItems(PAGE, (unequal,)))
        marked = PutNumberLine(PAGE, "formula-7", "line-0001")
        thrown = Throw(PAGE, "chance-01", 10)
        straight = ShapeItem(
            id="shape-09",
            figure="line",
            points=((0, 0), (60, 0)),
            closed=False,
            curved=False,
            colour="#16222b",
            width=2,
        )
        board = apply(board, AddItems(PAGE, (straight,)))
        measured = MeasureItems(PAGE, ("shape-09",), ("sides",))
        middle = Construct(PAGE, ("shape-09",), "midpoint", "made-0001")
        crop = CropPicture(PAGE, "shown-01", (0.5, 0.0, 1.0, 1.0))
        swap = SwapPicture(PAGE, "shown-01", "picture-2", 1.4)
        card = EditCard(PAGE, "card-001", "Sundials", "https://dials.example/noon")
        cubed = EditFormula(PAGE, "formula-2", "x^3")
        drawn = SetGraph(PAGE, "graph-01", Ranges(-2, 2, -2, 2), (GraphLine("x^2", "#1f5fa8"),))
        plotted = PlotTable(PAGE, "graph-01", "figures-1", "#1f5fa8")
        figures = TableItem(
            id="figures-1",
            columns=(60.0, 60.0),
            rows=(30.0, 30.0),
            cells=("1", "2", "3", "4"),
            colour="#16222b",
        )
        board = apply(board, AddItems(PAGE, (figures,)))
        for request in (
            pie,
            plotted,
            coin,
            thrown,
            marked,
            measured,
            middle,
            drawn,
            cubed,
            cell,
            wider,
            titled,
            bay,
            DropBay(PAGE, "bay-0001"),
            crop,
            swap,
            card,
        ):
            asked[type(request)] = (request, resolve(board, request, "seat-a", 1, typesetter))
        typed = apply(board, asked[Typeset][1])
        boards = {AsWritten: typed, EditText: typed}
        for request in (AsWritten(PAGE, ("text-1",)), EditText(PAGE, "text-1", "noon")):
            asked[type(request)] = (request, resolve(typed, request, "seat-a", 1, typesetter))
        for way in (Undo, Redo):
            asked[way] = (way(), steps[MoveItems])
        self.assertEqual(set(asked), set(get_args(Request)), "a request has no row")
        for kind, (request, step) in asked.items():
            rows = needs(boards.get(kind, board), request, step)
            self.assertTrue(rows)
            self.assertTrue(all(action in ACTIONS for action, _ in rows))
        taken = {type(step): step for _, step in asked.values()}
        self.assertEqual(set(taken), set(get_args(Step)), "a step is never taken")
        for step in taken.values():
            self.assertTrue(needs(board, Undo(), step))


class Ways(TestCase):
    """Undo and redo."""

    @settings(max_examples=60)
    @given(
        make.boards(),
        st.lists(st.tuples(st.sampled_from(make.SEATS[:3]), make.steps()), max_size=15),
        st.data(),
    )
    def test_undo_takes_back_own_steps_only(self, board: Board, written: list, data: st.DataObject) -> None:
        history = History()
        for seat, step in written:
            fitting = remaining(board, step)
            if fitting is None:
                continue
            inverse = invert(board, fitting)
            board = apply(board, fitting)
            history.record(seat, board.seq, "do", 0, inverse, fitting)
        seat = data.draw(st.sampled_from(make.SEATS[:3]))
        others = {other: history.depth(other) for other in make.SEATS[:3] if other != seat}
        while found := history.find(seat, "undo", board):
            of, step = found
            inverse = invert(board, step)
            board = apply(board, step)
            history.record(seat, board.seq, "undo", of, inverse, step)
        self.assertEqual(history.find(seat, "undo", board), None)
        self.assertEqual({other: history.depth(other) for other in others}, others)

    def test_undo_then_redo_is_as_if_nothing_had_been(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        history = History()
        for step in (AddItems(PAGE, (ink("stroke-1"),)), MoveItems(PAGE, ("stroke-1",), 7, 7)):
            inverse = invert(board, step)
            board = apply(board, step)
            history.record("seat-a", board.seq, "do", 0, inverse, step)
        before = shown(board)
        for how in ("undo", "undo", "redo", "redo"):
            of, step = history.find("seat-a", how, board)
            inverse = invert(board, step)
            board = apply(board, step)
            history.record("seat-a", board.seq, how, of, inverse, step)
        self.assertEqual(shown(board), before)

    def test_undo_passes_over_what_somebody_else_has_removed(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        history = History()
        for item_id in ("stroke-1", "stroke-2"):
            step = AddItems(PAGE, (ink(item_id),))
            history.record("seat-a", board.seq + 1, "do", 0, invert(board, step), step)
            board = apply(board, step)
        board = apply(board, RemoveItems(PAGE, ("stroke-2",)))
        self.assertEqual(history.find("seat-a", "undo", board)[1], RemoveItems(PAGE, ("stroke-1",)))

    def test_a_stroke_that_was_rubbed_out_whole_comes_back(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        board, history = apply(board, AddItems(PAGE, (ink("stroke-1"),))), History()
        request = RubItems(PAGE, ("stroke-1",), "piece-1", ((105.0, 52.0, 90.0),))
        step = resolve(board, request, "seat-a", 1, make.even_typesetter())
        history.record("seat-a", board.seq + 1, "do", 0, invert(board, step), step)
        rubbed = apply(board, step)
        self.assertFalse(rubbed.pages[PAGE].items)
        _, back = history.find("seat-a", "undo", rubbed)
        self.assertEqual(shown(apply(rubbed, back)), shown(board))

    def test_a_new_step_ends_the_way_forth(self) -> None:
        history = History()
        step = RemoveItems(PAGE, ("stroke-1",))
        history.record("seat-a", 1, "do", 0, step, step)
        history.record("seat-a", 2, "undo", 1, step, step)
        self.assertEqual(history.depth("seat-a"), (0, 1))
        history.record("seat-a", 3, "do", 0, step, step)
        self.assertEqual(history.depth("seat-a"), (1, 0))

    @settings(max_examples=80)
    @given(st.data())
    def test_undoing_all_of_one_s_own_brings_one_s_own_back_and_touches_nobody_else_s(self, data) -> None:
        seats = make.SEATS[:3]
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        for seat in seats:
            own = [ink(f"{seat}-{number}", by=seat) for number in range(3)]
            board = apply(board, resolve(board, AddItems(PAGE, tuple(own)), seat, 1, make.even_typesetter()))
        first, history = board, History()
        for number in range(data.draw(st.integers(1, 14))):
            seat = data.draw(st.sampled_from(seats))
            request = data.draw(self.asked(board, seat, number))
            with contextlib.suppress(GoneError):
                step = resolve(board, request, seat, 1, make.even_typesetter())
                inverse = invert(board, step)
                board = apply(board, step)
                history.record(seat, board.seq, "do", 0, inverse, step)
        before, seat = board, data.draw(st.sampled_from(seats))
        while found := history.find(seat, "undo", board):
            of, step = found
            inverse = invert(board, step)
            board = apply(board, step)
            history.record(seat, board.seq, "undo", of, inverse, step)
        for item_id, item in board.pages[PAGE].items.items():
            origin = first if item.by == seat else before
            self.assertEqual(item, origin.pages[PAGE].items.get(item_id))
        self.assertEqual(self.owned(board, seat), self.owned(first, seat))

    def owned(self, board: Board, seat: str) -> set[str]:
        return {item_id for item_id, item in board.pages[PAGE].items.items() if item.by == seat}

    def asked(self, board: Board, seat: str, number: int) -> st.SearchStrategy[Request]:
        """Anything that a person may do to their own things."""
        ids = tuple(sorted(self.owned(board, seat))) or ("nothing-left",)
        some = st.lists(st.sampled_from(ids), min_size=1, unique=True).map(tuple)
        return st.one_of(
            st.builds(MoveItems, st.just(PAGE), some, st.integers(-9, 9), st.integers(-9, 9)),
            st.builds(
                TransformItems,
                st.just(PAGE),
                some,
                st.sampled_from([Affine(2, 0, 0, 2), Affine(0, 1, -1, 0)]),
            ),
            st.builds(
                StyleItems, st.just(PAGE), some, st.sampled_from([Style(colour="#1f5fa8"), Style(width=9.0)])
            ),
            st.builds(
                ArrangeItems,
                st.just(PAGE),
                some,
                st.sampled_from(["front", "back", "left", "group"]),
                st.just("group-1"),
            ),
            st.builds(RemoveItems, st.just(PAGE), some),
            st.builds(
                RubItems, st.just(PAGE), some, st.just(f"piece-{number}"), st.just(((105.0, 52.0, 3.0),))
            ),
            st.just(AddItems(PAGE, (ink(f"{seat}-new-{number}", by=seat),))),
        )

    def test_a_value_that_somebody_else_has_changed_since_is_left_as_they_made_it(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        board, history = apply(board, AddItems(PAGE, (ink("stroke-1"),))), History()
        for seat, style in (
            ("seat-a", Style(colour="#1f5fa8", width=9.0)),
            ("seat-b", Style(colour="#b4472c")),
        ):
            step = resolve(board, StyleItems(PAGE, ("stroke-1",), style), seat, 1, make.even_typesetter())
            history.record(seat, board.seq + 1, "do", 0, invert(board, step), step)
            board = apply(board, step)
        _, back = history.find("seat-a", "undo", board)
        after = apply(board, back).pages[PAGE].items["stroke-1"]
        self.assertEqual((after.colour, after.width), ("#b4472c", ink("stroke-1").width))


class Conversions(TestCase):
    def setUp(self) -> None:
        self.typesetter = make.even_typesetter()
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        strokes = (ink("stroke-1"), ink("stroke-2", [(0, 0), (80, 0), (80, 40)]))
        self.board = apply(board, resolve(board, AddItems(PAGE, strokes), "seat-a", 5, self.typesetter))

    def take(self, request: Request, board: Board | None = None) -> Board:
        board = board or self.board
        return apply(board, resolve(board, request, "seat-b", 6, self.typesetter))

    def test_as_written_brings_back_the_very_ink_also_after_a_move(self) -> None:
        before = self.board.pages[PAGE].in_order()
        for request in (
            Typeset(PAGE, ("stroke-1", "stroke-2"), "made-1", "noon"),
            TrueUp(PAGE, ("stroke-1", "stroke-2"), "made-1", "line", ((100, 50), (180, 90)), False, False),
        ):
            board = self.take(request)
            (made,) = board.pages[PAGE].in_order()
            self.assertIsInstance(made, TextItem | ShapeItem)
            self.assertEqual(made.by, "seat-b")
            board = self.take(MoveItems(PAGE, ("made-1",), 30, -20), board)
            board = self.take(AsWritten(PAGE, ("made-1",)), board)
            self.assertEqual(
                [(i.id, i.samples, round(i.x, 6), round(i.y, 6)) for i in board.pages[PAGE].in_order()],
                [(i.id, i.samples, i.x + 30, i.y - 20) for i in before],
            )

    def test_typeset_text_lies_where_its_ink_lay(self) -> None:
        board = self.take(Typeset(PAGE, ("stroke-2",), "made-1", "sun"))
        ink_box = item_box(self.board.pages[PAGE].items["stroke-2"])
        text_box = item_box(board.pages[PAGE].items["made-1"])
        self.assertTrue(ink_box.overlaps(text_box))
        self.assertAlmostEqual(text_box.x0, ink_box.x0)

    def test_nobody_can_put_another_s_name_or_place_on_an_item(self) -> None:
        forged = msgspec.structs.replace(ink("stroke-3", by="seat-z"), z=900, at_ms=1, locked=True)
        board = self.take(AddItems(PAGE, (forged,)))
        item = board.pages[PAGE].items["stroke-3"]
        self.assertEqual((item.by, item.z, item.at_ms, item.locked), ("seat-b", 3, 6, False))

    def test_what_is_gone_gets_a_reason(self) -> None:
        for request, code in (
            (MoveItems("page-x", ("stroke-1",), 1, 1), "page_gone"),
            (RemoveItems(PAGE, ("nothing",)), "items_gone"),
            (AddItems(PAGE, (ink("stroke-1"),)), "id_taken"),
            (AsWritten(PAGE, ("stroke-1",)), "items_gone"),
            (EditText(PAGE, "stroke-1", "sun"), "items_gone"),
            (RemovePage(PAGE), "last_page"),
        ):
            with self.assertRaises(GoneError) as caught:
                self.take(request)
            self.assertEqual(caught.exception.code, code)

    def test_malformed_requests_are_refused_before_they_touch_the_board(self) -> None:
        nan = float("nan")
        text = TextItem(id="text-01", text="sun", size=20, colour="#16222b")
        replace = msgspec.structs.replace
        for request in (
            AddItems(PAGE, ()),
            AddItems(PAGE, (ink("stroke-9"), ink("stroke-9"))),
            AddItems(PAGE, (ink("short"[:2]),)),
            AddItems(PAGE, (replace(ink("stroke-9"), x=nan),)),
            AddItems(PAGE, (replace(ink("stroke-9"), colour="red"),)),
            AddItems(PAGE, (replace(ink("stroke-9"), width=1e9),)),
            AddItems(PAGE, (replace(ink("stroke-9"), samples=b"odd"),)),
            AddItems(PAGE, (replace(text, text="  \n "),)),
            AddItems(PAGE, (replace(text, text="x" * 6_000),)),
            AddItems(PAGE, (replace(text, text="sun\u202enus"),)),
            AddItems(PAGE, (replace(text, size=nan),)),
            MoveItems(PAGE, ("stroke-1",), nan, 0),
            MoveItems(PAGE, (), 0, 0),
            Typeset(PAGE, ("stroke-1",), "made-1", ""),
            TrueUp(PAGE, ("stroke-1",), "made-1", "line", ((0, 0),), False, False),
            TrueUp(PAGE, ("stroke-1",), "made-1", "circle", ((0, 0), (1, 1)), True, True),
            AddPage(PageHead("page-9", "two\nlines"), 0),
            AddPage(PageHead("page-9"), 0, (ink("stroke-9"),)),
        ):
            with self.assertRaises(MalformedError, msg=repr(request)[:120]):
                check_request(request)
        check_item(text)
