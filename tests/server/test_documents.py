"""PDFs brought in over HTTP: who may, page by page, what is kept, and what goes again."""

from __future__ import annotations

import io
import json
import urllib.request
from datetime import timedelta
from typing import Any
from urllib.error import HTTPError

import msgspec
from django.utils.timezone import now
from PIL import Image

from sunroom.boards.models import Document, Picture
from sunroom.boards.repository import DOCUMENT_KEPT_FOR, drop_old_documents
from sunroom.core.board import PictureItem
from sunroom.core.board.steps import AddItems
from sunroom.core.lesson import SetPens
from tests.core.test_documents import document
from tests.server.client import Web
from tests.server.test_out import OutTest
from tests.words import in_words


class DocumentsTest(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/boards/{self.board}/documents"

    def send(self, web: Web, data: bytes, path: str = "") -> tuple[int, Any]:
        headers = {
            "X-CSRFToken": web.cookies["csrftoken"],
            "Referer": web.base,
            "Content-Type": "application/pdf",
        }
        request = urllib.request.Request(web.base + (path or self.path), data, headers)
        try:
            answer = web.open(request)
            packed = answer.headers["Content-Type"] == "application/msgpack"
            return answer.status, (msgspec.msgpack if packed else msgspec.json).decode(answer.read())
        except HTTPError as error:
            return error.code, json.loads(error.read())

    def put(self, picture: str) -> None:
        """Put a picture on the first page."""
        self.do(
            self.tutor,
            AddItems(self.page, (PictureItem(id="shown-01", picture=picture, width=60, height=40),)),
        )

    def looked_up(self, words: str) -> list[Any]:
        return list(json.loads(self.tutor_web.get(f"/api/rooms/{self.link}/words?wanted={words}"))["found"])


class Documents(DocumentsTest):
    def test_a_page_is_drawn_finer_in_parts_and_its_words_told_to_people_of_the_room(self) -> None:
        _, opened = self.send(self.tutor_web, document("How long at noon?"))
        _, taken = self.send(self.tutor_web, b"{}", f"{self.path}/{opened['id']}/1")
        base = f"/boards/{self.board}/pictures/{taken['id']}"
        noor, _, _ = self.come()
        part = Image.open(io.BytesIO(noor.get(f"{base}/2/0/0.png")))
        self.assertLessEqual(max(part.size), 1_201)
        (line,) = json.loads(noor.get(f"/api{base}/words"))["lines"]
        self.assertEqual(line["text"], "How long at noon?")
        for path in (f"{base}/9/0/0.png", f"{base}/1/4/0.png"):
            self.assertEqual(self.status(noor, path), 400)
        photo = Picture.objects.create(
            room_id=Picture.objects.get(uid=taken["id"]).room_id,
            uid="photo-one",
            mime="image/png",
            width_px=1,
            height_px=1,
            data=b"",
        )
        self.assertEqual(self.status(noor, f"/boards/{self.board}/pictures/{photo.uid}/1/0/0.png"), 204)
        self.assertEqual(
            json.loads(noor.get(f"/api/boards/{self.board}/pictures/{photo.uid}/words")), {"lines": []}
        )
        stranger = Web(self.server.url)
        for path in (f"{base}/1/0/0.png", f"/api{base}/words"):
            self.assertEqual(self.status(stranger, path), 404)

    def test_a_document_is_taken_its_pages_made_one_by_one_and_then_it_goes(self) -> None:
        status, opened = self.send(self.tutor_web, document("one", "two"))
        self.assertEqual((status, len(opened["sizes"])), (201, 2))
        base = f"{self.path}/{opened['id']}"
        self.assertTrue(self.tutor_web.get(f"{base}/1.png").startswith(b"\x89PNG"))
        status, taken = self.send(self.tutor_web, b"{}", f"{base}/2")
        self.assertEqual(status, 201)
        row = Picture.objects.get(uid=taken["id"])
        self.assertEqual((row.width_px, row.height_px), (taken["width"], taken["height"]))
        self.assertTrue(bytes(row.vector).startswith(b"%PDF"))
        self.assertEqual(self.send(self.tutor_web, b"{}", f"{base}/3")[0], 400)
        self.assertEqual(self.status(self.tutor_web, base, {}, "DELETE"), 200)
        self.assertFalse(Document.objects.exists())
        status, answer = self.send(self.tutor_web, b"{}", f"{base}/1")
        self.assertEqual(status, 404)
        self.assertIn("no longer here", in_words(answer["problem"]))
        self.assertEqual(Picture.objects.count(), 1, "what was brought stays")

    def test_words_tables_and_ink_are_answered_as_things_to_those_who_may_write(self) -> None:
        path = f"/api/boards/{self.board}/things?name="
        status, (table,) = self.send(self.tutor_web, b"sun,shadow\n25,2.14\n", f"{path}a.csv")
        self.assertEqual((status, table["kind"]), (200, "table"))
        self.assertEqual(table["cells"], ["sun", "shadow", "25", "2.14"])
        self.assertEqual(
            self.send(self.tutor_web, b"word " * 60_000, f"{path}a.txt")[0], 200, "larger than no file"
        )
        for name in ("a.exe", "a.inkml", ""):
            status, answer = self.send(self.tutor_web, b"neither", path + name)
            self.assertEqual(status, 400)
            self.assertTrue(in_words(answer["problem"]).endswith("."))
        web, _, _ = self.come()
        self.assertEqual(self.send(web, b"noon", f"{path}a.txt")[0], 403, "pens are down")

    def test_who_may_not_bring_in_neither_sends_nor_sees(self) -> None:
        web, _, _ = self.come()
        status, answer = self.send(web, document("one"))
        self.assertEqual(status, 403)
        self.assertIn("Pens are down", in_words(answer["problem"]))
        _, opened = self.send(self.tutor_web, document("one"))
        base = f"{self.path}/{opened['id']}"
        for path in (f"{base}/1.png", base):
            self.assertIn(
                self.status(web, path, {} if path == base else None, "DELETE" if path == base else ""), (403,)
            )
        self.assertEqual(self.send(Web(self.server.url), document("one"))[0], 404)
        self.tell(SetPens("up"))
        self.assertEqual(self.send(web, document("one"))[0], 201)

    def test_what_is_none_leaves_nothing(self) -> None:
        for data in (b"", b"PK\x03\x04", b"%PDF-1.7 broken", document("one", password="secret")):
            status, answer = self.send(self.tutor_web, data)
            self.assertEqual(status, 400)
            self.assertTrue(in_words(answer["problem"]).endswith("."))
        self.assertFalse(Document.objects.exists())

    def test_a_document_that_was_left_lying_goes(self) -> None:
        self.send(self.tutor_web, document("one"))
        Document.objects.update(created_at=now() - DOCUMENT_KEPT_FOR - timedelta(seconds=1))
        self.assertEqual(self.send(self.tutor_web, document("two"))[0], 201)
        self.assertEqual(Document.objects.count(), 1)
        drop_old_documents()
        self.assertEqual(Document.objects.count(), 1, "one that is in use stays")

    def test_a_document_counts_for_the_room_s_space(self) -> None:
        with self.settings(ROOM_MB=0.0001):
            self.assertEqual(self.send(self.tutor_web, document("one"))[0], 409)
        self.assertFalse(Document.objects.exists())
