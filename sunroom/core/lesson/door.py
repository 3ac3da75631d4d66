"""The door: who comes in by it at once, who knocks, who needs the code, and who stays out.

The rows of ``at_door`` are read from the top; the first that fits answers. It is asked when a live line joins and
when a file is fetched, always with the seat as it is at that moment.

    ====================================  ===============
    the room's owner                      in
    sent away                             sent_away
    the tutor side                        in
    no lesson, and closed between         closed
    an onlooker (their link is a key)     in
    let in before                         in
    to knock whatever the rule            knock
    the door is open                      in
    the door has a code                   in / code / wrong
    the door is knocked at                knock
    ====================================  ===============
"""

from __future__ import annotations

from typing import Final, Literal

import msgspec

from sunroom.core.lesson.state import Lesson, code_fits
from sunroom.core.pens.facts import Role
from sunroom.core.sentences import Sentence, said

Entrance = Literal["in", "sent_away", "closed", "knock", "code", "wrong"]

#: What those are told who do not come in, and whether to try again.
SENTENCES: Final[dict[str, tuple[Sentence, bool]]] = {
    "sent_away": (said("the-tutor-has-sent-you"), False),
    "closed": (said("door-closed"), True),
    "knock": (said("door-knocked-at"), False),
    "code": (said("door-asks-code"), False),
}


class SeatFacts(msgspec.Struct, frozen=True):
    """A seat as the door sees it.

    Attributes
    ----------
    admitted : bool or None
        Let in before, to knock whatever the rule, or neither.
    owner : bool
        The room is theirs, whoever leads now.
    """

    role: Role
    admitted: bool | None = None
    sent_away: bool = False
    owner: bool = False


def at_door(seat: SeatFacts, lesson: Lesson, code: str = "") -> Entrance:
    """What the door says to whoever comes with ``code`` ("" for none)."""
    if seat.owner:
        return "in"
    if seat.sent_away:
        return "sent_away"
    if seat.role in ("tutor", "helper"):
        return "in"
    if not lesson.facts.open and lesson.facts.between == "closed":
        return "closed"
    if seat.role == "onlooker" or seat.admitted:
        return "in"
    if seat.admitted is None and lesson.door == "open":
        return "in"
    if seat.admitted is None and lesson.door == "code":
        if code_fits(lesson, code):
            return "in"
        return "wrong" if code else "code"
    return "knock"


def code_admits(lesson: Lesson, seat: SeatFacts) -> bool:
    """Whether who comes in now has done so by the code, and so comes in again without it.

    A code that is typed at an open door admits to nothing later.
    """
    return seat.role == "student" and seat.admitted is None and lesson.door == "code"
