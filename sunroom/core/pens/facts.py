"""The facts that the rule book decides on: who, on what, in which lesson."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.pens.kits import KITS, Right

Role = Literal["tutor", "helper", "student", "onlooker"]
Mode = Literal["down", "passed", "up"]
Between = Literal["view", "write", "closed"]
PageRule = Literal["lesson", "tutor_side", "open", "desk"]


class Actor(msgspec.Struct, frozen=True):
    """A person in a seat, in the role of this moment."""

    seat: str
    role: Role
    name: str = ""

    @property
    def tutor_side(self) -> bool:
        return self.role in ("tutor", "helper")


class PassedPen(msgspec.Struct, frozen=True):
    """A pen passed to one person; ``until_ms`` by the server's clock, None for good."""

    seat: str
    until_ms: int | None = None


class Facts(msgspec.Struct, frozen=True):
    """The lesson as the rule book sees it.

    Attributes
    ----------
    open : bool
        Whether a lesson is on; if not, ``between`` rules.
    passed, withheld
        Pens given to, and taken from, single persons; the first counts while pens are passed or up,
        the second while they are up.
    kit, kits
        Rights of every pen, and of single persons' pens where they differ (pairs of seat and rights).
    down_at_ms : int
        When pens last went down.
    writer : str
        Whom a student is told to be writing while pens are down.
    """

    open: bool = True
    mode: Mode = "down"
    passed: tuple[PassedPen, ...] = ()
    withheld: tuple[str, ...] = ()
    kit: tuple[Right, ...] = tuple(sorted(KITS["full pen"]))
    kits: tuple[tuple[str, tuple[Right, ...]], ...] = ()
    down_at_ms: int = 0
    between: Between = "view"
    writer: str = "The tutor"

    def rights_of(self, seat: str) -> frozenset[Right]:
        """The kit of one person's pen."""
        return frozenset(dict(self.kits).get(seat, self.kit))


class Target(msgspec.Struct, frozen=True):
    """What an action is about.

    Attributes
    ----------
    page : PageRule
        The page's own rule; ``desk_of`` is the owner's seat when it is a desk.
    owners : frozenset of str
        Seats whose items the action changes or removes.
    locked : bool
        Whether any of these items is locked by the tutor side.
    begun_ms : int or None
        For new ink: when the server saw its first sample while it was allowed; None when it did not.
    """

    page: PageRule = "lesson"
    desk_of: str = ""
    owners: frozenset[str] = frozenset()
    locked: bool = False
    begun_ms: int | None = None
