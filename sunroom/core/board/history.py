"""Each person's way back and forth: their own steps only, against the board of now."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.board.pages import Board
from sunroom.core.board.steps import Change, ChangeItems, Step, remaining, weight

#: Steps that one person can take back; older ones are let go.
DEPTH = 200
#: What the ways back of all people on a board may weigh together: a page that was removed waits in one of them.
MAX_HISTORY_BYTES = 32_000_000

How = Literal["do", "undo", "redo"]


class WayBack(msgspec.Struct, frozen=True):
    """A step of the log by its number, and the step that takes it back.

    ``given`` is the step itself when it gave items new values.
    """

    seq: int
    inverse: Step
    given: ChangeItems | None = None
    weight: int = 0


class History:
    """The steps that each person can undo and redo.

    It is rebuilt by giving ``record`` the log's last rows in order.
    """

    def __init__(self) -> None:
        self._done: dict[str, list[WayBack]] = {}
        self._undone: dict[str, list[WayBack]] = {}
        self._weight = 0

    def find(self, seat: str, how: How, board: Board) -> tuple[int, Step] | None:
        """The step that takes back (``undo``) or brings back (``redo``) the last thing of ``seat``.

        Entries of which nothing is left on ``board`` are skipped.

        Returns
        -------
        (int, Step) or None
            The number of the step it answers, and the step to apply; None when there is nothing.
        """
        stack = self._done if how == "undo" else self._undone
        for entry in reversed(stack.get(seat, ())):
            step = remaining(board, entry.inverse)
            if isinstance(step, ChangeItems) and entry.given:
                step = _not_overtaken(board, step, entry.given)
            if step is not None:
                return entry.seq, step
        return None

    def record(self, seat: str, seq: int, how: How, of: int, inverse: Step, step: Step) -> None:
        """Write down ``step``, number ``seq``, of ``seat``; ``of`` is the step it took or brought back
        (0 for do)."""
        done, undone = self._done.setdefault(seat, []), self._undone.setdefault(seat, [])
        if how == "do":
            self._drop(undone, len(undone))
        else:
            source = done if how == "undo" else undone
            while source and self._let_go(source.pop()).seq != of:
                pass
        given = step if isinstance(step, ChangeItems) else None
        entry = WayBack(seq, inverse, given, weight(inverse))
        self._weight += entry.weight
        (undone if how == "undo" else done).append(entry)
        self._drop(done, len(done) - DEPTH)
        while self._weight > MAX_HISTORY_BYTES and self._drop_oldest(entry):
            pass

    def _let_go(self, entry: WayBack) -> WayBack:
        self._weight -= entry.weight
        return entry

    def _drop(self, stack: list[WayBack], count: int) -> None:
        for entry in stack[: max(0, count)]:
            self._let_go(entry)
        del stack[: max(0, count)]

    def _drop_oldest(self, keep: WayBack) -> bool:
        """Let the oldest entry of the heaviest stack go; False when only ``keep`` is left."""
        stacks = [s for s in (*self._done.values(), *self._undone.values()) if s and s[0] is not keep]
        if not stacks:
            return False
        self._drop(max(stacks, key=lambda stack: sum(entry.weight for entry in stack)), 1)
        return True

    def depth(self, seat: str) -> tuple[int, int]:
        """How many steps ``seat`` can undo and redo."""
        return len(self._done.get(seat, ())), len(self._undone.get(seat, ()))


def _not_overtaken(board: Board, back: ChangeItems, given: ChangeItems) -> ChangeItems | None:
    """``back`` without the values that somebody has changed again since they were ``given``."""
    items, were_given = board.pages[back.page].items, {change.id: change for change in given.changes}
    changes = []
    for change in back.changes:
        item, mine = items[change.id], were_given.get(change.id)
        values = change.values(item)
        kept = {n: v for n, v in values.items() if mine is None or getattr(item, n) == getattr(mine, n)}
        if kept:
            changes.append(Change(id=item.id, **kept))
    return ChangeItems(back.page, tuple(changes)) if changes else None
