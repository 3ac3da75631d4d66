"""What copies and conversions must keep of lines and inner ink, found once to be lost."""

from __future__ import annotations

from unittest import TestCase

import msgspec

from sunroom.core.board import (
    Board,
    InkItem,
    Item,
    PageHead,
    ShapeItem,
    TextItem,
    apply,
    resolve,
)
from sunroom.core.board.requests import (
    AsWritten,
    CopyPage,
    GoneError,
    RubItems,
)
from sunroom.core.board.steps import (
    AddItems,
    AddPage,
)
from tests.core.test_trespass import SAMPLES, TYPESETTER


class Holding(TestCase):
    """What copies and conversions must keep, found once to be lost."""

    def board(self, *items: Item) -> Board:
        return apply(apply(Board(), AddPage(PageHead("page-one"), 0)), AddItems("page-one", tuple(items)))

    def test_copied_pages_keep_what_their_lines_hold(self) -> None:
        box = ShapeItem(id="box-0001", figure="rectangle", points=((0, 0), (9, 0), (9, 9), (0, 9)), closed=True, curved=False, colour="#16222b", width=2)  # fmt: skip
        line = ShapeItem(id="line-001", figure="line", points=((0, 0), (9, 9)), closed=False, curved=False, colour="#16222b", width=2, holds=("box-0001", "gone-001"))  # fmt: skip
        step = resolve(self.board(box, line), CopyPage("page-one", "page-two"), "seat-a", 1, TYPESETTER)
        items = {item.id: item for item in step.items}  # type: ignore[union-attr]
        (copied,) = [item for item in items.values() if isinstance(item, ShapeItem) and item.figure == "line"]
        self.assertEqual(items[copied.holds[0]].figure, "rectangle")  # type: ignore[union-attr]
        self.assertEqual(copied.holds[1], "", "what was gone before is not held by the copy")

    def test_two_copies_of_a_word_taken_back_give_all_ink_twice(self) -> None:
        inner = InkItem(id="stroke-1", nib="pen", colour="#16222b", width=3, samples=SAMPLES)
        words = [TextItem(id=f"word-00{n}", x=100.0 * n, text="noon", size=20, colour="#16222b", ink=(inner,)) for n in range(2)]  # fmt: skip
        board = self.board(*words)
        for word in words:
            board = apply(board, resolve(board, AsWritten("page-one", (word.id,)), "seat-a", 1, TYPESETTER))
        strokes = board.pages["page-one"].items
        self.assertEqual(len(strokes), 2)
        self.assertEqual(sorted(stroke.x for stroke in strokes.values()), [0.0, 100.0])

    def test_ink_taken_back_never_takes_another_s_place(self) -> None:
        locked = ShapeItem(id="tutors-1", by="imani", locked=True, figure="line", points=((0, 0), (9, 9)), closed=False, curved=False, colour="#16222b", width=2)  # fmt: skip
        forged = TextItem(id="forged-1", by="seat-a", text="mine", size=20, colour="#16222b", ink=(InkItem(id="tutors-1", nib="pen", colour="#16222b", width=3, samples=SAMPLES),))  # fmt: skip
        board = self.board(locked, forged)
        after = apply(board, resolve(board, AsWritten("page-one", ("forged-1",)), "seat-a", 1, TYPESETTER))
        self.assertEqual(after.pages["page-one"].items["tutors-1"].by, "imani")
        self.assertEqual(len(after.pages["page-one"].items), 2)

    def test_a_rub_cannot_name_its_pieces_after_what_is_there(self) -> None:
        mine = InkItem(id="mine-001", by="seat-a", nib="pen", colour="#16222b", width=3, samples=SAMPLES)
        there = msgspec.structs.replace(mine, id="target-0", by="imani", y=900.0)
        with self.assertRaises(GoneError) as caught:
            path = ((30.0, 5.0, 6.0),)
            resolve(self.board(mine, there), RubItems("page-one", ("mine-001",), "target", path), "seat-a", 1, TYPESETTER)  # fmt: skip
        self.assertEqual(caught.exception.code, "id_taken")
