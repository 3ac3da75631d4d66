"""Worker processes: a job that takes too long, too much, or kills its process ends alone; and they end at any moment."""

from __future__ import annotations

import asyncio
import os
import threading
import time
from unittest import TestCase

from sunroom.config.serve import FORWARD, step_forward
from sunroom.live.work import pool
from sunroom.live.work.pool import JobError, Pool, needs_later
from tests import WAIT_S


def nothing() -> None:
    """Processes of these tests load no models."""


def double(number: int) -> int:
    return 2 * number


def wrong() -> None:
    raise ValueError("that is no number")


def endless() -> None:
    while True:
        pass


def stuck() -> None:
    time.sleep(600)


def starved() -> int:
    """Little work on a busy machine: it is over late, and has hardly had the processor."""
    time.sleep(1.5)
    return 7


def greedy() -> int:
    return len(bytearray(8_000_000_000))


def niceness() -> int:
    return os.getpriority(os.PRIO_PROCESS, 0)


def dying() -> None:
    os._exit(3)


_known: list[str] = []


def learn() -> None:
    """What takes longer than its jobs may."""
    time.sleep(1.5)
    _known.append("algebra")


@needs_later
def known() -> list[str]:
    return _known


class Jobs(TestCase):
    def setUp(self) -> None:
        self.pool = Pool(2, nothing)
        self.addCleanup(self.pool.stop)

    async def together(self) -> list:
        run = self.pool.run
        jobs = (run(endless, limit_s=1.0), run(double, 21), run(dying), run(greedy), run(wrong), run(double, 4), run(double, 5, slow=True))  # fmt: skip
        return await asyncio.gather(*jobs, return_exceptions=True)

    def test_jobs_step_back_also_where_the_server_has_stepped_forward(self) -> None:
        found = []

        def serve() -> None:
            step_forward()
            found.extend((niceness(), asyncio.run(self.pool.run(niceness))))

        # Niceness is a thread's own, and of those that it begins.
        thread = threading.Thread(target=serve)
        thread.start()
        thread.join()
        self.assertIn(found[0], (FORWARD, 0), "as far as it may")
        self.assertEqual(found[1], pool.NICE)

    def test_each_bad_job_ends_alone_and_the_others_get_their_answers(self) -> None:
        with self.assertLogs("sunroom.live.work.pool", "ERROR"):
            endless_, good, dead, much, error, more, slow = asyncio.run(self.together())
        self.assertEqual((good, more, slow), (42, 8, 10))
        for found, words in ((endless_, "longer than 1 s"), (dead, "died"), (much, "memory")):
            self.assertIsInstance(found, JobError)
            self.assertIn(words, str(found))
        self.assertIsInstance(error, ValueError)

    def test_a_jobs_limit_is_of_work_and_one_that_does_nothing_ends_as_well(self) -> None:
        self.assertEqual(asyncio.run(self.pool.run(starved, limit_s=0.5)), 7)
        with self.assertLogs("sunroom.live.work.pool", "ERROR"), self.assertRaises(JobError):
            asyncio.run(self.pool.run(stuck, limit_s=0.25))

    def test_what_a_job_needs_is_loaded_once_and_does_not_count_as_its_time(self) -> None:
        learning = Pool(1, nothing, learn)
        self.addCleanup(learning.stop)
        for _ in range(2):
            self.assertEqual(asyncio.run(learning.run(known, limit_s=1.0)), ["algebra"])

    def test_slow_jobs_leave_a_process_to_the_quick_ones(self) -> None:
        async def both() -> int:
            slow = asyncio.gather(*(self.pool.run(endless, limit_s=30.0, slow=True) for _ in range(3)), return_exceptions=True)  # fmt: skip
            await asyncio.sleep(0)
            quick = await self.pool.run(double, 3, limit_s=30.0)
            self.assertFalse(slow.done())
            slow.cancel()
            return quick

        self.assertEqual(asyncio.run(both()), 6)

    def test_a_pool_that_is_stopped_while_it_starts_or_works_leaves_nothing_running(self) -> None:
        starting = Pool(2, nothing)
        starting.start()
        starting.stop()
        with self.assertRaises(JobError):
            asyncio.run(starting.run(double, 1))
        working = Pool(1, nothing)
        with self.assertNoLogs(pool.logger, "ERROR"):
            job = threading.Thread(target=lambda: self.assertRaises(JobError, asyncio.run, working.run(endless, limit_s=60)))  # fmt: skip
            job.start()
            while working._workers[0]._process is None:
                pass
            working.stop()
            job.join(WAIT_S)
        self.assertFalse(job.is_alive())
        self.assertIsNone(working._workers[0]._process)
