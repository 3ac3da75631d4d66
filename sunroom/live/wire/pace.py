"""Rates: who sends too much is read more slowly, and nothing of an honest writer is lost."""

from __future__ import annotations

import asyncio
from collections import OrderedDict
from collections.abc import Callable, Hashable
from functools import partial

#: Of a message that puts things on the board (2,000 strokes of an ordinary length), and of any other.
MAX_MESSAGE, MAX_SMALL_MESSAGE = 2_500_000, 100_000
#: Nobody honest is ever made to wait for longer at once.
LONGEST_WAIT_S = 5.0


class Pace:
    """A bucket that refills at ``rate`` a second up to ``burst``; whoever empties it waits."""

    def __init__(self, rate: float, burst: float, clock: Callable[[], float]) -> None:
        self._rate, self._burst, self._clock = rate, burst, clock
        self._left, self._at = burst, clock()
        #: All the seconds waited since the bucket was last half full.
        self.held_s = 0.0

    @property
    def left(self) -> float:
        """What is in the bucket now; less than 0 when more was taken than there was."""
        now = self._clock()
        self._left = min(self._burst, self._left + (now - self._at) * self._rate)
        self._at = now
        return self._left

    def delay_s(self, cost: float = 1.0) -> float:
        """Take ``cost`` and return how many seconds to wait before going on; 0 in honest use."""
        self._left = self.left - cost
        return max(0.0, -self._left / self._rate)

    async def wait(self, cost: float = 1.0) -> None:
        """Take ``cost`` and wait as long as that takes."""
        delay = min(self.delay_s(cost), LONGEST_WAIT_S)
        if delay > 0:
            self.held_s += delay
            await asyncio.sleep(delay)
        elif self._left > self._burst / 2:
            self.held_s = 0.0


class Paces:
    """A pace for each of many: seats, addresses. The ones that have not been asked for longest are forgotten."""

    def __init__(self, rate: float, burst: float, clock: Callable[[], float], most: int = 10_000) -> None:
        self._make = partial(Pace, rate, burst, clock)
        self._most = most
        self._of: OrderedDict[Hashable, Pace] = OrderedDict()

    def of(self, whom: Hashable) -> Pace:
        pace = self._of.pop(whom, None) or self._make()
        self._of[whom] = pace
        if len(self._of) > self._most:
            self._of.popitem(last=False)
        return pace
