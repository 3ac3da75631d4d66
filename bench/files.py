"""Files in and out against their aims: a PDF in, a photo flattened, a package opened, a playing begun."""

from __future__ import annotations

import io
import time
from collections.abc import Callable
from typing import Any

import numpy as np
import pikepdf
import pypdfium2
from PIL import Image

from bench.strokes import written
from bench.table import Row
from sunroom.core.board import Board, PageHead, Paper, apply
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.formats.documents import document_page
from sunroom.core.formats.kept import VERSIONS, decode_kept, encode_kept
from sunroom.core.formats.lifted_ink import lift_ink
from sunroom.core.formats.package import read_package, write_package
from sunroom.core.formats.paper_photo import find_paper, flatten_paper
from sunroom.core.formats.pictures import clean_picture
from sunroom.resources import typesetter
from tests.paper_photos import photo

SHEET = Paper("sheet", "squares", 1123, 794)


def run() -> list[Row]:
    return [*_pdf_in(), *_photo(), *_package(), *_playing()]


def _seconds(job: Callable[[], Any]) -> float:
    begun = time.perf_counter()
    job()
    return time.perf_counter() - begun


def _row(what: str, seconds: float, base: str, aim_s: float) -> Row:
    return Row(what, f"{seconds:.2f} s", base, f"≤ {aim_s:g} s", seconds <= aim_s)


def _board(strokes: int) -> Board:
    """A page full of writing."""
    return apply(Board(), AddPage(PageHead("page-one", "", SHEET), 0, written(strokes, 100)))


def _pdf_in() -> list[Row]:
    """Worksheets of text and lines; the base is pdfium's drawing alone."""
    out = io.BytesIO()
    with pikepdf.new() as document:
        for _ in range(30):
            page = document.add_blank_page(page_size=(595, 842))
            lines = "\n".join(f"1 w 60 {40 + 18 * n} m 530 {40 + 18 * n} l S" for n in range(42))
            page.Contents = document.make_stream(lines.encode())
        document.save(out)
    data = out.getvalue()
    first = _seconds(lambda: document_page(data, 0))
    whole = first + _seconds(lambda: [document_page(data, number) for number in range(1, 30)])

    def drawn() -> None:
        document = pypdfium2.PdfDocument(data)
        for page in document:
            page.render(scale=2_400 / 842)

    return [
        _row("first page of a 30-page PDF", first, "", 2),
        _row("30-page PDF brought in", whole, f"drawn only {_seconds(drawn):.2f} s", 10),
    ]


def _photo() -> list[Row]:
    data = clean_picture(_large(photo(np.random.default_rng(3), (150, 110, 70))[0])).data
    found = find_paper(data)
    assert found is not None
    flat = flatten_paper(data, found)
    plain = _seconds(
        lambda: Image.open(io.BytesIO(data)).convert("RGB").resize((flat.width_px, flat.height_px))
    )
    looked = _seconds(lambda: find_paper(data))
    took = _seconds(lambda: flatten_paper(data, found))
    lifted = _seconds(lambda: lift_ink(flat.data))
    return [
        _row(
            "photo of 4 MP: sheet found and flattened",
            looked + took,
            f"opened and resized {plain:.2f} s",
            1.5,
        ),
        Row("its ink lifted", f"{lifted:.2f} s"),
    ]


def _large(data: bytes) -> bytes:
    """The photo as a camera of 12 MP takes it."""
    out = io.BytesIO()
    Image.open(io.BytesIO(data)).resize((3_000, 4_000)).save(out, "JPEG", quality=85)
    return out.getvalue()


def _package() -> list[Row]:
    page = _board(10_000).in_order()[0]
    data = write_package("Bench", [page], {}, {})
    small = write_package("Bench", _board(2_500).in_order(), {}, {})
    took = _seconds(lambda: read_package(data, "seat-a", typesetter()))
    quarter = _seconds(lambda: read_package(small, "seat-a", typesetter()))
    return [_row("package of 10,000 strokes opened", took, f"2,500 strokes {quarter:.2f} s", 3)]


def _playing() -> list[Row]:
    """What the server does before a playing begins: decoding 10,000 steps; the browser begins with the first 2,000."""
    steps = [encode_kept(AddItems("page-one", (item,))) for item in written(10_000, 100)]
    whole = _seconds(lambda: [decode_kept("step", body, VERSIONS["step"]) for body in steps])
    first = _seconds(lambda: [decode_kept("step", body, VERSIONS["step"]) for body in steps[:2_000]])
    return [_row("first 2,000 of 10,000 steps of a playing read", first, f"all {whole:.2f} s", 1)]
