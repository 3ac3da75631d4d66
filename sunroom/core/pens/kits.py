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

_TALK: frozenset[Right] = frozenset({"point", "chat_all", "chat_tutor"})

#: The ready kits. A full pen does all but touch what others made.
KITS: dict[str, frozenset[Right]] = {
    "full pen": RIGHTS - {"change_others", "erase_others"},
    "ink only": _TALK | {"write", "move_own"},
    "notes only": _TALK | {"note", "move_own"},
    "cards only": frozenset({"move_own", "change_others"}),
    "pointer only": frozenset({"point"}),
}

#: What a student may do without a pen.
WITHOUT_PEN: frozenset[Right] = frozenset({"chat_all", "chat_tutor"})


def whole_kit(rights: frozenset[Right]) -> frozenset[Right]:
    """The rights with what they always bring along."""
    return rights | {"move_own"} if rights & MAKING else rights
