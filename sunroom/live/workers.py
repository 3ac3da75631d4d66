"""Slow computation in processes of its own, with models and fonts loaded once: the loop never waits."""

from __future__ import annotations

import asyncio
import logging
import multiprocessing
import os
import signal
import threading
from collections import OrderedDict
from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from concurrent.futures.process import BrokenProcessPool
from typing import Any, TypeVar

import msgspec
import numpy as np
from numpy.typing import NDArray

from sunroom import resources
from sunroom.core.board import Page
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, page_png
from sunroom.core.formats.package import Packed, read_package, write_package
from sunroom.core.formats.pictures import CleanPicture, clean_picture
from sunroom.core.geometry import Affine, Box
from sunroom.core.ink import pack_samples, unpack_samples
from sunroom.core.reading import Reading, ReadLine, figure_first, joined
from sunroom.core.reading.mind_map import MapFound, find_map
from sunroom.core.reading.own_hand import HandInk, OwnHand, Sample
from sunroom.core.reading.reader import MAX_STROKES
from sunroom.core.shapes import Figure, Part, any_figure, drawn_among, evened, find_sketch, like_neighbour
from sunroom.core.shapes.even import Neighbour

logger = logging.getLogger(__name__)

T = TypeVar("T")

#: Two cores are the smallest machine planned for: one reads while another saves.
PROCESSES = 2

#: Readings kept at hand.
KEPT_READINGS = 200
#: Hands that a worker keeps at hand.
KEPT_HANDS = 64
#: A figure this likely is one, and its strokes no sketch of several.
CLEAR = 0.6

#: One stroke: its samples' bytes, and its place on the page.
PlacedStroke = tuple[bytes, Affine]

_pool: ProcessPoolExecutor | None = None


def start() -> None:
    """Start the processes and load what they need, so that the first reading is not slow."""
    for _ in range(PROCESSES):
        _the_pool().submit(_warm)


def stop() -> None:
    global _pool
    if _pool is not None:
        _pool.shutdown(wait=True, cancel_futures=True)
        _pool = None


async def run(job: Callable[..., T], *arguments: Any) -> T:
    """``job(*arguments)`` in a worker process; tried once more when a worker has died."""
    loop = asyncio.get_running_loop()
    try:
        return await loop.run_in_executor(_the_pool(), job, *arguments)
    except BrokenProcessPool:
        logger.exception("A worker process died; starting new ones")
        stop()
        return await loop.run_in_executor(_the_pool(), job, *arguments)


_read: OrderedDict[tuple[object, ...], InkRead] = OrderedDict()


async def read(
    strokes: tuple[PlacedStroke, ...],
    language: str,
    beside: tuple[PlacedStroke, ...],
    hand: HandInk | None = None,
    branch_of: Box | None = None,
    neighbours: tuple[Neighbour, ...] = (),
) -> InkRead:
    """As ``read_ink``, in a worker; the same ink is not read twice."""
    key = (strokes, language, beside, hand and hand.mark, branch_of, neighbours)
    if key not in _read:
        _read[key] = await run(read_ink, strokes, language, beside, hand, branch_of, neighbours)
        if len(_read) > KEPT_READINGS:
            _read.popitem(last=False)
    return _read[key]


def _the_pool() -> ProcessPoolExecutor:
    global _pool
    if _pool is None:
        context = multiprocessing.get_context("spawn")
        _pool = ProcessPoolExecutor(PROCESSES, mp_context=context, initializer=_live_with_the_server)
    return _pool


def _live_with_the_server() -> None:
    """A worker ends when the server does, however that ends, and leaves Ctrl-C to it."""
    signal.signal(signal.SIGINT, signal.SIG_IGN)
    threading.Thread(target=_end_with_the_server, daemon=True).start()


def _end_with_the_server() -> None:
    server = multiprocessing.parent_process()
    if server is not None:
        server.join()
        os._exit(0)


def _warm() -> None:
    resources.typesetter()
    read_ink(((np.zeros((1, 11), np.uint8).tobytes(), Affine()),))


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


def read_ink(
    strokes: tuple[PlacedStroke, ...],
    language: str = "en",
    beside: tuple[PlacedStroke, ...] = (),
    hand: HandInk | None = None,
    branch_of: Box | None = None,
    neighbours: tuple[Neighbour, ...] = (),
) -> InkRead:
    """What some strokes may be, among the ink beside them and the figures around, written by ``hand``.

    ``branch_of`` is the word of a mind map that they lie next to.
    """
    samples, around = [_placed(stroke) for stroke in strokes], [_placed(stroke) for stroke in beside]
    finder = resources.finder()
    reader, own = resources.reader(language), _own_hand(hand)
    lines = reader.read_lines(samples, own)
    readings, figures = joined(lines), finder.find(samples)
    sketch = find_sketch(finder, samples) if not figures or figures[0].score < CLEAR else []
    first = figure_first(readings, any_figure(figures), samples, around)
    if len(sketch) > 1 and sum(map(len, (part.members for part in sketch))) == len(samples):
        # Boxes and arrows are read as a letter or two; a text of some length is writing.
        first = not readings or len(readings[0].text) <= len(sketch) + 1
    if not first and len(drawn_among(sketch, samples)) < 2:
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
    )


def taught_by(strokes: tuple[PlacedStroke, ...], text: str, language: str, hand: HandInk) -> list[Sample]:
    """The symbols of a line that says ``text``, each with its strokes where they lie on the page."""
    samples = [_placed(stroke) for stroke in strokes]
    found = resources.reader(language).taught_by(samples, text, _own_hand(hand))
    return [(text, tuple(pack_samples(samples[n]) for n in members)) for text, members in found]


def _own_hand(hand: HandInk | None) -> OwnHand | None:
    """A hand as the nets see it, by its mark: the samples are looked at once."""
    if hand is None:
        return None
    if hand.mark not in _hands:
        samples = [(text, [unpack_samples(stroke) for stroke in strokes]) for text, strokes in hand.samples]
        _hands[hand.mark] = resources.symbols().own_hand(samples)
        if len(_hands) > KEPT_HANDS:
            _hands.popitem(last=False)
    return _hands[hand.mark]


_hands: OrderedDict[str, OwnHand | None] = OrderedDict()


def read_page(
    strokes: tuple[PlacedStroke, ...], language: str, hand: HandInk | None = None
) -> list[list[str]]:
    """The lines of a page's writing, of each its likeliest texts; strokes in the order of writing."""
    reader, own, found = resources.reader(language), _own_hand(hand), []
    for start in range(0, len(strokes), MAX_STROKES):
        samples = [_placed(stroke) for stroke in strokes[start : start + MAX_STROKES]]
        found += [[rival.text for rival in line.rivals] for line in reader.read_lines(samples, own)]
    return found


def _placed(stroke: PlacedStroke) -> NDArray[np.float64]:
    data, placement = stroke
    rows = unpack_samples(data)
    rows[:, :2] = placement.points(rows[:, :2])
    return rows


def make_pdf(pages: list[Page], title: str, pictures: dict[str, bytes]) -> bytes:
    return board_pdf(pages, resources.typesetter(), title, pictures)


def make_picture(page: Page, width_px: int, pictures: dict[str, bytes]) -> bytes:
    return page_png(page, resources.typesetter(), width_px, pictures)


def take_picture(data: bytes) -> CleanPicture | str:
    """The cleaned picture, or the sentence that says why it is none: errors do not travel well."""
    try:
        return clean_picture(data)
    except MalformedError as error:
        return str(error)


def make_package(pages: list[Page], title: str, names: dict[str, str], pictures: dict[str, bytes]) -> bytes:
    return write_package(title, pages, names, pictures)


def take_package(data: bytes, seat: str) -> tuple[Packed, dict[str, CleanPicture]] | str:
    """The board in a package, as ``seat``'s, or the sentence that says why there is none."""
    try:
        return read_package(data, seat, resources.typesetter())
    except MalformedError as error:
        return str(error)
