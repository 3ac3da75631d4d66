"""What the door says, for every rule and every person; and floods, which are told."""

from __future__ import annotations

import asyncio
from contextlib import suppress
from unittest import TestCase

from sunroom.core.board.steps import AddItems
from sunroom.core.lesson import Lesson, SetPens
from sunroom.core.lesson.state import as_seen
from sunroom.core.pens import Actor, Facts
from sunroom.live.room.member import MAX_FRAMES, Member
from sunroom.live.room.porch import Porch
from sunroom.live.wire.messages import Frame, Look, Person, Refused, Tell, Wet
from sunroom.live.wire.pace import Pace
from tests.server.client import Line
from tests.server.test_live import LiveTest, stroke

OPEN = Lesson(Facts())
CODE = Lesson(Facts(), door="code", code="gnomon")


def member(role: str = "student", seat: str = "noor") -> Member:
    return Member(f"line-{seat}", Actor(seat, role, seat.title()))  # type: ignore[arg-type]


class Doors(TestCase):
    def test_one_person_knocks_once_however_many_tabs_they_have(self) -> None:
        porch = Porch(lambda: 0.0)
        one, two = member(), member()
        for waiting in (one, two, one):
            porch.knock(waiting, 1_000)
        self.assertEqual([knock.name for knock in porch.knocks()], ["Noor"])
        self.assertFalse(porch.left(one), "the other tab still waits")
        self.assertTrue(porch.left(two))
        self.assertFalse(porch.left(two))
        self.assertEqual(porch.knocks(), ())

    def test_letting_in_and_turning_away_answer_those_who_wait(self) -> None:
        porch = Porch(lambda: 0.0)
        noor, tomasz = member(), member(seat="tomasz")
        porch.knock(noor, 1_000)
        porch.knock(tomasz, 2_000)
        self.assertEqual(
            [knock.seat for knock in porch.knocks()], ["noor", "tomasz"], "in the order of knocking"
        )
        self.assertEqual(porch.let_go("noor"), [noor])
        self.assertEqual(porch.let_go("tomasz"), [tomasz])
        self.assertEqual(porch.let_go("nobody"), [])

    def test_what_all_are_sent_has_no_code(self) -> None:
        self.assertEqual(as_seen(CODE).code, "")
        self.assertEqual(as_seen(OPEN), OPEN)


class Paces(TestCase):
    def test_an_honest_hand_never_waits_and_a_flood_waits_longer_and_longer(self) -> None:
        now = [0.0]
        pace = Pace(200, 800, lambda: now[0])
        for _ in range(2_000):  # 60 a second for half a minute
            now[0] += 1 / 60
            self.assertEqual(pace.delay_s(), 0.0)
        waits = [pace.delay_s() for _ in range(2_000)]
        self.assertEqual(waits[0], 0.0)
        self.assertGreater(waits[-1], 5.0)
        now[0] += 60
        self.assertEqual(pace.delay_s(), 0.0, "after a rest all is well again")


class Members(TestCase):
    def test_who_is_too_far_behind_is_told_to_come_again_and_gets_nothing_more(self) -> None:
        noor = member()
        for _ in range(MAX_FRAMES):
            self.assertTrue(noor.put(b"frame"))
        self.assertFalse(noor.put(b"one too many"))
        self.assertEqual(noor.ended, "lagging")
        self.assertFalse(noor.put(b"later"))
        self.assertIsNone(asyncio.run(noor.take()))


class Floods(LiveTest):
    def flood(self, line: Line, message: Wet) -> Refused:
        """Send until it is too much; how much that is depends on how fast this machine can send."""
        for _ in range(12):
            for _ in range(1_000):
                line.send(message)
            with suppress(TimeoutError):
                return line.hear(Refused, lambda told: told.reason == "too_fast", 3)  # type: ignore[no-any-return]
        raise AssertionError("nobody was told that this is too fast")

    def test_a_flooder_is_told_and_shown_and_the_others_go_on(self) -> None:
        noor, seat = self.student("Noor")
        self.tell(SetPens("up"))
        data = stroke("stroke-1").samples
        self.assertEqual(self.flood(noor, Wet("stroke-1", self.page, "pen", "#16222b", 3, 0, data)).id, "")

        def shown(frame: Frame) -> Person | None:
            return next((p for p in frame.people or () if p.seat == seat and p.travel == "flooding"), None)

        self.tutor.hear(Frame, shown, 30)
        self.tutor.send(Tell("command-1", SetPens("down")))
        self.tutor.hear(Frame, lambda frame: frame.lesson and frame.lesson.facts.mode == "down")

    def test_a_flooder_is_slowed_and_nobody_is_lost(self) -> None:
        student, _ = self.student()
        for _ in range(1_500):
            student.send(Look(self.page))
        logged = self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        self.assertEqual(student.hear(Frame, lambda frame: bool(frame.steps)).steps[0], logged)
