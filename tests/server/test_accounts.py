"""Accounts and whole rooms over HTTP: passwords, browsers, recovery, invitations, deleting, taking along."""

from __future__ import annotations

import io
import json
import re
import threading
import urllib.error
import urllib.request
import zipfile
from datetime import timedelta
from pathlib import Path
from typing import Any
from unittest import mock

from django.conf import settings
from django.contrib.auth import get_user_model
from django.contrib.sessions.models import Session
from django.core.cache import cache
from django.test import TransactionTestCase, override_settings
from django.utils.timezone import now

from sunroom.boards import handed, models, shelf, store
from sunroom.boards.moments import make
from sunroom.core.board.steps import AddItems
from sunroom.core.formats.package import read_package
from sunroom.core.sentences import Sentence
from sunroom.lessons.models import Homework, Posted
from sunroom.live.doors import rooms as whole_rooms
from sunroom.live.wire.messages import Do, Frame, Goodbye, Join
from sunroom.live.work import file_jobs
from sunroom.resources import typesetter
from sunroom.rooms import accounts, tidy
from sunroom.rooms.models import Browser, Pairing, Room, Seat
from tests import WAIT_S
from tests.browser.base import LiveServer, wait_for
from tests.server.client import Web
from tests.server.test_live import LiveTest, stroke
from tests.words import in_words

PASSWORD, OTHER = "hour-lines-at-noon", "gnomon-and-shadow"


class Asking(Web):
    """A browser whose refused requests are answers, too."""

    language = "en"

    def ask(self, method: str, path: str, body: Any = None) -> tuple[int, Any]:
        headers = {
            "X-CSRFToken": self.cookies["csrftoken"],
            "Referer": self.base,
            "Accept-Language": self.language,
        }
        data = body if isinstance(body, bytes) else None if body is None else json.dumps(body).encode()
        try:
            with self.open(urllib.request.Request(self.base + path, data, headers, method=method)) as answer:
                return answer.status, json.loads(answer.read() or b"null")
        except urllib.error.HTTPError as error:
            text = error.read()
            return error.code, json.loads(text) if text.startswith(b"{") else text.decode()


class AccountTest(TransactionTestCase):
    def setUp(self) -> None:
        cache.clear()
        self.server = LiveServer()
        self.addCleanup(lambda: self.server.stop())
        self.web = Asking(self.server.url)
        self.post("/api/account", {"username": "imani", "password": PASSWORD, "name": "Imani", "mail": "imani@school.example"})  # fmt: skip

    def post(self, path: str, body: Any, web: Asking | None = None) -> Any:
        status, answer = (web or self.web).ask("POST", path, body)
        self.assertLess(status, 300, answer)
        return answer

    def another(self) -> Asking:
        """Another browser that is signed in to the same account."""
        web = Asking(self.server.url)
        self.post("/api/sign-in", {"username": "imani", "password": PASSWORD}, web)
        return web

    def signed_in(self, web: Asking) -> bool:
        return web.ask("GET", "/api/me")[1]["name"] is not None


class Accounts(AccountTest):
    def test_details_and_browsers_are_shown_and_another_browser_can_be_signed_out(self) -> None:
        other = self.another()
        status, page = self.web.ask(
            "PATCH", "/api/account", {"name": "Imani A.", "mail": "new@school.example"}
        )
        self.assertEqual((status, page["name"], page["mail"]), (200, "Imani A.", "new@school.example"))
        self.assertEqual([row["this"] for row in page["browsers"]].count(True), 1)
        (that,) = [row["id"] for row in page["browsers"] if not row["this"]]
        link = other.start_room("Shadows", "Imani")
        line = other.line("tutor", link)
        line.welcome()
        self.post("/api/account/browsers", {"id": that})
        self.assertEqual(line.hear(Goodbye).reason, "signed_out")
        self.assertFalse(self.signed_in(other))
        self.assertTrue(self.signed_in(self.web))
        self.assertEqual(self.web.ask("PATCH", "/api/account", {"mail": "no mail"})[0], 400)

    def test_a_changed_password_ends_all_other_browsers_and_their_lines(self) -> None:
        other = self.another()
        line = other.line("tutor", other.start_room("Shadows", "Imani"))
        line.welcome()
        self.assertEqual(
            self.web.ask("POST", "/api/account/password", {"old": "wrong", "new": OTHER})[0], 403
        )
        self.assertEqual(
            self.web.ask("POST", "/api/account/password", {"old": PASSWORD, "new": "short"})[0], 400
        )
        self.assertEqual(
            self.web.ask("POST", "/api/account/password", {"old": PASSWORD, "new": "x" * 5_000})[0], 400
        )
        self.post("/api/account/password", {"old": PASSWORD, "new": OTHER})
        self.assertEqual(line.hear(Goodbye).reason, "signed_out")
        self.assertFalse(self.signed_in(other))
        self.assertTrue(self.signed_in(self.web), "this browser stays")
        again = Asking(self.server.url)
        self.assertEqual(
            again.ask("POST", "/api/sign-in", {"username": "imani", "password": PASSWORD})[0], 403
        )
        self.post("/api/sign-in", {"username": "imani", "password": OTHER}, again)

    @override_settings(EMAIL_BACKEND="django.core.mail.backends.filebased.EmailBackend")
    def test_a_forgotten_password_is_made_anew_by_mail_once(self) -> None:
        stranger = Asking(self.server.url)
        outbox = Path(settings.EMAIL_FILE_PATH)
        for file in outbox.glob("*"):
            file.unlink()
        stranger.language = "de-AT, en;q=0.5"
        known = stranger.ask("POST", "/api/account/forgot", {"who": "IMANI@school.example"})
        self.assertEqual(stranger.ask("POST", "/api/account/forgot", {"who": "nobody"}), known, "nobody learns who has an account")  # fmt: skip
        (mail,) = [file.read_text() for file in outbox.glob("*")]
        self.assertIn("To: imani@school.example", mail)
        self.assertIn("Konto imani", mail)
        found = re.search(r"/recover/([\w-]+)/([\w-]+)", mail)
        assert found is not None
        new = {"uid": found[1], "token": found[2], "password": OTHER}
        self.assertEqual(stranger.ask("POST", "/api/account/reset", {**new, "token": "x-y"})[0], 403)
        self.post("/api/account/reset", new, stranger)
        self.assertEqual(stranger.ask("POST", "/api/account/reset", new)[0], 403, "a link is good once")
        self.assertFalse(self.signed_in(self.web), "all browsers are signed out")
        self.post("/api/sign-in", {"username": "imani", "password": OTHER}, stranger)

    def test_tries_at_one_account_are_slowed_from_whatever_address(self) -> None:
        wrong = {"username": "imani", "password": "not-this-one"}
        answers = [self.web.ask("POST", "/api/sign-in", wrong)[0] for _ in range(12)]
        self.assertEqual(answers, [403] * 10 + [429] * 2)
        other = {"username": "saskia", "password": "not-this-one"}
        self.assertEqual(
            self.web.ask("POST", "/api/sign-in", other)[0], 403, "others can still sign in from there"
        )

    def test_a_browser_left_idle_is_signed_out_and_one_from_before_is_not(self) -> None:
        Browser.objects.all().delete()  # as an older server left it
        self.assertTrue(self.signed_in(self.web))
        Browser.objects.update(seen_at=now() - accounts.IDLE - timedelta(minutes=1))
        self.assertFalse(self.signed_in(self.web))

    def test_a_line_of_a_browser_left_idle_does_not_come_in(self) -> None:
        link = self.web.start_room("Shadows", "Imani")
        line = self.web.line("tutor", link)
        line.welcome()
        line.close()
        Browser.objects.update(seen_at=now() - accounts.IDLE - timedelta(minutes=1))
        again = self.web.line("tutor", link)
        self.addCleanup(again.close)
        self.assertEqual(again.hear(Goodbye).reason, "no_seat")

    def test_who_may_make_an_account_is_a_setting(self) -> None:
        new = {"username": "saskia", "password": PASSWORD + "s"}
        with override_settings(ACCOUNTS="nobody"):
            self.assertEqual(Asking(self.server.url).ask("POST", "/api/account", new)[0], 400)
        with override_settings(ACCOUNTS="invited"):
            self.assertEqual(Asking(self.server.url).ask("POST", "/api/account", new)[0], 400)
            code = accounts.invite()
            self.post("/api/account", {**new, "invitation": code}, Asking(self.server.url))
            again = {**new, "username": "elio", "invitation": code}
            self.assertEqual(Asking(self.server.url).ask("POST", "/api/account", again)[0], 400, "good once")

    def test_a_deleted_account_takes_all_that_is_its_along(self) -> None:
        link = self.web.start_room("Shadows", "Imani")
        noor = Web(self.server.url)
        noor.enter(link, "Noor")
        line = noor.line("student", link)
        line.welcome()
        self.assertEqual(self.web.ask("DELETE", "/api/account", {"password": "wrong"})[0], 403)
        self.assertTrue(Room.objects.exists())
        self.assertEqual(self.web.ask("DELETE", "/api/account", {"password": PASSWORD})[0], 200)
        self.assertEqual(line.hear(Goodbye).reason, "room_gone")
        for kind in (get_user_model(), Room, Seat, Browser, models.Board, models.LoggedStep):
            self.assertFalse(kind.objects.exists(), kind)

    def test_what_happened_is_in_the_security_log_without_secrets(self) -> None:
        with self.assertLogs("sunroom.security", "INFO") as log:
            self.web.ask("POST", "/api/sign-in", {"username": "imani", "password": "guess-me"})
            self.another()
            self.post("/api/account/password", {"old": PASSWORD, "new": OTHER})
        text = "\n".join(log.output)
        for said in ("sign-in refused from 127.0.0.1", "sign-in from", "password changed"):
            self.assertIn(said, text)
        for secret in ("guess-me", PASSWORD, OTHER):
            self.assertNotIn(secret, text)


class WholeRooms(LiveTest):
    def setUp(self) -> None:
        super().setUp()
        self.web = Asking(self.server.url)
        self.web._jar = self.tutor_web._jar  # the same browser
        self.web._opener = self.tutor_web._opener

    def test_a_room_goes_to_another_server_in_one_file(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"), stroke("stroke-2", y=90))))
        self.tutor_web.post(f"/api/rooms/{self.link}/boards", {"title": "Hour lines"})
        self.web.ask("PATCH", f"/api/rooms/{self.link}", {"language": "fr"})
        row = Room.objects.get(link=self.link)
        Homework.objects.create(room=row, uid="task-one", text="Measure a shadow.", board=self.board)
        Posted.objects.create(room=row, to="noor@example.org", subject="Shadows", text="See below.", files=[])
        handed.keep(row, "task-one", row.seats.first(), "picture", "noon: shadow.png", b"bytes", b"")  # type: ignore[arg-type]
        make(models.Board.objects.get(uid=self.board), "named", "Before: noon/12")
        shelf.put(row, "picture", "Sundial", b"bytes", b"")
        shelf.put(row, "piece", "Card", b"bytes", b"")
        file = self.tutor_web.get(f"/rooms/{self.link}/room.zip")
        with zipfile.ZipFile(io.BytesIO(file)) as packed:
            names = packed.namelist()
            self.assertIn(b"noor@example.org", packed.read("outbox.json"))
            self.assertEqual(packed.read("shelf/001 Sundial.png"), b"bytes")
            self.assertIn("shelf/002 Card.board.zip", names)
            moment = packed.read("moments/001 Shadows Before_ noon_12.board.zip")
        packed_then, _ = read_package(moment, "seat-a", typesetter())
        self.assertEqual(len(packed_then.pages[0].items), 2)
        self.assertEqual([n for n in names if ".." in n.split("/")], [], "no name leads out of the file")
        self.assertTrue(
            any(n.startswith("handed-in/001 ") and n.endswith("shadow.png") for n in names), names
        )
        self.assertEqual(Asking(self.server.url).ask("GET", f"/rooms/{self.link}/room.zip")[0], 403)
        elsewhere = Asking(self.server.url)
        status, room = elsewhere.ask("POST", "/api/whole-rooms", file)
        self.assertEqual((status, room["boards"]), (201, 2))
        self.assertTrue(room["owner_key"])
        row = Room.objects.get(link=room["link"])
        self.assertEqual((row.title, row.language), ("Shadows", "fr"))
        boards = list(row.boards.order_by("id"))
        (task,) = row.homework.all()
        self.assertEqual((task.text, task.board), ("Measure a shadow.", boards[0].uid))
        self.assertFalse(row.posted.exists() or row.handed_files.exists(), "people's things stay with them")
        self.assertEqual([board.title for board in boards], ["Shadows", "Hour lines"])
        (page,) = store.load(boards[0].pk).in_order()
        self.assertEqual(sorted(page.items), ["stroke-1", "stroke-2"])
        for bad in (b"", b"PK", file[:300], b"x" * 1_000):
            status, told = elsewhere.ask("POST", "/api/whole-rooms", bad)
            self.assertEqual(status, 400)
            self.assertTrue(in_words(told["problem"]).endswith("."))
        self.assertEqual(Room.objects.count(), 2, "nothing is left of what could not be brought in")

    def test_ink_is_kept_while_a_room_comes_in_and_nothing_is_left_of_one_that_breaks_off(self) -> None:
        self.tutor_web.post(f"/api/rooms/{self.link}/boards", {"title": "Hour lines"})
        file = self.tutor_web.get(f"/rooms/{self.link}/room.zip")
        elsewhere = Asking(self.server.url)
        begun, kept, taken = threading.Event(), threading.Event(), whole_rooms.made
        waited: list[bool] = []

        def slowly(job: Any, *arguments: Any) -> Any:
            if job is file_jobs.take_package:
                begun.set()
                waited.append(kept.wait(WAIT_S))
            return taken(job, *arguments)

        with mock.patch.object(whole_rooms, "made", slowly):
            coming = threading.Thread(target=elsewhere.ask, args=("POST", "/api/whole-rooms", file))
            coming.start()
            self.assertTrue(begun.wait(WAIT_S))
            self.do(self.tutor, AddItems(self.page, (stroke("stroke-meanwhile"),)))
            kept.set()
            coming.join()
        self.assertTrue(all(waited), "its room's keeper waits for nobody")
        before = Room.objects.count()
        calls = iter((taken, None))

        def once(job: Any, *arguments: Any) -> Any:
            if job is not file_jobs.take_package:
                return taken(job, *arguments)
            made = next(calls)
            return made(job, *arguments) if made else Sentence("that-is-too-large-a")

        with mock.patch.object(whole_rooms, "made", once):
            self.assertEqual(elsewhere.ask("POST", "/api/whole-rooms", file)[0], 400)
        self.assertEqual(Room.objects.count(), before)

    def test_a_room_is_deleted_only_by_its_owner_and_by_name(self) -> None:
        path = f"/api/rooms/{self.link}/all"
        self.assertEqual(Asking(self.server.url).ask("DELETE", path, {"title": "Shadows"})[0], 403)
        self.assertEqual(self.web.ask("DELETE", path, {"title": "shadow"})[0], 400)
        self.assertEqual(self.web.ask("DELETE", path, {"title": "Shadows"})[0], 200)
        self.assertEqual(self.tutor.hear(Goodbye).reason, "room_gone")
        self.assertFalse(Room.objects.exists())
        self.assertFalse(models.LoggedStep.objects.exists())
        line = self.tutor_web.line("tutor", self.link)
        self.assertEqual(line.hear(Goodbye).reason, "no_room")

    def test_a_board_is_deleted_with_those_on_it_going_out_and_the_last_one_stays(self) -> None:
        other = self.tutor_web.post(f"/api/rooms/{self.link}/boards", {"title": "Hour lines"})["id"]
        line = self.line("tutor", self.tutor_web, board=other)
        page = line.welcome().pages[0].id
        line.send(Do("step-other", AddItems(page, (stroke("stroke-1"),))))
        line.hear(Frame, lambda frame: bool(frame.steps))
        self.assertEqual(self.web.ask("DELETE", f"/api/rooms/{self.link}/boards/{other}")[0], 200)
        self.assertEqual(line.hear(Goodbye).reason, "board_gone")
        line.send(Join(board=other))
        self.assertEqual(models.Board.objects.count(), 1)
        self.assertEqual(self.web.ask("DELETE", f"/api/rooms/{self.link}/boards/{self.board}")[0], 409)
        self.do(self.tutor, AddItems(self.page, (stroke("still-here"),)))

    def test_the_owner_sees_what_is_used_and_a_full_room_takes_no_more_files(self) -> None:
        home = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))
        self.assertEqual(home["most_mb"], 500)
        with override_settings(ROOM_MB=0.00001):
            status, told = self.web.ask("POST", f"/api/boards/{self.board}/pictures", b"\x89PNG" + b"x" * 900)
        self.assertEqual(status, 409)
        self.assertIn("Delete boards on the room’s home", in_words(told["problem"]))


class Server(AccountTest):
    def test_another_name_than_it_knows_gets_a_sentence_that_says_what_to_set(self) -> None:
        request = urllib.request.Request(f"{self.server.url}/", headers={"Host": "board.school.example"})
        with self.assertRaises(urllib.error.HTTPError) as caught:
            urllib.request.urlopen(request)
        self.assertEqual(caught.exception.code, 400)
        self.assertIn("SUNROOM_HOSTS=", caught.exception.read().decode())

    def test_health_and_headers(self) -> None:
        with urllib.request.urlopen(f"{self.server.url}/health") as answer:
            self.assertEqual(answer.read(), b"ok\n")
            for told in ("camera=(self)", "microphone=(self)", "geolocation=()"):
                self.assertIn(told, answer.headers["Permissions-Policy"])
            self.assertEqual(answer.headers["Cross-Origin-Resource-Policy"], "same-origin")

    def test_nothing_is_believed_from_a_header_of_somebody_s_own_making(self) -> None:
        wrong = json.dumps({"username": "imani", "password": "not-this-one"}).encode()
        answers = []
        for number in range(302):
            headers = {"X-CSRFToken": self.web.cookies["csrftoken"], "Referer": self.web.base, "X-Forwarded-For": f"10.0.0.{number}"}  # fmt: skip
            try:
                self.web.open(urllib.request.Request(f"{self.web.base}/api/sign-in", wrong, headers))
            except urllib.error.HTTPError as error:
                answers.append(error.code)
        self.assertEqual(answers[-1], 429)

    def test_what_time_leaves_behind_is_cleared_away_and_nothing_else(self) -> None:
        link = self.web.start_room("Shadows", "Imani")
        noor = Web(self.server.url)
        for name in ("Noor", "Tomasz", "Wairimu"):
            Web(self.server.url).enter(link, name)
        noor.enter(link, "Elio")
        noor.line("student", link).welcome()
        sat = Seat.objects.filter(name="Elio").exclude(seen_at=None)
        wait_for(lambda: sat.exists() or None, "their coming in to be kept")
        Seat.objects.filter(name__in=["Noor", "Elio"]).update(
            created_at=now() - tidy.NEVER_CAME - timedelta(days=1)
        )
        old = Session.objects.create(
            session_key="old", session_data="", expire_date=now() - timedelta(days=1)
        )
        Pairing.objects.create(seat=Seat.objects.get(name="Elio"), code="abcdef")
        Pairing.objects.update(invited_at=now() - timedelta(hours=1))
        tidy.tidy()
        self.assertFalse(Session.objects.filter(pk=old.pk).exists())
        self.assertFalse(Pairing.objects.exists())
        names = set(Seat.objects.filter(door="student").values_list("name", flat=True))
        self.assertEqual(names, {"Tomasz", "Wairimu", "Elio"})
        self.assertTrue(self.signed_in(self.web))
