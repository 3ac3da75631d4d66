"""Rates for each connection: a flooder is read more slowly, nothing of an honest writer is lost."""

from __future__ import annotations

import asyncio
from collections.abc import Callable


class Pace:
    """A bucket that refills at ``rate`` a second up to ``burst``; whoever empties it waits."""

    def __init__(self, rate: float, burst: float, clock: Callable[[], float]) -> None:
        self._rate, self._burst, self._clock = rate, burst, clock
        self._left, self._at = burst, clock()

    def delay_s(self, cost: float = 1.0) -> float:
        """Take ``cost`` and return how many seconds to wait before going on; 0 in honest use."""
        now = self._clock()
        self._left = min(self._burst, self._left + (now - self._at) * self._rate) - cost
        self._at = now
        return max(0.0, -self._left / self._rate)

    async def wait(self, cost: float = 1.0) -> None:
        delay = self.delay_s(cost)
        if delay > 0:
            await asyncio.sleep(min(delay, 5.0))
