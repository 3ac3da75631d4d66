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
from sunroom.core.board import ChartItem, InkItem, NoteItem, PageHead, TableItem
from sunroom.core.board.requests import (
    ArrangeItems,
    Redo,
    RubItems,
    SetCell,
    StyleItems,
    TransformItems,
    Typeset,
    Undo,
)
from sunroom.core.board.steps import AddItems, AddPage, ChangePage, MoveItems, RemoveItems, RemovePage, Style
from sunroom.core.geometry import Affine
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import (
    EndLesson,
    LowerHands,
    PassPen,
    PassToNext,
    RaiseHand,
    SendAway,
    SetBetween,
    SetPens,
    SetRights,
    SetRole,
    TakePen,
)
from sunroom.core.sentences import Sentence
from sunroom.live.wire.calls import Caption, Captioned
from sunroom.live.wire.messages import (
    Answered,
    Do,
    Frame,
    Goodbye,
    Heard,
    PageItems,
    Ping,
    Point,
    Pong,
    Refused,
    Say,
    Tell,
    Wet,
    You,
)
from sunroom.live.wire.readings import Read, Readings
from tests.browser.base import LiveServer, wait_for
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
        answer = self.tutor.hear(Readings, timeout_s=30)
        self.assertEqual((answer.ref, answer.figures[0].kind), (7, "rectangle"))
        self.assertTrue(answer.figure_first)
        self.tutor.send(Read(8, self.page, ("nothing-there",)))
        self.assertTrue(self.tutor.hear(Readings).problem)
        self.assertEqual(self.state(), before)


class Pens(LiveTest):
    def test_pens_decide_each_step_and_each_refusal_has_its_reason(self) -> None:
        student, seat = self.student()
        ink = AddItems(self.page, (stroke("of-noor"),))
        self.refused(student, ink, "pens_down")
        self.tell(PassPen(seat))
        self.do(student, ink)
        self.tell(TakePen(seat))
        self.refused(student, MoveItems(self.page, ("of-noor",), 5, 5), "pens_down")
        self.tell(SetPens("up"))
        self.do(student, MoveItems(self.page, ("of-noor",), 5, 5))
        self.tell(TakePen(seat))
        self.refused(student, Undo(), "withheld")

    def test_a_student_is_told_at_once_what_they_may_do(self) -> None:
        student, seat = self.student()
        self.tell(PassPen(seat))
        student.hear(You, lambda you: you.standing.writing.reason == "passed")
        self.tell(SetPens("down"))
        told = student.hear(You, lambda you: not you.standing.writing.allowed)
        self.assertIn("Imani is writing", in_words(told.standing.writing.sentence))

    def test_a_stroke_begun_before_pens_went_down_is_kept_and_none_begun_after(self) -> None:
        student, _ = self.student()
        self.tell(SetPens("up"))
        data = stroke("x").samples
        student.send(Wet("begun-before", self.page, "pen", "#16222b", 3, 0, data))
        self.tutor.hear(Frame, lambda frame: bool(frame.wet))
        self.tell(SetPens("down"))
        student.send(Wet("begun-after", self.page, "pen", "#16222b", 3, 0, data))
        self.do(student, AddItems(self.page, (stroke("begun-before"),)))
        self.refused(student, AddItems(self.page, (stroke("begun-after"),)), "pens_down")

    def test_a_pen_for_minutes_ends_by_itself(self) -> None:
        student, seat = self.student()
        self.tell(PassPen(seat, 0.02))
        student.hear(You, lambda you: you.standing.writing.allowed)
        student.hear(You, lambda you: not you.standing.writing.allowed)
        self.refused(student, AddItems(self.page, (stroke("too-late"),)), "pens_down")

    def test_forged_steps_and_commands_are_refused_and_change_nothing(self) -> None:
        student, seat = self.student()
        self.do(self.tutor, AddItems(self.page, (stroke("of-tutor"),)))
        self.tell(SetPens("up"))
        self.refused(student, RemoveItems(self.page, ("of-tutor",)), "not_yours")
        self.refused(student, MoveItems(self.page, ("of-tutor",), 1, 1), "not_yours")
        self.refused(student, Typeset(self.page, ("of-tutor",), "typed-01", "ha"), "not_yours")
        self.refused(student, ChangePage(PageHead(self.page, writers="open")), "page_of_another")
        for request in (
            TransformItems(self.page, ("of-tutor",), Affine(2, 0, 0, 2)),
            StyleItems(self.page, ("of-tutor",), Style(colour="#b4472c")),
            ArrangeItems(self.page, ("of-tutor",), "back"),
            RubItems(self.page, ("of-tutor",), "piece-1", ((12.0, 12.0, 30.0),)),
        ):
            self.refused(student, request, "not_yours")
        self.refused(student, ArrangeItems(self.page, ("of-tutor",), "lock"), "tutor_side_only")
        leading = (
            SetPens("down"), PassPen(seat), TakePen(seat), EndLesson(), SetBetween("write"), PassToNext(), LowerHands(),
            SetRights(("erase_others",)), SetRights(("erase_others",), seat), SetRole(seat, "helper"), SendAway(seat),
        )  # fmt: skip
        for command in leading:
            student.send(Tell("forged-01", command))
            self.assertEqual(student.hear(Refused).reason, "tutor_side_only")
        logged = self.do(
            student, AddItems(self.page, (stroke("in-other-name", by="of-somebody", locked=True),))
        )
        self.assertEqual((logged.step.items[0].by, logged.step.items[0].locked), (seat, False))
        note = NoteItem(id="note-001", text="no homework", colour="#ffe39a", name="Imani")
        self.assertEqual(self.do(student, AddItems(self.page, (note,))).step.items[0].name, "Noor")
        # Whoever arranges what others wrote keeps their names on it.
        again = msgspec.structs.replace(note, id="note-002", name="Noor")
        self.assertEqual(self.do(self.tutor, AddItems(self.page, (again,))).step.items[0].name, "Noor")

    def test_an_onlooker_writes_points_and_leads_nothing(self) -> None:
        home = msgspec.json.decode(self.tutor_web.get(f"/api/rooms/{self.link}"))
        web = Web(self.server.url)
        web.enter(home["onlooker_link"], "Parent", "onlooker")
        line = self.line("onlooker", web, home["onlooker_link"])
        line.welcome()
        self.tell(SetPens("up"))
        self.refused(line, AddItems(self.page, (stroke("of-parent"),)), "onlooker")
        self.refused(line, AddPage(PageHead("page-two"), 1), "onlooker")
        line.send(Tell("forged-01", RaiseHand()))
        self.assertEqual(line.hear(Refused).reason, "onlooker")
        line.send(Wet("wet-ink1", self.page, "pen", "#16222b", 3, 0, stroke("x").samples))
        line.send(Point(self.page, 1, 1))
        self.do(self.tutor, AddItems(self.page, (stroke("of-tutor"),)))
        line.send(Say("say-001", "hello"))
        self.assertEqual(line.hear(Refused).reason, "onlooker")
        frames = [message for message in self.tutor.heard if isinstance(message, Frame)]
        self.assertFalse(any(frame.wet or frame.pointing for frame in frames))

    def test_captions_are_written_by_the_tutor_side_for_everybody_who_is_there(self) -> None:
        noor, _ = self.student()
        self.tutor.send(Caption("Shadows are \u202elongest\x07 at dawn."))
        for line in (noor, self.tutor):
            self.assertEqual(line.hear(Captioned).text, "Shadows are longest at dawn.")
        noor.send(Caption("There is no homework."))
        self.assertEqual(noor.hear(Refused).reason, "tutor_side_only")
        for text in (" ", "x" * 201):
            self.tutor.send(Caption(text))
            self.assertEqual(self.tutor.hear(Refused).reason, "malformed")
        self.tutor.send(Caption("Now measure."))
        self.assertEqual(self.tutor.hear(Captioned).text, "Now measure.", "nobody else's, nor what is none")

    def test_private_words_reach_only_those_they_are_for(self) -> None:
        noor, noor_seat = self.student()
        tomasz, tomasz_seat = self.student("Tomasz")
        noor.send(Say("say-001", "I am lost", "tutor_side"))
        self.assertEqual(self.tutor.hear(Heard).line.text, "I am lost")
        noor.send(Say("say-002", "psst", tomasz_seat))
        self.assertEqual(noor.hear(Refused).reason, "tutor_side_only")
        self.tutor.send(Say("say-003", "see me after", noor_seat))
        self.assertEqual(
            noor.hear(Heard, lambda heard: heard.line.seat != noor_seat).line.text, "see me after"
        )
        noor.send(Say("say-004", "thank you all"))
        self.assertEqual(tomasz.hear(Heard).line.text, "thank you all")
        again = self.line("tutor", self.tutor_web)
        self.assertEqual(
            [line.text for line in again.welcome().chat], ["I am lost", "see me after", "thank you all"]
        )

    def test_the_home_shows_who_was_here_and_who_changed_what(self) -> None:
        _, seat = self.student()
        self.tell(SetPens("up"))
        self.tell(SetRole(seat, "helper"))
        self.tell(EndLesson())
        wait_for(lambda: "Imani ended the lesson." in self.recorded(), "the end in the record")
        self.assertEqual(
            self.recorded(), ["Imani put pens up.", "Imani made Noor a helper.", "Imani ended the lesson."]
        )
        home = msgspec.json.decode(self.tutor_web.get(f"/api/rooms/{self.link}"))
        self.assertEqual({person["name"] for person in home["attendance"]}, {"Imani", "Noor"})
        rows = self.tutor_web.get(f"/api/rooms/{self.link}/attendance.csv").decode("utf-8-sig").splitlines()
        self.assertEqual((rows[0], sorted(rows[1:])), ("name,minutes", ["Imani,0", "Noor,0"]))

    def test_who_was_sent_away_is_refused_at_the_door_and_the_tutor_cannot_be(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        line = self.line("student", web)
        seat = line.welcome().seat
        self.tutor.send(Tell("tell-001", SendAway(seat)))
        self.assertEqual(line.hear(Goodbye).reason, "sent_away")
        self.tutor.send(Ping(0.0))
        self.tutor.hear(Pong)
        self.assertEqual(self.line("student", web).hear(Goodbye).reason, "sent_away")
        me = self.line("tutor", self.tutor_web).welcome().seat
        self.tutor.send(Tell("tell-002", SendAway(me)))
        self.assertEqual(
            self.tutor.hear(Refused, lambda refused: refused.id == "tell-002").reason, "yourself"
        )

    def test_a_closed_room_sends_students_away_and_keeps_the_tutor(self) -> None:
        student, _ = self.student()
        self.tell(SetBetween("closed"))
        self.tell(EndLesson())
        self.assertEqual(student.hear(Goodbye).reason, "between_closed")
        web = Web(self.server.url)
        web.enter(self.link, "Elio")
        self.assertEqual(self.line("student", web).hear(Goodbye).reason, "between_closed")
        self.do(self.tutor, AddItems(self.page, (stroke("still-here"),)))


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
