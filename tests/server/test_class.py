"""Running the class over the live line: the door, roles, questions, eyes, devices; and all of it forged."""

from __future__ import annotations

import json
import urllib.error
from typing import Any
from unittest import mock

from sunroom.core.board.requests import Undo
from sunroom.core.board.steps import AddItems, MoveItems
from sunroom.core.geometry import Box
from sunroom.core.lesson import (
    Admit,
    AnswerCheck,
    AskCheck,
    EndCheck,
    HandOver,
    Rename,
    SetDoor,
    SetPens,
    SetRights,
    SetRole,
    ShareCheck,
    ToPorch,
    TurnAway,
)
from sunroom.live.room import registry
from sunroom.live.wire.messages import (
    AtDoor,
    AtPorch,
    CheckAnswers,
    Do,
    Follow,
    Frame,
    Goodbye,
    Inspect,
    Inspected,
    Join,
    LetIn,
    Look,
    Ping,
    Pong,
    React,
    Reacted,
    Refused,
    SeeAs,
    SeenAs,
    Tell,
    View,
    Viewed,
    You,
)
from sunroom.rooms.models import Seat
from tests.browser.base import wait_for
from tests.server.client import Line, Web
from tests.server.test_live import LiveTest, stroke


class ClassTest(LiveTest):
    def as_told(self, line: Line, command: Any) -> Refused | None:
        """Give a command from any line; the refusal, or None when it was carried out."""
        line.send(Tell("command-x", command))
        line.send(Ping(7.0))
        answer = line.hear((Refused, Pong))  # type: ignore[arg-type]
        self.server.settled()
        if isinstance(answer, Refused):
            line.hear(Pong)
            return answer
        return None

    def knocker(self, name: str = "Tomasz", **join: Any) -> Line:
        web = Web(self.server.url)
        web.enter(self.link, name)
        return self.line("student", web, **join)


class ComingIn(ClassTest):
    def test_a_board_that_is_live_is_not_read_from_disk_again(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        with mock.patch.object(registry, "_open_board", side_effect=AssertionError("read again")):
            line, _ = self.student("Noor")
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-2", x=90),)))
        while not (steps := line.hear(Frame).steps):
            pass  # frames that tell who is here
        self.assertEqual(steps[0].step.items[0].id, "stroke-2")


class Porch(ClassTest):
    def test_who_knocks_waits_until_they_are_let_in_and_comes_back_without_knocking(self) -> None:
        self.tell(SetDoor("knock"))
        web = Web(self.server.url)
        web.enter(self.link, "Tomasz")
        line = self.line("student", web)
        self.assertEqual(line.hear(AtPorch).needs, "knock")
        (knock,) = self.tutor.hear(AtDoor, lambda door: bool(door.knocks)).knocks
        self.assertEqual(knock.name, "Tomasz")
        line.send(Do("step-0001", AddItems(self.page, (stroke("stroke-1"),))))
        self.tell(Admit(knock.seat))
        line.hear(LetIn)
        line.send(Join())
        self.assertEqual(line.welcome().seat, knock.seat)
        wait_for(lambda: Seat.objects.get(uid=knock.seat).admitted, "it to be kept")
        line.close()
        self.assertEqual(self.line("student", web).welcome().seat, knock.seat)
        self.assertNotIn(b"stroke-1", self.state(), "what was sent before being let in is not taken")

    def test_all_are_let_in_at_once_and_one_is_turned_away(self) -> None:
        self.tell(SetDoor("knock"))
        lines = [self.knocker(name) for name in ("Tomasz", "Wairimu", "Elio")]
        for line in lines:
            line.hear(AtPorch)
        knocks = self.tutor.hear(AtDoor, lambda door: len(door.knocks) == 3).knocks
        self.tell(TurnAway(knocks[0].seat))
        self.assertTrue(lines[0].hear(AtPorch).away)
        self.tell(Admit())
        for line in lines[1:]:
            line.hear(LetIn)
        lines[0].send(Join())
        self.assertEqual(lines[0].hear(AtPorch).needs, "knock")
        self.tutor.hear(AtDoor, lambda door: [knock.seat for knock in door.knocks] == [knocks[0].seat])

    def test_a_code_lets_in_and_a_wrong_one_does_not(self) -> None:
        self.tell(SetDoor("code", "gnomon"))
        self.assertEqual(self.tutor.hear(AtDoor, lambda door: door.code != "").code, "gnomon")
        line = self.knocker()
        self.assertEqual(line.hear(AtPorch).needs, "code")
        line.send(Join(code="needle"))
        self.assertTrue(line.hear(AtPorch).wrong)
        line.send(Join(code="Gno mon"))
        welcome = line.welcome()
        self.assertEqual(welcome.lesson.code, "", "students are not told the code")

    def test_who_leaves_the_door_is_no_longer_announced(self) -> None:
        self.tell(SetDoor("knock"))
        line = self.knocker()
        self.tutor.hear(AtDoor, lambda door: bool(door.knocks))
        line.close()
        self.tutor.hear(AtDoor, lambda door: not door.knocks)

    def test_sent_to_the_porch_means_out_and_knocking_even_at_an_open_door(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Tomasz")
        line = self.line("student", web)
        seat = line.welcome().seat
        self.tell(ToPorch(seat))
        self.assertEqual(line.hear(Goodbye).reason, "to_porch")
        again = self.line("student", web)
        self.assertEqual(again.hear(AtPorch).needs, "knock")
        self.tell(Admit(seat))
        again.hear(LetIn)
        again.send(Join())
        again.welcome()

    def test_students_open_no_doors(self) -> None:
        student, seat = self.student()
        for command in (SetDoor("open"), Admit(), TurnAway(seat), ToPorch(seat)):
            refusal = self.as_told(student, command)
            assert refusal is not None
            self.assertIn(refusal.reason, ("tutor_side_only", "tutor_only"))


class Roles(ClassTest):
    def test_the_room_is_handed_over_and_taken_back_by_its_owner(self) -> None:
        helper, seat = self.student("Saskia")
        refusal = self.as_told(self.tutor, HandOver(seat))
        assert refusal is not None
        self.assertEqual(refusal.reason, "not_a_helper")
        self.tell(SetRole(seat, "helper"))
        self.tell(HandOver(seat))
        self.assertIsNone(self.as_told(helper, SetDoor("open")))
        refusal = self.as_told(self.tutor, SetDoor("knock"))
        assert refusal is not None
        self.assertEqual(refusal.reason, "tutor_only")
        self.assertIsNone(self.as_told(self.tutor, HandOver("")))
        refusal = self.as_told(helper, SetDoor("knock"))
        assert refusal is not None
        self.assertEqual(refusal.reason, "tutor_only")
        wait_for(lambda: {s.role for s in Seat.objects.all()} == {"tutor", "helper"}, "the roles to be kept")

    def test_a_helper_who_is_no_owner_takes_nothing(self) -> None:
        helper, seat = self.student("Saskia")
        self.tell(SetRole(seat, "helper"))
        refusal = self.as_told(helper, HandOver(""))
        assert refusal is not None
        self.assertEqual(refusal.reason, "tutor_only")

    def test_names_are_changed_kept_and_stay_distinct(self) -> None:
        student, seat = self.student("Noor")
        self.student("Tomasz")
        self.assertIsNone(self.as_told(student, Rename(seat, "Tomasz")))
        self.tutor.hear(Frame, lambda f: f.people and any(p.name == "Tomasz 2" for p in f.people))
        self.tutor.send(Ping(1.0))
        self.tutor.hear(Pong)
        for name in ("", "x" * 200, "Noor\u202e"):
            self.assertIsNotNone(self.as_told(student, Rename(seat, name)))
        refusal = self.as_told(student, Rename(self.tutor.heard[0].seat, "Nobody"))
        assert refusal is not None
        self.assertEqual(refusal.reason, "tutor_side_only")
        self.assertEqual(Seat.objects.get(uid=seat).name, "Tomasz 2")


class Questions(ClassTest):
    def test_only_the_tutor_side_knows_who_answered_what(self) -> None:
        noor, seat = self.student("Noor")
        tomasz, _ = self.student("Tomasz")
        self.tell(AskCheck("check-1", "How long?", ("1 m", "2 m")))
        self.assertIsNone(self.as_told(noor, AnswerCheck("check-1", 1)))
        told = self.tutor.hear(CheckAnswers, lambda answers: bool(answers.answers))
        self.assertEqual(told.answers, ((seat, 1),))
        lesson = tomasz.hear(Frame, lambda f: f.lesson and f.lesson.check and f.lesson.check.answered).lesson
        self.assertEqual((lesson.check.answers, lesson.check.answered), ((), (seat,)))
        self.assertFalse([m for m in tomasz.heard if isinstance(m, CheckAnswers)])
        self.tell(ShareCheck(True))
        lesson = tomasz.hear(Frame, lambda f: f.lesson and f.lesson.check and f.lesson.check.shared).lesson
        self.assertEqual(lesson.check.answers, (("", 1),))
        self.tell(EndCheck())
        wait_for(
            lambda: "Imani asked “How long?”: 1 m 0; 2 m 1." in self.recorded(), "the answers in the record"
        )

    def test_a_student_asks_nothing_and_onlookers_do_not_answer(self) -> None:
        noor, _ = self.student("Noor")
        refusal = self.as_told(noor, AskCheck("check-1", "", ("a", "b")))
        assert refusal is not None
        self.assertEqual(refusal.reason, "tutor_side_only")
        self.tell(AskCheck("check-1", "How long?", ("1 m", "2 m")))
        watcher = self.onlooker()
        refusal = self.as_told(watcher, AnswerCheck("check-1", 1))
        assert refusal is not None
        self.assertEqual(refusal.reason, "onlooker")

    def onlooker(self) -> Line:
        web = Web(self.server.url)
        home = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))
        web.enter(home["onlooker_link"], "Onlooker", "onlooker")
        line = self.line("onlooker", web, home["onlooker_link"])
        line.welcome()
        return line


class Eyes(ClassTest):
    def test_a_follower_sees_what_is_seen_and_students_follow_the_tutor_side_only(self) -> None:
        noor, seat = self.student("Noor")
        tomasz, _ = self.student("Tomasz")
        self.tutor.send(Follow(seat))
        tomasz.send(Follow(seat))
        noor.send(View(self.page, Box(0, 0, 100, 80)))
        seen = self.tutor.hear(Viewed)
        self.assertEqual((seen.seat, seen.box), (seat, Box(0, 0, 100, 80)))
        tutor_seat = self.tutor.heard[0].seat
        self.tutor.send(View(self.page, Box(5, 5, 50, 50)))
        tomasz.send(Follow(tutor_seat))
        self.assertEqual(tomasz.hear(Viewed).seat, tutor_seat)
        self.assertFalse([m for m in tomasz.heard if isinstance(m, Viewed) and m.seat == seat])

    def test_a_view_that_is_none_is_passed_over(self) -> None:
        noor, seat = self.student("Noor")
        self.tutor.send(Follow(seat))
        noor.send(View(self.page, Box(float("nan"), 0, 1, 1)))
        noor.send(View(self.page, Box(0, 0, 1, 1)))
        self.assertEqual(self.tutor.hear(Viewed).box, Box(0, 0, 1, 1))

    def test_seeing_as_a_student_is_what_the_student_is_told(self) -> None:
        noor, seat = self.student("Noor")
        noor.send(Look(self.page))
        told = noor.hear(You, lambda you: you.page == self.page)
        self.tutor.send(Look(self.page))
        self.tutor.send(SeeAs(seat))
        self.assertEqual(self.tutor.hear(SeenAs).standing, told.standing)
        noor.send(SeeAs(self.tutor.heard[0].seat))
        noor.send(Ping(1.0))
        noor.hear(Pong)
        self.assertFalse([m for m in noor.heard if isinstance(m, SeenAs)])

    def test_signs_reach_everybody_unless_the_chat_is_off(self) -> None:
        noor, seat = self.student("Noor")
        noor.send(React("lost"))
        self.assertEqual(self.tutor.hear(Reacted).seat, seat)
        self.tell(SetRights(("write",)))
        noor.send(React("wow"))
        self.assertEqual(noor.hear(Refused).reason, "no_chat")

    def test_who_made_and_changed_a_thing_is_found_in_the_log(self) -> None:
        self.tell(SetPens("up"))
        noor, _ = self.student("Noor")
        self.do(noor, AddItems(self.page, (stroke("stroke-1"),)))
        self.do(self.tutor, MoveItems(self.page, ("stroke-1",), 5, 5))
        self.do(self.tutor, Undo())
        self.tutor.send(Inspect(3, self.page, "stroke-1"))
        found = self.tutor.hear(Inspected)
        self.assertEqual(
            [(trace.name, trace.what) for trace in found.traces],
            [("Noor", "made"), ("Imani", "moved"), ("Imani", "moved-undo")],
        )


class Devices(ClassTest):
    def test_a_second_device_sits_in_the_same_seat_and_goes_when_unpaired(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        first = self.line("student", web)
        seat = first.welcome().seat
        self.tell(SetPens("up"))
        code = web.post(f"/api/devices/student/{self.link}/invite", {})["code"]
        tablet = Web(self.server.url)
        self.assertEqual(tablet.post("/api/devices", {"code": code.upper()})["path"], f"/r/{self.link}")
        second = self.line("student", tablet)
        self.assertEqual(second.welcome().seat, seat)
        self.do(second, AddItems(self.page, (stroke("stroke-1"),)))
        self.do(first, Undo())
        self.assertNotIn(b"stroke-1", self.state(), "both undo as one person")
        with self.assertRaises(urllib.error.HTTPError):
            tablet.post(f"/api/devices/student/{self.link}/end", {})
        web.post(f"/api/devices/student/{self.link}/end", {})
        self.assertEqual(second.hear(Goodbye).reason, "unpaired")
        self.assertEqual(self.line("student", tablet).hear(Goodbye).reason, "no_seat")
        self.assertIsInstance(self.do(first, AddItems(self.page, (stroke("stroke-2"),))), object)

    def test_the_tutor_s_tablet_leads_and_does_not_own(self) -> None:
        code = self.tutor_web.post(f"/api/devices/tutor/{self.link}/invite", {})["code"]
        tablet = Web(self.server.url)
        path = tablet.post("/api/devices", {"code": code})["path"]
        self.assertTrue(path.startswith(f"/rooms/{self.link}/boards/"))
        line = self.line("tutor", tablet)
        self.assertEqual(line.welcome().role, "tutor")
        self.assertIsNone(self.as_told(line, SetPens("up")))
        with self.assertRaises(urllib.error.HTTPError):
            tablet.get(f"/api/rooms/{self.link}")

    def test_a_code_is_good_once_and_guessing_is_slowed(self) -> None:
        code = self.tutor_web.post(f"/api/devices/tutor/{self.link}/invite", {})["code"]
        Web(self.server.url).post("/api/devices", {"code": code})
        statuses = []
        other = Web(self.server.url)
        for guess in (code, *(f"{number:06d}" for number in range(62))):
            with self.assertRaises(urllib.error.HTTPError) as caught:
                other.post("/api/devices", {"code": guess})
            statuses.append(caught.exception.code)
        self.assertEqual(statuses[0], 403)
        self.assertEqual(statuses[-1], 429)

    def test_onlookers_pair_nothing_and_a_picture_of_a_code_is_svg(self) -> None:
        with self.assertRaises(urllib.error.HTTPError):
            Web(self.server.url).post(f"/api/devices/student/{self.link}/invite", {})
        self.assertIn(b"<svg", self.tutor_web.get("/api/devices/abcdef.svg"))
