"""The live room by itself, without lines and disk: who is told what, and what is only seen for a moment."""

from __future__ import annotations

import asyncio
from collections.abc import Callable
from typing import Any
from unittest import IsolatedAsyncioTestCase, mock

import msgspec
import numpy as np

from sunroom.boards.step_ids import StepIds
from sunroom.boards.store import BoardStore, Opened
from sunroom.core.board import Board, GraphItem, History, PageHead, apply
from sunroom.core.board.pages import Bay
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Box
from sunroom.core.ink import pack_samples
from sunroom.core.ink.samples import MAX_SAMPLES
from sunroom.core.lesson import Forget, HandOver, Lesson, LetBack, Rename, SendAway, SetPens, SetRole
from sunroom.core.maths.curves import Ranges
from sunroom.core.maths.graph import AxisNumber, GraphPaths
from sunroom.core.pens import Actor, Facts
from sunroom.live.room import board as live_board
from sunroom.live.room import room as live_room
from sunroom.live.room.board import LiveBoard
from sunroom.live.room.fleeting import MAX_LAID, MAX_WET
from sunroom.live.room.member import Member
from sunroom.live.room.room import LiveRoom
from sunroom.live.room.seats import GONE_MS, MARK_COLOURS
from sunroom.live.wire.messages import (
    ClearPointers,
    Do,
    Follow,
    Frame,
    Goodbye,
    Instrument,
    Join,
    Lay,
    Lead,
    Point,
    React,
    Reacted,
    Refused,
    Say,
    Slide,
    Tell,
    ToBrowser,
    View,
    Viewed,
    Wet,
)
from tests.server.test_live import stroke
from tests.words import said_by

PAGE = "page-001"
VIEW = Box(0, 0, 100, 80)
_decoder = msgspec.msgpack.Decoder(ToBrowser)


class KeptAtOnce:
    """A keeper whose disk is as fast as memory; ``rows`` are what was kept, by the store's name."""

    def __init__(self, trouble: Callable[[str], None]) -> None:
        self.rows: list[tuple[str, Any]] = []

    full = False

    def keep(self, store: Any, row: Any, kept: Callable[[], None] = lambda: None, *_: Any) -> None:
        self.rows.append((store.__name__, row))
        kept()


class RoomTest(IsolatedAsyncioTestCase):
    async def asyncSetUp(self) -> None:
        patch = mock.patch.object(live_room, "Keeper", KeptAtOnce)
        patch.start()
        self.addCleanup(patch.stop)
        self.now_s = 1_000.0
        lesson = Lesson(Facts(open=True, mode="up"))
        self.room = LiveRoom(1, "Shadows", "k7vm", lesson, clock=lambda: self.now_s)
        self.boards = [self.board(uid) for uid in ("board-1", "board-2")]
        self.tutor = self.come("imani", "tutor")
        self.noor = self.come("noor")

    def board(self, uid: str) -> LiveBoard:
        bay = Bay("bay-001", 200, 0, 100, 100, rule="tutor_side")
        state = apply(Board(), AddPage(PageHead(PAGE, bays=(bay,)), 0))
        board = LiveBoard(uid, uid, BoardStore(1), Opened(state, History(), StepIds(), 0))
        self.room.boards[uid] = board
        return board

    def come(self, seat: str, role: str = "student", board: int = 0, tab: str = "") -> Member:
        member = Member(f"line-{seat}{tab}", Actor(seat, role, seat.title(), role == "tutor"))  # type: ignore[arg-type]
        self.room.join(member, self.boards[board], Join())
        member.page = PAGE
        return member

    async def told(self, member: Member, kind: type) -> list[Any]:
        """All that a member was told since the last time, of one kind."""
        await asyncio.sleep(live_room.TICK_S * 2)
        messages = []
        while member._queue:
            message = await member.take()
            assert message is not None
            messages.append(_decoder.decode(message))
        return [message for message in messages if isinstance(message, kind)]

    def wet(self, item_id: str = "stroke-1", x: float = 10, **more: Any) -> Wet:
        samples = pack_samples(np.array([(x, 10, 0.5, 0), (x + 5, 12, 0.5, 8)], float))
        return Wet(**{"id": item_id, "page": PAGE, "nib": "pen", "colour": "#16222b", "width": 3.0, "begin": 0,
                      "samples": samples} | more)  # fmt: skip

    def all_wet(self, frames: list[Frame]) -> list[tuple[str, bool]]:
        return [(wet.wet.id, wet.wet.over) for frame in frames for wet in frame.wet]


class WetInk(RoomTest):
    async def test_it_is_seen_by_all_and_marked_with_its_line(self) -> None:
        self.room.fleeting.wet(self.noor, self.wet())
        for member in (self.tutor, self.noor):
            (frame,) = [frame for frame in await self.told(member, Frame) if frame.wet]
            self.assertEqual((frame.wet[0].connection, frame.wet[0].seat), ("line-noor", "noor"))

    async def test_what_is_malformed_or_on_no_page_is_passed_over(self) -> None:
        long = self.wet(begin=MAX_SAMPLES)
        for message in (
            self.wet(samples=b"12345"), long, self.wet("x" * 40), self.wet(colour="#16222b; "),
            self.wet(page="page-gone"), self.wet(over=True),
        ):  # fmt: skip
            self.room.fleeting.wet(self.noor, message)
        self.assertEqual(self.all_wet(await self.told(self.tutor, Frame)), [])

    async def test_the_rule_of_the_bay_holds_while_it_is_drawn(self) -> None:
        self.room.fleeting.wet(self.noor, self.wet("in-the-bay", 220))
        self.room.fleeting.wet(self.tutor, self.wet("of-tutor", 220))
        self.room.fleeting.wet(self.noor, self.wet("beside-it", 20))
        self.assertEqual(
            self.all_wet(await self.told(self.tutor, Frame)), [("of-tutor", False), ("beside-it", False)]
        )

    async def test_a_stroke_given_up_and_a_line_that_goes_take_their_ink_away(self) -> None:
        self.room.fleeting.wet(self.noor, self.wet("given-up"))
        self.room.fleeting.wet(self.noor, self.wet("left-over"))
        self.room.fleeting.wet(self.noor, self.wet("given-up", over=True, samples=b""))
        await self.told(self.tutor, Frame)
        self.room.let_go(self.noor)
        frames = await self.told(self.tutor, Frame)
        self.assertEqual(self.all_wet(frames), [("left-over", True)])
        self.assertFalse(any(point.point.on for frame in frames for point in frame.pointing))

    async def test_ink_counts_as_begun_when_all_of_it_was_seen(self) -> None:
        self.room.fleeting.wet(self.noor, self.wet("seen-one"))
        self.now_s += 2
        self.room.fleeting.wet(self.noor, self.wet("seen-two"))
        seen = AddItems(PAGE, (stroke("seen-one"), stroke("seen-two")))
        self.assertEqual(self.room.fleeting.begun_ms(self.noor, seen), 1_002_000)
        self.assertIsNone(self.room.fleeting.begun_ms(self.noor, seen), "each stroke is begun once")
        self.room.fleeting.wet(self.noor, self.wet("seen-one"))
        half = AddItems(PAGE, (stroke("seen-one"), stroke("not-seen")))
        self.assertIsNone(self.room.fleeting.begun_ms(self.noor, half))

    async def test_nobody_has_more_fingers_than_ten(self) -> None:
        for number in range(MAX_WET + 3):
            self.room.fleeting.wet(self.noor, self.wet(f"stroke-{number:02d}"))
        first = AddItems(PAGE, (stroke("stroke-00"),))
        last = AddItems(PAGE, (stroke(f"stroke-{MAX_WET + 2:02d}"),))
        self.assertIsNone(self.room.fleeting.begun_ms(self.noor, first))
        self.assertIsNotNone(self.room.fleeting.begun_ms(self.noor, last))


class Pointers(RoomTest):
    async def test_an_arrow_stays_for_who_comes_later_until_it_is_cleared(self) -> None:
        self.room.fleeting.point(self.noor, Point(PAGE, 5, 6, stay=True))
        self.room.fleeting.point(self.tutor, Point(PAGE, 7, 8, stay=True))
        self.assertEqual(set(self.boards[0].arrows), {"noor", "imani"})
        self.room.fleeting.clear_pointers(self.noor, ClearPointers(everyone=True))
        self.assertEqual(set(self.boards[0].arrows), {"imani"}, "a student clears their own")
        self.room.fleeting.point(self.noor, Point(PAGE, 5, 6, stay=True))
        self.room.fleeting.clear_pointers(self.tutor, ClearPointers(everyone=True))
        self.assertEqual(self.boards[0].arrows, {})

    async def test_what_points_nowhere_is_not_shown(self) -> None:
        for x in (float("nan"), float("inf"), 1e12):
            self.room.fleeting.point(self.tutor, Point(PAGE, x, 0))
        self.assertFalse(any(frame.pointing for frame in await self.told(self.noor, Frame)))


class Instruments(RoomTest):
    async def test_instruments_are_seen_while_their_owner_may_draw(self) -> None:
        lay = Lay(PAGE, (Instrument("protractor", 5, 6, 0.5, 200, 70),))
        self.room.tell(self.tutor, Tell("pens-down", SetPens("down")))
        self.room.fleeting.lay(self.noor, lay)
        self.assertEqual(self.boards[0].laid, {}, "pens are down")
        self.room.fleeting.lay(self.tutor, lay)
        (frame,) = [frame for frame in await self.told(self.noor, Frame) if frame.laid]
        self.assertEqual((frame.laid[0].seat, frame.laid[0].lay), ("imani", lay))
        self.assertEqual(self.room.join(self.noor, self.boards[0], Join()).laid, frame.laid, "for latecomers")
        self.room.fleeting.lay(self.tutor, Lay(PAGE))
        self.assertEqual(self.boards[0].laid, {})

    async def test_what_cannot_be_drawn_or_is_too_much_is_not_shown(self) -> None:
        nan = float("nan")
        for wrong in (
            Instrument("ruler", nan, 0, 0, 100), Instrument("ruler", 0, 0, float("inf"), 100), Instrument("ruler", 0, 0, 0, -1),
            Instrument("compasses", 0, 0, 0, 1e9), Instrument("protractor", 0, 0, 0, 100, nan),
        ):  # fmt: skip
            self.room.fleeting.lay(self.tutor, Lay(PAGE, (wrong,)))
        self.room.fleeting.lay(self.tutor, Lay(PAGE, (Instrument("ruler", 0, 0, 0, 100),) * (MAX_LAID + 1)))
        self.room.fleeting.lay(self.tutor, Lay("nowhere-00", (Instrument("ruler", 0, 0, 0, 100),)))
        self.assertEqual(self.boards[0].laid, {})

    async def test_they_go_with_the_pen_and_with_their_owner(self) -> None:
        lay = Lay(PAGE, (Instrument("ruler", 0, 0, 0, 100),))
        self.room.fleeting.lay(self.noor, lay)
        self.room.fleeting.lay(self.tutor, lay)
        self.assertEqual(len(self.boards[0].laid), 2)
        self.room.tell(self.tutor, Tell("pens-down", SetPens("down")))
        await self.told(self.noor, Frame)
        self.assertEqual([each.seat for each in self.boards[0].laid.values()], ["imani"])
        self.room.let_go(self.tutor)
        self.assertEqual(self.boards[0].laid, {})


class Sliding(RoomTest):
    """A graph while one of its letters is moved."""

    def slide(self, **more: Any) -> Slide:
        paths = GraphPaths("M0 0L10 0", "", (), ("M1 1L2 2",), (None,))
        return msgspec.structs.replace(Slide(PAGE, "graph-001", Ranges(0, 1, 0, 1), (), paths), **more)

    async def asyncSetUp(self) -> None:
        await super().asyncSetUp()
        graph = GraphItem(
            id="graph-001", width=300, height=200, ranges=Ranges(0, 1, 0, 1), lines=(), by="imani"
        )
        self.boards[0].board = apply(self.boards[0].board, AddItems(PAGE, (graph,)))

    async def test_everybody_sees_it_move(self) -> None:
        self.room.fleeting.slide(self.tutor, self.slide())
        (frame,) = [frame for frame in await self.told(self.noor, Frame) if frame.sliding]
        self.assertEqual(frame.sliding[0].slide, self.slide())

    async def test_only_by_who_may_change_it_and_only_what_can_be_drawn(self) -> None:
        self.room.tell(self.tutor, Tell("pens-down", SetPens("down")))
        self.room.fleeting.slide(self.noor, self.slide())
        paths = self.slide().drawn
        for wrong in (
            self.slide(id="nothing-1"), self.slide(page="nowhere-00"),
            self.slide(drawn=msgspec.structs.replace(paths, grid="M0 0L9 9" * 30_000)),
            self.slide(drawn=msgspec.structs.replace(paths, grid="url(javascript:x)")),
            self.slide(drawn=msgspec.structs.replace(paths, labels=(AxisNumber("x" * 3_000, 0, 0),))),
        ):  # fmt: skip
            self.room.fleeting.slide(self.tutor, wrong)
        self.assertFalse(any(frame.sliding for frame in await self.told(self.tutor, Frame)))


class Telling(RoomTest):
    async def test_all_of_a_tick_is_one_frame_for_those_on_the_board(self) -> None:
        elsewhere = self.come("tomasz", board=1)
        await self.told(self.noor, Frame)
        await self.told(elsewhere, Frame)
        for number in range(5):
            await self.room.do(
                self.tutor, Do(f"step-{number:03d}", AddItems(PAGE, (stroke(f"stroke-{number}"),)))
            )
        frames = await self.told(self.noor, Frame)
        self.assertEqual([len(frame.steps) for frame in frames], [5])
        self.assertEqual([logged.seq for logged in frames[0].steps], [2, 3, 4, 5, 6])
        self.assertEqual(await self.told(elsewhere, Frame), [])

    async def test_a_step_sent_twice_lands_once_and_a_bad_id_not_at_all(self) -> None:
        step = Do("step-001", AddItems(PAGE, (stroke("stroke-1"),)))
        await self.room.do(self.noor, step)
        await self.room.do(self.noor, step)
        await self.room.do(self.noor, msgspec.structs.replace(step, id="x"))
        self.assertEqual(len(self.boards[0].kept.pages[PAGE].items), 1)
        self.assertEqual([told.reason for told in await self.told(self.noor, Refused)], ["malformed"])

    async def test_who_comes_back_gets_what_is_at_hand_and_else_everything(self) -> None:
        board = self.boards[0]
        with mock.patch.object(live_board, "RECENT_STEPS", 3):
            for number in range(8):
                step = AddItems(PAGE, (stroke(f"stroke-{number}"),))
                await self.room.do(self.tutor, Do(f"step-{number:03d}", step))
        last = board.kept.seq
        self.assertEqual(board.missed_since(last), [])
        self.assertEqual(
            [landed.logged.seq for landed in board.missed_since(last - 2) or ()], [last - 1, last]
        )
        self.assertIsNone(board.missed_since(0), "reaches further back than what is at hand")
        self.assertIsNone(board.missed_since(last + 1), "from another life of the board")

    async def test_a_big_clearing_is_in_the_record(self) -> None:
        items = tuple(stroke(f"stroke-{number:02d}") for number in range(12))
        await self.room.do(self.tutor, Do("step-001", AddItems(PAGE, items)))
        await self.room.do(self.tutor, Do("step-002", RemoveItems(PAGE, tuple(item.id for item in items))))
        kept = [
            said_by(row.said)
            for name, row in self.room.keeper.rows  # type: ignore[attr-defined]
            if name == "record" and row.said.key
        ]
        self.assertIn("Imani cleared 12 things.", kept)


class Looking(RoomTest):
    async def test_a_view_is_held_until_it_is_let_go_or_its_leader_leaves(self) -> None:
        self.room.talk.lead(self.tutor, Lead(PAGE, VIEW, hold=True))
        (held,) = await self.told(self.noor, Lead)
        self.assertEqual((held.board, held.name, held.hold), ("board-1", "Imani", True))
        self.assertEqual(await self.told(self.tutor, Lead), [], "the leader is not led")
        self.room.let_go(self.tutor)
        self.assertEqual([lead.page for lead in await self.told(self.noor, Lead)], [""])
        self.assertIsNone(self.room.talk.led)

    async def test_students_lead_nobody(self) -> None:
        self.room.talk.lead(self.noor, Lead(PAGE, VIEW))
        self.assertEqual(await self.told(self.tutor, Lead), [])
        self.assertEqual(len(await self.told(self.noor, Refused)), 1)

    async def test_who_follows_sees_what_is_seen_until_they_follow_nobody(self) -> None:
        self.room.talk.view(self.noor, View(PAGE, VIEW))
        self.room.talk.follow(self.tutor, Follow("noor"))
        self.room.talk.view(self.noor, View(PAGE, Box(5, 5, 9, 9)))
        self.assertEqual([v.box.x0 for v in await self.told(self.tutor, Viewed)], [0, 5])
        self.room.talk.follow(self.tutor, Follow(""))
        self.room.talk.view(self.noor, View(PAGE, VIEW))
        self.assertEqual(await self.told(self.tutor, Viewed), [])

    async def test_students_do_not_look_over_each_other_s_shoulders(self) -> None:
        tomasz = self.come("tomasz")
        self.room.talk.follow(tomasz, Follow("noor"))
        self.room.talk.view(self.noor, View(PAGE, VIEW))
        self.assertEqual(await self.told(tomasz, Viewed), [])

    async def test_signs_and_words_of_onlookers_stay_with_them(self) -> None:
        parent = self.come("parent", "onlooker")
        self.room.talk.react(parent, React("bravo"))
        self.room.talk.say(parent, Say("say-001", "hello"))
        self.assertEqual(len(await self.told(parent, Refused)), 2)
        self.assertEqual(await self.told(self.noor, Reacted), [])
        self.assertEqual(self.room.talk.chat, [])


class Seats(RoomTest):
    async def test_marks_differ_in_colour_as_long_as_there_are_enough(self) -> None:
        names = ("tomasz", "wairimu", "elio", "saskia", "ilse", "anders", "tove", "bao")
        for name in names[: MARK_COLOURS - 2]:
            self.come(name)
        first = {person.name: person.colour for person in self.room.seats.people()}
        self.assertEqual(len(set(first.values())), MARK_COLOURS)
        for name in names[MARK_COLOURS - 2 :]:
            self.come(name)
        later = {person.name: person.colour for person in self.room.seats.people()}
        self.assertEqual({name: later[name] for name in first}, first, "nobody's changes")
        self.assertNotEqual(later["Tomasz"], later["Tove"], "one letter in two colours")

    async def test_thirty_people_stand_in_an_order_that_holds_with_the_gone_at_the_end(self) -> None:
        for number in range(27):
            self.come(f"student-{number:02d}")
        helper = self.come("saskia", "helper")
        self.room.let_go(self.noor)
        people = self.room.seats.people()
        self.assertEqual([p.role for p in people[:2]], ["tutor", "helper"])
        names = [p.name for p in people[2:-1]]
        self.assertEqual(names, sorted(names, key=str.casefold))
        self.assertEqual((people[-1].name, people[-1].tabs), ("Noor", 0))
        self.now_s += GONE_MS / 1000 + 1
        self.assertNotIn("Noor", [p.name for p in self.room.seats.people()])
        self.assertIn(helper.actor.seat, [p.seat for p in self.room.seats.people()])

    async def test_two_tabs_are_one_person(self) -> None:
        tab = self.come("noor", tab="-2")
        (noor,) = [p for p in self.room.seats.people() if p.seat == "noor"]
        self.assertEqual(noor.tabs, 2)
        self.room.let_go(tab)
        self.assertTrue(self.room.here("noor"))

    async def test_names_stay_distinct_when_they_change(self) -> None:
        tomasz = self.come("tomasz")
        self.room.seats.carry_out(self.tutor, Rename("tomasz", "  noor "))
        self.assertEqual(tomasz.actor.name, "noor 2")
        for seat, name, field in (("tomasz", "\u202e", "name"), ("nobody", "Elio", "not_here")):
            with self.assertRaises(MalformedError) as caught:
                self.room.seats.carry_out(self.tutor, Rename(seat, name))
            self.assertEqual(caught.exception.field, field)

    async def test_the_room_goes_to_a_helper_only_and_there_is_one_tutor(self) -> None:
        with self.assertRaises(MalformedError):
            self.room.seats.carry_out(self.tutor, HandOver("noor"))
        self.room.seats.carry_out(self.tutor, SetRole("noor", "helper"))
        self.room.seats.carry_out(self.tutor, HandOver("noor"))
        roles = {p.seat: p.role for p in self.room.seats.people()}
        self.assertEqual(roles, {"noor": "tutor", "imani": "helper"})
        self.assertEqual(self.room.lesson.facts.writer, "Noor")

    async def test_who_is_sent_away_is_told_and_gone_and_nobody_does_that_to_the_tutor(self) -> None:
        self.room.seats.carry_out(self.tutor, SendAway("noor"))
        self.assertEqual([bye.reason for bye in await self.told(self.noor, Goodbye)], ["sent_away"])
        self.assertEqual([p.seat for p in self.room.seats.people() if p.tabs], ["imani"])
        (gone,) = [p for p in self.room.seats.people() if not p.tabs]
        self.assertEqual((gone.seat, gone.sent_away), ("noor", True))
        self.room.seats.carry_out(self.tutor, LetBack("noor"))
        self.assertFalse(self.room.seats.people()[-1].sent_away)
        self.room.seats.carry_out(self.tutor, Forget("noor"))
        self.assertEqual([p.seat for p in self.room.seats.people()], ["imani"])
        for seat in ("imani", "nobody"):
            with self.assertRaises(MalformedError):
                self.room.seats.carry_out(self.tutor, SendAway(seat))

    async def test_a_command_that_is_refused_leaves_the_lesson_as_it_was(self) -> None:
        before = self.room.lesson
        self.room.tell(self.noor, Tell("command-1", SetPens("down")))
        self.assertEqual([told.reason for told in await self.told(self.noor, Refused)], ["tutor_side_only"])
        self.assertIs(self.room.lesson, before)
        self.room.tell(self.tutor, Tell("command-2", SetPens("down")))
        await self.room.do(self.noor, Do("step-001", AddItems(PAGE, (stroke("stroke-1"),))))
        self.assertEqual([told.reason for told in await self.told(self.noor, Refused)], ["pens_down"])
