"""Which characters words may not have: those that are orders to a machine, or that turn how others are read.

Spaces of any width and what joins signs (the two halves of an emoji, letters of some scripts) are no such: programs and
keyboards put them in, and nobody who pastes a question knows of them.
"""

from __future__ import annotations

import re

#: C0 and C1 controls but tab and line feed, and what turns the reading direction (Unicode 15, chapters 23.1 and 23.2).
_CONTROLS = re.compile("[\x00-\x08\x0b-\x1f\x7f-\x9f\u202a-\u202e\u2066-\u2069]")
_BREAKS = re.compile("[\t\n\u2028\u2029]")
_PARTING = re.compile("[\u00ad\u200b\ufeff]")


def has_controls(text: str) -> bool:
    return bool(_CONTROLS.search(text))


def is_one_line(text: str) -> bool:
    """Whether a text has neither controls nor anything that ends a line."""
    return not has_controls(text) and not _BREAKS.search(text)


def only_seen(text: str) -> str:
    """A text without controls, and without what only says where a word may be parted."""
    return _PARTING.sub("", _CONTROLS.sub("", text))
