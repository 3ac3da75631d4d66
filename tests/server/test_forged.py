"""Where each may write, held over real lines; and a browser that is none of ours and asks for everything it may not."""

from __future__ import annotations

from typing import Any

import msgspec
import numpy as np

from sunroom.boards import models, store
from sunroom.core.board import InkItem, PageHead, TableItem
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import (
    ChangeTable,
    CopyPage,
    DropBay,
    EditPage,
    MoveEnds,
    PutBay,
    Redo,
    SetCell,
    Undo,
)
from sunroom.core.board.steps import AddItems, ChangePage, MoveItems, RemoveItems
from sunroom.core.ink import pack_samples
from sunroom.core.lesson import (
    Admit,
    HandOver,
    PauseLesson,
    SetPens,
    SetRights,
    SetRole,
)
from sunroom.live.wire.messages import Frame, Ping, Pong, Refused, Wet
from tests.server.test_class import ClassTest
from tests.server.test_live import stroke
from tests.words import in_words


class Bays(ClassTest):
    """Pens are down; one bay is Noor's, the other for the tutor side."""

    def setUp(self) -> None:
        super().setUp()
        self.noor, self.seat = self.student("Noor")
        self.tomasz, _ = self.student("Tomasz")
        bays = (
            Bay("bay-noor", 0, 0, 200, 200, "Noor", "people", (self.seat,)),
            Bay("bay-tutor", 300, 0, 200, 200, "Keep clear", "tutor_side"),
        )
        self.head = PageHead(self.page, bays=bays)
        self.do(self.tutor, ChangePage(self.head))

    def test_each_writes_where_they_may_and_nowhere_else(self) -> None:
        self.assertNotIsInstance(self.do(self.noor, AddItems(self.page, (stroke("stroke-1"),))), Refused)
        beside = stroke("stroke-2", x=220.0)
        self.refused(self.noor, AddItems(self.page, (beside,)), "pens_down")
        self.refused(self.noor, AddItems(self.page, (stroke("stroke-3", x=310.0),)), "bay_tutor_side")
        self.refused(self.tomasz, AddItems(self.page, (stroke("stroke-4"),)), "bay_of_others")
        self.refused(self.noor, MoveItems(self.page, ("stroke-1",), 180, 0), "pens_down")
        self.refused(self.noor, ChangePage(PageHead(self.page)), "pens_down")

    def test_a_stroke_that_leaves_the_bay_is_not_drawn_on_and_not_kept(self) -> None:
        long = np.column_stack([np.linspace(0, 260, 30), np.zeros(30), np.full(30, 0.5), np.arange(30) * 8.0])
        item = InkItem(
            id="stroke-1", x=20, y=50, nib="pen", colour="#16222b", width=3, samples=pack_samples(long)
        )
        self.refused(self.noor, AddItems(self.page, (item,)), "pens_down")
        wet = pack_samples(long + (20, 50, 0, 0))
        self.noor.send(Wet("stroke-9", self.page, "pen", "#16222b", 3, 0, wet))
        inside = pack_samples(long[:10] + (20, 50, 0, 0))
        self.noor.send(Wet("stroke-8", self.page, "pen", "#16222b", 3, 0, inside))
        seen = self.tutor.hear(Frame, lambda frame: bool(frame.wet)).wet
        self.assertEqual([ink.wet.id for ink in seen], ["stroke-8"])

    def test_a_desk_is_its_owner_s(self) -> None:
        self.do(self.tutor, CopyPage(self.page, "page-desk", "Noor", self.seat))
        on_desk = AddItems("page-desk", (stroke("stroke-1", x=400.0),))
        self.refused(self.tomasz, on_desk, "desk_of_another")
        self.assertNotIsInstance(self.do(self.noor, on_desk), Refused)
        self.refused(self.noor, CopyPage(self.page, "page-x", "Mine", self.seat), "pens_down")

    def test_a_pause_stops_everybody_s_pen_also_in_their_own_bay(self) -> None:
        self.tell(PauseLesson(True))
        self.refused(self.noor, AddItems(self.page, (stroke("stroke-1"),)), "paused")


class Forged(ClassTest):
    """A scripted client tries what is forbidden: each gets a reason and nothing changes."""

    def test_a_flood_of_forgeries_changes_nothing(self) -> None:
        table = TableItem(id="tutors-2", columns=(80.0,), rows=(40.0,), cells=("noon",), colour="#16222b")
        self.do(self.tutor, AddItems(self.page, (stroke("tutors-1"), table)))
        noor, seat = self.student("Noor")
        tutor_seat = self.tutor.heard[0].seat
        lesson = self.tutor.heard[0].lesson
        forged: list[Any] = [
            AddItems(self.page, (stroke("stroke-1", by=tutor_seat),)),
            AddItems(self.page, (stroke("tutors-1"),)),
            RemoveItems(self.page, ("tutors-1",)),
            MoveItems(self.page, ("tutors-1",), 1, 1),
            MoveEnds(self.page, "tutors-1", (0, 0), (1, 1)),
            ChangePage(PageHead(self.page, writers="open")),
            CopyPage(self.page, "page-002", "Mine", seat),
            SetCell(self.page, "tutors-2", 0, 0, "mine"),
            ChangeTable(self.page, "tutors-2", rows=1),
            EditPage(self.page, title="Mine"),
            EditPage(self.page, writers="open"),
            PutBay(self.page, Bay("bay-mine", 0, 0, 200, 200, "Mine", "people", (seat,))),
            DropBay(self.page, "bay-mine"),
            Undo(),
        ]
        before = self.state()
        for request in forged:
            answer = self.do(noor, request)
            self.assertIsInstance(answer, Refused, request)
            self.assertTrue(in_words(answer.sentence))
        commands = [
            SetPens("up"),
            SetRights(("write",), seat),
            SetRole(seat, "helper"),
            HandOver(seat),
            Admit(),
        ]
        for command in commands:
            self.assertIsNotNone(self.as_told(noor, command), command)
        self.assertEqual(self.state(), before)
        fresh = self.student("Tomasz")[0].heard[0].lesson
        self.assertEqual(
            (fresh.facts.mode, fresh.facts.kits, fresh.door),
            (lesson.facts.mode, lesson.facts.kits, lesson.door),
        )

    def test_two_write_in_one_table_at_once_and_both_are_there_when_it_is_opened_again(self) -> None:
        self.tell(SetPens("up"))
        noor, seat = self.student("Noor")
        self.tell(SetRights(("write", "text", "change_others"), seat))
        table = TableItem(id="table-01", columns=(80.0, 80.0), rows=(40.0,), cells=("", ""), colour="#16222b")
        self.do(self.tutor, AddItems(self.page, (table,)))
        self.do(noor, SetCell(self.page, "table-01", 0, 0, "sun"))
        self.do(self.tutor, SetCell(self.page, "table-01", 0, 1, "moon"))
        self.do(noor, Undo())
        self.do(noor, Redo())
        item = store.load(models.Board.objects.get().pk).pages[self.page].items["table-01"]
        self.assertEqual(getattr(item, "cells", ()), ("sun", "moon"))

    def test_ink_that_claims_another_writer_is_its_sender_s(self) -> None:
        self.tell(SetPens("up"))
        noor, seat = self.student("Noor")
        logged = self.do(noor, AddItems(self.page, (stroke("stroke-1", by="tutor", at_ms=1),)))
        (item,) = logged.step.items
        self.assertEqual(item.by, seat)
        self.assertGreater(item.at_ms, 1_000_000)

    def test_random_bytes_are_answered_and_the_line_lives_on(self) -> None:
        noor, _ = self.student("Noor")
        random = np.random.default_rng(5)
        for size in (0, 1, 7, 60, 400):
            noor.send_bytes(random.bytes(size))
            noor.hear(Refused)
        noor.send_bytes(msgspec.msgpack.encode({"type": "tell", "id": "x", "command": {"command": "fly"}}))
        self.assertEqual(noor.hear(Refused).id, "x")
        noor.send(Ping(1.0))
        noor.hear(Pong)
