"""The watchdog: it tells of a loop that stood still, and is no burden once its loop is gone."""

from __future__ import annotations

import asyncio
import threading
import time
from unittest import TestCase

from sunroom.live.work.watchdog import Watchdog


def watching() -> list[threading.Thread]:
    return [thread for thread in threading.enumerate() if thread.name == "watchdog"]


class Watching(TestCase):
    def test_a_loop_that_stood_still_is_told_with_what_it_did(self) -> None:
        async def stand_still() -> None:
            watchdog = Watchdog()
            await asyncio.sleep(0.05)
            time.sleep(0.2)  # noqa: ASYNC251  (the fault that it must see)
            await asyncio.sleep(0.1)
            watchdog.stop()

        with self.assertLogs("sunroom.live.work.watchdog", "WARNING") as logs:
            asyncio.run(stand_still())
        self.assertIn("stand_still", logs.output[0])

    def test_its_thread_ends_with_a_loop_that_was_broken_off(self) -> None:
        before = watching()

        async def broken_off() -> None:
            Watchdog()

        asyncio.run(broken_off())
        (thread,) = [thread for thread in watching() if thread not in before]
        thread.join(5)
        self.assertFalse(thread.is_alive())
