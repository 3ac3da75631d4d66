"""Bringing pictures into a room over HTTP."""

from __future__ import annotations

import json
import urllib.request
from urllib.error import HTTPError

from django.core.cache import cache
from django.test import TransactionTestCase

from sunroom.boards.models import Board, Picture
from sunroom.live.work import workers
from tests.browser.base import LiveServer
from tests.core.test_pictures import picture
from tests.server.client import Web
from tests.words import in_words


class Pictures(TransactionTestCase):
    """A tutor, a student and strangers, each with their cookies."""

    def setUp(self) -> None:
        cache.clear()
        self.server = LiveServer()
        self.addCleanup(self.server.stop)
        self.addCleanup(workers.stop)
        self.tutor = Web(self.server.url)
        self.link = self.tutor.start_room()
        self.board = Board.objects.get().uid

    def send(self, web: Web, data: bytes) -> tuple[int, dict]:
        request = urllib.request.Request(
            f"{web.base}/api/boards/{self.board}/pictures", data,
            {"Content-Type": "image/png", "X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base},
        )  # fmt: skip
        try:
            with web.open(request) as answer:
                return answer.status, json.loads(answer.read())
        except HTTPError as error:
            body = error.read()
            return error.code, json.loads(body) if body.startswith(b"{") else {}

    def test_a_picture_is_kept_for_the_room_and_for_nobody_else(self) -> None:
        status, taken = self.send(self.tutor, picture())
        self.assertEqual((status, taken["width"], taken["height"]), (201, 60, 40))
        path = f"/boards/{self.board}/pictures/{taken['id']}"
        self.assertTrue(self.tutor.get(path).startswith(b"\x89PNG"))
        with self.assertRaises(HTTPError) as caught:
            Web(self.server.url).get(path)
        self.assertEqual(caught.exception.code, 404)
        other = Web(self.server.url)
        other.start_room("Other")
        with self.assertRaises(HTTPError):
            other.get(path)

    def test_who_may_not_bring_in_is_told_why_and_nothing_is_kept(self) -> None:
        student = Web(self.server.url)
        student.enter(self.link, "Noor")
        status, answer = self.send(student, picture())
        self.assertEqual(status, 403)
        self.assertIn("Pens are down", in_words(answer["problem"]))
        stranger = Web(self.server.url)
        self.assertEqual(self.send(stranger, picture())[0], 404)
        self.assertFalse(Picture.objects.exists())

    def test_what_is_no_picture_gets_a_sentence(self) -> None:
        for data in (b"", b"<svg/>", b"\x89PNG broken"):
            status, answer = self.send(self.tutor, data)
            self.assertEqual(status, 400)
            self.assertTrue(in_words(answer["problem"]).endswith("."))
