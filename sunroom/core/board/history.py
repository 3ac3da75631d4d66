"""Each person's way back and forth: their own steps only, against the board of now."""

from __future__ import annotations

from typing import Any, Literal

import msgspec

from sunroom.core.board.items import ChartItem, Item, TableItem
from sunroom.core.board.pages import Bay, Board, PageHead
from sunroom.core.board.steps import Change, ChangeItems, ChangePage, ReplaceItems, Step, remaining, weight

#: Steps that one person can take back; older ones are let go.
DEPTH = 200
#: What the ways back of all people on a board may weigh together: a page that was removed waits in one of them.
MAX_HISTORY_BYTES = 32_000_000

How = Literal["do", "undo", "redo"]


class WayBack(msgspec.Struct, frozen=True):
    """A step of the log by its number, and the step that takes it back.

    ``given`` is the step itself when it gave items, or a page, new values.
    """

    seq: int
    inverse: Step
    given: ChangeItems | ReplaceItems | ChangePage | None = None
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
            if step is not None and entry.given is not None:
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
        given = step if isinstance(step, ChangeItems | ReplaceItems | ChangePage) else None
        entry = WayBack(seq, inverse, given, weight(inverse) + (weight(given) if given else 0))
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


def _not_overtaken(board: Board, back: Step, given: Step) -> Step | None:
    """``back`` without what somebody has changed again since it was ``given``."""
    match back, given:
        case ChangeItems(), ChangeItems():
            return _values_back(board, back, given)
        case ReplaceItems(), ReplaceItems():
            return _words_back(board, back, given)
        case ChangePage(), ChangePage():
            now = board.pages[back.head.id].head
            head = _head_back(now, back.head, given.head)
            return remaining(board, ChangePage(head)) if head != now else None
        case _:
            return back


def _values_back(board: Board, back: ChangeItems, given: ChangeItems) -> ChangeItems | None:
    items, were_given = board.pages[back.page].items, {change.id: change for change in given.changes}
    changes = []
    for change in back.changes:
        item, mine = items[change.id], were_given.get(change.id)
        values = change.values(item)
        kept = {n: v for n, v in values.items() if mine is None or getattr(item, n) == getattr(mine, n)}
        if kept:
            changes.append(Change(id=item.id, **kept))
    return ChangeItems(back.page, tuple(changes)) if changes else None


def _words_back(board: Board, back: ReplaceItems, given: ReplaceItems) -> ReplaceItems | None:
    """The words of things that are still the same things; where they lie now they stay."""
    items, were_given = board.pages[back.page].items, {item.id: item for item in given.items}
    new = []
    for before in back.items:
        now, mine = items.get(before.id), were_given.get(before.id)
        if now is None and isinstance(before, ChartItem):
            continue  # it only followed its table, and has been taken off since
        if now is None or mine is None or not type(now) is type(mine) is type(before):
            new.append(before)  # another thing stands in its place
        elif (item := _item_back(now, before, mine)) is not None:
            new.append(item)
    left = {item.id for item in back.items} - {item.id for item in new}
    ids = tuple(item_id for item_id in back.ids if item_id not in left)
    return ReplaceItems(back.page, ids, tuple(new)) if ids else None


def _item_back(now: Item, before: Item, mine: Item) -> Item | None:
    """``now`` with all that its edit changed as it was ``before``; None when somebody has edited it since."""
    names = now.__struct_fields__
    changed = {n: getattr(before, n) for n in names if getattr(before, n) != getattr(mine, n)}
    if isinstance(now, TableItem) and isinstance(before, TableItem) and isinstance(mine, TableItem):
        same_cells = len(before.cells) == len(mine.cells) and len(now.columns) == len(mine.columns)
        same_cells &= all(len(table.lines) == len(table.cells) for table in (now, before))
        if same_cells and "columns" not in changed:
            return _cells_back(now, before, mine)
    return _as_it_was(now, mine, changed)


def _as_it_was(now: Item, mine: Item, changed: dict[str, Any]) -> Item | None:
    if not changed or any(getattr(now, name) != getattr(mine, name) for name in changed):
        return None
    return msgspec.structs.replace(now, **changed)


def _cells_back(now: TableItem, before: TableItem, mine: TableItem) -> TableItem | None:
    """A table with those of its cells as they were that nobody has written in since."""
    cells, lines = list(now.cells), list(now.lines)
    for at, (was, given) in enumerate(zip(before.cells, mine.cells, strict=True)):
        if was != given and at < len(cells) and cells[at] == given:
            cells[at], lines[at] = was, before.lines[at]
    head = before.head if now.head == mine.head else now.head
    # Rows stay as high as they are for what others have written meanwhile.
    rows = before.rows if now.cells == mine.cells and now.rows == mine.rows else now.rows
    back = msgspec.structs.replace(now, cells=tuple(cells), lines=tuple(lines), head=head, rows=rows)
    return back if back != now else None


def _head_back(now: PageHead, before: PageHead, mine: PageHead) -> PageHead:
    names = [n for n in now.__struct_fields__ if n != "bays"]
    values = {n: getattr(before, n) for n in names if getattr(now, n) == getattr(mine, n)}
    return msgspec.structs.replace(now, **values, bays=_bays_back(now.bays, before.bays, mine.bays))


def _bays_back(now: tuple[Bay, ...], before: tuple[Bay, ...], mine: tuple[Bay, ...]) -> tuple[Bay, ...]:
    """Bays as they were before, but for those that somebody has changed, made or taken off since."""
    if now == mine:
        return before
    was, given = {bay.id: bay for bay in before}, {bay.id: bay for bay in mine}
    back = [was.get(bay.id, bay) if bay == given.get(bay.id) else bay for bay in now]
    back = [bay for bay in back if bay.id in was or bay != given.get(bay.id)]
    there = {bay.id for bay in now}
    return (*back, *(bay for bay in before if bay.id not in there and bay.id not in given))
