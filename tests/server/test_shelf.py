"""The shelf over HTTP: pages, pictures and PDFs kept, found, used in any room of the account, and shared by a school."""

from __future__ import annotations

import io
import json
import urllib.request
from importlib import import_module
from typing import Any
from urllib.error import HTTPError

import msgspec
import numpy as np
from django.apps import apps
from django.contrib.auth import get_user_model
from PIL import Image

from sunroom.boards import models, store
from sunroom.boards.models import Document, Picture, ShelfThing
from sunroom.config.bodies import MAX_BODY
from sunroom.core.board import NoteItem, PictureItem
from sunroom.core.board.piece import MAX_PIECE
from sunroom.core.board.requests import ArrangeItems, Undo
from sunroom.core.board.steps import AddItems
from tests.core.test_documents import document
from tests.core.test_pictures import picture
from tests.server.client import Web
from tests.server.test_afterwards import asked
from tests.server.test_out import OutTest
from tests.words import in_words


class ShelfTest(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/rooms/{self.link}/shelf"

    def ask(self, method: str, end: str = "", sent: Any = None, web: Web | None = None) -> tuple[int, Any]:
        return asked(web or self.tutor_web, method, self.path + end, sent)

    def send(self, data: bytes, name: str, web: Web | None = None, path: str = "") -> tuple[int, Any]:
        web = web or self.tutor_web
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base, "Content-Type": "image/png"}
        request = urllib.request.Request(f"{web.base}{path or self.path}/files?name={name}", data, headers)
        try:
            answer = web.open(request)
            return answer.status, json.loads(answer.read())
        except HTTPError as error:
            return error.code, json.loads(error.read())

    def shelved(self, title: str = "Warm-up") -> str:
        status, answer = self.ask("POST", "", {"board": self.board, "page": self.page, "title": title})
        self.assertEqual(status, 200)
        return str(answer["things"][0]["id"])

    def test_a_page_is_put_there_found_by_its_words_and_used_with_its_pictures(self) -> None:
        _, brought = self.send(picture(), "a.png", path=f"/api/rooms/{self.link}/shelf")
        uid = json.loads(self.bring(picture("PNG", (30, 20))))["id"]
        note = NoteItem(id="note-0001", text="sundial", colour="#ffe6a7")
        shown = PictureItem(id="shown-01", picture=uid, width=60, height=40, crop=(0.5, 0, 1, 1))
        self.do(self.tutor, AddItems(self.page, (note, shown)))
        self.do(self.tutor, ArrangeItems(self.page, ("note-0001",), "pin", ""))
        thing = self.shelved()
        self.assertEqual([t["id"] for t in self.ask("GET", "?words=SUNDIAL+warm")[1]["things"]], [thing])
        self.assertEqual(self.ask("GET", "?words=moon")[1]["things"], [])
        self.assertEqual(self.ask("PATCH", f"/{thing}", {"title": "Übung"})[0], 200)
        for words in ("%C3%BCbung", "ubung+sundial"):
            self.assertEqual(len(self.ask("GET", f"?words={words}")[1]["things"]), 1, words)
        ShelfThing.objects.filter(uid=thing).update(words="Mittagshöhe")
        import_module("sunroom.boards.migrations.0015_shelf_words_plain").fold(apps, None)
        self.assertEqual(
            len(self.ask("GET", "?words=MITTAGSH%C3%96HE")[1]["things"]), 1, "kept before words were plain"
        )
        self.assertTrue(self.tutor_web.get(f"/rooms/{self.link}/shelf/{thing}.png").startswith(b"\x89PNG"))
        before = Picture.objects.count()
        status, used = self.ask("POST", f"/{thing}/on/{self.board}", {})
        self.assertEqual(status, 200)
        board = store.load(models.Board.objects.get(uid=self.board).pk)
        page = board.pages[used["page"]]
        items = {item.id: item for item in page.items.values()}
        self.assertTrue(items["note-0001"].pinned, "a background stays one")
        copy = items["shown-01"]
        assert isinstance(copy, PictureItem)
        self.assertEqual((copy.crop, Picture.objects.count()), ((0.5, 0, 1, 1), before + 1))
        self.assertNotEqual(copy.picture, uid)
        self.do(self.tutor, Undo())
        board = store.load(models.Board.objects.get(uid=self.board).pk)
        self.assertNotIn(used["page"], board.pages)
        self.assertTrue(brought["things"])

    def test_chosen_things_are_a_piece_that_is_set_down_with_its_pictures(self) -> None:
        uid = json.loads(self.bring(picture("PNG", (30, 20))))["id"]
        note = NoteItem(id="note-0001", text="sundial", colour="#ffe6a7", x=300, y=200)
        shown = PictureItem(id="shown-01", picture=uid, width=60, height=40, x=500, y=200)
        self.do(self.tutor, AddItems(self.page, (note, shown)))
        wanted = {"board": self.board, "page": self.page, "title": "Card"}
        for ids, code in ((["note-gone"], 409), ([f"id-{n}" for n in range(MAX_PIECE + 1)], 409), ([], 409)):
            self.assertEqual(self.ask("POST", "", {**wanted, "ids": ids})[0], code)
        [thing] = self.ask("POST", "", {**wanted, "ids": ["note-0001", "shown-01", "not-there"]})[1]["things"]
        self.assertEqual((thing["kind"], thing["title"]), ("piece", "Card"))
        self.assertEqual(len(self.ask("GET", "?words=sundial")[1]["things"]), 1)
        self.assertEqual(self.ask("POST", f"/{thing['id']}/on/{self.board}", {})[0], 404, "it is no page")
        page = self.shelved()
        self.assertEqual(self.ask("POST", f"/{page}/things", {})[0], 404, "a page is no piece")
        before = Picture.objects.count()
        items = self.things(thing["id"])
        by_kind = {item["kind"]: item for item in items}
        self.assertEqual(by_kind["note"]["text"], "sundial")
        self.assertEqual(by_kind["picture"]["x"] - by_kind["note"]["x"], 200)
        self.assertEqual(Picture.objects.count(), before + 1, "its picture is the room's")
        self.assertTrue(Picture.objects.filter(uid=by_kind["picture"]["picture"]).exists())
        noor, _, _ = self.come()
        self.assertIn(self.ask("POST", f"/{thing['id']}/things", {}, noor)[0], (403, 404))

    def things(self, uid: str) -> Any:
        headers = {"X-CSRFToken": self.tutor_web.cookies["csrftoken"], "Referer": self.tutor_web.base}
        request = urllib.request.Request(
            f"{self.tutor_web.base}{self.path}/{uid}/things", b"", headers, method="POST"
        )
        return msgspec.msgpack.decode(self.tutor_web.open(request).read())

    def bring(self, data: bytes) -> bytes:
        headers = {
            "X-CSRFToken": self.tutor_web.cookies["csrftoken"],
            "Referer": self.tutor_web.base,
            "Content-Type": "image/png",
        }
        path = f"{self.tutor_web.base}/api/boards/{self.board}/pictures"
        return bytes(self.tutor_web.open(urllib.request.Request(path, data, headers)).read())

    def test_a_picture_and_a_pdf_are_put_there_and_used(self) -> None:
        noisy = np.random.default_rng(1).integers(0, 255, (400, 400, 3), np.uint8)
        out = io.BytesIO()
        Image.fromarray(noisy).save(out, "PNG")
        self.assertGreater(len(out.getvalue()), MAX_BODY, "larger than what is no file may be")
        for name, data in (("sun.png", out.getvalue()), ("work.pdf", document("shadows at noon", "two"))):
            self.assertEqual(self.send(data, name)[0], 201)
        _, shelf = self.ask("GET")
        pdf, shown = shelf["things"]
        self.assertEqual(
            [(pdf["kind"], pdf["title"]), (shown["kind"], shown["title"])],
            [("pdf", "work"), ("picture", "sun")],
        )
        self.assertEqual(len(self.ask("GET", "?words=noon")[1]["things"]), 1, "words in PDFs are found")
        _, used = self.ask("POST", f"/{pdf['id']}/on/{self.board}", {})
        self.assertEqual(len(used["document"]["sizes"]), 2)
        self.assertTrue(Document.objects.filter(uid=used["document"]["id"]).exists())
        _, used = self.ask("POST", f"/{shown['id']}/on/{self.board}", {})
        self.assertTrue(Picture.objects.filter(uid=used["picture"]["id"]).exists())
        for data in (b"", b"neither", b"%PDF-1.4 broken"):
            status, answer = self.send(data, "a.png")
            self.assertEqual(status, 400)
            self.assertTrue(in_words(answer["problem"]).endswith("."))

    def test_things_are_renamed_put_away_brought_back_and_only_then_deleted(self) -> None:
        thing = self.shelved()
        _, shelf = self.ask("PATCH", f"/{thing}", {"title": "Noon", "folder": "Shadows"})
        self.assertEqual((shelf["things"][0]["title"], shelf["things"][0]["folder"]), ("Noon", "Shadows"))
        self.assertEqual(self.ask("DELETE", f"/{thing}")[0], 409)
        self.assertTrue(self.ask("PATCH", f"/{thing}", {"away": True})[1]["things"][0]["away"])
        self.assertFalse(self.ask("PATCH", f"/{thing}", {"away": False})[1]["things"][0]["away"])
        self.ask("PATCH", f"/{thing}", {"away": True})
        self.assertEqual(self.ask("DELETE", f"/{thing}")[1]["things"], [])
        for wanted in ({"title": ""}, {"title": "x" * 90}, {"folder": "x" * 70}):
            other = self.shelved()
            self.assertEqual(self.ask("PATCH", f"/{other}", wanted)[0], 400)

    def test_nobody_else_sees_or_changes_it(self) -> None:
        thing = self.shelved()
        noor, _, _ = self.come()
        other = Web(self.server.url)
        link = other.start_room("Another")
        for web in (noor, other):
            for method, end, sent in (
                ("GET", "", None),
                ("PATCH", f"/{thing}", {"title": "Mine"}),
                ("POST", f"/{thing}/on/{self.board}", {}),
            ):
                self.assertEqual(self.ask(method, end, sent, web)[0], 403, end)
        path = f"/api/rooms/{link}/shelf"
        self.assertEqual(asked(other, "GET", path)[1]["things"], [])
        self.assertEqual(asked(other, "PATCH", f"{path}/{thing}", {"title": "Mine"})[0], 404)
        self.assertEqual(asked(other, "POST", f"{path}/{thing}/on/{self.board}", {})[0], 404)
        self.assertEqual(asked(other, "GET", f"/rooms/{link}/shelf/{thing}.png")[0], 404)

    def test_a_shelf_has_an_end(self) -> None:
        with self.settings(ROOM_MB=0.0001):
            status, answer = self.ask(
                "POST", "", {"board": self.board, "page": self.page, "title": "Too much"}
            )
        self.assertEqual(status, 409)
        self.assertIn("full", in_words(answer["problem"]))
        self.assertFalse(ShelfThing.objects.exists())


class School(OutTest):
    """Accounts carry their shelf from room to room, and a school has one for all."""

    def account(self, name: str, staff: bool = False) -> tuple[Web, str]:
        web = Web(self.server.url)
        get_user_model().objects.create_user(name, password="gnomon-at-noon", is_staff=staff)
        web.get("/")
        web.post("/api/sign-in", {"username": name, "password": "gnomon-at-noon"})
        return web, web.start_room(f"Room of {name}")

    def test_it_goes_from_room_to_room_and_what_is_shared_is_everybodys_to_use(self) -> None:
        imani, first = self.account("imani", staff=True)
        second = imani.start_room("Another")
        other, theirs = self.account("ebele")
        (board,) = json.loads(imani.get(f"/api/rooms/{first}"))["boards"]
        row = models.Board.objects.get(uid=board["id"])
        page = store.load(row.pk).order[0]
        _, shelf = asked(
            imani, "POST", f"/api/rooms/{first}/shelf", {"board": board["id"], "page": page, "title": "Noon"}
        )
        thing = shelf["things"][0]["id"]
        self.assertEqual(len(asked(imani, "GET", f"/api/rooms/{second}/shelf")[1]["things"]), 1)
        self.assertEqual(asked(other, "GET", f"/api/rooms/{theirs}/shelf")[1]["things"], [])
        status, _ = asked(imani, "PATCH", f"/api/rooms/{first}/shelf/{thing}", {"shared": True})
        self.assertEqual(status, 200)
        _, shelf = asked(other, "GET", f"/api/rooms/{theirs}/shelf")
        self.assertEqual(
            (shelf["things"][0]["mine"], shelf["things"][0]["shared"], shelf["may_share"]),
            (False, True, False),
        )
        self.assertEqual(
            asked(other, "PATCH", f"/api/rooms/{theirs}/shelf/{thing}", {"title": "Mine"})[0], 404
        )
        (there,) = json.loads(other.get(f"/api/rooms/{theirs}"))["boards"]
        self.assertEqual(
            asked(other, "POST", f"/api/rooms/{theirs}/shelf/{thing}/on/{there['id']}", {})[0], 200
        )
        _, own = asked(
            other,
            "POST",
            f"/api/rooms/{theirs}/shelf",
            {
                "board": there["id"],
                "page": store.load(models.Board.objects.get(uid=there["id"]).pk).order[0],
                "title": "Theirs",
            },
        )
        status, answer = asked(
            other, "PATCH", f"/api/rooms/{theirs}/shelf/{own['things'][0]['id']}", {"shared": True}
        )
        self.assertEqual(status, 403)
        self.assertIn("school", in_words(answer["problem"]))
