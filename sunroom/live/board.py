"""One board of a live room: its state before and after the disk, and what goes out with the next tick."""

from __future__ import annotations

from collections.abc import Callable
from functools import partial

from sunroom.boards import repository
from sunroom.boards.repository import Logged, Opened
from sunroom.core.board import Board, Request, Step, apply, invert, resolve
from sunroom.core.board.history import How
from sunroom.core.board.requests import GoneError, Redo, Undo
from sunroom.live.keeper import Keeper
from sunroom.live.messages import Point, Pointing, WetInk
from sunroom.resources import typesetter

#: Steps kept at hand for browsers that come back; older ones are read from the log.
RECENT_STEPS = 2_000
SNAPSHOT_AFTER_STEPS = 200


class LiveBoard:
    """A board that people are on.

    ``board`` is the state that the next step meets; ``kept`` is what is on disk, and all that
    anybody is shown on joining.
    """

    def __init__(self, row_id: int, uid: str, title: str, opened: Opened) -> None:
        self.row_id, self.uid, self.title = row_id, uid, title
        self.board = self.kept = self.snapshot = opened.board
        self.history = opened.history
        self.seqs = opened.seqs
        self.kept_ms = opened.kept_ms
        self.recent: list[Logged] = []
        self.steps: list[Logged] = []
        self.wet: list[WetInk] = []
        self.pointing: list[Pointing] = []
        #: Arrows that stay until they are cleared, by seat.
        self.arrows: dict[str, Point] = {}

    def plan(self, request: Request, seat: str, now_ms: int) -> tuple[Step, How, int]:
        """The step that ``request`` makes, how (do, undo, redo) and the step it answers.

        Raises
        ------
        GoneError, MalformedError
            See core.board.requests.resolve.
        """
        if isinstance(request, Undo | Redo):
            how: How = "undo" if isinstance(request, Undo) else "redo"
            found = self.history.find(seat, how, self.board)
            if found is None:
                raise GoneError(f"nothing_to_{how}", f"There is nothing of yours left to {how}.")
            return found[1], how, found[0]
        return resolve(self.board, request, seat, now_ms, typesetter()), "do", 0

    def take(self, logged: Logged, keeper: Keeper, kept: Callable[[], None]) -> None:
        """Apply a step and queue it for the disk; ``kept`` is called when it is there and can go out."""
        inverse = invert(self.board, logged.step)
        self.board = apply(self.board, logged.step)
        self.seqs[logged.id] = logged.seq
        self.history.record(logged.by, logged.seq, logged.how, logged.of, inverse, logged.step)
        keeper.keep(self._append, (logged, inverse), partial(self._on_disk, logged, self.board, kept))

    def missed_since(self, seq: int) -> tuple[Logged, ...] | None:
        """Kept steps after ``seq``; None when they reach further back than what is at hand."""
        first = self.recent[0].seq if self.recent else self.kept.seq + 1
        if not first - 1 <= seq <= self.kept.seq:
            return None
        return tuple(logged for logged in self.recent if logged.seq > seq)

    def snapshot_due(self) -> bool:
        return self.kept.seq - self.snapshot.seq >= SNAPSHOT_AFTER_STEPS

    def keep_snapshot(self, keeper: Keeper) -> None:
        """Queue a snapshot of the pages that changed since the last."""
        before, self.snapshot = self.snapshot, self.kept
        keeper.keep(self._append_snapshot, (self.snapshot, before))

    def _append(self, rows: list[tuple[Logged, Step]]) -> None:
        repository.append(self.row_id, rows)

    def _append_snapshot(self, rows: list[tuple[Board, Board]]) -> None:
        for board, before in rows:
            repository.keep_snapshot(self.row_id, board, before)

    def _on_disk(self, logged: Logged, board: Board, kept: Callable[[], None]) -> None:
        self.kept, self.kept_ms = board, logged.at_ms
        self.recent.append(logged)
        if len(self.recent) > 2 * RECENT_STEPS:
            del self.recent[:-RECENT_STEPS]
        self.steps.append(logged)
        kept()
