"""Rehearsals: made-up students on lines of their own, in a room that goes without a trace or is kept."""

from __future__ import annotations

import json
from unittest import mock
from urllib.error import HTTPError
from urllib.request import Request

from django.contrib.sessions.models import Session

from sunroom.boards import models, store
from sunroom.core.board import InkItem
from sunroom.core.board.requests import CopyPage
from sunroom.core.board.steps import AddItems
from sunroom.core.lesson import AskCheck, OpenLesson, SetPens
from sunroom.live.doors import rehearsals
from sunroom.live.doors.rehearsals import forget_all
from sunroom.live.wire.messages import CheckAnswers, Do, Frame, Goodbye, Join, Tell
from sunroom.live.work import rehearsal
from sunroom.rooms.models import Room, Seat
from tests.browser.base import wait_for
from tests.server.client import Line
from tests.server.test_live import stroke
from tests.server.test_out import OutTest


class Rehearsals(OutTest):
    def setUp(self) -> None:
        super().setUp()
        for name, value in (
            ("COMING_S", 0.6),
            ("DOING_S", (0.05, 0.3)),
            ("AWAY_S", (0.2, 0.4)),
            ("SAMPLE_MS", 1),
        ):
            patch = mock.patch.object(rehearsal, name, value)
            patch.start()
            self.addCleanup(patch.stop)
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))

    def start(self, students: int = 3) -> tuple[str, Line]:
        made = self.tutor_web.post(f"/api/rooms/{self.link}/rehearsals", {"students": students})
        line = Line(self.server.url, f"/live/tutor/{made['link']}", self.tutor_web.cookies)
        self.addCleanup(line.close)
        self.addCleanup(self.end_if_on, made["link"])
        line.send(Join())
        self.welcomed = line.welcome()
        return made["link"], line

    def rooms(self) -> list[str]:
        return [room["link"] for room in json.loads(self.tutor_web.get("/api/me"))["rooms"]]

    def end(self, link: str) -> str:
        headers = {"X-CSRFToken": self.tutor_web.cookies["csrftoken"], "Referer": self.server.url}
        request = Request(f"{self.server.url}/api/rooms/{link}/rehearsal", headers=headers, method="DELETE")
        back: str = json.loads(self.tutor_web.open(request).read())["link"]
        return back

    def end_if_on(self, link: str) -> None:
        if Room.objects.filter(link=link).exclude(rehearses=None).exists():
            self.end(link)

    def test_students_come_write_and_nothing_stays(self) -> None:
        sessions = Session.objects.count()
        link, line = self.start()
        self.assertTrue(self.welcomed.rehearsal)
        self.assertEqual(len(self.welcomed.pages or ()), 1, "the room's own boards")
        line.hear(Frame, lambda frame: frame.people is not None and len(frame.people) == 4)
        line.send(Tell("open-it-1", OpenLesson()))
        line.send(Tell("pens-up-1", SetPens("up")))
        seats = set()
        while len(seats) < 2:
            frame = line.hear(Frame, lambda frame: bool(frame.steps))
            seats |= {logged.by for logged in frame.steps}
        row = Room.objects.get(link=link)
        self.assertEqual(Seat.objects.filter(room=row, door="student").count(), 3)
        self.assertNotIn(link, self.rooms())
        self.assertEqual(self.end(link), self.link)
        self.assertFalse(line.hear(Goodbye).again)
        self.assertFalse(Room.objects.filter(pk=row.pk).exists())
        self.assertFalse(models.Board.objects.exclude(room__link=self.link).exists())
        self.assertEqual(Session.objects.count(), sessions)
        self.assertEqual(
            len(store.load(models.Board.objects.get().pk).in_order()[0].items),
            1,
            "the room itself is as it was",
        )

    def test_who_is_handed_a_desk_writes_there(self) -> None:
        _, line = self.start(1)
        here = line.hear(Frame, lambda frame: frame.people is not None and len(frame.people) == 2)
        [seat] = [person.seat for person in here.people or () if person.role == "student"]
        line.send(Tell("open-it-1", OpenLesson()))
        [page] = self.welcomed.pages or ()
        line.send(Do("hand-out-1", CopyPage(page.id, "page-desk", "Noor", seat)))
        line.hear(
            Frame,
            lambda frame: any(
                logged.by == seat and isinstance(logged.step, AddItems) and logged.step.page == "page-desk"
                for logged in frame.steps
            ),
        )

    def test_students_answer_a_question_each_once(self) -> None:
        _, line = self.start()
        line.hear(Frame, lambda frame: frame.people is not None and len(frame.people) == 4)
        line.send(Tell("open-it-1", OpenLesson()))
        line.send(Tell("ask-1", AskCheck("check-1", "Noon?", ("12", "13", "11"))))
        answered = line.hear(CheckAnswers, lambda told: len(told.answers) == 3)
        self.assertEqual(len({seat for seat, _ in answered.answers}), 3)
        self.assertTrue(all(0 <= option < 3 for _, option in answered.answers))

    def test_a_rehearsal_that_is_kept_is_a_room_of_its_own(self) -> None:
        link, line = self.start(1)
        line.hear(Frame, lambda frame: frame.people is not None and len(frame.people) == 2)
        self.tutor_web.post(f"/api/rooms/{link}/rehearsal", {})
        line.hear(
            Frame,
            lambda frame: frame.people is not None and sum(person.tabs > 0 for person in frame.people) == 1,
        )
        self.assertIn(link, self.rooms())
        board = models.Board.objects.get(room__link=link)
        self.assertIsInstance(next(iter(store.load(board.pk).in_order()[0].items.values())), InkItem)

    def test_another_start_ends_the_one_before_and_a_restart_all_of_them(self) -> None:
        first, line = self.start(1)
        second, _ = self.start(1)
        self.assertFalse(line.hear(Goodbye).again)
        self.assertEqual(list(Room.objects.exclude(rehearses=None).values_list("link", flat=True)), [second])
        self.assertNotEqual(first, second)
        self.end(second)
        Room.objects.create(
            title="left behind",
            link="left-behind",
            onlooker_link="l-b",
            rehearses=Room.objects.get(link=self.link),
        )
        forget_all()
        self.assertEqual(Room.objects.get().link, self.link)

    def test_who_is_not_its_tutor_starts_and_ends_none(self) -> None:
        noor, _, _ = self.come()
        link, _ = self.start(1)
        for web, path, value, code in (
            (noor, f"/api/rooms/{self.link}/rehearsals", {"students": 3}, (403, 404)),
            (noor, f"/api/rooms/{link}/rehearsal", {}, (403, 404)),
            (self.tutor_web, f"/api/rooms/{self.link}/rehearsals", {"students": 31}, (400,)),
            (self.tutor_web, f"/api/rooms/{self.link}/rehearsals", {"students": 0}, (400,)),
            (self.tutor_web, f"/api/rooms/{link}/rehearsals", {"students": 1}, (400,)),
            (self.tutor_web, f"/api/rooms/{self.link}/rehearsal", {}, (400,)),
        ):
            with self.subTest(path, value=value), self.assertRaises(HTTPError) as caught:
                web.post(path, value)
            self.assertIn(caught.exception.code, code)
        self.assertEqual(Room.objects.count(), 2)

    def test_it_goes_with_its_room(self) -> None:
        _, line = self.start(2)
        line.hear(Frame, lambda frame: frame.people is not None and len(frame.people) == 3)
        title = Room.objects.get(link=self.link).title
        self.assertEqual(
            self.status(self.tutor_web, f"/api/rooms/{self.link}/all", {"title": title}, "DELETE"), 200
        )
        self.assertFalse(line.hear(Goodbye).again)
        self.assertFalse(Room.objects.exists())

    def test_few_run_at_once(self) -> None:
        path = f"/api/rooms/{self.link}/rehearsals"
        with mock.patch.object(rehearsals, "MAX_AT_ONCE", 1):
            self.start(1)
            link, _ = self.start(1)
            other = self.tutor_web.post("/api/rooms", {"title": "Tides", "name": "Tutor"})["link"]
            refused = self.status(self.tutor_web, f"/api/rooms/{other}/rehearsals", {"students": 1})
            self.assertEqual(refused, 503)
            self.assertEqual(Room.objects.count(), 3, "nothing was copied")
            self.end(link)
        self.assertEqual(self.status(self.tutor_web, path, {"students": 1}), 201)
        self.end(Room.objects.exclude(rehearses=None).get().link)

    def test_without_its_tutor_it_ends_by_itself(self) -> None:
        with mock.patch.object(rehearsal, "ALONE_S", 0.4), mock.patch.object(rehearsal, "LOOK_S", 0.2):
            link, line = self.start(1)
            line.close()
            wait_for(lambda: not Room.objects.filter(link=link).exists(), "the room to be gone")
