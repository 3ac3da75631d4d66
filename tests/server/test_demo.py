"""The demo data: built once, whole, and held to the limits that people's own boards are held to."""

from __future__ import annotations

from contextlib import redirect_stdout
from io import StringIO
from unittest import mock

from django.contrib.auth import authenticate
from django.test import TestCase

from demo import build
from sunroom.boards.models import Board, LoggedStep
from sunroom.boards.store import load
from sunroom.core.board import InkItem, Page
from sunroom.core.board.items import item_box
from sunroom.core.board.laying import laid_out
from sunroom.core.board.limits import check_item
from sunroom.core.board.pages import check_head
from sunroom.lessons import repository as lessons
from sunroom.resources import typesetter
from sunroom.rooms.models import Room, Seat


class DemoData(TestCase):
    @classmethod
    def setUpTestData(cls) -> None:
        with redirect_stdout(StringIO()):
            build.main()

    def pages(self) -> list[Page]:
        return [page for board in Board.objects.all() for page in load(board.pk).in_order()]

    def test_a_second_start_adds_nothing_and_prints_the_addresses(self) -> None:
        before = LoggedStep.objects.count(), Room.objects.count()
        said = StringIO()
        with redirect_stdout(said), mock.patch("sys.argv", ["build", "--port", "8124"]):
            build.main()
        self.assertEqual((LoggedStep.objects.count(), Room.objects.count()), before)
        for path in ("/demo/tutor", f"/r/{build.LINK}", f"/watch/{build.ONLOOKER_LINK}"):
            self.assertIn(f"http://127.0.0.1:8124{path}\n", said.getvalue())

    def test_every_thing_keeps_the_limits_and_is_laid_out_as_live(self) -> None:
        for page in self.pages():
            check_head(page.head)
            for item in page.in_order():
                check_item(item)
                self.assertEqual(laid_out(item, typesetter()), item)

    def test_whoever_wrote_has_a_seat_in_that_room(self) -> None:
        for board in Board.objects.all():
            seats = set(Seat.objects.filter(room=board.room).values_list("uid", flat=True))
            writers = {item.by for page in load(board.pk).in_order() for item in page.items.values()}
            self.assertLessEqual(writers, seats)

    def test_all_of_a_sheet_lies_on_it(self) -> None:
        sheets = [page for page in self.pages() if page.head.paper.kind == "sheet"]
        self.assertTrue(sheets)
        for page in sheets:
            for item in page.items.values():
                box = item_box(item)
                self.assertGreaterEqual(min(box.x0, box.y0), 0, item.id)
                self.assertLessEqual(box.x1, page.head.paper.width, item.id)
                self.assertLessEqual(box.y1, page.head.paper.height, item.id)

    def test_the_writing_is_ink_and_not_pictures(self) -> None:
        first = load(Board.objects.order_by("id")[0].pk).in_order()[0]
        ink = [item for item in first.items.values() if isinstance(item, InkItem)]
        self.assertGreater(len(ink), 30)
        self.assertGreater(len({item.samples for item in ink}), 0.95 * len(ink), "no stroke is a stamp")

    def test_the_lesson_is_on_and_the_tutor_s_account_opens_it(self) -> None:
        room = Room.objects.get(link=build.LINK)
        self.assertTrue(lessons.load(room).facts.open)
        user = authenticate(username=build.USERNAME, password=build.PASSWORD)
        self.assertEqual(room.owner, user)
        self.assertEqual(room.boards.count(), 2)
        for board in room.boards.all():
            self.assertEqual(board.page_count, len(load(board.pk).order))
