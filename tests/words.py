"""What a sentence reads like in English: tests ask for words that people see."""

from __future__ import annotations

from collections.abc import Mapping
from typing import Any

from sunroom.core.sentences import Sentence
from sunroom.words import say


def in_words(said: Any) -> str:
    """Of a sentence, of an error that carries one, or of the JSON of one; "" of none, the key when it is unknown."""
    said = getattr(said, "sentence", said)
    if said is None:
        return ""
    key, values = (
        (said["key"], said.get("values", {})) if isinstance(said, Mapping) else (said.key, said.values)
    )
    assert isinstance(said, Sentence | Mapping)
    words = say(key, values)
    assert words != key, f"the catalogue has no {key}"
    return words


def said_by(done: Sentence | None, by: str = "Imani") -> str:
    """A line of the record, with whose doing it was."""
    return "" if done is None else in_words(Sentence(done.key, {**done.values, "by": by}))
