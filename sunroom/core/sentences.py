"""A sentence that is not said yet: the key of the catalogue and what to fill in.

Who reads it chooses the language, so nothing below the edge of the program has words in one.
"""

from __future__ import annotations

import msgspec

Value = str | int | float


class Sentence(msgspec.Struct, frozen=True, omit_defaults=True):
    """``key`` stands in sunroom/words; ``values`` are what its placeables are called there."""

    key: str
    values: dict[str, Value] = {}

    def __str__(self) -> str:
        """For logs, which have no language."""
        return f"{self.key} {self.values}" if self.values else self.key


def said(key: str, /, **values: Value) -> Sentence:
    return Sentence(key, values)
