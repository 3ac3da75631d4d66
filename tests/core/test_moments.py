"""Bringing back what a page was: a step like any other, over random boards."""

from __future__ import annotations

from unittest import TestCase

from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import Board, apply, invert
from sunroom.core.board.moments import as_it_was, lost_things, some_as_it_was
from sunroom.core.board.steps import remaining
from tests import strategies as make


@st.composite
def times(draw: st.DrawFn) -> tuple[Board, Board]:
    """A board, and what it is after some more steps."""
    then = now = draw(make.boards())
    for step in draw(st.lists(make.steps(), max_size=8)):
        fitting = remaining(now, step)
        now = apply(now, fitting) if fitting else now
    return then, now


class BringingBack(TestCase):
    @settings(max_examples=150)
    @given(times())
    def test_a_page_is_again_what_it_was_and_undo_takes_that_away(self, boards: tuple[Board, Board]) -> None:
        then, now = boards
        for page in then.in_order():
            step = as_it_was(now, page, only_gone=False)
            here = now.pages.get(page.head.id)
            if step is None:
                self.assertEqual(here and here.items, page.items)
                continue
            self.assertEqual(remaining(now, step), step, "it fits the board as it is")
            after = apply(now, step)
            self.assertEqual(after.pages[page.head.id].items, page.items)
            back = apply(after, invert(now, step))
            self.assertEqual(back.pages.get(page.head.id), here)

    @settings(max_examples=150)
    @given(times())
    def test_what_has_gone_comes_back_and_nothing_else_changes(self, boards: tuple[Board, Board]) -> None:
        then, now = boards
        for page in then.in_order():
            here = now.pages.get(page.head.id)
            step = as_it_was(now, page, only_gone=True)
            if here is None or step is None:
                continue
            after = apply(now, step).pages[page.head.id].items
            for item_id, item in here.items.items():
                self.assertEqual(after[item_id], item)
            self.assertEqual(set(after), set(here.items) | set(page.items))

    @settings(max_examples=150)
    @given(times(), st.data())
    def test_chosen_things_are_what_they_were_and_the_others_stay(
        self, boards: tuple[Board, Board], data: st.DataObject
    ) -> None:
        then, now = boards
        for page in then.in_order():
            here = now.pages.get(page.head.id)
            lost = lost_things(here, page) if here else []
            self.assertEqual(
                sorted(uid for thing in lost for uid in thing.ids),
                sorted(uid for uid, item in page.items.items() if here and here.items.get(uid) != item),
            )
            if here is None or not lost:
                continue
            chosen = data.draw(st.sampled_from(lost))
            step = some_as_it_was(now, page, chosen.ids)
            assert step is not None
            after = apply(now, step)
            items = after.pages[page.head.id].items
            for uid in chosen.ids:
                self.assertEqual(items[uid], page.items[uid])
            for uid, item in here.items.items():
                self.assertTrue(uid in chosen.ids or items[uid] == item)
            # What lies on top next may lie higher than before.
            back = apply(after, invert(now, step)).pages[page.head.id]
            self.assertEqual((back.head, back.items), (here.head, here.items))
