"""Pages on printers' paper: what lies on which sheet; and what a PDF tells those who listen to it."""

from __future__ import annotations

import io
from unittest import TestCase

import numpy as np
import pikepdf
import pypdfium2
from hypothesis import given
from hypothesis import strategies as st

from sunroom.core.board import NoteItem, Page, PageHead, PictureItem, TableItem, TextItem
from sunroom.core.board.laying import laid_out
from sunroom.core.board.pages import Bay, Paper
from sunroom.core.board.words import WrittenLine
from sunroom.core.formats import board_pdf
from sunroom.core.formats.sheets import EDGE, MAX_SHEETS, OVERLAP, SIZES, Sheets, sheets_for
from sunroom.core.text import Span
from sunroom.resources import typesetter
from tests.core.test_formats import page_with, stroke
from tests.core.test_pictures import picture

A4 = SIZES["a4"]
sides = st.floats(20, 14_400)


def words(uid: str, text: str, x: float, y: float, **more: object) -> TextItem:
    item = TextItem(id=uid, x=x, y=y, text=text, size=24, colour="#16222b", **more)  # type: ignore[arg-type]
    return laid_out(item, typesetter())  # type: ignore[return-value]


def pdf(page: Page, sheets: Sheets, **more: object) -> bytes:
    return board_pdf([page], typesetter(), "Shadows", sheets=sheets, names=["Noon"], **more)  # type: ignore[arg-type]


class Geometry(TestCase):
    @given(sides, sides, st.sampled_from(["endless", "roll", "sheet"]), st.booleans())
    def test_every_point_of_a_page_is_printed_and_neighbours_overlap(
        self, width: float, height: float, kind: str, cut: bool
    ) -> None:
        sheets = sheets_for(width, height, kind, Sheets("a4", cut))  # type: ignore[arg-type]
        self.assertLessEqual(len(sheets), MAX_SHEETS)
        self.assertEqual(len(sheets), sheets[0].columns * sheets[0].rows)
        for axis, length in ((0, width), (1, height)):
            shown = []
            for sheet in sheets:
                side, place = (sheet.width, sheet.x) if axis == 0 else (sheet.height, sheet.y)
                shown.append(((EDGE - place) / sheet.scale, (side - EDGE - place) / sheet.scale))
            shown = sorted({(round(a, 3), round(b, 3)) for a, b in shown})
            self.assertLess(shown[0][0], 0.01)
            self.assertGreater(shown[-1][1], length - 0.01)
            for (_, end), (start, _) in zip(shown, shown[1:], strict=False):
                self.assertAlmostEqual((end - start) * sheets[0].scale, OVERLAP, delta=0.1)

    def test_nothing_is_enlarged_and_only_what_may_be_is_cut(self) -> None:
        (small,) = sheets_for(100, 80, "endless", Sheets("a4", True))
        self.assertEqual(small.scale, 1.0)
        (sheet,) = sheets_for(2_000, 900, "sheet", Sheets("a4", True))
        self.assertEqual((sheet.width, sheet.height), A4[::-1], "it is turned as its page is")
        self.assertLess(sheet.scale, 1.0)
        roll = sheets_for(2_000, 9_000, "roll", Sheets("a4", True))
        self.assertEqual({one.columns for one in roll}, {1}, "its width stays together")
        self.assertGreater(len(roll), 1)


class Printed(TestCase):
    def wide(self) -> Page:
        return page_with(words("text-001", "west", 0, 0), words("text-002", "east", 1_500, 40), stroke())

    def test_a_page_is_cut_and_each_part_found_on_its_sheet(self) -> None:
        document = pypdfium2.PdfDocument(pdf(self.wide(), Sheets("a4", True)))
        self.assertEqual(len(document), 2)
        for page in document:
            self.assertEqual(sorted(round(side) for side in page.get_size()), [595, 842])
        (mark,) = document.get_toc()
        self.assertEqual((mark.get_title(), mark.get_dest().get_index()), ("Noon", 0))

    def test_a_fitted_page_looks_as_it_does_alone(self) -> None:
        page = page_with(words("text-001", "at noon", 40, 40), paper=Paper("sheet", "plain", 1_400, 990))
        alone, fitted = (pypdfium2.PdfDocument(pdf(page, sheets))[0] for sheets in (Sheets(), Sheets("a4")))
        self.assertEqual([round(side) for side in fitted.get_size()], [842, 595])
        inner = np.asarray(
            fitted.render(scale=2)
            .to_pil()
            .convert("L")
            .crop((57, 57, 1684 - 57, 1190 - 57))
            .resize((400, 280)),
            float,
        )
        whole = np.asarray(alone.render(scale=2).to_pil().convert("L").resize((400, 280)), float)
        self.assertLess(float(np.abs(inner - whole).mean()), 3.0)

    def test_links_work_on_the_sheet_they_lie_on(self) -> None:
        linked = words("text-003", "sundials", 1_500, 200, spans=(Span(0, 8, link="https://example.org/"),))
        page = page_with(linked, words("text-001", "west", 0, 0))
        with pikepdf.open(io.BytesIO(pdf(page, Sheets("a4", True)))) as document:
            found = [
                [float(side) for side in sheet.Annots[0].Rect] if "/Annots" in sheet else None
                for sheet in document.pages
            ]
            self.assertIsNone(found[0])
            place = found[-1]
            assert place is not None
            self.assertTrue(0 < place[0] < place[2] < float(document.pages[-1].MediaBox[2]))

    def test_each_bay_alone(self) -> None:
        bays = (Bay("bay-0001", 0, 0, 300, 200, title="Ana"), Bay("bay-0002", 400, 0, 300, 200))
        page = Page(PageHead("page-1", bays=bays), page_with(words("text-001", "noon", 20, 20)).items)
        document = pypdfium2.PdfDocument(pdf(page, Sheets(), bays_only=True))
        self.assertEqual([mark.get_title() for mark in document.get_toc()], ["Ana", "Noon 2"])
        self.assertIn("noon", document[0].get_textpage().get_text_range())


class Told(TestCase):
    """What a reader of tags hears, through pdfium."""

    def heard(self, data: bytes) -> list[tuple[str, str, str]]:
        """Tag, text and alternative text of each element, in the order of reading."""
        raw = pypdfium2.raw
        document = pypdfium2.PdfDocument(data)
        page = document[0]
        said: dict[int, str] = {}
        text_page = page.get_textpage()
        for thing in page.get_objects():
            number = raw.FPDFPageObj_GetMarkedContentID(thing.raw)
            if thing.type == raw.FPDF_PAGEOBJ_TEXT and number >= 0:
                size = raw.FPDFTextObj_GetText(thing.raw, text_page.raw, None, 0)
                buffer = (raw.FPDF_WCHAR * size)()
                raw.FPDFTextObj_GetText(thing.raw, text_page.raw, buffer, size)
                said[number] = said.get(number, "") + bytes(buffer)[: size - 2].decode("utf-16-le")
        tree = raw.FPDF_StructTree_GetForPage(page.raw)
        found: list[tuple[str, str, str]] = []

        def string(get: object, element: object) -> str:
            size = get(element, None, 0)  # type: ignore[operator]
            buffer = (raw.c_char * max(size, 2))()
            get(element, buffer, size)  # type: ignore[operator]
            return bytes(buffer)[: size - 2].decode("utf-16-le") if size else ""

        def walk(element: object) -> None:
            marks = [
                raw.FPDF_StructElement_GetMarkedContentIdAtIndex(element, n)
                for n in range(raw.FPDF_StructElement_GetMarkedContentIdCount(element))
            ]
            text = "".join(said.get(mark, "") for mark in marks)
            found.append(
                (
                    string(raw.FPDF_StructElement_GetType, element),
                    text,
                    string(raw.FPDF_StructElement_GetAltText, element),
                )
            )
            for n in range(raw.FPDF_StructElement_CountChildren(element)):
                child = raw.FPDF_StructElement_GetChildAtIndex(element, n)
                if child:
                    walk(child)

        for n in range(raw.FPDF_StructTree_CountChildren(tree)):
            walk(raw.FPDF_StructTree_GetChildAtIndex(tree, n))
        raw.FPDF_StructTree_Close(tree)
        return found

    def test_a_page_is_told_from_its_top_with_pictures_tables_and_what_ink_says(self) -> None:
        table = laid_out(
            TableItem(id="table-01", y=500, columns=(90.0, 90.0), rows=(30.0, 30.0), cells=("hour", "shadow", "12", "2.1"), head=True, colour="#16222b"),
            typesetter(),
        )  # fmt: skip
        page = page_with(
            words("text-002", "below", 0, 300),
            words("text-001", "above", 0, 10),
            laid_out(NoteItem(id="note-001", y=120, text="why", name="Noor", colour="#ffe6a7"), typesetter()),
            PictureItem(id="shown-01", y=700, picture="picture-1", width=80, height=60, text="a sundial"),
            table,
            stroke(),
        )
        lines = [WrittenLine("seat-a", 60, 400, ("how long is a shadow",))]
        found = self.heard(pdf(page, Sheets("a4"), pictures={"picture-1": picture()}, written=[lines]))
        told = [(tag, text.strip(), alt) for tag, text, alt in found if text or alt]
        self.assertEqual(
            told,
            [
                ("P", "above", ""),
                ("P", "whyNoor", ""),
                ("P", "below", ""),
                ("P", "how long is a shadow", ""),
                ("TH", "hour", ""),
                ("TH", "shadow", ""),
                ("TD", "12", ""),
                ("TD", "2.1", ""),
                ("Figure", "", "a sundial"),
            ],
        )
        self.assertEqual([tag for tag, _, _ in found].count("TR"), 2)

    def test_links_are_told_and_what_is_cut_is_not_told_twice(self) -> None:
        page = page_with(
            words("text-003", "sundials", 0, 0, spans=(Span(0, 8, link="https://example.org/"),))
        )
        with pikepdf.open(io.BytesIO(pdf(page, Sheets()))) as document:
            (paragraph,) = document.Root.StructTreeRoot.K[0].K
            link = paragraph.K[-1]
            (annotation,) = document.pages[0].Annots
            self.assertEqual((link.S, link.K[0].Obj.A.URI), ("/Link", "https://example.org/"))
            parents = list(document.Root.StructTreeRoot.ParentTree.Nums)
            self.assertEqual(parents[parents.index(annotation.StructParent) + 1].S, "/Link")
        wide = page_with(words("text-001", "west", 0, 0), words("text-002", "east", 1_500, 40))
        with pikepdf.open(io.BytesIO(pdf(wide, Sheets("a4", True)))) as document:
            self.assertNotIn("/StructTreeRoot", document.Root)
