"""The live line: order, refusals, forged input, and nothing lost. Against a real server."""

from __future__ import annotations

from typing import Any
from unittest import mock

import msgspec
import numpy as np
from django.core.cache import cache
from django.test import TransactionTestCase
from websockets.exceptions import ConnectionClosed, InvalidStatus

from sunroom.boards import models, store
from sunroom.core.board import ChartItem, InkItem, PageHead, TableItem
from sunroom.core.board.requests import (
    Redo,
    SetCell,
    Undo,
)
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems, RemovePage
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import (
    PassPen,
)
from sunroom.core.sentences import Sentence
from sunroom.live.wire.messages import (
    Answered,
    Do,
    Frame,
    Goodbye,
    PageItems,
    Ping,
    Pong,
    Refused,
    Tell,
    Wet,
)
from sunroom.live.wire.readings import Read, Readings
from tests.browser.base import LiveServer
from tests.server.client import Line, Web
from tests.words import in_words, said_by


def stroke(item_id: str, **more: Any) -> InkItem:
    rows = np.array([(0, 0, 0.5, 0), (30, 5, 0.6, 8), (60, 0, 0.5, 16)], float)
    values = {"x": 10, "y": 10, "nib": "pen", "colour": "#16222b", "width": 3, "samples": pack_samples(rows)}
    return InkItem(id=item_id, **{**values, **more})


class LiveTest(TransactionTestCase):
    def setUp(self) -> None:
        cache.clear()
        self.server = LiveServer()
        self.addCleanup(lambda: self.server.stop())
        self.tutor_web = Web(self.server.url)
        self.link = self.tutor_web.start_room()
        self.tutor = self.line("tutor", self.tutor_web)
        welcome = self.tutor.welcome()
        self.page = welcome.pages[0].id
        self.board = welcome.board.id

    def line(self, door: str, web: Web, link: str = "", **join: Any) -> Line:
        line = web.line(door, link or self.link, **join)
        self.addCleanup(line.close)
        return line

    def student(self, name: str = "Noor") -> tuple[Line, str]:
        """A student's line after its welcome, and the student's seat."""
        web = Web(self.server.url)
        web.enter(self.link, name)
        line = self.line("student", web)
        return line, line.welcome().seat

    def do(self, line: Line, request: Any, step_id: str = "") -> Any:
        """Send a step and wait for its answer: the logged step, or Refused."""
        self.number = getattr(self, "number", 0) + 1
        step_id = step_id or f"step-{self.number:04d}"
        line.send(Do(step_id, request))
        while True:
            message = line.hear((Frame, Refused, Answered))  # type: ignore[arg-type]
            if isinstance(message, Frame):
                found = next((logged for logged in message.steps if logged.id == step_id), None)
                if found:
                    return found
            elif message.id == step_id:
                return message

    def tell(self, command: Any) -> None:
        """A command of the tutor, waited for until the room has carried it out and kept it."""
        self.tutor.send(Tell("command-1", command))
        self.tutor.send(Ping(0.0))
        self.tutor.hear(Pong)
        self.server.settled()

    def recorded(self) -> list[str]:
        """The sentences of the record as the home shows them; they are written down a moment after."""
        home = msgspec.json.decode(self.tutor_web.get(f"/api/rooms/{self.link}"))
        return [said_by(Sentence(**entry["said"])) for entry in home["record"]]

    def state(self) -> bytes:
        """All that is on disk of the board."""
        row = models.Board.objects.get(uid=self.board)
        board = store.load(row.pk)
        return msgspec.msgpack.encode([(page.head, page.in_order()) for page in board.in_order()])

    def refused(self, line: Line, request: Any, reason: str) -> Refused:
        """The request is refused with this reason and changes nothing on disk."""
        before = self.state()
        answer = self.do(line, request)
        self.assertIsInstance(answer, Refused, request)
        self.assertEqual(answer.reason, reason)
        self.assertTrue(in_words(answer.sentence).endswith("."))
        self.assertEqual(self.state(), before)
        return answer


class Steps(LiveTest):
    def test_an_answered_step_is_on_disk_and_reaches_the_others(self) -> None:
        student, _ = self.student()
        logged = self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        self.assertTrue(models.LoggedStep.objects.filter(step_id=logged.id).exists())
        frame = student.hear(Frame, lambda frame: bool(frame.steps))
        self.assertEqual(frame.steps[0], logged)

    def test_a_step_sent_again_lands_once(self) -> None:
        request = AddItems(self.page, (stroke("stroke-1"),))
        first = self.do(self.tutor, request, "the-same-step")
        again = self.do(self.tutor, request, "the-same-step")
        self.assertEqual(again, Answered("the-same-step", first.seq))
        self.assertEqual(models.LoggedStep.objects.filter(step_id="the-same-step").count(), 1)

    def test_two_writers_see_the_same_order(self) -> None:
        student, seat = self.student()
        self.tell(PassPen(seat))
        for number in range(12):
            line = (self.tutor, student)[number % 2]
            line.send(Do(f"mixed-step-{number}", AddItems(self.page, (stroke(f"mixed-item-{number}"),))))
        orders = []
        for line in (self.tutor, student):
            steps: list[Any] = [s for m in line.heard if isinstance(m, Frame) for s in m.steps]
            while len(steps) < 12:
                steps += line.hear(Frame, lambda frame: bool(frame.steps)).steps
            orders.append([(logged.seq, logged.id) for logged in steps])
        self.assertEqual(orders[0], orders[1])

    def test_undo_and_redo_are_each_person_s_own(self) -> None:
        student, seat = self.student()
        self.tell(PassPen(seat))
        self.do(self.tutor, AddItems(self.page, (stroke("of-tutor"),)))
        self.do(student, AddItems(self.page, (stroke("of-noor"),)))
        undone = self.do(self.tutor, Undo())
        self.assertEqual(undone.step, RemoveItems(self.page, ("of-tutor",)))
        self.assertEqual(self.do(self.tutor, Redo()).step.items[0].id, "of-tutor")
        self.assertEqual(self.do(student, Undo()).step, RemoveItems(self.page, ("of-noor",)))
        self.refused(student, Undo(), "nothing_to_undo")

    def test_undo_from_which_much_follows_is_worked_out_beside_and_the_same(self) -> None:
        side = 24
        cells = tuple(str(number % 97) for number in range(side * side))
        table = TableItem(
            id="table-1", columns=(40.0,) * side, rows=(30.0,) * side, cells=cells, colour="#16222b"
        )
        chart = ChartItem(
            id="chart-1", form="bars", width=300, height=200, columns=1, cells=(), table="table-1"
        )
        self.do(self.tutor, AddItems(self.page, (table,)))
        charted = self.do(self.tutor, AddItems(self.page, (chart,)))
        cell = self.do(self.tutor, SetCell(self.page, "table-1", 1, 1, "5"))
        self.assertEqual(set(cell.step.ids), {"table-1", "chart-1"})
        undone = self.do(self.tutor, Undo())
        (back,) = (item for item in undone.step.items if item.id == "chart-1")
        self.assertEqual((back.cells, back.chart), (cells, charted.step.items[0].chart))
        self.assertEqual(self.do(self.tutor, Redo()).step.items, cell.step.items)

    def test_a_fault_of_ours_is_told_and_the_line_goes_on(self) -> None:
        with (
            mock.patch("sunroom.live.room.steps.plan", side_effect=ZeroDivisionError),
            self.assertLogs("sunroom.live.room.steps", "ERROR"),
        ):
            self.refused(self.tutor, AddItems(self.page, (stroke("stroke-1"),)), "failed")
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))

    def test_undo_works_after_a_restart(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        port = self.server.port
        self.server.stop()
        self.server = LiveServer(port)
        line = self.line("tutor", self.tutor_web)
        self.assertEqual(line.welcome().undos, 1)
        self.assertEqual(self.do(line, Undo()).step, RemoveItems(self.page, ("stroke-1",)))

    def test_who_comes_back_gets_what_was_missed_and_who_is_new_gets_the_pages(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        welcome = self.line("tutor", self.tutor_web, have_seq=1).welcome()
        self.assertIsNone(welcome.pages)
        self.assertEqual([logged.seq for logged in welcome.missed], [2])
        line = self.line("tutor", self.tutor_web)
        self.assertEqual(len(line.welcome().pages), 1)
        items = line.hear(PageItems)
        self.assertEqual(([item.id for item in items.items], items.last), (["stroke-1"], True))

    def test_snapshots_open_to_the_same_board(self) -> None:
        for number in range(4):
            self.do(self.tutor, AddItems(self.page, (stroke(f"stroke-{number}"),)))
        self.do(self.tutor, AddPage(PageHead("page-two"), 1))
        before, row = self.state(), models.Board.objects.get(uid=self.board)
        kept = store.BoardStore(row.pk)
        kept.keep_snapshot(kept.open().board)
        models.LoggedStep.objects.all().delete()
        self.assertEqual(self.state(), before)

    def test_wet_ink_is_passed_on_before_the_stroke_ends(self) -> None:
        student, _ = self.student()
        data = stroke("stroke-1").samples
        self.tutor.send(Wet("stroke-1", self.page, "pen", "#16222b", 3, 0, data))
        wet = student.hear(Frame, lambda frame: bool(frame.wet)).wet[0].wet
        self.assertEqual((wet.id, wet.samples), ("stroke-1", data))

    def test_reading_offers_texts_and_figures_and_changes_nothing(self) -> None:
        rows = np.array([(0, 0), (200, 2), (201, 120), (2, 119), (0, 1)], float)
        rows = np.column_stack([np.repeat(rows, 1, axis=0), np.full(5, 0.5), np.arange(5) * 40])
        self.do(self.tutor, AddItems(self.page, (stroke("figure-1", samples=pack_samples(rows)),)))
        before = self.state()
        self.tutor.send(Read(7, self.page, ("figure-1",)))
        answer = self.tutor.hear(Readings)
        self.assertEqual((answer.ref, answer.figures[0].kind), (7, "rectangle"))
        self.assertTrue(answer.figure_first)
        self.tutor.send(Read(8, self.page, ("nothing-there",)))
        self.assertTrue(self.tutor.hear(Readings).problem)
        self.assertEqual(self.state(), before)


class BadInput(LiveTest):
    def test_messages_that_are_none_get_an_answer_and_the_line_stays(self) -> None:
        nan, big = float("nan"), pack_samples(np.zeros((30_000, 4)))
        for data in (b"", b"\xff\xff", msgspec.msgpack.encode({"type": "party"}), msgspec.msgpack.encode([1, 2]),
                     msgspec.msgpack.encode({"type": "do", "id": "bad-step", "request": {"step": "fly"}})):  # fmt: skip
            self.tutor.send_bytes(data)
            self.assertEqual(self.tutor.hear(Refused).reason, "malformed")
        self.assertEqual(self.tutor.heard[-1].id, "bad-step")
        for item in (stroke("stroke-1", x=nan), stroke("stroke-1", samples=big), stroke("stroke-1", samples=b"12"),
                     stroke("stroke-1", colour="javascript:"), stroke("x")):  # fmt: skip
            self.refused(self.tutor, AddItems(self.page, (item,)), "malformed")
        long = pack_samples(np.zeros((200_000, 4)))
        self.refused(self.tutor, AddItems(self.page, (stroke("stroke-1", samples=long),)), "malformed")
        self.refused(self.tutor, AddItems(self.page, ()), "malformed")
        self.assertEqual(
            self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)), "abc").reason, "malformed"
        )
        self.tutor.send(Ping(5.0))
        self.assertEqual(self.tutor.hear(Pong), Pong(5.0))

    def test_wet_ink_that_is_malformed_is_passed_over(self) -> None:
        student, _ = self.student()
        for wet in (Wet("a" * 99, self.page, "pen", "#16222b", 3, 0, b""), Wet("wet-1", "no-page", "pen", "#16222b", 3, 0, b""),
                    Wet("wet-2", self.page, "pen", "#16222b", 3, 0, b"123"), Wet("wet-3", self.page, "pen", "#16222b", 3, 10**9, b"")):  # fmt: skip
            self.tutor.send(wet)
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        student.hear(Frame, lambda frame: bool(frame.steps))
        self.assertFalse(any(m.wet for m in student.heard if isinstance(m, Frame)))

    def test_a_step_for_a_page_that_is_gone_gets_a_reason(self) -> None:
        self.do(self.tutor, AddPage(PageHead("page-two"), 1))
        self.do(self.tutor, RemovePage("page-two"))
        self.refused(self.tutor, AddItems("page-two", (stroke("stroke-1"),)), "page_gone")
        self.assertEqual(self.do(self.tutor, Undo()).step.head.id, "page-two")

    def test_wrong_doors_rooms_and_boards_are_answered(self) -> None:
        stranger = Web(self.server.url)
        for door, link, join, reason in (
            ("tutor", self.link, {}, "no_seat"),
            ("student", self.link, {}, "no_seat"),
            ("student", "nope-nope-nope", {}, "no_room"),
            ("window", self.link, {}, "no_room"),
        ):
            self.assertEqual(self.line(door, stranger, link, **join).hear(Goodbye).reason, reason)
        self.assertEqual(
            self.line("tutor", self.tutor_web, board="no-board").hear(Goodbye).reason, "no_board"
        )

    def test_another_room_s_board_cannot_be_reached(self) -> None:
        stranger = Web(self.server.url)
        other = stranger.start_room("Elsewhere")
        self.assertEqual(
            self.line("tutor", stranger, other, board=self.board).hear(Goodbye).reason, "no_board"
        )

    def test_only_pages_of_this_server_open_a_line(self) -> None:
        for origin in ("http://elsewhere.example", "", "null"):
            with self.assertRaises(InvalidStatus):
                Line(self.server.url, f"/live/tutor/{self.link}", self.tutor_web.cookies, origin)

    def test_a_second_tab_is_the_same_seat_and_both_are_told(self) -> None:
        second = self.line("tutor", self.tutor_web)
        self.assertEqual(second.welcome().people[0].tabs, 2)
        told = self.tutor.hear(Frame, lambda frame: bool(frame.people and frame.people[0].tabs == 2))
        self.assertEqual(len(told.people), 1)
        self.do(second, AddItems(self.page, (stroke("stroke-1"),)))
        self.assertEqual(self.do(self.tutor, Undo()).step, RemoveItems(self.page, ("stroke-1",)))

    def test_a_line_that_is_closed_is_closed(self) -> None:
        line = self.line("window", self.tutor_web)
        line.hear(Goodbye)
        with self.assertRaises(ConnectionClosed):
            line.hear(Frame)
