"""One connection to a room: who it is, and the bounded queue of frames on their way to it."""

from __future__ import annotations

import asyncio
from collections import deque
from typing import Literal

from sunroom.core.pens import Actor
from sunroom.live.wire.messages import Goodbye, Travel, View, encode

#: A browser that is further behind than this is told to come again and catch up.
MAX_FRAMES = 600
MAX_BYTES = 8_000_000

Ended = Literal["", "lagging", "out"]


class Member:
    """A connection. The room puts encoded messages in; the line takes them out and sends them.

    Once ``ended`` it hears nothing new, and nothing that it sends is looked at: what is still queued goes out, then
    the line closes it from the server's side.
    """

    def __init__(self, connection: str, actor: Actor, session: str = "", pairing: int = 0) -> None:
        self.connection = connection
        self.actor = actor
        #: The session of its browser, and the pairing by which a second device is here (0: none).
        self.session, self.pairing = session, pairing
        self.board = ""
        self.page = ""
        #: What this person sees, and whom they follow.
        self.view: View | None = None
        self.following = ""
        #: How well messages travel.
        self.travel: Travel = "good"
        #: Shown its first pages, it is sent no frames: it gets what it missed when it has them.
        self.coming_in = False
        self.ended: Ended = ""
        self._queue: deque[bytes] = deque()
        self._bytes = 0
        self._ready = asyncio.Event()

    def put(self, message: bytes) -> bool:
        """Queue a message; False when the member has ended, or is too far behind, from then on for good."""
        if self.ended:
            return False
        # One large frame, a copied page, is no sign of a slow line.
        full = self._queue and self._bytes + len(message) > MAX_BYTES
        if full or len(self._queue) >= MAX_FRAMES:
            self._queue.clear()
            self._end("lagging")
            return False
        self._queue.append(message)
        self._bytes += len(message)
        self._ready.set()
        return True

    def dismiss(self, bye: Goodbye) -> None:
        """Say goodbye: the last that this member hears."""
        if not self.ended:
            self._queue.clear()
            self._queue.append(encode(bye))
            self._end("out")

    def _end(self, how: Ended) -> None:
        self.ended = how
        self._ready.set()

    async def take(self) -> bytes | None:
        """The next message; None once the member has ended and heard all."""
        while not self._queue:
            if self.ended:
                return None
            self._ready.clear()
            await self._ready.wait()
        message = self._queue.popleft()
        self._bytes -= len(message)
        return message
