"""Ready pages over HTTP."""

from __future__ import annotations

import io
import json
import urllib.request
from urllib.error import HTTPError

import msgspec
from PIL import Image

from sunroom.core.board import TextItem
from sunroom.live.doors.drawings import DrawingParts
from sunroom.live.doors.templates import ReadyPage
from tests.server.test_out import OutTest


class Templates(OutTest):
    def test_pages_are_listed_shown_and_handed_out_in_the_language_of_the_interface(self) -> None:
        subjects = json.loads(self.tutor_web.get("/api/templates"))
        names = [name for subject in subjects for name in subject["templates"]]
        self.assertIn("axes", names)
        self.assertTrue(self.tutor_web.get("/templates/axes.png").startswith(b"\x89PNG"))
        request = urllib.request.Request(
            f"{self.server.url}/api/templates/dictation", headers={"Cookie": "sunroom-language=de"}
        )
        with urllib.request.urlopen(request) as answer:
            ready = msgspec.msgpack.decode(answer.read(), type=ReadyPage)
        self.assertEqual(ready.title, "Diktat")
        texts = [item for item in ready.items if isinstance(item, TextItem)]
        self.assertTrue(all(item.lines for item in texts), "they are laid out")

    def test_another_name_is_none(self) -> None:
        for path in ("/api/templates/none", "/templates/none.png"):
            with self.assertRaises(HTTPError) as caught:
                self.tutor_web.get(path)
            self.assertEqual(caught.exception.code, 404)

    def test_drawings_are_listed_shown_and_handed_out_as_their_parts(self) -> None:
        subjects = json.loads(self.tutor_web.get("/api/drawings"))
        self.assertIn("sundial", [name for subject in subjects for name in subject["drawings"]])
        picture = Image.open(io.BytesIO(self.tutor_web.get("/drawings/sundial.png")))
        self.assertEqual((picture.size, picture.mode), ((200, 200), "RGBA"))
        parts = msgspec.msgpack.decode(self.tutor_web.get("/api/drawings/sundial"), type=DrawingParts)
        self.assertGreater(len(parts.items), 3)
        for path in ("/api/drawings/none", "/drawings/none.png"):
            self.assertEqual(self.status(self.tutor_web, path), 404)
