"""How long a reading and a figure take, in the worker as in a lesson, and a board as PDF."""

from __future__ import annotations

import io
import time

import msgspec
import numpy as np
import pikepdf

from bench.strokes import written
from bench.table import Row, percentiles, show
from demo.hand import Hand
from sunroom.core.board import Board, InkItem, PageHead, apply
from sunroom.core.board.requests import RubItems
from sunroom.core.board.requests.removing import rub
from sunroom.core.board.steps import AddItems, AddPage
from sunroom.core.formats import PdfDrawing, board_pdf
from sunroom.core.formats.pages import page_box
from sunroom.core.geometry import smooth_centreline
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.reading.picture import line_picture
from sunroom.resources import finder, reader, typesetter

WORDS = ("shadow", "stick", "length", "angle", "morning", "measure", "because", "triangle", "sundial", "noon")
LINES = ("how long is a shadow at noon in june", "measure the stick and then measure its shadow now")
RUB_AIM_MS = 50.0
WORD_AIM_MS, LINE_AIM_MS, SHAPE_AIM_MS, PDF_AIM_S = 200.0, 600.0, 50.0, 4.0


def run() -> list[Row]:
    the_reader = reader()
    rows = []
    for what, texts, aim in (
        ("typeset a word", WORDS, WORD_AIM_MS),
        ("typeset a line of 8 words", LINES, LINE_AIM_MS),
    ):
        written = [Hand(seed).write(text, 0, 0, 60) for seed in range(6) for text in texts]
        times = [_timed(the_reader.read, strokes) for strokes in written]
        base = [_timed(_model_alone, strokes) for strokes in written]
        rows.append(
            Row(
                what,
                show(times),
                f"the model alone {show(base)}",
                f"p95 ≤ {aim:.0f} ms",
                percentiles(times)[1] <= aim,
            )
        )
    sketches = [[Hand(seed).sketch([(0, 0), (200, 0), (200, 120), (0, 120), (0, 0)])] for seed in range(40)]
    times = [_timed(finder().find, sketch) for sketch in sketches]
    rows.append(
        Row("true up", show(times), "", f"p95 ≤ {SHAPE_AIM_MS:.0f} ms", percentiles(times)[1] <= SHAPE_AIM_MS)
    )
    return rows + [_rub(200), _rub(800), _pdf(20), _pdf(80)]


def _rub(count: int) -> Row:
    """One rub across ``count`` strokes of 60 samples, each of which it cuts; the base packs the pieces."""
    # Strokes that all lie under the path of the eraser, as a thick scribble would.
    items = tuple(msgspec.structs.replace(item, x=0.0, y=0.0) for item in written(count, 25))
    page = apply(apply(Board(), AddPage(PageHead("page-001"), 0)), AddItems("page-001", items)).pages[
        "page-001"
    ]
    path = tuple((x, 0.6 * x - 20, 6.0) for x in np.linspace(-20, 40, 24).tolist())
    request = RubItems("page-001", tuple(page.items), "bench-piece", path)
    times = [_timed(rub, page, request) for _ in range(12)]
    pieces = rub(page, request).items
    base = [_timed(lambda: [pack_samples(unpack_samples(p.samples)) for p in pieces]) for _ in range(12)]  # type: ignore[union-attr]
    aim, met = (
        (f"p95 ≤ {RUB_AIM_MS:.0f} ms", percentiles(times)[1] <= RUB_AIM_MS) if count == 200 else ("", None)
    )
    return Row(f"a rub across {count} strokes", show(times), f"packing the pieces {show(base)}", aim, met)


def _model_alone(strokes: list[np.ndarray]) -> None:
    reader()._recognise(line_picture([stroke[:, :2] for stroke in strokes]))


def _timed(work: object, *arguments: object) -> float:
    start = time.perf_counter()
    work(*arguments)  # type: ignore[operator]
    return (time.perf_counter() - start) * 1000


def _pdf(pages: int) -> Row:
    """Pages of 500 strokes; the base draws each stroke as the barest path that shows it: one thin line."""
    board, items = Board(), written(500, 25)
    for number in range(pages):
        board = apply(board, AddPage(PageHead(f"page-{number:03d}"), number))
        board = apply(board, AddItems(f"page-{number:03d}", items))
    start = time.perf_counter()
    data = board_pdf(board.in_order(), typesetter(), "Bench")
    took_s = time.perf_counter() - start
    start = time.perf_counter()
    bare = _bare_pdf(board)
    bare_s = time.perf_counter() - start
    with pikepdf.open(io.BytesIO(data)) as opened:
        assert len(opened.pages) == pages
    aim, met = ("≤ 4 s", took_s <= PDF_AIM_S) if pages == 20 else ("", None)
    value, base = (
        f"{took_s:.1f} s, {len(data) / 1e6:.1f} MB",
        f"thin lines without width {bare_s:.1f} s, {len(bare) / 1e6:.1f} MB",
    )
    return Row(f"PDF of {pages} × 500 strokes", value, base, aim, met)


def _bare_pdf(board: Board) -> bytes:
    drawing = PdfDrawing(typesetter(), "Bench")
    for page in board.in_order():
        drawing.begin_page(page_box(page), "#fffefa")
        for item in page.in_order():
            assert isinstance(item, InkItem)
            points = unpack_samples(item.samples)[:, :2] + (item.x, item.y)
            drawing.stroke(smooth_centreline(points), False, False, item.colour, item.width, 1.0)
    return drawing.finish()
