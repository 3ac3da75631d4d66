"""The class: rights of everyone and of one person, hands with words, chat, going and staying out."""

from __future__ import annotations

from unittest import TestCase

from sunroom.core.errors import MalformedError
from sunroom.core.lesson import (
    Lesson,
    LowerHands,
    OpenLesson,
    PassPen,
    PassToNext,
    RaiseHand,
    Said,
    SendAway,
    SetPens,
    SetRights,
    carry_out,
    check_said,
    hears,
    leave,
)
from sunroom.core.lesson.record import Entry, described, minutes_present
from sunroom.core.pens import KITS, Actor, Facts, Target, decide
from tests.words import said_by

NOOR, TOMASZ = Actor("seat-n", "student", "Noor"), Actor("seat-t", "student", "Tomasz")
IMANI, SASKIA = Actor("seat-i", "tutor", "Imani"), Actor("seat-s", "helper", "Saskia")


def lesson(*commands: object, at: int = 1_000) -> Lesson:
    """A lesson that is on, after commands, each given by the seat beside it or by the tutor."""
    state = carry_out(Lesson(Facts(open=False)), OpenLesson(), "seat-i", at)
    for command in commands:
        asked, seat = command if isinstance(command, tuple) else (command, "seat-i")
        state = carry_out(state, asked, seat, at)  # type: ignore[arg-type]
    return state


def may(state: Lesson, actor: Actor, action: str) -> bool:
    return decide(actor, action, Target(), state.facts, 2_000).allowed  # type: ignore[arg-type]


class Rights(TestCase):
    def test_a_kit_for_everyone_counts_for_every_pen(self) -> None:
        state = lesson(SetPens("up"), SetRights(tuple(KITS["notes only"])))
        self.assertTrue(may(state, NOOR, "add_note"))
        self.assertFalse(may(state, NOOR, "add_ink"))
        self.assertTrue(may(state, SASKIA, "add_ink"), "the tutor side needs no kit")

    def test_one_person_s_kit_counts_before_everyone_s_until_it_is_taken_away(self) -> None:
        state = lesson(SetPens("up"), SetRights(tuple(KITS["ink only"]), "seat-n"))
        self.assertTrue(may(state, NOOR, "add_ink"))
        self.assertFalse(may(state, NOOR, "add_text"))
        self.assertTrue(may(state, TOMASZ, "add_text"))
        state = carry_out(state, SetRights(None, "seat-n"), "seat-i", 1_000)
        self.assertTrue(may(state, NOOR, "add_text"))

    def test_chat_needs_no_pen_and_can_be_switched_off(self) -> None:
        state = lesson()
        self.assertTrue(may(state, NOOR, "chat_all"))
        quiet = carry_out(state, SetRights(("write", "chat_tutor")), "seat-i", 1_000)
        self.assertFalse(may(quiet, NOOR, "chat_all"))
        self.assertTrue(may(quiet, NOOR, "chat_tutor"))

    def test_only_the_tutor_side_sets_rights_and_only_the_tutor_roles(self) -> None:
        state = lesson(SetPens("up"))
        for action in ("set_rights", "send_away"):
            self.assertFalse(may(state, NOOR, action))
            self.assertTrue(may(state, SASKIA, action))
        self.assertFalse(may(state, SASKIA, "set_role"))
        self.assertTrue(may(state, IMANI, "set_role"))


class Hands(TestCase):
    def test_a_hand_carries_a_word_that_goes_down_with_it(self) -> None:
        state = lesson((RaiseHand(), "seat-n"), (RaiseHand("stuck"), "seat-n"), (RaiseHand("done"), "seat-t"))
        self.assertEqual(state.hands, ("seat-n", "seat-t"))
        self.assertEqual(dict(state.words), {"seat-n": "stuck", "seat-t": "done"})
        state = carry_out(state, PassPen("seat-n"), "seat-i", 1_000)
        self.assertEqual(dict(state.words), {"seat-t": "done"})
        self.assertEqual(carry_out(state, LowerHands(), "seat-i", 1_000).words, ())

    def test_pass_to_next_takes_the_last_pen_and_gives_it_to_the_first_hand(self) -> None:
        state = lesson(PassPen("seat-t"), (RaiseHand(), "seat-n"), (RaiseHand(), "seat-e"), PassToNext())
        self.assertEqual([pen.seat for pen in state.facts.passed], ["seat-n"])
        self.assertEqual(state.hands, ("seat-e",))
        again = carry_out(carry_out(state, PassToNext(), "seat-i", 1_000), PassToNext(), "seat-i", 1_000)
        self.assertEqual([pen.seat for pen in again.facts.passed], ["seat-e"], "nobody asks: the pen stays")


class Leaving(TestCase):
    def test_who_is_sent_away_leaves_no_pen_hand_or_kit_behind(self) -> None:
        state = lesson(
            PassPen("seat-n"), PassPen("seat-t"), SetRights(("write",), "seat-n"), (RaiseHand(), "seat-n")
        )
        gone = leave(state, "seat-n", 2_000)
        self.assertEqual([pen.seat for pen in gone.facts.passed], ["seat-t"])
        self.assertEqual((gone.hands, gone.facts.kits), ((), ()))


class Chat(TestCase):
    def line(self, seat: str, to: str) -> Said:
        return Said(1, seat, "somebody", to, "when is noon?")

    def test_who_hears_what(self) -> None:
        table = [
            ("seat-n", "all", {NOOR, TOMASZ, IMANI, SASKIA}),
            ("seat-n", "tutor_side", {NOOR, IMANI, SASKIA}),
            ("seat-i", "seat-t", {TOMASZ, IMANI, SASKIA}),
        ]
        for seat, to, expected in table:
            heard = {actor for actor in (NOOR, TOMASZ, IMANI, SASKIA) if hears(actor, self.line(seat, to))}
            self.assertEqual(heard, expected, (seat, to))

    def test_what_cannot_be_seen_is_left_out_and_nothing_is_refused(self) -> None:
        self.assertEqual(check_said("  noon\u202e?\x00 "), "noon?")
        for text in ("", " \u200b ", "x" * 1_001):
            with self.assertRaises(MalformedError):
                check_said(text)


class Record(TestCase):
    def entry(self, at_min: float, what: str, seat: str = "seat-n") -> Entry:
        return Entry(round(at_min * 60_000), seat, "somebody", what)  # type: ignore[arg-type]

    def test_minutes_add_up_over_comings_and_goings_inside_the_lesson(self) -> None:
        entries = [
            self.entry(0, "came"), self.entry(5, "went"), self.entry(8, "came"), self.entry(8, "came"),
            self.entry(20, "went"), self.entry(1, "came", "seat-t"), self.entry(2, "did", "seat-e"),
        ]  # fmt: skip
        minutes = minutes_present(entries, 2 * 60_000, 15 * 60_000)
        self.assertEqual(
            {seat: round(value, 3) for seat, value in minutes.items()}, {"seat-n": 10.0, "seat-t": 13.0}
        )
        self.assertEqual(minutes_present([], 0, 1), {})

    def test_every_change_of_rights_has_its_words_and_a_hand_has_none(self) -> None:
        names = {"seat-n": "Noor"}
        table = {
            SetPens("up"): "Imani put pens up.",
            PassPen("seat-n", 3): "Imani passed a pen to Noor for 3 minutes.",
            SetRights((), "seat-n"): "Imani changed what Noor’s pen may do.",
            SendAway("seat-x"): "Imani sent ? away.",
            RaiseHand(): "",
        }
        for command, words in table.items():
            self.assertEqual(said_by(described(command, names)), words)
