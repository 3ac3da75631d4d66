"""Who may do what, and why: the rule book of pens."""

from sunroom.core.pens.facts import BESIDE, Actor, BayFacts, Facts, PassedPen, Target
from sunroom.core.pens.kits import KITS, Right
from sunroom.core.pens.rules import ACTIONS, Standing, Verdict, decide, standing

__all__ = [
    "ACTIONS",
    "BESIDE",
    "KITS",
    "Actor",
    "BayFacts",
    "Facts",
    "PassedPen",
    "Right",
    "Standing",
    "Target",
    "Verdict",
    "decide",
    "standing",
]
