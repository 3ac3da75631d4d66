"""Slow computation in processes of its own, with models and fonts loaded once: the loop never waits."""

from __future__ import annotations

import asyncio
import logging
import multiprocessing
import os
import signal
import threading
from collections.abc import Callable
from concurrent.futures import ProcessPoolExecutor
from concurrent.futures.process import BrokenProcessPool
from typing import Any, TypeVar

import numpy as np

from sunroom import resources
from sunroom.core.board import Page
from sunroom.core.errors import MalformedError
from sunroom.core.formats import board_pdf, page_png
from sunroom.core.formats.pictures import CleanPicture, clean_picture
from sunroom.core.geometry import Affine
from sunroom.core.ink import unpack_samples
from sunroom.core.reading import Reading
from sunroom.core.shapes import Figure, find_shapes

logger = logging.getLogger(__name__)

T = TypeVar("T")

#: Two cores are the smallest machine planned for: one reads while another saves.
PROCESSES = 2

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
    read_ink([(np.zeros((1, 11), np.uint8).tobytes(), Affine())])


def read_ink(strokes: list[PlacedStroke]) -> tuple[tuple[Reading, ...], tuple[Figure, ...]]:
    """Readings and figures of some strokes, best first."""
    samples = []
    for data, placement in strokes:
        rows = unpack_samples(data)
        rows[:, :2] = placement.points(rows[:, :2])
        samples.append(rows)
    return tuple(resources.reader().read(samples)), tuple(find_shapes(samples))


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
