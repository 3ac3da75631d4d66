"""How a page was made, for files that play it: each state of each item, with the steps it came and went by."""

from __future__ import annotations

from collections.abc import Sequence

import immutables
import msgspec

from sunroom.core.board.items import InkItem, Item
from sunroom.core.board.pages import Board, Page, PageHead
from sunroom.core.board.steps import AddItems, AddPage, Step, apply
from sunroom.core.errors import MalformedError
from sunroom.core.ink import unpack_samples
from sunroom.core.sentences import said

#: A step and when it was done, in ms.
Done = tuple[int, Step]

#: Pauses are shortened to this, and what landed together comes one after the other (frontend/src/board/making.ts).
PAUSE_MS, LEAST_MS = 1_200, 40
#: States of items in one file: more is a file that no browser plays.
MAX_STATES = 60_000


class Making(msgspec.Struct, frozen=True):
    """A page with every state that its items ever had, each as an item of its own.

    Attributes
    ----------
    marks : dict of str to str
        By the id of such an item the attributes ``data-s``, the number of the step it came by, and ``data-e``, of
        the step it went by; without the latter it is still there.
    times, short_times : tuples of int
        When each step comes, in ms from the first, and when with long pauses shortened.
    """

    page: Page
    marks: dict[str, str]
    times: tuple[int, ...]
    short_times: tuple[int, ...]
    #: The time of day, in ms, at which the playing begins.
    first_ms: int = 0


def making_of(head: PageHead, done: Sequence[Done]) -> Making:
    """The making of the page that begins with nothing but ``head``; raises MalformedError when it is too much."""
    board = Board().with_page(Page(head))
    states: dict[str, Item] = {}
    marks: dict[str, str] = {}
    since: dict[str, tuple[int, Item]] = {}
    times, short_times = [0] * len(done), [0] * len(done)

    def close(uid: str, step: int | None) -> None:
        start, item = since.pop(uid)
        if start == step:
            return  # never seen
        name = f"{uid}~{start}"
        states[name] = msgspec.structs.replace(item, id=name)
        marks[name] = f'data-s="{start}"' + ("" if step is None else f' data-e="{step}"')
        if len(marks) > MAX_STATES:
            raise MalformedError("making", said("too-much-was-made-for-one"))

    for number, (at_ms, step) in enumerate(done):
        takes = _writing_ms(step)
        if number:
            gap = max(0, at_ms - done[number - 1][0])
            times[number] = times[number - 1] + gap
            short_times[number] = short_times[number - 1] + max(min(gap, PAUSE_MS + takes), LEAST_MS)
        else:
            times[0] = short_times[0] = takes
        before = board.pages[head.id].items
        if isinstance(step, AddPage):
            board = apply(board.with_page(Page(head)), AddItems(head.id, step.items))
        else:
            board = apply(board, step)
        after = board.pages[head.id].items
        for uid in _touched(step, before):
            if uid in before and before[uid] is not after.get(uid):
                close(uid, number)
            if uid in after and uid not in since:
                since[uid] = (number, after[uid])
    for uid in [*since]:
        close(uid, None)
    whole = Page(head, immutables.Map(states))
    # From the last step: a clock that was put back makes pauses of nothing before it.
    first_ms = done[-1][0] - times[-1] if done else 0
    return Making(whole, marks, tuple(times), tuple(short_times), first_ms)


def _touched(step: Step, before: immutables.Map[str, Item]) -> list[str]:
    found = list(getattr(step, "ids", ())) + [item.id for item in getattr(step, "items", ())]
    if isinstance(step, AddPage):
        found += before
    return list(dict.fromkeys(found))


def _writing_ms(step: Step) -> int:
    """How long whoever made it was about it, of one stroke."""
    if not isinstance(step, AddItems) or len(step.items) != 1:
        return 0
    (item,) = step.items
    return round(float(unpack_samples(item.samples)[-1, 3])) if isinstance(item, InkItem) else 0
