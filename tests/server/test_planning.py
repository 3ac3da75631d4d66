"""Heavy requests that another process works out: the same plan, and the same refusals."""

from __future__ import annotations

import asyncio
import time
from unittest import TestCase, mock

import numpy as np

from sunroom.core.board import Board, InkItem, PageHead, apply
from sunroom.core.board.planning import plan
from sunroom.core.board.requests import ArrangeItems, GoneError
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.errors import MalformedError
from sunroom.core.ink import pack_samples
from sunroom.core.pens import Actor
from sunroom.live.work import planning
from sunroom.resources import typesetter

PAGE = "page-001"
NOOR = Actor("seat-noor", "student", "Noor")


def stroke(item_id: str, x: float = 0.0) -> InkItem:
    rows = np.array([(0, 0, 0.5, 0), (9, 4, 0.5, 8)], float)
    return InkItem(id=item_id, x=x, nib="pen", colour="#1f5fa8", width=3, samples=pack_samples(rows))


def endless(*_: object) -> bytes:
    """In the place of a plan that takes too long."""
    time.sleep(60)
    return b""


class Planning(TestCase):
    @classmethod
    def setUpClass(cls) -> None:
        super().setUpClass()
        cls.addClassCleanup(planning.stop)
        board = apply(Board(), AddPage(PageHead(PAGE), 0))
        strokes = tuple(stroke(f"stroke-{n:03}", x=10.0 * n) for n in range(60))
        cls.board = apply(board, AddItems(PAGE, strokes))

    def beside(self, request: object) -> object:
        return asyncio.run(planning.plan_beside(self.board, request, NOOR, 7))  # type: ignore[arg-type]

    def test_it_is_the_plan_that_would_be_made_here(self) -> None:
        request = ArrangeItems(PAGE, tuple(f"stroke-{n:03}" for n in range(0, 60, 3)), "front")
        self.assertEqual(self.beside(request), plan(self.board, request, NOOR, 7, typesetter()))

    def test_refusals_keep_their_kind_and_their_sentence(self) -> None:
        for request, kind in (
            (ArrangeItems(PAGE, ("nothing-here",), "front"), GoneError),
            (ArrangeItems("page-999", ("stroke-001",), "front"), GoneError),
            (AddItems(PAGE, (stroke("x"),)), MalformedError),
        ):
            with self.subTest(request), self.assertRaises(kind) as here:
                plan(self.board, request, NOOR, 7, typesetter())
            with self.subTest(request), self.assertRaises(kind) as there:
                self.beside(request)
            self.assertEqual(here.exception.sentence, there.exception.sentence)

    def test_what_takes_too_long_is_refused_and_the_next_is_not(self) -> None:
        request = ArrangeItems(PAGE, ("stroke-001", "stroke-002"), "front")
        with (
            mock.patch.multiple(planning, PLAN_S=0.2, _plan=endless),
            self.assertRaises(MalformedError) as refused,
        ):
            self.beside(request)
        self.assertEqual(refused.exception.sentence.key, "that-is-more-than-can")
        self.assertTrue(self.beside(request))
