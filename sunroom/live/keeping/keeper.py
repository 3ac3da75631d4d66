"""Group commit: what a room has decided is written in batches, and only then answered.

One task for each room. While a batch is being written the next gathers, so the disk sets the pace
and a single stroke still waits for one commit only.

When the disk takes nothing, everything waits in its order and is tried again, everyone is told, and a keeper that is
``full`` takes no more. A row that can never be kept is let go alone: its sender is told, the others are written.
"""

from __future__ import annotations

import asyncio
import logging
import sqlite3
import time
from collections.abc import Callable
from concurrent.futures import ThreadPoolExecutor
from itertools import groupby
from threading import current_thread
from typing import Any, NamedTuple, TypeVar

from django.db import InterfaceError, OperationalError, connection, transaction
from django.db.backends.base.base import BaseDatabaseWrapper
from django.db.backends.signals import connection_created
from django.dispatch import receiver

from sunroom.core.sentences import Sentence, said

logger = logging.getLogger(__name__)

T = TypeVar("T")

#: All writing of all rooms goes through one thread: SQLite has one writer anyway.
WRITER = "keeper"
writer = ThreadPoolExecutor(max_workers=1, thread_name_prefix=WRITER)
#: How often it is tried while a request is writing, and for how long.
LOOK_AGAIN_S, PATIENCE_S = 0.0005, 20.0

RETRY_S = (0.1, 0.5, 2.0, 5.0)
#: What may wait for the disk: about a minute of a whole class writing.
MAX_WAITING = 3_000
MAX_WAITING_BYTES = 32_000_000
#: Faults of the disk, which may pass; any other is a fault of the row.
PASSING = (OperationalError, InterfaceError, OSError)

#: Writes rows of one kind, in the writer's thread.
Store = Callable[[list[Any]], None]


class Waiting(NamedTuple):
    """A row on its way to the disk; ``lost`` is called instead of ``kept`` when it can never be kept."""

    store: Store
    row: Any
    kept: Callable[[], None]
    lost: Callable[[], None]
    weight: int


def _nobody() -> None:
    pass


class Keeper:
    """Writes what is queued, in order, then calls back.

    Parameters
    ----------
    trouble : callable
        Told a sentence when the disk does not take a batch, again as time goes on, and one without a key once it does.
    """

    def __init__(self, trouble: Callable[[Sentence], None]) -> None:
        self._trouble = trouble
        self._queue: list[Waiting] = []
        self._waiting, self._weight = 0, 0
        self._wake = asyncio.Event()
        self._idle = asyncio.Event()
        self._idle.set()
        self._task = asyncio.create_task(self._run())

    @property
    def full(self) -> bool:
        """Whether so much waits for the disk that nothing more should be taken."""
        return self._waiting >= MAX_WAITING or self._weight >= MAX_WAITING_BYTES

    def keep(
        self,
        store: Store,
        row: Any,
        kept: Callable[[], None] = _nobody,
        lost: Callable[[], None] = _nobody,
        weight: int = 200,
    ) -> None:
        """Queue ``row`` for ``store``; ``kept`` is called in the loop when it is on disk.

        Rows that follow each other for the same store are given to it together. ``weight`` is about what the row
        holds in bytes.
        """
        self._queue.append(Waiting(store, row, kept, lost, weight))
        self._waiting += 1
        self._weight += weight
        self._idle.clear()
        self._wake.set()

    async def settled(self) -> None:
        """Wait until all that was queued is on disk."""
        await self._idle.wait()

    async def close(self, patience_s: float = 5.0) -> None:
        """Write what waits, as long as the disk takes it within ``patience_s``, and end."""
        try:
            await asyncio.wait_for(self.settled(), patience_s)
        except TimeoutError:
            logger.error("%d rows could not be kept before the end; none of them was answered", self._waiting)
        self.stop()

    def stop(self) -> None:
        self._task.cancel()

    async def _run(self) -> None:
        while True:
            await self._wake.wait()
            self._wake.clear()
            batch, self._queue = self._queue, []
            if not batch:
                continue
            lost = await self._written(batch)
            self._waiting -= len(batch)
            self._weight -= sum(waiting.weight for waiting in batch)
            for number, waiting in enumerate(batch):
                try:
                    (waiting.lost if number in lost else waiting.kept)()
                except Exception:
                    logger.exception("After keeping")
            if not self._queue:
                self._idle.set()

    async def _written(self, batch: list[Waiting]) -> set[int]:
        """Write a batch, however often that must be tried; the numbers of rows that can never be kept."""
        loop = asyncio.get_running_loop()
        tries, since = 0, time.monotonic()
        while True:
            try:
                lost = await loop.run_in_executor(writer, _write, batch)
                break
            except PASSING as error:
                # A failing disk must not end the room: the batch stays, everyone is told.
                waited_s = time.monotonic() - since
                logger.error("%d rows wait for the disk, for %.0f s now: %s", self._waiting, waited_s, error)
                self._trouble(_sentence(waited_s))
                await asyncio.sleep(RETRY_S[min(tries, len(RETRY_S) - 1)])
                tries += 1
        if tries:
            self._trouble(said(""))
        return lost


def _sentence(waited_s: float) -> Sentence:
    if waited_s < 60:
        return said("not-kept-just-now")
    return said("nothing-kept-for", minutes=round(waited_s / 60))


def _write(batch: list[Waiting]) -> set[int]:
    """Write a batch in one transaction; when a row is at fault, row by row without those that are.

    The writer's connection stays open: a new one for each commit took longer than the commit. After a failure it is
    closed, for the fault may be its own.
    """
    try:
        _as_soon_as_free(lambda: _write_all(batch))
        return set()
    except PASSING:
        connection.close()
        raise
    except Exception:
        connection.close()
        logger.exception("A batch of %d rows has one that cannot be kept", len(batch))
    return _as_soon_as_free(lambda: _write_each(batch))


def _write_each(batch: list[Waiting]) -> set[int]:
    """All that can be kept; the numbers of those that cannot."""
    lost = set()
    with transaction.atomic():
        for number, waiting in enumerate(batch):
            try:
                with transaction.atomic():
                    waiting.store([waiting.row])
            except PASSING:
                raise
            except Exception as error:
                logger.error("A row can never be kept: %s", error)
                lost.add(number)
    return lost


def _as_soon_as_free(write: Callable[[], T]) -> T:
    """Write as soon as no request is writing: SQLite itself would look again ever more seldom (its busy timeout)."""
    since = time.monotonic()
    while True:
        try:
            return write()
        except OperationalError as error:
            taken = getattr(error.__cause__, "sqlite_errorcode", 0) & 0xFF == sqlite3.SQLITE_BUSY
            if not taken or time.monotonic() - since > PATIENCE_S:
                raise
        time.sleep(LOOK_AGAIN_S)


@receiver(connection_created)
def _impatient(connection: BaseDatabaseWrapper, **_: object) -> None:
    """The writer's own connection does not wait: the writer does."""
    if current_thread().name.startswith(WRITER):
        with connection.cursor() as cursor:
            cursor.execute("PRAGMA busy_timeout = 0")


def _write_all(batch: list[Waiting]) -> None:
    """All or none."""
    with transaction.atomic():
        for store, entries in groupby(batch, key=lambda entry: entry.store):
            store([entry.row for entry in entries])
