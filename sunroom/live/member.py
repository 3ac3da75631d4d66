"""One connection to a room: who it is, and the bounded queue of frames on their way to it."""

from __future__ import annotations

import asyncio
from collections import deque

from sunroom.core.pens import Actor
from sunroom.live.messages import Line, View

#: A browser that is further behind than this is told to come again and catch up.
MAX_FRAMES = 600
MAX_BYTES = 8_000_000


class Member:
    """A connection. The room puts encoded messages in; the consumer takes them out and sends them."""

    def __init__(self, connection: str, actor: Actor) -> None:
        self.connection = connection
        self.actor = actor
        self.board = ""
        self.page = ""
        #: What this person sees, and whom they follow.
        self.view: View | None = None
        self.following = ""
        #: How well messages travel, and the pairing by which a second device is here (0: none).
        self.line: Line = "good"
        self.pairing = 0
        self.lagging = False
        self._queue: deque[bytes] = deque()
        self._bytes = 0
        self._ready = asyncio.Event()

    def put(self, message: bytes) -> bool:
        """Queue a message; False when the member is too far behind, from then on for good."""
        if self.lagging or len(self._queue) >= MAX_FRAMES or self._bytes + len(message) > MAX_BYTES:
            self.lagging = True
            self._queue.clear()
            self._ready.set()
            return False
        self._queue.append(message)
        self._bytes += len(message)
        self._ready.set()
        return True

    async def take(self) -> bytes | None:
        """The next message; None once the member lags."""
        while not self._queue:
            if self.lagging:
                return None
            self._ready.clear()
            await self._ready.wait()
        message = self._queue.popleft()
        self._bytes -= len(message)
        return message
