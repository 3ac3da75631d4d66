"""Looking words up on the boards of a room: typed and written ones, by the owner alone."""

from __future__ import annotations

import json
from unittest import mock
from urllib.error import HTTPError
from urllib.parse import quote

from demo.hand import Hand
from sunroom.boards.models import PageReading
from sunroom.core.board import InkItem, TextItem
from sunroom.core.board.pages import PageHead
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems
from sunroom.core.ink import pack_samples
from sunroom.live.doors import search
from tests.server.client import Web
from tests.server.test_live import LiveTest


class Search(LiveTest):
    def write(self, words: str, page: str, y: float = 200) -> list[str]:
        strokes = [
            InkItem(
                id=f"ink-{page}-{y:.0f}-{number:03d}",
                nib="pen",
                colour="#16222b",
                width=3,
                samples=pack_samples(stroke),
            )
            for number, stroke in enumerate(Hand(9, 0.4).write(words, 150, y, 54))
        ]
        self.do(self.tutor, AddItems(page, tuple(strokes)))
        return [item.id for item in strokes]

    def look(self, wanted: str) -> dict[str, object]:
        path = f"/api/rooms/{self.link}/words?wanted={quote(wanted)}"
        return json.loads(self.tutor_web.get(path))  # type: ignore[no-any-return]

    def places(self, wanted: str) -> list[tuple[object, object, object]]:
        """(page, how, text) of each place, when all ink has been read."""
        while (answer := self.look(wanted))["unread"]:
            pass
        return [(f["page"], f["how"], f["text"]) for f in answer["found"]]  # type: ignore[attr-defined]

    def test_typed_and_written_words_are_found_until_they_go(self) -> None:
        self.do(self.tutor, AddPage(PageHead("page-two"), 1))
        typed = TextItem(id="text-001", x=20, y=20, text="Noon at the Gnomon", size=22, colour="#16222b")
        self.do(self.tutor, AddItems("page-two", (typed,)))
        ids = self.write("three at noon", self.page)
        self.assertEqual(
            self.places("noon"),
            [(self.page, "written", "three at noon"), ("page-two", "typed", "Noon at the Gnomon")],
        )
        self.assertEqual(self.places("gnomon noon"), [("page-two", "typed", "Noon at the Gnomon")])
        self.assertEqual(self.places("midnight"), [])
        self.assertEqual(self.places(""), [])
        self.do(self.tutor, RemoveItems(self.page, tuple(ids)))
        self.assertEqual(self.places("three"), [])

    def test_ink_is_read_once_until_it_changes(self) -> None:
        self.write("then at three", self.page)
        self.places("three")
        first = PageReading.objects.get()
        self.places("then")
        self.assertEqual(PageReading.objects.get().mark, first.mark)
        self.write("noon", self.page, 400)
        self.assertEqual(self.places("noon"), [(self.page, "written", "noon")])
        self.assertNotEqual(PageReading.objects.get().mark, first.mark)

    def test_ink_is_read_again_when_its_writers_hand_is_better_known(self) -> None:
        self.write("noon", self.page)
        self.places("noon")
        before = PageReading.objects.get().mark
        path, letter = f"/api/doors/tutor/{self.link}/hand", Hand(9, 0.4).write("n", 10, 50, 40)
        self.tutor_web.post(path, {"text": "n", "strokes": [stroke.tolist() for stroke in letter]})
        self.assertEqual(self.places("noon"), [(self.page, "written", "noon")])
        self.assertNotEqual(PageReading.objects.get().mark, before)

    def test_what_there_was_no_time_to_read_is_said(self) -> None:
        self.write("noon", self.page)
        with mock.patch.object(search, "READING_S", -1.0):
            answer = self.look("noon")
        self.assertEqual((answer["found"], answer["unread"]), ([], 1))

    def test_others_are_not_told(self) -> None:
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        with self.assertRaises(HTTPError) as refused:
            web.get(f"/api/rooms/{self.link}/words?wanted=noon")
        self.assertEqual(refused.exception.code, 403)

    def test_more_ink_than_can_be_told_is_not_read_for_whoever_asks(self) -> None:
        self.write("three at noon", self.page)
        with (
            mock.patch.object(search, "MOST_HEARD", 2),
            mock.patch.object(search.ink_jobs, "read_page") as read,
        ):
            self.assertEqual(self.writing(self.tutor_web, self.page), [])
        read.assert_not_called()

    def writing(self, web: Web, page: str) -> list[dict[str, object]]:
        while (answer := json.loads(web.get(f"/api/boards/{self.board}/pages/{page}/writing")))["unread"]:
            pass
        return answer["lines"]  # type: ignore[no-any-return]

    def test_those_who_listen_are_told_what_a_page_s_ink_reads_as_and_where_it_lies(self) -> None:
        self.write("three at noon", self.page)
        self.write("then", self.page, 400)
        web = Web(self.server.url)
        web.enter(self.link, "Noor")
        three, then = sorted(self.writing(web, self.page), key=lambda line: line["y"])  # type: ignore[arg-type, return-value]
        self.assertEqual((three["texts"][0], then["texts"][0]), ("three at noon", "then"))  # type: ignore[index]
        self.assertEqual(three["by"], self.tutor.heard[0].seat)
        self.assertLess(abs(float(str(three["x"])) - 150), 30)
        self.do(self.tutor, AddPage(PageHead("page-two", hidden=True), 1))
        self.assertEqual(self.writing(self.tutor_web, "page-two"), [])
        with self.assertRaises(HTTPError):
            self.writing(web, "page-two")
        with self.assertRaises(HTTPError):
            self.writing(Web(self.server.url), self.page)
