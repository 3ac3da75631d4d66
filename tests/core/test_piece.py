"""Pieces: some things of a page, kept by themselves."""

from __future__ import annotations

from unittest import TestCase

import msgspec

from sunroom.core.board import Page
from sunroom.core.board.items import item_box
from sunroom.core.board.pages import check_head
from sunroom.core.board.piece import MARGIN, MAX_PIECE, piece
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from tests.core.test_bays import PAGE, page, stroke


class Pieces(TestCase):
    def setUp(self) -> None:
        strokes = [
            stroke("stroke-1", 500, 900, 700),
            stroke("stroke-2", 600, 640, 720),
            stroke("stroke-3", 0, 9),
        ]
        self.page = page(*strokes).pages[PAGE]

    def test_chosen_things_lie_by_themselves_as_they_lay_to_each_other(self) -> None:
        made = piece(self.page, ["stroke-2", "stroke-1", "gone", "stroke-1"])
        check_head(made.head)
        self.assertEqual([item.id for item in made.in_order()], ["stroke-1", "stroke-2"])
        box = Box.union(item_box(item) for item in made.in_order())
        assert box is not None
        self.assertAlmostEqual(box.x0, MARGIN)
        self.assertAlmostEqual(box.y0, MARGIN)
        self.assertAlmostEqual(made.head.paper.width, box.x1 + MARGIN)
        first, second = made.in_order()
        self.assertEqual((second.x - first.x, second.y - first.y), (100, 20))

    def test_what_was_locked_or_background_is_free_in_a_piece(self) -> None:
        held = msgspec.structs.replace(self.page.items["stroke-1"], locked=True, pinned=True)
        made = piece(Page(self.page.head, self.page.items.set("stroke-1", held)), ["stroke-1"])
        [item] = made.in_order()
        self.assertEqual((item.locked, item.pinned), (False, False))

    def test_nothing_and_too_much_are_no_piece(self) -> None:
        for ids in ([], ["gone"], [f"stroke-{n}" for n in range(MAX_PIECE + 1)]):
            with self.assertRaises(MalformedError):
                piece(self.page, ids)
