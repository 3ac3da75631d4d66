"""Files of a board over HTTP: who gets which, and what is in them."""

from __future__ import annotations

import io
import urllib.request
from urllib.error import HTTPError

import pypdfium2
from PIL import Image

from sunroom.core.board import PageHead, TableItem, TextItem
from sunroom.core.board.pages import Bay
from sunroom.core.board.requests import EditPage, PutBay
from sunroom.core.board.steps import AddItems, AddPage, RemoveItems
from tests.server.client import Web
from tests.server.test_live import stroke
from tests.server.test_out import OutTest


class Files(OutTest):
    def setUp(self) -> None:
        super().setUp()
        self.do(self.tutor, AddPage(PageHead("page-two", "Tasks"), 1))
        words = TextItem(id="text-001", x=20, y=20, text="At noon", size=22, colour="#16222b")
        table = TableItem(
            id="table-01", columns=(60.0, 60.0), rows=(20.0,), cells=("a", "b"), colour="#16222b"
        )
        self.do(self.tutor, AddItems("page-two", (words, table, stroke("ink-0001"))))
        self.base = f"/boards/{self.board}"
        self.web, _, self.seat = self.come()

    def head(self, path: str) -> tuple[str, str]:
        """Kind and name of a file."""
        answer = self.web.open(urllib.request.Request(self.web.base + self.base + path))
        return answer.headers["Content-Type"], answer.headers["Content-Disposition"]

    def test_each_format_of_a_page_and_of_the_board(self) -> None:
        rows = [
            ("/board.pdf", "application/pdf", "Shadows 20"),
            ("/board.pdf?page=page-two", "application/pdf", "Shadows Tasks 20"),
            ("/board.html", "text/html; charset=utf-8", ".html"),
            ("/pages/page-two/page.png", "image/png", "Shadows Tasks 20"),
            ("/pages/page-two/page.svg", "image/svg+xml", ".svg"),
            ("/pages/page-two/page.inkml", "application/inkml+xml", ".inkml"),
            ("/pages/page-two/table-01.csv", "text/csv; charset=utf-8", ".csv"),
        ]
        for path, kind, name in rows:
            found, disposition = self.head(path)
            self.assertEqual(found, kind)
            self.assertTrue(disposition.startswith("attachment"), "it is kept, never run here")
            self.assertIn(name, disposition)
        pdf = pypdfium2.PdfDocument(self.web.get(f"{self.base}/board.pdf?page=page-two"))
        self.assertEqual(len(pdf), 1)
        self.assertIn("At noon", pdf[0].get_textpage().get_text_range())
        self.assertTrue(self.head("/board.pdf?page=page-two&print")[1].startswith("inline"))
        whole = pypdfium2.PdfDocument(self.web.get(f"{self.base}/board.pdf"))
        self.assertEqual([mark.get_title() for mark in whole.get_toc()], ["Page 1", "Tasks"])
        self.assertIn(b"At noon", self.web.get(f"{self.base}/board.html"))
        self.assertEqual(
            self.web.get(f"{self.base}/pages/page-two/table-01.csv").decode("utf-8-sig"), "a,b\r\n"
        )

    def test_a_pdf_for_printers_paper_and_of_bays(self) -> None:
        for query, size in (("paper=a4", (842, 595)), ("paper=letter&cut", (792, 612)), ("paper=a99", None)):
            page = pypdfium2.PdfDocument(self.web.get(f"{self.base}/board.pdf?{query}&page=page-two"))[0]
            if size:
                self.assertEqual(sorted(round(side) for side in page.get_size()), sorted(size))
        self.assertEqual(self.status(self.web, f"{self.base}/board.pdf?bays"), 404)
        self.do(self.tutor, PutBay("page-two", Bay("bay-0001", 0, 0, 300, 200, title="Ana")))
        pdf = pypdfium2.PdfDocument(self.web.get(f"{self.base}/board.pdf?bays"))
        self.assertEqual([mark.get_title() for mark in pdf.get_toc()], ["Ana"])

    def test_how_it_was_made_is_for_the_owner_alone_and_what_is_sent_has_none_of_it(self) -> None:
        self.do(self.tutor, RemoveItems("page-two", ("text-001",)))
        plain = self.tutor_web.get(f"{self.base}/board.html")
        self.assertNotIn(b"At noon", plain)
        self.assertNotIn(b"<script", plain)
        played = self.tutor_web.get(f"{self.base}/board.html?making")
        self.assertIn(b"At noon", played, "erased, and seen again when it is played")
        self.assertIn(b"script-src 'sha256-", played)
        self.assertEqual(self.status(self.web, f"{self.base}/board.html?making"), 404)

    def test_chosen_pages_come_in_the_boards_order_and_each_only_to_who_may_see_it(self) -> None:
        self.do(self.tutor, AddPage(PageHead("page-3", "Last"), 2))
        path = f"{self.base}/board.pdf?written&page=page-3+{self.page}"
        pdf = pypdfium2.PdfDocument(self.web.get(path))
        self.assertEqual([mark.get_title() for mark in pdf.get_toc()], ["Page 1", "Last"])
        self.do(self.tutor, EditPage("page-3", hidden=True))
        with self.assertRaises(HTTPError) as caught:
            self.web.get(path)
        self.assertEqual(caught.exception.code, 404)
        self.assertEqual(len(pypdfium2.PdfDocument(self.tutor_web.get(path))), 2)

    def test_a_student_takes_no_others_desk_away_with_the_board(self) -> None:
        for of, title in ((self.seat, "Noor's desk"), ("seat-of-another", "Another's desk")):
            head = PageHead(f"desk-{of}"[:20], title, writers="desk", desk_of=of, desk_from=self.page)
            self.do(self.tutor, AddPage(head, 2))

        def titles(web: Web, asked: str = "") -> list[str]:
            pdf = pypdfium2.PdfDocument(web.get(f"{self.base}/board.pdf{asked}"))
            return [mark.get_title() for mark in pdf.get_toc()][2:]

        self.assertEqual(titles(self.web), ["Noor's desk"])
        self.assertEqual(sorted(titles(self.tutor_web)), ["Another's desk", "Noor's desk"])
        self.assertNotIn(b"Another's desk", self.web.get(f"{self.base}/board.html"))

    def test_a_picture_is_as_wide_as_asked_within_reason(self) -> None:
        for asked, width in (("800", 800), ("1", 200), ("99999", 6_000), ("-5", 1_600), ("x", 1_600)):
            data = self.web.get(f"{self.base}/pages/page-two/page.png?width={asked}")
            self.assertLessEqual(abs(Image.open(io.BytesIO(data)).width - width), 1)

    def test_what_is_left_out_is_asked_for_by_name(self) -> None:
        data = self.web.get(f"{self.base}/pages/page-two/page.png?without=paper+ruling+nothing")
        self.assertEqual(Image.open(io.BytesIO(data)).mode, "RGBA")

    def test_hidden_pages_and_strangers_get_nothing(self) -> None:
        self.do(self.tutor, AddPage(PageHead("answers-1", "Answers", hidden=True), 2))
        paths = [f"{self.base}/pages/answers-1/page.{kind}" for kind in ("png", "svg", "inkml")]
        paths += [f"{self.base}/board.pdf?page=answers-1", f"{self.base}/board.html?page=answers-1"]
        for path in paths:
            self.assertEqual(self.status(self.web, path), 404, path)
            self.assertEqual(self.status(self.tutor_web, path), 200, path)
        self.assertNotIn(b"Answers", self.tutor_web.get(f"{self.base}/board.html"), "not even for the tutor")
        stranger = Web(self.server.url)
        for path in (f"{self.base}/board.html", f"{self.base}/pages/page-two/page.svg"):
            self.assertEqual(self.status(stranger, path), 404)

    def test_what_is_not_there_gets_a_sentence(self) -> None:
        for path in ("/pages/page-two/page.exe", "/pages/nowhere-1/page.png", "/pages/page-two/text-001.csv"):
            with self.assertRaises(HTTPError) as caught:
                self.web.get(self.base + path)
            self.assertEqual(caught.exception.code, 404)
            self.assertIn(b"problem", caught.exception.read())
