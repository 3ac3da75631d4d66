"""The keeper, the queue of a slow reader and the pace of a fast writer, each on its own."""

from __future__ import annotations

import asyncio
from unittest import IsolatedAsyncioTestCase, TestCase, mock

from sunroom.core.pens import Actor
from sunroom.core.sentences import Sentence, said
from sunroom.live.keeping import keeper
from sunroom.live.keeping.keeper import Keeper
from sunroom.live.room.member import MAX_BYTES, MAX_FRAMES, Member
from sunroom.live.wire.pace import Pace
from tests.words import in_words


class Disk:
    """Where batches go; it fails as often as it is told to."""

    def __init__(self, failures: int = 0) -> None:
        self.failures = failures
        self.rows: list[str] = []
        self.batches = 0

    def store(self, rows: list[str]) -> None:
        if self.failures:
            self.failures -= 1
            raise OSError("the disk is full")
        self.batches += 1
        self.rows += rows


class Keeping(IsolatedAsyncioTestCase):
    async def asyncSetUp(self) -> None:
        self.told: list[Sentence] = []
        # The keeper's thread is not this test's: nothing here opens a database.
        self.enterContext(mock.patch.object(keeper, "_write_all", self.write))
        self.enterContext(mock.patch.object(keeper, "RETRY_S", (0.0,)))
        self.keeper = Keeper(self.told.append)
        self.addCleanup(self.keeper.stop)

    def write(self, batch: list) -> None:
        for waiting in batch:
            waiting.store([waiting.row])

    async def test_what_is_kept_is_told_in_order_and_only_then(self) -> None:
        disk, seen = Disk(), []
        for number in range(5):
            self.keeper.keep(disk.store, f"row {number}", lambda n=number: seen.append((n, len(disk.rows))))
        self.assertEqual(seen, [])
        await self.keeper.settled()
        self.assertEqual([number for number, _ in seen], list(range(5)))
        self.assertTrue(all(on_disk > number for number, on_disk in seen))

    async def test_a_failing_disk_ends_nothing_loses_nothing_and_is_told_until_it_works(self) -> None:
        disk, seen = Disk(failures=3), []
        with self.assertLogs("sunroom.live.keeping.keeper", "ERROR"):
            self.keeper.keep(disk.store, "the last stroke", lambda: seen.append("kept"))
            await self.keeper.settled()
        self.assertEqual((disk.rows, seen), (["the last stroke"], ["kept"]))
        self.assertTrue(in_words(self.told[0]).startswith("The board cannot be kept just now."))
        self.assertEqual(self.told[-1], said(""))
        self.keeper.keep(disk.store, "the next")
        await self.keeper.settled()
        self.assertEqual(disk.rows[-1], "the next")

    async def test_one_listener_that_fails_does_not_keep_the_others_from_hearing(self) -> None:
        disk, seen = Disk(), []
        with self.assertLogs("sunroom.live.keeping.keeper", "ERROR"):
            self.keeper.keep(disk.store, "a", lambda: 1 / 0)
            self.keeper.keep(disk.store, "b", lambda: seen.append("b"))
            await self.keeper.settled()
        self.assertEqual(seen, ["b"])


class Queues(IsolatedAsyncioTestCase):
    def member(self) -> Member:
        return Member("line-1", Actor("seat-n", "student", "Noor"))

    async def test_messages_come_out_in_order_and_waiting_costs_nothing(self) -> None:
        member = self.member()
        waiting = asyncio.create_task(member.take())
        await asyncio.sleep(0)
        self.assertFalse(waiting.done())
        for number in range(3):
            self.assertTrue(member.put(bytes([number])))
        taken = [await waiting, await member.take(), await member.take()]
        self.assertEqual(taken, [b"\x00", b"\x01", b"\x02"])

    async def test_who_is_too_far_behind_is_let_go_once_and_for_good(self) -> None:
        for size, most in ((1, MAX_FRAMES), (MAX_BYTES // 4, 4)):
            member = self.member()
            fitted = 0
            while member.put(b"x" * size):
                fitted += 1
            self.assertLessEqual(fitted, most)
            self.assertIsNone(await member.take(), "nothing stale is sent after the break")
            self.assertFalse(member.put(b"later"))


class Paces(TestCase):
    def test_an_honest_hand_never_waits_and_a_flooder_waits_longer_and_longer(self) -> None:
        now = [0.0]
        pace = Pace(rate=100, burst=200, clock=lambda: now[0])
        for _ in range(1_000):
            now[0] += 1 / 60
            self.assertEqual(pace.delay_s(), 0)
        delays = [pace.delay_s() for _ in range(400)]
        self.assertEqual(delays[:100], [0] * 100)
        self.assertEqual(delays, sorted(delays))
        self.assertAlmostEqual(delays[-1], 2.0, delta=0.05)
        now[0] += 10
        self.assertEqual(pace.delay_s(), 0, "after a rest all is as before")
