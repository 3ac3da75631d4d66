"""One board of a live room: its state before and after the disk, and what goes out with the next tick."""

from __future__ import annotations

from collections import deque
from collections.abc import Callable
from functools import partial

from sunroom.boards.store import BoardStore, Logged, Opened
from sunroom.core.board import Board, Request, Step, resolve
from sunroom.core.board.history import How
from sunroom.core.board.requests import GoneError, Redo, Undo
from sunroom.core.board.steps import weight
from sunroom.core.sentences import said
from sunroom.live.keeping.keeper import Keeper
from sunroom.live.wire.messages import Point, Pointing, WetInk
from sunroom.resources import typesetter

#: Steps kept at hand for browsers that come back; older ones are read from the log.
RECENT_STEPS, RECENT_BYTES = 2_000, 16_000_000
SNAPSHOT_AFTER_STEPS = 200


class LiveBoard:
    """A board that people are on.

    ``board`` is the state that the next step meets; ``kept`` is what is on disk, and all that
    anybody is shown on joining.
    """

    def __init__(self, uid: str, title: str, store: BoardStore, opened: Opened) -> None:
        self.uid, self.title, self.store = uid, title, store
        self.recent: deque[tuple[Logged, int]] = deque()
        self._recent_weight = 0
        self._snapshot_queued = False
        self.steps: list[Logged] = []
        self.wet: list[WetInk] = []
        self.pointing: list[Pointing] = []
        #: Arrows that stay until they are cleared, by seat.
        self.arrows: dict[str, Point] = {}
        self.begin(opened)

    def begin(self, opened: Opened) -> None:
        """Go on from what is on disk; whatever had been decided but not kept is forgotten."""
        self.board = self.kept = opened.board
        self.history, self.ids, self.kept_ms = opened.history, opened.ids, opened.kept_ms
        #: Steps on their way to the disk; and whether one of them was lost, so that none may follow.
        self.pending = 0
        self.broken = False

    def plan(self, board: Board, request: Request, seat: str, now_ms: int) -> tuple[Step, How, int]:
        """The step that ``request`` makes of ``board``, how (do, undo, redo) and the step it answers.

        Raises
        ------
        GoneError, MalformedError
            See core.board.requests.resolve.
        """
        if isinstance(request, Undo | Redo):
            how: How = "undo" if isinstance(request, Undo) else "redo"
            found = self.history.find(seat, how, board)
            if found is None:
                raise GoneError(f"nothing_to_{how}", said("there-is-nothing-of-yours", how=how))
            return found[1], how, found[0]
        return resolve(board, request, seat, now_ms, typesetter()), "do", 0

    def take(
        self,
        logged: Logged,
        effect: tuple[Step, Board],
        keeper: Keeper,
        kept: Callable[[], None],
        lost: Callable[[], None],
    ) -> None:
        """Take a step and queue it for the disk; ``effect`` is its inverse, and the board after it.

        ``kept`` is called when it is there and can go out; ``lost`` when it can never be kept. After a loss every
        step that was pending is lost as well, and then the board must ``begin`` again.
        """
        inverse, self.board = effect
        self.ids.add(logged.id, logged.seq)
        self.history.record(logged.by, logged.seq, logged.how, logged.of, inverse, logged.step)
        self.pending += 1
        heavy = weight(logged.step)
        keeper.keep(
            self.store.append,
            (logged, inverse),
            partial(self._on_disk, logged, self.board, heavy, kept),
            partial(self._lost, lost),
            heavy + weight(inverse),
        )

    def missed_since(self, seq: int) -> tuple[Logged, ...] | None:
        """Kept steps after ``seq``; None when they reach further back than what is at hand."""
        first = self.recent[0][0].seq if self.recent else self.kept.seq + 1
        if not first - 1 <= seq <= self.kept.seq:
            return None
        return tuple(logged for logged, _ in self.recent if logged.seq > seq)

    def keep_snapshot(self, keeper: Keeper, after_steps: int = SNAPSHOT_AFTER_STEPS) -> None:
        """Queue a snapshot of what is kept, when the last one is ``after_steps`` steps behind."""
        if not self._snapshot_queued and self.store.snapshot_due(self.kept, after_steps):
            self._snapshot_queued = True
            keeper.keep(self._store_snapshot, self.kept, self._snapshot_done, self._snapshot_done)

    def _store_snapshot(self, boards: list[Board]) -> None:
        self.store.keep_snapshot(boards[-1])

    def _snapshot_done(self) -> None:
        self._snapshot_queued = False

    def _on_disk(self, logged: Logged, board: Board, heavy: int, kept: Callable[[], None]) -> None:
        self.pending -= 1
        self.kept, self.kept_ms = board, logged.at_ms
        self.recent.append((logged, heavy))
        self._recent_weight += heavy
        while len(self.recent) > RECENT_STEPS or self._recent_weight > RECENT_BYTES:
            self._recent_weight -= self.recent.popleft()[1]
        self.steps.append(logged)
        kept()

    def _lost(self, lost: Callable[[], None]) -> None:
        self.pending -= 1
        self.broken = True
        lost()
