"""What comes from outside is held to its limits: every field of every kind of item, request and page."""

from __future__ import annotations

import math
from typing import Any
from unittest import TestCase

import msgspec
import numpy as np

from sunroom.core.board import (
    CardItem,
    ChartItem,
    FormulaItem,
    GraphItem,
    InkItem,
    NoteItem,
    PageHead,
    Paper,
    PictureItem,
    ShapeItem,
    TableItem,
    TextItem,
)
from sunroom.core.board.limits import MAX_FIGURE_POINTS, MAX_INNER_INK, check_item
from sunroom.core.board.pages import Bay, check_head
from sunroom.core.board.requests import (
    AddPage,
    ArrangeItems,
    ChangeTable,
    DrawFigure,
    EditFormula,
    EditPage,
    EditText,
    MoveEnds,
    PutBay,
    RubItems,
    SetCell,
    SetMaths,
    SetTable,
    Side,
    StyleItems,
    TransformItems,
    TrueUp,
    TrueUpAll,
    Typeset,
    check_request,
)
from sunroom.core.board.steps import AddItems, MoveItems, RemoveItems, Style
from sunroom.core.data.chance import Chance
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink import MAX_SAMPLES, pack_samples, unpack_samples
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import GraphLetter, GraphLine
from sunroom.core.text import Span
from tests.words import in_words

NAN, FAR = math.nan, 1e12
PAGE = "page-001"
SAMPLES = pack_samples(np.array([(0, 0, 0.5, 0), (9, 2, 0.5, 8)], float))
INK = InkItem(id="stroke-1", nib="pen", colour="#16222b", width=3, samples=SAMPLES)
TEXT = TextItem(id="text-001", text="noon", size=20, colour="#16222b")
SHAPE = ShapeItem(
    id="shape-01",
    figure="line",
    points=((0, 0), (9, 9)),
    closed=False,
    curved=False,
    colour="#16222b",
    width=2,
)
NOTE = NoteItem(id="note-001", text="noon", width=160, height=120, colour="#cfe8dc")
TABLE = TableItem(id="table-01", columns=(60,), rows=(30,), cells=("noon",), colour="#16222b")
CARD = CardItem(id="card-001", of="link", title="Sundials", address="https://dials.example")
FORMULA = FormulaItem(id="formula-1", formula="x^2", size=24, colour="#16222b")
GRAPH = GraphItem(
    id="graph-01", width=300, height=200, ranges=Ranges(-5, 5, -4, 4), lines=(GraphLine("x", "#1f5fa8"),)
)
CHART = ChartItem(id="chart-01", form="bars", width=300, height=200, columns=2, cells=("a", "1"))
PICTURE = PictureItem(id="pict-001", picture="picture-1", width=80, height=60)
FIGURE = DrawFigure(PAGE, "figure-1", "star", 0, 0, 90, 90, "#16222b", 2.0)

#: A sound item, and for its fields values that are not.
BAD_ITEMS: list[tuple[Any, dict[str, list[Any]]]] = [
    (INK, {"id": ["", "short", "x" * 33, "with space", "a/b-c-d-e"], "x": [NAN, FAR, -math.inf], "y": [NAN],
           "map": [(0, 0, 0, 0), (NAN, 0, 0, 1), (1e9, 0, 0, 1)], "colour": ["red", "#12345", "#12345g", ""],
           "group": ["x"], "width": [0, NAN, 5_000], "opacity": [0, 1.5, NAN], "samples": [b"", b"123"]}),
    (TEXT, {"text": ["", "  ", "a\x00b", "x" * 6_000], "size": [0, NAN, 9_000], "wrap_width": [1, NAN],
            "spans": [(Span(3, 2),), (Span(0, 9),), (Span(0, 2), Span(1, 3)), (Span(0, 2, link="javascript:x"),)],
            "ink": [(INK,) * (MAX_INNER_INK + 1), (msgspec.structs.replace(INK, width=NAN),)]}),
    (SHAPE, {"points": [(), ((0, 0),), ((NAN, 0), (1, 1)), ((0, 0),) * (MAX_FIGURE_POINTS + 1)],
             "parts": [(1, 1), (3,), (2, 2)], "fill": ["blue"], "text": ["x" * 3_000, "a\x07"], "size": [NAN],
             "holds": [("x", ""), ("", "a b c d e f")], "width": [NAN], "opacity": [2], "measured": [("sides", "sides")]}),
    (NOTE, {"text": ["x" * 9_000, "a\x00"], "width": [5, NAN], "height": [9_999], "colour": [""]}),
    (TABLE, {"columns": [(), (1,), (NAN,), (60,) * 80], "rows": [(), (9_999,)], "cells": [(), ("a", "b"), ("x" * 9_000,)],
             "size": [0], "chance": [Chance("coin", ("a",)), Chance("coin", ("a", "a")), Chance("spinner", ("a\x00", "b")), Chance("dice", dice=0),
                                     Chance("dice", dice=4, sides=20), Chance("dice", sides=7), Chance("numbers", low=5, high=5), Chance("numbers", low=0, high=10**9)]}),
    (CARD, {"title": ["", "x" * 200, "a\x00"], "address": ["", "javascript:alert(1)", "file:///etc/passwd", "https://a b", "https://" + "a" * 600],
            "file": ["medium-01", "../etc"], "width": [5, NAN], "height": [9_999]}),
    (FORMULA, {"formula": ["", "  ", "a\x00b", "x" * 1_001], "size": [0, NAN, 9_000], "colour": ["red"],
               "ink": [(INK,) * (MAX_INNER_INK + 1), (msgspec.structs.replace(INK, width=NAN),)]}),
    (CHART, {"width": [5, NAN, 9_000], "height": [0], "columns": [0, 3, 99], "cells": [("a",), ("a\x00", "1"), ("x" * 9_000, "1"), ("1",) * 2_000],
             "table": ["x"], "title": ["x" * 200, "a\nb", "a\x00"], "colour": ["red"]}),
    (GRAPH, {"width": [5, NAN, 9_000], "height": [0], "ranges": [Ranges(1, 1, 0, 1), Ranges(2, 1, 0, 1), Ranges(NAN, 1, 0, 1), Ranges(0, 1e9, 0, 1)],
             "lines": [(GraphLine("x", "#1f5fa8"),) * 9, (GraphLine("", "#1f5fa8"),), (GraphLine("x", "blue"),), (GraphLine("x", "#1f5fa8", NAN),)],
             "letters": [(GraphLetter("a", NAN),), (GraphLetter("", 1.0),), (GraphLetter("a", 1.0),) * 9], "colour": [""]}),
    (PICTURE, {"picture": ["", "../../etc"], "width": [0, NAN], "height": [1e9], "opacity": [0]}),
]  # fmt: skip

BAD_REQUESTS: list[Any] = [
    AddItems(PAGE, ()),
    AddItems(PAGE, (INK, INK)),
    RemoveItems(PAGE, ()),
    MoveItems(PAGE, ("stroke-1",), NAN, 0),
    MoveItems(PAGE, ("stroke-1",), 0, FAR),
    MoveItems(PAGE, (), 1, 1),
    AddPage(PageHead("x"), 0),
    AddPage(PageHead(PAGE), 0, (INK,)),
    Typeset(PAGE, ("stroke-1",), "text-001", ""),
    Typeset(PAGE, ("stroke-1",), "x", "noon"),
    Typeset(PAGE, (), "text-001", "noon"),
    SetMaths(PAGE, (), "formula-1", "x^2"),
    SetMaths(PAGE, ("stroke-1",), "x", "x^2"),
    SetMaths(PAGE, ("stroke-1",), "formula-1", ""),
    EditFormula(PAGE, "formula-1", "x" * 1_001),
    TrueUp(PAGE, ("stroke-1",), "shape-01", "line", ((0, 0),), False, False),
    TrueUp(PAGE, ("stroke-1",), "shape-01", "line", ((0, 0), (1, 1), (2, 2)), False, True),
    TrueUpAll(PAGE, ()),
    TrueUpAll(PAGE, (TrueUp(PAGE, ("stroke-1",), "shape-01", "line", ((0, 0), (1, 1)), False, False),) * 2),
    TrueUpAll(
        PAGE,
        (TrueUp(PAGE, ("stroke-1",), "shape-01", "line", ((0, 0), (1, 1)), False, False),),
        (("x y", ""),),
    ),
    EditText(PAGE, "text-001", "a\x00"),
    EditText(PAGE, "text-001", "noon", (Span(0, 9),)),
    SetTable(PAGE, "table-01", (), (), ()),
    SetCell(PAGE, "table-01", 0, 0, "a\x00"),
    ChangeTable(PAGE, "table-01", side=Side(True, 0, NAN)),
    ChangeTable(PAGE, "table-01", rows=500),
    EditPage(PAGE, title="one\ntwo"),
    EditPage(PAGE, writers="desk"),
    PutBay(PAGE, Bay("bay-0001", NAN, 0, 10, 10)),
    TransformItems(PAGE, ("stroke-1",), Affine(0, 0, 0, 0)),
    TransformItems(PAGE, ("stroke-1",), Affine(1, 0, 0, 1, NAN)),
    StyleItems(PAGE, ("stroke-1",), Style(colour="red")),
    StyleItems(PAGE, ("stroke-1",), Style(fill="none")),
    StyleItems(PAGE, ("stroke-1",), Style(width=NAN)),
    StyleItems(PAGE, ("stroke-1",), Style(opacity=7)),
    StyleItems(PAGE, ("stroke-1",), Style(size=0)),
    ArrangeItems(PAGE, ("stroke-1",), "group", ""),
    ArrangeItems(PAGE, (), "front"),
    RubItems(PAGE, ("stroke-1",), "piece-01", ()),
    RubItems(PAGE, ("stroke-1",), "piece-01", ((NAN, 0, 5),)),
    RubItems(PAGE, ("stroke-1",), "piece-01", ((0, 0, 0),)),
    RubItems(PAGE, ("stroke-1",), "piece-01", ((0, 0, 5),) * 100_000),
    msgspec.structs.replace(FIGURE, width=0, height=0),
    msgspec.structs.replace(FIGURE, x=NAN),
    msgspec.structs.replace(FIGURE, sides=2),
    msgspec.structs.replace(FIGURE, colour="sun"),
    msgspec.structs.replace(FIGURE, fill="sun"),
    msgspec.structs.replace(FIGURE, line_width=0),
    msgspec.structs.replace(FIGURE, opacity=0),
    msgspec.structs.replace(FIGURE, holds=("x", "")),
    MoveEnds(PAGE, "line-001", (0, 0), (FAR, 0)),
    MoveEnds(PAGE, "line-001", (0, 0), (1, 0), ("x", "")),
]

BAD_HEADS = [
    PageHead("x"),
    PageHead(PAGE, "x" * 90),
    PageHead(PAGE, "two\nlines"),
    PageHead(PAGE, "a\x00b"),
    PageHead(PAGE, paper=Paper(width=10)),
    PageHead(PAGE, paper=Paper(height=NAN)),
    PageHead(PAGE, paper=Paper(spacing=0)),
    PageHead(PAGE, paper=Paper(colour="white")),
    PageHead(PAGE, paper=Paper(picture="../x")),
]


class Limits(TestCase):
    def test_sound_items_and_requests_pass(self) -> None:
        for item, _ in BAD_ITEMS:
            check_item(item)
        check_request(AddItems(PAGE, (INK, TEXT, SHAPE, NOTE, TABLE, PICTURE)))
        check_request(FIGURE)
        check_head(PageHead(PAGE, "Hour lines"))

    def test_each_bad_field_of_each_kind_of_item_is_refused_in_words(self) -> None:
        for item, fields in BAD_ITEMS:
            for field, values in fields.items():
                for value in values:
                    bad = msgspec.structs.replace(item, **{field: value})
                    with self.assertRaises(
                        MalformedError, msg=f"{type(item).__name__}.{field} {value!r:.60}"
                    ) as caught:
                        check_item(bad)
                    self.assertRegex(in_words(caught.exception), r"\.$")

    def test_each_bad_request_is_refused_before_the_board_is_looked_at(self) -> None:
        for request in BAD_REQUESTS:
            with self.assertRaises(MalformedError, msg=repr(request)[:120]) as caught:
                check_request(request)
            self.assertTrue(caught.exception.field)

    def test_each_bad_page_is_refused(self) -> None:
        for head in BAD_HEADS:
            with self.assertRaises(MalformedError, msg=repr(head)[:120]):
                check_head(head)


class Samples(TestCase):
    def test_samples_that_are_no_numbers_or_too_many_are_refused(self) -> None:
        rows = np.array([(0, 0, 0.5, 0), (NAN, 2, 0.5, 8)], float)
        for data in (pack_samples(rows), b"x" * 13, pack_samples(np.zeros((MAX_SAMPLES + 1, 4)))):
            with self.assertRaises(MalformedError):
                unpack_samples(data)

    def test_a_lone_sample_is_a_dot(self) -> None:
        self.assertEqual(unpack_samples(pack_samples(np.array([(3.0, 4.0, 0.5, 0.0)]))).shape, (1, 4))
