"""The watchdog: it tells of a loop that stood still, and is no burden once its loop is gone."""

from __future__ import annotations

import asyncio
import threading
from unittest import TestCase
from unittest.mock import patch

from sunroom.live.work.watchdog import Watchdog
from tests import WAIT_S


def watching() -> list[threading.Thread]:
    return [thread for thread in threading.enumerate() if thread.name == "watchdog"]


class Watching(TestCase):
    def test_a_loop_that_stood_still_is_told_with_what_it_did(self) -> None:
        looked = threading.Event()
        doing = Watchdog._doing

        def looking(watchdog: Watchdog) -> str:
            found = doing(watchdog)
            looked.set()
            return found

        async def stand_still(logs: list[str]) -> None:
            watchdog = Watchdog()
            await asyncio.sleep(0.05)
            looked.wait(WAIT_S)  # the fault that it must see, until it has
            for _ in range(600):
                if logs:
                    break
                await asyncio.sleep(0.05)
            watchdog.stop()

        with (
            patch.object(Watchdog, "_doing", looking),
            self.assertLogs("sunroom.live.work.watchdog", "WARNING") as logs,
        ):
            asyncio.run(stand_still(logs.output))
        self.assertIn("stand_still", logs.output[0])

    def test_its_thread_ends_with_a_loop_that_was_broken_off(self) -> None:
        before = watching()

        async def broken_off() -> None:
            Watchdog()

        asyncio.run(broken_off())
        (thread,) = [thread for thread in watching() if thread not in before]
        thread.join(WAIT_S)
        self.assertFalse(thread.is_alive())
