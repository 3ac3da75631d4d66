"""The core's errors: one base class, the facts as attributes beside the sentence."""

from __future__ import annotations


class SunRoomError(Exception):
    """Base of every error the core raises on purpose."""


class MalformedError(SunRoomError):
    """Input that breaks its format: the sender's fault, nothing was changed.

    Attributes
    ----------
    field : str
        What was malformed, as named in the message that carried it.
    """

    def __init__(self, field: str, sentence: str) -> None:
        super().__init__(sentence)
        self.field = field
