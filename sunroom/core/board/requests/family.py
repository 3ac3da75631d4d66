"""What every family of requests shares: its four parts, what a request is worked out of, and common limits.

A family is a module that holds the requests of one kind with all that they need: ``check`` (limits that hold whatever
the board is), ``named`` and ``actions`` (what the rule book is asked first), ``work`` (an estimate) and ``step`` (what it
becomes on a board).
"""

from __future__ import annotations

from collections.abc import Sequence
from typing import Any, NamedTuple, Protocol

from sunroom.core.board.items import Item
from sunroom.core.board.limits import check_id
from sunroom.core.board.pages import MAX_ITEMS, Board, Page
from sunroom.core.board.steps import Step
from sunroom.core.errors import MalformedError, SunRoomError
from sunroom.core.pens.rules import Action
from sunroom.core.sentences import Sentence, said
from sunroom.core.text import Typesetter


class GoneError(SunRoomError):
    """What the request speaks of is no longer on the board: nobody's fault, nothing was changed."""

    def __init__(self, code: str, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence
        self.code = code


class Now(NamedTuple):
    """What a request of ``seat`` is worked out of; ``page`` is the one it names."""

    board: Board
    page: Page
    seat: str
    at_ms: int
    typesetter: Typesetter


class Family(Protocol):
    """A module for one family of requests; each function takes the requests of that family."""

    def check(self, request: Any, /) -> None:
        """Hold a request from outside to its limits, whatever the board; raises MalformedError."""

    def named(self, request: Any, /) -> tuple[str, ...]:
        """The items that a request itself names as those to be changed."""

    def actions(self, request: Any, /) -> list[Action]:
        """What the rule book must allow; of more than one all."""

    def work(self, page: Page | None, request: Any, /) -> float:
        """Microseconds that it may take, see the estimates in this package's ``cost``."""

    def step(self, now: Now, request: Any, /) -> Step | None:
        """The step it becomes, None when nothing is left of it; raises GoneError and MalformedError."""


def check_ids(ids: tuple[str, ...]) -> None:
    if not 1 <= len(ids) <= MAX_ITEMS:
        raise MalformedError("ids", said("the-step-names-no-item"))


def check_holds(holds: tuple[str, str]) -> None:
    for held in holds:
        if held:
            check_id(held)


def chosen(page: Page, ids: Sequence[str]) -> list[Item]:
    """The items of ``ids`` that are still there, from the lowest to the highest; raises GoneError."""
    found = {item_id: page.items[item_id] for item_id in ids if item_id in page.items}
    if not found:
        raise GoneError("items_gone", said("that-is-no-longer-on"))
    return sorted(found.values(), key=lambda item: (item.z, item.id))


def found(page: Page | None, ids: Sequence[str]) -> list[Item]:
    """Those of ``ids`` that are on the page, in their order."""
    return [page.items[item_id] for item_id in ids if item_id in page.items] if page else []
