"""Sounds and videos: brought in, fetched by parts, played for everybody together, and taken along in a package."""

from __future__ import annotations

import io
import json
import urllib.request
import wave
from datetime import timedelta
from typing import Any
from unittest import mock
from urllib.error import HTTPError

from django.test import override_settings
from django.utils.timezone import now

from sunroom.boards import models, store
from sunroom.boards.media import PART_BYTES
from sunroom.core.board import CardItem, PageHead
from sunroom.core.board.requests import EditPage
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems
from sunroom.core.lesson import SetPens
from sunroom.live.doors import media
from sunroom.live.wire.messages import Play, Refused, Tell, Welcome
from tests.server.client import Web
from tests.server.test_out import OutTest
from tests.words import in_words


def sound(seconds: float = 30.0) -> bytes:
    """A WAV of so long, one kind of byte after the other so that places are told apart."""
    out = io.BytesIO()
    with wave.open(out, "wb") as file:
        file.setnchannels(1)
        file.setsampwidth(2)
        file.setframerate(8_000)
        file.writeframes(bytes(i % 251 for i in range(int(16_000 * seconds))))
    return out.getvalue()


def take_sound(web: Web, board: str, data: bytes) -> Any:
    """What the server says to a file that is brought in; raises HTTPError when it is refused."""
    headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base, "Content-Type": "audio/wav"}
    request = urllib.request.Request(f"{web.base}/api/boards/{board}/media", data, headers)
    return json.loads(web.open(request).read())


class MediaTest(OutTest):
    def send(self, data: bytes, web: Web | None = None) -> tuple[int, Any]:
        try:
            return 201, take_sound(web or self.tutor_web, self.board, data)
        except HTTPError as error:
            return error.code, json.loads(error.read())

    def part(self, uid: str, asked: str, web: Web | None = None) -> tuple[int, bytes, Any]:
        web = web or self.tutor_web
        request = urllib.request.Request(f"{web.base}/boards/{self.board}/media/{uid}")
        if asked:
            request.add_header("Range", asked)
        try:
            answer = web.open(request)
            return answer.status, answer.read(), answer.headers
        except HTTPError as error:
            return error.code, b"", error.headers

    def welcomed(self, name: str) -> Welcome:
        web = Web(self.server.url)
        web.enter(self.link, name)
        return self.line("student", web).welcome()

    def card(self) -> str:
        """A sound on the page; its file's id."""
        uid = str(self.send(sound(2))[1]["id"])
        self.do(
            self.tutor, AddItems(self.page, (CardItem(id="card-0001", of="sound", title="Noon", file=uid),))
        )
        return uid

    def test_any_part_of_a_sound_is_fetched(self) -> None:
        data = sound()
        self.assertGreater(len(data), PART_BYTES)
        status, taken = self.send(data)
        self.assertEqual((status, taken["of"]), (201, "sound"))
        uid = taken["id"]
        self.assertEqual(self.part(uid, "")[:2], (200, data))
        start, end = PART_BYTES - 5, PART_BYTES + 7
        status, part, headers = self.part(uid, f"bytes={start}-{end - 1}")
        self.assertEqual((status, part), (206, data[start:end]))
        self.assertEqual(headers["Content-Range"], f"bytes {start}-{end - 1}/{len(data)}")
        self.assertEqual(
            (headers["Content-Type"], headers["X-Content-Type-Options"]), ("audio/wav", "nosniff")
        )
        self.assertEqual(self.part(uid, f"bytes={len(data) - 3}-")[1], data[-3:])
        self.assertEqual(self.part(uid, f"bytes={len(data)}-")[0], 416)
        self.assertEqual(
            self.part(uid, "bytes=9-2")[:2], (200, data), "what is no range is not looked at (RFC 9110, 14.2)"
        )
        self.assertEqual(self.part("elsewhere", "")[0], 404)
        with mock.patch.object(media, "MOST_AT_ONCE", 1_000):
            self.assertEqual(self.part(uid, "bytes=0-")[:2], (206, data[:1_000]), "never more at once")
        whole = [self.part(uid, "")[0] for _ in range(25)]
        self.assertIn(429, whole, "files as wholes are seldom asked for")
        self.assertEqual(self.part(uid, "bytes=0-9")[0], 206, "who plays goes on")

    def test_one_that_was_not_finished_is_not_there_and_goes_with_a_later_one(self) -> None:
        room = models.Board.objects.get(uid=self.board).room
        cut = models.Medium.objects.create(room=room, uid="cut-off-1", of="sound", mime="audio/wav", size=0)
        models.MediumPart.objects.create(medium=cut, number=0, data=b"RIFF")
        self.assertEqual(self.part("cut-off-1", "")[0], 404)
        self.send(sound(1))
        self.assertEqual(models.Medium.objects.filter(uid="cut-off-1").count(), 1, "it may be on its way")
        models.Medium.objects.filter(pk=cut.pk).update(created_at=now() - timedelta(hours=2))
        self.send(sound(1))
        self.assertEqual(models.Medium.objects.filter(uid="cut-off-1").count(), 0)
        self.assertEqual(models.MediumPart.objects.filter(medium_id=cut.pk).count(), 0)

    def test_what_is_neither_sound_nor_video_is_said_and_a_full_room_takes_none(self) -> None:
        for data in (b"", b"noon", b"<script>alert(1)</script>", b"GIF89a"):
            status, answer = self.send(data)
            self.assertEqual(status, 400)
            self.assertIn("no sound and no video", in_words(answer["problem"]))
        with override_settings(ROOM_MB=0.1):
            self.assertEqual(self.send(sound())[0], 409)
        self.assertEqual((models.Medium.objects.count(), models.MediumPart.objects.count()), (0, 0))

    def test_who_may_not_bring_in_and_who_is_not_of_the_room_gets_nothing(self) -> None:
        student, _, _ = self.come()
        self.assertEqual(self.send(sound(1), student)[0], 403)
        uid = self.send(sound(1))[1]["id"]
        self.assertEqual(self.part(uid, "", student)[0], 200)
        stranger = Web(self.server.url)
        self.assertEqual(self.part(uid, "", stranger)[0], 404)

    def test_everybody_hears_it_together_and_who_comes_later_too(self) -> None:
        self.card()
        _, line, _ = self.come()
        self.tutor.send(Play(self.page, "card-0001", True, 1.5))
        heard = line.hear(Play)
        self.assertEqual(
            (heard.item, heard.going, heard.at_s, heard.board), ("card-0001", True, 1.5, self.board)
        )
        self.assertGreater(heard.at_ms, 0)
        self.assertEqual(self.welcomed("Radek").play, heard)
        self.tutor.send(Play(self.page, "card-0001", False, float("nan")))
        self.assertEqual(line.hear(Play).at_s, 0.0)
        self.tutor.send(Play("", ""))
        self.assertEqual(line.hear(Play).item, "")

    def test_students_play_nothing_to_others_whatever_they_may_write(self) -> None:
        self.card()
        self.tutor.send(Tell("pens-up-1", SetPens("up")))
        _, line, _ = self.come()
        line.send(Play(self.page, "card-0001"))
        self.assertEqual(line.hear(Refused).reason, "tutor_side_only")
        self.assertIsNone(self.welcomed("Radek").play)

    def test_nothing_plays_that_is_not_there_or_hidden(self) -> None:
        self.card()
        for page, item in ((self.page, "card-0009"), ("page-none", "card-0001")):
            self.tutor.send(Play(page, item))
            self.assertEqual(self.tutor.hear(Refused).reason, "gone")
        self.do(self.tutor, RemoveItems(self.page, ("card-0001",)))
        self.tutor.send(Play(self.page, "card-0001"))
        self.assertEqual(self.tutor.hear(Refused).reason, "gone")

    def test_it_ends_as_its_page_is_hidden_and_with_the_last_who_could_end_it(self) -> None:
        self.card()
        self.do(self.tutor, AddPage(PageHead("page-two2"), 1))
        _, line, _ = self.come()
        self.tutor.send(Play(self.page, "card-0001"))
        line.hear(Play)
        self.do(self.tutor, EditPage(self.page, hidden=True))
        self.assertEqual(line.hear(Play).item, "")
        self.do(self.tutor, EditPage(self.page, hidden=False))
        self.tutor.send(Play(self.page, "card-0001"))
        self.assertEqual(line.hear(Play).item, "card-0001")
        self.tutor.close()
        self.assertEqual(line.hear(Play).item, "")

    def test_a_package_takes_it_along(self) -> None:
        uid = self.card()
        package = self.tutor_web.get(f"/boards/{self.board}/board.zip")
        web = self.tutor_web
        headers = {
            "X-CSRFToken": web.cookies["csrftoken"],
            "Referer": web.base,
            "Content-Type": "application/zip",
        }
        path = f"{web.base}/api/rooms/{self.link}/packages"
        made = json.loads(web.open(urllib.request.Request(path, package, headers)).read())
        board = store.load(models.Board.objects.get(uid=made["id"]).pk)
        (card,) = board.in_order()[0].items.values()
        assert isinstance(card, CardItem)
        self.assertNotEqual(card.file, uid)
        self.assertEqual(self.part(card.file, "")[1], sound(2))
