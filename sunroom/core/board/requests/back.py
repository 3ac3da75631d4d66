"""Undo and redo: what they are depends on the step that they come to."""

from __future__ import annotations

from typing import assert_never

import msgspec
from msgspec import UNSET

from sunroom.core.board.steps import (
    AddItems,
    AddPage,
    ChangeItems,
    ChangePage,
    MoveItems,
    MovePage,
    RemoveItems,
    RemovePage,
    ReplaceItems,
    Step,
)
from sunroom.core.pens.rules import Action


class Undo(msgspec.Struct, frozen=True, tag_field="step", tag="undo"):
    pass


class Redo(msgspec.Struct, frozen=True, tag_field="step", tag="redo"):
    pass


def going_back(step: Step) -> Action:
    match step:
        case ChangeItems() if any(change.locked is not UNSET for change in step.changes):
            return "lock"
        case AddItems() | MoveItems() | ReplaceItems() | ChangeItems():
            return "change"
        case RemoveItems():
            return "remove"
        case AddPage():
            return "add_page"
        case RemovePage():
            return "remove_page"
        case ChangePage() | MovePage():
            return "change_page"
        case _:
            assert_never(step)
