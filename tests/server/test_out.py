"""Who is out is out at once: on the live line, at the door, and for files; and nobody stays behind as a ghost."""

from __future__ import annotations

import json
import urllib.error
import urllib.request
from typing import Any
from unittest import mock

import msgspec
import numpy as np
from websockets.exceptions import ConnectionClosed

from sunroom.boards import models
from sunroom.core.board.steps import AddItems, MoveItems
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import HandOver, SendAway, SetDoor, SetPens, SetRole, ToPorch
from sunroom.live.line import consumer
from sunroom.live.room import registry
from sunroom.live.wire.messages import (
    AtPorch,
    Do,
    Frame,
    Goodbye,
    Join,
    Ping,
    Point,
    Pong,
    Refused,
    Tell,
    Welcome,
    Wet,
)
from sunroom.rooms.models import Seat
from tests.browser.base import wait_for
from tests.server.client import Line, Web
from tests.server.test_live import LiveTest, stroke
from tests.words import in_words


class OutTest(LiveTest):
    def come(self, name: str = "Noor") -> tuple[Web, Line, str]:
        web = Web(self.server.url)
        web.enter(self.link, name)
        line = self.line("student", web)
        return web, line, line.welcome().seat

    def names(self) -> list[str]:
        """Who is here, as the tutor's screen shows it."""
        self.tutor.send(Ping(0.0))
        self.tutor.hear(Pong)
        people = next(
            m.people for m in reversed(self.tutor.heard) if isinstance(m, Frame | Welcome) and m.people
        )
        return sorted(person.name for person in people if person.tabs)

    def status(self, web: Web, path: str, body: Any = None, method: str = "") -> int:
        headers = {
            "X-CSRFToken": web.cookies["csrftoken"],
            "Referer": web.base,
            "Content-Type": "application/json",
        }
        data = None if body is None else json.dumps(body).encode()
        try:
            return int(
                web.open(urllib.request.Request(web.base + path, data, headers, method=method or None)).status
            )
        except urllib.error.HTTPError as error:
            return error.code

    def assertOut(self, line: Line, reason: str) -> None:
        """The line hears why, is closed from the server's side, and what it sent after that changed nothing."""
        self.assertEqual(line.hear(Goodbye).reason, reason)
        before = self.state()
        for number in range(3):
            line.send(Do(f"after-out-{number}", AddItems(self.page, (stroke(f"after-out-{number}"),))))
        with self.assertRaises(ConnectionClosed):
            while True:
                self.assertNotIsInstance(line.hear(Frame | Refused), Frame, "it still hears")  # type: ignore[arg-type]
        self.assertEqual(self.state(), before)


class Out(OutTest):
    def test_who_is_sent_away_hears_and_writes_nothing_more_on_any_line_they_have(self) -> None:
        web, line, seat = self.come()
        second = self.line("student", web)
        second.welcome()
        early = Line(self.server.url, f"/live/student/{self.link}", web.cookies)
        self.addCleanup(early.close)
        self.tell(SetPens("up"))
        self.assertEqual(self.status(web, f"/boards/{self.board}/board.pdf"), 200)
        self.tell(SendAway(seat))
        self.assertOut(line, "sent_away")
        self.assertOut(second, "sent_away")
        early.send(Join())
        self.assertEqual(early.hear(Goodbye).reason, "sent_away", "a line opened before is asked as it joins")
        for path in ("board.pdf", "picture.png", "pictures/nothing-here"):
            self.assertEqual(self.status(web, f"/boards/{self.board}/{path}"), 404, path)
        self.assertEqual(self.status(web, f"/api/boards/{self.board}/pictures", {}), 404)
        self.assertEqual(self.names(), ["Imani"])

    def test_removing_somebody_can_have_the_door_knock_from_now_on(self) -> None:
        _, _, seat = self.come()
        self.tell(SendAway(seat, knock=True))
        self.tutor.hear(Frame, lambda frame: frame.lesson and frame.lesson.door == "knock")
        again = Web(self.server.url)
        again.enter(self.link, "Not Noor")
        self.assertEqual(self.line("student", again).hear(AtPorch).needs, "knock")
        self.assertEqual(
            self.status(again, f"/boards/{self.board}/board.pdf"), 404, "files wait at the door as well"
        )

    def test_who_is_sent_to_the_porch_knocks_and_until_then_sees_no_file(self) -> None:
        web, line, seat = self.come()
        self.tell(ToPorch(seat))
        self.assertOut(line, "to_porch")
        self.assertEqual(self.status(web, f"/boards/{self.board}/board.pdf"), 404)
        self.assertEqual(self.line("student", web).hear(AtPorch).needs, "knock")

    def test_a_line_opened_before_and_joined_after_has_the_role_of_then(self) -> None:
        web, line, seat = self.come()
        self.tell(SetRole(seat, "helper"))
        early = Line(self.server.url, f"/live/student/{self.link}", web.cookies)
        self.addCleanup(early.close)
        self.tell(SetRole(seat, "student"))
        early.send(Join())
        self.assertEqual(early.welcome().role, "student")
        early.send(Tell("command-1", SetPens("up")))
        self.assertEqual(early.hear(Refused).reason, "tutor_side_only")
        line.send(Tell("command-2", SetPens("up")))
        self.assertEqual(line.hear(Refused).reason, "tutor_side_only")

    def test_signing_out_ends_the_lines_of_that_browser(self) -> None:
        web = Web(self.server.url)
        web.post("/api/account", {"username": "saskia", "password": "hour-lines-7", "name": "Saskia"})
        link = web.start_room("Bench chemistry", "Saskia")
        line = self.line("tutor", web, link)
        line.welcome()
        early = Line(self.server.url, f"/live/tutor/{link}", web.cookies)
        self.addCleanup(early.close)
        web.post("/api/sign-out", {})
        self.assertEqual(line.hear(Goodbye).reason, "signed_out")
        early.send(Join())
        self.assertEqual(early.hear(Goodbye).reason, "no_seat")

    def test_an_ended_pairing_ends_its_lines_also_those_that_only_wait(self) -> None:
        code = self.tutor_web.post(f"/api/devices/tutor/{self.link}/invite", {})["code"]
        tablet = Web(self.server.url)
        self.assertEqual(
            tablet.post("/api/devices/invited", {"code": code}),
            {"name": "Imani", "room": "Shadows", "now": ""},
        )
        tablet.post("/api/devices", {"code": code})
        line = self.line("tutor", tablet)
        line.welcome()
        early = Line(self.server.url, f"/live/tutor/{self.link}", tablet.cookies)
        self.addCleanup(early.close)
        self.tutor_web.post(f"/api/devices/tutor/{self.link}/end", {})
        self.assertOut(line, "unpaired")
        early.send(Join())
        self.assertEqual(early.hear(Goodbye).reason, "no_seat")

    def test_another_link_is_the_only_one_at_once_and_who_is_in_stays(self) -> None:
        _, line, _ = self.come()
        watch = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))["onlooker_link"]
        onlooker_web = Web(self.server.url)
        onlooker_web.enter(watch, "A parent", "onlooker")
        onlooker = self.line("onlooker", onlooker_web, watch)
        self.assertEqual(onlooker.welcome().link, "", "onlookers are not told the students' link")
        new = self.tutor_web.post(f"/api/rooms/{self.link}/links", {"which": "students"})["link"]
        self.assertEqual(line.hear(Frame, lambda frame: bool(frame.link)).link, new)
        self.assertEqual(self.status(Web(self.server.url), f"/api/doors/student/{self.link}"), 404)
        late = Web(self.server.url)
        late.enter(new, "Tomasz")
        self.assertEqual(self.line("student", late, new).welcome().link, new)
        self.tell(SetPens("up"))
        self.assertFalse(any(m.link for m in onlooker.heard if isinstance(m, Frame)))
        self.tutor_web.post(f"/api/rooms/{new}/links", {"which": "onlookers"})
        self.assertEqual(onlooker.hear(Goodbye).reason, "no_room")
        self.do(line, AddItems(self.page, (stroke("still-here"),)))


class Owner(OutTest):
    def test_the_owner_stays_and_takes_the_room_back_whoever_leads(self) -> None:
        _, helper, seat = self.come("Saskia")
        me = next(m.seat for m in self.tutor.heard if isinstance(m, Welcome))
        self.tell(SetRole(seat, "helper"))
        self.tell(HandOver(seat))
        for command in (SetRole(me, "student"), SendAway(me), ToPorch(me)):
            helper.send(Tell("command-1", command))
            self.assertEqual(helper.hear(Refused).reason, "owner", command)
        helper.send(Tell("command-2", SetDoor("code", "gnomon1")))
        again = self.line("tutor", self.tutor_web)
        self.assertEqual(again.welcome().role, "helper")
        again.send(Tell("command-3", HandOver("")))
        helper.hear(Frame, lambda frame: any(p.seat == me and p.role == "tutor" for p in frame.people or ()))


class Codes(OutTest):
    def test_a_code_typed_at_an_open_door_admits_to_nothing_later(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        line = self.line("student", web, code="anything")
        line.welcome()
        line.close()
        seat = Seat.objects.get(name="Noor")
        self.assertIsNone(seat.admitted)

    def test_codes_are_long_and_not_found_by_trying_however_many_lines_try(self) -> None:
        self.tutor.send(Tell("command-1", SetDoor("code", "short")))
        self.assertEqual(self.tutor.hear(Refused).reason, "code")
        self.tell(SetDoor("code", "gnomon7"))
        wrong = 0
        for number in range(24):
            web = Web(self.server.url)
            web.enter(self.link, f"Guesser {number}")
            line = self.line("student", web, code=f"guess-{number:02d}")
            wrong += line.hear(AtPorch).wrong
            line.close()
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        line = self.line("student", web, code="gnomon7")
        self.assertIsInstance(
            line.hear((AtPorch, Welcome)), AtPorch, "for a while nobody's code is looked at"
        )  # type: ignore[arg-type]


class Ghosts(OutTest):
    def test_numbers_that_are_none_hurt_nobody_and_leave_no_ghost(self) -> None:
        _, line, _ = self.come()
        self.tell(SetPens("up"))
        bad = pack_samples(np.array([(np.inf, 0, 0.5, 0), (np.nan, 5, 0.6, 8)], float))
        for wet in (
            Wet("wet-0001", self.page, "pen", "#16222b", float("inf"), 0, bad),
            Wet("wet-0002", self.page, "pen", "#16222b", 3.0, 0, bad),
            Wet("wet-0003", self.page, "pen", "#16222b", 3.0, -5, b"", opacity=float("nan")),
        ):
            line.send(wet)
        line.send(Point("p" * 90_000, 1, 1))
        line.send(Point("nowhere-00", float("nan"), 1))
        self.do(line, AddItems(self.page, (stroke("still-well"),)))
        line.close()
        wait_for(lambda: self.names() == ["Imani"], "Noor to be gone")

    def test_browsers_that_vanish_while_they_come_in_are_gone_and_the_room_closes(self) -> None:
        big = tuple(stroke(f"many-{n:05d}", samples=pack_samples(np.zeros((200, 4)))) for n in range(900))
        self.do(self.tutor, AddItems(self.page, big))
        for number in range(6):
            web = Web(self.server.url)
            web.enter(self.link, f"Ghost {number}")
            line = web.line("student", self.link)
            if number % 2:
                line.welcome()
            line._socket.socket.close()
        wait_for(lambda: self.names() == ["Imani"], "the ghosts to be gone")
        with mock.patch.object(registry, "LINGER_S", 0.05):
            self.tutor.close()
            wait_for(lambda: not self.rooms(), "the room to close")
        again = self.line("tutor", self.tutor_web)
        self.assertEqual(len(again.welcome().people), 1)

    def rooms(self) -> dict[int, Any]:
        return next(iter(registry._registries.values()))._rooms

    def test_a_line_that_never_joins_is_closed(self) -> None:
        with mock.patch.object(consumer, "JOIN_S", 0.2):
            line = Line(self.server.url, f"/live/student/{self.link}", Web(self.server.url).cookies)
            self.assertEqual(line.hear(Goodbye).reason, "too_late")
            with self.assertRaises(ConnectionClosed):
                line.hear(Frame)

    def test_one_seat_has_not_more_lines_than_anybody_needs(self) -> None:
        web, _, _ = self.come()
        lines = [self.line("student", web) for _ in range(registry.MOST_OF_SEAT)]
        heard = [line.hear((Welcome, Goodbye)) for line in lines]  # type: ignore[arg-type]
        self.assertEqual([m.reason for m in heard if isinstance(m, Goodbye)], ["too_many"])
        lines[0].close()
        wait_for(
            lambda: isinstance(self.line("student", web).hear((Welcome, Goodbye)), Welcome), "a free line"
        )  # type: ignore[arg-type]

    def test_a_fault_of_the_server_s_own_ends_one_line_and_leaves_nobody_behind(self) -> None:
        _, line, _ = self.come()
        with mock.patch.object(consumer.LiveRoom, "look", side_effect=RuntimeError("a fault")):
            from sunroom.live.wire.messages import Look

            line.send(Look(self.page))
            with self.assertRaises(ConnectionClosed):
                line.hear(Pong)
        wait_for(lambda: self.names() == ["Imani"], "Noor to be gone")

    def test_a_page_of_another_version_is_told_to_reload(self) -> None:
        web, _, _ = self.come()
        self.assertEqual(self.line("student", web, wire=99).hear(Goodbye).reason, "old_page")


class Slow(OutTest):
    def test_somebody_slow_comes_in_while_another_writes_and_gets_every_stroke_once(self) -> None:
        big = tuple(stroke(f"many-{n:05d}", samples=pack_samples(np.zeros((400, 4)))) for n in range(400))
        for part in range(4):
            self.do(self.tutor, AddItems(self.page, big[part * 100 : (part + 1) * 100]))
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        slow = Line(self.server.url, f"/live/student/{self.link}", web.cookies)
        self.addCleanup(slow.close)
        slow.send(Join())
        written = [
            self.do(self.tutor, AddItems(self.page, (stroke(f"while-{n:03d}"),))).seq for n in range(60)
        ]
        seen = [slow.welcome().seq]
        while seen[-1] < written[-1]:
            frame = slow.hear(Frame)
            seen += [logged.seq for logged in frame.steps if logged.seq > seen[-1]]
        self.assertEqual(seen, list(range(seen[0], written[-1] + 1)), "no step is missing")


class Limits(OutTest):
    def test_a_large_message_that_is_no_step_is_refused_before_it_is_unpacked(self) -> None:
        self.tutor.send_bytes(msgspec.msgpack.encode({"type": "look", "page": "p" * 200_000}))
        self.assertEqual(self.tutor.hear(Refused).reason, "too_large")
        nearly = b"\x83\xa4type\xa2do\xa2id\xa8step-bad\xa7request\x93" + b"\x91" * 1_000_000
        self.tutor.send_bytes(nearly)
        told = self.tutor.hear(Refused)
        self.assertEqual((told.reason, told.id), ("malformed", "step-bad"))

    def test_a_heavy_step_sent_by_two_tabs_at_once_lands_once_and_harms_nobody(self) -> None:
        second = self.line("tutor", self.tutor_web)
        second.welcome()
        many = tuple(stroke(f"twice-{n:05d}") for n in range(900))
        self.do(self.tutor, AddItems(self.page, many))
        step = Do("step-twice", MoveItems(self.page, tuple(item.id for item in many), 5, 5))
        for line in (self.tutor, second, self.tutor):
            line.send(step)
        self.do(second, AddItems(self.page, (stroke("after-it"),)))
        self.do(self.tutor, AddItems(self.page, (stroke("after-that"),)))
        rows = models.LoggedStep.objects.order_by("seq").values_list("step_id", flat=True)
        self.assertEqual(list(rows).count("step-twice"), 1)
        self.assertEqual(len(list(rows)), 5)

    def test_more_work_than_can_be_done_at_once_gets_a_sentence(self) -> None:
        from sunroom.core.board import TableItem

        cells = ("why so long " * 40,) * 1600
        table = TableItem(
            id="table-001", columns=(80.0,) * 40, rows=(30.0,) * 40, cells=cells, colour="#16222b"
        )
        self.refused(self.tutor, AddItems(self.page, (table, msgspec.structs.replace(table, id="table-002"))), "malformed")  # fmt: skip

    def test_a_full_room_says_so_and_can_still_be_rubbed_clean(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        for live in next(iter(registry._registries.values()))._rooms.values():
            live.steps._free = -1
        told = self.refused(self.tutor, AddItems(self.page, (stroke("stroke-2"),)), "room_full")
        self.assertIn("Delete boards on the room’s home", in_words(told.sentence))
        from sunroom.core.board.steps import RemoveItems

        self.assertEqual(self.do(self.tutor, RemoveItems(self.page, ("stroke-1",))).step.ids, ("stroke-1",))

    def test_a_body_is_not_read_further_than_it_may_go(self) -> None:
        web = Web(self.server.url)
        self.assertEqual(self.status(web, f"/api/doors/student/{self.link}", {"name": "x" * 300_000}), 413)
        headers = {"X-CSRFToken": web.cookies["csrftoken"], "Referer": web.base}
        request = urllib.request.Request(
            f"{web.base}/api/rooms", iter([b"x" * 100_000] * 40), headers
        )  # chunked
        with self.assertRaises((urllib.error.HTTPError, ConnectionError, urllib.error.URLError)):
            web.open(request)

    def test_the_seats_of_a_room_that_nobody_used_are_given_to_others(self) -> None:
        from datetime import timedelta

        from django.utils.timezone import now

        from sunroom.rooms import services

        with mock.patch.object(services, "MAX_SEATS", 4):
            for number in range(3):
                Web(self.server.url).enter(self.link, f"Crowd {number}")
            late = Web(self.server.url)
            self.assertEqual(self.status(late, f"/api/doors/student/{self.link}", {"name": "Noor"}), 400)
            Seat.objects.filter(name__startswith="Crowd").update(created_at=now() - timedelta(minutes=11))
            late.enter(self.link, "Noor")
        self.assertFalse(Seat.objects.filter(name__startswith="Crowd").exists())
