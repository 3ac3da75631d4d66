"""Moments of a board and the making of a page over HTTP: the owner's alone, out of the log, back by the live room."""

from __future__ import annotations

import json
from typing import Any

import msgspec

from sunroom.boards import models, store
from sunroom.boards.moments import MAX_MOMENTS, make
from sunroom.core.board import PageHead, TextItem
from sunroom.core.board.requests import Undo
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems, RemovePage
from sunroom.core.lesson import EndLesson
from sunroom.live.doors.moments import Making
from tests.browser.base import wait_for
from tests.server.client import Web
from tests.server.test_afterwards import asked
from tests.server.test_live import stroke
from tests.server.test_out import OutTest


class Moments(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.path = f"/api/boards/{self.board}/moments"

    def ask(self, method: str, end: str = "", sent: Any = None, web: Web | None = None) -> tuple[int, Any]:
        return asked(web or self.tutor_web, method, self.path + end, sent)

    def named(self, title: str = "Before") -> str:
        status, answer = self.ask("POST", "", {"title": title})
        self.assertEqual(status, 200)
        return str(answer["moments"][0]["id"])

    def ids(self) -> list[str]:
        """What lies on the first page, on the disk, by the log alone."""
        board = store.replay(models.Board.objects.get(uid=self.board).pk)
        return sorted(board.pages[self.page].items)

    def test_what_was_rubbed_out_comes_back_and_undo_takes_it_away(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"), stroke("stroke-2"))))
        moment = self.named()
        self.do(self.tutor, RemoveItems(self.page, ("stroke-1",)))
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-3"),)))
        _, then = self.ask("GET", f"/{moment}")
        self.assertEqual(
            [(p["page"], p["gone"], p["changed"]) for p in then["pages"]], [(self.page, False, True)]
        )
        self.assertTrue(
            self.tutor_web.get(f"{self.path}/{moment}/pages/{self.page}.png").startswith(b"\x89PNG")
        )
        end = f"/{moment}/pages/{self.page}"
        self.assertEqual(self.ask("POST", end, {"only_gone": True})[0], 200)
        self.assertEqual(self.ids(), ["stroke-1", "stroke-2", "stroke-3"])
        self.assertEqual(self.ask("POST", end, {})[0], 200)
        self.assertEqual(self.ids(), ["stroke-1", "stroke-2"])
        self.assertEqual(self.ask("POST", end, {})[0], 409, "it is so already")
        self.do(self.tutor, Undo())
        self.assertEqual(self.ids(), ["stroke-1", "stroke-2", "stroke-3"])

    def test_one_thing_comes_back_alone(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"), stroke("stroke-2"))))
        note = TextItem(id="text-001", x=400, y=300, text="at noon", size=22, colour="#16222b")
        self.do(self.tutor, AddItems(self.page, (note,)))
        moment = self.named()
        self.do(self.tutor, RemoveItems(self.page, ("stroke-1", "stroke-2", "text-001")))
        (page,) = self.ask("GET", f"/{moment}")[1]["pages"]
        ink, words = sorted(page["lost"], key=lambda thing: thing["words"])
        self.assertEqual((ink["ids"], words["words"]), (["stroke-1", "stroke-2"], "at noon"))
        for thing in (ink, words):
            self.assertTrue(0 <= thing["x"] <= thing["x"] + thing["width"] <= 1)
        end = f"/{moment}/pages/{self.page}"
        self.assertEqual(self.ask("POST", end, {"ids": words["ids"]})[0], 200)
        self.assertEqual(self.ids(), ["text-001"])
        self.assertEqual(self.ask("POST", end, {"ids": ["text-001", "nothing-1"]})[0], 409)
        self.do(self.tutor, Undo())
        self.assertEqual(self.ids(), [])

    def test_a_page_that_was_removed_comes_back_whole(self) -> None:
        self.do(self.tutor, AddPage(PageHead("page-two", "Two"), 1))
        self.do(self.tutor, AddItems("page-two", (stroke("stroke-9"),)))
        moment = self.named()
        self.do(self.tutor, RemovePage("page-two"))
        _, then = self.ask("GET", f"/{moment}")
        self.assertTrue(then["pages"][1]["gone"])
        self.assertEqual(self.ask("POST", f"/{moment}/pages/page-two", {})[0], 200)
        board = store.load(models.Board.objects.get(uid=self.board).pk)
        self.assertEqual(list(board.pages["page-two"].items), ["stroke-9"])

    def test_a_lesson_leaves_a_moment_as_it_begins_and_as_it_ends(self) -> None:
        self.do(self.tutor, AddItems(self.page, (stroke("stroke-1"),)))
        self.tell(EndLesson())
        kinds = lambda: [m["kind"] for m in json.loads(self.tutor_web.get(self.path))["moments"]]  # noqa: E731
        wait_for(lambda: "end" in kinds() or None, "the moment of the end")
        self.assertEqual(sorted(kinds()), ["end", "start"])

    def test_all_of_it_is_the_owners_alone(self) -> None:
        moment = self.named()
        noor, _, _ = self.come()
        for method, end, sent in (
            ("GET", "", None), ("POST", "", {"title": "Mine"}), ("GET", f"/{moment}", None), ("DELETE", f"/{moment}", None),
            ("GET", f"/{moment}/pages/{self.page}.png", None), ("POST", f"/{moment}/pages/{self.page}", {}),
        ):  # fmt: skip
            self.assertEqual(self.ask(method, end, sent, noor)[0], 404, end)
        self.assertEqual(asked(noor, "GET", f"/api/boards/{self.board}/pages/{self.page}/making")[0], 404)
        self.assertEqual(self.ask("GET", "/none")[0], 404)
        self.assertEqual(self.ask("POST", f"/{moment}/pages/none", {})[0], 404)
        for title in ("", "x" * 200, "a\u202eb"):
            self.assertEqual(self.ask("POST", "", {"title": title})[0], 400)

    def test_those_that_came_by_themselves_make_room_and_named_ones_do_not(self) -> None:
        board = models.Board.objects.get(uid=self.board)
        models.Moment.objects.all().delete()
        for _ in range(3):
            make(board, "start")
        for number in range(MAX_MOMENTS):
            make(board, "named", f"Named {number}")
        self.assertEqual(set(models.Moment.objects.values_list("kind", flat=True)), {"named"})
        self.assertIsNone(make(board, "end"))
        self.assertEqual(self.ask("POST", "", {"title": "One more"})[0], 409)
        self.assertEqual(self.ask("DELETE", f"/{models.Moment.objects.first().uid}")[0], 200)  # type: ignore[union-attr]
        self.named("One more")

    def test_the_making_of_a_page_is_told_in_parts_and_of_that_page_alone(self) -> None:
        self.do(self.tutor, AddPage(PageHead("page-two", "Two"), 1))
        for number in range(5):
            self.do(
                self.tutor, AddItems(self.page if number % 2 else "page-two", (stroke(f"stroke-{number}"),))
            )
        found: list[str] = []
        after = 0
        while True:
            path = f"/api/boards/{self.board}/pages/page-two/making?after={after}"
            part = msgspec.msgpack.decode(self.tutor_web.get(path), type=Making)
            found += [logged.step.__class__.__name__ for logged in part.steps]
            if part.whole:
                break
            after = part.after
        self.assertEqual(found, ["AddPage", "AddItems", "AddItems", "AddItems"])
        self.assertEqual(list(part.names.values()), ["Imani"])
