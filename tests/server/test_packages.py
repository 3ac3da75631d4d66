"""Boards from room to room as packages, over HTTP."""

from __future__ import annotations

import json
import urllib.request
from urllib.error import HTTPError

from sunroom.boards.models import Board, Picture
from sunroom.boards.store import load
from sunroom.core.board import PictureItem, TextItem
from sunroom.core.board.requests import AsWritten, Typeset
from sunroom.core.board.steps import AddItems
from sunroom.live.work import workers
from tests.core.test_pictures import picture
from tests.server.client import Web
from tests.server.test_live import LiveTest, stroke
from tests.words import in_words


class Packages(LiveTest):
    def setUp(self) -> None:
        super().setUp()
        self.addCleanup(workers.stop)

    def send(self, web: Web, path: str, data: bytes) -> tuple[int, dict[str, str]]:
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base}
        try:
            with web.open(urllib.request.Request(web.base + path, data, headers)) as answer:
                return answer.status, json.loads(answer.read())
        except HTTPError as error:
            return error.code, json.loads(error.read())

    def package(self) -> bytes:
        return self.tutor_web.get(f"/boards/{self.board}/board.zip")

    def test_a_board_goes_to_another_room_and_its_words_are_as_written_again(self) -> None:
        _, taken = self.send(self.tutor_web, f"/api/boards/{self.board}/pictures", picture())
        shown = PictureItem(id="picture-item", picture=taken["id"], width=60, height=40)
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-01"), shown)))
        self.do(self.tutor, Typeset(self.page, ("stroke-01",), "typed-01", "noon"))
        other = Web(self.server.url)
        link = other.start_room("Sundials", "Kofi")
        status, made = self.send(other, f"/api/rooms/{link}/packages", self.package())
        self.assertEqual(status, 201)
        row = Board.objects.get(uid=made["id"])
        self.assertEqual((row.title, row.page_count, row.room.link), ("Shadows", 1, link))
        line = self.line("tutor", other, link, board=made["id"])
        welcome = line.welcome()
        (page,) = load(row.pk).in_order()
        self.assertEqual({item.by for item in page.items.values()}, {welcome.seat})
        new = next(item.picture for item in page.items.values() if isinstance(item, PictureItem))
        self.assertNotEqual(new, taken["id"])
        self.assertTrue(other.get(f"/boards/{made['id']}/pictures/{new}").startswith(b"\x89PNG"))
        self.do(line, AsWritten(page.head.id, ("typed-01",)))
        self.assertEqual(
            [type(item).__name__ for item in load(row.pk).in_order()[0].in_order()],
            ["InkItem", "PictureItem"],
        )

    def test_the_copy_stands_beside_its_board_in_the_same_room_and_neither_changes_the_other(self) -> None:
        typed = TextItem(id="typed-01", text="noon", size=20, colour="#16222b")
        self.do(self.tutor, AddItems(self.page, (typed,)))
        status, made = self.send(self.tutor_web, f"/api/rooms/{self.link}/packages", self.package())
        self.assertEqual(status, 201)
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-01"),)))
        counts = {board.uid: len(load(board.pk).in_order()[0].items) for board in Board.objects.all()}
        self.assertEqual(counts, {self.board: 2, made["id"]: 1})

    def test_what_is_no_package_is_said_and_nothing_is_kept(self) -> None:
        shown = PictureItem(id="picture-item", picture="picture-0", width=60, height=40)
        self.do(self.tutor, AddItems(self.page, (shown,)))
        for data, words in ((b"noon", "no package"), (self.package(), "picture")):
            status, told = self.send(self.tutor_web, f"/api/rooms/{self.link}/packages", data)
            self.assertEqual(status, 400)
            self.assertIn(words, in_words(told["problem"]))
        self.assertEqual((Board.objects.count(), Picture.objects.count()), (1, 0))

    def test_packages_are_the_owners(self) -> None:
        student = Web(self.server.url)
        student.enter(self.link, "Noor")
        with self.assertRaises(HTTPError) as caught:
            student.get(f"/boards/{self.board}/board.zip")
        self.assertEqual(caught.exception.code, 404)
        status, told = self.send(student, f"/api/rooms/{self.link}/packages", self.package())
        self.assertEqual(status, 403)
        self.assertIn("tutor’s side", in_words(told["problem"]))
        self.assertEqual(Board.objects.count(), 1)
