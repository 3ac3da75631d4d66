"""Two people at one table, one page, one text: each changes a part, and takes back only what is still their own."""

from __future__ import annotations

from unittest import TestCase

import msgspec
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.board import (
    Board,
    History,
    Page,
    PageHead,
    Step,
    TableItem,
    TextItem,
    apply,
    invert,
    resolve,
)
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import (
    ChangeTable,
    DropBay,
    EditPage,
    EditText,
    GoneError,
    Plain,
    PutBay,
    SetCell,
    Side,
)
from sunroom.core.board.steps import AddItems, AddPage, MoveItems
from tests import strategies as make

PAGE = "page-one"
TABLE = TableItem(
    id="table-01", columns=(80.0, 80.0), rows=(40.0, 40.0), cells=("a", "b", "c", "d"), colour="#16222b"
)
TEXT = TextItem(id="text-001", text="noon", size=20.0, colour="#16222b")


class Table:
    """A board with a table and a text, and two people's ways back."""

    def __init__(self) -> None:
        self.typesetter = make.even_typesetter()
        self.board = apply(Board(), AddPage(PageHead(PAGE), 0))
        self.history = History()
        self.do("seat-0", AddItems(PAGE, (TABLE, TEXT)))

    def do(self, seat: str, request: Plain) -> None:
        self._take(seat, resolve(self.board, request, seat, 1, self.typesetter), "do", 0)

    def go(self, seat: str, how: str) -> bool:
        found = self.history.find(seat, how, self.board)  # type: ignore[arg-type]
        if found:
            self._take(seat, found[1], how, found[0])
        return found is not None

    def _take(self, seat: str, step: Step, how: str, of: int) -> None:
        inverse = invert(self.board, step)
        self.board = apply(self.board, step)
        self.history.record(seat, self.board.seq, how, of, inverse, step)  # type: ignore[arg-type]

    @property
    def page(self) -> Page:
        return self.board.pages[PAGE]

    @property
    def table(self) -> TableItem:
        item = self.page.items["table-01"]
        assert isinstance(item, TableItem)
        return item


class TwoPeople(TestCase):
    def test_cells_written_at_once_are_all_there_and_one_undo_takes_one_back(self) -> None:
        room = Table()
        room.do("seat-a", SetCell(PAGE, "table-01", 0, 0, "sun"))
        room.do("seat-b", SetCell(PAGE, "table-01", 1, 1, "moon"))
        self.assertEqual(room.table.cells, ("sun", "b", "c", "moon"))
        room.go("seat-a", "undo")
        self.assertEqual(room.table.cells, ("a", "b", "c", "moon"))
        self.assertEqual(len(room.table.lines), 4)
        room.go("seat-a", "redo")
        self.assertEqual(room.table.cells, ("sun", "b", "c", "moon"))

    def test_a_cell_that_somebody_else_has_written_in_since_is_left(self) -> None:
        room = Table()
        room.do("seat-a", SetCell(PAGE, "table-01", 0, 0, "sun"))
        room.do("seat-b", SetCell(PAGE, "table-01", 0, 0, "star"))
        room.go("seat-a", "undo")
        self.assertEqual(room.table.cells[0], "star")

    def test_a_row_stays_high_enough_for_what_another_wrote_in_it_meanwhile(self) -> None:
        room = Table()
        words = "as high as the sun stands at noon " * 6
        room.do("seat-a", SetCell(PAGE, "table-01", 0, 0, words))
        room.do("seat-b", SetCell(PAGE, "table-01", 0, 1, words))
        high = room.table.rows[0]
        self.assertGreater(high, 40.0)
        room.go("seat-a", "undo")
        self.assertEqual((room.table.cells[:2], room.table.rows[0]), (("a", words), high))
        room.go("seat-b", "undo")
        self.assertEqual(room.table.cells[:2], ("a", "b"))

    def test_a_row_comes_and_goes_and_a_full_cell_takes_no_nonsense(self) -> None:
        room = Table()
        room.do("seat-a", ChangeTable(PAGE, "table-01", rows=1, columns=1))
        self.assertEqual(room.table.cells, ("a", "b", "", "c", "d", "", "", "", ""))
        room.do("seat-a", ChangeTable(PAGE, "table-01", rows=-1, head=False))
        self.assertEqual((len(room.table.rows), room.table.head), (2, False))
        room.do("seat-a", ChangeTable(PAGE, "table-01", side=Side(True, 1, 150.0)))
        self.assertEqual(room.table.columns[1], 150.0)
        for request in (SetCell(PAGE, "table-01", 9, 0, "x"), SetCell(PAGE, "text-001", 0, 0, "x")):
            with self.assertRaises(GoneError):
                room.do("seat-a", request)

    def test_a_row_that_was_added_is_not_taken_back_with_what_somebody_wrote_in_it(self) -> None:
        room = Table()
        room.do("seat-a", ChangeTable(PAGE, "table-01", rows=1))
        room.do("seat-b", SetCell(PAGE, "table-01", 2, 0, "moon"))
        room.go("seat-a", "undo")
        self.assertIn("moon", room.table.cells)

    def test_words_edited_by_another_stay_and_moved_ones_lie_where_they_were_moved(self) -> None:
        room = Table()
        room.do("seat-a", EditText(PAGE, "text-001", "evening"))
        room.do("seat-b", MoveItems(PAGE, ("text-001",), 100, 0))
        room.go("seat-a", "undo")
        text = room.page.items["text-001"]
        assert isinstance(text, TextItem)
        self.assertEqual((text.text, text.x), ("noon", 100.0))
        room.do("seat-a", EditText(PAGE, "text-001", "evening"))
        room.do("seat-b", EditText(PAGE, "text-001", "morning"))
        room.go("seat-a", "undo")
        self.assertEqual(getattr(room.page.items["text-001"], "text", ""), "morning")

    def test_a_title_and_a_bay_given_at_once_are_both_there_and_undone_apart(self) -> None:
        room = Table()
        bay = Bay("bay-0001", 0, 0, 300, 200)
        room.do("seat-a", EditPage(PAGE, title="Shadows"))
        room.do("seat-b", PutBay(PAGE, bay))
        room.do("seat-a", PutBay(PAGE, Bay("bay-0002", 400, 0, 300, 200)))
        self.assertEqual((room.page.head.title, len(room.page.head.bays)), ("Shadows", 2))
        room.go("seat-b", "undo")
        self.assertEqual([bay.id for bay in room.page.head.bays], ["bay-0002"])
        room.go("seat-b", "redo")
        room.do("seat-b", PutBay(PAGE, msgspec.structs.replace(bay, title="Ours")))
        room.go("seat-a", "undo")
        self.assertEqual([bay.title for bay in room.page.head.bays if bay.id == "bay-0001"], ["Ours"])
        room.do("seat-a", DropBay(PAGE, "bay-0001"))
        room.go("seat-a", "undo")
        self.assertIn("bay-0001", [bay.id for bay in room.page.head.bays])

    @settings(max_examples=150)
    @given(
        st.lists(
            st.tuples(
                st.sampled_from(["seat-a", "seat-b"]),
                st.sampled_from(["cell", "cell", "cell", "row", "undo", "redo"]),
                st.integers(0, 3),
            ),
            max_size=25,
        )
    )
    def test_undo_takes_back_own_words_only_and_redo_brings_back_own(self, acts: list) -> None:
        room = Table()
        writer: dict[str, str] = {}
        for number, (seat, act, at) in enumerate(acts):
            cells = room.table.cells
            if act == "cell":
                room.do(seat, SetCell(PAGE, "table-01", at // 2, at % 2, f"word {number}"))
                writer[f"word {number}"] = seat
            elif act == "row" and len(room.table.rows) < 5:
                room.do(seat, ChangeTable(PAGE, "table-01", rows=1))
            elif act in ("undo", "redo"):
                room.go(seat, act)
                for was, now in zip(cells, room.table.cells, strict=False):
                    if was != now:
                        self.assertEqual(writer.get(was if act == "undo" else now), seat)
            self.assertEqual(len(room.table.cells), len(room.table.rows) * len(room.table.columns))
            self.assertEqual(len(room.table.lines), len(room.table.cells))
