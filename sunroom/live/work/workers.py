"""Slow computation in processes of its own, with models and fonts loaded once: the loop never waits."""

from __future__ import annotations

from collections import OrderedDict
from collections.abc import Callable
from typing import Any, TypeVar

import numpy as np

from sunroom import resources
from sunroom.core.geometry import Affine, Box
from sunroom.core.maths.typed import read_formula
from sunroom.core.reading.own_hand import HandInk
from sunroom.core.shapes.even import Neighbour
from sunroom.live.work.ink_jobs import InkRead, PlacedStroke, read_ink
from sunroom.live.work.ink_pieces import Corrections
from sunroom.live.work.pool import Pool

T = TypeVar("T")

#: Two cores are the smallest machine planned for: one reads while another saves.
PROCESSES = 2

#: Limits of one job: to read ink, and to make or take a file.
READ_S, FILE_S = 10.0, 60.0
#: Readings kept at hand, and how large the ink of one may be that is kept.
KEPT_READINGS, MAX_KEPT_INK = 200, 200_000

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
    from sunroom.core.maths.steps import steps_of
    from sunroom.core.maths.work import work_out

    resources.written_reader()
    work_out(read_formula("x^2+x=2"))
    check_working(steps_of([read_formula("x=2"), read_formula("2x=4")]))
