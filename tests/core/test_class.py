"""The lesson's life besides pens: the door, the plan, pauses, time for a task, questions, kits that stay."""

from __future__ import annotations

from typing import get_args
from unittest import TestCase

from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    Admit,
    AnswerCheck,
    AskCheck,
    EndCheck,
    EndLesson,
    HandOver,
    Lesson,
    OpenLesson,
    PauseLesson,
    RaiseHand,
    Rename,
    SetBetween,
    SetCaller,
    SetCountdown,
    SetDoor,
    SetPens,
    SetPlan,
    SetPointing,
    SetRights,
    SetVoices,
    ShareCheck,
    ToPorch,
    TurnAway,
    arrive,
    as_seen,
    carry_out,
    code_fits,
    expire,
)
from sunroom.core.lesson.commands import Command, LowerHand, action_of
from sunroom.core.lesson.record import asked, described
from sunroom.core.pens import ACTIONS, Actor, Facts, Target, decide
from tests.words import said_by

NOOR = Actor("noor", "student", "Noor")
QUESTION = AskCheck("check-1", "How long at noon?", ("0.5 m", "1 m", "2 m"))


class ClassTest(TestCase):
    def setUp(self) -> None:
        self.lesson = carry_out(Lesson(Facts(open=False)), OpenLesson(), "tutor", 1_000)

    def after(self, *commands: object, seat: str = "tutor", now: int = 2_000) -> Lesson:
        lesson = self.lesson
        for command in commands:
            lesson = carry_out(lesson, command, seat, now)  # type: ignore[arg-type]
        return lesson


class Door(ClassTest):
    def test_a_code_is_good_however_it_is_spaced_and_cased_and_no_other_is(self) -> None:
        lesson = self.after(SetDoor("code", " Gnomon 12"))
        for given in ("gnomon12", "GNOMON 12", " gno mon12 "):
            self.assertTrue(code_fits(lesson, given), given)
        for given in ("", "gnomon", "gnomon123"):
            self.assertFalse(code_fits(lesson, given), given)
        self.assertFalse(code_fits(self.after(SetDoor("open")), ""))

    def test_a_code_is_neither_too_short_nor_too_long(self) -> None:
        for code in ("", "abc", "a" * 13):
            with self.assertRaises(MalformedError):
                self.after(SetDoor("code", code))

    def test_the_code_goes_with_the_door_and_stays_over_lessons(self) -> None:
        lesson = self.after(SetDoor("code", "gnomon"), EndLesson(), OpenLesson())
        self.assertEqual((lesson.door, lesson.code), ("code", "gnomon"))
        self.assertEqual(carry_out(lesson, SetDoor("knock"), "tutor", 3_000).code, "")

    def test_only_the_tutor_side_is_told_the_code(self) -> None:
        self.assertEqual(as_seen(self.after(SetDoor("code", "gnomon"))).code, "")


class Plan(ClassTest):
    def test_the_end_is_counted_from_the_first_student(self) -> None:
        lesson = self.after(SetPlan("Shadows", 900, 45))
        self.assertIsNone(lesson.ends_ms)
        lesson = arrive(lesson, "student", 60_000)
        self.assertEqual(lesson.ends_ms, 60_000 + 45 * 60_000)
        self.assertIsNone(carry_out(lesson, EndLesson(), "tutor", 70_000).ends_ms)

    def test_a_plan_made_before_the_lesson_is_there_when_it_opens_and_done_with_when_it_ends(self) -> None:
        lesson = carry_out(Lesson(Facts(open=False)), SetPlan("Shadows", 5_000, 45), "tutor", 1_000)
        lesson = carry_out(lesson, OpenLesson(), "tutor", 2_000)
        self.assertEqual((lesson.plan.title, lesson.plan.minutes), ("Shadows", 45))
        lesson = carry_out(lesson, EndLesson(), "tutor", 3_000)
        self.assertEqual((lesson.plan.title, lesson.plan.at_ms, lesson.plan.minutes), ("", None, 45))
        self.assertEqual(lesson.plan.pages, ())

    def test_a_plan_names_its_pages_once_each(self) -> None:
        full = tuple(f"{number:080d}" for number in range(20))
        self.assertEqual(self.after(SetPlan(pages=full)).plan.pages, full)
        plan = self.after(SetPlan("Shadows", pages=(" Warm-up ", "", "Measure", "Warm-up"))).plan
        self.assertEqual(plan.pages, ("Warm-up", "Measure"))

    def test_nonsense_is_refused(self) -> None:
        for plan in (
            SetPlan(minutes=0),
            SetPlan(minutes=5_000),
            SetPlan(at_ms=-1),
            SetPlan("x" * 300),
            SetPlan("a\x00"),
            SetPlan(pages=("x",) * 30),
            SetPlan(pages=("x" * 200,)),
            SetPlan(pages=("a\x00",)),
        ):
            with self.assertRaises(MalformedError):
                self.after(plan)


class Pausing(ClassTest):
    def test_nobody_writes_while_it_is_paused_and_pens_are_as_before_afterwards(self) -> None:
        paused = self.after(SetPens("up"), PauseLesson(True))
        self.assertEqual(decide(NOOR, "add_ink", Target(), paused.facts, 2_000).reason, "paused")
        self.assertTrue(decide(NOOR, "hand", Target(), paused.facts, 2_000).allowed)
        again = carry_out(paused, PauseLesson(False), "tutor", 3_000)
        self.assertTrue(decide(NOOR, "add_ink", Target(), again.facts, 3_000).allowed)

    def test_an_ended_lesson_is_not_paused(self) -> None:
        lesson = self.after(PauseLesson(True), EndLesson(), SetBetween("write"))
        self.assertTrue(decide(NOOR, "add_ink", Target(), lesson.facts, 2_000).allowed)


class Time(ClassTest):
    def test_a_countdown_runs_by_the_server_s_clock_until_it_is_stopped(self) -> None:
        lesson = self.after(SetCountdown(90, " Measure it "))
        assert lesson.countdown is not None
        self.assertEqual((lesson.countdown.until_ms, lesson.countdown.label), (92_000, "Measure it"))
        self.assertIs(expire(lesson, 200_000), lesson)
        self.assertIsNone(carry_out(lesson, SetCountdown(0), "tutor", 3_000).countdown)

    def test_it_is_neither_negative_nor_for_ever(self) -> None:
        for seconds in (-1, 100_000):
            with self.assertRaises(MalformedError):
                self.after(SetCountdown(seconds))


class Questions(ClassTest):
    def answered(self, *answers: tuple[str, int]) -> Lesson:
        lesson = self.after(QUESTION)
        for seat, option in answers:
            lesson = carry_out(lesson, AnswerCheck("check-1", option), seat, 3_000)
        return lesson

    def test_each_person_has_one_answer_and_may_change_it(self) -> None:
        lesson = self.answered(("noor", 0), ("tomasz", 2), ("noor", 1))
        assert lesson.check is not None
        self.assertEqual(dict(lesson.check.answers), {"noor": 1, "tomasz": 2})
        self.assertEqual(set(lesson.check.answered), {"noor", "tomasz"})

    def test_others_see_no_answers_until_they_are_shared_and_never_whose_they_are(self) -> None:
        lesson = self.answered(("noor", 0), ("tomasz", 2))
        seen = as_seen(lesson).check
        assert seen is not None
        self.assertEqual((seen.answers, set(seen.answered)), ((), {"noor", "tomasz"}))
        seen = as_seen(carry_out(lesson, ShareCheck(True), "tutor", 4_000)).check
        assert seen is not None
        self.assertEqual(sorted(seen.answers), [("", 0), ("", 2)])

    def test_a_late_answer_to_another_question_is_refused(self) -> None:
        lesson = self.answered()
        for answer in (AnswerCheck("check-0", 1), AnswerCheck("check-1", 3), AnswerCheck("check-1", -1)):
            with self.assertRaises(MalformedError):
                carry_out(lesson, answer, "noor", 3_000)

    def test_an_answer_when_nothing_is_asked_changes_nothing(self) -> None:
        self.assertEqual(carry_out(self.lesson, AnswerCheck("check-1", 0), "noor", 3_000), self.lesson)

    def test_questions_have_two_to_six_different_answers(self) -> None:
        for options in ((), ("yes",), ("yes", "yes"), ("yes", " "), tuple("abcdefg"), ("a", "x" * 300)):
            with self.assertRaises(MalformedError):
                self.after(AskCheck("check-2", "Well?", options))
        with self.assertRaises(MalformedError):
            self.after(AskCheck("", "Well?", ("yes", "no")))
        # As French is typed: with a space that is never a line's end.
        self.assertIsNotNone(
            self.after(AskCheck("check-2", "Combien\u00a0?", ("1\u202fm", "2\u202fm"))).check
        )

    def test_what_it_came_to_is_written_down(self) -> None:
        lesson = self.answered(("noor", 1), ("tomasz", 1))
        assert lesson.check is not None
        self.assertEqual(
            said_by(asked(lesson.check)), "Imani asked “How long at noon?”: 0.5 m 0; 1 m 2; 2 m 0."
        )
        self.assertIsNone(carry_out(lesson, EndCheck(), "tutor", 4_000).check)


class Kits(ClassTest):
    def test_the_room_s_kit_is_there_again_in_the_next_lesson_and_a_lesson_s_is_not(self) -> None:
        lesson = self.after(SetRights(("write",), room=True), SetRights(("note", "write")))
        self.assertEqual(lesson.facts.kit, ("note", "write"))
        lesson = carry_out(carry_out(lesson, EndLesson(), "tutor", 3_000), OpenLesson(), "tutor", 4_000)
        self.assertEqual(lesson.facts.kit, ("write",))

    def test_one_person_s_kit_ends_with_the_lesson(self) -> None:
        lesson = self.after(
            SetRights(("point",), "noor"),
            SetPointing(True),
            SetCaller("noor", muted=True),
            EndLesson(),
            OpenLesson(),
        )
        self.assertEqual((lesson.facts.kits, lesson.facts.pointing, lesson.facts.muted), ((), False, ()))

    def test_what_was_said_of_a_caller_last_counts(self) -> None:
        facts = self.after(SetCaller("noor", muted=True, unseen=True), SetCaller("noor", called=True)).facts
        self.assertEqual((facts.muted, facts.unseen, facts.called), ((), (), ("noor",)))
        facts = self.after(SetVoices("pens"), SetVoices("tutor_side", faces=True)).facts
        self.assertEqual((facts.voices, facts.faces), ("pens", "tutor_side"))


class RuleBook(TestCase):
    """Every command is some action of the rule book, and leading is not for students."""

    COMMANDS = (
        SetDoor("knock"), SetPlan(), SetCountdown(5), QUESTION, ShareCheck(True), EndCheck(), PauseLesson(True),
        Admit(), TurnAway("tomasz"), ToPorch("tomasz"), HandOver("tomasz"), Rename("tomasz", "Tom"),
        SetRights((), room=True), LowerHand("tomasz"), SetPointing(True), SetPointing(False),
        SetVoices("all"), SetVoices("pens"), SetVoices("tutor_side"), SetVoices("all", faces=True), SetVoices("pens", faces=True),
        SetVoices("tutor_side", faces=True), SetCaller("tomasz"), SetCaller("tomasz", muted=True), SetCaller("tomasz", unseen=True),
        SetCaller("tomasz", called=True),
    )  # fmt: skip

    def test_every_command_has_a_row(self) -> None:
        for kind in get_args(Command):
            fields = {"seat": "tomasz", "name": "Tom", "mode": "up", "role": "helper", "rights": (), "between": "view",
                      "door": "open", "seconds": 5, "id": "check-1", "question": "", "options": (), "option": 0,
                      "shared": True, "paused": True, "on": True, "who": "pens"}  # fmt: skip
            command = kind(**{name: fields[name] for name in kind.__struct_fields__ if name in fields})
            self.assertIn(action_of(command, "noor"), ACTIONS, kind)

    def test_a_student_leads_nothing(self) -> None:
        facts = Facts(mode="up")
        for command in self.COMMANDS:
            verdict = decide(NOOR, action_of(command, "noor"), Target(), facts, 0)
            self.assertFalse(verdict.allowed, command)
        for command in (AnswerCheck("check-1", 0), Rename("noor", "N"), RaiseHand()):
            self.assertTrue(decide(NOOR, action_of(command, "noor"), Target(), facts, 0).allowed, command)

    def test_the_record_has_words_for_all_that_changes_rights_or_lets_in(self) -> None:
        names = {"tomasz": "Tomasz"}
        for command in self.COMMANDS:
            if not isinstance(command, SetPlan | SetCountdown | AskCheck | ShareCheck | EndCheck | LowerHand):
                self.assertTrue(described(command, names), command)
        self.assertEqual(said_by(described(Admit("tomasz"), names)), "Imani let Tomasz in.")
        self.assertEqual(said_by(described(HandOver(""), names)), "Imani took the room back.")
