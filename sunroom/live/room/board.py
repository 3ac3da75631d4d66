"""One board of a live room: its state before and after the disk, and what goes out with the next tick."""

from __future__ import annotations

from collections import deque
from collections.abc import Callable, Iterator, Sequence
from functools import partial
from typing import NamedTuple

import msgspec

from sunroom.boards.store import BoardStore, Logged, Opened
from sunroom.core.board import Board, Step
from sunroom.core.board.history import How
from sunroom.core.board.requests import GoneError, Redo, Undo
from sunroom.core.board.sight import hidden_pages, shown, step_shown
from sunroom.core.board.steps import AddPage, ChangePage, RemovePage, weight
from sunroom.core.sentences import said
from sunroom.live.keeping.keeper import Keeper
from sunroom.live.wire.messages import Frame, Laid, Lay, Point, Pointing, Sliding, WetInk

#: Steps kept at hand for browsers that come back; older ones are read from the log.
RECENT_STEPS, RECENT_BYTES = 2_000, 16_000_000
SNAPSHOT_AFTER_STEPS = 200


class Landed(NamedTuple):
    """A kept step; ``shown`` is what those hear of it who see no hidden pages (None: only that there was one)."""

    logged: Logged
    shown: Logged | None
    weight: int


def heard(landed: Sequence[Landed], tutor_side: bool) -> tuple[tuple[Logged, ...], tuple[int, ...]]:
    """The steps that the tutor side, or everybody else, is told; and the numbers of those they are not."""
    if tutor_side:
        return tuple(step.logged for step in landed), ()
    told = tuple(step.shown for step in landed if step.shown)
    return told, tuple(step.logged.seq for step in landed if not step.shown)


class LiveBoard:
    """A board that people are on.

    ``board`` is the state that the next step meets; ``kept`` is what is on disk, and all that
    anybody is shown on joining.
    """

    def __init__(self, uid: str, title: str, store: BoardStore, opened: Opened) -> None:
        self.uid, self.title, self.store = uid, title, store
        self.recent: deque[Landed] = deque()
        self._recent_weight = 0
        self._snapshot_queued = False
        self.steps: list[Landed] = []
        self.wet: list[WetInk] = []
        self.pointing: list[Pointing] = []
        #: Arrows that stay until they are cleared, by seat.
        self.arrows: dict[str, Point] = {}
        #: Instruments in use by connection, and what of that the others have not been told.
        self.laid: dict[str, Laid] = {}
        self.laying: dict[str, Laid] = {}
        #: Graphs that are moved just now, by their ids.
        self.sliding: dict[str, Sliding] = {}
        self.begin(opened)

    def begin(self, opened: Opened) -> None:
        """Go on from what is on disk; whatever had been decided but not kept is forgotten."""
        self.board = self.kept = opened.board
        self.history, self.ids, self.kept_ms = opened.history, opened.ids, opened.kept_ms
        self.hidden = hidden_pages(self.board)
        #: Steps on their way to the disk; and whether one of them was lost, so that none may follow.
        self.pending = 0
        self.broken = False

    def seen_by(self, tutor_side: bool) -> Board:
        """The kept board as the tutor side sees it, or as everybody else does."""
        return self.kept if tutor_side else shown(self.kept)

    def going_back(self, request: Undo | Redo, seat: str) -> tuple[Step, How, int]:
        """The step that takes back or brings back what ``seat`` did, how, and the step it answers; raises GoneError.

        What follows from it (core.board.following) is for the caller to add.
        """
        how: How = "undo" if isinstance(request, Undo) else "redo"
        found = self.history.find(seat, how, self.board)
        if found is None:
            raise GoneError(f"nothing_to_{how}", said("there-is-nothing-of-yours", how=how))
        return found[1], how, found[0]

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
        inverse, after = effect
        there = step_shown(self.board, logged.step, after)
        told: Logged | None = logged
        if there is not logged.step:
            told = msgspec.structs.replace(logged, step=there) if there else None
        self.board = after
        if isinstance(logged.step, AddPage | ChangePage | RemovePage):
            self.hidden = hidden_pages(after)
        self.ids.add(logged.id, logged.seq)
        self.history.record(logged.by, logged.seq, logged.how, logged.of, inverse, logged.step)
        self.pending += 1
        heavy = weight(logged.step)
        keeper.keep(
            self.store.append,
            (logged, inverse),
            partial(self._on_disk, Landed(logged, told, heavy), after, kept),
            partial(self._lost, lost),
            heavy + weight(inverse),
        )

    def missed_since(self, seq: int) -> list[Landed] | None:
        """Kept steps after ``seq``; None when they reach further back than what is at hand."""
        first = self.recent[0].logged.seq if self.recent else self.kept.seq + 1
        if not first - 1 <= seq <= self.kept.seq:
            return None
        return [landed for landed in self.recent if landed.logged.seq > seq]

    def laid_for(self, tutor_side: bool, laid: dict[str, Laid]) -> Iterator[Laid]:
        """Instruments as the tutor side sees them, or as everybody else does: those on a hidden page have gone."""
        for each in laid.values():
            hidden = not tutor_side and each.lay.page in self.hidden
            yield msgspec.structs.replace(each, lay=Lay("")) if hidden else each

    def frames(self, shared: Frame) -> tuple[Frame, Frame]:
        """What happened since it was asked last, added to ``shared``: for the tutor side, and for everybody else."""
        whole = rest = msgspec.structs.replace(
            shared,
            steps=heard(self.steps, True)[0],
            wet=tuple(self.wet),
            pointing=tuple(self.pointing),
            laid=tuple(self.laying.values()),
            sliding=tuple(self.sliding.values()),
            kept_ms=self.kept_ms if self.steps else 0,
        )
        if self.hidden or any(landed.shown is not landed.logged for landed in self.steps):
            steps, passed = heard(self.steps, False)
            wet = tuple(ink for ink in self.wet if ink.wet.page not in self.hidden)
            pointing = tuple(each for each in self.pointing if each.point.page not in self.hidden)
            laid = tuple(self.laid_for(False, self.laying))
            sliding = tuple(each for each in self.sliding.values() if each.slide.page not in self.hidden)
            rest = msgspec.structs.replace(
                whole, steps=steps, passed=passed, wet=wet, pointing=pointing, laid=laid, sliding=sliding
            )
        self.steps, self.wet, self.pointing, self.laying, self.sliding = [], [], [], {}, {}
        return whole, rest

    def keep_snapshot(self, keeper: Keeper, after_steps: int = SNAPSHOT_AFTER_STEPS) -> None:
        """Queue a snapshot of what is kept, when the last one is ``after_steps`` steps behind."""
        if not self._snapshot_queued and self.store.snapshot_due(self.kept, after_steps):
            self._snapshot_queued = True
            keeper.keep(self._store_snapshot, self.kept, self._snapshot_done, self._snapshot_done)

    def _store_snapshot(self, boards: list[Board]) -> None:
        self.store.keep_snapshot(boards[-1])

    def _snapshot_done(self) -> None:
        self._snapshot_queued = False

    def _on_disk(self, landed: Landed, board: Board, kept: Callable[[], None]) -> None:
        self.pending -= 1
        self.kept, self.kept_ms = board, landed.logged.at_ms
        self.recent.append(landed)
        self._recent_weight += landed.weight
        while len(self.recent) > RECENT_STEPS or self._recent_weight > RECENT_BYTES:
            self._recent_weight -= self.recent.popleft().weight
        self.steps.append(landed)
        kept()

    def _lost(self, lost: Callable[[], None]) -> None:
        self.pending -= 1
        self.broken = True
        lost()
