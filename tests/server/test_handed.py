"""Homework handed in as files and pages: whose they are, who sees them, and marking them on a board."""

from __future__ import annotations

import io
import json
import urllib.request
from typing import Any
from unittest import mock
from urllib.error import HTTPError

import pypdfium2
from PIL import Image

from sunroom.boards import handed
from sunroom.boards.models import HandedFile, Picture
from sunroom.boards.space import used_bytes
from sunroom.core.board import PageHead, TextItem
from sunroom.core.board.requests import EditPage
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.live.room import steps
from sunroom.rooms.models import Room, Seat
from tests.core.test_documents import document
from tests.core.test_pictures import picture
from tests.server.client import Web
from tests.server.test_afterwards import TEXT, asked
from tests.server.test_out import OutTest
from tests.words import in_words


class HandedIn(OutTest):
    def setUp(self) -> None:
        super().setUp()
        _, after = asked(self.tutor_web, "POST", f"/api/rooms/{self.link}/homework", {"text": TEXT})
        self.task = after["homework"][0]["id"]
        self.end = f"/api/found/{self.link}/homework/{self.task}"

    def send(self, web: Web, data: bytes, name: str = "answer.png") -> tuple[int, Any]:
        headers = {
            "X-CSRFToken": web.cookies["csrftoken"],
            "Referer": web.base,
            "Content-Type": "application/octet-stream",
        }
        request = urllib.request.Request(f"{web.base}{self.end}/files?name={name}", data, headers)
        try:
            answer = web.open(request)
            return answer.status, json.loads(answer.read())
        except HTTPError as error:
            return error.code, json.loads(error.read())

    def given(self) -> list[dict[str, Any]]:
        """What the tutor sees of the homework."""
        after = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}/wrap-up"))
        return list(after["homework"][0]["files"])

    def test_a_file_goes_from_its_student_to_the_tutor_and_to_nobody_else(self) -> None:
        noor, _, seat = self.come()
        status, found = self.send(noor, picture())
        self.assertEqual(status, 201)
        self.assertEqual(found["homework"][0]["handed_in"], [seat], "with a file it is done")
        (file,) = self.given()
        self.assertEqual((file["seat"], file["kind"], file["name"]), (seat, "picture", "answer.png"))
        path = f"/rooms/{self.link}/handed/{file['id']}"
        other, _, _ = self.come("Tomasz")
        stranger = Web(self.server.url)
        for web, expected in ((self.tutor_web, 200), (noor, 200), (other, 404), (stranger, 404)):
            for end in ("", ".png"):
                self.assertEqual(self.status(web, path + end), expected)
        answer = self.tutor_web.open(urllib.request.Request(self.tutor_web.base + path))
        self.assertTrue(answer.headers["Content-Disposition"].startswith("attachment"))
        self.assertEqual(answer.headers["X-Content-Type-Options"], "nosniff")
        self.assertEqual(Image.open(io.BytesIO(answer.read())).format, "PNG")
        self.assertEqual(json.loads(other.get(f"/api/found/{self.link}"))["homework"][0]["files"], [])
        for web, expected in ((other, 1), (noor, 0)):
            asked(web, "DELETE", f"{self.end}/files/{file['id']}")
            self.assertEqual(HandedFile.objects.count(), expected)
        Seat.objects.filter(uid=seat).update(sent_away=True)
        self.assertEqual(self.send(noor, picture())[0], 403)

    def test_a_page_is_handed_in_as_it_is_then(self) -> None:
        noor, _, _ = self.come()
        words = TextItem(id="text-001", x=20, y=20, text="At noon", size=22, colour="#16222b")
        self.do(self.tutor, AddItems(self.page, (words,)))
        sent = {"board": self.board, "page": self.page}
        self.assertEqual(asked(noor, "POST", f"{self.end}/pages", sent)[0], 201)
        (file,) = self.given()
        data = self.tutor_web.get(f"/rooms/{self.link}/handed/{file['id']}")
        self.assertIn("At noon", pypdfium2.PdfDocument(data)[0].get_textpage().get_text_range())
        self.do(self.tutor, AddPage(PageHead("page-answers", "Answers"), 1))
        self.do(self.tutor, EditPage("page-answers", hidden=True))
        for board, page in ((self.board, "page-answers"), (self.board, "none-such"), ("none", self.page)):
            self.assertEqual(asked(noor, "POST", f"{self.end}/pages", {"board": board, "page": page})[0], 404)

    def test_what_was_handed_in_is_put_on_hidden_pages_to_be_marked(self) -> None:
        noor, _, _ = self.come()
        self.send(noor, document("one", "two"), "work.pdf")
        (file,) = self.given()
        path = f"/api/rooms/{self.link}/handed/{file['id']}/mark"
        self.assertEqual(asked(noor, "POST", path, {"board": self.board})[0], 403)
        status, answer = asked(self.tutor_web, "POST", path, {"board": self.board})
        self.assertEqual(status, 200)
        after = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}/wrap-up"))["pages"]
        made = [page for page in after if page["title"].endswith("work.pdf")]
        self.assertEqual([page["hidden"] for page in made], [True, True])
        self.assertEqual(made[0]["page"], answer["page"])
        kept = Picture.objects.count()
        self.assertEqual(asked(self.tutor_web, "POST", path, {"board": "none"})[0], 409)
        for room_for in (0, 1):
            with mock.patch.object(steps, "MAX_PAGES", 3 + room_for):
                self.assertEqual(asked(self.tutor_web, "POST", path, {"board": self.board})[0], 409)
            self.assertEqual(
                Picture.objects.count(), kept + room_for, "those of pages that came, and no others"
            )

    def test_what_is_no_homework_or_too_much_is_refused_and_counts_for_the_room(self) -> None:
        noor, _, _ = self.come()
        status, answer = self.send(noor, b"<svg onload='alert(1)'>", "x.svg")
        self.assertEqual(status, 400)
        self.assertTrue(in_words(answer["problem"]).endswith("."))
        room = Room.objects.get(link=self.link)
        before = used_bytes(room.pk)
        self.send(noor, picture())
        self.assertGreater(used_bytes(room.pk), before)
        with mock.patch.object(handed, "MAX_FILES", 1):
            self.assertEqual(self.send(noor, picture())[0], 409)
        with self.settings(ROOM_MB=0):
            self.assertEqual(self.send(noor, picture())[0], 409)
        asked(self.tutor_web, "DELETE", f"/api/rooms/{self.link}/homework/{self.task}")
        self.assertFalse(HandedFile.objects.exists(), "it goes with its homework")
        self.assertEqual(self.send(noor, picture())[0], 400)
