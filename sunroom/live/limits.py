"""Rates for each connection: a flooder is read more slowly, nothing of an honest writer is lost."""

from __future__ import annotations

import asyncio
from collections.abc import Callable


class Pace:
    """A bucket that refills at ``rate`` a second up to ``burst``; whoever empties it waits."""

    def __init__(self, rate: float, burst: float, clock: Callable[[], float]) -> None:
        self._rate, self._burst, self._clock = rate, burst, clock
        self._left, self._at = burst, clock()
        #: All the seconds waited since the bucket was last half full.
        self.held_s = 0.0

    def delay_s(self, cost: float = 1.0) -> float:
        """Take ``cost`` and return how many seconds to wait before going on; 0 in honest use."""
        now = self._clock()
        self._left = min(self._burst, self._left + (now - self._at) * self._rate) - cost
        self._at = now
        return max(0.0, -self._left / self._rate)

    async def wait(self, cost: float = 1.0) -> None:
        """Take ``cost`` and wait as long as that takes."""
        delay = min(self.delay_s(cost), 5.0)
        if delay > 0:
            self.held_s += delay
            await asyncio.sleep(delay)
        elif self._left > self._burst / 2:
            self.held_s = 0.0
