"""Who may do what, and why: the rule book of pens."""

from sunroom.core.pens.facts import Actor, Facts, PassedPen, Target
from sunroom.core.pens.kits import KITS, Right
from sunroom.core.pens.rules import ACTIONS, Standing, Verdict, decide, standing

__all__ = [
    "ACTIONS",
    "KITS",
    "Actor",
    "Facts",
    "PassedPen",
    "Right",
    "Standing",
    "Target",
    "Verdict",
    "decide",
    "standing",
]
