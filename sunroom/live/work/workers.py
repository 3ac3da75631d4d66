"""Slow computation in processes of its own, with models and fonts loaded once: the loop never waits."""

from __future__ import annotations

import re
from base64 import b64encode
from collections import OrderedDict
from collections.abc import Callable
from functools import lru_cache
from pathlib import Path
from typing import Any, Literal, TypeVar

import msgspec
import numpy as np
from numpy.typing import NDArray

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
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.maths.setting import Setting, set_formula
from sunroom.core.maths.tokens import with_decimal_commas
from sunroom.core.maths.typed import read_formula
from sunroom.core.maths.written import MAX_STROKES as MOST_AT_ONCE
from sunroom.core.maths.written import FormulaReading
from sunroom.core.maths.written_latex import looks_like_maths
from sunroom.core.reading import Reading, ReadLine, figure_first, joined
from sunroom.core.reading.kinds import SURE_TEXT
from sunroom.core.reading.mind_map import MapFound, find_map
from sunroom.core.reading.own_hand import HandInk, OwnHand, Sample
from sunroom.core.reading.reader import MAX_STROKES, Reader
from sunroom.core.sentences import Sentence
from sunroom.core.shapes import (
    Figure,
    Part,
    any_figure,
    evened,
    find_sketch,
    like_neighbour,
    stand_like_letters,
)
from sunroom.core.shapes.even import Neighbour
from sunroom.live.work.pool import Pool

T = TypeVar("T")

#: What stands on the shelf besides pages.
Material = Literal["picture", "pdf"]

#: Two cores are the smallest machine planned for: one reads while another saves.
PROCESSES = 2

#: Limits of one job: to read ink, and to make or take a file.
READ_S, FILE_S = 10.0, 60.0
#: Readings kept at hand, and how large the ink of one may be that is kept.
KEPT_READINGS, MAX_KEPT_INK = 200, 200_000
#: Hands that a worker keeps at hand.
KEPT_HANDS = 64
#: A figure this likely is one, and its strokes no sketch of several.
CLEAR = 0.6

#: Signs of written maths that somebody has corrected: their strokes by number, and what they are.
Corrections = tuple[tuple[tuple[int, ...], str], ...]

#: One stroke: its samples' bytes, and its place on the page.
PlacedStroke = tuple[bytes, Affine]

_pool: Pool | None = None


def start() -> None:
    """Start the processes and load what they need, so that the first reading is not slow."""
    _the_pool().start()


def stop() -> None:
    global _pool
    pool, _pool = _pool, None
    if pool is not None:
        pool.stop()


async def run(job: Callable[..., T], *arguments: Any, limit_s: float = READ_S, slow: bool = False) -> T:
    """``job(*arguments)`` in a worker process; raises what it raises, or JobError when it was ended."""
    return await _the_pool().run(job, *arguments, limit_s=limit_s, slow=slow)


async def run_file(job: Callable[..., T], *arguments: Any, limit_s: float = FILE_S) -> T:
    """As ``run``, for files: they may take long, and leave a process to those who read ink."""
    return await run(job, *arguments, limit_s=limit_s, slow=True)


_read: OrderedDict[tuple[object, ...], InkRead] = OrderedDict()


async def read(
    strokes: tuple[PlacedStroke, ...],
    language: str,
    beside: tuple[PlacedStroke, ...],
    hand: HandInk | None = None,
    branch_of: Box | None = None,
    neighbours: tuple[Neighbour, ...] = (),
    expected: frozenset[str] = frozenset(),
    maths: bool = False,
    chosen: Corrections = (),
) -> InkRead:
    """As ``read_ink``, in a worker; the same ink is not read twice."""
    key = (strokes, language, beside, hand and hand.mark, branch_of, neighbours, expected, maths, chosen)
    found = _read.get(key)
    if found is None:
        found = await run(
            read_ink, strokes, language, beside, hand, branch_of, neighbours, expected, maths, chosen
        )
        if sum(len(samples) for samples, _ in (*strokes, *beside)) <= MAX_KEPT_INK:
            _read[key] = found
            while len(_read) > KEPT_READINGS:
                _read.popitem(last=False)
    return found


def _the_pool() -> Pool:
    global _pool
    if _pool is None:
        _pool = Pool(PROCESSES, _warm, _know_algebra)
    return _pool


def _warm() -> None:
    resources.typesetter()
    read_ink(((np.zeros((1, 11), np.uint8).tobytes(), Affine()),))


def _know_algebra() -> None:
    """Load what works formulas out, and use it once: each takes a second."""
    from sunroom.core.maths.checking import check_working
    from sunroom.core.maths.work import work_out

    resources.written_reader()
    work_out(read_formula("x^2+x=2"))
    check_working([read_formula("x=2"), read_formula("2x=4")])


class InkRead(msgspec.Struct, frozen=True):
    """What some ink may be; ``lines`` and ``sketch`` name its strokes by number."""

    readings: tuple[Reading, ...] = ()
    lines: tuple[ReadLine, ...] = ()
    figures: tuple[Figure, ...] = ()
    sketch: tuple[Part, ...] = ()
    #: The sketch with its figures made even; empty when nothing of it nearly is.
    even: tuple[Part, ...] = ()
    figure_first: bool = False
    mind_map: MapFound | None = None
    #: What each label of the mind map says.
    labels: tuple[str, ...] = ()
    #: The ink as written maths, each with its setting.
    formulas: tuple[tuple[FormulaReading, Setting], ...] = ()
    maths_first: bool = False


def read_ink(
    strokes: tuple[PlacedStroke, ...],
    language: str = "en",
    beside: tuple[PlacedStroke, ...] = (),
    hand: HandInk | None = None,
    branch_of: Box | None = None,
    neighbours: tuple[Neighbour, ...] = (),
    expected: frozenset[str] = frozenset(),
    maths: bool = False,
    chosen: Corrections = (),
) -> InkRead:
    """What some strokes may be, among the ink beside them and the figures around, written by ``hand``.

    ``branch_of`` is the word of a mind map that they lie next to; ``expected`` are words that are likely here;
    ``maths``: whether they are read as a formula too, with the ``chosen`` signs in it.
    """
    samples, around = [_placed(stroke) for stroke in strokes], [_placed(stroke) for stroke in beside]
    finder = resources.finder()
    reader, own = _reader(language, expected), _own_hand(hand)
    figures = finder.find(samples)
    sketch = find_sketch(finder, samples) if not figures or figures[0].score < CLEAR else []
    drawn = {n for part in sketch for n in part.members} if len(sketch) > 1 else set()
    # Among figures only what is none of them is writing.
    written = [n for n in range(len(samples)) if n not in drawn] or list(range(len(samples)))
    lines = [
        msgspec.structs.replace(line, members=tuple(written[n] for n in line.members))
        for line in reader.read_lines([samples[n] for n in written], own)
    ]
    readings = joined(lines)
    first = figure_first(readings, any_figure(figures), samples, around)
    if len(drawn) == len(samples):
        # Boxes and arrows are read as a letter or two; a text of some length is writing.
        said = "".join(readings[0].text.split()) if readings else ""
        first = len(said) <= len(sketch) + 1 and not (said and stand_like_letters(sketch))
    elif drawn:
        first = True
    if not first:
        sketch = []  # letters that look like figures, in a word
    same = like_neighbour(figures[0], neighbours) if figures else None
    if same:
        figures.insert(1, same)
    even = evened(sketch)
    found = find_map(samples, branch_of)
    labels = [reader.read([samples[n] for n in label], own) for label in found.labels] if found else []
    if not all(labels):
        found = None  # a map is one when each of its words is
    texts = tuple(label[0].text for label in labels) if found else ()
    return InkRead(
        tuple(readings),
        tuple(lines),
        tuple(figures),
        tuple(sketch),
        tuple(even) if even != sketch else (),
        first,
        found,
        texts,
        *(_as_maths(samples, readings, first, found is not None, chosen) if maths else ()),
    )


def _as_maths(
    samples: list[NDArray[np.float64]],
    readings: list[Reading],
    figure: bool,
    mind_map: bool,
    chosen: Corrections,
) -> tuple[tuple[tuple[FormulaReading, Setting], ...], bool]:
    """What of the readings as a formula can be set, and whether it is rather one than words, figures or a mind map."""
    words = bool(readings) and readings[0].score >= SURE_TEXT and bool(_WORD.search(readings[0].text))
    if words and len(samples) > MOST_AT_ONCE:
        return (), False  # lines of words, which would be read once more for nothing
    made = []
    for reading in resources.written_reader().read(samples, dict(chosen)):
        reading = msgspec.structs.replace(reading, latex=with_decimal_commas(reading.latex, "{,}"))
        try:
            made.append((reading, set_formula(reading.latex)))
        except MalformedError:
            continue
    like_maths = bool(made) and (bool(chosen) or looks_like_maths(made[0][0].latex))
    if figure and not like_maths:
        return (), False
    # Boxes and arrows are read as a sign or two: a formula is surer, and has parts.
    whole = len(samples) > MANY_STROKES and bool(made) and made[0][0].score >= SURE_FORMULA
    return tuple(made), like_maths and not (mind_map or words) and (whole or not figure)


#: What is no number and no formula.
#: What is taken for figures as well is rather a formula when it has more strokes than this, and is read so surely.
MANY_STROKES, SURE_FORMULA = 4, 0.4
_WORD = re.compile(r"[^\W\d_]{4}")


@lru_cache(maxsize=4)
def _reader(language: str, expected: frozenset[str]) -> Reader:
    """The reader of a language, to whom some words are likelier."""
    return resources.reader(language).expecting(expected) if expected else resources.reader(language)


def taught_by(strokes: tuple[PlacedStroke, ...], text: str, language: str, hand: HandInk) -> list[Sample]:
    """The samples in a line that says ``text``, each with its strokes where they lie on the page."""
    samples = [_placed(stroke) for stroke in strokes]
    found = resources.reader(language).taught_by(samples, text, _own_hand(hand))
    return [(text, tuple(pack_samples(samples[n]) for n in members)) for text, members in found]


def _own_hand(hand: HandInk | None) -> OwnHand | None:
    """A hand as the nets see it, by its mark: the samples are looked at once."""
    if hand is None:
        return None
    if hand.mark not in _hands:
        samples = [(text, [unpack_samples(stroke) for stroke in strokes]) for text, strokes in hand.samples]
        _hands[hand.mark] = resources.reader().own_hand(samples)
        if len(_hands) > KEPT_HANDS:
            _hands.popitem(last=False)
    return _hands[hand.mark]


_hands: OrderedDict[str, OwnHand | None] = OrderedDict()


def read_page(
    strokes: tuple[PlacedStroke, ...], by: str, language: str, hand: HandInk | None = None
) -> list[WrittenLine]:
    """The lines of a page's writing; strokes in the order in which ``by`` wrote them."""
    reader, own, found = resources.reader(language), _own_hand(hand), []
    for start in range(0, len(strokes), MAX_STROKES):
        samples = [_placed(stroke) for stroke in strokes[start : start + MAX_STROKES]]
        for line in reader.read_lines(samples, own):
            texts = tuple(rival.text for rival in line.rivals)
            found.append(WrittenLine(by, line.box.x0, line.box.y0, texts))
    return found


def _placed(stroke: PlacedStroke) -> NDArray[np.float64]:
    data, placement = stroke
    rows = unpack_samples(data)
    rows[:, :2] = placement.points(rows[:, :2])
    return rows


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
