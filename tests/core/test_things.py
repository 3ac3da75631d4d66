"""Notes, tables, figures with words, and lines that hold on to things."""

from __future__ import annotations

import math
from unittest import TestCase

import msgspec
import numpy as np

from sunroom.core.board import (
    Board,
    Item,
    NoteItem,
    PageHead,
    ShapeItem,
    TableItem,
    TextItem,
    apply,
    invert,
    needs,
    resolve,
)
from sunroom.core.board.items import item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_item
from sunroom.core.board.requests import (
    ArrangeItems,
    DrawFigure,
    EditText,
    GoneError,
    MoveEnds,
    SetTable,
    TransformItems,
    Undo,
    check_request,
)
from sunroom.core.board.steps import AddItems, AddPage, Change, ChangeItems, MoveItems, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from tests import strategies as make

PAGE = make.PAGE_IDS[0]
TYPESETTER = make.even_typesetter()


def after(board: Board, request: object, seat: str = "seat-a") -> Board:
    check_request(request)  # type: ignore[arg-type]
    return apply(board, resolve(board, request, seat, 1, TYPESETTER))  # type: ignore[arg-type]


def board_of(*items: Item) -> Board:
    board = apply(Board(), AddPage(PageHead(PAGE), 0))
    return after(board, AddItems(PAGE, items))


def item(board: Board, item_id: str) -> Item:
    return board.pages[PAGE].items[item_id]


def draw(
    board: Board, item_id: str, figure: str, a: tuple, b: tuple, holds=("", ""), seat: str = "seat-a"
) -> Board:
    x, y, width, height = a[0], a[1], b[0] - a[0], b[1] - a[1]
    request = DrawFigure(PAGE, item_id, figure, x, y, width, height, "#16222b", 2.0, holds=holds)
    return after(board, request, seat)


class Words(TestCase):
    def test_a_note_s_text_fits_and_its_size_is_the_server_s(self) -> None:
        note = NoteItem(id="note-01", text="because the angle is tiny " * 8, colour="#ffe7a8", size=300.0)
        kept = item(board_of(note), "note-01")
        assert isinstance(kept, NoteItem)
        self.assertLess(kept.size, 30)
        self.assertLess(len(kept.lines) * 1.3 * kept.size, kept.height)

    def test_a_table_s_rows_grow_with_their_text_and_its_head_is_bold(self) -> None:
        table = TableItem(
            id="table-1",
            columns=(60.0, 60.0),
            rows=(20.0, 20.0),
            cells=("a", "b", "word " * 9, ""),
            colour="#16222b",
        )
        kept = item(board_of(table), "table-1")
        assert isinstance(kept, TableItem)
        self.assertGreater(kept.rows[1], 100)
        self.assertEqual(item_box(kept).height, sum(kept.rows))

    def test_a_table_that_does_not_add_up_is_refused(self) -> None:
        table = TableItem(id="table-1", columns=(60.0,), rows=(20.0,), cells=("a",), colour="#16222b")
        bad = [
            {"cells": ("a", "b")}, {"columns": ()}, {"columns": (math.nan,)}, {"rows": (20.0,) * 41, "cells": ("",) * 41},
            {"cells": ("x" * 501,)},
        ]  # fmt: skip
        for values in bad:
            with self.assertRaises(MalformedError, msg=values):
                check_item(msgspec.structs.replace(table, **values))
        with self.assertRaises(GoneError):
            after(
                board_of(TextItem(id="text-01", text="a", size=20, colour="#16222b")),
                SetTable(PAGE, "text-01", (60.0,), (20.0,), ("a",)),
            )

    def test_words_in_a_figure_are_put_in_and_taken_out(self) -> None:
        empty = apply(Board(), AddPage(PageHead(PAGE), 0))
        board = draw(empty, "figure-1", "hexagon", (0, 0), (200, 100))
        board = after(board, EditText(PAGE, "figure-1", "sun height"))
        self.assertEqual(
            "".join(run.text for line in item(board, "figure-1").lines for run in line.runs), "sun height"
        )
        self.assertEqual(item(after(board, EditText(PAGE, "figure-1", "")), "figure-1").lines, ())

    def test_every_kind_with_words_is_laid_out_by_the_server(self) -> None:
        text = TextItem(id="text-01", text="noon", size=20, colour="#16222b")
        self.assertEqual(
            item(board_of(text), "text-01"),
            msgspec.structs.replace(laid_out(text, TYPESETTER), by="seat-a", at_ms=1, z=1.0),
        )


class Holding(TestCase):
    def setUp(self) -> None:
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        board = draw(board, "box-001", "rectangle", (0, 0), (100, 60))
        board = draw(board, "ring-01", "circle", (300, 0), (360, 60))
        self.board = draw(board, "line-01", "line", (50, 30), (330, 30), holds=("box-001", "ring-01"))

    def ends(self, board: Board) -> np.ndarray:
        line = item(board, "line-01")
        assert isinstance(line, ShapeItem)
        return line.placement.points(np.array([line.points[0], line.points[-1]]))

    def test_a_line_runs_from_edge_to_edge(self) -> None:
        (x0, y0), (x1, y1) = self.ends(self.board)
        self.assertAlmostEqual(x0, 100 + 4, delta=1.1)
        self.assertAlmostEqual(x1, 300 - 4, delta=1.1)
        self.assertAlmostEqual(y0, 30, delta=0.1)
        self.assertAlmostEqual(y1, 30, delta=0.1)

    def test_it_follows_what_it_holds_when_that_is_moved_or_carried_and_comes_back_with_it(self) -> None:
        for request in (
            MoveItems(PAGE, ("ring-01",), 0, 200),
            TransformItems(PAGE, ("ring-01",), Affine(1, 0, 0, 1, 0, 200)),
        ):
            step = resolve(self.board, request, "seat-a", 1, TYPESETTER)
            assert isinstance(step, ChangeItems)
            moved = apply(self.board, step)
            end = self.ends(moved)[1]
            self.assertAlmostEqual(math.dist(end, (330, 230)), 30 + 4, delta=1.2)
            back = apply(moved, invert(self.board, step))
            np.testing.assert_allclose(self.ends(back), self.ends(self.board))

    def test_a_line_that_only_follows_needs_nobody_s_leave(self) -> None:
        board = draw(self.board, "box-002", "rectangle", (0, 300), (50, 350), seat="seat-b")
        board = draw(
            board, "line-02", "line", (20, 320), (50, 30), holds=("box-002", "box-001"), seat="seat-c"
        )
        request = MoveItems(PAGE, ("box-002",), 10, 0)
        step = resolve(board, request, "seat-b", 1, TYPESETTER)
        for asked in (request, Undo()):
            ((_, target),) = needs(board, asked, step)
            self.assertEqual(target.owners, {"seat-b"})

    def test_the_end_of_what_was_held_leaves_the_line_where_it_is(self) -> None:
        gone = after(self.board, RemoveItems(PAGE, ("ring-01",)))
        np.testing.assert_allclose(self.ends(gone), self.ends(self.board))
        moved = after(gone, MoveItems(PAGE, ("box-001",), 0, 50))
        self.assertAlmostEqual(self.ends(moved)[1][0], self.ends(gone)[1][0], places=2)

    def test_a_line_that_is_dragged_away_by_itself_lets_go(self) -> None:
        moved = after(self.board, MoveItems(PAGE, ("line-01",), 0, 90))
        np.testing.assert_allclose(self.ends(moved), self.ends(self.board) + (0, 90))
        then = after(moved, MoveItems(PAGE, ("box-001",), 500, 0))
        np.testing.assert_allclose(self.ends(then), self.ends(moved))
        together = after(self.board, MoveItems(PAGE, ("line-01", "box-001", "ring-01"), 0, 90))
        self.assertEqual(item(together, "line-01").holds, ("box-001", "ring-01"))

    def test_an_end_is_dragged_to_another_place_or_thing_and_undo_brings_it_back(self) -> None:
        free = MoveEnds(PAGE, "line-01", (50, 30), (500, 200), ("box-001", ""))
        step = resolve(self.board, free, "seat-a", 1, TYPESETTER)
        moved = apply(self.board, step)
        np.testing.assert_allclose(self.ends(moved)[1], (500, 200), atol=0.01)
        self.assertEqual(item(moved, "line-01").holds, ("box-001", ""))
        onto = after(moved, MoveEnds(PAGE, "line-01", (330, 30), (500, 200), ("ring-01", "")))
        self.assertAlmostEqual(math.dist(self.ends(onto)[0], (330, 30)), 30 + 4, delta=1.2)
        back = apply(moved, invert(self.board, step))
        np.testing.assert_allclose(self.ends(back), self.ends(self.board))
        self.assertEqual(item(back, "line-01").holds, ("box-001", "ring-01"))

    def test_dragging_an_end_is_a_change_of_that_line_also_when_it_holds_on(self) -> None:
        request = MoveEnds(PAGE, "line-01", (50, 30), (500, 200), ("box-001", ""))
        board = after(self.board, ArrangeItems(PAGE, ("line-01",), "lock"))
        step = resolve(board, request, "seat-b", 1, TYPESETTER)
        for asked in (request, Undo()):
            ((_, target),) = needs(board, asked, step)
            self.assertEqual((target.owners, target.locked), ({"seat-a"}, True))

    def test_a_locked_line_follows_nothing_and_taking_its_run_back_is_a_change_of_it(self) -> None:
        run = ChangeItems(PAGE, (Change(id="line-01", points=((0, 0), (9, 9))),))
        ((_, target),) = needs(self.board, Undo(), run)
        self.assertEqual(target.owners, frozenset())
        locked = after(self.board, ArrangeItems(PAGE, ("line-01",), "lock"))
        ((_, target),) = needs(locked, Undo(), run)
        self.assertEqual((target.owners, target.locked), ({"seat-a"}, True))
        before = item(locked, "line-01")
        self.assertEqual(item(after(locked, MoveItems(PAGE, ("box-001",), 90, 0)), "line-01"), before)

    def test_a_line_holds_neither_itself_nor_what_is_not_there(self) -> None:
        moved = after(self.board, MoveEnds(PAGE, "line-01", (0, 0), (90, 90), ("line-01", "nothing-1")))
        self.assertEqual(item(moved, "line-01").holds, ("", ""))
        with self.assertRaises(GoneError):
            after(self.board, MoveEnds(PAGE, "box-001", (0, 0), (90, 90)))
        with self.assertRaises(MalformedError):
            check_request(MoveEnds(PAGE, "line-01", (math.nan, 0), (1, 1)))
