"""Names that people give: cleaned of what cannot be seen, and told apart."""

from __future__ import annotations

import unicodedata
from collections.abc import Iterable

from sunroom.core.sentences import Sentence, said

MAX_NAME = 40


class BadName(ValueError):
    """A name that cannot be used; the sentence says why."""

    def __init__(self, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.sentence = sentence


def clean_name(name: str, what: str = "name", longest: int = MAX_NAME) -> str:
    """``name`` in one line and composed form.

    Raises
    ------
    BadName
        When it is empty, too long, or has characters that are not seen or turn the reading direction.
    """
    text = " ".join(unicodedata.normalize("NFC", name).split())
    if not text:
        raise BadName(said("name-missing", what=what))
    if len(text) > longest:
        raise BadName(said("name-too-long", what=what, count=len(text), most=longest))
    if any(unicodedata.category(character) in ("Cc", "Cf", "Co", "Cs", "Cn") for character in text):
        raise BadName(said("name-unseen", what=what))
    return text


def distinct(name: str, taken: Iterable[str]) -> str:
    """``name``, or with the first free number behind it when somebody has it already."""
    used = {_alike(other) for other in taken}
    if _alike(name) not in used:
        return name
    number = 2
    while _alike(numbered := f"{name[: MAX_NAME - 4]} {number}") in used:
        number += 1
    return numbered


def _alike(name: str) -> str:
    return unicodedata.normalize("NFKC", name).casefold()
