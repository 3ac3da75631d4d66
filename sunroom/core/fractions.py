"""Fractions written in a line, 3/4: whether they may stand where they were read."""

from __future__ import annotations

import re

_IN_LINE, _LARGE = re.compile(r"\d/\d"), re.compile(r"(?<![/\d.,])\d{3,}(?![/\d])")


def fraction_beside_large(text: str) -> bool:
    """Whether a fraction stands beside a number of three digits and more: 717 + 2/4 is likelier 717 + 214."""
    return bool(_IN_LINE.search(text) and _LARGE.search(text))
