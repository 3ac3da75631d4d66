"""The tutor's voice on its way to the disk and back: only while all are told, every piece once, for whom it is meant."""

from __future__ import annotations

import io
import json
import urllib.request
import zipfile
from concurrent.futures import ThreadPoolExecutor
from datetime import timedelta
from typing import Any
from unittest import mock
from urllib.error import HTTPError

import av
from django.test import override_settings
from django.utils.timezone import now

from sunroom.boards import models, recordings
from sunroom.core.board import PageHead
from sunroom.core.board.requests import EditPage
from sunroom.core.board.steps import AddPage
from sunroom.core.lesson import EndLesson, HandOver, SendAway, SetRole
from sunroom.live.doors import recordings as doors
from sunroom.live.room import recording
from sunroom.live.wire.calls import Recorded, SetRecording
from sunroom.live.wire.messages import Refused, Tell, Welcome
from tests.browser.base import wait_for
from tests.recorded import webm
from tests.server.client import Web
from tests.server.test_out import OutTest

RAW = webm(4.0)
VOICE, ANOTHER = "voice-of-one", "voice-of-another"
PIECES = [RAW[:3_000], RAW[3_000:9_000], RAW[9_000:]]


class RecordingTest(OutTest):
    def room(self) -> Any:
        return models.Board.objects.get(uid=self.board).room

    def tell(self) -> None:
        """Everybody hears that the tutor's voice is recorded."""
        self.tutor.send(SetRecording(True, VOICE))
        self.tutor.hear(Recorded, lambda told: told.seat)

    def ask(
        self, path: str, data: bytes = b"", web: Web | None = None, method: str = "POST"
    ) -> tuple[int, Any]:
        web = web or self.tutor_web
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base}
        request = urllib.request.Request(web.base + path, data or None, headers, method=method)
        try:
            answer = web.open(request)
            return answer.status, answer.read()
        except HTTPError as error:
            return error.code, error.read()

    def begin(self, web: Web | None = None, mime: str = "audio/webm") -> tuple[int, Any]:
        body = json.dumps({"mime": mime, "begun_ms": 1}).encode()
        status, told = self.ask(f"/api/boards/{self.board}/recordings", body, web)
        return status, json.loads(told)

    def recorded(self) -> str:
        """A whole recording; its id."""
        self.tell()
        status, told = self.begin()
        self.assertEqual(status, 201)
        for number, piece in enumerate(PIECES):
            self.assertEqual(self.piece(told["id"], number, piece), 200)
        self.assertEqual(self.ask(f"/api/recordings/{told['id']}/end")[0], 200)
        return str(told["id"])

    def piece(self, uid: str, number: int, data: bytes, web: Web | None = None) -> int:
        turns = f"0:{self.board}:{self.page}" if number == 0 else ""
        path = f"/api/recordings/{uid}/pieces/{number}?until={(number + 1) * 1300}&turns={turns}"
        return self.ask(path, data, web)[0]

    def listed(self, web: Web | None = None) -> list[Any]:
        _, told = self.ask(f"/api/boards/{self.board}/recordings", web=web, method="GET")
        found: list[Any] = json.loads(told)["recordings"]
        return found

    def voice(self, uid: str, query: str = "", web: Web | None = None) -> tuple[int, bytes]:
        return self.ask(f"/recordings/{uid}/voice{query}", web=web, method="GET")


class Telling(RecordingTest):
    def test_everybody_is_told_and_so_is_whoever_comes_later(self) -> None:
        _, noor, _ = self.come()
        self.tell()
        told = noor.hear(Recorded)
        self.assertEqual(told.name, "Imani")
        _, line, _ = self.come("Elio")
        self.assertEqual(next(m for m in line.heard if isinstance(m, Welcome)).recorded, told)
        self.tutor.send(SetRecording(False, VOICE))
        self.assertEqual(noor.hear(Recorded).seat, "")
        wait_for(
            lambda: self.room().record.filter(text="did-record-voice", name="Imani").count() == 1,
            "the record",
        )

    def test_students_and_helpers_record_nobody(self) -> None:
        web, noor, seat = self.come()
        noor.send(SetRecording(True, VOICE))
        self.assertEqual(noor.hear(Refused).reason, "tutor_side_only")
        self.tutor.send(Tell("a", SetRole(seat, "helper")))
        wait_for(
            lambda: noor.send(SetRecording(True, VOICE)) or noor.hear(Refused).reason == "tutor_only",
            "a refusal",
        )
        self.assertEqual(self.begin(web)[0], 409)
        self.tell()
        self.assertEqual(self.begin(web)[0], 409, "what is told is another's voice")
        noor.send(SetRecording(False, VOICE))
        self.assertEqual(self.begin()[0], 201, "nobody ends another's")

    def test_it_ends_with_the_lesson_and_with_being_the_tutor(self) -> None:
        _, noor, seat = self.come()
        self.tell()
        noor.hear(Recorded)
        self.tutor.send(Tell("a", SetRole(seat, "helper")))
        self.tutor.send(Tell("b", HandOver(seat)))
        self.assertEqual(noor.hear(Recorded).seat, "")
        noor.send(SetRecording(True, VOICE))
        self.assertEqual(self.tutor.hear(Recorded, lambda told: told.seat).name, "Noor")
        noor.send(Tell("c", EndLesson()))
        self.assertEqual(self.tutor.hear(Recorded).seat, "")

    def test_a_line_that_is_lost_may_come_back_and_another_device_waits(self) -> None:
        _, noor, _ = self.come()
        self.tell()
        noor.hear(Recorded)
        other = self.line("tutor", self.tutor_web)
        other.welcome()
        other.send(SetRecording(True, ANOTHER))
        self.assertEqual(other.hear(Refused).reason, "taken")
        other.send(SetRecording(True, VOICE))
        self.assertEqual(
            other.hear(Recorded).id, VOICE, "the same one on another line, however long the first lasts"
        )
        other.send(SetRecording(False, ANOTHER))
        self.tutor.send(SetRecording(True, VOICE))
        self.tutor.hear(Recorded)
        self.tutor.close()
        wait_for(
            lambda: other.send(SetRecording(True, ANOTHER)) or self.heard_mine(other, ANOTHER),
            "the other device's turn",
        )
        with mock.patch.object(recording, "AWAY_S", 0.1):
            other.close()
            self.assertEqual(noor.hear(Recorded, lambda told: not told.seat).seat, "")

    def heard_mine(self, line: Any, voice: str) -> bool:
        mine = next(m for m in line.heard if isinstance(m, Welcome)).seat
        told = line.hear(Refused | Recorded)  # type: ignore[arg-type]
        return isinstance(told, Recorded) and (told.seat, told.id) == (mine, voice)

    def test_who_is_sent_away_takes_nothing_down(self) -> None:
        _, noor, seat = self.come()
        self.tutor.send(Tell("a", SetRole(seat, "helper")))
        self.tutor.send(Tell("b", HandOver(seat)))
        wait_for(lambda: noor.send(SetRecording(True, VOICE)) or self.heard_mine(noor, VOICE), "Noor's voice")
        self.tutor.send(Tell("c", HandOver("")))  # the owner takes the room back
        self.assertEqual(noor.hear(Recorded).seat, "")
        self.tutor.send(Tell("d", SendAway(seat)))
        self.assertOut(noor, "sent_away")


class Keeping(RecordingTest):
    def test_nothing_is_kept_of_what_nobody_was_told(self) -> None:
        self.assertEqual(self.begin()[0], 409)
        self.assertFalse(models.Recording.objects.exists())

    def test_pieces_make_a_file_that_is_fetched_by_parts_and_come_as_often_as_they_like(self) -> None:
        self.tell()
        _, told = self.begin()
        uid = told["id"]
        for number, piece in enumerate(PIECES):
            for _ in range(2):  # the answer was lost
                self.assertEqual(self.piece(uid, number, piece), 200)
        self.assertEqual(self.piece(uid, 5, b"far ahead"), 409)
        self.assertEqual(self.ask(f"/api/recordings/{uid}/end")[0], 200)
        self.assertEqual(self.piece(uid, 3, b"late"), 409)
        _, data = self.voice(uid)
        with av.open(io.BytesIO(data)) as file:
            self.assertAlmostEqual((file.duration or 0) / 1_000_000, 4.0, delta=0.05)
        self.assertFalse(models.RecordingPiece.objects.exists(), "the whole stands in their place")
        request = urllib.request.Request(f"{self.tutor_web.base}/recordings/{uid}/voice")
        request.add_header("Range", "bytes=100-199")
        answer = self.tutor_web.open(request)
        self.assertEqual((answer.status, answer.read()), (206, data[100:200]))
        (card,) = self.listed()
        self.assertAlmostEqual(card["length_ms"], 4_000, delta=50)
        self.assertEqual([turn["title"] for turn in card["turns"]], ["Page 1"])
        _, kept = self.voice(uid, "?kept")
        with av.open(io.BytesIO(kept)) as file:
            self.assertEqual([c["metadata"]["title"] for c in file.chapters()], ["Page 1"])
        self.assertIn(b"WEBVTT", self.ask(f"/recordings/{uid}/chapters.vtt", method="GET")[1])

    def test_a_player_that_asks_twice_at_once_gets_the_same_and_it_is_kept_once(self) -> None:
        uid = self.recorded()
        with ThreadPoolExecutor(4) as players:
            found = list(players.map(lambda _: self.voice(uid), range(4)))
        self.assertEqual({status for status, _ in found}, {200})
        self.assertEqual(len({data for _, data in found}), 1)
        self.assertEqual(models.Medium.objects.count(), 1)

    def test_a_recorder_that_is_gone_leaves_what_it_sent(self) -> None:
        self.tell()
        _, told = self.begin()
        self.piece(told["id"], 0, PIECES[0] + PIECES[1])
        (card,) = self.listed()
        self.assertFalse(card["ended"])
        self.assertEqual(self.voice(told["id"])[0], 200, "as far as it is")
        models.Recording.objects.update(changed_at=now() - timedelta(hours=1))
        (card,) = self.listed()
        self.assertTrue(card["ended"])
        self.assertEqual(self.voice(told["id"])[0], 200)

    def test_what_is_none_too_large_or_not_ones_own_is_refused(self) -> None:
        web, _, _ = self.come()
        self.tell()
        self.assertEqual(self.begin(mime="text/html")[0], 400)
        _, told = self.begin()
        uid = told["id"]
        self.assertEqual(self.piece(uid, 0, b"<script>"), 400)
        self.assertEqual(self.piece(uid, 0, bytes(600_000)), 413)
        self.assertEqual(self.piece(uid, 0, PIECES[0], web), 404, "another's recording")
        self.assertEqual(self.ask(f"/api/recordings/{uid}/end", web=web)[0], 404)
        with override_settings(ROOM_MB=0.001):
            self.assertEqual(self.piece(uid, 0, PIECES[0]), 409)
        with mock.patch.object(recordings, "MAX_BYTES", 2_000):
            self.assertEqual(self.piece(uid, 0, PIECES[0]), 409, "longer than a lesson is")
        self.assertEqual(self.piece(uid, 0, b"\x1aE\xdf\xa3 and nothing else"), 200)
        self.assertEqual(self.ask(f"/api/recordings/{uid}/end")[0], 200)
        self.assertEqual(self.voice(uid)[0], 422, "said, and nothing hangs")

    def test_one_without_sound_is_as_if_it_had_not_been(self) -> None:
        self.tell()
        _, told = self.begin()
        self.ask(f"/api/recordings/{told['id']}/end")
        self.assertFalse(models.Recording.objects.exists())


class Hearing(RecordingTest):
    def test_students_listen_when_the_tutor_lets_them_and_only_the_owner_decides(self) -> None:
        web, _, seat = self.come()
        uid = self.recorded()
        body = json.dumps({"heard": True}).encode()
        self.assertEqual(self.listed(web), [])
        self.assertEqual(self.voice(uid, web=web)[0], 404)
        for method in ("PATCH", "DELETE"):
            self.assertEqual(self.ask(f"/api/recordings/{uid}", body, web, method)[0], 404)
        self.assertEqual(self.ask(f"/api/recordings/{uid}", body, method="PATCH")[0], 200)
        self.assertEqual([card["id"] for card in self.listed(web)], [uid])
        self.assertEqual(self.voice(uid, web=web)[0], 200)
        onlooker, stranger = Web(self.server.url), Web(self.server.url)
        self.assertEqual(self.voice(uid, web=stranger)[0], 404)
        onlooker.enter(self.room().onlooker_link, "Wall", "onlooker")
        self.assertEqual(self.voice(uid, web=onlooker)[0], 404)
        self.tutor.send(Tell("a", SendAway(seat)))
        wait_for(lambda: self.voice(uid, web=web)[0] == 404, "who is out to hear nothing")

    def test_a_hidden_page_is_no_chapter_for_students(self) -> None:
        web, _, _ = self.come()
        uid = self.recorded()
        self.ask(f"/api/recordings/{uid}", json.dumps({"heard": True}).encode(), method="PATCH")
        self.assertEqual(len(self.listed(web)[0]["turns"]), 1)
        # A board has one page at least that everybody sees.
        self.do(self.tutor, AddPage(PageHead("another-page"), 1))
        self.do(self.tutor, EditPage(self.page, hidden=True))
        self.assertEqual(self.listed(web)[0]["turns"], [])
        self.assertEqual(len(self.listed()[0]["turns"]), 1)

    def test_it_is_removed_for_good_with_its_sound(self) -> None:
        uid = self.recorded()
        self.voice(uid)
        self.assertEqual(self.ask(f"/api/recordings/{uid}", method="DELETE")[0], 200)
        self.assertFalse(models.Recording.objects.exists() or models.MediumPart.objects.exists())
        self.assertEqual(self.voice(uid)[0], 404)

    def test_the_file_of_the_room_has_them_with_their_chapters_and_what_is_broken_as_it_came(self) -> None:
        self.recorded()
        models.Recording.objects.update(begun_ms=1_000)
        broken = models.Recording.objects.create(
            room=self.room(),
            uid="broken",
            name="Imani",
            mime="audio/webm",
            begun_ms=86_400_000,
            length_ms=9,
            ended=True,
        )
        models.RecordingPiece.objects.create(recording=broken, number=0, data=PIECES[0][:50])
        with zipfile.ZipFile(io.BytesIO(self.tutor_web.get(f"/rooms/{self.link}/room.zip"))) as packed:
            whole = packed.read("recordings/001 1970-01-01.webm")
            self.assertIn(b"Page 1", packed.read("recordings/001 1970-01-01.vtt"))
            self.assertEqual(packed.read("recordings/002 1970-01-02.webm"), PIECES[0][:50])
        with av.open(io.BytesIO(whole)) as file:
            self.assertAlmostEqual((file.duration or 0) / 1_000_000, 4.0, delta=0.05)
        with mock.patch.object(doors, "MOST_IN_A_ROOM_FILE", 60):
            file = self.tutor_web.get(f"/rooms/{self.link}/room.zip")
        with zipfile.ZipFile(io.BytesIO(file)) as packed:
            found = [name for name in packed.namelist() if name.startswith("recordings/")]
        self.assertEqual(
            [name.split(" ", 1)[1] for name in found], ["1970-01-02.webm", "1970-01-02.vtt", "all.txt"]
        )

    def test_the_web_page_has_it_with_the_making(self) -> None:
        self.recorded()
        path = f"/boards/{self.board}/board.html"
        told = self.tutor_web.get(f"{path}?making&voice").decode()
        self.assertIn('<audio controls src="data:audio/webm;base64,', told)
        self.assertIn("media-src data:", told)
        self.assertNotIn("<audio", self.tutor_web.get(f"{path}?making").decode())
        self.assertNotIn("media-src", self.tutor_web.get(f"{path}?voice").decode(), "nothing plays there")
