"""Boards as SVG, web page, InkML, CSV and clear pictures: what is in them, and what never is."""

from __future__ import annotations

import base64
import csv
import hashlib
import io
import re
import tempfile
from contextlib import redirect_stderr, redirect_stdout
from pathlib import Path
from unittest import TestCase
from xml.etree.ElementTree import fromstring

import msgspec
import numpy as np
import pypdfium2
from fontTools.ttLib import TTFont
from hypothesis import HealthCheck, given, settings
from hypothesis import strategies as st
from lxml import etree
from PIL import Image

from sunroom.convert import main
from sunroom.core.board import (
    Board,
    InkItem,
    NoteItem,
    Page,
    PageHead,
    PictureItem,
    TableItem,
    TextItem,
    apply,
)
from sunroom.core.board.laying import laid_out
from sunroom.core.board.steps import AddItems, AddPage, MoveItems, RemoveItems, ReplaceItems
from sunroom.core.board.words import WrittenLine
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, page_png
from sunroom.core.formats.csv import table_csv
from sunroom.core.formats.drawing import Parts
from sunroom.core.formats.inkml import page_inkml, read_inkml, write_inkml
from sunroom.core.formats.making import MAX_STATES, Done, making_of
from sunroom.core.formats.package import write_package
from sunroom.core.formats.pages import page_box
from sunroom.core.formats.recorded import Recorded
from sunroom.core.formats.svg import Fonts, page_svg
from sunroom.core.formats.web_page import Controls, Voice, board_html
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.text import Span
from sunroom.resources import playing_script, typesetter
from tests import strategies as make
from tests.core.test_formats import page_with
from tests.core.test_pictures import picture

SVG = "{http://www.w3.org/2000/svg}"
NASTY = '</text><script>alert(1)</script> & "quotes" <b>'


def text(words: str, **more: object) -> TextItem:
    item = TextItem(id="text-001", x=40, y=40, text=words, size=24, colour="#16222b", **more)  # type: ignore[arg-type]
    return laid_out(item, typesetter())  # type: ignore[return-value]


def svg(page: Page, pictures: dict[str, bytes] | None = None, parts: Parts | None = None) -> str:
    return page_svg(page, typesetter(), "Shadow", pictures or {}, parts or Parts())


class Svg(TestCase):
    def test_typed_words_are_text_and_nothing_of_them_is_markup(self) -> None:
        root = fromstring(svg(page_with(text(NASTY))))
        said = "".join("".join(element.itertext()) for element in root.iter(f"{SVG}text"))
        self.assertEqual("".join(said.split()), "".join(NASTY.split()))
        self.assertEqual([element.tag for element in root.iter() if "script" in element.tag], [])

    @settings(max_examples=30, suppress_health_check=list(HealthCheck))
    @given(make.boards())
    def test_any_page_is_well_formed_and_as_large_as_what_is_saved(self, board: Board) -> None:
        for page in board.in_order():
            root, box = fromstring(svg(page)), page_box(page)
            found = [float(value) for value in root.attrib["viewBox"].split()]
            np.testing.assert_allclose(found, [box.x0, box.y0, box.width, box.height], atol=0.01)

    def test_fonts_bring_the_characters_that_are_used_and_no_others(self) -> None:
        fonts = Fonts(typesetter())
        self.assertEqual(fonts.family("sans", "noon"), "board-sans, sans-serif")
        data = re.search(r"base64,([^)]+)\)", fonts.css())
        assert data is not None
        font = TTFont(io.BytesIO(base64.b64decode(data[1])))
        self.assertEqual({chr(code) for code in font.getBestCmap()}, set("no"))

    def test_a_link_leads_out_without_saying_from_where(self) -> None:
        linked = text("a sundial", spans=(Span(0, 9, link="https://example.org/?a=1&b=2"),))
        (anchor,) = fromstring(svg(page_with(linked))).iter(f"{SVG}a")
        self.assertEqual(anchor.attrib["href"], "https://example.org/?a=1&b=2")
        self.assertIn("noreferrer", anchor.attrib["rel"])

    def test_pictures_are_inside_and_missing_ones_are_left_out(self) -> None:
        shown = PictureItem(id="shown-01", picture="picture-1", width=80, height=60, opacity=0.5)
        often = [msgspec.structs.replace(shown, id=f"shown-{n:02d}") for n in range(40)]
        page = page_with(*often)
        root = fromstring(svg(page, {"picture-1": picture()}))
        (image,) = root.iter(f"{SVG}image")
        self.assertTrue(
            image.attrib["href"].startswith("data:image/png;base64,"), "once, however often it is shown"
        )
        uses = list(root.iter(f"{SVG}use"))
        self.assertEqual({(u.attrib["href"], u.attrib["opacity"]) for u in uses}, {("#picture-1", "0.5")})
        self.assertEqual(len(uses), 40)
        self.assertNotIn("<use", svg(page))
        pages = [page, page]
        found = board_html(pages, ["", ""], [[], []], typesetter(), "", {"picture-1": picture()}, "en")
        self.assertEqual(found.count("<image"), 1)

    def test_what_is_left_out_is_not_there(self) -> None:
        note = laid_out(NoteItem(id="note-001", text="why", name="Noor", colour="#ffe6a7"), typesetter())
        page = page_with(note)
        self.assertIn("Noor", svg(page))
        self.assertNotIn("Noor", svg(page, parts=Parts(names=False)))
        self.assertIn("why", svg(page, parts=Parts(names=False)))
        self.assertNotIn("why", svg(page, parts=Parts(notes=False)))
        self.assertNotIn("<rect", svg(page, parts=Parts(paper=False)))
        self.assertLess(len(svg(page, parts=Parts(ruling=False))), len(svg(page)))


class WebPage(TestCase):
    def test_it_needs_nothing_but_itself_and_runs_nothing(self) -> None:
        page = page_with(text(NASTY))
        found = board_html([page], [NASTY], [[NASTY, "noon"]], typesetter(), NASTY, {}, "en")
        self.assertIn("default-src 'none'", found)
        self.assertNotIn("<script", found)
        self.assertEqual(re.findall(r"""(?:src|href)=["']?(?!data:|#)[^ ]+""", found), [])
        self.assertEqual(re.findall(r"url\((?!data:)", found), [])
        self.assertIn("<li>noon</li>", found, "what ink reads as is told")
        self.assertIn('<html lang="en">', found)

    def test_a_recorded_voice_is_told_with_its_pages_and_titles_are_text(self) -> None:
        page = page_with(text("noon"))
        making = making_of(page.head, [(4_000, AddItems("page-1", (text("noon"),)))])
        controls = Controls("Play", "Pause", "Place", "Speed", "Shorten", playing_script())
        voice = Voice(Recorded("audio/webm", b"sound", 61_000), NASTY, 3_500, ((0, 0), (60_500, 0)))
        found = board_html(
            [page], [NASTY], [[]], typesetter(), "", {}, "en", Parts(), [making], controls, [voice]
        )
        self.assertIn('data-begun="3500"', found)
        self.assertIn("data:audio/webm;base64,c291bmQ=", found)
        self.assertIn('<button data-at="60500" data-page="0">1:00 ', found)
        self.assertEqual(len(re.findall("<script", found)), 1)
        self.assertNotIn("media-src", board_html([page], ["Noon"], [[]], typesetter(), "", {}, "en"))

    def test_it_plays_how_it_was_made_by_the_projects_own_script_alone(self) -> None:
        first, second = text("noon"), text(NASTY)
        done: list[Done] = [
            (1_000, AddItems("page-1", (first,))),
            (9_000, MoveItems("page-1", ("text-001",), 5, 5)),
            (9_500, ReplaceItems("page-1", ("text-001",), (msgspec.structs.replace(second, id="text-002"),))),
        ]
        making = making_of(PageHead("page-1"), done)
        self.assertEqual(making.times, (0, 8_000, 8_500))
        self.assertEqual(making.short_times, (0, 1_200, 1_700))
        self.assertEqual(making.first_ms, 1_000)
        self.assertEqual(
            making.marks,
            {
                "text-001~0": 'data-s="0" data-e="1"',
                "text-001~1": 'data-s="1" data-e="2"',
                "text-002~2": 'data-s="2"',
            },
        )
        controls = Controls("Play", "Pause", '"Place"', "Speed", "Shorten", playing_script())
        found = board_html(
            [making.page], ["Noon"], [[]], typesetter(), "", {}, "en", Parts(), [making], controls
        )
        (script,) = re.findall(r"<script>(.*?)</script>", found, re.S)
        digest = base64.b64encode(hashlib.sha256(script.encode()).digest()).decode()
        self.assertIn("default-src 'none'", found)
        self.assertIn(f"script-src 'sha256-{digest}'", found)
        self.assertEqual(found.count("<g data-s="), 3)
        self.assertEqual(found.count("</g>"), 3)
        self.assertIn("&quot;Place&quot;", found)

    @settings(max_examples=30, suppress_health_check=list(HealthCheck))
    @given(make.boards(), st.data())
    def test_what_is_still_there_at_the_end_is_the_page(self, board: Board, data: st.DataObject) -> None:
        for page in board.in_order():
            items = tuple(page.in_order())
            done: list[Done] = [(0, AddPage(page.head, 0, items))]
            ids = [item.id for item in items]
            for at in range(data.draw(st.integers(0, 6)) if ids else 0):
                some = tuple(data.draw(st.lists(st.sampled_from(ids), min_size=1, unique=True)))
                one = (
                    RemoveItems(page.head.id, some)
                    if data.draw(st.booleans())
                    else MoveItems(page.head.id, some, 3, at)
                )
                done.append((at * 100, one))
            expected = Board()
            for _, step in done:
                expected = apply(expected, step)
            making = making_of(page.head, done)
            left = {
                uid.split("~")[0]: item
                for uid, item in making.page.items.items()
                if "data-e" not in making.marks[uid]
            }
            for uid, item in expected.pages[page.head.id].items.items():
                self.assertEqual(msgspec.structs.replace(left.pop(uid), id=uid), item)
            self.assertEqual(left, {})

    def test_more_than_a_browser_plays_is_refused(self) -> None:
        done: list[Done] = [(0, AddItems("page-1", (text("noon"),)))]
        done += [(n, MoveItems("page-1", ("text-001",), 1, 0)) for n in range(MAX_STATES)]
        with self.assertRaises(MalformedError):
            making_of(PageHead("page-1"), done)


class Pictures(TestCase):
    def test_without_its_paper_a_picture_is_clear_where_nothing_is_written(self) -> None:
        page = page_with(text("noon"))
        for parts, clear in ((Parts(), False), (Parts(paper=False, ruling=False), True)):
            found = Image.open(io.BytesIO(page_png(page, typesetter(), 400, parts=parts)))
            corner = found.convert("RGBA").getpixel((2, 2))
            self.assertEqual(corner[3] == 0, clear)  # type: ignore[index]

    def test_a_pdf_leaves_out_what_is_not_wanted(self) -> None:
        note = laid_out(NoteItem(id="note-001", text="why", name="Noor", colour="#ffe6a7"), typesetter())
        data = board_pdf([page_with(note)], typesetter(), "Shadows", parts=Parts(names=False))
        said = pypdfium2.PdfDocument(data)[0].get_textpage().get_text_range()
        self.assertIn("why", said)
        self.assertNotIn("Noor", said)


class Ink(TestCase):
    def test_a_page_s_ink_comes_back_with_its_places_pressure_and_time(self) -> None:
        rows = np.array([(0, 0, 0.2, 0), (30, 5, 0.6, 8), (60, 0, 0.5, 16)], float)
        looks = (("pen", "#16222b", 3), ("highlighter", "#f2c230", 24), ("pen", "#16222b", 3))
        ink = [
            InkItem(id=f"ink-{n:04d}", x=10 * n, y=20, z=n + 1, at_ms=5_000 + n, nib=nib, colour=colour, width=width, map=(2, 0, 0, 2), samples=pack_samples(rows))  # type: ignore[arg-type]
            for n, (nib, colour, width) in enumerate(looks)
        ]  # fmt: skip
        data = page_inkml(page_with(*ink, text("typed")))
        strokes = read_inkml(data)
        self.assertEqual(len(strokes), 3)
        for item, stroke in zip(ink, strokes, strict=True):
            samples = unpack_samples(item.samples)
            np.testing.assert_allclose(stroke[:, :2], item.placement.points(samples[:, :2]), atol=0.01)
            np.testing.assert_allclose(stroke[:, 2:], samples[:, 2:], atol=0.005)
        root = fromstring(data)
        name = "{http://www.w3.org/2003/InkML}"
        self.assertEqual(len(list(root.iter(f"{name}brush"))), 2, "one look, one brush")
        self.assertEqual({trace.attrib["contextRef"] for trace in root.iter(f"{name}trace")}, {"#board"})
        for document in (data, write_inkml([("noon", [rows])]), page_inkml(page_with())):
            _valid_inkml(document)
        self.assertEqual([t.attrib["timeOffset"] for t in root.iter(f"{name}trace")], ["0", "1", "2"])


def _valid_inkml(data: bytes) -> None:
    """Hold a file to the standard's own tables, and each reference to something that is there."""
    schema = etree.RelaxNG(file=Path(__file__).with_name("inkml.rng"))
    tree = etree.fromstring(data)
    schema.assertValid(tree)
    ids = {element.get("{http://www.w3.org/XML/1998/namespace}id") for element in tree.iter()}
    for element in tree.iter():
        for reference in (element.get("contextRef"), element.get("brushRef")):
            assert reference is None or reference[1:] in ids, reference


class Csv(TestCase):
    def table(self, *cells: str) -> TableItem:
        return TableItem(
            id="table-01", columns=(60.0, 60.0), rows=(20.0, 20.0), cells=cells, colour="#16222b"
        )

    def test_cells_come_back_as_they_were(self) -> None:
        cells = ("sun height", 'a "quoted", one', "2.14\nand more", "−1,5")
        rows = list(csv.reader(io.StringIO(table_csv(self.table(*cells)).decode("utf-8-sig"), newline="")))
        self.assertEqual([cell for row in rows for cell in row], list(cells))

    def test_nothing_runs_as_a_formula_and_numbers_stay_numbers(self) -> None:
        cells = ("+HYPERLINK(A1)", "-2,5", "@sum", "+3")
        rows = list(csv.reader(io.StringIO(table_csv(self.table(*cells)).decode("utf-8-sig"))))
        self.assertEqual([cell for row in rows for cell in row], ["'+HYPERLINK(A1)", "-2,5", "'@sum", "+3"])

    def test_of_what_is_worked_out_the_value_goes_out(self) -> None:
        cells = ("=2-6", "=HYPERLINK(A1)", "=cmd|' /C calc'!A0", "=A1/4")
        rows = list(csv.reader(io.StringIO(table_csv(self.table(*cells)).decode("utf-8-sig"))))
        self.assertEqual([cell for row in rows for cell in row], ["-4", "?", "?", "-1"])


class CommandLine(TestCase):
    def setUp(self) -> None:
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.board = Path(folder.name) / "lesson.board.zip"
        pages = [page_with(text("noon"), page_id="page-1"), page_with(page_id="page-2")]
        self.board.write_bytes(write_package("Shadows", pages, {}, {}))

    def convert(self, *arguments: str) -> tuple[int, list[str], str]:
        out, problem = io.StringIO(), io.StringIO()
        with redirect_stdout(out), redirect_stderr(problem):
            code = main([*arguments])
        return code, [Path(line).name for line in out.getvalue().splitlines()], problem.getvalue()

    def test_a_package_becomes_each_kind_of_file(self) -> None:
        for to, names, start in (
            ("pdf", ["lesson.pdf"], b"%PDF"),
            ("html", ["lesson.html"], b"<!doctype html>"),
            ("svg", ["lesson-1.svg", "lesson-2.svg"], b"<?xml"),
            ("png", ["lesson-1.png", "lesson-2.png"], b"\x89PNG"),
            ("inkml", ["lesson-1.inkml", "lesson-2.inkml"], b"<?xml"),
        ):
            self.assertEqual(self.convert("--to", to, str(self.board)), (0, names, ""))
            for name in names:
                self.assertTrue((self.board.parent / name).read_bytes().startswith(start), name)

    def test_inkml_becomes_a_package_and_the_package_ink_again(self) -> None:
        drawn = self.board.with_name("drawn.inkml")
        drawn.write_bytes(b'<ink xmlns="http://www.w3.org/2003/InkML"><trace>0 0, 10 5, 20 0</trace></ink>')
        self.assertEqual(self.convert("--to", "package", str(drawn))[:2], (0, ["drawn.board.zip"]))
        back = self.board.with_name("back.inkml")
        code, names, _ = self.convert(
            "--to", "inkml", str(self.board.with_name("drawn.board.zip")), "-o", str(back)
        )
        self.assertEqual((code, names), (0, ["back.inkml"]))
        (stroke,) = read_inkml(back.read_bytes())
        np.testing.assert_allclose(stroke[:, :2], [(0, 0), (10, 5), (20, 0)], atol=0.01)

    def test_what_is_no_board_gets_a_sentence_and_leaves_nothing(self) -> None:
        self.board.write_bytes(b"PK not really")
        code, names, problem = self.convert("--to", "pdf", str(self.board))
        self.assertEqual((code, names), (1, []))
        self.assertIn("no package", problem)
        self.assertEqual(self.convert("--to", "pdf", str(self.board) + ".gone")[0], 2)
        self.assertEqual([file.name for file in self.board.parent.iterdir()], ["lesson.board.zip"])


class UnseenWords(TestCase):
    def test_what_ink_says_can_be_searched_for_and_is_not_seen(self) -> None:
        page = page_with(text("typed"))
        lines = [WrittenLine("seat-a", 60, 300, ("how long is a shadow", "now long"))]
        plain = board_pdf([page], typesetter(), "Shadows")
        told = board_pdf([page], typesetter(), "Shadows", written=[lines])
        shown = [pypdfium2.PdfDocument(data)[0] for data in (plain, told)]
        self.assertIn("how long is a shadow", shown[1].get_textpage().get_text_range())
        self.assertNotIn("now long", shown[1].get_textpage().get_text_range())
        first, second = (np.asarray(one.render(scale=1).to_pil()) for one in shown)
        self.assertTrue((first == second).all())
