"""The tables of the door and of people, row by row; and rules that a small change to them would have got past."""

from __future__ import annotations

from typing import Any
from unittest import TestCase

import msgspec

from sunroom.core.board import (
    Board,
    InkItem,
    PageHead,
    ShapeItem,
    TextItem,
    apply,
    invert,
    needs,
    needs_first,
    remaining,
    resolve,
)
from sunroom.core.board.history import DEPTH, MAX_HISTORY_BYTES, History
from sunroom.core.board.pages import MAX_PAGES
from sunroom.core.board.requests import MOST_WORK, ArrangeItems, CopyPage, TransformItems, Undo, work
from sunroom.core.board.requests.cost import HELD, MEASURE
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems, ReplaceItems
from sunroom.core.errors import MalformedError
from sunroom.core.geometry import Affine
from sunroom.core.lesson import HandOver, Lesson, SendAway, SetRole, ToPorch
from sunroom.core.lesson.door import SENTENCES, SeatFacts, at_door, code_admits
from sunroom.core.lesson.people import check_person, may_follow
from sunroom.core.pens import Actor, Facts, Target, decide, standing
from sunroom.core.pens.facts import BayFacts
from tests import strategies as make
from tests.words import in_words

TYPESETTER = make.even_typesetter()
OPEN, KNOCK = Lesson(Facts()), Lesson(Facts(), door="knock")
CODE = Lesson(Facts(), door="code", code="gnomon7")
OVER = Lesson(Facts(open=False, between="closed"))
LOOKED_AT = Lesson(Facts(open=False, between="view"))


class Doors(TestCase):
    def test_what_the_door_says(self) -> None:
        rows = [
            # seat, lesson, code given, answer
            (SeatFacts("student"), OPEN, "", "in"),
            (SeatFacts("student"), OPEN, "anything", "in"),
            (SeatFacts("student"), KNOCK, "", "knock"),
            (SeatFacts("student"), CODE, "", "code"),
            (SeatFacts("student"), CODE, "needle7", "wrong"),
            (SeatFacts("student"), CODE, " Gnomon 7", "in"),
            (SeatFacts("student", True), KNOCK, "", "in"),
            (SeatFacts("student", True), CODE, "", "in"),
            (SeatFacts("student", False), OPEN, "", "knock"),
            (SeatFacts("student", False), CODE, "gnomon7", "knock"),
            (SeatFacts("student", True, sent_away=True), OPEN, "", "sent_away"),
            (SeatFacts("helper", True, sent_away=True), OPEN, "", "sent_away"),
            (SeatFacts("onlooker", sent_away=True), OPEN, "", "sent_away"),
            (SeatFacts("student", True), OVER, "", "closed"),
            (SeatFacts("onlooker"), OVER, "", "closed"),
            (SeatFacts("student"), LOOKED_AT, "", "in"),
            (SeatFacts("helper"), OVER, "", "in"),
            (SeatFacts("tutor"), KNOCK, "", "in"),
            (SeatFacts("onlooker"), KNOCK, "", "in"),
            (SeatFacts("onlooker"), CODE, "", "in"),
            (SeatFacts("helper", False, sent_away=True, owner=True), OVER, "", "in"),
        ]
        for seat, lesson, code, answer in rows:
            self.assertEqual(at_door(seat, lesson, code), answer, (seat, lesson.door, code))

    def test_who_does_not_come_in_is_told_why_and_whether_to_try_again(self) -> None:
        self.assertEqual({reason: again for reason, (_, again) in SENTENCES.items()}, {"sent_away": False, "closed": True, "knock": False, "code": False})  # fmt: skip

    def test_only_a_code_that_was_asked_for_is_remembered(self) -> None:
        self.assertTrue(code_admits(CODE, SeatFacts("student")))
        for lesson, seat in (
            (OPEN, SeatFacts("student")),
            (CODE, SeatFacts("student", True)),
            (CODE, SeatFacts("helper")),
        ):
            self.assertFalse(code_admits(lesson, seat))


class People(TestCase):
    def test_what_may_happen_to_whom(self) -> None:
        tutor, owner = Actor("t", "tutor"), Actor("o", "helper", owner=True)
        student, helper, onlooker = Actor("s", "student"), Actor("h", "helper"), Actor("w", "onlooker")
        rows: list[tuple[Any, Actor, Actor | None, str]] = [
            (SetRole("s", "helper"), tutor, student, ""),
            (SetRole("h", "student"), tutor, helper, ""),
            (SetRole("w", "helper"), tutor, onlooker, "onlooker"),
            (SendAway("w"), tutor, onlooker, ""),
            (ToPorch("s"), helper, student, ""),
            (SendAway("x"), tutor, None, "not_here"),
            (SendAway("t"), tutor, tutor, "yourself"),
            (SendAway("t"), helper, tutor, "tutor"),
            (SendAway("o"), tutor, owner, "owner"),
            (SetRole("o", "student"), tutor, owner, "owner"),
            (ToPorch("o"), tutor, owner, "owner"),
            (HandOver("h"), tutor, helper, ""),
            (HandOver("s"), tutor, student, "not_a_helper"),
            (HandOver(""), owner, owner, ""),
            (HandOver(""), msgspec.structs.replace(owner, role="student"), msgspec.structs.replace(owner, role="student"), ""),
            (HandOver("o"), tutor, msgspec.structs.replace(owner, role="student"), "not_a_helper"),
            (HandOver("x"), tutor, None, "not_here"),
        ]  # fmt: skip
        for command, actor, other, reason in rows:
            if not reason:
                check_person(command, actor, other)
                continue
            with self.assertRaises(MalformedError) as caught:
                check_person(command, actor, other)
            self.assertEqual(caught.exception.field, reason, command)
            self.assertTrue(in_words(caught.exception).endswith("."))


FIRST = PageHead("page-one")


class Following(TestCase):
    def test_the_tutor_side_follows_anybody_and_others_the_tutor_side(self) -> None:
        tutor, helper, noor, elio = (Actor(n, r) for n, r in (("t", "tutor"), ("h", "helper"), ("n", "student"), ("e", "student")))  # type: ignore[arg-type]  # fmt: skip
        for actor, other, may in (
            (tutor, noor, True),
            (helper, noor, True),
            (noor, tutor, True),
            (noor, helper, True),
            (noor, elio, False),
        ):
            self.assertEqual(may_follow(actor, other), may)


def board(*items: Any, head: PageHead = FIRST) -> Board:
    return apply(apply(Board(), AddPage(head, 0)), AddItems(head.id, tuple(items)))


def ink(item_id: str, **more: Any) -> InkItem:
    values = {"by": "seat-a", "nib": "pen", "colour": "#16222b", "width": 3, "samples": bytes(11), "z": 1.0}
    return InkItem(id=item_id, **{**values, **more})


class GotPast(TestCase):
    def test_undoing_a_lock_asks_for_the_right_to_lock(self) -> None:
        before = board(ink("stroke-1"))
        locking = resolve(before, ArrangeItems("page-one", ("stroke-1",), "lock"), "imani", 1, TYPESETTER)
        after, back = apply(before, locking), invert(before, locking)
        ((action, target),) = needs(after, Undo(), back)
        self.assertEqual((action, target.locked), ("lock", True))
        for role, allowed in (("tutor", True), ("helper", False), ("student", False)):
            self.assertEqual(
                decide(Actor("x", role), action, target, Facts(mode="up"), 0).allowed, allowed, role
            )  # type: ignore[arg-type]

    def test_a_board_takes_its_last_page_and_not_one_more(self) -> None:
        full = board()
        for number in range(1, MAX_PAGES):
            full = apply(
                full, resolve(full, AddPage(PageHead(f"page-{number:03d}"), number), "imani", 1, TYPESETTER)
            )
        self.assertEqual(len(full.order), MAX_PAGES)
        for request in (AddPage(PageHead("page-more"), 0), CopyPage("page-one", "page-more")):
            with self.assertRaises(MalformedError):
                resolve(full, request, "imani", 1, TYPESETTER)

    def test_of_a_replaced_thing_undo_gives_back_what_is_free_and_takes_what_is_there(self) -> None:
        before = board(ink("stroke-1"), ink("stroke-2"))
        word = TextItem(id="word-001", text="noon", size=20, colour="#16222b", by="seat-a", z=2.0)
        step = ReplaceItems("page-one", ("stroke-1", "stroke-2"), (word,))
        back, after = invert(before, step), apply(before, step)
        # Meanwhile somebody made a thing under the name of one of the strokes.
        taken = apply(after, AddItems("page-one", (ink("stroke-2", by="seat-b"),)))
        left = remaining(taken, back)
        self.assertEqual((left.ids, [item.id for item in left.items]), (("word-001",), ["stroke-1"]))  # type: ignore[union-attr]
        self.assertEqual(apply(taken, left).pages["page-one"].items["stroke-2"].by, "seat-b")  # type: ignore[arg-type]
        # An edited text takes its own place again.
        edited = ReplaceItems("page-one", ("word-001",), (msgspec.structs.replace(word, text="dusk"),))
        self.assertEqual(remaining(after, edited), edited)
        self.assertIsNone(remaining(apply(after, RemoveItems("page-one", ("word-001",))), edited))

    def test_a_page_is_changed_by_whoever_made_it_and_by_the_tutor_side(self) -> None:
        facts = Facts(mode="up")
        for action in ("change_page", "remove_page"):
            for page_of, allowed in (("seat-a", True), ("seat-b", False), ("", False)):
                verdict = decide(Actor("seat-a", "student"), action, Target(page_of=page_of), facts, 0)  # type: ignore[arg-type]
                self.assertEqual(verdict.allowed, allowed)
                self.assertTrue(
                    decide(Actor("h", "helper"), action, Target(page_of=page_of), facts, 0).allowed
                )  # type: ignore[arg-type]
        self.assertEqual(verdict.reason, "page_of_another")

    def test_standing_with_a_bay_for_each_of_a_class_is_that_of_one_s_own(self) -> None:
        bays = [(f"bay-{n:04d}", BayFacts("people", (f"seat-{n}",))) for n in range(30)]
        found = standing(Actor("seat-7", "student"), Target(), bays, Facts(mode="down"), 0)
        self.assertEqual([bay.bay for bay in found.bays if bay.writing.allowed], ["bay-0007"])
        self.assertTrue(found.writing.allowed)
        self.assertIn("add_ink", found.allowed)

    def test_what_is_asked_first_names_the_rule_of_where_the_thing_begins(self) -> None:
        from sunroom.core.board.pages import Bay

        head = PageHead("page-one", bays=(Bay("bay-0001", 100, 100, 90, 90, rule="tutor_side"), Bay("bay-0002", 300, 0, 90, 90, rule="open")))  # fmt: skip
        there = board(head=head)
        ((_, places),) = needs_first(there, AddItems("page-one", (ink("stroke-1", x=150.0, y=150.0),)))
        self.assertEqual(places[0].bays[0].rule, "tutor_side")
        self.assertEqual({place.bays[0].rule for place in places}, {"tutor_side", "open", "page"})


class Work(TestCase):
    def test_small_requests_are_small_and_none_is_over_the_most(self) -> None:
        there = board(*(ink(f"stroke-{n}") for n in range(5)))
        self.assertLess(work(there, AddItems("page-one", (ink("stroke-9"),))), 100)
        self.assertLess(work(there, MoveItems("page-one", ("stroke-1",), 1, 1)), 100)
        note = TextItem(id="text-0001", text="x" * 5_000, size=20, colour="#16222b")
        with self.assertRaises(MalformedError) as caught:
            work(there, AddItems("page-one", tuple(msgspec.structs.replace(note, id=f"text-{n:04d}") for n in range(200))))  # fmt: skip
        self.assertEqual(caught.exception.field, "too_much")
        self.assertGreater(MOST_WORK, 1_000_000)

    def test_lines_that_follow_what_moves_and_measures_that_change_are_counted(self) -> None:
        box = ShapeItem(
            id="box-0001", figure="line", points=((0.0, 0.0), (90.0, 0.0)), closed=False, curved=False,
            colour="#16222b", width=2.0,
        )  # fmt: skip
        lines = [msgspec.structs.replace(box, id=f"line-{n:03}", holds=(box.id, "")) for n in range(40)]
        alone, held = board(box), board(box, *lines)
        for request in (
            MoveItems("page-one", ("box-0001",), 5, 5),
            ArrangeItems("page-one", ("box-0001", "line-000"), "left"),
        ):
            self.assertGreater(work(held, request), work(alone, request) + 40 * HELD)
        turned = TransformItems("page-one", ("box-0001",), Affine.turn(1.0))
        measured = board(msgspec.structs.replace(box, measured=("sides",)))
        self.assertGreater(work(measured, turned), work(alone, turned) + MEASURE)


class Histories(TestCase):
    def test_the_ways_back_of_a_board_stay_within_their_weight_and_the_newest_is_always_there(self) -> None:
        history, heavy = History(), ink("stroke-1", samples=bytes(11 * 18_000))
        inverse = AddItems("page-one", (heavy,) * 20)
        for seq in range(1, 60):
            history.record(f"seat-{seq % 3}", seq, "do", 0, inverse, RemoveItems("page-one", ("stroke-1",)))
        kept = sum(history.depth(f"seat-{n}")[0] for n in range(3))
        self.assertLess(kept * 20 * len(heavy.samples), MAX_HISTORY_BYTES + 20 * 11 * 18_000)
        self.assertGreater(kept, 3)
        self.assertTrue(all(history.depth(f"seat-{n}")[0] for n in range(3)))
        light = History()
        for seq in range(1, DEPTH + 20):
            light.record(
                "seat-a", seq, "do", 0, RemoveItems("page-one", ("stroke-1",)), AddItems("page-one", ())
            )
        self.assertEqual(light.depth("seat-a"), (DEPTH, 0))
