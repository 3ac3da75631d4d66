"""PDFs brought in: their pages as pictures and as vectors, and what is not taken."""

from __future__ import annotations

import io
from collections.abc import Mapping
from unittest import TestCase

import numpy as np
import pikepdf
import pypdfium2
from PIL import Image

from sunroom.core.board import Paper
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf
from sunroom.core.formats.documents import (
    MAX_BYTES,
    MAX_PAGES,
    PART_PX,
    document_page,
    page_part,
    page_picture,
    page_sizes,
    printed_lines,
)
from sunroom.resources import typesetter
from tests.core.test_formats import page_with
from tests.core.test_take_away import text
from tests.words import in_words


def document(
    *words: str,
    rotate: int = 0,
    password: str = "",
    script: bool = False,
    boxes: Mapping[str, tuple[int, ...]] | None = None,
) -> bytes:
    """A PDF with a page for each of ``words``, upright A5 unless ``boxes`` say otherwise."""
    sheet = Paper("sheet", "plain", 560, 794)
    data = board_pdf([page_with(text(said), paper=sheet) for said in words], typesetter(), "Worksheet")
    out = io.BytesIO()
    with pikepdf.open(io.BytesIO(data)) as pdf:
        for page in pdf.pages:
            page.obj.Rotate = rotate
            for name, sides in (boxes or {}).items():
                page.obj[f"/{name}"] = pikepdf.Array(sides)
            if script:
                act = pikepdf.Dictionary(S=pikepdf.Name.JavaScript, JS=pikepdf.String("app.alert(1)"))
                page.obj.AA = pikepdf.Dictionary(O=act)
                pdf.Root.OpenAction = act
        pdf.save(out, encryption=pikepdf.Encryption(owner="o", user=password) if password else False)
    return out.getvalue()


class Documents(TestCase):
    def test_pages_have_the_size_that_is_seen(self) -> None:
        self.assertEqual(
            [tuple(map(round, size)) for size in page_sizes(document("a", "b"))], [(420, 596)] * 2
        )
        self.assertEqual(
            [tuple(map(round, size)) for size in page_sizes(document("a", rotate=90))], [(596, 420)]
        )

    def test_a_page_becomes_a_picture_as_it_is_seen(self) -> None:
        for rotate, size in ((0, (141, 200)), (90, (200, 141))):
            shown = page_picture(document("noon", rotate=rotate), 0, 200)
            self.assertLessEqual(abs(shown.width_px - size[0]) + abs(shown.height_px - size[1]), 2)

    def test_its_parts_are_the_page_drawn_finer(self) -> None:
        for rotate in (0, 90, 180, 270):
            data = document("How long at noon?", rotate=rotate)
            whole = pypdfium2.PdfDocument(data)[0]
            side = 4 * PART_PX / max(whole.get_size())
            drawn = whole.render(scale=side).to_pil().convert("L")
            parts = [Image.open(io.BytesIO(page_part(data, 1, n % 4, n // 4))) for n in range(16)]
            joined = Image.new("L", (sum(p.width for p in parts[:4]), sum(p.height for p in parts[::4])))
            for n, part in enumerate(parts):
                joined.paste(part.convert("L"), ((n % 4) * part.width, (n // 4) * part.height))
            first, second = (np.asarray(image.resize((400, 400)), float) for image in (drawn, joined))
            self.assertLess(float(np.abs(first - second).mean()), 2.0, f"turned by {rotate}")
        for level, column, row in ((0, 0, 0), (4, 0, 0), (1, 4, 0), (3, 0, 16)):
            with self.assertRaises(MalformedError):
                page_part(data, level, column, row)

    def test_its_words_are_told_line_by_line_where_they_are_seen(self) -> None:
        for rotate in (0, 90, 180, 270):
            data = document("How long at noon?", rotate=rotate)
            (line,) = printed_lines(document_page(data, 0).vector)
            self.assertEqual(line.text, "How long at noon?")
            shown = np.asarray(Image.open(io.BytesIO(page_picture(data, 0, 1_000).data)).convert("L")) < 128
            rows, columns = np.nonzero(shown)
            sides = (shown.shape[1], shown.shape[0])
            seen = [
                columns.min() / sides[0],
                rows.min() / sides[1],
                columns.max() / sides[0],
                rows.max() / sides[1],
            ]
            told = [line.x, line.y, line.x + line.width, line.y + line.height]
            np.testing.assert_allclose(told, seen, atol=0.02, err_msg=f"turned by {rotate}")
        self.assertEqual(printed_lines(b"no page"), [])

    def test_in_a_saved_pdf_it_is_vectors_again_with_its_words(self) -> None:
        crooked = {"MediaBox": (0, 0, 0, 0)}, {"CropBox": (9, 9, 9, 9)}, {"CropBox": (-90, 300, 400, 900)}
        for rotate, boxes in (
            *((rotate, {}) for rotate in (0, 90, 180, 270)),
            *((0, box) for box in crooked),
        ):
            page = document_page(document("How long at noon?", rotate=rotate, boxes=boxes), 0)
            width, height = page.width_px, page.height_px
            sheet = page_with(paper=Paper("sheet", "plain", width / 4, height / 4, picture="picture-1"))
            saved = pypdfium2.PdfDocument(
                board_pdf([sheet], typesetter(), "Saved", {"picture-1": page.vector})
            )
            self.assertIn("How long at noon?", saved[0].get_textpage().get_text_range())
            drawn = saved[0].render(scale=2).to_pil().convert("L").resize((100, 100))
            seen = (
                pypdfium2.PdfDocument(page.vector)[0].render(scale=2).to_pil().convert("L").resize((100, 100))
            )
            apart = sum(abs(a - b) for a, b in zip(drawn.tobytes(), seen.tobytes(), strict=True)) / 10_000
            self.assertLess(apart, 4, (rotate, boxes))

    def test_nothing_that_acts_is_kept(self) -> None:
        page = document_page(document("noon", script=True), 0)
        with pikepdf.open(io.BytesIO(page.vector)) as kept:
            self.assertNotIn("/AA", kept.pages[0].obj)
            self.assertNotIn("/OpenAction", kept.Root)
        self.assertNotIn(b"JavaScript", page.vector)

    def test_what_is_not_taken_gets_a_sentence(self) -> None:
        many = io.BytesIO()
        with pikepdf.new() as pdf:
            for _ in range(MAX_PAGES + 1):
                pdf.add_blank_page(page_size=(100, 100))
            pdf.save(many)
        kilometre = io.BytesIO()
        with pikepdf.new() as pdf:
            pdf.add_blank_page(page_size=(100, 100))
            pdf.pages[0].MediaBox = pikepdf.Array([0, 0, 2_834_645, 100])
            pdf.save(kilometre)
        whole = document("noon")
        rows = [
            (b"", "no PDF"),
            (b"PK\x03\x04 a zip", "no PDF"),
            (b"%PDF-1.7 and nothing more", "no PDF"),
            (whole[: len(whole) // 3], "no PDF"),
            (document("noon", password="secret"), "password"),
            (many.getvalue(), "between 1 and"),
            (kilometre.getvalue(), "too large"),
            (b"%PDF-" + b"0" * MAX_BYTES, "larger than"),
        ]
        for data, said in rows:
            with self.assertRaises(MalformedError) as caught:
                page_sizes(data)
            self.assertIn(said, in_words(caught.exception))
        with self.assertRaises(MalformedError):
            document_page(whole, 1)

    def test_a_page_whose_vectors_cannot_be_had_is_its_picture(self) -> None:
        from sunroom.core.formats import documents

        self.assertEqual(documents._vector(b"%PDF-1.7 broken", 0), b"")
