"""The rule book: each rule in a table, and all of them against a slow and literal reading."""

from __future__ import annotations

from unittest import TestCase

import msgspec
from hypothesis import given, settings
from hypothesis import strategies as st

from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    EndLesson,
    Lesson,
    LowerHand,
    OpenLesson,
    PassPen,
    RaiseHand,
    SetBetween,
    SetPens,
    TakePen,
    arrive,
    carry_out,
    expire,
)
from sunroom.core.pens import (
    ACTIONS,
    BESIDE,
    KITS,
    Actor,
    BayFacts,
    Facts,
    PassedPen,
    Target,
    decide,
    standing,
)
from sunroom.core.pens.rules import GRACE_MS, LEADING, REASONS
from tests import strategies as make
from tests.words import in_words

TUTOR, HELPER = Actor("tutor", "tutor"), Actor("helper", "helper")
NOOR, TOMASZ = Actor("noor", "student", "Noor"), Actor("tomasz", "student", "Tomasz")
ONLOOKER = Actor("parent", "onlooker")
OWNER = Actor("owner", "helper", "Imani", owner=True)
HERS = BayFacts("people", ("noor",))
NOW = 10_000
DOWN, UP = Facts(), Facts(mode="up")
PASSED = Facts(mode="passed", passed=(PassedPen("noor"),))
OWN, OTHERS = Target(owners=frozenset({"noor"})), Target(owners=frozenset({"tomasz"}))


class Table(TestCase):
    def test_each_rule(self) -> None:
        minutes = Facts(mode="passed", passed=(PassedPen("noor", NOW + 1),))
        over = Facts(mode="passed", passed=(PassedPen("noor", NOW),))
        ink_only = Facts(mode="up", kit=tuple(KITS["ink only"]))
        cards_only = Facts(mode="up", kits=(("noor", tuple(KITS["cards only"])),))
        closed = Facts(open=False, between="closed")
        rows = [
            # actor, action, target, facts, allowed, reason
            (TUTOR, "add_ink", Target(), DOWN, True, "allowed"),
            (HELPER, "add_ink", Target(), DOWN, True, "allowed"),
            (NOOR, "add_ink", Target(), DOWN, False, "pens_down"),
            (NOOR, "add_ink", Target(), PASSED, True, "passed"),
            (TOMASZ, "add_ink", Target(), PASSED, False, "no_pen"),
            (NOOR, "add_ink", Target(), minutes, True, "passed"),
            (NOOR, "add_ink", Target(), over, False, "expired"),
            (NOOR, "add_ink", Target(), UP, True, "up"),
            (NOOR, "add_ink", Target(), Facts(mode="up", withheld=("noor",)), False, "withheld"),
            (NOOR, "add_ink", Target(page="tutor_side"), UP, False, "page_tutor_side"),
            (NOOR, "add_ink", Target(page="open"), DOWN, True, "page_open"),
            (NOOR, "add_ink", Target(page="desk", desk_of="noor"), DOWN, True, "desk_yours"),
            (NOOR, "add_ink", Target(page="desk", desk_of="tomasz"), UP, False, "desk_of_another"),
            (NOOR, "add_ink", Target(page="open"), Facts(open=False), False, "between_view"),
            (NOOR, "add_ink", Target(), Facts(mode="up", paused=True), False, "paused"),
            (NOOR, "add_ink", Target(page="open"), Facts(paused=True), False, "paused"),
            (NOOR, "hand", Target(), Facts(paused=True), True, "allowed"),
            (TUTOR, "add_ink", Target(), Facts(paused=True), True, "allowed"),
            (NOOR, "add_ink", Target(bays=(HERS,)), DOWN, True, "bay_yours"),
            (TOMASZ, "add_ink", Target(bays=(HERS,)), UP, False, "bay_of_others"),
            (NOOR, "add_ink", Target(bays=(HERS, BESIDE)), DOWN, False, "pens_down"),
            (NOOR, "add_ink", Target(bays=(HERS, BayFacts("tutor_side"))), UP, False, "bay_tutor_side"),
            (NOOR, "add_ink", Target(page="tutor_side", bays=(BayFacts("open"),)), DOWN, True, "bay_open"),
            (NOOR, "add_ink", Target(page="tutor_side", bays=(BESIDE,)), UP, False, "page_tutor_side"),
            (HELPER, "add_ink", Target(bays=(BayFacts("tutor_side"),)), DOWN, True, "allowed"),
            (ONLOOKER, "add_ink", Target(bays=(BayFacts("open"),)), UP, False, "onlooker"),
            (HELPER, "hand_over", Target(), UP, False, "tutor_only"),
            (OWNER, "hand_over", Target(), UP, True, "allowed"),
            (OWNER, "end_lesson", Target(), UP, False, "tutor_only"),
            (TUTOR, "record_voice", Target(), Facts(open=False), True, "allowed"),
            (HELPER, "record_voice", Target(), UP, False, "tutor_only"),
            (NOOR, "record_voice", Target(), UP, False, "tutor_side_only"),
            (HELPER, "caption", Target(), Facts(open=False), True, "allowed"),
            (NOOR, "caption", Target(), UP, False, "tutor_side_only"),
            (ONLOOKER, "caption", Target(), UP, False, "onlooker"),
            (NOOR, "answer_check", Target(), DOWN, True, "allowed"),
            (NOOR, "react", Target(), Facts(kit=("write",)), False, "no_chat"),
            (NOOR, "admit", Target(), UP, False, "tutor_side_only"),
            (NOOR, "change", Target(owners=frozenset({"noor"}), locked=True), UP, False, "locked"),
            (HELPER, "change", Target(locked=True), UP, False, "locked"),
            (TUTOR, "change", Target(locked=True), UP, True, "allowed"),
            (NOOR, "change", OWN, UP, True, "up"),
            (NOOR, "change", OTHERS, UP, False, "not_yours"),
            (NOOR, "remove", OTHERS, UP, False, "not_yours"),
            (NOOR, "remove", OWN, DOWN, False, "pens_down"),
            (NOOR, "change", OTHERS, cards_only, True, "up"),
            (NOOR, "add_ink", Target(), cards_only, False, "not_in_kit"),
            (NOOR, "add_text", Target(), ink_only, False, "not_in_kit"),
            (NOOR, "change", OWN, ink_only, True, "up"),
            (NOOR, "set_pens", Target(), UP, False, "tutor_side_only"),
            (HELPER, "set_pens", Target(), UP, True, "allowed"),
            (HELPER, "end_lesson", Target(), UP, False, "tutor_only"),
            (NOOR, "hand", Target(), DOWN, True, "allowed"),
            (NOOR, "point", Target(), DOWN, False, "pens_down"),
            (NOOR, "point", Target(), Facts(kits=(("noor", ("point",)),)), True, "allowed"),
            (NOOR, "point", Target(), Facts(pointing=True), True, "allowed"),
            (NOOR, "point", Target(hidden=True), Facts(pointing=True), False, "page_hidden"),
            (NOOR, "point", Target(), Facts(pointing=True, paused=True), False, "paused"),
            (NOOR, "add_ink", Target(), Facts(pointing=True), False, "pens_down"),
            (NOOR, "add_ink", Target(hidden=True), UP, False, "page_hidden"),
            (NOOR, "hand", Target(), Facts(pointing=True), True, "allowed"),
            (HELPER, "add_ink", Target(hidden=True), DOWN, True, "allowed"),
            (NOOR, "add_ink", Target(), Facts(open=False), False, "between_view"),
            (NOOR, "add_ink", Target(), Facts(open=False, between="write"), True, "allowed"),
            (NOOR, "add_ink", Target(), closed, False, "between_closed"),
            (TUTOR, "add_ink", Target(), closed, True, "allowed"),
            (NOOR, "speak", Target(), DOWN, True, "allowed"),
            (NOOR, "speak", Target(hidden=True), DOWN, True, "allowed"),
            (NOOR, "speak", Target(), Facts(open=False, between="write"), False, "no_lesson"),
            (NOOR, "speak", Target(), Facts(muted=("noor",), called=("noor",)), False, "muted"),
            (NOOR, "speak", Target(), Facts(voices="pens"), False, "voices_pens"),
            (NOOR, "speak", Target(), Facts(voices="pens", mode="up"), True, "allowed"),
            (NOOR, "speak", Target(), Facts(voices="tutor_side", mode="up"), False, "voices_tutor_side"),
            (NOOR, "speak", Target(), Facts(voices="tutor_side", called=("noor",)), True, "allowed"),
            (TUTOR, "speak", Target(), Facts(voices="tutor_side", open=False), True, "allowed"),
            (ONLOOKER, "speak", Target(), UP, False, "onlooker"),
            (NOOR, "show_face", Target(), Facts(unseen=("noor",)), False, "unseen"),
            (NOOR, "show_face", Target(), Facts(muted=("noor",), voices="tutor_side"), True, "allowed"),
            (NOOR, "show_face", Target(), Facts(faces="pens"), False, "faces_pens"),
            (NOOR, "show_face", Target(), Facts(faces="tutor_side"), False, "faces_tutor_side"),
        ]
        for actor, action, target, facts, allowed, reason in rows:
            verdict = decide(actor, action, target, facts, NOW)
            self.assertEqual(
                (verdict.allowed, verdict.reason), (allowed, reason), (actor.name, action, facts.mode)
            )
            self.assertTrue(in_words(verdict.sentence).endswith("."))

    def test_the_sentence_names_who_is_writing(self) -> None:
        verdict = decide(NOOR, "add_ink", Target(), Facts(writer="Imani"), NOW)
        self.assertEqual(
            in_words(verdict.sentence), "Pens are down. Imani is writing. Put your hand up to ask for a pen."
        )

    def test_a_stroke_begun_before_pens_went_down_may_end(self) -> None:
        facts = Facts(down_at_ms=NOW)
        begun = Target(begun_ms=NOW - 1)
        self.assertEqual(decide(NOOR, "add_ink", begun, facts, NOW + GRACE_MS).reason, "grace")
        self.assertFalse(decide(NOOR, "add_ink", begun, facts, NOW + GRACE_MS + 1).allowed)
        self.assertFalse(decide(NOOR, "add_ink", Target(begun_ms=NOW), facts, NOW + 1).allowed)
        self.assertFalse(decide(NOOR, "add_text", begun, facts, NOW + 1).allowed)


class Properties(TestCase):
    @settings(max_examples=400)
    @given(make.actors, st.sampled_from(sorted(ACTIONS)), make.targets, make.facts, make.moments)
    def test_nothing_is_allowed_that_the_rule_book_read_literally_forbids(
        self, actor, action, target, facts, now
    ) -> None:
        verdict = decide(actor, action, target, facts, now)
        self.assertIn(verdict.reason, REASONS)
        if verdict.allowed:
            self.assertEqual(forbidden(actor, action, target, facts, now), "")

    @given(st.sampled_from(sorted(ACTIONS)), make.targets, make.facts, make.moments)
    def test_an_onlooker_changes_nothing_ever(self, action, target, facts, now) -> None:
        self.assertFalse(decide(ONLOOKER, action, target, facts, now).allowed)

    @given(make.targets, make.facts, st.integers(0, 5_000))
    def test_after_pens_down_no_ink_begun_later_lands(self, target, facts, later) -> None:
        beside = all(bay.rule == "page" for bay in target.bays)
        if facts.open and facts.mode == "down" and target.page == "lesson" and beside:
            begun = target.begun_ms is not None and target.begun_ms < facts.down_at_ms
            verdict = decide(NOOR, "add_ink", target, facts, facts.down_at_ms + later)
            if not begun:
                self.assertFalse(verdict.allowed)

    @given(make.actors, make.facts, make.moments, st.lists(make.bays, max_size=3))
    def test_what_a_person_is_told_is_what_is_decided(self, actor, facts, now, bays) -> None:
        named = [(f"bay-{number}", bay) for number, bay in enumerate(bays)]
        told = standing(actor, Target(), named, facts, now)
        places = [(BESIDE,), *((bay,) for bay in bays)]
        for action in ACTIONS:
            somewhere = any(decide(actor, action, Target(bays=place), facts, now).allowed for place in places)
            self.assertEqual(action in told.allowed, somewhere)
        for bay in told.bays:
            verdict = decide(actor, "add_ink", Target(bays=(dict(named)[bay.bay],)), facts, now)
            self.assertEqual(bay.writing, verdict)

    @given(make.actors, st.sampled_from(sorted(ACTIONS)), make.targets, make.facts, make.moments)
    def test_more_places_never_allow_more(self, actor, action, target, facts, now) -> None:
        if decide(actor, action, target, facts, now).allowed and target.begun_ms is None:
            for bay in target.bays:
                alone = msgspec.structs.replace(target, bays=(bay,))
                self.assertTrue(decide(actor, action, alone, facts, now).allowed)


def forbidden(actor: Actor, action: str, target: Target, facts: Facts, now: int) -> str:
    """Why the rule book forbids it, read sentence by sentence; "" when no sentence does."""
    if actor.role == "onlooker":
        return "an onlooker never writes, points or chats"
    if action in ("speak", "show_face") and actor.role == "student":
        speaks = action == "speak"
        if not facts.open:
            return "students call in a lesson only"
        if actor.seat in (facts.muted if speaks else facts.unseen):
            return "who was muted is not heard, and who was hidden is not seen"
        who = facts.voices if speaks else facts.faces
        pen = next((pen for pen in facts.passed if pen.seat == actor.seat), None)
        holds = pen is not None and (pen.until_ms is None or pen.until_ms > now)
        has_pen = {"down": False, "passed": holds, "up": actor.seat not in facts.withheld}[facts.mode]
        if who == "all" or actor.seat in facts.called or (who == "pens" and has_pen):
            return ""
        return "only those whom the rule for all names"
    if target.locked and actor.role != "tutor":
        return "a lock always refuses; helpers do not remove the tutor's locks"
    if actor.role in ("tutor", "helper"):
        if actor.role == "helper" and action in ("end_lesson", "set_between", "set_role", "record_voice"):
            return "ending, settings, roles and recording are the tutor's"
        if actor.role == "helper" and action == "hand_over" and not actor.owner:
            return "only the tutor hands over, and only the owner takes back"
        return ""
    if action in LEADING:
        return "students do not lead"
    if target.hidden:
        return "a hidden page is the tutor side's"
    if action in ("hand", "answer_check", "rename_self"):
        return ""
    kit = set(dict(facts.kits).get(actor.seat, facts.kit))
    if action in ("chat_all", "chat_tutor", "react"):
        return "" if {"react": "chat_all"}.get(action, action) in kit else "not in the kit"
    may = all(may_write_in(bay, actor, target, facts, now) for bay in target.bays)
    lesson_speaks = target.page == "lesson" and all(bay.rule == "page" for bay in target.bays)
    if (
        facts.open
        and not facts.paused
        and facts.mode == "down"
        and lesson_speaks
        and target.begun_ms is not None
        and target.begun_ms < facts.down_at_ms
        and now <= facts.down_at_ms + 3_000
        and action == "add_ink"
    ):
        may = True
    if action == "point" and "point" in dict(facts.kits).get(actor.seat, ()):
        return ""
    if action == "point" and facts.pointing and facts.open and not facts.paused:
        return ""
    if not may:
        return "no pen"
    right = ACTIONS[action]
    making = {"write", "note", "text", "shape", "maths", "bring_in", "stamp"}
    if right not in kit and not (right == "move_own" and kit & making):
        return "not in the kit"
    if action in ("change_page", "remove_page") and target.page_of != actor.seat:
        return "a page's title, paper, place and being there are for who made it"
    if target.owners - {actor.seat}:
        wanted = "erase_others" if action in ("remove", "remove_page") else "change_others"
        if wanted not in kit:
            return "students change and remove what is their own"
    return ""


def may_write_in(bay: BayFacts, actor: Actor, target: Target, facts: Facts, now: int) -> bool:
    """One place, from the widest rule to the narrowest, each overruling the one before."""
    pen = next((pen for pen in facts.passed if pen.seat == actor.seat), None)
    holds = pen is not None and (pen.until_ms is None or pen.until_ms > now)
    if not facts.open and facts.between != "write":
        return False
    if facts.open and facts.paused:
        return False
    may = True
    if facts.open:
        may = {"down": False, "passed": holds, "up": actor.seat not in facts.withheld}[facts.mode]
    may = {"tutor_side": False, "open": True, "desk": target.desk_of == actor.seat}.get(target.page, may)
    return {"tutor_side": False, "open": True, "people": actor.seat in bay.people}.get(bay.rule, may)


class LessonLife(TestCase):
    def setUp(self) -> None:
        self.lesson = carry_out(Lesson(Facts(open=False)), OpenLesson(), "tutor", 1_000)

    def after(self, *commands: object, seat: str = "tutor", now: int = 2_000) -> Lesson:
        lesson = self.lesson
        for command in commands:
            lesson = carry_out(lesson, command, seat, now)
        return lesson

    def test_the_clock_starts_with_the_first_student(self) -> None:
        self.assertIsNone(arrive(self.lesson, "tutor", 5_000).started_ms)
        lesson = arrive(arrive(self.lesson, "student", 6_000), "student", 9_000)
        self.assertEqual(lesson.started_ms, 6_000)

    def test_passing_a_pen_lowers_the_hand_and_passes_pens(self) -> None:
        lesson = carry_out(self.after(), RaiseHand(), "noor", 2_000)
        lesson = carry_out(lesson, PassPen("noor"), "tutor", 3_000)
        self.assertEqual((lesson.facts.mode, lesson.hands), ("passed", ()))
        self.assertTrue(decide(NOOR, "add_ink", Target(), lesson.facts, 3_000).allowed)

    def test_taking_the_last_pen_back_puts_pens_down(self) -> None:
        lesson = self.after(PassPen("noor"), PassPen("tomasz"), TakePen("noor"))
        self.assertEqual(lesson.facts.mode, "passed")
        self.assertEqual(carry_out(lesson, TakePen("tomasz"), "tutor", 4_000).facts.mode, "down")

    def test_pens_down_takes_every_pen_so_that_none_comes_back_with_the_next(self) -> None:
        lesson = self.after(PassPen("noor"), SetPens("down"), PassPen("tomasz"))
        self.assertEqual([pen.seat for pen in lesson.facts.passed], ["tomasz"])

    def test_with_pens_up_one_person_s_is_withheld_and_given_back(self) -> None:
        lesson = self.after(SetPens("up"), TakePen("noor"))
        self.assertEqual((lesson.facts.mode, lesson.facts.withheld), ("up", ("noor",)))
        self.assertEqual(carry_out(lesson, PassPen("noor"), "tutor", 3_000).facts.withheld, ())

    def test_a_pen_for_minutes_ends_by_the_server_s_clock(self) -> None:
        lesson = self.after(PassPen("noor", 3), now=10_000)
        end = 10_000 + 180_000
        self.assertIs(expire(lesson, end - 1), lesson)
        self.assertEqual(expire(lesson, end).facts.passed, ())
        self.assertEqual(expire(lesson, end).facts.mode, "down")
        for bad in (0, -1, float("nan"), float("inf"), 1e9):
            with self.assertRaises(MalformedError):
                self.after(PassPen("noor", bad))

    def test_hands_queue_in_the_order_of_raising(self) -> None:
        lesson = self.lesson
        for seat in ("noor", "tomasz", "noor"):
            lesson = carry_out(lesson, RaiseHand(), seat, 2_000)
        self.assertEqual(lesson.hands, ("noor", "tomasz"))
        self.assertEqual(carry_out(lesson, LowerHand(), "noor", 3_000).hands, ("tomasz",))
        self.assertEqual(carry_out(lesson, LowerHand("tomasz"), "tutor", 3_000).hands, ("noor",))

    def test_an_ended_lesson_follows_the_room_s_setting(self) -> None:
        lesson = self.after(SetPens("up"), EndLesson(), SetBetween("write"))
        self.assertEqual((lesson.ended_ms, lesson.facts.open), (2_000, False))
        self.assertTrue(decide(NOOR, "add_ink", Target(), lesson.facts, 9_000).allowed)
        self.assertEqual(carry_out(lesson, OpenLesson(), "tutor", 9_000).facts.mode, "down")
