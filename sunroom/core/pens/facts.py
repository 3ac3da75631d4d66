"""The facts that the rule book decides on: who, on what, in which lesson."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.pens.kits import KITS, Right

Role = Literal["tutor", "helper", "student", "onlooker"]
Mode = Literal["down", "passed", "up"]
Between = Literal["view", "write", "closed"]
PageRule = Literal["lesson", "tutor_side", "open", "desk"]
#: Who speaks, or is seen, in the call: everybody, whoever has a pen, or the tutor side alone.
InCall = Literal["all", "pens", "tutor_side"]
BayRule = Literal["page", "tutor_side", "open", "people"]


class Actor(msgspec.Struct, frozen=True):
    """A person in a seat, in the role of this moment; ``owner``: the room is theirs, whoever leads now."""

    seat: str
    role: Role
    name: str = ""
    owner: bool = False

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
    open, paused : bool
        Whether a lesson is on (if not, ``between`` rules), and whether it stands still for a while.
    passed, withheld
        Pens given to, and taken from, single persons; the first counts while pens are passed or up,
        the second while they are up.
    kit, kits
        Rights of every pen, and of single persons' pens where they differ (pairs of seat and rights).
    room_kit
        The rights that every lesson of the room begins with.
    pointing : bool
        Whether students may point without a pen.
    voices, faces : InCall
        Who of the students speaks, and who sends a picture, in the call.
    muted, unseen, called
        Seats that do not speak, send no picture, or do both whatever the rule for all is.
    down_at_ms : int
        When pens last went down.
    writer : str
        Whom a student is told to be writing while pens are down.
    """

    open: bool = True
    paused: bool = False
    mode: Mode = "down"
    passed: tuple[PassedPen, ...] = ()
    withheld: tuple[str, ...] = ()
    kit: tuple[Right, ...] = tuple(sorted(KITS["full pen"]))
    kits: tuple[tuple[str, tuple[Right, ...]], ...] = ()
    room_kit: tuple[Right, ...] = tuple(sorted(KITS["full pen"]))
    down_at_ms: int = 0
    between: Between = "view"
    writer: str = "The tutor"
    pointing: bool = False
    voices: InCall = "all"
    faces: InCall = "all"
    muted: tuple[str, ...] = ()
    unseen: tuple[str, ...] = ()
    called: tuple[str, ...] = ()

    def rights_of(self, seat: str) -> frozenset[Right]:
        """The kit of one person's pen."""
        return frozenset(dict(self.kits).get(seat, self.kit))


class BayFacts(msgspec.Struct, frozen=True):
    """A bay's own rule: as the page, the tutor side only, open to students, or for some people."""

    rule: BayRule = "page"
    people: tuple[str, ...] = ()


#: What lies beside all bays follows the page.
BESIDE = BayFacts()


class Target(msgspec.Struct, frozen=True):
    """What an action is about.

    Attributes
    ----------
    page : PageRule
        The page's own rule; ``desk_of`` is the owner's seat when it is a desk.
    page_of : str
        The seat that made the page, "" for the tutor side.
    hidden : bool
        Whether the page is one that only the tutor side sees.
    bays : tuple of BayFacts
        All bays in which it happens, and ``BESIDE`` when a part lies in none.
    owners : frozenset of str
        Seats whose items the action changes or removes.
    locked : bool
        Whether any of these items is locked by the tutor side.
    begun_ms : int or None
        For new ink: when the server saw its first sample while it was allowed; None when it did not.
    """

    page: PageRule = "lesson"
    desk_of: str = ""
    page_of: str = ""
    bays: tuple[BayFacts, ...] = (BESIDE,)
    owners: frozenset[str] = frozenset()
    locked: bool = False
    begun_ms: int | None = None
    hidden: bool = False
