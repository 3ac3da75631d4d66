"""Files made and taken, for worker processes: what a job says and takes can be sent to one."""

from __future__ import annotations

from base64 import b64encode
from pathlib import Path
from typing import Literal

import msgspec

from sunroom import resources
from sunroom.core.board import Item, Page
from sunroom.core.board.words import WrittenLine, typed_words
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, package, page_png
from sunroom.core.formats.documents import (
    PrintedLine,
    document_page,
    document_words,
    page_part,
    page_picture,
    page_sizes,
    printed_lines,
)
from sunroom.core.formats.drawing import ALL, Parts
from sunroom.core.formats.inkml import page_inkml, read_labelled_inkml
from sunroom.core.formats.kept import SNAPSHOT_VERSION, decode_page
from sunroom.core.formats.lifted_ink import lift_ink, paced
from sunroom.core.formats.making import Done, making_of
from sunroom.core.formats.media import Medium
from sunroom.core.formats.opened import things_in
from sunroom.core.formats.package import Packed, read_package, write_package
from sunroom.core.formats.paper_photo import Corners, find_paper, flatten_paper
from sunroom.core.formats.pictures import CleanPicture, clean_picture, small_picture
from sunroom.core.formats.recorded import Chapter, Recorded, whole
from sunroom.core.formats.room_package import RoomFacts, read_room, write_room
from sunroom.core.formats.sheets import Sheets
from sunroom.core.formats.svg import page_svg
from sunroom.core.formats.web_page import Controls, Voice, board_html
from sunroom.core.ink import pack_samples
from sunroom.core.sentences import Sentence

#: What stands on the shelf besides pages.
Material = Literal["picture", "pdf"]

#: A page on its way to a worker, packed as in a snapshot: pickling thousands of items would hold up the loop.
PackedPage = tuple[bytes, bytes]


def _page(packed: PackedPage) -> Page:
    return decode_page(*packed, SNAPSHOT_VERSION)


def make_pdf(
    pages: list[PackedPage],
    names: list[str],
    title: str,
    pictures: dict[str, bytes],
    language: str,
    parts: Parts,
    written: list[list[WrittenLine]],
    sheets: Sheets,
    bays_only: bool,
) -> bytes:
    found, typesetter = [_page(page) for page in pages], resources.typesetter()
    return board_pdf(found, typesetter, title, pictures, language, parts, names, written, sheets, bays_only)


def make_html(
    pages: list[PackedPage],
    titles: list[str],
    heard: list[list[str]],
    title: str,
    pictures: dict[str, bytes],
    language: str,
    parts: Parts,
    done: list[bytes],
    controls: Controls | None,
    voices: list[Voice],
) -> bytes | Sentence:
    """``done`` are the steps of each page's making as MessagePack, when they are to be played."""
    found, typesetter = [_page(page) for page in pages], resources.typesetter()
    try:
        makings = [
            making_of(page.head, msgspec.msgpack.decode(steps, type=list[Done]))
            for page, steps in zip(found, done, strict=False)
        ]
    except MalformedError as error:
        return error.sentence
    return board_html(
        found, titles, heard, typesetter, title, pictures, language, parts, makings, controls, voices
    ).encode()


def whole_recording(mime: str, data: bytes, chapters: list[Chapter]) -> Recorded | Sentence:
    """The recording as one file, or why there is none."""
    try:
        return whole(mime, data, chapters)
    except MalformedError as error:
        return error.sentence


def make_picture(page: PackedPage, width_px: int, pictures: dict[str, bytes], parts: Parts = ALL) -> bytes:
    return page_png(_page(page), resources.typesetter(), width_px, pictures, parts)


def make_svg(page: PackedPage, title: str, pictures: dict[str, bytes], parts: Parts) -> bytes:
    return page_svg(_page(page), resources.typesetter(), title, pictures, parts).encode()


def make_inkml(page: PackedPage) -> bytes:
    return page_inkml(_page(page))


def take_document(path: str) -> list[tuple[float, float]] | Sentence:
    """The sizes of a PDF's pages, or the sentence that says why it is not taken."""
    try:
        return page_sizes(Path(path).read_bytes())
    except MalformedError as error:
        return error.sentence


def document_thumb(data: bytes, number: int, side_px: int) -> bytes | Sentence:
    """A small picture of a page of a PDF."""
    try:
        return page_picture(data, number, side_px).data
    except MalformedError as error:
        return error.sentence


def take_document_page(data: bytes, number: int) -> CleanPicture | Sentence:
    """A page of a PDF for the board."""
    try:
        return document_page(data, number)
    except MalformedError as error:
        return error.sentence


def vector_part(data: bytes, level: int, column: int, row: int) -> bytes | Sentence:
    """A part of a page of a document, as finely as it is looked at."""
    try:
        return page_part(data, level, column, row)
    except MalformedError as error:
        return error.sentence


def vector_lines(data: bytes) -> list[PrintedLine]:
    """The printed words of a page of a document."""
    return printed_lines(data)


def take_picture(data: bytes) -> CleanPicture | Sentence:
    """The cleaned picture, or the sentence that says why it is none: errors do not travel well."""
    try:
        return clean_picture(data)
    except MalformedError as error:
        return error.sentence


def take_things(name: str, data: bytes) -> list[Item] | Sentence:
    """What a file of words, a table or ink holds, or the sentence that says why it is not opened."""
    try:
        return things_in(name, data, resources.typesetter())
    except MalformedError as error:
        return error.sentence


def find_sheet(data: bytes) -> Corners:
    """Where a sheet of paper lies in a kept picture; () when none is seen."""
    return find_paper(data) or ()


def flatten_sheet(data: bytes, corners: Corners, whiten: bool) -> CleanPicture | Sentence:
    try:
        return flatten_paper(data, corners, whiten)
    except MalformedError as error:
        return error.sentence


class Lifted(msgspec.Struct):
    """A stroke that was found in a picture; its samples in px, as in core.ink.samples, in base64."""

    samples: str
    width: float
    colour: str


def lift_strokes(data: bytes) -> list[Lifted]:
    """The strokes of a kept picture, as if written at an even speed."""
    return [
        Lifted(b64encode(pack_samples(paced(stroke.points))).decode(), stroke.width, stroke.colour)
        for stroke in lift_ink(data)
    ]


def take_hand(data: bytes) -> list[tuple[str, list[bytes]]] | Sentence:
    """The labelled samples of a hand in an InkML file, or the sentence that says why there are none."""
    try:
        return [
            (text, [pack_samples(stroke) for stroke in strokes])
            for text, strokes in read_labelled_inkml(data)
        ]
    except MalformedError as error:
        return error.sentence


def make_room_package(facts: RoomFacts, boards: list[str], others: dict[str, str]) -> bytes:
    """The file of a room; ``boards`` are the files of its board packages, ``others`` those of all else by name."""
    beside = {name: Path(file).read_bytes() for name, file in others.items()}
    return write_room(facts, [Path(board).read_bytes() for board in boards], beside)


def take_room_package(file: str, folder: str) -> tuple[RoomFacts, list[str]] | Sentence:
    """A room and the files of its board packages in ``folder``, or the sentence that says why there is none."""
    try:
        facts, boards = read_room(Path(file).read_bytes())
        files = []
        for number, board in enumerate(boards):
            files.append(f"{folder}/{number:03d}")
            Path(files[-1]).write_bytes(board)
        return facts, files
    except MalformedError as error:
        return error.sentence


def page_words(page: PackedPage) -> list[str]:
    """The words that are typed on a page."""
    return list(typed_words(_page(page)))


def unpack_page(
    data: bytes, seat: str
) -> tuple[package.PackedPage, dict[str, CleanPicture | Medium]] | Sentence:
    """The first page in a package, as ``seat``'s, and its files."""
    try:
        packed, files = read_package(data, seat, resources.typesetter())
    except MalformedError as error:
        return error.sentence
    return packed.pages[0], files


def take_material(file: str, preview_px: int) -> tuple[Material, bytes, bytes, str] | Sentence:
    """A picture or a PDF for the shelf: its kind, itself cleaned, a small picture, and the words in it."""
    data = Path(file).read_bytes()
    try:
        if data.lstrip()[:5] == b"%PDF-":
            page_sizes(data)
            return "pdf", data, page_picture(data, 0, preview_px).data, document_words(data)
        clean = clean_picture(data)
        return "picture", clean.data, small_picture(clean.data, preview_px), ""
    except MalformedError as error:
        return error.sentence


def document_sizes(data: bytes) -> list[tuple[float, float]]:
    """Width and height of each page of a PDF that was taken before, in points."""
    return page_sizes(data)


def make_package(
    pages: list[PackedPage],
    title: str,
    names: dict[str, str],
    pictures: dict[str, bytes],
    about: str,
    media: dict[str, bytes],
    vectors: dict[str, bytes],
) -> bytes:
    return write_package(title, [_page(page) for page in pages], names, pictures, about, media, vectors)


def take_package(file: str, seat: str) -> tuple[Packed, dict[str, CleanPicture | Medium]] | Sentence:
    """The board in a package, as ``seat``'s, or the sentence that says why there is none."""
    try:
        return read_package(Path(file).read_bytes(), seat, resources.typesetter())
    except MalformedError as error:
        return error.sentence
