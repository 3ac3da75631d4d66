"""Pens on the live line: who may write, and from when on. Against a real server."""

from __future__ import annotations

import msgspec

from sunroom.core.board import NoteItem, PageHead
from sunroom.core.board.requests import (
    ArrangeItems,
    RubItems,
    StyleItems,
    TransformItems,
    Typeset,
    Undo,
)
from sunroom.core.board.steps import AddItems, AddPage, ChangePage, MoveItems, RemoveItems, Style
from sunroom.core.geometry import Affine
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
from sunroom.live.wire.calls import Caption, Captioned
from sunroom.live.wire.messages import (
    Frame,
    Goodbye,
    Heard,
    Ping,
    Point,
    Pong,
    Refused,
    Say,
    Tell,
    Wet,
    You,
)
from tests.browser.base import wait_for
from tests.server.client import Web
from tests.server.test_live import LiveTest, stroke
from tests.words import in_words


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
