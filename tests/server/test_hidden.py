"""Pages that only the tutor side sees: nothing of them reaches anybody else, on whatever way."""

from __future__ import annotations

from typing import Any

import msgspec
import pypdfium2

from sunroom.core.board import PageHead
from sunroom.core.board.requests import CopyPage, EditPage, Undo
from sunroom.core.board.steps import AddItems, AddPage, MovePage, RemovePage
from sunroom.core.geometry import Box
from sunroom.core.lesson import SetPens, SetPointing, SetRole
from sunroom.live.wire.messages import (
    Frame,
    Inspect,
    Lead,
    Look,
    PageItems,
    Ping,
    Point,
    Pong,
    Refused,
    Wet,
    You,
)
from sunroom.live.wire.readings import Read
from tests.browser.base import LiveServer
from tests.server.client import Line, Web
from tests.server.test_live import LiveTest, stroke

SECRET = "answers-1"


class Hidden(LiveTest):
    def setUp(self) -> None:
        super().setUp()
        self.tell(SetPens("up"))
        self.do(self.tutor, AddPage(PageHead(SECRET, "Answers", hidden=True), 0))
        self.do(self.tutor, AddItems(SECRET, (stroke("secret-1"),)))

    def everything(self, line: Line) -> str:
        """All that a line has heard so far."""
        line.send(Ping(1.0))
        line.hear(Pong)
        return str([msgspec.to_builtins(message) for message in line.heard])

    def end(self, line: Line) -> Any:
        """The last frame with steps or numbers that a line hears when the tutor writes once more."""
        landed = self.do(self.tutor, AddItems(self.page, (stroke(f"last-{self.number:04d}"),)))
        return line.hear(Frame, lambda frame: any(step.seq == landed.seq for step in frame.steps))

    def test_a_student_hears_nothing_of_a_hidden_page_until_it_is_shown(self) -> None:
        noor, _ = self.student()
        self.tutor.send(Look(SECRET))
        self.do(self.tutor, AddItems(SECRET, (stroke("secret-2"),)))
        self.tutor.send(Wet("secret-3", SECRET, "pen", "#16222b", 3, 0, stroke("x").samples))
        self.tutor.send(Point(SECRET, 1, 1))
        self.tutor.send(Point(SECRET, 2, 2, stay=True))
        late, _ = self.student("Tomas")
        self.end(noor)
        self.end(late)
        for line in (noor, late):
            told = self.everything(line)
            self.assertNotIn("secret-", told)
            self.assertNotIn("Answers", told)
        self.do(self.tutor, EditPage(SECRET, hidden=False))
        shown = noor.hear(Frame, lambda frame: frame.steps).steps[0].step
        self.assertEqual(shown.head.id, SECRET)
        self.assertEqual(sorted(item.id for item in shown.items), ["secret-1", "secret-2"])
        self.do(self.tutor, EditPage(SECRET, hidden=True))
        gone = noor.hear(Frame, lambda frame: frame.steps).steps[0].step
        self.assertEqual(gone, RemovePage(SECRET))

    def test_numbers_go_on_for_those_who_are_not_told_the_steps(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        noor = self.line("student", web)
        noor.welcome()
        first = self.do(self.tutor, AddItems(SECRET, (stroke("secret-2"),)))
        self.assertEqual(noor.hear(Frame, lambda frame: frame.passed).passed, (first.seq,))
        noor.close()
        last = self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        self.do(self.tutor, AddItems(SECRET, (stroke("secret-3"),)))
        back = self.line("student", web, have_seq=first.seq).welcome()
        self.assertEqual([logged.seq for logged in back.missed], [last.seq])
        self.assertEqual((back.pages, back.seq), (None, last.seq + 1))

    def test_a_forged_client_can_neither_write_on_it_nor_ask_about_it(self) -> None:
        noor, _ = self.student()
        for request in (
            AddItems(SECRET, (stroke("forged-1"),)),
            CopyPage(SECRET, "copied-1"),
            EditPage(SECRET, title="Mine"),
            EditPage(self.page, hidden=True),
            AddPage(PageHead("mine-001", hidden=True), 0),
            MovePage(SECRET, 1),
            RemovePage(SECRET),
        ):
            before = self.state()
            self.assertIsInstance(self.do(noor, request), Refused, request)
            self.assertEqual(self.state(), before)
        noor.send(Read(1, SECRET, ("secret-1",)))
        noor.send(Inspect(1, SECRET, "secret-1"))
        noor.send(Wet("forged-2", SECRET, "pen", "#16222b", 3, 0, stroke("x").samples))
        noor.send(Look(SECRET))
        standing = noor.hear(You, lambda you: you.page == SECRET).standing
        self.assertFalse(standing.writing.allowed)
        self.assertEqual(standing.writing.reason, "page_hidden")
        self.assertNotIn("secret-1", self.everything(noor).replace("forged", ""))

    def test_what_a_student_wrote_before_it_was_hidden_cannot_be_taken_back_meanwhile(self) -> None:
        noor, _ = self.student()
        self.do(self.tutor, EditPage(SECRET, hidden=False))
        self.do(noor, AddItems(SECRET, (stroke("mine-0001"),)))
        self.do(self.tutor, EditPage(SECRET, hidden=True))
        self.refused(noor, Undo(), "page_hidden")
        self.do(self.tutor, EditPage(SECRET, hidden=False))
        self.assertNotIsInstance(self.do(noor, Undo()), Refused)

    def test_a_student_s_new_page_comes_where_they_meant_it_among_what_they_see(self) -> None:
        noor, _ = self.student()
        self.do(noor, AddPage(PageHead("mine-001"), 1))
        fresh = self.line("tutor", self.tutor_web)
        self.assertEqual([head.id for head in fresh.welcome().pages], [SECRET, self.page, "mine-001"])

    def test_a_helper_sees_it_and_a_helper_no_more_does_not(self) -> None:
        noor, seat = self.student()
        self.tell(SetRole(seat, "helper"))
        self.do(self.tutor, AddItems(SECRET, (stroke("secret-2"),)))
        noor.hear(Frame, lambda frame: any(step.seq for step in frame.steps if "secret-2" in str(step)))
        self.tell(SetRole(seat, "student"))
        noor.heard.clear()
        self.do(self.tutor, AddItems(SECRET, (stroke("secret-3"),)))
        self.end(noor)
        self.assertNotIn("secret-3", self.everything(noor))

    def test_nobody_is_led_to_it_and_hiding_lets_everybody_go(self) -> None:
        noor, _ = self.student()
        self.tutor.send(Lead(SECRET, Box(0, 0, 9, 9), hold=True))
        self.assertEqual(self.tutor.hear(Refused).reason, "page_hidden")
        self.do(self.tutor, EditPage(SECRET, hidden=False))
        self.tutor.send(Lead(SECRET, Box(0, 0, 9, 9), hold=True))
        self.assertEqual(noor.hear(Lead).page, SECRET)
        self.do(self.tutor, EditPage(SECRET, hidden=True))
        self.assertEqual(noor.hear(Lead).page, "")

    def test_what_is_hidden_and_who_may_point_is_the_same_after_a_stop(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        self.tell(SetPointing(True))
        self.server.stop()
        self.server = LiveServer()
        self.tutor_web.base = web.base = self.server.url
        welcome = self.line("tutor", self.tutor_web).welcome()
        self.assertEqual(
            [(head.id, head.hidden) for head in welcome.pages or ()], [(SECRET, True), (self.page, False)]
        )
        self.assertTrue(welcome.lesson.facts.pointing)
        seen = self.line("student", web).welcome().pages or ()
        self.assertEqual([head.id for head in seen], [self.page])

    def test_it_is_in_the_package_and_not_in_the_pdf(self) -> None:
        package = self.tutor_web.get(f"/boards/{self.board}/board.zip")
        pdf = self.tutor_web.get(f"/boards/{self.board}/board.pdf")
        self.assertIn(b"board.json", package)
        self.assertEqual(len(pypdfium2.PdfDocument(pdf)), 1)
        again = self.line("tutor", self.tutor_web)
        again.welcome()
        again.hear(PageItems, lambda part: part.page == SECRET)
