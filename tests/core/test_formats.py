"""Boards as PDF and picture, InkML, and the command line."""

from __future__ import annotations

import contextlib
import io
import json
import sys
import tempfile
from pathlib import Path
from typing import get_args
from unittest import TestCase, mock

import msgspec
import numpy as np
import pikepdf
import pypdfium2
from PIL import Image

from sunroom import convert
from sunroom.core.board import Board, InkItem, Page, PageHead, Paper, ShapeItem, TextItem, apply
from sunroom.core.board.pages import Bay
from sunroom.core.board.rulings import Ruling, rules
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, page_png
from sunroom.core.formats.inkml import MAX_CHANNELS, PLAIN_BRUSH, ink_items, read_inkml
from sunroom.core.geometry import Box
from sunroom.core.ink import pack_samples
from sunroom.core.text import Span
from sunroom.resources import typesetter
from tests.core.test_ink import run_in_node


def page_with(*items, paper: Paper | None = None, page_id: str = "page-1") -> Page:
    board = apply(Board(), AddPage(PageHead(page_id, "", paper or Paper()), 0))
    return apply(board, AddItems(page_id, items)).pages[page_id] if items else board.pages[page_id]


def typed(text: str, size: float = 24, **more) -> TextItem:
    lines = typesetter().layout(text, size, more.get("wrap_width"), spans=more.get("spans", ()))
    return TextItem(id="text-001", x=80, y=60, text=text, size=size, colour="#1f5fa8", lines=lines, **more)


def stroke(nib: str = "pen", colour: str = "#b4472c") -> InkItem:
    rows = np.array([(0, 0, 0.2, 0), (60, 10, 0.8, 8), (120, 0, 0.4, 16)], float)
    return InkItem(id="ink-0001", x=100, y=200, nib=nib, colour=colour, width=8, samples=pack_samples(rows))


class Pdf(TestCase):
    def pdf(self, *pages: Page) -> pypdfium2.PdfDocument:
        return pypdfium2.PdfDocument(board_pdf(pages, typesetter(), "Shadows"))

    def test_typed_text_is_real_text_with_the_same_line_breaks(self) -> None:
        text = "tan θ → how long is the shadow at noon, 45°?"
        item = typed(text, wrap_width=220)
        self.assertGreater(len(item.lines), 2)
        found = self.pdf(page_with(item))[0].get_textpage().get_text_range()
        lines = ["".join(run.text for run in line.runs).strip() for line in item.lines]
        self.assertEqual([line.strip() for line in found.split("\r\n")], lines)

    def test_a_link_leads_to_its_address_where_it_stands(self) -> None:
        address = "https://example.org/shadows"
        item = typed("See the shadows", spans=(Span(0, 3), Span(3, 15, link=address)))
        page = page_with(item, paper=Paper("sheet", "plain", 800, 600))
        with pikepdf.open(io.BytesIO(board_pdf([page], typesetter(), "Shadows"))) as pdf:
            (link,) = pdf.pages[0].Annots
            left, bottom, right, top = (float(n) for n in link.Rect)
            self.assertEqual(str(link.A.URI), address)
            self.assertTrue(0 < left < right and 0 < bottom < top)
            self.assertGreater(right - left, 2 * (top - bottom))

    def test_a_bay_is_saved_with_the_page_on_its_own_or_not_at_all(self) -> None:
        for prints, pages, words in (("page", 1, True), ("own", 2, True), ("no", 1, False)):
            bay = Bay("bay-0001", 50, 40, 300, 120, "Noor tries", prints=prints)
            board = apply(Board(), AddPage(PageHead("page-1", "", Paper(kind="sheet"), bays=(bay,)), 0))
            page = apply(board, AddItems("page-1", (typed("noon"),))).pages["page-1"]
            document = self.pdf(page)
            self.assertEqual(len(document), pages)
            text = document[0].get_textpage().get_text_range()
            self.assertEqual(("noon" in text, "Noor tries" in text), (words, words), prints)
            if prints == "own":
                self.assertEqual([round(side / 0.75) for side in document[1].get_size()], [300, 120])
                self.assertIn("noon", document[1].get_textpage().get_text_range())

    def test_text_is_as_wide_in_the_file_as_in_the_layout(self) -> None:
        item = typed("Measure one shadow")
        page = self.pdf(page_with(item, paper=Paper("sheet", "plain", 800, 600)))[0]
        text_page = page.get_textpage()
        boxes = [text_page.get_charbox(i, loose=True) for i in range(text_page.count_chars())]
        width = (max(box[2] for box in boxes) - min(box[0] for box in boxes)) / 0.75
        self.assertAlmostEqual(width, item.lines[0].width, delta=0.5)

    def test_ink_is_vector_and_every_page_is_there(self) -> None:
        document = self.pdf(
            page_with(stroke()), page_with(page_id="page-2"), page_with(typed("Tasks"), page_id="page-3")
        )
        self.assertEqual(len(document), 3)
        kinds = {thing.type for thing in document[0].get_objects()}
        self.assertNotIn(pypdfium2.raw.FPDF_PAGEOBJ_IMAGE, kinds)
        self.assertIn(pypdfium2.raw.FPDF_PAGEOBJ_PATH, kinds)

    def test_a_sheet_has_its_size_and_an_endless_page_that_of_its_work(self) -> None:
        sheet = self.pdf(page_with(stroke(), paper=Paper("sheet", "plain", 794, 1123)))[0]
        self.assertAlmostEqual(sheet.get_width(), 794 * 0.75, delta=0.1)
        endless = self.pdf(page_with(stroke()))[0]
        self.assertLess(endless.get_width(), 240 * 0.75)

    def test_text_of_no_shipped_font_does_not_break_the_file(self) -> None:
        self.assertEqual(len(self.pdf(page_with(typed("空 sun")))), 1)

    def test_colours_and_places_in_the_picture(self) -> None:
        shape = ShapeItem(
            id="shape-01",
            x=20,
            y=20,
            figure="line",
            points=((0, 0), (300, 0)),
            closed=False,
            curved=False,
            colour="#2f7d5b",
            width=10,
        )
        page = page_with(stroke("highlighter", "#f2c41d"), shape, paper=Paper("sheet", "plain", 400, 300))
        picture = Image.open(io.BytesIO(page_png(page, typesetter(), 400))).convert("RGB")
        self.assertEqual(picture.size, (400, 300))
        self.assertEqual(picture.getpixel((150, 20)), (0x2F, 0x7D, 0x5B))
        red, _, blue = picture.getpixel((160, 207))
        self.assertGreater(blue, 0x1D + 60, "the highlighter lets the paper through")
        self.assertGreater(red, blue)
        self.assertEqual(picture.getpixel((380, 280)), (0xFF, 0xFE, 0xFA))


class InkMl(TestCase):
    def test_traces_with_force_and_time(self) -> None:
        data = b"""<ink xmlns="http://www.w3.org/2003/InkML"><traceFormat><channel name="X"/><channel name="Y"/>
            <channel name="F"/><channel name="T"/></traceFormat><trace>1 2 100 5, 3 4 200 13</trace></ink>"""
        (samples,) = read_inkml(data)
        np.testing.assert_allclose(samples, [(1, 2, 0.5, 0), (3, 4, 1, 8)])

    def test_differences_are_added_up(self) -> None:
        (samples,) = read_inkml(b"<ink><trace>10 20, '2 '1, 3 1, \"1 \"0</trace></ink>")
        np.testing.assert_allclose(samples[:, :2], [(10, 20), (12, 21), (15, 22), (19, 23)])

    def test_what_is_no_ink_is_refused(self) -> None:
        bomb = b'<!DOCTYPE ink [<!ENTITY a "ha">]><ink><trace>&a;</trace></ink>'
        channels = "".join(f'<channel name="{name}"/>' for name in ("X", "Y", *range(MAX_CHANNELS)))
        for data in (
            b"",
            b"<svg/>",
            b"<ink><trace>1 two</trace></ink>",
            b"<ink><trace></trace></ink>",
            bomb,
            f"<ink>{channels}<trace>1 2</trace></ink>".encode(),
            b"<ink",
        ):
            with self.assertRaises(MalformedError, msg=data):
                read_inkml(data)

    def test_a_brush_that_says_no_number_is_a_plain_pen(self) -> None:
        for value in ("nan", "inf", "wide"):
            properties = "".join(
                f'<brushProperty name="{name}" value="{value}"/>' for name in ("width", "transparency")
            )
            brush = f'<brush xml:id="b">{properties}</brush>'
            (item,) = ink_items(f'<ink>{brush}<trace brushRef="#b">1 2, 30 40</trace></ink>'.encode())
            self.assertEqual((item.width, item.opacity), PLAIN_BRUSH[2:])


class CommandLine(TestCase):
    def run_on(self, text: str | bytes, to: str) -> tuple[int, list[dict]]:
        """The command's exit code and answers for this standard input."""
        data = text if isinstance(text, bytes) else text.encode()
        out = io.TextIOWrapper(io.BytesIO())
        stdin = io.TextIOWrapper(io.BytesIO(data))
        with mock.patch.object(sys, "stdin", stdin), contextlib.redirect_stdout(out):
            code = convert.main(["--to", to])
        return code, [json.loads(line) for line in out.buffer.getvalue().splitlines()]

    def test_bad_lines_get_an_error_and_do_not_stop_the_rest(self) -> None:
        good = json.dumps({"strokes": [[[0, 0], [50, 1], [100, 0]]]})
        bad = [
            "nope",
            "{}",
            '{"strokes": [[]]}',
            '{"strokes": [[[1]]]}',
            '{"strokes": [[[0, 1e9], [1, 1]]]}',
            "[1]",
        ]
        code, answers = self.run_on("\n".join([good, *bad, good]), "shapes")
        self.assertEqual(code, 1)
        self.assertEqual(len(answers), len(bad) + 2)
        self.assertTrue(all(set(answer["error"]) == {"field", "message"} for answer in answers[1:-1]))
        self.assertEqual(answers[0], answers[-1])
        self.assertEqual(answers[0]["shapes"][0]["kind"], "line")

    def test_readings_come_best_first_from_strokes_with_two_three_or_four_numbers(self) -> None:
        from demo.hand import Hand

        strokes = [stroke.tolist() for stroke in Hand(3).write("shadow", 0, 0, 60)]
        lines = [json.dumps({"strokes": [[point[:n] for point in s] for s in strokes]}) for n in (2, 3, 4)]
        code, answers = self.run_on("\n".join(lines), "text")
        self.assertEqual(code, 0)
        for answer in answers:
            readings = answer["readings"]
            self.assertEqual(readings[0]["text"].lower(), "shadow")
            self.assertLessEqual(len(readings), 5)
            self.assertEqual(readings[0]["score"], max(reading["score"] for reading in readings))

    def test_no_strokes_are_nothing_and_no_error(self) -> None:
        self.assertEqual(self.run_on('{"strokes": []}', "shapes"), (0, [{"shapes": []}]))
        self.assertEqual(self.run_on('{"strokes": []}', "text"), (0, [{"readings": []}]))

    def test_an_inkml_file_is_one_input(self) -> None:
        with tempfile.TemporaryDirectory() as folder:
            file = Path(folder) / "line.inkml"
            file.write_text("<ink><trace>0 0, 50 1, 100 0</trace></ink>")
            out = io.TextIOWrapper(io.BytesIO())
            with contextlib.redirect_stdout(out):
                self.assertEqual(convert.main(["--to", "shapes", str(file)]), 0)
        self.assertEqual(json.loads(out.buffer.getvalue())["shapes"][0]["kind"], "line")
        self.assertEqual(self.run_on("<ink><trace>oops</trace></ink>", "shapes")[0], 1)


class Rulings(TestCase):
    """Paper is ruled by the same lines in files and in the browser."""

    def test_the_browser_rules_paper_as_the_core_does(self) -> None:
        box = Box(-130, -75, 400, 333)
        script = """
            import { rules } from './golden.js'
            const box = { minX: -130, minY: -75, maxX: 400, maxY: 333 }
            const all = ['plain', 'squares', 'dots', 'lines', 'handwriting', 'graph', 'isometric', 'polar']
            console.log(JSON.stringify(all.map((ruling) => rules(ruling, 36, box))))
        """
        shown = json.loads(run_in_node("export * from '/src/board/rulings.ts'\n", script))
        for ruling, marks in zip(get_args(Ruling), shown, strict=True):
            expected = [msgspec.structs.asdict(rule) for rule in rules(ruling, 36, box)]
            self.assertEqual(len(marks), len(expected), ruling)
            for mark, rule in zip(marks, expected, strict=True):
                for field in ("x", "y", "x1", "y1", "r"):
                    self.assertAlmostEqual(mark[field], rule[field], places=6, msg=f"{ruling} {field}")
                self.assertEqual(
                    (mark["kind"], mark["text"], mark["weight"]), (rule["kind"], rule["text"], rule["weight"])
                )

    def test_every_ruling_is_in_the_file(self) -> None:
        sizes = {}
        for ruling in get_args(Ruling):
            page = Page(PageHead("page-1", "", Paper("sheet", ruling, 400, 300)))
            sizes[ruling] = len(board_pdf([page], typesetter(), "Paper"))
        self.assertTrue(all(size > sizes["plain"] for ruling, size in sizes.items() if ruling != "plain"))
