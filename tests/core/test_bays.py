"""Bays and desks: which things lie where, and what the rule book is asked about them."""

from __future__ import annotations

from unittest import TestCase

import numpy as np
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board import Board, InkItem, NoteItem, PageHead, ShapeItem, apply, needs, resolve
from sunroom.core.board.bays import bays_at, bays_of, targets_of
from sunroom.core.board.pages import MAX_BAYS, Bay, check_head
from sunroom.core.board.requests import CopyPage, TransformItems, Undo
from sunroom.core.board.steps import AddItems, AddPage, ChangePage, MoveItems, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.pens import BESIDE, Actor, BayFacts, Facts, decide
from tests import strategies as make

PAGE = "page-001"
TYPESETTER = make.even_typesetter()
LEFT = Bay("bay-left", 0, 0, 200, 200, "Noor", "people", ("noor",))
RIGHT = Bay("bay-right", 300, 0, 200, 200, "Tomasz", "people", ("tomasz",))
HEAD = PageHead(PAGE, bays=(LEFT, RIGHT))
NOOR = Actor("noor", "student", "Noor")


def stroke(item_id: str, x0: float, x1: float, y: float = 100) -> InkItem:
    rows = np.column_stack([np.linspace(0, x1 - x0, 20), np.zeros(20), np.full(20, 0.5), np.arange(20) * 8.0])
    return InkItem(id=item_id, x=x0, y=y, nib="pen", colour="#16222b", width=3, samples=pack_samples(rows))


def page(*items: InkItem, head: PageHead = HEAD) -> Board:
    board = apply(Board(), AddPage(head, 0))
    return apply(board, resolve(board, AddItems(PAGE, items), "noor", 1, TYPESETTER)) if items else board


class Lying(TestCase):
    def test_ink_lies_where_its_samples_are_and_not_where_its_box_is(self) -> None:
        inside, across, beside = (
            stroke("stroke-1", 20, 180),
            stroke("stroke-2", 100, 400),
            stroke("stroke-3", 220, 280),
        )
        self.assertEqual(bays_of(HEAD, [inside]), (LEFT.facts,))
        self.assertEqual(set(bays_of(HEAD, [across])), {LEFT.facts, RIGHT.facts, BESIDE})
        self.assertEqual(bays_of(HEAD, [beside]), (BESIDE,))

    def test_a_large_thing_lies_in_every_bay_under_it(self) -> None:
        note = NoteItem(id="note-001", x=-50, y=-50, width=700, height=400, text="", colour="#cfe8dc")
        self.assertEqual(set(bays_of(HEAD, [note])), {LEFT.facts, RIGHT.facts, BESIDE})

    def test_a_closed_figure_around_a_bay_lies_in_it_and_an_open_line_does_not(self) -> None:
        around = ((-50.0, -50.0), (250.0, -50.0), (250.0, 250.0), (-50.0, 250.0))
        look = {"figure": "polygon", "points": around, "curved": False, "colour": "#16222b", "width": 2.0}
        closed = ShapeItem(id="figure-01", closed=True, **look)
        self.assertEqual(set(bays_of(HEAD, [closed])), {LEFT.facts, BESIDE})
        line = ShapeItem(id="figure-02", closed=False, **{**look, "figure": "polyline"})
        self.assertEqual(bays_of(HEAD, [line]), (BESIDE,))

    def test_a_page_has_a_place_for_itself_and_for_each_bay(self) -> None:
        free = [
            decide(NOOR, "add_picture", target, Facts(open=True, mode="passed"), 0).allowed
            for target in targets_of(HEAD)
        ]
        self.assertEqual(free, [False, True, False])

    def test_of_bays_that_overlap_the_later_one_counts(self) -> None:
        over = Bay("bay-over", 100, 0, 100, 200, rule="tutor_side")
        head = PageHead(PAGE, bays=(LEFT, over))
        self.assertEqual(bays_at(head, np.array([(150.0, 50.0)])), (over.facts,))
        self.assertEqual(bays_at(head, np.array([(50.0, 50.0)])), (LEFT.facts,))

    @given(st.lists(st.tuples(st.integers(-50, 600), st.integers(-50, 300)), min_size=1, max_size=20))
    def test_every_point_is_counted_and_order_does_not_matter(self, places) -> None:
        points = np.array(places, dtype=float)
        expected = set()
        for x, y in places:
            within = [b for b in HEAD.bays if b.x <= x <= b.x + b.width and b.y <= y <= b.y + b.height]
            expected.add(within[-1].facts if within else BESIDE)
        self.assertEqual(set(bays_at(HEAD, points)), expected)
        self.assertEqual(set(bays_at(HEAD, points[::-1])), expected)


class Asking(TestCase):
    """With pens down Noor writes in her own bay and nowhere else, whatever she does."""

    def allowed(self, board: Board, request: object, asked: object = None) -> bool:
        step = resolve(board, request, "noor", 2, TYPESETTER)  # type: ignore[arg-type]
        rows = needs(board, asked or request, step)  # type: ignore[arg-type]
        return all(decide(NOOR, action, target, Facts(), 2).allowed for action, target in rows)

    def test_new_ink(self) -> None:
        self.assertTrue(self.allowed(page(), AddItems(PAGE, (stroke("stroke-1", 20, 180),))))
        self.assertFalse(self.allowed(page(), AddItems(PAGE, (stroke("stroke-1", 100, 260),))))
        self.assertFalse(self.allowed(page(), AddItems(PAGE, (stroke("stroke-1", 320, 400),))))

    def test_moving_needs_leave_for_both_places(self) -> None:
        board = page(stroke("stroke-1", 20, 120))
        self.assertTrue(self.allowed(board, MoveItems(PAGE, ("stroke-1",), 50, 20)))
        for dx in (150, 300):
            self.assertFalse(self.allowed(board, MoveItems(PAGE, ("stroke-1",), dx, 0)), dx)
        away = page(stroke("stroke-1", 320, 420))
        self.assertFalse(self.allowed(away, MoveItems(PAGE, ("stroke-1",), -300, 0)))

    def test_resizing_may_not_reach_out_of_the_bay(self) -> None:
        board = page(stroke("stroke-1", 20, 120))
        self.assertTrue(self.allowed(board, TransformItems(PAGE, ("stroke-1",), Affine(1.2, 0, 0, 1.2))))
        self.assertFalse(self.allowed(board, TransformItems(PAGE, ("stroke-1",), Affine(3, 0, 0, 1))))

    def test_removing_and_its_undo(self) -> None:
        for x0, allowed in ((20, True), (320, False)):
            board = page(stroke("stroke-1", x0, x0 + 100))
            self.assertEqual(self.allowed(board, RemoveItems(PAGE, ("stroke-1",))), allowed)
            back = AddItems(PAGE, tuple(board.pages[PAGE].items.values()))
            gone = apply(board, RemoveItems(PAGE, ("stroke-1",)))
            rows = needs(gone, Undo(), back)
            self.assertEqual(all(decide(NOOR, a, t, Facts(), 2).allowed for a, t in rows), allowed)

    def test_changing_bays_is_setting_pens(self) -> None:
        board = page()
        for head, asks in (
            (PageHead(PAGE, bays=(LEFT,)), True),
            (PageHead(PAGE, "Sun", bays=HEAD.bays), False),
        ):
            change = ChangePage(head)
            actions = [action for action, _ in needs(board, change, change)]
            self.assertEqual("set_pens" in actions, asks)


class Desks(TestCase):
    def test_a_desk_is_a_copy_that_belongs_to_one(self) -> None:
        board = page(stroke("stroke-1", 20, 120))
        step = resolve(board, CopyPage(PAGE, "page-002", "Noor", "noor"), "tutor", 2, TYPESETTER)
        self.assertIn("set_pens", [action for action, _ in needs(board, Undo(), step)])
        desk = apply(board, step).pages["page-002"]
        self.assertEqual((desk.head.title, desk.head.writers, desk.head.desk_of), ("Noor", "desk", "noor"))
        self.assertEqual((desk.head.bays, len(desk.items), desk.head.desk_from), ((), 1, PAGE))

    def test_where_a_desk_is_from_nobody_changes(self) -> None:
        board = page(head=PageHead(PAGE, writers="desk", desk_of="noor", desk_from="page-tasks"))
        claimed = PageHead(PAGE, "Noor's", writers="desk", desk_of="noor", desk_from="page-other")
        step = resolve(board, ChangePage(claimed), "noor", 2, TYPESETTER)
        self.assertEqual((step.head.title, step.head.desk_from), ("Noor's", "page-tasks"))  # type: ignore[union-attr]

    def test_a_copy_of_a_desk_is_nobody_s_desk(self) -> None:
        board = page(head=PageHead(PAGE, writers="desk", desk_of="noor"))
        step = resolve(board, CopyPage(PAGE, "page-002"), "tutor", 2, TYPESETTER)
        self.assertEqual(step.head, PageHead("page-002", by="tutor"))  # type: ignore[union-attr]


class Limits(TestCase):
    def test_bays_and_desks_from_outside_are_held_to_their_limits(self) -> None:
        bad = [
            PageHead(PAGE, writers="desk"),
            PageHead(PAGE, desk_of="noor"),
            PageHead(PAGE, writers="desk", desk_of="noor", desk_from="two\nlines"),
            PageHead(PAGE, bays=(LEFT, LEFT)),
            PageHead(PAGE, bays=tuple(Bay(f"bay-{n:04d}", 0, 0, 90, 90) for n in range(MAX_BAYS + 1))),
            PageHead(PAGE, bays=(Bay("bay-0001", 0, 0, 5, 90),)),
            PageHead(PAGE, bays=(Bay("bay-0001", float("nan"), 0, 90, 90),)),
            PageHead(PAGE, bays=(Bay("bay-0001", 0, 0, 90, 90, "two\nlines"),)),
            PageHead(PAGE, bays=(Bay("bay-0001", 0, 0, 90, 90, rule="people", people=("x" * 40,)),)),
        ]
        for head in bad:
            with self.assertRaises(MalformedError):
                check_head(head)
        check_head(HEAD)
        self.assertEqual(LEFT.facts, BayFacts("people", ("noor",)))
