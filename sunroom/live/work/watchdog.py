"""Says in the log when the event loop stood still, and what it was doing: no lesson waits for another's work.

The loop sets a mark every few milliseconds; a thread looks whether it is set. While it is not, the thread looks at the
stack of the loop's thread.
"""

from __future__ import annotations

import asyncio
import logging
import sys
import threading
import time
import traceback

logger = logging.getLogger(__name__)

#: Longer than this nobody's ink may wait for the loop.
STILL_S = 0.05
BEAT_S = 0.01


class Watchdog:
    """Watches the running event loop until it is stopped, or the loop is no more."""

    def __init__(self) -> None:
        self._loop = asyncio.get_running_loop()
        self._thread_id = threading.get_ident()
        self._beaten = time.monotonic()
        self._ended = threading.Event()
        self._handle: asyncio.TimerHandle | None = None
        self._beat()
        threading.Thread(target=self._watch, name="watchdog", daemon=True).start()

    def stop(self) -> None:
        self._ended.set()
        if self._handle:
            self._handle.cancel()

    def _beat(self) -> None:
        self._beaten = time.monotonic()
        self._handle = self._loop.call_later(BEAT_S, self._beat)

    def _watch(self) -> None:
        seen = ""
        stood_since = 0.0
        while not self._ended.wait(BEAT_S) and not self._loop.is_closed():
            still_s = time.monotonic() - self._beaten
            if still_s > STILL_S:
                stood_since = stood_since or self._beaten
                seen = seen or self._doing()
            elif stood_since:
                logger.warning(
                    "The loop stood still for %.0f ms: %s", 1000 * (self._beaten - stood_since), seen
                )
                seen, stood_since = "", 0.0

    def _doing(self) -> str:
        """The innermost lines of our own that the loop's thread is in."""
        frame = sys._current_frames().get(self._thread_id)
        stack = traceback.extract_stack(frame) if frame else []
        own = [f"{line.filename.rsplit('/sunroom/', 1)[-1]}:{line.lineno} {line.name}" for line in stack]
        return " < ".join(reversed(own[-6:]))
