"""What working out gives: offers and verdicts, without the algebra that finds them."""

from __future__ import annotations

from typing import Literal

import msgspec

from sunroom.core.sentences import Sentence

MAX_CHECKED_LINES = 30

OfferKind = Literal[
    "value",
    "decimal",
    "simplified",
    "expanded",
    "factored",
    "solved",
    "steps",
    "derived",
    "integrated",
    "quantity",
    "balanced",
    "mass",
    "said",
]


class Offered(msgspec.Struct, frozen=True):
    """One thing that a formula can be worked out to: lines in LaTeX, or a sentence where there are none."""

    kind: OfferKind
    lines: tuple[str, ...] = ()
    sentence: Sentence | None = None


#: The last two are of what stands for itself: a statement about numbers alone.
LineVerdict = Literal["first", "follows", "does_not", "cannot_tell", "right", "wrong"]


class Checked(msgspec.Struct, frozen=True):
    """How a line of working stands to the one before, and what shows it."""

    verdict: LineVerdict
    sentence: Sentence | None = None
