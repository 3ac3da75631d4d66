"""The core's errors: one base class, the facts as attributes beside the sentence."""

from __future__ import annotations

from sunroom.core.sentences import Sentence


class SunRoomError(Exception):
    """Base of every error the core raises on purpose."""


class MalformedError(SunRoomError):
    """Input that breaks its format: the sender's fault, nothing was changed.

    Attributes
    ----------
    field : str
        What was malformed, as named in the message that carried it.
    sentence : Sentence
        What is said of it to the person.
    """

    def __init__(self, field: str, sentence: Sentence) -> None:
        super().__init__(str(sentence))
        self.field = field
        self.sentence = sentence
