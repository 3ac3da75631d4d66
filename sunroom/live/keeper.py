"""Group commit: what a room has decided is written in batches, and only then answered.

One task for each room. While a batch is being written the next gathers, so the disk sets the pace
and a single stroke still waits for one commit only.
"""

from __future__ import annotations

import asyncio
import logging
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from itertools import groupby
from typing import Any

from django.db import connection, transaction

logger = logging.getLogger(__name__)

#: All writing of all rooms goes through one thread: SQLite has one writer anyway.
writer = ThreadPoolExecutor(max_workers=1, thread_name_prefix="keeper")

RETRY_S = (0.1, 0.5, 2.0)

#: Writes rows of one kind, in the writer's thread.
Store = Callable[[list[Any]], None]


class Keeper:
    """Writes what is queued, in order, then calls back.

    Parameters
    ----------
    trouble : callable
        Told a sentence when the disk does not take a batch, and "" once it does again.
    """

    def __init__(self, trouble: Callable[[str], None]) -> None:
        self._trouble = trouble
        self._queue: list[tuple[Store, Any, Callable[[], None]]] = []
        self._wake = asyncio.Event()
        self._idle = asyncio.Event()
        self._idle.set()
        self._task = asyncio.create_task(self._run())

    def keep(self, store: Store, row: Any, kept: Callable[[], None] = lambda: None) -> None:
        """Queue ``row`` for ``store``; ``kept`` is called in the loop when it is on disk.

        Rows that follow each other for the same store are given to it together.
        """
        self._queue.append((store, row, kept))
        self._idle.clear()
        self._wake.set()

    async def settled(self) -> None:
        """Wait until all that was queued is on disk."""
        await self._idle.wait()

    def stop(self) -> None:
        self._task.cancel()

    async def _run(self) -> None:
        loop = asyncio.get_running_loop()
        while True:
            await self._wake.wait()
            self._wake.clear()
            batch, self._queue = self._queue, []
            tries = 0
            while True:
                try:
                    await loop.run_in_executor(writer, _write_all, batch)
                    break
                except Exception:
                    # A failing disk must not end the room: the batch stays, everyone is told.
                    logger.exception("A batch of %d could not be kept; trying again", len(batch))
                    self._trouble("The board cannot be kept just now. Writing goes on; it is tried again.")
                    await asyncio.sleep(RETRY_S[min(tries, len(RETRY_S) - 1)])
                    tries += 1
            if tries:
                self._trouble("")
            for _, _, kept in batch:
                try:
                    kept()
                except Exception:
                    logger.exception("After keeping")
            if not self._queue:
                self._idle.set()


def _write_all(batch: list[tuple[Store, Any, Callable[[], None]]]) -> None:
    """Write a batch, all or none. The writer's connection stays open: a new one for each commit took longer
    than the commit. After a failure it is closed, for the fault may be its own."""
    try:
        with transaction.atomic():
            for store, entries in groupby(batch, key=lambda entry: entry[0]):
                store([row for _, row, _ in entries])
    except Exception:
        connection.close()
        raise
