"""Boards as files on the command line: a package or InkML in, open formats out, without a server."""

from __future__ import annotations

import sys
from collections.abc import Iterator
from pathlib import Path

from sunroom.core.board import Board, InkItem, Page, PageHead, apply
from sunroom.core.board.steps import AddPage
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, page_png
from sunroom.core.formats.inkml import page_inkml, read_inkml
from sunroom.core.formats.package import read_package, write_package
from sunroom.core.formats.pictures import CleanPicture
from sunroom.core.formats.svg import page_svg
from sunroom.core.formats.web_page import board_html
from sunroom.core.ink import pack_samples
from sunroom.resources import typesetter
from sunroom.words import say

#: Of the whole board one file, and of each page one.
WHOLE, BY_PAGE = ("pdf", "html", "package"), ("svg", "png", "inkml")
ENDINGS = {"package": "board.zip"}
WIDTH_PX = 1_600
#: What ink without a look of its own is written with.
NIB, COLOUR, WIDTH = "pen", "#16222b", 3.0


def convert_file(source: Path, to: str, out: Path | None) -> int:
    """Write ``source`` as ``to`` beside it, or to ``out``; 0 when that is done, else what is wrong is said."""
    try:
        for name, data in converted(source.read_bytes(), source, to):
            target = out.with_name(f"{out.stem}{name}{out.suffix}") if out else None
            target = target or source.with_name(f"{_stem(source)}{name}.{ENDINGS.get(to, to)}")
            target.write_bytes(data)
            print(target)
    except MalformedError as error:
        print(f"{source}: {say(error.sentence.key, error.sentence.values)}", file=sys.stderr)
        return 1
    except OSError as error:
        print(f"{error.filename or source}: {error.strerror}", file=sys.stderr)
        return 2
    return 0


def converted(data: bytes, source: Path, to: str) -> Iterator[tuple[str, bytes]]:
    """Each file that ``data`` becomes, and what its name has more than the board's; raises MalformedError."""
    title, people, pages, pictures = _board(data, source)
    names = [page.head.title or f"{title} {number}" for number, page in enumerate(pages, 1)]
    match to:
        case "pdf":
            yield "", board_pdf(pages, typesetter(), title, pictures, names=names)
        case "html":
            nothing: list[list[str]] = [[] for _ in pages]
            yield "", board_html(pages, names, nothing, typesetter(), title, pictures, "en").encode()
        case "package":
            yield "", write_package(title, pages, people, pictures)
        case _:
            for number, (page, name) in enumerate(zip(pages, names, strict=True), 1):
                yield f"-{number}" if len(pages) > 1 else "", _page(page, name, to, pictures)


def _page(page: Page, name: str, to: str, pictures: dict[str, bytes]) -> bytes:
    if to == "svg":
        return page_svg(page, typesetter(), name, pictures).encode()
    return page_png(page, typesetter(), WIDTH_PX, pictures) if to == "png" else page_inkml(page)


def _board(data: bytes, source: Path) -> tuple[str, dict[str, str], list[Page], dict[str, bytes]]:
    """Title, people by seat, pages and pictures of a package, or of InkML as one page."""
    board, people, pictures = Board(), {}, {}
    if data.startswith(b"PK"):
        packed, clean = read_package(data, "", typesetter())
        title, people = packed.title, packed.people
        pictures = {uid: file.data for uid, file in clean.items() if isinstance(file, CleanPicture)}
        steps = [AddPage(page.head, number, page.items) for number, page in enumerate(packed.pages)]
    else:
        title = _stem(source)
        ink = tuple(
            InkItem(id=f"ink-{n:06d}", nib=NIB, colour=COLOUR, width=WIDTH, samples=pack_samples(stroke))  # type: ignore[arg-type]
            for n, stroke in enumerate(read_inkml(data))
        )
        steps = [AddPage(PageHead("page-1"), 0, ink)]
    for step in steps:
        board = apply(board, step)
    return title, people, board.in_order(), pictures


def _stem(source: Path) -> str:
    return source.name.split(".")[0] or "board"
