"""Photos of paper over HTTP: the sheet found, made flat, its ink lifted; who may, and what is kept."""

from __future__ import annotations

import json
import urllib.request
from base64 import b64decode
from typing import Any
from urllib.error import HTTPError

import numpy as np

from sunroom.boards.models import Picture
from sunroom.core.ink import unpack_samples
from tests.paper_photos import photo
from tests.server.client import Web
from tests.server.test_out import OutTest
from tests.words import in_words

WHOLE = [[0.1, 0.1], [0.9, 0.1], [0.9, 0.9], [0.1, 0.9]]


class Photos(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/boards/{self.board}/pictures"
        data, self.corners, _ = photo(np.random.default_rng(2), (150, 110, 70))
        self.photo = json.loads(self.send(self.tutor_web, data)[1])["id"]

    def send(self, web: Web, data: bytes, path: str = "", kind: str = "image/jpeg") -> tuple[int, bytes]:
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base, "Content-Type": kind}
        try:
            answer = web.open(urllib.request.Request(web.base + self.path + path, data, headers))
            return answer.status, answer.read()
        except HTTPError as error:
            return error.code, error.read()

    def ask(self, web: Web, what: str, body: Any = None, picture: str = "") -> tuple[int, Any]:
        sent = json.dumps(body or {}).encode()
        status, answer = self.send(web, sent, f"/{picture or self.photo}/{what}", "application/json")
        return status, answer if answer.startswith(b"\xff\xd8") else json.loads(answer)

    def test_a_sheet_is_found_looked_at_kept_and_its_ink_lifted(self) -> None:
        status, found = self.ask(self.tutor_web, "sheet")
        self.assertEqual(status, 200)
        self.assertLess(np.abs(np.array(found["corners"]) - self.corners).max(), 0.012)
        status, seen = self.ask(self.tutor_web, "flat", {"corners": found["corners"]})
        self.assertEqual((status, Picture.objects.count()), (200, 1), "to look at it keeps nothing")
        status, kept = self.ask(self.tutor_web, "flat", {"corners": found["corners"], "keep": True})
        self.assertEqual(status, 201)
        self.assertEqual(bytes(Picture.objects.get(uid=kept["id"]).data), seen)
        status, ink = self.ask(self.tutor_web, "ink", picture=kept["id"])
        self.assertEqual((status, ink["width"], ink["height"]), (200, kept["width"], kept["height"]))
        self.assertGreaterEqual(len(ink["strokes"]), 12)
        first = unpack_samples(b64decode(ink["strokes"][0]["samples"]))
        self.assertTrue((first[:, 0] <= kept["width"]).all())

    def test_bad_corners_get_a_sentence_and_nothing_is_kept(self) -> None:
        bodies = (
            {"corners": []},
            {"corners": WHOLE[:3]},
            {"corners": [[0.5, 0.5]] * 4},
            {"corners": [WHOLE[0], WHOLE[2], WHOLE[1], WHOLE[3]], "keep": True},
            {"corners": [[1e300, 0], *WHOLE[1:]], "keep": True},
            {"corners": "all"},
        )
        for body in bodies:
            status, answer = self.ask(self.tutor_web, "flat", body)
            self.assertEqual(status, 400, body)
            self.assertTrue(in_words(answer["problem"]).endswith("."))
        self.assertEqual(Picture.objects.count(), 1)

    def test_who_may_not_bring_in_has_nothing_made(self) -> None:
        web, _, _ = self.come()
        for what in ("sheet", "flat", "ink"):
            self.assertEqual(self.ask(web, what, {"corners": WHOLE})[0], 403, what)

    def test_a_picture_of_another_room_is_not_there(self) -> None:
        self.assertEqual(self.ask(self.tutor_web, "sheet", picture="someone-elses")[0], 404)
