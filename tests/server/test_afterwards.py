"""After the lesson over HTTP: the wrap-up page, homework, mails, links to read by, what students find."""

from __future__ import annotations

import json
import urllib.request
from datetime import timedelta
from typing import Any
from unittest import mock
from urllib.error import HTTPError

from django.core import mail
from django.utils.timezone import now
from icalendar import Calendar

from sunroom.boards.models import Board, ReadLink
from sunroom.core.board import NoteItem, PageHead
from sunroom.core.board.requests import EditPage
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.lesson import EndLesson, SetBetween, SetPlan
from sunroom.lessons.models import HandedIn, Homework, Posted
from sunroom.live.doors.afterwards import MAX_LINKS
from sunroom.rooms.models import Seat
from tests.server.client import Web
from tests.server.test_out import OutTest
from tests.words import in_words

TEXT = "Measure one shadow at three times of the day."


def asked(web: Web, method: str, path: str, sent: Any = None) -> tuple[int, Any]:
    """Status and JSON of an answer."""
    headers = {
        "X-CSRFToken": web.cookies["csrftoken"],
        "Referer": web.base,
        "Content-Type": "application/json",
    }
    data = json.dumps(sent).encode() if sent is not None else None
    try:
        answer = web.open(urllib.request.Request(web.base + path, data, headers, method=method))
        return answer.status, json.loads(answer.read())
    except HTTPError as error:
        return error.code, json.loads(error.read())


class Afterwards(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/rooms/{self.link}"

    def ask(self, web: Web, method: str, path: str, sent: Any = None) -> tuple[int, Any]:
        return asked(web, method, path, sent)

    def wanted(self, **other: Any) -> dict[str, Any]:
        return {
            "to": [["", "lina@example.org"]], "boards": [self.board], "subject": "Shadows", "text": "See below.", **other,
        }  # fmt: skip

    def test_homework_is_given_done_and_taken_back(self) -> None:
        noor, _, seat = self.come()
        due = int((now() + timedelta(days=3)).timestamp() * 1000)
        status, after = self.ask(
            self.tutor_web,
            "POST",
            f"{self.path}/homework",
            {"text": TEXT, "due_ms": due, "board": self.board},
        )
        self.assertEqual(status, 201)
        (task,) = after["homework"]
        self.assertEqual((task["text"], task["due_ms"], task["handed_in"]), (TEXT, due, []))
        found = json.loads(noor.get(f"/api/found/{self.link}"))
        self.assertEqual(found["homework"][0]["text"], TEXT)
        end = f"/api/found/{self.link}/homework/{task['id']}"
        for _ in range(2):
            self.assertEqual(self.ask(noor, "POST", end, {"done": True})[0], 200)
        other, _, _ = self.come("Tomasz")
        seen = json.loads(other.get(f"/api/found/{self.link}"))
        self.assertEqual(seen["homework"][0]["handed_in"], [], "who has done it is the tutor's to know")
        after = json.loads(self.tutor_web.get(f"{self.path}/wrap-up"))
        self.assertEqual(after["homework"][0]["handed_in"], [seat])
        self.ask(noor, "POST", end, {"done": False})
        self.assertFalse(HandedIn.objects.exists())
        self.assertEqual(self.ask(self.tutor_web, "DELETE", f"{self.path}/homework/{task['id']}")[0], 200)
        status, answer = self.ask(noor, "POST", end, {"done": True})
        self.assertEqual(status, 400)
        self.assertIn("taken back", in_words(answer["problem"]))

    def test_a_call_elsewhere_stands_on_the_porch_of_students_alone(self) -> None:
        address = "https://call.example.org/noon?room=1"
        self.assertEqual(self.ask(self.tutor_web, "PATCH", self.path, {"outside_call": address})[0], 200)
        for given in ("javascript:alert(1)", "https://x/" + "y" * 400, "noon", "mailto:imani@example.org"):
            status, answer = self.ask(self.tutor_web, "PATCH", self.path, {"outside_call": given})
            self.assertEqual(status, 400, given)
            self.assertTrue(in_words(answer["problem"]).endswith("."), given)
            self.assertNotIn("mailto", in_words(answer["problem"]), "none of those that a link may have")
        stranger = Web(self.server.url)
        self.assertEqual(json.loads(stranger.get(f"/api/doors/student/{self.link}"))["outside_call"], address)
        _, home = self.ask(self.tutor_web, "GET", self.path)
        watching = f"/api/doors/onlooker/{home['onlooker_link']}"
        self.assertEqual(json.loads(stranger.get(watching))["outside_call"], "")
        self.assertEqual(
            self.ask(self.tutor_web, "PATCH", self.path, {"outside_call": " "})[1]["outside_call"], ""
        )

    def test_all_of_it_is_the_tutors_alone(self) -> None:
        noor, _, _ = self.come()
        stranger = Web(self.server.url)
        asked = [
            ("GET", "/wrap-up", None), ("POST", "/homework", {"text": TEXT}), ("DELETE", "/homework/x", None),
            ("POST", "/read-links", {"board": self.board}), ("DELETE", "/read-links/x", None), ("POST", "/send", self.wanted()),
        ]  # fmt: skip
        for web in (noor, stranger):
            stranger.get("/")
            for method, end, sent in asked:
                self.assertEqual(self.ask(web, method, self.path + end, sent)[0], 403, end)
        self.assertEqual(self.ask(stranger, "GET", f"/api/found/{self.link}")[0], 403)
        self.assertFalse(Homework.objects.exists() or ReadLink.objects.exists() or mail.outbox)

    def test_words_days_and_numbers_are_held_to_limits(self) -> None:
        for sent in ({"text": " "}, {"text": "x" * 2_001}, {"text": TEXT, "due_ms": 10**18}, {"text": 3}, {}):
            self.assertEqual(self.ask(self.tutor_web, "POST", f"{self.path}/homework", sent)[0], 400, sent)
        for sent in ({"board": self.board, "days": 0}, {"board": self.board, "days": 10_000}):
            self.assertEqual(self.ask(self.tutor_web, "POST", f"{self.path}/read-links", sent)[0], 400)
        self.assertEqual(
            self.ask(self.tutor_web, "POST", f"{self.path}/read-links", {"board": "none"})[0], 404
        )
        row = Board.objects.get(uid=self.board)
        for n in range(MAX_LINKS):
            ReadLink.objects.create(board=row, token=f"t{n}", until=now() + timedelta(days=1))
        status, _ = self.ask(self.tutor_web, "POST", f"{self.path}/read-links", {"board": self.board})
        self.assertEqual(status, 409)
        bad = (
            {"to": []}, {"to": [["", "nobody"]]}, {"to": [["", "a@b.org\nBcc: c@d.org"]]}, {"to": [["", "a@b.org"]] * 61},
            {"subject": ""}, {"subject": "x" * 121}, {"subject": "a\nBcc: c@d.org"}, {"text": "x" * 3_001}, {"boards": ["none"]},
            {"boards": ["x"] * 13},
        )  # fmt: skip
        for other in bad:
            status, answer = self.ask(self.tutor_web, "POST", f"{self.path}/send", self.wanted(**other))
            self.assertIn(status, (400, 404), other)
            self.assertTrue(in_words(answer["problem"]).endswith("."))
        self.assertFalse(mail.outbox or Posted.objects.exists())

    def test_boards_are_mailed_to_each_alone_and_stand_in_the_outbox(self) -> None:
        _, _, seat = self.come()
        self.tell(SetPlan("Noon", int(now().timestamp() * 1000) + 86_400_000, 45, ()))
        to = [[seat, "noor@example.org"], ["", "lina@example.org"], ["", "lina@example.org"]]
        status, sent = self.ask(
            self.tutor_web, "POST", f"{self.path}/send", self.wanted(to=to, days=7, calendar=True)
        )
        self.assertEqual((status, sent), (200, {"went": 2, "of": 2}))
        self.assertEqual([m.to for m in mail.outbox], [["noor@example.org"], ["lina@example.org"]])
        (pdf, data, _), (_, calendar, _) = mail.outbox[0].attachments
        self.assertTrue(pdf.endswith(".pdf") and data.startswith(b"%PDF"))
        text = calendar.decode() if isinstance(calendar, bytes) else calendar
        (event,) = Calendar.from_ical(text).walk("VEVENT")
        self.assertEqual((event["DTEND"].dt - event["DTSTART"].dt).seconds, 45 * 60)
        self.assertIn(f"/s/{ReadLink.objects.get().token}", mail.outbox[0].body)
        self.assertEqual(Seat.objects.get(uid=seat).mail, "noor@example.org", "it is remembered")
        after = json.loads(self.tutor_web.get(f"{self.path}/wrap-up"))
        self.assertEqual(
            [(m["to"], m["problem"]) for m in after["outbox"]],
            [("lina@example.org", ""), ("noor@example.org", "")],
        )

    def test_a_mail_that_cannot_go_says_so_in_the_outbox(self) -> None:
        with self.settings(EMAIL_BACKEND="tests.server.test_afterwards.Refusing"):
            _, sent = self.ask(self.tutor_web, "POST", f"{self.path}/send", self.wanted())
        self.assertEqual(sent, {"went": 0, "of": 1})
        self.assertEqual(Posted.objects.get().problem, "the post office is shut")

    def test_a_room_of_nobody_sends_nothing_into_the_world(self) -> None:
        with self.settings(EMAIL_BACKEND="django.core.mail.backends.smtp.EmailBackend"):
            status, answer = self.ask(self.tutor_web, "POST", f"{self.path}/send", self.wanted())
        self.assertEqual(status, 403)
        self.assertIn("account", in_words(answer["problem"]))
        self.assertFalse(Posted.objects.exists())

    def test_a_day_has_so_many_mails_and_no_more(self) -> None:
        with mock.patch("sunroom.live.doors.afterwards.MAILS_A_DAY", 3):
            for expected in (200, 429):
                to = [["", f"person-{n}@example.org"] for n in range(2)]
                status, _ = self.ask(
                    self.tutor_web, "POST", f"{self.path}/send", self.wanted(to=to, boards=[])
                )
                self.assertEqual(status, expected)
        self.assertEqual(len(mail.outbox), 2)

    def test_a_link_shows_the_board_as_everybody_sees_it_until_it_ends(self) -> None:
        self.do(
            self.tutor,
            AddItems(
                self.page, (NoteItem(id="note-0001", text="<script>alert(1)</script>", colour="#ffe6a7"),)
            ),
        )
        self.do(self.tutor, AddPage(PageHead("page-hidden", "Answers"), 1))
        self.do(self.tutor, EditPage("page-hidden", hidden=True))
        _, after = self.ask(
            self.tutor_web, "POST", f"{self.path}/read-links", {"board": self.board, "days": 3}
        )
        token = after["links"][0]["token"]
        stranger = Web(self.server.url)
        answer = stranger.open(urllib.request.Request(f"{self.server.url}/s/{token}"))
        shown = answer.read().decode()
        self.assertIn("&lt;script&gt;", shown)
        self.assertNotIn("<script", shown)
        self.assertNotIn("Answers", shown)
        self.assertIn("sandbox", answer.headers["Content-Security-Policy"])
        self.assertEqual(answer.headers["Referrer-Policy"], "no-referrer")
        for path in (f"/boards/{self.board}/board.pdf", f"/boards/{self.board}/board.zip"):
            self.assertEqual(self.ask(stranger, "GET", path)[0], 404, "a link to read by opens nothing else")
        ReadLink.objects.update(until=now() - timedelta(seconds=1))
        self.assertEqual(self.status(stranger, f"/s/{token}"), 404)
        ReadLink.objects.update(until=now() + timedelta(days=1))
        Board.objects.update(away_at=now())
        self.assertEqual(self.status(stranger, f"/s/{token}"), 404, "a board that was put away")
        Board.objects.update(away_at=None)
        self.ask(self.tutor_web, "DELETE", f"{self.path}/read-links/{token}")
        self.assertEqual(self.status(stranger, f"/s/{token}"), 404)

    def test_students_find_what_they_may_see_and_no_more(self) -> None:
        noor, _, seat = self.come()
        found = json.loads(noor.get(f"/api/found/{self.link}"))
        self.assertEqual((found["open"], len(found["boards"])), (True, 1))
        self.assertNotIn(
            "pages", found["plan"] if found["plan"].get("pages") else {}, "what is planned is the tutor's"
        )
        self.tell(SetBetween("closed"))
        self.tell(EndLesson())
        self.ask(self.tutor_web, "POST", f"{self.path}/homework", {"text": TEXT})
        found = json.loads(noor.get(f"/api/found/{self.link}"))
        self.assertEqual((found["open"], found["boards"]), (False, []))
        self.assertEqual(found["homework"][0]["text"], TEXT)
        (todo,) = Calendar.from_ical(noor.get(f"/rooms/{self.link}/lesson.ics")).walk("VTODO")
        self.assertEqual(str(todo["SUMMARY"]), TEXT)
        Seat.objects.filter(uid=seat).update(sent_away=True)
        self.assertEqual(self.ask(noor, "GET", f"/api/found/{self.link}")[0], 403)
        self.assertEqual(self.ask(noor, "GET", f"/rooms/{self.link}/lesson.ics")[0], 403)


class Refusing:
    """A post office that takes nothing."""

    def __init__(self, *_arguments: Any, **_names: Any) -> None:
        pass

    def send_messages(self, _messages: Any) -> int:
        raise ConnectionRefusedError("the post office is shut")
