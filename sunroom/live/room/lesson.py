"""The lesson of a live room: kept on disk at each change, and changed by the clock where minutes end."""

from __future__ import annotations

import asyncio
from collections.abc import Callable
from functools import partial

from sunroom.core.lesson import Lesson, LessonCommand, carry_out, expire
from sunroom.live.keeping.keeper import Keeper
from sunroom.live.keeping.room_store import RoomStore


class LiveLesson:
    """A lesson with a clock.

    Parameters
    ----------
    state : Lesson
        As it was kept.
    now_ms, kept : callables
        The server's time; called with each state once it is on disk.
    """

    def __init__(
        self,
        state: Lesson,
        keeper: Keeper,
        store: RoomStore,
        now_ms: Callable[[], int],
        kept: Callable[[Lesson], None],
    ) -> None:
        self.state = state
        self._keeper, self._store = keeper, store
        self._now_ms, self._kept = now_ms, kept
        self._expiry: asyncio.TimerHandle | None = None
        self._await_expiry()

    def put(self, state: Lesson) -> None:
        """Take a new state, and keep it when it is another."""
        if state == self.state:
            return
        self.state = state
        self._keeper.keep(self._store.lesson, state, partial(self._kept, state))
        self._await_expiry()

    def carry_out(self, command: LessonCommand, seat: str) -> None:
        """Change the lesson by a command that has been allowed; see core.lesson.carry_out for errors."""
        self.put(carry_out(self.state, command, seat, self._now_ms()))

    def _await_expiry(self) -> None:
        """Have the next pen that is passed for minutes end on its own."""
        if self._expiry:
            self._expiry.cancel()
            self._expiry = None
        ends = [pen.until_ms for pen in self.state.facts.passed if pen.until_ms is not None]
        if ends:
            delay_s = max(0.0, (min(ends) - self._now_ms()) / 1000) + 0.005
            self._expiry = asyncio.get_running_loop().call_later(delay_s, self._expire)

    def _expire(self) -> None:
        before = self.state
        self.put(expire(before, self._now_ms()))
        if self.state is before:
            self._await_expiry()
