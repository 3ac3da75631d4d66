"""A room's boards over real lines: put away and brought back, copied, in their order; somebody let back, a lesson gone on with."""

from __future__ import annotations

import json
import threading
from concurrent.futures import ThreadPoolExecutor

from websockets.exceptions import ConnectionClosed

from sunroom.boards import store
from sunroom.boards.models import Board
from sunroom.boards.services import boards_of
from sunroom.core.board import PageHead
from sunroom.core.board.requests import Undo
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.lesson import EndLesson, OpenLesson
from sunroom.core.lesson.commands import Forget, LetBack, SendAway, SetPens
from sunroom.live.wire.messages import Frame, Goodbye, PageItems, Refused, Tell, Welcome
from tests.browser.base import LiveServer, wait_for
from tests.server.test_live import stroke
from tests.server.test_out import OutTest


class Boards(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/rooms/{self.link}/boards"
        self.other = self.tutor_web.post(self.path, {"title": "Hour lines"})["id"]

    def change(self, board: str, **wanted: object) -> int:
        return self.status(self.tutor_web, f"{self.path}/{board}", wanted, "PATCH")

    def titles(self) -> list[str]:
        return [board.title for board in boards_of(Board.objects.get(uid=self.board).room_id)]

    def items_of(self, uid: str) -> list[str]:
        (page,) = store.load(Board.objects.get(uid=uid).pk).in_order()
        return sorted(page.items)

    def test_a_board_put_away_sends_its_people_off_keeps_its_ink_and_comes_back_with_it(self) -> None:
        line = self.line("tutor", self.tutor_web, board=self.other)
        page = line.welcome().pages[0].id
        self.do(line, AddItems(page, (stroke("stroke-1"),)))
        self.assertEqual(self.change(self.other, away=True), 200)
        self.assertEqual(line.hear(Goodbye).reason, "board_gone")
        again = self.line("tutor", self.tutor_web, board=self.other)
        self.assertEqual(again.hear(Goodbye).reason, "no_board")
        self.assertEqual(self.titles(), ["Shadows"])
        self.assertEqual(self.change(self.board, away=True), 409, "one board stays in use")
        home = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))
        self.assertEqual([board["id"] for board in home["away"]], [self.other])
        self.assertEqual(self.change(self.other, away=False), 200)
        back = self.line("tutor", self.tutor_web, board=self.other)
        back.welcome()
        self.assertEqual([item.id for item in back.hear(PageItems).items], ["stroke-1"])

    def test_who_enters_while_a_board_is_put_away_is_off_it_and_what_was_answered_is_kept(self) -> None:
        stop = threading.Event()
        kept: list[str] = []
        told: list[str] = []

        def come_in_and_write(number: int) -> None:
            count = 0
            while not stop.is_set():
                line = self.tutor_web.line("tutor", self.link, board=self.other)
                try:
                    first = line.hear((Welcome, Goodbye))
                    if isinstance(first, Goodbye):
                        told.append(first.reason)
                        continue
                    item = f"stroke-{number}-{count:04d}"
                    count += 1
                    if not isinstance(
                        self.do(line, AddItems(first.pages[0].id, (stroke(item),)), item), Refused
                    ):
                        kept.append(item)
                    told.append(line.hear(Goodbye).reason)
                except ConnectionClosed:
                    pass  # it was sent off before its stroke came
                finally:
                    line.close()

        with ThreadPoolExecutor(3) as three:
            writers = [three.submit(come_in_and_write, number) for number in range(3)]
            try:
                for _ in range(6):
                    before = len(kept)
                    wait_for(lambda before=before: len(kept) > before, "somebody writes on it")
                    self.assertEqual(self.change(self.other, away=True), 200)
                    self.assertEqual(self.change(self.other, away=False), 200)
                self.assertEqual(self.change(self.other, away=True), 200)
            finally:
                stop.set()
            for writer in writers:
                writer.result()
        self.assertEqual(set(told) - {"board_gone", "no_board"}, set())
        self.assertEqual(
            self.line("tutor", self.tutor_web, board=self.other).hear(Goodbye).reason, "no_board"
        )
        self.assertEqual(self.change(self.other, away=False), 200)
        self.assertEqual(set(kept) - set(self.items_of(self.other)), set())

    def test_what_is_put_away_is_the_owner_s_alone_to_look_at(self) -> None:
        web, _, _ = self.come()
        path = f"/boards/{self.other}/board.pdf"
        self.assertEqual(self.status(web, path), 200)
        self.change(self.other, away=True)
        self.assertEqual(self.status(web, path), 404)
        self.assertEqual(self.status(self.tutor_web, path), 200)

    def test_a_copy_has_the_same_things_and_its_own_life(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        twin = self.tutor_web.post(f"{self.path}/{self.board}/copy", {})["id"]
        self.assertEqual(self.titles(), ["Shadows", "Shadows", "Hour lines"])
        self.assertEqual(self.items_of(twin), ["stroke-1"])
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-2"),)))
        self.assertEqual(self.items_of(twin), ["stroke-1"])

    def test_boards_keep_the_order_they_are_put_in(self) -> None:
        self.assertEqual(self.change(self.other, place=0), 200)
        self.assertEqual(self.titles(), ["Hour lines", "Shadows"])
        told = self.tutor.hear(Frame, lambda frame: bool(frame.boards) and frame.boards[0].id == self.other)
        self.assertEqual([card.title for card in told.boards], ["Hour lines", "Shadows"])
        self.change(self.other, place=10**12)
        self.assertEqual(self.titles(), ["Shadows", "Hour lines"])

    def test_nobody_but_the_owner_changes_a_board_and_bad_wishes_change_nothing(self) -> None:
        web, _, _ = self.come()
        for wanted in ({"away": True}, {"place": 0}, {"title": "Mine"}):
            self.assertEqual(self.status(web, f"{self.path}/{self.other}", wanted, "PATCH"), 403)
        self.assertEqual(self.status(web, f"{self.path}/{self.other}/copy", {}), 403)
        self.assertEqual(self.change("nothing-here", away=True), 404)
        for bad in ({"place": "first"}, {"away": 3}, {"title": "x" * 500}):
            self.assertEqual(self.change(self.other, **bad), 400, bad)
        self.assertEqual(self.titles(), ["Shadows", "Hour lines"])

    def bring(self, page: str, to: str, move: bool) -> int:
        path = f"{self.path}/{self.board}/pages/{page}"
        return self.status(self.tutor_web, path, {"board": to, "move": move}, "POST")

    def pages_on_disk(self, uid: str) -> list[tuple[str, list[str]]]:
        pages = store.load(Board.objects.get(uid=uid).pk).in_order()
        return [(page.head.title, sorted(item.by for item in page.items.values())) for page in pages]

    def test_a_page_goes_to_another_board_as_a_copy_or_altogether(self) -> None:
        noor, seat = self.student()
        self.tell(SetPens("up"))
        self.do(self.tutor, AddPage(PageHead("page-two", "Tasks"), 1))
        self.do(noor, AddItems("page-two", (stroke("stroke-1"),)))
        there = self.line("tutor", self.tutor_web, board=self.other)
        mine = there.welcome().seat
        self.assertEqual(self.bring("page-two", self.other, move=False), 200)
        self.assertEqual(self.pages_on_disk(self.other), [("", []), ("Tasks", [mine])])
        self.assertEqual(self.pages_on_disk(self.board), [("", []), ("Tasks", [seat])])
        landed = there.hear(Frame, lambda frame: frame.steps).steps[0]
        self.assertEqual((landed.step.head.title, landed.by), ("Tasks", mine), "who is there sees it come")
        self.assertEqual(self.bring("page-two", self.other, move=True), 200)
        self.assertEqual(self.pages_on_disk(self.other), [("", []), ("Tasks", [mine]), ("Tasks", [seat])])
        self.assertEqual(self.pages_on_disk(self.board), [("", [])])
        self.do(self.tutor, Undo())
        self.assertEqual(
            self.pages_on_disk(self.board), [("", []), ("Tasks", [seat])], "the way back is there"
        )

    def test_a_page_stays_where_it_is_when_it_cannot_go(self) -> None:
        before = self.pages_on_disk(self.board)
        self.assertEqual(self.bring(self.page, self.other, move=True), 409, "the last page")
        self.assertEqual(self.bring("nowhere-1", self.other, move=True), 409)
        self.assertEqual(self.bring(self.page, self.board, move=False), 409)
        self.assertEqual(self.bring(self.page, "nowhere-1", move=True), 409)
        self.change(self.other, away=True)
        self.assertEqual(self.bring(self.page, self.other, move=False), 409, "a board that was put away")
        web, _, _ = self.come()
        path = f"{self.path}/{self.board}/pages/{self.page}"
        self.assertEqual(self.status(web, path, {"board": self.other}, "POST"), 403)
        self.assertEqual(self.pages_on_disk(self.board), before)


class Back(OutTest):
    def test_who_was_sent_away_is_let_back_by_the_tutor_alone(self) -> None:
        web, line, seat = self.come()
        _, tomasz, _ = self.come("Tomasz")
        self.tell(SendAway(seat))
        line.hear(Goodbye)
        for command in (LetBack(seat), Forget(seat)):
            tomasz.send(Tell("tell-forged", command))
            self.assertEqual(tomasz.hear(Refused).id, "tell-forged")
        self.assertEqual(self.line("student", web).hear(Goodbye).reason, "sent_away")
        # The room goes to sleep and comes back.
        self.server.stop()
        self.server = LiveServer()
        self.tutor_web.base = web.base = self.server.url
        self.tutor = self.line("tutor", self.tutor_web)
        listed = [person for person in self.tutor.welcome().people if person.sent_away]
        self.assertEqual([(person.seat, person.name) for person in listed], [(seat, "Noor")])
        self.tell(LetBack(seat))
        self.assertEqual(self.line("student", web).welcome().seat, seat)

    def test_a_lesson_gone_on_with_keeps_its_clock_and_its_people(self) -> None:
        self.come()
        self.tell(SetPens("up"))
        self.tell(EndLesson())
        ended = self.line("tutor", self.tutor_web).welcome().lesson
        self.tell(OpenLesson(again=True))
        lesson = self.line("tutor", self.tutor_web).welcome().lesson
        self.assertTrue(lesson.facts.open)
        self.assertEqual(lesson.facts.mode, "down", "nobody writes before the tutor says so")
        self.assertEqual((lesson.opened_ms, lesson.started_ms), (ended.opened_ms, ended.started_ms))
        home = json.loads(self.tutor_web.get(f"/api/rooms/{self.link}"))
        self.assertIn("Noor", [person["name"] for person in home["attendance"]])
