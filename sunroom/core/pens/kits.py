"""Pen kits: what a passed pen may do, as sets of single rights."""

from __future__ import annotations

from typing import Literal, get_args

Right = Literal[
    "write",
    "note",
    "text",
    "shape",
    "maths",
    "bring_in",
    "stamp",
    "move_own",
    "change_others",
    "erase_others",
    "convert",
    "add_page",
    "point",
    "chat_all",
    "chat_tutor",
    "comment",
]

RIGHTS: frozenset[Right] = frozenset(get_args(Right))

#: Rights that put something on the board; each brings ``move_own`` along.
MAKING: frozenset[Right] = frozenset({"write", "note", "text", "shape", "maths", "bring_in", "stamp"})

_CHAT: frozenset[Right] = frozenset({"chat_all", "chat_tutor"})
_TALK: frozenset[Right] = _CHAT | {"point"}

#: The ready kits. A full pen does all but touch what others made.
KITS: dict[str, frozenset[Right]] = {
    "full pen": RIGHTS - {"change_others", "erase_others"},
    "ink only": _TALK | {"write", "move_own"},
    "notes only": _TALK | {"note", "move_own"},
    "cards only": _CHAT | {"move_own", "change_others"},
    "pointer only": _TALK,
}

#: Rights that need no pen: they are heard in every kit, whoever may write.
WITHOUT_PEN: frozenset[Right] = _CHAT


def whole_kit(rights: frozenset[Right]) -> frozenset[Right]:
    """The rights with what they always bring along."""
    return rights | {"move_own"} if rights & MAKING else rights
