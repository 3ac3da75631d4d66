"""What is shown of a board with hidden pages, step by step."""

from __future__ import annotations

from unittest import TestCase

import msgspec
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board import Board, PageHead, Step, apply, remaining
from sunroom.core.board.requests import EditPage, GoneError, resolve
from sunroom.core.board.sight import as_meant, shown, step_shown
from sunroom.core.board.steps import AddPage, MovePage, RemovePage
from tests import strategies as make
from tests.core.test_arrange import TYPESETTER
from tests.core.test_board import PAGE


def plain(board: Board) -> object:
    return [(page.head, page.in_order()) for page in board.in_order()]


class Sight(TestCase):
    @given(make.boards(), st.lists(make.steps(), min_size=1, max_size=6))
    def test_what_is_shown_of_each_step_makes_the_shown_board(self, board: Board, steps: list[Step]) -> None:
        seen = shown(board)
        for step in steps:
            fitting = remaining(board, step)
            if fitting is None:
                continue
            after = apply(board, fitting)
            told = step_shown(board, fitting, after)
            hidden = [page for page in after.order if after.pages[page].head.hidden]
            self.assertFalse(
                any(page in str(msgspec.to_builtins(told)) for page in hidden if page not in seen.pages)
            )
            seen = apply(seen, told) if told else seen
            board = after
            self.assertEqual(plain(seen), plain(shown(board)))
            self.assertTrue(seen.order, "a page is always left to look at")

    @given(make.boards(), st.integers(0, 5), st.sampled_from(make.PAGE_IDS))
    def test_a_place_among_the_shown_pages_is_found_among_all(
        self, board: Board, index: int, page: str
    ) -> None:
        new = AddPage(PageHead("page-new"), index)
        after = apply(board, as_meant(board, new))
        self.assertEqual(shown(after).order, apply(shown(board), new).order)
        if page in shown(board).pages:
            move = MovePage(page, index)
            after = apply(board, as_meant(board, move))
            self.assertEqual(shown(after).order, apply(shown(board), move).order)

    def test_the_last_page_that_everybody_sees_is_neither_hidden_nor_removed(self) -> None:
        board = apply(
            apply(Board(), AddPage(PageHead(PAGE), 0)), AddPage(PageHead("page-two", hidden=True), 1)
        )
        for request in (EditPage(PAGE, hidden=True), RemovePage(PAGE)):
            with self.assertRaises(GoneError) as caught:
                resolve(board, request, "tutor", 0, TYPESETTER)
            self.assertEqual(caught.exception.code, "last_page")
        self.assertIsNotNone(resolve(board, EditPage("page-two", hidden=False), "tutor", 0, TYPESETTER))
